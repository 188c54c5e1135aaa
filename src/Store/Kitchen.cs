using System.Globalization;
using Dapper;
using DbUp;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store;

/// <summary>The kitchen's one database file. A write that has returned is on the disk.</summary>
public sealed class Kitchen
{
    private readonly string connectionString;

    private Kitchen(string path) => (File, connectionString) = (Path.GetFullPath(path), ConnectionTo(path));

    /// <summary>Where it lies.</summary>
    public string File { get; }

    /// <summary>Every migration this version knows.</summary>
    internal static IReadOnlyList<string> Scripts { get; } = typeof(Kitchen).Assembly.GetManifestResourceNames();

    /// <summary>Opens the file, making it and bringing it up to date where needed.</summary>
    /// <exception cref="InvalidOperationException">A migration failed; the file is as it was before that migration.</exception>
    public static Kitchen Open(string path)
    {
        Directory.CreateDirectory(Path.GetDirectoryName(Path.GetFullPath(path))!);
        var kitchen = new Kitchen(path);
        using (var db = kitchen.Connect())
        {
            db.Execute("pragma journal_mode = wal");
        }

        var result = DeployChanges.To
            .SqliteDatabase(kitchen.connectionString)
            .WithScriptsEmbeddedInAssembly(typeof(Kitchen).Assembly)
            .WithTransactionPerScript()
            .LogToNowhere()
            .Build()
            .PerformUpgrade();
        return result.Successful
            ? kitchen
            : throw new InvalidOperationException($"{path}: {result.ErrorScript?.Name} failed", result.Error);
    }

    internal static string ConnectionTo(string path) => new SqliteConnectionStringBuilder { DataSource = path, ForeignKeys = true }.ToString();

    /// <summary>A connection for one unit of work: every commit waits for the disk, a busy file for five seconds.</summary>
    internal SqliteConnection Connect()
    {
        var db = new SqliteConnection(connectionString);
        db.Open();
        db.Execute("pragma synchronous = full; pragma busy_timeout = 5000");
        return db;
    }

    /// <summary>True while the file answers.</summary>
    public bool Answers()
    {
        using var db = Connect();
        return db.ExecuteScalar<int>("select 1") == 1;
    }

    internal static string Stamp(DateTimeOffset at) => at.ToUniversalTime().ToString("yyyy-MM-dd'T'HH:mm:ss.fff'Z'", CultureInfo.InvariantCulture);

    internal static DateTimeOffset Unstamp(string text) => DateTimeOffset.Parse(text, CultureInfo.InvariantCulture);
}
