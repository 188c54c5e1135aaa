namespace Ystrata.Core.Measures;

/// <summary>How a cup of powder was filled; it changes what the cup weighs.</summary>
public enum PowderFill
{
    Spooned,
    Sifted,
    Scooped,
}

/// <summary>Cups and spoons: volume to mass and back through an ingredient's density (models.md A).</summary>
public static class Vessels
{
    public static readonly Millilitres CupUs = new(236.6);
    public static readonly Millilitres CupMetric = new(250);
    public static readonly Millilitres CupLegal = new(240);
    public static readonly Millilitres Tablespoon = new(15);
    public static readonly Millilitres Teaspoon = new(5);

    /// <summary>What kitchens have about so big; a vessel of the cook's own by that name goes before (empirical).</summary>
    public static readonly Millilitres DessertSpoon = new(10), TeaCup = new(150), Mug = new(300), Ladle = new(60);

    // Empirical, against the listed (spooned) density of a powder.
    private const double Sifted = 0.90;
    private const double Scooped = 1.14;

    /// <summary>What a vessel holds of something: m = V · ρ · packing.</summary>
    public static Grams Weigh(Millilitres volume, Density density, PowderFill fill = PowderFill.Spooned) =>
        new(volume.Value * density.Value * Packing(fill));

    /// <summary>The vessel's own volume from one weighing: V = m / (ρ · packing).</summary>
    public static Millilitres VolumeOf(Grams mass, Density density, PowderFill fill = PowderFill.Spooned) =>
        new(mass.Value / (density.Value * Packing(fill)));

    /// <summary>Against spooned (models.md A, empirical).</summary>
    public static double Packing(PowderFill fill) => fill switch
    {
        PowderFill.Sifted => Sifted,
        PowderFill.Scooped => Scooped,
        _ => 1,
    };
}
