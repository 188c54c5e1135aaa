namespace Ystrata.Core.Tests;

public class LarderTests
{
    [Fact]
    public void Every_flour_drinks_and_behaves_under_the_pin()
    {
        var flours = Breads.Larder.All.Where(i => i.Kind == IngredientKind.Flour).ToList();

        Assert.Equal(19, flours.Count);
        Assert.All(flours, f => Assert.NotNull(f.Absorption));
        Assert.All(flours, f => Assert.NotNull(f.Traits));
    }

    [Fact]
    public void Every_fat_has_a_smoke_point() =>
        Assert.All(Breads.Larder.All.Where(i => i.Kind == IngredientKind.Fat), f => Assert.InRange(f.SmokePoint!.Value.Value, 140, 280));

    [Fact]
    public void Nothing_in_the_larder_is_more_than_itself() =>
        Assert.All(Breads.Larder.All, i => Assert.InRange(i.Water.Value + i.Fat.Value + i.Sugar.Value + i.Salt.Value, 0, 100.5));

    [Fact]
    public void Ghee_is_known_by_its_figures()
    {
        var ghee = Breads.Larder["ghee"];

        Assert.Equal((0.91, 0.3, 99.5, 250), (ghee.Density.Value, ghee.Water.Value, ghee.Fat.Value, ghee.SmokePoint!.Value.Value));
    }
}

public class OwnIngredientTests
{
    private static readonly Ingredient White = Breads.Larder["flour-white"];

    private static readonly Ingredient Sack = White with { Id = "own-sack", Name = "Sack of 14 November", Origin = Origin.Own, Lot = new("flour-white", new(2.5)), Absorption = null };

    private static IEnumerable<(string Field, RefusalCode Code)> Refused(Ingredient item) => IngredientCheck.Check(item, Breads.Larder).Select(r => (r.Field, r.Code));

    [Fact]
    public void A_sack_drinks_its_flours_water_and_its_own_thirst()
    {
        var kitchen = new Larder([.. Breads.Larder.All, Sack]);

        Assert.Equal(60.5, kitchen["own-sack"].Absorption!.Value.Value, 9);
        Assert.Equal(White.Density, kitchen["own-sack"].Density);

        // Put right the flour, and its sacks follow.
        var drier = new Larder([.. Breads.Larder.All.Where(i => i.Id != "flour-white"), White with { Absorption = new(61) }, Sack]);
        Assert.Equal(63.5, drier["own-sack"].Absorption!.Value.Value, 9);
    }

    [Fact]
    public void Everything_shipped_can_stand() => Assert.All(Breads.Larder.All, i => Assert.Empty(IngredientCheck.Check(i, Breads.Larder)));

    [Fact]
    public void Bad_figures_are_named()
    {
        Assert.Contains(("density", RefusalCode.OutOfRange), Refused(White with { Density = new(0) }));
        Assert.Contains(("water", RefusalCode.NotANumber), Refused(White with { Water = new(double.NaN) }));
        Assert.Contains(("water", RefusalCode.Together), Refused(White with { Fat = new(95) }));
        Assert.Contains(("name", RefusalCode.Missing), Refused(White with { Name = " " }));
        Assert.Contains(("name", RefusalCode.TooLong), Refused(White with { Name = new('x', 81) }));
        Assert.Contains(("name", RefusalCode.NameTaken), Refused(White with { Name = " water" }));
        Assert.Contains(("absorption", RefusalCode.Missing), Refused(White with { Absorption = null }));
        Assert.Contains(("traits", RefusalCode.Missing), Refused(White with { Traits = null }));
        Assert.Contains(("price.pack", RefusalCode.OutOfRange), Refused(White with { Price = new(new(2), new(0)) }));
        Assert.Contains(("lot.of", RefusalCode.UnknownIngredient), Refused(Sack with { Absorption = White.Absorption, Lot = new("ghee", new(1)) }));
        Assert.Contains(("water", RefusalCode.OutOfRange), Refused(Breads.Larder["milk"] with { Water = new(5) }));
    }

    [Fact]
    public void A_thicker_puree_has_more_of_everything_but_water()
    {
        var thick = Breads.Larder["puree-beet"].WithWater(new(76));

        Assert.Equal((76, 14, 24), (thick.Water.Value, thick.Sugar.Value, thick.Solids.Value));
    }

    [Fact]
    public void Every_school_can_be_worked() =>
        Assert.All(Schools.All, s => Assert.Empty(Breads.Refused(s.Spec, Breads.Kitchen)));
}
