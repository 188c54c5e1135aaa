namespace Ystrata.Core.Measures;

/// <summary>A temperature in degrees Celsius.</summary>
public readonly record struct Celsius(double Value) : IMeasure<Celsius>
{
    public static string Unit => "°C";

    public double Kelvin => Value + 273.15;

    public double Fahrenheit => Value * 9 / 5 + 32;

    public static Celsius From(double value) => new(value);

    public static Celsius FromFahrenheit(double value) => new((value - 32) * 5 / 9);
}

/// <summary>A time in seconds.</summary>
public readonly record struct Seconds(double Value) : IMeasure<Seconds>
{
    public static string Unit => "s";

    public static Seconds From(double value) => new(value);

    public static Seconds operator +(Seconds a, Seconds b) => new(a.Value + b.Value);

    public static Seconds operator *(Seconds a, double k) => new(a.Value * k);
}

/// <summary>A rest in minutes.</summary>
public readonly record struct Minutes(double Value) : IMeasure<Minutes>
{
    public static string Unit => "min";

    public static Minutes From(double value) => new(value);
}

/// <summary>Parts per hundred: of the flour for baker's percents, of the whole for shares and compositions.</summary>
public readonly record struct Percent(double Value) : IMeasure<Percent>
{
    public static string Unit => "%";

    /// <summary>The same as a fraction of one.</summary>
    public double Fraction => Value / 100;

    public static Percent From(double value) => new(value);

    public static Percent FromFraction(double value) => new(value * 100);

    public static Percent operator +(Percent a, Percent b) => new(a.Value + b.Value);

    public static Percent operator -(Percent a, Percent b) => new(a.Value - b.Value);
}

/// <summary>Fat or dry flour lying on a face, in milligrams per square centimetre.</summary>
public readonly record struct Load(double Value) : IMeasure<Load>
{
    public static string Unit => "mg/cm²";

    public static Load From(double value) => new(value);

    public static Load From(Grams mass, SquareCentimetres area) => new(mass.Value * 1000 / area.Value);

    /// <summary>What lies on an area in all.</summary>
    public Grams Over(SquareCentimetres area) => new(Value * area.Value / 1000);

    public static Load operator +(Load a, Load b) => new(a.Value + b.Value);

    public static Load operator /(Load a, double k) => new(a.Value / k);
}

/// <summary>A density in grams per millilitre.</summary>
public readonly record struct Density(double Value) : IMeasure<Density>
{
    public static string Unit => "g/ml";

    public double KilogramsPerCubicMetre => Value * 1000;

    public static Density From(double value) => new(value);

    public static Density FromKilogramsPerCubicMetre(double value) => new(value / 1000);
}

/// <summary>A volume in millilitres.</summary>
public readonly record struct Millilitres(double Value) : IMeasure<Millilitres>
{
    public static string Unit => "ml";

    public static Millilitres From(double value) => new(value);
}

/// <summary>Energy of food, in kilocalories.</summary>
public readonly record struct Kilocalories(double Value) : IMeasure<Kilocalories>
{
    public static string Unit => "kcal";

    public static Kilocalories From(double value) => new(value);
}
