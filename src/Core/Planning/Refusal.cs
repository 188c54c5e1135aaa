namespace Ystrata.Core.Planning;

public enum RefusalCode
{
    OutOfRange,
    NotANumber,
    Missing,
    UnknownIngredient,
    WrongKind,
    TooMany,
    TooManyLeaves,
    NeedsRope,
    NeedsFlat,
    NeedsStrip,
    StripsTooNarrow,
    RimTooWide,
    TooManyPiecesOfOne,
    TooMuchWaterCarried,
    TooMuchLiquid,
    TooMuchSaltCarried,
    LiquidDoesNotFit,
    FixedOutweighs,
    TooManyPieces,
    TooManyPins,
    TwoRests,
    NothingSetsWater,
    NamedTwice,
    NoSolids,
    WetBinder,
    Heavier,
    NoWaterLeft,
    NothingLeft,
    NoWall,
    FillingTooBig,
    Together,
    FrozenBatter,
    NameTaken,
    NotUtf8,
    WrongColumns,
    NotInList,
    TooLong,

    /// <summary>No PNG, JPEG or WebP.</summary>
    NotAPhoto,

    /// <summary>A file of something else.</summary>
    ForeignFile,

    /// <summary>A file made by a newer version.</summary>
    NewerFile,

    /// <summary>A file that is broken or cut short.</summary>
    BrokenFile,

    /// <summary>A file without a recipe in it.</summary>
    NoRecipe,
    Unreadable,
}

/// <summary>Why a figure is not taken: the field, what was given and what is allowed. The words are the interface's.</summary>
/// <param name="Field">Path in the spec, such as <c>fold.steps[2].mass</c>.</param>
/// <param name="Given">The offending number, where there is one.</param>
/// <param name="Item">The offending id, where there is one.</param>
public sealed record Refusal(string Field, RefusalCode Code, double? Given = null, double? Least = null, double? Most = null, string Unit = "", string? Item = null);

/// <summary>What a number may be.</summary>
/// <param name="Field">Path in the spec, list places left empty: <c>fold.steps[].mass</c>.</param>
public sealed record Limit(string Field, double Least, double Most, string Unit);
