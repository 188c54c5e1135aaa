namespace Ystrata.Core.Planning;

public enum Stage
{
    Dough,
    Rest,
    Balls,
    Sheet,
    Fold,
    Filling,
    Roll,
    Pan,
}

/// <summary>How a note is meant.</summary>
public enum Severity
{
    /// <summary>As it should be.</summary>
    Right,

    /// <summary>Objectives knowing.</summary>
    Watch,

    /// <summary>Will go wrong.</summary>
    Wrong,

    /// <summary>Can hurt someone.</summary>
    Caution,
}

public enum NoteCode
{
    DoughOnTarget,
    CupsUnsaid,
    CupsSaid,
    DoughStiff,
    DoughFirmSide,
    DoughSoftSide,
    DoughSticky,
    DoughBatter,
    BatterPours,
    BatterTooThick,
    BatterTooThin,
    BallsEvened,
    BallsUneven,
    DoughLean,
    SugarHigh,
    MuchPowder,
    MuchYeast,
    HoneyInfants,
    RawFlour,
    LeavenShortensRest,
    RestNeedsCover,
    RestTooWarm,
    RestSkin,
    RestUnsafe,
    RestGas,
    RestSours,
    RestShort,
    RestEnough,
    RestBest,
    BatterStood,
    BatterStandLonger,
    DivideCold,
    WarmFirst,
    PouredThin,
    PouredThick,

    /// <summary>A thin batter does not lie as thick as that.</summary>
    PouredRuns,
    PouredWide,
    SaltLow,
    SaltHigh,
    RawEgg,
    ThickRound,
    SheetTooThin,
    SheetTooThick,
    ShortRest,
    FatRunsOut,
    AllOpen,
    FusedContacts,
    PatchyFat,
    TooMuchFat,
    RingsFused,
    SealedShut,
    PartCovered,
    GrainTears,
    CoreCrushed,
    LeafSmeared,
    LeafBready,
    DustHeavy,
    FillingLoose,

    /// <summary>It holds now; the salt in it will let it weep.</summary>
    FillingUntil,
    FillingHolds,
    FillingRollInFlour,
    FillingWeeps,
    FillingSalt,
    FillingBland,
    FillingSalty,
    FillingSweet,
    FillingWarm,
    FillingTight,
    FillingOver,
    FillingShort,
    LiquorLeft,
    WallThin,
    WallTears,
    LumpsTear,
    CoolFast,

    /// <summary>What is hot lies too deep to cool in time; fewer on a tray does it.</summary>
    CoolsSlowly,

    /// <summary>More heat than a fridge carries off in time, however it is spread.</summary>
    FridgeOverloaded,
    CoreSafe,
    PulseCold,
    RawGarlic,
    RawGarlicKept,
    WarmLong,
    WarmTooLong,
    NoGlutenStep,
    NoGlutenFold,
    PressurePot,

    /// <summary>High up water boils sooner: boiling takes longer.</summary>
    BoilsLonger,
    OatsWait,
    AlreadyBigger,
    SpringsBack,
    PanSmokes,
    PanNearSmoke,
    PanTooCool,

    /// <summary>High up water boils sooner: where the cues follow, and what stays.</summary>
    BoilsLower,
    PanFatThin,
    PanFatPools,
    PanNeverCooks,
    PanChars,
    PanNeverColours,
    RawInside,
    CoreUnsafe,
    FaceBurnt,
    FacePale,
    FacesUneven,
    PanClimbs,
    PanFalls,
    PanCrowded,
    WiderThanPan,
    EmptyNonStick,
    FrozenIntoFat,
    ButterBrowns,
    DriedOut,
    HoldStiff,
    HoldCools,
    HoldSoftens,
    NeverSoft,
    NeverCrisp,
    PaperSweats,
    HotFat,
    Steam,
}

/// <summary>Something to know about the batch: a code and its quantities. The words are the interface's.</summary>
/// <param name="Item">The larder id it speaks of, if any.</param>
/// <param name="Mends">The smallest changes that mend it, the best first; none where none is known.</param>
public sealed record Note(NoteCode Code, Stage Stage, Severity Severity, IReadOnlyList<Quantity> Quantities, string? Item = null, IReadOnlyList<Mend>? Mends = null);
