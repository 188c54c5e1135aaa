namespace Ystrata.Store.Tests;

public sealed class PracticeTests : IDisposable
{
    private readonly TempKitchen temp = new();

    public void Dispose() => temp.Dispose();

    private static PracticeScore Some(int score, int minutes) =>
        new(Guid.CreateVersion7(), 42, TempKitchen.Noon.AddMinutes(minutes), score, [40, 120], 200);

    [Fact]
    public void Scores_come_back_as_they_were_the_newest_first()
    {
        var (early, late) = (Some(62, 0), Some(88, 5));
        var scores = new PracticeScores(temp.Open());
        scores.Add(early);
        scores.Add(late);

        var kept = new PracticeScores(temp.Open()).Newest(100)!;
        Assert.Equal([late.Id, early.Id], kept.Select(s => s.Id));
        Assert.Equal((42, 88, 200, late.PlayedAt), (kept[0].Seed, kept[0].Score, kept[0].Lift, kept[0].PlayedAt));
        Assert.Equal([40, 120], kept[0].Turns);
    }

    [Fact]
    public void What_was_trained_comes_back_and_each_kind_has_a_standing_of_its_own()
    {
        var scores = new PracticeScores(temp.Open());
        for (var i = 0; i < 3; i++)
        {
            scores.Add(Some(90, i) with { Heat = 70, Colour = 88, Done = 95 });
        }

        scores.Add(Some(20, 9) with { Kind = PracticeKind.Fold, Turns = [0, 2], Lift = 0 });
        Assert.Equal((PracticeKind.Pan, 1, 70, 88, 95), scores.Newest(9)![^1] is var s ? (s.Kind, s.Level, s.Heat, s.Colour, s.Done) : default);
        Assert.Equal(PracticeKind.Fold, scores.Newest(9)![0].Kind);
        Assert.Equal((2, 1), (scores.Standing(PracticeKind.Pan).Level, scores.Standing(PracticeKind.Fold).Level));
    }

    [Fact]
    public void No_more_than_a_hundred_are_shown()
    {
        var scores = new PracticeScores(temp.Open());
        for (var i = 0; i < 103; i++)
        {
            scores.Add(Some(50, i));
        }

        Assert.Equal(100, scores.Newest(100)!.Count);
        Assert.Equal(TempKitchen.Noon.AddMinutes(102), scores.Newest(100)![0].PlayedAt);
    }
}
