namespace Ystrata.Core.Balls;

/// <summary>What to watch of a batter's piece: a ladleful, poured and spread.</summary>
internal static class LadleNotes
{
    // The rim of a poured round lets go by itself; wider than this it folds over itself in the turning (empirical).
    private static readonly Millimetres Widest = new(280);

    public static IEnumerable<Note> Of(LadleSpec ladle, Pour pour, RollSheet roll)
    {
        var (thick, good) = (ladle.Thickness, pour.Good);
        if (thick.Value < good.Least.Value - 1e-9)
        {
            yield return Say(NoteCode.PouredThin, QuantityName.Thickness, thick, good.Least, SpreadTo(ladle, pour));
        }
        else if (thick.Value > good.Most.Value + 1e-9)
        {
            yield return Say(good.Most.Value < Pour.Thickest.Value ? NoteCode.PouredRuns : NoteCode.PouredThick, QuantityName.Thickness, thick, good.Most, SpreadTo(ladle, pour));
        }

        if (roll.Across.Value > Widest.Value)
        {
            yield return Say(NoteCode.PouredWide, QuantityName.Across, roll.Across, Widest, null);
        }
    }

    // As it lies by itself: the ladle stays.
    private static Mend SpreadTo(LadleSpec ladle, Pour pour) =>
        new(MendCode.SpreadTo, [Quantity.Of(QuantityName.Thickness, pour.ByItself)], Ladle: ladle with { Thickness = pour.ByItself });

    private static Note Say(NoteCode code, QuantityName name, Millimetres of, Millimetres limit, Mend? mend) =>
        new(code, Stage.Balls, Severity.Watch, [Quantity.Of(name, of), Quantity.Of(QuantityName.Limit, limit)], Mends: mend is null ? null : [mend]);
}
