namespace Ystrata.Core.Logbook;

/// <summary>The plan's figures beside which the log lays what really happened, as they were on the day.</summary>
/// <param name="Liquid">All liquids together.</param>
/// <param name="Dough">All dough, less what bowl and hands keep.</param>
/// <param name="Sides">First, second and last stay on the pan; fewer where the piece is turned less.</param>
/// <param name="Leaves">That come apart.</param>
/// <param name="Raw">One piece as it goes on the pan; nothing in what was planned before this was kept.</param>
/// <param name="Roasted">The same as it comes off.</param>
public sealed record Planned(
    int Pieces,
    Grams Flour,
    Grams Liquid,
    Grams DoughFat,
    Grams Salt,
    Grams BallMass,
    Celsius Pan,
    IReadOnlyList<Seconds> Sides,
    Grams Dough,
    Percent Hydration,
    int Leaves,
    int Fused,
    Millimetres Thickness,
    Grams? Raw = null,
    Grams? Roasted = null)
{
    /// <summary>The plan as it was before bench, scale and probe were told anything.</summary>
    /// <returns>Nothing where this kitchen does not let it be worked.</returns>
    public static Planned? Before(BatchSpec spec, Kitchen kitchen)
    {
        var plan = AsCooked.Untold(spec);
        return Planner.Plan(plan, kitchen).Value is { } sheet ? Of(plan, sheet) : null;
    }

    public static Planned Of(BatchSpec spec, BatchSheet sheet)
    {
        Grams Mass(DoughPart part) => new(sheet.Dough.Portions.Where(p => p.Part == part).Sum(p => p.Mass.Value));
        return new(
            sheet.Balls.Count,
            sheet.Dough.Flour,
            Mass(DoughPart.Liquid),
            Mass(DoughPart.Fat),
            Mass(DoughPart.Salt),
            sheet.Balls.Mass,
            spec.Pan.Laid,
            sheet.Pan.Program.Turns is [var first, var second, .., var last] ? [first.Time, second.Time, last.Time] : [.. sheet.Pan.Program.Turns.Select(t => t.Time)],
            sheet.Dough.Mass - sheet.Dough.Loss,
            sheet.Dough.Water.Hydration,
            sheet.Fold.Effective,
            sheet.Fold.Fused,
            sheet.Roll.Thickness,
            sheet.Piece.Raw.Mass,
            sheet.Piece.Out.Mass);
    }
}
