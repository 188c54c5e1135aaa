using CsCheck;

namespace Ystrata.Core.Tests;

public class DoughTests
{
    private static DoughSheet Dough(Func<DoughSpec, DoughSpec> change)
    {
        var white = Breads.White();
        return Breads.Plan(white with { Dough = change(white.Dough) }).Dough;
    }

    private static double Mass(DoughSheet dough, string id) => dough.Portions.Single(p => p.Id == id).Mass.Value;

    [Fact]
    public void Bakers_percents_count_from_the_flour()
    {
        var dough = Dough(d => d);

        Assert.Equal(62, dough.Hydration.Value, 9);
        Assert.Equal(1.8, 100 * Mass(dough, "salt-fine") / dough.Flour.Value, 9);
        Assert.Equal(3, 100 * Mass(dough, "ghee") / dough.Flour.Value, 9);
    }

    [Fact]
    public void The_portions_make_the_dough_and_the_dough_makes_the_balls() =>
        Gen.Select(Gen.Int[1, 500], Gen.Double[5, 1000], Gen.Double[40, 120], Gen.Double[0, 40], Gen.Double[0, 4])
            .Sample((pieces, ball, water, fat, salt) =>
            {
                var spec = Breads.White();
                spec = spec with
                {
                    Dough = spec.Dough with { Pieces = pieces, Hydration = new(water), FatShare = new(fat), Salt = new(salt) },
                    Balls = spec.Balls with { Mass = new(ball) },
                };
                var dough = Breads.Plan(spec).Dough;

                Assert.Equal(dough.Mass.Value, dough.Portions.Sum(p => p.Mass.Value), 6);
                Assert.Equal(pieces * ball, (dough.Mass - dough.Loss).Value, 6);
                Assert.True(dough.Loss.Value >= 5 - 1e-9 && dough.Loss.Value >= 0.02 * dough.Mass.Value - 1e-9);
            });

    [Fact]
    public void Water_in_butter_counts_as_water()
    {
        var dough = Dough(d => d with { Fat = "butter", FatShare = new(10) });

        Assert.Equal(62, dough.Hydration.Value, 9);
        Assert.Equal(60.4, dough.Portions.Single(p => p.Id == "water").Share.Value, 9);
    }

    [Fact]
    public void Salt_in_salted_butter_is_not_added_again()
    {
        var dough = Dough(d => d with { Fat = "butter-salted", FatShare = new(10) });

        Assert.Equal(1.8, dough.Salt.Value, 9);
        Assert.Equal(1.64, dough.Portions.Single(p => p.Id == "salt-fine").Share.Value, 9);
    }

    [Fact]
    public void A_puree_that_carries_the_water_makes_a_drier_feel()
    {
        var water = Dough(d => d);
        var beet = Dough(d => d with { Liquid = "puree-beet" });

        Assert.Equal(62, beet.Hydration.Value, 9);
        Assert.Equal(61.991 / 0.88, beet.Portions.Single(p => p.Id == "puree-beet").Share.Value, 3);
        Assert.True(beet.FeelHydration.Value < water.FeelHydration.Value);
    }

    [Fact]
    public void Fat_and_sugar_loosen_as_models_B_says()
    {
        var dough = Dough(d => d with { Fat = "oil-sunflower", FatShare = new(12), Additions = [new("sugar", new(4))] });

        Assert.Equal(62 + 0.25 * 10 + 0.10 * 2 + 0.35 * 4, dough.FeelHydration.Value, 9);
        Assert.Equal(58 + 6, dough.Target.Value, 9);
    }

    [Theory]
    [InlineData(50, DoughFeel.Stiff)]
    [InlineData(57, DoughFeel.FirmSide)]
    [InlineData(63, DoughFeel.OnTarget)]
    [InlineData(69, DoughFeel.SoftSide)]
    [InlineData(75, DoughFeel.Sticky)]
    public void Water_against_the_flours_thirst_gives_the_feel(double hydration, DoughFeel feel) =>
        Assert.Equal(feel, Dough(d => d with { Hydration = new(hydration) }).Feel);

    [Theory]
    [InlineData("water")]
    [InlineData("puree-beet")]
    [InlineData("milk")]
    [InlineData("coconut-milk")]
    public void The_hydration_called_right_closes_the_gap(string liquid)
    {
        var off = Dough(d => d with { Hydration = new(50), Liquid = liquid });
        var right = Dough(d => d with { Hydration = off.HydrationOnTarget, Liquid = liquid });

        Assert.NotEqual(DoughFeel.OnTarget, off.Feel);
        Assert.InRange(right.Gap.Value, -0.8, 0.8);
    }

    [Fact]
    public void A_half_and_half_mix_drinks_halfway()
    {
        var mix = FlourMix.Of([new("flour-white", 1), new("flour-atta", 1)], Breads.Larder);

        Assert.Equal(64, mix.Absorption.Value, 9);
        Assert.Equal(0.125, mix.Springback, 9);
    }

    [Fact]
    public void A_thing_named_twice_is_weighed_once()
    {
        var twice = Dough(d => d with { Additions = [new("seed-nigella", new(1)), new("seed-nigella", new(0.5))] });

        Assert.Equal(1.5, Assert.Single(twice.Portions, p => p.Id == "seed-nigella").Share.Value, 9);
        Assert.Equal(twice.Mass.Value, twice.Portions.Sum(p => p.Mass.Value), 6);
    }

    [Fact]
    public void A_small_batch_loses_at_least_five_grams() => Assert.Equal(5, Dough(d => d with { Pieces = 1 }).Loss.Value, 9);

    [Fact]
    public void What_the_bowl_keeps_is_learned()
    {
        var more = Planner.Plan(Breads.White(), Breads.Larder, Learned.Nothing with { BowlLoss = new(4) });

        Assert.Equal(0.04, more.Dough.Loss / more.Dough.Mass, 9);
    }
}
