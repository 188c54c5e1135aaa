namespace Ystrata.Core.Tests.Clock;

/// <summary>What a press teaches is made of the same seconds as the clock plans it with.</summary>
public class HandUnitTests
{
    private static readonly HandTimes Hands = HandTimes.Shipped;

    public static TheoryData<string> Breads => [.. Kinds.Keys];

    private static readonly Dictionary<string, BatchSpec> Kinds = new()
    {
        ["squares"] = ClockKitchens.Squares,
        ["forty in two bowls"] = ClockKitchens.Squares with { Start = StartSpec.Of(40), Dough = ClockKitchens.Squares.Dough with { Mix = new(Kneading.Full, new(1800)) } },
        ["coils with a rest"] = Core.Tests.Breads.White(Core.Tests.Breads.Letter, new RestStep(new(10)), Core.Tests.Breads.MatRoll, Core.Tests.Breads.Coil),
        ["slices"] = Core.Tests.Breads.White(Core.Tests.Breads.MatRoll, new CutLogStep(4)),
        ["plain"] = Core.Tests.Breads.White(),
        ["stuffed"] = Fillings.Stuffed(Fillings.Of(Fillings.Part("radish", 600, Fillings.Grate, Fillings.Salt(), Fillings.Cloth))),
    };

    private static HandUnit? Of(ClockWork work, int number, int? chore, ClockJob job) =>
        HandUnits.Of(new(Guid.NewGuid(), default, StoveAct.Done, null, null, 0, number, work, chore), job);

    [Theory]
    [MemberData(nameof(Breads))]
    public void Every_press_at_the_bench_takes_as_long_as_the_clock_says(string bread)
    {
        var job = ClockStage.Jobs([ClockKitchens.Bread(Kinds[bread])], ClockSpec.Usual)[0];
        double Takes(ClockWork work, int number, int? chore = null) => Of(work, number, chore, job)!.Time(Hands).Value;

        Assert.All(job.Preps, prep => Assert.Equal(prep.Seconds, Takes(prep.Work, prep.Number), 0.6 * Math.Max(prep.Seconds / 30, 1)));
        for (var i = 0; i < job.Fold.Count; i++)
        {
            Assert.Equal(job.Fold[i].Seconds, Takes(ClockWork.Fold, 1, i), 0.6);
        }

        Assert.Equal(job.Roll, Takes(ClockWork.Roll, 1), 0.6);
    }

    [Fact]
    public void A_program_that_rests_is_known_part_by_part_and_one_that_does_not_without()
    {
        var (rests, plain) = (ClockStage.Jobs([ClockKitchens.Bread(Kinds["coils with a rest"])], ClockSpec.Usual)[0], ClockStage.Jobs([ClockKitchens.Bread(Kinds["slices"])], ClockSpec.Usual)[0]);

        Assert.Null(Of(ClockWork.Fold, 1, null, rests));
        Assert.NotNull(Of(ClockWork.Fold, 1, 1, rests));
        Assert.Null(Of(ClockWork.Fold, 1, 2, rests));
        Assert.NotNull(Of(ClockWork.Fold, 1, null, plain));
        Assert.Null(Of(ClockWork.Lay, 1, null, plain));
    }

    [Fact]
    public void What_lasts_as_long_whoever_does_it_teaches_nothing()
    {
        var mix = Of(ClockWork.Mix, 1, null, ClockStage.Jobs([ClockKitchens.Bread(Kinds["plain"])], ClockSpec.Usual)[0])!;

        Assert.Empty(HandUnit.Lasting(new(60)).Teaches(new(30), Hands, 3));
        // Kneaded for the time that was chosen, the bowl itself in half the usual.
        Assert.Equal([(HandWork.MixBowl, 120.0)], mix.Teaches(new(mix.Fixed.Value + 120), Hands, 3));
    }
}
