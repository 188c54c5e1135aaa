namespace Ystrata.Core.Tests;

/// <summary>A mend is a promise: it can be worked, and what it is offered for gets less. Thousands of specs more in ./ystrata bench mends.</summary>
public class MendTests
{
    private const int Batches = 200;

    [Fact]
    public void Every_mend_can_be_worked_and_lessens_what_it_mends()
    {
        var mends = Enumerable.Range(0, Batches).AsParallel().SelectMany(seed => Mended.Of(AnyBatch.Of(seed), Breads.Kitchen).Select(m => (Seed: seed, m.Note, m.Mend, m.Does))).ToList();

        Assert.All(mends, m => Assert.True(m.Does is MendDoes.Lessens or MendDoes.Milder or MendDoes.Gone, $"batch {m.Seed}: {m.Mend.Code} of {m.Note.Code} is {m.Does}"));
        Assert.True(mends.Count > 5 * Batches);
        Assert.True(mends.Select(m => m.Mend.Code).Distinct().Count() > Enum.GetValues<MendCode>().Length * 3 / 4);
    }

    [Fact]
    public void A_brush_over_fat_that_runs_by_itself_is_one_too_many()
    {
        var notes = Breads.Plan(Breads.White(Breads.Ghee(60), Breads.Ghee(0.1), Breads.Letter)).Notes.Where(n => n is { Code: NoteCode.FatRunsOut, Stage: Stage.Fold }).ToList();

        Assert.Equal(2, notes.Count);
        Assert.Equal(MendCode.DropStep, Assert.Single(notes[1].Mends!).Code);
        Assert.All(notes.SelectMany(n => n.Quantities), q => Assert.True(double.IsFinite(q.Value)));
    }

    [Fact]
    public void Water_that_is_poured_is_mended_in_the_liquid_that_brings_it()
    {
        var white = Breads.White();
        var dry = white with { Dough = white.Dough with { WaterBy = WaterBy.Liquids, Liquids = [new("water", Amount.OfFlour(45))] } };

        var (note, mend, does) = Assert.Single(Mended.Of(dry, Breads.Kitchen), m => m.Mend.Code == MendCode.WaterTo);

        Assert.Equal(NoteCode.DoughStiff, note.Code);
        Assert.Equal(MendDoes.Gone, does);
        Assert.Equal(WaterBy.Liquids, mend.Dough!.WaterBy);
        Assert.True(mend.Dough.Liquids[0].Amount.Share!.Value > 45);
    }
}
