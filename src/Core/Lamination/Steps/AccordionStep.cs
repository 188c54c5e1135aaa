namespace Ystrata.Core.Lamination;

/// <summary>Pleats laid flat: top on top and back on back by turns.</summary>
public sealed record AccordionStep(int Pleats, FoldWay Way = FoldWay.Across) : FoldStep
{
    internal static AccordionStep Begun() => new(12);

    internal override bool NeedsGluten => true;

    internal override Form Apply(Form piece, int index, Kitchen kitchen) => piece.Creased(Creases(piece), index);

    internal override int Copies(Form piece) => Pleats;

    internal override IReadOnlyList<Crease> Creases(Form piece) =>
        [.. Enumerable.Range(1, Pleats - 1).Select(i => Crease.At(piece, piece.AxisOf(Way), 1 - i / (double)Pleats, beyond: true, under: i % 2 == 0))];

    internal override bool Folds => true;

    internal override HandUse? Hands => new(HandWork.Pleat, Pleats);

    internal override double Difficulty => 0.8;

    internal override Refusal? Unworkable(Form piece, string at) => NeedsFlat(piece, at);

    internal override IEnumerable<(string Name, double Value)> Figures => [("pleats", Pleats)];
}
