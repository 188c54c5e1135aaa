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
    public void Many_hands_can_write_at_once()
    {
        var kitchen = temp.Open();
        var breads = new Breads(kitchen);

        Parallel.For(0, 40, i => new Breads(kitchen).Add(TempKitchen.SomeBread($"bread {i:00}")));

        Assert.Equal(40, breads.All().Count);
    }
}
