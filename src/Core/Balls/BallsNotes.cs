namespace Ystrata.Core.Balls;

public static class BallsNotes
{
    /// <summary>Balls that were weighed and lie further apart than a careful divider keeps to.</summary>
    public static IEnumerable<Note> Of(BallsSheet balls)
    {
        if (balls.Tray.Spread is { Even: false } spread)
        {
            yield return new(NoteCode.BallsUneven, Stage.Balls, Severity.Watch, [Quantity.Of(QuantityName.Off, spread.Variation), Quantity.Of(QuantityName.Most, BallsStage.Tolerance), Quantity.Of(QuantityName.Spread, spread.Spread)]);
        }
    }
}
