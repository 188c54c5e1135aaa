namespace Ystrata.Core.Faults;

/// <summary>That a cause can make a symptom: the cause is a note of the plan, convicted by that note's own figures.</summary>
/// <param name="Directness">How directly it does, 0 to 1 (empirical).</param>
/// <param name="Figure">The quantity of the note that convicts it.</param>
/// <param name="Against">The quantity it is held against; nothing where the figure stands for itself.</param>
public sealed record FaultRule(Symptom Symptom, NoteCode Cause, double Directness, string? Figure = null, string? Against = null)
{
    /// <summary>Every rule. The reason each one stands on is worded in the interface, under symptom and cause.</summary>
    public static IReadOnlyList<FaultRule> All { get; } =
    [
        new(Symptom.Stiff, NoteCode.DoughStiff, 1, "hydration", "right"),
        new(Symptom.Stiff, NoteCode.DoughFirmSide, 0.8, "hydration", "right"),
        new(Symptom.Stiff, NoteCode.HoldStiff, 0.9, "time", "soft"),
        new(Symptom.Stiff, NoteCode.DriedOut, 0.85, "lost", "most"),
        new(Symptom.Stiff, NoteCode.DoughLean, 0.6, "fat", "least"),
        new(Symptom.Stiff, NoteCode.RestShort, 0.4, "rest", "least"),

        new(Symptom.HardInTheMiddle, NoteCode.RingsFused, 1),
        new(Symptom.HardInTheMiddle, NoteCode.CoreCrushed, 0.9),
        new(Symptom.HardInTheMiddle, NoteCode.LeafBready, 0.8, "leaf", "limit"),
        new(Symptom.HardInTheMiddle, NoteCode.ThickRound, 0.8, "thickness", "limit"),
        new(Symptom.HardInTheMiddle, NoteCode.RawInside, 0.8, "passed", "needed"),
        new(Symptom.HardInTheMiddle, NoteCode.DoughStiff, 0.7, "hydration", "right"),
        new(Symptom.HardInTheMiddle, NoteCode.DoughFirmSide, 0.4, "hydration", "right"),

        new(Symptom.ShrankBack, NoteCode.SpringsBack, 1, "rest"),
        new(Symptom.ShrankBack, NoteCode.RestShort, 0.85, "rest", "least"),
        new(Symptom.ShrankBack, NoteCode.ShortRest, 0.7, "rest", "least"),
        new(Symptom.ShrankBack, NoteCode.DoughStiff, 0.7, "hydration", "right"),
        new(Symptom.ShrankBack, NoteCode.DoughFirmSide, 0.5, "hydration", "right"),

        new(Symptom.Sticky, NoteCode.DoughSticky, 1, "hydration", "right"),
        new(Symptom.Sticky, NoteCode.DoughSoftSide, 0.8, "hydration", "right"),
        new(Symptom.Sticky, NoteCode.RestGas, 0.8, "rest", "longest"),
        new(Symptom.Sticky, NoteCode.RestSours, 0.8, "rest", "longest"),
        new(Symptom.Sticky, NoteCode.FillingWeeps, 0.7, "share"),
        new(Symptom.Sticky, NoteCode.SugarHigh, 0.6, "sugar", "most"),

        new(Symptom.NoLayers, NoteCode.FusedContacts, 0.97, "fused", "of"),
        new(Symptom.NoLayers, NoteCode.LeafSmeared, 1, "leaf", "limit"),
        new(Symptom.NoLayers, NoteCode.RingsFused, 0.9),
        new(Symptom.NoLayers, NoteCode.PatchyFat, 0.75, "film", "open"),
        new(Symptom.NoLayers, NoteCode.FatRunsOut, 0.7, "fat", "most"),
        new(Symptom.NoLayers, NoteCode.CoreCrushed, 0.5),
        new(Symptom.NoLayers, NoteCode.DoughSticky, 0.45, "hydration", "right"),
        new(Symptom.NoLayers, NoteCode.PanTooCool, 0.4, "pan", "least"),

        new(Symptom.Greasy, NoteCode.TooMuchFat, 1, "fat", "most"),
        new(Symptom.Greasy, NoteCode.PanFatPools, 0.95, "fat", "most"),
        new(Symptom.Greasy, NoteCode.FatRunsOut, 0.8, "fat", "most"),
        new(Symptom.Greasy, NoteCode.PanTooCool, 0.7, "pan", "least"),

        new(Symptom.Burst, NoteCode.WallThin, 1, "wall", "least"),
        new(Symptom.Burst, NoteCode.FillingTight, 1, "share", "most"),
        new(Symptom.Burst, NoteCode.FillingWeeps, 0.95, "share"),
        new(Symptom.Burst, NoteCode.WallTears, 0.8),
        new(Symptom.Burst, NoteCode.LumpsTear, 0.75, "grain", "wall"),
        new(Symptom.Burst, NoteCode.FillingWarm, 0.7, "warm", "under"),
        new(Symptom.Burst, NoteCode.FillingRollInFlour, 0.6, "share"),

        new(Symptom.Soggy, NoteCode.FillingWeeps, 1, "share"),
        new(Symptom.Soggy, NoteCode.PaperSweats, 0.85),
        new(Symptom.Soggy, NoteCode.PanTooCool, 0.8, "pan", "least"),
        new(Symptom.Soggy, NoteCode.RawInside, 0.7, "passed", "needed"),
        new(Symptom.Soggy, NoteCode.FillingRollInFlour, 0.6, "share"),
        new(Symptom.Soggy, NoteCode.PanCrowded, 0.6, "together", "room"),
        new(Symptom.Soggy, NoteCode.PanFatPools, 0.5, "fat", "most"),

        new(Symptom.RawInside, NoteCode.RawInside, 1, "passed", "needed"),
        new(Symptom.RawInside, NoteCode.CoreUnsafe, 1, "passed", "needed"),
        new(Symptom.RawInside, NoteCode.PanNeverCooks, 1, "pan"),
        new(Symptom.RawInside, NoteCode.PanChars, 0.9, "pan"),
        new(Symptom.RawInside, NoteCode.ThickRound, 0.7, "thickness", "limit"),
        new(Symptom.RawInside, NoteCode.PanTooCool, 0.6, "pan", "least"),
        new(Symptom.RawInside, NoteCode.PanClimbs, 0.5, "then", "pan"),

        new(Symptom.BurntFlour, NoteCode.FaceBurnt, 1, "dark", "most"),
        new(Symptom.BurntFlour, NoteCode.DustHeavy, 0.9, "dust", "most"),
        new(Symptom.BurntFlour, NoteCode.PanSmokes, 0.9, "pan", "smoke"),
        new(Symptom.BurntFlour, NoteCode.PanChars, 0.9, "pan"),
        new(Symptom.BurntFlour, NoteCode.PanClimbs, 0.7, "then", "pan"),
        new(Symptom.BurntFlour, NoteCode.ButterBrowns, 0.6, "pan", "smoke"),
        new(Symptom.BurntFlour, NoteCode.PanNearSmoke, 0.5, "pan", "smoke"),

        new(Symptom.TooSalty, NoteCode.SaltHigh, 1, "salt", "most"),
        new(Symptom.TooSalty, NoteCode.FillingSalty, 1, "salt", "most"),

        new(Symptom.DriedOut, NoteCode.DriedOut, 1, "lost", "most"),
        new(Symptom.DriedOut, NoteCode.HoldStiff, 0.95, "time", "soft"),
        new(Symptom.DriedOut, NoteCode.DoughStiff, 0.7, "hydration", "right"),
        new(Symptom.DriedOut, NoteCode.RestSkin, 0.6, "rest", "longest"),
        new(Symptom.DriedOut, NoteCode.PanTooCool, 0.6, "pan", "least"),
        new(Symptom.DriedOut, NoteCode.FillingCrumbly, 0.5, "share"),

        new(Symptom.Tears, NoteCode.SheetTooThin, 1, "thickness", "limit"),
        new(Symptom.Tears, NoteCode.WallThin, 0.9, "wall", "least"),
        new(Symptom.Tears, NoteCode.GrainTears, 0.85, "grain", "leaf"),
        new(Symptom.Tears, NoteCode.WallTears, 0.8),
        new(Symptom.Tears, NoteCode.ShortRest, 0.8, "rest", "least"),
        new(Symptom.Tears, NoteCode.RestSkin, 0.8, "rest", "longest"),
        new(Symptom.Tears, NoteCode.LumpsTear, 0.75, "grain", "wall"),
        new(Symptom.Tears, NoteCode.RestShort, 0.6, "rest", "least"),
        new(Symptom.Tears, NoteCode.DoughStiff, 0.6, "hydration", "right"),
        new(Symptom.Tears, NoteCode.DoughSticky, 0.5, "hydration", "right"),

        new(Symptom.Uneven, NoteCode.BallsUneven, 1, "off", "most"),
        new(Symptom.Uneven, NoteCode.FacesUneven, 0.9, "dark", "pale"),
        new(Symptom.Uneven, NoteCode.PanFalls, 0.8, "then", "pan"),
        new(Symptom.Uneven, NoteCode.PanClimbs, 0.8, "then", "pan"),
        new(Symptom.Uneven, NoteCode.PanCrowded, 0.8, "together", "room"),
        new(Symptom.Uneven, NoteCode.SheetTooThick, 0.5, "thickness", "limit"),
        new(Symptom.Uneven, NoteCode.PanFatThin, 0.5, "fat", "least"),

        new(Symptom.Pale, NoteCode.FacePale, 1, "dark", "wanted"),
        new(Symptom.Pale, NoteCode.PanNeverColours, 1, "pan"),
        new(Symptom.Pale, NoteCode.PanTooCool, 0.9, "pan", "least"),
        new(Symptom.Pale, NoteCode.PanFalls, 0.7, "then", "pan"),
        new(Symptom.Pale, NoteCode.PanFatThin, 0.5, "fat", "least"),

        new(Symptom.Bland, NoteCode.SaltLow, 1, "salt", "least"),
        new(Symptom.Bland, NoteCode.FillingBland, 1, "salt", "wanted"),
    ];
}
