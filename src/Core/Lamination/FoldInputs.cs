namespace Ystrata.Core;

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
    public static IReadOnlyList<FoldInput> Of(BatchSpec spec) =>
    [
        new("sheet.fatMass", spec.Sheet.Fat, spec.Sheet.FatMass, LaidIn.Fat),
        new("sheet.dustMass", spec.Sheet.Dust, spec.Sheet.DustMass, LaidIn.Dust),
        .. spec.Fold.Steps.SelectMany((s, i) => OfStep(s, $"fold.steps[{i}]").Select(u => u with { Pieces = PiecesBefore(spec.Fold, i) })),
    ];

    private static int PiecesBefore(FoldSpec fold, int step) => fold.Steps.Take(step).Aggregate(1, (pieces, s) => s switch
    {
        StripsStep { Gathered: false } strips => pieces * strips.Count,
        CutLogStep log => pieces * log.Slices,
        _ => pieces,
    });

    private static IEnumerable<FoldInput> OfStep(FoldStep step, string at) => step switch
    {
        BrushStep s => [new(at + ".mass", s.Fat, s.Mass, LaidIn.Fat)],
        DustStep s => [new(at + ".mass", s.Flour, s.Mass, LaidIn.Dust)],
        ScatterStep s => [new(at + ".mass", s.Item, s.Mass, LaidIn.Bits)],
        SeedsStep s => [new(at + ".mass", s.Item, s.Mass, LaidIn.Bits)],
        PasteStep s => [new(at + ".mass", s.Fat, s.Mass, LaidIn.Fat), new(at + ".flourMass", s.Flour, s.FlourMass, LaidIn.Dust)],
        EncloseStep s => [new(at + ".mass", s.Fat, s.Mass, LaidIn.Fat), new(at + ".flourMass", s.Flour, s.FlourMass, LaidIn.Dust)],
        _ => [],
    };
}
