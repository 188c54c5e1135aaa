namespace Ystrata.Core.Lamination;

/// <summary>The two ways a flat piece can be folded.</summary>
public enum Axis
{
    /// <summary>Along the length; the crease runs across it.</summary>
    X,

    /// <summary>Along the width.</summary>
    Y,
}

/// <summary>A stretch along one axis, mm.</summary>
internal interface IStretch<T>
    where T : struct, IStretch<T>
{
    double From { get; }

    double To { get; }

    /// <summary>The same stuff elsewhere.</summary>
    T At(double from, double to);
}

/// <summary>A stretch of a strip with one pile under it.</summary>
/// <param name="Pile">Which of the layout's piles.</param>
public readonly record struct Span(double From, double To, int Pile) : IStretch<Span>
{
    public Span At(double from, double to) => new(from, to, Pile);
}

/// <summary>A strip of the plan, from one x to the next, with its spans in y.</summary>
public readonly record struct Strip(double From, double To, Span[] Spans) : IStretch<Strip>
{
    public Strip At(double from, double to) => new(from, to, Spans);
}

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

    private readonly Ground ground;
    private readonly Pile[] piles;
    private (Pile Pile, SquareCentimetres Area)[]? places;

    private Layout(Ground ground, Pile[] piles) => (this.ground, this.piles) = (ground, piles);

    private Layout(Strip[] strips, Pile[] piles)
        : this(new Ground(strips, piles.Length), piles)
    {
    }

    public double Left => ground.Left;

    public double Right => ground.Right;

    public double Low => ground.Low;

    public double High => ground.High;

    public double Length => Right - Left;

    public double Width => High - Low;

    /// <summary>Every pile with the area it lies under.</summary>
    public IReadOnlyList<(Pile Pile, SquareCentimetres Area)> Places =>
        places ??= [.. piles.Zip(ground.Areas, (p, a) => (p, new SquareCentimetres(a))).Where(p => p.Item2.Value > 0)];

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
    public Layout With(Func<Pile, Pile> change) => new(ground, Array.ConvertAll(piles, p => change(p)));

    /// <summary>The piece pulled out along x and y.</summary>
    public Layout Scaled(double x, double y, Func<Pile, Pile> change) => new(
        Array.ConvertAll(ground.Strips, s => new Strip(s.From * x, s.To * x, Array.ConvertAll(s.Spans, p => new Span(p.From * y, p.To * y, p.Pile)))),
        Array.ConvertAll(piles, p => change(p)));

    /// <summary>Folds what lies beyond a line over what lies before it, or under it.</summary>
    /// <param name="beyond">True when the part at greater x or y moves, false when the lesser one does.</param>
    /// <param name="under">True when it is tucked under instead of laid over.</param>
    public Layout Folded(Axis axis, double line, bool beyond, bool under, int step)
    {
        var folded = ground.Folded(axis, line, beyond);
        var turned = Array.ConvertAll(piles, p => p.Turned());
        return new(folded.Ground, Laid(folded.Pairs, piles, turned, (stays, moves) => under ? moves.Under(stays, step) : stays.Under(moves, step)));
    }

    private static Pile[] Laid((int Stays, int Moves)[] pairs, Pile[] stays, Pile[] moves, Func<Pile, Pile, Pile> lay) =>
        Array.ConvertAll(pairs, p => p.Stays < 0 ? moves[p.Moves] : p.Moves < 0 ? stays[p.Stays] : lay(stays[p.Stays], moves[p.Moves]));

    /// <summary>Changes what lies within a rim of this width, all round.</summary>
    /// <param name="change">Of a pile and the area within in cm², what becomes of it.</param>
    public Layout Within(double rim, Func<Pile, SquareCentimetres, Pile> change)
    {
        var (x, y) = (1 - 2 * rim / Length, 1 - 2 * rim / Width);
        double InX(double at) => (Left + Right) / 2 + (at - (Left + Right) / 2) * x;
        double InY(double at) => (Low + High) / 2 + (at - (Low + High) / 2) * y;
        Strip[] inner = [.. ground.Strips.Where(s => s.Spans.Length > 0)
            .Select(s => new Strip(InX(s.From), InX(s.To), [new(InY(s.Spans[0].From), InY(s.Spans[^1].To), 0)]))];

        var laying = new Laying();
        var strips = laying.Over(ground.Strips, inner);
        var pairs = laying.Pairs;
        // Where the drawn-in outline stands out between two strips there is nothing to change.
        var marked = new Ground(Array.ConvertAll(strips, s => s with { Spans = Array.FindAll(s.Spans, p => pairs[p.Pile].Stays >= 0) }), pairs.Length);
        var area = new SquareCentimetres(pairs.Zip(marked.Areas, (p, a) => p.Moves >= 0 ? a : 0).Sum());
        return new(marked, Array.ConvertAll(pairs, p => p.Stays < 0 ? Nothing : p.Moves < 0 ? piles[p.Stays] : change(piles[p.Stays], area)));
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

    private static T[] Cut<T>(T[] row, double line, bool above)
        where T : struct, IStretch<T>
    {
        if (row.Length == 0 || (above ? row[0].From >= line : row[^1].To <= line))
        {
            return row;
        }

        var kept = new List<T>(row.Length);
        foreach (var s in row)
        {
            var cut = above ? s.At(Math.Max(s.From, line), s.To) : s.At(s.From, Math.Min(s.To, line));
            if (cut.To - cut.From > Sliver)
            {
                kept.Add(cut);
            }
        }

        return [.. kept];
    }

    private static T[] Mirrored<T>(T[] row, double line)
        where T : struct, IStretch<T>
    {
        var mirrored = new T[row.Length];
        for (var i = 0; i < row.Length; i++)
        {
            var s = row[^(i + 1)];
            mirrored[i] = s.At(2 * line - s.To, 2 * line - s.From);
        }

        return mirrored;
    }

    // Walks along two rows at once, from place to place that one or both cover.
    private struct Walk<T>(T[] first, T[] second)
        where T : struct, IStretch<T>
    {
        private int i, j;
        private double at = double.NegativeInfinity;

        public double From { get; private set; }

        public double To { get; private set; }

        public bool InFirst { get; private set; }

        public bool InSecond { get; private set; }

        public T First { get; private set; }

        public T Second { get; private set; }

        public bool Next()
        {
            while (i < first.Length || j < second.Length)
            {
                var (firstFrom, firstTo) = Ends(first, i);
                var (secondFrom, secondTo) = Ends(second, j);
                From = Math.Max(at, Math.Min(firstFrom, secondFrom));
                (InFirst, InSecond) = (firstFrom <= From + Sliver, secondFrom <= From + Sliver);
                To = at = Math.Min(InFirst ? firstTo : firstFrom, InSecond ? secondTo : secondFrom);
                First = InFirst ? first[i] : default;
                Second = InSecond ? second[j] : default;
                i += firstTo <= To + Sliver ? 1 : 0;
                j += secondTo <= To + Sliver ? 1 : 0;
                if (To - From > Sliver)
                {
                    return true;
                }
            }

            return false;
        }

        private static (double From, double To) Ends(T[] row, int at) =>
            at < row.Length ? (row[at].From, row[at].To) : (double.PositiveInfinity, double.PositiveInfinity);
    }

    // Where the places are, whatever lies there. How it was folded last is remembered: the same program with other fat folds it so again.
    private sealed class Ground
    {
        private readonly int places;
        private double[]? areas;
        private Fold? last;

        public Ground(Strip[] strips, int places)
        {
            (Strips, this.places) = (strips, places);
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

        public Strip[] Strips { get; }

        public double Left { get; }

        public double Right { get; }

        public double Low { get; }

        public double High { get; }

        /// <summary>Of each place, cm².</summary>
        public double[] Areas => areas ??= Measured();

        public Fold Folded(Axis axis, double line, bool beyond)
        {
            if (last is { } before && before.Axis == axis && before.Line == line && before.Beyond == beyond)
            {
                return before;
            }

            var laying = new Laying();
            var laid = axis == Axis.Y
                ? Array.ConvertAll(Strips, s => s with { Spans = laying.Over(Cut(s.Spans, line, !beyond), Mirrored(Cut(s.Spans, line, beyond), line)) })
                : laying.Over(Cut(Strips, line, !beyond), Mirrored(Cut(Strips, line, beyond), line));
            return last = new(axis, line, beyond, new(laid, laying.Pairs.Length), laying.Pairs);
        }

        private double[] Measured()
        {
            var measured = new double[places];
            foreach (var strip in Strips)
            {
                foreach (var span in strip.Spans)
                {
                    measured[span.Pile] += (strip.To - strip.From) * (span.To - span.From) / 100;
                }
            }

            return measured;
        }
    }

    /// <param name="Pairs">Of each place, which lay there and which came; −1 for nothing.</param>
    private sealed record Fold(Axis Axis, double Line, bool Beyond, Ground Ground, (int Stays, int Moves)[] Pairs);

    // Lays one row of places over another. Each pair of places is numbered as it is met.
    private sealed class Laying
    {
        private readonly List<(int Stays, int Moves)> pairs = [];
        private readonly Dictionary<(int Stays, int Moves), int> numbers = [];
        private readonly List<Span> laid = [];

        public (int Stays, int Moves)[] Pairs => [.. pairs];

        public Strip[] Over(Strip[] first, Strip[] second)
        {
            var strips = new List<Strip>(first.Length + second.Length);
            var walk = new Walk<Strip>(first, second);
            while (walk.Next())
            {
                strips.Add(new(walk.From, walk.To, Over(walk.InFirst ? walk.First.Spans : [], walk.InSecond ? walk.Second.Spans : [])));
            }

            return [.. strips];
        }

        public Span[] Over(Span[] first, Span[] second)
        {
            laid.Clear();
            var walk = new Walk<Span>(first, second);
            while (walk.Next())
            {
                var pile = Number(walk.InFirst ? walk.First.Pile : -1, walk.InSecond ? walk.Second.Pile : -1);
                if (laid.Count > 0 && laid[^1].Pile == pile && walk.From - laid[^1].To < Sliver)
                {
                    laid[^1] = laid[^1] with { To = walk.To };
                }
                else
                {
                    laid.Add(new(walk.From, walk.To, pile));
                }
            }

            return [.. laid];
        }

        // −1 stands for nothing there.
        private int Number(int staying, int moving)
        {
            if (!numbers.TryGetValue((staying, moving), out var number))
            {
                number = numbers[(staying, moving)] = pairs.Count;
                pairs.Add((staying, moving));
            }

            return number;
        }
    }
}
