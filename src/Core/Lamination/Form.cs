namespace Ystrata.Core.Lamination;

public enum Outline
{
    Round,
    HalfMoon,
    Wedge,
    Block,
    Rope,

    /// <summary>A rope wound flat.</summary>
    Coil,

    /// <summary>A cut sheet wound about its middle and pushed flat.</summary>
    Cone,

    /// <summary>A strip wound on its edge, or a slice of a log on its cut face: the leaves stand upright.</summary>
    Upright,
}

/// <summary>What a rope remembers of the sheet it was rolled from.</summary>
/// <param name="Turns">d / 2t.</param>
/// <param name="Across">The rope's thickness.</param>
/// <param name="Face">Area of the sheet.</param>
public sealed record Rope(Pile Sheet, double Turns, Millimetres Across, SquareCentimetres Face);

/// <summary>Leaves that stand upright, as rings from the middle to the rim.</summary>
/// <param name="Leaves">Of one turn, measured along the radius.</param>
/// <param name="Contacts">One per leaf; the last lies between two turns.</param>
/// <param name="Face">Area of each contact. Nothing where what lies there is counted in the pile already: on the outside of a rope.</param>
public sealed record Rings(IReadOnlyList<Millimetres> Leaves, IReadOnlyList<Contact> Contacts, double Turns, SquareCentimetres Face)
{
    /// <summary>Rings across the radius: leaves of a turn × turns.</summary>
    public double Count => Leaves.Count * Turns;

    /// <summary>Pressed to k times the plan area: rings widen with the radius, their faces get lower, what lies on them gathers.</summary>
    public Rings Spread(double k) => this with
    {
        Leaves = [.. Leaves.Select(l => l * Math.Sqrt(k))],
        Contacts = [.. Contacts.Select(c => c with { Coat = c.Coat * Math.Sqrt(k) })],
        Face = new(Face.Value / Math.Sqrt(k)),
    };
}

/// <summary>A piece of dough between two steps.</summary>
/// <remarks>Everything is per piece. Folding lays places on each other, rolling spreads them; neither makes or loses dough, fat or flour.</remarks>
/// <param name="Layout">Seen from above. Of a rope, its leaves laid flat: length × what conserves the dough.</param>
/// <param name="Count">Pieces one ball has become.</param>
/// <param name="Ribbons">Ribbons a slit sheet hangs in.</param>
public sealed record Form(Outline Outline, Layout Layout, int Count = 1, int Ribbons = 1, Rope? Rope = null, Rings? Rings = null)
{
    // The fullest place must be more than a sliver to speak for the piece.
    private static readonly Percent LeastPlace = new(2);

    /// <summary>Whether it can still be folded.</summary>
    public bool Flat => Outline is Outline.Round or Outline.HalfMoon or Outline.Wedge or Outline.Block;

    /// <summary>Every pile with the area it lies under.</summary>
    public IReadOnlyList<(Pile Pile, SquareCentimetres Area)> Piles => Layout.Places;

    public SquareCentimetres Area => new(Piles.Sum(p => p.Area.Value));

    /// <summary>The pile with the most leaves, and of those the one that covers most.</summary>
    public Pile Fullest
    {
        get
        {
            if (Piles.Count == 1)
            {
                return Piles[0].Pile;
            }

            var least = Area.Value * LeastPlace.Fraction;
            return Piles.Where(p => p.Area.Value >= least).DefaultIfEmpty(Piles.MaxBy(p => p.Area.Value))
                .MaxBy(p => (p.Pile.Count, p.Area.Value)).Pile;
        }
    }

    /// <summary>Longer side, or diameter.</summary>
    public Millimetres Length => new(Math.Max(Layout.Length, Layout.Width));

    /// <summary>Shorter side, or diameter.</summary>
    public Millimetres Width => Rope?.Across ?? new(Math.Min(Layout.Length, Layout.Width));

    /// <summary>Dough and films together, raw, on average.</summary>
    public Millimetres Thickness => Mean(p => p.Thickness);

    /// <summary>A ball rolled out into one bare leaf: T = m / (ρ · A).</summary>
    /// <param name="width">Nothing for a round; the other side of a rectangle.</param>
    public static Form Sheet(Grams ball, Millimetres across, Density? density = null, Millimetres? width = null)
    {
        var area = width is { } w ? SquareCentimetres.OfRectangle(across, w) : SquareCentimetres.OfRound(across);
        var pile = Pile.Of(Round.ThicknessOf(ball, area, density));
        return width is { } side
            ? new(Outline.Block, Layout.Rectangle(across.Value, side.Value, pile))
            : new(Outline.Round, Layout.Round(across.Value, pile));
    }

    /// <summary>Spreads the piece over k times its area: every thickness and film ÷ k.</summary>
    public Form Spread(double k) => this with
    {
        Layout = Layout.Scaled(Math.Sqrt(k), Math.Sqrt(k), p => p.Spread(k)),
        Rings = Rings?.Spread(k),
    };

    /// <summary>Lays more on one of its faces, everywhere.</summary>
    public Form Coated(Coat more, LaidOn on = LaidOn.Top) => this with { Layout = Layout.With(p => p.Coated(more, on)) };

    /// <summary>A fold, cut or stretch is along the longer side.</summary>
    public Axis Along => Layout.Width > Layout.Length + 1e-6 ? Axis.Y : Axis.X;

    /// <summary>The axis a fold goes on; what is as long as it is wide has none of its own, and is folded lengthwise across.</summary>
    internal Axis AxisOf(FoldWay way) => way == FoldWay.Across ? Along : Along == Axis.X ? Axis.Y : Axis.X;

    /// <summary>Rolls until the area is that of a round of this diameter; a piece that is already bigger stays as it is.</summary>
    public Form RolledTo(Millimetres diameter)
    {
        var flat = Winding.Flattened(this);
        var k = SquareCentimetres.OfRound(diameter).Value / flat.Area.Value;
        return k > 1 ? flat.Spread(k) : flat;
    }

    /// <summary>Folded along these lines, one after the other.</summary>
    internal Form Creased(IReadOnlyList<Crease> creases, int step)
    {
        var layout = Layout;
        foreach (var crease in creases)
        {
            layout = crease.Wedge is { } angle
                ? Layout.Sector(Layout.Right, angle, Fullest.Piled([false, true], step))
                : layout.Folded(crease.Axis, crease.Line, crease.Beyond, crease.Under, step);
        }

        return this with { Outline = Outline.Block, Layout = layout };
    }

    /// <summary>The same, of a piece that lies even and is folded once: a round becomes a half-moon, that a wedge.</summary>
    internal Form Halved(IReadOnlyList<Crease> creases, FoldWay way, int step) => Creased(creases, step) with
    {
        Outline = Piles.Count > 1 ? Outline.Block : Outline switch
        {
            Outline.Round => Outline.HalfMoon,
            Outline.HalfMoon when way == FoldWay.Across => Outline.Wedge,
            Outline.Wedge => Outline.Wedge,
            _ => Outline.Block,
        },
    };

    /// <summary>Uneven places worked into one: the fullest pile's leaves, holding everything the piece holds.</summary>
    public Pile Evened() => Piles.Count == 1
        ? Piles[0].Pile
        : Fullest.Holding(Mean(p => p.Dough), Piles.Aggregate(default(Coat), (sum, p) => sum + p.Pile.Coats * (p.Area.Value / Area.Value)));

    private Millimetres Mean(Func<Pile, Millimetres> of) =>
        Piles.Count == 1 ? of(Piles[0].Pile) : new(Piles.Sum(p => of(p.Pile).Value * p.Area.Value) / Area.Value);
}
