
namespace Ystrata.Instruments;

public enum ProbeState
{
    Ready,

    /// <summary>Nothing comes from it: no device, no cable, no power.</summary>
    Unplugged,

    /// <summary>What comes from it cannot be read.</summary>
    Unreadable,
}

/// <summary>What a pan probe shows at one moment.</summary>
/// <param name="Pan">Nothing when it shows none.</param>
public sealed record ProbeReading(ProbeState State, Celsius? Pan)
{
    public static readonly ProbeReading Unplugged = new(ProbeState.Unplugged, null);

    public static readonly ProbeReading Unreadable = new(ProbeState.Unreadable, null);
}

/// <summary>A thermometer on the pan. Many may listen at once; each gets the newest reading, at most <see cref="PerSecond"/> times a second.</summary>
public interface IPanProbe
{
    /// <summary>Readings a second that are passed on, however fast the device sends.</summary>
    const int PerSecond = 4;

    /// <summary>Readings as they come, until whoever listens has had enough.</summary>
    IAsyncEnumerable<ProbeReading> Readings(CancellationToken enough);
}
