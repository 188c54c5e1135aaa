namespace Ystrata.Core.Clock;

/// <summary>Work the clock tells apart.</summary>
public enum ClockWork
{
    /// <summary>One step of a filling.</summary>
    Filling,

    /// <summary>One bowl of dough, kneaded.</summary>
    Mix,

    /// <summary>Balls weighed and rounded, a trayful at a time.</summary>
    Divide,

    /// <summary>One ball sheeted and folded, or filled and closed; up to the next rest of its program.</summary>
    Fold,

    /// <summary>The last roll of one piece.</summary>
    Roll,
    Lay,
    Turn,
    Lift,

    /// <summary>A stack of dry rounds goes on to be fried.</summary>
    Fry,
}

/// <summary>A rest with its bounds.</summary>
/// <param name="Chosen">What the plan keeps to at least.</param>
/// <param name="Least">Shorter spoils what the rest is for.</param>
/// <param name="Best">More gives little.</param>
/// <param name="Longest">Longer spoils the dough.</param>
public sealed record RestBounds(Minutes Chosen, Minutes Least, Minutes Best, Minutes Longest);

/// <summary>Work before there are pieces: a bowl, a trayful of balls, a step of the filling. Times in whole seconds.</summary>
/// <param name="Number">Which bowl, trayful or step, from 1.</param>
/// <param name="After">What must be done before, and how long ago.</param>
/// <param name="Unit">What it was timed by.</param>
/// <param name="Warm">Of its own time and what it waits for after it, how long a filling is warm.</param>
/// <param name="Stands">What it leaves is warm, or becomes so, while it waits for what comes next.</param>
internal sealed record Prep(ClockWork Work, int Number, int Seconds, IReadOnlyList<(int Prep, int Lag)> After, HandUnit? Unit = null, int Warm = 0, bool Stands = false);

/// <summary>One ball's work up to a rest, and that rest.</summary>
internal sealed record Chore(int Seconds, int Rest, HandUnit? Unit = null);

/// <summary>What one piece, or one stack, does on a pan: a hand's touch begins every stay, and the last lifts it.</summary>
internal sealed record Visit(IReadOnlyList<int> Stays, IReadOnlyList<int> Touches)
{
    public int Cooks { get; } = Stays.Sum();

    /// <summary>From the first touch until the place is free again.</summary>
    public int Length => Cooks + Touches[^1];

    public int Hands { get; } = Touches.Sum();

    /// <summary>Each touch by its seconds after the laying.</summary>
    public IEnumerable<(int At, int For)> Moments()
    {
        var at = 0;
        for (var i = 0; i < Touches.Count; i++)
        {
            yield return (at, Touches[i]);
            at += i < Stays.Count ? Stays[i] : 0;
        }
    }
}

/// <summary>How often the pan is wiped between pieces, and the seconds that takes.</summary>
internal sealed record Wiping(int For, int Every);

/// <summary>Of the dough in the bowl, of the balls, and of what is folded.</summary>
internal sealed record JobRests(RestBounds First, RestBounds Balls, RestBounds Fold);

/// <summary>One bread of a service as the clock sees it: what takes hands, what takes a pan, what only takes time. All times in whole seconds.</summary>
/// <param name="BallFrom">The prep each ball comes from; its rest follows.</param>
/// <param name="BallRest">From rounding to the first sheet.</param>
/// <param name="FoldAfter">What must also be done before a ball is folded: the filling.</param>
/// <param name="Each">Pieces one ball becomes.</param>
/// <param name="Fold">In order; empty when a ball goes straight to the last roll.</param>
/// <param name="Roll">The last roll of one piece; 0 for what is poured.</param>
/// <param name="Freeze">From the roll to the pan at least; 0 when nothing is frozen.</param>
/// <param name="Together">All pieces are waited for before the next step: what is made ahead is finished in one go.</param>
/// <param name="Fry">The second visit of a stack; nothing when each piece has one visit only.</param>
/// <param name="Stack">Pieces of a stack.</param>
/// <param name="OnPan">Pieces, or stacks, that a pan takes at once; its stays are those of so many.</param>
internal sealed record ClockJob(
    IReadOnlyList<Prep> Preps,
    IReadOnlyList<int> BallFrom,
    int BallRest,
    IReadOnlyList<(int Prep, int Lag)> FoldAfter,
    int Each,
    IReadOnlyList<Chore> Fold,
    int Roll,
    int Freeze,
    bool Together,
    Visit Pan,
    Visit? Fry,
    int Stack,
    int OnPan,
    Wiping Wiping,
    ClockLimits Limits,
    PanHeat Heat,
    JobRests Rests,
    JobWarm? Warm = null)
{
    public int Balls => BallFrom.Count;

    public int Pieces => Balls * Each;

    /// <summary>All hand work there is.</summary>
    public int Hands => Preps.Sum(p => p.Seconds) + Balls * Fold.Sum(f => f.Seconds) + Pieces * (Roll + Pan.Hands) + Stacks.Sum(k => FryOf(k).Hands);

    /// <summary>All pan work there is, in seconds of a whole pan.</summary>
    public double OnPans => (double)(Pieces * Pan.Length + Stacks.Sum(k => FryOf(k).Length)) / OnPan;

    /// <summary>When all that is wrapped is ready; nothing while it is not, or where nothing is wrapped.</summary>
    public int? FillingReady(BreadFloor bread) => FoldAfter.Select(a => bread.Prep[a.Prep] + a.Lag).Max();

    /// <summary>The longest a ball's filling waited to be wrapped.</summary>
    public int FillingWait(BreadFloor bread) => Math.Max(bread.Opened.Max() - FillingReady(bread) ?? 0, 0);

    /// <summary>Seconds it waited too long.</summary>
    public int FillingOver(BreadFloor bread) => Limits.Filled is { } most ? Math.Max(FillingWait(bread) - most, 0) : 0;

    public int HandsEach => Fold.Sum(f => f.Seconds) / Each + Roll + Pan.Hands + (Fry is null ? 0 : FryOf(Stack).Hands / Stack);

    /// <summary>Seconds of a whole pan that one piece takes.</summary>
    public double PanEach => (double)(Pan.Length + (Fry is null ? 0 : FryOf(Stack).Length / Stack)) / OnPan;

    /// <summary>Stacks of dry rounds, by their height.</summary>
    public IEnumerable<int> Stacks => Fry is null ? [] : Enumerable.Range(0, (Pieces + Stack - 1) / Stack).Select(i => Math.Min(Stack, Pieces - i * Stack));

    /// <summary>A stack of another height stays on in proportion: each piece has its time below.</summary>
    public Visit FryOf(int height) => new([.. Enumerable.Repeat(Fry!.Stays, height).SelectMany(s => s)], [.. Enumerable.Repeat(Fry!.Touches.Take(Fry.Stays.Count), height).SelectMany(t => t), Fry.Touches[^1]]);
}

/// <summary>How long what is made may wait; whole seconds.</summary>
/// <param name="Stands">Dough from the bowl to the first sheet.</param>
/// <param name="Folded">From fold to roll.</param>
/// <param name="Rolled">From roll to pan.</param>
/// <param name="Table">From pan to table, as long as it is as wanted.</param>
/// <param name="Wants">What it is to be there.</param>
/// <param name="Filled">From when the filling is ready until it is wrapped: then it weeps; nothing where it never does.</param>
internal sealed record ClockLimits(int Stands, int Folded, int Rolled, int Table, HoldWant Wants, int? Filled = null);

/// <summary>What a bread wants of the pan.</summary>
internal sealed record PanHeat(Celsius At, Cookware On);
