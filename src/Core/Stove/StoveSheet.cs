namespace Ystrata.Core.Stove;

/// <summary>What to press once something is done: the event without its hour.</summary>
public sealed record StovePress(StoveAct Act, int? Pan = null, int? Place = null, int? Bread = null, int? Number = null, ClockWork? Work = null, double? Value = null);

/// <summary>What lies on one place of a pan now; nothing of it when the place is empty.</summary>
/// <param name="Numbers">Pieces by number; several for a stack.</param>
/// <param name="Since">Of this stay.</param>
/// <param name="Due">The turn or the lifting; nothing when nothing lies there.</param>
/// <param name="Turns">Turns it has had.</param>
/// <param name="Lift">True when what comes next is the lifting.</param>
/// <param name="Fat">That goes under it with the next turn.</param>
/// <param name="Dark">How dark the face is that is up.</param>
/// <param name="Next">The piece it gets next; nothing when none is left for it.</param>
/// <param name="Press">What it waits for; nothing where it waits for nothing.</param>
public sealed record StovePlace(int Place, int? Bread, IReadOnlyList<int> Numbers, Seconds? Since, Seconds? Due, int Turns, bool Lift, Grams Fat, double Dark, bool Fry, StoveNext? Next, StovePress? Press);

/// <summary>The piece a place waits for.</summary>
/// <param name="At">When it goes on.</param>
public sealed record StoveNext(int Bread, int Number, Seconds At);

/// <summary>How a pan stands to what is cooked on it.</summary>
public enum PanState
{
    Unmeasured,
    Right,
    TooCool,
    TooHot,

    /// <summary>Its fat begins to smoke.</summary>
    Smokes,
}

/// <param name="Gone">Nothing more goes on it.</param>
/// <param name="Heat">As last measured.</param>
/// <param name="Wanted">For the bread it has or gets.</param>
/// <param name="SmokeFrom">Nothing where the fat does not smoke.</param>
/// <param name="Wipe">Before the next piece.</param>
public sealed record StovePan(int Pan, bool Gone, Celsius? Heat, Celsius Wanted, Celsius? SmokeFrom, PanState State, bool Wipe, IReadOnlyList<StovePlace> Places);

/// <summary>One thing for a hand to do.</summary>
/// <param name="Rested">How long what it is done to has rested by then; nothing at the pan.</param>
/// <param name="Fat">That goes with a turn.</param>
/// <param name="Press">Once it is done.</param>
public sealed record StoveTask(int Person, ClockWork Work, int Bread, int Number, int Chore, int? Pan, int? Place, Seconds At, Seconds Until, Seconds? Rested, Grams Fat, bool Under, StovePress Press);

public sealed record StovePiece(int Number, PieceAt At, Seconds? Since);

/// <summary>What spoils, how long it has stood warm, and what is left of its budget (models.md F): right, running out, over the usual limit, to be thrown away.</summary>
/// <param name="Part">Dough or filling.</param>
/// <param name="For">The longest of any piece that is still to be eaten.</param>
/// <param name="Left">Until the usual limit; once that is over, until it is thrown away; negative after that.</param>
public sealed record StoveWarm(Stage Part, Seconds For, Seconds Left, Severity Severity)
{
    // From here on it is running out, s (empirical).
    private const double RunsOut = 1800;

    internal static StoveWarm Of(Stage part, int seconds)
    {
        var (limit, most) = (WarmTime.Limit.Value * 60, WarmTime.Most.Value * 60);
        return new(
            part,
            new(seconds),
            new((seconds > limit ? most : limit) - seconds),
            seconds > most ? Severity.Wrong : seconds > limit ? Severity.Caution : limit - seconds < RunsOut ? Severity.Watch : Severity.Right);
    }
}

/// <param name="Across">The round to roll it to.</param>
/// <param name="Warm">Of what spoils in it and is there already.</param>
/// <param name="Work">What hands are told of it.</param>
public sealed record StoveBread(string Name, int Pieces, int Done, int Lost, Millimetres Across, Finish Finish, bool Stuffed, IReadOnlyList<StovePiece> Belt, IReadOnlyList<StoveWarm> Warm, StoveWork Work);

/// <param name="Undone">Taken back.</param>
public sealed record StovePast(StoveEvent Event, bool Undone);

/// <summary>A running service as every screen shows it. All times are seconds after it began.</summary>
/// <param name="Ends">When the last piece will be lifted as things stand.</param>
/// <param name="InHand">Until the table then; negative when it will be late.</param>
/// <param name="Probed">The pan the probe is on.</param>
/// <param name="Stuck">No hands or no pans: it cannot go on.</param>
/// <param name="Tasks">In the order of the hands' work, nearest first.</param>
/// <param name="Left">Since the last event; long ago when it was left open.</param>
/// <param name="Done">Pieces that are done.</param>
/// <param name="ToMake">Pieces that can still be.</param>
/// <param name="Lost">Pieces nobody will eat.</param>
/// <param name="Open">True when it was left open for so long that somebody should say whether it goes on.</param>
public sealed record StoveSheet(
    Seconds Now,
    Seconds Table,
    Seconds Ends,
    Seconds InHand,
    int People,
    int? Probed,
    bool Stuck,
    bool Ended,
    Seconds Left,
    bool Open,
    int Done,
    int ToMake,
    int Lost,
    IReadOnlyList<StovePan> Pans,
    IReadOnlyList<StoveTask> Tasks,
    IReadOnlyList<StoveBread> Breads,
    IReadOnlyList<Breach> Breaches,
    IReadOnlyList<StovePast> Past)
{
    /// <summary>Pieces that are still to be done.</summary>
    public int ToCome => ToMake - Done;
}
