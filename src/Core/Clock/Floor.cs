namespace Ystrata.Core.Clock;

/// <summary>Where one piece is on its way.</summary>
public enum PieceAt
{
    Ball,
    Folded,
    Rolled,
    OnPan,

    /// <summary>Roasted dry, waiting for its stack.</summary>
    Dry,

    /// <summary>In the cloth, hot.</summary>
    Hot,
    Served,
    Lost,
}

/// <summary>One bread on the kitchen floor: what is done, and since when. Times in whole seconds since the service began; nothing for not yet.</summary>
internal sealed class BreadFloor
{
    public BreadFloor(ClockJob job)
    {
        Prep = new int?[job.Preps.Count];
        Chores = new int[job.Balls];
        Folded = new int?[job.Balls];
        Opened = new int?[job.Balls];
        At = new PieceAt[job.Pieces];
        Rolled = new int?[job.Pieces];
        Laid = new int?[job.Pieces];
        Lifted = new int?[job.Pieces];
    }

    private BreadFloor(BreadFloor of)
    {
        Prep = [.. of.Prep];
        Chores = [.. of.Chores];
        Folded = [.. of.Folded];
        Opened = [.. of.Opened];
        At = [.. of.At];
        Rolled = [.. of.Rolled];
        Laid = [.. of.Laid];
        Lifted = [.. of.Lifted];
    }

    public int?[] Prep { get; }

    /// <summary>Chores done on each ball.</summary>
    public int[] Chores { get; }

    /// <summary>When the last of them was done.</summary>
    public int?[] Folded { get; }

    /// <summary>When the first of them was begun.</summary>
    public int?[] Opened { get; }

    public PieceAt[] At { get; }

    public int?[] Rolled { get; }

    public int?[] Laid { get; }

    public int?[] Lifted { get; }

    public BreadFloor Copy() => new(this);
}

/// <summary>What lies on one place of a pan.</summary>
/// <param name="Pieces">By number, from 0; several for a stack.</param>
/// <param name="Moments">Touches still to come, by the second each falls due.</param>
/// <param name="Laid">Since when.</param>
/// <param name="Touched">When it was last laid or turned.</param>
/// <param name="Turns">Turns it has had.</param>
/// <param name="Fry">A stack of dry rounds.</param>
internal sealed record OnPlace(int Bread, IReadOnlyList<int> Pieces, Visit Visit, IReadOnlyList<(int At, int For)> Moments, int Laid, int Touched, int Turns, bool Fry);

/// <summary>One place on a pan.</summary>
internal sealed class PlaceFloor
{
    public required int Pan { get; init; }

    public required int Place { get; init; }

    public int FreeAt { get; set; }

    public OnPlace? On { get; set; }

    public PlaceFloor Copy() => new() { Pan = Pan, Place = Place, FreeAt = FreeAt, On = On };
}

/// <summary>Work that was begun and not finished.</summary>
/// <param name="Left">Seconds of it.</param>
internal sealed record Begun(ClockWork Work, int Bread, int Number, int Left);

/// <summary>The whole kitchen at one moment: from here a timetable is made, at the start or in the middle of a service.</summary>
internal sealed record Floor
{
    public required int Now { get; init; }

    public required int People { get; init; }

    public required IReadOnlyList<BreadFloor> Breads { get; init; }

    public required IReadOnlyList<PlaceFloor> Places { get; init; }

    /// <summary>Pieces each pan has had since it was wiped.</summary>
    public required int[] SinceWipe { get; init; }

    /// <summary>The bread each pan last had; nothing for none.</summary>
    public required int?[] LastBread { get; init; }

    /// <summary>Pans that nothing more is laid on.</summary>
    public required bool[] Gone { get; init; }

    public IReadOnlyList<Begun> Begun { get; init; } = [];

    /// <summary>Until then the first pair of hands is held up.</summary>
    public int HeldUntil { get; init; }

    /// <summary>Nothing is rolled, or poured, before: the table is not wanted sooner.</summary>
    public int RollFrom { get; init; }

    /// <summary>When the filling of each bread is begun at the earliest; nothing for whenever hands are free.</summary>
    public IReadOnlyList<int> FillFrom { get; init; } = [];

    /// <summary>What a bread does on a pan that is not as hot as was planned, by pan and bread; nothing where it is.</summary>
    public IReadOnlyDictionary<(int Pan, int Bread), Visit> Visits { get; init; } = new Dictionary<(int, int), Visit>();

    /// <summary>Every pan with as many places as the smallest bread wants.</summary>
    public static IReadOnlyList<PlaceFloor> PlacesFor(IReadOnlyList<ClockJob> jobs, ClockSpec clock)
    {
        var each = jobs.Max(j => j.OnPan);
        return [.. Enumerable.Range(0, clock.Pans * each).Select(i => new PlaceFloor { Pan = i / each, Place = i % each })];
    }

    public static Floor Empty(IReadOnlyList<ClockJob> jobs, ClockSpec clock) => new()
    {
        Now = 0,
        People = clock.People,
        Breads = [.. jobs.Select(j => new BreadFloor(j))],
        Places = PlacesFor(jobs, clock),
        SinceWipe = new int[clock.Pans],
        LastBread = new int?[clock.Pans],
        Gone = new bool[clock.Pans],
    };
}
