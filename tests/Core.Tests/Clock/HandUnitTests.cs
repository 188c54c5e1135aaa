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

    private static double Seconds(HandUnit unit) => unit.Fixed.Value + unit.Works.Sum(w => Hands[w.Work].Value * w.Times);

    private static HandUnit? Of(ClockWork work, int number, int? chore, BatchSpec spec) =>
        HandUnits.Of(new(Guid.NewGuid(), default, StoveAct.Done, null, null, 0, number, work, chore), spec, Core.Tests.Breads.Plan(spec), Hands);

    [Theory]
    [MemberData(nameof(Breads))]
    public void Every_press_at_the_bench_takes_as_long_as_the_clock_says(string bread)
    {
        var spec = Kinds[bread];
        var job = ClockStage.Jobs([ClockKitchens.Bread(spec)], ClockSpec.Usual)[0];

        foreach (var prep in job.Preps)
        {
            // What only wants time, or is done while a pan does the work, teaches nothing.
            if (Of(prep.Work, prep.Number, null, spec) is { } unit)
            {
                Assert.InRange(Seconds(unit), prep.Seconds - 1, prep.Seconds + 1);
            }
            else
            {
                Assert.Equal(ClockWork.Filling, prep.Work);
            }
        }

        for (var i = 0; i < job.Fold.Count; i++)
        {
            Assert.InRange(Seconds(Of(ClockWork.Fold, 1, i, spec)!), job.Fold[i].Seconds - 1, job.Fold[i].Seconds + 1);
        }

        Assert.Equal(job.Roll, Seconds(Of(ClockWork.Roll, 1, null, spec)!), 0.6);
    }
}
