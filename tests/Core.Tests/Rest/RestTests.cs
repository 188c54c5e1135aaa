namespace Ystrata.Core.Tests;

public class RestTests
{
    private static BatchSheet Plan(Func<RestSpec, RestSpec> rest, Func<DoughSpec, DoughSpec>? dough = null)
    {
        var white = Breads.White(dough ?? (d => d));
        return Breads.Plan(white with { Rest = rest(RestSpec.CoveredFor(40)), Sheet = white.Sheet with { Rest = new(0) } });
    }

    private static double Least(Func<DoughSpec, DoughSpec> dough) => Plan(r => r, dough).Rest.Least.Value;

    [Fact]
    public void The_least_rest_is_the_flours_own_and_the_best_twice_that()
    {
        var rest = Plan(r => r).Rest;

        Assert.Equal((20, 40, 360), (rest.Least.Value, rest.Best.Value, rest.Longest.Value));
        Assert.Equal(30, Least(d => d with { Flours = [new("flour-atta", 1)] }));
    }

    [Fact]
    public void Puree_wants_longer_yeast_shorter_and_a_long_rest_replaces_kneading()
    {
        // 20 min: × 1.5 for eight points of puree solids and more, × 0.6 with leaven, × 3 unkneaded, × 0.85 with acid, × 0.75 enriched.
        Assert.Equal(30, Least(d => d.WithLiquids(new LiquidSpec("puree-beet", Amount.TheRest))));
        Assert.Equal(12, Least(d => d.WithAdditions(("yeast-quick", 0.3))));
        Assert.Equal(12, Least(d => d.WithAdditions(("baking-powder", 1))));
        Assert.Equal(60, Least(d => d with { Mix = d.Mix with { Kneading = Kneading.None } }));
        Assert.Equal(17, Least(d => d.WithLiquids(new("yogurt", Amount.OfFlour(10)), new("water", Amount.TheRest))));
        Assert.Equal(15, Least(d => d.WithFat("oil-sunflower", 20)));
    }

    [Theory]
    [InlineData(RoomAir.Humid, false, 30)]
    [InlineData(RoomAir.Normal, false, 15)]
    [InlineData(RoomAir.Dry, true, 21)]
    [InlineData(RoomAir.HighUp, false, 5)]
    public void An_uncovered_dough_grows_a_skin_sooner_in_dry_air(RoomAir air, bool oiled, double minutes)
    {
        var sheet = Plan(r => r with { Air = air, Covered = false, Oiled = oiled });

        Assert.Equal((minutes, RestEnd.Skin), (sheet.Rest.Skin!.Value.Value, sheet.Rest.End));
        Assert.True(sheet.Has(minutes < 20 ? NoteCode.RestNeedsCover : NoteCode.RestSkin));
    }

    [Fact]
    public void Milk_and_puree_do_not_stand_warm_for_long()
    {
        var sheet = Plan(r => r with { Time = new(180) }, d => d.WithLiquids(new LiquidSpec("milk", Amount.TheRest)));

        Assert.Equal((120, RestEnd.Safety), (sheet.Rest.Longest.Value, sheet.Rest.End));
        Assert.Equal(Severity.Caution, sheet.The(NoteCode.RestUnsafe).Severity);
        Assert.False(Plan(r => r with { Time = new(180) }).Has(NoteCode.RestUnsafe));
    }

    [Fact]
    public void A_short_rest_costs_shrinking_and_a_thicker_sheet()
    {
        var none = Plan(r => r with { Time = new(0) }).Rest.Now;
        var half = Plan(r => r with { Time = new(20) }).Rest.Now;
        var whole = Plan(r => r with { Time = new(40) }).Rest.Now;

        // Of the dough's rest half is left after dividing: 0, 10 and 20 min. Springback 16 % · e^(−t/12).
        Assert.Equal(16, none.PullsBack.Value, 9);
        Assert.Equal(16 * Math.Exp(-10 / 12.0), half.PullsBack.Value, 9);
        // Half as much again with no rest, falling to nothing at 20 min.
        Assert.Equal(whole.Thinnest.Value * 1.5, none.Thinnest.Value, 9);
        Assert.Equal(whole.Thinnest.Value * 1.25, half.Thinnest.Value, 9);
    }

    [Fact]
    public void The_curve_runs_through_the_rest_chosen()
    {
        var rest = Plan(r => r).Rest;

        Assert.Equal(0, rest.Curve[0].Rest.Value);
        Assert.True(rest.Curve[^1].Rest.Value >= rest.Best.Value);
        Assert.All(rest.Curve.Zip(rest.Curve.Skip(1)), p => Assert.True(p.Second.PullsBack.Value < p.First.PullsBack.Value && p.Second.Thinnest.Value <= p.First.Thinnest.Value));
    }

    [Fact]
    public void A_cold_lump_warms_far_slower_than_its_balls()
    {
        var rest = Plan(r => r with { Time = new(720), Place = RestPlace.Fridge }).Rest;

        // 80 g ball: r = ∛(3 · 80 / (4π · 1.18)) = 2.530 cm, V/A = r/3; τ = 1180 · 2900 · 0.008432 / 8 = 3607 s; · ln(18/4) = 90.4 min.
        Assert.Equal(90.4, rest.WarmsAsBalls!.Value.Value, 0.2);
        Assert.True(rest.WarmsAsOne!.Value.Value > 2.5 * rest.WarmsAsBalls.Value.Value);
        Assert.Equal(1440, rest.Longest.Value);
        Assert.True(Plan(r => r with { Time = new(720), Place = RestPlace.Fridge }).Has(NoteCode.DivideCold));
        Assert.Null(Plan(r => r).Rest.WarmsAsOne);
    }

    [Fact]
    public void The_finger_test_goes_by_school()
    {
        Assert.Equal(PressTest.SpringsBackSlowly, Plan(r => r).Rest.Press);
        Assert.Equal(PressTest.KeepsTheMark, Plan(r => r, d => d.WithFat("oil-sunflower", 20)).Rest.Press);
        Assert.Equal(PressTest.FallsInARibbon, Plan(r => r, d => d with { Feel = Feel.Batter, Hydration = new(180) }).Rest.Press);
    }
}
