using Ystrata.Instruments;
using Ystrata.Web.Live;

namespace Ystrata.Web.Endpoints;

/// <summary>A reading as it goes to the page.</summary>
/// <param name="Taken">A weight that has just been taken: steady, and the first since the scale was empty.</param>
public sealed record ScaleReading(ScaleState State, Grams? Mass, bool Steady, Grams? Taken);

/// <param name="StandIn">True when the scale is the one that ships with Ystrata and can be played with.</param>
/// <param name="Tares">True when it can be tared from here.</param>
public sealed record ScaleView(bool StandIn, bool Tares);

/// <summary>Something done to the stand-in. One of them at a time.</summary>
/// <param name="Load">So much lies on it in all; 0 takes everything off.</param>
/// <param name="BallLike">A ball as a hand divides it when so much is wanted.</param>
/// <param name="Plugged">Its plug in or out.</param>
/// <param name="Anew">True makes it what it was at the start.</param>
public sealed record StandInBody(Grams? Load = null, Grams? BallLike = null, bool? Plugged = null, bool? Anew = null);

public static class ScaleEndpoints
{
    private static readonly Limit Load = new("load", 0, 20_000, Grams.Unit), BallLike = new("ballLike", 1, 2000, Grams.Unit);

    public static void MapScale(this RouteGroupBuilder scale)
    {
        scale.MapGet("", (IScale s) => new ScaleView(s is SimulatedScale, s.Tares)).WithName("scale");
        scale.MapPost("tare", Tare).WithName("tareScale").Produces(204);
        scale.MapPost("stand-in", Play).WithName("playScale").Produces(204).WithSummary("Puts something on the stand-in, takes it off, pulls its plug.");
    }

    private static IResult Tare(IScale scale)
    {
        if (!scale.Tares)
        {
            return Results.NotFound();
        }

        scale.Tare();
        return Results.NoContent();
    }

    private static IResult Play(StandInBody body, IScale scale, ScaleFeed feed)
    {
        if (scale is not SimulatedScale standIn)
        {
            return Results.NotFound();
        }

        if (Problems.From([.. OutOf(Load, body.Load), .. OutOf(BallLike, body.BallLike)]) is { } problem)
        {
            return problem;
        }

        if (body.Anew is true)
        {
            standIn.Anew();
            feed.Anew();
        }

        if (body.Load is { } load)
        {
            standIn.Put(load);
        }

        if (body.BallLike is { } wanted)
        {
            standIn.PutBallLike(wanted);
        }

        if (body.Plugged is { } plugged)
        {
            standIn.Plug(plugged);
        }

        return Results.NoContent();
    }

    private static IEnumerable<Refusal> OutOf(Limit limit, Grams? mass)
    {
        if (mass is { } m && !(m.Value >= limit.Least && m.Value <= limit.Most))
        {
            yield return new(limit.Field, RefusalCode.OutOfRange, m.Value, limit.Least, limit.Most, limit.Unit);
        }
    }
}
