using System.Globalization;

namespace Ystrata.Core.Dough;

public enum PureeMethod
{
    Boil,
    Steam,
    Blanch,
    Raw,
}

/// <summary>How to come by a puree: what to buy, how to cook it, how little water to blend it with.</summary>
/// <param name="Liquid">The puree's place among the spec's liquids.</param>
/// <param name="Needed">What the dough takes.</param>
/// <param name="Raw">Whole and untrimmed.</param>
/// <param name="Cooked">Trimmed, cooked and drained.</param>
/// <param name="Blend">Water to blend it with.</param>
/// <param name="CookOff">Water still to drive off, when even the least blending water makes it thinner than asked.</param>
/// <param name="Made">What comes out; no less than a blender turns.</param>
/// <param name="Left">What is left over.</param>
/// <param name="Chill">Into ice at once, to stay green.</param>
public sealed record PureeMaking(
    int Liquid, string Id, PureeMethod Method, Minutes Time, Grams Needed, Grams Raw, Grams Cooked, Grams Blend, Grams CookOff, Grams Made, Grams Left, bool Chill)
{
    /// <summary>Less than this only spins off the knives of a usual blender (empirical).</summary>
    public static readonly Grams LeastBlended = new(150);

    // How each is cooked: yields and what stays of the solids, percent (empirical, purees.csv).
    private sealed record Way(string Id, PureeMethod Method, Minutes Time, double Trim, double Yield, double SolidsKept, double RawWater, double LeastWater);

    private static readonly ILookup<string, Way> Ways = ShippedTable.Rows("purees.csv").ToLookup(
        r => r[0],
        r => new Way(r[0], Enum.Parse<PureeMethod>(r[1], ignoreCase: true), new(N(r[2])), N(r[3]) / 100, N(r[4]) / 100, N(r[5]) / 100, N(r[6]) / 100, N(r[7]) / 100));

    /// <summary>Every way to make every puree of the bowl, the usual way first.</summary>
    public static IReadOnlyList<PureeMaking> Of(Bowl bowl, double[] grams) =>
    [
        .. bowl.Lines.SelectMany((l, i) => l.Part == DoughPart.Liquid && grams[i] > 0
            ? Ways[l.Item.Id].Select(w => Make(l, w, new(grams[i])))
            : []),
    ];

    // Solids are what does not change: raw · kept = cooked = puree.
    private static PureeMaking Make(Bowl.Line line, Way way, Grams needed)
    {
        var made = new Grams(Math.Max(needed.Value, LeastBlended.Value));
        var solids = made * line.Item.Solids.Fraction;
        var cooked = solids / ((1 - way.RawWater) * way.SolidsKept / way.Yield);
        var blend = new Grams(Math.Max((made - cooked).Value, (cooked * way.LeastWater).Value));
        return new(
            line.Index,
            way.Id,
            way.Method,
            way.Time,
            needed,
            cooked / way.Yield / (1 - way.Trim),
            cooked,
            blend,
            cooked + blend - made,
            made,
            made - needed,
            way.Method == PureeMethod.Blanch);
    }

    private static double N(string text) => double.Parse(text, CultureInfo.InvariantCulture);
}
