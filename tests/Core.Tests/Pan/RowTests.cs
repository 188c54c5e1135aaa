using Ystrata.Core.Tests.Clock;

namespace Ystrata.Core.Tests;

/// <summary>Pan, clock and row are one kitchen: what holds for one piece holds for all that lie there and all that follow.</summary>
public class RowTests
{
    private static readonly BatchSpec White = Breads.White(Breads.Letter), Plain = Schools.All.Single(s => s.Id == "plain").Spec, Coils = Schools.All.Single(s => s.Id == "coils").Spec, Stuffed = Schools.All.Single(s => s.Id == "stuffed").Spec;

    private static BatchSpec On(BatchSpec spec, Func<PanSpec, PanSpec> change) => spec with { Pan = change(spec.Pan) };

    private static BatchSheet Pan(Func<PanSpec, PanSpec> change) => Breads.Plan(On(White, change));

    [Theory]
    [InlineData(180, 260, 1)]
    [InlineData(130, 260, 2)]
    [InlineData(129, 280, 3)]
    [InlineData(100, 260, 4)]
    [InlineData(180, 500, 5)]
    [InlineData(400, 260, 1)]
    public void Rounds_lie_on_a_pan_as_close_as_circles_can(double across, double floor, int room) =>
        Assert.Equal(room, Breads.Plan(On(Plain with { Sheet = Plain.Sheet with { Diameter = new(across) }, Roll = Plain.Roll with { Diameter = new(across) } }, p => p with { On = Cookware.Usual with { Across = new(floor) } })).Pan.Room);

    [Fact]
    public void The_clock_lays_as_many_as_the_pan_has_room_for_with_the_stays_of_so_many()
    {
        ClockReport Clock(Cookware on, int together) => ClockKitchens.Plan(On(White with { Start = StartSpec.Of(24) }, p => p with { On = on, Together = together }), new(4)).Report;
        var plate = Cookware.Of(PanKind.Plate);

        // Four rounds of 18 cm do not lie on 26 cm.
        Assert.Equal(Clock(Cookware.Usual, 1).PerHour, Clock(Cookware.Usual, 4).PerHour);
        Assert.True(Clock(plate, 4).PerHour > Clock(plate, 1).PerHour);
        // Five share the plate's ring, so that an hour has less than five times as many.
        Assert.True(Clock(plate, 5).PanEach.Value * 5 > Clock(plate, 1).PanEach.Value);
    }

    [Theory]
    [InlineData(Roasting.FatEachSide)]
    [InlineData(Roasting.DryOnly)]
    [InlineData(Roasting.DryThenFry)]
    [InlineData(Roasting.ShallowFry)]
    [InlineData(Roasting.OneTurn)]
    public void More_on_a_pan_never_shorten_their_stays(Roasting school)
    {
        foreach (var spec in new[] { White, Stuffed })
        {
            var totals = Enumerable.Range(1, 12)
                .Select(n => Breads.Plan(On(spec, p => p with { Roasting = school, On = Cookware.Of(PanKind.Plate), Together = n })).Pan)
                .Where(p => p.Program.Failure is null).Select(p => p.Program.Total.Value).ToList();
            Assert.True(totals.Count > 3);
            Assert.Equal(totals.Order(), totals);
        }
    }

    [Theory]
    [InlineData(PanKind.CastIron, Flame.Medium)]
    [InlineData(PanKind.NonStick, Flame.Low)]
    [InlineData(PanKind.Plate, Flame.High)]
    public void A_wider_bread_as_thick_has_never_shorter_stays_and_never_more_on_the_pan(PanKind kind, Flame flame)
    {
        // Less of the pan is left round it to bring its heat back.
        var pans = Enumerable.Range(8, 33).Select(cm => Breads.Plan(On(
            Plain with { Balls = new(BallBy.Thickness, new(80), new(2.4)), Sheet = Plain.Sheet with { Diameter = new(cm * 10) }, Roll = Plain.Roll with { Diameter = new(cm * 10) } },
            p => p with { On = Cookware.Of(kind) with { Flame = flame }, Together = 3 })).Pan).ToList();
        var (rooms, totals) = (pans.Select(p => p.Room).ToList(), pans.GroupBy(p => p.Together).Select(g => g.Where(p => p.Program.Failure is null).Select(p => p.Program.Total.Value).ToList()).ToList());

        Assert.Equal(rooms.OrderDescending(), rooms);
        Assert.True(totals.Sum(t => t.Count) > 5);
        Assert.All(totals, t => Assert.Equal(t.Order(), t));
    }

    [Fact]
    public void A_bread_wider_than_its_pan_is_said_and_a_narrower_one_mends_it()
    {
        foreach (var spec in new[] { Plain with { Roll = Plain.Roll with { Diameter = new(400) } }, Schools.All.Single(s => s.Spec.Dough.Feel == Feel.Batter).Spec with { Ladle = new(new(220), new(2)) } })
        {
            var note = Breads.Plan(spec).The(NoteCode.WiderThanPan);

            Assert.Equal(260, note.Quantities.Single(q => q.Name == QuantityName.Room).Value);
            Assert.False(Breads.Plan(note.Mends!.Single().On(spec)).Has(NoteCode.WiderThanPan));
        }

        Assert.All(Schools.All, s => Assert.False(Breads.Plan(s.Spec).Has(NoteCode.WiderThanPan), s.Id));
    }

    [Fact]
    public void The_first_of_a_row_is_the_piece_that_is_advised_on_the_same_cells()
    {
        foreach (var pan in Schools.All.Select(s => Breads.Plan(s.Spec).Pan).Where(p => p.Program.Failure is null))
        {
            var first = pan.Row.Pieces[0];
            Assert.Equal((pan.Done.First, pan.Done.Second, pan.Heat.High), (first.First, first.Second, first.High));
            // Where the pan stays as it was, so do the colours.
            Assert.All(pan.Row.Pieces.Where(p => Math.Abs(p.Pan.Value - first.Pan.Value) < 0.5), p => Assert.InRange(p.First, first.First - 0.03, first.First + 0.03));
        }
    }

    [Fact]
    public void Every_piece_of_a_row_is_cooked_by_the_stays_that_are_advised_where_the_flame_nearly_keeps_up()
    {
        foreach (var school in Schools.All.Where(s => Breads.Plan(s.Spec) is var plan && plan.Pan.Program.Failure is null && plan.Pan.Row.UpAfter is null))
        {
            Assert.True(Breads.Plan(school.Spec).Pan.Row.Worst!.Rawest.Cooked, school.Id);
        }
    }

    [Fact]
    public void A_flame_that_climbs_past_the_smoke_point_by_the_twentieth_is_said_by_the_first()
    {
        var spec = On(Coils, p => p with { Fat = "oil-rapeseed", Temperature = new(200), On = Cookware.Usual with { Flame = Flame.High } });
        var high = Breads.Plan(spec);
        var note = high.The(NoteCode.PanSmokes);

        Assert.True(high.Pan.Heat.High.Value < high.Pan.Heat.SmokePoint!.Value.Value);
        Assert.True(note.Quantities.Single(q => q.Name == QuantityName.Pan).Value >= 210);
        Assert.InRange(note.Quantities.Single(q => q.Name == QuantityName.Piece).Value, 2, 20);
        Assert.False(Breads.Plan(note.Mends!.Single().On(spec)).Has(NoteCode.PanSmokes));
    }

    [Fact]
    public void A_pan_that_never_comes_back_is_said_to_go_the_way_it_goes()
    {
        var hotter = Breads.Plan(On(Coils, p => p with { Temperature = new(200), On = Cookware.Usual with { Flame = Flame.High } })).Pan.Row;
        var cooler = Pan(p => p with { Temperature = new(230), On = Cookware.Usual with { Flame = Flame.Low } }).Pan.Row;

        Assert.True(hotter is { Back: null, Climbs: true } && hotter.Ends.Value > 200);
        Assert.True(cooler is { Back: null, Climbs: false } && cooler.Ends.Value < 230);
    }

    [Fact]
    public void An_empty_coated_pan_over_260_and_ice_in_hot_fat_are_cautions()
    {
        Assert.Equal(Severity.Caution, Pan(p => p with { Temperature = new(270), On = Cookware.Of(PanKind.NonStick) }).The(NoteCode.EmptyNonStick).Severity);
        Assert.False(Pan(p => p with { Temperature = new(270) }).Has(NoteCode.EmptyNonStick));
        Assert.False(Pan(p => p with { Temperature = new(200), On = Cookware.Of(PanKind.NonStick) with { Flame = Flame.Low } }).Has(NoteCode.EmptyNonStick));

        Assert.Equal(Severity.Caution, Pan(p => p with { Frozen = true, Roasting = Roasting.ShallowFry }).The(NoteCode.FrozenIntoFat).Severity);
        Assert.True(Pan(p => p with { Frozen = true, FatPerSide = new(20) }).Has(NoteCode.FrozenIntoFat));
        Assert.False(Pan(p => p with { Frozen = true }).Has(NoteCode.FrozenIntoFat));
        Assert.False(Pan(p => p with { Roasting = Roasting.ShallowFry }).Has(NoteCode.FrozenIntoFat));
    }

    [Fact]
    public void An_unsafe_core_is_told_by_the_filling_s_own_figure()
    {
        var egg = Stuffed with { Filling = Stuffed.Filling! with { Together = [.. Stuffed.Filling.Together, new SeasonStep("egg", new(20))] } };
        var plan = Breads.Plan(On(egg, p => p with { Own = [new(new(30), new(0)), new(new(20), new(2))] }));
        var note = plan.The(NoteCode.CoreUnsafe);

        Assert.Equal(74, note.Quantities.Single(q => q.Name == QuantityName.Needed).Value);
        Assert.Equal(plan.Pan.Row.Worst!.Rawest.Core!.Value.Value, note.Quantities.Single(q => q.Name == QuantityName.Passed).Value);
    }
}
