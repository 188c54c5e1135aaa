namespace Ystrata.Core.Balls;

/// <summary>What to watch of a batter's piece: a ladleful, poured and spread.</summary>
public static class LadleNotes
{
    // A batter is spread no thinner than this without tearing, and no thicker without staying raw inside (empirical).
    private static readonly Millimetres Thinnest = new(1.2), Thickest = new(6);

    // The rim of a poured round lets go by itself; wider than this it folds over itself in the turning (empirical).
    private static readonly Millimetres Widest = new(280);

    public static IEnumerable<Note> Of(LadleSpec ladle, RollSheet roll)
    {
        if (ladle.Thickness.Value < Thinnest.Value)
        {
            yield return new(NoteCode.PouredThin, Stage.Balls, Severity.Watch, [Quantity.Of(QuantityName.Thickness, ladle.Thickness), Quantity.Of(QuantityName.Limit, Thinnest)]);
        }
        else if (ladle.Thickness.Value > Thickest.Value)
        {
            yield return new(NoteCode.PouredThick, Stage.Balls, Severity.Watch, [Quantity.Of(QuantityName.Thickness, ladle.Thickness), Quantity.Of(QuantityName.Limit, Thickest)]);
        }

        if (roll.Across.Value > Widest.Value)
        {
            yield return new(NoteCode.PouredWide, Stage.Balls, Severity.Watch, [Quantity.Of(QuantityName.Across, roll.Across), Quantity.Of(QuantityName.Limit, Widest)]);
        }
    }
}
