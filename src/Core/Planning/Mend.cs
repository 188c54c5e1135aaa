namespace Ystrata.Core.Planning;

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
    InPot,
    OnPlate,

    /// <summary>As much flour as its cups hold, filled as they are filled here.</summary>
    CupsTo,

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
/// <param name="Start">What it starts from as it would be; nothing where it stays.</param>
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
    LadleSpec? Ladle = null,
    StartSpec? Start = null)
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
        Start = Start ?? spec.Start,
    };
}
