using System.Text.Json.Serialization;

namespace Ystrata.Core.Lamination;

/// <summary>One step of a fold program, in the order of the work.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(RollStep), "roll")]
[JsonDerivedType(typeof(RollLongStep), "rollLong")]
[JsonDerivedType(typeof(PressStep), "press")]
[JsonDerivedType(typeof(StretchStep), "stretch")]
[JsonDerivedType(typeof(BrushStep), "brush")]
[JsonDerivedType(typeof(PasteStep), "paste")]
[JsonDerivedType(typeof(DustStep), "dust")]
[JsonDerivedType(typeof(ScatterStep), "scatter")]
[JsonDerivedType(typeof(HalfStep), "half")]
[JsonDerivedType(typeof(LetterStep), "letter")]
[JsonDerivedType(typeof(GateStep), "gate")]
[JsonDerivedType(typeof(EnvelopeStep), "envelope")]
[JsonDerivedType(typeof(AccordionStep), "accordion")]
[JsonDerivedType(typeof(EncloseStep), "enclose")]
[JsonDerivedType(typeof(StripsStep), "strips")]
[JsonDerivedType(typeof(SlitStep), "slit")]
[JsonDerivedType(typeof(MatRollStep), "matRoll")]
[JsonDerivedType(typeof(CutLogStep), "cutLog")]
[JsonDerivedType(typeof(CoilStep), "coil")]
[JsonDerivedType(typeof(ConeStep), "cone")]
[JsonDerivedType(typeof(PinchStep), "pinch")]
[JsonDerivedType(typeof(SeedsStep), "seeds")]
[JsonDerivedType(typeof(RestStep), "rest")]
public abstract record FoldStep;

/// <summary>Which face something is laid on.</summary>
public enum LaidOn
{
    /// <summary>The face that is up.</summary>
    Top,

    /// <summary>The face that lies on an oiled or strewn board.</summary>
    Board,
}

/// <summary>Roll out until the piece is as big as a round of this diameter. A pin never makes it smaller.</summary>
public sealed record RollStep(Millimetres Diameter) : FoldStep;

/// <summary>Roll out to a rectangle. Sides too short for the piece are kept in proportion and made long enough.</summary>
public sealed record RollLongStep(Millimetres Length, Millimetres Width) : FoldStep;

/// <summary>Press flat by hand until the piece is as big as a round of this diameter.</summary>
public sealed record PressStep(Millimetres Diameter) : FoldStep;

/// <summary>Pull a sheet or rope to so many times its length; the other two sides give alike.</summary>
public sealed record StretchStep(double Times) : FoldStep;

/// <summary>Spread fat over a face.</summary>
/// <param name="Rim">Left bare all round; nothing when it goes to the very edge.</param>
public sealed record BrushStep(string Fat, Grams Mass, LaidOn On = LaidOn.Top, Millimetres? Rim = null) : FoldStep;

/// <summary>Spread a paste of fat and flour over the face that is up.</summary>
/// <param name="Mass">Of the fat.</param>
public sealed record PasteStep(string Fat, Grams Mass, string Flour, Grams FlourMass) : FoldStep;

/// <summary>Sprinkle flour or starch over the face that is up.</summary>
public sealed record DustStep(string Flour, Grams Mass) : FoldStep;

/// <summary>Scatter herbs, seeds, spice over the face that is up.</summary>
/// <param name="Grain">Of the largest bits.</param>
public sealed record ScatterStep(string Item, Grams Mass, Millimetres Grain) : FoldStep;

/// <summary>Half over half: top on top.</summary>
public sealed record HalfStep : FoldStep;

/// <summary>Two thirds over one: a top on a top, then a top on a back.</summary>
public sealed record LetterStep : FoldStep;

/// <summary>Two quarters in, to meet in the middle.</summary>
public sealed record GateStep : FoldStep;

/// <summary>Four sides to the middle.</summary>
/// <param name="Overlap">True when opposite sides lie over each other in thirds, false when they just meet.</param>
public sealed record EnvelopeStep(bool Overlap) : FoldStep;

/// <summary>Pleats laid flat: top on top and back on back by turns.</summary>
public sealed record AccordionStep(int Pleats) : FoldStep;

/// <summary>Lay a dough of fat and flour on one half, fold the other half over it and close the rim.</summary>
/// <param name="Mass">Of the fat.</param>
public sealed record EncloseStep(string Fat, Grams Mass, string Flour, Grams FlourMass) : FoldStep;

/// <summary>Cut into strips of equal width.</summary>
/// <param name="Gathered">True when they are laid on each other, false when each is a piece of its own.</param>
public sealed record StripsStep(int Count, bool Gathered) : FoldStep;

/// <summary>Parallel cuts that stop short of the edge.</summary>
public sealed record SlitStep(int Ribbons) : FoldStep;

/// <summary>Roll up like a mat into a rope: top on back all along.</summary>
public sealed record MatRollStep : FoldStep;

/// <summary>Cut the rolled log across and set each slice on its cut face.</summary>
public sealed record CutLogStep(int Slices) : FoldStep;

/// <summary>Wind a rope flat upon itself, or a strip on its edge, and press it.</summary>
public sealed record CoilStep : FoldStep;

/// <summary>One cut to the centre, wound round, the point pushed in: back on top all along.</summary>
public sealed record ConeStep(int Turns) : FoldStep;

/// <summary>Pinch the rim shut.</summary>
public sealed record PinchStep : FoldStep;

/// <summary>Press seeds or herbs on a face.</summary>
public sealed record SeedsStep(string Item, Grams Mass, LaidOn On = LaidOn.Top) : FoldStep;

/// <summary>Let the folded piece rest, covered.</summary>
public sealed record RestStep(Minutes Time) : FoldStep;
