using System.Runtime.CompilerServices;

namespace Ystrata.Instruments;

/// <summary>A stand-in: an infrared probe over a pan that heats, cools under a bread and comes back as the plan's own model has it.</summary>
/// <remarks>It lags, shivers, shows whole degrees, and reads bright metal too cold, as cheap probes do.</remarks>
/// <param name="seed">The same seed shows the same noise.</param>
public sealed class SimulatedProbe(TimeProvider clock, int seed = 1) : IPanProbe
{
    // Of cheap infrared probes in general (empirical): how fast it follows, how it shivers, what it takes for granted and what pans really are.
    private const double FollowSeconds = 0.9, NoiseCelsius = 0.8, SetEmissivity = 0.95, PanEmissivity = 0.90;
    private const double LeastStep = 0.1, LongestStep = 600;
    // Where it begins: a pan that was on its flame for a while.
    private const double Begun = 205, BegunSeen = 200;

    private readonly Lock guard = new();
    private readonly Random random = new(seed);
    private Cookware on = Cookware.Usual;
    private double pan = Begun, shown = BegunSeen, carried;
    private PanRun? bread;
    private bool plugged = true;
    private ProbeReading? newest;
    private long at = clock.GetTimestamp();

    /// <summary>The pan as it truly is.</summary>
    public Celsius Pan
    {
        get
        {
            lock (guard)
            {
                CatchUp();
                return new(pan);
            }
        }
    }

    /// <summary>The pan and the flame under it.</summary>
    public Cookware On
    {
        get
        {
            lock (guard)
            {
                return on;
            }
        }
    }

    /// <summary>A bread lies on it.</summary>
    public bool Laid
    {
        get
        {
            lock (guard)
            {
                return bread is not null;
            }
        }
    }

    public bool Plugged
    {
        get
        {
            lock (guard)
            {
                return plugged;
            }
        }
    }

    /// <summary>Another pan, as hot as the one before, or another flame.</summary>
    public void Put(Cookware next)
    {
        lock (guard)
        {
            CatchUp();
            // A bread goes on with the pan it lies on.
            (on, bread) = (next, null);
        }
    }

    /// <summary>A raw round of three millimetres goes on, or whatever lies there is lifted.</summary>
    public void Lay(bool down)
    {
        lock (guard)
        {
            CatchUp();
            bread = down ? new(Slab.Of([new(new(3), new(1.15), new(42), [])]), new(pan), on) : null;
        }
    }

    /// <summary>As at the start: the usual pan, hot, nothing on it, plugged in.</summary>
    public void Anew()
    {
        lock (guard)
        {
            (on, pan, shown, carried, bread, plugged, newest, at) = (Cookware.Usual, Begun, BegunSeen, 0, null, true, null, clock.GetTimestamp());
        }
    }

    public void Plug(bool into)
    {
        lock (guard)
        {
            CatchUp();
            (plugged, newest) = (into, null);
        }
    }

    public async IAsyncEnumerable<ProbeReading> Readings([EnumeratorCancellation] CancellationToken enough)
    {
        using var timer = new PeriodicTimer(TimeSpan.FromSeconds(1.0 / IPanProbe.PerSecond), clock);
        do
        {
            yield return Now();
        }
        while (await timer.WaitForNextTickAsync(enough));
    }

    // However many listen, its time is the clock's.
    private ProbeReading Now()
    {
        lock (guard)
        {
            if (!plugged)
            {
                return ProbeReading.Unplugged;
            }

            if (CatchUp() || newest is null)
            {
                newest = new(ProbeState.Ready, new(Math.Round(shown + (random.NextDouble() * 2 - 1) * NoiseCelsius)));
            }

            return newest;
        }
    }

    private bool CatchUp()
    {
        var seconds = Math.Min(clock.GetElapsedTime(at).TotalSeconds, LongestStep);
        if (seconds < LeastStep)
        {
            return false;
        }

        at = clock.GetTimestamp();
        if (bread is { } run)
        {
            // A bread goes by whole seconds; what is left over waits for the next look.
            carried += seconds;
            run.Go((int)carried);
            carried -= (int)carried;
            pan = run.Pan.Value;
        }
        else
        {
            pan = EmptyPan.After(on, new(pan), new(seconds)).Value;
        }

        var seen = Seen(new(pan)).Value;
        shown = seen + (shown - seen) * Math.Exp(-seconds / FollowSeconds);
        return true;
    }

    /// <summary>What an infrared probe set for dull black takes a shinier pan for: ε·T⁴ + (1 − ε)·T_room⁴ read with another ε.</summary>
    public static Celsius Seen(Celsius pan)
    {
        static double Fourth(double kelvin) => kelvin * kelvin * kelvin * kelvin;
        var radiance = PanEmissivity * Fourth(pan.Kelvin) + (1 - PanEmissivity) * Fourth(Air.Kitchen.Kelvin);
        return new(Math.Pow((radiance - (1 - SetEmissivity) * Fourth(Air.Kitchen.Kelvin)) / SetEmissivity, 0.25) - 273.15);
    }
}
