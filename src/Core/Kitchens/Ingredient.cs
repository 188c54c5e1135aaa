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
    /// <summary>Cereals with gluten: wheat, rye, barley, oats.</summary>
    Gluten,

    /// <summary>Of those the one that the US list names.</summary>
    Wheat,
    Milk,
    Egg,

    /// <summary>Of trees.</summary>
    Nuts,
    Peanut,
    Sesame,
    Mustard,
    Soya,
    Celery,
    Lupin,
    Fish,
    Crustaceans,
    Molluscs,

    /// <summary>Sulphur dioxide and sulphites.</summary>
    Sulphites,
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

/// <summary>One line of the larder, as flat as in an open file of it. Compositions are percent of its mass.</summary>
public sealed record Ingredient
{
    public required string Id { get; init; }

    public required string Name { get; init; }

    public required IngredientKind Kind { get; init; }

    public required Density Density { get; init; }

    public required Percent Water { get; init; }

    public required Percent Fat { get; init; }

    public required Percent Sugar { get; init; }

    public required Percent Salt { get; init; }

    public required double KcalPer100G { get; init; }

    /// <summary>Flours: water for a medium feel, percent of flour.</summary>
    public required Percent? Absorption { get; init; }

    /// <summary>Fats: where smoke begins.</summary>
    public required Celsius? SmokePoint { get; init; }

    /// <summary>Grams of water held per gram of solids, for what goes into a filling (models.md E).</summary>
    public required double? Holding { get; init; }

    /// <summary>Share of its water that salt draws (models.md E).</summary>
    public required Percent? Draw { get; init; }

    /// <summary>Share of the remaining water a cloth squeezes out (models.md E).</summary>
    public required Percent? Squeeze { get; init; }

    public required string Note { get; init; }

    /// <summary>Flours: behaviour under the pin.</summary>
    public required FlourTraits? Traits { get; init; }

    public required IReadOnlyList<Allergen> Allergens { get; init; }

    /// <summary>Somebody has looked, and it holds none of them.</summary>
    public bool NoAllergens { get; init; }

    /// <summary>A cook's own line of which nobody has said what it holds.</summary>
    internal bool Undeclared => Origin == Origin.Own && Lot is null && Allergens.Count == 0 && !NoAllergens;

    public required Price? Price { get; init; }

    public required FlourLot? Lot { get; init; }

    public required Origin Origin { get; init; }

    /// <summary>Its traits; nothing where nobody has said: then those of the shipped line, or of its kind.</summary>
    public IReadOnlyList<Trait>? Marks { get; init; }

    /// <summary>As sRGB, <c>#rrggbb</c>; nothing where nobody has said.</summary>
    public string? Hue { get; init; }

    /// <summary>One of it, for what is counted and not weighed.</summary>
    public Grams? Each { get; init; }

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
    internal static Ingredient OfLiquor(Percent water, Percent sugar, Percent salt) => new()
    {
        Id = Liquor,
        Name = Liquor,
        Kind = IngredientKind.Liquid,
        Density = new(1.02),
        Water = water,
        Fat = default,
        Sugar = sugar,
        Salt = salt,
        KcalPer100G = SugarEnergy * sugar.Fraction,
        Absorption = null,
        SmokePoint = null,
        Holding = null,
        Draw = null,
        Squeeze = null,
        Note = "",
        Traits = null,
        Allergens = [],
        Price = new(new(0), new(1000)),
        Lot = null,
        Origin = Origin.Shipped,
    };

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
