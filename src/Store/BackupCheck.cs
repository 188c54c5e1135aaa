using Dapper;
using Microsoft.Data.Sqlite;
using SQLitePCL;

namespace Ystrata.Store;

/// <summary>Looks whether a file is a sound kitchen's.</summary>
internal static class BackupCheck
{
    /// <exception cref="BackupException">It is broken, no kitchen's, or a newer version's.</exception>
    public static void All(string path)
    {
        Whole(path);
        Kind(path);
    }

    /// <exception cref="BackupException">A page of it is broken.</exception>
    public static void Whole(string path) => Looked(path, db => db.ExecuteScalar<string>("pragma integrity_check(1)") == "ok" ? null : BackupFault.Broken);

    /// <summary>Looks at what kind of file it is, and no further.</summary>
    /// <exception cref="BackupException">It is no kitchen's, or a newer version's.</exception>
    public static void Kind(string path) => Looked(path, db =>
    {
        var tables = db.Query<string>("select name from sqlite_master where type = 'table'").ToHashSet();
        return !tables.Contains("bread") || !tables.Contains("SchemaVersions") ? BackupFault.Foreign
            : db.Query<string>("select ScriptName from SchemaVersions").Except(KitchenDb.Scripts).Any() ? BackupFault.Newer
            : null;
    });

    /// <summary>The migrations a kitchen's file has had.</summary>
    public static IReadOnlyList<string> ScriptsOf(string path)
    {
        using var db = Open(path, SqliteOpenMode.ReadOnly);
        return [.. db.Query<string>("select ScriptName from SchemaVersions")];
    }

    public static SqliteConnection Open(string path, SqliteOpenMode mode)
    {
        var db = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = path, Mode = mode, Pooling = false }.ToString());
        db.Open();
        return db;
    }

    private static void Looked(string path, Func<SqliteConnection, BackupFault?> look)
    {
        BackupFault? fault;
        try
        {
            using var db = Open(path, SqliteOpenMode.ReadOnly);
            fault = look(db);
        }
        catch (SqliteException e) when (e.SqliteErrorCode is not (raw.SQLITE_BUSY or raw.SQLITE_LOCKED or raw.SQLITE_CANTOPEN or raw.SQLITE_PERM or raw.SQLITE_READONLY or raw.SQLITE_FULL or raw.SQLITE_IOERR))
        {
            fault = BackupFault.Broken;
        }

        if (fault is { } found)
        {
            throw new BackupException(found);
        }
    }
}
