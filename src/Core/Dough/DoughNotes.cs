namespace Ystrata.Core;

public static class DoughNotes
{
    /// <summary>Usual salt in a flatbread dough, percent of flour.</summary>
    private static readonly Percent LeastSalt = new(1.2), MostSalt = new(2.2);

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

        if (dough.Salt.Value < LeastSalt.Value)
        {
            yield return new(NoteCode.SaltLow, Stage.Dough, Weight.Watch, [Quantity.Of("salt", dough.Salt), Quantity.Of("least", LeastSalt)]);
        }
        else if (dough.Salt.Value > MostSalt.Value)
        {
            yield return new(NoteCode.SaltHigh, Stage.Dough, Weight.Watch, [Quantity.Of("salt", dough.Salt), Quantity.Of("most", MostSalt)]);
        }

        if (spec.Liquid == Egg)
        {
            yield return new(NoteCode.RawEgg, Stage.Dough, Weight.Caution, []);
        }
    }
}
