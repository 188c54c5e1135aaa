using System.Net.ServerSentEvents;
using System.Runtime.CompilerServices;
using System.Text.Json;
using System.Threading.Channels;
using Ystrata.Instruments;
using Ystrata.Store;
using Ystrata.Web.Endpoints;

namespace Ystrata.Web.Live;

/// <summary>How many screens listen.</summary>
/// <param name="Most">More are not taken.</param>
public sealed record LiveRoom(int Open, int Most);

/// <summary>What the data of each kind of event is; the kinds are named as here.</summary>
/// <param name="Missing">There is no such service.</param>
public sealed record LiveWords(Changed Changed, ServiceView Service, MissingService Missing, ScaleReading Scale, ProbeReading Probe);

public sealed record MissingService(Guid Id);

/// <summary>
/// All live words go over one stream a browser: what was changed, the state of the services it looks at, scale and probe while their benches are open.
/// </summary>
public static class LiveEndpoints
{
    private const int MostServices = 8;

    private static readonly TimeSpan Beat = TimeSpan.FromSeconds(5);

    public static void MapLive(this RouteGroupBuilder live)
    {
        live.MapGet("", Listen).WithName("live").Produces<LiveWords>(200, "text/event-stream").ProducesProblem(503)
            .WithSummary("Server-sent events: changed (what was changed, with what was missed since Last-Event-ID or after), service (its whole state, at once and after every press), missing (no such service), scale, probe, and a beat every five seconds.");
        live.MapGet("room", (LiveStreams streams) => streams.Room).WithName("liveRoom").WithSummary("How many screens listen, and how many can.");
    }

    private static IResult Listen(
        Guid[] service, RunningServices services, ScaleFeed scales, IPanProbe probes, Changes changes, LiveStreams streams, HttpContext http, IHostApplicationLifetime life,
        bool scale = false, bool probe = false, string? after = null)
    {
        if (service.Length > MostServices)
        {
            return Problems.From([new("service", RefusalCode.TooMany, service.Length, 0, MostServices)])!;
        }

        if (HttpMethods.IsHead(http.Request.Method))
        {
            return Results.Text("", "text/event-stream");
        }

        if (!streams.Enter(http))
        {
            http.Response.Headers.RetryAfter = "5";
            return Results.Problem(
                $"{streams.Room.Most} screens listen to this kitchen already, and it can take no more. Close one that is not needed.", statusCode: StatusCodes.Status503ServiceUnavailable, title: "Too many screens");
        }

        http.EndsWithItsLine(life);
        var gone = http.RequestAborted;
        List<IAsyncEnumerable<SseItem<string>>> sources = [changes.Listen(http.Request.Headers["Last-Event-ID"].ToString().NullIfEmpty() ?? after, gone), Beats(gone)];
        sources.AddRange(service.Distinct().Select(id => services.Find(id) is { } running ? States(running, gone) : Missing(id, gone)));
        if (scale)
        {
            sources.Add(Weights(scales, gone));
        }

        if (probe)
        {
            sources.Add(Heats(probes, gone));
        }

        return TypedResults.ServerSentEvents(Together(sources, gone));
    }

    private static async IAsyncEnumerable<SseItem<string>> Beats([EnumeratorCancellation] CancellationToken gone)
    {
        // The machine's own time: a line is dead or not whatever the kitchen's clock shows.
        using var beat = new PeriodicTimer(Beat);
        while (await beat.WaitForNextTickAsync(gone))
        {
            yield return new("{}", "beat");
        }
    }

    private static async IAsyncEnumerable<SseItem<string>> States(RunningService service, [EnumeratorCancellation] CancellationToken gone)
    {
        await foreach (var state in service.Watch(gone))
        {
            yield return new(state, "service");
        }
    }

    private static async IAsyncEnumerable<SseItem<string>> Missing(Guid id, [EnumeratorCancellation] CancellationToken gone)
    {
        yield return new(Written(new MissingService(id)), "missing");
        await Task.Delay(Timeout.Infinite, gone);
    }

    private static async IAsyncEnumerable<SseItem<string>> Weights(ScaleFeed scale, [EnumeratorCancellation] CancellationToken gone)
    {
        await foreach (var reading in scale.Listen(gone))
        {
            yield return new(Written(reading), "scale");
        }
    }

    private static async IAsyncEnumerable<SseItem<string>> Heats(IPanProbe probe, [EnumeratorCancellation] CancellationToken gone)
    {
        await foreach (var reading in probe.Readings(gone))
        {
            yield return new(Written(reading), "probe");
        }
    }

    private static string Written<T>(T word) => JsonSerializer.Serialize(word, SpecJson.Options);

    // Each source waits until its word is taken: a slow screen gets the newest of what overtakes itself. When one ends, the screen has to come again.
    private static async IAsyncEnumerable<SseItem<string>> Together(IReadOnlyList<IAsyncEnumerable<SseItem<string>>> sources, [EnumeratorCancellation] CancellationToken gone)
    {
        using var enough = CancellationTokenSource.CreateLinkedTokenSource(gone);
        var words = Channel.CreateBounded<SseItem<string>>(1);
        var pumps = sources.Select(Pump).ToList();
        var ended = Task.WhenAny(pumps).ContinueWith(_ => words.Writer.TryComplete(), TaskScheduler.Default);
        try
        {
            await foreach (var word in words.Reader.ReadAllAsync(gone))
            {
                yield return word;
            }
        }
        finally
        {
            await enough.CancelAsync();
            await Task.WhenAll(pumps).ConfigureAwait(ConfigureAwaitOptions.SuppressThrowing);
            await ended;
        }

        async Task Pump(IAsyncEnumerable<SseItem<string>> source)
        {
            await foreach (var word in source.WithCancellation(enough.Token))
            {
                await words.Writer.WriteAsync(word, enough.Token);
            }
        }
    }
}

/// <summary>Counts the streams that are open.</summary>
public sealed class LiveStreams
{
    /// <summary>Twice the screens a large kitchen has; each costs a connection and some memory.</summary>
    public const int Most = 120;

    private int open;

    public LiveRoom Room => new(Volatile.Read(ref open), Most);

    /// <returns>False when there is no room; else the place is given back when the request ends.</returns>
    public bool Enter(HttpContext http)
    {
        if (Interlocked.Increment(ref open) > Most)
        {
            Interlocked.Decrement(ref open);
            return false;
        }

        http.Response.OnCompleted(() =>
        {
            Interlocked.Decrement(ref open);
            return Task.CompletedTask;
        });
        return true;
    }
}
