using CsCheck;

namespace Ystrata.Core.Tests;

/// <summary>The dough as it is divided (models.md C).</summary>
public class TrayTests
{
    private static TraySheet Tray(double[] weighed, double? small = null, double dough = 1200, int count = 12) => BallsStage.TrayOf(
        new(dough), count, new(BallBy.Mass, new(100), new(3), [.. weighed.Select(w => new Grams(w))], small is { } s ? new Grams(s) : null), Round.DoughDensity);

    [Fact]
    public void The_rest_of_the_dough_is_shared_by_the_rest_of_the_balls()
    {
        var tray = Tray([110, 100, 92]);

        // 1200 − 302 = 898 over nine.
        Assert.Equal(898 / 9.0, tray.Next!.Value.Value, 9);
        Assert.Equal((9, 100.0), (tray.Left, tray.Each.Value));
        Assert.Equal([-10, 0, 8], tray.Balls.Select(b => b.Correction.Value));
        Assert.Equal(302 / 3.0, tray.Spread!.Mean.Value, 9);
    }

    [Fact]
    public void Dividing_by_the_next_weight_always_ends_with_nothing_left() =>
        Gen.Select(Gen.Int[2, 40], Gen.Double[-0.08, 0.08].Array[40]).Sample((count, misses) =>
        {
            var weighed = new List<double>();
            for (var i = 0; i < count - 1; i++)
            {
                weighed.Add(Tray([.. weighed], dough: count * 90, count: count).Next!.Value.Value * (1 + misses[i]));
            }

            weighed.Add(Tray([.. weighed], dough: count * 90, count: count).Next!.Value.Value);
            var done = Tray([.. weighed], dough: count * 90, count: count);
            Assert.Equal(0, done.Over!.Value.Value, 1e-9);
            Assert.Null(done.Next);
        });

    [Fact]
    public void Balls_that_took_too_much_are_told_by_how_much() => Assert.Equal(-30, Tray([110, 110, 110], dough: 300, count: 3).Over!.Value.Value, 9);

    [Fact]
    public void A_small_one_comes_out_of_the_same_dough()
    {
        // 1160 over eleven.
        Assert.Equal(1160 / 11.0, Tray([], small: 40).Each.Value, 9);
        var tray = Tray([106, 41], small: 40);
        Assert.Equal([false, true], tray.Balls.Select(b => b.Small));
        Assert.Equal((1200 - 147) / 10.0, tray.Next!.Value.Value, 9);
        Assert.Null(tray.Spread);
    }

    [Fact]
    public void A_small_one_as_big_as_the_others_is_none() => Assert.Equal(100, Tray([], small: 100).Each.Value, 9);

    private static BallsSheet Divided(DivideInto into, CuttingSpec? cutting = null) =>
        Breads.Plan(Breads.White() with { Start = StartSpec.Of(12), Balls = new(BallBy.Mass, new(80), new(2.7), Into: into, Cutting: cutting) }).Balls;

    [Fact]
    public void Big_balls_of_two_are_weighed_and_an_odd_one_is_single()
    {
        var even = Divided(DivideInto.Pairs).Tray;
        Assert.Equal((6, 160.0), (even.Left, Math.Round(even.Each.Value, 6)));

        var odd = BallsStage.TrayOf(new(700), 7, new(BallBy.Mass, new(100), new(3), [new(210), new(95), new(200)], Into: DivideInto.Pairs), Round.DoughDensity);
        Assert.Equal([2, 1, 2], odd.Balls.Select(b => b.Pieces));
        Assert.Equal([-10, 5, 0], odd.Balls.Select(b => Math.Round(b.Correction.Value, 6)));
        // 195 left for the last pair.
        Assert.Equal((1, 195.0), (odd.Left, odd.Next!.Value.Value));
        Assert.Equal(205, odd.Spread!.Mean.Value, 9);
    }

    [Fact]
    public void Pairs_and_a_small_one_share_the_dough()
    {
        // 660 less 60 over six: three pairs of 200.
        var tray = BallsStage.TrayOf(new(660), 7, new(BallBy.Mass, new(100), new(3), [new(62)], new(60), DivideInto.Pairs), Round.DoughDensity);

        Assert.True(tray.Balls[0].Small);
        Assert.Equal((3, 200.0), (tray.Left, tray.Each.Value));
        Assert.Equal(598 / 3.0, tray.Next!.Value.Value, 9);
    }

    [Fact]
    public void Strips_of_one_sheet_weigh_what_a_ball_would()
    {
        var cut = Divided(DivideInto.Strips, new(new(5), new(250), new(55))).Cut!;

        // 80 g at the dough's density over 5 × 250 mm.
        Assert.Equal(80, cut.Piece.Value * 5 * 250 / 1000 * Round.DoughDensity.Value, 1);
        Assert.Equal((12 * cut.Piece.Value, 11), (cut.Whole.Value, cut.Cuts));
        Assert.Equal(80, (cut.Millimetre * cut.Piece.Value).Value, 9);
    }

    [Fact]
    public void A_log_longer_than_a_bench_is_rolled_as_several()
    {
        var thick = Divided(DivideInto.Log, new(new(5), new(250), new(60))).Cut!;
        var thin = Divided(DivideInto.Log, new(new(5), new(250), new(30))).Cut!;

        Assert.Equal(4, thin.Piece / thick.Piece, 9);
        Assert.Equal((1, 11), (thick.Logs, thick.Cuts));
        Assert.Equal((2, 10), (thin.Logs, thin.Cuts));
        Assert.Equal((6, 6 * thin.Piece.Value), (thin.PiecesOfEach, thin.Each.Value));
    }

    [Fact]
    public void A_tray_of_what_is_no_ball_is_refused_ball_by_ball()
    {
        var refusals = Breads.Refused(Breads.White() with { Balls = new(BallBy.Mass, new(80), new(2.7), [new(80), new(-1), new(double.NaN)], new(4)) }, Breads.Kitchen);

        Assert.Equal(["balls.weighed[1]", "balls.weighed[2]", "balls.smallOne"], refusals.Select(r => r.Field));
    }
}
