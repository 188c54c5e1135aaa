using Dapper;
using Ystrata.Core;

namespace Ystrata.Store;

/// <summary>One cooking: what was planned then, and how it went.</summary>
public sealed record LogEntry(Guid Id, Guid BatchId, BatchSpec Spec, DateTimeOffset CookedAt, Outcome Outcome, DateTimeOffset ChangedAt);

/// <summary>A line of the log: the entry and what its batch is called.</summary>
public sealed record LogLine(LogEntry Entry, string BatchName);

public sealed class Logbook(Kitchen kitchen)
{
    private const string Columns =
        """
        e.id Id, e.batch_id BatchId, e.cooked_at CookedAt, e.pieces Pieces, e.flour_g Flour, e.liquid_g Liquid, e.dough_fat_g DoughFat,
        e.salt_g Salt, e.ball_g Ball, e.pan_c Pan, e.first_side_s FirstSide, e.second_side_s SecondSide, e.last_side_s LastSide,
        e.soft Soft, e.leaves Leaves, e.colour Colour, e.taste Taste, e.note Note, e.changed_at ChangedAt, e.spec Spec, b.name BatchName
        """;

    /// <summary>The newest cookings first. A batch that was deleted keeps its lines.</summary>
    public IReadOnlyList<LogLine> Latest(int most)
    {
        using var db = kitchen.Connect();
        return
        [
            .. db.Query<Row>(
                $"""
                select {Columns} from log_entry e join batch b on b.id = e.batch_id
                where e.deleted_at is null order by e.cooked_at desc, e.id limit @most
                """,
                new { most }).Select(r => r.ToLine()),
        ];
    }

    public LogLine? Find(Guid id)
    {
        using var db = kitchen.Connect();
        return db.QuerySingleOrDefault<Row>(
            $"select {Columns} from log_entry e join batch b on b.id = e.batch_id where e.id = @id and e.deleted_at is null",
            new { id = id.ToString() })?.ToLine();
    }

    public void Add(LogEntry entry)
    {
        using var db = kitchen.Connect();
        db.Execute(
            """
            insert into log_entry (id, batch_id, spec, cooked_at, pieces, flour_g, liquid_g, dough_fat_g, salt_g, ball_g, pan_c,
              first_side_s, second_side_s, last_side_s, soft, leaves, colour, taste, note, changed_at)
            values (@Id, @BatchId, @Spec, @CookedAt, @Pieces, @Flour, @Liquid, @DoughFat, @Salt, @Ball, @Pan,
              @FirstSide, @SecondSide, @LastSide, @Soft, @Leaves, @Colour, @Taste, @Note, @ChangedAt)
            """,
            Parameters(entry));
    }

    /// <returns>False when there is no such entry.</returns>
    public bool Change(LogEntry entry)
    {
        using var db = kitchen.Connect();
        return db.Execute(
            """
            update log_entry set cooked_at = @CookedAt, pieces = @Pieces, flour_g = @Flour, liquid_g = @Liquid, dough_fat_g = @DoughFat,
              salt_g = @Salt, ball_g = @Ball, pan_c = @Pan, first_side_s = @FirstSide, second_side_s = @SecondSide,
              last_side_s = @LastSide, soft = @Soft, leaves = @Leaves, colour = @Colour, taste = @Taste, note = @Note, changed_at = @ChangedAt
            where id = @Id and deleted_at is null
            """,
            Parameters(entry)) == 1;
    }

    /// <returns>False when there is no such entry.</returns>
    public bool Delete(Guid id, DateTimeOffset at) => Trash.Put(kitchen, "log_entry", id, at);

    /// <returns>False when no such entry was deleted.</returns>
    public bool Restore(Guid id) => Trash.TakeBack(kitchen, "log_entry", id);

    private static object Parameters(LogEntry e) => new
    {
        Id = e.Id.ToString(),
        BatchId = e.BatchId.ToString(),
        Spec = SpecJson.Write(e.Spec),
        CookedAt = Kitchen.Stamp(e.CookedAt),
        e.Outcome.Used.Pieces,
        Flour = e.Outcome.Used.Flour?.Value,
        Liquid = e.Outcome.Used.Liquid?.Value,
        DoughFat = e.Outcome.Used.DoughFat?.Value,
        Salt = e.Outcome.Used.Salt?.Value,
        Ball = e.Outcome.Used.BallMass?.Value,
        Pan = e.Outcome.Timed.Pan?.Value,
        FirstSide = e.Outcome.Timed.FirstSide?.Value,
        SecondSide = e.Outcome.Timed.SecondSide?.Value,
        LastSide = e.Outcome.Timed.LastSide?.Value,
        e.Outcome.Judged.Soft,
        e.Outcome.Judged.Leaves,
        e.Outcome.Judged.Colour,
        e.Outcome.Judged.Taste,
        e.Outcome.Note,
        ChangedAt = Kitchen.Stamp(e.ChangedAt),
    };

    private sealed class Row
    {
        public required string Id { get; init; }
        public required string BatchId { get; init; }
        public required string CookedAt { get; init; }
        public int? Pieces { get; init; }
        public double? Flour { get; init; }
        public double? Liquid { get; init; }
        public double? DoughFat { get; init; }
        public double? Salt { get; init; }
        public double? Ball { get; init; }
        public double? Pan { get; init; }
        public double? FirstSide { get; init; }
        public double? SecondSide { get; init; }
        public double? LastSide { get; init; }
        public int? Soft { get; init; }
        public int? Leaves { get; init; }
        public int? Colour { get; init; }
        public int? Taste { get; init; }
        public required string Note { get; init; }
        public required string ChangedAt { get; init; }
        public required string BatchName { get; init; }
        public required string Spec { get; init; }

        public LogLine ToLine() => new(
            new(
                Guid.Parse(Id),
                Guid.Parse(BatchId),
                SpecJson.Read(Spec),
                Kitchen.Unstamp(CookedAt),
                new(
                    new(Pieces, Of<Grams>(Flour), Of<Grams>(Liquid), Of<Grams>(DoughFat), Of<Grams>(Salt), Of<Grams>(Ball)),
                    new(Of<Celsius>(Pan), Of<Seconds>(FirstSide), Of<Seconds>(SecondSide), Of<Seconds>(LastSide)),
                    new(Soft, Leaves, Colour, Taste),
                    Note),
                Kitchen.Unstamp(ChangedAt)),
            BatchName);

        private static T? Of<T>(double? value)
            where T : struct, IMeasure<T> => value is { } v ? T.From(v) : null;
    }
}
