namespace Ystrata.Core.Clock;

/// <summary>What a timetable hangs on.</summary>
public enum ClockBy
{
    /// <summary>Backwards from the table: everything is ready then.</summary>
    Table,

    /// <summary>Forwards from a start.</summary>
    Start,

    /// <summary>Forwards from now.</summary>
    Soonest,
}

/// <summary>What is made ahead, work.md 9.</summary>
public enum Ahead
{
    None,

    /// <summary>Folded pieces go to the fridge overnight and are brought back to room temperature.</summary>
    Fridge,

    /// <summary>Rolled pieces are frozen flat between papers and go on the pan as they are.</summary>
    Freezer,
}

/// <summary>Another bread in the same service, with its own count.</summary>
/// <param name="Bread">Its id on the shelf.</param>
public sealed record Beside(Guid Bread, int Pieces);

/// <summary>Who and what there is for one service.</summary>
/// <param name="People">Pairs of hands, all of the same skill.</param>
/// <param name="RollAhead">Rolled pieces that may wait for a pan.</param>
/// <param name="OpenBalls">Balls that lie open while they are sheeted and folded; the others stay covered.</param>
/// <param name="Bench">Folded pieces the bench has room for.</param>
/// <param name="Covered">Rolled pieces wait under a cloth.</param>
public sealed record ClockSpec(
    int People = 1,
    int Pans = 1,
    int RollAhead = 2,
    int OpenBalls = 4,
    int Bench = 48,
    bool Covered = true,
    ClockBy By = ClockBy.Table,
    Ahead Ahead = Ahead.None,
    IReadOnlyList<Beside>? Beside = null)
{
    public const int MostBeside = 4, MostPeople = 12, MostPans = 12;

    public static ClockSpec Usual { get; } = new();
}

/// <summary>Whether a clock can be worked with at all.</summary>
internal static class ClockCheck
{
    public static IReadOnlyList<Limit> Limits { get; } =
    [
        new("clock.people", 1, ClockSpec.MostPeople, ""),
        new("clock.pans", 1, ClockSpec.MostPans, ""),
        new("clock.rollAhead", 1, 24, ""),
        new("clock.openBalls", 1, 60, ""),
        new("clock.bench", 1, DoughSolver.MostPieces, ""),
        new("clock.beside[].pieces", 1, DoughSolver.MostPieces, ""),
    ];

    public static void Figures(ClockSpec clock, List<Refusal> refusals)
    {
        SpecPlaces.InRange("clock.people", clock.People, refusals);
        SpecPlaces.InRange("clock.pans", clock.Pans, refusals);
        SpecPlaces.InRange("clock.rollAhead", clock.RollAhead, refusals);
        SpecPlaces.InRange("clock.openBalls", clock.OpenBalls, refusals);
        SpecPlaces.InRange("clock.bench", clock.Bench, refusals);
        var beside = clock.Beside ?? [];
        if (beside.Count > ClockSpec.MostBeside)
        {
            refusals.Add(new("clock.beside", RefusalCode.TooMany, beside.Count, 0, ClockSpec.MostBeside));
        }

        for (var i = 0; i < Math.Min(beside.Count, ClockSpec.MostBeside); i++)
        {
            if (SpecPlaces.Stands(beside[i], $"clock.beside[{i}]", refusals))
            {
                SpecPlaces.InRange($"clock.beside[{i}].pieces", beside[i].Pieces, refusals);
            }
        }
    }
}
