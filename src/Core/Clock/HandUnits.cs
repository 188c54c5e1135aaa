namespace Ystrata.Core.Clock;

/// <summary>One press at the bench: the kinds of hand work in it, and what takes the same time whatever the hands.</summary>
/// <param name="Works">Each with how often it is done.</param>
internal sealed record HandUnit(IReadOnlyList<(HandWork Work, double Times)> Works, Seconds Fixed = default)
{
    public static HandUnit Of(HandWork work, double times = 1) => new([(work, times)]);

    /// <summary>What takes so long whoever does it, and teaches nothing of the hands.</summary>
    public static HandUnit Lasting(Seconds time) => new([], time);

    /// <summary>With these hands.</summary>
    public Seconds Time(HandTimes hands) => Works.Aggregate(Fixed, (sum, w) => sum + hands[w.Work] * w.Times);

    /// <summary>Both in one press; a kind that is in both stands there once.</summary>
    public static HandUnit operator +(HandUnit a, HandUnit b) => new(
        [.. a.Works.Concat(b.Works).Where(w => w.Times > 0).GroupBy(w => w.Work).Select(g => (g.Key, g.Sum(w => w.Times)))], a.Fixed + b.Fixed);

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

/// <summary>What hand work stands behind what is pressed as done: what the jobs were timed by.</summary>
internal static class HandUnits
{
    /// <param name="done">An event that says something at the bench is finished.</param>
    /// <returns>Nothing for what is no hand work, or cannot be told apart.</returns>
    public static HandUnit? Of(StoveEvent done, ClockJob job) => done.Work switch
    {
        ClockWork.Roll => HandUnit.Of(HandWork.LastRoll),
        // A program is pressed part by part, between its rests; one that was told no part is known only when it has no other.
        ClockWork.Fold => ((int?)done.Value ?? (job.Fold.Count == 1 ? 0 : null)) is >= 0 and var part && part < job.Fold.Count ? job.Fold[part].Unit : null,
        { } work => job.Preps.FirstOrDefault(p => p.Work == work && p.Number == done.Number)?.Unit,
        _ => null,
    };
}
