using System.Diagnostics;
using System.Runtime.CompilerServices;
using System.Text;

namespace Ystrata.Instruments;

/// <summary>A scale that sends lines over a serial device, such as <c>/dev/ttyUSB0</c>.</summary>
/// <remarks>
/// Reads only; its tare key is on the scale. Half a line is waited for, rubbish is passed over and said, and a device that sends
/// thousands of lines a second is read to the newest. A device that goes away is looked for again every second.
/// </remarks>
public sealed class LineScale(string path, TimeProvider clock) : IScale
{
    private static readonly TimeSpan LookAgain = TimeSpan.FromSeconds(1);

    // So long without a line that can be read, and what was shown no longer stands.
    private static readonly TimeSpan Stale = TimeSpan.FromSeconds(2);

    public bool Tares => false;

    public void Tare() => throw new NotSupportedException("the tare key is on the scale");

    public async IAsyncEnumerable<Reading> Readings([EnumeratorCancellation] CancellationToken enough)
    {
        var newest = new Newest();
        using var reading = CancellationTokenSource.CreateLinkedTokenSource(enough);
        var reader = Task.Factory.StartNew(() => Listen(newest, reading.Token), reading.Token, TaskCreationOptions.LongRunning, TaskScheduler.Default);
        using var timer = new PeriodicTimer(TimeSpan.FromSeconds(1.0 / IScale.PerSecond), clock);
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
                newest.Put(Reading.Unplugged, clock);
            }

            enough.WaitHandle.WaitOne(LookAgain);
        }
    }

    private void Lines(Stream device, Newest newest, CancellationToken enough)
    {
        var buffer = new byte[512];
        var line = new StringBuilder(ScaleLine.Longest + 1);
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
                        newest.Put(ScaleLine.Read(line.ToString()) ?? Reading.Unreadable, clock);
                        line.Clear();
                    }
                }
                else if (line.Length <= ScaleLine.Longest)
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

    private sealed class Newest
    {
        private readonly Lock guard = new();
        private Reading reading = Reading.Unplugged;
        private long at;

        public void Put(Reading next, TimeProvider clock)
        {
            lock (guard)
            {
                // One bad line among good ones is passed over: a good reading stands until it is stale.
                if (next.State != ScaleState.Unreadable || reading.State is not (ScaleState.Ready or ScaleState.Overload) || clock.GetElapsedTime(at) > Stale)
                {
                    (reading, at) = (next, clock.GetTimestamp());
                }
            }
        }

        public Reading Take(TimeProvider clock)
        {
            lock (guard)
            {
                return reading.State == ScaleState.Ready && clock.GetElapsedTime(at) > Stale ? Reading.Unplugged : reading;
            }
        }
    }
}
