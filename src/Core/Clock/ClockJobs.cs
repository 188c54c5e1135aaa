namespace Ystrata.Core.Clock;

/// <summary>From a batch sheet to what the clock has to place.</summary>
internal static class ClockJobs
{
    // Rolled pieces dry or stick: models.md G.
    private const double RolledBare = 10, RolledCovered = 30; // min

    // A folded piece under a cloth: work.md 5 rests coils up to an hour; longer it slackens and the fat creeps out (empirical).
    private const double FoldedLongest = 60; // min

    // Overnight, work.md 9: firm through after eight hours, dull after a day; frozen hard after two hours (empirical).
    private const double FridgeLeast = 480, FridgeBest = 600, FridgeLongest = 1440, FreezeLeast = 120, FreezeLongest = 60 * 24 * 30; // min

    internal const int Trayful = 12; // balls divided before the next thing is thought of

    private static int Whole(Seconds s) => Math.Max((int)Math.Round(s.Value), 0);

    private static int Whole(Minutes m) => Math.Max((int)Math.Round(m.Value * 60), 0);

    /// <param name="shorter">Every rest at its least.</param>
    public static ClockJob Of(ClockBread bread, ClockSpec clock, bool shorter = false)
    {
        var (spec, sheet, hands, poured) = (bread.Spec, bread.Sheet, bread.Batch.Kitchen.Hands, bread.Batch.Route.Poured);
        var first = FirstRest(sheet);
        var balls = BallsRest(spec, sheet, poured);
        var fold = FoldRest(spec, sheet, poured, clock.Ahead);
        int Of(RestBounds rest) => Whole(shorter ? rest.Least : rest.Chosen);

        var preps = new List<Prep>();
        var ballFrom = Dough(sheet, poured, hands, Of(first), preps);
        var filled = Filling(spec, sheet, hands, preps);
        var chores = poured ? [] : Chores(spec, sheet, hands, Of(fold));
        var layFirst = poured ? hands[HandWork.Pour] : hands[HandWork.Lay];
        var (pan, fry) = Visits(spec, sheet, hands, Whole(layFirst));
        var stands = Math.Max(Whole(first.Longest), Of(first) + Of(balls) + Of(fold));
        return new(
            preps,
            ballFrom,
            // A ball that is not folded has its last rest as a ball.
            Of(balls) + (chores.Count == 0 ? Of(fold) : 0),
            filled,
            Math.Max(sheet.Fold.Pieces, 1),
            chores,
            poured ? 0 : Whole(hands[HandWork.LastRoll]),
            clock.Ahead == Ahead.Freezer && !poured ? Whole(new Minutes(FreezeLeast)) : 0,
            clock.Ahead != Ahead.None && !poured,
            pan,
            fry,
            Math.Max(spec.Pan.Stack, 1),
            sheet.Pan.Together,
            new(Whole(hands[HandWork.Wipe]), sheet.Pan.Film.WipeEvery),
            new(
                stands,
                Math.Max(Whole(fold.Longest), Of(fold)),
                clock.Ahead == Ahead.Freezer ? Whole(new Minutes(FreezeLongest)) : Whole(new Minutes(clock.Covered ? RolledCovered : RolledBare)),
                // What never is as wanted does not cease to be.
                sheet.Pan.Hold.Keeps.Value > 0 ? Whole(sheet.Pan.Hold.Keeps) : Whole(new Minutes(FreezeLongest)),
                spec.Pan.Wants,
                sheet.Filling?.HoldsFor is { } holds ? Whole(holds) : null),
            new(spec.Pan.Laid, spec.Pan.Cookware),
            new(first, balls, fold),
            new(
                sheet.Rest.Warm is not null,
                sheet.Filling?.Warm is not null,
                spec.Rest.Place == RestPlace.Fridge ? Of(first) : 0,
                clock.Ahead == Ahead.Fridge && !poured ? Math.Max(Of(fold) - Whole(RestStage.Warms(sheet.Balls.Mass, sheet.Dough.Density)), 0) : 0,
                Whole(sheet.Pan.Hold.Here.Hot)));
    }

    private static RestBounds FirstRest(BatchSheet sheet) =>
        new(sheet.Rest.Time, new(Math.Min(sheet.Rest.Least.Value, sheet.Rest.Time.Value)), sheet.Rest.Best, new(Math.Max(sheet.Rest.Longest.Value, sheet.Rest.Time.Value)));

    // The balls' own rest may shrink by what the first rest already gave.
    private static RestBounds BallsRest(BatchSpec spec, BatchSheet sheet, bool poured)
    {
        var rest = poured ? 0 : spec.Sheet.Rest.Value;
        var least = Math.Max(rest - Math.Max(sheet.Rest.Counts.Value - sheet.Rest.Least.Value, 0), 0);
        return new(new(rest), new(Math.Min(least, rest)), new(Math.Max(rest, sheet.Rest.Best.Value / 2)), new(Math.Max(sheet.Rest.Longest.Value - sheet.Rest.Time.Value, rest)));
    }

    private static RestBounds FoldRest(BatchSpec spec, BatchSheet sheet, bool poured, Ahead ahead)
    {
        if (poured)
        {
            return new(default, default, default, new(FoldedLongest));
        }

        if (ahead == Ahead.Fridge)
        {
            var warms = RestStage.Warms(sheet.Balls.Mass, sheet.Dough.Density).Value;
            return new(new(FridgeBest + warms), new(FridgeLeast + warms), new(FridgeBest + warms), new(FridgeLongest));
        }

        var rest = sheet.Roll.Rest.Value;
        var back = sheet.Roll.Springback.Fraction;
        var least = back > 0 ? Math.Clamp(rest + Round.RestUntil(back, LaminationNotes.WorthRollingPast).Value, 0, rest) : 0;
        return new(new(rest), new(Math.Floor(least)), new(Math.Max(rest, Math.Ceiling(least))), new(Math.Max(FoldedLongest, rest)));
    }

    // Every bowl by itself, the balls in traysful out of it.
    private static List<int> Dough(BatchSheet sheet, bool poured, HandTimes hands, int rest, List<Prep> preps)
    {
        var from = new List<int>(sheet.Balls.Count);
        var lots = Math.Min(sheet.Dough.Lots.Count, sheet.Balls.Count);
        var bowl = HandUnit.Of(HandWork.MixBowl) + HandUnit.Lasting(new(sheet.Dough.Mixing.Knead.Value * 60));
        var mixed = new List<int>();
        for (var lot = 0; lot < lots; lot++)
        {
            mixed.Add(preps.Count);
            preps.Add(new(ClockWork.Mix, lot + 1, Whole(hands[HandWork.MixBowl]) + Whole(bowl.Fixed), [], bowl));
        }

        var tray = 0;
        for (var lot = 0; lot < lots; lot++)
        {
            var balls = (sheet.Balls.Count * (lot + 1) / lots) - (sheet.Balls.Count * lot / lots);
            for (var done = 0; done < balls; done += Trayful)
            {
                var now = Math.Min(Trayful, balls - done);
                // A batter is ladled from the bowl: nothing is divided.
                preps.Add(new(ClockWork.Divide, ++tray, poured ? 0 : now * Whole(hands[HandWork.Divide]), [(mixed[lot], rest)], poured ? null : HandUnit.Of(HandWork.Divide, now)));
                from.AddRange(Enumerable.Repeat(preps.Count - 1, now));
            }
        }

        return from;
    }

    private static List<(int, int)> Filling(BatchSpec spec, BatchSheet sheet, HandTimes hands, List<Prep> preps)
    {
        if (sheet.Filling is not { } filling || spec.Filling is not { } wanted)
        {
            return [];
        }

        var number = 0;
        List<(int, int)> Go(IReadOnlyList<FillingStep> steps, IReadOnlyList<FillingRow> rows, FillingState start, List<(int, int)> after)
        {
            for (var i = 0; i < steps.Count; i++)
            {
                var (unit, waits) = steps[i].Hands(rows[i], i == 0 ? start.Mass : rows[i - 1].State.Mass, hands);
                var (seconds, cools) = (Whole(unit.Time(hands)), steps[i] is CoolStep);
                // Hands' time at what is warm counts too; on trays it is hot at first and cold at last.
                var warm = cools ? Whole(rows[i].Warm) : WarmTime.IsWarm(rows[i].State.Temperature) ? seconds + Whole(waits) : 0;
                preps.Add(new(ClockWork.Filling, ++number, seconds, after, unit, warm, !steps[i].Chills));
                after = [(preps.Count - 1, Whole(waits))];
            }

            return after;
        }

        List<(int, int)> joined = [.. wanted.Parts.Zip(filling.Parts).SelectMany(p => Go(p.First.Steps, p.Second.Rows, p.Second.Start, []))];
        return Go(wanted.Together, filling.Rows, filling.Together, joined);
    }

    // The program cut at its rests. What is neither sheeted nor folded nor filled goes straight to the last roll.
    private static List<Chore> Chores(BatchSpec spec, BatchSheet sheet, HandTimes hands, int rest)
    {
        var stuff = HandUnit.Of(HandWork.Stuff, sheet.Filling is null ? 0 : 1);
        Chore Part(HandUnit unit, int rests) => new(Math.Max(Whole(unit.Time(hands)), 1), rests, unit);
        if (!sheet.Stages.Contains(Stage.Fold))
        {
            return [Part(HandUnit.Of(HandWork.Roll) + stuff, rest)];
        }

        var (steps, coat) = (spec.Fold.Steps, spec.Sheet);
        if (steps.Count == 0 && coat.FatMass.Value <= 0 && coat.DustMass.Value <= 0)
        {
            return sheet.Filling is null ? [] : [Part(stuff, rest)];
        }

        var chores = new List<Chore>();
        var now = HandUnit.Of(HandWork.Sheet) + HandUnit.Of(HandWork.Brush, coat.FatMass.Value > 0 ? 1 : 0) + HandUnit.Of(HandWork.Dust, coat.DustMass.Value > 0 ? 1 : 0);
        var end = steps.Count;
        while (end > 0 && steps[end - 1].Rests is not null)
        {
            end--;
        }

        for (var i = 0; i < end; i++)
        {
            if (steps[i].Rests is { } time)
            {
                chores.Add(Part(now, Whole(time)));
                now = new([]);
            }
            else if (steps[i].Hands is { } use)
            {
                // On all the pieces there are by then, as the plan has timed it.
                now += HandUnit.Of(use.Work, sheet.Fold.Steps[i].Time.Value / hands[use.Work].Value);
            }
        }

        return [.. chores, Part(now + stuff, rest)];
    }

    private static (Visit Pan, Visit? Fry) Visits(BatchSpec spec, BatchSheet sheet, HandTimes hands, int lay)
    {
        List<int> stays = [.. sheet.Pan.Program.Turns.Select(t => Math.Max(Whole(t.Time), 1))];
        var (turn, lift) = (Whole(hands[HandWork.Turn]), Whole(hands[HandWork.Lift]));
        var open = lift + (spec.Pan.Finish == Finish.None ? 0 : Whole(hands[HandWork.Open]));
        if (stays.Count == 0)
        {
            // What cannot cook has no time; the clock shows a moment for it, and the pan's note says why.
            stays = [1];
        }

        // Turns quicker than a hand are one long turning.
        int Touch(int i) => i == 0 ? lay : Math.Max(Math.Min(turn, stays[i] - 1), 1);
        if (spec.Pan.Roasting == Roasting.DryThenFry && stays.Count >= 4)
        {
            return (
                new([.. stays.Take(2)], [lay, Touch(1), lift]),
                new([.. stays.Skip(2).Take(2)], [Touch(2), Touch(3), open]));
        }

        return (new(stays, [.. stays.Select((_, i) => Touch(i)), open]), null);
    }
}
