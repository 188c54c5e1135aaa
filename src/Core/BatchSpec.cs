namespace Ystrata.Core;

/// <summary>What the cook decided, stage by stage. Everything else follows from it through <see cref="Planner"/>.</summary>
public sealed record BatchSpec(DoughSpec Dough, BallsSpec Balls, SheetSpec Sheet, FoldSpec Fold, RollSpec Roll, PanSpec Pan)
{
    /// <summary>What a new bread starts from: a plain white round, unfolded.</summary>
    public static BatchSpec Plain { get; } = new(
        new(8, [new("flour-white", 100)], Feel.Medium, new(58), "water", "ghee", new(3), new(1.8), []),
        new(BallBy.Mass, new(80), new(2.7)),
        new(new(180), new(30), "ghee", new(0), "flour-white", new(0)),
        new([]),
        new(new(180), new(10)),
        new(new(210), "ghee", new(2.5), Colour.Gold));
}

/// <summary>How the dough should feel; it moves the water this flour wants.</summary>
public enum Feel
{
    Firm,
    Medium,
    Soft,
    VerySoft,
}

/// <summary>One flour of the mix.</summary>
/// <param name="Parts">Its parts by mass; only the proportions count.</param>
public sealed record FlourShare(string Id, double Parts);

/// <summary>Something kneaded in: seeds, leaves, spice, sugar, leaven.</summary>
/// <param name="Share">Percent of flour.</param>
public sealed record AdditionShare(string Id, Percent Share);

/// <param name="Hydration">All water but the flour's own, percent of flour.</param>
/// <param name="Liquid">The liquid or puree that brings the water.</param>
/// <param name="FatShare">Dough fat, percent of flour.</param>
/// <param name="Salt">Salt from every source, percent of flour.</param>
public sealed record DoughSpec(
    int Pieces,
    IReadOnlyList<FlourShare> Flours,
    Feel Feel,
    Percent Hydration,
    string Liquid,
    string Fat,
    Percent FatShare,
    Percent Salt,
    IReadOnlyList<AdditionShare> Additions);

/// <summary>Which of the two figures of a ball the cook fixed.</summary>
public enum BallBy
{
    Mass,
    Thickness,
}

/// <summary>A ball, fixed by its mass or by the round it makes. Both figures are kept, so that switching loses neither.</summary>
/// <param name="Thickness">Dough thickness of the finished round, raw.</param>
public sealed record BallsSpec(BallBy By, Grams Mass, Millimetres Thickness);

/// <param name="Diameter">The first sheet, as a round of this diameter.</param>
/// <param name="Rest">How long the ball rested before it.</param>
/// <param name="FatMass">Brushed on the upper face, per piece.</param>
/// <param name="DustMass">Sprinkled over it, per piece.</param>
public sealed record SheetSpec(Millimetres Diameter, Minutes Rest, string Fat, Grams FatMass, string Dust, Grams DustMass);

public sealed record FoldSpec(IReadOnlyList<FoldStep> Steps);

/// <param name="Diameter">The finished round, after it has sprung back.</param>
/// <param name="Rest">How long the folded piece rested before the last roll.</param>
public sealed record RollSpec(Millimetres Diameter, Minutes Rest);

/// <summary>How dark each face should be.</summary>
public enum Colour
{
    Pale,
    Gold,
    Brown,
}

/// <param name="Temperature">The empty pan when the piece goes on.</param>
/// <param name="FatPerSide">Fat on each face, per piece.</param>
public sealed record PanSpec(Celsius Temperature, string Fat, Grams FatPerSide, Colour Colour);
