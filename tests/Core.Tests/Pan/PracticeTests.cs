namespace Ystrata.Core.Tests;

public class PracticeTests
{
    // A round that can be made well: found by trying seeds, so that nothing hangs on one of them.
    private static (int Seed, IReadOnlyList<int> Turns, int Lift) Good()
    {
        for (var seed = 1; seed < 60; seed++)
        {
            var advised = Trainer.Play(seed, [], 30).End!.Advised;
            if (advised.Count >= 3)
            {
                var ends = advised.Select((_, i) => (int)advised.Take(i + 1).Sum(s => s.Value)).ToList();
                return (seed, [.. ends.SkipLast(1)], ends[^1]);
            }
        }

        throw new InvalidOperationException("no seed draws a bread that can be made");
    }

    [Fact]
    public void The_same_seed_draws_the_same_lot_and_lots_differ()
    {
        Assert.Equal(Trainer.Task(7), Trainer.Task(7));
        var tasks = Enumerable.Range(1, 80).Select(Trainer.Task).ToList();
        Assert.Equal(6, tasks.Select(t => t.Pan).Distinct().Count());
        Assert.Equal(3, tasks.Select(t => t.Flame).Distinct().Count());
        Assert.Contains(tasks, t => t.Frozen);
        Assert.All(tasks, t => Assert.InRange(t.Thickness.Value, 2, 4));
    }

    [Fact]
    public void From_above_a_raw_face_blisters_and_turns_matt_and_the_turned_one_shows_its_colour()
    {
        var (seed, turns, _) = Good();
        var raw = Trainer.Play(seed, [], null);

        Assert.Equal((0.0, Face.Second), (raw.From.Value, raw.Up));
        Assert.Equal(Trainer.Longest + 1, raw.Frames.Count);
        Assert.Equal((0, 0, 0), (raw.Frames[0].Blisters, raw.Frames[0].Matt, raw.Frames[0].Dark));
        Assert.Equal(1, raw.Frames[turns[0] + 5].Blisters);
        Assert.All(raw.Frames, f => Assert.Equal(0, f.Dark));

        var late = Trainer.Play(seed, [200], null);
        Assert.Equal((200.0, Face.First), (late.From.Value, late.Up));
        Assert.True(late.Frames[0].Dark > 0.5);
        // What is up colours no further.
        Assert.Equal(late.Frames[0].Dark, late.Frames[60].Dark, 2);
    }

    [Fact]
    public void Done_as_advised_scores_high_raw_or_burnt_scores_low()
    {
        var (seed, turns, lift) = Good();
        var good = Trainer.Play(seed, turns, lift).End!;

        Assert.True(good.Cooked);
        Assert.InRange(good.Score, 85, 100);
        var raw = Trainer.Play(seed, [5], 9).End!;
        Assert.False(raw.Cooked);
        Assert.InRange(raw.Score, 0, 30);
        Assert.True(Trainer.Play(seed, [230], 460).End!.Score < good.Score - 20);
    }

    [Fact]
    public void What_a_second_sooner_or_later_would_have_done_is_what_it_does()
    {
        var (seed, turns, lift) = Good();
        var end = Trainer.Play(seed, turns, lift).End!;

        Assert.Equal(4 * (turns.Count + 1), end.ElseWise.Count);
        Assert.All(end.ElseWise.Where(e => e.Event == turns.Count), e => Assert.Equal(Trainer.Play(seed, turns, lift + (int)e.By.Value).End!.Score, e.Score));
        var first = end.ElseWise.First(e => e is { Event: 0, By.Value: 5 });
        Assert.Equal(Trainer.Play(seed, [turns[0] + 5, .. turns.Skip(1)], lift).End!.Score, first.Score);
    }

    [Fact]
    public void No_event_is_moved_past_its_neighbour() =>
        Assert.Equal([(0, -1), (0, 1), (1, -1), (1, 1), (2, -1), (2, 1), (2, 5)], Trainer.Play(3, [3, 6], 9).End!.ElseWise.Select(e => (e.Event, (int)e.By.Value)));
}
