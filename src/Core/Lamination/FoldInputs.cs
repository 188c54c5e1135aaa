namespace Ystrata.Core.Lamination;

public enum LaidIn
{
    Fat,
    Dust,
    Bits,
}

/// <summary>Something laid on or between the leaves of one ball.</summary>
/// <param name="Field">Where the spec has it.</param>
/// <param name="Mass">On each piece that lies there.</param>
/// <param name="Pieces">Pieces the ball has become by then.</param>
public sealed record FoldInput(string Field, string Id, Grams Mass, LaidIn Is, int Pieces = 1)
{
    public Grams OfBall => Mass * Pieces;
}

/// <summary>What one ball takes of one ingredient besides its dough.</summary>
public sealed record LaidMass(string Id, Grams Each);

/// <summary>Everything a sheet and its fold program take besides dough.</summary>
public static class FoldInputs
{
    /// <param name="sheet">Nothing where nothing is laid on the first sheet.</param>
    public static IReadOnlyList<FoldInput> Of(SheetSpec? sheet, IReadOnlyList<FoldStep> steps) =>
    [
        .. sheet is null ? [] : new FoldInput[] { new("sheet.fatMass", sheet.Fat, sheet.FatMass, LaidIn.Fat), new("sheet.dustMass", sheet.Dust, sheet.DustMass, LaidIn.Dust) },
        .. steps.SelectMany((s, i) => s.Inputs($"fold.steps[{i}]").Select(u => u with { Pieces = steps.Take(i).Aggregate(1, (pieces, before) => pieces * before.Makes) })),
    ];
}
