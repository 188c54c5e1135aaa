using System.Globalization;
using Google.OrTools.Sat;

namespace Ystrata.Bench;

/// <summary>The clock: how long a timetable takes, and how near it comes to the shortest there is.</summary>
internal static class ClockBench
{
    // Everything in the random cases is a multiple of this, so that the shortest timetable lies on its grid.
    private const int Grid = 5;
    private const int Wanted = 36;
    private static readonly Range<Seconds> Patience = new(new(1), new(25));

    public static void Speed(Func<Func<object>, int, double[]> measure, Action<string, double[], double> say)
    {
        List<CheckedBatch> breads = [Planner.Check(Squares, Kitchen.Shipped).Value!];
        var clock = new ClockSpec(3, 4, RollAhead: 8);
        var jobs = ClockStage.Jobs([ClockBread.Of(breads[0])], clock);
        say("clock: 120 pieces, 3 people, 4 pans", measure(() => ClockStage.Best(jobs, clock), 100), 100);
        say("clock: its seven what-ifs", measure(() => ClockStage.WhatIfs(breads, clock), 20), 700);
        var most = Squares with { Start = StartSpec.Of(DoughSolver.MostPieces) };
        List<CheckedBatch> many = [Planner.Check(most, Kitchen.Shipped).Value!];
        say("clock: what-ifs of the most pieces there can be", measure(() => ClockStage.WhatIfs(many, clock), 20), 700);

        // In the middle of the service, one press after the other: the plan in force, and every way of working anew where the table would be missed.
        foreach (var (name, table) in new[] { ("in time", 50_000.0), ("late", 100) })
        {
            var stove = Half(RunningStove.Of(new([new("Squares", Squares)], clock, new(table)), Kitchen.Shipped, [])!);
            var at = stove.LastAt.Value;
            say($"stove: a press and its new plan, {name}", measure(() =>
            {
                stove.Take(new(Guid.NewGuid(), new(++at), StoveAct.Late, Value: 1));
                return stove.Now(new(at));
            }, 100), 50);
        }
    }

    // Played by its own plan until half of it is done.
    private static RunningStove Half(RunningStove stove)
    {
        for (var sheet = stove.Now(default); sheet.Breads[0].Done < sheet.Breads[0].Pieces / 2; sheet = stove.Now(stove.LastAt))
        {
            var task = sheet.Tasks.MinBy(t => t.Pan is null ? t.Until.Value : t.At.Value)!;
            var at = new Seconds(Math.Max(task.Pan is null ? task.Until.Value : task.At.Value, stove.LastAt.Value));
            stove.Take(new(
                Guid.NewGuid(), at,
                task.Work switch { ClockWork.Lay or ClockWork.Fry => StoveAct.Laid, ClockWork.Turn => StoveAct.Turned, ClockWork.Lift => StoveAct.Lifted, _ => StoveAct.Done },
                task.Pan, task.Place, task.Bread, task.Number, task.Work));
        }

        return stove;
    }

    private static readonly BatchSpec Squares = BatchSpec.Plain with
    {
        Start = StartSpec.Of(120),
        Sheet = BatchSpec.Plain.Sheet with { FatMass = new(6) },
        Fold = new([new LetterStep(), new BrushStep("ghee", new(2)), new LetterStep()]),
    };

    public static void Quality()
    {
        Console.WriteLine();
        Console.WriteLine($"{"clock against the proven optimum (CP-SAT)",-44}{"pieces",8}{"people",8}{"pans",6}{"ours",9}{"optimum",9}{"ratio",8}");
        var random = new Random(7);
        var (proven, tried, worst, sum) = (0, 0, 0.0, 0.0);
        while (proven < Wanted && tried < 3 * Wanted)
        {
            tried++;
            var (job, clock) = Case(random);
            var ours = ClockStage.Best([job], clock).Objectives.Ends;
            if (Optimum(job, clock, ours) is not { } optimum)
            {
                continue;
            }

            proven++;
            var ratio = (double)ours / optimum;
            (worst, sum) = (Math.Max(worst, ratio), sum + ratio);
            Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"{$"case {tried}",-44}{job.Pieces,8}{clock.People,8}{clock.Pans,6}{ours,7} s{optimum,7} s{ratio,8:0.000}"));
        }

        Console.WriteLine(string.Create(CultureInfo.InvariantCulture,
            $"{proven} of {tried} cases proven; ratio mean {sum / proven:0.0000}, worst {worst:0.0000}, target 1.03"));
    }

    internal static (ClockJob Job, ClockSpec Clock) Case(Random random)
    {
        int Of(int least, int most) => Grid * random.Next(least / Grid, most / Grid + 1);
        var n = random.Next(2, 15);
        var clock = new ClockSpec(random.Next(1, 4), random.Next(1, 4), 24, 60, 60, By: ClockBy.Soonest);
        var stays = Enumerable.Range(0, random.Next(2, 5)).Select(_ => Of(15, 60)).ToList();
        List<Prep> preps = [new(ClockWork.Mix, 1, Of(120, 300), []), new(ClockWork.Divide, 1, n * Grid, [(0, Of(300, 1200))])];
        List<Chore> fold = [.. Enumerable.Range(0, random.Next(1, 3)).Select(_ => new Chore(Of(15, 70), Of(60, 900)))];
        var rest = new RestBounds(default, default, default, default);
        return (new(
            preps, [.. Enumerable.Repeat(1, n)], Of(0, 600), [], 1, fold, Of(15, 40), 0, false,
            new(stays, [.. stays.Select(_ => Grid), Grid]), null, 1, 1, new(0, int.MaxValue),
            new(1_000_000, 1_000_000, 1_000_000, 1_000_000, HoldWant.Soft), new(new(210), Cookware.Usual), new(rest, rest, rest)), clock);
    }

    // Bench work may be laid aside at every step of the grid; touches may not; both share the hands there are.
    private static int? Optimum(ClockJob job, ClockSpec clock, int ours)
    {
        var model = new CpModel();
        var horizon = ours / Grid;
        var hands = new List<IntervalVar>();
        var pans = new List<IntervalVar>();

        // Chunks of one piece of work, in their order. Gives its first beginning and its last end.
        (LinearExpr From, LinearExpr To) Work(int seconds, LinearExpr? after)
        {
            LinearExpr? first = null, last = after;
            for (var i = 0; i < seconds / Grid; i++)
            {
                var start = model.NewIntVar(0, horizon, "");
                if (last is not null)
                {
                    model.Add(start >= last);
                }

                hands.Add(model.NewFixedSizeIntervalVar(start, 1, ""));
                first ??= start;
                last = start + 1;
            }

            return (first!, last!);
        }

        LinearExpr? prep = null;
        foreach (var p in job.Preps)
        {
            prep = Work(p.Seconds, prep is null ? null : prep + p.After[0].Lag / Grid).To;
        }

        var end = model.NewIntVar(0, horizon, "");
        (LinearExpr From, LinearExpr To)[]? lastFolds = null;
        (LinearExpr From, LinearExpr To)? lastRoll = null;
        LinearExpr? lastLay = null;
        for (var i = 0; i < job.Pieces; i++)
        {
            LinearExpr after = prep! + job.BallRest / Grid;
            var folds = new List<(LinearExpr From, LinearExpr To)>();
            foreach (var chore in job.Fold)
            {
                var done = Work(chore.Seconds, after);
                folds.Add(done);
                after = done.To + chore.Rest / Grid;
            }

            var roll = Work(job.Roll, after);
            var lay = model.NewIntVar(0, horizon, "");
            model.Add(lay >= roll.To);
            pans.Add(model.NewFixedSizeIntervalVar(lay, job.Pan.Length / Grid, ""));
            foreach (var (at, lasts) in job.Pan.Moments())
            {
                hands.Add(model.NewFixedSizeIntervalVar(lay + at / Grid, lasts / Grid, ""));
            }

            model.Add(end >= lay + job.Pan.Length / Grid);
            // Alike pieces in their order: no timetable is lost by it.
            if (lastFolds is not null)
            {
                for (var c = 0; c < folds.Count; c++)
                {
                    model.Add(folds[c].From >= lastFolds[c].From);
                    model.Add(folds[c].To >= lastFolds[c].To);
                }

                model.Add(roll.From >= lastRoll!.Value.From);
                model.Add(lay >= lastLay!);
            }

            (lastFolds, lastRoll, lastLay) = ([.. folds], roll, lay);
        }

        var people = model.AddCumulative(clock.People);
        foreach (var hand in hands)
        {
            people.AddDemand(hand, 1);
        }

        var places = model.AddCumulative(clock.Pans);
        foreach (var pan in pans)
        {
            places.AddDemand(pan, 1);
        }

        var (h, p2, chain) = ClockStage.Bounds([job], clock);
        model.Add(end >= Math.Max(h, Math.Max(p2, chain)) / Grid);
        model.Minimize(end);
        var solver = new CpSolver { StringParameters = string.Create(CultureInfo.InvariantCulture, $"max_time_in_seconds:{Patience.Most.Value},num_workers:2") };
        return solver.Solve(model) == CpSolverStatus.Optimal ? (int)solver.ObjectiveValue * Grid : null;
    }
}
