namespace Ystrata.Core;

/// <summary>A spec as its filling makes it: the dough is solved for what the filling fixes, with the liquor among its liquids.</summary>
/// <param name="Spec">What dough, balls and start are worked from.</param>
/// <param name="Larder">The larder with the liquor in it, where the dough takes any.</param>
/// <param name="Made">Nothing for a bread that is not stuffed.</param>
public sealed record Stuffed(BatchSpec Spec, Larder Larder, FillingMade? Made, Grams LiquorUsed)
{
    /// <summary>Id of the liquor as a liquid of the dough.</summary>
    public const string Liquor = "liquor";

    // The liquor leaves a little for the liquid that makes up the rest, so that the feel can still be set.
    private const double MostOfWater = 0.98, MostOfSalt = 0.98;

    /// <summary>Filling first, then at most two solvings of the dough: without the liquor, to see how much it takes, and with it.</summary>
    /// <param name="spec">Its figures and ids have been looked at.</param>
    public static Stuffed Of(BatchSpec spec, FlourMix mix, Larder larder, Learned learned)
    {
        if (spec.Filling is not { } filling || spec.Dough.Feel == Feel.Batter)
        {
            return new(spec, larder, null, Grams.Zero);
        }

        var made = FillingStage.Make(filling, larder);
        var balls = spec.Balls.By == BallBy.Mass ? spec.Balls : spec.Balls with
        {
            By = BallBy.Mass,
            Mass = Parcel.DoughFor(filling.Wall, spec.Roll.Diameter, spec.Balls.Thickness, Round.DensityOf(spec.Dough), made.End.Density),
        };
        var start = spec.Start with { Filling = made.End.Mass, FillingEach = balls.Mass * filling.Wall.Share.Fraction };
        var dry = spec with { Balls = balls, Start = start };
        if (!filling.LiquorToDough || made.Liquor.Mass.Value < 0.1 || DoughSolver.Solve(dry, mix, larder, learned).Solution is not { } solved)
        {
            return new(dry, larder, made, Grams.Zero);
        }

        var used = new Grams(Math.Max(Math.Min(made.Liquor.Mass.Value, Math.Min(WaterFits(solved, made.Liquor), SaltFits(spec, solved, made.Liquor))), 0));
        return used.Value < 0.1
            ? new(dry, larder, made, Grams.Zero)
            : new(
                dry with { Dough = dry.Dough with { Liquids = [.. dry.Dough.Liquids, new(Liquor, Amount.Weighed(used.Value))] } },
                larder.With(Item(made.Liquor)),
                made,
                used);
    }

    // As much liquor as replaces the water that a liquid makes up.
    private static double WaterFits(DoughSolution solved, Liquor liquor) => solved.Bowl.Rest is >= 0 and var rest
        ? MostOfWater * solved.Grams[rest] * solved.Bowl.Lines[rest].Item.Water.Fraction / (liquor.Water / liquor.Mass)
        : 0;

    // As much as brings the salt that would be added; a dough whose salt is weighed takes any.
    private static double SaltFits(BatchSpec spec, DoughSolution solved, Liquor liquor)
    {
        if (spec.Dough.Salt.Amount.By == AmountBy.Mass || liquor.Salt.Value <= 0)
        {
            return double.PositiveInfinity;
        }

        var at = solved.Bowl.Lines.Select((l, i) => (l, i)).First(l => l.l.Part == Part.Salt);
        return MostOfSalt * solved.Grams[at.i] * at.l.Item.Salt.Fraction / (liquor.Salt / liquor.Mass);
    }

    private static Ingredient Item(Liquor liquor)
    {
        Percent Share(Grams part) => Percent.FromFraction(part / liquor.Mass);
        return new(
            Liquor, Liquor, IngredientKind.Liquid, new(1.02), Share(liquor.Water), default, Share(liquor.Sugar), Share(liquor.Salt),
            400 * (liquor.Sugar / liquor.Mass), null, null, null, null, null, "", null, [], new(new(0), new(1000)), null, Origin.Shipped);
    }
}
