namespace Ystrata.Core.Tests;

/// <summary>A filling cools by how deep it lies and how much of it there is (models.md F).</summary>
public class CoolingTests
{
    private static readonly BatchSpec Stuffed = Schools.All.Single(s => s.Id == "stuffed").Spec;

    private static BatchSpec Mash(double mass, params FillingStep[] after) => Stuffed with
    {
        Start = StartSpec.Of(Math.Max((int)(mass / 60), 1)),
        Filling = Stuffed.Filling! with { Parts = [new("pea-mash", new(mass), default, [new BoilStep(new(5)), .. after])], Together = [] },
    };

    private static FillingState Hot(double mass) => FillingStage.Make(Mash(mass).Filling!, Breads.Kitchen).End;

    [Fact]
    public void Twenty_kilograms_are_not_cold_after_an_hour_in_a_fridge()
    {
        var end = FillingStage.Make(Mash(20_000, new CoolStep(new(60), RestPlace.Fridge)).Filling!, Breads.Kitchen).End;

        Assert.True(end.Temperature.Value > 80, $"{end.Temperature.Value} °C");
    }

    [Fact]
    public void More_of_it_never_cools_sooner_and_more_trays_never_later()
    {
        foreach (var place in Enum.GetValues<RestPlace>())
        {
            double[] masses = [100, 300, 600, 1200, 2500, 5000, 10_000, 20_000, 40_000];
            foreach (var minutes in new double[] { 5, 30, 90, 240, 900 })
            {
                var byMass = masses.Select(m => Cooling.Of(Hot(m), place, 2).After(new(95), new(minutes)).Value).ToList();
                Assert.Equal(byMass.Order(), byMass);
                var byTrays = Enumerable.Range(1, 20).Select(n => Cooling.Of(Hot(9000), place, n).After(new(95), new(minutes)).Value).ToList();
                Assert.Equal(byTrays.OrderDescending(), byTrays);
                // A fridge at its limit is as slow however it is spread.
                Assert.True(byTrays[0] > byTrays[^1] || place == RestPlace.Fridge);
            }
        }
    }

    [Theory]
    [InlineData(300, 1, RestPlace.Room)]
    [InlineData(4000, 2, RestPlace.Fridge)]
    [InlineData(20_000, 3, RestPlace.Fridge)]
    public void How_warm_it_is_and_how_long_it_takes_are_one_curve(double mass, int trays, RestPlace place)
    {
        var cooling = Cooling.Of(Hot(mass), place, trays);
        foreach (var to in new double[] { 80, 60, 40, 25 })
        {
            Assert.Equal(to, cooling.After(new(95), cooling.Until(new(95), new(to))!.Value).Value, 6);
        }

        Assert.Equal(0, cooling.Until(new(20), new(60))!.Value.Value);
        Assert.Null(cooling.Until(new(95), new(3)));
    }

    [Fact]
    public void The_deep_heap_is_told_how_many_trays_bring_it_through()
    {
        var spec = Mash(6000, new CoolStep(new(60), RestPlace.Room));
        var note = Breads.Plan(spec).The(NoteCode.CoolsSlowly);

        Assert.Equal(Severity.Caution, note.Severity);
        var mend = Assert.Single(note.Mends!);
        var mended = mend.On(spec);
        Assert.False(Breads.Plan(mended).Has(NoteCode.CoolsSlowly));
        var trays = ((CoolStep)mended.Filling!.Parts[0].Steps[^1]).Trays;
        var fewer = spec with { Filling = spec.Filling! with { Parts = [spec.Filling.Parts[0] with { Steps = [new BoilStep(new(5)), new CoolStep(new(60), RestPlace.Room, trays - 1)] }] } };
        Assert.True(Breads.Plan(fewer).Has(NoteCode.CoolsSlowly));
        Assert.False(Breads.Plan(Mash(900, new CoolStep(new(60), RestPlace.Room))).Has(NoteCode.CoolsSlowly));
    }

    [Fact]
    public void A_fridge_that_cannot_take_the_heat_is_said()
    {
        var note = Breads.Plan(Mash(20_000, new CoolStep(new(60), RestPlace.Fridge, 20))).The(NoteCode.FridgeOverloaded);

        Assert.Null(note.Mends);
        Assert.True(note.Quantities.Single(q => q.Name == QuantityName.Time).Value > 300);
    }

    [Fact]
    public void Only_what_is_between_five_and_sixty_degrees_counts_as_warm()
    {
        double Warm(double minutes, RestPlace place) => FillingStage.Make(Mash(300, new CoolStep(new(minutes), place)).Filling!, Breads.Kitchen).Parts[0].Rows[^1].Warm.Value;

        Assert.Equal(0, Warm(5, RestPlace.Room));
        Assert.Equal(60, Warm(180, RestPlace.Room) - Warm(120, RestPlace.Room), 9);
        // Once it is cold through, no more is added.
        Assert.Equal(Warm(600, RestPlace.Fridge), Warm(1200, RestPlace.Fridge), 9);
        Assert.InRange(Warm(600, RestPlace.Fridge), 40, 119);
    }

    [Theory]
    [InlineData(0)]
    [InlineData(-3)]
    [InlineData(41)]
    public void So_many_trays_are_none(int trays)
    {
        var refusal = Assert.Single(Breads.Refused(Mash(900, new CoolStep(new(60), RestPlace.Room, trays)), Breads.Kitchen));

        Assert.Equal(("filling.parts[0].steps[1].trays", RefusalCode.OutOfRange, 1.0, 40.0), (refusal.Field, refusal.Code, refusal.Least, refusal.Most));
    }
}
