using System.Runtime.InteropServices;
using System.Text;
using Microsoft.Win32.SafeHandles;

namespace Ystrata.Instruments.Tests;

/// <summary>A serial line without a device: what is written to one end comes out of the other, which has a path like any device.</summary>
internal sealed partial class PseudoTerminal : IDisposable
{
    private const int ReadWrite = 2, NoControllingTerminal = 256;

    private readonly FileStream master;

    public PseudoTerminal()
    {
        var fd = posix_openpt(ReadWrite | NoControllingTerminal);
        if (fd < 0 || grantpt(fd) != 0 || unlockpt(fd) != 0)
        {
            throw new IOException("no pseudo-terminal");
        }

        Path = Marshal.PtrToStringUTF8(ptsname(fd)) ?? throw new IOException("a pseudo-terminal without a name");
        master = new(new SafeFileHandle(fd, ownsHandle: true), FileAccess.ReadWrite, bufferSize: 0);
    }

    public string Path { get; }

    public void Send(string text)
    {
        master.Write(Encoding.ASCII.GetBytes(text));
        master.Flush();
    }

    public void Dispose() => master.Dispose();

    [LibraryImport("libc")]
    private static partial int posix_openpt(int flags);

    [LibraryImport("libc")]
    private static partial int grantpt(int fd);

    [LibraryImport("libc")]
    private static partial int unlockpt(int fd);

    [LibraryImport("libc")]
    private static partial IntPtr ptsname(int fd);
}
