using Microsoft.AspNetCore.Mvc;
using Ystrata.Store;
using Ystrata.Web.Door;
using Ystrata.Web.Live;

namespace Ystrata.Web.Endpoints;

/// <param name="BatchId">What is cooked, with what its clock has beside it.</param>
/// <param name="Id">An id from whoever begins it, so that the same request sent twice begins one service.</param>
public sealed record BeginBody(Guid BatchId, Guid? Id = null);

/// <summary>One press. Which figures are told depends on the act; see <see cref="StoveEvent"/>.</summary>
/// <param name="Id">Made by the screen that was pressed: sent twice it counts once.</param>
/// <param name="Ago">Seconds since it was pressed, for a screen that had no answer at once.</param>
public sealed record PressBody(
    Guid Id, StoveAct Act, int? Pan = null, int? Place = null, int? Bread = null, int? Number = null, ClockWork? Work = null, double? Value = null, Guid? Undoes = null, Seconds? Ago = null);

/// <param name="Counted">False when it was so already.</param>
public sealed record Pressed(bool Counted, ServiceView Service);

/// <summary>An open service in a list.</summary>
/// <param name="Open">Left open for so long that somebody should say whether it goes on.</param>
public sealed record OpenService(Guid Id, Guid BatchId, string Name, DateTimeOffset OpenedAt, bool Open);

/// <summary>A press that cannot be.</summary>
public sealed class StoveProblem : ProblemDetails
{
    public required StoveRefusal Code { get; init; }
}

public static class ServiceEndpoints
{
    /// <summary>A press that waited for longer than a day belongs to no service that still runs.</summary>
    private const double MostAgo = 24 * 3600;

    public static void MapServices(this RouteGroupBuilder services)
    {
        services.MapGet("", Open).WithName("services").Produces<IReadOnlyList<OpenService>>().WithSummary("The services that run, the newest first, in pages.");
        services.MapPost("", Begin).RequireAuthorization(WhoMay.ForStove).WithName("beginService").Produces<ServiceView>(201).Produces<ServiceView>().WithSummary("Begins a batch at the stove, now.");
        services.MapGet("{id:guid}", View).WithName("service").Produces<ServiceView>();
        services.MapPost("{id:guid}/events", Press).Tells(null).RequireAuthorization(WhoMay.ForStove).WithName("pressService").Produces<Pressed>().Produces<StoveProblem>(409, "application/problem+json")
            .WithSummary("One press: laid, turned, lifted, done, dropped, undone. Durable when answered.");
    }

    private static IResult Open(HttpContext http, RunningServices services, Guid? after = null, int most = Pages.Usual) =>
        Pages.OfAll(http, after?.ToString(), most, [.. services.Open()], k => k.Id.ToString(), k => new OpenService(k.Id, k.BatchId, k.Name, k.OpenedAt, services.Find(k.Id)!.View().Sheet.Open));

    private static IResult Begin(BeginBody body, Batches batches, Clocks clocks, RunningServices services, TimeProvider time)
    {
        if (batches.Find(body.BatchId) is not { } batch)
        {
            return Problems.From([new("batchId", RefusalCode.Missing)])!;
        }

        var found = clocks.Resolve(batch.Name, batch.Spec);
        if (found.Value is not { } breads)
        {
            return Problems.From(found.Refusals)!;
        }

        var clock = breads.Clock;
        var now = time.GetUtcNow();
        // A table that has gone by, or that is counted forwards to, is where the work will end.
        var table = clock.By == ClockBy.Table && batch.MadeFor > now ? batch.MadeFor : clocks.View(breads, clock with { By = ClockBy.Soonest }, now).Table;
        var (service, begun) = services.Begin(new(
            body.Id ?? Guid.CreateVersion7(), batch.Id, batch.Name, new(breads.Counted(), clock, new(Math.Round(Math.Min((table - now).TotalSeconds, Service.LongestAhead)))), now, null));
        return begun ? Results.Created($"/api/services/{service.Id}", service.View()) : Results.Ok(service.View());
    }

    private static IResult View(Guid id, RunningServices services) => Common.Found(services.Find(id)?.View());

    private static IResult Press(Guid id, PressBody body, RunningServices services, Changes changes, Counts counts)
    {
        if (services.Find(id) is not { } service)
        {
            return Results.NotFound();
        }

        if (body.Ago is { } ago && !(ago.Value >= 0 && ago.Value <= MostAgo))
        {
            return Problems.From([new("ago", RefusalCode.OutOfRange, ago.Value, 0, MostAgo, Seconds.Unit)])!;
        }

        var (answer, view) = services.Press(service, new(body.Id, default, body.Act, body.Pan, body.Place, body.Bread, body.Number, body.Work, body.Value, body.Undoes), body.Ago ?? default);
        if (answer.Counted)
        {
            counts.Pressed();
        }

        // Which services run is seen in lists too.
        if (answer.Counted && body.Act is StoveAct.End or StoveAct.Undo)
        {
            changes.Say(new(Place.Services, id.ToString()));
        }

        return answer.Refusal is { } why
            ? Problems.Answer(new StoveProblem { Status = 409, Title = "Not counted", Detail = Say(why), Code = why })
            : Results.Ok(new Pressed(answer.Counted, view));
    }

    private static string Say(StoveRefusal why) => why switch
    {
        StoveRefusal.NotTold => "Something is missing: which pan, which piece, or how much.",
        StoveRefusal.NoSuchPan => "There is no such pan or place in this service.",
        StoveRefusal.NoSuchPiece => "There is no piece of that number.",
        StoveRefusal.NoSuchWork => "There is no such work in this service.",
        StoveRefusal.NothingThere => "Nothing lies there.",
        StoveRefusal.PlaceTaken => "Another piece lies there. Lift it first.",
        StoveRefusal.NoneLeft => "No piece is left to lay.",
        StoveRefusal.PieceLost => "That piece is lost.",
        StoveRefusal.PanAway => "That pan is away.",
        StoveRefusal.OutOfRange => "That figure is out of its range.",
        StoveRefusal.NothingToUndo => "There is nothing like that to take back.",
        _ => "This service is closed.",
    };
}
