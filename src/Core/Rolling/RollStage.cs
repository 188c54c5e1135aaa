namespace Ystrata.Core.Rolling;

/// <param name="Diameter">The round asked for.</param>
/// <param name="Outline">What the bread looks like from above.</param>
/// <param name="Across">Longer side, or diameter, at rest.</param>
/// <param name="Wide">Shorter side, or diameter, at rest.</param>
/// <param name="RollTo">How far to roll, so that it settles at the round asked for.</param>
/// <param name="Thickness">Dough and films, raw.</param>
/// <param name="Leaf">Mean leaf, welded neighbours counted as one; where leaves stand upright, mean ring.</param>
/// <param name="ThinnestLeaf">The thinnest leaf as piled, welded or not.</param>
/// <param name="SmearedUnder">A leaf thinner than this breaks up under the pin.</param>
/// <param name="BreadyOver">A leaf thicker than this eats as crumb.</param>
/// <param name="FilmLeast">Thinnest fat film between leaves that come apart by fat.</param>
/// <param name="FilmMost">Thickest such film.</param>
/// <param name="Rest">All the rest the folded piece has had.</param>
public sealed record RollSheet(
    Millimetres Diameter,
    Outline Outline,
    Millimetres Across,
    Millimetres Wide,
    Millimetres RollTo,
    Percent Springback,
    Millimetres Thickness,
    Millimetres Leaf,
    Millimetres ThinnestLeaf,
    Millimetres SmearedUnder,
    Millimetres BreadyOver,
    Micrometres? FilmLeast,
    Micrometres? FilmMost,
    Minutes Rest);

/// <summary>Stage 7: the last roll.</summary>
public static class RollStage
{
    private static readonly Millimetres Smeared = new(0.05), Bready = new(0.8); // empirical

    /// <param name="parcel">Whose last roll it is, with its filling; nothing for a bread that is not stuffed.</param>
    internal static RollSheet Judge(CheckedBatch batch, Rolled rolled, FoldSheet fold, DoughSheet dough, ParcelSheet? parcel)
    {
        // A batter does not pull back.
        var back = batch.Route.Poured ? 0 : Round.Springback(batch.Mix, dough.Content.Fat, batch.Shape.Rest);
        return parcel is null
            ? Judge(batch.Shape, rolled, fold, back, batch.Shape.RolledTo, rolled.Piece.Outline, rolled.Length, rolled.Width, rolled.Thickness)
            : Judge(batch.Shape, rolled, fold, back, batch.Spec.Roll.Diameter, OutlineOf(parcel, rolled), parcel.Across, parcel.Wide, parcel.Thickness);
    }

    /// <summary>Of the dough alone.</summary>
    internal static RollSheet Judge(Shaping shape, Rolled rolled, FoldSheet fold, double back) =>
        Judge(shape, rolled, fold, back, shape.RolledTo, rolled.Piece.Outline, rolled.Length, rolled.Width, rolled.Thickness);

    private static RollSheet Judge(
        Shaping shape, Rolled rolled, FoldSheet fold, double back, Millimetres asked, Outline outline, Millimetres across, Millimetres wide, Millimetres thickness)
    {
        var upright = fold.Rings is { OnEdge: true };
        var (contacts, leaves) = upright ? (rolled.Rings!.Contacts, rolled.Rings.Leaves) : (rolled.Fullest.Contacts, rolled.Fullest.Leaves);
        var films = contacts.Select(c => c.Coat.Film).Where(f => f.Value > 0).ToList();
        return new(
            asked,
            outline,
            across,
            wide,
            Round.RollPast(asked, back),
            Percent.FromFraction(back),
            thickness,
            upright ? fold.Rings!.Each * (fold.Rings.Count / fold.Rings.Apart) : rolled.Fullest.Dough / fold.Effective,
            leaves.MinBy(l => l.Value),
            Smeared,
            Bready,
            films.Count > 0 ? films.MinBy(f => f.Value) : null,
            films.Count > 0 ? films.MaxBy(f => f.Value) : null,
            shape.Rest);
    }

    private static Outline OutlineOf(ParcelSheet parcel, Rolled rolled) => parcel.Shape switch
    {
        ParcelShape.HalfMoon => Outline.HalfMoon,
        ParcelShape.Envelope => Outline.Block,
        ParcelShape.Coil => rolled.Piece.Outline,
        _ => Outline.Round,
    };
}
