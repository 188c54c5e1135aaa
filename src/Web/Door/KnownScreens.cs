using System.Collections.Concurrent;
using Ystrata.Store;

namespace Ystrata.Web.Door;

/// <summary>The screens that were let in, at hand for every request; one that is sent away is cut off in the midst of whatever it does.</summary>
internal sealed class KnownScreens
{
    /// <summary>More than any kitchen has tablets.</summary>
    public const int Most = 200;

    // One that nobody has switched on for so long is let in anew.
    private static readonly TimeSpan Forgotten = TimeSpan.FromDays(120);

    private static readonly TimeSpan SeenTo = TimeSpan.FromMinutes(1);

    private readonly ConcurrentDictionary<Guid, Known> known;
    private readonly Screens kept;
    private readonly TimeProvider time;

    public KnownScreens(Screens kept, TimeProvider time)
    {
        (this.kept, this.time) = (kept, time);
        var oldest = time.GetUtcNow() - Forgotten;
        foreach (var old in kept.All().Where(s => s.SeenAt < oldest))
        {
            kept.SendAway(old.Id);
        }

        known = new(kept.All().Select(s => KeyValuePair.Create(s.Id, new Known(s))));
    }

    /// <summary>Whoever was let in last first.</summary>
    public IReadOnlyList<Screen> All => [.. known.Values.Select(k => k.Screen).OrderByDescending(s => s.LetInAt).ThenBy(s => s.Id)];

    /// <returns>Nothing when there is no such screen, or no more.</returns>
    public Screen? Find(Guid? id) => id is { } screen && known.TryGetValue(screen, out var one) ? one.Screen : null;

    /// <returns>Nothing when there are as many as can be.</returns>
    public Screen? LetIn(string name, ScreenKind kind)
    {
        if (known.Count >= Most)
        {
            return null;
        }

        var now = time.GetUtcNow();
        var screen = new Screen(Guid.NewGuid(), name, kind, now, now);
        kept.Add(screen);
        known[screen.Id] = new(screen);
        return screen;
    }

    /// <summary>It asks for something: when, is kept to the minute.</summary>
    /// <param name="gone">Ends when it is sent away.</param>
    /// <returns>False when there is no such screen, or no more.</returns>
    public bool Sees(Guid id, out CancellationToken gone)
    {
        if (!known.TryGetValue(id, out var one))
        {
            gone = default;
            return false;
        }

        gone = one.Gone;
        var now = time.GetUtcNow();
        if (now - one.Screen.SeenAt > SeenTo)
        {
            one.Screen = one.Screen with { SeenAt = now };
            kept.Seen(id, now);
        }

        return true;
    }

    public bool Rename(Guid id, string name)
    {
        if (!known.TryGetValue(id, out var one))
        {
            return false;
        }

        kept.Rename(id, name);
        one.Screen = one.Screen with { Name = name };
        return true;
    }

    /// <param name="cutOff">False for one that goes by itself, and still has to hear so.</param>
    public bool SendAway(Guid id, bool cutOff = true)
    {
        kept.SendAway(id);
        if (!known.TryRemove(id, out var one))
        {
            return false;
        }

        one.End(cutOff);
        return true;
    }

    private sealed class Known : IDisposable
    {
        private readonly CancellationTokenSource ended = new();

        public Known(Screen screen) => (Screen, Gone) = (screen, ended.Token);

        public Screen Screen { get; set; }

        public CancellationToken Gone { get; }

        public void End(bool cutOff)
        {
            if (cutOff)
            {
                ended.Cancel();
            }

            Dispose();
        }

        public void Dispose() => ended.Dispose();
    }
}
