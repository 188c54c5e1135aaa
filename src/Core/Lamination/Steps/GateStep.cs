namespace Ystrata.Core.Lamination;

/// <summary>Two quarters in, to meet in the middle.</summary>
public sealed record GateStep(FoldWay Way = FoldWay.Across) : FoldStep
{
    internal static GateStep Begun() => new();

    internal override Form Apply(Form piece, int index, Kitchen kitchen) => piece.Creased(Creases(piece), index);

    internal override int Copies(Form piece) => 2;

    internal override IReadOnlyList<Crease> Creases(Form piece) => Crease.Gate(piece, piece.AxisOf(Way));

    internal override bool Folds => true;

    internal override HandUse? Hands => new(HandWork.Fold, 2);

    internal override double Difficulty => 0.3;

    internal override Refusal? Unworkable(Form piece, string at) => NeedsFlat(piece, at);
}
