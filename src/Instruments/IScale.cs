
namespace Ystrata.Instruments;

public enum ScaleState
{
    Ready,

    /// <summary>More lies on it than it can weigh.</summary>
    Overload,

    /// <summary>Nothing comes from it: no device, no cable, no power.</summary>
    Unplugged,

    /// <summary>What comes from it cannot be read.</summary>
    Unreadable,
}

/// <summary>What a scale shows at one moment.</summary>
/// <param name="Mass">Nothing when it shows no weight.</param>
/// <param name="Steady">True once the figure has come to rest. Only such a reading counts as a weight.</param>
public sealed record Reading(ScaleState State, Grams? Mass, bool Steady)
{
    public static readonly Reading Unplugged = new(ScaleState.Unplugged, null, false);

    public static readonly Reading Unreadable = new(ScaleState.Unreadable, null, false);
}

/// <summary>A bench scale. Many may listen at once; each gets the newest reading, at most <see cref="PerSecond"/> times a second.</summary>
public interface IScale
{
    /// <summary>Readings a second that are passed on, however fast the device sends.</summary>
    const int PerSecond = 10;

    /// <summary>Whether the tare key is within reach of this program.</summary>
    bool Tares { get; }

    /// <summary>Makes what lies there now the new nothing.</summary>
    void Tare();

    /// <summary>Readings as they come, until whoever listens has had enough.</summary>
    IAsyncEnumerable<Reading> Readings(CancellationToken enough);
}
