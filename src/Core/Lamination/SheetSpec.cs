namespace Ystrata.Core.Lamination;

/// <param name="Diameter">The first sheet, as a round of this diameter; the longer side of a rectangle.</param>
/// <param name="Rest">How long the ball rested before it.</param>
/// <param name="FatMass">Brushed on the upper face, per piece.</param>
/// <param name="DustMass">Sprinkled over it, per piece.</param>
/// <param name="Width">Nothing for a round; the other side of a rectangle.</param>
public sealed record SheetSpec(Millimetres Diameter, Minutes Rest, string Fat, Grams FatMass, string Dust, Grams DustMass, Millimetres? Width = null);

public sealed record FoldSpec(IReadOnlyList<FoldStep> Steps);
