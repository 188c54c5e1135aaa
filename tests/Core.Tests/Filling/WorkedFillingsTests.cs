using static Ystrata.Core.Tests.Fillings;

namespace Ystrata.Core.Tests;

/// <summary>Fillings worked through from the raw thing to the hand.</summary>
public class WorkedFillingsTests
{
    private static readonly FillingStep Fine = new ChopStep(ChopBy.Chop, new(3));

    private static readonly Dictionary<string, FillingSpec> Worked = new()
    {
        ["radish, grated and nothing else"] = Of(Part("radish", 1000, Grate)),
        ["radish, salted, by cloth"] = Of(Part("radish", 1000, Grate, Salt(), Cloth)),
        ["radish, salted, by hand"] = Of(Part("radish", 1000, Grate, Salt(), Hand)),
        ["cabbage, salted, by cloth"] = Of(Part("cabbage", 1000, Grate, Salt(1.5, 20), Cloth)),
        ["cauliflower, cooked off"] = Of(Part("cauliflower", 600, Grate), Saute(25)),
        ["chard, wilted, by cloth"] = Of(Part("chard-wilted", 500, Fine, Cloth)),
        ["leek, cooked off, with oats"] = Of(Part("leek", 500, Fine), Saute(15), Bind(20, "oats-rolled")),
        ["beetroot, blanched, by cloth"] = Of(Part("beetroot", 600, Grate, new BlanchStep(new(3)), Cloth)),
        ["peas, mashed"] = Of(Part("pea-mash", 500, Mash)),
        ["sweet potato and coconut"] = Of([Part("sweet-potato-boiled", 500, Mash), Part("coconut-fresh", 60)]),
        ["fresh cheese"] = Of(Part("paneer", 400, Mash)),
        ["brined cheese"] = Of(Part("feta", 400, Mash)),
        ["cabbage and fresh cheese"] = Of([Part("cabbage", 700, Grate, Salt(), Cloth), Part("paneer", 300, Mash)]),
        ["minced lamb"] = Of(Part("lamb-mince-cooked", 400)),
        ["lamb and leek"] = Of([Part("lamb-mince-cooked", 300), Part("leek", 300, Fine)]),
        ["lentils and jaggery"] = Of(Part("lentil-dry", 250, new SoakStep(new(240)), new PressureStep(new(15)), Mash), new SweetenStep("jaggery", new(220), new(12), new(240))),
        ["dates and walnuts"] = Of([Part("date-paste", 300, Mash), Part("walnut", 120, Fine)]),
        ["walnuts"] = Of(Part("walnut", 200, Fine)),
    };

    [Theory]
    [InlineData("radish")]
    [InlineData("courgette")]
    [InlineData("cabbage")]
    [InlineData("leek")]
    public void However_hard_it_is_salted_and_wrung_solids_keep_what_they_hold(string vegetable)
    {
        foreach (var salt in new[] { 3.0, 6, 10 })
        {
            var end = End(Of(Part(vegetable, 1200, Grate, new SaltStep("salt-fine", new(salt), new(20)), Cloth)));

            Assert.InRange(end.FreeShare.Value, -4, 8);
            Assert.Equal(FillingFeel.Holds, FillingStage.FeelOf(end));
        }
    }

    [Theory]
    [InlineData("radish, grated and nothing else", 1000.0, 6.06, FillingFeel.Weeps)]
    [InlineData("radish, salted, by cloth", 477.6, -2.76, FillingFeel.Holds)]
    [InlineData("radish, salted, by hand", 615.25, 3.06, FillingFeel.RollInFlour)]
    [InlineData("cabbage, salted, by cloth", 659.75, -2.73, FillingFeel.Holds)]
    [InlineData("cauliflower, cooked off", 385.9, 0.0, FillingFeel.Holds)]
    [InlineData("chard, wilted, by cloth", 249.9, -2.64, FillingFeel.Holds)]
    [InlineData("leek, cooked off, with oats", 445.1, -7.2, FillingFeel.Holds)]
    [InlineData("beetroot, blanched, by cloth", 429.5, -2.6, FillingFeel.Holds)]
    [InlineData("peas, mashed", 500.0, 3.4, FillingFeel.Holds)]
    [InlineData("sweet potato and coconut", 560.0, 6.1, FillingFeel.RollInFlour)]
    [InlineData("fresh cheese", 400.0, -3.5, FillingFeel.Holds)]
    [InlineData("brined cheese", 400.0, 3.3, FillingFeel.Holds)]
    [InlineData("cabbage and fresh cheese", 762.8, -2.9, FillingFeel.Holds)]
    [InlineData("minced lamb", 400.0, -9.2, FillingFeel.Loose)]
    [InlineData("lamb and leek", 600.0, -3.64, FillingFeel.Holds)]
    [InlineData("lentils and jaggery", 830.7, 0.0, FillingFeel.Holds)]
    [InlineData("dates and walnuts", 420.0, -25.9, FillingFeel.Holds)]
    [InlineData("walnuts", 200.0, -24.8, FillingFeel.Loose)]
    public void It_weighs_frees_and_behaves_so(string filling, double mass, double free, FillingFeel feel)
    {
        var end = End(Worked[filling]);
        Assert.Equal(mass, end.Mass.Value, 0.05);
        Assert.Equal(free, end.FreeShare.Value, 0.05);
        Assert.Equal(feel, FillingStage.FeelOf(end));
    }

    [Fact]
    public void Radish_by_cloth_through_the_sums()
    {
        // Of 1000 g 945 are water and 55 solids that hold 440: 505 are in cells. Cutting to 3 mm opens 12 % of them.
        var (cells, cut) = (505 * 0.88, 505 * 0.12);
        // Salt draws 30 % · 0.88 · (1 − e^(−15/6)) of the water.
        var drawn = 945 * 0.30 * 0.88 * (1 - Math.Exp(-2.5));
        var made = Made(Worked["radish, salted, by cloth"]);
        var salted = made.Parts[0].Rows[1].State;
        Assert.Equal(cells - drawn, salted.Cells.Water.Value, 9);
        Assert.Equal(cut + drawn, salted.Free.Value, 9);

        // The cloth takes what is free and 35 % of the rest: all that is in cells, and 3 % of what is held.
        var drained = cut + drawn + Math.Min((945 - cut - drawn) * 0.35, cells - drawn + 440 * 0.03);
        Assert.Equal(drained, made.Liquor.Water.Value, 9);
        // 15 g of salt, gone in the measure of the water.
        Assert.Equal(15 * drained / 945, made.Liquor.Salt.Value, 9);
        Assert.Equal(945 - drained - 440 - made.End.Cells.Water.Value, made.End.Free.Value, 9);
    }

    [Fact]
    public void Salt_draws_with_the_root_of_its_share_and_grated_faster_than_chopped()
    {
        double Drawn(FillingStep cut, double share, double minutes) => End(Of(Part("radish", 100, cut))).Cells.Water.Value - End(Of(Part("radish", 100, cut, Salt(share, minutes)))).Cells.Water.Value;

        Assert.Equal(2, Drawn(Grate, 2, 6) / Drawn(Grate, 0.5, 6), 9);
        Assert.Equal((1 - Math.Exp(-1)) / (1 - Math.Exp(-0.6)), Drawn(Grate, 1.5, 6) / Drawn(Fine, 1.5, 6), 9);
        // Twice ten minutes are twenty.
        Assert.Equal(End(Of(Part("radish", 100, Grate, Salt(1.5, 20)))).Cells.Water.Value, End(Of(Part("radish", 100, Grate, Salt(1.5, 10)))).Stood(new(10)).Cells.Water.Value, 9);
    }

    [Fact]
    public void A_pan_drives_off_what_is_free_and_what_is_held_only_slowly()
    {
        // 11 g a minute in 26 cm on medium, 16 on high, of what is free.
        SauteStep In26(double minutes, Flame flame) => new(new(minutes), new(260), "ghee", new(0), null, flame);
        double Steam(string id, double grams, FillingStep step) => Made(Of(Part(id, grams, step))).Parts[0].Rows[0].Steam.Value;
        Assert.Equal(11.1, Steam("chard-wilted", 600, In26(1, Flame.Medium)), 0.1);
        Assert.Equal(15.9, Steam("chard-wilted", 600, In26(1, Flame.High)), 0.1);
        // Mashed peas have next to nothing free.
        Assert.InRange(Steam("pea-mash", 600, In26(10, Flame.Medium)), 20, 60);
        // However long, solids keep their own mass of water.
        var dry = End(Of(Part("radish", 500, Saute(600))));
        Assert.Equal((dry.Solids - dry.Fat).Value, dry.Water.Value, 1);
    }

    [Fact]
    public void Cooked_to_a_weight_it_says_how_long_that_takes()
    {
        FillingRow To(double weight) => Made(Of(Part("mushroom", 500, new SauteStep(new(0), new(240), "ghee", new(0), new(weight))))).Parts[0].Rows[0];
        Assert.Equal(400, To(400).State.Mass.Value, 6);
        // Given that time, it comes to that weight.
        Assert.Equal(400, End(Of(Part("mushroom", 500, new SauteStep(To(400).Time, new(240), "ghee", new(0))))).Mass.Value, 0.5);
        Assert.True(To(350).Time.Value > To(400).Time.Value);
    }

    [Fact]
    public void Binders_drink_what_the_table_says() => Assert.Equal(
        [9.0, 11, 16, 17, 30, 10, 12],
        new[] { "gram-flour", "gram-flour-roasted", "oats-rolled", "crumbs-dry", "potato-flake", "flour-semolina", "coconut-dry" }
            .Select(id => Math.Round((End(Of(Part("radish", 500))).Free - End(Of(Part("radish", 500), Bind(10, id))).Free).Value, 9)));

    [Fact]
    public void Melted_sugar_lets_water_out_first_and_thickens_with_stirring()
    {
        FillingSpec Sweet(double minutes) => Of(Part("lentil-paste", 250, Mash), new SweetenStep("jaggery", new(150), new(minutes), new(240)));

        Assert.True(End(Sweet(0)).Free > End(Of(Part("lentil-paste", 250))).Free);
        Assert.Equal(FillingFeel.Weeps, FillingStage.FeelOf(End(Sweet(0))));
        Assert.Equal(FillingFeel.Holds, FillingStage.FeelOf(End(Sweet(15))));
    }

    [Fact]
    public void Dry_lentils_soak_boil_and_press_towards_what_they_hold()
    {
        double Water(params FillingStep[] steps) => End(Of(Part("lentil-dry", 100, steps))).Water.Value;

        // 90 g solids hold 171 g.
        Assert.InRange(Water(new SoakStep(new(480))), 90, 0.6 * 171);
        Assert.True(Water(new BoilStep(new(10))) < Water(new PressureStep(new(10))));
        Assert.Equal(1.05 * 171, Water(new PressureStep(new(120))), 1e-3);
    }

    [Fact]
    public void It_cools_on_a_tray_and_faster_in_the_fridge()
    {
        double After(double minutes, RestPlace place) => End(Of(Part("pea-mash", 300, new BoilStep(new(5)), new CoolStep(new(minutes), place)))).Temperature.Value;

        // As thin as anybody spreads it, 10 mm: τ = ρc · (5 mm / 10 W + 4 · (5 mm)² / (π² · 0.5 W)).
        var mash = End(Of(Part("pea-mash", 300, new BoilStep(new(5)))));
        var heat = (4.18 * mash.Water.Value + 1.6 * mash.Solids.Value) / (mash.Mass.Value / mash.Density.Value) * 1e6;
        var tau = heat * (0.005 / 10 + 4 * 0.005 * 0.005 / (Math.PI * Math.PI * 0.5)) / 60;
        Assert.Equal(22 + 73 * Math.Exp(-35 / tau), After(35, RestPlace.Room), 6);
        Assert.True(After(35, RestPlace.Fridge) < After(35, RestPlace.Room));
    }
}
