namespace Ystrata.Core;

/// <summary>A dough whose every figure is known.</summary>
/// <param name="Grams">As planned, one for each line of the bowl.</param>
/// <param name="Actual">The same with what really went in.</param>
/// <param name="Mass">Dough in the bowl.</param>
/// <param name="Net">What of it becomes balls.</param>
/// <param name="Ball">The ball that uses the dough up; the one wanted, but for a whole number of pieces.</param>
public sealed record DoughSolution(Bowl Bowl, Grams Flour, double[] Grams, double[] Actual, Grams Mass, Grams Net, int Count, Grams Ball, Grams PlannedBall);

/// <summary>The one solver behind all six questions: whatever figure a batch starts from, it finds the flour, and everything follows.</summary>
/// <remarks>
/// Every figure grows with the flour, and is linear in it but for kinks (fat past 10 %, the least loss), so a secant from two guesses lands
/// in a few steps. Pieces and eaters fix the balls; flour, liquid and filling fix the dough, whose balls are then evened out.
/// </remarks>
public static class DoughSolver
{
    public const int MostPieces = 500;

    // Liquids thicker than the dough can take: a bowl of puree with a dusting of flour is no dough.
    private const double MostLiquidShare = 600;

    private const double LeastFlour = 1;
    private static readonly Grams LeastLoss = new(5);

    /// <returns>The solution, or why there is none.</returns>
    public static (DoughSolution? Solution, Refusal? Refusal) Solve(BatchSpec spec, FlourMix mix, Larder larder, Learned learned)
    {
        if (Pins(spec) is { } pins)
        {
            return (null, pins);
        }

        var bowl = Bowl.Of(spec.Dough, mix, larder);
        if (FlourFor(spec, bowl, learned) is not { } flour)
        {
            return (null, NoWater(spec, bowl, larder, learned) ?? new($"start.{FieldOf(spec.Start.By)}", RefusalCode.FixedOutweighs));
        }

        var grams = bowl.Fill(flour);
        return Amiss(spec, bowl, grams, flour, mix, larder, learned) is { } refusal ? (null, refusal) : Finish(spec, bowl, grams, flour, learned);
    }

    /// <summary>The figure of the spec that a batch starts from.</summary>
    public static string FieldOf(StartBy by) => by switch
    {
        StartBy.Flour => "flour",
        StartBy.Liquid => "liquid",
        StartBy.Filling => "filling",
        StartBy.People => "people",
        _ => "pieces",
    };

    /// <summary>Pieces asked for; nothing when they follow from something else.</summary>
    public static int? PiecesOf(StartSpec start) => start.By switch
    {
        StartBy.Pieces => start.Pieces,
        StartBy.People => (int)Math.Ceiling(start.People * start.Each - 1e-9),
        _ => null,
    };

    // Exactly one figure sets the size and exactly one the water; a third would contradict them.
    private static Refusal? Pins(BatchSpec spec)
    {
        var rests = spec.Dough.Liquids.Count(l => l.Amount.By == AmountBy.Rest);
        var pinned = spec.Dough.WaterBy != WaterBy.Liquids;
        if (rests > 1)
        {
            return new("dough.liquids", RefusalCode.TwoRests);
        }

        if (pinned && rests == 0)
        {
            return new("dough.hydration", RefusalCode.TooManyPins, Item: FieldOf(spec.Start.By));
        }

        if (!pinned && rests == 1)
        {
            return new("dough.hydration", RefusalCode.NothingSetsWater);
        }

        return spec.Start.By == StartBy.Liquid && rests == 0 && spec.Dough.Liquids.All(l => l.Amount.By == AmountBy.Mass)
            ? new("start.liquid", RefusalCode.TooManyPins, Item: FieldOf(StartBy.Liquid))
            : null;
    }

    private static double? FlourFor(BatchSpec spec, Bowl bowl, Learned learned)
    {
        var start = spec.Start;
        var ball = BallsStage.WantedBall(spec).Value;
        double BallOf(double[] grams) => spec.Dough.Feel == Feel.Batter ? (spec.Ladle.Volume.Value * bowl.DensityOf(grams).Value) : ball;
        double Net(double[] grams) => NetOf(grams.Sum(), learned);

        return start.By switch
        {
            StartBy.Flour => start.Flour.Value,
            StartBy.Liquid => Root(f => bowl.Fill(f)[bowl.Anchor] - start.Liquid.Value, start.Liquid.Value),
            StartBy.Filling => Root(
                f => bowl.Fill(f) is var g ? Net(g) - start.Filling / start.FillingEach * BallOf(g) : 0,
                start.Filling / start.FillingEach * ball),
            _ => Root(f => bowl.Fill(f) is var g ? Net(g) - PiecesOf(start)!.Value * BallOf(g) : 0, PiecesOf(start)!.Value * ball),
        };
    }

    // Secant on a rising function. Nothing when it does not rise, or reaches nothing at less than a gram of flour.
    private static double? Root(Func<double, double> of, double scale)
    {
        var (a, b) = (0.4 * scale, 0.7 * scale);
        var (fa, fb) = (of(a), of(b));
        for (var i = 0; i < 40; i++)
        {
            var slope = (fb - fa) / (b - a);
            if (!(slope > 1e-9))
            {
                return null;
            }

            var next = b - fb / slope;
            (a, fa, b) = (b, fb, next);
            if (Math.Abs(b - a) <= 1e-12 * Math.Abs(b))
            {
                break;
            }

            fb = of(b);
            if (fb == 0)
            {
                break;
            }
        }

        return b >= LeastFlour ? b : null;
    }

    // Loss: bowl and hands keep a share, at least five grams (models.md B).
    private static double NetOf(double mass, Learned learned) => Math.Min(mass * (1 - learned.BowlLoss.Fraction), mass - LeastLoss.Value);

    private static Refusal? Amiss(BatchSpec spec, Bowl bowl, double[] grams, double flour, FlourMix mix, Larder larder, Learned learned)
    {
        const double Nothing = -1e-6;
        if (bowl.Rest >= 0 && grams[bowl.Rest] < Nothing)
        {
            return NoWater(spec, bowl, larder, learned, grams, flour);
        }

        for (var i = 0; i < grams.Length; i++)
        {
            if (bowl.Lines[i] is { Part: Part.Liquid } line && grams[i] > flour * MostLiquidShare / 100)
            {
                return new($"dough.liquids[{line.Index}].id", RefusalCode.TooMuchLiquid, 100 * grams[i] / flour, null, MostLiquidShare, Percent.Unit, line.Item.Id);
            }

            if (bowl.Lines[i].Part == Part.Salt && grams[i] < Nothing)
            {
                var carried = bowl.Judge(grams, flour).Salt.Value - 100 * grams[i] * bowl.Lines[i].Item.Salt.Fraction / flour;
                return new("dough.salt.amount.share", RefusalCode.TooMuchSaltCarried, spec.Dough.Salt.Amount.Share.Value, carried, null, Percent.Unit);
            }
        }

        return null;
    }

    // A liquid that is fixed brings more than the dough takes: say how much of it fits. Else fat and additions do: say the least hydration.
    private static Refusal? NoWater(BatchSpec spec, Bowl bowl, Larder larder, Learned learned, double[]? grams = null, double flour = 0)
    {
        var liquids = spec.Dough.Liquids;
        var fixedBy = Enumerable.Range(0, liquids.Count).Where(i => liquids[i].Amount.By != AmountBy.Rest).ToList();
        if (bowl.Rest < 0)
        {
            return null;
        }

        if (fixedBy.Count > 0)
        {
            var most = grams is null ? fixedBy[^1] : fixedBy.MaxBy(i => grams[spec.Dough.Flours.Count + i]);
            var byMass = liquids[most].Amount.By == AmountBy.Mass;
            return new(
                $"dough.liquids[{most}].amount.{(byMass ? "mass" : "share")}",
                RefusalCode.LiquidDoesNotFit,
                byMass ? liquids[most].Amount.Mass.Value : liquids[most].Amount.Share.Value,
                0,
                Fits(spec, most, byMass, larder, learned),
                byMass ? Grams.Unit : Percent.Unit,
                liquids[most].Id);
        }

        if (grams is null)
        {
            return null;
        }

        var mixed = bowl.Judge(grams, flour);
        var carried = mixed.Hydration.Value - 100 * grams[bowl.Rest] * bowl.Lines[bowl.Rest].Item.Water.Fraction / flour;
        return new("dough.hydration", RefusalCode.TooMuchWaterCarried, mixed.Hydration.Value, carried, null, Percent.Unit);
    }

    // How much of a fixed liquid the dough takes when nothing else is added: let it make up the rest itself.
    private static double Fits(BatchSpec spec, int index, bool byMass, Larder larder, Learned learned)
    {
        var liquids = spec.Dough.Liquids
            .Select((l, i) => i == index ? l with { Amount = Amount.TheRest } : l)
            .Where((l, i) => i == index || l.Amount.By != AmountBy.Rest)
            .ToList();
        var alone = spec with
        {
            Dough = spec.Dough with { Liquids = liquids },
            Start = spec.Start.By == StartBy.Liquid ? spec.Start with { By = StartBy.Flour } : spec.Start,
        };
        var mix = FlourMix.Of(spec.Dough.Flours, larder);
        var bowl = Bowl.Of(alone.Dough, mix, larder);
        return FlourFor(alone, bowl, learned) is { } flour ? Math.Max(bowl.Fill(flour)[bowl.Rest] * (byMass ? 1 : 100 / flour), 0) : 0;
    }

    private static (DoughSolution? Solution, Refusal? Refusal) Finish(BatchSpec spec, Bowl bowl, double[] grams, double flour, Learned learned)
    {
        var batter = spec.Dough.Feel == Feel.Batter;
        var ball = batter ? spec.Ladle.Volume.Value * bowl.DensityOf(grams).Value : BallsStage.WantedBall(spec).Value;
        var net = NetOf(grams.Sum(), learned);
        var count = PiecesOf(spec.Start) ?? Math.Max((int)Math.Min(Math.Round(net / ball), MostPieces + 1), 1);
        if (count > MostPieces)
        {
            return (null, new($"start.{FieldOf(spec.Start.By)}", RefusalCode.TooManyPieces, PiecesOf(spec.Start) ?? Math.Round(net / ball), 1, MostPieces));
        }

        var actual = grams;
        if (spec.Dough.Mix.WentIn is { } wentIn && bowl.Anchor >= 0)
        {
            actual = [.. grams];
            actual[bowl.Anchor] = wentIn.Value;
        }

        var mass = actual.Sum();
        var netActual = NetOf(mass, learned);
        return netActual / count < LeastFlour
            ? (null, new($"start.{FieldOf(spec.Start.By)}", RefusalCode.FixedOutweighs))
            : (new(bowl, new(flour), grams, actual, new(mass), new(netActual), count, new(netActual / count), new(net / count)), null);
    }
}
