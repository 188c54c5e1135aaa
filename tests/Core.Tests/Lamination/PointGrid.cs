namespace Ystrata.Core.Tests;

/// <summary>
/// The slow way to fold, to check the quick one by: a sheet as thousands of points, each with a place in the pile and what lies on
/// its two faces. A fold mirrors the points beyond a line one by one. Nothing here knows of strips, spans or piles.
/// </summary>
internal sealed class PointGrid
{
    private const int Points = 144;

    private readonly double cell;
    private List<Point> points = [];

    private sealed record Point(double X, double Y, int Height, double Up, double Down);

    /// <param name="width">Nothing for a round.</param>
    public PointGrid(double length, double? width)
    {
        cell = length / Points;
        for (var i = 0; i < Points; i++)
        {
            for (var j = 0; j < Points; j++)
            {
                var (x, y) = ((i + 0.5) * cell - length / 2, (j + 0.5) * cell - length / 2);
                if (width is { } w ? Math.Abs(y) < w / 2 : x * x + y * y < length * length / 4)
                {
                    points.Add(new(x, y, 0, 0, 0));
                }
            }
        }
    }

    public double Area => Piles().Count() * cell * cell / 100;

    /// <summary>Spreads milligrams over whatever is in sight from above, or from below.</summary>
    public void Spread(double milligrams, bool below)
    {
        var outer = Piles().Select(p => below ? p[0] : p[^1]).ToHashSet(ReferenceEqualityComparer.Instance);
        var each = milligrams / (outer.Count * cell * cell / 100);
        points = [.. points.Select(p => !outer.Contains(p) ? p : below ? p with { Down = p.Down + each } : p with { Up = p.Up + each })];
    }

    /// <summary>Folds at a share of the extent along one side.</summary>
    public void Fold(bool alongX, double share, bool beyond, bool under = false)
    {
        double At(Point p) => alongX ? p.X : p.Y;
        FoldAt(alongX, points.Min(At) - cell / 2 + share * (points.Max(At) - points.Min(At) + cell), beyond, under);
    }

    public void Half(bool alongX, bool beyond) => Fold(alongX, 0.5, beyond);

    public void Letter() => TwoIn(LongerIsX, 1 / 3.0);

    public void Gate() => TwoIn(LongerIsX, 1 / 4.0);

    public void Envelope(double flap)
    {
        var first = LongerIsX;
        var (from, to) = (points.Min(p => first ? p.Y : p.X) - cell / 2, points.Max(p => first ? p.Y : p.X) + cell / 2);
        TwoIn(first, flap);
        FoldAt(!first, to - flap * (to - from), beyond: true, under: false);
        FoldAt(!first, from + flap * (to - from), beyond: false, under: false);
    }

    public void Accordion(int pleats)
    {
        var alongX = LongerIsX;
        double At(Point p) => alongX ? p.X : p.Y;
        var (from, size) = (points.Min(At) - cell / 2, points.Max(At) - points.Min(At) + cell);
        for (var i = pleats - 1; i > 0; i--)
        {
            FoldAt(alongX, from + size * i / pleats, beyond: true, under: (pleats - i) % 2 == 0);
        }
    }

    /// <summary>Share of the plan by leaves, and contacts per area that carry at least, and less than, so much.</summary>
    public (Dictionary<int, double> Leaves, double Open, double Bare) Count(double openFrom)
    {
        var piles = Piles().ToList();
        var contacts = piles.SelectMany(p => p.Zip(p.Skip(1), (lower, upper) => lower.Up + upper.Down)).ToList();
        return (
            piles.GroupBy(p => p.Count).ToDictionary(g => g.Key, g => g.Count() / (double)piles.Count),
            contacts.Count(c => c >= openFrom) / (double)piles.Count,
            contacts.Count(c => c < openFrom) / (double)piles.Count);
    }

    private bool LongerIsX => points.Max(p => p.X) - points.Min(p => p.X) >= points.Max(p => p.Y) - points.Min(p => p.Y) - cell / 2;

    private void TwoIn(bool alongX, double flap)
    {
        double At(Point p) => alongX ? p.X : p.Y;
        var (from, size) = (points.Min(At) - cell / 2, points.Max(At) - points.Min(At) + cell);
        FoldAt(alongX, from + size * (1 - flap), beyond: true, under: false);
        FoldAt(alongX, from + size * flap, beyond: false, under: false);
    }

    private void FoldAt(bool alongX, double line, bool beyond, bool under)
    {
        double At(Point p) => alongX ? p.X : p.Y;
        bool Moves(Point p) => At(p) > line == beyond;
        var (lowest, highest) = (points.Min(p => p.Height), points.Max(p => p.Height));
        points =
        [
            .. points.Select(p => !Moves(p) ? p : new Point(
                alongX ? 2 * line - p.X : p.X,
                alongX ? p.Y : 2 * line - p.Y,
                under ? lowest - 1 - (p.Height - lowest) : highest + 1 + (highest - p.Height),
                p.Down,
                p.Up)),
        ];
    }

    private IEnumerable<List<Point>> Piles() => points
        .GroupBy(p => (Math.Round(p.X / cell * 2), Math.Round(p.Y / cell * 2)))
        .Select(g => g.OrderBy(p => p.Height).ToList());
}
