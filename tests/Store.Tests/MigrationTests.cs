using Microsoft.Data.Sqlite;
using Ystrata.Core;

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
            Assert.Empty(SpecCheck.Check(spec, Larder.Shipped));
        });
        Assert.Empty(new Breads(kitchen).Find(bread)!.Tags);
    }

    // The file as the first version made it: its one script, and the journal that says so.
    private void Write(string sql)
    {
        Directory.CreateDirectory(Path.GetDirectoryName(temp.File)!);
        var fresh = !File.Exists(temp.File);
        using var db = new SqliteConnection($"Data Source={temp.File}");
        db.Open();
        if (fresh)
        {
            const string First = "Ystrata.Store.Migrations.0001_breads_batches_log.sql";
            using var script = new StreamReader(typeof(Kitchen).Assembly.GetManifestResourceStream(First)!);
            Run(db, script.ReadToEnd());
            Run(db, "create table SchemaVersions (SchemaVersionID integer primary key autoincrement not null, ScriptName text not null, Applied datetime not null)");
            Run(db, $"insert into SchemaVersions (ScriptName, Applied) values ('{First}', '2026-11-01')");
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
