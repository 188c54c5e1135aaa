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

    /// <summary>The first sheet, then the piece after every step.</summary>
    public static PlanView OfSheet(Form sheet) => new(Papers.Of(sheet).Seen(), []);

    public static PlanView[] Of(IReadOnlyList<FoldStep> steps, Form sheet, IReadOnlyList<Form> pieces)
    {
        var views = new PlanView[steps.Count];
        var (before, papers) = (sheet, Papers.Of(sheet));
        for (var i = 0; i < steps.Count; i++)
        {
            var (step, after) = (steps[i], pieces[i]);
            PlanMark[] marks = !before.Flat ? [] : step.Creases(before) is { Count: > 0 } creases ? [.. creases.Select(c => MarkOf(c, before.Layout))] : [.. step.Marks(before)];
            papers = !after.Flat ? Papers.None : !before.Flat || papers.Count == 0 ? Papers.Of(after) : step.Draw(before, after, papers);
            views[i] = new(papers.Seen(), marks);
            before = after;
        }

        return views;
    }

    /// <summary>A cut along the piece.</summary>
    /// <param name="share">How far across it, 0 to 1.</param>
    /// <param name="reach">Of its length.</param>
    internal static PlanMark Cut(Form piece, double share, double reach = 1)
    {
        var layout = piece.Layout;
        var at = share - 0.5;
        double[] line = piece.Along == Axis.X
            ? [-layout.Length / 2 * reach, at * layout.Width, layout.Length / 2 * reach, at * layout.Width]
            : [at * layout.Length, -layout.Width / 2 * reach, at * layout.Length, layout.Width / 2 * reach];
        var (x, y) = (Mid(layout.Left, layout.Right), Mid(layout.Low, layout.High));
        return new(MarkKind.Cut, Rounded([line[0] + x, line[1] + y, line[2] + x, line[3] + y]), null);
    }

    internal static PlanMark CutToTheMiddle(Form piece)
    {
        var (x, y) = (Mid(piece.Layout.Left, piece.Layout.Right), Mid(piece.Layout.Low, piece.Layout.High));
        return new(MarkKind.Cut, Rounded([x, y, piece.Layout.Right, y]), null);
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
        var moves = Mid(crease.Line, crease.Beyond ? high : low);
        var to = 2 * crease.Line - moves;
        return crease.Axis == Axis.X
            ? new(kind, Rounded([crease.Line, layout.Low, crease.Line, layout.High]), Rounded([moves, Mid(layout.Low, layout.High), to, Mid(layout.Low, layout.High)]))
            : new(kind, Rounded([layout.Left, crease.Line, layout.Right, crease.Line]), Rounded([Mid(layout.Left, layout.Right), moves, Mid(layout.Left, layout.Right), to]));
    }

    private static double[] OnArc(double radius, double angle) => [radius * Math.Cos(angle), radius * Math.Sin(angle)];

    private static double Mid(double a, double b) => (a + b) / 2;

    private static double[] Rounded(double[] points) => Array.ConvertAll(points, p => Math.Round(p, 1));

    private static Dressing DressedBy(Coat coat) => (coat.Film.Value > 0, coat.Dust.Value > 0) switch
    {
        (true, true) => Dressing.FatAndDust,
        (true, false) => Dressing.Fat,
        (false, true) => Dressing.Dust,
        _ => Dressing.Bare,
    };

    /// <summary>The parts of a sheet as they lie on each other, from the lowest up.</summary>
    internal sealed class Papers
    {
        public static readonly Papers None = new([]);

        private readonly List<Paper> all;

        private Papers(List<Paper> all) => this.all = all;

        public int Count => all.Count;

        public static Papers Of(Form piece)
        {
            var layout = piece.Layout;
            double[] points = piece.Outline == Outline.Round
                ? [.. Enumerable.Range(0, ArcPoints).SelectMany(i => OnArc(layout.Right, 2 * Math.PI * i / ArcPoints))]
                : [layout.Left, layout.Low, layout.Right, layout.Low, layout.Right, layout.High, layout.Left, layout.High];
            return new([new(points, DressedBy(piece.Fullest.Top), DressedBy(piece.Fullest.Bottom))]);
        }

        public IReadOnlyList<Facet> Seen() => [.. all.Select(p => new Facet(Rounded(p.Points), p.Up))];

        /// <summary>Drawn out as the piece was.</summary>
        public Papers Scaled(Form before, Form after)
        {
            var (x, y) = (after.Layout.Length / before.Layout.Length, after.Layout.Width / before.Layout.Width);
            return new(all.ConvertAll(p => p with { Points = [.. p.Points.Select((at, i) => i % 2 == 0 ? at * x : at * y)] }));
        }

        /// <summary>With what lies on the piece's faces now.</summary>
        public Papers Dressed(Form piece)
        {
            var (up, down) = (DressedBy(piece.Fullest.Top), DressedBy(piece.Fullest.Bottom));
            return new(all.ConvertAll(p => p with { Up = up, Down = down }));
        }

        public Papers Dressed(Dressing up) => new(all.ConvertAll(p => p with { Up = up }));

        public Papers Folded(IReadOnlyList<Crease> creases) => creases.Aggregate(this, (papers, crease) => papers.Folded(crease));

        private Papers Folded(Crease crease)
        {
            var line = Line.Of(crease);
            var (stays, moves) = (new List<Paper>(all.Count), new List<Paper>(all.Count));
            foreach (var paper in all)
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
            return new(laid.Count <= 2 * MostFacets ? laid : [.. laid.Take(MostFacets), .. laid.TakeLast(MostFacets)]);
        }

        // A part of the sheet as it lies now: what is on the face that is up, and on the other.
        private sealed record Paper(double[] Points, Dressing Up, Dressing Down);
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
            return crease.Axis == Axis.X ? new(sign, 0, sign * crease.Line) : new(0, sign, sign * crease.Line);
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
