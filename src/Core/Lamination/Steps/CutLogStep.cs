namespace Ystrata.Core.Lamination;

/// <summary>Cut the rolled log across and set each slice on its cut face.</summary>
public sealed record CutLogStep(int Slices) : FoldStep
{
    internal static CutLogStep Begun() => new(4);

    internal override Form Apply(Form piece, int index, Kitchen kitchen)
    {
        var rope = piece.Rope!;
        var face = new SquareCentimetres(rope.Face.Value / Slices);
        var slice = Winding.Upright(piece with { Count = piece.Count * Slices }, rope.Sheet, rope.Turns, SquareCentimetres.OfRound(rope.Across), face, index);
        // What was laid on the log since it was rolled goes with the slices.
        var since = piece.Evened().Coats * (piece.Area.Value / Slices / slice.Area.Value) - rope.Sheet.Coats * (face.Value / slice.Area.Value);
        return slice.Coated(since);
    }

    internal override int Makes => Slices;

    internal override HandUse? Hands => new(HandWork.CutSlice, Slices, Cuts: true);

    internal override double Difficulty => 1;

    internal override Refusal? Unworkable(Form piece, string at) => piece.Outline == Outline.Rope ? TooManyPieces(piece, at + ".slices") : new(at, RefusalCode.NeedsRope);

    internal override IEnumerable<(string Name, double Value)> Figures => [("slices", Slices)];
}
