namespace Ystrata.Core.Lamination;

/// <summary>The steps after which a piece is no longer a flat sheet: strips, ropes, coils, cones, slices (models.md D).</summary>
/// <remarks>Uneven places are worked into one first, as the hands do.</remarks>
public static class Winding
{
    /// <summary>The widest strip that stands on its edge (empirical).</summary>
    public static readonly Millimetres WidestOnEdge = new(60);

    /// <summary>The narrowest strip or ribbon a knife cuts and a hand lifts (empirical).</summary>
    public static readonly Millimetres NarrowestStrip = new(3);

    /// <summary>Through the middle a rope shows 2 · turns = d / t windings; at least 2.</summary>
    public static int Crossings(Form piece) =>
        Math.Max(2, (int)Math.Min(StepCheck.MostLeaves + 1, Math.Round(RopeAcross(piece) / piece.Thickness.Value)));

    /// <summary>The width a strip of the piece stands or lies with.</summary>
    public static Millimetres StripWidth(Form piece) => new(piece.Area.Value * 100 / piece.Length.Value);

    /// <returns>Why a piece is not cut in so many; nothing when it can be.</returns>
    public static Refusal? TooNarrow(string field, int count, Form piece) => StripWidth(piece).Value / count < NarrowestStrip.Value
        ? new(field, RefusalCode.StripsTooNarrow, count, 2, Math.Floor(StripWidth(piece).Value / NarrowestStrip.Value))
        : null;

    /// <summary>A rope under the pin is a strip again, as long and as wide as it was; anything else stays what it is.</summary>
    public static Form Flattened(Form piece) => piece.Rope is { } rope
        ? piece with
        {
            Outline = Outline.Block,
            Layout = Layout.Rectangle(piece.Layout.Length, rope.Across.Value, piece.Evened().Spread(piece.Layout.Length * rope.Across.Value / 100 / piece.Area.Value)),
            Rope = null,
        }
        : piece;

    // d = √(4ℓt/π).
    public static double RopeAcross(Form piece) => Math.Sqrt(4 * piece.Length.Value * piece.Thickness.Value / Math.PI);

    // The dough of the face, stood on edge over an area.
    public static Form Upright(Form piece, Pile turn, double turns, SquareCentimetres covers, SquareCentimetres face, int index) => piece with
    {
        Outline = Outline.Upright,
        Layout = Layout.Round(covers.AsRound().Value, Pile.Of(turn.Dough * (face.Value / covers.Value))),
        Rope = null,
        Rings = new(turn.Leaves, [.. turn.Contacts, new(turn.Top + turn.Bottom, index)], turns, face),
    };
}
