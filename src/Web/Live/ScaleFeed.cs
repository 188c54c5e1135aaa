using System.Runtime.CompilerServices;
using System.Threading.Channels;
using Ystrata.Instruments;
using Ystrata.Web.Endpoints;

namespace Ystrata.Web.Live;

/// <summary>One reader of the scale for all screens: a ball is taken once, also by a screen whose line broke while it lay there.</summary>
public sealed class ScaleFeed(IScale scale, TimeProvider time) : IDisposable
{
    // A screen that lets so many readings wait, six seconds of them, has lost its line.
    private const int Waiting = 64;

    /// <summary>When nobody has looked for so long, what lies on the scale may be another thing.</summary>
    private static readonly TimeSpan Forgets = TimeSpan.FromSeconds(10);

    private readonly Lock feeding = new();
    private readonly List<Channel<ScaleReading>> screens = [];
    private WeighWatch watch = new();
    private DateTimeOffset idleSince;
    private CancellationTokenSource? reading;

    public async IAsyncEnumerable<ScaleReading> Listen([EnumeratorCancellation] CancellationToken gone)
    {
        var screen = Channel.CreateBounded<ScaleReading>(Waiting);
        lock (feeding)
        {
            screens.Add(screen);
            if (reading is null)
            {
                watch = time.GetUtcNow() - idleSince > Forgets ? new() : watch;
                reading = new();
                _ = Read(reading.Token);
            }
        }

        try
        {
            await foreach (var word in screen.Reader.ReadAllAsync(gone))
            {
                yield return word;
            }
        }
        finally
        {
            lock (feeding)
            {
                screens.Remove(screen);
                if (screens.Count == 0)
                {
                    reading?.Cancel();
                    reading?.Dispose();
                    (reading, idleSince) = (null, time.GetUtcNow());
                }
            }
        }
    }

    public void Dispose()
    {
        lock (feeding)
        {
            reading?.Cancel();
            reading?.Dispose();
            reading = null;
        }
    }

    /// <summary>Whatever lay there is forgotten.</summary>
    public void Anew()
    {
        lock (feeding)
        {
            watch = new();
        }
    }

    private async Task Read(CancellationToken enough)
    {
        try
        {
            await foreach (var seen in scale.Readings(enough))
            {
                lock (feeding)
                {
                    if (enough.IsCancellationRequested)
                    {
                        return;
                    }

                    var word = new ScaleReading(seen.State, seen.Mass, seen.Steady, watch.Take(seen));
                    foreach (var screen in screens.Where(s => !s.Writer.TryWrite(word)))
                    {
                        screen.Writer.TryComplete();
                    }
                }
            }
        }
        catch (OperationCanceledException) when (enough.IsCancellationRequested)
        {
            // Nobody looks any more.
        }
    }
}
