namespace Ystrata.Core.Tests;

public class MeasuresTests
{
    [Fact]
    public void Ounces_go_there_and_back() => Assert.Equal(80, Grams.FromOunces(new Grams(80).Ounces).Value, 12);

    [Theory]
    [InlineData(0, 32)]
    [InlineData(100, 212)]
    [InlineData(214, 417.2)]
    public void Celsius_reads_as_Fahrenheit(double c, double f)
    {
        Assert.Equal(f, new Celsius(c).Fahrenheit, 9);
        Assert.Equal(c, Celsius.FromFahrenheit(f).Value, 9);
    }

    [Fact]
    public void Seven_inches_are_178_mm() => Assert.Equal(177.8, Millimetres.FromInches(7).Value, 9);

    [Fact]
    public void A_round_and_its_area_give_each_other_back()
    {
        Assert.Equal(706.858, SquareCentimetres.OfRound(new(300)).Value, 3);
        Assert.Equal(300, SquareCentimetres.OfRound(new(300)).AsRound().Value, 9);
    }

    [Fact]
    public void A_scooped_cup_of_flour_weighs_more_than_a_sifted_one()
    {
        var flour = Breads.Larder["flour-white"].Density;

        Assert.Equal(125.4, Vessels.Weigh(Vessels.CupUs, flour).Value, 1);
        Assert.Equal(112.9, Vessels.Weigh(Vessels.CupUs, flour, PowderFill.Sifted).Value, 1);
        Assert.Equal(143.0, Vessels.Weigh(Vessels.CupUs, flour, PowderFill.Scooped).Value, 1);
    }

    [Fact]
    public void One_weighing_gives_the_volume_of_a_glass()
    {
        var water = Breads.Larder["water"].Density;
        var flour = Breads.Larder["flour-atta"].Density;
        var glass = Vessels.VolumeOf(new(195), water);

        Assert.Equal(195, glass.Value, 9);
        Assert.Equal(195 * 0.52, Vessels.Weigh(glass, flour).Value, 9);
    }

    [Fact]
    public void A_spoon_of_ghee_and_a_spoon_of_oil_differ() =>
        Assert.NotEqual(
            Vessels.Weigh(Vessels.Tablespoon, Breads.Larder["ghee"].Density),
            Vessels.Weigh(Vessels.Tablespoon, Breads.Larder["oil-sunflower"].Density));
}
