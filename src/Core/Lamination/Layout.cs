namespace Ystrata.Core;

/// <summary>The two ways a flat piece can be folded.</summary>
public enum Axis
{
    /// <summary>Along the length; the crease runs across it.</summary>
    X,

    /// <summary>Along the width.</summary>
    Y,
}

/// <summary>A stretch of a strip with one pile under it.</summary>
/// <param name="Pile">Which of the layout's piles.</param>
public readonly record struct Span(double From, double To, int Pile);

/// <summary>A strip of the plan, from one x to the next, with its spans in y.</summary>
public readonly record struct Strip(double From, double To, Span[] Spans);

/// <summary>A flat piece seen from above: which pile lies where, in millimetres.</summary>
/// <remarks>
/// Strips side by side along x, each cut into spans along y. Rectangles are one strip of one span and exact; a round is
/// <see cref="RoundStrips"/> strips, each as long as its part of the round is on average, so that its area is exact too. All
/// folds run along x or y, so folding is mirroring and laying over, strip by strip and span by span.
/// </remarks>
public sealed class Layout
{
    /// <summary>Strips of a round. Halves, thirds, quarters, sixths and twelfths fall between two of them.</summary>
    public const int RoundStrips = 48;

    // Nothing narrower than this is a place of its own, mm.
    private const double Sliver = 1e-6;

    private static readonly Strip[] UnitRound = Strewn(-1, 1, RoundStrips, (from, to) =>
    {
        var half = (UnderArc(1, to) - UnderArc(1, from)) / (to - from);
        return new(-half, half, 0);
    });

    private static readonly Pile Nothing = Pile.Of(default);

    private readonly Strip[] strips;
    private readonly Pile[] piles;
    private (Pile Pile, SquareCentimetres Area)[]? places;

    private Layout(Strip[] strips, Pile[] piles)
    {
        (this.strips, this.piles) = (strips, piles);
        Left = strips[0].From;
        Right = strips[^1].To;
        (Low, High) = (double.PositiveInfinity, double.NegativeInfinity);
        foreach (var strip in strips)
        {
            if (strip.Spans.Length > 0)
            {
                Low = Math.Min(Low, strip.Spans[0].From);
                High = Math.Max(High, strip.Spans[^1].To);
            }
        }
    }

    public IReadOnlyList<Strip> Strips => strips;

    public double Left { get; }

    public double Right { get; }

    public double Low { get; }

    public double High { get; }

    public double Length => Right - Left;

    public double Width => High - Low;

    /// <summary>Every pile with the area it lies under.</summary>
    public IReadOnlyList<(Pile Pile, SquareCentimetres Area)> Places => places ??= Measured();

    public static Layout Rectangle(double length, double width, Pile pile) =>
        new([new(-length / 2, length / 2, [new(-width / 2, width / 2, 0)])], [pile]);

    /// <summary>A round about the origin.</summary>
    public static Layout Round(double diameter, Pile pile)
    {
        var radius = diameter / 2;
        return new(Array.ConvertAll(UnitRound, s => new Strip(s.From * radius, s.To * radius, [new(s.Spans[0].From * radius, s.Spans[0].To * radius, 0)])), [pile]);
    }

    /// <summary>A sector of a round with its point at the origin, one side along x.</summary>
    /// <param name="angle">Radians, up to a right angle.</param>
    public static Layout Sector(double radius, double angle, Pile pile)
    {
        var corner = radius * Math.Cos(angle);
        return new(
            Strewn(0, radius, RoundStrips / 2, (from, to) =>
            {
                var (side, arc) = (Math.Min(to, corner), Math.Max(from, corner));
                var area = (side > from ? (side * side - from * from) / 2 * Math.Tan(angle) : 0) + (to > arc ? UnderArc(radius, to) - UnderArc(radius, arc) : 0);
                return new(0, area / (to - from), 0);
            }),
            [pile]);
    }

    /// <summary>Every place with another pile.</summary>
    public Layout With(Func<Pile, Pile> change) => new(strips, Array.ConvertAll(piles, p => change(p)));

    /// <summary>The piece pulled out along x and y.</summary>
    public Layout Scaled(double x, double y, Func<Pile, Pile> change) => new(
        Array.ConvertAll(strips, s => new Strip(s.From * x, s.To * x, Array.ConvertAll(s.Spans, p => new Span(p.From * y, p.To * y, p.Pile)))),
        Array.ConvertAll(piles, p => change(p)));

    /// <summary>Folds what lies beyond a line over what lies before it, or under it.</summary>
    /// <param name="beyond">True when the part at greater x or y moves, false when the lesser one does.</param>
    /// <param name="under">True when it is tucked under instead of laid over.</param>
    public Layout Folded(Axis axis, double line, bool beyond, bool under, int step)
    {
        var laying = new Laying(
            piles,
            Array.ConvertAll(piles, p => p.Turned()),
            (stays, moves) => under ? moves.Under(stays, step) : stays.Under(moves, step));
        var laid = axis == Axis.Y
            ? Array.ConvertAll(strips, s => s with { Spans = laying.Over(Cut(s.Spans, line, !beyond), Mirrored(Cut(s.Spans, line, beyond), line)) })
            : laying.Over(Cut(strips, line, !beyond), Mirrored(Cut(strips, line, beyond), line));
        return new(laid, laying.Used);
    }

    /// <summary>Changes what lies within a rim of this width, all round.</summary>
    /// <param name="change">Of a pile and the area within in cm², what becomes of it.</param>
    public Layout Within(double rim, Func<Pile, SquareCentimetres, Pile> change)
    {
        var (x, y) = (1 - 2 * rim / Length, 1 - 2 * rim / Width);
        double InX(double at) => (Left + Right) / 2 + (at - (Left + Right) / 2) * x;
        double InY(double at) => (Low + High) / 2 + (at - (Low + High) / 2) * y;
        Strip[] inner = [.. strips.Where(s => s.Spans.Length > 0)
            .Select(s => new Strip(InX(s.From), InX(s.To), [new(InY(s.Spans[0].From), InY(s.Spans[^1].To), 0)]))];

        var inside = new HashSet<Pile>();
        var laying = new Laying(piles, [Nothing], (pile, _) =>
        {
            var marked = pile.Coated(default);
            inside.Add(marked);
            return marked;
        });
        // Where the drawn-in outline stands out between two strips there is nothing to change.
        var marked = Array.ConvertAll(laying.Over(strips, inner), s => s with { Spans = Array.FindAll(s.Spans, p => laying.Used[p.Pile] != Nothing) });
        var layout = new Layout(marked, laying.Used);
        var area = new SquareCentimetres(layout.Places.Where(p => inside.Contains(p.Pile)).Sum(p => p.Area.Value));
        return layout.With(p => inside.Contains(p) ? change(p, area) : p);
    }

    private (Pile Pile, SquareCentimetres Area)[] Measured()
    {
        var areas = new double[piles.Length];
        foreach (var strip in strips)
        {
            foreach (var span in strip.Spans)
            {
                areas[span.Pile] += (strip.To - strip.From) * (span.To - span.From) / 100;
            }
        }

        return [.. piles.Zip(areas, (p, a) => (p, new SquareCentimetres(a))).Where(p => p.Item2.Value > 0)];
    }

    // ∫ √(r² − x²) dx from the middle to x.
    private static double UnderArc(double radius, double x)
    {
        var at = Math.Clamp(x / radius, -1, 1);
        return radius * radius / 2 * (at * Math.Sqrt(1 - at * at) + Math.Asin(at));
    }

    private static Strip[] Strewn(double left, double right, int count, Func<double, double, Span> of)
    {
        var strips = new Strip[count];
        var wide = (right - left) / count;
        for (var i = 0; i < count; i++)
        {
            var from = left + i * wide;
            strips[i] = new(from, from + wide, [of(from, from + wide)]);
        }

        return strips;
    }

    private static Strip[] Cut(Strip[] strips, double line, bool above)
    {
        var kept = new List<Strip>(strips.Length);
        foreach (var s in strips)
        {
            var cut = above ? s with { From = Math.Max(s.From, line) } : s with { To = Math.Min(s.To, line) };
            if (cut.To - cut.From > Sliver)
            {
                kept.Add(cut);
            }
        }

        return [.. kept];
    }

    private static Span[] Cut(Span[] spans, double line, bool above)
    {
        var kept = new List<Span>(spans.Length);
        foreach (var s in spans)
        {
            var cut = above ? s with { From = Math.Max(s.From, line) } : s with { To = Math.Min(s.To, line) };
            if (cut.To - cut.From > Sliver)
            {
                kept.Add(cut);
            }
        }

        return [.. kept];
    }

    private static Strip[] Mirrored(Strip[] strips, double line)
    {
        Array.Reverse(strips);
        return Array.ConvertAll(strips, s => s with { From = 2 * line - s.To, To = 2 * line - s.From });
    }

    private static Span[] Mirrored(Span[] spans, double line)
    {
        Array.Reverse(spans);
        return Array.ConvertAll(spans, s => s with { From = 2 * line - s.To, To = 2 * line - s.From });
    }

    // Lays one row of places over another. Each pair of piles is laid once and numbered as it is met.
    private sealed class Laying(Pile[] stays, Pile[] moves, Func<Pile, Pile, Pile> lay)
    {
        private readonly List<Pile> used = new(stays.Length + 2);
        private readonly int[] numbers = new int[(stays.Length + 1) * (moves.Length + 1)];

        public Pile[] Used => [.. used];

        public Strip[] Over(Strip[] first, Strip[] second)
        {
            var laid = new List<Strip>(first.Length + second.Length);
            var (i, j, at) = (0, 0, double.NegativeInfinity);
            while (i < first.Length || j < second.Length)
            {
                var a = i < first.Length ? first[i] : new(double.PositiveInfinity, double.PositiveInfinity, []);
                var b = j < second.Length ? second[j] : new(double.PositiveInfinity, double.PositiveInfinity, []);
                var (from, to, inA, inB) = Next(at, a.From, a.To, b.From, b.To);
                if (to - from > Sliver)
                {
                    laid.Add(new(from, to, Over(inA ? a.Spans : [], inB ? b.Spans : [])));
                }

                at = to;
                i += i < first.Length && a.To <= to + Sliver ? 1 : 0;
                j += j < second.Length && b.To <= to + Sliver ? 1 : 0;
            }

            return [.. laid];
        }

        public Span[] Over(Span[] first, Span[] second)
        {
            if (second.Length == 0)
            {
                return Array.ConvertAll(first, s => s with { Pile = Number(s.Pile, -1) });
            }

            var laid = new List<Span>(first.Length + second.Length);
            var (i, j, at) = (0, 0, double.NegativeInfinity);
            while (i < first.Length || j < second.Length)
            {
                var a = i < first.Length ? first[i] : new(double.PositiveInfinity, double.PositiveInfinity, -1);
                var b = j < second.Length ? second[j] : new(double.PositiveInfinity, double.PositiveInfinity, -1);
                var (from, to, inA, inB) = Next(at, a.From, a.To, b.From, b.To);
                if (to - from > Sliver)
                {
                    var pile = Number(inA ? a.Pile : -1, inB ? b.Pile : -1);
                    if (laid.Count > 0 && laid[^1].Pile == pile && from - laid[^1].To < Sliver)
                    {
                        laid[^1] = laid[^1] with { To = to };
                    }
                    else
                    {
                        laid.Add(new(from, to, pile));
                    }
                }

                at = to;
                i += i < first.Length && a.To <= to + Sliver ? 1 : 0;
                j += j < second.Length && b.To <= to + Sliver ? 1 : 0;
            }

            return [.. laid];
        }

        // −1 stands for nothing there.
        private int Number(int staying, int moving)
        {
            ref var number = ref numbers[(staying + 1) * (moves.Length + 1) + moving + 1];
            if (number == 0)
            {
                used.Add(staying < 0 ? moves[moving] : moving < 0 ? stays[staying] : lay(stays[staying], moves[moving]));
                number = used.Count;
            }

            return number - 1;
        }

        // Of two rows of stretches, the next place from here on that one or both cover.
        private static (double From, double To, bool InA, bool InB) Next(double at, double aFrom, double aTo, double bFrom, double bTo)
        {
            var from = Math.Max(at, Math.Min(aFrom, bFrom));
            var (inA, inB) = (aFrom <= from + Sliver, bFrom <= from + Sliver);
            return (from, Math.Min(inA ? aTo : aFrom, inB ? bTo : bFrom), inA, inB);
        }
    }
}
