namespace Ystrata.Core.Tests;

public class PanTests
{
    private static BatchSheet Pan(Func<PanSpec, PanSpec> change)
    {
        var white = Breads.White(Breads.Letter);
        return Breads.Plan(white with { Pan = change(white.Pan) });
    }

    [Theory]
    [InlineData(2.4, 230, 30)]
    [InlineData(3.0, 215, 45)]
    public void Blisters_rise_about_when_models_F_expects(double mm, double pan, double seconds) =>
        Assert.InRange(PanStage.CueTime(new(pan), new(mm), new(42), 200, 22).Value, 0.9 * seconds, 1.1 * seconds);

    [Fact]
    public void A_hotter_pan_and_a_thinner_round_are_quicker()
    {
        var base_ = PanStage.CueTime(new(215), new(3), new(44), 200, 22).Value;

        Assert.True(PanStage.CueTime(new(235), new(3), new(44), 200, 22).Value < base_);
        Assert.True(PanStage.CueTime(new(215), new(2), new(44), 200, 22).Value < base_);
        Assert.True(PanStage.CueTime(new(215), new(3), new(44), 350, 22).Value < base_);
    }

    [Fact]
    public void Brown_takes_1_8_times_as_long_as_gold() =>
        Assert.Equal(1.8, PanStage.ColourTime(new(214), Colour.Brown).Value / PanStage.ColourTime(new(214), Colour.Gold).Value, 9);

    [Fact]
    public void The_first_side_is_dry_and_the_others_carry_the_fat()
    {
        var pan = Pan(p => p).Pan;

        Assert.Equal([0, 2.5, 2.5], pan.Turns.Select(t => t.Fat.Value));
        Assert.Equal(pan.Total.Value, pan.Turns.Sum(t => t.Time.Value), 9);
        Assert.True(pan.FirstEstimate);
    }

    [Fact]
    public void Fat_of_a_piece_is_counted_where_it_is()
    {
        var fat = Pan(p => p).Pan.Fat;

        Assert.Equal((6, 5), (fat.Inside.Value, fat.Pan.Value));
        Assert.Equal(80 * 3 / (100 + 61.991 + 3 + 1.8), fat.Dough.Value, 6);
    }

    [Theory]
    [InlineData(239, false, false)]
    [InlineData(245, true, false)]
    [InlineData(250, false, true)]
    public void Ghee_smokes_at_250(double pan, bool near, bool smokes)
    {
        var plan = Pan(p => p with { Temperature = new(pan) });

        Assert.Equal((near, smokes), (plan.Has(NoteCode.PanNearSmoke), plan.Has(NoteCode.PanSmokes)));
    }

    [Fact]
    public void Butter_smokes_where_ghee_does_not() => Assert.Equal("butter", Pan(p => p with { Fat = "butter" }).The(NoteCode.PanSmokes).Item);

    [Fact]
    public void A_dry_pan_does_not_smoke_and_needs_no_hot_fat_caution()
    {
        var plan = Pan(p => p with { Temperature = new(260), FatPerSide = new(0) });

        Assert.False(plan.Has(NoteCode.PanSmokes));
        Assert.False(plan.Has(NoteCode.HotFat));
        Assert.True(plan.Has(NoteCode.Steam));
    }

    [Fact]
    public void Fat_per_side_is_read_against_a_film_of_50_to_150_µm()
    {
        var pan = Pan(p => p).Pan;

        Assert.InRange(pan.Film.Value, 50, 150);
        Assert.True(Pan(p => p with { FatPerSide = pan.FatGood.Most + new Grams(0.1) }).Has(NoteCode.PanFatPools));
        Assert.True(Pan(p => p with { FatPerSide = pan.FatGood.Least - new Grams(0.1) }).Has(NoteCode.PanFatThin));
    }

    [Fact]
    public void The_cooks_own_pan_stretches_every_time()
    {
        var own = Planner.Plan(Breads.White(), Breads.Larder, Learned.Nothing with { PanTime = 1.2 });

        Assert.Equal(1.2, own.Pan.Total.Value / Breads.Plan().Pan.Total.Value, 9);
    }

    [Fact]
    public void A_cool_pan_and_a_thick_round_are_spoken_of()
    {
        Assert.True(Pan(p => p with { Temperature = new(150) }).Has(NoteCode.PanTooCool));
        var white = Breads.White();
        Assert.True(Breads.Plan(white with { Balls = white.Balls with { Mass = new(250) }, Sheet = white.Sheet with { Diameter = new(150) } }).Has(NoteCode.ThickRound));
    }
}
