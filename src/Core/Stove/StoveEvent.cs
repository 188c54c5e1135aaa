namespace Ystrata.Core.Stove;

/// <summary>What happens at a running service, each one press.</summary>
public enum StoveAct
{
    /// <summary>Something at the bench is finished: a bowl, a trayful, a step of the filling, a ball (the part of its program in <see cref="StoveEvent.Value"/>, where told), a roll.</summary>
    Done,
    Laid,
    Turned,

    /// <summary>Fat put on beside what the plan has.</summary>
    Fat,
    Lifted,
    Wiped,

    /// <summary>On the floor: a piece is lost.</summary>
    Dropped,

    /// <summary>Its filling is on the pan: the piece is lost and the pan has to be wiped.</summary>
    Burst,

    /// <summary>The hands are held up, by <see cref="StoveEvent.Value"/> seconds.</summary>
    Late,

    /// <summary>What is hot has gone to the table: one piece, or all of a bread.</summary>
    Served,

    /// <summary>The pan was measured at <see cref="StoveEvent.Value"/> °C.</summary>
    Heat,
    /// <summary>The probe is on this pan from now on; on none where no pan is told.</summary>
    Probe,
    PanGone,
    PanBack,

    /// <summary>So many pairs of hands from now on.</summary>
    Hands,

    /// <summary>The table is wanted at <see cref="StoveEvent.Value"/> seconds after the service began.</summary>
    Table,
    Undo,
    End,
}

/// <summary>One event of a service. Which of the others are told depends on the act; all numbers count from 0, <see cref="Number"/> from 1.</summary>
/// <param name="Id">Made by whoever pressed: the same press sent twice counts once.</param>
/// <param name="At">After the service began.</param>
/// <param name="Number">Of the ball, piece, bowl, trayful or step; of a stack the first piece.</param>
/// <param name="Undoes">The event that is taken back.</param>
public sealed record StoveEvent(
    Guid Id,
    Seconds At,
    StoveAct Act,
    int? Pan = null,
    int? Place = null,
    int? Bread = null,
    int? Number = null,
    ClockWork? Work = null,
    double? Value = null,
    Guid? Undoes = null);

/// <summary>Why an event is not taken.</summary>
public enum StoveRefusal
{
    /// <summary>Something needed for this act was not told.</summary>
    NotTold,
    NoSuchPan,
    NoSuchPiece,
    NoSuchWork,

    /// <summary>Nothing lies there.</summary>
    NothingThere,

    /// <summary>Another piece lies there.</summary>
    PlaceTaken,

    /// <summary>No piece is left to lay.</summary>
    NoneLeft,

    /// <summary>That piece is lost.</summary>
    PieceLost,

    /// <summary>That pan is away.</summary>
    PanAway,
    OutOfRange,

    /// <summary>There is no such event to take back, or it was taken back already.</summary>
    NothingToUndo,

    /// <summary>The service is closed.</summary>
    Ended,
}

/// <summary>What became of a press.</summary>
/// <param name="Counted">False when it was so already: another screen was quicker, or it was sent twice.</param>
public sealed record StoveAnswer(bool Counted, StoveRefusal? Refusal = null);
