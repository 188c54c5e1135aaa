
namespace Ystrata.Instruments;

/// <summary>Sees one thing after the other being weighed: a steady figure counts once, and the next only after the scale was empty.</summary>
public sealed class WeighWatch
{
    /// <summary>Less than this is an empty scale; no ball is lighter than the least above it.</summary>
    public static readonly Grams Empty = new(3), Least = new(5);

    private bool ready = true;

    /// <returns>The weight that has just been taken, if one has.</returns>
    public Grams? Take(Reading reading)
    {
        if (reading is not { State: ScaleState.Ready, Mass: { } mass })
        {
            return null;
        }

        // Nearly nothing is an empty scale, swinging or not: hands that are quick need not wait for it.
        ready |= mass < Empty;
        if (!ready || !reading.Steady || mass < Least)
        {
            return null;
        }

        ready = false;
        return mass;
    }
}
