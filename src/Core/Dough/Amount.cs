namespace Ystrata.Core.Dough;

/// <summary>How an amount is fixed.</summary>
public enum AmountBy
{
    /// <summary>By percent of flour; the mass follows.</summary>
    Share,

    /// <summary>By mass, whatever the flour; the share follows.</summary>
    Mass,

    /// <summary>It makes up what is wanting of the water.</summary>
    Rest,
}

/// <summary>An amount, fixed one way. Both figures are kept, so that switching loses neither.</summary>
/// <param name="Share">Percent of flour.</param>
public sealed record Amount(AmountBy By, Percent Share, Grams Mass)
{
    /// <summary>False for none of it.</summary>
    internal bool IsSome => By == AmountBy.Rest || (By == AmountBy.Share ? Share.Value : Mass.Value) > 0;

    public static Amount OfFlour(double percent) => new(AmountBy.Share, new(percent), Grams.Zero);

    public static Amount Weighed(double grams) => new(AmountBy.Mass, default, new(grams));

    public static Amount TheRest { get; } = new(AmountBy.Rest, default, Grams.Zero);
}
