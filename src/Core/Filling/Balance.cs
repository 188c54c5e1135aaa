namespace Ystrata.Core.Filling;

/// <summary>How much filling for how many pieces, forwards and backwards.</summary>
public static class Balance
{
    private const double Most = 1000;

    /// <summary>Every part, binder and seasoning so many times; weights that were taken are let go.</summary>
    public static FillingSpec Times(FillingSpec spec, double k)
    {
        IReadOnlyList<FillingStep> Steps(IReadOnlyList<FillingStep> steps) => [.. steps.Select(s => s.Times(k))];
        return spec with { Parts = [.. spec.Parts.Select(p => p with { Mass = p.Mass * k, Steps = Steps(p.Steps) })], Together = Steps(spec.Together) };
    }

    /// <summary>How many times the filling as it stands makes so much; nothing where no quantity does.</summary>
    /// <remarks>Made grows with k but not in proportion: a pan drives off so much a minute, whatever lies in it. So a false position from 0 and above.</remarks>
    public static double? TimesFor(FillingSpec spec, Grams wanted, Kitchen kitchen)
    {
        double Over(double k) => (FillingStage.Make(Times(spec, k), kitchen).End.Mass - wanted).Value;
        var (low, high) = (0.0, 1.0);
        var (under, over) = (-wanted.Value, Over(1));
        while (over < 0)
        {
            (low, under, high) = (high, over, high * 2);
            if (high > Most)
            {
                return null;
            }

            over = Over(high);
        }

        for (var i = 0; i < 40 && high - low > 1e-9 * high; i++)
        {
            // Every third step halves, so that a kink cannot hold one end fast.
            var k = i % 3 == 2 ? (low + high) / 2 : low - under * (high - low) / (over - under);
            var at = Over(k);
            if (Math.Abs(at) < 1e-6)
            {
                return k;
            }

            (low, under, high, over) = at < 0 ? (k, at, high, over) : (low, under, k, at);
        }

        return (low + high) / 2;
    }

    public static FillingBalance Of(FillingSpec spec, Grams made, Grams each, int count, int pieces, Grams ball, Kitchen kitchen)
    {
        var times = TimesFor(spec, each * count, kitchen);
        return new(
            made,
            each,
            each * count,
            made - each * count,
            pieces,
            ball * (pieces / (1 - kitchen.Learned.BowlLoss.Fraction)),
            times,
            [.. spec.Parts.Select(p => new LaidMass(p.Id, p.Mass * ((times ?? 1) / (1 - p.Trim.Fraction))))]);
    }
}
