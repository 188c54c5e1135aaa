using System.Globalization;
using System.Text.Json;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store;

/// <summary>What was said of a day, as it is found by its date.</summary>
public sealed record KeptDay(DateOnly Day, DaySpec Spec)
{
    public string Version => Versions.Of(new { Day, Spec });
}

/// <summary>What the cook has said of days. Of one nobody has said anything of, nothing is said: it is there all the same.</summary>
public sealed class Days(KitchenDb kitchen)
{
    public KeptDay Find(DateOnly day)
    {
        using var db = kitchen.Connect();
        return Find(db, day);
    }

    public Kept<KeptDay> Change(KeptDay day, DateTimeOffset at, Meant meant) => meant.Change(kitchen, db => Find(db, day.Day), d => d.Version, db => db.Execute(
        "insert into day (day, body, changed_at) values (@Day, @Body, @At) on conflict (day) do update set body = excluded.body, changed_at = excluded.changed_at",
        Row(day.Day, day.Spec, at)));

    private static KeptDay Find(SqliteConnection db, DateOnly day) =>
        new(day, db.QuerySingleOrDefault<string>("select body from day where day = @day", new { day = Key(day) }) is { } body ? SpecJson.Read<DaySpec>(body) : DaySpec.Nothing);

    internal static void Put(SqliteConnection db, IEnumerable<DayRecord> records) => db.Execute(
        "insert into day (day, body, changed_at) values (@Day, @Body, @At)",
        records.Select(r => Row(r.Day, r.Spec, r.ChangedAt)));

    /// <summary>All of them, one by one.</summary>
    internal static IEnumerable<DayRecord> Each(SqliteConnection db) =>
        db.Query<(string Day, string Body, string At)>("select day, body, changed_at from day order by day", buffered: false)
            .Select(r => new DayRecord(DateOnly.Parse(r.Day, CultureInfo.InvariantCulture), SpecJson.Read<DaySpec>(r.Body), KitchenDb.Unstamp(r.At)));

    private static object Row(DateOnly day, DaySpec spec, DateTimeOffset at) => new { Day = Key(day), Body = JsonSerializer.Serialize(spec, SpecJson.Options), At = KitchenDb.Stamp(at) };

    private static string Key(DateOnly day) => day.ToString("O", CultureInfo.InvariantCulture);
}
