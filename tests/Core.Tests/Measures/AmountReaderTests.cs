using CsCheck;

namespace Ystrata.Core.Tests;

public class AmountReaderTests
{
    private static readonly Measuring Kitchen = new(CupKind.Us, PowderFill.Spooned, [new("v1", "Quay glass", new(195)), new("v2", "ladle", new(80))]);

    private static AmountRead Read(string text, string item = "water", bool ounces = false) => AmountReader.Read(text, Breads.Larder[item], Kitchen, ounces);

    [Theory]
    [InlineData("200g", 200)]
    [InlineData("200 G", 200)]
    [InlineData("  1 500 g ", 1500)]
    [InlineData("0,5 kg", 500)]
    [InlineData("1.25kg", 1250)]
    [InlineData("250", 250)]
    [InlineData("7 oz", 198.4467)]
    [InlineData("1 lb", 453.59237)]
    [InlineData("1 1/2 c", 354.9)]
    [InlineData("1½ cup", 354.9)]
    [InlineData("1 ½ cups", 354.9)]
    [InlineData("½ cup", 118.3)]
    [InlineData("3/4 cup", 177.45)]
    [InlineData("3 tbsp", 45)]
    [InlineData("3 tbsp.", 45)]
    [InlineData("2 tsp", 10)]
    [InlineData("a glass", 195)]
    [InlineData("2 glasses", 390)]
    [InlineData("a Quay glass", 195)]
    [InlineData("half a ladle", 40)]
    [InlineData("2 dl", 200)]
    [InlineData("250 ml of", 250)]
    [InlineData("1 metric cup", 250)]
    [InlineData("0", 0)]
    public void What_people_type_is_read(string text, double grams) => Assert.Equal(grams, Read(text).Mass!.Value.Value, 3);

    [Theory]
    [InlineData("1 cup", 236.6 * 0.53)]
    [InlineData("1 cup sifted", 236.6 * 0.53 * 0.90)]
    [InlineData("1½ cup scooped", 1.5 * 236.6 * 0.53 * 1.14)]
    [InlineData("scooped", null)]
    public void A_powder_weighs_by_how_it_is_filled(string text, double? grams)
    {
        var read = Read(text, "flour-white");

        if (grams is { } g)
        {
            Assert.Equal(g, read.Mass!.Value.Value, 6);
        }
        else
        {
            Assert.Equal(AmountTrouble.NotRead, read.Trouble);
        }
    }

    [Theory]
    [InlineData("a golf ball", 48)]
    [InlineData("golf-ball-sized", 48)]
    [InlineData("lemon-sized", 60)]
    [InlineData("half a lemon", 30)]
    [InlineData("two fists", 600)]
    [InlineData("2 tennis balls", 350)]
    [InlineData("a walnut of ghee", 28)]
    [InlineData("a hen's egg", 58)]
    [InlineData("one tangerine", 100)]
    public void What_a_cook_likens_it_to_is_an_amount(string text, double grams) => Assert.Equal(grams, Read(text, "ghee").Mass!.Value.Value, 9);

    [Theory]
    [InlineData("a heaped tbsp", 22.5)]
    [InlineData("1 rounded teaspoon", 6.25)]
    [InlineData("2 level tbsp", 30)]
    [InlineData("3 big spoons", 45)]
    [InlineData("a small spoon", 5)]
    [InlineData("a dessert spoon", 10)]
    [InlineData("two tea cups", 300)]
    [InlineData("a mug of water", 300)]
    [InlineData("3 small bowls", 450)]
    // The kitchen's own ladle goes before the usual one.
    [InlineData("a ladle", 80)]
    public void Spoons_and_bowls_go_by_the_names_they_have(string text, double grams) => Assert.Equal(grams, Read(text).Mass!.Value.Value, 9);

    [Fact]
    public void A_likeness_that_was_weighed_is_the_cooks_own_and_what_is_measured_is_none()
    {
        var weighed = Kitchen with { Own = [.. Kitchen.Own, new Vessel("v3", "lemon", new(75))] };
        Assert.Equal(75, AmountReader.Read("a lemon", Breads.Larder["water"], weighed).Mass!.Value.Value, 9);

        // Two walnuts of walnut are no two balls.
        Assert.Equal(AmountTrouble.UnknownVessel, Read("2 walnuts", "walnut").Trouble);
        Assert.Equal(AmountTrouble.UnknownVessel, Read("a melon").Trouble);
        Assert.Equal(AmountTrouble.NotRead, Read("heaped").Trouble);
    }

    [Theory]
    [InlineData(28, LikeA.Walnut, 1)]
    [InlineData(50, LikeA.GolfBall, 1)]
    [InlineData(61, LikeA.Lemon, 1)]
    [InlineData(105, LikeA.Tangerine, 1)]
    [InlineData(170, LikeA.TennisBall, 1)]
    [InlineData(620, LikeA.Fist, 2)]
    public void A_ball_is_like_the_nearest_thing(double grams, LikeA like, int count) => Assert.Equal(new Likeness(like, count), Likeness.Of(new(grams)));

    [Theory]
    [InlineData(0)]
    [InlineData(5)]
    [InlineData(80)]
    [InlineData(2000)]
    public void What_nothing_comes_near_is_like_nothing(double grams) => Assert.Null(Likeness.Of(new(grams)));

    [Fact]
    public void A_kitchen_that_weighs_in_ounces_means_them() => Assert.Equal(56.699, Read("2", ounces: true).Mass!.Value.Value, 3);

    [Theory]
    [InlineData("", AmountTrouble.NotRead)]
    [InlineData("plenty", AmountTrouble.NotRead)]
    [InlineData("-3 g", AmountTrouble.NotRead)]
    [InlineData("1/0 cup", AmountTrouble.NotRead)]
    [InlineData("1.2.3 g", AmountTrouble.NotRead)]
    [InlineData("NaN", AmountTrouble.NotRead)]
    [InlineData("<b>2</b>", AmountTrouble.NotRead)]
    [InlineData("3 jugs", AmountTrouble.UnknownVessel)]
    [InlineData("2 <b>", AmountTrouble.UnknownVessel)]
    [InlineData("1,500 g", AmountTrouble.TwoWays)]
    [InlineData("101 kg", AmountTrouble.OutOfRange)]
    [InlineData("999999999 cups", AmountTrouble.OutOfRange)]
    public void What_cannot_be_read_says_why(string text, AmountTrouble trouble) => Assert.Equal((null, trouble), (Read(text).Mass, Read(text).Trouble));

    [Fact]
    public void No_text_at_all_breaks_the_reader() =>
        Gen.String[Gen.Char["0123456789 .,/½cuptbsglaof\u202f-eE"], 0, 30].Sample(text =>
        {
            var read = Read(text);
            Assert.Equal(read.Trouble == AmountTrouble.None, read.Mass is not null);
        });

    [Theory]
    [InlineData("water", 250, "cup", 12)]
    [InlineData("water", 375, "cup", 18)]
    [InlineData("water", 83, "cup", 4)]
    [InlineData("water", 30, "tbsp", 24)]
    [InlineData("salt-fine", 12, "tsp", 24)]
    [InlineData("flour-white", 1060, "cup", 96)]
    public void The_nearest_honest_measure_is_found(string item, double grams, string vessel, int twelfths)
    {
        var measure = NearestMeasure.Of(new(grams), Breads.Larder[item], Measuring.Usual);

        Assert.Equal((vessel, twelfths), (measure!.Vessel, measure.Twelfths));
        Assert.InRange(measure.Off.Value, -10, 10);
    }

    [Fact]
    public void A_measure_that_would_be_a_lie_is_not_given()
    {
        Assert.Null(NearestMeasure.Of(new(0.3), Breads.Larder["water"], Measuring.Usual));
        Assert.Null(NearestMeasure.Of(new(9000), Breads.Larder["water"], Measuring.Usual));
        Assert.Null(NearestMeasure.Of(Grams.Zero, Breads.Larder["water"], Measuring.Usual));
    }

    [Fact]
    public void A_measure_read_back_weighs_what_it_said() =>
        Gen.Select(Gen.Double[2, 2500], Gen.OneOfConst("water", "flour-white", "ghee", "salt-fine")).Sample((grams, id) =>
        {
            if (NearestMeasure.Of(new(grams), Breads.Larder[id], Kitchen) is { } m)
            {
                var word = Kitchen.Own.FirstOrDefault(v => v.Id == m.Vessel)?.Name ?? m.Vessel;
                Assert.Equal(grams * (1 + m.Off.Fraction), Read($"{m.Twelfths}/12 {word}", id).Mass!.Value.Value, 0.001);
            }
        });
}
