namespace Ystrata.Core.Practice;

/// <summary>What is put before the cook to practise on; the pan's heat is for the eye to find out.</summary>
/// <param name="Wanted">How dark both faces should be.</param>
public sealed record PracticeTask(int Seed, PanKind Pan, Flame Flame, Millimetres Thickness, bool Frozen, bool Chilled, Colour Wanted, bool Fat);

/// <summary>What is seen from above at one second.</summary>
/// <param name="Blisters">How far they have risen, 0 to 1.</param>
/// <param name="Dark">Of the face that is up.</param>
/// <param name="Matt">How far the raw face has turned matt, 0 to 1.</param>
/// <param name="Smoke">How much rises from under it, 0 to 1.</param>
public sealed record PracticeFrame(double Blisters, double Dark, double Matt, double Smoke);

/// <summary>The piece once it is lifted.</summary>
/// <param name="Score">Out of 100.</param>
/// <param name="Pan">What the pan was when the piece went on.</param>
/// <param name="ElseWise">What each turn, and the lift last, would have scored so many seconds earlier or later.</param>
/// <param name="Advised">Seconds of each stay as they would have been advised.</param>
public sealed record PracticeEnd(
    int Score, double First, double Second, double Dark, bool Cooked, Celsius Passed, Celsius Needed, Percent Lost, Celsius Pan, IReadOnlyList<PracticeElse> ElseWise, IReadOnlyList<Seconds> Advised);

/// <param name="Event">The turn, from 0; the lift comes last.</param>
/// <param name="By">Seconds later; earlier when negative.</param>
public sealed record PracticeElse(int Event, Seconds By, int Score);

/// <param name="From">The second that the frames begin with: the last turn.</param>
/// <param name="Frames">One a second, as long as nothing is done.</param>
/// <param name="End">Once it is lifted.</param>
public sealed record PracticePlay(PracticeTask Task, Seconds From, Face Up, IReadOnlyList<PracticeFrame> Frames, PracticeEnd? End);

/// <summary>The trainer: a pan, a bread and a flame drawn by lot, on the very model the plan uses.</summary>
public static class Trainer
{
    public const int MostTurns = 20;

    /// <summary>Nobody waits longer for a turn, s.</summary>
    public const int Longest = 240;

    // Points: through, each face's colour, juice.
    private const double Through = 30, OfFace = 30, OfWater = 10;

    // Smoke is seen from here on, and is thick so much hotter, °C (empirical: flour and fat on the pan).
    private const double SmokesFrom = 235, SmokesFor = 40;

    private const double MattFrom = 50, MattTo = 80;
    private const double BlistersFrom = 75;
    private static readonly int[] Else = [-5, -1, 1, 5];

    /// <summary>The same seed draws the same lot.</summary>
    public static PracticeTask Task(int seed)
    {
        var lot = new Draw(seed);
        PanKind[] pans = [PanKind.CastIron, PanKind.Steel, PanKind.Aluminium, PanKind.NonStick, PanKind.Clay, PanKind.Soapstone];
        var pan = pans[lot.Of(pans.Length)];
        var flame = lot.Of(3) switch { 0 => Flame.Low, 1 => Flame.Medium, _ => Flame.High };
        var (thickness, cold) = (new Millimetres(2 + 0.25 * lot.Of(9)), lot.Of(5));
        return new(seed, pan, flame, thickness, cold == 0, cold == 1, lot.Of(2) == 0 ? Colour.Gold : Colour.Brown, lot.Of(2) == 0);
    }

    /// <param name="turns">Seconds after laying at which it is turned, in order.</param>
    /// <param name="lift">When it is lifted; nothing while it lies.</param>
    public static PracticePlay Play(int seed, IReadOnlyList<int> turns, int? lift)
    {
        var task = Task(seed);
        var run = Run(task, turns);
        var from = run.Time;
        var (up, frames) = (run.Down == Face.First ? Face.Second : Face.First, new List<PracticeFrame>());
        var going = run.Copy();
        for (var second = 0; second <= Longest; second++)
        {
            frames.Add(Seen(going, up));
            going.Go(1);
        }

        return new(task, from, up, frames, lift is { } at ? End(task, turns, at) : null);
    }

    private static PracticeEnd End(PracticeTask task, IReadOnlyList<int> turns, int lift)
    {
        var run = Lifted(task, turns, lift);
        var events = turns.Append(lift).ToList();
        var elseWise = new List<PracticeElse>();
        for (var i = 0; i < events.Count; i++)
        {
            foreach (var by in Else)
            {
                // Only this one moves; it cannot pass its neighbours.
                var moved = events.Select((e, j) => j == i ? e + by : e).ToList();
                if (moved[i] > (i == 0 ? 0 : moved[i - 1]) && (i == events.Count - 1 || moved[i] < moved[i + 1]))
                {
                    elseWise.Add(new(i, new(by), Score(task, Lifted(task, [.. moved.SkipLast(1)], moved[^1]))));
                }
            }
        }

        var wanted = new Wanted(Cooked.DoughSets, Cooked.DoughSets, PanStage.Dark(task.Wanted));
        var (stays, _) = Roast.Advise(Start(task), Start(task), wanted, new(task.Fat ? Roasting.FatEachSide : Roasting.DryOnly, task.Fat));
        return new(
            Score(task, run), run.ColourOf(Face.First), run.ColourOf(Face.Second), PanStage.Dark(task.Wanted), wanted.Cooked(run), run.DoughPassed, Cooked.DoughSets, run.Lost, Start(task).Pan, elseWise,
            [.. stays.Select(s => new Seconds(s))]);
    }

    private static PanRun Lifted(PracticeTask task, IReadOnlyList<int> turns, int lift)
    {
        var run = Run(task, turns);
        run.Go(lift - (int)run.Time.Value);
        return run;
    }

    private static int Score(PracticeTask task, PanRun run)
    {
        var dark = PanStage.Dark(task.Wanted);
        double OfColour(Face face) => OfFace * Math.Max(1 - Math.Abs(run.ColourOf(face) - dark) / dark, 0);
        // A raw place counts for nothing however good it looks; near is not through.
        var through = run.DoughPassed.Value >= Cooked.DoughSets.Value ? Through : Through * 0.5 * Math.Clamp((run.DoughPassed.Value - 60) / (Cooked.DoughSets.Value - 60), 0, 1);
        var juice = OfWater * Math.Clamp((30 - run.Lost.Value) / 10, 0, 1);
        return (int)Math.Round(through + OfColour(Face.First) + OfColour(Face.Second) + juice);
    }

    private static PanRun Start(PracticeTask task)
    {
        var lot = new Draw(task.Seed + 1);
        var pan = 175 + 5 * lot.Of(13);
        var slab = Slab.Of([new(task.Thickness, PanPiece.Dough, new(40 + lot.Of(6)), [], From: task.Chilled ? Air.Fridge : null)], task.Frozen);
        return new(slab, new(pan), Cookware.Of(task.Pan) with { Flame = task.Flame });
    }

    private static PanRun Run(PracticeTask task, IReadOnlyList<int> turns)
    {
        var run = Start(task);
        foreach (var (at, stay) in turns.Select((t, i) => (t, i + 1)))
        {
            run.Go(at - (int)run.Time.Value);
            run.Turn();
            if (task.Fat && Roast.IsFatted(Roasting.FatEachSide, stay))
            {
                run.Fatten(run.Down);
            }
        }

        return run;
    }

    private static PracticeFrame Seen(PanRun run, Face up)
    {
        // Depth is counted from the face that lay down first; blisters rise from the one that lies down now.
        var depth = up == Face.Second ? Roast.CueDepth : 1 - Roast.CueDepth;
        static double Between(double value, double from, double to) => Math.Round(Math.Clamp((value - from) / (to - from), 0, 1), 3);
        return new(
            Between(run.At(depth).Value, BlistersFrom, Roast.CueAt(run).Value),
            Math.Round(run.ColourOf(up), 3),
            Between(run.At(up == Face.Second ? 1 : 0).Value, MattFrom, MattTo),
            Between(run.Pan.Value, SmokesFrom, SmokesFrom + SmokesFor));
    }

    // Lots that fall alike on every machine: a small generator of our own, SplitMix64.
    private sealed class Draw(int seed)
    {
        private ulong state = unchecked((ulong)seed * 0x9E3779B97F4A7C15UL);

        public int Of(int count)
        {
            unchecked
            {
                state += 0x9E3779B97F4A7C15UL;
                var z = state;
                z = (z ^ (z >> 30)) * 0xBF58476D1CE4E5B9UL;
                z = (z ^ (z >> 27)) * 0x94D049BB133111EBUL;
                return (int)((z ^ (z >> 31)) % (ulong)count);
            }
        }
    }
}
