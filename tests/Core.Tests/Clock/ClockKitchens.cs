namespace Ystrata.Core.Tests.Clock;

/// <summary>Made-up services for the clock: whole breads by the planner, and bare jobs of every shape.</summary>
internal static class ClockKitchens
{
    public static readonly BatchSpec Squares = Breads.White(Breads.Letter, Breads.Ghee(2), Breads.Letter) with { Start = StartSpec.Of(12) };

    public static ClockBread Bread(BatchSpec spec) => ClockBread.Of(Breads.Checked(spec));

    public static ClockSheet Plan(BatchSpec spec, ClockSpec? clock = null) => ClockStage.Work([Breads.Checked(spec)], clock ?? ClockSpec.Usual);

    /// <summary>A service of one to three breads of any kind, with any hands and pans.</summary>
    public static (IReadOnlyList<ClockJob> Jobs, ClockSpec Clock) Any(int seed)
    {
        var random = new Random(seed);
        int Of(int least, int most) => random.Next(least, most + 1);
        var clock = new ClockSpec(Of(1, 4), Of(1, 4), Of(1, 4), Of(1, 6), Of(1, 30), By: random.Next(2) == 0 ? ClockBy.Table : ClockBy.Soonest);
        var jobs = Enumerable.Range(0, Of(1, 3)).Select(_ =>
        {
            var balls = Of(1, 14);
            var stays = Enumerable.Range(0, Of(2, 4)).Select(_ => Of(12, 70)).ToList();
            var poured = random.Next(6) == 0;
            var fried = !poured && random.Next(4) == 0;
            List<Prep> preps = [new(ClockWork.Mix, 1, Of(60, 400), []), new(ClockWork.Divide, 1, poured ? 0 : balls * Of(5, 15), [(0, Of(0, 1800))])];
            if (random.Next(3) == 0)
            {
                preps.Add(new(ClockWork.Filling, 1, Of(30, 300), []));
                preps.Add(new(ClockWork.Filling, 2, Of(30, 200), [(2, Of(0, 900))]));
            }

            List<Chore> fold = poured ? [] : [.. Enumerable.Range(0, Of(0, 2)).Select(_ => new Chore(Of(10, 120), Of(0, 900)))];
            var rest = new RestBounds(default, default, default, default);
            return new ClockJob(
                preps, [.. Enumerable.Repeat(1, balls)], Of(0, 900), preps.Count > 2 ? [(3, Of(0, 100))] : [], random.Next(4) == 0 ? 2 : 1, fold, poured ? 0 : Of(10, 50),
                !poured && random.Next(8) == 0 ? Of(600, 3000) : 0, false,
                new(stays, [.. stays.Select(_ => Of(2, 6)), Of(2, 8)]),
                fried ? new Visit([Of(10, 40), Of(10, 40)], [4, 4, 5]) : null, Of(2, 4), Of(1, 3), new(Of(0, 8), Of(1, 5)),
                new(20_000, 3600, 600, 2400, HoldWant.Soft), new(new(180 + (20 * random.Next(3))), Cookware.Usual), new(rest, rest, rest));
        }).ToList();
        return (jobs, clock);
    }
}
