namespace Ystrata.Core.Bread;

/// <summary>What hands do to one ball from the first sheet to the last roll, as its route has it.</summary>
/// <param name="Across">The first sheet, as a round of this diameter; the longer side of a rectangle.</param>
/// <param name="Width">Nothing for a round; the other side of a rectangle.</param>
/// <param name="Coat">What is laid on the first sheet; nothing where nothing is.</param>
/// <param name="RolledTo">The round that all the dough of a piece is rolled to in the end.</param>
/// <param name="Rest">All the rest the folded piece gets before the last roll.</param>
internal sealed record Shaping(Millimetres Across, Millimetres? Width, SheetSpec? Coat, IReadOnlyList<FoldStep> Steps, Millimetres RolledTo, Minutes Rest, RollBy By)
{
    public static Shaping Of(SheetSpec sheet, FoldSpec fold, RollSpec roll, Millimetres rolledTo) =>
        new(sheet.Diameter, sheet.Width, sheet, fold.Steps, rolledTo, new(roll.Rest.Value + RestsAtTheEnd(fold.Steps)), roll.By);

    /// <summary>One bare disc, rolled twice.</summary>
    public static Shaping Bare(Millimetres round, RollSpec roll) => new(round / 2, null, null, [], round, roll.Rest, roll.By);

    /// <summary>Nothing is rolled.</summary>
    public static Shaping Poured(Millimetres across, Minutes rest) => new(across, null, null, [], across, rest, RollBy.Pin);

    /// <summary>Everything laid on and between the leaves, of one ball.</summary>
    public IReadOnlyList<FoldInput> Inputs { get; } = FoldInputs.Of(Coat, Steps);

    private static double RestsAtTheEnd(IReadOnlyList<FoldStep> steps) =>
        steps.Reverse().TakeWhile(s => s.Seals || s.Rests is not null).Sum(s => s.Rests?.Value ?? 0);
}
