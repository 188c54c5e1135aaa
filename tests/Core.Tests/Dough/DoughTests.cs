using CsCheck;

namespace Ystrata.Core.Tests;

public class DoughTests
{
    private static DoughSheet Dough(Func<DoughSpec, DoughSpec> change) => Breads.Plan(Breads.White(change)).Dough;

    private static double Mass(DoughSheet dough, string id) => dough.Portions.Single(p => p.Id == id).Mass.Value;

    private static double Share(DoughSheet dough, string id) => dough.Portions.Single(p => p.Id == id).Share.Value;

    [Fact]
    public void Bakers_percents_count_from_the_flour()
    {
        var dough = Dough(d => d);

        Assert.Equal(62, dough.Water.Hydration.Value, 9);
        Assert.Equal(1.8, 100 * Mass(dough, "salt-fine") / dough.Flour.Value, 9);
        Assert.Equal(3, 100 * Mass(dough, "ghee") / dough.Flour.Value, 9);
    }

    [Fact]
    public void The_portions_make_the_dough_and_the_dough_makes_the_balls() =>
        Gen.Select(Gen.Int[1, 200], Gen.Double[5, 500], Gen.Double[40, 120], Gen.Double[0, 40], Gen.Double[0, 4])
            .Sample((pieces, ball, water, fat, salt) =>
            {
                var spec = Breads.White(d => (d with { Hydration = new(water) }).WithFat("ghee", fat).WithSalt(salt));
                spec = spec with { Start = spec.Start with { Pieces = pieces }, Balls = spec.Balls with { Mass = new(ball) } };
                var dough = Breads.Plan(spec).Dough;

                Assert.Equal(dough.Mass.Value, dough.Portions.Sum(p => p.Mass.Value), 1e-6);
                Assert.Equal(pieces * ball, (dough.Mass - dough.Loss).Value, 1e-6);
                Assert.True(dough.Loss.Value >= 5 - 1e-9 && dough.Loss.Value >= 0.02 * dough.Mass.Value - 1e-9);
            });

    [Fact]
    public void Water_in_butter_counts_as_water()
    {
        var dough = Dough(d => d.WithFat("butter", 10));

        Assert.Equal(62, dough.Water.Hydration.Value, 9);
        Assert.Equal(60.4, Share(dough, "water"), 9);
    }

    [Fact]
    public void Salt_in_salted_butter_is_not_added_again()
    {
        var dough = Dough(d => d.WithFat("butter-salted", 10));

        Assert.Equal(1.8, dough.Content.Salt.Value, 9);
        Assert.Equal(1.64, Share(dough, "salt-fine"), 9);
    }

    [Fact]
    public void A_puree_that_carries_the_water_makes_a_drier_feel()
    {
        var water = Dough(d => d);
        var beet = Dough(d => d.WithLiquids(new LiquidSpec("puree-beet", Amount.TheRest)));

        Assert.Equal(62, beet.Water.Hydration.Value, 9);
        Assert.Equal(61.991 / 0.88, Share(beet, "puree-beet"), 3);
        Assert.True(beet.Water.Felt.Value < water.Water.Felt.Value);
    }

    [Theory]
    [InlineData(50, DoughFeel.Stiff)]
    [InlineData(57, DoughFeel.FirmSide)]
    [InlineData(63, DoughFeel.OnTarget)]
    [InlineData(69, DoughFeel.SoftSide)]
    [InlineData(75, DoughFeel.Sticky)]
    [InlineData(160, DoughFeel.Batter)]
    public void Water_against_the_flours_thirst_gives_the_feel(double hydration, DoughFeel feel) =>
        Assert.Equal(feel, Dough(d => d with { Hydration = new(hydration) }).Water.Feel);

    [Theory]
    [InlineData(130, DoughFeel.TooThick)]
    [InlineData(180, DoughFeel.Pours)]
    [InlineData(240, DoughFeel.Pours)]
    // One cup of flour to two of water.
    [InlineData(377, DoughFeel.Pours)]
    [InlineData(420, DoughFeel.TooThin)]
    public void A_batter_has_a_feel_of_its_own(double hydration, DoughFeel feel) =>
        Assert.Equal(feel, Dough(d => d with { Feel = Feel.Batter, Hydration = new(hydration) }).Water.Feel);

    [Theory]
    [InlineData("water")]
    [InlineData("puree-beet")]
    [InlineData("milk")]
    [InlineData("coconut-milk")]
    public void The_hydration_called_right_closes_the_gap(string liquid)
    {
        var off = Dough(d => (d with { Hydration = new(50) }).WithLiquids(new LiquidSpec(liquid, Amount.TheRest)));
        var right = Dough(d => (d with { Hydration = off.Water.Right }).WithLiquids(new LiquidSpec(liquid, Amount.TheRest)));

        Assert.NotEqual(DoughFeel.OnTarget, off.Water.Feel);
        Assert.InRange(right.Water.Gap.Value, -0.8, 0.8);
    }

    [Fact]
    public void A_half_and_half_mix_drinks_halfway()
    {
        var mix = FlourMix.Of([new("flour-white", 1), new("flour-atta", 1)], Breads.Kitchen);

        Assert.Equal(64, mix.Absorption.Value, 9);
        Assert.Equal(0.125, mix.Springback, 9);
    }

    [Fact]
    public void A_small_batch_loses_at_least_five_grams()
    {
        var white = Breads.White();

        Assert.Equal(5, Breads.Plan(white with { Start = StartSpec.Of(1) }).Dough.Loss.Value, 9);
    }

    [Fact]
    public void What_the_bowl_keeps_is_learned()
    {
        var more = Breads.Plan(Breads.White(), Breads.Kitchen with { Learned = Learned.Nothing with { BowlLoss = new(4) } });

        Assert.Equal(0.04, more.Dough.Loss / more.Dough.Mass, 9);
    }

    [Fact]
    public void A_big_dough_is_mixed_in_equal_lots()
    {
        var dough = Dough(d => d with { Mix = d.Mix with { Bowl = new(800) } });

        Assert.Equal((3, dough.Mass.Value / 3), (dough.Lots.Count, dough.Lots.Each.Value));
        Assert.All(dough.Portions, p => Assert.Equal(p.Mass.Value, 3 * p.EachLot.Value, 9));
    }

    [Fact]
    public void Butter_for_ghee_at_equal_fat_takes_its_water_off_the_water()
    {
        var ghee = Dough(d => d.WithFat("ghee", 8));
        var swap = ghee.Swaps.Single(s => s.Id == "butter");
        var butter = Dough(d => d with { Fat = d.Fat with { Id = "butter", Amount = swap.Amount } });

        Assert.Equal(8 * 99.5 / 81, swap.Amount.Share.Value, 9);
        Assert.Equal(ghee.Content.Fat.Value, butter.Content.Fat.Value, 9);
        Assert.Equal(ghee.Water.Hydration.Value, butter.Water.Hydration.Value, 9);
        Assert.True(Share(butter, "water") < Share(ghee, "water"));
    }

    [Fact]
    public void What_really_went_in_changes_the_balls_and_not_the_plan()
    {
        var planned = Dough(d => d);
        var water = Mass(planned, "water");
        var sheet = Breads.Plan(Breads.White(d => d with { Mix = d.Mix with { WentIn = new(water - 60) } }));

        Assert.Equal(water, Mass(sheet.Dough, "water"), 9);
        Assert.Equal(planned.Water.Hydration.Value - 100 * 60 / planned.Flour.Value, sheet.Dough.Water.Hydration.Value, 9);
        Assert.Equal(planned.Mass.Value - 60, sheet.Dough.Mass.Value, 9);
        Assert.Equal(24, sheet.Balls.Count);
        Assert.Equal(80 - 60 * 0.98 / 24, sheet.Balls.Mass.Value, 9);
        Assert.Equal(water * 0.1, planned.Mixing.Adding!.Back.Value, 9);
    }

    [Fact]
    public void What_a_batch_could_start_from_is_the_plan_and_not_what_went_in()
    {
        var sheet = Breads.Plan(Breads.White(d => d with { Mix = d.Mix with { WentIn = new(600) } }));

        Assert.Equal(80, sheet.Dough.Start.Ball.Value, 9);
        Assert.Equal(Round.ThicknessOf(new(80), SquareCentimetres.OfRound(new(180))).Value, sheet.Dough.Start.Thickness.Value, 9);
        Assert.True(sheet.Balls.Mass.Value < 80);
    }

    [Fact]
    public void Masses_by_the_piece_have_their_spoon()
    {
        var measures = Breads.Plan(Breads.Letter, Breads.Ghee(2.3), Breads.Letter).Measures;

        // 6 g of ghee at 0.91 g/ml are 6.6 ml, 1⅓ teaspoons; spoons are marked in quarters: 1¼.
        Assert.Equal(("tsp", 15), (measures["sheet.fatMass"].Vessel, measures["sheet.fatMass"].Twelfths));
        Assert.Equal(("tsp", 6), (measures["fold.steps[1].mass"].Vessel, measures["fold.steps[1].mass"].Twelfths));
        Assert.False(measures.ContainsKey("sheet.dustMass"));
    }

    [Theory]
    [InlineData("flour-white", "ghee", FatWhen.RubbedIn, "MixDry RubInFat PourLiquid AddByFeel Knead")]
    [InlineData("flour-white", "oil-sunflower", FatWhen.WorkedIn, "MixDry PourLiquid AddByFeel WorkInFat Knead")]
    public void Fat_is_rubbed_in_before_the_water_or_worked_in_after(string flour, string fat, FatWhen when, string order)
    {
        var dough = Dough(d => d with { Flours = [new(flour, 1)], Fat = new(fat, Amount.OfFlour(5), when) });

        Assert.Equal(order, string.Join(' ', dough.Mixing.Steps.Select(s => s.Act)));
    }

    [Fact]
    public void Salt_goes_in_with_the_flour_or_last_and_is_the_same_dough()
    {
        MixStep Of(DoughSheet dough, MixAct act) => dough.Mixing.Steps.Single(s => s.Act == act);
        var (first, last) = (Dough(d => d), Dough(d => d with { Salt = d.Salt with { When = SaltWhen.Last } }));
        var salt = first.Portions.ToList().FindIndex(p => p.Part == DoughPart.Salt);

        Assert.Contains(salt, Of(first, MixAct.MixDry).Items);
        Assert.DoesNotContain(first.Mixing.Steps, s => s.Act == MixAct.WorkInSalt);
        Assert.DoesNotContain(salt, Of(last, MixAct.MixDry).Items);
        Assert.Equal((MixAct.WorkInSalt, salt), (last.Mixing.Steps[^1].Act, Assert.Single(last.Mixing.Steps[^1].Items)));
        Assert.Equal(first.Portions.Select(p => p.Mass), last.Portions.Select(p => p.Mass));
        // Where none is added, none is worked in.
        Assert.DoesNotContain(Dough(d => d with { Salt = d.Salt with { When = SaltWhen.Last, Amount = Amount.OfFlour(0) } }).Mixing.Steps, s => s.Act == MixAct.WorkInSalt);
    }

    [Fact]
    public void The_waters_heat_has_its_reason()
    {
        WaterReason? Reason(Func<DoughSpec, DoughSpec> change, double rest = 30)
        {
            var spec = Breads.White(change);
            return Breads.Plan(spec with { Rest = RestSpec.CoveredFor(rest) }).Dough.Mixing.Water?.Reason;
        }

        Assert.Equal(WaterReason.Softens, Reason(d => d));
        Assert.Equal(WaterReason.WakesYeast, Reason(d => d.WithAdditions(("yeast-quick", 0.4))));
        Assert.Equal(WaterReason.LongRest, Reason(d => d.WithAdditions(("yeast-quick", 0.4)), 480));
        Assert.Equal(WaterReason.KeepsGreen, Reason(d => d.WithLiquids(new("paste-leaf", Amount.OfFlour(20)), new("water", Amount.TheRest))));
        Assert.Equal(WaterReason.KeepsFatFirm, Reason(d => d.WithFat("butter", 8)));
        Assert.Null(Reason(d => d.WithLiquids(new LiquidSpec("puree-beet", Amount.TheRest))));
    }

    [Fact]
    public void A_priced_larder_gives_a_piece_its_cost_and_says_what_has_no_price()
    {
        var priced = new Larder(Breads.Larder.All.Select(i => i.Id switch
        {
            "flour-white" => i with { Price = new(new(1.20), new(1000)) },
            "ghee" => i with { Price = new(new(6), new(500)) },
            _ => i,
        }));
        var sheet = Breads.Plan(Breads.White(), Breads.Kitchen with { Larder = priced });

        // Flour at 1.20 a kilo; ghee at 6 for 500 g, in the dough, on the sheet (6 g) and on the pan (2 × 2.5 g).
        var flour = sheet.Dough.Flour.Value * 1.20 / 1000;
        var ghee = (Mass(sheet.Dough, "ghee") + 24 * (6 + 5)) * 6 / 500;
        Assert.Equal((flour + ghee) / 24, sheet.Cost.Piece.Value, 9);
        Assert.Equal(["salt-fine"], sheet.Cost.Unpriced);
        Assert.False(Breads.Plan(Breads.White()).Cost.Known);
    }

    [Fact]
    public void Allergens_are_those_of_everything_in_and_on_the_bread() =>
        Assert.Equal([Allergen.Gluten, Allergen.Wheat, Allergen.Milk, Allergen.Sesame], Breads.Plan(Breads.White(d => d.WithAdditions(("seed-sesame", 2)))).Allergens);
}
