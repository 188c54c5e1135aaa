namespace Ystrata.Core;

public static class PanNotes
{
    // Within this of the smoke point a pan that creeps up smokes (models.md F).
    private const double NearSmoke = 10;

    // A round that is thinner than this many mm cooks as a plain round; thicker wants medium heat (work.md 8, empirical).
    private static readonly Millimetres ThickRound = new(6);

    // Under this a face dries before it colours (empirical).
    private static readonly Celsius CoolPan = new(170);

    public static IEnumerable<Note> Of(PanSpec spec, PanSheet pan, RollSheet roll, FoldSheet fold)
    {
        if (roll.Thickness.Value > ThickRound.Value)
        {
            yield return new(NoteCode.ThickRound, Stage.Pan, Weight.Watch, [Quantity.Of("thickness", roll.Thickness), Quantity.Of("limit", ThickRound)]);
        }

        if (pan.SmokePoint is { } smoke && spec.FatPerSide.Value > 0)
        {
            Quantity[] heat = [Quantity.Of("pan", spec.Temperature), Quantity.Of("smoke", smoke), Quantity.Of("under", new Celsius(smoke.Value - NearSmoke))];
            if (spec.Temperature.Value >= smoke.Value)
            {
                yield return new(NoteCode.PanSmokes, Stage.Pan, Weight.Wrong, heat, spec.Fat);
            }
            else if (spec.Temperature.Value > smoke.Value - NearSmoke)
            {
                yield return new(NoteCode.PanNearSmoke, Stage.Pan, Weight.Watch, heat, spec.Fat);
            }
        }

        if (spec.Temperature.Value < CoolPan.Value)
        {
            yield return new(NoteCode.PanTooCool, Stage.Pan, Weight.Watch, [Quantity.Of("pan", spec.Temperature), Quantity.Of("least", CoolPan)]);
        }

        if (pan.Film.Value > PanStage.MostFilm.Value)
        {
            yield return new(NoteCode.PanFatPools, Stage.Pan, Weight.Watch, [Quantity.Of("fat", spec.FatPerSide), Quantity.Of("most", pan.MostFat)], spec.Fat);
        }
        else if (spec.FatPerSide.Value > 0 && pan.Film.Value < PanStage.LeastFilm.Value)
        {
            yield return new(NoteCode.PanFatThin, Stage.Pan, Weight.Watch, [Quantity.Of("fat", spec.FatPerSide), Quantity.Of("least", pan.LeastFat)], spec.Fat);
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
