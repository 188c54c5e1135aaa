namespace Ystrata.Core.Dough;

/// <summary>How the dough should feel; it moves the water this flour wants. A batter is a school of its own.</summary>
public enum Feel
{
    Firm,
    Medium,
    Soft,
    VerySoft,
    Batter,
}

/// <summary>What sets the water.</summary>
public enum WaterBy
{
    /// <summary>The hydration is fixed; one liquid makes up the rest.</summary>
    Hydration,

    /// <summary>The water that gives the feel wanted; one liquid makes up the rest.</summary>
    Feel,

    /// <summary>Every liquid is fixed; the hydration follows.</summary>
    Liquids,
}

/// <summary>One flour of the mix.</summary>
/// <param name="Parts">Its parts by mass; only the proportions count.</param>
public sealed record FlourShare(string Id, double Parts);

/// <summary>A liquid, puree, paste or liquor in the dough.</summary>
/// <param name="Water">Water of this very puree, percent, where it is thicker or thinner than the larder's; its solids change with it.</param>
public sealed record LiquidSpec(string Id, Amount Amount, Percent? Water = null);

/// <summary>When the dough's fat goes in.</summary>
public enum FatWhen
{
    /// <summary>Rubbed into the flour before the water, until it holds when squeezed in the fist.</summary>
    RubbedIn,

    /// <summary>Worked in after the water, bit by bit.</summary>
    WorkedIn,
}

public sealed record FatSpec(string Id, Amount Amount, FatWhen When);

/// <summary>When the dough's salt goes in.</summary>
public enum SaltWhen
{
    WithFlour,

    /// <summary>Kneaded in at the end: it tightens the dough and slows its drinking.</summary>
    Last,
}

/// <param name="Amount">By share: salt from every source. By mass: the salt that is added.</param>
public sealed record SaltSpec(string Id, Amount Amount, SaltWhen When = SaltWhen.WithFlour);

/// <summary>Something kneaded in: seeds, leaves, spice, sugar, leaven.</summary>
public sealed record AdditionSpec(string Id, Amount Amount);

public enum Kneading
{
    /// <summary>Brought together only; a long rest does the work.</summary>
    None,
    Light,
    Full,
    Machine,
}

/// <param name="Bowl">The most dough bowl or mixer take at once; nothing when there is room for any.</param>
/// <param name="WentIn">Of the liquid that makes up the rest: what really went in, once the cook has stopped by feel.</param>
public sealed record MixSpec(Kneading Kneading, Grams? Bowl = null, Grams? WentIn = null);

/// <summary>The flour was measured in cups of which nobody had said how they are filled.</summary>
/// <param name="Packing">What was taken for it, against spooned.</param>
/// <param name="AllMeasured">Everything else was measured too, as in a recipe, and does not follow the flour.</param>
public sealed record FlourCups(double Packing, bool AllMeasured = false);

/// <param name="Hydration">All water but the flour's own, percent of flour.</param>
/// <param name="Cups">Nothing where the flour was weighed, or the cups are known.</param>
public sealed record DoughSpec(
    IReadOnlyList<FlourShare> Flours,
    Feel Feel,
    WaterBy WaterBy,
    Percent Hydration,
    IReadOnlyList<LiquidSpec> Liquids,
    FatSpec Fat,
    SaltSpec Salt,
    IReadOnlyList<AdditionSpec> Additions,
    MixSpec Mix,
    FlourCups? Cups = null)
{
    /// <summary>A dough of one flour and water, with 1.8 % salt.</summary>
    public static DoughSpec Of(string flour, Feel feel, double hydration, string fat, double fatShare, params (string Id, double Share)[] additions) => new(
        [new(flour, 100)],
        feel,
        WaterBy.Hydration,
        new(hydration),
        [new(Staples.Water, Amount.TheRest)],
        new(fat, Amount.OfFlour(fatShare), FatWhen.RubbedIn),
        new(Staples.Salt, Amount.OfFlour(1.8)),
        [.. additions.Select(a => new AdditionSpec(a.Id, Amount.OfFlour(a.Share)))],
        new(Kneading.Full));
}
