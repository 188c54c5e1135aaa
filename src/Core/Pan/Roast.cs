namespace Ystrata.Core.Pan;

/// <summary>Why no program of turns cooks the piece.</summary>
public enum PanFailure
{
    /// <summary>Its middle never gets there: too thick, or too little heat.</summary>
    NeverCooks,

    /// <summary>A face chars before the middle is done.</summary>
    Chars,

    /// <summary>The faces never take the colour wanted.</summary>
    NeverColours,
}

/// <summary>What the piece must have reached.</summary>
/// <param name="Dough">Every place of the dough, so that it has set.</param>
/// <param name="Filling">Every place of the filling.</param>
/// <param name="Colour">Of both faces.</param>
/// <param name="Dry">Faces that are to stay pale because they are fried afterwards.</param>
internal readonly record struct Wanted(Celsius Dough, Celsius Filling, double Colour, bool Dry = false)
{
    public bool Cooked(PanRun run) => run.DoughPassed.Value >= Dough.Value && run.FillingPassed.Value >= Filling.Value;
}

/// <summary>How it is roasted.</summary>
/// <param name="Fat">There is fat for the stays that want it.</param>
/// <param name="Batter">It is turned once its top has set.</param>
internal readonly record struct Manner(Roasting Roasting, bool Fat, bool Batter = false);

/// <summary>Finds the turns: the first at the blister cue, then the shortest program that reaches both (models.md F).</summary>
/// <remarks>
/// Once it is said how many stays are left, each face takes its even part of the colour it still wants in each of its stays, so that
/// a program is found by one run and no search. A handful of such programs is tried and the shortest that cooks is taken.
/// </remarks>
internal static class Roast
{
    /// <summary>Longest stay, and longest program, that is tried, s.</summary>
    private const int LongestStay = 240, Longest = 900;

    // A turn costs the hands about this many seconds (empirical): of two programs that are as long, the one with fewer turns is better.
    private const int TurnCosts = 4;
    private const int MostStays = 10, ShortStay = 15, LeastStay = 3;

    // The first face stops short of this share of its colour, however late the cue.
    private const double FirstShare = 0.5;
    private const double Close = 0.05; // of darkness

    // From the dry pan to the frying, under a cloth with the others (empirical).
    private const int CoolsUnderCloth = 60;

    /// <summary>Blister cue: so deep it comes so near to boiling (models.md F: 94 °C at the sea). A batter is turned once its top has set (empirical).</summary>
    internal const double CueDepth = 0.35, CueUnderBoiling = 6;
    private const double SetDepth = 0.9, SetAt = 72;

    /// <summary>What the depth of the blister cue reaches.</summary>
    internal static Celsius CueAt(PanRun run) => new(run.Boils.Value - CueUnderBoiling);

    public static bool Cue(PanRun run, bool batter) => batter ? run.At(SetDepth).Value >= SetAt : run.At(CueDepth).Value >= CueAt(run).Value;

    /// <summary>Stays that cook the piece, in whole seconds; or why none do.</summary>
    /// <param name="run">The piece as it is laid; the stays that are found leave it as it comes off.</param>
    /// <param name="coarse">The same with coarse cells and steps, for what is only tried out.</param>
    public static (IReadOnlyList<int> Stays, PanFailure? Why) Advise(PanRun run, PanRun coarse, Wanted wanted, Manner manner)
    {
        var roasting = manner.Roasting;
        if (roasting == Roasting.ManyTurns)
        {
            return Turning(run, wanted, manner);
        }

        // Tried out on a coarse copy, then timed on the true one.
        var (best, shortest, why) = (0, int.MaxValue, (PanFailure?)null);
        var first = coarse.Copy();
        FirstStay(first, wanted, manner);
        var least = roasting is Roasting.FatEachSide ? 2 : 1;
        for (var left = least; left <= (roasting is Roasting.DryThenFry or Roasting.OneTurn ? 1 : MostStays); left++)
        {
            var (stays, failure) = Rest(first.Copy(), wanted, manner, left);
            why ??= failure;
            var cost = stays.Sum() + TurnCosts * stays.Count;
            if (failure is null && cost < shortest)
            {
                (best, shortest) = (left, cost);
            }
            else if (failure is null)
            {
                // More turns only take longer from here on.
                break;
            }
        }

        if (best == 0)
        {
            return ([], why ?? PanFailure.NeverCooks);
        }

        var one = FirstStay(run, wanted, manner);
        var (rest, late) = Rest(run, wanted, manner, best);
        return late is null ? ([one, .. rest], null) : ([], late);
    }

    /// <summary>Whether fat is put on before stay number so many, from 0.</summary>
    public static bool IsFatted(Roasting roasting, int stay) => roasting switch
    {
        Roasting.FatEachSide or Roasting.ManyTurns => stay is 1 or 2,
        Roasting.DryThenFry => stay is 2 or 3,
        Roasting.OneTurn => stay is 0 or 1,
        Roasting.ShallowFry => stay == 0,
        _ => false,
    };

    /// <summary>What is done to the piece before stay number so many: the turn, the fat.</summary>
    /// <param name="fatted">Whether fat goes on the face that goes down.</param>
    public static void Begin(PanRun run, Roasting roasting, int stay, bool fatted)
    {
        if (stay > 0)
        {
            run.Turn();
        }

        run.Spooned = roasting == Roasting.ShallowFry;
        if (fatted || run.Spooned)
        {
            run.Fatten(run.Down);
        }
    }

    private static void Begin(PanRun run, Manner manner, int stay) => Begin(run, manner.Roasting, stay, manner.Fat && IsFatted(manner.Roasting, stay));

    /// <summary>The two stays in the stack once all rounds are dry: each piece fries one face, waits on the others, fries the other.</summary>
    /// <param name="run">A piece that has been roasted dry.</param>
    public static (IReadOnlyList<int> Stays, PanFailure? Why) Fry(PanRun run, Wanted wanted, Manner manner, int stack)
    {
        var stays = new List<int>();
        for (var stay = 2; stay <= 3; stay++)
        {
            run.Wait(StackWait(stay, stays, stack));
            Begin(run, manner, stay);
            var seconds = 0;
            while (seconds < LeastStay || run.ColourOf(run.Down) < wanted.Colour - Close)
            {
                if (seconds >= LongestStay)
                {
                    return ([], PanFailure.NeverColours);
                }

                run.Go(1);
                seconds++;
            }

            stays.Add(seconds);
        }

        return (stays, wanted.Cooked(run) ? null : PanFailure.NeverCooks);
    }

    /// <summary>How long a piece lies off the pan before a stay: until all are dry, then while the others of its stack have their turn.</summary>
    public static int StackWait(int stay, IReadOnlyList<int> before, int stack) => stay switch
    {
        2 => CoolsUnderCloth,
        3 => (stack - 1) * before[^1],
        _ => 0,
    };

    private static int FirstStay(PanRun run, Wanted wanted, Manner manner)
    {
        Begin(run, manner, 0);
        var seconds = 0;
        do
        {
            run.Go(1);
            seconds++;
        }
        while (seconds < LongestStay && !IsTurned(run, wanted, manner));
        return seconds;
    }

    // With one turn, once the face has its colour, and a batter has set; else at the blisters, well short of it.
    private static bool IsTurned(PanRun run, Wanted wanted, Manner manner) => manner.Roasting == Roasting.OneTurn
        ? run.ColourOf(Face.First) >= wanted.Colour - Close && (!manner.Batter || Cue(run, batter: true))
        : Cue(run, manner.Batter) || run.ColourOf(Face.First) >= FirstShare * wanted.Colour;

    // Every face takes an even part of what it still wants in each of its stays; the last ones see to it that it is cooked.
    private static (IReadOnlyList<int> Stays, PanFailure? Why) Rest(PanRun run, Wanted wanted, Manner manner, int left)
    {
        var stays = new List<int>();
        var total = (int)run.Time.Value;
        for (var stay = 1; stay <= left; stay++)
        {
            Begin(run, manner, stay);
            var face = run.Down;
            var more = (left - stay) / 2 + 1;
            var goal = run.ColourOf(face) + Math.Max(wanted.Colour - run.ColourOf(face), 0) / more;
            var seconds = 0;
            while (run.ColourOf(face) < goal - Close || seconds < LeastStay || stay == left && !wanted.Cooked(run) && !run.Charred)
            {
                if (seconds >= LongestStay || total >= Longest)
                {
                    return (stays, wanted.Cooked(run) ? PanFailure.NeverColours : PanFailure.NeverCooks);
                }

                run.Go(1);
                seconds++;
                total++;
            }

            stays.Add(seconds);
        }

        var pale = !wanted.Dry && Math.Min(run.ColourOf(Face.First), run.ColourOf(Face.Second)) < wanted.Colour - 3 * Close;
        return (stays, run.Charred ? PanFailure.Chars : !wanted.Cooked(run) ? PanFailure.NeverCooks : pale ? PanFailure.NeverColours : null);
    }

    // Turned every quarter of a minute until both faces and the middle are there.
    private static (IReadOnlyList<int> Stays, PanFailure? Why) Turning(PanRun run, Wanted wanted, Manner manner)
    {
        var stays = new List<int> { FirstStay(run, wanted, manner) };
        bool Done() => wanted.Cooked(run) && run.ColourOf(run.Down) >= wanted.Colour - Close;
        while (!(Done() && stays.Count > 2 && run.ColourOf(run.Down == Face.First ? Face.Second : Face.First) >= wanted.Colour - Close))
        {
            if (run.Time.Value >= Longest || stays.Count >= PanSpec.MostStays || run.Charred)
            {
                return ([], run.Charred ? PanFailure.Chars : wanted.Cooked(run) ? PanFailure.NeverColours : PanFailure.NeverCooks);
            }

            Begin(run, manner, stays.Count);
            var seconds = 0;
            do
            {
                run.Go(1);
                seconds++;
            }
            while (seconds < ShortStay && !(seconds >= LeastStay && wanted.Cooked(run) && run.ColourOf(run.Down) >= wanted.Colour - Close));
            stays.Add(seconds);
        }

        return run.Charred ? ([], PanFailure.Chars) : (stays, null);
    }
}
