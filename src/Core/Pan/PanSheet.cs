namespace Ystrata.Core.Pan;

/// <summary>What a cook calls a face.</summary>
public enum Look
{
    Raw,
    Pale,
    Gold,
    Brown,
    Dark,
    Charred,
}

/// <param name="From">From this darkness on (models.md F: 0.3 pale, 1 gold, 1.8 brown, 3 charred; the bounds lie between).</param>
public sealed record LookFrom(Look Look, double From)
{
    public static IReadOnlyList<LookFrom> All { get; } =
        [new(Look.Raw, 0), new(Look.Pale, 0.15), new(Look.Gold, 0.65), new(Look.Brown, 1.4), new(Look.Dark, 2.1), new(Look.Charred, PanRun.DarkestFace)];
}

/// <summary>One stay of one face on the pan.</summary>
/// <param name="Fat">Put on the face that goes down for it.</param>
/// <param name="Pan">As it goes down.</param>
/// <param name="Dark">The face as it comes up: 0.3 pale, 1 gold, 1.8 brown, 3 charred.</param>
/// <param name="Middle">The coldest place inside then.</param>
public sealed record Turn(Face Face, Seconds Time, Grams Fat, Celsius Pan, double Dark, Celsius Middle);

/// <summary>The run second by second, thinned out to be drawn: one value of each for every time.</summary>
/// <param name="First">Darkness of the face that went down first.</param>
/// <param name="Second">Darkness of the other.</param>
public sealed record PanTrace(
    IReadOnlyList<Seconds> Times, IReadOnlyList<Celsius> Pan, IReadOnlyList<Celsius> Middle, IReadOnlyList<double> First, IReadOnlyList<double> Second);

/// <summary>The pan under one of many pieces in a row, and how that piece comes off.</summary>
/// <param name="Number">From 1.</param>
/// <param name="Pan">As it goes on.</param>
/// <param name="High">The hottest the pan gets under it.</param>
/// <param name="Dough">The coldest that any of its dough has been at its hottest.</param>
/// <param name="Core">The same of its filling; nothing where there is none.</param>
public sealed record RowPiece(int Number, Celsius Pan, Celsius High, double First, double Second, bool Cooked, Celsius Dough, Celsius? Core)
{
    internal double Darkest => Math.Max(First, Second);

    internal double Palest => Math.Min(First, Second);

    /// <summary>How far over cooked its coldest place got, K; under nothing where it did not.</summary>
    internal double Over(Wanted wanted) => Math.Min(Dough.Value - wanted.Dough.Value, (Core ?? wanted.Filling).Value - wanted.Filling.Value);
}

/// <summary>The worst of a row: what holds for one piece has to hold for all.</summary>
/// <param name="Hottest">Under which the pan gets hottest.</param>
/// <param name="Rawest">That lacks most of being cooked.</param>
public sealed record RowWorst(RowPiece Hottest, RowPiece Darkest, RowPiece Palest, RowPiece Rawest);

/// <summary>How the pan keeps up.</summary>
/// <param name="Pieces">The first, second, fifth and twentieth of a row, each with the same turns.</param>
/// <param name="Back">Until the empty pan is as hot again as it was; nothing when this flame never brings it there.</param>
/// <param name="Climbs">The pan is hotter as the first piece comes off than it was.</param>
/// <param name="Ends">Where this flame leaves the empty pan in the end.</param>
/// <param name="Holds">The flame that keeps it nearest to what it was.</param>
/// <param name="DownAfter">From the piece after this one on the pan is too hot; nothing while it is not.</param>
/// <param name="UpAfter">From the piece after this one on it is too cool.</param>
/// <param name="Worst">Of all twenty; nothing where nothing is cooked.</param>
public sealed record RowSheet(IReadOnlyList<RowPiece> Pieces, Seconds? Back, bool Climbs, Celsius Ends, Flame Holds, int? DownAfter, int? UpAfter, RowWorst? Worst);

/// <summary>Frying together what was roasted dry.</summary>
/// <param name="Height">Pieces on each other.</param>
/// <param name="Each">One piece's stay on the pan, first face and second.</param>
/// <param name="Round">Until the whole stack has had both.</param>
public sealed record StackSheet(int Height, Seconds Each, Seconds Round);

/// <summary>What happens on the pan, turn by turn.</summary>
/// <param name="Turns">In order; empty when nothing cooks the piece, and <paramref name="Failure"/> says why.</param>
/// <param name="Own">True when they are the cook's own.</param>
/// <param name="Advised">What would be advised, whatever the cook does.</param>
public sealed record PanProgram(IReadOnlyList<Turn> Turns, Seconds Total, PanFailure? Failure, bool Own, IReadOnlyList<Stay> Advised);

/// <summary>How far the piece is cooked as it comes off.</summary>
/// <param name="Blisters">When blisters rise on the first face; nothing when they do not in that stay.</param>
/// <param name="CookedAt">When every place has been hot enough; nothing when it never is.</param>
/// <param name="Passed">The least hot that any place has been at its hottest.</param>
/// <param name="Needed">What that must be.</param>
/// <param name="Core">The least hot that any of the filling has been; nothing where there is none.</param>
/// <param name="First">Darkness of the face that went down first.</param>
/// <param name="Second">Darkness of the other.</param>
/// <param name="Lost">Water gone, percent of the raw piece.</param>
/// <param name="Water">Left in it, percent.</param>
public sealed record DoneSheet(Seconds? Blisters, Seconds? CookedAt, Celsius Passed, Celsius Needed, Celsius? Core, double First, double Second, Percent Lost, Percent Water);

/// <summary>The pan under it.</summary>
/// <param name="On">The pan and flame it is reckoned on.</param>
/// <param name="Low">The coolest it gets.</param>
/// <param name="High">The hottest.</param>
/// <param name="CoolUnder">Under this a face dries before it colours.</param>
/// <param name="SmokePoint">Of the fat that meets it, where known: put on it or, where none is, what the piece brings along.</param>
/// <param name="SmokeWatchFrom">From here on a pan that creeps up smokes.</param>
/// <param name="Smokes">The fat that smokes first.</param>
/// <param name="Browns">A fat whose solids brown before it smokes.</param>
public sealed record PanHeatSheet(Cookware On, Celsius Low, Celsius High, Celsius CoolUnder, Celsius? SmokePoint, Celsius? SmokeWatchFrom, string? Smokes, string? Browns);

/// <summary>Fat on the faces.</summary>
/// <param name="Thick">On each face.</param>
/// <param name="Good">Fat per side for a film of 50 to 150 µm.</param>
/// <param name="WipeEvery">Pieces between two wipes of the pan.</param>
public sealed record FilmSheet(Micrometres Thick, Range<Grams> Good, int WipeEvery);

/// <param name="Stack">Nothing where every piece is finished by itself.</param>
/// <param name="Room">Pieces of this size that the pan has room for; one, however big.</param>
/// <param name="Together">Pieces on the pan at once: as many as are wanted and have room. Stays, clock and stove are of so many.</param>
/// <param name="Reach">Across the piece at its widest, as it lies on the pan.</param>
public sealed record PanSheet(
    PanProgram Program,
    DoneSheet Done,
    PanHeatSheet Heat,
    FilmSheet Film,
    FatSheet Fat,
    PanTrace Trace,
    RowSheet Row,
    StackSheet? Stack,
    int Room,
    int Together,
    Millimetres Reach,
    FinishSheet Finish,
    HoldSheet Hold);
