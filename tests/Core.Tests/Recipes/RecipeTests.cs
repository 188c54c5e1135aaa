using CsCheck;

namespace Ystrata.Core.Tests.Recipes;

/// <summary>A recipe in words becomes a bread, and whatever it does not say is asked for and not made up.</summary>
public class RecipeTests
{
    private static readonly Larder Larder = Breads.Larder;

    private static RecipeRead Read(IReadOnlyList<string> lines, IReadOnlyList<string>? steps = null, string yield = "", params SettledLine[] settled) =>
        RecipeReader.Read(new("Quay rounds", "", lines, steps ?? [], yield, []), Breads.Kitchen, settled);

    private static RecipeLine Line(string text) => Assert.Single(Read([text]).Lines);

    [Theory]
    [InlineData("500 g all-purpose flour", "flour-white", 500)]
    [InlineData("500g maida, sifted", "flour-white", 500)]
    [InlineData("2 cups (240 g) atta", "flour-atta", 240)]
    [InlineData("1.5 kg Rye flour", "flour-rye", 1500)]
    [InlineData("2 tbsp ghee", "ghee", 27.3)]
    [InlineData("1 1/2 cups water", "water", 375)]
    [InlineData("½ cup plain yoghurt", "yogurt", 128.75)]
    [InlineData("120 ml water, lukewarm", "water", 120)]
    [InlineData("1 tsp salt", "salt-fine", 6.1)]
    [InlineData("2 tsp nigella seeds", "seed-nigella", 5.6)]
    [InlineData("2 eggs", "egg", 100)]
    [InlineData("1 large egg", "egg", 50)]
    [InlineData("200 g fenugreek leaves, chopped", "fenugreek-leaf", 200)]
    [InlineData("- 30 g butter", "butter", 30)]
    [InlineData("200-250 g atta", "flour-atta", 225)]
    [InlineData("1 to 2 tbsp ghee", "ghee", 20.5)]
    [InlineData("1/2-1 tsp turmeric", "turmeric", 2.06)]
    [InlineData("3 carrots", "carrot", 210)]
    [InlineData("2 large carrots, grated", "carrot", 196)]
    [InlineData("1 cup plus 2 tbsp water", "water", 280)]
    [InlineData("2 tbsp oil or melted ghee", "oil-sunflower", 27.6)]
    [InlineData("2 cups whole wheat flour, plus extra for dusting", "flour-whole", 255)]
    [InlineData("3/4 cup water, or as needed", "water", 187.5)]
    [InlineData("a handful of mint, chopped", "mint", 14.4)]
    [InlineData("1 small cauliflower (about 400 g)", "cauliflower", 400)]
    [InlineData("2 tbsp ghee, divided", "ghee", 27.3)]
    [InlineData("1 bunch coriander", "coriander-leaf", 60)]
    [InlineData("Water – 2/3 cup", "water", 166.7)]
    [InlineData("pinch of asafoetida", "asafoetida", 0.19)]
    public void A_line_says_how_much_of_what(string text, string item, double grams)
    {
        var line = Line(text);

        Assert.Equal(item, line.Item);
        Assert.InRange(line.Mass!.Value.Value, grams * 0.97, grams * 1.03);
    }

    [Theory]
    [InlineData("salt to taste", LineTrouble.KindOnly)]
    [InlineData("cumin seeds", LineTrouble.NoAmount)]
    [InlineData("3 shadows", LineTrouble.NoIngredient)]
    [InlineData("2,500 g atta", LineTrouble.TwoWays)]
    [InlineData("3 cups flour", LineTrouble.Several)]
    [InlineData("2 tsp sprinkles", LineTrouble.NoIngredient)]
    [InlineData("a handful of moonlight", LineTrouble.NoIngredient)]
    [InlineData("200 g fresh air", LineTrouble.NoIngredient)]
    [InlineData("", LineTrouble.NoIngredient)]
    public void A_line_that_can_mean_two_things_is_not_guessed(string text, LineTrouble trouble) => Assert.Equal(trouble, Line(text).Trouble);

    [Fact]
    public void Every_line_of_the_larder_is_known_by_its_name() =>
        Assert.All(Larder.All, i =>
        {
            var line = Line($"123.45 g {i.Name}");
            Assert.Equal((i.Id, 123.45), (line.Item, line.Mass!.Value.Value));
        });

    private static readonly string[] Rounds = ["400 g atta", "260 g water", "20 g ghee", "8 g salt", "ghee for the pan"];

    [Fact]
    public void Amounts_become_shares_of_the_flour_and_the_plan_weighs_them_out_again()
    {
        var read = Read(Rounds, ["Knead, cover and rest for 30 minutes.", "Roll each into a 7 inch circle.", "Cook on a pan at 410 °F."], "8 rounds");
        Assert.Empty(read.Refusals);
        var sheet = Breads.Plan(read.Spec!);

        double Mass(DoughPart part) => sheet.Dough.Portions.Where(p => p.Part == part).Sum(p => p.Mass.Value);
        Assert.Equal(8, sheet.Balls.Count);
        Assert.Equal(400, Mass(DoughPart.Flour), 6);
        Assert.Equal(65, 100 * Mass(DoughPart.Liquid) / Mass(DoughPart.Flour), 2);
        Assert.Equal(5, 100 * Mass(DoughPart.Fat) / Mass(DoughPart.Flour), 2);
        Assert.Equal(2, 100 * Mass(DoughPart.Salt) / Mass(DoughPart.Flour), 2);
        Assert.Equal((30, 177.8, 210), (read.Spec!.Rest.Time.Value, read.Spec.Roll.Diameter.Value, read.Spec.Pan.Temperature.Value));
        Assert.Equal(LineTrouble.KindOnly, read.Lines[4].Trouble);
        Assert.Equal([StepTold.Rest, StepTold.Across, StepTold.Heat], read.Steps.Select(s => s.Told));
    }

    [Fact]
    public void Flour_to_dust_with_is_no_dough_and_one_flour_named_twice_is_one()
    {
        var read = Read(["300 g atta", "100 g rye flour", "100 g atta, sieved again", "50 g white wheat flour for dusting", "200 g water"]);

        Assert.Equal([("flour-atta", 80), ("flour-rye", 20)], read.Spec!.Dough.Flours.Select(f => (f.Id, f.Parts)));
        Assert.Equal(LineTrouble.KindOnly, read.Lines[3].Trouble);
        Assert.Equal(40, Breads.Plan(read.Spec).Dough.Water.Hydration.Value, 2);
    }

    [Fact]
    public void A_salty_butter_brings_its_salt_with_it()
    {
        var sheet = Breads.Plan(Read(["400 g atta", "260 g water", "40 g Salted butter", "8 g fine salt"]).Spec!);
        var (salt, flour) = (sheet.Dough.Portions.Single(p => p.Part == DoughPart.Salt).Mass, sheet.Dough.Flour);

        Assert.Equal(2, 100 * (salt / flour), 2);
    }

    [Fact]
    public void What_is_wet_and_much_is_a_filling_and_a_little_green_goes_into_the_dough()
    {
        var stuffed = Read([.. Rounds, "600 g cauliflower, grated", "200 g fresh pressed cheese"]).Spec!;
        Assert.Equal(["cauliflower", "paneer"], stuffed.Filling!.Parts.Select(p => p.Id));

        var green = Read([.. Rounds, "60 g fenugreek leaf"]).Spec!;
        Assert.Null(green.Filling);
        Assert.Equal(["fenugreek-leaf"], green.Dough.Additions.Select(a => a.Id));
    }

    [Fact]
    public void Sugar_flour_and_egg_of_a_filling_are_parts_of_it_and_spice_alone_makes_none()
    {
        var sweet = Read([.. Rounds, "For the filling:", "100 g jaggery", "50 g soft cake flour", "1 egg", "1/2 tsp cardamom"]);
        Assert.Equal(["jaggery", "flour-cake", "egg"], sweet.Spec!.Filling!.Parts.Select(p => p.Id));
        Assert.Equal("cardamom", Assert.IsType<SeasonStep>(Assert.Single(sweet.Spec.Filling.Together)).Item);
        Assert.Equal(400, Breads.Plan(sweet.Spec).Dough.Flour.Value, 6);

        var spice = Read([.. Rounds, "For the filling:", "1 tsp cardamom", "3 g salt"]);
        Assert.Null(spice.Spec!.Filling);
        Assert.All(spice.Lines.Skip(Rounds.Length), l => Assert.Equal(LineTrouble.NoPlace, l.Trouble));
    }

    [Fact]
    public void The_cook_settles_what_was_not_understood()
    {
        string[] lines = ["3 cups flour", "260 g water", "8 g salt", "a handful of moonlight"];
        var asked = Read(lines);
        Assert.Null(asked.Spec);
        Assert.Equal("dough.flours", asked.Refusals[0].Field);
        Assert.Contains("flour-rye", asked.Lines[0].Could);

        var settled = Read(lines, settled: [new(0, "flour-rye"), new(3)]);
        Assert.Empty(settled.Refusals);
        // Three cups of rye by its own density.
        Assert.Equal(750 * 0.43, settled.Lines[0].Mass!.Value.Value, 1);
        Assert.Equal(LineTrouble.LeftOut, settled.Lines[3].Trouble);

        Assert.Equal(new Grams(310), Read(lines, settled: [new(0, "flour-rye", new(310))]).Lines[0].Mass);
        Assert.Equal(LineTrouble.NoIngredient, Read(lines, settled: [new(0, "no-such-thing")]).Lines[0].Trouble);
    }

    [Fact]
    public void A_recipe_longer_than_any_is_refused_and_not_cut()
    {
        var read = Read([.. Enumerable.Repeat("400 g atta", RecipeReader.MostLines + 1)]);

        Assert.Null(read.Spec);
        Assert.Equal(("lines", RefusalCode.TooMany), (read.Refusals[0].Field, read.Refusals[0].Code));
    }

    [Theory]
    [InlineData("Let the dough stand, covered, for 1 hour.", StepTold.Rest, 60)]
    [InlineData("Set aside 45 mins.", StepTold.Rest, 45)]
    [InlineData("Pat into discs 18 cm across.", StepTold.Across, 180)]
    [InlineData("Heat a heavy pan to 215C.", StepTold.Heat, 215)]
    [InlineData("Cook for 2 minutes a side.", StepTold.Sides, 120)]
    [InlineData("Fry 1-2 minutes on each side.", StepTold.Sides, 90)]
    [InlineData("Divide the dough into 12 equal balls.", StepTold.Pieces, 12)]
    [InlineData("Cook over medium-high heat.", StepTold.Heat, 215)]
    [InlineData("Cook until done.", StepTold.Nothing, 0)]
    [InlineData("Chop the leek in 1 cm lengths.", StepTold.Nothing, 0)]
    public void A_step_tells_a_rest_a_round_or_a_heat(string text, StepTold told, double value)
    {
        var step = Assert.Single(Read(Rounds, [text]).Steps);

        Assert.Equal((told, value), (step.Told, step.Figure?.Value ?? 0));
    }

    [Fact]
    public void Whatever_is_written_is_read_to_an_end_and_a_bread_without_refusal_can_be_planned() =>
        Gen.Select(
            Gen.OneOf(Gen.String[0, 80], Gen.Select(Gen.Double[0, 5000], Gen.OneOfConst([.. Larder.All.Select(i => i.Name)]), (g, n) => FormattableString.Invariant($"{g:0.##} g {n}"))).Array[0, 12],
            Gen.String[0, 120].Array[0, 6],
            Gen.String[0, 20])
        .Sample(
            (lines, steps, yield) =>
            {
                var read = Read([.. lines, "300 g atta"], steps, yield);
                Assert.Equal((lines.Length + 1, steps.Length), (read.Lines.Count, read.Steps.Count));
                if (read.Refusals.Count == 0)
                {
                    Assert.NotNull(Breads.Plan(read.Spec!));
                }
            },
            iter: 300);
}
