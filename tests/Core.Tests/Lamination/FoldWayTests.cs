namespace Ystrata.Core.Tests;

/// <summary>A fold goes across the longer side or along it (models.md D).</summary>
public class FoldWayTests
{
    private static readonly FoldStep LetterAlong = new LetterStep(FoldWay.Along), HalfAlong = new HalfStep(FoldWay.Along);

    private static BatchSpec Sheet(params FoldStep[] steps) => Breads.White(steps) is var s ? s with { Sheet = s.Sheet with { Diameter = new(300), Width = new(240) } } : s;

    [Fact]
    public void Across_shortens_the_longer_side_and_along_narrows_the_other()
    {
        (double Long, double Wide) After(FoldStep step) => Breads.Checked(Sheet(step)).Folded[^1] is var f ? (f.Length.Value, f.Width.Value) : default;

        Assert.Equal((240, 100), After(new LetterStep()));
        Assert.Equal((300, 80), After(LetterAlong));
        Assert.Equal((240, 150), After(new HalfStep()));
        Assert.Equal((300, 120), After(HalfAlong));
        Assert.Equal((300, 120), After(new GateStep(FoldWay.Along)));
        Assert.Equal((300, 60), After(new AccordionStep(4, FoldWay.Along)));
    }

    [Fact]
    public void Thirds_and_half_along_make_a_strip_of_six_leaves_that_is_wound_on_edge()
    {
        var plan = Breads.Plan(Sheet(LetterAlong, new BrushStep("ghee", new(2)), HalfAlong, new StretchStep(1.5), new CoilStep()));
        Assert.True(plan.Fold.Rings is { OnEdge: true });
        Assert.Equal(6, plan.Fold.Steps[2].Leaves);

        // Folded across it is no strip a coil could be wound of.
        var refusal = Assert.Single(Breads.Refused(Sheet(new LetterStep(), new HalfStep(), new StretchStep(1.5), new CoilStep()), Breads.Kitchen));
        Assert.Equal(RefusalCode.NeedsStrip, refusal.Code);
    }

    [Fact]
    public void Half_and_half_along_and_the_ends_in_make_a_thick_small_square()
    {
        var square = Breads.Checked(Sheet(HalfAlong, new HalfStep(FoldWay.Along), new LetterStep())).Folded[^1];

        Assert.Equal((100, 60), (square.Length.Value, square.Width.Value));
        Assert.Equal(12, square.Fullest.Count);
    }

    [Fact]
    public void The_same_leaves_and_the_same_mass_whichever_way()
    {
        foreach (var way in Enum.GetValues<FoldWay>())
        {
            var plan = Breads.Plan(Sheet(new HalfStep(way), new BrushStep("ghee", new(2)), new LetterStep(way)));
            Assert.Equal(6, plan.Fold.Nominal);
            Assert.Equal(Breads.Plan(Sheet()).Piece.Raw.Dough.Value, plan.Piece.Raw.Dough.Value, 9);
            Assert.Equal(Breads.Plan(Sheet(new HalfStep(), new BrushStep("ghee", new(2)), new LetterStep())).Fold.Effective, plan.Fold.Effective);
        }
    }

    [Fact]
    public void A_round_has_but_one_way_to_be_halved_and_a_half_moon_two()
    {
        Outline Of(params FoldStep[] steps) => Breads.Checked(Breads.White(steps)).Folded[^1].Outline;

        Assert.Equal(Outline.HalfMoon, Of(HalfAlong));
        Assert.Equal(Outline.Wedge, Of(new HalfStep(), new HalfStep()));
        Assert.Equal(Outline.Block, Of(new HalfStep(), HalfAlong));
    }

    [Fact]
    public void No_shipped_school_carries_a_red_note_as_it_comes() =>
        Assert.All(Schools.All, s => Assert.Empty(Breads.Plan(s.Spec).Notes.Where(n => n.Severity == Severity.Wrong).Select(n => $"{s.Id}: {n.Code} {string.Join(' ', n.Quantities.Select(q => $"{q.Name} {q.Value:0.##}"))} mends {string.Join(", ", (n.Mends ?? []).Select(m => m.Code))}")));

    [Fact]
    public void The_school_of_the_folded_strip_can_be_worked_and_is_found()
    {
        var school = Schools.All.Single(s => s.Id == "stripCoil");
        Assert.True(Breads.Plan(school.Spec).Fold.Rings is { OnEdge: true });
        Assert.Contains("stripCoil", FoldPrograms.Ids);
        Assert.DoesNotContain(Breads.Plan(school.Spec).Notes, n => n.Severity == Severity.Wrong);
    }
}
