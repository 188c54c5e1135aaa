namespace Ystrata.Core.Balls;

/// <param name="Mass">One ball.</param>
/// <param name="Lightest">Lightest ball within tolerance.</param>
/// <param name="Heaviest">Heaviest ball within tolerance.</param>
/// <param name="Within">Grams either way that are within tolerance.</param>
/// <param name="Across">The ball as a sphere.</param>
/// <param name="RoundThickness">Dough thickness of the finished round, raw.</param>
/// <param name="Like">What a ball is like in the hand; nothing where nothing comes near.</param>
/// <param name="Pour">How a batter lies; nothing for what is balled.</param>
/// <param name="Cut">Where one sheet or log is cut into the pieces; nothing where each is weighed.</param>
public sealed record BallsSheet(int Count, Grams Mass, Grams Lightest, Grams Heaviest, Grams Within, Millimetres Across, Millimetres RoundThickness, CutSheet? Cut, TraySheet Tray, Pour? Pour, Likeness? Like);

/// <summary>All the dough as one sheet or log, cut.</summary>
/// <param name="Whole">Length of the sheet along which it is cut, or of the log.</param>
/// <param name="Piece">Width of one strip, or thickness of one slice.</param>
/// <param name="Logs">Logs no longer than a bench; 1 for a sheet.</param>
/// <param name="Each">Length of one of them.</param>
/// <param name="PiecesOfEach">Pieces of the fullest.</param>
/// <param name="Cuts">Of the knife.</param>
/// <param name="Millimetre">What a piece gains with each millimetre the knife is off.</param>
public sealed record CutSheet(Millimetres Whole, Millimetres Piece, int Logs, Millimetres Each, int PiecesOfEach, int Cuts, Grams Millimetre);

/// <summary>A ball on the tray.</summary>
/// <param name="Deviation">From what it should weigh.</param>
/// <param name="Correction">Grams to add (positive) or take (negative); zero within tolerance.</param>
/// <param name="Small">The child's.</param>
/// <param name="Pieces">Pieces it becomes.</param>
/// <param name="Across">As a sphere.</param>
public sealed record TrayBall(Grams Mass, Grams Deviation, Grams Correction, bool Small, int Pieces, Millimetres Across)
{
    /// <summary>What it should weigh.</summary>
    public Grams Wanted() => Mass - Deviation;
}

/// <summary>The dough as it is being divided.</summary>
/// <param name="Each">What each ball should weigh: the whole dough, less the small one, over the others; twice that for pairs.</param>
/// <param name="ToWeigh">Balls on the tray once all is divided.</param>
/// <param name="Left">Balls still to divide.</param>
/// <param name="Next">What each of those should weigh, so that the last is never the runt; nothing when all are divided.</param>
/// <param name="Over">Dough that is left once all are divided; negative when the balls took more than there was.</param>
/// <param name="Spread">Of the weighed balls without smaller ones; nothing for fewer than two.</param>
public sealed record TraySheet(IReadOnlyList<TrayBall> Balls, Grams Each, int ToWeigh, int Left, Grams? Next, Grams? Over, BallSpread? Spread);

/// <summary>The spread of weighed balls.</summary>
/// <param name="Deviation">Sample standard deviation.</param>
/// <param name="Variation">Deviation as percent of the mean.</param>
/// <param name="Even">Whether the variation is within what a careful divider keeps to.</param>
public sealed record BallSpread(Grams Mean, Grams Deviation, Percent Variation, Grams Spread, bool Even);

/// <summary>Stage 3: the ball from the round and the round from the ball (models.md C).</summary>
public static class BallsStage
{
    // Empirical: a careful divider stays within this of the mean.
    internal static readonly Percent Tolerance = new(3);

    internal static BallsSheet Work(CheckedBatch batch, DoughSheet sheet)
    {
        var (dough, spec, density) = (batch.Dough, batch.Spec.Balls, sheet.Density);
        return new(
            dough.Count,
            dough.Ball,
            dough.Ball * (1 - Tolerance.Fraction),
            dough.Ball * (1 + Tolerance.Fraction),
            dough.Ball * Tolerance.Fraction,
            Round.SphereOf(dough.Ball, density),
            Round.ThicknessOf(dough.Ball, SquareCentimetres.OfRound(batch.Shape.RolledTo), density),
            CutOf(dough, spec, density, batch is { Stuffing.Made.End: var end, Route.Filling: { } filling } ? (dough.Ball * filling.Wall.Share.Fraction, end.Density) : null),
            TrayOf(dough.Ball * dough.Count, dough.Count, spec, density),
            batch.Route.Poured ? Pour.Of(sheet.Water.Hydration, sheet.Start.Ladle) : null,
            batch.Route.Poured ? null : Likeness.Of(dough.Ball));
    }

    // The longest log a bench and two hands roll evenly, mm (empirical).
    private const double LongestLog = 600;

    /// <param name="filling">What is rolled into the log with it, per piece; nothing without.</param>
    private static CutSheet? CutOf(DoughSolution dough, BallsSpec spec, Density density, (Grams Mass, Density Density)? filling)
    {
        var cutting = spec.Cutting ?? CuttingSpec.Usual;
        return spec.Into switch
        {
            DivideInto.Strips => Cut(SquareCentimetres.OfRectangle(cutting.SheetThickness, cutting.StripLength), dough.Ball, density, logs: false),
            DivideInto.Log => filling is var (mass, fills)
                ? Cut(SquareCentimetres.OfRound(cutting.LogAcross), dough.Ball + mass, new((dough.Ball + mass).Value / (dough.Ball.Value / density.Value + mass.Value / fills.Value)), logs: true)
                : Cut(SquareCentimetres.OfRound(cutting.LogAcross), dough.Ball, density, logs: true),
            _ => null,
        };

        CutSheet Cut(SquareCentimetres face, Grams each, Density of, bool logs)
        {
            var millimetre = new Grams(face.Value * 0.1 * of.Value);
            var piece = new Millimetres(each / millimetre);
            var whole = piece * dough.Count;
            var pieces = logs ? Math.Min((int)Math.Ceiling(whole.Value / LongestLog), dough.Count) : 1;
            var fullest = (dough.Count + pieces - 1) / pieces;
            return new(whole, piece, pieces, piece * fullest, fullest, dough.Count - pieces, millimetre);
        }
    }

    /// <summary>The balls weighed so far against the dough there is.</summary>
    /// <param name="dough">All of it, as it comes from the bowl.</param>
    public static TraySheet TrayOf(Grams dough, int count, BallsSpec spec, Density density)
    {
        var weighed = spec.Weighed ?? [];
        // A small one that leaves the others nothing is none.
        var small = spec.SmallOne is { } s && count > 1 && s < dough / count ? s : (Grams?)null;
        var others = small is null ? count : count - 1;
        var piece = (dough - (small ?? Grams.Zero)) / others;
        var together = spec.Into == DivideInto.Pairs ? 2 : 1;
        // What is to be weighed, the usual kind first: an odd one out of pairs is single.
        Kind[] kinds =
        [
            new(piece * together, others / together, together, Small: false),
            new(piece, others % together, 1, Small: false),
            new(small ?? Grams.Zero, small is null ? 0 : 1, 1, Small: true),
        ];
        // A single ball has no bigger kind to stand beside.
        var usual = kinds.First(k => k.Count > 0);
        var toCome = kinds.Select(k => k.Count).ToArray();
        var balls = new List<TrayBall>(weighed.Count);
        foreach (var ball in weighed)
        {
            var at = Enumerable.Range(0, kinds.Length).Where(k => toCome[k] > 0).OrderBy(k => Math.Abs((kinds[k].Mass - ball).Value)).FirstOrDefault(Array.IndexOf(kinds, usual));
            toCome[at]--;
            var kind = kinds[at];
            balls.Add(new(ball, ball - kind.Mass, Correction(ball, kind.Mass), kind.Small, kind.Pieces, Round.SphereOf(ball, density)));
        }

        var left = Math.Max(kinds.Sum(k => k.Count) - weighed.Count, 0);
        var rest = dough - new Grams(weighed.Sum(g => g.Value));
        var full = balls.Where(b => !b.Small && b.Pieces == usual.Pieces).Select(b => b.Mass).ToList();
        return new(balls, usual.Mass, Math.Max(balls.Count + left, 1), left, left == 0 ? null : NextOf(kinds, toCome, rest), left == 0 ? rest : null, full.Count >= 2 ? SpreadOf(full) : null);
    }

    // The small one weighs what it should; the others to come share what is left by their pieces.
    private static Grams NextOf(Kind[] kinds, int[] toCome, Grams rest)
    {
        var at = Enumerable.Range(0, kinds.Length).First(k => toCome[k] > 0);
        if (kinds[at].Small)
        {
            return kinds[at].Mass;
        }

        var (small, pieces) = (Grams.Zero, 0);
        for (var k = 0; k < kinds.Length; k++)
        {
            small += kinds[k].Small ? kinds[k].Mass * toCome[k] : Grams.Zero;
            pieces += kinds[k].Small ? 0 : kinds[k].Pieces * toCome[k];
        }

        return (rest - small) * kinds[at].Pieces / pieces;
    }

    private sealed record Kind(Grams Mass, int Count, int Pieces, bool Small);

    /// <summary>Grams to add (positive) or take (negative) to bring a ball back to its target; zero within tolerance.</summary>
    public static Grams Correction(Grams ball, Grams target) =>
        Math.Abs(ball / target - 1) <= Tolerance.Fraction ? Grams.Zero : target - ball;

    /// <exception cref="ArgumentOutOfRangeException">Fewer than two balls.</exception>
    public static BallSpread SpreadOf(IReadOnlyCollection<Grams> balls)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(balls.Count, 2);
        var mean = balls.Average(b => b.Value);
        var deviation = Math.Sqrt(balls.Sum(b => (b.Value - mean) * (b.Value - mean)) / (balls.Count - 1));
        return new(new(mean), new(deviation), Percent.FromFraction(deviation / mean), balls.Max() - balls.Min(), deviation / mean <= Tolerance.Fraction);
    }
}
