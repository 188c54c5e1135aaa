namespace Ystrata.Core.Tests;

/// <summary>The model itself: balances, limits, orders of size (models.md F).</summary>
public class PanRunTests
{
    private static readonly Density Dough = new(1.15);

    private static Slab Round(double mm, double water = 42, bool frozen = false, double cell = 0.25) =>
        Slab.Of([new(new(mm), Dough, new(water), [])], frozen, new Millimetres(cell));

    private static Slab Parcel => Slab.Of(
        [new(new(2.2), Dough, new(42), []), new(new(3.6), new(1.05), new(72), [], IsFilling: true), new(new(2.2), Dough, new(42), [])]);

    private static PanRun On(Slab slab, double pan, Cookware? on = null, int steps = 2) => new(slab, new(pan), on ?? Cookware.Usual, stepsASecond: steps);

    /// <summary>Seconds until blisters rise.</summary>
    private static int Cue(PanRun run)
    {
        var seconds = 0;
        while (!Roast.Cue(run, batter: false))
        {
            run.Go(1);
            seconds++;
        }

        return seconds;
    }

    private static PanRun Turned(PanRun run, params int[] stays)
    {
        for (var i = 0; i < stays.Length; i++)
        {
            if (i > 0)
            {
                run.Turn();
                run.Fatten(run.Down);
            }

            run.Go(stays[i]);
        }

        return run;
    }

    /// <summary>No cell swings between drying and not, so that a hair's difference stays one.</summary>
    [Theory]
    [InlineData(1.2, 42, 200, 180)]
    [InlineData(1.5, 30, 230, 120)]
    [InlineData(2, 38, 185, 300)]
    [InlineData(2.7, 42, 210, 240)]
    [InlineData(4, 64, 250, 300)]
    public void A_pan_a_hair_hotter_makes_a_hair_s_difference(double mm, double water, double pan, int stay)
    {
        var runs = new[] { pan, pan + 1e-9 }.Select(at => Turned(On(Round(mm, water), at), stay, stay, stay)).ToList();

        Assert.True(runs[0].Lost.Value > 5);
        Assert.Equal(runs[0].Middle.Value, runs[1].Middle.Value, 1e-6);
        Assert.Equal(runs[0].ColourOf(Face.First), runs[1].ColourOf(Face.First), 1e-6);
        Assert.Equal(runs[0].ColourOf(Face.Second), runs[1].ColourOf(Face.Second), 1e-6);
    }

    public static TheoryData<string> Pieces => ["round", "leaves", "parcel", "frozen", "batter"];

    private static Slab Named(string piece) => piece switch
    {
        "leaves" => Slab.Of([new(new(3), Dough, new(42), [.. Enumerable.Range(1, 8).Select(i => (new Millimetres(i / 3.0), new Micrometres(60)))])]),
        "parcel" => Parcel,
        "frozen" => Round(3, frozen: true),
        "batter" => Round(2.5, water: 64),
        _ => Round(3),
    };

    [Theory]
    [MemberData(nameof(Pieces))]
    public void Heat_that_went_in_is_in_the_bread_or_left_with_the_steam(string piece)
    {
        var run = On(Named(piece), 215);
        var before = run.Stored();
        Turned(run, 60, 90, 60);

        var into = run.Taken + run.AirHeat - run.VapourHeat;
        Assert.Equal(run.Stored() - before, into, 0.005 * Math.Abs(into));
    }

    [Theory]
    [MemberData(nameof(Pieces))]
    public void Water_that_is_gone_has_evaporated(string piece)
    {
        var run = On(Named(piece), 215);
        var before = run.WaterLeft;
        Turned(run, 60, 90, 60);

        Assert.Equal(before, run.WaterLeft + run.Evaporated, 9);
        Assert.True(run.Evaporated > 0);
    }

    [Theory]
    [InlineData(1.5, 230)]
    [InlineData(2.4, 230)]
    [InlineData(3, 215)]
    [InlineData(3.3, 215)]
    [InlineData(4, 200)]
    public void Halving_the_cells_or_the_step_moves_times_colours_and_losses_by_less_than_5_percent(double mm, double pan)
    {
        (double Cue, double Colour, double Lost) Of(double cell, int steps)
        {
            // To a tenth of a second: the cue between two whole seconds.
            var run = On(Round(mm, cell: cell), pan, steps: steps);
            var (before, seconds) = (0.0, 0);
            while (!Roast.Cue(run, batter: false))
            {
                before = run.At(0.35).Value;
                run.Go(1);
                seconds++;
            }

            var cue = seconds - 1 + (94 - before) / (run.At(0.35).Value - before);
            var whole = Turned(On(Round(mm, cell: cell), pan, steps: steps), 30, (int)(mm * 25), (int)(mm * 25));
            return (cue, whole.ColourOf(Face.Second), whole.Lost.Value);
        }

        var usual = Of(0.25, 2);
        foreach (var finer in new[] { Of(0.125, 2), Of(0.25, 4) })
        {
            Assert.InRange(usual.Cue / finer.Cue, 0.95, 1.05);
            Assert.InRange(usual.Colour / finer.Colour, 0.95, 1.05);
            Assert.InRange(usual.Lost / finer.Lost, 0.95, 1.05);
        }
    }

    [Fact]
    public void A_dry_slab_on_a_pan_that_stays_as_it_is_warms_as_its_series_says()
    {
        // No water: k = 0.088, c = 1600, contact 200 · 0.35, air 18 at 30 °C. The pan is where the low flame leaves it, with all the heat in the world.
        const double l = 0.006, k = 0.40 * 0.22, h1 = 200 * 0.35, h2 = 18, room = 22, air = 30;
        var pan = EmptyPan.InTheEnd(Cookware.Usual with { Flame = Flame.Low });
        var run = new PanRun(Slab.Of([new(new(6), Dough, default, [])], cell: new(0.1)), pan, Cookware.Usual with { Flame = Flame.Low }, ring: 1e9, stepsASecond: 40);
        foreach (var seconds in new[] { 20, 40, 60, 120, 240 })
        {
            run.Go(seconds - (int)run.Time.Value);
            foreach (var share in new[] { 0.1, 0.35, 0.5, 0.9 })
            {
                var series = Series(share, seconds);
                Assert.InRange((run.At(share).Value - room) / (pan.Value - room), (series - room) / (pan.Value - room) - 0.01, (series - room) / (pan.Value - room) + 0.01);
            }
        }

        double Series(double at, double seconds)
        {
            var (b1, b2, fourier) = (h1 * l / k, h2 * l / k, k / (1150 * 1600) * seconds / (l * l));
            // In the end a straight line: what comes in goes out.
            var q = (pan.Value - air) / (1 / h1 + l / k + 1 / h2);
            double End(double x) => pan.Value - q / h1 - q * x * l / k;
            var sum = End(at);
            for (var n = 0; n < 40; n++)
            {
                var mu = Root(n, b1, b2);
                double Phi(double x) => Math.Cos(mu * x) + b1 / mu * Math.Sin(mu * x);
                var (top, bottom) = (0.0, 0.0);
                for (var i = 0; i < 2000; i++)
                {
                    var x = (i + 0.5) / 2000;
                    top += (room - End(x)) * Phi(x);
                    bottom += Phi(x) * Phi(x);
                }

                sum += top / bottom * Phi(at) * Math.Exp(-mu * mu * fourier);
            }

            return sum;
        }

        // tan µ = µ (B1 + B2) / (µ² − B1·B2), one root in every stretch of π.
        static double Root(int n, double b1, double b2)
        {
            double F(double mu) => (mu * mu - b1 * b2) * Math.Sin(mu) - mu * (b1 + b2) * Math.Cos(mu);
            var (low, high) = (n * Math.PI + 1e-9, (n + 1) * Math.PI - 1e-9);
            for (var i = 0; i < 100; i++)
            {
                var middle = (low + high) / 2;
                (low, high) = F(low) * F(middle) <= 0 ? (low, middle) : (middle, high);
            }

            return low;
        }
    }

    [Theory]
    [InlineData(2.4, 230, 30)]
    [InlineData(3.0, 215, 45)]
    public void Blisters_rise_when_models_F_expects(double mm, double pan, double seconds) =>
        Assert.InRange(Cue(On(Round(mm), pan)), 0.9 * seconds, 1.1 * seconds);

    [Fact]
    public void Four_millimetres_are_cooked_in_about_90_s_and_gold_to_brown_in_5_min_of_three_turns()
    {
        var run = On(Round(4), 200);
        Turned(run, 80, 15);
        Assert.InRange(run.DoughPassed.Value, 92, 100);

        run = Turned(On(Round(4), 200), 75, 75, 75, 75);
        Assert.InRange(run.ColourOf(Face.First), 0.8, 2.5);
        Assert.InRange(run.ColourOf(Face.Second), 0.8, 2.5);
    }

    [Fact]
    public void Eight_stuffed_millimetres_are_cooked_in_about_4_min_with_turns()
    {
        var run = Turned(On(Parcel, 200), 40, 40, 40);
        Assert.False(run.DoughPassed.Value >= 92 && run.FillingPassed.Value >= 74);
        run = Turned(On(Parcel, 200), 40, 40, 40, 40, 40, 40);
        Assert.True(run.DoughPassed.Value >= 92 && run.FillingPassed.Value >= 74);
    }

    [Fact]
    public void Frozen_adds_some_20_s_to_3_mm() => Assert.InRange(Cue(On(Round(3, frozen: true), 215)) - Cue(On(Round(3), 215)), 12, 35);

    [Theory]
    [InlineData(1.5, 2.4)]
    [InlineData(2.4, 4)]
    [InlineData(4, 6)]
    public void Thicker_is_slower(double thin, double thick) => Assert.True(Cue(On(Round(thin), 210)) < Cue(On(Round(thick), 210)));

    [Theory]
    [InlineData(170, 200)]
    [InlineData(200, 230)]
    [InlineData(230, 280)]
    public void Hotter_is_faster_and_darker(double cool, double hot)
    {
        Assert.True(Cue(On(Round(3), hot)) < Cue(On(Round(3), cool)));
        Assert.True(Turned(On(Round(3), hot), 40, 60).ColourOf(Face.Second) > Turned(On(Round(3), cool), 40, 60).ColourOf(Face.Second));
    }

    [Theory]
    [InlineData(35, 45)]
    [InlineData(45, 60)]
    public void More_water_is_slower_to_colour(double less, double more) =>
        Assert.True(Turned(On(Round(3, less), 210), 40, 60).ColourOf(Face.Second) > Turned(On(Round(3, more), 210), 40, 60).ColourOf(Face.Second));

    [Fact]
    public void Fat_between_leaves_is_in_the_heats_way() => Assert.True(Cue(On(Named("leaves"), 215)) > Cue(On(Round(3), 215)));

    [Fact]
    public void A_light_pan_falls_deeper_than_a_heavy_one()
    {
        double Low(PanKind kind)
        {
            var run = On(Round(3), 215, Cookware.Of(kind));
            run.Go(40);
            return run.Pan.Value;
        }

        Assert.True(Low(PanKind.NonStick) < Low(PanKind.Steel));
        Assert.True(Low(PanKind.Steel) < Low(PanKind.CastIron));
        Assert.True(Low(PanKind.CastIron) < Low(PanKind.Soapstone));
        Assert.True(Low(PanKind.Soapstone) < Low(PanKind.Plate));
    }

    [Fact]
    public void Nothing_gets_hotter_than_the_pan_or_colder_than_it_was()
    {
        var run = On(Parcel, 215);
        for (var i = 0; i < 60; i++)
        {
            run.Go(5);
            Assert.All(new[] { 0, 0.25, 0.5, 0.75, 1 }, share => Assert.InRange(run.At(share).Value, 20, 215));
            if (i % 6 == 5)
            {
                run.Turn();
            }
        }
    }

    [Fact]
    public void A_face_that_was_never_down_stays_pale_and_a_copy_goes_its_own_way()
    {
        var run = On(Round(3), 215);
        run.Go(30);
        var copy = run.Copy();
        copy.Go(200);

        Assert.Equal(0, run.ColourOf(Face.First), 2);
        Assert.True(copy.ColourOf(Face.First) > 1);
        Assert.Equal(0, copy.ColourOf(Face.Second));
        Assert.Equal(30, run.Time.Value);
    }

    [Fact]
    public void A_pan_of_a_slower_cook_takes_longer_by_just_that()
    {
        var slow = new PanRun(Round(3), new(215), Cookware.Usual, learned: Learned.Nothing with { PanTime = 1.25 });
        var usual = On(Round(3), 215);
        slow.Go(50);
        usual.Go(40);

        Assert.Equal(usual.At(0.5).Value, slow.At(0.5).Value, 0.2);
        Assert.Equal(usual.Pan.Value, slow.Pan.Value, 0.2);
    }

    [Fact]
    public void Waiting_in_a_stack_it_dries_no_further_and_its_time_stands_still()
    {
        var run = Turned(On(Round(3), 215), 60, 60);
        var (time, lost, middle) = (run.Time, run.Lost, run.Middle);
        run.Wait(120);

        Assert.Equal(time, run.Time);
        Assert.Equal(lost.Value, run.Lost.Value, 1.0);
        Assert.InRange(run.Middle.Value, 50, middle.Value + 10);
    }

    [Fact]
    public void A_piece_without_a_layer_is_none()
    {
        Assert.Throws<ArgumentException>(() => Slab.Of([]));
        Assert.Throws<ArgumentException>(() => Slab.Of([new(new(0), Dough, new(42), [])]));
    }

    [Theory]
    [InlineData(PanKind.CastIron, 14.9)]
    [InlineData(PanKind.Steel, 11.5)]
    [InlineData(PanKind.Aluminium, 7.3)]
    [InlineData(PanKind.NonStick, 6.1)]
    [InlineData(PanKind.Clay, 12)]
    [InlineData(PanKind.Soapstone, 29)]
    public void A_usual_pan_holds_as_much_heat_as_models_F_says(PanKind kind, double kilojoules) =>
        Assert.InRange(Cookware.Of(kind).HeatPerArea / 1000, 0.99 * kilojoules, 1.01 * kilojoules);

    [Fact]
    public void An_empty_pan_goes_where_its_flame_leads()
    {
        var on = Cookware.Usual;
        Assert.Equal(22 + 10_500 / 35.0, EmptyPan.InTheEnd(on).Value, 9);
        var back = EmptyPan.Until(on, new(180), new(210))!.Value;
        Assert.Equal(210, EmptyPan.After(on, new(180), back).Value, 0.2);
        Assert.Null(EmptyPan.Until(on with { Flame = Flame.Off }, new(180), new(210)));
        Assert.Equal(0, EmptyPan.Until(on, new(210), new(210))!.Value.Value);
    }
}
