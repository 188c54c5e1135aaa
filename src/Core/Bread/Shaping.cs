namespace Ystrata.Core.Bread;

/// <summary>What hands do to one ball from the first sheet to the last roll, as its route has it.</summary>
/// <param name="Across">The first sheet, as a round of this diameter; the longer side of a rectangle.</param>
/// <param name="Width">Nothing for a round; the other side of a rectangle.</param>
/// <param name="Coat">What is laid on the first sheet; nothing where nothing is.</param>
/// <param name="RolledTo">The round that all the dough of a piece is rolled to in the end.</param>
/// <param name="Drops">Fat laid in before a filling; nothing without.</param>
/// <param name="Rest">All the rest the folded piece gets before the last roll.</param>
internal sealed record Shaping(Millimetres Across, Millimetres? Width, SheetSpec? Coat, IReadOnlyList<FoldStep> Steps, Millimetres RolledTo, Minutes Rest, RollBy By, FatDrops? Drops = null)
{
    public static Shaping Of(SheetSpec sheet, FoldSpec fold, RollSpec roll, Millimetres rolledTo, FatDrops? drops = null) =>
        new(sheet.Diameter, sheet.Width, sheet, fold.Steps, rolledTo, new(roll.Rest.Value + RestsAtTheEnd(fold.Steps)), roll.By, drops);

    /// <summary>One bare disc, rolled twice.</summary>
    public static Shaping Bare(Millimetres round, RollSpec roll, FatDrops? drops = null) => new(round / 2, null, null, [], round, roll.Rest, roll.By, drops);

    /// <summary>Nothing is rolled.</summary>
    public static Shaping Poured(Millimetres across, Minutes rest) => new(across, null, null, [], across, rest, RollBy.Pin);

    /// <summary>Everything laid on and between the leaves, of one ball.</summary>
    public IReadOnlyList<FoldInput> Inputs { get; } =
    [
        .. FoldInputs.Of(Coat, Steps), .. Drops is { } drops ? new FoldInput[] { new("filling.wall.drops.mass", drops.Fat, drops.Mass, LaidIn.Fat, MadeBy(Steps)) } : [],
    ];

    /// <summary>Pieces that one ball is cut into.</summary>
    public int Makes { get; } = MadeBy(Steps);

    /// <summary>Pieces that these steps cut one ball into.</summary>
    public static int MadeBy(IReadOnlyList<FoldStep> steps) => steps.Aggregate(1, (pieces, step) => pieces * step.Makes);

    private static double RestsAtTheEnd(IReadOnlyList<FoldStep> steps) =>
        steps.Reverse().TakeWhile(s => s.Seals || s.Rests is not null).Sum(s => s.Rests?.Value ?? 0);
}
