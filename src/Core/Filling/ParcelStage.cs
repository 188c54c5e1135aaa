namespace Ystrata.Core;

/// <summary>A stuffed piece on its way through sheet, fold and last roll.</summary>
public static class ParcelStage
{
    /// <summary>The spec with its dough rolled as wide as makes it as thick as the wall; a parcel that is not folded has one leaf and nothing on it.</summary>
    public static BatchSpec AsDisc(BatchSpec spec)
    {
        if (spec.Filling is not { Wall.Shape: var shape })
        {
            return spec;
        }

        var round = Parcel.DoughRound(shape, spec.Roll.Diameter);
        var roll = spec.Roll with { Diameter = round };
        return Parcel.IsFolded(shape)
            ? spec with { Roll = roll }
            : spec with { Sheet = spec.Sheet with { Diameter = round / 2, Width = null, FatMass = Grams.Zero, DustMass = Grams.Zero }, Fold = new([]), Roll = roll };
    }

    /// <summary>The last roll of the piece itself, with its filling.</summary>
    public static RollSheet Rolled(RollSheet dough, ParcelSheet parcel, RollSpec spec) => dough with
    {
        Diameter = spec.Diameter,
        Outline = parcel.Shape switch { ParcelShape.HalfMoon => Outline.HalfMoon, ParcelShape.Envelope => Outline.Block, ParcelShape.Coil => dough.Outline, _ => Outline.Round },
        Across = parcel.Across,
        Wide = parcel.Wide,
        RollTo = dough.RollTo * (spec.Diameter / dough.Diameter),
        Thickness = parcel.Thickness,
    };
}
