namespace Ystrata.Core;

/// <summary>Stage 3 of a batter: a ladleful, poured and spread.</summary>
public static class LadleStage
{
    // A batter is spread no thinner than this without tearing, and no thicker without staying raw inside (empirical).
    public static readonly Millimetres Thinnest = new(1.2), Thickest = new(6);

    /// <summary>The round a ladleful makes, D = √(4V / (π·T)), as a spec whose later stages do nothing.</summary>
    public static BatchSpec AsRound(BatchSpec spec, DoughSheet dough)
    {
        var across = Round.DiameterOf(dough.Ball, spec.Ladle.Thickness, dough.Density);
        return spec with
        {
            Sheet = spec.Sheet with { Diameter = across, FatMass = Grams.Zero, DustMass = Grams.Zero },
            Fold = new([]),
            Roll = new(across, spec.Roll.Rest),
        };
    }
}

public static class LadleNotes
{
    // The rim of a poured round lets go by itself; wider than this it folds over itself in the turning (empirical).
    private static readonly Millimetres Widest = new(280);

    public static IEnumerable<Note> Of(BatchSpec spec, RollSheet roll)
    {
        var thickness = spec.Ladle.Thickness;
        if (thickness.Value < LadleStage.Thinnest.Value)
        {
            yield return new(NoteCode.PouredThin, Stage.Balls, Weight.Watch, [Quantity.Of("thickness", thickness), Quantity.Of("limit", LadleStage.Thinnest)]);
        }
        else if (thickness.Value > LadleStage.Thickest.Value)
        {
            yield return new(NoteCode.PouredThick, Stage.Balls, Weight.Watch, [Quantity.Of("thickness", thickness), Quantity.Of("limit", LadleStage.Thickest)]);
        }

        if (roll.Across.Value > Widest.Value)
        {
            yield return new(NoteCode.PouredWide, Stage.Balls, Weight.Watch, [Quantity.Of("across", roll.Across), Quantity.Of("limit", Widest)]);
        }
    }
}
