namespace Ystrata.Core.Faults;

/// <summary>That a cause can make a symptom: the cause is a note of the plan, convicted by that note's own figures.</summary>
/// <param name="Directness">How directly it does, 0 to 1 (empirical).</param>
/// <param name="Figure">The quantity of the note that convicts it.</param>
/// <param name="Against">The quantity it is held against; nothing where the figure stands for itself.</param>
public sealed record FaultRule(Symptom Symptom, NoteCode Cause, double Directness, QuantityName? Figure = null, QuantityName? Against = null)
{
    /// <summary>Every rule. The reason each one stands on is worded in the interface, under symptom and cause.</summary>
    public static IReadOnlyList<FaultRule> All { get; } =
    [
        new(Symptom.Stiff, NoteCode.DoughStiff, 1, QuantityName.Hydration, QuantityName.Right),
        new(Symptom.Stiff, NoteCode.DoughFirmSide, 0.8, QuantityName.Hydration, QuantityName.Right),
        new(Symptom.Stiff, NoteCode.HoldStiff, 0.9, QuantityName.Time, QuantityName.Soft),
        new(Symptom.Stiff, NoteCode.DriedOut, 0.85, QuantityName.Lost, QuantityName.Most),
        new(Symptom.Stiff, NoteCode.DoughLean, 0.6, QuantityName.Fat, QuantityName.Least),
        new(Symptom.Stiff, NoteCode.RestShort, 0.4, QuantityName.Rest, QuantityName.Least),

        new(Symptom.HardInTheMiddle, NoteCode.RingsFused, 1),
        new(Symptom.HardInTheMiddle, NoteCode.CoreCrushed, 0.9),
        new(Symptom.HardInTheMiddle, NoteCode.LeafBready, 0.8, QuantityName.Leaf, QuantityName.Limit),
        new(Symptom.HardInTheMiddle, NoteCode.ThickRound, 0.8, QuantityName.Thickness, QuantityName.Limit),
        new(Symptom.HardInTheMiddle, NoteCode.RawInside, 0.8, QuantityName.Passed, QuantityName.Needed),
        new(Symptom.HardInTheMiddle, NoteCode.DoughStiff, 0.7, QuantityName.Hydration, QuantityName.Right),
        new(Symptom.HardInTheMiddle, NoteCode.DoughFirmSide, 0.4, QuantityName.Hydration, QuantityName.Right),

        new(Symptom.ShrankBack, NoteCode.SpringsBack, 1, QuantityName.Rest),
        new(Symptom.ShrankBack, NoteCode.RestShort, 0.85, QuantityName.Rest, QuantityName.Least),
        new(Symptom.ShrankBack, NoteCode.ShortRest, 0.7, QuantityName.Rest, QuantityName.Least),
        new(Symptom.ShrankBack, NoteCode.DoughStiff, 0.7, QuantityName.Hydration, QuantityName.Right),
        new(Symptom.ShrankBack, NoteCode.DoughFirmSide, 0.5, QuantityName.Hydration, QuantityName.Right),

        new(Symptom.Sticky, NoteCode.DoughSticky, 1, QuantityName.Hydration, QuantityName.Right),
        new(Symptom.Sticky, NoteCode.DoughSoftSide, 0.8, QuantityName.Hydration, QuantityName.Right),
        new(Symptom.Sticky, NoteCode.RestGas, 0.8, QuantityName.Rest, QuantityName.Longest),
        new(Symptom.Sticky, NoteCode.RestSours, 0.8, QuantityName.Rest, QuantityName.Longest),
        new(Symptom.Sticky, NoteCode.FillingWeeps, 0.7, QuantityName.Share),
        new(Symptom.Sticky, NoteCode.SugarHigh, 0.6, QuantityName.Sugar, QuantityName.Most),

        new(Symptom.NoLayers, NoteCode.FusedContacts, 0.97, QuantityName.Fused, QuantityName.Of),
        new(Symptom.NoLayers, NoteCode.LeafSmeared, 1, QuantityName.Leaf, QuantityName.Limit),
        new(Symptom.NoLayers, NoteCode.RingsFused, 0.9),
        new(Symptom.NoLayers, NoteCode.PatchyFat, 0.75, QuantityName.Film, QuantityName.Open),
        new(Symptom.NoLayers, NoteCode.FatRunsOut, 0.7, QuantityName.Fat, QuantityName.Most),
        new(Symptom.NoLayers, NoteCode.CoreCrushed, 0.5),
        new(Symptom.NoLayers, NoteCode.DoughSticky, 0.45, QuantityName.Hydration, QuantityName.Right),
        new(Symptom.NoLayers, NoteCode.PanTooCool, 0.4, QuantityName.Pan, QuantityName.Least),

        new(Symptom.Greasy, NoteCode.TooMuchFat, 1, QuantityName.Fat, QuantityName.Most),
        new(Symptom.Greasy, NoteCode.PanFatPools, 0.95, QuantityName.Fat, QuantityName.Most),
        new(Symptom.Greasy, NoteCode.FatRunsOut, 0.8, QuantityName.Fat, QuantityName.Most),
        new(Symptom.Greasy, NoteCode.PanTooCool, 0.7, QuantityName.Pan, QuantityName.Least),

        new(Symptom.Burst, NoteCode.WallThin, 1, QuantityName.Wall, QuantityName.Least),
        new(Symptom.Burst, NoteCode.FillingTight, 1, QuantityName.Share, QuantityName.Most),
        new(Symptom.Burst, NoteCode.FillingWeeps, 0.95, QuantityName.Share),
        new(Symptom.Burst, NoteCode.FillingUntil, 0.5, QuantityName.Time),
        new(Symptom.Burst, NoteCode.WallTears, 0.8),
        new(Symptom.Burst, NoteCode.LumpsTear, 0.75, QuantityName.Grain, QuantityName.Wall),
        new(Symptom.Burst, NoteCode.FillingWarm, 0.7, QuantityName.Warm, QuantityName.Under),
        new(Symptom.Burst, NoteCode.FillingRollInFlour, 0.6, QuantityName.Share),

        new(Symptom.Soggy, NoteCode.FillingWeeps, 1, QuantityName.Share),
        new(Symptom.Soggy, NoteCode.FillingUntil, 0.55, QuantityName.Time),
        new(Symptom.Soggy, NoteCode.PaperSweats, 0.85),
        new(Symptom.Soggy, NoteCode.HoldSoftens, 0.85, QuantityName.Time, QuantityName.Crisp),
        new(Symptom.Soggy, NoteCode.PanTooCool, 0.8, QuantityName.Pan, QuantityName.Least),
        new(Symptom.Soggy, NoteCode.RawInside, 0.7, QuantityName.Passed, QuantityName.Needed),
        new(Symptom.Soggy, NoteCode.FillingRollInFlour, 0.6, QuantityName.Share),
        new(Symptom.Soggy, NoteCode.PanCrowded, 0.6, QuantityName.Together, QuantityName.Room),
        new(Symptom.Soggy, NoteCode.PanFatPools, 0.5, QuantityName.Fat, QuantityName.Most),

        new(Symptom.RawInside, NoteCode.RawInside, 1, QuantityName.Passed, QuantityName.Needed),
        new(Symptom.RawInside, NoteCode.CoreUnsafe, 1, QuantityName.Passed, QuantityName.Needed),
        new(Symptom.RawInside, NoteCode.PanNeverCooks, 1, QuantityName.Pan),
        new(Symptom.RawInside, NoteCode.PanChars, 0.9, QuantityName.Pan),
        new(Symptom.RawInside, NoteCode.ThickRound, 0.7, QuantityName.Thickness, QuantityName.Limit),
        new(Symptom.RawInside, NoteCode.PanTooCool, 0.6, QuantityName.Pan, QuantityName.Least),
        new(Symptom.RawInside, NoteCode.PanClimbs, 0.5, QuantityName.Then, QuantityName.Pan),

        new(Symptom.BurntFlour, NoteCode.FaceBurnt, 1, QuantityName.Dark, QuantityName.Most),
        new(Symptom.BurntFlour, NoteCode.DustHeavy, 0.9, QuantityName.Dust, QuantityName.Most),
        new(Symptom.BurntFlour, NoteCode.PanSmokes, 0.9, QuantityName.Pan, QuantityName.Smoke),
        new(Symptom.BurntFlour, NoteCode.PanChars, 0.9, QuantityName.Pan),
        new(Symptom.BurntFlour, NoteCode.PanClimbs, 0.7, QuantityName.Then, QuantityName.Pan),
        new(Symptom.BurntFlour, NoteCode.ButterBrowns, 0.6, QuantityName.Pan, QuantityName.Smoke),
        new(Symptom.BurntFlour, NoteCode.PanNearSmoke, 0.5, QuantityName.Pan, QuantityName.Smoke),

        new(Symptom.TooSalty, NoteCode.SaltHigh, 1, QuantityName.Salt, QuantityName.Most),
        new(Symptom.TooSalty, NoteCode.FillingSalty, 1, QuantityName.Salt, QuantityName.Most),

        new(Symptom.DriedOut, NoteCode.DriedOut, 1, QuantityName.Lost, QuantityName.Most),
        new(Symptom.DriedOut, NoteCode.HoldStiff, 0.95, QuantityName.Time, QuantityName.Soft),
        new(Symptom.DriedOut, NoteCode.DoughStiff, 0.7, QuantityName.Hydration, QuantityName.Right),
        new(Symptom.DriedOut, NoteCode.RestSkin, 0.6, QuantityName.Rest, QuantityName.Longest),
        new(Symptom.DriedOut, NoteCode.PanTooCool, 0.6, QuantityName.Pan, QuantityName.Least),
        new(Symptom.DriedOut, NoteCode.FillingLoose, 0.5, QuantityName.Share),

        new(Symptom.Tears, NoteCode.SheetTooThin, 1, QuantityName.Thickness, QuantityName.Limit),
        new(Symptom.Tears, NoteCode.WallThin, 0.9, QuantityName.Wall, QuantityName.Least),
        new(Symptom.Tears, NoteCode.GrainTears, 0.85, QuantityName.Grain, QuantityName.Leaf),
        new(Symptom.Tears, NoteCode.WallTears, 0.8),
        new(Symptom.Tears, NoteCode.ShortRest, 0.8, QuantityName.Rest, QuantityName.Least),
        new(Symptom.Tears, NoteCode.RestSkin, 0.8, QuantityName.Rest, QuantityName.Longest),
        new(Symptom.Tears, NoteCode.LumpsTear, 0.75, QuantityName.Grain, QuantityName.Wall),
        new(Symptom.Tears, NoteCode.RestShort, 0.6, QuantityName.Rest, QuantityName.Least),
        new(Symptom.Tears, NoteCode.DoughStiff, 0.6, QuantityName.Hydration, QuantityName.Right),
        new(Symptom.Tears, NoteCode.DoughSticky, 0.5, QuantityName.Hydration, QuantityName.Right),

        new(Symptom.Uneven, NoteCode.BallsUneven, 1, QuantityName.Off, QuantityName.Most),
        new(Symptom.Uneven, NoteCode.FacesUneven, 0.9, QuantityName.Dark, QuantityName.Pale),
        new(Symptom.Uneven, NoteCode.PanFalls, 0.8, QuantityName.Then, QuantityName.Pan),
        new(Symptom.Uneven, NoteCode.PanClimbs, 0.8, QuantityName.Then, QuantityName.Pan),
        new(Symptom.Uneven, NoteCode.PanCrowded, 0.8, QuantityName.Together, QuantityName.Room),
        new(Symptom.Uneven, NoteCode.SheetTooThick, 0.5, QuantityName.Thickness, QuantityName.Limit),
        new(Symptom.Uneven, NoteCode.PanFatThin, 0.5, QuantityName.Fat, QuantityName.Least),

        new(Symptom.Pale, NoteCode.FacePale, 1, QuantityName.Dark, QuantityName.Wanted),
        new(Symptom.Pale, NoteCode.PanNeverColours, 1, QuantityName.Pan),
        new(Symptom.Pale, NoteCode.PanTooCool, 0.9, QuantityName.Pan, QuantityName.Least),
        new(Symptom.Pale, NoteCode.PanFalls, 0.7, QuantityName.Then, QuantityName.Pan),
        new(Symptom.Pale, NoteCode.PanFatThin, 0.5, QuantityName.Fat, QuantityName.Least),

        new(Symptom.Bland, NoteCode.SaltLow, 1, QuantityName.Salt, QuantityName.Least),
        new(Symptom.Bland, NoteCode.FillingBland, 1, QuantityName.Salt, QuantityName.Wanted),
    ];
}
