
namespace Ystrata.Instruments.Tests;

public class ScaleTests
{
    private static List<Reading> Run(SimulatedScale scale, double seconds) => [.. Enumerable.Range(0, (int)(seconds * 10)).Select(_ => scale.Step(0.1))];

    [Fact]
    public void A_ball_swings_and_then_rests_at_its_weight_in_whole_grams()
    {
        var scale = new SimulatedScale(TimeProvider.System);
        Run(scale, 1);
        scale.Put(new(83));
        var readings = Run(scale, 3);

        Assert.False(readings[0].Steady);
        Assert.True(readings[^1].Steady);
        Assert.InRange(readings[^1].Mass!.Value.Value, 82, 84);
        Assert.All(readings, r => Assert.Equal(Math.Round(r.Mass!.Value.Value), r.Mass.Value.Value));
    }

    [Fact]
    public void A_steady_figure_stays_within_a_gram_of_what_lies_there_for_a_minute()
    {
        var scale = new SimulatedScale(TimeProvider.System, seed: 7);
        scale.Put(new(80));
        var steady = Run(scale, 60).Where(r => r.Steady).Select(r => r.Mass!.Value.Value).ToList();

        Assert.True(steady.Count > 300);
        Assert.All(steady, m => Assert.InRange(m, 79, 81));
    }

    [Fact]
    public void Tare_makes_the_bowl_nothing()
    {
        var scale = new SimulatedScale(TimeProvider.System);
        scale.Put(new(240));
        Run(scale, 3);
        scale.Tare();
        scale.Put(new(320));

        Assert.InRange(Run(scale, 3)[^1].Mass!.Value.Value, 79, 81);
    }

    [Fact]
    public void Six_kilograms_are_too_much_and_the_scale_comes_back_from_it()
    {
        var scale = new SimulatedScale(TimeProvider.System);
        scale.Put(new(6000));
        Assert.Equal(new(ScaleState.Overload, null, false), Run(scale, 1)[^1]);

        scale.Put(new(0));
        Assert.Equal(0, Run(scale, 2)[^1].Mass!.Value.Value);
    }

    [Fact]
    public void Unplugged_it_shows_nothing_and_plugged_in_again_it_starts_from_what_lies_there()
    {
        var scale = new SimulatedScale(TimeProvider.System);
        scale.Put(new(80));
        scale.Plug(false);
        Assert.Equal(Reading.Unplugged, Run(scale, 1)[^1]);

        scale.Plug(true);
        Assert.Equal(0, Run(scale, 2)[^1].Mass!.Value.Value);
    }

    [Fact]
    public void Balls_divided_by_hand_come_near_what_is_wanted_and_no_two_alike()
    {
        var scale = new SimulatedScale(TimeProvider.System);
        var balls = Enumerable.Range(0, 200).Select(_ =>
        {
            scale.PutBallLike(new(80));
            return scale.Load.Value;
        }).ToList();

        Assert.InRange(balls.Average(), 79, 81);
        Assert.InRange(balls.Select(b => Math.Abs(b - 80)).Average(), 1, 3);
    }

    [Fact]
    public void A_weight_is_taken_once_and_only_when_steady()
    {
        var (scale, watch) = (new SimulatedScale(TimeProvider.System), new WeighWatch());
        var taken = new List<double>();
        foreach (var mass in new[] { 80.0, 0, 84, 0, 77 })
        {
            scale.Put(new(mass));
            taken.AddRange(Run(scale, 4).Select(watch.Take).OfType<Grams>().Select(g => g.Value));
        }

        Assert.Equal(3, taken.Count);
        Assert.All(taken.Zip([80.0, 84, 77]), t => Assert.InRange(t.First, t.Second - 1, t.Second + 1));
    }

    [Theory]
    [InlineData(ScaleState.Ready, 80.0, false)]
    [InlineData(ScaleState.Ready, 4.0, true)]
    [InlineData(ScaleState.Overload, null, false)]
    [InlineData(ScaleState.Unplugged, null, false)]
    public void What_swings_weighs_nothing_or_cannot_be_read_is_not_taken(ScaleState state, double? mass, bool steady) =>
        Assert.Null(new WeighWatch().Take(new(state, mass is { } m ? new Grams(m) : null, steady)));
}
