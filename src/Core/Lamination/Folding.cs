namespace Ystrata.Core.Lamination;

/// <summary>A line along which a flat piece is folded.</summary>
/// <param name="At">Where, in mm of the plan.</param>
/// <param name="Beyond">True when the part at greater x or y moves.</param>
/// <param name="Under">True when it is tucked under.</param>
/// <param name="Wedge">For a wedge folded about the line through its point: the angle that is left, in radians.</param>
public sealed record Crease(Axis Axis, double At, bool Beyond, bool Under, double? Wedge = null);

/// <summary>How each step of a fold program changes a piece (models.md D).</summary>
public static class Folding
{
    /// <summary>Ystrata follows a piece up to this many leaves.</summary>
    public const int MostLeaves = 1024;

    /// <summary>A fold, cut or stretch is along the longer side of the piece.</summary>
    public static Axis Along(Form piece) => piece.Layout.Width > piece.Layout.Length + 1e-6 ? Axis.Y : Axis.X;

    /// <summary>How many times the leaves a step makes of the fullest place, 1 when it piles none.</summary>
    public static int CopiesOf(FoldStep step, Form piece) => step switch
    {
        HalfStep or GateStep or EncloseStep => 2,
        LetterStep => 3,
        EnvelopeStep s => s.Overlap ? 9 : 4,
        AccordionStep s => s.Pleats,
        StripsStep { Gathered: true } s => s.Count,
        ConeStep s => s.Turns,
        MatRollStep => Winding.Crossings(piece),
        _ => 1,
    };

    public static Form Apply(FoldStep step, Form piece, int index, Kitchen kitchen) => step switch
    {
        RollStep s => RollTo(piece, s.Diameter),
        PressStep s => RollTo(piece, s.Diameter),
        RollLongStep s => RollLong(piece, s),
        StretchStep s => Winding.Stretch(piece, s.Times),
        BrushStep s => Brush(piece, s, kitchen[s.Fat]),
        PasteStep s => piece.Coated(Paste(s.Fat, s.Mass, s.FlourMass, piece, kitchen)),
        DustStep s => piece.Coated(Coat.OfDust(s.Mass, piece.Area)),
        ScatterStep s => piece.Coated(Coat.OfBits(s.Mass, piece.Area)),
        SeedsStep s => Laid(piece, Coat.OfBits(s.Mass, piece.Area), s.On),
        HalfStep or LetterStep or GateStep or EnvelopeStep or AccordionStep => Fold(piece, step, index),
        EncloseStep s => Fold(piece.Coated(Paste(s.Fat, s.Mass, s.FlourMass, piece, kitchen)), step, index),
        StripsStep s => Winding.Strips(piece, s, index),
        SlitStep s => piece with { Ribbons = s.Ribbons },
        MatRollStep => Winding.MatRoll(piece, index),
        CutLogStep s => Winding.CutLog(piece, s.Slices, index),
        CoilStep => Winding.Coil(piece, index),
        ConeStep s => Winding.Cone(piece, s.Turns, index),
        PinchStep or RestStep => piece,
        _ => throw new ArgumentOutOfRangeException(nameof(step)),
    };

    /// <summary>Rolls until the area is that of a round of this diameter; a piece that is already bigger stays as it is.</summary>
    public static Form RollTo(Form piece, Millimetres diameter)
    {
        var flat = Winding.Flattened(piece);
        var k = SquareCentimetres.OfRound(diameter).Value / flat.Area.Value;
        return k > 1 ? flat.Spread(k) : flat;
    }

    private static Form RollLong(Form piece, RollLongStep step)
    {
        var flat = Winding.Flattened(piece);
        var k = Math.Max(SquareCentimetres.OfRectangle(step.Length, step.Width).Value / flat.Area.Value, 1);
        var (long_, ratio) = (Math.Sqrt(k * flat.Area.Value * 100 * (step.Length / step.Width)), step.Width / step.Length);
        // Rings and cones stay what they are, however they are rolled.
        return flat with { Outline = flat.Flat ? Outline.Block : flat.Outline, Layout = Layout.Rectangle(long_, long_ * ratio, flat.Evened().Spread(k)), Rings = flat.Rings?.Spread(k) };
    }

    private static Form Brush(Form piece, BrushStep step, Ingredient fat)
    {
        Pile On(Pile pile, SquareCentimetres area) => pile.Coated(Coat.OfFat(step.Mass, fat, area), step.On);

        return step.Rim is { Value: > 0 } rim
            ? piece with { Layout = piece.Layout.Within(rim.Value, On) }
            : Laid(piece, Coat.OfFat(step.Mass, fat, piece.Area), step.On);
    }

    private static Form Laid(Form piece, Coat coat, LaidOn on) => piece with { Layout = piece.Layout.With(p => p.Coated(coat, on)) };

    private static Coat Paste(string fat, Grams mass, Grams flour, Form piece, Kitchen kitchen) =>
        Coat.OfFat(mass, kitchen[fat], piece.Area) + Coat.OfDust(flour, piece.Area);

    /// <summary>The creases a step folds, in order, on the piece before it; none for a step that folds nothing.</summary>
    public static IReadOnlyList<Crease> Creases(FoldStep step, Form piece)
    {
        var along = Along(piece);
        var across = along == Axis.X ? Axis.Y : Axis.X;
        return step switch
        {
            HalfStep or EncloseStep => [HalfCrease(piece)],
            LetterStep => Letter(piece, along),
            GateStep => Gate(piece, along),
            EnvelopeStep { Overlap: true } => [.. Letter(piece, along), .. Letter(piece, across)],
            EnvelopeStep => [.. Gate(piece, along), .. Gate(piece, across)],
            AccordionStep s => [.. Enumerable.Range(1, s.Pleats - 1).Select(i => At(piece, along, 1 - i / (double)s.Pleats, beyond: true, under: i % 2 == 0))],
            _ => [],
        };
    }

    private static Form Fold(Form piece, FoldStep step, int index)
    {
        var layout = piece.Layout;
        foreach (var crease in Creases(step, piece))
        {
            layout = crease.Wedge is { } angle
                ? Layout.Sector(piece.Layout.Right, angle, piece.Fullest.Piled([false, true], index))
                : layout.Folded(crease.Axis, crease.At, crease.Beyond, crease.Under, index);
        }

        var outline = step is HalfStep or EncloseStep && piece.Piles.Count == 1 ? Halved(piece.Outline) : Outline.Block;
        return piece with { Outline = outline, Layout = layout };
    }

    private static Outline Halved(Outline outline) => outline switch
    {
        Outline.Round => Outline.HalfMoon,
        Outline.HalfMoon or Outline.Wedge => Outline.Wedge,
        _ => Outline.Block,
    };

    // A round is folded top to bottom, its half-moon side to side, a wedge about the line through its point.
    private static Crease HalfCrease(Form piece) => piece.Piles.Count > 1
        ? At(piece, Along(piece), 0.5, beyond: true)
        : piece.Outline switch
        {
            Outline.Round => At(piece, Axis.Y, 0.5, beyond: false),
            Outline.HalfMoon => At(piece, Axis.X, 0.5, beyond: false),
            Outline.Wedge => new(Axis.X, 0, Beyond: true, Under: false, piece.Area.Value * 100 / (piece.Layout.Right * piece.Layout.Right)),
            _ => At(piece, Along(piece), 0.5, beyond: true),
        };

    private static Crease[] Letter(Form piece, Axis axis) => [At(piece, axis, 2 / 3.0, beyond: true), At(piece, axis, 1 / 3.0, beyond: false)];

    private static Crease[] Gate(Form piece, Axis axis) => [At(piece, axis, 0.75, beyond: true), At(piece, axis, 0.25, beyond: false)];

    private static Crease At(Form piece, Axis axis, double at, bool beyond, bool under = false) => axis == Axis.X
        ? new(axis, piece.Layout.Left + piece.Layout.Length * at, beyond, under)
        : new(axis, piece.Layout.Low + piece.Layout.Width * at, beyond, under);
}
