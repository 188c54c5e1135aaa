namespace Ystrata.Core.Lamination;

/// <param name="Thickness">Dough only.</param>
/// <param name="Thinnest">What this flour, feel and rest still bear.</param>
/// <param name="ThinnestAcross">The diameter at which the ball gets that thin.</param>
/// <param name="ThickFrom">From this on it is thick to fold.</param>
/// <param name="ThickFromAcross">The diameter up to which it is thick to fold.</param>
/// <param name="Film">Fat on the upper face.</param>
/// <param name="Dust">Flour on the upper face.</param>
/// <param name="MostFat">Fat the face holds before it runs.</param>
/// <param name="View">The sheet from above.</param>
/// <param name="AsRound">The round of the same area, whole millimetres.</param>
/// <param name="AsLong">The longer side of a rectangle of the same area, five to four, whole millimetres.</param>
/// <param name="AsWide">Its shorter side.</param>
/// <param name="Section">The sheet cut through.</param>
public sealed record FirstSheet(
    Millimetres Diameter,
    SquareCentimetres Area,
    Millimetres Thickness,
    Millimetres Thinnest,
    Millimetres ThinnestAcross,
    Millimetres ThickFrom,
    Millimetres ThickFromAcross,
    Micrometres Film,
    Load Dust,
    Grams MostFat,
    PlanView View,
    Millimetres AsRound,
    Millimetres AsLong,
    Millimetres AsWide,
    Section Section);

/// <summary>Stage 4: the ball rolled thin, fat and flour laid on it.</summary>
public static class SheetStage
{
    /// <summary>A film thicker than this runs out at the first fold (empirical).</summary>
    public static readonly Micrometres HoldsFilm = new(200);

    // The rectangle a round is turned into: what folds in letters to something near a square.
    private const double LongToWide = 1.25;

    // A folded sheet more than this many times its flour's limit wastes surface (empirical).
    private const double ThickFactor = 2;

    internal static FirstSheet Work(CheckedBatch batch, DoughSheet dough, RestSheet rest)
    {
        var (pile, area) = batch.Sheet.Piles[0];
        var thinnest = rest.Now.Thinnest;
        return new(
            batch.Shape.Across,
            area,
            pile.Dough,
            thinnest,
            Round.DiameterOf(dough.Ball, thinnest, dough.Density),
            thinnest * ThickFactor,
            Round.DiameterOf(dough.Ball, thinnest * ThickFactor, dough.Density),
            pile.Top.Film,
            pile.Top.Dust,
            Coat.FatFor(HoldsFilm, batch.Kitchen[batch.Spec.Sheet.Fat], area),
            PlanView.OfSheet(batch.Sheet),
            Whole(area.AsRound().Value),
            Whole(Math.Sqrt(area.Value * 100 * LongToWide)),
            Whole(Math.Sqrt(area.Value * 100 / LongToWide)),
            Section.Of(batch.Sheet));
    }

    private static Millimetres Whole(double mm) => new(Math.Round(mm));

    /// <summary>The ball rolled out, with fat and flour on its upper face.</summary>
    internal static Form Lay(Shaping shape, Grams ball, Density density, Kitchen kitchen)
    {
        var bare = Form.Sheet(ball, shape.Across, density, shape.Width);
        return shape.Coat is { } coat ? bare.Coated(CoatOf(coat, bare.Area, kitchen)) : bare;
    }

    /// <summary>What lies on the sheet.</summary>
    public static Coat CoatOf(SheetSpec spec, SquareCentimetres area, Kitchen kitchen) => Coat.OfFat(spec.FatMass, kitchen[spec.Fat], area) + Coat.OfDust(spec.DustMass, area);
}
