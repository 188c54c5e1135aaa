namespace Ystrata.Core.Kitchens;

/// <summary>Shipped lines that a plain bread, a school or a mend reaches for where the cook has said nothing. Rules never ask for these: they ask for <see cref="Trait"/>s.</summary>
internal static class Staples
{
    public const string Water = "water", Salt = "salt-fine", Ghee = "ghee", NeutralOil = "oil-sunflower", OtherOil = "oil-rapeseed", Starch = "starch-corn";

    public const string WhiteFlour = "flour-white", StrongFlour = "flour-bread", WholeFlour = "flour-atta";

    public const string Puree = "puree-carrot", WetVegetable = "radish";

    public const string Sugar = "jaggery", Spice = "spice-ground", Moist = "yogurt", Seed = "seed-nigella";

    /// <summary>Binders most kitchens have.</summary>
    public static IReadOnlyList<string> Binders { get; } = ["gram-flour-roasted", "oats-rolled", "crumbs-dry"];
}
