namespace Ystrata.Core.Tests.Measures;

/// <summary>Cups of flour of which nobody has said how they are filled.</summary>
public sealed class CupTests
{
    private static readonly Kitchen Unsaid = Kitchen.Shipped;

    private static Kitchen Said(PowderFill fill, Grams? cup = null) =>
        Unsaid with { Measures = Measuring.Of(Units.Usual with { Fill = fill, CupSaid = true, FlourCup = cup }, [], Unsaid.Larder) };

    private static AmountRead Read(string text, string id, Kitchen kitchen) => AmountReader.Read(text, kitchen[id], kitchen.Measures);

    private static BatchSpec Two(double packing, bool all = false) => BatchSpec.Plain with
    {
        Start = BatchSpec.Plain.Start with { By = StartBy.Flour, Flour = new(250) },
        Dough = BatchSpec.Plain.Dough with { Cups = new(packing, all) },
    };

    [Theory]
    [InlineData("2 cups", true)]
    [InlineData("1 1/2 c", true)]
    [InlineData("2 mugs", true)]
    [InlineData("2 cups scooped", false)]
    [InlineData("2 cups sifted", false)]
    [InlineData("250 g", false)]
    [InlineData("a fist", false)]
    public void An_unmarked_vessel_of_flour_says_what_was_taken_for_its_filling(string text, bool hangs)
    {
        Assert.Equal(hangs ? 1 : null, Read(text, Staples.WhiteFlour, Unsaid).Packing);
        Assert.Null(Read(text, Staples.WhiteFlour, Said(PowderFill.Spooned)).Packing);
        Assert.Null(Read(text, Staples.Water, Unsaid).Packing);
    }

    [Fact]
    public void A_dough_says_how_much_hangs_on_it_until_it_is_said()
    {
        var note = Breads.Plan(Two(1), Unsaid).The(NoteCode.CupsUnsaid);
        double Figure(QuantityName name) => note.Quantities.Single(q => q.Name == name).Value;

        Assert.Equal(58 / 1.14, Figure(QuantityName.Least), 6);
        Assert.Equal(58, Figure(QuantityName.Most), 6);
        Assert.False(Breads.Plan(Two(1), Said(PowderFill.Spooned)).Has(NoteCode.CupsUnsaid));
        Assert.False(Breads.Plan(Two(1) with { Dough = BatchSpec.Plain.Dough }, Unsaid).Has(NoteCode.CupsUnsaid));
    }

    [Fact]
    public void Once_it_is_said_the_flour_that_was_measured_is_put_right_with_a_press()
    {
        var mend = Assert.Single(Breads.Plan(Two(1), Said(PowderFill.Scooped)).The(NoteCode.CupsSaid).Mends!);
        var after = mend.On(Two(1));

        Assert.Equal((285, null), (after.Start.Flour.Value, after.Dough.Cups));
        Assert.Equal(58, after.Dough.Hydration.Value);
        Assert.False(Breads.Plan(after, Said(PowderFill.Scooped)).Has(NoteCode.CupsSaid));
    }

    [Fact]
    public void In_a_recipe_all_else_was_measured_too_and_stays_as_heavy_as_it_was()
    {
        var recipe = Two(1, all: true) with { Dough = Two(1, all: true).Dough with { WaterBy = WaterBy.Liquids, Liquids = [new(Staples.Water, Amount.OfFlour(62))] } };
        var kitchen = Said(PowderFill.Scooped);
        var after = Breads.Plan(recipe, kitchen).The(NoteCode.CupsSaid).Mends![0].On(recipe);
        double Water(BatchSpec spec) => Breads.Plan(spec, kitchen).Dough.Portions.Single(p => p.Id == Staples.Water).Mass.Value;

        Assert.Equal(Water(recipe), Water(after), 0);
        Assert.Equal(62 / 1.14, Breads.Plan(after, kitchen).Dough.Water.Hydration.Value, 1);
    }

    [Fact]
    public void One_cup_weighed_as_it_is_filled_goes_before_the_way_of_filling()
    {
        var cup = Read("1 cup", Staples.WhiteFlour, Unsaid).Mass!.Value;
        var kitchen = Said(PowderFill.Sifted, cup * 1.2);

        Assert.Equal(cup.Value * 1.2, Read("1 cup", Staples.WhiteFlour, kitchen).Mass!.Value.Value, 6);
        Assert.Equal(1.2 * Read("1 cup", Staples.WholeFlour, Unsaid).Mass!.Value.Value, Read("1 cup", Staples.WholeFlour, kitchen).Mass!.Value.Value, 6);
        // What says its filling, and what is no powder, is as it was.
        Assert.Equal(cup.Value * 0.9, Read("1 cup sifted", Staples.WhiteFlour, kitchen).Mass!.Value.Value, 6);
        Assert.Equal(Read("1 cup", Staples.Water, Unsaid).Mass, Read("1 cup", Staples.Water, kitchen).Mass);
        Assert.Equal(12, NearestMeasure.Of(cup * 1.2, kitchen[Staples.WhiteFlour], kitchen.Measures)!.Twelfths);
    }

    [Theory]
    [InlineData("a golf ball", 48)]
    [InlineData("lemon-sized", 60)]
    [InlineData("two fists", 600)]
    [InlineData("80", 80)]
    [InlineData("1 ladle", 70.8)]
    public void Dough_itself_is_read_in_words(string text, double grams) => Assert.Equal(grams, AmountReader.OfDough(text, Unsaid).Mass!.Value.Value, 1);

    [Theory]
    [InlineData(0)]
    [InlineData(-3)]
    [InlineData(1e9)]
    [InlineData(double.NaN)]
    public void A_packing_nobody_can_fill_is_refused(double packing) =>
        Assert.Equal("dough.cups.packing", Assert.Single(Planner.Check(Two(packing), Unsaid).Refusals).Field);
}
