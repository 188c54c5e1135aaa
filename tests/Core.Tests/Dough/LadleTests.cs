namespace Ystrata.Core.Tests;

public class LadleTests
{
    private static BatchSpec Batter(double ml = 90, double mm = 2.5)
    {
        var white = Breads.White(d => d with { Feel = Feel.Batter, Hydration = new(180) }, Breads.Letter);
        return white with { Start = StartSpec.Of(20), Ladle = new(new(ml), new(mm)) };
    }

    [Fact]
    public void A_batter_is_ladled_and_never_balled_sheeted_or_folded()
    {
        var sheet = Breads.Plan(Batter());

        Assert.Equal([Stage.Dough, Stage.Rest, Stage.Balls, Stage.Pan], sheet.Stages);
        Assert.Equal(1, sheet.Fold.Nominal);
        Assert.DoesNotContain(sheet.Notes, n => n.Stage is Stage.Sheet or Stage.Fold or Stage.Roll);
    }

    [Fact]
    public void A_ladleful_spreads_to_the_round_of_its_volume()
    {
        var sheet = Breads.Plan(Batter());

        // 90 ml at 2.5 mm: D = √(4 · 90 / (π · 0.25)) cm = 21.4 cm.
        Assert.Equal(Math.Sqrt(4 * 90 / (Math.PI * 0.25)) * 10, sheet.Roll.Across.Value, 6);
        Assert.Equal(2.5, sheet.Section.Leaves.Single().Value, 6);
        Assert.Equal(sheet.Roll.Diameter.Value, sheet.Roll.RollTo.Value, 9);
    }

    [Fact]
    public void A_batters_density_follows_from_its_parts()
    {
        var sheet = Breads.Plan(Batter());

        // By parts of flour: water and the flour's own 180 + 12, fat 2.985 + 1 at 0.92, all other solids at 1.45.
        var solids = 88 - 1 + 3 - 2.985 - 0.009 + 1.8;
        var volume = 192 + 3.985 / 0.92 + solids / 1.45;
        Assert.Equal((100 + 179.991 + 3 + 1.8) / volume, sheet.Dough.Density.Value, 4);
        Assert.Equal(90 * sheet.Dough.Density.Value, sheet.Balls.Mass.Value, 6);
    }

    [Theory]
    [InlineData(90, 1, NoteCode.PouredThin)]
    [InlineData(90, 7, NoteCode.PouredThick)]
    [InlineData(200, 2, NoteCode.PouredWide)]
    public void A_pour_that_goes_wrong_is_spoken_of(double ml, double mm, NoteCode code)
    {
        Assert.True(Breads.Plan(Batter(ml, mm)).Has(code));
        Assert.False(Breads.Plan(Batter()).Has(code));
    }

    [Theory]
    [InlineData(160)]
    [InlineData(180)]
    [InlineData(260)]
    [InlineData(377)]
    public void A_thin_batter_is_spread_thin_and_cooks_the_sooner(double hydration)
    {
        BatchSpec Of(double water) => Batter() is var b ? b with { Dough = b.Dough with { Hydration = new(water) } } : b;
        var plan = Breads.Plan(Of(hydration));
        var pour = plan.Balls.Pour!;
        Assert.InRange(pour.ByItself.Value, pour.Good.Least.Value, pour.Good.Most.Value);

        // As it lies it is right, and comes off cooked; a thinner batter lies flatter, wider and is turned no later.
        BatchSheet Lying(double water) => Breads.Plan(Of(water) is var s ? s with { Ladle = s.Ladle with { Thickness = Breads.Plan(s).Balls.Pour!.ByItself } } : s);
        var (lying, thinner) = (Lying(hydration), Lying(hydration + 20));
        Assert.DoesNotContain(lying.Notes, n => n.Code is NoteCode.PouredThin or NoteCode.PouredThick or NoteCode.PouredRuns);
        Assert.Null(lying.Pan.Program.Failure);
        Assert.True(thinner.Balls.Pour!.ByItself.Value <= pour.ByItself.Value && thinner.Roll.Across.Value >= lying.Roll.Across.Value);
        Assert.True(thinner.Pan.Program.Turns[0].Time.Value <= lying.Pan.Program.Turns[0].Time.Value + 1);
    }

    [Fact]
    public void A_thin_batter_poured_thick_runs_on_and_is_spread_as_it_lies()
    {
        var spec = Batter(90, 3) is var b ? b with { Dough = b.Dough with { Hydration = new(380) } } : Batter();
        var note = Breads.Plan(spec).The(NoteCode.PouredRuns);
        var mend = note.Mends!.Single();

        Assert.Equal(MendCode.SpreadTo, mend.Code);
        Assert.False(Breads.Plan(mend.On(spec)).Has(NoteCode.PouredRuns));
        Assert.Equal(spec.Ladle.Volume, mend.Ladle!.Volume);
        // At 180 three millimetres are as it lies.
        Assert.DoesNotContain(Breads.Plan(Batter(90, 3)).Notes, n => n.Stage == Stage.Balls && n.Severity != Severity.Right);
    }

    [Theory]
    [InlineData(501)]
    [InlineData(1000)]
    [InlineData(-5)]
    public void A_batter_of_so_much_water_is_none(double hydration) =>
        Assert.Equal("dough.hydration", Assert.Single(Breads.Refused(Batter() is var b ? b with { Dough = b.Dough with { Hydration = new(hydration) } } : b, Breads.Kitchen)).Field);

    [Fact]
    public void A_batter_stands_and_neither_shrinks_nor_tears()
    {
        BatchSheet Stood(double minutes) => Breads.Plan(Batter() with { Rest = RestSpec.CoveredFor(minutes) });

        Assert.True(Stood(30).Has(NoteCode.BatterStood));
        Assert.True(Stood(5).Has(NoteCode.BatterStandLonger));
        Assert.False(Stood(5).Has(NoteCode.RestShort));
    }

    [Fact]
    public void This_flour_makes_so_many_ladles()
    {
        var spec = Batter();
        var sheet = Breads.Plan(spec with { Start = spec.Start with { By = StartBy.Flour, Flour = new(500) } });

        var net = sheet.Dough.Mass - sheet.Dough.Loss;
        Assert.Equal((int)Math.Round(net.Value / (90 * sheet.Dough.Density.Value)), sheet.Balls.Count);
    }
}
