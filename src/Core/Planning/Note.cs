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
    PaperSweats,
    HotFat,
    Steam,
}

/// <summary>What a number in a note is of. Rules of faults name them, so that none names what no note says.</summary>
public enum QuantityName
{
    Across,
    Add,
    After,
    Already,
    Apart,
    Asked,
    Back,
    Ball,
    Boils,
    Balls,
    Best,
    Core,
    Cue,
    Depth,
    Count,
    Covers,
    Dark,
    Dough,
    Dust,
    Fat,
    Film,
    First,
    Flame,
    Free,
    Fused,
    Gap,
    Grain,
    Heat,
    Hydration,
    Inside,
    Lacks,
    Ladle,
    Leaf,
    Least,
    Leaves,
    Left,
    Limit,
    Longest,
    Lost,
    Mass,
    Mean,
    More,
    Most,
    Needed,
    Of,
    Off,
    One,
    Open,
    Opens,
    Over,
    Pale,
    Pan,
    Passed,
    Patchy,
    Piece,
    Pieces,
    Rest,
    Right,
    Rings,
    Risk,
    RollTo,
    Room,
    Salt,
    Share,
    Smoke,
    Soft,
    Spoon,
    Spread,
    Stayed,
    Step,
    Sugar,
    Then,
    Thickness,
    Thinnest,
    Time,
    Times,
    Trays,
    Together,
    Turns,
    Under,
    Used,
    Wall,
    Wanted,
    Warm,
    Water,
}

/// <summary>A number with its name in the note and its unit.</summary>
public sealed record Quantity(QuantityName Name, double Value, string Unit)
{
    public static Quantity Of<T>(QuantityName name, T value)
        where T : struct, IMeasure<T> => new(name, value.Value, T.Unit);

    public static Quantity Count(QuantityName name, int value) => new(name, value, "");
}

/// <summary>Something to know about the batch: a code and its quantities. The words are the interface's.</summary>
/// <param name="Item">The larder id it speaks of, if any.</param>
/// <param name="Mends">The smallest changes that mend it, the best first; none where none is known.</param>
public sealed record Note(NoteCode Code, Stage Stage, Severity Severity, IReadOnlyList<Quantity> Quantities, string? Item = null, IReadOnlyList<Mend>? Mends = null);

public enum MendCode
{
    /// <summary>Spread fat before a fold.</summary>
    BrushBefore,

    /// <summary>Oil the board before a fold.</summary>
    BoardBefore,

    /// <summary>More fat in a brush that is there.</summary>
    BrushMore,

    /// <summary>More fat on the first sheet.</summary>
    SheetFatMore,

    /// <summary>Less fat where it runs out.</summary>
    BrushLess,
    SheetFatLess,
    DustLess,
    SheetTo,
    RestTo,
    ChopTo,
    DropStep,
    ByHand,

    /// <summary>Every spread of fat down to this share of itself.</summary>
    FatShare,

    /// <summary>A wider last roll, for thinner leaves.</summary>
    RollTo,
    SqueezeHarder,
    SaltLonger,

    /// <summary>Salted last, just before it is wrapped.</summary>
    SaltLast,
    StirLonger,
    BindMore,
    Moisten,
    SeasonFilling,
    ChopFilling,
    CoolFilling,

    /// <summary>The same on more trays.</summary>
    MoreTrays,

    /// <summary>Another share of filling.</summary>
    ShareTo,

    /// <summary>All of the filling so many times.</summary>
    FillingTimes,

    /// <summary>Another heat of the pan.</summary>
    PanTo,

    /// <summary>Another flame.</summary>
    FlameTo,

    /// <summary>Back to the stays that are advised.</summary>
    AsAdvised,

    /// <summary>Another hydration.</summary>
    WaterTo,

    /// <summary>Another share of salt in the dough.</summary>
    SaltTo,

    /// <summary>Another share of fat in the dough.</summary>
    DoughFatTo,

    /// <summary>Another first rest.</summary>
    DoughRestTo,

    /// <summary>The dough under a lid, cloth or film.</summary>
    CoverIt,

    /// <summary>Another share of fat on each side.</summary>
    PanFatTo,

    /// <summary>Held in a folded cloth.</summary>
    InCloth,

    /// <summary>Held no longer than so.</summary>
    HoldTo,

    /// <summary>Fewer together on the pan.</summary>
    FewerTogether,

    /// <summary>A smaller ladle.</summary>
    LadleTo,

    /// <summary>Spread to another thickness.</summary>
    SpreadTo,

    /// <summary>The dough's rest in the fridge.</summary>
    RestInFridge,
}

/// <summary>A change that mends a fault: what it is called, and what the batch would then say.</summary>
/// <param name="Sheet">The first sheet as it would be; nothing where it stays.</param>
/// <param name="Fold">The program as it would be; nothing where it stays.</param>
/// <param name="Roll">The last roll as it would be; nothing where it stays.</param>
/// <param name="Filling">The filling as it would be; nothing where it stays.</param>
/// <param name="Item">The larder id it speaks of, if any.</param>
/// <param name="Pan">The pan as it would be; nothing where it stays.</param>
/// <param name="Dough">The dough as it would be; nothing where it stays.</param>
/// <param name="Rest">The first rest as it would be; nothing where it stays.</param>
/// <param name="Ladle">The ladle as it would be; nothing where it stays.</param>
public sealed record Mend(
    MendCode Code,
    IReadOnlyList<Quantity> Quantities,
    SheetSpec? Sheet = null,
    FoldSpec? Fold = null,
    RollSpec? Roll = null,
    FillingSpec? Filling = null,
    string? Item = null,
    PanSpec? Pan = null,
    DoughSpec? Dough = null,
    RestSpec? Rest = null,
    LadleSpec? Ladle = null)
{
    /// <summary>The batch with this change laid on it.</summary>
    public BatchSpec On(BatchSpec spec) => spec with
    {
        Sheet = Sheet ?? spec.Sheet,
        Fold = Fold ?? spec.Fold,
        Roll = Roll ?? spec.Roll,
        Filling = Filling ?? spec.Filling,
        Pan = Pan ?? spec.Pan,
        Dough = Dough ?? spec.Dough,
        Rest = Rest ?? spec.Rest,
        Ladle = Ladle ?? spec.Ladle,
    };
}
