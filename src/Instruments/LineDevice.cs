using System.IO.Ports;
using System.Runtime.CompilerServices;
using System.Text;

namespace Ystrata.Instruments;

/// <summary>A device that sends lines over a serial line, such as <c>/dev/ttyUSB0</c>, at 9600 baud, 8N1.</summary>
/// <remarks>
/// Reads only; its tare key is on the scale. However many listen, one reader has the device, from the first that comes to the last that goes:
/// two would steal each other's bytes. A device opened in the middle of a line is read from the next one. Half a line is waited for, rubbish is passed over and said, and a device that sends
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

    /// <summary>What comes sooner than this after a device was opened may be the rest of a line: many times as long as the longest takes at its speed.</summary>
    internal static readonly TimeSpan MidLine = TimeSpan.FromMilliseconds(250);

    private const int Baud = 9600;

    private static readonly TimeSpan LookAgain = TimeSpan.FromSeconds(1);

    // So long without a line that can be read, and what was shown no longer stands.
    private static readonly TimeSpan Stale = TimeSpan.FromSeconds(2);

    private readonly Lock listening = new();
    private Task reader = Task.CompletedTask;
    private Session? session;

    /// <summary>Whether the device is held open, or was not let go yet.</summary>
    internal bool Held => !reader.IsCompleted;

    /// <summary>The newest reading, so many times a second.</summary>
    public async IAsyncEnumerable<T> Readings(int perSecond, [EnumeratorCancellation] CancellationToken enough)
    {
        var newest = Enter();
        try
        {
            using var timer = new PeriodicTimer(TimeSpan.FromSeconds(1.0 / perSecond), clock);
            while (await timer.WaitForNextTickAsync(enough))
            {
                yield return newest.Take(clock);
            }
        }
        finally
        {
            Leave();
        }
    }

    private Newest Enter()
    {
        lock (listening)
        {
            if (session is null)
            {
                var begun = session = new(new(unplugged, unreadable, isGood), new());
                // The one before has let the device go when this one opens it.
                reader = reader.ContinueWith(_ => Listen(begun.Newest, begun.Enough.Token), CancellationToken.None, TaskContinuationOptions.LongRunning, TaskScheduler.Default);
            }

            session.Listeners++;
            return session.Newest;
        }
    }

    private void Leave()
    {
        Session? left = null;
        lock (listening)
        {
            if (session is { } there && --there.Listeners == 0)
            {
                (left, session) = (there, null);
            }
        }

        left?.Enough.Cancel();
    }

    private void Listen(Newest newest, CancellationToken enough)
    {
        while (!enough.IsCancellationRequested)
        {
            try
            {
                // Closed to end a read, which is never timed out: what comes in the moment a read gives up is lost, and the rest of
                // the line says another weight.
                using var port = new SerialPort(path, Baud);
                port.Open();
                using var leaves = enough.Register(port.Close);
                Lines(port.BaseStream, newest);
            }
            catch (Exception e) when (e is IOException or UnauthorizedAccessException or InvalidOperationException or ArgumentException)
            {
                newest.Put(unplugged, clock);
            }

            enough.WaitHandle.WaitOne(LookAgain);
        }
    }

    private void Lines(Stream device, Newest newest)
    {
        var opened = clock.GetTimestamp();
        var buffer = new byte[512];
        var line = new StringBuilder(Longest + 1);
        bool? whole = null;
        while (device.Read(buffer) is var count and > 0)
        {
            whole ??= clock.GetElapsedTime(opened) >= MidLine;
            foreach (var b in buffer.AsSpan(0, count))
            {
                if (b is (byte)'\n' or (byte)'\r')
                {
                    if (line.Length > 0 && whole.Value)
                    {
                        newest.Put(read(line.ToString()) ?? unreadable, clock);
                    }

                    line.Clear();
                    whole = true;
                }
                else if (line.Length <= Longest)
                {
                    // What runs on past the longest line is kept just long enough to be known as rubbish.
                    line.Append((char)b);
                }
            }
        }
    }

    /// <summary>From the first listener that came to the last that goes.</summary>
    private sealed record Session(Newest Newest, CancellationTokenSource Enough)
    {
        public int Listeners { get; set; }
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
