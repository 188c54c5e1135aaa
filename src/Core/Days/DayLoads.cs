namespace Ystrata.Core.Days;

/// <summary>What each batch of a day wants of the hands and pans there are, in steps of five minutes.</summary>
/// <remarks>
/// Timetables say to the second who does what, but only for hands of their own. Laid over each other they clash where, over five minutes, more
/// work is wanted than the hands there are can do; a pan is its batch's from its first piece to its last, since it has its heat and its fat.
/// </remarks>
internal sealed class DayLoads
{
    private const int Step = 300; // s

    /// <summary>So far a batch may be moved, s.</summary>
    internal const int Furthest = 6 * 3600;

    // A little over is made up for (empirical).
    private const double Bears = 1.05;

    private const int Reach = Furthest / Step;

    private readonly int first;
    private readonly double[][] hands, pans;
    private readonly int people, pansThere;

    public DayLoads(IReadOnlyList<DayBatch> batches, int people, int pansThere)
    {
        (this.people, this.pansThere) = (people, pansThere);
        var from = batches.Min(b => b.Zero.Value);
        var to = batches.Max(b => b.Zero.Value + b.Sheet.Lead.Value);
        // Room on both sides for a batch that is moved.
        first = (int)Math.Floor(from / Step) - Reach;
        var steps = (int)Math.Ceiling(to / Step) + Reach + 1 - first;
        hands = [.. batches.Select(b => HandsOf(b, steps))];
        pans = [.. batches.Select(b => PansOf(b, steps))];
    }

    public IReadOnlyList<DayLoad> Hands => Loads(hands, people);

    public IReadOnlyList<DayLoad> Pans => Loads(pans, pansThere);

    public IReadOnlyList<DayClash> Clashes => [.. Clash(DayNeed.Hands, hands, people).Concat(Clash(DayNeed.Pans, pans, pansThere)).OrderBy(c => c.From.Value)];

    /// <summary>How far a batch would have to move to be in nobody's way.</summary>
    /// <param name="now">Nothing begins before it, where it was not to begin before it already.</param>
    public DayMove? Move(int batch, Seconds zero, Seconds now)
    {
        bool Free(int by) => Fits(hands, batch, by, people) && Fits(pans, batch, by, pansThere);
        if (Free(0))
        {
            return null;
        }

        Seconds? Found(int direction)
        {
            var by = Enumerable.Range(1, Reach).Select(k => k * direction).FirstOrDefault(Free);
            var early = zero.Value >= now.Value && zero.Value + by * Step < now.Value;
            return by == 0 || early ? null : new(Math.Abs(by) * Step);
        }

        return new(batch, Found(-1), Found(1));
    }

    private double[] HandsOf(DayBatch batch, int steps)
    {
        var load = new double[steps];
        foreach (var part in batch.Sheet.Hands.SelectMany(h => h.Parts))
        {
            Lay(load, batch.Zero.Value + part.From.Value, batch.Zero.Value + part.To.Value, (step, seconds) => load[step] += seconds / Step);
        }

        return load;
    }

    private double[] PansOf(DayBatch batch, int steps)
    {
        var load = new double[steps];
        foreach (var pan in batch.Sheet.Pans.GroupBy(p => p.Pan))
        {
            Lay(load, batch.Zero.Value + pan.Min(p => p.Laid.Value), batch.Zero.Value + pan.Max(p => p.Lifted.Value), (step, _) => load[step]++);
        }

        return load;
    }

    private void Lay(double[] load, double from, double to, Action<int, double> lay)
    {
        for (var step = Math.Max((int)Math.Floor(from / Step) - first, 0); step < load.Length && (step + first) * Step < to; step++)
        {
            double begins = (step + first) * (double)Step, ends = begins + Step;
            lay(step, Math.Min(to, ends) - Math.Max(from, begins));
        }
    }

    private static bool Fits(double[][] loads, int batch, int by, int there)
    {
        var own = loads[batch];
        for (var step = 0; step < own.Length; step++)
        {
            var at = step + by;
            if (own[step] <= 0 || at < 0 || at >= own.Length)
            {
                continue;
            }

            var others = 0.0;
            for (var b = 0; b < loads.Length; b++)
            {
                others += b == batch ? 0 : loads[b][at];
            }

            // A batch that is too much by itself is in nobody's way by moving.
            if (others > 0 && own[step] + others > there * Bears)
            {
                return false;
            }
        }

        return true;
    }

    private List<DayLoad> Loads(double[][] loads, int there)
    {
        List<DayLoad> all = [];
        for (var step = 0; step < loads[0].Length; step++)
        {
            var wanted = loads.Sum(l => l[step]);
            if (wanted > 0)
            {
                all.Add(new(At(step), At(step + 1), new(Math.Round(100 * wanted / there))));
            }
        }

        return all;
    }

    private IEnumerable<DayClash> Clash(DayNeed of, double[][] loads, int there)
    {
        // A breath in between is no end of it.
        const int breath = 1;
        int? from = null;
        var last = 0;
        for (var step = 0; step <= loads[0].Length; step++)
        {
            if (step < loads[0].Length && loads.Sum(l => l[step]) > there * Bears)
            {
                from ??= step;
                last = step;
            }
            else if (from is { } began && (step - last > breath || step == loads[0].Length))
            {
                var most = Enumerable.Range(began, last - began + 1).Max(s => loads.Sum(l => l[s]));
                yield return new(
                    of, At(began), At(last + 1), (int)Math.Ceiling(most - (Bears - 1)), there,
                    [.. Enumerable.Range(0, loads.Length).Where(b => Enumerable.Range(began, last - began + 1).Any(s => loads[b][s] > 0))]);
                from = null;
            }
        }
    }

    private Seconds At(int step) => new((step + first) * Step);
}
