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
        Math.Max(2, (int)Math.Min(Folding.MostLeaves + 1, Math.Round(RopeAcross(piece) / piece.Thickness.Value)));

    /// <summary>The width a strip of the piece stands or lies with.</summary>
    public static Millimetres StripWidth(Form piece) => new(piece.Area.Value * 100 / piece.Length.Value);

    public static Form Stretch(Form piece, double times)
    {
        var give = 1 / Math.Sqrt(times);
        var (x, y) = Folding.Along(piece) == Axis.X ? (times, give) : (give, times);
        var k = times * give;
        return piece with
        {
            Layout = piece.Layout.Scaled(x, y, p => p.Spread(k)),
            Rope = piece.Rope is { } r ? r with { Sheet = r.Sheet.Spread(k), Across = r.Across * give, Face = new(r.Face.Value * k) } : null,
        };
    }

    public static Form Strips(Form piece, StripsStep step, int index)
    {
        var width = piece.Area.Value * 100 / piece.Length.Value / step.Count;
        var pile = piece.Evened();
        return piece with
        {
            Outline = Outline.Block,
            Layout = Layout.Rectangle(piece.Length.Value, width, step.Gathered ? pile.Piled(new bool[step.Count], index) : pile),
            Count = step.Gathered ? piece.Count : piece.Count * step.Count,
        };
    }

    // A rope cut across: the lower windings lie as they were rolled, the upper ones are turned over.
    public static Form MatRoll(Form piece, int index)
    {
        var sheet = piece.Evened();
        var flips = new bool[Crossings(piece)];
        flips.AsSpan((flips.Length + 1) / 2).Fill(true);
        var across = RopeAcross(piece);
        var length = piece.Area.Value * 100 / piece.Length.Value;
        return piece with
        {
            Outline = Outline.Rope,
            Layout = Layout.Rectangle(length, piece.Area.Value * 100 / flips.Length / length, sheet.Piled(flips, index)),
            Rope = new(sheet, across / sheet.Thickness.Value / 2, new(across), piece.Area),
        };
    }

    // D = √(4Rd/π): a rope lies flat and covers R · d; a strip of thickness d stands on its edge and covers as much.
    public static Form Coil(Form piece, int index)
    {
        if (piece.Rope is { } rope)
        {
            var area = new SquareCentimetres(piece.Length.Value * rope.Across.Value / 100);
            var pile = piece.Evened();
            var across = area.AsRound();
            return piece with
            {
                Outline = Outline.Coil,
                Layout = Layout.Round(across.Value, pile.Spread(area.Value / piece.Area.Value)),
                Rope = null,
                Rings = new([rope.Across], [new(pile.Top + pile.Bottom, index)], across / rope.Across / 2, default),
            };
        }

        var strip = piece.Evened();
        var turn = strip.Thickness;
        var covers = new SquareCentimetres(piece.Length.Value * turn.Value / 100);
        return Upright(piece, strip, covers.AsRound() / turn / 2, covers, piece.Area, index);
    }

    public static Form CutLog(Form piece, int slices, int index)
    {
        var rope = piece.Rope!;
        var face = new SquareCentimetres(rope.Face.Value / slices);
        var slice = Upright(piece with { Count = piece.Count * slices }, rope.Sheet, rope.Turns, SquareCentimetres.OfRound(rope.Across), face, index);
        // What was laid on the log since it was rolled goes with the slices.
        var since = piece.Evened().Coats * (piece.Area.Value / slices / slice.Area.Value) - rope.Sheet.Coats * (face.Value / slice.Area.Value);
        return slice.Coated(since);
    }

    public static Form Cone(Form piece, int turns, int index)
    {
        var area = new SquareCentimetres(piece.Area.Value / turns);
        return piece with { Outline = Outline.Cone, Layout = Layout.Round(area.AsRound().Value, piece.Evened().Piled(new bool[turns], index)) };
    }

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
    private static double RopeAcross(Form piece) => Math.Sqrt(4 * piece.Length.Value * piece.Thickness.Value / Math.PI);

    // The dough of the face, stood on edge over an area.
    private static Form Upright(Form piece, Pile turn, double turns, SquareCentimetres covers, SquareCentimetres face, int index) => piece with
    {
        Outline = Outline.Upright,
        Layout = Layout.Round(covers.AsRound().Value, Pile.Of(turn.Dough * (face.Value / covers.Value))),
        Rope = null,
        Rings = new(turn.Leaves, [.. turn.Contacts, new(turn.Top + turn.Bottom, index)], turns, face),
    };
}
