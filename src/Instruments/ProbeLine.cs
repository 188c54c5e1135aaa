using System.Globalization;

namespace Ystrata.Instruments;

/// <summary>One line of the plain probe protocol: a temperature and its unit, C or F. See docs/formats.md.</summary>
public static class ProbeLine
{
    // No kitchen probe shows anything beyond these, °C.
    private const double Least = -40, Most = 600;

    /// <returns>Nothing when the line is not one of this protocol.</returns>
    public static ProbeReading? Read(ReadOnlySpan<char> line)
    {
        line = line.Trim();
        Span<Range> parts = stackalloc Range[3];
        if (line.Length is 0 or > LineDevice<ProbeReading>.Longest
            || line.SplitAny(parts, " \t", StringSplitOptions.RemoveEmptyEntries) != 2
            || !double.TryParse(line[parts[0]], NumberStyles.AllowLeadingSign | NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var value))
        {
            return null;
        }

        var celsius = line[parts[1]] switch
        {
            "C" => value,
            "F" => Celsius.FromFahrenheit(value).Value,
            _ => double.NaN,
        };
        return celsius is >= Least and <= Most ? new(ProbeState.Ready, new(celsius)) : null;
    }
}

/// <summary>A probe that sends lines over a serial device.</summary>
public sealed class LineProbe(string path, TimeProvider clock) : IPanProbe
{
    private readonly LineDevice<ProbeReading> device = new(
        path, clock, line => ProbeLine.Read(line), ProbeReading.Unplugged, ProbeReading.Unreadable, r => r.State == ProbeState.Ready);

    public IAsyncEnumerable<ProbeReading> Readings(CancellationToken enough) => device.Readings(IPanProbe.PerSecond, enough);
}
