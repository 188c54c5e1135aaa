namespace Ystrata.Core.Clock;

/// <summary>Hands at work, without a break.</summary>
public sealed record Stretch(Seconds From, Seconds To);

/// <summary>One thing done by one pair of hands. It is laid aside for a turn at the pan and taken up again.</summary>
/// <param name="Person">From 0.</param>
/// <param name="Bread">From 0, in the order of the service.</param>
/// <param name="Number">Which ball, piece, bowl, trayful or step, from 1; of a stack the first piece.</param>
/// <param name="Chore">Which part of a ball's program, from 0.</param>
/// <param name="Pan">From 0; nothing at the bench.</param>
public sealed record HandSlot(int Person, ClockWork Work, int Bread, int Number, int Chore, int? Pan, int? Place, IReadOnlyList<Stretch> Parts)
{
    /// <summary>The piece it is done to, from 1: the first that a ball becomes; nothing before there are balls.</summary>
    public int? Piece { get; init; }
}

/// <summary>One stay on a pan, from the laying to the lifting.</summary>
/// <param name="Pieces">By number, from 1; several for a stack.</param>
/// <param name="Turns">When it is turned.</param>
/// <param name="Fry">A stack of dry rounds.</param>
/// <param name="Wiped">The pan is wiped first.</param>
public sealed record PanSlot(int Pan, int Place, int Bread, IReadOnlyList<int> Pieces, Seconds Laid, IReadOnlyList<Seconds> Turns, Seconds Lifted, bool Fry, bool Wiped);

/// <summary>The way of one piece from ball to table; nothing for what does not happen to it.</summary>
/// <param name="Number">From 1.</param>
public sealed record PieceLife(int Bread, int Number, Seconds? Rounded, Seconds? Opened, Seconds? Folded, Seconds? Rolled, Seconds? Laid, Seconds? Lifted);

/// <summary>How well a timetable does, models.md G: the objectives in their order.</summary>
/// <param name="Ends">The last piece is lifted.</param>
/// <param name="Over">Seconds over all limits together.</param>
/// <param name="Oldest">From the first piece lifted to the last.</param>
/// <param name="Idle">Seconds of whole pans that stand empty between the first piece and the last.</param>
internal readonly record struct Objectives(int Ends, int Over, int Oldest, int Idle);

/// <summary>A choice of how far ahead hands work.</summary>
/// <param name="FoldFirst">Share of all balls that are folded before the first is rolled.</param>
/// <param name="RollAhead">Rolled pieces that may wait.</param>
internal sealed record Policy(double FoldFirst, int RollAhead);

/// <summary>What the run of one policy gave. Times in whole seconds since the service began.</summary>
internal sealed record Timetable(
    Policy Policy,
    Objectives Objectives,
    IReadOnlyList<HandSlot> Hands,
    IReadOnlyList<PanSlot> Pans,
    IReadOnlyList<BreadFloor> Breads,
    int RolledWait,
    bool Stuck);
