namespace Ystrata.Core.Filling;

/// <summary>Why a wall may tear.</summary>
public enum TearCause
{
    ThinWall,
    FreeWater,
    Lumps,
    Warm,
    TightGather,
}

public enum TearRisk
{
    Low,
    Some,
    Likely,
}

/// <param name="Points">Of the risk, 0 to 100 in all.</param>
public sealed record TearTerm(TearCause Cause, double Points);

/// <summary>How likely the wall tears.</summary>
/// <param name="Points">0 to 100.</param>
/// <param name="LumpPerWall">Biggest bits over wall.</param>
public sealed record TearSheet(double Points, TearRisk Risk, double LumpPerWall, IReadOnlyList<TearTerm> Terms);

/// <summary>One piece, stuffed, at the last diameter.</summary>
/// <param name="Area">Seen from above.</param>
/// <param name="Wall">Dough over and under the filling; for a coil, one leaf.</param>
/// <param name="Layer">The filling between; for a coil, one layer of it.</param>
/// <param name="Layers">Layers of filling through the thickness.</param>
/// <param name="WallLeast">Thinner tears (models.md E).</param>
/// <param name="Gathered">Wall round the ball of filling as it is pinched; nothing where it is not gathered.</param>
/// <param name="Disc">The disc that wraps it, across; nothing where it is not gathered.</param>
/// <param name="Filling">In one piece.</param>
/// <param name="MostShare">The most filling this wall bears, percent of dough.</param>
/// <param name="WidestRound">The widest round this wall bears.</param>
public sealed record ParcelSheet(
    ParcelShape Shape,
    Millimetres Across,
    Millimetres Wide,
    SquareCentimetres Area,
    Millimetres Wall,
    Millimetres Layer,
    int Layers,
    Millimetres Thickness,
    Millimetres WallLeast,
    Millimetres? Gathered,
    Millimetres? Disc,
    Grams Dough,
    Grams Filling,
    Percent MostShare,
    Millimetres WidestRound,
    TearSheet Tear);

/// <summary>The geometry of a stuffed piece (models.md E).</summary>
public static class Parcel
{
    // Walls that tear, mm (models.md E); a mix lies between.
    private const double WhiteWall = 0.7, WholeWall = 1.0;

    // A pinched wall thinner than this opens in the rolling, mm (empirical).
    private const double LeastGathered = 4;

    // Lumps so many times the wall tear it (models.md E). A filling warmer than this softens the wall, °C (empirical).
    internal const double LumpTears = 1.5, Warm = 30;

    // Tear risk from which some and most tear (empirical).
    private const double Some = 20, Likely = 50;

    // A disc laps over the ball of filling by so much, for the pinch (empirical).
    private const double Lap = 1.15;

    /// <summary>Filling to dough as the main schools have it, from a spoonful through even to plenty.</summary>
    public static IReadOnlyList<Percent> Schools { get; } = [new(40), new(80), new(130)];

    /// <summary>Area from above of a piece of this shape rolled to this diameter: a half-moon is half of its sheet.</summary>
    public static SquareCentimetres AreaOf(ParcelShape shape, Millimetres diameter) =>
        SquareCentimetres.OfRound(diameter) is var round && shape == ParcelShape.HalfMoon ? new(round.Value / 2) : round;

    public static bool IsGathered(ParcelShape shape) => shape is ParcelShape.Gathered or ParcelShape.Laminated;

    /// <summary>Whether sheet and fold program come before the filling.</summary>
    public static bool IsFolded(ParcelShape shape) => shape is ParcelShape.Laminated or ParcelShape.Coil;

    /// <summary>The round that all the dough of a piece would make, as thick as its wall: what is rolled for the wall's leaves.</summary>
    public static Millimetres DoughRound(ParcelShape shape, Millimetres diameter) =>
        shape is ParcelShape.HalfMoon or ParcelShape.Coil ? diameter : diameter * Math.Sqrt(2);

    /// <summary>Dough for a piece of this thickness in all.</summary>
    public static Grams DoughFor(WallSpec spec, Millimetres diameter, Millimetres thickness, Density dough, Density filling)
    {
        var volume = AreaOf(spec.Shape, diameter).SquareMetres * thickness.Metres;
        return Grams.FromKilograms(volume / (1 / dough.KilogramsPerCubicMetre + spec.Share.Fraction / filling.KilogramsPerCubicMetre));
    }

    /// <summary>The other way round: how thick this ball makes it, its filling included.</summary>
    public static Millimetres ThicknessOf(WallSpec spec, Millimetres diameter, Grams ball, Density dough, Density filling)
    {
        var area = AreaOf(spec.Shape, diameter);
        return Round.ThicknessOf(ball, area, dough) + Round.ThicknessOf(ball * spec.Share.Fraction, area, filling);
    }

    /// <param name="leaves">Leaves of the folded dough, through the thickness.</param>
    public static ParcelSheet Of(WallSpec spec, Millimetres diameter, Grams ball, Density dough, FillingState filling, FlourMix mix, int leaves)
    {
        var each = ball * spec.Share.Fraction;
        var area = AreaOf(spec.Shape, diameter);
        var doughHigh = Round.ThicknessOf(ball, area, dough);
        var thickness = ThicknessOf(spec, diameter, ball, dough, filling.Density);
        var fillingHigh = new Millimetres(thickness.Value - doughHigh.Value);
        var layers = spec.Shape == ParcelShape.Coil ? Math.Max(leaves - 1, 1) : 1;
        var wall = doughHigh / (layers + 1);
        var least = new Millimetres(WhiteWall * mix.White + WholeWall * (1 - mix.White));
        var gathered = IsGathered(spec.Shape) ? RoundTheBall(each, filling.Density, ball, dough) : (Millimetres?)null;
        var lump = filling.Grain / wall;
        TearTerm[] terms =
        [
            .. new TearTerm[]
            {
                new(TearCause.ThinWall, 50 * Math.Clamp(least / wall - 0.8, 0, 1)),
                new(TearCause.Lumps, 30 * Math.Clamp(lump / LumpTears - 0.6, 0, 1)),
                new(TearCause.FreeWater, 6 * Math.Clamp(filling.FreeShare.Value - 1, 0, 6)),
                new(TearCause.Warm, Math.Clamp(filling.Temperature.Value - Warm, 0, 30)),
                new(TearCause.TightGather, gathered is { } g ? 40 * Math.Clamp(LeastGathered / g.Value - 0.8, 0, 1) : 0),
            }.Where(t => t.Points >= 0.5).OrderByDescending(t => t.Points),
        ];
        var tear = Math.Min(terms.Sum(t => t.Points), 100);
        var half = spec.Shape == ParcelShape.HalfMoon;
        var side = spec.Shape == ParcelShape.Envelope ? new Millimetres(Math.Sqrt(area.Value * 100)) : diameter;
        return new(
            spec.Shape,
            side,
            half ? diameter / 2 : side,
            area,
            wall,
            fillingHigh / layers,
            layers,
            thickness,
            least,
            gathered,
            gathered is null ? null : Round.SphereOf(each, filling.Density) * (Math.PI / 2 * Lap),
            ball,
            each,
            MostShare(spec, ball, dough, filling.Density),
            diameter * Math.Sqrt(wall / least),
            new(tear, tear switch { >= Likely => TearRisk.Likely, >= Some => TearRisk.Some, _ => TearRisk.Low }, lump, terms));
    }

    /// <summary>Dough round a ball of filling: the difference of two spheres' radii.</summary>
    public static Millimetres RoundTheBall(Grams filling, Density fillingDensity, Grams ball, Density dough)
    {
        var inner = Round.SphereOf(filling, fillingDensity).Value / 2;
        var volume = inner * inner * inner + 0.75 / Math.PI * 1000 * ball.Value / dough.Value;
        return new(Math.Cbrt(volume) - inner);
    }

    // What still gathers with a wall that holds. Where nothing is gathered, a filling as high as its two walls and as much again spreads under the pin (empirical).
    private static Percent MostShare(WallSpec spec, Grams ball, Density dough, Density filling)
    {
        if (!IsGathered(spec.Shape))
        {
            return Percent.FromFraction(2 * filling.Value / dough.Value);
        }

        var (low, high) = (0.01, 10.0);
        for (var i = 0; i < 30; i++)
        {
            var middle = (low + high) / 2;
            (low, high) = RoundTheBall(ball * middle, filling, ball, dough).Value >= LeastGathered ? (middle, high) : (low, middle);
        }

        return Percent.FromFraction(low);
    }
}
