using System.Collections.Concurrent;

namespace Ystrata.Instruments.Tests;

/// <summary>The plain line protocol, by the line and over a pseudo-terminal.</summary>
public class LineTests
{
    [Theory]
    [InlineData("80 g S", 80, true)]
    [InlineData("+80.5 g D", 80.5, false)]
    [InlineData("  -3 g S ", -3, true)]
    [InlineData("0.082 kg S", 82, true)]
    [InlineData("2 oz S", 56.699, true)]
    public void A_line_is_weight_unit_and_whether_it_rests(string line, double grams, bool steady)
    {
        var reading = ScaleLine.Read(line)!;

        Assert.Equal(grams, reading.Mass!.Value.Value, 0.001);
        Assert.Equal((ScaleState.Ready, steady), (reading.State, reading.Steady));
    }

    [Fact]
    public void Too_much_is_said_by_the_scale_itself() => Assert.Equal(ScaleState.Overload, ScaleLine.Read("OL")!.State);

    [Theory]
    [InlineData("")]
    [InlineData("80")]
    [InlineData("80 g")]
    [InlineData("80 g X")]
    [InlineData("80 lb S")]
    [InlineData("8,0 g S")]
    [InlineData("NaN g S")]
    [InlineData("1e999 g S")]
    [InlineData("999999999 g S")]
    [InlineData("80 g S S")]
    [InlineData("\0\u0001ÿÿ")]
    [InlineData("80 g S and a good deal more than any line holds")]
    public void Rubbish_is_no_reading(string line) => Assert.Null(ScaleLine.Read(line));

    private static async Task<Reading> First(IAsyncEnumerator<Reading> readings, Func<Reading, bool> wanted)
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

    private static (LineScale Scale, PseudoTerminal Line, CancellationTokenSource Enough) Open()
    {
        var line = new PseudoTerminal();
        return (new(line.Path, TimeProvider.System), line, new(TimeSpan.FromSeconds(20)));
    }

    [Fact]
    public async Task Readings_come_over_a_serial_line_half_lines_and_rubbish_between()
    {
        var (scale, line, enough) = Open();
        using var _ = line;
        using var __ = enough;
        await using var readings = scale.Readings(enough.Token).GetAsyncEnumerator();

        await First(readings, r => r.State == ScaleState.Unplugged);
        line.Send("\n79 g D\r\n80 g ");
        Assert.Equal(79, (await First(readings, r => r.Mass is not null)).Mass!.Value.Value);
        line.Send("S\n");
        var whole = await First(readings, r => r.Steady);
        Assert.Equal(80, whole.Mass!.Value.Value);

        // One bad line among good ones is passed over; a good one after it counts.
        line.Send("#@!~\n81 g S\n");
        Assert.Equal(81, (await First(readings, r => r.Mass is { Value: 81 })).Mass!.Value.Value);
    }

    [Fact]
    public async Task A_scale_that_only_sends_rubbish_is_said_to_be_unreadable()
    {
        var (scale, line, enough) = Open();
        using var _ = line;
        using var __ = enough;
        await using var readings = scale.Readings(enough.Token).GetAsyncEnumerator();

        await First(readings, r => r.State == ScaleState.Unplugged);
        line.Send(new string('x', 3000) + "\nfoo bar\n");
        Assert.Null((await First(readings, r => r.State == ScaleState.Unreadable)).Mass);
    }

    [Fact]
    public async Task Ten_thousand_lines_in_a_second_are_read_to_the_newest()
    {
        var (scale, line, enough) = Open();
        using var _ = line;
        using var __ = enough;
        await using var readings = scale.Readings(enough.Token).GetAsyncEnumerator();
        await First(readings, r => r.State == ScaleState.Unplugged);

        var flood = Task.Run(() =>
        {
            for (var i = 0; i < 10_000; i++)
            {
                line.Send($"{i % 90} g D\n");
            }

            line.Send("88 g S\n");
        });
        var passed = 0;
        var last = await First(readings, r =>
        {
            passed++;
            return r.Steady;
        });
        await flood;

        Assert.Equal(88, last.Mass!.Value.Value);
        Assert.InRange(passed, 1, 200);
    }

    [Fact]
    public async Task Three_that_listen_all_hear_every_weight_whole()
    {
        var (scale, line, enough) = Open();
        using var _ = line;
        using var __ = enough;
        var listeners = Enumerable.Range(0, 3).Select(_ => scale.Readings(enough.Token).GetAsyncEnumerator()).ToList();
        await Task.WhenAll(listeners.Select(l => First(l, r => r.State == ScaleState.Unplugged)));
        using var sending = CancellationTokenSource.CreateLinkedTokenSource(enough.Token);
        var sent = Task.Run(() =>
        {
            for (var i = 0; !sending.IsCancellationRequested; i++)
            {
                // Torn in two, as they come over a slow line: a second reader would get one of the halves.
                line.Send("12");
                line.Send("34.5 g S\n");
                Thread.Sleep(2);
            }
        });

        foreach (var round in Enumerable.Range(0, 8))
        {
            Assert.All(await Task.WhenAll(listeners.Select(l => First(l, r => r.Mass is not null))), r => Assert.Equal((1234.5, true), (r.Mass!.Value.Value, r.Steady)));
        }

        await sending.CancelAsync();
        await sent;
        foreach (var listener in listeners)
        {
            await listener.DisposeAsync();
        }
    }

    [Fact]
    public async Task A_silent_device_is_let_go_with_the_last_that_listens_and_taken_up_again_with_the_next()
    {
        using var line = new PseudoTerminal();
        var device = new LineDevice<Reading>(line.Path, TimeProvider.System, l => ScaleLine.Read(l), Reading.Unplugged, Reading.Unreadable, r => r.Mass is not null);
        for (var round = 0; round < 3; round++)
        {
            using var enough = new CancellationTokenSource(TimeSpan.FromSeconds(20));
            var (first, second) = (device.Readings(50, enough.Token).GetAsyncEnumerator(), device.Readings(50, enough.Token).GetAsyncEnumerator());
            await First(first, _ => true);
            await First(second, _ => true);
            await first.DisposeAsync();
            Assert.True(device.Held);
            line.Send("\n80 g S\n");
            Assert.Equal(80, (await First(second, r => r.Mass is not null)).Mass!.Value.Value);
            await second.DisposeAsync();
            while (device.Held)
            {
                await Task.Delay(20, enough.Token);
            }
        }
    }

    /// <summary>Tells when it was first looked at: as the line is open.</summary>
    private sealed class LookedAt : TimeProvider
    {
        private readonly TaskCompletionSource first = new(TaskCreationOptions.RunContinuationsAsynchronously);

        public Task First => first.Task;

        public override long GetTimestamp()
        {
            first.TrySetResult();
            return base.GetTimestamp();
        }
    }

    /// <summary>No time goes by, however slow the machine is.</summary>
    private sealed class Still : TimeProvider
    {
        public override long GetTimestamp() => 0;
    }

    private static LineDevice<string> Heard(PseudoTerminal line, TimeProvider clock, ConcurrentQueue<string> heard) => new(
        line.Path,
        clock,
        l =>
        {
            heard.Enqueue(l);
            return l;
        },
        "nothing",
        "rubbish",
        _ => true);

    [Fact]
    public async Task A_device_opened_in_the_middle_of_a_line_is_read_from_the_next()
    {
        using var line = new PseudoTerminal();
        using var enough = new CancellationTokenSource(TimeSpan.FromSeconds(20));
        var heard = new ConcurrentQueue<string>();

        // There as the line is opened: the rest of 180.5 g, which would be taken for a ball.
        line.Send("80.5 g S\r\n181 g D\r\n180.5 g S\r\n");
        await using var readings = Heard(line, new Still(), heard).Readings(50, enough.Token).GetAsyncEnumerator();
        while (await readings.MoveNextAsync() && readings.Current != "180.5 g S")
        {
        }

        Assert.Equal(["181 g D", "180.5 g S"], heard);
    }

    [Fact]
    public async Task A_scale_that_only_speaks_when_its_key_is_pressed_is_heard_the_first_time()
    {
        using var line = new PseudoTerminal();
        using var enough = new CancellationTokenSource(TimeSpan.FromSeconds(20));
        var clock = new LookedAt();
        await using var readings = new LineScale(line.Path, clock).Readings(enough.Token).GetAsyncEnumerator();
        await readings.MoveNextAsync();
        await clock.First.WaitAsync(enough.Token);
        await Task.Delay(2 * LineDevice<Reading>.MidLine, enough.Token);

        line.Send("80 g S\n");
        Assert.Equal(80, (await First(readings, r => r.Mass is not null)).Mass!.Value.Value);
    }

    [Fact]
    public async Task What_comes_after_a_silence_is_read_whole_whenever_it_comes()
    {
        // A read that gave up after some while lost what came just then; here many lines come at about the same while after the last.
        async Task<IEnumerable<string>> Lost(int device)
        {
            using var line = new PseudoTerminal();
            using var enough = new CancellationTokenSource(TimeSpan.FromSeconds(60));
            var heard = new ConcurrentQueue<string>();
            await using var readings = Heard(line, TimeProvider.System, heard).Readings(50, enough.Token).GetAsyncEnumerator();
            List<string> sent = [.. Enumerable.Range(0, 20).Select(i => $"{device} {i}"), "last"];
            foreach (var text in sent)
            {
                line.Send($"\n{text}\n");
                await readings.MoveNextAsync();
                await Task.Delay(200 + (device % 3), enough.Token);
            }

            while (readings.Current != "last" && await readings.MoveNextAsync())
            {
            }

            return sent.Except(heard);
        }

        Assert.Empty((await Task.WhenAll(Enumerable.Range(0, 16).Select(Lost))).SelectMany(l => l));
    }

    [Fact]
    public async Task A_device_that_is_pulled_out_is_unplugged_and_read_again_once_it_is_back()
    {
        var path = Path.Combine(Path.GetTempPath(), $"ystrata-line-{Guid.NewGuid():N}");
        using var enough = new CancellationTokenSource(TimeSpan.FromSeconds(20));
        try
        {
            await using var readings = new LineScale(path, TimeProvider.System).Readings(enough.Token).GetAsyncEnumerator();
            foreach (var grams in new[] { 80, 81, 82 })
            {
                using var line = new PseudoTerminal();
                File.CreateSymbolicLink(path, line.Path);
                line.Send($"\n{grams} g S\n");
                Assert.Equal(grams, (await First(readings, r => r.Mass is not null)).Mass!.Value.Value);
                File.Delete(path);
                line.Dispose();
                await First(readings, r => r.State == ScaleState.Unplugged);
            }
        }
        finally
        {
            File.Delete(path);
        }
    }

    [Fact]
    public async Task A_device_that_is_not_there_is_unplugged_and_looked_for_again()
    {
        using var enough = new CancellationTokenSource(TimeSpan.FromSeconds(20));
        var scale = new LineScale("/dev/ystrata-no-such-scale", TimeProvider.System);
        await using var readings = scale.Readings(enough.Token).GetAsyncEnumerator();

        Assert.Equal(Reading.Unplugged, await First(readings, _ => true));
        Assert.Throws<NotSupportedException>(scale.Tare);
    }
}
