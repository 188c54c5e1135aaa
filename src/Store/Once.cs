using Dapper;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store;

internal static class Once
{
    /// <summary>Puts down one thing that is not there yet, in the trash or not, whole or not at all.</summary>
    /// <returns>False when something by this id is, or was: then nothing has changed.</returns>
    public static bool Add(KitchenDb kitchen, string table, Guid id, Action<SqliteConnection> put)
    {
        using var db = kitchen.Connect();
        using var work = db.BeginTransaction();
        if (db.ExecuteScalar<bool>($"select exists (select 1 from {table} where id = @id)", new { id = id.ToString() }))
        {
            return false;
        }

        put(db);
        work.Commit();
        return true;
    }
}
