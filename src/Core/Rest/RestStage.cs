namespace Ystrata.Core.Rest;

/// <summary>What ends a rest.</summary>
public enum RestEnd
{
    /// <summary>A bare face dries to a skin that tears later.</summary>
    Skin,

    /// <summary>Milk, egg, puree or leaves should not stand warm longer; local food codes may say less.</summary>
    Safety,

    /// <summary>Yeast or powder has spent its gas.</summary>
    Gas,

    /// <summary>The dough sours and slackens.</summary>
    Sours,
}

/// <summary>How a rested dough answers the finger, by school.</summary>
public enum PressTest
{
    /// <summary>It springs back slowly.</summary>
    SpringsBackSlowly,

    /// <summary>It keeps the mark: oil-stretched and very soft doughs.</summary>
    KeepsTheMark,

    /// <summary>A batter: it falls off the ladle in a ribbon, without lumps.</summary>
    FallsInARibbon,
}

/// <summary>What a rest of this length costs or gives.</summary>
/// <param name="PullsBack">Share of the sheet's diameter that is lost again.</param>
/// <param name="Thinnest">The thinnest sheet that does not tear.</param>
public sealed record RestPoint(Minutes Rest, Percent PullsBack, Millimetres Thinnest);

/// <param name="Least">Under it the sheet shrinks and tears.</param>
/// <param name="Best">From here on more rest gives little.</param>
/// <param name="Longest">Over it the dough loses.</param>
/// <param name="Skin">When a bare face has dried; nothing when it is covered or oiled.</param>
/// <param name="Counts">This rest and the balls' own, as the sheet feels them.</param>
/// <param name="Now">What the rest chosen gives.</param>
/// <param name="Curve">The same over the range of rests, to draw.</param>
/// <param name="WarmsAsOne">From the fridge back to a workable 18 °C in one lump; nothing for a rest in the room.</param>
/// <param name="WarmsAsBalls">The same, divided first.</param>
/// <param name="Warm">Minutes the dough is warm, from the bowl to the last roll; nothing where nothing in it spoils.</param>
public sealed record RestSheet(
    Minutes Time,
    Minutes Least,
    Minutes Best,
    Minutes Longest,
    RestEnd End,
    PressTest Press,
    Minutes? Skin,
    Minutes Counts,
    RestPoint Now,
    IReadOnlyList<RestPoint> Curve,
    Minutes? WarmsAsOne,
    Minutes? WarmsAsBalls,
    Minutes? Warm);

/// <summary>Stage 2: the first rest. All factors here are empirical but the warming, which is Newton's cooling of a lump.</summary>
public static class RestStage
{
    // On the least rest of the flour: solids of purees still drink; little kneading wants time; yeast, powder, acid and much fat save some.
    private const double PureeAtMost = 0.5, PureeFull = 8, NoKneading = 3, LightKneading = 1.5, Leavened = 0.6, Acid = 0.85, Enriched = 0.75, EnrichedFrom = 8;

    private const double BestOverLeast = 2;

    // What is left of the first rest's slackening once the dough has been divided and rounded.
    private const double Carried = 0.5;

    // Where a rest ends, minutes: in the room and in the fridge.
    private const double Sours = 360, HighUpSours = 300, Gassy = 120, FridgeNight = 1440, FridgeGassy = 720;

    // A lump in still air: h W/(m²·K), c J/(kg·K); the warmth at which a dough rolls again, °C.
    private const double AirSide = 8, HeatPerMass = 2900;

    internal static readonly Celsius Workable = new(18);

    private const int CurvePoints = 41;

    internal static RestSheet Work(CheckedBatch batch, DoughSheet dough)
    {
        var (spec, mix, rest) = (batch.Spec, batch.Mix, batch.Spec.Rest);
        var least = Least(batch, dough);
        var best = new Minutes(least.Value * BestOverLeast);
        var skin = Skin(rest);
        var (longest, end) = Longest(rest, batch.Dough, skin);
        var over = dough.Water.Felt - mix.Absorption;
        RestPoint At(double minutes)
        {
            var counts = Counting(new(minutes), spec.Sheet.Rest);
            return new(new(minutes), Percent.FromFraction(Round.Springback(mix, dough.Content.Fat, counts)), mix.ThinnestSheet(over, counts, least));
        }

        var furthest = Math.Max(Math.Max(best.Value * 2, rest.Place == RestPlace.Room ? rest.Time.Value * 1.2 : 0), 30);
        return new(
            rest.Time,
            least,
            best,
            longest,
            end,
            batch.Route.Poured ? PressTest.FallsInARibbon
                : spec.Dough.Feel == Feel.VerySoft || dough.Content.Fat.Value >= 2 * EnrichedFrom ? PressTest.KeepsTheMark : PressTest.SpringsBackSlowly,
            skin,
            Counting(rest.Time, spec.Sheet.Rest),
            At(rest.Time.Value),
            [.. Enumerable.Range(0, CurvePoints).Select(i => At(furthest * i / (CurvePoints - 1)))],
            rest.Place == RestPlace.Fridge ? Warms(dough.Mass / dough.Lots.Count, dough.Density) : null,
            rest.Place == RestPlace.Fridge ? Warms(dough.Ball, dough.Density) : null,
            Spoils(batch.Dough) ? new Minutes((rest.Place == RestPlace.Room ? rest.Time.Value : 0) + spec.Sheet.Rest.Value + batch.Shape.Rest.Value) : null);
    }

    /// <summary>The rest a sheet feels: the ball's own, and half of the dough's, since dividing and rounding wake it again.</summary>
    public static Minutes Counting(Minutes dough, Minutes ball) => new(ball.Value + Carried * dough.Value);

    private static Minutes Least(CheckedBatch batch, DoughSheet dough)
    {
        var solids = batch.Dough.Bowl.Lines.Zip(dough.Portions).Where(l => l.First.Item.Kind == IngredientKind.Puree).Sum(l => l.Second.Brings.Solids.Value);
        var factor = 1 + PureeAtMost * Math.Min(solids / PureeFull, 1);
        factor *= batch.Spec.Dough.Mix.Kneading switch
        {
            Kneading.None => NoKneading,
            Kneading.Light => LightKneading,
            _ => 1,
        };
        factor *= batch.Dough.InIt.Any(i => i.Leavens) ? Leavened : 1;
        factor *= batch.Dough.InIt.Any(i => i.Is(Trait.Sour)) ? Acid : 1;
        factor *= dough.Content.Fat.Value >= EnrichedFrom ? Enriched : 1;
        return new(Math.Round(batch.Mix.LeastRest.Value * factor));
    }

    private static (Minutes Longest, RestEnd End) Longest(RestSpec rest, DoughSolution dough, Minutes? skin)
    {
        var gas = dough.InIt.Any(i => i.Leavens);
        (double Minutes, RestEnd End) limit = rest.Place == RestPlace.Fridge
            ? gas ? (FridgeGassy, RestEnd.Gas) : (FridgeNight, RestEnd.Sours)
            : Spoils(dough) ? (WarmTime.Limit.Value, RestEnd.Safety)
            : gas ? (Gassy, RestEnd.Gas)
            : (rest.Air == RoomAir.HighUp ? HighUpSours : Sours, RestEnd.Sours);
        return skin is { } dry && dry.Value < limit.Minutes ? (dry, RestEnd.Skin) : (new(limit.Minutes), limit.End);
    }

    private static bool Spoils(DoughSolution dough) => dough.InIt.Any(i => i.Is(Trait.Spoils));

    // A covered dough keeps its skin soft. Oil slows drying to a third. A fridge dries like a dry room.
    private static Minutes? Skin(RestSpec rest)
    {
        if (rest.Covered)
        {
            return null;
        }

        var bare = rest.Place == RestPlace.Fridge ? 10 : rest.Air switch
        {
            RoomAir.Humid => 30,
            RoomAir.Dry => 7,
            RoomAir.HighUp => 5,
            _ => 15,
        };
        return new(rest.Oiled ? 3 * bare : bare);
    }

    /// <summary>From fridge to workable in the kitchen's air: τ = ρc · V/A / h, t = τ · ln((air − fridge)/(air − workable)), for a lump as round as a ball.</summary>
    public static Minutes Warms(Grams lump, Density density) =>
        new(Lag(lump, density).Value * Math.Log((Air.Kitchen.Value - Air.Fridge.Value) / (Air.Kitchen.Value - Workable.Value)));

    /// <summary>How long a lump takes two thirds of its way to the kitchen's air.</summary>
    public static Minutes Lag(Grams lump, Density density) =>
        new(Round.DoughDensity.KilogramsPerCubicMetre * HeatPerMass * (Round.SphereOf(lump, density).Metres / 6) / AirSide / 60);
}
