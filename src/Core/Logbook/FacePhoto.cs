namespace Ystrata.Core.Logbook;

/// <summary>Which face of the piece a photo shows.</summary>
public enum FaceIs
{
    /// <summary>The one that went down first.</summary>
    First,
    Second,

    /// <summary>Before it went on the pan: what the others are held against.</summary>
    Raw,
}

/// <summary>The mean of a patch of a photo, sRGB, each 0 to 255.</summary>
public sealed record PatchMean(double Red, double Green, double Blue)
{
    // IEC 61966-2-1.
    private static double Linear(double value) => value / 255 <= 0.04045 ? value / 255 / 12.92 : Math.Pow((value / 255 + 0.055) / 1.055, 2.4);

    /// <summary>Light of each colour, 0 to 1.</summary>
    internal (double R, double G, double B) Light => (Linear(Red), Linear(Green), Linear(Blue));

    /// <summary>How bright it is, 0 to 1.</summary>
    internal double Luminance => Light is var (r, g, b) ? LuminanceOf(r, g, b) : 0;

    internal static double LuminanceOf(double r, double g, double b) => 0.2126 * r + 0.7152 * g + 0.0722 * b;

    internal bool Stands => new[] { Red, Green, Blue }.All(v => v is >= 0 and <= 255);

    /// <summary>A hue as the larder has it, <c>#rrggbb</c>.</summary>
    internal static PatchMean Of(string hue) => new(Convert.ToInt32(hue[1..3], 16), Convert.ToInt32(hue[3..5], 16), Convert.ToInt32(hue[5..7], 16));
}

/// <summary>What was taken from a photo: something white beside the face, and the face.</summary>
/// <param name="White">Means of the quarters of the white that was touched, so that light that falls unevenly is seen.</param>
/// <param name="Face">The same of the face.</param>
public sealed record FacePhoto(FaceIs Is, IReadOnlyList<PatchMean> White, IReadOnlyList<PatchMean> Face)
{
    public const int Quarters = 4, MostFaces = 3;
}

/// <summary>Why a photo tells no colour.</summary>
public enum FaceTrouble
{
    None,

    /// <summary>What was touched first is not white.</summary>
    NoWhite,

    /// <summary>Too little light: the white is grey.</summary>
    Dim,

    /// <summary>Too much: the white has burnt out.</summary>
    Glare,

    /// <summary>The light falls unevenly on the white.</summary>
    Uneven,

    /// <summary>A shadow lies across the face.</summary>
    Shadow,

    /// <summary>What was touched is no bread: as white as the white.</summary>
    NoFace,
}

/// <summary>What a photo says of a face.</summary>
/// <param name="Lightness">CIELAB lightness against that of the white, percent.</param>
/// <param name="Dark">0.3 pale, 1 gold, 1.8 brown, 3 charred (models.md F).</param>
public sealed record FaceColour(FaceIs Is, FaceTrouble Trouble, Percent Lightness, double Dark, Look Look);

/// <summary>The colour really reached, models.md F: the averages made linear, divided by those of the white, to CIELAB lightness, and by it to the figure of the pan model.</summary>
public static class FaceColours
{
    // Lightness over that of the white, and the colour figure it stands for, on white dough (models.md F, empirical).
    private static readonly (double Lightness, double Dark)[] OfWhiteDough = [(0.86, 0), (0.78, 0.3), (0.66, 1), (0.52, 1.8), (0.34, 3), (0.19, 4)];

    // A white under this share of full light, or with quarters further apart than this, is bad light (models.md F).
    private const double DimUnder = 0.55, UnevenOver = 0.1;

    // Burnt out, a white no longer says how much light there is; a white is about as much of each colour; quarters of a face that are as far apart have a shadow between them (empirical).
    private const double GlareFrom = 0.985, GreyLeast = 0.4, ShadowOver = 1.7;

    // Nothing that is baked of dough is as light as this against white (empirical).
    private const double NoFaceFrom = 0.97;

    /// <param name="hue">Raw dough's lightness over that of white dough, where no photo shows it raw.</param>
    /// <returns>One for each photo, in their order.</returns>
    public static IReadOnlyList<FaceColour> Of(IReadOnlyList<FacePhoto> photos, double hue)
    {
        var raw = photos.Where(p => p.Is == FaceIs.Raw && TroubleOf(p) == FaceTrouble.None).Select(p => (double?)LightnessOf(p)).FirstOrDefault() ?? OfWhiteDough[0].Lightness * hue;
        return [.. photos.Select(p => Read(p, raw))];
    }

    /// <summary>How light the raw dough is against one of white flour, by the hues of what is in it.</summary>
    public static double HueOf(DoughSheet dough, Kitchen kitchen)
    {
        var solids = dough.Portions
            .Where(p => kitchen.TryGet(p.Id, out var item) && item is { Hue: not null, Kind: IngredientKind.Flour or IngredientKind.Puree or IngredientKind.Addition })
            .Select(p => (Light: PatchMean.Of(kitchen[p.Id].Hue!).Luminance, Mass: p.Mass.Value * kitchen[p.Id].Solids.Fraction)).ToList();
        var white = kitchen.TryGet(Staples.WhiteFlour, out var flour) && flour!.Hue is { } hue ? PatchMean.Of(hue).Luminance : 1;
        return solids.Sum(s => s.Mass) is > 0 and var all ? Math.Min(LightnessOf(solids.Sum(s => s.Light * s.Mass) / all) / LightnessOf(white), 1) : 1;
    }

    /// <summary>The other way round: how light a face so dark is against the white, 0 to 1.</summary>
    /// <param name="hue">As in <see cref="HueOf"/>.</param>
    public static double LightnessAt(double dark, double hue)
    {
        var table = OfWhiteDough;
        var at = Math.Clamp(Array.FindIndex(table, p => p.Dark >= dark), 1, table.Length - 1);
        var ((light, pale), (deep, much)) = (table[at - 1], table[at]);
        return hue * (light - Math.Clamp((dark - pale) / (much - pale), 0, 1) * (light - deep));
    }

    private static FaceColour Read(FacePhoto photo, double raw)
    {
        var lightness = LightnessOf(photo);
        var dark = photo.Is == FaceIs.Raw ? 0 : DarkOf(lightness * OfWhiteDough[0].Lightness / raw);
        return new(photo.Is, TroubleOf(photo), Percent.FromFraction(lightness), dark, LookFrom.All.Last(l => l.From <= dark).Look);
    }

    private static double DarkOf(double lightness)
    {
        var table = OfWhiteDough;
        var at = Array.FindIndex(table, p => p.Lightness <= lightness);
        if (at == 0)
        {
            return 0;
        }

        if (at < 0)
        {
            return table[^1].Dark;
        }

        var ((light, pale), (deep, dark)) = (table[at - 1], table[at]);
        return pale + (light - lightness) / (light - deep) * (dark - pale);
    }

    private static FaceTrouble TroubleOf(FacePhoto photo)
    {
        var (white, whites) = (Mean(photo.White), photo.White.Select(p => p.Luminance).ToList());
        var luminance = PatchMean.LuminanceOf(white.R, white.G, white.B);
        return luminance < DimUnder && IsGrey(white) ? FaceTrouble.Dim
            : luminance < DimUnder || !IsGrey(white) ? FaceTrouble.NoWhite
            : luminance > GlareFrom ? FaceTrouble.Glare
            : whites.Max() - whites.Min() > UnevenOver * whites.Max() ? FaceTrouble.Uneven
            : LightnessOf(photo) > NoFaceFrom ? FaceTrouble.NoFace
            : Apart(photo.Face) > ShadowOver ? FaceTrouble.Shadow
            : FaceTrouble.None;
    }

    private static bool IsGrey((double R, double G, double B) light) => Math.Min(light.R, Math.Min(light.G, light.B)) >= GreyLeast * Math.Max(light.R, Math.Max(light.G, light.B));

    private static double Apart(IReadOnlyList<PatchMean> quarters) => quarters.Max(p => p.Luminance) / Math.Max(quarters.Min(p => p.Luminance), 1e-4);

    private static (double R, double G, double B) Mean(IReadOnlyList<PatchMean> quarters) => (quarters.Average(p => p.Light.R), quarters.Average(p => p.Light.G), quarters.Average(p => p.Light.B));

    // Each colour over that of the white, so that a warm lamp is no colour of the bread.
    private static double LightnessOf(FacePhoto photo)
    {
        var (face, white) = (Mean(photo.Face), Mean(photo.White));
        static double Over(double of, double by) => by > 0 ? of / by : 1;
        return LightnessOf(PatchMean.LuminanceOf(Over(face.R, white.R), Over(face.G, white.G), Over(face.B, white.B)));
    }

    // CIE 1976 L*, 0 to 1; over 1 where it is lighter than the white.
    private static double LightnessOf(double luminance) => luminance > 216.0 / 24389 ? 1.16 * Math.Cbrt(luminance) - 0.16 : luminance * 24389 / 2700;
}
