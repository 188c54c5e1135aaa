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
