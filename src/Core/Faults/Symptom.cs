namespace Ystrata.Core.Faults;

/// <summary>What a cook finds wrong with a bread, work.md 10, and what is as often said of colour and salt.</summary>
public enum Symptom
{
    Stiff,
    HardInTheMiddle,
    ShrankBack,
    Sticky,
    NoLayers,
    Greasy,
    Burst,
    Soggy,
    RawInside,
    BurntFlour,
    TooSalty,
    DriedOut,
    Tears,
    Uneven,
    Pale,
    Bland,
}
