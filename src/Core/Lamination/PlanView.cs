namespace Ystrata.Core.Lamination;

/// <summary>What a face carries, as it is drawn.</summary>
public enum Dressing
{
    Bare,
    Fat,
    Dust,
    FatAndDust,
}

/// <summary>A part of the sheet that no crease crosses, seen from above.</summary>
/// <param name="Points">x, y of each corner in turn, mm, y upwards.</param>
/// <param name="Up">What lies on the face that is up.</param>
public sealed record Facet(IReadOnlyList<double> Points, Dressing Up);

public enum MarkKind
{
    /// <summary>Folded over.</summary>
    Fold,

    /// <summary>Tucked under.</summary>
    Tuck,

    /// <summary>Cut.</summary>
    Cut,
}

/// <summary>A line a step makes, and where the middle of what moves goes. In mm.</summary>
/// <param name="Line">x, y of both ends.</param>
/// <param name="Moves">x, y from and to; nothing where nothing moves.</param>
public sealed record PlanMark(MarkKind Kind, IReadOnlyList<double> Line, IReadOnlyList<double>? Moves);

/// <summary>A flat piece drawn from its geometry: facets from the lowest to the one on top.</summary>
/// <param name="Facets">After the step; none for a piece that is not flat, which is drawn by its outline.</param>
/// <param name="Marks">What the step does, on the piece before it.</param>
public sealed record PlanView(IReadOnlyList<Facet> Facets, IReadOnlyList<PlanMark> Marks)
{
    public static readonly PlanView None = new([], []);

    private const int ArcPoints = 72;

    // Of a thick pile only what lies near either face can be seen.
    private const int MostFacets = 48;

    private const double SlitStopsAt = 0.88;

    /// <summary>The first sheet, then the piece after every step.</summary>
    public static PlanView OfSheet(Form sheet) => new([.. Sheet(sheet).Select(s => s.Seen())], []);

    public static PlanView[] Of(IReadOnlyList<FoldStep> steps, Form sheet, IReadOnlyList<Form> pieces)
    {
        var views = new PlanView[steps.Count];
        var (before, sheets) = (sheet, Sheet(sheet));
        for (var i = 0; i < steps.Count; i++)
        {
            var marks = before.Flat ? MarksOf(steps[i], before) : [];
            var after = pieces[i];
            sheets = After(steps[i], before, after, sheets);
            views[i] = new(after.Flat ? [.. sheets.Select(s => s.Seen())] : [], marks);
            before = after;
        }

        return views;
    }

    private static List<Paper> After(FoldStep step, Form before, Form after, List<Paper> papers)
    {
        if (!after.Flat)
        {
            return [];
        }

        var creases = Folding.Creases(step, before);
        if (creases.Count > 0)
        {
            papers = step is EncloseStep ? papers.ConvertAll(p => p with { Up = Dressing.FatAndDust }) : papers;
            foreach (var crease in creases)
            {
                papers = Folded(papers, crease);
            }

            return papers;
        }

        var (top, bottom) = (Dressed(after.Fullest.Top), Dressed(after.Fullest.Bottom));
        var (x, y) = (after.Layout.Length / before.Layout.Length, after.Layout.Width / before.Layout.Width);
        return step switch
        {
            RollLongStep or StripsStep => Sheet(after),
            _ when !before.Flat || papers.Count == 0 => Sheet(after),
            RollStep or PressStep or StretchStep => papers.ConvertAll(p => p with { Points = Scaled(p.Points, x, y) }),
            BrushStep or PasteStep or DustStep => papers.ConvertAll(p => p with { Up = top, Down = bottom }),
            _ => papers,
        };
    }

    private static Dressing Dressed(Coat coat) => (coat.Film.Value > 0, coat.Dust.Value > 0) switch
    {
        (true, true) => Dressing.FatAndDust,
        (true, false) => Dressing.Fat,
        (false, true) => Dressing.Dust,
        _ => Dressing.Bare,
    };

    private static List<Paper> Sheet(Form piece)
    {
        var layout = piece.Layout;
        double[] points = piece.Outline == Outline.Round
            ? [.. Enumerable.Range(0, ArcPoints).SelectMany(i => OnArc(layout.Right, 2 * Math.PI * i / ArcPoints))]
            : [layout.Left, layout.Low, layout.Right, layout.Low, layout.Right, layout.High, layout.Left, layout.High];
        return [new(points, Dressed(piece.Fullest.Top), Dressed(piece.Fullest.Bottom))];
    }

    private static double[] OnArc(double radius, double angle) => [radius * Math.Cos(angle), radius * Math.Sin(angle)];

    private static double[] Scaled(double[] points, double x, double y) => [.. points.Select((p, i) => i % 2 == 0 ? p * x : p * y)];

    private static List<Paper> Folded(List<Paper> papers, Crease crease)
    {
        var line = Line.Of(crease);
        var (stays, moves) = (new List<Paper>(papers.Count), new List<Paper>(papers.Count));
        foreach (var paper in papers)
        {
            if (line.Keep(paper.Points, -1) is { Length: > 4 } kept)
            {
                stays.Add(paper with { Points = kept });
            }

            if (line.Keep(paper.Points, 1) is { Length: > 4 } moved)
            {
                moves.Add(new(line.Mirror(moved), paper.Down, paper.Up));
            }
        }

        moves.Reverse();
        List<Paper> laid = crease.Under ? [.. moves, .. stays] : [.. stays, .. moves];
        return laid.Count <= 2 * MostFacets ? laid : [.. laid.Take(MostFacets), .. laid.TakeLast(MostFacets)];
    }

    private static PlanMark[] MarksOf(FoldStep step, Form piece)
    {
        var layout = piece.Layout;
        if (Folding.Creases(step, piece) is { Count: > 0 } creases)
        {
            return [.. creases.Select(c => MarkOf(c, layout))];
        }

        double[] Lengthwise(double share, double reach)
        {
            var along = Folding.Along(piece);
            var at = share - 0.5;
            return along == Axis.X
                ? [-layout.Length / 2 * reach, at * layout.Width, layout.Length / 2 * reach, at * layout.Width]
                : [at * layout.Length, -layout.Width / 2 * reach, at * layout.Length, layout.Width / 2 * reach];
        }

        return step switch
        {
            StripsStep s => [.. Enumerable.Range(1, s.Count - 1).Select(i => new PlanMark(MarkKind.Cut, Moved(Lengthwise(i / (double)s.Count, 1), layout), null))],
            SlitStep s => [.. Enumerable.Range(1, s.Ribbons - 1).Select(i => new PlanMark(MarkKind.Cut, Moved(Lengthwise(i / (double)s.Ribbons, SlitStopsAt), layout), null))],
            ConeStep => [new(MarkKind.Cut, Rounded([Mid(layout.Left, layout.Right), Mid(layout.Low, layout.High), layout.Right, Mid(layout.Low, layout.High)]), null)],
            _ => [],
        };
    }

    private static PlanMark MarkOf(Crease crease, Layout layout)
    {
        var kind = crease.Under ? MarkKind.Tuck : MarkKind.Fold;
        if (crease.Wedge is { } angle)
        {
            var line = Line.Of(crease);
            var from = OnArc(layout.Right * 0.6, angle * 1.5);
            return new(kind, Rounded([0, 0, .. OnArc(layout.Right, angle)]), Rounded([.. from, .. line.Mirror(from)]));
        }

        var (low, high) = crease.Axis == Axis.X ? (layout.Left, layout.Right) : (layout.Low, layout.High);
        var moves = Mid(crease.At, crease.Beyond ? high : low);
        var to = 2 * crease.At - moves;
        return crease.Axis == Axis.X
            ? new(kind, Rounded([crease.At, layout.Low, crease.At, layout.High]), Rounded([moves, Mid(layout.Low, layout.High), to, Mid(layout.Low, layout.High)]))
            : new(kind, Rounded([layout.Left, crease.At, layout.Right, crease.At]), Rounded([Mid(layout.Left, layout.Right), moves, Mid(layout.Left, layout.Right), to]));
    }

    private static double[] Moved(double[] line, Layout layout) => Rounded(
    [
        line[0] + Mid(layout.Left, layout.Right), line[1] + Mid(layout.Low, layout.High),
        line[2] + Mid(layout.Left, layout.Right), line[3] + Mid(layout.Low, layout.High),
    ]);

    private static double Mid(double a, double b) => (a + b) / 2;

    private static double[] Rounded(double[] points) => Array.ConvertAll(points, p => Math.Round(p, 1));

    // A part of the sheet as it lies now: what is on the face that is up, and on the other.
    private sealed record Paper(double[] Points, Dressing Up, Dressing Down)
    {
        public Facet Seen() => new(Rounded(Points), Up);
    }

    // A line by its normal: what lies on the positive side moves.
    private readonly record struct Line(double X, double Y, double At)
    {
        public static Line Of(Crease crease)
        {
            if (crease.Wedge is { } angle)
            {
                return new(-Math.Sin(angle), Math.Cos(angle), 0);
            }

            var sign = crease.Beyond ? 1 : -1;
            return crease.Axis == Axis.X ? new(sign, 0, sign * crease.At) : new(0, sign, sign * crease.At);
        }

        // The part of a convex outline on one side.
        public double[] Keep(double[] points, int side)
        {
            var kept = new List<double>(points.Length + 4);
            for (var i = 0; i < points.Length; i += 2)
            {
                var j = (i + 2) % points.Length;
                var (a, b) = (side * Off(points[i], points[i + 1]), side * Off(points[j], points[j + 1]));
                if (a >= 0)
                {
                    kept.Add(points[i]);
                    kept.Add(points[i + 1]);
                }

                if ((a > 0 && b < 0) || (a < 0 && b > 0))
                {
                    var t = a / (a - b);
                    kept.Add(points[i] + t * (points[j] - points[i]));
                    kept.Add(points[i + 1] + t * (points[j + 1] - points[i + 1]));
                }
            }

            return [.. kept];
        }

        public double[] Mirror(double[] points)
        {
            var mirrored = new double[points.Length];
            for (var i = 0; i < points.Length; i += 2)
            {
                var off = 2 * Off(points[i], points[i + 1]);
                (mirrored[i], mirrored[i + 1]) = (points[i] - off * X, points[i + 1] - off * Y);
            }

            return mirrored;
        }

        private double Off(double x, double y) => x * X + y * Y - At;
    }
}
