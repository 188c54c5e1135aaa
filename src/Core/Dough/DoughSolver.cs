namespace Ystrata.Core.Dough;

/// <summary>A dough whose every figure is known.</summary>
/// <param name="Grams">As planned, one for each line of the bowl.</param>
/// <param name="Actual">The same with what really went in.</param>
/// <param name="Mass">Dough in the bowl.</param>
/// <param name="Net">What of it becomes balls.</param>
/// <param name="Ball">The ball that uses the dough up; the one wanted, but for a whole number of pieces.</param>
/// <param name="Wanted">The ball, or ladleful, that was asked for.</param>
public sealed record DoughSolution(Bowl Bowl, Grams Flour, double[] Grams, double[] Actual, Grams Mass, Grams Net, int Count, Grams Ball, Grams PlannedBall, Grams Wanted)
{
    /// <summary>What is weighed into it, line by line.</summary>
    internal IEnumerable<(Bowl.Line Line, Grams Mass)> Weighed => Bowl.Lines.Zip(Grams, (line, mass) => (line, new Grams(mass)));

    /// <summary>What there is something of in it.</summary>
    internal IEnumerable<Ingredient> InIt => Bowl.Lines.Where((_, i) => Actual[i] > 0).Select(l => l.Item);
}

/// <summary>The one solver behind all six questions: whatever figure a batch starts from, it finds the flour, and everything follows.</summary>
/// <remarks>
/// Every figure grows with the flour, and is linear in it but for kinks (fat past 10 %, the least loss), so a secant from two guesses lands
/// in a few steps. Pieces and eaters fix the balls; flour, liquid and filling fix the dough, whose balls are then evened out.
/// </remarks>
public sealed class DoughSolver
{
    public const int MostPieces = 500;

    // Liquids thicker than the dough can take: a bowl of puree with a dusting of flour is no dough.
    private const double MostLiquidShare = 600;

    private const double LeastFlour = 1;
    private static readonly Grams LeastLoss = new(5);

    private readonly DoughSpec dough;
    private readonly StartSpec start;
    private readonly Route route;
    private readonly FlourMix mix;
    private readonly Kitchen kitchen;
    private readonly FillingMade? filling;
    private readonly double share;

    private DoughSolver(BatchSpec spec, Route route, FlourMix mix, Kitchen kitchen, FillingMade? filling) =>
        (dough, start, this.route, this.mix, this.kitchen, this.filling, share) = (spec.Dough, spec.Start, route, mix, kitchen, filling, route.Filling?.Wall.Share.Fraction ?? 0);

    /// <param name="filling">As it was made; nothing for a bread that is not stuffed.</param>
    /// <returns>The solution with what it takes of the filling's liquor, or why there is none.</returns>
    internal static (DoughSolution? Solution, Stuffing? Stuffing, Refusal? Refusal) Solve(BatchSpec spec, Route route, FlourMix mix, Kitchen kitchen, FillingMade? filling)
    {
        var solver = new DoughSolver(spec, route, mix, kitchen, filling);
        var (solved, refusal) = solver.Pins() is { } pins ? (null, pins) : solver.Solve(null);
        if (solved is null || filling is null)
        {
            return (solved, null, refusal);
        }

        var used = route.Filling!.LiquorToDough ? solver.Takes(solved, filling.Liquor) : default;
        if (used.Value < LeastLiquor)
        {
            return (solved, new(filling, default), null);
        }

        (solved, refusal) = solver.Solve(filling.Liquor.Of(used));
        return (solved, new(filling, used), refusal);
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
        StartBy.Flour or StartBy.Liquid => start.Makes,
        StartBy.Pieces => start.Pieces,
        StartBy.People => (int)Math.Ceiling(start.People * start.Each - 1e-9),
        _ => null,
    };

    /// <summary>Dough and pieces are both fixed: the ball is what each gets.</summary>
    internal static bool BallFollows(StartSpec start) => start.By is StartBy.Flour or StartBy.Liquid && start.Makes is not null;

    private string Started => $"start.{FieldOf(start.By)}";

    private (DoughSolution? Solution, Refusal? Refusal) Solve(Liquor? poured)
    {
        var bowl = Bowl.Of(dough, mix, kitchen, poured);
        if (BallAmiss(bowl) is { } ball)
        {
            return (null, ball);
        }

        if (FlourFor(bowl, start.By) is not { } flour)
        {
            return (null, NoWater(bowl) ?? new(Started, RefusalCode.FixedOutweighs));
        }

        var grams = bowl.Fill(flour);
        return Amiss(bowl, grams, flour) is { } refusal ? (null, refusal) : Finish(bowl, grams, flour);
    }

    // Exactly one figure sets the size and exactly one the water; a third would contradict them.
    private Refusal? Pins()
    {
        var rests = dough.Liquids.Count(l => l.Amount.By == AmountBy.Rest);
        var pinned = dough.WaterBy != WaterBy.Liquids;
        return rests > 1 ? new("dough.liquids", RefusalCode.TwoRests)
            : pinned && rests == 0 ? new("dough.hydration", RefusalCode.TooManyPins, Item: FieldOf(start.By))
            : !pinned && rests == 1 ? new("dough.hydration", RefusalCode.NothingSetsWater)
            : start.By == StartBy.Liquid && rests == 0 && dough.Liquids.All(l => l.Amount.By == AmountBy.Mass) ? new("start.liquid", RefusalCode.TooManyPins, Item: FieldOf(StartBy.Liquid))
            : null;
    }

    // A ball given by its round has a mass of its own that must stay a ball.
    private Refusal? BallAmiss(Bowl bowl)
    {
        var (mass, limit) = (route.Poured ? default : route.BallOf(bowl, [], filling), SpecPlaces.ByField["balls.mass"]);
        return route.Poured || BallFollows(start) || (mass.Value >= limit.Least && mass.Value <= limit.Most) ? null
            : new("balls.thickness", RefusalCode.OutOfRange, mass.Value, limit.Least, limit.Most, limit.Unit);
    }

    private double? FlourFor(Bowl bowl, StartBy by)
    {
        double BallOf(double[] grams) => route.BallOf(bowl, grams, filling).Value;
        // How many balls the filling at hand fills.
        double Balls(double ball) => filling is { } made ? made.End.Mass.Value / (ball * share) : start.Filling / start.FillingEach;
        double Over(double flour, Func<double, double> balls) => bowl.Fill(flour) is var g && BallOf(g) is var ball ? NetOf(g.Sum()) - balls(ball) * ball : 0;

        var usual = BallOf(bowl.Fill(1000));
        return by switch
        {
            StartBy.Flour => start.Flour.Value,
            StartBy.Liquid => Root(f => bowl.Fill(f)[bowl.Anchor] - start.Liquid.Value, start.Liquid.Value),
            StartBy.Filling => Root(f => Over(f, Balls), Balls(usual) * usual),
            _ => PiecesOf(start)!.Value is var pieces ? Root(f => Over(f, _ => pieces), pieces * usual) : null,
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
    private double NetOf(double mass) => Math.Min(mass * (1 - kitchen.Learned.BowlLoss.Fraction), mass - LeastLoss.Value);

    private Refusal? Amiss(Bowl bowl, double[] grams, double flour)
    {
        const double Nothing = -1e-6;
        if (bowl.Rest >= 0 && grams[bowl.Rest] < Nothing)
        {
            return NoWater(bowl, grams, flour);
        }

        for (var i = 0; i < grams.Length; i++)
        {
            if (bowl.Lines[i] is { Part: DoughPart.Liquid } line && grams[i] > flour * MostLiquidShare / 100)
            {
                return new($"dough.liquids[{line.Index}].id", RefusalCode.TooMuchLiquid, 100 * grams[i] / flour, null, MostLiquidShare, Percent.Unit, line.Item.Id);
            }

            if (bowl.Lines[i].Part == DoughPart.Salt && grams[i] < Nothing)
            {
                var carried = bowl.Judge(grams, flour).Salt.Value - 100 * grams[i] * bowl.Lines[i].Item.Salt.Fraction / flour;
                return new("dough.salt.amount.share", RefusalCode.TooMuchSaltCarried, dough.Salt.Amount.Share.Value, carried, null, Percent.Unit);
            }
        }

        return null;
    }

    // A liquid that is fixed brings more than the dough takes: say how much of it fits. Else fat and additions do: say the least hydration.
    private Refusal? NoWater(Bowl bowl, double[]? grams = null, double flour = 0)
    {
        if (bowl.Rest < 0)
        {
            return null;
        }

        var fixedBy = Enumerable.Range(0, dough.Liquids.Count).Where(i => dough.Liquids[i].Amount.By != AmountBy.Rest).ToList();
        if (fixedBy.Count > 0)
        {
            var most = grams is null ? fixedBy[^1] : fixedBy.MaxBy(i => grams[dough.Flours.Count + i]);
            var liquid = dough.Liquids[most];
            var byMass = liquid.Amount.By == AmountBy.Mass;
            return new(
                $"dough.liquids[{most}].amount.{(byMass ? "mass" : "share")}",
                RefusalCode.LiquidDoesNotFit,
                byMass ? liquid.Amount.Mass.Value : liquid.Amount.Share.Value,
                0,
                Fits(most, byMass),
                byMass ? Grams.Unit : Percent.Unit,
                liquid.Id);
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
    private double Fits(int index, bool byMass)
    {
        var liquids = dough.Liquids
            .Select((l, i) => i == index ? l with { Amount = Amount.TheRest } : l)
            .Where((l, i) => i == index || l.Amount.By != AmountBy.Rest)
            .ToList();
        var bowl = Bowl.Of(dough with { Liquids = liquids }, mix, kitchen);
        return FlourFor(bowl, start.By == StartBy.Liquid ? StartBy.Flour : start.By) is { } flour ? Math.Max(bowl.Fill(flour)[bowl.Rest] * (byMass ? 1 : 100 / flour), 0) : 0;
    }

    private (DoughSolution? Solution, Refusal? Refusal) Finish(Bowl bowl, double[] grams, double flour)
    {
        var ball = route.BallOf(bowl, grams, filling);
        var net = NetOf(grams.Sum());
        var count = PiecesOf(start) ?? Math.Max((int)Math.Min(Math.Round(net / ball.Value), MostPieces + 1), 1);
        if (count > MostPieces)
        {
            return (null, new(Started, RefusalCode.TooManyPieces, PiecesOf(start) ?? Math.Round(net / ball.Value), 1, MostPieces));
        }

        if (BallFollows(start) && BallsAmiss(new(net), count) is { } amiss)
        {
            return (null, amiss);
        }

        var actual = grams;
        if (dough.Mix.WentIn is { } wentIn && bowl.Anchor >= 0)
        {
            actual = [.. grams];
            actual[bowl.Anchor] = wentIn.Value;
        }

        var mass = actual.Sum();
        var netActual = NetOf(mass);
        return netActual / count < LeastFlour
            ? (null, new(Started, RefusalCode.FixedOutweighs))
            : (new(bowl, new(flour), grams, actual, new(mass), new(netActual), count, new(netActual / count), new(net / count), BallFollows(start) ? new(net / count) : ball), null);
    }

    // So many of it would be no balls any more: say how many it can make.
    private static Refusal? BallsAmiss(Grams net, int count)
    {
        var limit = SpecPlaces.ByField["balls.mass"];
        var (least, most) = (Math.Ceiling(net.Value / limit.Most), Math.Floor(net.Value / limit.Least));
        return count >= least && count <= most ? null : new("start.makes", RefusalCode.OutOfRange, count, Math.Max(least, 1), Math.Min(Math.Max(most, 1), MostPieces));
    }

    // ---- liquor of the filling

    // The liquor leaves a little for the liquid that makes up the rest, so that the feel can still be set.
    private const double MostOfWater = 0.98, MostOfSalt = 0.98;

    // Less is not worth a line of its own, g.
    private const double LeastLiquor = 0.1;

    private Grams Takes(DoughSolution solved, Liquor liquor) => liquor.Mass.Value < LeastLiquor
        ? default
        : new(Math.Max(Math.Min(liquor.Mass.Value, Math.Min(WaterFits(solved, liquor), SaltFits(solved, liquor))), 0));

    // As much liquor as replaces the water that a liquid makes up.
    private static double WaterFits(DoughSolution solved, Liquor liquor) => solved.Bowl.Rest is >= 0 and var rest
        ? MostOfWater * solved.Grams[rest] * solved.Bowl.Lines[rest].Item.Water.Fraction / (liquor.Water / liquor.Mass)
        : 0;

    // As much as brings the salt that would be added; a dough whose salt is weighed takes any.
    private double SaltFits(DoughSolution solved, Liquor liquor)
    {
        if (dough.Salt.Amount.By == AmountBy.Mass || liquor.Salt.Value <= 0)
        {
            return double.PositiveInfinity;
        }

        var at = solved.Bowl.Lines.Select((l, i) => (l, i)).First(l => l.l.Part == DoughPart.Salt);
        return MostOfSalt * solved.Grams[at.i] * at.l.Item.Salt.Fraction / (liquor.Salt / liquor.Mass);
    }
}
