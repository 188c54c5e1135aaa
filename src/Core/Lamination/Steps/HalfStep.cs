namespace Ystrata.Core.Lamination;

/// <summary>Half over half: top on top.</summary>
/// <param name="Way">A round and a wedge have but one.</param>
public sealed record HalfStep(FoldWay Way = FoldWay.Across) : FoldStep
{
    internal static HalfStep Begun() => new();

    internal override Form Apply(Form piece, int index, Kitchen kitchen) => piece.Halved(Creases(piece), Way, index);

    internal override int Copies(Form piece) => 2;

    internal override IReadOnlyList<Crease> Creases(Form piece) => [Crease.Half(piece, Way)];

    internal override bool Folds => true;

    internal override HandUse? Hands => new(HandWork.Fold);

    internal override Refusal? Unworkable(Form piece, string at) => NeedsFlat(piece, at);
}
