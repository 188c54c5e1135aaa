namespace Ystrata.Core;

public static class PanNotes
{
    // A round that is thinner than this many mm cooks as a plain round; thicker wants medium heat (empirical).
    private static readonly Millimetres ThickRound = new(6);

    public static IEnumerable<Note> Of(PanSpec spec, PanSheet pan, RollSheet roll, FoldSheet fold)
    {
        if (roll.Thickness.Value > ThickRound.Value)
        {
            yield return new(NoteCode.ThickRound, Stage.Pan, Weight.Watch, [Quantity.Of("thickness", roll.Thickness), Quantity.Of("limit", ThickRound)]);
        }

        if (pan is { SmokePoint: { } smoke, SmokeWatchFrom: { } watch } && spec.FatPerSide.Value > 0)
        {
            Quantity[] heat = [Quantity.Of("pan", spec.Temperature), Quantity.Of("smoke", smoke), Quantity.Of("under", watch)];
            if (spec.Temperature.Value >= smoke.Value)
            {
                yield return new(NoteCode.PanSmokes, Stage.Pan, Weight.Wrong, heat, spec.Fat);
            }
            else if (spec.Temperature.Value > watch.Value)
            {
                yield return new(NoteCode.PanNearSmoke, Stage.Pan, Weight.Watch, heat, spec.Fat);
            }
        }

        if (spec.Temperature.Value < pan.CoolUnder.Value)
        {
            yield return new(NoteCode.PanTooCool, Stage.Pan, Weight.Watch, [Quantity.Of("pan", spec.Temperature), Quantity.Of("least", pan.CoolUnder)]);
        }

        if (pan.Film.Value > PanStage.MostFilm.Value)
        {
            yield return new(NoteCode.PanFatPools, Stage.Pan, Weight.Watch, [Quantity.Of("fat", spec.FatPerSide), Quantity.Of("most", pan.FatGood.Most)], spec.Fat);
        }
        else if (spec.FatPerSide.Value > 0 && pan.Film.Value < PanStage.LeastFilm.Value)
        {
            yield return new(NoteCode.PanFatThin, Stage.Pan, Weight.Watch, [Quantity.Of("fat", spec.FatPerSide), Quantity.Of("least", pan.FatGood.Least)], spec.Fat);
        }

        yield return new(NoteCode.FirstEstimate, Stage.Pan, Weight.Watch, [Quantity.Of("first", pan.Turns[0].Time)]);

        if (spec.FatPerSide.Value > 0)
        {
            yield return new(NoteCode.HotFat, Stage.Pan, Weight.Caution, []);
        }

        if (fold.Nominal > 1)
        {
            yield return new(NoteCode.Steam, Stage.Pan, Weight.Caution, []);
        }
    }
}
