using System.Runtime.InteropServices;
using System.Text;
using Microsoft.Win32.SafeHandles;

namespace Ystrata.Instruments.Tests;

/// <summary>A serial line without a device: what is written to one end comes out of the other, which has a path like any device.</summary>
internal sealed partial class PseudoTerminal : IDisposable
{
    private const int ReadWrite = 2, NoControllingTerminal = 256, LongestName = 64;

    private readonly FileStream master;

    public PseudoTerminal()
    {
        var fd = posix_openpt(ReadWrite | NoControllingTerminal);
        // Its name into room of its own: ptsname has one for all threads, and two tests would listen to the same line.
        Span<byte> name = stackalloc byte[LongestName];
        if (fd < 0 || grantpt(fd) != 0 || unlockpt(fd) != 0 || ptsname_r(fd, name, (nuint)name.Length) != 0)
        {
            throw new IOException("no pseudo-terminal");
        }

        var device = Encoding.UTF8.GetString(name[..name.IndexOf((byte)0)]);
        Path = System.IO.Path.Combine(System.IO.Path.GetTempPath(), $"ystrata-line-{Guid.NewGuid():N}");
        File.CreateSymbolicLink(Path, device);
        master = new(new SafeFileHandle(fd, ownsHandle: true), FileAccess.ReadWrite, bufferSize: 0);
    }

    /// <summary>A name of its own: the device's is given to the next line that is made once this one is gone, while somebody may still look for it.</summary>
    public string Path { get; }

    public void Send(string text)
    {
        master.Write(Encoding.ASCII.GetBytes(text));
        master.Flush();
    }

    /// <summary>Pulls it out.</summary>
    public void Dispose()
    {
        File.Delete(Path);
        master.Dispose();
    }

    [LibraryImport("libc")]
    private static partial int posix_openpt(int flags);

    [LibraryImport("libc")]
    private static partial int grantpt(int fd);

    [LibraryImport("libc")]
    private static partial int unlockpt(int fd);

    [LibraryImport("libc")]
    private static partial int ptsname_r(int fd, Span<byte> name, nuint length);
}
