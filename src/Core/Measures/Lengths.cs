namespace Ystrata.Core.Measures;

/// <summary>A length in millimetres: diameters, sheets, leaves.</summary>
public readonly record struct Millimetres(double Value) : IMeasure<Millimetres>
{
    private const double MillimetresPerInch = 25.4;

    public static string Unit => "mm";

    public double Metres => Value / 1000;

    public double Centimetres => Value / 10;

    public double Inches => Value / MillimetresPerInch;

    public static Millimetres From(double value) => new(value);

    public static Millimetres FromMetres(double value) => new(value * 1000);

    public static Millimetres FromInches(double value) => new(value * MillimetresPerInch);

    /// <summary>Across a bowl that is half a sphere and holds so much: V = ⅔πr³, a millilitre being 1000 mm³.</summary>
    public static Millimetres AcrossHalfSphere(Millilitres holds) => new(2 * Math.Cbrt(3 * 1000 * holds.Value / (2 * Math.PI)));

    public static Millimetres operator +(Millimetres a, Millimetres b) => new(a.Value + b.Value);

    public static Millimetres operator *(Millimetres a, double k) => new(a.Value * k);

    public static Millimetres operator /(Millimetres a, double k) => new(a.Value / k);

    /// <summary>The ratio of two lengths, without unit.</summary>
    public static double operator /(Millimetres a, Millimetres b) => a.Value / b.Value;
}

/// <summary>A film thickness in micrometres.</summary>
public readonly record struct Micrometres(double Value) : IMeasure<Micrometres>
{
    public static string Unit => "µm";

    public double Metres => Value * 1e-6;

    public static Micrometres From(double value) => new(value);

    public static Micrometres FromMetres(double value) => new(value * 1e6);

    public static Micrometres operator +(Micrometres a, Micrometres b) => new(a.Value + b.Value);

    public static Micrometres operator /(Micrometres a, double k) => new(a.Value / k);
}

/// <summary>An area in square centimetres.</summary>
public readonly record struct SquareCentimetres(double Value) : IMeasure<SquareCentimetres>
{
    public static string Unit => "cm²";

    public double SquareMetres => Value * 1e-4;

    public static SquareCentimetres From(double value) => new(value);

    public static SquareCentimetres FromSquareMetres(double value) => new(value * 1e4);

    /// <summary>The area of a rectangle.</summary>
    public static SquareCentimetres OfRectangle(Millimetres length, Millimetres width) => FromSquareMetres(length.Metres * width.Metres);

    /// <summary>The area of a round: π/4 · D².</summary>
    public static SquareCentimetres OfRound(Millimetres diameter) =>
        FromSquareMetres(Math.PI / 4 * diameter.Metres * diameter.Metres);

    /// <summary>The diameter of the round that has this area.</summary>
    public Millimetres AsRound() => Millimetres.FromMetres(Math.Sqrt(4 * SquareMetres / Math.PI));
}
