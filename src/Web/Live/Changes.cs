using System.Globalization;
using System.Net.ServerSentEvents;
using System.Runtime.CompilerServices;
using System.Text.Json;
using System.Threading.Channels;
using Ystrata.Store;

namespace Ystrata.Web.Live;

/// <summary>Something that was changed in the kitchen.</summary>
/// <param name="What">Where it lies.</param>
/// <param name="Id">Nothing when it is more than one thing.</param>
/// <param name="Version">What it is now; nothing when it was deleted, or has none.</param>
public sealed record Changed(Place What, string? Id = null, string? Version = null);

public enum Place
{
    Breads,
    Batches,
    Log,
    Larder,
    Learned,
    Services,
    Practice,
    Days,

    /// <summary>All of it may be another.</summary>
    Kitchen,
}

/// <summary>
/// Tells every screen what was changed, and one that was away what it missed. A screen names the last word it heard by its number and by the life of
/// this server it was heard in; what is not remembered any more is told as a change of the whole kitchen.
/// </summary>
public sealed class Changes
{
    /// <summary>Words that are remembered for screens that were away.</summary>
    public const int Remembered = 500;

    // A screen that lets so many words wait is sent away, to come again and hear what it missed.
    private const int Waiting = 200;

    private readonly Lock saying = new();
    private readonly string life = Guid.CreateVersion7().ToString("N");
    private readonly Queue<SseItem<string>> said = [];
    private readonly List<Channel<SseItem<string>>> screens = [];
    private long last;

    public void Say(Changed change)
    {
        lock (saying)
        {
            last++;
            var word = new SseItem<string>(JsonSerializer.Serialize(change, SpecJson.Options), "changed") { EventId = Mark };
            said.Enqueue(word);
            if (said.Count > Remembered)
            {
                said.Dequeue();
            }

            foreach (var screen in screens.Where(s => !s.Writer.TryWrite(word)).ToList())
            {
                screen.Writer.TryComplete();
                screens.Remove(screen);
            }
        }
    }

    /// <summary>First where this screen now is, then what it missed, then every change as it comes.</summary>
    /// <param name="after">The last word it heard; nothing for a new screen.</param>
    public async IAsyncEnumerable<SseItem<string>> Listen(string? after, [EnumeratorCancellation] CancellationToken gone)
    {
        var screen = Channel.CreateBounded<SseItem<string>>(Waiting);
        List<SseItem<string>> missed;
        lock (saying)
        {
            missed = Missed(after);
            screens.Add(screen);
        }

        try
        {
            foreach (var word in missed)
            {
                yield return word;
            }

            await foreach (var word in screen.Reader.ReadAllAsync(gone))
            {
                yield return word;
            }
        }
        finally
        {
            lock (saying)
            {
                screens.Remove(screen);
            }
        }
    }

    /// <summary>The newest change: what is read from now on knows of it and of all before it.</summary>
    public string Mark => string.Create(CultureInfo.InvariantCulture, $"{life}.{Volatile.Read(ref last)}");

    private List<SseItem<string>> Missed(string? after)
    {
        var here = new SseItem<string>("{}", "here") { EventId = Mark };
        if (after is null)
        {
            return [here];
        }

        var known = after.StartsWith($"{life}.", StringComparison.Ordinal) && long.TryParse(after.AsSpan(life.Length + 1), CultureInfo.InvariantCulture, out var heard)
            && heard <= last && last - heard <= said.Count
            ? (int)(last - heard)
            : -1;
        return known < 0
            ? [here, new(JsonSerializer.Serialize(new Changed(Place.Kitchen), SpecJson.Options), "changed") { EventId = Mark }]
            : [.. said.TakeLast(known), here];
    }
}
