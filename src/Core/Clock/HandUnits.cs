namespace Ystrata.Core.Clock;

/// <summary>One press at the bench: the kinds of hand work in it, and what takes the same time whatever the hands.</summary>
/// <param name="Works">Each with how often it is done; none twice.</param>
internal sealed record HandUnit(IReadOnlyList<(HandWork Work, double Times)> Works, Seconds Fixed)
{
    /// <summary>What this press teaches: whoever is faster in all of it together is taken to be so in each of its parts (empirical).</summary>
    /// <param name="took">From the press before to this one.</param>
    /// <param name="most">So many times the usual is no work any more but a pause.</param>
    public IEnumerable<(HandWork Work, double Each)> Teaches(Seconds took, HandTimes hands, double most)
    {
        var usual = Works.Sum(w => hands[w.Work].Value * w.Times);
        var ratio = usual > 0 ? (took.Value - Fixed.Value) / usual : 0;
        return ratio > 0 && ratio <= most ? Works.Select(w => (w.Work, hands[w.Work].Value * ratio)) : [];
    }
}

/// <summary>What hand work stands behind what is pressed as done, as <see cref="ClockJobs"/> times it.</summary>
internal static class HandUnits
{
    /// <param name="done">An event that says something at the bench is finished.</param>
    /// <returns>Nothing for what is no hand work, or cannot be told apart.</returns>
    public static HandUnit? Of(StoveEvent done, BatchSpec spec, BatchSheet sheet, HandTimes hands) => (done.Work, done.Number) switch
    {
        (ClockWork.Roll, _) => Once(HandWork.LastRoll),
        (ClockWork.Mix, _) => new([(HandWork.MixBowl, 1)], new(sheet.Dough.Mixing.Knead.Value * 60)),
        (ClockWork.Divide, { } tray) when spec.Dough.Feel != Feel.Batter => Divided(tray, sheet),
        (ClockWork.Filling, { } number) => Filled(number, spec, sheet),
        (ClockWork.Fold, _) => Folded((int?)done.Value, spec, sheet, hands),
        _ => null,
    };

    private static HandUnit Once(HandWork work) => new([(work, 1)], default);

    // The traysful of one bowl after the other, as the clock counts them.
    private static HandUnit? Divided(int tray, BatchSheet sheet)
    {
        var lots = Math.Min(sheet.Dough.Lots.Count, sheet.Balls.Count);
        var balls = Enumerable.Range(0, lots).Select(lot => (sheet.Balls.Count * (lot + 1) / lots) - (sheet.Balls.Count * lot / lots))
            .SelectMany(n => Enumerable.Repeat(ClockJobs.Trayful, n / ClockJobs.Trayful).Concat(n % ClockJobs.Trayful is > 0 and var rest ? [rest] : []))
            .ElementAtOrDefault(tray - 1);
        return balls > 0 ? new([(HandWork.Divide, balls)], default) : null;
    }

    private static HandUnit? Filled(int number, BatchSpec spec, BatchSheet sheet)
    {
        if (spec.Filling is not { } wanted || sheet.Filling is not { } filling)
        {
            return null;
        }

        static IEnumerable<(FillingStep Step, Grams Mass)> Steps(IReadOnlyList<FillingStep> steps, IReadOnlyList<FillingRow> rows, FillingState start) =>
            steps.Select((s, i) => (s, i == 0 ? start.Mass : rows[i - 1].State.Mass));
        var (step, mass) = wanted.Parts.Zip(filling.Parts).SelectMany(p => Steps(p.First.Steps, p.Second.Rows, p.Second.Start))
            .Concat(Steps(wanted.Together, filling.Rows, filling.Together)).ElementAtOrDefault(number - 1);
        return step switch
        {
            ChopStep => new([(HandWork.Chop, mass.Value / 100)], default),
            SqueezeStep => new([(HandWork.Squeeze, mass.Value / 100)], default),
            _ => null,
        };
    }

    // A program is pressed part by part, between its rests; one that was told no part is known only when it has no other.
    private static HandUnit? Folded(int? chore, BatchSpec spec, BatchSheet sheet, HandTimes hands)
    {
        var stuff = sheet.Filling is null ? 0 : 1;
        if (!sheet.Stages.Contains(Stage.Fold))
        {
            return new([(HandWork.Roll, 1), (HandWork.Stuff, stuff)], default);
        }

        var parts = new List<List<(HandWork Work, double Times)>>
        {
            new() { (HandWork.Sheet, 1), (HandWork.Brush, spec.Sheet.FatMass.Value > 0 ? 1 : 0), (HandWork.Dust, spec.Sheet.DustMass.Value > 0 ? 1 : 0) },
        };
        for (var i = 0; i < spec.Fold.Steps.Count; i++)
        {
            if (spec.Fold.Steps[i] is RestStep)
            {
                parts.Add([]);
            }
            else if (HandTimes.Behind(spec.Fold.Steps[i]) is { } work)
            {
                // As often as the plan has it, on all the pieces there are by then.
                parts[^1].Add((work.Work, sheet.Fold.Steps[i].Time.Value / hands[work.Work].Value));
            }
        }

        while (parts.Count > 1 && parts[^1].Count == 0)
        {
            parts.RemoveAt(parts.Count - 1);
        }

        parts[^1].Add((HandWork.Stuff, stuff));
        return (chore ?? (parts.Count == 1 ? 0 : -1)) is >= 0 and var at && at < parts.Count
            ? new([.. parts[at].GroupBy(w => w.Work).Select(g => (g.Key, g.Sum(w => w.Times))).Where(w => w.Item2 > 0)], default)
            : null;
    }
}
