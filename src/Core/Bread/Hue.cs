using System.Globalization;

namespace Ystrata.Core.Bread;

/// <summary>A colour as light of red, green and blue, each 0 to 1; written as the larder has it, <c>#rrggbb</c> (IEC 61966-2-1).</summary>
internal readonly record struct Hue(double Red, double Green, double Blue)
{
    // No pigment is so dark that a trace of it would swallow all light.
    private const double Darkest = 0.004;

    public static Hue Of(string written) => PatchMean.Of(written).Light is var (r, g, b) ? new(r, g, b) : default;

    /// <summary>As pigments mix: each takes its share of the light that is left (Beer and Lambert), so a little of a deep one colours much pale dough.</summary>
    /// <param name="parts">Each with how much of it there is; only the proportions count.</param>
    /// <returns>Nothing where there is nothing.</returns>
    public static Hue? Mixed(IEnumerable<(Hue Hue, double Amount)> parts)
    {
        var (r, g, b, all) = (0.0, 0.0, 0.0, 0.0);
        foreach (var (hue, amount) in parts.Where(p => p.Amount > 0))
        {
            r += amount * Math.Log(Math.Max(hue.Red, Darkest));
            g += amount * Math.Log(Math.Max(hue.Green, Darkest));
            b += amount * Math.Log(Math.Max(hue.Blue, Darkest));
            all += amount;
        }

        return all > 0 ? new Hue(Math.Exp(r / all), Math.Exp(g / all), Math.Exp(b / all)) : null;
    }

    /// <summary>Less light by this factor, 0 to 1.</summary>
    public Hue Darker(double by) => new(Red * by, Green * by, Blue * by);

    public override string ToString() => string.Create(CultureInfo.InvariantCulture, $"#{Byte(Red):x2}{Byte(Green):x2}{Byte(Blue):x2}");

    private static int Byte(double light) => (int)Math.Round(255 * (light <= 0.0031308 ? 12.92 * light : 1.055 * Math.Pow(light, 1 / 2.4) - 0.055));
}
