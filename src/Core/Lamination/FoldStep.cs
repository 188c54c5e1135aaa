using System.Text.Json.Serialization;

namespace Ystrata.Core;

/// <summary>One step of a fold program, in the order of the work.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(RollStep), "roll")]
[JsonDerivedType(typeof(BrushStep), "brush")]
[JsonDerivedType(typeof(DustStep), "dust")]
[JsonDerivedType(typeof(HalfStep), "half")]
[JsonDerivedType(typeof(LetterStep), "letter")]
[JsonDerivedType(typeof(AccordionStep), "accordion")]
[JsonDerivedType(typeof(MatRollStep), "matRoll")]
[JsonDerivedType(typeof(CoilStep), "coil")]
public abstract record FoldStep;

/// <summary>Roll out until the piece is as big as a round of this diameter. A pin never makes it smaller.</summary>
public sealed record RollStep(Millimetres Diameter) : FoldStep;

/// <summary>Spread fat over the face that is up.</summary>
public sealed record BrushStep(string Fat, Grams Mass) : FoldStep;

/// <summary>Sprinkle flour or starch over the face that is up.</summary>
public sealed record DustStep(string Flour, Grams Mass) : FoldStep;

/// <summary>Half over half: top on top.</summary>
public sealed record HalfStep : FoldStep;

/// <summary>Two thirds over one: a top on a top, then a top on a back.</summary>
public sealed record LetterStep : FoldStep;

/// <summary>Pleats laid flat: top on top and back on back by turns.</summary>
public sealed record AccordionStep(int Pleats) : FoldStep;

/// <summary>Roll up like a mat into a rope: top on back all along.</summary>
public sealed record MatRollStep : FoldStep;

/// <summary>Wind the rope flat upon itself and press it.</summary>
public sealed record CoilStep : FoldStep;
