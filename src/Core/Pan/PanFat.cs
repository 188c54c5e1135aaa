namespace Ystrata.Core.Pan;

/// <summary>The fat of one piece, and where it is.</summary>
/// <param name="Pan">From the pan, what stays on the faces.</param>
/// <param name="Left">From the pan, what stays in it: poured off, or there for the next piece.</param>
/// <param name="Share">Of the piece as it comes off the pan.</param>
/// <param name="Energy">Of that fat.</param>
public sealed record FatSheet(Grams Dough, Grams Inside, Grams Pan, Grams Left, Percent Share, Kilocalories Energy);

/// <summary>What the pan's fat does.</summary>
public static class PanFat
{
    /// <summary>Fat on a face, models.md F: less leaves dry spots, more runs off.</summary>
    public static readonly Micrometres LeastFilm = new(50), MostFilm = new(150);

    // Within this of the smoke point a pan that creeps up smokes (models.md F).
    private const double NearSmoke = 10;

    // Less of a fat than this in a mix is not noticed in its smoke, percent (empirical).
    private const double Trace = 5;

    // A fat with this much water holds milk solids or salt brine that burn, percent (larder.csv: butter 16, ghee 0.3).
    private const double HoldsSolids = 5;

    /// <summary>The fats in the pan with their parts, 0 to 1.</summary>
    public static IReadOnlyList<(Ingredient Fat, double Part)> Of(PanSpec spec, Kitchen kitchen) => spec.Second is { } second
        ? [(kitchen[spec.Fat], 1 - second.Share.Fraction), (kitchen[second.Id], second.Share.Fraction)]
        : [(kitchen[spec.Fat], 1)];

    /// <summary>The fats that meet the pan: what is put on it or, where nothing is, what the piece brings along on its sheet, from the board and in its dough.</summary>
    public static IReadOnlyList<(Ingredient Fat, double Part)> Meeting(PanSpec spec, IReadOnlyList<(Ingredient Fat, Grams Mass)> brought, Kitchen kitchen)
    {
        if (spec.Roasting != Roasting.DryOnly && spec.Fats().Sum(f => f.Mass.Value) > 0)
        {
            return Of(spec, kitchen);
        }

        var all = brought.Sum(b => b.Mass.Value);
        return all > 0 ? [.. brought.GroupBy(b => b.Fat.Id).Select(g => (g.First().Fat, g.Sum(b => b.Mass.Value) / all))] : [];
    }

    /// <summary>Where the mix begins to smoke: where the first of its fats does.</summary>
    /// <returns>The fat that smokes and where; nothing where it is not known.</returns>
    public static (Ingredient Fat, Celsius At)? Smoke(IReadOnlyList<(Ingredient Fat, double Part)> fats) =>
        fats.Where(f => f.Part * 100 > Trace && f.Fat.SmokePoint is not null)
            .OrderBy(f => f.Fat.SmokePoint!.Value.Value)
            .Select(f => ((Ingredient Fat, Celsius At)?)(f.Fat, f.Fat.SmokePoint!.Value)).FirstOrDefault();

    /// <summary>From here on a pan that creeps up smokes.</summary>
    public static Celsius WatchFrom(Celsius smoke) => new(smoke.Value - NearSmoke);

    /// <summary>A fat whose solids brown before it smokes.</summary>
    public static Ingredient? WithSolids(IReadOnlyList<(Ingredient Fat, double Part)> fats) =>
        fats.FirstOrDefault(f => f.Part * 100 > Trace && f.Fat.Water.Value > HoldsSolids).Fat;

    /// <summary>The film a mass makes on a face.</summary>
    public static Micrometres Film(Grams mass, IReadOnlyList<(Ingredient Fat, double Part)> fats, SquareCentimetres area) =>
        new(fats.Sum(f => Coat.OfFat(mass * f.Part, f.Fat, area).Film.Value));

    public static Grams For(Micrometres film, IReadOnlyList<(Ingredient Fat, double Part)> fats, SquareCentimetres area) =>
        new(1 / fats.Sum(f => f.Part / Coat.FatFor(film, f.Fat, area).Value));

    /// <summary>Where the fat of a piece ends: each face keeps no more than its film.</summary>
    /// <param name="faces">What is put down for each face; at the table, what is spread on each.</param>
    public static FatSheet Share(
        IReadOnlyList<Grams> faces, Grams dough, IReadOnlyList<(Ingredient Fat, Grams Mass)> inside, string doughFat, Grams baked,
        IReadOnlyList<(Ingredient Fat, double Part)> fats, SquareCentimetres area, Kitchen kitchen)
    {
        var most = For(MostFilm, fats, area);
        var kept = new Grams(faces.Sum(f => Math.Min(f.Value, most.Value)));
        var within = new Grams(inside.Sum(i => i.Mass.Value));
        static double Energy(Ingredient fat, Grams mass) => mass.Value / 100 * fat.KcalPer100G;
        return new(
            dough,
            within,
            kept,
            new(Math.Max(faces.Sum(f => f.Value) - kept.Value, 0)),
            Percent.FromFraction((dough + within + kept) / (baked + kept)),
            new(Energy(kitchen[doughFat], dough) + inside.Sum(i => Energy(i.Fat, i.Mass)) + fats.Sum(f => Energy(f.Fat, kept * f.Part))));
    }
}
