using System.Globalization;
using System.Text;
using System.Text.Json;
using System.Text.Json.Serialization;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store;

/// <summary>One cooking: what was planned then, and how it went.</summary>
/// <param name="Name">What the batch was called.</param>
/// <param name="Planned">The plan's figures on the day; nothing for entries from before they were kept.</param>
/// <param name="PhotoId">Nothing without a photo.</param>
public sealed record LogEntry(
    Guid Id,
    Guid BatchId,
    BatchSpec Spec,
    DateTimeOffset CookedAt,
    Outcome Outcome,
    DateTimeOffset ChangedAt,
    string Name = "",
    Guid? BreadId = null,
    Planned? Planned = null,
    Guid? PhotoId = null)
{
    /// <summary>Of what can be changed in it; spec and plan stay as they were on the day.</summary>
    [JsonIgnore]
    public string Version => Versions.Of(new { Id, CookedAt = KitchenDb.Stamp(CookedAt), Outcome, PhotoId });
}

/// <summary>A cooking at a glance.</summary>
/// <param name="Leaves">Planned to come apart.</param>
public sealed record LogLine(
    Guid Id, Guid BatchId, Guid? BreadId, string Name, DateTimeOffset CookedAt, Judged Judged, IReadOnlyList<Symptom>? Faults, string Note, bool Counts, int? Pieces, int? Lost, int? Leaves, Guid? PhotoId);

/// <summary>What of the log is wanted; what is nothing is not asked for.</summary>
/// <param name="Find">In the batch's name or the note, whatever the case and marks.</param>
/// <param name="Flour">A larder id.</param>
/// <param name="After">The last line of the page before.</param>
public sealed record LogQuery(string? Find = null, Guid? Bread = null, string? Flour = null, Symptom? Fault = null, LogMark? After = null, int Most = LogQuery.Page)
{
    public const int Page = 50;
}

/// <summary>A place between two lines.</summary>
public sealed record LogMark(DateTimeOffset CookedAt, Guid Id);

/// <param name="Count">Of all that was found, on this page or not.</param>
public sealed record LogPage(IReadOnlyList<LogLine> Lines, int Count);

public sealed class Logbook(KitchenDb kitchen)
{
    // Letters in a row that words are sought by.
    private const int SoughtBy = 3;

    private const string Columns =
        """
        e.id Id, e.batch_id BatchId, e.cooked_at CookedAt, e.pieces Pieces, e.flour_g Flour, e.liquid_g Liquid, e.dough_fat_g DoughFat,
        e.salt_g Salt, e.ball_g Ball, e.pan_c Pan, e.first_side_s FirstSide, e.second_side_s SecondSide, e.last_side_s LastSide,
        e.soft Soft, e.leaves Leaves, e.colour Colour, e.taste Taste, e.filling Filling, e.wall Wall, e.counts Counts, e.note Note,
        e.changed_at ChangedAt, e.spec Spec, e.name Name, e.bread_id BreadId, e.planned Planned, e.more More, e.photo_id PhotoId, e.deleted_at DeletedAt
        """;

    // What of an entry may change after it was written down, and where it stands in a row.
    private const string Changing =
        """
        cooked_at, pieces, flour_g, liquid_g, dough_fat_g, salt_g, ball_g, pan_c, first_side_s, second_side_s, last_side_s,
        soft, leaves, colour, taste, filling, wall, counts, note, changed_at, more, words, photo_id
        """;

    private const string Changed =
        """
        @CookedAt, @Pieces, @Flour, @Liquid, @DoughFat, @Salt, @Ball, @Pan, @FirstSide, @SecondSide, @LastSide,
        @Soft, @Leaves, @Colour, @Taste, @Filling, @Wall, @Counts, @Note, @ChangedAt, @More, @Words, @PhotoId
        """;

    private const string LineColumns =
        """
        e.id Id, e.batch_id BatchId, e.bread_id BreadId, e.name Name, e.cooked_at CookedAt, e.soft Soft, e.leaves Leaves, e.colour Colour,
        e.taste Taste, e.filling Filling, e.wall Wall, e.more More, e.note Note, e.counts Counts, e.pieces Pieces, e.planned ->> '$.leaves' Apart, e.photo_id PhotoId
        """;

    /// <summary>A page of the log, the newest cooking first. A batch that was deleted keeps its lines.</summary>
    public LogPage Find(LogQuery query)
    {
        var where = new StringBuilder("e.deleted_at is null");
        var find = Folding.Of(query.Find ?? "");
        if (find.Length > 0)
        {
            // What is shorter than what is sought by is looked for from entry to entry.
            where.Append(Letters(find) < SoughtBy ? @" and e.words like @find escape '\'" : " and e.rowid in (select rowid from log_words where log_words match @words)");
        }

        if (query.Bread is not null)
        {
            where.Append(" and e.bread_id = @bread");
        }

        if (query.Flour is not null)
        {
            where.Append(" and exists (select 1 from log_flour f where f.flour = @flour and f.entry_id = e.id)");
        }

        if (query.Fault is not null)
        {
            where.Append(" and exists (select 1 from log_fault f where f.symptom = @fault and f.entry_id = e.id)");
        }

        var parameters = new
        {
            find = $"%{Escaped(find)}%",
            words = $"\"{find.Replace("\"", "\"\"", StringComparison.Ordinal)}\"",
            bread = query.Bread?.ToString(),
            flour = query.Flour,
            fault = query.Fault?.ToString(),
            at = query.After is { } mark ? KitchenDb.Stamp(mark.CookedAt) : null,
            after = query.After?.Id.ToString(),
            most = query.Most,
        };
        var paged = query.After is null ? "" : " and (e.cooked_at, e.id) < (@at, @after)";
        using var db = kitchen.Connect();
        // The page's ids are found in an index; only their own rows are then read.
        var lines = db.Query<LineRow>(
            $"""
            select {LineColumns} from log_entry e
            where e.id in (select e.id from log_entry e where {where}{paged} order by e.cooked_at desc, e.id desc limit @most)
            order by e.cooked_at desc, e.id desc
            """,
            parameters);
        return new([.. lines.Select(l => l.ToLine())], db.ExecuteScalar<int>($"select count(*) from log_entry e where {where}", parameters));
    }

    /// <summary>True for every entry there is, in the trash or not.</summary>
    public bool Known(Guid id)
    {
        using var db = kitchen.Connect();
        return db.ExecuteScalar<bool>("select exists (select 1 from log_entry where id = @id)", new { id = id.ToString() });
    }

    public LogEntry? Find(Guid id)
    {
        using var db = kitchen.Connect();
        return Find(db, id);
    }

    private static LogEntry? Find(SqliteConnection db, Guid id) =>
        db.QuerySingleOrDefault<Row>($"select {Columns} from log_entry e where e.id = @id and e.deleted_at is null", new { id = id.ToString() })?.ToEntry();

    /// <summary>Every cooking, the newest first, read one by one.</summary>
    public IEnumerable<LogEntry> All()
    {
        using var db = kitchen.Connect();
        foreach (var row in db.Query<Row>($"select {Columns} from log_entry e where e.deleted_at is null order by e.cooked_at desc, e.id desc", buffered: false))
        {
            yield return row.ToEntry();
        }
    }

    /// <param name="lessons">What it teaches.</param>
    /// <returns>False when there is, or was, an entry by this id: then nothing has changed.</returns>
    public bool Add(LogEntry entry, IReadOnlyList<Lesson> lessons) => Once.Add(kitchen, "log_entry", entry.Id, db => Put(db, [new(entry, lessons)]));

    /// <summary>Adds some and changes others, all or none.</summary>
    public void Keep(IReadOnlyList<LogRecord> added, IReadOnlyList<LogRecord> changed)
    {
        using var db = kitchen.Connect();
        using var work = db.BeginTransaction();
        Put(db, added);
        Change(db, changed);
        work.Commit();
    }

    public Kept<LogEntry> Change(LogEntry entry, IReadOnlyList<Lesson> lessons, Meant meant) =>
        meant.Change(kitchen, db => Find(db, entry.Id), e => e.Version, db => Change(db, [new(entry, lessons)]));

    private static void Change(SqliteConnection db, IReadOnlyList<LogRecord> records)
    {
        var there = records.Where(r => db.ExecuteScalar<bool>("select exists (select 1 from log_entry where id = @id and deleted_at is null)", new { id = r.Entry.Id.ToString() })).ToList();
        db.Execute($"update log_entry set ({Changing}) = ({Changed}) where id = @Id", there.Select(Row.Of));
        foreach (var table in new[] { "log_flour", "log_fault", "lesson" })
        {
            db.Execute($"delete from {table} where entry_id = @Id", there.Select(r => new { Id = r.Entry.Id.ToString() }));
        }

        PutBeside(db, there);
    }

    public Kept<LogEntry> Delete(Guid id, DateTimeOffset at, Meant meant) => meant.Change(kitchen, db => Find(db, id), e => e.Version, db => Trash.Put(db, "log_entry", id, at));

    /// <returns>False when no such entry was deleted.</returns>
    public bool Restore(Guid id) => Trash.TakeBack(kitchen, "log_entry", id);

    /// <summary>All of them as lines of JSON, in the trash or not, by their batches, one by one.</summary>
    internal static IEnumerable<(string Batch, string Json)> Lines(SqliteConnection db) => db.Query<(string Batch, string Json)>(
        $"""
        select batch_id Batch, json_object('kind', 'log', 'entry', json_object(
          'id', id, 'batchId', batch_id, 'spec', json(spec), 'cookedAt', cooked_at, 'outcome', json_object(
            'used', json_object('pieces', pieces, 'flour', {KitchenDb.Exact("flour_g")}, 'liquid', {KitchenDb.Exact("liquid_g")}, 'doughFat', {KitchenDb.Exact("dough_fat_g")}, 'salt', {KitchenDb.Exact("salt_g")}, 'ballMass', {KitchenDb.Exact("ball_g")}, 'lost', more -> '$.lost', 'dough', more -> '$.dough'),
            'timed', json_object('pan', {KitchenDb.Exact("pan_c")}, 'firstSide', {KitchenDb.Exact("first_side_s")}, 'secondSide', {KitchenDb.Exact("second_side_s")}, 'lastSide', {KitchenDb.Exact("last_side_s")}),
            'judged', json_object('soft', soft, 'leaves', leaves, 'colour', colour, 'taste', taste, 'filling', filling, 'wall', wall),
            'note', note, 'yields', more -> '$.yields', 'hands', more -> '$.hands', 'faults', more -> '$.faults', 'counts', json(iif(counts, 'true', 'false'))),
          'changedAt', changed_at, 'name', name, 'breadId', bread_id, 'planned', json(planned), 'photoId', photo_id), 'lessons', (
            select json_group_array(json_object('kind', lower(substr(kind, 1, 1)) || substr(kind, 2), 'of', of, 'value', {KitchenDb.Exact("value")})) from lesson where entry_id = e.id),
          'deletedAt', deleted_at) Json
        from log_entry e order by batch_id, id
        """,
        buffered: false);

    internal static void Put(SqliteConnection db, IReadOnlyList<LogRecord> records)
    {
        db.Execute(
            $"insert into log_entry (id, batch_id, spec, name, bread_id, planned, deleted_at, {Changing}) values (@Id, @BatchId, @Spec, @Name, @BreadId, @Planned, @DeletedAt, {Changed})",
            records.Select(Row.Of));
        PutBeside(db, records);
    }

    // What is found by and what is taught stand in tables of their own, written with the entry or not at all.
    private static void PutBeside(SqliteConnection db, IReadOnlyList<LogRecord> records)
    {
        db.Execute(
            "insert into log_flour (flour, entry_id) values (@flour, @id)",
            records.SelectMany(r => r.Entry.Spec.Dough.Flours.Select(f => f.Id).Distinct(), (r, flour) => new { flour, id = r.Entry.Id.ToString() }));
        db.Execute(
            "insert into log_fault (symptom, entry_id) values (@symptom, @id)",
            records.SelectMany(r => (r.Entry.Outcome.Faults ?? []).Distinct(), (r, fault) => new { symptom = fault.ToString(), id = r.Entry.Id.ToString() }));
        // One lesson of a kind and a thing: the last.
        db.Execute(
            "insert into lesson (entry_id, kind, of, value, cooked_at) values (@id, @kind, @Of, @Value, @at)",
            records.SelectMany(
                r => r.Lessons.Reverse().DistinctBy(l => (l.Kind, l.Of)),
                (r, l) => new { id = r.Entry.Id.ToString(), kind = l.Kind.ToString(), l.Of, l.Value, at = KitchenDb.Stamp(r.Entry.CookedAt) }));
    }

    // Marks that stand on a letter are none themselves.
    private static int Letters(string text) => text.EnumerateRunes().Count(r => Rune.GetUnicodeCategory(r) != UnicodeCategory.NonSpacingMark);

    private static string Escaped(string text) => text.Replace(@"\", @"\\", StringComparison.Ordinal).Replace("%", @"\%", StringComparison.Ordinal).Replace("_", @"\_", StringComparison.Ordinal);

    /// <summary>What has no column of its own: nothing is sought or sorted by it.</summary>
    private sealed record More(
        int? Lost = null, Grams? Dough = null, IReadOnlyList<StepYield>? Yields = null, IReadOnlyList<WorkTime>? Hands = null, IReadOnlyList<Symptom>? Faults = null,
        Grams? Raw = null, Grams? Roasted = null, IReadOnlyList<FacePhoto>? Faces = null)
    {
        public static More Of(string text) => SpecJson.Read<More>(text);
    }

    private class LineRow
    {
        public required string Id { get; init; }
        public required string BatchId { get; init; }
        public string? BreadId { get; init; }
        public required string Name { get; init; }
        public required string CookedAt { get; init; }
        public int? Soft { get; init; }
        public int? Leaves { get; init; }
        public int? Colour { get; init; }
        public int? Taste { get; init; }
        public int? Filling { get; init; }
        public int? Wall { get; init; }
        public required string More { get; init; }
        public required string Note { get; init; }
        public bool Counts { get; init; }
        public int? Pieces { get; init; }
        // Worked out in the query, so of the widest kind there is: its first value may be none.
        public long? Apart { get; init; }
        public string? PhotoId { get; init; }

        public LogLine ToLine()
        {
            var more = Logbook.More.Of(More);
            return new(
                Guid.Parse(Id),
                Guid.Parse(BatchId),
                BreadId is null ? null : Guid.Parse(BreadId),
                Name,
                KitchenDb.Unstamp(CookedAt),
                new(Soft, Leaves, Colour, Taste, Filling, Wall),
                more.Faults,
                Note,
                Counts,
                Pieces,
                more.Lost,
                (int?)Apart,
                PhotoId is null ? null : Guid.Parse(PhotoId));
        }
    }

    private sealed class Row : LineRow
    {
        public double? Flour { get; init; }
        public double? Liquid { get; init; }
        public double? DoughFat { get; init; }
        public double? Salt { get; init; }
        public double? Ball { get; init; }
        public double? Pan { get; init; }
        public double? FirstSide { get; init; }
        public double? SecondSide { get; init; }
        public double? LastSide { get; init; }
        public required string ChangedAt { get; init; }
        public required string Spec { get; init; }
        public string? Planned { get; init; }
        public string? DeletedAt { get; init; }

        /// <summary>What is sought in; only written.</summary>
        public string? Words { get; init; }

        public static Row Of(LogRecord record)
        {
            var e = record.Entry;
            var (used, timed, judged) = (e.Outcome.Used, e.Outcome.Timed, e.Outcome.Judged);
            return new()
            {
                Id = e.Id.ToString(),
                BatchId = e.BatchId.ToString(),
                BreadId = e.BreadId?.ToString(),
                Name = e.Name,
                CookedAt = KitchenDb.Stamp(e.CookedAt),
                Spec = SpecJson.Write(e.Spec),
                Planned = e.Planned is null ? null : JsonSerializer.Serialize(e.Planned, SpecJson.Options),
                Pieces = used.Pieces,
                Flour = used.Flour?.Value,
                Liquid = used.Liquid?.Value,
                DoughFat = used.DoughFat?.Value,
                Salt = used.Salt?.Value,
                Ball = used.BallMass?.Value,
                Pan = timed.Pan?.Value,
                FirstSide = timed.FirstSide?.Value,
                SecondSide = timed.SecondSide?.Value,
                LastSide = timed.LastSide?.Value,
                Soft = judged.Soft,
                Leaves = judged.Leaves,
                Colour = judged.Colour,
                Taste = judged.Taste,
                Filling = judged.Filling,
                Wall = judged.Wall,
                Counts = e.Outcome.Counts,
                Note = e.Outcome.Note,
                More = JsonSerializer.Serialize(new More(used.Lost, used.Dough, e.Outcome.Yields, e.Outcome.Hands, e.Outcome.Faults, used.Raw, used.Roasted, e.Outcome.Faces), SpecJson.Options),
                Words = Folding.Of($"{e.Name} {e.Outcome.Note}"),
                PhotoId = e.PhotoId?.ToString(),
                ChangedAt = KitchenDb.Stamp(e.ChangedAt),
                DeletedAt = KitchenDb.StampIf(record.DeletedAt),
            };
        }

        public LogEntry ToEntry()
        {
            var more = Logbook.More.Of(More);
            return new(
                Guid.Parse(Id),
                Guid.Parse(BatchId),
                SpecJson.Read(Spec),
                KitchenDb.Unstamp(CookedAt),
                new(
                    new(Pieces, Of<Grams>(Flour), Of<Grams>(Liquid), Of<Grams>(DoughFat), Of<Grams>(Salt), Of<Grams>(Ball), more.Lost, more.Dough, more.Raw, more.Roasted),
                    new(Of<Celsius>(Pan), Of<Seconds>(FirstSide), Of<Seconds>(SecondSide), Of<Seconds>(LastSide)),
                    new(Soft, Leaves, Colour, Taste, Filling, Wall),
                    Note,
                    more.Yields,
                    more.Hands,
                    more.Faults,
                    Counts,
                    more.Faces),
                KitchenDb.Unstamp(ChangedAt),
                Name,
                BreadId is null ? null : Guid.Parse(BreadId),
                Planned is null ? null : SpecJson.Read<Planned>(Planned),
                PhotoId is null ? null : Guid.Parse(PhotoId));
        }

        private static T? Of<T>(double? value)
            where T : struct, IMeasure<T> => value is { } v ? T.From(v) : null;
    }
}
