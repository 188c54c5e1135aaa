namespace Ystrata.Core;

/// <summary>The plan's figures beside which the log lays what really happened, as they were on the day.</summary>
/// <param name="Liquid">All liquids together.</param>
/// <param name="Dough">All dough, less what bowl and hands keep.</param>
/// <param name="Sides">First, second and last stay on the pan; fewer where the piece is turned less.</param>
/// <param name="Leaves">That come apart.</param>
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
    Millimetres Thickness)
{
    /// <summary>The plan as it was before bench, scale and probe were told anything.</summary>
    /// <param name="spec"><see cref="SpecCheck"/> does not refuse it.</param>
    public static Planned Before(BatchSpec spec, Larder larder)
    {
        var plan = AsCooked.Untold(spec);
        return Of(plan, Planner.Plan(plan, larder, larder.Learned));
    }

    public static Planned Of(BatchSpec spec, BatchSheet sheet)
    {
        Grams Mass(Part part) => new(sheet.Dough.Portions.Where(p => p.Part == part).Sum(p => p.Mass.Value));
        return new(
            sheet.Balls.Count,
            sheet.Dough.Flour,
            Mass(Part.Liquid),
            Mass(Part.Fat),
            Mass(Part.Salt),
            sheet.Balls.Mass,
            spec.Pan.Laid,
            sheet.Pan.Turns is [var first, var second, .., var last] ? [first.Time, second.Time, last.Time] : [.. sheet.Pan.Turns.Select(t => t.Time)],
            sheet.Dough.Mass - sheet.Dough.Loss,
            sheet.Dough.Hydration,
            sheet.Fold.Effective,
            sheet.Fold.Fused,
            sheet.Roll.Thickness);
    }
}
