namespace Ystrata.Core.Stove;

/// <summary>One bread of a service: what it is called and what was decided.</summary>
public sealed record ServiceBread(string Name, BatchSpec Spec);

/// <summary>A service as it was begun.</summary>
/// <param name="Table">After it began.</param>
public sealed record Service(IReadOnlyList<ServiceBread> Breads, ClockSpec Clock, Seconds Table)
{
    /// <summary>A table is no further off than a week, s.</summary>
    public const double LongestAhead = 7 * 24 * 3600;
}

/// <summary>A running service: takes events, and knows at any moment what is where, what is due and what comes next. Not for several threads at once.</summary>
public sealed class RunningStove
{
    private const int MostTasks = 14, MostPast = 12;

    // Left open: no press for so long that nobody can be at the stove, s.
    private const int LeftOpen = 4 * 3600;

    // Another way of working is taken up only when it saves this much, s: people do not like to be told something new.
    private const int WorthChanging = 60;

    // A pan further off than this from what was planned has its stays worked out anew; measured heats are told apart in such steps, °C.
    private const double HeatStep = 5, FarOff = 12;

    private readonly Service service;
    private readonly IReadOnlyList<ClockBread> breads;
    private readonly IReadOnlyList<ClockJob> jobs;
    private readonly IReadOnlyList<StoveWork> works;
    private readonly int[][] tails;
    private readonly List<StoveEvent> events = [];
    private readonly HashSet<Guid> undone = [];
    private readonly Dictionary<(int Bread, int Heat), (Visit Visit, PanSheet Sheet)> atHeat = [];
    private StoveFloor floor;
    private Timetable inForce;
    private Policy policy;
    private int? plannedAt;
    private (bool, int, int, int)? borne;

    private RunningStove(Service service, IEnumerable<CheckedBatch> batches, IEnumerable<StoveEvent> past)
    {
        (breads, var clock) = ClockStage.Frozen([.. batches.Select(ClockBread.Of)], service.Clock);
        this.service = service = service with { Clock = clock };
        jobs = ClockStage.Jobs(breads, service.Clock);
        works = [.. breads.Select((bread, b) => StoveWork.Of(bread.Spec, bread.Sheet, jobs[b]))];
        tails = ClockRun.Tails(jobs);
        floor = NewFloor();
        inForce = ClockStage.Best(jobs, service.Clock);
        policy = inForce.Policy;
        events.AddRange(past);
        Replay();
        Replan(floor.Last, []);
    }

    /// <param name="past">Events it has taken before.</param>
    /// <returns>Nothing where this kitchen does not let one of its breads be worked.</returns>
    public static RunningStove? Of(Service service, Kitchen kitchen, IEnumerable<StoveEvent> past)
    {
        List<CheckedBatch> batches = [.. service.Breads.Select(b => Planner.Check(b.Spec, kitchen).Value).OfType<CheckedBatch>()];
        return batches.Count == service.Breads.Count ? new(service, batches, past) : null;
    }

    public Seconds LastAt => new(floor.Last);

    public bool Ended => floor.Ended;

    /// <summary>The pan, from 0, whose heat the probe tells; nothing when it is on none.</summary>
    public int? Probed => floor.Probed;

    /// <summary>Whether an event can be taken, and whether it tells anything new. It changes nothing.</summary>
    public StoveAnswer Check(StoveEvent e)
    {
        if (events.Any(past => past.Id == e.Id))
        {
            return new(false);
        }

        if (e.Act != StoveAct.Undo)
        {
            return floor.Check(e);
        }

        return e.Undoes is not { } id ? new(false, StoveRefusal.NotTold)
            : undone.Contains(id) ? new(false)
            : events.Any(past => past.Id == id && past.Act != StoveAct.Undo) ? new(true) : new(false, StoveRefusal.NothingToUndo);
    }

    /// <summary>Takes an event that <see cref="Check"/> counts, and plans the rest anew from there.</summary>
    public void Take(StoveEvent e)
    {
        var at = (int)Math.Round(e.At.Value);
        events.Add(e);
        if (e.Act == StoveAct.Undo)
        {
            Replay();
        }
        else
        {
            floor.Take(e);
        }

        var now = Math.Max(at, floor.Last);
        Replan(now, Underway(now));
    }

    /// <summary>The state of things at a moment. What is overdue pushes the rest.</summary>
    public StoveSheet Now(Seconds moment)
    {
        // A clock that was put back does not undo what has happened.
        var now = Math.Max((int)Math.Floor(moment.Value), floor.Last);
        if (now != plannedAt)
        {
            Replan(now, Underway(now));
        }

        return Sheet(now);
    }

    private StoveFloor NewFloor() => new(jobs, service.Clock, service.Table, (_, bread, heat) => AtHeat(bread, heat).Visit);

    private void Replay()
    {
        undone.Clear();
        undone.UnionWith(events.Where(e => e.Act == StoveAct.Undo).Select(e => e.Undoes!.Value));
        floor = NewFloor();
        foreach (var e in events.Where(e => e.Act != StoveAct.Undo && !undone.Contains(e.Id)))
        {
            floor.Take(e);
        }
    }

    // The standing way of working is kept. Others are looked at only when the table would be missed, or a limit broken, by more than when they were looked at last.
    private void Replan(int now, IReadOnlyList<Begun> begun)
    {
        plannedAt = now;
        var from = floor.At(now, begun);
        inForce = Filled(from, Play(from, policy));
        if (inForce is { Stuck: false, Objectives.Over: 0 } && inForce.Objectives.Ends <= floor.Table + WorthChanging)
        {
            borne = null;
            if (floor.Table - inForce.Objectives.Ends is > WorthChanging and var early)
            {
                Hold(now, begun, early);
            }

            return;
        }

        if (borne is { } known && Rank(inForce).CompareTo(known) <= 0)
        {
            return;
        }

        var best = ClockStage.Policies(service.Clock).Select(p => Play(from, p)).MinBy(Rank)!;
        if (Rank(best).CompareTo(Rank(inForce)) < 0)
        {
            (inForce, policy) = (Filled(from, best), best.Policy);
        }

        borne = Rank(inForce);
    }

    private (bool, int, int, int) Rank(Timetable t) =>
        (t.Stuck, Math.Max(t.Objectives.Ends - floor.Table, 0) / WorthChanging, t.Objectives.Over / WorthChanging, t.Objectives.Oldest / WorthChanging);

    private Timetable Play(Floor from, Policy by) => ClockRun.Play(jobs, service.Clock, from, by, tails);

    private Timetable Filled(Floor from, Timetable t) => ClockStage.FilledLate(jobs, service.Clock, from, t, tails);

    // Nobody wants bread before the table: what has not begun waits, and what is folded rests longer, as long as it may.
    private void Hold(int now, IReadOnlyList<Begun> begun, int early)
    {
        if (floor.Fresh && begun.Count == 0)
        {
            var later = floor.At(now + early, begun);
            inForce = Filled(later, Play(later, policy));
        }
        else if (floor.NoneRolled)
        {
            var first = inForce.Hands.Where(h => h.Work is ClockWork.Roll or ClockWork.Lay && h.Parts.Count > 0).Select(h => (int)h.Parts[0].From.Value).DefaultIfEmpty(now).Min();
            var from = floor.At(now, begun, first + early);
            var held = Filled(from, Play(from, policy));
            inForce = held.Objectives.Over <= inForce.Objectives.Over && held.Objectives.Ends <= floor.Table + WorthChanging ? held : inForce;
        }
    }

    // What the plan in force has in somebody's hands at this moment, and how much of it is left: nobody said yet that it is done.
    private List<Begun> Underway(int at)
    {
        var begun = new List<Begun>();
        foreach (var slot in inForce.Hands)
        {
            if (slot.Pan is not null || slot.Parts.Count == 0 || slot.Parts[0].From.Value > at || begun.Count >= floor.People)
            {
                continue;
            }

            if (floor.IsDone(slot.Bread, slot.Work, slot.Number) != false || (slot.Work == ClockWork.Fold && floor.Breads[slot.Bread].Chores[slot.Number - 1] != slot.Chore))
            {
                continue;
            }

            var whole = slot.Parts.Sum(p => p.To.Value - p.From.Value);
            var done = slot.Parts.Sum(p => Math.Clamp(at - p.From.Value, 0, p.To.Value - p.From.Value));
            const int moment = 1; // overdue: it is done any moment
            var number = slot.Work is ClockWork.Fold or ClockWork.Roll ? slot.Number - 1 : Prep(slot);
            begun.Add(new(slot.Work, slot.Bread, number, Math.Max((int)(whole - done), moment)));
        }

        return begun;
    }

    private int Prep(HandSlot slot) => jobs[slot.Bread].Preps.TakeWhile(p => p.Work != slot.Work || p.Number != slot.Number).Count();

    private (Visit Visit, PanSheet Sheet) AtHeat(int bread, Celsius heat)
    {
        var spec = breads[bread].Spec;
        if (Math.Abs(heat.Value - spec.Pan.Laid.Value) < FarOff)
        {
            return (jobs[bread].Pan, breads[bread].Sheet.Pan);
        }

        var step = (int)Math.Round(heat.Value / HeatStep);
        if (!atHeat.TryGetValue((bread, step), out var found))
        {
            var limit = SpecPlaces.Limits.Single(l => l.Field == "pan.measured");
            var measured = breads[bread].On(spec.Pan with { Measured = new(Math.Clamp(step * HeatStep, limit.Least, limit.Most)) });
            // On a pan that cooks nothing the planned stays are kept, and the pan is said to be too cool.
            found = (measured.Sheet.Pan.Program.Turns.Count == 0 ? jobs[bread].Pan : ClockJobs.Of(measured, service.Clock).Pan, measured.Sheet.Pan);
            atHeat[(bread, step)] = found;
        }

        return found;
    }

    // ---- what the screens show

    private StoveSheet Sheet(int now)
    {
        List<StoveBread> told = [.. breads.Select((_, b) => Bread(b, now))];
        return new(
            new(now),
            new(floor.Table),
            new(inForce.Objectives.Ends),
            new(floor.Table - inForce.Objectives.Ends),
            floor.People,
            floor.Probed,
            inForce.Stuck,
            floor.Ended,
            new(now - floor.Last),
            // Where hands wait for a rest, or for an hour still to come, nobody need press anything.
            !floor.Ended && now - floor.Last > LeftOpen && inForce.Hands.Any(h => h.Parts.Count > 0 && h.Parts[0].From.Value <= now),
            told.Sum(b => b.Done),
            told.Sum(b => b.Pieces - b.Lost),
            told.Sum(b => b.Lost),
            [.. Enumerable.Range(0, floor.Gone.Length).Select(Pan)],
            [.. inForce.Hands.Where(h => h.Parts.Count > 0).OrderBy(h => h.Parts[0].From.Value).Take(MostTasks).Select(h => Task(h, now))],
            told,
            [.. ClockStage.Breaches(jobs, inForce)],
            [.. events.Where(e => e.Act is not (StoveAct.Undo or StoveAct.Heat)).TakeLast(MostPast).Reverse().Select(e => new StovePast(e, undone.Contains(e.Id)))]);
    }

    private StovePan Pan(int pan)
    {
        var places = floor.Places.Where(p => p.Pan == pan).Select(Place).ToList();
        var bread = places.FirstOrDefault(p => p.Bread is not null)?.Bread ?? places.Select(p => p.Next).MinBy(n => n?.At.Value)?.Bread ?? floor.LastBread[pan] ?? 0;
        var (spec, sheet) = (breads[bread].Spec.Pan, breads[bread].Sheet.Pan);
        var heat = floor.Heats[pan]?.Heat;
        return new(
            pan,
            floor.Gone[pan],
            heat,
            spec.Laid,
            sheet.Heat.SmokePoint,
            StateOf(heat, spec.Laid, sheet),
            floor.SinceWipe[pan] >= jobs[bread].Wiping.Every,
            places);
    }

    private static PanState StateOf(Celsius? heat, Celsius wanted, PanSheet sheet) => heat is not { } h ? PanState.Unmeasured
        : sheet.Heat.SmokeWatchFrom is { } smoke && h.Value >= smoke.Value ? PanState.Smokes
        : h.Value > wanted.Value + FarOff ? PanState.TooHot
        : h.Value < wanted.Value - FarOff ? PanState.TooCool : PanState.Right;

    private StovePlace Place(PlaceFloor place)
    {
        var then = inForce.Pans
            .Where(s => s.Pan == place.Pan && s.Place == place.Place && !(place.On is { } o && o.Bread == s.Bread && o.Fry == s.Fry && o.Pieces[0] + 1 == s.Pieces[0]))
            .MinBy(s => s.Laid.Value);
        var next = then is null ? null : new StoveNext(then.Bread, then.Pieces[0], then.Laid);
        if (place.On is not { } on)
        {
            return new(place.Place, null, [], null, null, 0, false, default, 0, false, next, next is null || floor.Gone[place.Pan] ? null : new(StoveAct.Laid, place.Pan, place.Place, next.Bread, next.Number));
        }

        var turns = breads[on.Bread].Sheet.Pan.Program.Turns;
        // A stack goes through its two stays again for every piece in it.
        var stay = on.Fry ? 2 + (on.Turns + 1) % 2 : on.Turns + 1;
        var up = on.Turns + (on.Fry ? 2 : 0);
        return new(
            place.Place,
            on.Bread,
            [.. on.Pieces.Select(p => p + 1)],
            new(on.Touched),
            new(on.Moments[0].At),
            on.Turns,
            on.Moments.Count == 1,
            on.Moments.Count > 1 && stay < turns.Count ? turns[stay].Fat : default,
            up > 0 && turns.Count > 0 ? turns[Math.Min(up, turns.Count) - 1].Dark : 0,
            on.Fry,
            next,
            on.Moments.Count == 1 ? new(StoveAct.Lifted, place.Pan, place.Place, on.Bread, on.Pieces[0] + 1) : new(StoveAct.Turned, place.Pan, place.Place, on.Bread, on.Pieces[0] + 1, Value: on.Turns));
    }

    private StoveTask Task(HandSlot slot, int now)
    {
        var bread = floor.Breads[slot.Bread];
        var job = jobs[slot.Bread];
        var from = slot.Parts[0].From;
        int? since = slot.Work switch
        {
            ClockWork.Roll when job.Fold.Count > 0 => bread.Folded[(slot.Number - 1) / job.Each],
            ClockWork.Fold => slot.Chore > 0 ? bread.Folded[slot.Number - 1] : bread.Prep[job.BallFrom[slot.Number - 1]],
            _ => (int?)null,
        };
        var place = slot.Work == ClockWork.Turn ? Place(floor.PlaceOf(slot.Pan, slot.Place)!) : null;
        return new(
            slot.Person,
            slot.Work,
            slot.Bread,
            slot.Number,
            slot.Chore,
            slot.Pan,
            slot.Place,
            from,
            slot.Parts[^1].To,
            since is { } s ? new(Math.Max(from.Value - s, 0)) : null,
            place is { Bread: not null } && place.Numbers.Contains(slot.Number) ? place.Fat : default,
            from.Value <= now,
            PressOf(slot));
    }

    private StovePress PressOf(HandSlot slot) => slot.Work switch
    {
        ClockWork.Lay or ClockWork.Fry => new(StoveAct.Laid, slot.Pan, slot.Place ?? 0, slot.Bread, slot.Number),
        ClockWork.Lift => new(StoveAct.Lifted, slot.Pan, slot.Place ?? 0, slot.Bread, slot.Number),
        ClockWork.Turn => new(StoveAct.Turned, slot.Pan, slot.Place ?? 0, slot.Bread, slot.Number, Value: floor.PlaceOf(slot.Pan, slot.Place)?.On?.Turns ?? 0),
        var bench => new(StoveAct.Done, Bread: slot.Bread, Number: slot.Number, Work: bench, Value: slot.Chore),
    };

    private StoveBread Bread(int b, int now)
    {
        var (dough, filling) = ClockWarm.Longest(jobs[b], floor.Breads[b], now);
        var (bread, sheet) = (floor.Breads[b], breads[b].Sheet);
        return new(
            service.Breads[b].Name,
            jobs[b].Pieces,
            bread.At.Count(a => a is PieceAt.Hot or PieceAt.Served),
            bread.At.Count(a => a == PieceAt.Lost),
            sheet.Roll.RollTo,
            breads[b].Spec.Pan.Finish,
            sheet.Filling is not null,
            [.. bread.At.Select((a, i) => new StovePiece(i + 1, a, Since(b, i) is { } since ? new(since) : null))],
            [.. new[] { (Stage.Dough, dough), (Stage.Filling, filling) }.Where(p => p.Item2 is not null).Select(p => StoveWarm.Of(p.Item1, p.Item2!.Value))],
            works[b]);
    }

    private int? Since(int b, int i)
    {
        var bread = floor.Breads[b];
        return bread.At[i] switch
        {
            PieceAt.Ball => bread.Prep[jobs[b].BallFrom[i / jobs[b].Each]],
            PieceAt.Folded => bread.Folded[i / jobs[b].Each],
            PieceAt.Rolled => bread.Rolled[i],
            PieceAt.OnPan => bread.Laid[i],
            _ => bread.Lifted[i],
        };
    }
}
