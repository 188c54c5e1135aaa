
namespace Ystrata.Instruments.Tests;

/// <summary>The pan probe: its stand-in, its line.</summary>
public class ProbeTests
{
    /// <summary>A clock that goes on when it is told to.</summary>
    private sealed class HandClock : TimeProvider
    {
        private long now;

        public override long TimestampFrequency => TimeSpan.TicksPerSecond;

        public override long GetTimestamp() => now;

        public void Forward(double seconds) => now += TimeSpan.FromSeconds(seconds).Ticks;
    }

    private static async Task<ProbeReading> First(IAsyncEnumerable<ProbeReading> readings)
    {
        await foreach (var reading in readings)
        {
            return reading;
        }

        throw new InvalidOperationException("the readings ended");
    }

    [Fact]
    public void The_stand_ins_pan_goes_where_its_flame_leads_it()
    {
        var clock = new HandClock();
        var probe = new SimulatedProbe(clock);
        var begin = probe.Pan;
        probe.Put(probe.On with { Flame = Flame.High });
        clock.Forward(120);

        Assert.Equal(EmptyPan.After(probe.On, begin, new(120)).Value, probe.Pan.Value, 0.01);
        probe.Put(probe.On with { Flame = Flame.Off });
        var hot = probe.Pan;
        clock.Forward(120);
        Assert.True(probe.Pan.Value < hot.Value - 20);
    }

    [Fact]
    public void A_bread_cools_it_as_the_plans_own_model_has_it()
    {
        var clock = new HandClock();
        var probe = new SimulatedProbe(clock);
        var run = new PanRun(Slab.Of([new(new(3), new(1.15), new(42), [])]), probe.Pan, probe.On);
        probe.Lay(true);
        Assert.True(probe.Laid);
        clock.Forward(40);
        run.Go(40);

        Assert.Equal(run.Pan.Value, probe.Pan.Value, 9);
        var low = probe.Pan;
        probe.Lay(false);
        Assert.False(probe.Laid);
        clock.Forward(60);
        Assert.True(probe.Pan.Value > low.Value);
    }

    [Fact]
    public async Task It_reads_a_bright_pan_too_cold_in_whole_degrees_and_a_moment_late()
    {
        var clock = new HandClock();
        var probe = new SimulatedProbe(clock);
        clock.Forward(10);
        var settled = (await First(probe.Readings(default))).Pan!.Value.Value;

        Assert.Equal(Math.Round(settled), settled);
        Assert.InRange(settled, SimulatedProbe.Seen(probe.Pan).Value - 2, SimulatedProbe.Seen(probe.Pan).Value + 2);
        Assert.InRange(probe.Pan.Value - SimulatedProbe.Seen(probe.Pan).Value, 2, 12);

        // Laid, the pan falls at once; what is shown comes after it.
        probe.Lay(true);
        clock.Forward(1);
        _ = await First(probe.Readings(default));
        clock.Forward(8);
        var shown = (await First(probe.Readings(default))).Pan!.Value.Value;
        Assert.InRange(shown, SimulatedProbe.Seen(probe.Pan).Value - 3, settled + 1);
    }

    [Fact]
    public async Task Unplugged_it_shows_nothing_and_back_again_it_does()
    {
        var probe = new SimulatedProbe(new HandClock());
        probe.Plug(false);
        Assert.Equal(ProbeReading.Unplugged, await First(probe.Readings(default)));
        Assert.False(probe.Plugged);
        probe.Plug(true);
        Assert.Equal(ProbeState.Ready, (await First(probe.Readings(default))).State);
    }

    [Fact]
    public void A_pan_at_room_temperature_is_read_true() => Assert.Equal(22, SimulatedProbe.Seen(new(22)).Value, 6);

    [Theory]
    [InlineData("214.5 C", 214.5)]
    [InlineData("  +210 C ", 210)]
    [InlineData("417 F", 213.889)]
    [InlineData("-18\tC", -18)]
    public void A_line_is_a_temperature_and_its_unit(string line, double celsius)
    {
        var reading = ProbeLine.Read(line)!;

        Assert.Equal(ProbeState.Ready, reading.State);
        Assert.Equal(celsius, reading.Pan!.Value.Value, 0.001);
    }

    [Theory]
    [InlineData("")]
    [InlineData("214")]
    [InlineData("214 K")]
    [InlineData("214,5 C")]
    [InlineData("NaN C")]
    [InlineData("1e9 C")]
    [InlineData("5000 F")]
    [InlineData("214 C C")]
    [InlineData("\0ÿ C")]
    [InlineData("214 C and a good deal more than any line holds")]
    public void Rubbish_is_no_temperature(string line) => Assert.Null(ProbeLine.Read(line));

    [Fact]
    public async Task A_probe_on_a_serial_line_is_read_to_the_newest_and_rubbish_is_passed_over()
    {
        using var line = new PseudoTerminal();
        using var enough = new CancellationTokenSource(TimeSpan.FromSeconds(20));
        await using var readings = new LineProbe(line.Path, TimeProvider.System).Readings(enough.Token).GetAsyncEnumerator();
        async Task<ProbeReading> Next(Func<ProbeReading, bool> wanted)
        {
            while (await readings.MoveNextAsync())
            {
                if (wanted(readings.Current))
                {
                    return readings.Current;
                }
            }

            throw new InvalidOperationException("the readings ended");
        }

        await Next(r => r.State == ProbeState.Unplugged);
        line.Send("\nwhat?\n");
        await Next(r => r.State == ProbeState.Unreadable);
        line.Send("205 C\n21");
        Assert.Equal(205, (await Next(r => r.Pan is not null)).Pan!.Value.Value);
        line.Send("1 C\r\nnoise\n");
        Assert.Equal(211, (await Next(r => r.Pan?.Value != 205)).Pan!.Value.Value);
    }
}
