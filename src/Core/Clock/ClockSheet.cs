namespace Ystrata.Core.Clock;

/// <summary>What holds a service up.</summary>
public enum Bottleneck
{
    Hands,
    Pans,

    /// <summary>One piece's own way through all its rests.</summary>
    Rests,
}

/// <summary>What a timetable does not keep.</summary>
public enum ClockBreach
{
    /// <summary>It would have to begin before now.</summary>
    Late,

    /// <summary>The table time itself has gone by.</summary>
    TableGone,

    /// <summary>A rolled piece waits longer than it may.</summary>
    RolledWaits,

    /// <summary>A folded piece waits longer than it may.</summary>
    FoldedWaits,

    /// <summary>Dough stands longer than it may.</summary>
    DoughStands,

    /// <summary>The first piece stiffens before the last is done, where it is to be soft at the table.</summary>
    GoesStiff,

    /// <summary>It is no longer hot by then, where it is to be.</summary>
    GoesCool,

    /// <summary>Its face is no longer crisp by then, where it is to be.</summary>
    GoesLimp,

    /// <summary>A salted filling waits to be wrapped until it weeps.</summary>
    FillingWeeps,

    /// <summary>Dough that spoils stands warm for longer than is usual.</summary>
    DoughWarm,

    /// <summary>A filling that spoils stands warm for longer than is usual.</summary>
    FillingWarm,
}

/// <param name="By">Seconds over what is allowed.</param>
/// <param name="Bread">From 0; nothing when it is the whole service's.</param>
public sealed record Breach(ClockBreach Code, int? Bread, Seconds Is, Seconds Allowed, Seconds By)
{
    /// <summary>What cannot be, spoils the bread or is no longer safe is wrong; what is near that, a caution; what would only be better otherwise is to be watched.</summary>
    public Severity Severity => Code switch
    {
        ClockBreach.Late or ClockBreach.TableGone or ClockBreach.DoughStands => Severity.Wrong,
        ClockBreach.DoughWarm or ClockBreach.FillingWarm => Is.Value > WarmTime.Most.Value * 60 ? Severity.Wrong : Severity.Caution,
        _ => Severity.Watch,
    };
}

/// <summary>What could be had instead.</summary>
public enum WhatIf
{
    AnotherPan,
    AnotherHand,
    RollTwoAhead,
    ShorterRests,
    DryThenFry,
    FridgeOvernight,
    FrozenRounds,

    /// <summary>What spoils in the fridge until it is divided or wrapped, a few pieces taken out at a time, and from the pan into a lidded, insulated pot.</summary>
    ColdThenHot,
}

/// <summary>The same service planned anew with one thing changed.</summary>
/// <param name="Saves">Begins so much later for the same table, or is done so much earlier; negative when it takes longer.</param>
/// <param name="Younger">The oldest piece is so much younger at the table; negative when it is older.</param>
/// <param name="PerHour">Pieces an hour once it runs.</param>
/// <param name="Breaches">What it would not keep.</param>
/// <param name="Lead">From the beginning to the table.</param>
/// <param name="Enough">It would make up for a beginning that is too late.</param>
/// <param name="Batch">The first bread as it would be decided.</param>
public sealed record WhatIfSheet(WhatIf What, Seconds Saves, Seconds Younger, int PerHour, int Breaches, Seconds Lead, bool Enough, BatchSpec Batch);

/// <summary>One rest of one bread as it comes out: from the first that begins it to the last that ends it.</summary>
/// <param name="Bounds">Least, best and longest of each piece's own rest.</param>
/// <param name="Shortest">The shortest any piece has.</param>
/// <param name="Longest">The longest any piece has.</param>
public sealed record RestSlot(int Bread, ClockRest Rest, Seconds From, Seconds To, RestBounds Bounds, Seconds Shortest, Seconds Longest);

public enum ClockRest
{
    Dough,
    Balls,
    Folded,
    Fridge,
    Freezer,
}

/// <summary>When each stage of a bread begins.</summary>
public sealed record StageTime(int Bread, Stage Stage, Seconds At);

/// <param name="HandsEach">Hands one piece wants, over all people.</param>
/// <param name="PanEach">Pan one piece wants, over all places.</param>
/// <param name="Bound">Nobody can be quicker: the greatest of the three (models.md G).</param>
/// <param name="HandWork">All hand work over all people.</param>
/// <param name="PanWork">All pan work over all places.</param>
/// <param name="Chain">The longest way of one piece.</param>
/// <param name="PerHour">Pieces an hour once it runs.</param>
/// <param name="Oldest">The first piece's age when the last one is done.</param>
/// <param name="PanIdle">Of the time between first and last piece, percent of all places.</param>
/// <param name="RolledWait">The longest a rolled piece waits.</param>
public sealed record ClockReport(
    Bottleneck Bottleneck,
    Seconds Bound,
    Seconds HandWork,
    Seconds PanWork,
    Seconds Chain,
    Seconds HandsEach,
    Seconds PanEach,
    int PerHour,
    Seconds Oldest,
    Percent PanIdle,
    Seconds RolledWait,
    IReadOnlyList<Breach> Breaches);

/// <summary>A service on the clock. All times are seconds after the first thing anybody does.</summary>
/// <param name="Lead">From there to the last piece.</param>
/// <param name="FoldFirst">Pieces folded before the first is rolled.</param>
/// <param name="Works">Kinds of hand work in it.</param>
/// <param name="Oldest">What the oldest piece still is when the last is done.</param>
public sealed record ClockSheet(
    Seconds Lead,
    int FoldFirst,
    IReadOnlyList<HandSlot> Hands,
    IReadOnlyList<PanSlot> Pans,
    IReadOnlyList<RestSlot> Rests,
    IReadOnlyList<PieceLife> Pieces,
    IReadOnlyList<StageTime> Stages,
    IReadOnlyList<HandWork> Works,
    Kept Oldest,
    ClockReport Report);
