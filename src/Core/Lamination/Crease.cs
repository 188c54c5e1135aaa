namespace Ystrata.Core.Lamination;

/// <summary>Which way a fold goes (models.md D).</summary>
public enum FoldWay
{
    /// <summary>Across the longer side, which gets shorter.</summary>
    Across,

    /// <summary>Along it, into a strip: for a coil, or a thick square.</summary>
    Along,
}

/// <summary>A line along which a flat piece is folded.</summary>
/// <param name="Line">Where, in mm of the plan.</param>
/// <param name="Beyond">True when the part at greater x or y moves.</param>
/// <param name="Under">True when it is tucked under.</param>
/// <param name="Wedge">For a wedge folded about the line through its point: the angle that is left, in radians.</param>
public sealed record Crease(Axis Axis, double Line, bool Beyond, bool Under, double? Wedge = null)
{
    // A round is folded top to bottom, its half-moon side to side, a wedge about the line through its point.
    internal static Crease Half(Form piece, FoldWay way) => piece.Piles.Count > 1 || (way == FoldWay.Along && piece.Outline is not (Outline.Round or Outline.Wedge))
        ? At(piece, piece.AxisOf(way), 0.5, beyond: true)
        : piece.Outline switch
        {
            Outline.Round => At(piece, Axis.Y, 0.5, beyond: false),
            Outline.HalfMoon => At(piece, Axis.X, 0.5, beyond: false),
            Outline.Wedge => new(Axis.X, 0, Beyond: true, Under: false, piece.Area.Value * 100 / (piece.Layout.Right * piece.Layout.Right)),
            _ => At(piece, piece.Along, 0.5, beyond: true),
        };

    /// <summary>Two thirds over one.</summary>
    internal static Crease[] Letter(Form piece, Axis axis) => [At(piece, axis, 2 / 3.0, beyond: true), At(piece, axis, 1 / 3.0, beyond: false)];

    /// <summary>Two quarters in.</summary>
    internal static Crease[] Gate(Form piece, Axis axis) => [At(piece, axis, 0.75, beyond: true), At(piece, axis, 0.25, beyond: false)];

    /// <param name="share">Of the length or width, 0 to 1.</param>
    internal static Crease At(Form piece, Axis axis, double share, bool beyond, bool under = false) => axis == Axis.X
        ? new(axis, piece.Layout.Left + piece.Layout.Length * share, beyond, under)
        : new(axis, piece.Layout.Low + piece.Layout.Width * share, beyond, under);
}
