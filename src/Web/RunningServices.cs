using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using System.Text.Json;
using System.Threading.Channels;
using Ystrata.Instruments;
using Ystrata.Store;

namespace Ystrata.Web;

/// <summary>A service as every screen gets it.</summary>
/// <param name="OpenedAt">The sheet's times count from here.</param>
/// <param name="Sent">The kitchen's clock as this was sent: screens go by it and not by their own.</param>
/// <param name="Order">Grows with every word of this server: a word that comes after one of a higher order is old.</param>
public sealed record ServiceView(Guid Id, Guid BatchId, string Name, DateTimeOffset OpenedAt, DateTimeOffset Sent, long Order, StoveSheet Sheet);

/// <summary>One service that somebody looks at: its events, its state, its screens. One press at a time.</summary>
public sealed class RunningService
{
    private readonly Lock pressing = new();
    private readonly KeptService kept;
    private readonly Services store;
    private readonly TimeProvider time;
    private readonly RunningStove stove;
    private readonly List<Channel<string>> screens = [];

    private static long words;

    internal RunningService(KeptService kept, Services store, RunningStove stove, TimeProvider time) =>
        (this.kept, this.store, this.stove, this.time) = (kept, store, stove, time);

    public Guid Id => kept.Id;

    public int? Probed
    {
        get
        {
            lock (pressing)
            {
                return stove.Ended ? null : stove.Probed;
            }
        }
    }

    public bool Watched
    {
        get
        {
            lock (pressing)
            {
                return screens.Count > 0;
            }
        }
    }

    public ServiceView View()
    {
        lock (pressing)
        {
            return ViewNow();
        }
    }

    /// <summary>Appends the event to the store, then takes it, then shows it to every screen.</summary>
    /// <param name="e">Its time is set here.</param>
    /// <param name="ago">So long ago it was pressed, by a screen that was away.</param>
    public (StoveAnswer Answer, ServiceView View) Press(StoveEvent e, Seconds ago)
    {
        lock (pressing)
        {
            var now = time.GetUtcNow();
            // A clock that was put back, or a press that comes late, never goes before what has happened.
            var at = new Seconds(Math.Round(Math.Max((now - kept.OpenedAt).TotalSeconds - ago.Value, stove.LastAt.Value)));
            var stamped = e with { At = at };
            var answer = stove.Check(stamped);
            if (answer.Counted)
            {
                store.Append(kept.Id, stamped, now);
                stove.Take(stamped);
                Show();
            }

            return (answer, ViewNow());
        }
    }

    /// <summary>Sends every screen the state as it is now.</summary>
    public void Tick()
    {
        lock (pressing)
        {
            if (screens.Count > 0)
            {
                Show();
            }
        }
    }

    /// <summary>The state now, and again after every change, until the screen goes.</summary>
    public async IAsyncEnumerable<string> Watch([EnumeratorCancellation] CancellationToken gone)
    {
        // A screen that is slow gets the newest state, not all that it missed.
        var screen = Channel.CreateBounded<string>(new BoundedChannelOptions(1) { FullMode = BoundedChannelFullMode.DropOldest });
        lock (pressing)
        {
            screens.Add(screen);
            screen.Writer.TryWrite(Written());
        }

        try
        {
            await foreach (var state in screen.Reader.ReadAllAsync(gone))
            {
                yield return state;
            }
        }
        finally
        {
            lock (pressing)
            {
                screens.Remove(screen);
            }
        }
    }

    /// <summary>Sends every screen away to come again: the store was changed under it.</summary>
    internal void Leave()
    {
        lock (pressing)
        {
            foreach (var screen in screens)
            {
                screen.Writer.TryComplete();
            }
        }
    }

    private void Show()
    {
        if (screens.Count == 0)
        {
            return;
        }

        var state = Written();
        foreach (var screen in screens)
        {
            screen.Writer.TryWrite(state);
        }
    }

    private string Written() => JsonSerializer.Serialize(ViewNow(), SpecJson.Options);

    private ServiceView ViewNow()
    {
        var now = time.GetUtcNow();
        return new(kept.Id, kept.BatchId, kept.Name, kept.OpenedAt, now, Interlocked.Increment(ref words), stove.Now(new((now - kept.OpenedAt).TotalSeconds)));
    }
}

/// <summary>The services in use. One that is not in memory is taken up again from its events: a server that was killed loses nothing.</summary>
public sealed class RunningServices(Services store, CurrentKitchen kitchen, IPanProbe probe, TimeProvider time) : BackgroundService
{
    private static readonly TimeSpan Beat = TimeSpan.FromSeconds(5);

    // A pan that moves less than this is not worth an event, °C.
    private const double Moved = 4;

    private readonly ConcurrentDictionary<Guid, Lazy<RunningService?>> running = new();

    public RunningService? Find(Guid id)
    {
        if (!running.TryGetValue(id, out var known))
        {
            if (store.Find(id) is not { } kept)
            {
                return null;
            }

            known = running.GetOrAdd(id, _ => new(() => RunningStove.Of(kept.Service, kitchen.Taught, store.Events(id)) is { } stove ? new(kept, store, stove, time) : null));
        }

        if (known.Value is { } service)
        {
            return service;
        }

        // A kitchen that is put right later may let it be worked again.
        running.TryRemove(new(id, known));
        return null;
    }

    /// <summary>The store was changed as a whole: services are taken up anew from their events.</summary>
    public void Forget()
    {
        foreach (var id in running.Keys)
        {
            if (running.TryRemove(id, out var service) && service.IsValueCreated)
            {
                service.Value?.Leave();
            }
        }
    }

    /// <summary>Begins one.</summary>
    /// <returns>The service by its id, and whether it was begun now: one that is there already goes on as it is.</returns>
    public (RunningService Service, bool Begun) Begin(KeptService service)
    {
        var begun = store.Add(service);
        return (Find(service.Id)!, begun);
    }

    public IEnumerable<KeptService> Open() => store.Open().Where(s => Find(s.Id) is not null);

    /// <summary>Takes a press; the stand-in of the probe gets its bread laid and lifted with it.</summary>
    public (StoveAnswer Answer, ServiceView View) Press(RunningService service, StoveEvent e, Seconds ago)
    {
        var pressed = service.Press(e, ago);
        if (pressed.Answer.Counted && probe is SimulatedProbe standIn && e.Pan is { } pan && pan == service.Probed && e.Act is StoveAct.Laid or StoveAct.Lifted)
        {
            standIn.Lay(e.Act == StoveAct.Laid);
        }

        return pressed;
    }

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        // What was open when the server went down is taken up again, so that its probe is heard.
        foreach (var open in store.Open())
        {
            Find(open.Id);
        }

        using var beat = new PeriodicTimer(Beat, time);
        var listening = Task.CompletedTask;
        try
        {
            while (await beat.WaitForNextTickAsync(stoppingToken))
            {
                foreach (var service in InUse)
                {
                    service.Tick();
                }

                if (listening.IsCompleted && InUse.Any(s => s.Probed is not null))
                {
                    listening = Listen(stoppingToken);
                }
            }
        }
        catch (OperationCanceledException) when (stoppingToken.IsCancellationRequested)
        {
            await listening.ConfigureAwait(ConfigureAwaitOptions.SuppressThrowing);
        }
    }

    private IEnumerable<RunningService> InUse => running.Values.Where(s => s.IsValueCreated).Select(s => s.Value).OfType<RunningService>();

    // What the probe shows goes to the services whose pan it is on, as long as there are any.
    private async Task Listen(CancellationToken enough)
    {
        var (told, at) = (double.NaN, DateTimeOffset.MinValue);
        await foreach (var reading in probe.Readings(enough))
        {
            var services = InUse.Where(s => s.Probed is not null).ToList();
            if (services.Count == 0)
            {
                return;
            }

            var now = time.GetUtcNow();
            if (reading.Pan is not { } heat || Math.Abs(heat.Value - told) < Moved || now - at < Beat)
            {
                continue;
            }

            (told, at) = (heat.Value, now);
            foreach (var service in services)
            {
                service.Press(new(Guid.CreateVersion7(), default, StoveAct.Heat, service.Probed, Value: Math.Round(heat.Value)), default);
            }
        }
    }
}
