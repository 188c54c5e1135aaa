namespace Ystrata.Core.Logbook;

/// <summary>What a stove run tells of one bread.</summary>
/// <param name="Events">As they were taken, with those that were taken back.</param>
/// <param name="Bread">Which bread of the service, from 0.</param>
public sealed record StoveRun(Service Service, IReadOnlyList<StoveEvent> Events, int Bread);

/// <summary>What bench, scale and stove already know of a cooking, so that nobody types it again.</summary>
public static class Gathered
{
    // A pause between two presses longer than so many times the usual was no work (empirical).
    private const double Idle = 3;

    /// <param name="spec">As it was cooked: what the bench was told and the scale weighed is in it.</param>
    /// <param name="sheet">Its plan.</param>
    /// <param name="run">Nothing when it was not run at the stove.</param>
    /// <returns>An outcome with every figure that is known, judged by nobody yet.</returns>
    public static Outcome Of(BatchSpec spec, BatchSheet sheet, StoveRun? run, Kitchen kitchen)
    {
        var weighed = spec.Balls.Weighed is { Count: > 0 } w && spec.Balls.Into == DivideInto.Balls ? w : null;
        var used = Outcome.Nothing.Used with
        {
            Liquid = WentIn(sheet),
            BallMass = weighed is null ? null : new Grams(Round(weighed.Average(g => g.Value))),
            // Only a whole tray says how much dough there was.
            Dough = weighed?.Count == sheet.Balls.Count ? new Grams(Round(weighed.Sum(g => g.Value))) : null,
        };
        var outcome = Outcome.Nothing with
        {
            Used = used,
            Timed = Outcome.Nothing.Timed with { Pan = spec.Pan.Measured },
            Yields = spec.Filling is { } filling && sheet.Filling is { } made ? YieldsOf(filling, made) : null,
        };
        return run is null ? outcome : AtStove(outcome, run, kitchen);
    }

    /// <summary>All liquids with what really went in of the one that makes up the rest; nothing when the bench was not told.</summary>
    private static Grams? WentIn(BatchSheet sheet) => sheet.Dough.Mixing.Adding is { WentIn: { } wentIn } adding
        ? new Grams(Math.Round(sheet.Dough.Portions.Where(p => p.Part == DoughPart.Liquid).Sum(p => p.Mass.Value) + wentIn.Value - adding.Planned.Value))
        : null;

    private static List<StepYield>? YieldsOf(FillingSpec filling, FillingSheet made)
    {
        var yields = new List<StepYield>();
        for (var p = 0; p < filling.Parts.Count; p++)
        {
            Add(filling.Parts[p].Id, $"{p}", filling.Parts[p].Steps, made.Parts[p].Start, made.Parts[p].Rows);
        }

        Add(filling.Parts.MaxBy(p => p.Mass.Value)!.Id, "together", filling.Together, made.Together, made.Rows);
        return yields.Count > 0 ? yields : null;

        void Add(string id, string place, IReadOnlyList<FillingStep> steps, FillingState start, IReadOnlyList<FillingRow> rows)
        {
            var before = start.Mass;
            for (var i = 0; i < steps.Count; i++)
            {
                var from = steps[i].Before ?? before;
                if (steps[i] is { After: { } after } && from.Value > 0)
                {
                    yields.Add(new(id, $"{place}-{i}", new(Round(100 * (rows[i].Planned / from))), new(Round(100 * (after / from)))));
                }

                before = rows[i].State.Mass;
            }
        }
    }

    private static Outcome AtStove(Outcome outcome, StoveRun run, Kitchen kitchen)
    {
        var undone = run.Events.Where(e => e.Act == StoveAct.Undo).Select(e => e.Undoes).ToHashSet();
        StoveEvent[] events = [.. run.Events.Where(e => e.Act != StoveAct.Undo && !undone.Contains(e.Id))];
        if (events.Length == 0 || RunningStove.Of(run.Service, kitchen, run.Events) is not { } stove)
        {
            return outcome;
        }

        var bread = stove.Now(events[^1].At).Breads[run.Bread];
        var stays = StaysOf(events, run.Bread);
        var heats = events.Where(e => e.Act == StoveAct.Heat).Select(e => e.Value ?? 0).Order().ToList();
        return outcome with
        {
            Used = outcome.Used with { Pieces = bread.Done, Lost = bread.Lost },
            Timed = new(
                heats.Count > 0 ? new Celsius(Median(heats)) : outcome.Timed.Pan,
                Side(stays, 0),
                Side(stays, 1),
                stays.Any(s => s.Count > 2) ? Side([.. stays.Where(s => s.Count > 2).Select(s => (IReadOnlyList<double>)[s[^1]])], 0) : null),
            Hands = HandsOf(run, events, kitchen),
        };
    }

    // From laying through every turn to lifting, place by place.
    private static List<IReadOnlyList<double>> StaysOf(StoveEvent[] all, int bread)
    {
        var stays = new List<IReadOnlyList<double>>();
        for (var i = 0; i < all.Length; i++)
        {
            var laid = all[i];
            if (laid.Act != StoveAct.Laid || (laid.Bread ?? 0) != bread)
            {
                continue;
            }

            var (before, times) = (laid.At.Value, new List<double>());
            foreach (var e in all.Skip(i + 1).Where(e => e.Pan == laid.Pan && (e.Place ?? 0) == (laid.Place ?? 0)))
            {
                if (e.Act is StoveAct.Laid or StoveAct.Dropped or StoveAct.Burst or StoveAct.PanGone)
                {
                    // It never came off as it should: its times say nothing.
                    times.Clear();
                    break;
                }

                if (e.Act is StoveAct.Turned or StoveAct.Lifted)
                {
                    times.Add(e.At.Value - before);
                    before = e.At.Value;
                }

                if (e.Act == StoveAct.Lifted)
                {
                    break;
                }
            }

            if (times.Count > 0)
            {
                stays.Add(times);
            }
        }

        return stays;
    }

    private static Seconds? Side(IReadOnlyList<IReadOnlyList<double>> stays, int side)
    {
        List<double> times = [.. stays.Where(s => s.Count > side).Select(s => s[side]).Order()];
        return times.Count > 0 ? new Seconds(Math.Round(Median(times))) : null;
    }

    // One pair of hands does one thing after another: what it has finished took the time since the press before.
    private static List<WorkTime>? HandsOf(StoveRun run, StoveEvent[] events, Kitchen kitchen)
    {
        if (run.Service.Clock.People != 1 || Array.Exists(events, e => e.Act == StoveAct.Hands))
        {
            return null;
        }

        if (Planner.Check(run.Service.Breads[run.Bread].Spec, kitchen).Value is not { } batch)
        {
            return null;
        }

        var job = ClockJobs.Of(ClockBread.Of(batch), run.Service.Clock);
        var times = new Dictionary<HandWork, List<double>>();
        for (var i = 1; i < events.Length; i++)
        {
            if (events[i].Act != StoveAct.Done || (events[i].Bread ?? 0) != run.Bread || HandUnits.Of(events[i], job) is not { } unit)
            {
                continue;
            }

            foreach (var (work, each) in unit.Teaches(new Seconds(events[i].At.Value - events[i - 1].At.Value), kitchen.Hands, Idle))
            {
                (times.TryGetValue(work, out var all) ? all : times[work] = []).Add(each);
            }
        }

        return times.Count == 0 ? null : [.. times.Select(t => new WorkTime(t.Key, new(Round(Median([.. t.Value.Order()]))), t.Value.Count)).OrderBy(t => t.Work)];
    }

    private static double Median(List<double> sorted) =>
        sorted.Count % 2 == 1 ? sorted[sorted.Count / 2] : (sorted[sorted.Count / 2 - 1] + sorted[sorted.Count / 2]) / 2;

    private static double Round(double value) => Math.Round(value, 1);
}
