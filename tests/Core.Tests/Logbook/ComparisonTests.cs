using Ystrata.Core.Tests.Clock;


namespace Ystrata.Core.Tests.Logbook;

public class ComparisonTests
{
    private static readonly BatchSpec Spec = ClockKitchens.Squares;
    private static readonly Planned Plan = Planned.Of(Spec, Breads.Plan(Spec));

    private static IReadOnlyList<Figure> Of(Outcome outcome) => Comparison.Figures(Spec, Plan, outcome);

    [Fact]
    public void What_a_cook_notices_stands_on_top()
    {
        var dry = Outcome.Nothing with { Used = Outcome.Nothing.Used with { Liquid = Plan.Liquid * 0.9 }, Judged = new(2, 4, 4, 4) };
        var right = Outcome.Nothing with { Judged = new(5, 4, 4, 4) };
        var rows = Comparison.Of([Of(dry), Of(right)]);

        Assert.Equal([FigureName.Hydration, FigureName.Soft], rows.Where(r => r.Differs >= 1).Select(r => r.Name));
        Assert.Equal(rows.OrderByDescending(r => r.Differs).Select(r => r.Differs), rows.Select(r => r.Differs));
        Assert.Equal(0.9 * Plan.Hydration.Value, rows[0].Values[0]!.Value, 6);
        Assert.Equal([true, false], rows[0].Taken);
    }

    [Fact]
    public void What_the_bench_was_told_counts_once()
    {
        var told = Spec with { Dough = Spec.Dough with { Mix = Spec.Dough.Mix with { WentIn = new(Plan.Liquid.Value * 0.8) } } };
        var planned = Planned.Before(told, Breads.Kitchen);
        var outcome = Gathered.Of(told, Breads.Plan(told), null, Breads.Kitchen);

        Assert.Equal(Plan, planned! with { Sides = Plan.Sides });
        Assert.Equal(0.8 * Plan.Hydration.Value, Comparison.Figures(told, planned, outcome).Single(f => f.Name == FigureName.Hydration).Value, 0);
    }

    [Fact]
    public void A_figure_that_one_has_and_another_lacks_stays_empty()
    {
        var rows = Comparison.Of([Of(Outcome.Nothing with { Hands = [new(HandWork.LastRoll, new(30), 4)] }), Of(Outcome.Nothing)]);

        var hands = Assert.Single(rows, r => r.Name == FigureName.HandTime);
        Assert.Equal([30.0, null], hands.Values);
        Assert.Equal(0, hands.Differs);
    }
}
