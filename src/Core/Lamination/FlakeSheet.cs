namespace Ystrata.Core.Lamination;

public enum FlakeTerm
{
    /// <summary>How many leaves and rings come apart.</summary>
    Apart,

    /// <summary>How near a leaf is to the thickness that shatters and still folds.</summary>
    Leaf,

    /// <summary>How well the films between leaves keep them apart without soaking them.</summary>
    Film,

    /// <summary>Whether the last press has kept the leaves whole.</summary>
    Whole,
}

/// <summary>One term of the estimate.</summary>
/// <param name="Points">0 to <paramref name="Most"/>.</param>
public sealed record FlakePart(FlakeTerm Term, double Points, double Most);

/// <summary>How flaky the bread should come out, 0 to 100: the sum of its terms. An empirical guess to compare by, not a measure.</summary>
public sealed record FlakeSheet(double Points, IReadOnlyList<FlakePart> Terms)
{
    // All empirical: contacts at which most of the effect is reached, best leaf and film, and how fast either side of them falls off.
    private const double ManyContacts = 8, LeafSpread = 1.1, FilmSpread = 1.2;
    private static readonly Millimetres BestLeaf = new(0.25);
    private static readonly Micrometres BestFilm = new(50);
    private const double ApartMost = 45, LeafMost = 25, FilmMost = 20, WholeMost = 10;

    /// <param name="bears">How far the flours bear being folded thin, 0 to 1: what cracks has no leaves.</param>
    public static FlakeSheet Of(Rolled rolled, RingSheet? rings, RollBy by, double bears = 1)
    {
        var upright = rings is { OnEdge: true };
        var apart = upright ? rings!.Apart : rolled.Places.Sum(p => FoldStage.ApartIn(p.Pile) * p.Area.Value) / rolled.Area.Value;
        var flat = rings is { OnEdge: false, State: not ContactState.Fused } ? rings.Count / 2 : 0;
        var contacts = apart - 1 + flat;
        var parts = bears * (1 - Math.Exp(-contacts / ManyContacts));
        var leaf = upright ? rings!.Each.Value * rings.Count / rings.Apart : rolled.Thickness.Value / apart;
        var (films, open) = upright ? Films(rolled.Rings!.Contacts) : Films(rolled.Fullest.Contacts);

        FlakePart[] terms =
        [
            new(FlakeTerm.Apart, ApartMost * parts, ApartMost),
            new(FlakeTerm.Leaf, LeafMost * parts * Near(leaf, BestLeaf.Value, LeafSpread), LeafMost),
            new(FlakeTerm.Film, FilmMost * parts * (open > 0 ? films / open : 0), FilmMost),
            // A pin crushes rings more than leaves that lie flat; fingers keep both.
            new(FlakeTerm.Whole, WholeMost * parts * (by == RollBy.Hand ? 1 : rings is null ? 0.7 : 0.3), WholeMost),
        ];
        return new(terms.Sum(t => t.Points), terms);
    }

    // Each open contact counts by how near its film is to the best; flour alone counts half.
    private static (double Sum, int Open) Films(IReadOnlyList<Contact> contacts)
    {
        var open = contacts.Where(c => c.State != ContactState.Fused).ToList();
        return (open.Sum(c => c.Coat.Film.Value >= Contacts.PatchyFilm.Value ? Near(c.Coat.Film.Value, BestFilm.Value, FilmSpread) : 0.5), open.Count);
    }

    private static double Near(double value, double best, double spread)
    {
        var off = Math.Log(value / best) / spread;
        return Math.Exp(-off * off / 2);
    }
}
