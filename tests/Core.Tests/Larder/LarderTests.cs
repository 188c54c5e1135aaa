namespace Ystrata.Core.Tests;

public class LarderTests
{
    [Fact]
    public void Every_flour_drinks_and_behaves_under_the_pin()
    {
        var flours = Breads.Larder.All.Where(i => i.Kind == IngredientKind.Flour).ToList();

        Assert.Equal(14, flours.Count);
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
