namespace Ystrata.Core.Tests;

public class SheetAndRollTests
{
    private static BatchSheet Sheet(Func<BatchSpec, BatchSpec> change, params FoldStep[] steps) => Breads.Plan(change(Breads.White(steps)));

    [Theory]
    [InlineData("flour-white", 6, 0.3)]
    [InlineData("flour-white", 0, 0.6)]
    [InlineData("flour-atta", 6, 0.9)]
    public void A_rested_dough_bears_the_sheet_of_its_flour_and_feel(string flour, double over, double limit) =>
        Assert.Equal(limit, FlourMix.Of([new(flour, 1)], Breads.Kitchen).ThinnestSheet(new(over), new(60)).Value, 9);

    [Fact]
    public void No_rest_costs_half_the_sheet_again() =>
        Assert.Equal(0.9, FlourMix.Of([new("flour-white", 1)], Breads.Kitchen).ThinnestSheet(new(0), new(0)).Value, 9);

    [Fact]
    public void A_sheet_thinner_than_its_flour_bears_will_tear()
    {
        var plan = Sheet(s => s with { Sheet = s.Sheet with { Diameter = new(600) } }, Breads.Letter);
        var note = plan.The(NoteCode.SheetTooThin);

        Assert.Equal(Severity.Wrong, note.Severity);
        var held = Sheet(s => s with { Sheet = s.Sheet with { Diameter = new(note.Figure(QuantityName.Across) - 1) } }, Breads.Letter);
        Assert.False(held.Has(NoteCode.SheetTooThin));
    }

    [Fact]
    public void A_thick_sheet_is_only_spoken_of_when_it_is_folded()
    {
        BatchSpec Thick(BatchSpec s) => s with { Sheet = s.Sheet with { Diameter = new(180) } };

        Assert.True(Sheet(Thick, Breads.Letter).Has(NoteCode.SheetTooThick));
        Assert.False(Sheet(Thick).Has(NoteCode.SheetTooThick));
    }

    [Fact]
    public void More_fat_than_a_face_holds_runs_out_and_the_note_says_how_much_stays()
    {
        var note = Sheet(s => s with { Sheet = s.Sheet with { FatMass = new(20) } }).The(NoteCode.FatRunsOut);

        Assert.Equal(12.86, note.Figure(QuantityName.Most), 2);
        Assert.False(Sheet(s => s with { Sheet = s.Sheet with { FatMass = new(note.Figure(QuantityName.Most) - 0.01) } }).Has(NoteCode.FatRunsOut));
    }

    [Fact]
    public void Fat_brushed_on_a_small_folded_face_runs_out_sooner() =>
        Assert.Equal(Stage.Fold, Breads.Plan(Breads.Letter, Breads.Ghee(6), Breads.Letter).The(NoteCode.FatRunsOut).Stage);

    [Fact]
    public void Little_fat_rolled_far_turns_patchy()
    {
        var plan = Sheet(s => s with { Sheet = s.Sheet with { FatMass = new(1.5) } }, Breads.Letter, Breads.Ghee(2), Breads.Letter);

        Assert.Equal(plan.Fold.Patchy, (int)plan.The(NoteCode.PatchyFat).Figure(QuantityName.Patchy));
        Assert.True(plan.Fold.Patchy > 0);
    }

    [Fact]
    public void Every_greased_contact_is_said_to_be_right() =>
        Assert.Equal(8, Breads.Plan(Breads.Letter, Breads.Ghee(2), Breads.Letter).The(NoteCode.AllOpen).Figure(QuantityName.Of));

    [Fact]
    public void Too_much_fat_for_the_dough_is_said_per_100_g()
    {
        var plan = Sheet(s => s with { Sheet = s.Sheet with { FatMass = new(30) } }, Breads.Half);

        var note = plan.The(NoteCode.TooMuchFat);
        Assert.Equal(37.5, note.Figure(QuantityName.Fat), 9);
        var mend = Assert.Single(note.Mends!);
        Assert.Equal(80, mend.Figure(QuantityName.Share), 9);
        Assert.Equal(24, mend.Sheet!.FatMass.Value, 9);
        Assert.False(Sheet(s => s with { Sheet = mend.Sheet, Fold = mend.Fold! }, Breads.Half).Has(NoteCode.TooMuchFat));
    }

    [Fact]
    public void Leaves_are_smeared_below_0_05_mm_and_bready_above_0_8()
    {
        FoldStep[] many = [Breads.Letter, Breads.Ghee(2), Breads.Letter, Breads.Ghee(2), Breads.Letter, Breads.Ghee(2), Breads.Letter];

        Assert.True(Breads.Plan(many).Has(NoteCode.LeafSmeared));
        var wider = Assert.Single(Breads.Plan(Breads.Half).The(NoteCode.LeafBready).Mends!).Roll!;
        Assert.True(wider.Diameter.Value > 180);
        Assert.False(Sheet(s => s with { Roll = wider }, Breads.Half).Has(NoteCode.LeafBready));
        Assert.False(Breads.Plan(Breads.Letter, Breads.Ghee(2), Breads.Letter).Has(NoteCode.LeafBready));
    }

    [Fact]
    public void A_short_rest_says_how_far_to_roll_past()
    {
        var plan = Sheet(s => s with { Roll = s.Roll with { Rest = new(5) } }, Breads.Letter, Breads.Letter);

        Assert.Equal(201, plan.The(NoteCode.SpringsBack).Figure(QuantityName.RollTo), 0);
        Assert.False(Sheet(s => s with { Roll = s.Roll with { Rest = new(60) } }, Breads.Letter, Breads.Letter).Has(NoteCode.SpringsBack));
    }

    [Fact]
    public void Heavy_flour_is_said_to_burn() =>
        Assert.True(Sheet(s => s with { Sheet = s.Sheet with { DustMass = new(5) } }).Has(NoteCode.DustHeavy));

    [Fact]
    public void The_section_is_the_rolled_piece_from_the_bottom_up()
    {
        var plan = Breads.Plan(Breads.Letter, Breads.Letter);

        Assert.Equal(9, plan.Section.Leaves.Count);
        // A weld is seen in the piece that is folded, however thick its films still are there.
        Assert.Equal(plan.Section.Contacts.Select(c => c.State), plan.Fold.Steps[^1].Section.Contacts.Select(c => c.State));
        Assert.True(plan.Fold.Steps[^1].Section.Contacts[0].Film.Value > plan.Section.Contacts[0].Film.Value);
        Assert.Equal([2, 5], plan.Section.Contacts.Select((c, i) => (c, i)).Where(x => x.c.State == ContactState.Fused).Select(x => x.i));
        Assert.Equal(
            plan.Section.Thickness.Value,
            plan.Section.Leaves.Sum(l => l.Value) + plan.Section.Contacts.Sum(c => c.Film.Value) / 1000,
            9);
    }
}
