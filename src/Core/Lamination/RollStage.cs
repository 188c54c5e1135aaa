namespace Ystrata.Core;

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

    /// <param name="doughFat">Nothing for a batter, which does not pull back.</param>
    public static RollSheet Judge(BatchSpec spec, Rolled rolled, FoldSheet fold, FlourMix mix, Percent? doughFat)
    {
        var rest = RestOf(spec);
        var back = doughFat is { } fat ? Round.Springback(mix, fat, rest) : 0;
        var upright = fold.Rings is { OnEdge: true };
        var (contacts, leaves) = upright ? (rolled.Rings!.Contacts, rolled.Rings.Leaves) : (rolled.Fullest.Contacts, rolled.Fullest.Leaves);
        var films = contacts.Select(c => c.Coat.Film).Where(f => f.Value > 0).ToList();
        return new(
            spec.Roll.Diameter,
            rolled.Piece.Outline,
            rolled.Length,
            rolled.Width,
            Round.RollPast(spec.Roll.Diameter, back),
            Percent.FromFraction(back),
            rolled.Thickness,
            upright ? fold.Rings!.Each * (fold.Rings.Count / fold.Rings.Apart) : rolled.Fullest.Dough / fold.Effective,
            leaves.MinBy(l => l.Value),
            Smeared,
            Bready,
            films.Count > 0 ? films.MinBy(f => f.Value) : null,
            films.Count > 0 ? films.MaxBy(f => f.Value) : null,
            rest);
    }

    /// <summary>The rest before the last roll, with the rests that end the fold program.</summary>
    public static Minutes RestOf(BatchSpec spec) =>
        new(spec.Roll.Rest.Value + spec.Fold.Steps.Reverse().TakeWhile(s => s is RestStep or PinchStep).OfType<RestStep>().Sum(s => s.Time.Value));
}
