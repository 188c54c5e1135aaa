using System.Collections.Concurrent;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store.Tests;

public sealed class KitchenTests : IDisposable
{
    private readonly TempKitchen temp = new();

    public void Dispose() => temp.Dispose();

    [Fact]
    public void A_new_kitchen_makes_its_folder_and_can_be_written_also_while_somebody_writes()
    {
        var kitchen = temp.Open();
        kitchen.TryToWrite();
        using var db = kitchen.Connect();
        using var writing = db.BeginTransaction();
        kitchen.TryToWrite();
    }

    [Fact]
    public void Opening_again_keeps_what_was_there()
    {
        var bread = TempKitchen.SomeBread();
        new Breads(temp.Open()).Add(bread);

        Assert.Equivalent(bread, new Breads(temp.Open()).Find(bread.Id), strict: true);
    }

    [Theory]
    [InlineData("pragma journal_mode", "wal")]
    [InlineData("pragma synchronous", 2L)]
    [InlineData("pragma foreign_keys", 1L)]
    public void Every_connection_writes_ahead_waits_for_the_disk_and_minds_its_references(string pragma, object value)
    {
        using var db = temp.Open().Connect();
        using var command = db.CreateCommand();
#pragma warning disable CA2100 // The statements stand above.
        command.CommandText = pragma;
#pragma warning restore CA2100
        Assert.Equal(value, command.ExecuteScalar());
    }

    [Fact]
    public void A_file_that_is_no_kitchen_is_left_as_it_was()
    {
        Directory.CreateDirectory(Path.GetDirectoryName(temp.File)!);
        File.WriteAllText(temp.File, "a shopping list, not a database, and long enough to have a header of sorts");

        Assert.Throws<BackupException>(() => temp.Open());
        Assert.StartsWith("a shopping list", File.ReadAllText(temp.File), StringComparison.Ordinal);
    }

    [Fact]
    public void A_batch_of_a_bread_that_never_was_is_refused() =>
        Assert.Throws<SqliteException>(() => new Batches(temp.Open()).Add(TempKitchen.SomeBatch(Guid.NewGuid())));

    [Fact]
    public async Task No_two_hands_ever_hold_one_connection_and_none_is_closed_under_them()
    {
        var (path, held, shared) = (KitchenDb.ConnectionTo(temp.File), new ConcurrentDictionary<object, int>(), 0);
        temp.Open();

        await Task.WhenAll(Enumerable.Range(0, 16).Select(hand => Task.Factory.StartNew(
            () =>
            {
                for (var i = 0; i < 2000; i++)
                {
                    using var db = Pool.Open(path);
                    var handle = db.Handle!;
                    Interlocked.Add(ref shared, held.TryAdd(handle, hand) ? 0 : 1);
                    db.Execute("select 1");
                    held.TryRemove(handle, out _);
                    if (i % 8 == 0)
                    {
                        Pool.Clear(temp.File);
                    }
                }
            },
            CancellationToken.None,
            TaskCreationOptions.LongRunning,
            TaskScheduler.Default)));

        Assert.Equal(0, shared);
    }

    [Fact]
    public void Many_hands_can_write_at_once()
    {
        var kitchen = temp.Open();
        var breads = new Breads(kitchen);

        Parallel.For(0, 40, i => new Breads(kitchen).Add(TempKitchen.SomeBread($"bread {i:00}")));

        Assert.Equal(40, breads.All().Count);
    }

    [Fact]
    public async Task Every_way_to_write_waits_for_whoever_holds_the_file()
    {
        var kitchen = temp.Open();
        var (breads, batches, log, pantry, record, services, scores, glances) =
            (new Breads(kitchen), new Batches(kitchen), new Logbook(kitchen), new Pantry(kitchen), new Record(kitchen), new Services(kitchen), new PracticeScores(kitchen), new Glances(kitchen));
        var (bread, batch) = (TempKitchen.SomeBread(), TempKitchen.SomeBatch());
        breads.Add(bread);
        batches.Add(batch);
        var entry = TempKitchen.SomeEntry(batch.Id);
        var service = new KeptService(Guid.CreateVersion7(), batch.Id, batch.Name, new([new(batch.Name, batch.Spec)], ClockSpec.Usual, new(3600)), TempKitchen.Noon, null);
        services.Add(service);
        Action[] writes =
        [
            () => breads.Add(TempKitchen.SomeBread("another")),
            () => breads.Change(bread with { Name = "changed" }, Meant.Whatever),
            () => batches.Change(batch with { Name = "changed" }, Meant.Whatever),
            () => log.Add(entry, []),
            () => pantry.Keep([Larder.Shipped["ghee"]], TempKitchen.Noon),
            () => pantry.Keep(Units.Usual),
            () => pantry.Keep(new Vessel("glass", "Glass", new(200)), TempKitchen.Noon),
            () => record.Use(LessonKind.PanTime, "", true),
            () => services.Append(service.Id, new(Guid.NewGuid(), new(1), StoveAct.Laid, 0, 0, 0, 1), TempKitchen.Noon),
            () => scores.Add(new(Guid.NewGuid(), 1, TempKitchen.Noon, 50, [10], 20)),
            () => glances.Keep("x", [("v", "{}")], ["v"]),
            () => new Trash(kitchen).Empty(TempKitchen.Noon),
        ];
        List<Task> waiting;
        using (var db = kitchen.Connect())
        using (db.BeginTransaction())
        {
            waiting = [.. writes.Select(w => Task.Factory.StartNew(w, CancellationToken.None, TaskCreationOptions.LongRunning, TaskScheduler.Default))];
            await Task.Delay(500);
            Assert.All(waiting, w => Assert.False(w.IsCompleted));
        }

        await Task.WhenAll(waiting);
        Assert.Equal("changed", breads.Find(bread.Id)!.Name);
        Assert.Single(services.Events(service.Id));
        Assert.NotNull(log.Find(entry.Id));
    }
}
