namespace Ystrata.Core;

/// <summary>What an ingredient is for; the stages ask for one kind or another.</summary>
public enum IngredientKind
{
    Flour,
    Separator,
    Binder,
    Fat,
    Liquid,
    Puree,
    Seasoning,
    Leaven,
    Addition,
    Vegetable,
    Mash,
    Dairy,
    Meat,
    Sweet,
}

/// <summary>How a flour holds a sheet together.</summary>
public enum FlourStrength
{
    White,
    Whole,
    Weak,
}

/// <summary>How a flour behaves under the pin.</summary>
/// <param name="Strength">White holds the thinnest sheet, weak the thickest.</param>
/// <param name="Springback">s₀ of models.md C: share of the diameter lost with no rest, 0 to 1 (empirical).</param>
/// <param name="LeastRest">The rest under which its sheet tears earlier (empirical).</param>
public sealed record FlourTraits(FlourStrength Strength, double Springback, Minutes LeastRest);

/// <summary>One line of the larder. Compositions are percent of its mass.</summary>
/// <param name="Absorption">Flours: water for a medium feel, percent of flour.</param>
/// <param name="SmokePoint">Fats: where smoke begins.</param>
/// <param name="Traits">Flours: behaviour under the pin.</param>
public sealed record Ingredient(
    string Id,
    string Name,
    IngredientKind Kind,
    Density Density,
    Percent Water,
    Percent Fat,
    Percent Sugar,
    Percent Salt,
    double KcalPer100G,
    Percent? Absorption,
    Celsius? SmokePoint,
    FlourTraits? Traits)
{
    /// <summary>What is left when the water is gone, percent of mass.</summary>
    public Percent Solids => new(100 - Water.Value);
}
