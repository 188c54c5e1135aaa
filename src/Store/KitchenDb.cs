using System.Globalization;
using Dapper;
using DbUp;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store;

/// <summary>The kitchen's one database file. A write that has returned is on the disk.</summary>
public sealed class KitchenDb
{
    /// <summary>How the platform says that a disk is full (ENOSPC).</summary>
    public const int NoSpace = 28;

    // SQLite's own usual.
    private const int PagesBeforeSettling = 1000;

    private readonly string connectionString;

    // Everything that writes waits so long for what is being written: a restore holds the file for seconds.
    private const int WaitMs = 30_000;

    // What a long read let the log grow to is cut back to this, bytes.
    private const int LogBytes = 16 << 20;

    private KitchenDb(string path)
    {
        (File, connectionString) = (Path.GetFullPath(path), ConnectionTo(path));
        Workshop = new(Path.Combine(Path.GetDirectoryName(File)!, "ystrata-work"));
    }

    /// <summary>Where files lie while they are worked on.</summary>
    public Workshop Workshop { get; }

    /// <summary>Where it lies.</summary>
    public string File { get; }

    /// <summary>Every migration this version knows.</summary>
    internal static IReadOnlyList<string> Scripts { get; } = [.. typeof(KitchenDb).Assembly.GetManifestResourceNames().Where(IsMigration)];

    private static bool IsMigration(string resource) => resource.Contains(".Migrations.", StringComparison.Ordinal);

    /// <summary>Opens the file, making it and bringing it up to date where needed; one that has to be brought up to date is copied first.</summary>
    /// <exception cref="BackupException">It is no kitchen's file, is damaged, or was made by a newer version.</exception>
    /// <exception cref="InvalidOperationException">A migration failed; the file is as it was before that migration.</exception>
    public static KitchenDb Open(string path)
    {
        Directory.CreateDirectory(Path.GetDirectoryName(Path.GetFullPath(path))!);
        var kitchen = new KitchenDb(path);
        if (new FileInfo(path) is { Exists: true, Length: > 0 })
        {
            BackupCheck.Kind(path);
            if (BackupCheck.ScriptsOf(path).Count < Scripts.Count)
            {
                new Backups(kitchen).Make(DateTimeOffset.UtcNow);
            }
        }

        using (var db = kitchen.Connect())
        {
            db.Execute("pragma journal_mode = wal");
        }

        var result = DeployChanges.To
            .SqliteDatabase(ConnectionTo(path, pooled: false))
            .WithScriptsEmbeddedInAssembly(typeof(KitchenDb).Assembly, IsMigration)
            .WithTransactionPerScript()
            .LogToNowhere()
            .Build()
            .PerformUpgrade();
        return result.Successful
            ? kitchen
            : throw new InvalidOperationException($"{path}: {result.ErrorScript?.Name} failed", result.Error);
    }

    internal static string ConnectionTo(string path, bool pooled = true) => new SqliteConnectionStringBuilder { DataSource = path, ForeignKeys = true, Pooling = pooled }.ToString();

    /// <summary>A connection for one unit of work: every commit waits for the disk, a busy file for half a minute.</summary>
    internal SqliteConnection Connect()
    {
        var db = Pool.Open(connectionString);
        db.Execute($"pragma synchronous = full; pragma busy_timeout = {WaitMs}; pragma wal_autocheckpoint = {PagesBeforeSettling}; pragma journal_size_limit = {LogBytes}");
        return db;
    }

    /// <summary>Lays what was written last, and is safe on the disk beside the file, into the file itself. Small writes do so by themselves now and then.</summary>
    public void Settle()
    {
        using var db = Connect();
        // Whoever reads or writes is not waited for: it is done again another time.
        db.Execute($"pragma busy_timeout = 0; pragma wal_checkpoint(truncate); pragma busy_timeout = {WaitMs}");
    }

    /// <summary>Works with this kitchen as main and another file of the same version as other.</summary>
    internal T With<T>(string path, Func<SqliteConnection, T> work)
    {
        using var db = Connect();
        db.Execute("attach database @path as other", new { path });
        try
        {
            return work(db);
        }
        finally
        {
            db.Execute("detach database other");
        }
    }

    internal static List<string> Columns(SqliteConnection db, string table) => [.. db.Query<string>($"select name from pragma_table_info('{table}', 'main')")];

    /// <summary>Tries whether what is written now would be kept: a few bytes to the disk, and the file's own lock. Whoever writes just now is proof enough.</summary>
    /// <exception cref="IOException">The disk is full or fails.</exception>
    /// <exception cref="SqliteException">The file cannot be written.</exception>
    public void TryToWrite()
    {
        var place = Workshop.Place();
        try
        {
            using var file = new FileStream(Path.Combine(place, "try"), FileMode.CreateNew);
            file.Write("well"u8);
            file.Flush(flushToDisk: true);
        }
        finally
        {
            Directory.Delete(place, recursive: true);
        }

        using var db = Connect();
        db.Execute("pragma busy_timeout = 0");
        try
        {
            // The driver waits by itself too, and a second is its least.
            db.Execute("begin immediate; rollback", commandTimeout: 1);
        }
        catch (SqliteException e) when (e.SqliteErrorCode is SQLitePCL.raw.SQLITE_BUSY)
        {
            // Somebody writes.
        }
        finally
        {
            db.Execute($"pragma busy_timeout = {WaitMs}");
        }
    }

    internal static string Stamp(DateTimeOffset at) => string.Concat(at.UtcDateTime.ToString("O", CultureInfo.InvariantCulture).AsSpan(0, "yyyy-MM-ddTHH:mm:ss.fff".Length), "Z");

    /// <summary>SQL that writes a figure as JSON with every digit it has: SQLite's own way drops the last two.</summary>
    internal static string Exact(string column) =>
        $"iif({column} is null or {column} = cast({column} as integer), {column}, json(iif(cast(printf('%!.15g', {column}) as real) = {column}, printf('%!.15g', {column}), printf('%!.17g', {column}))))";

    internal static string? StampIf(DateTimeOffset? at) => at is { } then ? Stamp(then) : null;

    internal static DateTimeOffset? UnstampIf(string? text) => text is null ? null : Unstamp(text);

    internal static DateTimeOffset Unstamp(string text) => DateTimeOffset.Parse(text, CultureInfo.InvariantCulture);
}
