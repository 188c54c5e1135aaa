namespace Ystrata.Core.Tests;

/// <summary>Doughs worked by hand from models.md B and the larder, all on 1000 g of flour, so that a point of flour is 10 g.</summary>
public class WorkedDoughs
{
    private static readonly LiquidSpec WaterRest = new("water", Amount.TheRest);

    private static DoughSpec White(double hydration, Feel feel = Feel.Medium) => DoughSpec.Of("flour-white", feel, hydration, "ghee", 0);

    private static DoughSpec Atta(double hydration, Feel feel = Feel.Medium) => DoughSpec.Of("flour-atta", feel, hydration, "ghee", 0);

    private static LiquidSpec Fixed(string id, double percent) => new(id, Amount.OfFlour(percent));

    /// <param name="Weighs">What the scale shows, grams.</param>
    /// <param name="Hydration">Water but the flour's, points.</param>
    /// <param name="Feels">h* of models.md B.</param>
    /// <param name="Wants">Absorption of the mix and the feel.</param>
    private sealed record Worked(DoughSpec Dough, (string Id, double Grams)[] Weighs, double Hydration, double Feels, double Wants);

    private static readonly Dictionary<string, Worked> All = new()
    {
        // Ghee 30 g carries 0.3 % = 0.09 g water: 580 − 0.09. Feel 58 + 0.25 · 3 · 0.995.
        ["plain white, a little ghee"] = new(White(58).WithFat("ghee", 3), [("water", 579.91), ("ghee", 30), ("salt-fine", 18)], 58, 58.74625, 58),
        // Oil carries no water. 62 + 0.25 · 5 = 63.25 against 58 + 6.
        ["soft white with oil"] = new(White(62, Feel.Soft).WithFat("oil-sunflower", 5), [("water", 620), ("oil-sunflower", 50)], 62, 63.25, 64),
        // Nothing loosens, nothing binds.
        ["atta and water"] = new(Atta(70), [("water", 700), ("salt-fine", 18)], 70, 70, 70),
        // By feel: 67 − 8 = 59.
        ["firm whole wheat by feel"] = new(DoughSpec.Of("flour-whole", Feel.Firm, 58, "ghee", 0) with { WaterBy = WaterBy.Feel }, [("water", 590)], 59, 59, 59),
        // Wants 58 + 12 = 70. Oil 20 loosens 0.25 · 10 + 0.10 · 10 = 3.5, so 66.5 of water.
        ["oil-stretched white by feel"] = new(
            White(58, Feel.VerySoft).WithFat("oil-sunflower", 20) with { WaterBy = WaterBy.Feel }, [("water", 665), ("oil-sunflower", 200)], 66.5, 70, 70),
        // Butter 80 g: 12.8 water, fat 6.48 points · 0.25 = 1.62, sugar 0.048 · 0.35 = 0.0168, salt 0.08.
        // 58 − 1.62 − 0.0168 = 56.3632; 563.632 − 12.8 = 550.832; salt 18 − 0.08.
        ["butter dough by feel"] = new(
            White(58).WithFat("butter", 8) with { WaterBy = WaterBy.Feel }, [("water", 550.832), ("butter", 80), ("salt-fine", 17.92)], 56.3632, 58, 58),
        // Salted butter 100 g: 16 water, fat 8 · 0.25 = 2, sugar 0.06 · 0.35 = 0.021, salt 1.6.
        ["salted butter"] = new(White(60).WithFat("butter-salted", 10), [("water", 584), ("salt-fine", 16.4)], 60, 62.021, 58),
        // 620 / 0.877 = 706.956; fat 2.474344 · 0.25 = 0.618586; sugar 3.393387 · 0.35 = 1.187685; salt 18 − 0.706956.
        ["milk for all the water"] = new(White(62, Feel.Soft).WithLiquids(new LiquidSpec("milk", Amount.TheRest)), [("milk", 706.956), ("salt-fine", 17.293)], 62, 63.806271, 64),
        // Yogurt 200 g: 174 water, fat 0.66 · 0.25 = 0.165, sugar 0.94 · 0.35 = 0.329, salt 0.2.
        ["yogurt and water"] = new(White(60).WithLiquids(Fixed("yogurt", 20), WaterRest), [("yogurt", 200), ("water", 426), ("salt-fine", 17.8)], 60, 60.494, 58),
        // Egg 100 g: 76 water, fat 1 · 0.25, sugar 0.04 · 0.35 = 0.014, salt 0.4.
        ["egg and water"] = new(White(58).WithLiquids(Fixed("egg", 10), WaterRest), [("egg", 100), ("water", 504), ("salt-fine", 17.6)], 58, 58.264, 58),
        // 600 / 0.70 = 857.143; fat 18 loosens 2.5 + 0.8 = 3.3; sugar 2.571429 · 0.35 = 0.9; salt 18 − 0.857143.
        ["coconut milk for all the water"] = new(White(60).WithLiquids(new LiquidSpec("coconut-milk", Amount.TheRest)), [("coconut-milk", 857.143), ("salt-fine", 17.142857)], 60, 64.2, 58),
        // 600 / 0.88 = 681.818; fat 0.136364 · 0.25 = 0.034091; sugar 4.772727 · 0.35 = 1.670455; solids 8.181818 · 0.6 = 4.909091.
        ["beet puree carries all the water"] = new(White(60).WithLiquids(new LiquidSpec("puree-beet", Amount.TheRest)), [("puree-beet", 681.818), ("salt-fine", 16.636364)], 60, 56.795455, 58),
        // A gram of beet brings 0.88 + 0.25 · 0.002 + 0.35 · 0.07 − 0.6 · 0.12 = 0.833 of feel: 580 / 0.833 = 696.2785; · 0.088 = 61.27251.
        ["beet puree by feel"] = new(
            White(58).WithLiquids(new LiquidSpec("puree-beet", Amount.TheRest)) with { WaterBy = WaterBy.Feel }, [("puree-beet", 696.2785)], 61.27251, 58, 58),
        // Paste 250 g: 232.5 water, fat 0.1 · 0.25, sugar 0.1 · 0.35, solids 1.75 · 0.6 = 1.05, salt 0.25.
        ["leaf paste and water"] = new(White(62, Feel.Soft).WithLiquids(Fixed("paste-leaf", 25), WaterRest), [("paste-leaf", 250), ("water", 387.5), ("salt-fine", 17.75)], 62, 61.01, 64),
        // Liquor 120 g: 112.8 water, sugar 0.3 · 0.35 = 0.105, salt 3.
        ["liquor of a filling"] = new(White(60).WithLiquids(Fixed("liquor-vegetable", 12), WaterRest), [("water", 487.2), ("salt-fine", 15)], 60, 60.105, 58),
        // 0.7 · 58 + 0.3 · 70 = 61.6.
        ["white and atta"] = new(White(62) with { Flours = [new("flour-white", 70), new("flour-atta", 30)] }, [("flour-white", 700), ("flour-atta", 300), ("water", 620)], 62, 62, 61.6),
        // 0.7 · 58 + 0.3 · 68 = 61, and parts count by their proportion: 7 to 3.
        ["barley blend by feel"] = new(
            White(58) with { WaterBy = WaterBy.Feel, Flours = [new("flour-white", 7), new("flour-barley", 3)] }, [("flour-barley", 300), ("water", 610)], 61, 61, 61),
        // Oil 12 loosens 2.5 + 0.2, sugar 6 · 0.35 = 2.1.
        ["sweet and rich"] = new(White(55).WithFat("oil-sunflower", 12).WithAdditions(("sugar", 6)), [("water", 550), ("sugar", 60)], 55, 59.8, 58),
        // Honey 50 g: 8.5 water, sugar 4.1 · 0.35 = 1.435.
        ["honey"] = new(White(57).WithAdditions(("honey", 5)), [("water", 561.5), ("honey", 50)], 57, 58.435, 58),
        // Oil 40 loosens 2.5 + 3.
        ["oil-kneaded"] = new(White(60, Feel.VerySoft).WithFat("oil-sunflower", 40), [("water", 600), ("oil-sunflower", 400)], 60, 65.5, 70),
        // Milk 200 g brings 175.4 of water beside 400: 57.54. Fat 0.7 · 0.25 = 0.175, sugar 0.96 · 0.35 = 0.336, salt 0.2.
        ["every liquid weighed"] = new(
            White(58).WithLiquids(new("water", Amount.Weighed(400)), new("milk", Amount.Weighed(200))) with { WaterBy = WaterBy.Liquids },
            [("water", 400), ("milk", 200), ("salt-fine", 17.8)], 57.54, 58.051, 58),
        // A batter's target is 180 points of water, whatever loosens it: 180 + 0.25 · 2.
        ["white batter"] = new(White(180, Feel.Batter).WithFat("oil-sunflower", 2), [("water", 1800)], 180, 180.5, 180),
        ["buckwheat batter by feel"] = new(DoughSpec.Of("flour-buckwheat", Feel.Batter, 180, "ghee", 0) with { WaterBy = WaterBy.Feel }, [("water", 1800)], 180, 180, 180),
        // Milk 600 g: 526.2 water, fat 2.1 · 0.25 = 0.525, sugar 2.88 · 0.35 = 1.008.
        ["milk and water batter"] = new(White(200, Feel.Batter).WithLiquids(Fixed("milk", 60), WaterRest), [("milk", 600), ("water", 1473.8)], 200, 201.533, 180),
        // Puree 400 g: 316 water, fat 0.04 · 0.25 = 0.01, sugar 2.4 · 0.35 = 0.84, solids 8.4 · 0.6 = 5.04.
        ["sweet root puree and water"] = new(Atta(64).WithLiquids(Fixed("puree-sweet-potato", 40), WaterRest), [("puree-sweet-potato", 400), ("water", 324)], 64, 59.81, 70),
        // Beet cooked down from 88 to 80 % water: all else grows by 20/12. 560 / 0.8 = 700;
        // fat 0.233333 · 0.25 = 0.058333, sugar 8.166667 · 0.35 = 2.858333, solids 14 · 0.6 = 8.4, salt 2.333333.
        ["beet puree cooked down"] = new(
            White(56).WithLiquids(new LiquidSpec("puree-beet", Amount.TheRest, new Percent(80))), [("puree-beet", 700), ("salt-fine", 15.666667)], 56, 50.516667, 58),
        // Baking powder 15 g: 0.75 water, 1.5 salt.
        ["baking powder"] = new(White(58).WithAdditions(("baking-powder", 1.5)), [("water", 579.25), ("salt-fine", 16.5)], 58, 58, 58),
        // Milk powder 40 g: 1.2 water, fat 1.08 · 0.25 = 0.27, sugar 1.52 · 0.35 = 0.532, salt 0.36.
        ["milk powder"] = new(White(58).WithAdditions(("milk-powder", 4)), [("water", 578.8), ("salt-fine", 17.64)], 58, 58.802, 58),
        // Salt by the gram: 25 g whatever the rest brings.
        ["salt weighed"] = new(White(58) with { Salt = new("salt-flake", Amount.Weighed(25)) }, [("water", 580), ("salt-flake", 25)], 58, 58, 58),
    };

    public static TheoryData<string> Names => [.. All.Keys];

    [Theory]
    [MemberData(nameof(Names))]
    public void A_dough_comes_out_as_worked_by_hand(string name)
    {
        var worked = All[name];
        var plain = BatchSpec.Plain;
        var dough = Breads.Plan(plain with { Start = plain.Start with { By = StartBy.Flour, Flour = new(1000) }, Dough = worked.Dough }).Dough;

        Assert.All(worked.Weighs, w => Assert.Equal(w.Grams, dough.Portions.Single(p => p.Id == w.Id).Mass.Value, 0.001));
        Assert.Equal(worked.Hydration, dough.Water.Hydration.Value, 4);
        Assert.Equal(worked.Feels, dough.Water.Felt.Value, 4);
        Assert.Equal(worked.Wants, dough.Water.Target.Value, 9);
        Assert.Equal((worked.Dough.Feel == Feel.Batter ? worked.Hydration : worked.Feels) - worked.Wants, dough.Water.Gap.Value, 4);
    }
}
