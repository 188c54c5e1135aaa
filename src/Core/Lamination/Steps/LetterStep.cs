namespace Ystrata.Core.Lamination;

/// <summary>Two thirds over one: a top on a top, then a top on a back.</summary>
public sealed record LetterStep(FoldWay Way = FoldWay.Across) : FoldStep
{
    internal static LetterStep Begun() => new();

    internal override Form Apply(Form piece, int index, Kitchen kitchen) => piece.Creased(Creases(piece), index);

    internal override int Copies(Form piece) => 3;

    internal override IReadOnlyList<Crease> Creases(Form piece) => Crease.Letter(piece, piece.AxisOf(Way));

    internal override bool Folds => true;

    internal override HandUse? Hands => new(HandWork.Fold, 2);

    internal override double Difficulty => 0.3;

    internal override Refusal? Unworkable(Form piece, string at) => NeedsFlat(piece, at);
}
