using System.Text.Json.Serialization;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store;

/// <summary>A point of a trend.</summary>
/// <param name="Of">The flour, vegetable or hand work; empty for what there is one of.</param>
public sealed record TrendPoint(DateTimeOffset CookedAt, string Of, double Value);

/// <summary>How many leaves were planned, and how they were judged, 1 to 5.</summary>
public sealed record LeavesPoint(DateTimeOffset CookedAt, int Leaves, int Judged);

/// <summary>What the cook has said of one figure.</summary>
/// <param name="Used">Whether plans use it.</param>
/// <param name="ForgottenAt">Cookings up to then say nothing of it; nothing when all of them do.</param>
public sealed record LearnedSwitch(LessonKind Kind, string Of, bool Used, DateTimeOffset? ForgottenAt)
{
    [JsonIgnore]
    public string Version => Versions.Of(this);
}

/// <summary>What the log says over many cookings: what can be learned from it, and its trends.</summary>
public sealed class Record(KitchenDb kitchen)
{
    /// <summary>Cookings a trend goes back over.</summary>
    public const int MostPoints = 400;

    /// <summary>Every figure the record says something of, from the newest cookings of each.</summary>
    /// <param name="untaught">As it is without anything learned.</param>
    public IReadOnlyList<LearnedFigure> Figures(Kitchen untaught)
    {
        using var db = kitchen.Connect();
        return Read(db, "select distinct l.kind, l.of, coalesce(d.used, 0), d.forgotten_at from lesson l left join learned d on d.kind = l.kind and d.of = l.of", untaught);
    }

    /// <summary>The figures the cook wants plans to use.</summary>
    /// <param name="untaught">As it is without anything learned.</param>
    public IReadOnlyList<LearnedFigure> Used(Kitchen untaught)
    {
        using var db = kitchen.Connect();
        return Read(db, "select kind, of, used, forgotten_at from learned where used", untaught);
    }

    private static List<LearnedFigure> Read(SqliteConnection db, string figures, Kitchen untaught)
    {
        var learned = new List<LearnedFigure>();
        foreach (var (kind, of, used, forgottenAt) in db.Query<(string, string, bool, string?)>(figures).ToList())
        {
            // Cookings that were deleted, do not count or were before the cook said to forget teach nothing.
            var newest = db.Query<double>(
                """
                select l.value from lesson l join log_entry e on e.id = l.entry_id and e.deleted_at is null and e.counts
                where l.kind = @kind and l.of = @of and l.cooked_at > @since order by l.cooked_at desc, l.entry_id desc limit @Most
                """,
                new { kind, of, since = forgottenAt ?? "", LearnedFigures.Most }).ToList();
            if (newest.Count > 0 && Enum.Parse<LessonKind>(kind) is var k && LearnedFigures.Knows(k, of, untaught))
            {
                learned.Add(LearnedFigures.Of(k, of, newest, used, untaught));
            }
        }

        return [.. learned.OrderBy(f => f.Kind).ThenBy(f => f.Of, StringComparer.Ordinal)];
    }

    /// <summary>What the cook has said of each figure.</summary>
    internal static IEnumerable<LearnedRecord> Each(SqliteConnection db) =>
        db.Query<(string Kind, string Of, bool Used, string? ForgottenAt)>("select kind, of, used, forgotten_at from learned order by kind, of", buffered: false)
            .Select(r => new LearnedRecord(Enum.Parse<LessonKind>(r.Kind), r.Of, r.Used, KitchenDb.UnstampIf(r.ForgottenAt)));

    internal static void Put(SqliteConnection db, IEnumerable<LearnedRecord> records) => db.Execute(
        "insert into learned (kind, of, used, forgotten_at) values (@Kind, @Of, @Used, @ForgottenAt)",
        records.Select(r => new { Kind = r.Lesson.ToString(), r.Of, r.Used, ForgottenAt = KitchenDb.StampIf(r.ForgottenAt) }));

    /// <summary>What the cook has said of a figure; until then plans do not use it, and every cooking counts.</summary>
    public LearnedSwitch Said(LessonKind kind, string of)
    {
        using var db = kitchen.Connect();
        var (used, forgottenAt) = db.QuerySingleOrDefault<(bool, string?)>("select used, forgotten_at from learned where kind = @kind and of = @of", new { kind = kind.ToString(), of });
        return new(kind, of, used, KitchenDb.UnstampIf(forgottenAt));
    }

    /// <summary>Says whether plans use a figure.</summary>
    public void Use(LessonKind kind, string of, bool used)
    {
        using var db = kitchen.Connect();
        db.Execute(
            "insert into learned (kind, of, used) values (@kind, @of, @used) on conflict (kind, of) do update set used = excluded.used",
            new { kind = kind.ToString(), of, used });
    }

    /// <summary>Begins a figure anew: cookings up to now no longer say anything of it.</summary>
    /// <param name="at">Nothing to count them again.</param>
    public void Forget(LessonKind kind, string of, DateTimeOffset? at)
    {
        using var db = kitchen.Connect();
        db.Execute(
            "insert into learned (kind, of, used, forgotten_at) values (@kind, @of, 0, @at) on conflict (kind, of) do update set forgotten_at = excluded.forgotten_at",
            new { kind = kind.ToString(), of, at = at is { } t ? KitchenDb.Stamp(t) : null });
    }

    /// <summary>What the cookings taught of one kind, the newest first.</summary>
    public IReadOnlyList<TrendPoint> Trend(LessonKind kind)
    {
        using var db = kitchen.Connect();
        return
        [
            .. db.Query<(string At, string Of, double Value)>(
                """
                select l.cooked_at, l.of, l.value from lesson l join log_entry e on e.id = l.entry_id and e.deleted_at is null and e.counts
                where l.kind = @kind order by l.cooked_at desc limit @MostPoints
                """,
                new { kind = kind.ToString(), MostPoints }).Select(r => new TrendPoint(KitchenDb.Unstamp(r.At), r.Of, r.Value)),
        ];
    }

    /// <summary>Leaves planned against leaves judged, the newest first.</summary>
    public IReadOnlyList<LeavesPoint> Leaves()
    {
        using var db = kitchen.Connect();
        return
        [
            .. db.Query<(string At, long? Leaves, long Judged)>(
                """
                select cooked_at, planned ->> '$.leaves', leaves from log_entry
                where deleted_at is null and leaves is not null and planned is not null order by cooked_at desc limit @MostPoints
                """,
                new { MostPoints }).Where(r => r.Leaves is > 0).Select(r => new LeavesPoint(KitchenDb.Unstamp(r.At), (int)r.Leaves!, (int)r.Judged)),
        ];
    }

    /// <summary>Seconds on the pan in all, the newest first.</summary>
    public IReadOnlyList<TrendPoint> PanSeconds()
    {
        using var db = kitchen.Connect();
        return
        [
            .. db.Query<(string At, string Name, double Value)>(
                """
                select cooked_at, name, first_side_s + second_side_s + coalesce(last_side_s, 0) from log_entry
                where deleted_at is null and first_side_s is not null and second_side_s is not null order by cooked_at desc limit @MostPoints
                """,
                new { MostPoints }).Select(r => new TrendPoint(KitchenDb.Unstamp(r.At), r.Name, r.Value)),
        ];
    }
}
