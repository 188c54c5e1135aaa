using Dapper;

namespace Ystrata.Store;

/// <summary>Deleting marks a row; taking back clears the mark.</summary>
internal static class Trash
{
    public static bool Put(Kitchen kitchen, string table, Guid id, DateTimeOffset at)
    {
        using var db = kitchen.Connect();
        return db.Execute(
            $"update {table} set deleted_at = @at where id = @id and deleted_at is null",
            new { id = id.ToString(), at = Kitchen.Stamp(at) }) == 1;
    }

    public static bool TakeBack(Kitchen kitchen, string table, Guid id)
    {
        using var db = kitchen.Connect();
        return db.Execute(
            $"update {table} set deleted_at = null where id = @id and deleted_at is not null",
            new { id = id.ToString() }) == 1;
    }
}
