using Ystrata.Core.Tests.Clock;

namespace Ystrata.Core.Tests.Logbook;

/// <summary>Bench, scale and stove tell the log what they know.</summary>
public class GatheredTests
{
    private static readonly BatchSpec Spec = Kitchens.Squares with { Start = StartSpec.Of(4) };

    private static StoveEvent Event(double at, StoveAct act, int number = 1, ClockWork? work = null, double? value = null, Guid? undoes = null, int? pan = 0) =>
        new(Guid.NewGuid(), new(at), act, pan, pan is null ? null : 0, 0, number, work, value, undoes);

    private static Outcome Ran(params StoveEvent[] events) =>
        Gathered.Of(Spec, Breads.Plan(Spec), new(new([new("Squares", Spec)], ClockSpec.Usual, new(3 * 3600)), events, 0), Breads.Larder);

    private static IEnumerable<StoveEvent> Cooked(double from, int number, params double[] stays)
    {
        yield return Event(from, StoveAct.Laid, number);
        for (var i = 0; i < stays.Length; i++)
        {
            from += stays[i];
            yield return Event(from, i == stays.Length - 1 ? StoveAct.Lifted : StoveAct.Turned, number);
        }
    }

    [Fact]
    public void Nothing_was_told_and_nothing_is_known()
    {
        var outcome = Gathered.Of(Spec, Breads.Plan(Spec), null, Breads.Larder);

        Assert.Equal(Outcome.Nothing, outcome);
        Assert.Equal(Outcome.Nothing, Ran());
    }

    [Fact]
    public void Water_and_balls_come_from_bench_and_scale()
    {
        var spec = Spec with
        {
            Dough = Spec.Dough with { Mix = Spec.Dough.Mix with { WentIn = new(130) } },
            Balls = Spec.Balls with { Weighed = [new(79), new(81), new(80), new(82)] },
        };
        var sheet = Breads.Plan(spec);
        var used = Gathered.Of(spec, sheet, null, Breads.Larder).Used;

        Assert.Equal(130, used.Liquid!.Value.Value, 1);
        Assert.Equal((80.5, 322), (used.BallMass!.Value.Value, used.Dough!.Value.Value));
        // A tray that is not full yet says nothing of the whole dough.
        Assert.Null(Gathered.Of(spec with { Balls = spec.Balls with { Weighed = [new(79)] } }, sheet, null, Breads.Larder).Used.Dough);
    }

    [Fact]
    public void Stays_are_the_middle_of_what_was_pressed()
    {
        var outcome = Ran([.. Cooked(5000, 1, 50, 70, 40), .. Cooked(5300, 2, 60, 75, 44), .. Cooked(5600, 3, 200, 72, 42)]);

        Assert.Equal((60, 72, 42), (outcome.Timed.FirstSide!.Value.Value, outcome.Timed.SecondSide!.Value.Value, outcome.Timed.LastSide!.Value.Value));
        Assert.Equal((3, 0), (outcome.Used.Pieces, outcome.Used.Lost));
    }

    [Fact]
    public void What_was_taken_back_or_fell_tells_no_time()
    {
        var wrong = Event(5010, StoveAct.Turned);
        var outcome = Ran([
            Event(5000, StoveAct.Laid), wrong, Event(5015, StoveAct.Undo, undoes: wrong.Id), Event(5050, StoveAct.Turned), Event(5120, StoveAct.Turned), Event(5160, StoveAct.Lifted),
            Event(5300, StoveAct.Laid, 2), Event(5305, StoveAct.Turned, 2), Event(5310, StoveAct.Burst, 2)]);

        Assert.Equal(50, outcome.Timed.FirstSide!.Value.Value);
        Assert.Equal((1, 1), (outcome.Used.Pieces, outcome.Used.Lost));
    }

    [Fact]
    public void A_piece_laid_in_the_second_another_is_lifted_has_its_own_times()
    {
        var outcome = Ran([.. Cooked(5000, 1, 50, 70, 40), .. Cooked(5160, 2, 52, 70, 40)]);

        Assert.Equal(51, outcome.Timed.FirstSide!.Value.Value);
    }

    [Fact]
    public void The_probe_gives_the_pan_and_one_pair_of_hands_its_rolls()
    {
        var outcome = Ran([
            Event(100, StoveAct.Done, 1, ClockWork.Roll, pan: null), Event(131, StoveAct.Done, 2, ClockWork.Roll, pan: null), Event(160, StoveAct.Done, 3, ClockWork.Roll, pan: null),
            Event(4000, StoveAct.Done, 4, ClockWork.Roll, pan: null),
            Event(4100, StoveAct.Heat, value: 205), Event(4200, StoveAct.Heat, value: 211), Event(4300, StoveAct.Heat, value: 208)]);

        Assert.Equal(208, outcome.Timed.Pan!.Value.Value);
        var rolls = Assert.Single(outcome.Hands!);
        // After an hour's pause the fourth says nothing.
        Assert.Equal((HandWork.LastRoll, 30, 2), (rolls.Work, rolls.Each.Value, rolls.Times));
    }
}
