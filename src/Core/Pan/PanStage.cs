namespace Ystrata.Core;

public enum Face
{
    First,
    Second,
}

/// <summary>One stay of one face on the pan.</summary>
/// <param name="Fat">Fat put down for this stay.</param>
public sealed record Turn(Face Face, Seconds Time, Grams Fat);

/// <param name="Turns">In order: the first face dry, the second with fat, the first again with fat.</param>
/// <param name="FirstEstimate">True while the times come from the closed form below and not from a run of the pan.</param>
/// <param name="Film">Fat on each face.</param>
/// <param name="FatGood">Fat per side for a film of 50 to 150 µm.</param>
/// <param name="CoolUnder">Under this a face dries before it colours.</param>
/// <param name="SmokePoint">Of the pan's fat, where known.</param>
/// <param name="SmokeWatchFrom">From here on a pan that creeps up smokes.</param>
public sealed record PanSheet(
    IReadOnlyList<Turn> Turns,
    Seconds Total,
    bool FirstEstimate,
    Micrometres Film,
    Range<Grams> FatGood,
    Celsius CoolUnder,
    Celsius? SmokePoint,
    Celsius? SmokeWatchFrom,
    FatSheet Fat);

/// <summary>Where the fat of one piece is.</summary>
public sealed record FatSheet(Grams Dough, Grams Inside, Grams Pan);

/// <summary>Stage 8, first estimate: a heating front that moves inwards behind a contact resistance.</summary>
/// <remarks>
/// Plank's closed form for a moving front, t = E / (T_pan − T_front) · (1/h + x/2k), with the heat a round has taken up by the turn,
/// E = T · ρ · (c · ΔT + ε · w · λ). The share ε is fitted to two cues of models.md F, 2.4 mm at 230 °C near 30 s and 3 mm at 215 °C near 45 s.
/// </remarks>
public static class PanStage
{
    /// <summary>Fat on a face, models.md F: less leaves dry spots, more runs off.</summary>
    public static readonly Micrometres LeastFilm = new(50), MostFilm = new(150);

    // Within this of the smoke point a pan that creeps up smokes (models.md F).
    private const double NearSmoke = 10;

    // Empirical.
    private static readonly Celsius CoolPan = new(170);

    private const double DoughDensity = 1150, Conductivity = 0.40; // kg/m³, W/(m·K); models.md F
    private const double DrySolids = 1600, Water = 4180, Latent = 2.257e6; // J/(kg·K), J/(kg·K), J/kg
    private const double DryContact = 200, FatContact = 350; // W/(m²·K)
    private const double CueDepth = 0.35, CueCelsius = 94, RoomCelsius = 22, MeanCelsius = 77;
    private const double SteamShare = 0.107; // of the water, gone by the first turn; fitted

    // Colour of a face, models.md F: gold takes 45 s at 135 °C, with 80 kJ/mol.
    private const double GoldSeconds = 45, ActivationOverGas = 80_000 / 8.314, GoldKelvin = 408.15;
    private const double CrustDepth = 0.00025, CrustConductivity = 0.088; // m, W/(m·K): outer 0.25 mm, dry
    private const double DryCrustContact = 0.35;

    /// <param name="area">Of one face.</param>
    /// <param name="thickness">Of the raw piece.</param>
    public static PanSheet Work(PanSpec spec, SquareCentimetres area, Millimetres thickness, DoughSheet dough, FoldSheet fold, Larder larder, Learned learned)
    {
        var fat = larder[spec.Fat];
        var cue = CueTime(spec.Temperature, thickness, dough.WaterShare, DryContact, RoomCelsius);
        var through = CueTime(spec.Temperature, thickness, dough.WaterShare, FatContact, MeanCelsius);
        var colour = ColourTime(spec.Temperature, spec.Colour);
        Turn[] turns =
        [
            new(Face.First, cue * learned.PanTime, Grams.Zero),
            new(Face.Second, (through + colour) * learned.PanTime, spec.FatPerSide),
            new(Face.First, colour * learned.PanTime, spec.FatPerSide),
        ];

        return new(
            turns,
            new(turns.Sum(t => t.Time.Value)),
            FirstEstimate: true,
            Coat.OfFat(spec.FatPerSide, fat, area).Film,
            new(Coat.FatFor(LeastFilm, fat, area), Coat.FatFor(MostFilm, fat, area)),
            CoolPan,
            fat.SmokePoint,
            fat.SmokePoint is { } smoke ? new Celsius(smoke.Value - NearSmoke) : null,
            new(dough.Ball * (dough.Portions.Single(p => p.Part == Part.Fat).Mass / dough.Mass / fold.Pieces), fold.InsideFat / fold.Pieces, spec.FatPerSide * 2));
    }

    /// <summary>Seconds until 35 % of the depth reaches 94 °C and blisters rise.</summary>
    public static Seconds CueTime(Celsius pan, Millimetres thickness, Percent water, double contact, double from)
    {
        var t = thickness.Metres;
        var w = water.Fraction;
        var heat = (DrySolids * (1 - w) + Water * w) * (MeanCelsius - Math.Min(from, MeanCelsius)) + SteamShare * w * Latent;
        var resistance = 1 / contact + CueDepth * t / (2 * Conductivity);
        return new(DoughDensity * t * heat * resistance / (pan.Value - CueCelsius));
    }

    /// <summary>Seconds a dry face needs for its colour, Arrhenius about 135 °C (models.md F).</summary>
    public static Seconds ColourTime(Celsius pan, Colour colour)
    {
        var contact = 1 / (FatContact * DryCrustContact);
        var face = pan.Value - (pan.Value - 100) * contact / (contact + CrustDepth / CrustConductivity);
        var rate = Math.Exp(ActivationOverGas * (1 / GoldKelvin - 1 / new Celsius(face).Kelvin));
        return new(GoldSeconds * Target(colour) / rate);
    }

    /// <summary>How dark: 0.3 pale, 1 gold, 1.8 brown (models.md F).</summary>
    private static double Target(Colour colour) => colour switch
    {
        Colour.Pale => 0.3,
        Colour.Brown => 1.8,
        _ => 1,
    };
}
