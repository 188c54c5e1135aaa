namespace Ystrata.Core.Bread;

/// <summary>What makes a piece done, °C, and what boils on the way.</summary>
public static class Cooked
{
    /// <summary>Dough has set (models.md F).</summary>
    public static readonly Celsius DoughSets = new(92);

    /// <summary>A filling is served hot through (empirical).</summary>
    public static readonly Celsius HotThrough = new(65);

    /// <summary>The usual safe core for egg, meat and what was chilled (models.md F); local codes may ask for more.</summary>
    public static readonly Celsius SafeCore = new(74);

    /// <summary>Water, at the sea.</summary>
    public static readonly Celsius Boils = new(100);

    /// <summary>Water at 2000 m, where the air weighs 79.5 kPa (standard atmosphere, boiling by its vapour pressure). Dough still sets and a core is still made safe: both lie under it.</summary>
    public static readonly Celsius BoilsHighUp = new(93.4);
}
