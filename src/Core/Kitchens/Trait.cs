namespace Ystrata.Core.Kitchens;

/// <summary>What matters about an ingredient beside what it is made of. Rules ask for these and never for an id, so that a cook's own line counts as the shipped ones do.</summary>
public enum Trait
{
    /// <summary>Must not stand warm for long.</summary>
    Spoils,

    /// <summary>Not to be eaten raw; a filling that holds it goes to the safe core.</summary>
    RawRisk,

    /// <summary>Goes off fast where it is kept warm: cooked rice and pulses.</summary>
    KeepsBadlyWarm,

    /// <summary>Raw in fat without air it can grow what poisons.</summary>
    GarlicLike,

    /// <summary>Not for infants under a year.</summary>
    NotForInfants,

    /// <summary>Leavens by growing; it wants warmth and time.</summary>
    Yeast,

    /// <summary>Leavens once, by itself.</summary>
    Powder,

    /// <summary>A fat that is hard in the cold and stays in bits while it is rubbed in.</summary>
    SolidWhenCold,

    /// <summary>Its solids stick together: starch, cheese, sugar, pulse.</summary>
    Sticky,

    /// <summary>Heat opens its cells fast: mushroom, leaf.</summary>
    Tender,

    /// <summary>Acid that slackens a dough.</summary>
    Sour,

    /// <summary>Raw green that turns brown when it gets warm.</summary>
    BrownsRaw,

    /// <summary>Drinks for some minutes before it has what it holds.</summary>
    DrinksSlowly,

    /// <summary>Sugar that comes in lumps until it is crushed or sieved.</summary>
    Lumpy,

    /// <summary>From the tap: nobody pays for it.</summary>
    Free,
}

/// <summary>What a line of a kind usually is, where nobody has said.</summary>
public static class UsualTraits
{
    public static IReadOnlyList<Trait> Of(IngredientKind kind) => kind switch
    {
        IngredientKind.Meat => [Trait.Spoils, Trait.RawRisk],
        IngredientKind.Mash => [Trait.Spoils, Trait.KeepsBadlyWarm, Trait.Sticky],
        IngredientKind.Dairy or IngredientKind.Puree or IngredientKind.Vegetable => [Trait.Spoils],
        IngredientKind.Leaven => [Trait.Powder],
        IngredientKind.Sweet => [Trait.Sticky],
        _ => [],
    };
}
