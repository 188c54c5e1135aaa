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
/// <param name="Said">Somebody has said how they are filled.</param>
/// <param name="Packed">How tight a cup of flour was when it was weighed, against a spooned one; nothing where none was.</param>
public sealed record Measuring(CupKind Cup, PowderFill Fill, IReadOnlyList<Vessel> Own, bool Said = false, double? Packed = null)
{
    public static Measuring Usual { get; } = new(CupKind.Metric, PowderFill.Spooned, []);

    /// <summary>As the units say. A cup of flour that was weighed tells how tight it is filled here.</summary>
    public static Measuring Of(Units units, IReadOnlyList<Vessel> own, Larder larder)
    {
        var measuring = new Measuring(units.Cup, units.Fill, own, units.CupSaid);
        return units.FlourCup is { } cup && larder.TryGet(Staples.WhiteFlour, out var flour) ? measuring with { Packed = cup / Vessels.Weigh(measuring.CupVolume, flour!.Density) } : measuring;
    }

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

    /// <summary>How tight something lies in a vessel, against listed density: by the way of filling that was said with the amount, else by this kitchen's.</summary>
    public double PackingOf(Ingredient item, PowderFill? fill = null) => fill is { } said ? Vessels.Packing(said) : !IsPowder(item) ? 1 : Packed ?? Vessels.Packing(Fill);

    /// <summary>How this kitchen fills a vessel with it.</summary>
    public PowderFill FillOf(Ingredient item) => IsPowder(item) ? Fill : PowderFill.Spooned;
}

/// <summary>An amount in a vessel of the larder.</summary>
/// <param name="Vessel">cup, tbsp, tsp or the id of an own vessel.</param>
/// <param name="Twelfths">The count in twelfths, so that thirds and quarters are exact: 18 is one and a half.</param>
/// <param name="Fill">How a powder is filled; nothing for what is no powder, and where a cup was weighed as it is filled here.</param>
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
        var volume = new Millilitres(Vessels.VolumeOf(mass, item.Density).Value / measuring.PackingOf(item));
        KitchenMeasure? fair = null;
        foreach (var (id, size, marks, most) in Candidates(measuring))
        {
            var twelfths = Nearest(volume.Value / size.Value * Whole, marks);
            if (twelfths == 0 || twelfths > most * Whole)
            {
                continue;
            }

            var off = Percent.FromFraction(size.Value * twelfths / Whole / volume.Value - 1);
            var found = new KitchenMeasure(id, twelfths, Measuring.IsPowder(item) && measuring.Packed is null ? fill : null, off);
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
