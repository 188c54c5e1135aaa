namespace Ystrata.Core.Measures;

/// <summary>A mass in grams.</summary>
public readonly record struct Grams(double Value) : IMeasure<Grams>, IComparable<Grams>
{
    private const double GramsPerOunce = 28.349523125; // international avoirdupois ounce, exact

    public static string Unit => "g";

    public static Grams Zero => default;

    public double Kilograms => Value / 1000;

    public double Ounces => Value / GramsPerOunce;

    public static Grams From(double value) => new(value);

    public static Grams FromKilograms(double value) => new(value * 1000);

    public static Grams FromOunces(double value) => new(value * GramsPerOunce);

    public static Grams operator +(Grams a, Grams b) => new(a.Value + b.Value);

    public static Grams operator -(Grams a, Grams b) => new(a.Value - b.Value);

    public static Grams operator *(Grams a, double k) => new(a.Value * k);

    public static Grams operator *(double k, Grams a) => a * k;

    public static Grams operator /(Grams a, double k) => new(a.Value / k);

    /// <summary>The ratio of two masses, without unit.</summary>
    public static double operator /(Grams a, Grams b) => a.Value / b.Value;

    public static bool operator <(Grams a, Grams b) => a.Value < b.Value;

    public static bool operator >(Grams a, Grams b) => a.Value > b.Value;

    public static bool operator <=(Grams a, Grams b) => a.Value <= b.Value;

    public static bool operator >=(Grams a, Grams b) => a.Value >= b.Value;

    /// <summary>Down to what a good bench scale shows, 0.1 g: still within a most.</summary>
    public Grams Down() => new(Math.Floor(Value * 10 + 1e-9) / 10);

    public int CompareTo(Grams other) => Value.CompareTo(other.Value);
}
