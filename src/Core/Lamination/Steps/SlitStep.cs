namespace Ystrata.Core.Lamination;

/// <summary>Parallel cuts that stop short of the edge.</summary>
public sealed record SlitStep(int Ribbons) : FoldStep
{
    internal static SlitStep Begun() => new(16);

    // Cuts stop short of the edge, share of the length.
    private const double StopsAt = 0.88;

    internal override bool NeedsGluten => true;

    internal override Form Apply(Form piece, int index, Kitchen kitchen) => piece with { Ribbons = Ribbons };

    internal override HandUse? Hands => new(HandWork.Slit, Ribbons);

    internal override double Difficulty => 1;

    internal override Refusal? Unworkable(Form piece, string at) => NeedsFlat(piece, at) ?? Winding.TooNarrow(at + ".ribbons", Ribbons, piece);

    internal override IEnumerable<(string Name, double Value)> Figures => [("ribbons", Ribbons)];

    internal override IReadOnlyList<PlanMark> Marks(Form piece) => [.. Enumerable.Range(1, Ribbons - 1).Select(i => PlanView.Cut(piece, i / (double)Ribbons, StopsAt))];
}
