namespace Ystrata.Core.Tests;

public class FoldTests
{
    private static AccordionStep Pleats(int n) => new AccordionStep(n);

    [Fact]
    public void Six_grams_of_ghee_on_30_cm_is_93_µm() => Assert.Equal(93, Breads.Plan().Sheet.Film.Value, 0);

    [Fact]
    public void One_brush_half_and_half_again_is_four_leaves_of_which_three_come_apart()
    {
        var fold = Breads.Plan(Breads.Half, Breads.Half).Fold;

        Assert.Equal((4, 3, 1), (fold.Nominal, fold.Effective, fold.Fused));
    }

    [Fact]
    public void A_letter_fold_without_new_ghee_fuses_two_of_nine_leaves()
    {
        var fold = Breads.Plan(Breads.Letter, Breads.Letter).Fold;

        Assert.Equal((9, 7, 2), (fold.Nominal, fold.Effective, fold.Fused));
        Assert.Equal([0, 2], fold.Steps.Select(s => s.Welded));
        Assert.Equal([6, 2], fold.Steps.Select(s => s.Laid));
    }

    [Fact]
    public void Two_grams_brushed_between_the_letters_open_all_nine()
    {
        var fold = Breads.Plan(Breads.Letter, Breads.Ghee(2), Breads.Letter).Fold;

        Assert.Equal((9, 9, 0), (fold.Nominal, fold.Effective, fold.Fused));
        // The flaps of a round leave the corners of the strip bare: 294 cm², not a third of 707.
        Assert.Equal(294, fold.Steps[1].Area.Value, 0);
        Assert.Equal(75, fold.Steps[1].Film.Value, 0);
    }

    [Fact]
    public void Twelve_pleats_greased_on_one_face_come_apart_as_seven()
    {
        var fold = Breads.Plan(Pleats(12)).Fold;

        Assert.Equal((12, 7), (fold.Nominal, fold.Effective));
    }

    [Fact]
    public void Twelve_pleats_greased_on_both_faces_come_apart_as_twelve()
    {
        var fold = Breads.Plan(new BrushStep("ghee", new(6), LaidOn.Board), Pleats(12)).Fold;

        Assert.Equal((12, 12), (fold.Nominal, fold.Effective));
    }

    [Fact]
    public void A_closed_half_lays_top_on_top_and_leaves_two_backs_outside()
    {
        var piece = FoldStage.Work(Breads.White(Breads.Half).Fold.Steps, GreasedSheet(), Breads.Kitchen).Folded[0];

        Assert.Equal(2 * 93.28, piece.Fullest.Contacts[0].Coat.Film.Value, 1);
        Assert.Equal((0, 0), (piece.Fullest.Top.Film.Value, piece.Fullest.Bottom.Film.Value));
    }

    [Fact]
    public void A_letter_lays_a_top_on_a_top_then_a_top_on_a_back()
    {
        var piece = FoldStage.Work(Breads.White(Breads.Letter).Fold.Steps, GreasedSheet(), Breads.Kitchen).Folded[0];

        Assert.Equal([186.6, 93.3], piece.Fullest.Contacts.Select(c => Math.Round(c.Coat.Film.Value, 1)));
        Assert.Equal((0, 0), (piece.Fullest.Top.Film.Value, piece.Fullest.Bottom.Film.Value));
    }

    [Fact]
    public void Flour_alone_keeps_leaves_apart()
    {
        var spec = Breads.White(Breads.Half, new DustStep("flour-white", new(1)), Breads.Half);
        var fold = Breads.Plan(spec with { Sheet = spec.Sheet with { FatMass = new(0), DustMass = new(2) } }).Fold;

        Assert.Equal((4, 4), (fold.Nominal, fold.Effective));
        Assert.Equal(3, fold.InsideDust.Value);
        Assert.Null(Breads.Plan(spec with { Sheet = spec.Sheet with { FatMass = new(0), DustMass = new(2) } }).Roll.FilmLeast);
    }

    [Fact]
    public void Bare_faces_weld_into_one()
    {
        var spec = Breads.White(Breads.Letter);
        var fold = Breads.Plan(spec with { Sheet = spec.Sheet with { FatMass = new(0) } }).Fold;

        Assert.Equal((3, 1, 2), (fold.Nominal, fold.Effective, fold.Fused));
    }

    [Fact]
    public void A_mat_roll_winds_as_models_D_says()
    {
        var sheet = GreasedSheet();
        var rope = Breads.MatRoll.Apply(sheet, 0, Breads.Kitchen);
        var d = Math.Sqrt(4 * 300 * sheet.Thickness.Value / Math.PI);

        Assert.Equal(d, rope.Width.Value, 9);
        Assert.Equal(Math.Round(d / sheet.Thickness.Value), rope.Fullest.Count);
        Assert.Equal(Outline.Rope, rope.Outline);
        // Top on back all along, but for the two tops that meet in the middle.
        Assert.Equal(1, rope.Fullest.Contacts.Count(c => c.Coat.Film.Value > 180));
        Assert.Equal(rope.Fullest.Contacts.Count - 1, rope.Fullest.Contacts.Count(c => Math.Abs(c.Coat.Film.Value - sheet.Fullest.Top.Film.Value) < 1e-9));
    }

    [Fact]
    public void A_coil_covers_rope_length_times_rope_width()
    {
        var rope = Breads.MatRoll.Apply(GreasedSheet(), 0, Breads.Kitchen);
        var coil = Breads.Coil.Apply(rope, 1, Breads.Kitchen);

        Assert.Equal(Math.Sqrt(4 * rope.Length.Value * rope.Width.Value / Math.PI), coil.Length.Value, 9);
        Assert.Equal(coil.Length / rope.Width / 2, Breads.Plan(Breads.MatRoll, Breads.Coil).Fold.Rings!.Count, 9);
    }

    [Fact]
    public void A_coil_of_a_sheet_with_a_dry_back_welds_ring_to_ring()
    {
        var plan = Breads.Plan(Breads.MatRoll, Breads.Coil);

        Assert.Equal(ContactState.Fused, plan.Fold.Rings?.State);
        Assert.True(plan.Has(NoteCode.RingsFused));
    }

    [Fact]
    public void Halves_go_from_round_to_half_moon_to_wedge() =>
        Assert.Equal([Outline.HalfMoon, Outline.Wedge], Breads.Plan(Breads.Half, Breads.Half).Fold.Steps.Select(s => s.Outline));

    [Fact]
    public void A_pin_never_makes_a_sheet_smaller()
    {
        var spec = Breads.White(Breads.RollTo(100));
        var plan = Breads.Plan(spec);

        Assert.Equal(plan.Sheet.Area.Value, plan.Fold.Steps[0].Area.Value, 9);
        Assert.True(plan.Has(NoteCode.AlreadyBigger));
    }

    [Theory]
    [InlineData(15, 0, ContactState.Open)]
    [InlineData(14.9, 0.5, ContactState.Open)]
    [InlineData(14.9, 0.49, ContactState.Patchy)]
    [InlineData(5, 0, ContactState.Patchy)]
    [InlineData(4.9, 0, ContactState.Fused)]
    public void Fat_or_flour_decides_whether_a_contact_opens(double film, double dust, ContactState state) =>
        Assert.Equal(state, Contacts.StateOf(new(new(film), default, new(dust))));

    private static Form GreasedSheet() => Form.Sheet(new(80), new(300))
        .Coated(Coat.OfFat(new(6), Breads.Larder["ghee"], SquareCentimetres.OfRound(new(300))));
}
