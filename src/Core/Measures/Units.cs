namespace Ystrata.Core.Measures;

public enum MassUnit
{
    Grams,
    Ounces,

    /// <summary>Cups and spoons first, grams beside them.</summary>
    Cups,
}

public enum HeatUnit
{
    Celsius,
    Fahrenheit,
}

public enum LengthUnit
{
    Centimetres,
    Inches,
}

/// <summary>What this kitchen reads and writes in, chosen once.</summary>
/// <param name="Coin">What stands before a price, up to four letters.</param>
/// <param name="CupSaid">Somebody has said how a cup of powder is filled here; until then a dough says how much hangs on it.</param>
/// <param name="FlourCup">One cup of plain white flour as it is filled here, weighed; nothing where only the way of filling was said.</param>
/// <param name="Board">What dough is rolled on, across; 45 cm where nobody has said (a usual board, empirical).</param>
public sealed record Units(MassUnit Mass, HeatUnit Heat, LengthUnit Length, CupKind Cup, PowderFill Fill, string Coin, Millimetres? Board = null, bool CupSaid = false, Grams? FlourCup = null)
{
    public static readonly Millimetres UsualBoard = new(450);

    public static Limit FlourCupLimit { get; } = new("flourCup", 60, 300, Grams.Unit);

    public static Limit BoardLimit { get; } = new("board", 150, 2000, Millimetres.Unit);

    public Millimetres? Board { get; init; } = Board ?? UsualBoard;

    public const int LongestCoin = 4;

    public static Units Usual { get; } = new(MassUnit.Grams, HeatUnit.Celsius, LengthUnit.Centimetres, CupKind.Metric, PowderFill.Spooned, "");
}
