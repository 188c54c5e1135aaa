using Microsoft.Data.Sqlite;

namespace Ystrata.Store;

/// <summary>Why no copy could be laid into the folder elsewhere.</summary>
public enum ElsewhereTrouble
{
    None,

    /// <summary>No such folder: a disk that is not plugged in, or a mount that is not there.</summary>
    NotThere,

    NoRight,

    NoRoom,

    /// <summary>The copy that was written there cannot be read back sound.</summary>
    Broken,

    /// <summary>Anything else the disk says.</summary>
    Other,
}

/// <summary>The newest daily copies once more in a folder of another disk, for the day this one breaks.</summary>
/// <param name="folder">Has to be there already: where a mount is missing, nothing is written in its place. Nothing where none is wanted.</param>
public sealed class BackupsElsewhere(Backups backups, string? folder)
{
    /// <summary>A newest copy of more days is old.</summary>
    public const int OldDays = 2;

    public string? Folder => folder;

    /// <summary>How the last try ended.</summary>
    public ElsewhereTrouble Trouble { get; private set; }

    /// <summary>Of the newest copy there; nothing when there is none or the folder cannot be looked into.</summary>
    public DateTimeOffset? Newest
    {
        get
        {
            try
            {
                return Copies().Select(f => (DateTimeOffset?)f.LastWriteTimeUtc).Max();
            }
            catch (Exception e) when (e is IOException or UnauthorizedAccessException)
            {
                return null;
            }
        }
    }

    /// <summary>Whether somebody has to look after it: there is no copy, or none of these days.</summary>
    public bool IsOld(DateTimeOffset now) => folder is not null && (Newest is not { } at || now - at > TimeSpan.FromDays(OldDays));

    /// <summary>Copies the newest daily backup there where it is missing, and keeps no more there than here. How that ended is in <see cref="Trouble"/>.</summary>
    public void Fill()
    {
        if (folder is null)
        {
            return;
        }

        try
        {
            if (!Directory.Exists(folder))
            {
                Trouble = ElsewhereTrouble.NotThere;
                return;
            }

            if (backups.All().FirstOrDefault(f => f.Daily) is { } daily && Path.Combine(folder, daily.Name) is var place && !File.Exists(place))
            {
                Copy(daily, place);
            }

            foreach (var old in Copies().OrderByDescending(f => f.LastWriteTimeUtc).Skip(Backups.Kept))
            {
                old.Delete();
            }

            Trouble = ElsewhereTrouble.None;
        }
        catch (BackupException)
        {
            Trouble = ElsewhereTrouble.Broken;
        }
        catch (Exception e) when (e is UnauthorizedAccessException or SqliteException or IOException)
        {
            Trouble = e is UnauthorizedAccessException ? ElsewhereTrouble.NoRight : e.HResult == KitchenDb.NoSpace ? ElsewhereTrouble.NoRoom : ElsewhereTrouble.Other;
        }
    }

    private void Copy(BackupFile daily, string place)
    {
        var half = $"{place}.part";
        try
        {
            using (var from = File.OpenRead(backups.PathOf(daily.Name)!))
            using (var to = File.Create(half))
            {
                from.CopyTo(to);
                to.Flush(flushToDisk: true);
            }

            BackupCheck.Whole(half);
            File.SetLastWriteTimeUtc(half, daily.MadeAt.UtcDateTime);
            File.Move(half, place, overwrite: true);
        }
        finally
        {
            File.Delete(half);
        }
    }

    private IEnumerable<FileInfo> Copies() => folder is null ? [] : new DirectoryInfo(folder).EnumerateFiles("ystrata-*.db").Where(f => Backups.Daily().IsMatch(f.Name));
}
