namespace Ystrata.Core.Planning;

/// <summary>What the cook decided, stage by stage. Everything else follows from it through <see cref="Planner"/>.</summary>
/// <param name="Clock">Who and what there is to make it; nothing for one pair of hands and one pan.</param>
public sealed record BatchSpec(
    StartSpec Start,
    DoughSpec Dough,
    RestSpec Rest,
    BallsSpec Balls,
    LadleSpec Ladle,
    SheetSpec Sheet,
    FoldSpec Fold,
    RollSpec Roll,
    PanSpec Pan,
    FillingSpec? Filling = null,
    ClockSpec? Clock = null)
{
    /// <summary>What a new bread starts from: a plain white round, unfolded.</summary>
    public static BatchSpec Plain { get; } = new(
        StartSpec.Of(8),
        DoughSpec.Of(Staples.WhiteFlour, Feel.Medium, 58, Staples.Ghee, 3),
        RestSpec.CoveredFor(30),
        new(BallBy.Mass, new(80), new(2.7), Cutting: CuttingSpec.Usual),
        new(new(80), new(2.5)),
        new(new(180), new(30), Staples.Ghee, new(0), Staples.WhiteFlour, new(0)),
        new([]),
        new(new(180), new(10)),
        new(new(210), Staples.Ghee, new(2.5), Colour.Gold));
}
