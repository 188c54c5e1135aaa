namespace Ystrata.Core.Tests;

/// <summary>High up water boils at 93 °C: cues follow, and what makes a core safe stays.</summary>
public class HighUpTests
{
    private static readonly BatchSpec Stuffed = Schools.All.Single(s => s.Id == "stuffed").Spec;

    private static BatchSpec High(BatchSpec spec) => spec with { Rest = spec.Rest with { Air = RoomAir.HighUp } };

    private static Slab Round(double mm, Celsius? boils = null) => Slab.Of([new(new(mm), PanPiece.Dough, new(42), [])], boils: boils);

    [Fact]
    public void A_wet_place_is_never_hotter_than_water_boils_there()
    {
        PanRun Roasted(Celsius boils)
        {
            var run = new PanRun(Round(5, boils), new(230), Cookware.Usual);
            run.Go(120);
            return run;
        }

        Assert.InRange(Roasted(new(93.4)).At(0.5).Value, 80, 93.4 + 1e-6);
        Assert.True(Roasted(new(100)).At(0.5).Value > Roasted(new(93.4)).At(0.5).Value);
    }

    [Fact]
    public void The_blister_cue_is_reached_up_there_too_and_not_later()
    {
        foreach (var spec in new[] { Breads.White(Breads.Letter), Breads.White(Breads.MatRoll, Breads.Coil), Stuffed })
        {
            double First(BatchSpec s) => Breads.Plan(s).Pan.Program.Turns[0].Time.Value;

            // Waiting for 94 °C would wait in vain.
            Assert.InRange(First(High(spec)), 10, First(spec));
        }
    }

    [Fact]
    public void A_core_is_as_safe_up_there_as_at_the_sea()
    {
        var meat = Stuffed with { Filling = Stuffed.Filling! with { Parts = [new("lamb-mince-cooked", new(900), default, [])], Together = [] } };
        var pan = Breads.Plan(High(meat)).Pan;

        Assert.True(pan.Done.Core!.Value.Value >= 74);
        Assert.False(Breads.Plan(High(meat)).Has(NoteCode.CoreUnsafe));
        var note = Breads.Plan(High(meat)).The(NoteCode.BoilsLower);
        Assert.Equal([93.4, 87.4, 74], note.Quantities.Select(q => Math.Round(q.Value, 1)));
        Assert.False(Breads.Plan(meat).Has(NoteCode.BoilsLower));
    }

    [Fact]
    public void A_boiled_pulse_drinks_slower_and_a_pressure_pot_does_not()
    {
        Kitchen high = Breads.Kitchen.In(RoomAir.HighUp);
        double Water(Kitchen kitchen, FillingStep step) => FillingStage.Make(Fillings.Of(Fillings.Part("lentil-dry", 100, step)), kitchen).End.Water.Value;

        Assert.True(Water(high, new BoilStep(new(20))) < Water(Breads.Kitchen, new BoilStep(new(20))) * 0.9);
        Assert.Equal(Water(Breads.Kitchen, new PressureStep(new(12))), Water(high, new PressureStep(new(12))), 9);
        var boiled = Fillings.Stuffed(Fillings.Of(Fillings.Part("lentil-dry", 300, new BoilStep(new(40)))));
        Assert.True(Breads.Plan(High(boiled)).Has(NoteCode.BoilsLonger));
        Assert.False(Breads.Plan(boiled).Has(NoteCode.BoilsLonger));
    }

    [Fact]
    public void Down_at_the_sea_nothing_of_it_is_left() =>
        Assert.Equal(Breads.Plan(Stuffed).Pan.Program.Turns.Select(t => t.Time), Breads.Plan(High(Stuffed) with { Rest = Stuffed.Rest }, Breads.Kitchen.In(RoomAir.HighUp)).Pan.Program.Turns.Select(t => t.Time));
}
