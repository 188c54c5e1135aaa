using System.Runtime.CompilerServices;

namespace Ystrata.Instruments;

/// <summary>A stand-in that behaves as a cheap kitchen scale does: whole grams, a figure that swings before it rests, a zero that creeps.</summary>
/// <param name="seed">The same seed shows the same noise.</param>
public sealed class SimulatedScale(TimeProvider clock, int seed = 1) : IScale
{
    /// <summary>More than this it cannot weigh.</summary>
    public static readonly Grams Capacity = new(5000);

    // Of cheap scales in general (empirical): how fast the figure follows, how it shivers, how the zero creeps.
    private const double FollowSeconds = 0.12, NoiseGrams = 0.18, CreepPerSecond = 0.01, MostCreep = 0.8;
    private const int SteadyAfter = 4;
    private const double LeastStep = 0.05;
    private const double EmptyGrams = 0.5;

    private readonly Lock guard = new();
    private readonly Random random = new(seed);
    private double load, shown, creep, tare;
    private double? last;
    private int same;
    private bool plugged = true;
    private Reading? newest;
    private long at;

    public bool Tares => true;

    /// <summary>What has been put on it.</summary>
    public Grams Load
    {
        get
        {
            lock (guard)
            {
                return new(load);
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

    /// <summary>Puts so much on it in all; nothing takes everything off.</summary>
    public void Put(Grams mass)
    {
        lock (guard)
        {
            load = Math.Max(mass.Value, 0);
        }
    }

    /// <summary>A ball divided by hand: near what is wanted, as hands come near it.</summary>
    public void PutBallLike(Grams wanted)
    {
        // A careful hand misses by about 3 % (empirical). Sum of twelve uniforms: near enough to normal.
        lock (guard)
        {
            var normal = Enumerable.Range(0, 12).Sum(_ => random.NextDouble()) - 6;
            load = Math.Max(wanted.Value * (1 + 0.03 * normal), 1);
        }
    }

    /// <summary>As it comes out of its box: empty, plugged in, its zero not crept yet.</summary>
    public void Anew()
    {
        lock (guard)
        {
            (load, shown, creep, tare, last, same, plugged, newest) = (0, 0, 0, 0, null, 0, true, null);
        }
    }

    public void Plug(bool into)
    {
        lock (guard)
        {
            // A scale that is switched on takes what lies there for nothing.
            (plugged, tare, shown, last, same) = (into, into && !plugged ? load : tare, load, null, 0);
        }
    }

    public void Tare()
    {
        lock (guard)
        {
            (tare, creep) = (shown, 0);
        }
    }

    public async IAsyncEnumerable<Reading> Readings([EnumeratorCancellation] CancellationToken enough)
    {
        using var timer = new PeriodicTimer(TimeSpan.FromSeconds(1.0 / IScale.PerSecond), clock);
        do
        {
            yield return Now();
        }
        while (await timer.WaitForNextTickAsync(enough));
    }

    // However many listen, its time is the clock's.
    private Reading Now()
    {
        lock (guard)
        {
            var seconds = clock.GetElapsedTime(at).TotalSeconds;
            if (newest is null || seconds >= LeastStep)
            {
                at = clock.GetTimestamp();
                newest = Step(Math.Min(seconds, 1));
            }

            return newest;
        }
    }

    /// <summary>What it shows after so many seconds more.</summary>
    public Reading Step(double seconds)
    {
        lock (guard)
        {
            if (!plugged)
            {
                return Reading.Unplugged;
            }

            shown = load + (shown - load) * Math.Exp(-seconds / FollowSeconds);
            creep = Math.Clamp(creep + (random.NextDouble() - 0.5) * 2 * CreepPerSecond * seconds, -MostCreep, MostCreep);
            if (load > Capacity.Value)
            {
                (last, same) = (null, 0);
                return new(ScaleState.Overload, null, false);
            }

            var moving = Math.Abs(shown - load) > 0.5;
            var figure = Math.Round(shown - tare + creep + (random.NextDouble() - 0.5) * 2 * NoiseGrams);
            // Like most scales it holds zero when nothing is on it, and holds a figure that only shivers about its edge.
            figure = load < EmptyGrams && tare == 0 ? 0 : last is { } held && !moving && Math.Abs(shown - tare + creep - held) < 0.75 ? held : figure;
            same = figure == last && !moving ? same + 1 : 0;
            last = figure;
            return new(ScaleState.Ready, new(figure), same >= SteadyAfter);
        }
    }
}
