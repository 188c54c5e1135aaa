using Ystrata.Core.Tests.Clock;

namespace Ystrata.Core.Tests.Logbook;

/// <summary>Bench, scale and stove tell the log what they know.</summary>
public class GatheredTests
{
    private static readonly BatchSpec Spec = ClockKitchens.Squares with { Start = StartSpec.Of(4) };

    private static StoveEvent Event(double at, StoveAct act, int number = 1, ClockWork? work = null, double? value = null, Guid? undoes = null, int? pan = 0) =>
        new(Guid.NewGuid(), new(at), act, pan, pan is null ? null : 0, 0, number, work, value, undoes);

    private static Outcome Ran(params StoveEvent[] events) =>
        Gathered.Of(Spec, Breads.Plan(Spec), new(new([new("Squares", Spec)], ClockSpec.Usual, new(3 * 3600)), events, 0), Breads.Kitchen);

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
        var outcome = Gathered.Of(Spec, Breads.Plan(Spec), null, Breads.Kitchen);

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
        var used = Gathered.Of(spec, sheet, null, Breads.Kitchen).Used;

        Assert.Equal(130, used.Liquid!.Value.Value, 1);
        Assert.Equal((80.5, 322), (used.BallMass!.Value.Value, used.Dough!.Value.Value));
        // A tray that is not full yet says nothing of the whole dough.
        Assert.Null(Gathered.Of(spec with { Balls = spec.Balls with { Weighed = [new(79)] } }, sheet, null, Breads.Kitchen).Used.Dough);
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

    private static StoveEvent Done(double at, ClockWork work, int number = 1, double? chore = null) => Event(at, StoveAct.Done, number, work, chore, pan: null);

    private static double Each(Outcome outcome, HandWork work) => Assert.Single(outcome.Hands!, h => h.Work == work).Each.Value;

    [Fact]
    public void A_trayful_tells_how_long_one_ball_took_and_a_bowl_how_long_the_hands_were_in_it()
    {
        var knead = Breads.Plan(Spec).Dough.Mixing.Knead.Value * 60;
        var outcome = Ran(Done(0, ClockWork.Mix, 7), Done(knead + 300, ClockWork.Mix), Done(knead + 360, ClockWork.Divide));

        Assert.Equal(300, Each(outcome, HandWork.MixBowl), 1);
        // Four balls in a minute.
        Assert.Equal(15, Each(outcome, HandWork.Divide), 1);
    }

    [Fact]
    public void Whoever_folds_in_half_the_time_is_as_fast_in_every_part_of_it()
    {
        var hands = HandTimes.Shipped;
        var usual = (double)ClockStage.Jobs([ClockKitchens.Bread(Spec)], ClockSpec.Usual)[0].Fold[0].Seconds;
        var outcome = Ran(Done(0, ClockWork.Roll), Done(usual / 2, ClockWork.Fold), Done(usual, ClockWork.Fold, 2));

        Assert.All(outcome.Hands!.Where(h => h.Work != HandWork.LastRoll), h => Assert.Equal(hands[h.Work].Value / 2, h.Each.Value, 1));
        Assert.Contains(outcome.Hands!, h => h is { Work: HandWork.Fold, Times: 2 });
    }

    [Fact]
    public void A_part_of_a_program_teaches_its_own_hands_alone_and_no_part_at_all_of_several_teaches_none()
    {
        var halves = Spec with { Fold = new([new LetterStep(), new RestStep(new(10)), new MatRollStep(), new CoilStep()]) };
        Outcome Ran(params StoveEvent[] events) => Gathered.Of(halves, Breads.Plan(halves), new(new([new("Coils", halves)], ClockSpec.Usual, new(3 * 3600)), events, 0), Breads.Kitchen);

        var second = Ran(Done(0, ClockWork.Mix, 7), Done(44, ClockWork.Fold, 1, 1));
        Assert.Equal([HandWork.MatRoll, HandWork.Coil], second.Hands!.Select(h => h.Work));
        // Twelve and ten seconds are usual: forty-four are twice that.
        Assert.Equal((24, 20), (Each(second, HandWork.MatRoll), Each(second, HandWork.Coil)));
        Assert.Null(Ran(Done(0, ClockWork.Mix, 7), Done(44, ClockWork.Fold)).Hands);
    }

    [Fact]
    public void What_is_grated_and_squeezed_is_timed_by_its_mass()
    {
        var stuffed = Fillings.Stuffed(Fillings.Of(Fillings.Part("radish", 600, Fillings.Grate, Fillings.Salt(), Fillings.Cloth)));
        var run = new StoveRun(new([new("Radish", stuffed)], ClockSpec.Usual, new(3 * 3600)), [Done(0, ClockWork.Mix, 7), Done(300, ClockWork.Filling)], 0);
        var outcome = Gathered.Of(stuffed, Breads.Plan(stuffed), run, Breads.Kitchen);

        Assert.Equal(50, Each(outcome, HandWork.Chop), 1);
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
