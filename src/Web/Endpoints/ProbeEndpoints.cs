using Ystrata.Instruments;

namespace Ystrata.Web.Endpoints;

/// <param name="StandIn">True when the probe is the one that ships with Ystrata and can be played with.</param>
/// <param name="On">The stand-in's pan; nothing for a true probe.</param>
/// <param name="Laid">A bread lies on the stand-in's pan.</param>
public sealed record ProbeView(bool StandIn, Cookware? On, bool Laid, bool Plugged);

/// <summary>Something done to the stand-in.</summary>
/// <param name="On">Another pan or flame.</param>
/// <param name="Laid">A bread goes on, or is lifted.</param>
/// <param name="Plugged">Its plug in or out.</param>
/// <param name="Anew">True makes it what it was at the start.</param>
public sealed record StandInPanBody(Cookware? On = null, bool? Laid = null, bool? Plugged = null, bool? Anew = null);

public static class ProbeEndpoints
{
    public static void MapProbe(this RouteGroupBuilder probe)
    {
        probe.MapGet("", View).WithName("probe");
        probe.MapPost("stand-in", Play).WithName("playProbe").Produces<ProbeView>().WithSummary("Changes the stand-in's flame or pan, lays a bread, lifts it, pulls its plug.");
    }

    private static ProbeView View(IPanProbe probe) => probe is SimulatedProbe s ? new(true, s.On, s.Laid, s.Plugged) : new(false, null, false, true);

    private static IResult Play(StandInPanBody body, IPanProbe probe)
    {
        if (probe is not SimulatedProbe standIn)
        {
            return Results.NotFound();
        }

        if (body.On is { } wanted && Problems.From(wanted.Check("on")) is { } problem)
        {
            return problem;
        }

        if (body.Anew is true)
        {
            standIn.Anew();
        }

        if (body.On is { } on)
        {
            standIn.Put(on);
        }

        if (body.Laid is { } laid)
        {
            standIn.Lay(laid);
        }

        if (body.Plugged is { } plugged)
        {
            standIn.Plug(plugged);
        }

        return Results.Ok(View(probe));
    }
}
