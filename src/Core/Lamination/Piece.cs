namespace Ystrata.Core;

/// <summary>What lies on a face, or between two leaves.</summary>
/// <param name="Film">The fat as a film.</param>
/// <param name="Fat">The same fat by mass.</param>
/// <param name="Dust">Dry flour or starch.</param>
public readonly record struct Coat(Micrometres Film, Load Fat, Load Dust)
{
    public static Coat operator +(Coat a, Coat b) => new(a.Film + b.Film, a.Fat + b.Fat, a.Dust + b.Dust);

    public static Coat operator /(Coat a, double k) => new(a.Film / k, a.Fat / k, a.Dust / k);
}

/// <summary>Where two leaves lie on each other.</summary>
/// <param name="Step">The step of the fold program, from 0, that laid them so.</param>
public readonly record struct Contact(Coat Coat, int Step);

public enum Outline
{
    Round,
    HalfMoon,
    Wedge,
    Block,
    Rope,
    Coil,
}

/// <summary>A piece of dough between two steps: leaves from the bottom up, a contact between neighbours, a coat on each outer face.</summary>
/// <remarks>Everything is per piece. Folding piles copies, rolling spreads; neither makes or loses dough, fat or flour.</remarks>
public sealed record Piece(
    Millimetres[] Leaves,
    Contact[] Contacts,
    Coat Top,
    Coat Bottom,
    SquareCentimetres Area,
    Outline Outline,
    Millimetres Length,
    Millimetres Width)
{
    /// <summary>Dough and films together, raw.</summary>
    public Millimetres Thickness =>
        new(Leaves.Sum(l => l.Value) + (Contacts.Sum(c => c.Coat.Film.Value) + Top.Film.Value + Bottom.Film.Value) / 1000);

    /// <summary>A ball rolled out into one bare leaf: T = m / (ρ · A).</summary>
    public static Piece Sheet(Grams ball, Millimetres diameter, Density? density = null)
    {
        var area = SquareCentimetres.OfRound(diameter);
        return new([Round.ThicknessOf(ball, area, density)], [], default, default, area, Outline.Round, diameter, diameter);
    }

    /// <summary>Spreads the piece over k times its area, k ≥ 1: every thickness and film ÷ k.</summary>
    public Piece Spread(double k) => this with
    {
        Leaves = Array.ConvertAll(Leaves, l => l / k),
        Contacts = Array.ConvertAll(Contacts, c => c with { Coat = c.Coat / k }),
        Top = Top / k,
        Bottom = Bottom / k,
        Area = new(Area.Value * k),
        Length = Length * Math.Sqrt(k),
        Width = Width * Math.Sqrt(k),
    };

    /// <summary>Lays more on the face that is up.</summary>
    public Piece Coated(Coat more) => this with { Top = Top + more };

    /// <summary>Piles copies of the piece, from the bottom up, each on an equal part of the area.</summary>
    /// <param name="flips">For each copy, whether it lies on its top face. At least two.</param>
    public Piece Piled(ReadOnlySpan<bool> flips, int step, Outline outline, Millimetres length, Millimetres width)
    {
        var leaves = new Millimetres[Leaves.Length * flips.Length];
        var contacts = new Contact[leaves.Length - 1];
        var upper = default(Coat);
        for (var i = 0; i < flips.Length; i++)
        {
            var at = i * Leaves.Length;
            Leaves.CopyTo(leaves, at);
            Contacts.CopyTo(contacts, at);
            if (flips[i])
            {
                Array.Reverse(leaves, at, Leaves.Length);
                Array.Reverse(contacts, at, Contacts.Length);
            }

            var (lower, next) = flips[i] ? (Top, Bottom) : (Bottom, Top);
            if (i > 0)
            {
                contacts[at - 1] = new(upper + lower, step);
            }

            upper = next;
        }

        return new(leaves, contacts, upper, flips[0] ? Top : Bottom, new(Area.Value / flips.Length), outline, length, width);
    }
}
