using System.Diagnostics;
using System.Runtime.CompilerServices;
using System.Text;

namespace Ystrata.Instruments;

/// <summary>A device that sends lines over a serial line, such as <c>/dev/ttyUSB0</c>.</summary>
/// <remarks>
/// Reads only; its tare key is on the scale. Half a line is waited for, rubbish is passed over and said, and a device that sends
/// thousands of lines a second is read to the newest. A device that goes away is looked for again every second.
/// </remarks>
/// <typeparam name="T">A reading.</typeparam>
/// <param name="read">One line; nothing when it is not one of the protocol.</param>
/// <param name="unplugged">What is shown when nothing comes.</param>
/// <param name="unreadable">What is shown when nothing that comes can be read.</param>
/// <param name="isGood">Whether a reading shows what the device is there for.</param>
public sealed class LineDevice<T>(string path, TimeProvider clock, Func<string, T?> read, T unplugged, T unreadable, Func<T, bool> isGood)
    where T : class
{
    /// <summary>No honest line of any protocol is longer.</summary>
    public const int Longest = 32;

    private static readonly TimeSpan LookAgain = TimeSpan.FromSeconds(1);

    // So long without a line that can be read, and what was shown no longer stands.
    private static readonly TimeSpan Stale = TimeSpan.FromSeconds(2);

    /// <summary>The newest reading, so many times a second.</summary>
    public async IAsyncEnumerable<T> Readings(int perSecond, [EnumeratorCancellation] CancellationToken enough)
    {
        var newest = new Newest(unplugged, unreadable, isGood);
        using var reading = CancellationTokenSource.CreateLinkedTokenSource(enough);
        var reader = Task.Factory.StartNew(() => Listen(newest, reading.Token), reading.Token, TaskCreationOptions.LongRunning, TaskScheduler.Default);
        using var timer = new PeriodicTimer(TimeSpan.FromSeconds(1.0 / perSecond), clock);
        try
        {
            while (await timer.WaitForNextTickAsync(enough))
            {
                yield return newest.Take(clock);
            }
        }
        finally
        {
            await reading.CancelAsync();
        }
    }

    private void Listen(Newest newest, CancellationToken enough)
    {
        while (!enough.IsCancellationRequested)
        {
            try
            {
                Raw();
                using var device = new FileStream(path, FileMode.Open, FileAccess.Read, FileShare.ReadWrite, bufferSize: 0);
                using var closes = enough.Register(device.Dispose);
                Lines(device, newest, enough);
            }
            catch (Exception e) when (e is IOException or UnauthorizedAccessException or ObjectDisposedException)
            {
                newest.Put(unplugged, clock);
            }

            enough.WaitHandle.WaitOne(LookAgain);
        }
    }

    private void Lines(Stream device, Newest newest, CancellationToken enough)
    {
        var buffer = new byte[512];
        var line = new StringBuilder(Longest + 1);
        while (!enough.IsCancellationRequested)
        {
            var count = device.Read(buffer);
            if (count == 0)
            {
                return;
            }

            foreach (var b in buffer.AsSpan(0, count))
            {
                if (b is (byte)'\n' or (byte)'\r')
                {
                    if (line.Length > 0)
                    {
                        newest.Put(read(line.ToString()) ?? unreadable, clock);
                        line.Clear();
                    }
                }
                else if (line.Length <= Longest)
                {
                    // What runs on past the longest line is kept just long enough to be known as rubbish.
                    line.Append((char)b);
                }
            }
        }
    }

    // A serial line echoes and edits unless it is told not to; stty comes with every Linux, and a device it cannot set is read as it is.
    private void Raw()
    {
        try
        {
            using var stty = Process.Start(new ProcessStartInfo("stty", ["-F", path, "9600", "raw", "-echo"]) { RedirectStandardError = true });
            stty?.WaitForExit(1000);
        }
        catch (System.ComponentModel.Win32Exception)
        {
        }
    }

    private sealed class Newest(T unplugged, T unreadable, Func<T, bool> isGood)
    {
        private readonly Lock guard = new();
        private T? reading;
        private long at;

        public void Put(T next, TimeProvider clock)
        {
            lock (guard)
            {
                // One bad line among good ones is passed over: a good reading stands until it is stale.
                if (next != unreadable || reading is null || !isGood(reading) || clock.GetElapsedTime(at) > Stale)
                {
                    (reading, at) = (next, clock.GetTimestamp());
                }
            }
        }

        public T Take(TimeProvider clock)
        {
            lock (guard)
            {
                return reading is null || (isGood(reading) && clock.GetElapsedTime(at) > Stale) ? unplugged : reading;
            }
        }
    }
}
