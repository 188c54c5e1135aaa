using System.Globalization;
using System.Text.RegularExpressions;

namespace Ystrata.Core.Measures;

public enum AmountTrouble
{
    None,

    /// <summary>No number, or letters that mean nothing.</summary>
    NotRead,

    /// <summary>A vessel this kitchen does not have.</summary>
    UnknownVessel,

    /// <summary>A comma before three digits: thousands or a fraction.</summary>
    TwoWays,

    /// <summary>Nothing, or more than 100 kg.</summary>
    OutOfRange,
}

/// <summary>What a typed amount means.</summary>
/// <param name="Word">The word that was not understood, if one.</param>
/// <param name="Packing">Of a powder in a vessel of which nobody has said how it is filled: what was taken for it; nothing where nothing hangs on it.</param>
public sealed record AmountRead(Grams? Mass, AmountTrouble Trouble, string? Word = null, double? Packing = null);

/// <summary>Reads what people type: <c>1 1/2 c</c>, <c>1½ cup scooped</c>, <c>3 tbsp</c>, <c>a glass</c>, <c>200g</c>, <c>7 oz</c>, <c>0,5 kg</c>.</summary>
public static partial class AmountReader
{
    public const double MostGrams = 100_000;

    private const double GramsPerPound = 453.59237; // international avoirdupois pound, exact

    // A pinch between two fingers, of a teaspoon (usual kitchen measure).
    private const double PinchOfTeaspoon = 1.0 / 16;

    private const string Halves = "½⅓⅔¼¾⅛⅜⅝⅞";
    private static readonly double[] HalvesAre = [1 / 2d, 1 / 3d, 2 / 3d, 1 / 4d, 3 / 4d, 1 / 8d, 3 / 8d, 5 / 8d, 7 / 8d];

    /// <param name="text">As typed; case and spaces do not matter. No unit means grams, or ounces where the kitchen weighs in them.</param>
    public static AmountRead Read(string text, Ingredient item, Kitchen kitchen, bool ounces = false) => Read(kitchen.Words.Read(text), item, kitchen.Measures, ounces);

    /// <summary>The same in the reader's own words alone.</summary>
    public static AmountRead Read(string text, Ingredient item, Measuring measuring, bool ounces = false)
    {
        var plain = Spaces().Replace(Digits.Plain(text).Trim().ToLowerInvariant(), " ");
        if (TwoWaysNumber().IsMatch(plain))
        {
            return new(null, AmountTrouble.TwoWays);
        }

        var (count, rest) = TakeCount(plain);
        if (count is not { } n)
        {
            return new(null, AmountTrouble.NotRead);
        }

        PowderFill? fill = null;
        var heap = 1.0;
        // What it is of, is known.
        var words = Of().Split(rest, 2)[0].Split([' ', '.'], StringSplitOptions.RemoveEmptyEntries).Where(w => w is not ("of" or "a" or "an")).ToList();
        for (var i = words.Count - 1; i >= 0; i--)
        {
            if (FillOf(words[i]) is { } said)
            {
                fill = said;
                words.RemoveAt(i);
            }
            else if (words.Count > 1 && HeapOf(words[i]) is { } more)
            {
                heap = more;
                words.RemoveAt(i);
            }
        }

        var unit = string.Join(' ', words);
        double? hangsOn = null;
        double Filled(Millilitres volume)
        {
            var packing = measuring.PackingOf(item, fill);
            hangsOn = fill is null && Measuring.IsPowder(item) && !measuring.Said ? packing : null;
            return Vessels.Weigh(volume, item.Density).Value * packing * heap;
        }

        double? each = unit.Length == 0
            ? MassOf(ounces ? "oz" : "g")
            : MassOf(unit) is { } mass ? mass
            : OwnOf(unit, measuring) is { } own ? Filled(own)
            : Likeness.Read(unit, item) is { } like ? like.Value
            : VolumeOf(unit, measuring) is { } volume ? Filled(volume)
            : null;
        if (each is not { } one)
        {
            return new(null, AmountTrouble.UnknownVessel, unit);
        }

        var grams = n * one;
        return grams is >= 0 and <= MostGrams ? new(new Grams(grams), AmountTrouble.None, Packing: hangsOn) : new(null, AmountTrouble.OutOfRange);
    }

    /// <summary>An amount of dough: a golf ball, two fists, 80 g, a ladle.</summary>
    public static AmountRead OfDough(string text, Kitchen kitchen, bool ounces = false) =>
        Read(text, kitchen[Staples.WhiteFlour] with { Name = "", Kind = IngredientKind.Puree, Density = Round.DoughDensity }, kitchen, ounces);

    private static double? MassOf(string unit) => unit switch
    {
        "g" or "gr" or "gram" or "grams" => 1,
        "kg" or "kilo" or "kilos" => 1000,
        "mg" => 0.001,
        "oz" or "ounce" or "ounces" => Grams.FromOunces(1).Value,
        "lb" or "lbs" or "pound" or "pounds" => GramsPerPound,
        _ => null,
    };

    private static PowderFill? FillOf(string word) => word switch
    {
        "sifted" => PowderFill.Sifted,
        "spooned" or "level" => PowderFill.Spooned,
        "scooped" or "dipped" => PowderFill.Scooped,
        _ => null,
    };

    // Heaped and rounded over level, of what is dry or stiff (empirical).
    private static double? HeapOf(string word) => word switch
    {
        "heaped" or "heaping" => 1.5,
        "rounded" => 1.25,
        _ => null,
    };

    // An own vessel comes first: "cup", or "lemon", may be the name of the cook's own.
    private static Millilitres? OwnOf(string unit, Measuring measuring) =>
        (measuring.Own.FirstOrDefault(v => v.Name.Equals(unit, StringComparison.OrdinalIgnoreCase) || Plural(v.Name).Equals(unit, StringComparison.OrdinalIgnoreCase))
            ?? measuring.Own.FirstOrDefault(v => v.Name.Split(' ')[^1] is var last && (last.Equals(unit, StringComparison.OrdinalIgnoreCase) || Plural(last).Equals(unit, StringComparison.OrdinalIgnoreCase))))?.Volume;

    private static Millilitres? VolumeOf(string unit, Measuring measuring) => unit switch
    {
        "c" or "cup" or "cups" => measuring.CupVolume,
        "us cup" or "us cups" => Vessels.CupUs,
        "metric cup" or "metric cups" => Vessels.CupMetric,
        "legal cup" or "legal cups" => Vessels.CupLegal,
        "tbsp" or "tbs" or "tbsps" or "tablespoon" or "tablespoons" or "big spoon" or "big spoons" => Vessels.Tablespoon,
        "tsp" or "tsps" or "teaspoon" or "teaspoons" or "small spoon" or "small spoons" => Vessels.Teaspoon,
        "dessert spoon" or "dessert spoons" or "dessertspoon" or "dessertspoons" => Vessels.DessertSpoon,
        "tea cup" or "tea cups" or "teacup" or "teacups" or "small bowl" or "small bowls" => Vessels.TeaCup,
        "mug" or "mugs" => Vessels.Mug,
        "ladle" or "ladles" => Vessels.Ladle,
        "pinch" or "pinches" => new(Vessels.Teaspoon.Value * PinchOfTeaspoon),
        "ml" or "millilitre" or "millilitres" or "milliliter" or "milliliters" => new Millilitres(1),
        "cl" => new Millilitres(10),
        "dl" => new Millilitres(100),
        "l" or "litre" or "litres" or "liter" or "liters" => new Millilitres(1000),
        _ => null,
    };

    private static string Plural(string name) => name.EndsWith('s') || name.EndsWith('h') ? name + "es" : name + "s";

    /// <summary>A number as it is written, alone: 2, 2.5, 1 1/2, 1½, half, two; nothing for anything else.</summary>
    internal static double? Count(string text) => TakeCount(text + " ") is { Count: { } count, Unit: var rest } && rest.Trim().Length == 0 ? count : null;

    // A number in front: 2, 2.5, 2,5, 1 500, 1/2, 1 1/2, ½, 1½, 1 ½, a, an, half, half a.
    private static (double? Count, string Unit) TakeCount(string text)
    {
        if (Fraction().Match(text) is { Success: true } f && double.Parse(f.Groups[3].Value, CultureInfo.InvariantCulture) is > 0 and var under)
        {
            var whole = f.Groups[1].Success ? double.Parse(f.Groups[1].Value, CultureInfo.InvariantCulture) : 0;
            return (whole + double.Parse(f.Groups[2].Value, CultureInfo.InvariantCulture) / under, text[f.Length..]);
        }

        if (GlyphNumber().Match(text) is { Success: true } g)
        {
            var whole = g.Groups[1].Success ? double.Parse(g.Groups[1].Value, CultureInfo.InvariantCulture) : 0;
            return (whole + HalvesAre[Halves.IndexOf(g.Groups[2].Value[0], StringComparison.Ordinal)], text[g.Length..]);
        }

        if (Decimal().Match(text) is { Success: true } d)
        {
            var digits = d.Value.Replace(" ", "", StringComparison.Ordinal).Replace(',', '.');
            return (double.Parse(digits, NumberStyles.Float, CultureInfo.InvariantCulture), text[d.Length..]);
        }

        return WordNumber().Match(text) is { Success: true } w ? (CountOf(w.Groups[1].Value), text[w.Length..])
            // "lemon-sized": one of it.
            : Sized().IsMatch(text) ? (1, " " + text) : (null, text);
    }

    [GeneratedRegex(@"[\s\u00a0\u202f]+")]
    private static partial Regex Spaces();

    [GeneratedRegex(@"^\d{1,3},\d{3}(?!\d)")]
    private static partial Regex TwoWaysNumber();

    [GeneratedRegex(@"^(?:(\d{1,6}) )?(\d{1,4}) ?[/⁄] ?(\d{1,4})(?![\d.,])")]
    private static partial Regex Fraction();

    [GeneratedRegex(@"^(?:(\d{1,6}) ?)?([½⅓⅔¼¾⅛⅜⅝⅞])")]
    private static partial Regex GlyphNumber();

    [GeneratedRegex(@"^(?:\d{1,3}(?: \d{3})+(?!\d)|\d{1,9})(?:[.,]\d{1,9})?(?![\d.,/⁄])")]
    private static partial Regex Decimal();

    private static double CountOf(string word) => word == "half" ? 0.5 : Math.Max(Array.IndexOf(Numbers, word), 1);

    private static readonly string[] Numbers = ["", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve"];

    [GeneratedRegex(@"(?<= )of ")]
    private static partial Regex Of();

    [GeneratedRegex(@"^[a-z' -]+[- ]sized?\b")]
    private static partial Regex Sized();

    [GeneratedRegex(@"^(half|an|a|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)(?= )")]
    private static partial Regex WordNumber();
}
