namespace Ystrata.Core.Measures;

/// <summary>Which cup the word means.</summary>
public enum CupKind
{
    Us,
    Metric,
    Legal,
}

/// <summary>A cup, glass, ladle or handful of the cook's own, known from one weighing.</summary>
public sealed record Vessel(string Id, string Name, Millilitres Volume);

/// <summary>How this kitchen measures by volume: which cup, how powders are filled, and its own vessels.</summary>
public sealed record Measuring(CupKind Cup, PowderFill Fill, IReadOnlyList<Vessel> Own)
{
    public static Measuring Usual { get; } = new(CupKind.Metric, PowderFill.Spooned, []);

    public const string CupId = "cup", TablespoonId = "tbsp", TeaspoonId = "tsp";

    public Millilitres CupVolume => Cup switch
    {
        CupKind.Us => Vessels.CupUs,
        CupKind.Legal => Vessels.CupLegal,
        _ => Vessels.CupMetric,
    };

    /// <summary>Whether the way of filling changes what a vessel of this holds.</summary>
    public static bool IsPowder(Ingredient item) =>
        item.Kind is IngredientKind.Flour or IngredientKind.Separator or IngredientKind.Binder;

    /// <summary>How this kitchen fills a vessel with it.</summary>
    public PowderFill FillOf(Ingredient item) => IsPowder(item) ? Fill : PowderFill.Spooned;
}

/// <summary>An amount in a vessel of the larder.</summary>
/// <param name="Vessel">cup, tbsp, tsp or the id of an own vessel.</param>
/// <param name="Twelfths">The count in twelfths, so that thirds and quarters are exact: 18 is one and a half.</param>
/// <param name="Fill">How a powder is filled; nothing for what is no powder.</param>
/// <param name="Off">What the measure holds more (or less) than asked, percent.</param>
public sealed record KitchenMeasure(string Vessel, int Twelfths, PowderFill? Fill, Percent Off);

/// <summary>Finds the spoon or cup a cook would reach for.</summary>
public static class NearestMeasure
{
    // What cups and spoons are marked in, in twelfths.
    private static readonly int[] CupMarks = [3, 4, 6, 8, 9, 12], SpoonMarks = [3, 6, 9, 12];

    // An honest measure is within this of the mass (empirical: the hand that fills it is no better).
    private static readonly Percent Honest = new(5), Fair = new(10);

    private const int Whole = 12, MostCups = 12, MostSpoons = 4;

    /// <summary>The nearest honest measure, the biggest vessel first; nothing when there is none within a tenth.</summary>
    public static KitchenMeasure? Of(Grams mass, Ingredient item, Measuring measuring)
    {
        if (mass.Value <= 0 || item.Density.Value <= 0)
        {
            return null;
        }

        var fill = measuring.FillOf(item);
        var volume = Vessels.VolumeOf(mass, item.Density, fill);
        KitchenMeasure? fair = null;
        foreach (var (id, size, marks, most) in Candidates(measuring))
        {
            var twelfths = Nearest(volume.Value / size.Value * Whole, marks);
            if (twelfths == 0 || twelfths > most * Whole)
            {
                continue;
            }

            var off = Percent.FromFraction(size.Value * twelfths / Whole / volume.Value - 1);
            var found = new KitchenMeasure(id, twelfths, Measuring.IsPowder(item) ? fill : null, off);
            if (Math.Abs(off.Value) <= Honest.Value)
            {
                return found;
            }

            if (Math.Abs(off.Value) <= Fair.Value && Math.Abs(off.Value) < Math.Abs(fair?.Off.Value ?? double.MaxValue))
            {
                fair = found;
            }
        }

        return fair;
    }

    private static IEnumerable<(string Id, Millilitres Size, int[] Marks, int Most)> Candidates(Measuring measuring)
    {
        yield return (Measuring.CupId, measuring.CupVolume, CupMarks, MostCups);
        yield return (Measuring.TablespoonId, Vessels.Tablespoon, SpoonMarks, MostSpoons);
        yield return (Measuring.TeaspoonId, Vessels.Teaspoon, SpoonMarks, MostSpoons);
        foreach (var own in measuring.Own)
        {
            yield return (own.Id, own.Volume, SpoonMarks, MostCups);
        }
    }

    // Whole vessels and one mark.
    private static int Nearest(double twelfths, int[] marks)
    {
        var whole = (int)Math.Floor(Math.Min(twelfths, 1e6) / Whole) * Whole;
        var part = twelfths - whole;
        return whole + marks.Prepend(0).MinBy(m => Math.Abs(m - part));
    }
}
