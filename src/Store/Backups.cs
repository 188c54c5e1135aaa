using System.Globalization;
using System.Text.RegularExpressions;
using Dapper;
using Microsoft.Data.Sqlite;
using SQLitePCL;

namespace Ystrata.Store;

/// <summary>A copy of the kitchen's file, taken while it runs.</summary>
/// <param name="Daily">Made by itself, once a day; only the newest <see cref="Backups.Kept"/> of those stay.</param>
public sealed record BackupFile(string Name, DateTimeOffset MadeAt, long Bytes, bool Daily);

/// <summary>How one part of the kitchen would change.</summary>
/// <param name="Part">bread, batch, log, larder or photo.</param>
public sealed record RestoreCount(string Part, int Back, int Gone, int Changed, int Same);

/// <summary>What a restore would do.</summary>
/// <param name="Back">Names of breads that would come back.</param>
/// <param name="Gone">Names of breads that would be gone.</param>
public sealed record RestorePreview(IReadOnlyList<RestoreCount> Parts, IReadOnlyList<string> Back, IReadOnlyList<string> Gone);

/// <summary>Why a file cannot be restored from, or deleted.</summary>
public enum BackupFault
{
    NotThere,

    /// <summary>Made by itself: those go by themselves too.</summary>
    Daily,

    /// <summary>No database, or a broken one.</summary>
    Broken,

    /// <summary>A database of something else.</summary>
    Foreign,

    /// <summary>Made by a newer version than this one.</summary>
    Newer,
}

public sealed class BackupException(BackupFault fault) : Exception(fault.ToString())
{
    public BackupFault Fault => fault;
}

/// <summary>Backups of the kitchen, in a folder beside its file.</summary>
public sealed partial class Backups(KitchenDb kitchen)
{
    /// <summary>Daily backups that stay.</summary>
    public const int Kept = 14;

    /// <summary>Others that stay: made by hand, brought, or made before the kitchen was laid over.</summary>
    public const int OthersKept = 20;

    private static readonly (string Part, string Table)[] Parts =
        [("bread", "bread"), ("batch", "batch"), ("log", "log_entry"), ("larder", "larder_item"), ("photo", "photo")];

    // The file, its log, and what its readers share.
    private static readonly string[] FileParts = ["", "-wal", "-shm"];

    private readonly string folder = Path.Combine(Path.GetDirectoryName(kitchen.File)!, "backups");

    /// <summary>Why the newest copy that was tried is none: the kitchen's own file is damaged. Nothing when it was sound.</summary>
    public BackupFault? Damaged { get; private set; }

    /// <summary>The newest first.</summary>
    public IReadOnlyList<BackupFile> All()
    {
        try
        {
            return
            [
                .. new DirectoryInfo(folder).EnumerateFiles("*.db").Where(f => Named().IsMatch(f.Name)).Select(Seen).OfType<BackupFile>()
                    .OrderByDescending(f => f.MadeAt).ThenByDescending(f => f.Name, StringComparer.Ordinal),
            ];
        }
        catch (DirectoryNotFoundException)
        {
            return [];
        }
    }

    // Whatever is deleted while they are looked through is not there any more.
    private static BackupFile? Seen(FileInfo file)
    {
        file.Refresh();
        return file.Exists ? new(file.Name, new(file.LastWriteTimeUtc, TimeSpan.Zero), file.Length, Daily().IsMatch(file.Name)) : null;
    }

    /// <summary>Copies the kitchen as it stands, by SQLite's own online backup; whoever writes meanwhile is not held up. A copy that is not sound takes no other's place.</summary>
    /// <exception cref="BackupException">The copy is broken, since the kitchen's file is; nothing of it stays.</exception>
    /// <param name="spare">One that stays, however old it is.</param>
    public BackupFile Make(DateTimeOffset at, bool daily = false, string? spare = null)
    {
        var place = kitchen.Workshop.Place();
        try
        {
            var half = Path.Combine(place, "copy.db");
            using (var db = kitchen.Connect())
            using (var to = BackupCheck.Open(half, SqliteOpenMode.ReadWriteCreate))
            {
                db.BackupDatabase(to);
                // A copy is one file: nothing of it lies in a log beside it.
                to.Execute("pragma journal_mode = delete");
            }

            BackupCheck.Whole(half);
            Damaged = null;
            return Laid(half, at, daily ? DayOf(at) : null, "", spare);
        }
        catch (BackupException e)
        {
            Damaged = e.Fault;
            throw;
        }
        catch (SqliteException e) when (e.SqliteErrorCode is raw.SQLITE_CORRUPT or raw.SQLITE_NOTADB)
        {
            Damaged = BackupFault.Broken;
            throw new BackupException(BackupFault.Broken);
        }
        finally
        {
            Directory.Delete(place, recursive: true);
        }
    }

    // Gives a sound copy its place. But for the day's own, none ever takes another's.
    private BackupFile Laid(string copy, DateTimeOffset at, string? day, string suffix, string? spare)
    {
        Directory.CreateDirectory(folder);
        File.SetLastWriteTimeUtc(copy, at.UtcDateTime);
        var (name, made, length) = (day ?? NameAt(at, suffix), at.ToUniversalTime(), new FileInfo(copy).Length);
        for (var taken = true; taken;)
        {
            try
            {
                File.Move(copy, Path.Combine(folder, name), overwrite: day is not null);
                taken = false;
            }
            catch (IOException) when (day is null && File.Exists(Path.Combine(folder, name)))
            {
                at = at.AddMilliseconds(1);
                name = NameAt(at, suffix);
            }
        }

        Thin(name, at, spare);
        return new(name, made, length, day is not null);
    }

    // One more of the others: the oldest of too many goes.
    private void Thin(string name, DateTimeOffset at, string? spare)
    {
        foreach (var old in All().Where(f => !f.Daily && f.Name != name && f.Name != spare).OrderByDescending(f => f.MadeAt < at ? f.MadeAt : at).Skip(OthersKept - 1))
        {
            Remove(Path.Combine(folder, old.Name));
        }
    }

    /// <summary>Deletes one that was not made by itself, for good.</summary>
    /// <exception cref="BackupException">There is none of that name, or it is a daily one.</exception>
    public void Delete(string name)
    {
        var path = PathOf(name) ?? throw new BackupException(BackupFault.NotThere);
        if (Daily().IsMatch(name))
        {
            throw new BackupException(BackupFault.Daily);
        }

        Remove(path);
    }

    /// <summary>The day of the newest daily copy from before today; nothing when there is none. What is deleted by age has to be old by that day's clock too.</summary>
    public DateTimeOffset? DayBefore(DateTimeOffset now) =>
        All().Where(f => f.Daily && f.MadeAt.UtcDateTime.Date < now.UtcDateTime.Date).Select(f => (DateTimeOffset?)f.MadeAt).FirstOrDefault();

    /// <summary>One a day, and no more of those than stay.</summary>
    /// <returns>True when today's was still wanting.</returns>
    public bool MakeDaily(DateTimeOffset at)
    {
        var made = All().All(f => !f.Daily || f.MadeAt.UtcDateTime.Date != at.UtcDateTime.Date);
        if (made)
        {
            Make(at, daily: true);
        }

        // A clock that was wrong for a while has made some of days to come: they are no newer than today's.
        foreach (var old in All().Where(f => f.Daily).OrderByDescending(f => f.MadeAt < at ? f.MadeAt : at).Skip(Kept))
        {
            Remove(Path.Combine(folder, old.Name));
        }

        return made;
    }

    /// <summary>Takes a file in from elsewhere, when it is a sound backup of a kitchen.</summary>
    /// <exception cref="BackupException">It is not; nothing of it stays.</exception>
    public async Task<BackupFile> Bring(Stream file, DateTimeOffset at, CancellationToken gone)
    {
        var place = kitchen.Workshop.Place();
        try
        {
            var half = Path.Combine(place, "brought.db");
            await using (var to = File.Create(half))
            {
                await file.CopyToAsync(to, gone);
            }

            BackupCheck.All(half);
            return Laid(half, at, null, "-brought", null);
        }
        finally
        {
            Directory.Delete(place, recursive: true);
        }
    }

    /// <returns>Where it lies; nothing when there is no backup of that name.</returns>
    public string? PathOf(string name) => Named().IsMatch(name) && File.Exists(Path.Combine(folder, name)) ? Path.Combine(folder, name) : null;

    /// <summary>What a restore would change.</summary>
    /// <exception cref="BackupException">It cannot be restored from.</exception>
    public RestorePreview Preview(string name) => With(name, db =>
    {
        var parts = Parts.Select(p =>
        {
            // Beside the time of a change, what was put in the trash counts as gone.
            var columns = KitchenDb.Columns(db, p.Table);
            var alive = columns.Contains("deleted_at") ? "deleted_at is null" : "true";
            var changed = columns.Contains("changed_at") ? "h.changed_at is not t.changed_at" : "false";
            int Count(string sql) => db.ExecuteScalar<int>(sql);
            var both = $"from main.{p.Table} h join other.{p.Table} t on t.id = h.id where h.{alive} and t.{alive}".Replace("h.true", "true", StringComparison.Ordinal).Replace("t.true", "true", StringComparison.Ordinal);
            return new RestoreCount(
                p.Part,
                Count($"select count(*) from other.{p.Table} where {alive} and id not in (select id from main.{p.Table} where {alive})"),
                Count($"select count(*) from main.{p.Table} where {alive} and id not in (select id from other.{p.Table} where {alive})"),
                Count($"select count(*) {both} and {changed}"),
                Count($"select count(*) {both} and not ({changed})"));
        }).ToList();
        IReadOnlyList<string> Only(string here, string there) =>
            [.. db.Query<string>($"select name from {here}.bread where deleted_at is null and id not in (select id from {there}.bread where deleted_at is null) order by name limit 50")];
        return new RestorePreview(parts, Only("other", "main"), Only("main", "other"));
    });

    /// <summary>
    /// Makes the kitchen what it was, whole or not at all; a backup of how it is now is made first. Where the kitchen's own file is damaged it is laid
    /// aside as it is, and the backup takes its place.
    /// </summary>
    /// <exception cref="BackupException">It cannot be restored from; nothing has changed.</exception>
    public BackupFile Restore(string name, DateTimeOffset at)
    {
        if (PathOf(name) is null)
        {
            throw new BackupException(BackupFault.NotThere);
        }

        try
        {
            return LaidOver(name, at);
        }
        catch (Exception e) when (Damaged is not null || e is SqliteException { SqliteErrorCode: raw.SQLITE_CORRUPT or raw.SQLITE_NOTADB })
        {
            return Swapped(name, at);
        }
    }

    private BackupFile LaidOver(string name, DateTimeOffset at)
    {
        BackupFile? before = null;
        With(name, db =>
        {
            using var work = db.BeginTransaction();
            // From here on nobody else writes: what was answered until now is in the copy.
            before = Make(at, spare: name);
            db.Execute("pragma defer_foreign_keys = on", transaction: work);
            var tables = db.Query<string>("select name from pragma_table_list where schema = 'main' and type = 'table' and name not like 'sqlite%' and name <> 'SchemaVersions'", transaction: work).ToList();
            foreach (var table in tables)
            {
                var columns = string.Join(", ", KitchenDb.Columns(db, table));
                db.Execute($"delete from main.{table}; insert into main.{table} ({columns}) select {columns} from other.{table}", transaction: work);
            }

            work.Commit();
            return true;
        });
        return before!;
    }

    private BackupFile Swapped(string name, DateTimeOffset at)
    {
        var path = PathOf(name) ?? throw new BackupException(BackupFault.NotThere);
        BackupCheck.All(path);
        var copy = Path.Combine(kitchen.Workshop.Place(), "whole.db");
        var aside = Path.Combine(folder, NameAt(at, "").Replace("ystrata-", "damaged-", StringComparison.Ordinal));
        try
        {
            File.Copy(path, copy);
            KitchenDb.Open(copy);
            // With the last connection goes the log beside it: all of it lies in one file then.
            Pool.Clear(copy);
            Pool.Clear(kitchen.File);
            // There is a kitchen's file at every moment, whenever this is cut off.
            File.Copy(kitchen.File, aside);
            foreach (var part in FileParts.Where(p => p.Length > 0 && File.Exists(kitchen.File + p)))
            {
                File.Move(kitchen.File + part, aside + part);
            }

            File.Move(copy, kitchen.File, overwrite: true);
        }
        finally
        {
            Directory.Delete(Path.GetDirectoryName(copy)!, recursive: true);
        }

        KitchenDb.Open(kitchen.File);
        Damaged = null;
        return new(Path.GetFileName(aside), at, new FileInfo(aside).Length, false);
    }

    private static string DayOf(DateTimeOffset at) => $"ystrata-{at.UtcDateTime.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}.db";

    private static string NameAt(DateTimeOffset at, string suffix) => $"ystrata-{at.UtcDateTime.ToString("yyyy-MM-dd-HHmmssfff", CultureInfo.InvariantCulture)}{suffix}.db";

    // The backup as other beside the kitchen as main, brought up to this version in a copy of its own.
    private T With<T>(string name, Func<SqliteConnection, T> work)
    {
        var path = PathOf(name) ?? throw new BackupException(BackupFault.NotThere);
        BackupCheck.All(path);
        var copy = Path.Combine(kitchen.Workshop.Place(), "old.db");
        try
        {
            File.Copy(path, copy);
            KitchenDb.Open(copy);
            return kitchen.With(copy, work);
        }
        finally
        {
            Pool.Clear(copy);
            Directory.Delete(Path.GetDirectoryName(copy)!, recursive: true);
        }
    }

    private static void Remove(string path)
    {
        if (File.Exists(path))
        {
            File.Delete(path);
        }
    }

    [GeneratedRegex(@"^ystrata-\d{4}-\d\d-\d\d(-\d{9}(-brought)?)?\.db$")]
    private static partial Regex Named();

    /// <summary>What a daily copy is called, here and elsewhere.</summary>
    [GeneratedRegex(@"^ystrata-\d{4}-\d\d-\d\d\.db$")]
    internal static partial Regex Daily();
}
