namespace Ystrata.Core.Practice;

/// <summary>What is seen from above at one second.</summary>
/// <param name="Blisters">How far they have risen, 0 to 1.</param>
/// <param name="Dark">Of the face that is up.</param>
/// <param name="Matt">How far the raw face has turned matt, 0 to 1.</param>
/// <param name="Smoke">How much rises from under it, 0 to 1.</param>
public sealed record PracticeFrame(double Blisters, double Dark, double Matt, double Smoke);

/// <summary>What every second of one turn, or of the lift, would have given, everything else as it was.</summary>
/// <param name="Event">The turn, from 0; the lift comes last.</param>
/// <param name="From">The second of the first score.</param>
/// <param name="Scores">One a second, up to the next turn.</param>
/// <param name="Best">The second that scores highest.</param>
/// <param name="Yours">The second it was done at.</param>
public sealed record PracticeCurve(int Event, Seconds From, IReadOnlyList<double> Scores, Seconds Best, Seconds Yours);

/// <summary>The piece once it is lifted.</summary>
/// <param name="Pan">What the pan was when the piece went on.</param>
/// <param name="Heat">How near the guess of it came, out of 100; nothing without a guess.</param>
/// <param name="Advised">Seconds of each stay as they would have been advised.</param>
public sealed record PracticeEnd(
    PracticeMarks Marks, double First, double Second, double Dark, bool Cooked, Celsius Passed, Celsius Needed, Percent Lost, Celsius Pan, int? Heat, IReadOnlyList<PracticeCurve> Curves, IReadOnlyList<Seconds> Advised);

/// <param name="From">The second that the frames begin with: the last turn.</param>
/// <param name="Frames">One a second, as long as nothing is done.</param>
/// <param name="End">Once it is lifted.</param>
public sealed record PracticePlay(PracticeTask Task, Seconds From, Face Up, IReadOnlyList<PracticeFrame> Frames, PracticeEnd? End);

/// <summary>The trainer: a pan, a bread and a flame drawn by lot, on the very model the plan uses.</summary>
public static class Trainer
{
    public const int MostTurns = 20, Levels = 5;

    /// <summary>Nobody waits longer for a turn, s.</summary>
    public const int Longest = 240;

    // A lift is drawn for so much longer than it lay, s.
    private const int Beyond = 60;

    // Smoke is seen from here on, and is thick so much hotter, °C (empirical: flour and fat on the pan).
    private const double SmokesFrom = 235, SmokesFor = 40;

    private const double MattFrom = 50, MattTo = 80;
    private const double BlistersFrom = 75;

    // A guess so far from the pan, K, is worth a third.
    private const double GuessOff = 25;

    /// <summary>The same seed draws the same lot.</summary>
    /// <param name="level">1 to <see cref="Levels"/>.</param>
    public static PracticeTask Task(int seed, int level = 1) => PracticeRound.Of(seed, level).Task;

    /// <param name="turns">Seconds after laying at which it is turned, in order.</param>
    /// <param name="lift">When it is lifted; nothing while it lies.</param>
    /// <param name="guess">What the cook takes the empty pan for.</param>
    public static PracticePlay Play(int seed, int level, IReadOnlyList<int> turns, int? lift, Celsius? guess = null)
    {
        var round = PracticeRound.Of(seed, level);
        var run = Played(round, turns);
        var from = run.Time;
        var (up, frames) = (run.Down == Face.First ? Face.Second : Face.First, new List<PracticeFrame>());
        var going = run.Copy();
        for (var second = 0; second <= Longest; second++)
        {
            frames.Add(Seen(going, up));
            going.Go(1);
        }

        return new(round.Task, from, up, frames, lift is { } at ? End(round, turns, at, guess) : null);
    }

    private static PracticeEnd End(PracticeRound round, IReadOnlyList<int> turns, int lift, Celsius? guess)
    {
        var run = Played(round, turns);
        run.Go(lift - (int)run.Time.Value);
        List<int> events = [.. turns, lift];
        var wanted = round.Wanted;
        var behind = wanted.Filling.Value - run.FillingPassed.Value > wanted.Dough.Value - run.DoughPassed.Value;
        return new(
            round.Marks(run, turns.Count > 0 ? turns[0] : null), run.ColourOf(Face.First), run.ColourOf(Face.Second), wanted.Colour, wanted.Cooked(run),
            behind ? run.FillingPassed : run.DoughPassed, behind ? wanted.Filling : wanted.Dough, run.Lost, round.Pan,
            guess is { } g ? (int)Math.Round(100 * Math.Exp(-Math.Abs(g.Value - round.Pan.Value) / GuessOff)) : null,
            Curves(round, events),
            [.. round.Advised().Select(s => new Seconds(s))]);
    }

    // Each event is moved second by second between its neighbours; what comes before it is run once, what comes after it anew for each.
    private static List<PracticeCurve> Curves(PracticeRound round, List<int> events)
    {
        var curves = new List<PracticeCurve>();
        var before = round.Laid();
        round.Begin(before, 0);
        for (var i = 0; i < events.Count; i++)
        {
            var from = (i == 0 ? 0 : events[i - 1]) + 1;
            var to = i < events.Count - 1 ? events[i + 1] - 1 : Math.Min(events[i] + Beyond, from - 1 + Longest);
            var (lying, scores) = (before.Copy(), new List<double>());
            for (var second = from; second <= to; second++)
            {
                lying.Go(1);
                scores.Add(round.Marks(After(round, lying.Copy(), events, i), events.Count == 1 ? null : i == 0 ? second : events[0]).Score);
            }

            curves.Add(new(i, new(from), scores, new(from + scores.IndexOf(scores.Max())), new(events[i])));
            before.Go(events[i] - (int)before.Time.Value);
            round.Begin(before, i + 1);
        }

        return curves;
    }

    // The rest of the round once event number so many has been done.
    private static PanRun After(PracticeRound round, PanRun run, List<int> events, int number)
    {
        for (var i = number; i < events.Count - 1; i++)
        {
            round.Begin(run, i + 1);
            run.Go(events[i + 1] - (int)run.Time.Value);
        }

        return run;
    }

    private static PanRun Played(PracticeRound round, IReadOnlyList<int> turns)
    {
        var run = round.Laid();
        round.Begin(run, 0);
        for (var i = 0; i < turns.Count; i++)
        {
            run.Go(turns[i] - (int)run.Time.Value);
            round.Begin(run, i + 1);
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
}
