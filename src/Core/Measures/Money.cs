namespace Ystrata.Core.Measures;

/// <summary>A sum of money, in whatever coin the kitchen counts in.</summary>
public readonly record struct Money(double Value) : IMeasure<Money>
{
    public static string Unit => "money";

    public static Money From(double value) => new(value);

    public static Money operator +(Money a, Money b) => new(a.Value + b.Value);

    public static Money operator *(Money a, double k) => new(a.Value * k);

    public static Money operator /(Money a, double k) => new(a.Value / k);
}
