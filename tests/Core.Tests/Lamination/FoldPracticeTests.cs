namespace Ystrata.Core.Tests.Lamination;

public sealed class FoldPracticeTests
{
    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    public void Every_lot_can_be_folded_and_holds_leaves_that_weld_and_leaves_that_part(int level)
    {
        var steps = new HashSet<Type>();
        for (var seed = 1; seed <= 60; seed++)
        {
            var (task, end) = FoldTrainer.Play(seed, level, []);
            Assert.Equal(task.Leaves.Count, end!.Contacts.Count + 1);
            Assert.Contains(end.Contacts, c => c.State == ContactState.Fused);
            Assert.Contains(end.Contacts, c => c.State == ContactState.Open);
            Assert.All(end.Contacts, c => Assert.InRange(c.Step!.Value, 0, task.Steps.Count - 1));
            steps.UnionWith(task.Steps.Select(s => s.GetType()));
        }

        Assert.Equal(level > 1, steps.Contains(typeof(GateStep)));
    }

    [Fact]
    public void Any_seed_that_a_page_may_draw_finds_a_program_before_long() =>
        Assert.All(Enumerable.Range(0, 400).Select(i => unchecked(int.MaxValue - 7_919_113 * i)), seed => Assert.NotEmpty(FoldTrainer.Play(seed, 1 + (seed & 1) * 2, []).End!.Contacts));

    [Fact]
    public void It_is_told_only_once_it_is_marked_and_the_same_seed_is_the_same_program()
    {
        Assert.Null(FoldTrainer.Play(5, 2, null).End);
        Assert.Equal(FoldTrainer.Play(5, 2, null).Task.Steps, FoldTrainer.Play(5, 2, []).Task.Steps);
    }

    [Fact]
    public void All_that_weld_and_no_other_is_a_hundred_and_marking_everything_or_nothing_is_none()
    {
        for (var seed = 1; seed <= 40; seed++)
        {
            var contacts = FoldTrainer.Play(seed, 3, []).End!.Contacts;
            int Score(Func<SectionContact, bool> marked) => FoldTrainer.Play(seed, 3, [.. contacts.Select((c, i) => (c, i)).Where(p => marked(p.c)).Select(p => p.i)]).End!.Score;

            Assert.Equal(100, Score(c => c.State == ContactState.Fused));
            // A patchy one may be called either.
            Assert.Equal(100, Score(c => c.State != ContactState.Open));
            Assert.Equal(0, Score(_ => true));
            Assert.Equal(0, Score(_ => false));
            Assert.Equal(0, Score(c => c.State == ContactState.Open));
        }
    }
}
