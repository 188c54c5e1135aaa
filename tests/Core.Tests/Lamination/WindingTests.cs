namespace Ystrata.Core.Tests;

/// <summary>Strips, ropes, coils, cones and slices (models.md D).</summary>
public class WindingTests
{
    private static readonly Form Sheet = Form.Sheet(new(80), new(360)).Coated(Coat.OfFat(new(6), Breads.Larder["ghee"], SquareCentimetres.OfRound(new(360))));

    private static Form Work(Form sheet, params FoldStep[] steps) => FoldStage.Work(steps, sheet, Breads.Kitchen).Folded[^1];

    private static Form Rectangle(double length, double width) =>
        Form.Sheet(new(80), new(length), width: new(width)).Coated(Coat.OfFat(new(6), Breads.Larder["ghee"], SquareCentimetres.OfRectangle(new(length), new(width))));

    [Fact]
    public void Pleats_on_edge_make_pleats_times_turns_rings()
    {
        var strip = Work(Sheet, new AccordionStep(12));
        var coil = Work(strip, Breads.Coil);

        // D = √(4Rd/π) with d the pile of pleats, turns = D / 2d.
        var pile = strip.Evened();
        var across = Math.Sqrt(4 * strip.Length.Value * pile.Thickness.Value / Math.PI);
        Assert.Equal(Outline.Upright, coil.Outline);
        Assert.Equal(across, coil.Length.Value, 6);
        Assert.Equal(12 * across / (2 * pile.Thickness.Value), coil.Rings!.Count, 6);
        Assert.Single(coil.Fullest.Leaves);
    }

    [Fact]
    public void Rings_and_leaves_are_told_apart()
    {
        var pleats = Breads.Plan(new BrushStep("ghee", new(3), LaidOn.Board), new AccordionStep(12), Breads.Coil).Fold;
        var mat = Breads.Plan(new BrushStep("ghee", new(3), LaidOn.Board), Breads.MatRoll, Breads.Coil).Fold;

        Assert.True(pleats.Rings is { OnEdge: true, Count: > 30 } && pleats.Nominal == 1);
        Assert.True(mat.Rings is { OnEdge: false, Count: < 5 } && mat.Nominal > 15);
    }

    [Fact]
    public void Rings_widen_as_the_coil_is_pressed_and_the_fat_between_them_gathers()
    {
        var coil = Work(Sheet, new AccordionStep(12), Breads.Coil);
        var pressed = coil.Spread(4);

        Assert.Equal(coil.Rings!.Leaves[0].Value * 2, pressed.Rings!.Leaves[0].Value, 9);
        Assert.Equal(coil.Rings.Contacts[0].Coat.Film.Value * 2, pressed.Rings.Contacts[0].Coat.Film.Value, 6);
        Assert.Equal(coil.Fullest.Dough.Value / 4, pressed.Fullest.Dough.Value, 9);
    }

    [Fact]
    public void A_cone_of_five_turns_is_five_leaves_back_on_top()
    {
        var cone = Work(Sheet, new ConeStep(5));

        Assert.Equal((5, Outline.Cone), (cone.Fullest.Count, cone.Outline));
        Assert.All(cone.Fullest.Contacts, c => Assert.Equal(Sheet.Fullest.Top.Film.Value, c.Coat.Film.Value, 6));
    }

    [Fact]
    public void Strips_are_pieces_of_their_own_or_one_piece_of_many_leaves()
    {
        var sheet = Rectangle(320, 240);
        var (own, gathered) = (Work(sheet, new StripsStep(8, false)), Work(sheet, new StripsStep(8, true)));

        Assert.Equal((8, 1), (own.Count, own.Fullest.Count));
        Assert.Equal((1, 8), (gathered.Count, gathered.Fullest.Count));
        Assert.Equal(30, own.Width.Value, 9);
    }

    [Fact]
    public void A_slit_sheet_hangs_in_threads() =>
        Assert.Equal(16 * Breads.Plan(new SlitStep(16), Breads.MatRoll, Breads.Coil).Fold.Nominal, Breads.Plan(new SlitStep(16), Breads.MatRoll, Breads.Coil).Fold.Threads);

    [Theory]
    [InlineData(0, 1, 2)]
    [InlineData(1, 3, 4)]
    [InlineData(2, 9, 10)]
    public void An_enclosed_fat_dough_has_three_to_the_k_films_and_one_leaf_more(int letters, int films, int leaves)
    {
        FoldStep[] steps = [new EncloseStep("ghee", new(10), "flour-white", new(16)), .. Enumerable.Repeat(Breads.Letter, letters)];
        var piece = Work(Form.Sheet(new(80), new(240), width: new(160)), steps);

        Assert.Equal(films, piece.Fullest.Contacts.Count(c => c.State == ContactState.Open));
        Assert.Equal(leaves, FoldStage.ApartIn(piece.Fullest));
    }

    [Fact]
    public void A_log_cut_in_four_is_four_slices_with_their_rings_up()
    {
        var rope = Work(Rectangle(300, 200), Breads.MatRoll);
        var slice = Work(rope, new CutLogStep(4));

        Assert.Equal((4, Outline.Upright), (slice.Count, slice.Outline));
        Assert.Equal(rope.Rope!.Across.Value, slice.Length.Value, 6);
        Assert.Equal(rope.Rope.Turns, slice.Rings!.Count, 9);
        // A slice is as tall as its part of the log is long.
        Assert.Equal(200.0 / 4, slice.Fullest.Dough.Value, 200.0 / 4 * 0.12);
    }

    [Fact]
    public void A_stretched_rope_keeps_its_turns_and_thins_all_round()
    {
        var rope = Work(Rectangle(300, 200), Breads.MatRoll);
        var longer = Work(rope, new StretchStep(1.44));

        Assert.Equal(rope.Length.Value * 1.44, longer.Length.Value, 6);
        Assert.Equal(rope.Width.Value / 1.2, longer.Width.Value, 6);
        Assert.Equal(rope.Fullest.Leaves[0].Value / 1.2, longer.Fullest.Leaves[0].Value, 9);
        Assert.Equal(rope.Rope!.Turns, longer.Rope!.Turns);
    }

    [Fact]
    public void A_rope_under_the_pin_is_a_strip_that_can_be_folded_again()
    {
        var strip = Work(Rectangle(300, 200), Breads.MatRoll, Breads.RollTo(150));

        Assert.Equal((Outline.Block, true), (strip.Outline, strip.Flat));
        Assert.Null(StepCheck.Workable(Breads.Letter, strip, ""));
    }

    [Fact]
    public void The_pin_presses_the_thick_middle_of_a_folded_round_first()
    {
        var folded = Work(Sheet, Breads.Letter);
        var rolled = Rolled.To(folded, new(Math.Sqrt(folded.Area.Value * 1.1 * 400 / Math.PI)));

        Assert.True(folded.Piles.Max(p => p.Pile.Thickness.Value) > rolled.Places.Max(p => p.Pile.Thickness.Value));
        Assert.Equal(folded.Piles.Min(p => p.Pile.Thickness.Value), rolled.Places.Min(p => p.Pile.Thickness.Value), 9);
        Assert.Equal(folded.Area.Value * 1.1, rolled.Area.Value, 6);
    }

    [Fact]
    public void A_bare_rim_welds_and_the_rest_does_not()
    {
        var piece = Work(Form.Sheet(new(80), new(300), width: new(200)), new BrushStep("ghee", new(5), Rim: new(20)), Breads.Half);
        var fused = piece.Piles.Where(p => p.Pile.Contacts.Any(c => c.State == ContactState.Fused)).Sum(p => p.Area.Value);

        // 300 × 200 less a rim of 20 is 260 × 160; folded, half of each.
        Assert.Equal(300, piece.Area.Value, 6);
        Assert.Equal(300 - 260 * 160 / 200.0, fused, 6);
    }

    [Fact]
    public void Half_and_half_again_of_a_wedge_is_an_eighth_of_the_round()
    {
        var eighth = Work(Sheet, Breads.Half, Breads.Half, Breads.Half);

        Assert.Equal((8, Outline.Wedge), (eighth.Fullest.Count, eighth.Outline));
        Assert.Equal(SquareCentimetres.OfRound(new(360)).Value / 8, eighth.Area.Value, 6);
    }
}
