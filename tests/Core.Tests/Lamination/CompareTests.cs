using CsCheck;

namespace Ystrata.Core.Tests;

/// <summary>The same ball through every school, programs for a bread that is wanted, and what mends a fault.</summary>
public class CompareTests
{
    private static Compare Of(BatchSpec spec) => new(Breads.Checked(spec));

    private static ComparedProgram School(string id) => Of(Breads.White()).OfSchools([id]).Single();

    [Fact]
    public void Every_school_can_be_worked_with_any_ball() =>
        Gen.Double[30, 250].Sample(ball =>
        {
            var compare = Of(Breads.White() with { Balls = new(BallBy.Mass, new(ball), new(2.7)) });
            Assert.All(compare.OfSchools(FoldPrograms.Ids), c => Assert.Null(c.Refusal));
        }, iter: 20);

    [Theory]
    [InlineData("halves", 4, 4)]
    [InlineData("letters", 9, 9)]
    [InlineData("envelope", 4, 4)]
    [InlineData("cone", 5, 5)]
    [InlineData("parcel", 4, 1)]
    public void A_school_has_the_leaves_it_is_known_for(string id, int nominal, int effective)
    {
        var fold = School(id).Fold!;

        Assert.Equal((nominal, effective), (fold.Nominal, fold.Effective));
    }

    [Fact]
    public void An_envelope_that_only_meets_covers_a_rectangle_once_and_once_only() => Assert.Equal(100, School("envelope").Fold!.Covers.Value, 6);

    [Fact]
    public void A_parcel_without_fat_is_sealed_shut_and_no_fault()
    {
        var program = School("parcel").Program;
        var plan = Breads.Plan(Breads.White() with { Sheet = program.Sheet, Fold = program.Fold });

        Assert.True(plan.Has(NoteCode.SealedShut));
        Assert.False(plan.Has(NoteCode.FusedContacts));
    }

    [Fact]
    public void More_hand_work_takes_longer_and_an_own_time_goes_before_the_usual()
    {
        var own = new HandTimes(new Dictionary<HandWork, Seconds> { [HandWork.Sheet] = new(100) });
        var kitchen = Breads.Kitchen with { Hands = own };

        // 45 s sheet, 10 s brush, two folds of two flaps at 3 s, 25 s last roll.
        Assert.Equal(45 + 10 + 6 + 6 + 25, Breads.Plan(Breads.Letter, Breads.Letter).Fold.Hands.Value);
        Assert.Equal(100 + 10 + 6 + 6 + 25, Breads.Plan(Breads.White(Breads.Letter, Breads.Letter), kitchen).Fold.Hands.Value);
    }

    [Fact]
    public void The_flake_estimate_is_the_sum_of_its_terms_and_more_leaves_flake_more()
    {
        var (few, many) = (School("halves").Fold!.Flake, School("coils").Fold!.Flake);

        Assert.Equal(few.Points, few.Terms.Sum(t => t.Points), 9);
        Assert.Equal(100, few.Terms.Sum(t => t.Most));
        Assert.True(many.Points > few.Points);
        Assert.Equal(0, School("parcel").Fold!.Flake.Points, 9);
    }

    [Theory]
    [InlineData(9, 0.3, 180)]
    [InlineData(4, 0.6, 180)]
    [InlineData(20, 0.13, 200)]
    [InlineData(12, 0.2, 150)]
    public void Programs_found_for_a_bread_make_that_bread_and_the_quickest_comes_first(int leaves, double leaf, double across)
    {
        var spec = Breads.White();
        var found = Reverse.Find(new(leaves, new(leaf), new(across)), Of(spec));

        Assert.NotEmpty(found);
        Assert.Equal(found.OrderBy(f => f.Program.Fold!.Hands.Value).Select(f => f.Ball), found.Select(f => f.Ball));
        Assert.All(found, f =>
        {
            // Taken over, the batch says the same.
            var plan = Breads.Plan(spec with
            {
                Balls = new(BallBy.Mass, f.Ball, new(1)),
                Sheet = f.Program.Program.Sheet,
                Fold = f.Program.Program.Fold,
                Roll = spec.Roll with { Diameter = new(across) },
            });
            var apart = plan.Fold.Rings is { OnEdge: true } r ? r.Apart : plan.Fold.MeanEffective;
            Assert.InRange(apart, leaves * 0.84, leaves * 1.16);
            Assert.InRange(plan.Roll.Leaf.Value, leaf * 0.74, leaf * 1.26);
        });
    }

    [Theory]
    [InlineData("flour-white", 20, 0.13, 200)]
    [InlineData("flour-white", 12, 0.2, 150)]
    [InlineData("flour-white", 30, 0.15, 180)]
    [InlineData("flour-atta", 12, 0.35, 180)]
    public void No_sheet_is_suggested_that_a_hand_cannot_roll_or_the_board_does_not_hold(string flour, int leaves, double leaf, double across)
    {
        var spec = Breads.White(d => d with { Flours = [new(flour, 100)] });
        var thinnest = Breads.Plan(spec).Sheet.Thinnest.Value;
        foreach (var board in new double[] { 240, 300, 450, 900 })
        {
            var found = Reverse.Find(new(leaves, new(leaf), new(across)), new(Breads.Checked(spec, Breads.Kitchen with { Board = new(board) })));
            Assert.All(found, f =>
            {
                var sheet = f.Program.Program.Sheet;
                Assert.True(sheet.Diameter.Value <= board && (sheet.Width?.Value ?? 0) <= board);
                var area = sheet.Width is { } width ? SquareCentimetres.OfRectangle(sheet.Diameter, width) : SquareCentimetres.OfRound(sheet.Diameter);
                Assert.True(Round.ThicknessOf(f.Ball, area).Value >= thinnest * 1.19, $"{f.Program.Program.Id} {sheet.Diameter.Value} mm");
            });
        }
    }

    [Fact]
    public void On_a_board_smaller_than_any_sheet_nothing_is_found()
    {
        int Found(double board) => Reverse.Find(new(12, new(0.2), new(150)), new(Breads.Checked(Breads.White(), Breads.Kitchen with { Board = new(board) }))).Count;

        Assert.True(Found(450) > 0);
        Assert.Equal(0, Found(50));
    }

    public static TheoryData<FoldStep[], MendCode> Faults { get; } = new()
    {
        { [Breads.Letter, Breads.Letter], MendCode.BrushBefore },
        { [new AccordionStep(12)], MendCode.BoardBefore },
        { [Breads.Letter, Breads.Ghee(0.1), Breads.Letter, Breads.RollTo(300)], MendCode.BrushMore },
    };

    [Theory]
    [MemberData(nameof(Faults))]
    public void The_smallest_mend_opens_what_it_says_and_half_a_gram_less_does_not(FoldStep[] steps, MendCode code)
    {
        var spec = Breads.White(steps);
        var before = Breads.Plan(spec);
        var mend = before.Notes.Single(n => n.Code is NoteCode.FusedContacts).Mends!.First(m => m.Code == code);
        var after = Breads.Plan(spec with { Fold = mend.Fold! });

        Assert.Equal(before.Fold.Fused - mend.Figure(QuantityName.Opens), after.Fold.Fused);
        var grams = mend.Figure(QuantityName.Fat);
        if (grams > 0.5)
        {
            var less = spec with { Fold = new([.. mend.Fold!.Steps.Select((s, i) => s is BrushStep b && (i >= steps.Length || s != steps[i]) ? b with { Mass = b.Mass - new Grams(0.5) } : s)]) };
            Assert.True(Breads.Plan(less).Fold.Fused > after.Fold.Fused);
        }
    }

    [Fact]
    public void Mends_of_figures_silence_the_note_they_hang_on()
    {
        var heavy = Breads.White(Breads.Letter, Breads.Ghee(9), Breads.Letter) is var s
            ? s with { Sheet = s.Sheet with { FatMass = new(20), DustMass = new(5) }, Roll = s.Roll with { Diameter = new(300) } } : s;
        foreach (var code in new[] { NoteCode.FatRunsOut, NoteCode.DustHeavy })
        {
            var note = Breads.Plan(heavy).Notes.First(n => n.Code == code);
            var mended = note.Mends!.Single();
            var after = Breads.Plan(heavy with { Sheet = mended.Sheet ?? heavy.Sheet, Fold = mended.Fold ?? heavy.Fold });
            Assert.DoesNotContain(after.Notes, n => n.Code == code && n.Stage == note.Stage);
        }

        var coarse = Breads.White(new ScatterStep("seed-nigella", new(1), new(3)), Breads.Letter);
        var chop = Breads.Plan(coarse).The(NoteCode.GrainTears).Mends!.Single();
        Assert.False(Breads.Plan(coarse with { Fold = chop.Fold! }).Has(NoteCode.GrainTears));

        var coil = Breads.White(Breads.MatRoll, Breads.Coil);
        var byHand = Breads.Plan(coil).The(NoteCode.CoreCrushed).Mends!.Single();
        Assert.False(Breads.Plan(coil with { Roll = byHand.Roll! }).Has(NoteCode.CoreCrushed));
    }

    [Fact]
    public void A_round_in_letters_is_told_to_be_full_in_the_middle_only()
    {
        var note = Breads.Plan(Breads.Letter, Breads.Ghee(2), Breads.Letter).The(NoteCode.PartCovered);

        Assert.Equal(9, note.Figure(QuantityName.Leaves));
        Assert.InRange(note.Figure(QuantityName.Covers), 2, 10);
        Assert.InRange(note.Figure(QuantityName.Mean), 6.5, 7.5);
    }
}
