namespace Ystrata.Core;

/// <param name="Mass">One ball.</param>
/// <param name="Lightest">Lightest ball within tolerance.</param>
/// <param name="Heaviest">Heaviest ball within tolerance.</param>
/// <param name="Across">The ball as a sphere.</param>
/// <param name="RoundThickness">Dough thickness of the finished round, raw.</param>
public sealed record BallsSheet(int Count, Grams Mass, Grams Lightest, Grams Heaviest, Millimetres Across, Millimetres RoundThickness, TraySheet Tray);

/// <summary>A ball on the tray.</summary>
/// <param name="Deviation">From what it should weigh.</param>
/// <param name="Correction">Grams to add (positive) or take (negative); zero within tolerance.</param>
/// <param name="Small">The child's.</param>
/// <param name="Across">As a sphere.</param>
public sealed record TrayBall(Grams Mass, Grams Deviation, Grams Correction, bool Small, Millimetres Across);

/// <summary>The dough as it is being divided.</summary>
/// <param name="Each">What each ball should weigh: the whole dough, less the small one, over the others.</param>
/// <param name="Left">Balls still to divide.</param>
/// <param name="Next">What each of those should weigh, so that the last is never the runt; nothing when all are divided.</param>
/// <param name="Over">Dough that is left once all are divided; negative when the balls took more than there was.</param>
/// <param name="Spread">Of the weighed balls without the small one; nothing for fewer than two.</param>
public sealed record TraySheet(IReadOnlyList<TrayBall> Balls, Grams Each, int Left, Grams? Next, Grams? Over, BallSpread? Spread);

/// <summary>The spread of weighed balls.</summary>
/// <param name="Deviation">Sample standard deviation.</param>
/// <param name="Variation">Deviation as percent of the mean.</param>
/// <param name="Even">Whether the variation is within what a careful divider keeps to.</param>
public sealed record BallSpread(Grams Mean, Grams Deviation, Percent Variation, Grams Spread, bool Even);

/// <summary>Stage 3: the ball from the round and the round from the ball (models.md C).</summary>
public static class BallsStage
{
    // Empirical: a careful divider stays within this of the mean.
    private static readonly Percent Tolerance = new(3);

    /// <summary>The ball wanted, whichever figure the cook fixed.</summary>
    public static Grams WantedBall(BatchSpec spec) => spec.Balls.By == BallBy.Mass
        ? spec.Balls.Mass
        : Round.MassOf(spec.Roll.Diameter, spec.Balls.Thickness, Round.DensityOf(spec.Dough));

    public static BallsSheet Work(DoughSolution dough, BallsSpec spec, RollSpec roll, Density density) => new(
        dough.Count,
        dough.Ball,
        dough.Ball * (1 - Tolerance.Fraction),
        dough.Ball * (1 + Tolerance.Fraction),
        Round.SphereOf(dough.Ball, density),
        Round.ThicknessOf(dough.Ball, SquareCentimetres.OfRound(roll.Diameter), density),
        TrayOf(dough.Ball * dough.Count, dough.Count, spec, density));

    /// <summary>The balls weighed so far against the dough there is.</summary>
    /// <param name="dough">All of it, as it comes from the bowl.</param>
    public static TraySheet TrayOf(Grams dough, int count, BallsSpec spec, Density density)
    {
        var weighed = spec.Weighed ?? [];
        // A small one that leaves the others nothing is none.
        var small = spec.SmallOne is { } s && count > 1 && s < dough / count ? s : (Grams?)null;
        var each = small is { } taken ? (dough - taken) / (count - 1) : dough / count;
        var smallAt = small is { } wanted ? SmallAmong(weighed, wanted, each) : null;
        var left = Math.Max(count - weighed.Count, 0);
        var rest = dough - new Grams(weighed.Sum(g => g.Value));
        var smallToCome = small is not null && smallAt is null && left > 0;
        Grams? next = left == 0 ? null : smallToCome ? left > 1 ? (rest - small!.Value) / (left - 1) : small : rest / left;
        var full = weighed.Where((_, i) => i != smallAt).ToList();

        return new(
            [.. weighed.Select((g, i) =>
            {
                var target = i == smallAt ? small!.Value : each;
                return new TrayBall(g, g - target, Correction(g, target), i == smallAt, Round.SphereOf(g, density));
            })],
            each,
            left,
            next,
            left == 0 ? rest : null,
            full.Count >= 2 ? SpreadOf(full) : null);
    }

    // The first that is nearer to the small one than to the others.
    private static int? SmallAmong(IReadOnlyList<Grams> weighed, Grams small, Grams each)
    {
        for (var i = 0; i < weighed.Count; i++)
        {
            if (weighed[i] < (small + each) / 2)
            {
                return i;
            }
        }

        return null;
    }

    /// <summary>What each of the balls still to divide should weigh, so that the last is never the runt.</summary>
    /// <exception cref="ArgumentOutOfRangeException">No ball is left to divide.</exception>
    public static Grams Next(Grams dough, IReadOnlyCollection<Grams> divided, int count)
    {
        ArgumentOutOfRangeException.ThrowIfGreaterThanOrEqual(divided.Count, count);
        return (dough - new Grams(divided.Sum(g => g.Value))) / (count - divided.Count);
    }

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
