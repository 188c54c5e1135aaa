using System.Text.Json;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store;

/// <summary>What this kitchen has put right or added to the shipped larder, its own vessels, how long its hands take, and the units it works in.</summary>
public sealed class Pantry(KitchenDb kitchen)
{
    /// <summary>The kitchen as it stands now, without anything learned: shipped values, the cook's over them, the cook's own beside them.</summary>
    public Kitchen Kitchen()
    {
        var units = Units();
        var all = Larder.Shipped.All.ToDictionary(i => i.Id, StringComparer.Ordinal);
        using var db = kitchen.Connect();
        foreach (var item in Items(db))
        {
            Lay(item, all);
        }

        var larder = new Larder(all.Values);
        return new(larder, Measuring.Of(units, Vessels(), larder), Hands(), Learned.Nothing, units.Board!.Value);
    }

    /// <summary>A kitchen with other lines laid over its larder, as one that was put right or added here is.</summary>
    public static Kitchen Over(Kitchen under, IEnumerable<IngredientRecord> items)
    {
        var all = under.Larder.All.ToDictionary(i => i.Id, StringComparer.Ordinal);
        foreach (var item in items)
        {
            Lay(item, all);
        }

        return under with { Larder = new(all.Values) };
    }

    private static void Lay(IngredientRecord item, Dictionary<string, Ingredient> all)
    {
        var (id, line) = (item.Ingredient.Id, item.Ingredient);
        var shipped = Larder.Shipped.TryGet(id, out var was);
        if (!shipped || item.DeletedAt is null)
        {
            // What nobody has said of a shipped line stays as it ships.
            all[id] = line with
            {
                Marks = line.Marks ?? was?.Marks,
                Hue = line.Hue ?? was?.Hue,
                Each = line.Each ?? was?.Each,
                Origin = shipped ? Origin.Changed : item.DeletedAt is null ? Origin.Own : Origin.Gone,
            };
        }
    }

    /// <summary>Keeps all of them, or none.</summary>
    public void Keep(IEnumerable<Ingredient> items, DateTimeOffset at)
    {
        using var db = kitchen.Connect();
        using var work = db.BeginTransaction();
        db.Execute(
            """
            insert into larder_item (id, body, changed_at) values (@Id, @Body, @At)
            on conflict (id) do update set body = excluded.body, changed_at = excluded.changed_at, deleted_at = null
            """,
            items.Select(i => new { i.Id, Body = JsonSerializer.Serialize(i, SpecJson.Options), At = KitchenDb.Stamp(at) }),
            work);
        work.Commit();
    }

    /// <summary>An own line goes; a shipped one gets its shipped values back.</summary>
    /// <returns>False when the cook had not touched it.</returns>
    public bool Delete(string id, DateTimeOffset at)
    {
        using var db = kitchen.Connect();
        return db.Execute("update larder_item set deleted_at = @at where id = @id and deleted_at is null", new { id, at = KitchenDb.Stamp(at) }) == 1;
    }

    /// <returns>False when it was not deleted.</returns>
    public bool Restore(string id)
    {
        using var db = kitchen.Connect();
        return db.Execute("update larder_item set deleted_at = null where id = @id and deleted_at is not null", new { id }) == 1;
    }

    public IReadOnlyList<Vessel> Vessels()
    {
        using var db = kitchen.Connect();
        return
        [
            .. db.Query<(string Id, string Name, double Volume)>("select id, name, volume_ml from vessel where deleted_at is null order by name collate nocase")
                .Select(r => new Vessel(r.Id, r.Name, new(r.Volume))),
        ];
    }

    public void Keep(Vessel vessel, DateTimeOffset at)
    {
        using var db = kitchen.Connect();
        db.Execute(
            """
            insert into vessel (id, name, volume_ml, changed_at) values (@Id, @Name, @Volume, @At)
            on conflict (id) do update set name = excluded.name, volume_ml = excluded.volume_ml, changed_at = excluded.changed_at, deleted_at = null
            """,
            new { vessel.Id, vessel.Name, Volume = vessel.Volume.Value, At = KitchenDb.Stamp(at) });
    }

    /// <returns>False when there is no such vessel.</returns>
    public bool DeleteVessel(string id, DateTimeOffset at)
    {
        using var db = kitchen.Connect();
        return db.Execute("update vessel set deleted_at = @at where id = @id and deleted_at is null", new { id, at = KitchenDb.Stamp(at) }) == 1;
    }

    /// <returns>False when no such vessel was deleted.</returns>
    public bool RestoreVessel(string id)
    {
        using var db = kitchen.Connect();
        return db.Execute("update vessel set deleted_at = null where id = @id and deleted_at is not null", new { id }) == 1;
    }

    public HandTimes Hands()
    {
        using var db = kitchen.Connect();
        return new(db.Query<(string Work, double Seconds)>("select work, seconds from hand_time")
            .Where(r => Enum.TryParse<HandWork>(r.Work, out _))
            .ToDictionary(r => Enum.Parse<HandWork>(r.Work), r => new Seconds(r.Seconds)));
    }

    /// <param name="time">Nothing goes back to the usual.</param>
    public void Keep(HandWork work, Seconds? time, DateTimeOffset at)
    {
        using var db = kitchen.Connect();
        if (time is { } own)
        {
            db.Execute(
                """
                insert into hand_time (work, seconds, changed_at) values (@work, @seconds, @at)
                on conflict (work) do update set seconds = excluded.seconds, changed_at = excluded.changed_at
                """,
                new { work = work.ToString(), seconds = own.Value, at = KitchenDb.Stamp(at) });
        }
        else
        {
            db.Execute("delete from hand_time where work = @work", new { work = work.ToString() });
        }
    }

    public Units Units()
    {
        using var db = kitchen.Connect();
        return db.QuerySingleOrDefault<string>("select body from units") is { } body
            ? JsonSerializer.Deserialize<Units>(body, SpecJson.Options)!
            : Core.Measures.Units.Usual;
    }

    public void Keep(Units units)
    {
        using var db = kitchen.Connect();
        db.Execute(
            "insert into units (id, body) values (1, @body) on conflict (id) do update set body = excluded.body",
            new { body = JsonSerializer.Serialize(units, SpecJson.Options) });
    }

    /// <summary>Units, hand times, vessels and lines of the larder, in the trash or not; a sack after the flour it may be a sack of.</summary>
    internal static IEnumerable<KitchenRecord> Each(SqliteConnection db) =>
    [
        .. db.Query<string>("select body from units").Select(body => new UnitsRecord(JsonSerializer.Deserialize<Units>(body, SpecJson.Options)!)),
        .. db.Query<(string Work, double Seconds, string At)>("select work, seconds, changed_at from hand_time order by work")
            .Where(r => Enum.TryParse<HandWork>(r.Work, out _))
            .Select(r => new HandRecord(Enum.Parse<HandWork>(r.Work), new(r.Seconds), KitchenDb.Unstamp(r.At))),
        .. db.Query<(string Id, string Name, double Volume, string At, string? Deleted)>("select id, name, volume_ml, changed_at, deleted_at from vessel order by id")
            .Select(r => new VesselRecord(new(r.Id, r.Name, new(r.Volume)), KitchenDb.Unstamp(r.At), KitchenDb.UnstampIf(r.Deleted))),
        .. Items(db),
    ];

    internal static IEnumerable<IngredientRecord> Items(SqliteConnection db) =>
        db.Query<(string Body, string At, string? Deleted)>("select body, changed_at, deleted_at from larder_item order by body ->> '$.lot' is not null, id")
            .Select(r => new IngredientRecord(JsonSerializer.Deserialize<Ingredient>(r.Body, SpecJson.Options)!, KitchenDb.Unstamp(r.At), KitchenDb.UnstampIf(r.Deleted)));

    internal static void Put(SqliteConnection db, UnitsRecord record) =>
        db.Execute("insert into units (id, body) values (1, @Body)", new { Body = JsonSerializer.Serialize(record.Units, SpecJson.Options) });

    internal static void Put(SqliteConnection db, HandRecord record) => db.Execute(
        "insert into hand_time (work, seconds, changed_at) values (@Work, @Seconds, @At)",
        new { Work = record.Work.ToString(), Seconds = record.Time.Value, At = KitchenDb.Stamp(record.ChangedAt) });

    internal static void Put(SqliteConnection db, IEnumerable<VesselRecord> records) => db.Execute(
        "insert into vessel (id, name, volume_ml, changed_at, deleted_at) values (@Id, @Name, @Volume, @At, @DeletedAt)",
        records.Select(r => new { r.Vessel.Id, r.Vessel.Name, Volume = r.Vessel.Volume.Value, At = KitchenDb.Stamp(r.ChangedAt), DeletedAt = KitchenDb.StampIf(r.DeletedAt) }));

    internal static void Put(SqliteConnection db, IEnumerable<IngredientRecord> records) => db.Execute(
        "insert into larder_item (id, body, changed_at, deleted_at) values (@Id, @Body, @At, @DeletedAt)",
        records.Select(r => new { r.Ingredient.Id, Body = JsonSerializer.Serialize(r.Ingredient, SpecJson.Options), At = KitchenDb.Stamp(r.ChangedAt), DeletedAt = KitchenDb.StampIf(r.DeletedAt) }));
}
