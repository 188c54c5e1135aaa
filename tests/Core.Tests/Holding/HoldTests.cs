using Ystrata.Core.Tests.Clock;

namespace Ystrata.Core.Tests.Holding;

public sealed class HoldTests
{
    private static BatchSheet Sheet(Func<PanSpec, PanSpec> change) => Breads.Plan(BatchSpec.Plain with { Pan = change(BatchSpec.Plain.Pan) });

    private static HoldSheet Hold(Func<PanSpec, PanSpec> change) => Sheet(change).Pan.Hold;

    [Fact]
    public void Soft_warm_and_crisp_are_three_figures_and_each_place_keeps_another_of_them()
    {
        var places = Hold(p => p).Places.ToDictionary(p => p.In);

        Assert.Equal(4, places.Count);
        // A cover keeps it soft and warm, and takes the crispness within minutes.
        Assert.InRange(places[HoldIn.Plate].Soft.Value, 10, 20);
        Assert.InRange(places[HoldIn.Cloth].Soft.Value, 60, 120);
        Assert.InRange(places[HoldIn.Pot].Soft.Value, 240, 360);
        Assert.All([HoldIn.Cloth, HoldIn.Pot, HoldIn.Paper], cover => Assert.InRange(places[cover].Crisp.Value, 1, 5));
        Assert.True(places[HoldIn.Plate].Crisp.Value > places[HoldIn.Cloth].Crisp.Value);
        // It is cold long before it is stiff: heat is not what goes.
        Assert.True(places[HoldIn.Cloth].Warm.Value < places[HoldIn.Cloth].Soft.Value);
        Assert.All(places.Values, p => Assert.True(p.Hot.Value < p.Warm.Value));
    }

    [Theory]
    [InlineData(2, Warmth.Hot)]
    [InlineData(22, Warmth.Warm)]
    [InlineData(120, Warmth.Cold)]
    public void Warmth_at_the_table_has_a_word_of_its_own(double minutes, Warmth is_)
    {
        var hold = Hold(p => p with { HoldFor = new(minutes) });
        Assert.Equal(is_, hold.Is);
        Assert.Equal(is_ == Warmth.Hot, minutes <= hold.Here.Hot.Value);
        Assert.Equal(is_ == Warmth.Cold, minutes > hold.Here.Warm.Value);
    }

    [Fact]
    public void What_the_cook_wants_of_it_is_what_it_is_judged_by()
    {
        BatchSheet After(HoldWant wants, HoldIn place, double minutes) => Sheet(p => p with { Wants = wants, Hold = place, HoldFor = new(minutes) });
        NoteCode[] all = [NoteCode.HoldStiff, NoteCode.HoldCools, NoteCode.HoldSoftens, NoteCode.NeverCrisp, NoteCode.NeverSoft];
        NoteCode[] Said(HoldWant wants, HoldIn place, double minutes) => [.. After(wants, place, minutes).Notes.Select(n => n.Code).Intersect(all)];

        Assert.Empty(Said(HoldWant.Soft, HoldIn.Cloth, 40));
        Assert.Equal([NoteCode.HoldCools], Said(HoldWant.Hot, HoldIn.Cloth, 40));
        Assert.Equal([NoteCode.HoldSoftens], Said(HoldWant.Crisp, HoldIn.Cloth, 40));
        Assert.Empty(Said(HoldWant.Crisp, HoldIn.Plate, 4));
        Assert.Empty(Said(HoldWant.Soft, HoldIn.Pot, 240));
        // Wants crisp: off the cloth; wants hot: into the pot; wants soft: into the cloth, and for hours the pot.
        Assert.Equal(HoldIn.Plate, Mend(HoldWant.Crisp, HoldIn.Cloth, 5));
        Assert.Equal(HoldIn.Pot, Mend(HoldWant.Hot, HoldIn.Cloth, 30));
        Assert.Equal(HoldIn.Cloth, Mend(HoldWant.Soft, HoldIn.Plate, 40));
        Assert.Equal(HoldIn.Pot, Mend(HoldWant.Soft, HoldIn.Plate, 200));

        HoldIn Mend(HoldWant wants, HoldIn place, double minutes) => After(wants, place, minutes).The(Said(wants, place, minutes)[0]).Mends!.Single(m => m.Pan!.Hold != place).Pan!.Hold;
    }

    [Fact]
    public void A_pale_face_is_never_crisp_and_a_bread_dry_through_never_soft()
    {
        Assert.True(Sheet(p => p with { Colour = Colour.Pale, Wants = HoldWant.Crisp }).Has(NoteCode.NeverCrisp));
        var dry = Sheet(p => p with { Own = [new(new(150), new(0)), new(new(200), new(2)), new(new(200), new(2))], HoldFor = new(60) });
        Assert.Equal(0, dry.Pan.Hold.Here.Soft.Value);
        Assert.True(dry.Has(NoteCode.NeverSoft));
        Assert.False(dry.Has(NoteCode.HoldStiff));
        // It stays crisp an hour in the open, and not under a lid.
        Assert.InRange(dry.Pan.Hold.Places.Single(p => p.In == HoldIn.Plate).Crisp.Value, 45, 60);
        Assert.InRange(dry.Pan.Hold.Places.Single(p => p.In == HoldIn.Pot).Crisp.Value, 1, 10);
    }

    [Theory]
    [InlineData(HoldWant.Soft, HoldIn.Plate, ClockBreach.GoesStiff)]
    [InlineData(HoldWant.Hot, HoldIn.Plate, ClockBreach.GoesCool)]
    [InlineData(HoldWant.Crisp, HoldIn.Plate, ClockBreach.GoesLimp)]
    public void The_clock_judges_the_first_piece_by_what_is_wanted(HoldWant wants, HoldIn place, ClockBreach breach)
    {
        var many = ClockKitchens.Squares with { Start = StartSpec.Of(40), Pan = ClockKitchens.Squares.Pan with { Wants = wants, Hold = place } };
        ClockBreach[] kinds = [ClockBreach.GoesStiff, ClockBreach.GoesCool, ClockBreach.GoesLimp];

        var is_ = Assert.Single(ClockKitchens.Plan(many).Report.Breaches, b => kinds.Contains(b.Code));
        Assert.Equal(breach, is_.Code);
        Assert.Equal(Breads.Plan(many).Pan.Hold.Keeps.Value * 60, is_.Allowed.Value, 0);
    }

    [Fact]
    public void In_a_lidded_pot_forty_wait_for_hours_without_a_word() =>
        Assert.DoesNotContain(
            ClockKitchens.Plan(ClockKitchens.Squares with { Start = StartSpec.Of(40), Pan = ClockKitchens.Squares.Pan with { Hold = HoldIn.Pot } }).Report.Breaches,
            b => b.Code is ClockBreach.GoesStiff or ClockBreach.GoesCool or ClockBreach.GoesLimp);
}
