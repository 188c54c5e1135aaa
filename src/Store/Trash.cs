using Dapper;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store;

/// <summary>Something that was deleted and can be taken back.</summary>
/// <param name="Kind">bread, batch or log.</param>
public sealed record Trashed(string Kind, Guid Id, string Name, DateTimeOffset DeletedAt);

/// <summary>Deleting marks a row; taking back clears the mark; after thirty days it is gone.</summary>
public sealed class Trash(KitchenDb kitchen)
{
    public const int Days = 30;

    /// <summary>What was deleted last first.</summary>
    /// <param name="after">The last of the page before.</param>
    /// <returns>Nothing when that does not lie here.</returns>
    public IReadOnlyList<Trashed>? Latest(int most, Guid? after = null)
    {
        const string all =
            """
            (select 'bread' kind, id, name, deleted_at from bread where deleted_at is not null
             union all select 'batch', id, name, deleted_at from batch where deleted_at is not null
             union all select 'log', id, name, deleted_at from log_entry where deleted_at is not null)
            """;
        using var db = kitchen.Connect();
        var from = after is null ? null : db.QueryFirstOrDefault<string>($"select deleted_at from {all} where id = @id", new { id = after.ToString() });
        return after is not null && from is null ? null :
        [
            .. db.Query<(string Kind, string Id, string Name, string At)>(
                $"""
                select kind, id, name, deleted_at from {all}
                {(after is null ? "" : "where deleted_at < @from or (deleted_at = @from and id > @after)")} order by 4 desc, 2 limit @most
                """,
                new { most, from, after = after?.ToString() }).Select(r => new Trashed(r.Kind, Guid.Parse(r.Id), r.Name, KitchenDb.Unstamp(r.At))),
        ];
    }

    /// <summary>Takes out for good what was deleted more than thirty days ago. What something that stays still hangs on stays too, out of sight.</summary>
    /// <returns>How many were taken out.</returns>
    public int Empty(DateTimeOffset now)
    {
        using var db = kitchen.Connect();
        using var work = db.BeginTransaction();
        var old = new { until = KitchenDb.Stamp(now.AddDays(-Days)) };
        const string entries = "(select id from log_entry where deleted_at < @until)";
        db.Execute($"delete from log_flour where entry_id in {entries}; delete from log_fault where entry_id in {entries}; delete from lesson where entry_id in {entries}", old, work);
        var gone = db.Execute("delete from log_entry where deleted_at < @until", old, work);
        gone += db.Execute(
            "delete from batch where deleted_at < @until and id not in (select batch_id from log_entry) and id not in (select batch_id from service where batch_id is not null)", old, work);
        gone += db.Execute("delete from bread where deleted_at < @until and id not in (select bread_id from batch where bread_id is not null)", old, work);
        db.Execute("delete from photo where made_at < @until and id not in (select photo_id from log_entry where photo_id is not null)", old, work);
        work.Commit();
        return gone;
    }

    internal static void Put(SqliteConnection db, string table, Guid id, DateTimeOffset at) =>
        db.Execute($"update {table} set deleted_at = @at where id = @id and deleted_at is null", new { id = id.ToString(), at = KitchenDb.Stamp(at) });

    internal static bool TakeBack(KitchenDb kitchen, string table, Guid id)
    {
        using var db = kitchen.Connect();
        return db.Execute(
            $"update {table} set deleted_at = null where id = @id and deleted_at is not null",
            new { id = id.ToString() }) == 1;
    }
}
