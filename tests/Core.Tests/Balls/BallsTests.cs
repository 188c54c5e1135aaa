using CsCheck;

namespace Ystrata.Core.Tests;

public class BallsTests
{
    [Fact]
    public void Eighty_grams_at_30_cm_is_0_96_mm() =>
        Assert.Equal(0.96, Round.ThicknessOf(new(80), SquareCentimetres.OfRound(new(300))).Value, 2);

    [Fact]
    public void Ball_and_round_give_each_other_back() =>
        Gen.Select(Gen.Double[60, 600], Gen.Double[0.5, 25]).Sample((d, t) =>
        {
            var mass = Round.MassOf(new(d), new(t));
            Assert.Equal(t, Round.ThicknessOf(mass, SquareCentimetres.OfRound(new(d))).Value, 1e-9);
            Assert.Equal(d, Round.DiameterOf(mass, new(t)).Value, 1e-9);
        });

    [Fact]
    public void A_ball_fixed_by_its_round_weighs_what_the_round_needs()
    {
        var spec = Breads.White();
        var byMass = Breads.Plan(spec);
        var byRound = Breads.Plan(spec with { Balls = new(BallBy.Thickness, new(5), byMass.Balls.RoundThickness) });

        Assert.Equal(80, byRound.Balls.Mass.Value, 9);
        Assert.Equal(byMass.Dough.Flour.Value, byRound.Dough.Flour.Value, 6);
    }

    [Fact]
    public void White_dough_rested_five_minutes_pulls_18_cm_back_to_16()
    {
        var white = FlourMix.Of([new("flour-white", 1)], Breads.Kitchen);
        var back = Round.Springback(white, new(3), new(5));

        Assert.Equal(0.16 * Math.Exp(-5.0 / 12), back, 12);
        Assert.Equal(161, 180 * (1 - back), 0);
        Assert.Equal(180, Round.RollPast(new(180), back).Value * (1 - back), 9);
    }

    [Theory]
    [InlineData("flour-white", 3, 0.16)]
    [InlineData("flour-atta", 3, 0.09)]
    [InlineData("flour-white", 20, 0.05)]
    public void With_no_rest_a_dough_springs_back_by_its_flour_and_fat(string flour, double fat, double share) =>
        Assert.Equal(share, Round.Springback(FlourMix.Of([new(flour, 1)], Breads.Kitchen), new(fat), new(0)), 12);

    [Fact]
    public void The_last_ball_is_never_the_runt()
    {
        var divided = new List<Grams>();
        var dough = new Grams(1960);
        for (var i = 0; i < 24; i++)
        {
            // A hand that always takes two grams too much.
            var next = Tray().Next!.Value;
            divided.Add(i == 23 ? next : next + new Grams(2));
        }

        Assert.Equal(1960, divided.Sum(b => b.Value), 6);
        Assert.InRange(divided[^1].Value, 70, 1960.0 / 24);
        Assert.Null(Tray().Next);

        TraySheet Tray() => BallsStage.TrayOf(dough, 24, new(BallBy.Mass, new(80), new(2.7), divided), Round.DoughDensity);
    }

    [Theory]
    [InlineData(80, 0)]
    [InlineData(82, 0)]
    [InlineData(84, -4)]
    [InlineData(75, 5)]
    public void A_ball_outside_three_percent_is_put_right_in_grams(double ball, double change) =>
        Assert.Equal(change, BallsStage.Correction(new(ball), new(80)).Value, 9);

    [Fact]
    public void The_spread_of_balls_is_mean_deviation_and_variation()
    {
        var spread = BallsStage.SpreadOf([new(78), new(80), new(82)]);

        Assert.Equal((80, 2, 2.5, 4), (spread.Mean.Value, spread.Deviation.Value, spread.Variation.Value, spread.Spread.Value));
        Assert.Throws<ArgumentOutOfRangeException>(() => BallsStage.SpreadOf([new(80)]));
    }
}
