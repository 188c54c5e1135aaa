namespace Ystrata.Core.Clock;

/// <summary>One bread of a service, planned.</summary>
internal sealed record ClockBread(CheckedBatch Batch, BatchSheet Sheet)
{
    public BatchSpec Spec => Batch.Spec;

    public static ClockBread Of(CheckedBatch batch) => new(batch, Planner.Plan(batch));

    /// <summary>The same bread with another pan; the same as it is where that cannot be.</summary>
    public ClockBread On(PanSpec pan) => As(Spec with { Pan = pan });

    /// <summary>Decided otherwise; the same as it is where that cannot be.</summary>
    public ClockBread As(BatchSpec spec) => Planner.Check(spec, Batch.Kitchen).Value is { } changed ? Of(changed) : this;
}

/// <summary>Stage 9: from sheets to a timetable (models.md G).</summary>
public static class ClockStage
{
    // Shares of the balls that are folded before the first is rolled, tried out each with every number of rolled pieces that may wait.
    private static readonly double[] FoldFirsts = [0, 0.2, 0.4, 0.6, 0.8, 1];
    private static readonly int[] RollAheads = [1, 2, 3, 5, 8, 24];

    /// <param name="batches">In the order they go on the pans; at least one.</param>
    /// <param name="now">Now, on the clock of <paramref name="at"/>; nothing when nobody minds.</param>
    /// <param name="at">The table by <see cref="ClockBy.Table"/>, the beginning by <see cref="ClockBy.Start"/>.</param>
    public static ClockSheet Work(IReadOnlyList<CheckedBatch> batches, ClockSpec clock, Seconds? now = null, Seconds at = default)
    {
        (var breads, clock) = Frozen([.. batches.Select(ClockBread.Of)], clock);
        var jobs = Jobs(breads, clock);
        var best = Best(jobs, clock);
        return Sheet(jobs, breads, clock, best, Lateness(clock, best, now, at), clock.By == ClockBy.Table && now is { } n ? new(Math.Max(n.Value - at.Value, 0)) : default);
    }

    // How much too late it is to begin as early as this would have to.
    private static Seconds Lateness(ClockSpec clock, Timetable table, Seconds? now, Seconds at) => now is not { } n || clock.By == ClockBy.Soonest
        ? default
        : new(Math.Max(n.Value - at.Value + (clock.By == ClockBy.Table ? table.Objectives.Ends : 0), 0));

    /// <summary>The same service planned anew with one thing changed, for each thing that can be: what it would buy.</summary>
    public static IReadOnlyList<WhatIfSheet> WhatIfs(IReadOnlyList<CheckedBatch> batches, ClockSpec clock, Seconds? now = null, Seconds at = default)
    {
        (var breads, clock) = Frozen([.. batches.Select(ClockBread.Of)], clock);
        var jobs = Jobs(breads, clock);
        var best = Best(jobs, clock);
        return [.. WhatIfs(breads, clock, jobs, best, Lateness(clock, best, now, at))];
    }

    /// <summary>What goes on the pan frozen has been in the freezer, and what comes from there goes on frozen.</summary>
    internal static (IReadOnlyList<ClockBread> Breads, ClockSpec Clock) Frozen(IReadOnlyList<ClockBread> breads, ClockSpec clock) =>
        clock.Ahead == Ahead.Freezer ? ([.. breads.Select(Frozen)], clock)
        : breads.All(b => b.Spec.Pan.Frozen) ? (breads, clock with { Ahead = Ahead.Freezer })
        : (breads, clock);

    private static ClockBread Frozen(ClockBread bread) => bread.Spec.Pan.Frozen || bread.Batch.Route.Poured ? bread : bread.On(bread.Spec.Pan with { Frozen = true });

    internal static IReadOnlyList<ClockJob> Jobs(IReadOnlyList<ClockBread> breads, ClockSpec clock, bool shorter = false) => [.. breads.Select(b => ClockJobs.Of(b, clock, shorter))];

    /// <summary>The policy that does best by the objectives of models.md G, in their order.</summary>
    internal static Timetable Best(IReadOnlyList<ClockJob> jobs, ClockSpec clock, Floor? from = null)
    {
        var tails = ClockRun.Tails(jobs);
        var floor = from ?? Floor.Empty(jobs, clock);
        var best = Policies(clock).Select(p => ClockRun.Play(jobs, clock, floor, p, tails)).MinBy(t => Rank(t, clock.By))!;
        return FilledLate(jobs, clock, floor, best, tails);
    }

    // Of the time a filling would wait, how much later it is begun: as much as costs nothing.
    private static readonly double[] Later = [1, 0.75, 0.5, 0.25];

    /// <summary>The same way of working with every filling that spoils, or weeps, begun as late as costs neither table nor limit anything.</summary>
    internal static Timetable FilledLate(IReadOnlyList<ClockJob> jobs, ClockSpec clock, Floor floor, Timetable table, int[][] tails)
    {
        const int worthIt = 60;
        for (var b = 0; b < jobs.Count; b++)
        {
            if ((jobs[b].Warm is not { Filling: true } && jobs[b].Limits.Filled is null) || IsBegun(jobs[b], floor, b) || Waits(jobs[b], table, b) is not var (begins, waits) || waits < worthIt)
            {
                continue;
            }

            foreach (var share in Later)
            {
                var later = floor with { FillFrom = [.. jobs.Select((_, i) => i == b ? begins + (int)(waits * share) : floor.FillFrom.ElementAtOrDefault(i))] };
                if (ClockRun.Play(jobs, clock, later, table.Policy, tails) is var t && NoWorse(t, table))
                {
                    (floor, table) = (later, t);
                    break;
                }
            }
        }

        return table;
    }

    private static bool IsBegun(ClockJob job, Floor floor, int bread) => floor.Begun.Any(w => w.Bread == bread && w.Work == ClockWork.Filling)
        || job.Preps.Zip(floor.Breads[bread].Prep).Any(p => p.First.Work == ClockWork.Filling && p.Second is not null);

    // When a filling is begun, and how long it waits from when it is ready until the first is wrapped.
    private static (int Begins, int Waits)? Waits(ClockJob job, Timetable table, int bread)
    {
        var begins = table.Hands.Where(h => h.Bread == bread && h.Work == ClockWork.Filling && h.Parts.Count > 0).Select(h => (int?)h.Parts[0].From.Value).Min();
        return begins is { } at && table.Breads[bread].Opened.Min() - job.FillingReady(table.Breads[bread]) is { } waits ? (at, waits) : null;
    }

    private static bool NoWorse(Timetable t, Timetable than) => !t.Stuck && t.Objectives.Over <= than.Objectives.Over && t.Objectives.Ends <= than.Objectives.Ends && t.Objectives.Oldest <= than.Objectives.Oldest;

    internal static IEnumerable<Policy> Policies(ClockSpec clock) =>
        from ahead in RollAheads.Where(r => r <= clock.RollAhead).Append(clock.RollAhead).Distinct()
        from first in FoldFirsts
        select new Policy(first, ahead);

    // Towards a table the beginning can move: what counts is how old the first piece gets. Forwards from a moment it is the end that counts.
    internal static (bool, int, int, int, int) Rank(Timetable t, ClockBy by) => by == ClockBy.Table
        ? (t.Stuck, t.Objectives.Over, t.Objectives.Oldest, t.Objectives.Idle, t.Objectives.Ends)
        : (t.Stuck, t.Objectives.Over, t.Objectives.Ends, t.Objectives.Oldest, t.Objectives.Idle);

    /// <summary>Nobody can be quicker than the greatest of these, models.md G.</summary>
    internal static (int Hands, int Pans, int Chain) Bounds(IReadOnlyList<ClockJob> jobs, ClockSpec clock)
    {
        static int Shared(double work, int among) => (int)Math.Ceiling(work / among);
        return (
            Shared(jobs.Sum(j => j.Hands), clock.People),
            Shared(jobs.Sum(j => j.OnPans), clock.Pans),
            jobs.Max(Chain));
    }

    // The quickest one piece can be made when nobody and nothing else is in its way.
    private static int Chain(ClockJob job)
    {
        var done = new int[job.Preps.Count];
        for (var i = 0; i < done.Length; i++)
        {
            done[i] = job.Preps[i].Seconds + job.Preps[i].After.Select(a => done[a.Prep] + a.Lag).DefaultIfEmpty(0).Max();
        }

        var filled = job.FoldAfter.Select(a => done[a.Prep] + a.Lag).DefaultIfEmpty(0).Max();
        var ball = job.BallFrom.Select(p => done[p]).Max() + job.BallRest;
        var fry = job.Fry is null ? 0 : job.FryOf(1).Length;
        return Math.Max(ball, filled) + job.Fold.Sum(f => f.Seconds + f.Rest) + job.Roll + job.Freeze + job.Pan.Length + fry;
    }

    private static ClockSheet Sheet(
        IReadOnlyList<ClockJob> jobs, IReadOnlyList<ClockBread> breads, ClockSpec clock, Timetable best, Seconds late, Seconds gone)
    {
        var lead = new Seconds(best.Objectives.Ends);
        return new(
            lead,
            (int)Math.Ceiling(best.Policy.FoldFirst * jobs[0].Balls),
            [.. best.Hands.OrderBy(h => h.Parts.Count > 0 ? h.Parts[0].From.Value : 0).Select(h => h with { Piece = PieceOf(h, jobs[h.Bread]) })],
            best.Pans,
            [.. Enumerable.Range(0, jobs.Count).SelectMany(b => ClockLives.Rests(jobs[b], best, b, clock.Ahead))],
            [.. Enumerable.Range(0, jobs.Count).SelectMany(b => ClockLives.Of(jobs[b], best.Breads[b], b))],
            [.. Enumerable.Range(0, jobs.Count).SelectMany(b => ClockLives.Stages(jobs[b], breads[b].Sheet, best, b))],
            [.. jobs.Zip(breads).SelectMany(j => WorksOf(j.First, j.Second)).Distinct().Order()],
            breads[0].Sheet.Pan.Hold.Here.After(new(best.Objectives.Oldest / 60.0)),
            Report(jobs, clock, best, late, gone));
    }

    private static IEnumerable<HandWork> WorksOf(ClockJob job, ClockBread bread) =>
    [
        .. job.Preps.Select(p => p.Unit).Concat(job.Fold.Select(f => f.Unit)).SelectMany(u => u?.Works ?? []).Select(w => w.Work),
        .. job.Roll > 0 ? [HandWork.LastRoll, HandWork.Lay] : (HandWork[])[HandWork.Pour],
        HandWork.Turn,
        HandWork.Lift,
        .. bread.Spec.Pan.Finish == Finish.None ? [] : (HandWork[])[HandWork.Open],
        .. job.Wiping.Every > 0 ? (HandWork[])[HandWork.Wipe] : [],
    ];

    private static int? PieceOf(HandSlot slot, ClockJob job) => slot.Work switch
    {
        ClockWork.Filling or ClockWork.Mix or ClockWork.Divide => null,
        ClockWork.Fold => (slot.Number - 1) * job.Each + 1,
        _ => slot.Number,
    };

    internal static ClockReport Report(IReadOnlyList<ClockJob> jobs, ClockSpec clock, Timetable best, Seconds late = default, Seconds gone = default)
    {
        var (hands, pans, chain) = Bounds(jobs, clock);
        var bound = Math.Max(Math.Max(hands, pans), chain);
        var pieces = jobs.Sum(j => j.Pieces);
        var handsEach = jobs.Sum(j => (double)j.HandsEach * j.Pieces) / pieces / clock.People;
        var panEach = jobs.Sum(j => j.PanEach * j.Pieces) / pieces / clock.Pans;
        // With a few pieces the rests are all there is to wait for (empirical bound); else what is short at every piece holds it up.
        const int mostlyRests = 4;
        var bottleneck = chain > mostlyRests * Math.Max(hands, pans) ? Bottleneck.Rests : handsEach > panEach ? Bottleneck.Hands : Bottleneck.Pans;
        var roasting = Math.Max(best.Objectives.Oldest, 1);
        return new(
            bottleneck,
            new(bound),
            new(hands),
            new(pans),
            new(chain),
            new(Math.Round(handsEach)),
            new(Math.Round(panEach)),
            (int)Math.Floor(3600 / Math.Max(Math.Max(handsEach, panEach), 1)),
            new(best.Objectives.Oldest),
            Percent.FromFraction(Math.Min((double)best.Objectives.Idle / ((double)clock.Pans * (roasting + jobs[0].Pan.Length)), 1)),
            new(best.RolledWait),
            [.. Breaches(jobs, best, late, gone)]);
    }

    internal static IEnumerable<Breach> Breaches(IReadOnlyList<ClockJob> jobs, Timetable best, Seconds late = default, Seconds gone = default)
    {
        static Breach? Over(ClockBreach code, int? bread, int value, int allowed) =>
            value > allowed ? new(code, bread, new(value), new(allowed), new(value - allowed)) : null;

        if (gone.Value > 0)
        {
            yield return new(ClockBreach.TableGone, null, gone, default, gone);
        }
        else if (late.Value > 0)
        {
            yield return new(ClockBreach.Late, null, late, default, late);
        }

        for (var b = 0; b < jobs.Count; b++)
        {
            var lifted = best.Breads[b].Lifted.Min() ?? best.Objectives.Ends;
            var warm = ClockWarm.Longest(jobs[b], best.Breads[b], best.Objectives.Ends);
            foreach (var breach in new[]
            {
                Over(ClockBreach.DoughWarm, b, warm.Dough ?? 0, ClockWarm.Limit),
                Over(ClockBreach.FillingWarm, b, warm.Filling ?? 0, ClockWarm.Limit),
                Over(ClockBreach.FillingWeeps, b, jobs[b].Limits.Filled is null ? 0 : jobs[b].FillingWait(best.Breads[b]), jobs[b].Limits.Filled ?? 0),
                Over(ClockBreach.RolledWaits, b, jobs.Count == 1 ? best.RolledWait : Wait(best.Breads[b], jobs[b]), jobs[b].Limits.Rolled),
                Over(ClockBreach.FoldedWaits, b, FoldedWait(best.Breads[b], jobs[b]), jobs[b].Limits.Folded),
                Over(ClockBreach.DoughStands, b, Stood(best.Breads[b], jobs[b]), jobs[b].Limits.Stands),
                Over(Spoils(jobs[b].Limits.Wants), b, best.Objectives.Ends - lifted, jobs[b].Limits.Table),
            })
            {
                if (breach is not null)
                {
                    yield return breach;
                }
            }
        }
    }

    private static ClockBreach Spoils(HoldWant wants) => wants switch { HoldWant.Hot => ClockBreach.GoesCool, HoldWant.Crisp => ClockBreach.GoesLimp, _ => ClockBreach.GoesStiff };

    private static int Wait(BreadFloor bread, ClockJob job) => job.Roll == 0 ? 0 :
        Enumerable.Range(0, job.Pieces).Max(i => bread.Laid[i] - bread.Rolled[i] - job.Freeze) ?? 0;

    private static int FoldedWait(BreadFloor bread, ClockJob job) => job.Roll == 0 || job.Fold.Count == 0 ? 0 :
        Enumerable.Range(0, job.Pieces).Max(i => bread.Rolled[i] - job.Roll - bread.Folded[i / job.Each]) ?? 0;

    // Until it is opened, or poured.
    private static int Stood(BreadFloor bread, ClockJob job) =>
        Enumerable.Range(0, job.Balls).Max(i => (job.Roll == 0 ? bread.Laid[i * job.Each] : bread.Opened[i]) - ClockLives.Mixed(job, bread, i)) ?? 0;

    // ---- what if

    private static IEnumerable<WhatIfSheet> WhatIfs(IReadOnlyList<ClockBread> breads, ClockSpec clock, IReadOnlyList<ClockJob> jobs, Timetable now, Seconds late)
    {
        WhatIfSheet Sheet(WhatIf what, IReadOnlyList<ClockJob> then, ClockSpec with, BatchSpec batch)
        {
            var table = Best(then, with);
            var report = Report(then, with, table);
            return new(
                what,
                new(now.Objectives.Ends - table.Objectives.Ends),
                new(now.Objectives.Oldest - table.Objectives.Oldest),
                report.PerHour,
                report.Breaches.Count,
                new(table.Objectives.Ends),
                now.Objectives.Ends - table.Objectives.Ends >= late.Value,
                batch);
        }

        WhatIfSheet With(WhatIf what, ClockSpec with) => Sheet(what, with.Ahead == clock.Ahead ? jobs : Jobs(breads, with), with, breads[0].Spec with { Clock = with });

        if (clock.Pans < ClockSpec.MostPans)
        {
            yield return With(WhatIf.AnotherPan, clock with { Pans = clock.Pans + 1 });
        }

        if (clock.People < ClockSpec.MostPeople)
        {
            yield return With(WhatIf.AnotherHand, clock with { People = clock.People + 1 });
        }

        if (clock.RollAhead < 2 && clock.Ahead != Ahead.Freezer)
        {
            yield return With(WhatIf.RollTwoAhead, clock with { RollAhead = 2 });
        }

        yield return Sheet(WhatIf.ShorterRests, Jobs(breads, clock, shorter: true), clock, Rested(breads[0].Spec, jobs[0], clock));
        if (breads.Any(b => b.Spec.Pan.Roasting != Roasting.DryThenFry && !b.Batch.Route.Poured && b.Spec.Pan.Own is null))
        {
            IReadOnlyList<ClockBread> dry = [.. breads.Select(Dry)];
            yield return Sheet(WhatIf.DryThenFry, Jobs(dry, clock), clock, dry[0].Spec);
        }

        if (WarmOver(jobs, now) is > 0 and var over)
        {
            IReadOnlyList<ClockBread> kept = [.. breads.Select(ColdThenHot)];
            var with = clock with { Bench = Math.Min(clock.Bench, TakenOut) };
            var then = Jobs(kept, with);
            if (WarmOver(then, Best(then, with)) < over)
            {
                yield return Sheet(WhatIf.ColdThenHot, then, with, kept[0].Spec with { Clock = with });
            }
        }

        if (clock.Ahead == Ahead.None && breads.Any(b => !b.Batch.Route.Poured))
        {
            yield return With(WhatIf.FridgeOvernight, clock with { Ahead = Ahead.Fridge });
            var (frozen, freezer) = Frozen(breads, clock with { Ahead = Ahead.Freezer });
            yield return Sheet(WhatIf.FrozenRounds, Jobs(frozen, freezer), freezer, frozen[0].Spec with { Clock = freezer });
        }
    }

    private static int WarmOver(IReadOnlyList<ClockJob> jobs, Timetable table) => jobs.Select((j, b) => ClockWarm.Over(j, table.Breads[b], table.Objectives.Ends)).Sum();

    // Wrapped pieces that lie on the bench while the rest of the filling is cold (empirical).
    private const int TakenOut = 6;

    // What spoils waits in the fridge until it is divided or wrapped, and from the pan it goes into a lidded pot, which keeps it hot.
    private static ClockBread ColdThenHot(ClockBread bread)
    {
        var spec = bread.Spec with { Pan = bread.Spec.Pan with { Hold = HoldIn.Pot } };
        spec = bread.Sheet.Rest.Warm is not null && spec.Rest.Time.Value > 0 ? spec with { Rest = spec.Rest with { Place = RestPlace.Fridge } } : spec;
        var chilled = bread is { Sheet.Filling.Warm: not null, Batch: { Route.Filling: { } filling, Stuffing.Made: var made } } ? FillingMends.Chilled(filling, made) : null;
        return bread.As(spec with { Filling = chilled ?? spec.Filling });
    }

    // Every rest at its least; a night in the fridge is none of them.
    private static BatchSpec Rested(BatchSpec spec, ClockJob job, ClockSpec clock) => spec with
    {
        Rest = spec.Rest with { Time = job.Rests.First.Least },
        Sheet = spec.Sheet with { Rest = job.Rests.Balls.Least },
        Roll = clock.Ahead == Ahead.Fridge ? spec.Roll : spec.Roll with { Rest = new(Math.Min(job.Rests.Fold.Least.Value, spec.Roll.Rest.Value)) },
    };

    private static ClockBread Dry(ClockBread bread) => bread.Batch.Route.Poured || bread.Spec.Pan.Own is not null ? bread : bread.On(bread.Spec.Pan with { Roasting = Roasting.DryThenFry });
}
