using System.Net.Sockets;
using System.Runtime.InteropServices;
using Microsoft.Data.Sqlite;
using Ystrata.Store;
using Ystrata.Web.Words;

namespace Ystrata.Web;

/// <summary>What has to be so before anything is served, and one sentence where it is not.</summary>
internal static partial class Start
{
    private const uint OwnerAlone = 0b000_111_111;

    // M_MMAP_THRESHOLD of glibc's malloc.h.
    private const int MappedFrom = -3;

    /// <summary>Whatever this program writes is its owner's alone, also what an older version wrote. What else lies in the folder is not touched.</summary>
    /// <param name="folder">The kitchen's; it may be somebody's home.</param>
    public static void KeepPrivate(string folder)
    {
        if (OperatingSystem.IsWindows())
        {
            return;
        }

        _ = Umask(OwnerAlone);
        Directory.CreateDirectory(folder);
        var backups = Path.Combine(folder, "backups");
        var ours = Directory.EnumerateFiles(folder, "ystrata.*")
            .Concat(Directory.Exists(backups) ? Directory.EnumerateFiles(backups, "*.db").Prepend(backups) : []);
        foreach (var path in ours)
        {
            var owners = Directory.Exists(path) ? UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute : UnixFileMode.UserRead | UnixFileMode.UserWrite;
            if (File.GetUnixFileMode(path) != owners)
            {
                File.SetUnixFileMode(path, owners);
            }
        }
    }

    /// <summary>Whether a folder, told in full, is another, or lies somewhere in it.</summary>
    public static bool IsInside(string folder, string other) =>
        $"{Path.TrimEndingDirectorySeparator(folder)}/".StartsWith($"{Path.TrimEndingDirectorySeparator(Path.GetFullPath(other))}/", StringComparison.Ordinal);

    /// <summary>
    /// Has the C library give back what is large as soon as it is freed: a photo's dots would else stay with the thread that worked on it, and with the next one too.
    /// </summary>
    public static void GiveBackAtOnce()
    {
        const int from = 1 << 20;
        try
        {
            _ = Mallopt(MappedFrom, from);
        }
        catch (EntryPointNotFoundException)
        {
            // Another C library than most, which has ways of its own.
        }
    }

    /// <returns>Why it cannot start, for whoever looks after the kitchen; nothing when that is no usual reason.</returns>
    /// <param name="folder">The kitchen's.</param>
    public static string? Words(Exception e, string folder) => e switch
    {
        BackupException { Fault: BackupFault.Newer } => $"The kitchen in {folder} was kept by a newer version of Ystrata. Start that one, or bring a backup from before it.",
        BackupException { Fault: BackupFault.Foreign } => $"{folder}/ystrata.db is a database, but no kitchen's. Say another folder with --data.",
        BackupException => $"{folder}/ystrata.db is damaged, or no database at all. Its backups are in {folder}/backups: put a sound one in its place.",
        UnauthorizedAccessException or SqliteException { SqliteErrorCode: 8 or 14 } => $"There is no right to write in {folder}. Give it to this user, or say another folder with --data.",
        SqliteException { SqliteErrorCode: 13 } => $"There is no room left on the disk of {folder}.",
        CatalogueException words => words.Message,
        IOException { InnerException: Exception inner } when Taken(inner) => "Something else listens on that port already. Say another one with --port.",
        IOException io => $"{folder} cannot be used: {io.Message}",
        _ => null,
    };

    private static bool Taken(Exception e) => e is SocketException { SocketErrorCode: SocketError.AddressAlreadyInUse } || (e.InnerException is { } inner && Taken(inner));

    [LibraryImport("libc", EntryPoint = "mallopt")]
    private static partial int Mallopt(int what, int value);

    [LibraryImport("libc", EntryPoint = "umask")]
    private static partial uint Umask(uint mask);
}
