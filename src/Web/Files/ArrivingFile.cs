namespace Ystrata.Web.Files;

/// <summary>A file that is read while it still comes in: whoever reads on waits for what has not come yet.</summary>
internal sealed class ArrivingFile : Stream
{
    private const int Chunk = 1 << 17;

    private readonly FileStream kept = new(
        Path.Combine(Path.GetTempPath(), Path.GetRandomFileName()), FileMode.CreateNew, FileAccess.ReadWrite, FileShare.None, 0, FileOptions.DeleteOnClose);

    private readonly object coming = new();
    private long arrived, read;
    private bool ended, broken;

    public override bool CanRead => true;

    public override bool CanSeek => false;

    public override bool CanWrite => false;

    /// <summary>Bytes that have come.</summary>
    public override long Length => Interlocked.Read(ref arrived);

    public override long Position
    {
        get => read;
        set => throw new NotSupportedException();
    }

    /// <summary>Takes in all there is; where it breaks off, whoever reads is told so.</summary>
    public async Task Fill(Stream from, CancellationToken gone)
    {
        var whole = false;
        try
        {
            var chunk = new byte[Chunk];
            for (int got; (got = await from.ReadAtLeastAsync(chunk, Chunk, throwOnEndOfStream: false, gone)) > 0;)
            {
                await RandomAccess.WriteAsync(kept.SafeFileHandle, chunk.AsMemory(0, got), arrived, gone);
                lock (coming)
                {
                    arrived += got;
                    Monitor.PulseAll(coming);
                }
            }

            whole = true;
        }
        finally
        {
            lock (coming)
            {
                (ended, broken) = (true, !whole);
                Monitor.PulseAll(coming);
            }
        }
    }

    /// <exception cref="IOException">It broke off.</exception>
    public override int Read(byte[] buffer, int offset, int count)
    {
        int there;
        lock (coming)
        {
            while (read == arrived && !ended)
            {
                Monitor.Wait(coming);
            }

            there = broken ? throw new IOException("broken off") : (int)Math.Min(count, arrived - read);
        }

        var got = RandomAccess.Read(kept.SafeFileHandle, buffer.AsSpan(offset, there), read);
        read += got;
        return got;
    }

    public override void Flush()
    {
    }

    public override long Seek(long offset, SeekOrigin origin) => throw new NotSupportedException();

    public override void SetLength(long value) => throw new NotSupportedException();

    public override void Write(byte[] buffer, int offset, int count) => throw new NotSupportedException();

    protected override void Dispose(bool disposing)
    {
        kept.Dispose();
        base.Dispose(disposing);
    }
}
