namespace Ystrata.Core.Lamination;

/// <summary>Half over half: top on top.</summary>
public sealed record HalfStep : FoldStep
{
    internal override Form Apply(Form piece, int index, Kitchen kitchen) => piece.Halved(Creases(piece), index);

    internal override int Copies(Form piece) => 2;

    internal override IReadOnlyList<Crease> Creases(Form piece) => [Crease.Half(piece)];

    internal override bool Folds => true;

    internal override HandUse? Hands => new(HandWork.Fold);

    internal override Refusal? Unworkable(Form piece, string at) => NeedsFlat(piece, at);
}
