namespace Ystrata.Core;

public static class DoughNotes
{
    private const string Egg = "egg";

    public static IEnumerable<Note> Of(DoughSpec spec, DoughSheet dough)
    {
        var (code, weight) = dough.Feel switch
        {
            DoughFeel.Stiff => (NoteCode.DoughStiff, Weight.Wrong),
            DoughFeel.FirmSide => (NoteCode.DoughFirmSide, Weight.Watch),
            DoughFeel.OnTarget => (NoteCode.DoughOnTarget, Weight.Right),
            DoughFeel.SoftSide => (NoteCode.DoughSoftSide, Weight.Watch),
            DoughFeel.Sticky => (NoteCode.DoughSticky, Weight.Wrong),
            _ => (NoteCode.DoughBatter, Weight.Wrong),
        };
        yield return new(
            code,
            Stage.Dough,
            weight,
            [
                Quantity.Of("hydration", dough.Hydration),
                Quantity.Of("gap", new Percent(Math.Abs(dough.Gap.Value))),
                Quantity.Of("right", dough.HydrationOnTarget),
            ]);

        var (leastSalt, mostSalt) = dough.SaltGood;
        if (dough.Salt.Value < leastSalt.Value)
        {
            yield return new(NoteCode.SaltLow, Stage.Dough, Weight.Watch, [Quantity.Of("salt", dough.Salt), Quantity.Of("least", leastSalt)]);
        }
        else if (dough.Salt.Value > mostSalt.Value)
        {
            yield return new(NoteCode.SaltHigh, Stage.Dough, Weight.Watch, [Quantity.Of("salt", dough.Salt), Quantity.Of("most", mostSalt)]);
        }

        if (spec.Liquid == Egg)
        {
            yield return new(NoteCode.RawEgg, Stage.Dough, Weight.Caution, []);
        }
    }
}
