namespace Ystrata.Core.Tests;

public class SpecCheckTests
{
    private static Refusal The(BatchSpec spec) => Assert.Single(Breads.Refused(spec, Breads.Kitchen));

    private static BatchSpec With(Func<DoughSpec, DoughSpec> change) => Breads.White(change);

    private static BatchSpec Pieces(int pieces)
    {
        var white = Breads.White();
        return white with { Start = white.Start with { Pieces = pieces } };
    }

    [Fact]
    public void A_usual_batch_is_taken() => Assert.Empty(Breads.Refused(Breads.White(Breads.MatRoll, Breads.Coil), Breads.Kitchen));

    [Theory]
    [InlineData(0)]
    [InlineData(-3)]
    [InlineData(501)]
    public void Pieces_go_from_1_to_500(int pieces)
    {
        var refusal = The(Pieces(pieces));

        Assert.Equal(("start.pieces", RefusalCode.OutOfRange, (double?)pieces, (double?)1, (double?)500),
            (refusal.Field, refusal.Code, refusal.Given, refusal.Least, refusal.Most));
    }

    [Theory]
    [InlineData(double.NaN)]
    [InlineData(double.PositiveInfinity)]
    public void A_figure_has_to_be_a_number(double mass)
    {
        var white = Breads.White();
        Assert.Equal(RefusalCode.NotANumber, The(white with { Balls = white.Balls with { Mass = new(mass) } }).Code);
    }

    [Fact]
    public void An_unknown_flour_is_named()
    {
        var refusal = The(With(d => d with { Flours = [new("flour-white", 1), new("sawdust", 1)] }));

        Assert.Equal(("dough.flours[1].id", RefusalCode.UnknownIngredient, "sawdust"), (refusal.Field, refusal.Code, refusal.Item));
    }

    [Fact]
    public void Ghee_is_no_flour() => Assert.Equal(RefusalCode.WrongKind, The(With(d => d with { Flours = [new("ghee", 1)] })).Code);

    [Fact]
    public void Salt_has_a_figure_of_its_own() =>
        Assert.Equal(("dough.additions[0].id", RefusalCode.WrongKind), (The(With(d => d.WithAdditions(("salt-fine", 1)))) is var r ? (r.Field, r.Code) : default));

    [Fact]
    public void A_dough_needs_flour() => Assert.Equal("dough.flours", The(With(d => d with { Flours = [] })).Field);

    [Fact]
    public void Two_hundred_fold_steps_are_too_many()
    {
        var refusal = The(Breads.White([.. Enumerable.Repeat(Breads.Half, 200)]));

        Assert.Equal(("fold.steps", RefusalCode.TooMany, (double?)200, (double?)24), (refusal.Field, refusal.Code, refusal.Given, refusal.Most));
    }

    [Fact]
    public void A_program_of_millions_of_leaves_stops_at_the_step_that_passes_1024()
    {
        var refusal = The(Breads.White([.. Enumerable.Repeat(Breads.Letter, 24)]));

        Assert.Equal(("fold.steps[6]", RefusalCode.TooManyLeaves, (double?)1024), (refusal.Field, refusal.Code, refusal.Most));
        Assert.True(refusal.Given > 1024);
    }

    [Fact]
    public void A_coil_is_wound_from_a_rope_or_from_a_strip_that_stands()
    {
        var refusal = The(Breads.White(Breads.Letter, Breads.Coil));

        Assert.Equal(("fold.steps[1]", RefusalCode.NeedsStrip, (double?)60), (refusal.Field, refusal.Code, refusal.Most));
    }

    public static TheoryData<string, RefusalCode, FoldStep[]> Impossible { get; } = new()
    {
        { "fold.steps[2]", RefusalCode.NeedsFlat, [Breads.MatRoll, Breads.Coil, Breads.Half] },
        { "fold.steps[1]", RefusalCode.NeedsFlat, [new ConeStep(4), Breads.Letter] },
        { "fold.steps[0]", RefusalCode.NeedsRope, [new CutLogStep(4)] },
        { "fold.steps[1].count", RefusalCode.StripsTooNarrow, [new RollLongStep(new(600), new(150)), new StripsStep(60, false)] },
        { "fold.steps[1].ribbons", RefusalCode.StripsTooNarrow, [new AccordionStep(6), new SlitStep(40)] },
        { "fold.steps[0].rim", RefusalCode.RimTooWide, [new BrushStep("ghee", new(2), Rim: new(150))] },
        { "fold.steps[2].slices", RefusalCode.TooManyPiecesOfOne, [new StripsStep(5, false), Breads.MatRoll, new CutLogStep(25)] },
        { "fold.steps[0].length", RefusalCode.OutOfRange, [new RollLongStep(new(2000), new(200))] },
        { "fold.steps[0].item", RefusalCode.WrongKind, [new ScatterStep("ghee", new(2), new(1))] },
        { "fold.steps[0].grain", RefusalCode.NotANumber, [new ScatterStep("seed-nigella", new(2), new(double.NaN))] },
    };

    [Theory]
    [MemberData(nameof(Impossible))]
    public void What_hands_cannot_do_is_refused_at_its_step(string field, RefusalCode code, FoldStep[] steps)
    {
        var refusal = The(Breads.White(steps));

        Assert.Equal((field, code), (refusal.Field, refusal.Code));
    }

    [Fact]
    public void Butter_cannot_bring_more_water_than_the_dough_has() =>
        Assert.Equal(RefusalCode.TooMuchWaterCarried, The(With(d => (d with { Hydration = new(20) }).WithFat("butter", 60).WithAdditions(("fenugreek-leaf", 60)))).Code);

    [Fact]
    public void Salted_butter_cannot_bring_more_salt_than_wanted() =>
        Assert.Equal(RefusalCode.TooMuchSaltCarried, The(With(d => d.WithSalt(0).WithFat("butter-salted", 20))).Code);

    [Fact]
    public void A_round_that_makes_no_ball_is_refused_by_its_mass()
    {
        var white = Breads.White();
        var refusal = The(white with { Balls = new(BallBy.Thickness, new(80), new(25)), Roll = white.Roll with { Diameter = new(600) } });

        Assert.Equal(("balls.thickness", "g"), (refusal.Field, refusal.Unit));
    }

    [Fact]
    public void Each_step_answers_for_its_own_figures()
    {
        var refusals = Breads.Refused(
            Breads.White(new BrushStep("water", new(-1)), new DustStep("flour-white", new(900)), new RollStep(new(5)), new AccordionStep(1)), Breads.Kitchen);

        Assert.Equal(["fold.steps[0].mass", "fold.steps[0].fat", "fold.steps[1].mass", "fold.steps[2].diameter", "fold.steps[3].pleats"], refusals.Select(r => r.Field));
    }

    [Fact]
    public void A_refused_spec_is_never_planned() => Assert.Null(Planner.Plan(Pieces(0), Breads.Kitchen).Value);

    [Fact]
    public void Planning_twice_gives_the_same_sheet() => Assert.Equivalent(Breads.Plan(Breads.Letter), Breads.Plan(Breads.Letter), strict: true);
}
