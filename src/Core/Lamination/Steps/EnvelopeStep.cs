namespace Ystrata.Core.Lamination;

/// <summary>Four sides to the middle.</summary>
/// <param name="Overlap">True when opposite sides lie over each other in thirds, false when they just meet.</param>
public sealed record EnvelopeStep(bool Overlap) : FoldStep
{
    internal static EnvelopeStep Begun() => new(Overlap: false);

    internal override Form Apply(Form piece, int index, Kitchen kitchen) => piece.Creased(Creases(piece), index);

    internal override int Copies(Form piece) => Overlap ? 9 : 4;

    internal override IReadOnlyList<Crease> Creases(Form piece)
    {
        var across = piece.Along == Axis.X ? Axis.Y : Axis.X;
        return Overlap ? [.. Crease.Letter(piece, piece.Along), .. Crease.Letter(piece, across)] : [.. Crease.Gate(piece, piece.Along), .. Crease.Gate(piece, across)];
    }

    internal override bool Folds => true;

    internal override HandUse? Hands => new(HandWork.Fold, 4);

    internal override double Difficulty => 0.3;

    internal override Refusal? Unworkable(Form piece, string at) => NeedsFlat(piece, at);
}
