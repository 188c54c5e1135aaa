namespace Ystrata.Core.Kitchens;

/// <summary>What an ingredient is for; the stages ask for one kind or another.</summary>
public enum IngredientKind
{
    Flour,
    Separator,
    Binder,
    Fat,
    Liquid,
    Puree,
    Salt,
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

/// <summary>What many kitchens have to declare. Local law may ask for more.</summary>
public enum Allergen
{
    Gluten,
    Milk,
    Egg,
    Nuts,
    Peanut,
    Sesame,
    Mustard,
    Soya,
}

/// <summary>What a pack costs.</summary>
/// <param name="Pack">What the pack holds; a kilogram for a price by weight.</param>
public sealed record Price(Money Cost, Grams Pack);

/// <summary>Marks a flour as one bag of another.</summary>
/// <param name="Of">The flour it is a bag of; all its values but the thirst are that flour's.</param>
/// <param name="Thirst">Water this bag drinks more than its flour, points of flour.</param>
public sealed record FlourLot(string Of, Percent Thirst);

/// <summary>Where a line of the larder comes from.</summary>
public enum Origin
{
    Shipped,

    /// <summary>Shipped, and put right by the cook.</summary>
    Changed,
    Own,

    /// <summary>Taken out by the cook; what was made with it still plans.</summary>
    Gone,
}

/// <summary>One line of the larder. Compositions are percent of its mass.</summary>
/// <param name="Absorption">Flours: water for a medium feel, percent of flour.</param>
/// <param name="SmokePoint">Fats: where smoke begins.</param>
/// <param name="Holding">Grams of water held per gram of solids, for what goes into a filling (models.md E).</param>
/// <param name="Draw">Share of its water that salt draws (models.md E).</param>
/// <param name="Squeeze">Share of the remaining water a cloth squeezes out (models.md E).</param>
/// <param name="Traits">Flours: behaviour under the pin.</param>
/// <param name="Marks">Its traits; nothing where nobody has said: then those of the shipped line, or of its kind.</param>
/// <param name="Hue">As sRGB, <c>#rrggbb</c>; nothing where nobody has said.</param>
/// <param name="Each">One of it, for what is counted and not weighed.</param>
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
    double? Holding,
    Percent? Draw,
    Percent? Squeeze,
    string Note,
    FlourTraits? Traits,
    IReadOnlyList<Allergen> Allergens,
    Price? Price,
    FlourLot? Lot,
    Origin Origin,
    IReadOnlyList<Trait>? Marks = null,
    string? Hue = null,
    Grams? Each = null)
{
    /// <summary>Whether this trait is marked; where nothing was marked, whether its kind usually has it.</summary>
    public bool Is(Trait trait) => (Marks ?? UsualTraits.Of(Kind)).Contains(trait);

    /// <summary>Makes a dough rise.</summary>
    internal bool Leavens => Is(Trait.Yeast) || Is(Trait.Powder);


    /// <summary>What is left when the water is gone, percent of mass.</summary>
    public Percent Solids => new(100 - Water.Value);

    /// <summary>Of fat itself, whatever it is in (empirical).</summary>
    internal static readonly Density FatDensity = new(0.92);

    /// <summary>Id of what a filling has let go, among the liquids of its dough.</summary>
    public const string Liquor = "liquor";

    // Sugar's energy, kcal per 100 g.
    private const double SugarEnergy = 400;

    /// <summary>What a filling has let go, as a liquid that costs nothing.</summary>
    internal static Ingredient OfLiquor(Percent water, Percent sugar, Percent salt) => new(
        Liquor, Liquor, IngredientKind.Liquid, new(1.02), water, default, sugar, salt, SugarEnergy * sugar.Fraction, null, null, null, null, null, "", null, [], new(new(0), new(1000)), null, Origin.Shipped);

    /// <summary>The same thing thicker or thinner: all that is not water changes with the solids.</summary>
    /// <param name="water">0 to 100, percent of mass; this ingredient must have some solids.</param>
    public Ingredient WithWater(Percent water)
    {
        var k = (100 - water.Value) / Solids.Value;
        return this with
        {
            Water = water,
            Fat = new(Fat.Value * k),
            Sugar = new(Sugar.Value * k),
            Salt = new(Salt.Value * k),
            KcalPer100G = KcalPer100G * k,
        };
    }
}
