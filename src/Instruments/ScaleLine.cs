using System.Globalization;

namespace Ystrata.Instruments;

/// <summary>One line of the plain scale protocol: a weight, its unit, and S when it is steady or D while it swings. See docs/formats.md.</summary>
public static class ScaleLine
{
    /// <summary>No honest line is longer.</summary>
    public const int Longest = LineDevice<Reading>.Longest;

    private const double Most = 100_000;

    /// <returns>Nothing when the line is not one of this protocol.</returns>
    public static Reading? Read(ReadOnlySpan<char> line)
    {
        line = line.Trim();
        if (line.Length is 0 or > Longest)
        {
            return null;
        }

        if (line is "OL")
        {
            return new(ScaleState.Overload, null, false);
        }

        Span<Range> parts = stackalloc Range[4];
        if (line.SplitAny(parts, " \t", StringSplitOptions.RemoveEmptyEntries) != 3
            || !double.TryParse(line[parts[0]], NumberStyles.AllowLeadingSign | NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var weight)
            || line[parts[2]] is not ("S" or "D"))
        {
            return null;
        }

        var grams = line[parts[1]] switch
        {
            "g" => weight,
            "kg" => weight * 1000,
            "oz" => Grams.FromOunces(weight).Value,
            _ => double.NaN,
        };
        return Math.Abs(grams) <= Most ? new(ScaleState.Ready, new(grams), line[parts[2]] is "S") : null;
    }
}
