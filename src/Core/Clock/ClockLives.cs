namespace Ystrata.Core.Clock;

/// <summary>From what happened to each piece to what is drawn and said of it.</summary>
internal static class ClockLives
{
    private static Seconds? Moment(int? at) => at is { } moment ? new(moment) : null;

    /// <summary>Since when the dough of a ball stands.</summary>
    public static int? Mixed(ClockJob job, BreadFloor bread, int ball)
    {
        var after = job.Preps[job.BallFrom[ball]].After;
        return after.Count > 0 ? bread.Prep[after[0].Prep] : bread.Prep[job.BallFrom[ball]];
    }

    public static IEnumerable<PieceLife> Of(ClockJob job, BreadFloor bread, int b) => Enumerable.Range(0, job.Pieces).Select(i => new PieceLife(
        b,
        i + 1,
        Moment(bread.Prep[job.BallFrom[i / job.Each]]),
        Moment(bread.Opened[i / job.Each]),
        job.Fold.Count > 0 && bread.Chores[i / job.Each] >= job.Fold.Count ? Moment(bread.Folded[i / job.Each]) : null,
        Moment(bread.Rolled[i]),
        Moment(bread.Laid[i]),
        Moment(bread.Lifted[i])));

    public static IEnumerable<RestSlot> Rests(ClockJob job, Timetable table, int b, Ahead ahead)
    {
        var bread = table.Breads[b];
        if (Slot(ClockRest.Dough, job.Rests.First, Enumerable.Range(0, job.Balls).Select(i => (Mixed(job, bread, i), DivideBegins(job, table, b, i)))) is { } dough)
        {
            yield return dough;
        }

        var opens = Enumerable.Range(0, job.Balls).Select(i => (bread.Prep[job.BallFrom[i]], job.Fold.Count > 0 ? bread.Opened[i] : RollBegins(job, bread, i * job.Each)));
        if (job.BallRest > 0 && Slot(ClockRest.Balls, job.Rests.Balls, opens) is { } balls)
        {
            yield return balls;
        }

        if (job.Roll > 0 && job.Fold.Count > 0)
        {
            var folded = Enumerable.Range(0, job.Pieces).Select(i => (bread.Folded[i / job.Each], RollBegins(job, bread, i)));
            if (Slot(ahead == Ahead.Fridge ? ClockRest.Fridge : ClockRest.Folded, job.Rests.Fold, folded) is { } fold)
            {
                yield return fold;
            }
        }

        if (job.Freeze > 0 && Slot(ClockRest.Freezer, new(new(job.Freeze / 60.0), new(job.Freeze / 60.0), new(job.Freeze / 60.0), new(job.Limits.Rolled / 60.0)),
            Enumerable.Range(0, job.Pieces).Select(i => (bread.Rolled[i], bread.Laid[i]))) is { } frozen)
        {
            yield return frozen;
        }

        RestSlot? Slot(ClockRest rest, RestBounds bounds, IEnumerable<(int? From, int? To)> each)
        {
            List<(int From, int To)> all = [.. each.Where(e => e.To >= e.From).Select(e => (e.From!.Value, e.To!.Value))];
            return all.Count == 0 ? null : new(
                b, rest, new(all.Min(e => e.From)), new(all.Max(e => e.To)), bounds, new(all.Min(e => e.To - e.From)), new(all.Max(e => e.To - e.From)));
        }
    }

    private static int? RollBegins(ClockJob job, BreadFloor bread, int piece) => bread.Rolled[piece] - job.Roll;

    private static int? DivideBegins(ClockJob job, Timetable table, int b, int ball)
    {
        var prep = job.BallFrom[ball];
        var slot = table.Hands.FirstOrDefault(h => h.Work == ClockWork.Divide && h.Bread == b && h.Number == job.Preps[prep].Number);
        return slot is { Parts: [var first, ..] } ? (int)first.From.Value : table.Breads[b].Prep[prep];
    }

    /// <summary>When each stage that the bread goes through begins.</summary>
    public static IEnumerable<StageTime> Stages(ClockJob job, BatchSheet sheet, Timetable table, int b)
    {
        var bread = table.Breads[b];
        Seconds? First(Func<HandSlot, bool> which) => table.Hands.Where(h => h.Bread == b && h.Parts.Count > 0 && which(h)).Select(h => (Seconds?)h.Parts[0].From).MinBy(s => s!.Value.Value);
        foreach (var stage in sheet.Stages)
        {
            var at = stage switch
            {
                Stage.Dough => First(h => h.Work == ClockWork.Mix),
                Stage.Rest => Moment(job.Preps.Zip(bread.Prep).Where(p => p.First.Work == ClockWork.Mix).Min(p => p.Second)),
                Stage.Balls => job.Roll == 0 ? First(h => h.Work == ClockWork.Lay) : First(h => h.Work == ClockWork.Divide),
                Stage.Filling => First(h => h.Work == ClockWork.Filling),
                Stage.Roll => First(h => h.Work == ClockWork.Roll),
                Stage.Pan => First(h => h.Work == ClockWork.Lay),
                Stage.Sheet or Stage.Fold => First(h => h.Work == ClockWork.Fold),
                _ => null,
            };
            if (at is { } moment)
            {
                yield return new(b, stage, moment);
            }
        }
    }
}
