using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store.Tests;

/// <summary>A kitchen that was kept by an earlier Ystrata opens as it was.</summary>
public sealed class MigrationTests : IDisposable
{
    private readonly TempKitchen temp = new();

    public void Dispose() => temp.Dispose();

    [Fact]
    public void A_kitchen_from_before_any_start_keeps_every_figure()
    {
        const string Old =
            """
            {"dough":{"pieces":24,"flours":[{"id":"flour-white","parts":70},{"id":"flour-atta","parts":30}],"feel":"soft","hydration":62.5,
             "liquid":"puree-beet","fat":"butter","fatShare":3.5,"salt":1.7,"additions":[{"id":"seed-carom","share":0.5},{"id":"sugar","share":2}]},
             "balls":{"by":"mass","mass":80,"thickness":2.7},
             "sheet":{"diameter":300,"rest":40,"fat":"ghee","fatMass":6,"dust":"flour-white","dustMass":0},
             "fold":{"steps":[{"kind":"letter"},{"kind":"brush","fat":"ghee","mass":2},{"kind":"letter"}]},
             "roll":{"diameter":180,"rest":20},"pan":{"temperature":214,"fat":"ghee","fatPerSide":2.5,"colour":"gold"}}
            """;
        var (bread, batch, log) = (Guid.NewGuid(), Guid.NewGuid(), Guid.NewGuid());
        Write($"insert into bread (id, name, about, spec, changed_at) values ('{bread}', 'Beet', '', '{Old}', '2026-11-01T09:00:00.000Z')");
        Write($"insert into batch (id, bread_id, name, spec, made_for, changed_at) values ('{batch}', '{bread}', 'Beet', '{Old}', '2026-11-01T09:00:00.000Z', '2026-11-01T09:00:00.000Z')");
        Write($"insert into log_entry (id, batch_id, spec, cooked_at, note, changed_at) values ('{log}', '{batch}', '{Old}', '2026-11-01T09:00:00.000Z', '', '2026-11-01T09:00:00.000Z')");

        var kitchen = temp.Open();
        var specs = new[] { new Breads(kitchen).Find(bread)!.Spec, new Batches(kitchen).Find(batch)!.Spec, new Logbook(kitchen).Find(log)!.Spec };

        Assert.All(specs, spec =>
        {
            Assert.Equal((StartBy.Pieces, 24), (spec.Start.By, spec.Start.Pieces));
            Assert.Equal((Feel.Soft, WaterBy.Hydration, 62.5), (spec.Dough.Feel, spec.Dough.WaterBy, spec.Dough.Hydration.Value));
            Assert.Equal(("puree-beet", AmountBy.Rest), (spec.Dough.Liquids.Single().Id, spec.Dough.Liquids.Single().Amount.By));
            Assert.Equal(("butter", 3.5, 1.7), (spec.Dough.Fat.Id, spec.Dough.Fat.Amount.Share.Value, spec.Dough.Salt.Amount.Share.Value));
            Assert.Equal([("seed-carom", 0.5), ("sugar", 2.0)], spec.Dough.Additions.Select(a => (a.Id, a.Amount.Share.Value)));
            Assert.Equal([("flour-white", 70.0), ("flour-atta", 30.0)], spec.Dough.Flours.Select(f => (f.Id, f.Parts)));
            Assert.True(spec.Rest.Covered);
            Assert.IsType<BrushStep>(spec.Fold.Steps[1]);
            Assert.Empty(Planner.Check(spec, Kitchen.Shipped).Refusals);
        });
        Assert.Empty(new Breads(kitchen).Find(bread)!.Tags);
    }

    [Fact]
    public void Places_of_the_clock_from_before_are_pieces_on_the_pan()
    {
        string Old(int places, int together) => JsonSerializer.Serialize(BatchSpec.Plain with { Clock = ClockSpec.Usual, Pan = BatchSpec.Plain.Pan with { Together = together } }, SpecJson.Options)
            .Replace("\"pans\":1", $"\"pans\":1,\"places\":{places}", StringComparison.Ordinal);
        var (more, fewer, running) = (Guid.NewGuid(), Guid.NewGuid(), Guid.NewGuid());
        foreach (var (id, spec) in new[] { (more, Old(4, 1)), (fewer, Old(2, 3)) })
        {
            Write($"insert into bread (id, name, about, spec, changed_at) values ('{id}', 'B{id}', '', '{spec}', '2026-11-01T09:00:00.000Z')", version: 9);
        }

        object Named(string name, string spec) => new { name, spec = JsonNode.Parse(spec) };
        var clock = JsonSerializer.Serialize(ClockSpec.Usual, SpecJson.Options).Replace("\"pans\":1", "\"pans\":1,\"places\":4", StringComparison.Ordinal);
        var body = JsonSerializer.Serialize(new { batchId = more, service = new { breads = new[] { Named("One", Old(4, 1)), Named("Two", Old(4, 6)) }, clock = JsonNode.Parse(clock), table = 3600 } });
        Write($"insert into service (id, name, body, opened_at, closed_at) values ('{running}', 'Leek', '{body}', '2026-11-01T09:00:00.000Z', null)", version: 9);

        var kitchen = temp.Open();

        Assert.Equal(4, new Breads(kitchen).Find(more)!.Spec.Pan.Together);
        Assert.Equal(3, new Breads(kitchen).Find(fewer)!.Spec.Pan.Together);
        Assert.Equal([4, 6], new Services(kitchen).Find(running)!.Service.Breads.Select(b => b.Spec.Pan.Together));
    }

    [Fact]
    public void Services_from_before_keep_their_events_in_their_order_and_the_one_that_runs_goes_on()
    {
        var (ended, running) = (Guid.NewGuid(), Guid.NewGuid());
        var events = Enumerable.Range(1, 12).Select(n => new StoveEvent(Guid.NewGuid(), new(n * 20 + 1.0 / 3), n == 12 ? StoveAct.End : StoveAct.Turned, 0, 0, 0, n)).ToList();
        var body = JsonSerializer.Serialize(new { batchId = Guid.NewGuid(), service = new Service([new("Leek", BatchSpec.Plain)], ClockSpec.Usual, new(3600)) }, SpecJson.Options);
        foreach (var (id, closed, count) in new[] { (ended, "'2026-11-01T10:00:00.000Z'", 12), (running, "null", 3) })
        {
            Write($"insert into service (id, name, body, opened_at, closed_at) values ('{id}', 'Leek', '{body}', '2026-11-01T09:00:00.000Z', {closed})", version: 5);
            // Written down in any order, they count by their numbers.
            foreach (var (e, n) in events.Take(count).Select((e, i) => (e, i + 1)).Reverse())
            {
                Write($"insert into service_event (service_id, id, number, body) values ('{id}', '{e.Id}', {n}, '{JsonSerializer.Serialize(e, SpecJson.Options)}')", version: 5);
            }
        }

        var services = new Services(temp.Open());
        Assert.Equal(events, services.Events(ended));
        Assert.Equal(events[..3], services.Events(running));
        services.Append(running, events[3], TempKitchen.Noon);
        Assert.Equal(events[..4], services.Events(running));
    }

    // The file as an earlier version made it: its scripts, and the journal that says so.
    private void Write(string sql, int version = 1)
    {
        Directory.CreateDirectory(Path.GetDirectoryName(temp.File)!);
        var fresh = !File.Exists(temp.File);
        using var db = new SqliteConnection($"Data Source={temp.File}");
        db.Open();
        if (fresh)
        {
            Run(db, "create table SchemaVersions (SchemaVersionID integer primary key autoincrement not null, ScriptName text not null, Applied datetime not null)");
            foreach (var name in KitchenDb.Scripts.Order(StringComparer.Ordinal).Take(version))
            {
                using var script = new StreamReader(typeof(KitchenDb).Assembly.GetManifestResourceStream(name)!);
                Run(db, script.ReadToEnd());
                Run(db, $"insert into SchemaVersions (ScriptName, Applied) values ('{name}', '2026-11-01')");
            }
        }

        Run(db, sql);
    }

    private static void Run(SqliteConnection db, string sql)
    {
        using var command = db.CreateCommand();
#pragma warning disable CA2100 // Every statement stands in this test.
        command.CommandText = sql;
#pragma warning restore CA2100
        command.ExecuteNonQuery();
    }
}
