using Microsoft.Data.Sqlite;

namespace Ystrata.Store;

/// <summary>The one door to pooled connections.</summary>
/// <remarks>
/// Opening and clearing are one at a time. The library (Microsoft.Data.Sqlite 10) marks a connection as in use before it notes by whom; another that opens or
/// clears at that moment takes it for a leaked one, and closes it under its user's hands or gives it to a second.
/// </remarks>
internal static class Pool
{
    private static readonly Lock Door = new();

    public static SqliteConnection Open(string connectionString)
    {
        var db = new SqliteConnection(connectionString);
        lock (Door)
        {
            db.Open();
        }

        return db;
    }

    /// <summary>Closes what is open on a file, at once or as soon as its user is done.</summary>
    public static void Clear(string path)
    {
        using var db = new SqliteConnection(KitchenDb.ConnectionTo(path));
        lock (Door)
        {
            SqliteConnection.ClearPool(db);
        }
    }
}
