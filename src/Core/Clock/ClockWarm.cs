namespace Ystrata.Core.Clock;

/// <summary>What spoils in a bread, as the clock counts it (models.md F: warm time); whole seconds.</summary>
/// <param name="Dough">Something in the dough spoils.</param>
/// <param name="Filling">Something in the filling spoils.</param>
/// <param name="DoughCold">Of the dough's first rest, what it lies in the fridge.</param>
/// <param name="FoldCold">Of the folded piece's rest, what it lies in the fridge.</param>
/// <param name="Hot">From the pan, so long over 60 °C.</param>
internal sealed record JobWarm(bool Dough, bool Filling, int DoughCold, int FoldCold, int Hot);

/// <summary>How long what spoils has stood between 5 and 60 °C, from when it was first warm to a moment: by the hands' own time, every rest and every wait.</summary>
internal static class ClockWarm
{
    /// <summary>The longest of any piece that is still to be eaten; nothing for a part that does not spoil, or is not there yet.</summary>
    /// <param name="at">Of what is not at the table by then.</param>
    public static (int? Dough, int? Filling) Longest(ClockJob job, BreadFloor bread, int at)
    {
        var (dough, filling) = ((int?)null, (int?)null);
        if (job.Warm is not { } warm || !(warm.Dough || warm.Filling))
        {
            return (null, null);
        }

        for (var i = 0; i < job.Pieces; i++)
        {
            if (bread.At[i] is PieceAt.Served or PieceAt.Lost)
            {
                continue;
            }

            var (ball, cold) = (i / job.Each, Cold(job, bread, i, at));
            if (warm.Dough && ClockLives.Mixed(job, bread, ball) is { } mixed && mixed <= at)
            {
                var rest = Math.Min(warm.DoughCold, (bread.Prep[job.BallFrom[ball]] ?? at) - mixed);
                dough = Max(dough, at - mixed - Math.Max(rest, 0) - cold);
            }

            // Where one ball becomes several they are wrapped together.
            if (warm.Filling && Filled(job, bread, Math.Min(bread.Opened[ball] ?? at, at)) is { } filled)
            {
                filling = Max(filling, filled + Math.Max(at - (bread.Opened[ball] ?? at), 0) - cold);
            }
        }

        return (dough, filling);
    }

    /// <summary>Seconds over the usual limit, both parts together.</summary>
    public static int Over(ClockJob job, BreadFloor bread, int at)
    {
        var (dough, filling) = Longest(job, bread, at);
        return Math.Max((dough ?? 0) - Limit, 0) + Math.Max((filling ?? 0) - Limit, 0);
    }

    public static int Limit => (int)(WarmTime.Limit.Value * 60);

    // Once it is folded: in the fridge, the freezer, on the pan and hot from it.
    private static int Cold(ClockJob job, BreadFloor bread, int piece, int at)
    {
        int Since(int? from, int? to, int most) => from is { } f && f < at ? Math.Clamp(Math.Min(to ?? at, at) - f, 0, most) : 0;
        return Since(bread.Folded[piece / job.Each], bread.Rolled[piece], job.Warm!.FoldCold)
            + (job.Freeze > 0 ? Since(bread.Rolled[piece], bread.Laid[piece], int.MaxValue) : 0)
            + Since(bread.Laid[piece], bread.Lifted[piece], int.MaxValue)
            + Since(bread.Lifted[piece], null, job.Warm.Hot);
    }

    // What the filling has had when it is taken at that moment; nothing while none of it is made.
    private static int? Filled(ClockJob job, BreadFloor bread, int taken)
    {
        int? longest = job.FoldAfter.Count == 0 ? 0 : null;
        foreach (var (prep, lag) in job.FoldAfter)
        {
            longest = Max(longest, Had(job, bread, prep, lag, taken));
        }

        return longest;
    }

    private static int? Had(ClockJob job, BreadFloor bread, int number, int lag, int taken)
    {
        var prep = job.Preps[number];
        // What is not done yet is as its parts stand.
        var begun = bread.Prep[number] is { } done && done <= taken ? done - prep.Seconds : taken;
        int? before = null;
        foreach (var (part, its) in prep.After)
        {
            before = Max(before, Had(job, bread, part, its, Math.Min(begun, taken)));
        }

        return bread.Prep[number] is not { } end || end > taken ? before
            : (before ?? 0) + Math.Min(prep.Warm, Math.Max(taken - end, 0) + prep.Seconds) + (prep.Stands ? Math.Max(taken - end - lag, 0) : 0);
    }

    private static int? Max(int? a, int? b) => a is null || b > a ? b ?? a : a;
}
