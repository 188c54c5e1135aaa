namespace Ystrata.Core.Tests;

public class PureeTests
{
    private static DoughSheet Dough(string puree, double? water = null, int pieces = 24)
    {
        var spec = Breads.White(d => d.WithLiquids(new LiquidSpec(puree, Amount.TheRest, water is { } w ? new Percent(w) : null)));
        return Breads.Plan(spec with { Start = StartSpec.Of(pieces) }).Dough;
    }

    [Fact]
    public void Every_puree_of_the_larder_can_be_made() =>
        Assert.All(
            Breads.Larder.All.Where(i => i.Kind == IngredientKind.Puree),
            i => Assert.NotEmpty(Breads.Plan(Breads.White(d => d.WithLiquids(new(i.Id, Amount.OfFlour(20)), new("water", Amount.TheRest)))).Dough.Purees));

    [Fact]
    public void Solids_are_neither_made_nor_lost_in_the_blender()
    {
        var dough = Dough("puree-beet");
        var boiled = dough.Purees.Single(p => p.Method == PureeMethod.Boil);

        // Raw beet is 87 % water, 15 % are peel, the pot keeps 5 % of the solids, and 98 % of the mass comes out.
        Assert.Equal(boiled.Cooked.Value / 0.98 / 0.85, boiled.Raw.Value, 9);
        Assert.Equal(boiled.Cooked.Value * 0.13 * 0.95 / 0.98, boiled.Made.Value * 0.12, 6);
        Assert.Equal((boiled.Made - boiled.Cooked).Value, (boiled.Blend - boiled.CookOff).Value, 9);
        Assert.Equal(dough.Portions.Single(p => p.Id == "puree-beet").Mass.Value, boiled.Needed.Value, 9);
    }

    [Fact]
    public void A_thicker_puree_takes_more_root_and_has_to_be_cooked_down()
    {
        var thick = Dough("puree-beet", 80).Purees[0];

        Assert.True(thick.CookOff.Value > 0);
        Assert.Equal(thick.Cooked.Value * 0.05, thick.Blend.Value, 9);
        Assert.True(thick.Raw / thick.Needed > Dough("puree-beet").Purees[0].Raw / Dough("puree-beet").Purees[0].Needed);
    }

    [Fact]
    public void A_blender_wants_its_fill_and_the_rest_is_left_over()
    {
        var one = Dough("puree-beet", pieces: 1).Purees[0];

        Assert.Equal(150, one.Made.Value);
        Assert.Equal(150 - one.Needed.Value, one.Left.Value, 9);
        Assert.Equal(0, Dough("puree-beet").Purees[0].Left.Value, 9);
    }

    [Fact]
    public void Leaves_are_blanched_and_chilled() =>
        Assert.Equal((PureeMethod.Blanch, true), Dough("paste-leaf").Purees.Single() is var p ? (p.Method, p.Chill) : default);
}
