namespace Ystrata.Core.Tests;

/// <summary>What cannot all be fixed at once, and what does not fit.</summary>
public class PinsTests
{
    private static readonly LiquidSpec WaterRest = new("water", Amount.TheRest);

    private static Refusal The(BatchSpec spec) => Assert.Single(Breads.Refused(spec, Breads.Kitchen));

    private static BatchSpec With(Func<DoughSpec, DoughSpec> change, StartBy by = StartBy.Pieces)
    {
        var white = Breads.White(change);
        return white with { Start = white.Start with { By = by } };
    }

    [Theory]
    [InlineData(StartBy.Flour, "flour")]
    [InlineData(StartBy.Pieces, "pieces")]
    public void Flour_water_and_hydration_cannot_all_be_fixed(StartBy by, string size)
    {
        var refusal = The(With(d => d.WithLiquids(new LiquidSpec("water", Amount.Weighed(600))), by));

        Assert.Equal(("dough.hydration", RefusalCode.TooManyPins, size), (refusal.Field, refusal.Code, refusal.Item));
    }

    [Fact]
    public void With_the_hydration_let_go_the_same_weights_work()
    {
        var spec = With(d => d.WithLiquids(new LiquidSpec("water", Amount.Weighed(600))) with { WaterBy = WaterBy.Liquids }, StartBy.Flour);

        Assert.Equal(60.009, Breads.Plan(spec).Dough.Water.Hydration.Value, 3);
    }

    [Fact]
    public void A_start_from_a_liquid_needs_one_that_is_not_weighed_already() =>
        Assert.Equal("start.liquid", The(With(d => d.WithLiquids(new LiquidSpec("water", Amount.Weighed(600))) with { WaterBy = WaterBy.Liquids }, StartBy.Liquid)).Field);

    [Fact]
    public void Only_one_liquid_makes_up_the_rest() =>
        Assert.Equal(RefusalCode.TwoRests, The(With(d => d.WithLiquids(WaterRest, new("milk", Amount.TheRest)))).Code);

    [Fact]
    public void A_liquid_that_makes_up_the_rest_needs_to_know_the_rest_of_what() =>
        Assert.Equal(RefusalCode.NothingSetsWater, The(With(d => d with { WaterBy = WaterBy.Liquids })).Code);

    [Fact]
    public void A_puree_that_does_not_fit_is_told_how_much_does_and_that_much_fits()
    {
        BatchSpec Puree(double grams) => With(d => d.WithLiquids(new("puree-beet", Amount.Weighed(grams)), WaterRest));
        var refusal = The(Puree(1200));

        Assert.Equal(("dough.liquids[0].amount.mass", RefusalCode.LiquidDoesNotFit, "puree-beet"), (refusal.Field, refusal.Code, refusal.Item));
        var fits = refusal.Most!.Value;
        Assert.InRange(fits, 700, 1000);
        var dough = Breads.Plan(Puree(fits)).Dough;
        Assert.Equal(0, dough.Portions.Single(p => p.Id == "water").Mass.Value, 3);
        Assert.Equal(62, dough.Water.Hydration.Value, 6);
    }

    [Fact]
    public void A_share_of_liquid_over_the_target_is_told_the_share_that_fits()
    {
        var refusal = The(With(d => d.WithLiquids(new("milk", Amount.OfFlour(90)), WaterRest)));

        // 61.991 points of water in milk of 87.7 %.
        Assert.Equal(61.991 / 0.877, refusal.Most!.Value, 2);
    }

    [Fact]
    public void What_is_weighed_cannot_outweigh_the_dough()
    {
        var spec = With(d => d with { Additions = [new("seed-nigella", Amount.Weighed(5000))] });

        Assert.Contains(Breads.Refused(spec, Breads.Kitchen), r => r.Field == "start.pieces" && r.Code == RefusalCode.FixedOutweighs);
    }

    [Fact]
    public void A_sack_of_flour_in_tiny_balls_is_more_than_is_followed()
    {
        var white = Breads.White();
        var refusal = The(white with { Start = white.Start with { By = StartBy.Flour, Flour = new(100_000) } });

        Assert.Equal(("start.flour", RefusalCode.TooManyPieces, 500.0), (refusal.Field, refusal.Code, refusal.Most!.Value));
    }

    [Fact]
    public void A_thing_stands_in_a_list_once() =>
        Assert.Equal(("dough.additions[1].id", RefusalCode.NamedTwice), The(With(d => d.WithAdditions(("seed-nigella", 1), ("seed-nigella", 2)))) is var r ? (r.Field, r.Code) : default);

    [Fact]
    public void Water_has_no_solids_to_thicken() =>
        Assert.Equal(RefusalCode.NoSolids, The(With(d => d.WithLiquids(new LiquidSpec("water", Amount.TheRest, new Percent(90))))).Code);

    [Fact]
    public void Only_a_liquid_makes_up_the_rest() =>
        Assert.Equal("dough.fat.amount.by", The(With(d => d with { Fat = d.Fat with { Amount = Amount.TheRest } })).Field);
}
