namespace Ystrata.Core.Tests.Clock;

/// <summary>What hands are told at the stove: what, how much and how, as plan and clock have it; and what to press once it is done.</summary>
public class StoveWorkTests
{
    private static readonly FillingSpec Grated = FillingSpec.Usual with
    {
        Parts =
        [
            new("cauliflower", new(900), new(0), [new ChopStep(ChopBy.Grate, new(3)), new SauteStep(new(8), new(300), "oil-sunflower", new(20))]),
            new("radish", new(300), new(0), [new ChopStep(ChopBy.Grate, new(2)), new SaltStep("salt-fine", new(1.5), new(15)), new SqueezeStep(SqueezeBy.Cloth)]),
        ],
        Together = [new SeasonStep("spice-ground", new(6))],
    };

    private static RunningStove Stove(BatchSpec spec) => RunningStove.Of(new([new("One", spec)], ClockSpec.Usual, new(4 * 3600)), Breads.Kitchen, [])!;

    private static readonly BatchSpec Squares = ClockKitchens.Squares with { Start = StartSpec.Of(30) };

    [Fact]
    public void A_fold_is_shown_step_by_step_as_its_bench_draws_it()
    {
        var (work, sheet) = (Stove(Squares).Now(new(0)).Breads[0].Work, Breads.Plan(Squares));

        Assert.Equal(work.Fold.Count, work.Folded.Count);
        Assert.Equal(sheet.Sheet.View.Facets.Count, work.Sheeted.Facets.Count);
        Assert.All(work.Folded.Zip(sheet.Fold.Steps), pair => Assert.Equal(
            (pair.Second.Across, pair.Second.Wide, pair.Second.View.Marks.Count, pair.Second.View.Facets.Count),
            (pair.First.Across, pair.First.Wide, pair.First.View.Marks.Count, pair.First.View.Facets.Count)));
    }

    [Fact]
    public void Steps_of_the_filling_are_told_in_the_order_of_their_numbers_each_with_what_it_is_done_to()
    {
        var spec = Squares with { Filling = Grated, Fold = new([]) };
        var work = Stove(spec).Now(new(0)).Breads[0].Work;

        Assert.Equal(["cauliflower", "cauliflower", "radish", "radish", "radish", null], work.Filling.Select(f => f.Part));
        Assert.Equal((900, 3), (work.Filling[0].Of.Value, Assert.IsType<ChopStep>(work.Filling[0].Step).Grain.Value));
        Assert.Equal(20, work.Filling[1].Puts!.Value.Value);
        // Salt by its share of what lies there; after it, with its salt and its water, it is squeezed.
        Assert.Equal(300 * 0.015, work.Filling[3].Puts!.Value.Value, 1);
        Assert.True(work.Filling[4].Of.Value > 300);
        Assert.Null(work.Filling[4].Puts);
        Assert.Equal(ClockKitchens.Bread(spec).Sheet.Filling!.Together.Mass.Value, work.Filling[5].Of.Value, 6);
    }

    [Fact]
    public void The_bowl_is_told_for_one_lot_and_what_is_held_back_is_not_poured()
    {
        var spec = Squares with { Dough = Squares.Dough with { Mix = Squares.Dough.Mix with { Bowl = new(1300) } } };
        var dough = ClockKitchens.Bread(spec).Sheet.Dough;
        var mix = Stove(spec).Now(new(0)).Breads[0].Work.Mix;
        var told = mix.SelectMany(s => s.Items).ToLookup(i => i.Id, i => i.Mass.Value);

        Assert.Equal(2, dough.Lots.Count);
        Assert.Equal(dough.Portions.Single(p => p.Id == "flour-white").EachLot.Value, told["flour-white"].Single(), 6);
        Assert.Equal(dough.Mixing.Steps.SelectMany(s => s.Quantities).First(q => q.Name == QuantityName.First).Value, told["water"].Single(), 6);
        Assert.True(told["water"].Single() < dough.Portions.Single(p => p.Id == "water").EachLot.Value);
    }

    [Fact]
    public void Trayfuls_hold_all_the_balls()
    {
        var work = Stove(Squares).Now(new(0)).Breads[0].Work;

        Assert.Equal([12, 12, 6], work.Trays);
        Assert.Equal(80, work.Ball.Value, 6);
        Assert.Equal(Squares.Fold.Steps, work.Fold);
        Assert.Null(work.Stuff);
    }

    [Fact]
    public void Whatever_is_next_the_press_it_comes_with_is_taken()
    {
        var stove = Stove(ClockKitchens.Squares with { Start = StartSpec.Of(4) });
        var now = 0.0;
        for (var i = 0; i < 60 && stove.Now(new(now)) is { Tasks: [var task, ..] }; i++)
        {
            now = Math.Max(now, task.Until.Value);
            var press = stove.Now(new(now)).Tasks[0].Press;
            var e = new StoveEvent(Guid.NewGuid(), new(now), press.Act, press.Pan, press.Place, press.Bread, press.Number, press.Work, press.Value);
            Assert.Equal(new StoveAnswer(true), stove.Check(e));
            stove.Take(e);
        }

        Assert.Equal((4, 4, 0), stove.Now(new(now)) is var end ? (end.Done, end.ToMake, end.Lost) : default);
    }

    [Fact]
    public void A_place_says_the_same_press_as_the_hands_that_go_to_it()
    {
        var stove = Stove(ClockKitchens.Squares with { Start = StartSpec.Of(4) });
        stove.Take(new(Guid.NewGuid(), new(10), StoveAct.Laid, 0, 0, 0, 1));
        var sheet = stove.Now(new(20));
        var place = sheet.Pans[0].Places[0];

        Assert.Equal(new StovePress(StoveAct.Turned, 0, 0, 0, 1, Value: 0), place.Press);
        Assert.Equal(place.Press, sheet.Tasks.First(t => t.Work == ClockWork.Turn).Press);
    }
}
