namespace Ystrata.Core.Rolling;

/// <summary>The piece after the last roll. A pin levels what it rolls: thick places give first.</summary>
/// <param name="Places">Every pile with the area it covers now, each pressed as thin as the pin went.</param>
/// <param name="Piece">The piece as it went under the pin.</param>
public sealed record Rolled(Form Piece, IReadOnlyList<(Pile Pile, SquareCentimetres Area)> Places, Rings? Rings)
{
    public SquareCentimetres Area { get; } = new(Places.Sum(p => p.Area.Value));

    /// <summary>The place with the most leaves, and of those the one that covers most.</summary>
    public Pile Fullest { get; } = Places.MaxBy(p => (ReferenceEquals(p.Pile, Places[0].Pile), p.Pile.Count, p.Area.Value)).Pile;

    /// <summary>Dough and films, raw, on average.</summary>
    public Millimetres Thickness => new(Places.Sum(p => p.Pile.Thickness.Value * p.Area.Value) / Area.Value);

    public Millimetres Length => Side(Piece.Length);

    public Millimetres Width => Side(Piece.Width);

    /// <summary>Rolls until the area is that of a round of this diameter; a piece that is already bigger stays as it is.</summary>
    public static Rolled To(Form piece, Millimetres diameter)
    {
        var (flat, wanted, pin) = Pressed(piece, diameter);
        var fullest = flat.Fullest;
        return new(
            flat,
            // The fullest place goes first, so that it is known again.
            [
                .. flat.Piles.OrderByDescending(p => ReferenceEquals(p.Pile, fullest)).Select(p =>
                {
                    var k = Math.Max(p.Pile.Thickness.Value / pin, 1);
                    return (p.Pile.Spread(k), new SquareCentimetres(p.Area.Value * k));
                }),
            ],
            flat.Rings?.Spread(wanted / flat.Area.Value));
    }

    /// <summary>The fullest place of <see cref="To"/> and its rings alone.</summary>
    public static (Pile Fullest, Rings? Rings) FullestOf(Form piece, Millimetres diameter)
    {
        var (flat, wanted, pin) = Pressed(piece, diameter);
        var fullest = flat.Fullest;
        return (fullest.Spread(Math.Max(fullest.Thickness.Value / pin, 1)), flat.Rings?.Spread(wanted / flat.Area.Value));
    }

    private static (Form Flat, double Wanted, double Pin) Pressed(Form piece, Millimetres diameter)
    {
        var flat = Winding.Flattened(piece);
        var wanted = Math.Max(SquareCentimetres.OfRound(diameter).Value, flat.Area.Value);
        return (flat, wanted, PinHeight([.. flat.Piles.Select(p => (p.Pile.Thickness.Value, p.Area.Value))], wanted));
    }

    // The height at which Σ area · max(1, thickness / height) is the area wanted: the thickest places are pressed down to the
    // next, then both, until there is enough.
    private static double PinHeight((double Thick, double Area)[] places, double wanted)
    {
        Array.Sort(places, (a, b) => b.Thick.CompareTo(a.Thick));
        var (volume, untouched) = (0.0, places.Sum(p => p.Area));
        for (var i = 0; i < places.Length; i++)
        {
            volume += places[i].Thick * places[i].Area;
            untouched -= places[i].Area;
            var height = volume / (wanted - untouched);
            if (i == places.Length - 1 || height >= places[i + 1].Thick)
            {
                return height;
            }
        }

        return double.PositiveInfinity;
    }

    private Millimetres Side(Millimetres before) => before * Math.Sqrt(Area.Value / Piece.Area.Value);
}
