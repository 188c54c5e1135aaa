namespace Ystrata.Core;

/// <param name="Mass">One ball.</param>
/// <param name="Lightest">Lightest ball within tolerance.</param>
/// <param name="Heaviest">Heaviest ball within tolerance.</param>
/// <param name="Across">The ball as a sphere.</param>
/// <param name="RoundThickness">Dough thickness of the finished round, raw.</param>
public sealed record BallsSheet(int Count, Grams Mass, Grams Lightest, Grams Heaviest, Millimetres Across, Millimetres RoundThickness);

/// <summary>The spread of weighed balls.</summary>
/// <param name="Deviation">Sample standard deviation.</param>
/// <param name="Variation">Deviation as percent of the mean.</param>
public sealed record BallSpread(Grams Mean, Grams Deviation, Percent Variation, Grams Spread);

/// <summary>Stage 3: the ball from the round and the round from the ball (models.md C).</summary>
public static class BallsStage
{
    // Empirical: a careful divider stays within this of the mean.
    private static readonly Percent Tolerance = new(3);

    /// <summary>The ball wanted, whichever figure the cook fixed.</summary>
    public static Grams WantedBall(BatchSpec spec) => spec.Balls.By == BallBy.Mass
        ? spec.Balls.Mass
        : Round.MassOf(spec.Roll.Diameter, spec.Balls.Thickness, Round.DensityOf(spec.Dough));

    public static BallsSheet Work(DoughSolution dough, RollSpec roll, Density density) => new(
        dough.Count,
        dough.Ball,
        dough.Ball * (1 - Tolerance.Fraction),
        dough.Ball * (1 + Tolerance.Fraction),
        Round.SphereOf(dough.Ball, density),
        Round.ThicknessOf(dough.Ball, SquareCentimetres.OfRound(roll.Diameter), density));

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
        return new(new(mean), new(deviation), Percent.FromFraction(deviation / mean), balls.Max() - balls.Min());
    }
}
