using System.Globalization;
using System.Text.RegularExpressions;

namespace Ystrata.Core.Recipes;

/// <summary>How much a line of a recipe says: in grams, cups and spoons, by the piece, or as loosely as cooks say it.</summary>
internal sealed partial class LineAmount(Measuring measuring)
{
    private const int MostAmountWords = 5;

    // Kitchen sizes against a middling one; an egg is an egg (empirical).
    private const double Small = 0.65, Large = 1.4;

    // What is said loosely: volumes in ml, masses in g (empirical).
    private const double Handful = 120, Splash = 15, Drizzle = 10, Dash = 0.6, Bunch = 60, Sprig = 2, Clove = 4, Inch = 8, Knob = 15, Stick = 113, Sachet = 7, Tin = 240;

    /// <summary>The line without its amount.</summary>
    public static string Without(string line) => Leading().Replace(line, "").Trim(' ', ':', '-', '–', '—', '|', ',');

    /// <returns>Nothing where there is none that could be weighed; <c>TwoWays</c> where a comma can be read in two.</returns>
    public (Grams? Mass, bool TwoWays, double? Packing) Of(string line, Ingredient item)
    {
        // A cup and two spoons are both.
        var parts = Plus().Split(line);
        var read = parts.Select(p => One(p, item)).ToList();
        return read.Any(r => r.TwoWays) ? (null, true, null) : read[0].Mass is null ? (null, false, null) : (new Grams(read.Sum(r => r.Mass?.Value ?? 0)), false, read.Select(r => r.Packing).FirstOrDefault(p => p is not null));
    }

    private (Grams? Mass, bool TwoWays, double? Packing) One(string text, Ingredient item)
    {
        // From so much to so much is the middle.
        var line = FromTo().Replace(text, m => Middle(m) is { } middle ? middle.ToString("0.###", CultureInfo.InvariantCulture) : m.Value);
        // Grams or millilitres anywhere are what was weighed; cups stand beside them.
        if (Metric().Match(line) is { Success: true } metric)
        {
            var read = AmountReader.Read(metric.Value, item, measuring);
            return (read.Mass, read.Trouble == AmountTrouble.TwoWays, null);
        }

        if (Loosely(line, item) is { } loose)
        {
            return (loose, false, null);
        }

        line = Unnumbered().IsMatch(line) ? "a " + line : line;
        // The amount comes first, or else behind the name.
        var words = line.Replace("(", " ", StringComparison.Ordinal).Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var from = Array.FindIndex(words, StartsAmount);
        foreach (var start in new[] { 0, from }.Where(s => s >= 0 && s < words.Length).Distinct())
        {
            for (var n = Math.Min(MostAmountWords, words.Length - start); n > 1; n--)
            {
                var prefix = string.Join(' ', words.Skip(start).Take(n)).TrimEnd(',', '.', ')');
                // A bare number is a count and no weight.
                if (prefix.Any(char.IsAsciiLetter) && !BareNumber().IsMatch(prefix) && AmountReader.Read(prefix, item, measuring) is { Trouble: AmountTrouble.None, Mass: { } mass } read)
                {
                    return (mass, false, read.Packing);
                }
            }
        }

        return (Counted(line, item), false, null);
    }

    // Three carrots, a medium cauliflower.
    private static Grams? Counted(string line, Ingredient item)
    {
        if (item.Each is not { } each || Count().Match(line) is not { Success: true } m || Number(m.Groups[1].Value) is not { } count)
        {
            return null;
        }

        var size = item.Is(Trait.RawRisk) ? 1 : SizeOf(line);
        return each * (count * size);
    }

    private static double SizeOf(string line) => SmallWord().IsMatch(line) ? Small : LargeWord().IsMatch(line) ? Large : 1;

    private static Grams? Loosely(string line, Ingredient item)
    {
        if (LooseUnit().Match(line) is not { Success: true } m)
        {
            return null;
        }

        var count = m.Groups[1].Success && Number(m.Groups[1].Value) is { } n ? n : 1;
        double Of(double millilitres) => millilitres * item.Density.Value;
        var one = m.Groups[2].Value switch
        {
            "handful" or "handfuls" => Of(Handful),
            "splash" or "glug" => Of(Splash),
            "drizzle" => Of(Drizzle),
            "dash" or "dashes" => Of(Dash),
            "bunch" or "bunches" => item.Each?.Value ?? Bunch,
            "sprig" or "sprigs" or "stalk" or "stalks" => Sprig,
            "clove" or "cloves" => item.Each?.Value ?? Clove,
            "knob" => Knob,
            "stick" or "sticks" => Stick,
            "sachet" or "packet" or "envelope" => item.Each?.Value ?? Sachet,
            "tin" or "can" or "tins" or "cans" => Tin,
            _ => Inch,
        };
        return new(count * one * SizeOf(line));
    }

    private static double? Middle(Match m) => Number(m.Groups[1].Value) is { } from && Number(m.Groups[2].Value) is { } to && from < to ? (from + to) / 2 : null;

    private static bool StartsAmount(string word) => char.IsAsciiDigit(word[0]) || "½⅓⅔¼¾⅛⅜⅝⅞".Contains(word[0], StringComparison.Ordinal);

    // A number as it is written: 2, 1.5, 1 1/2, 1½, half, two.
    private static double? Number(string text)
    {
        var read = AmountReader.Count(text.Trim());
        return read is > 0 and < 10_000 ? read : null;
    }

    private const string Numeral = @"(?:\d+ \d+[/⁄]\d+|\d+[/⁄]\d+|\d* ?[½⅓⅔¼¾⅛⅜⅝⅞]|\d+(?:[.,]\d+)?)";

    [GeneratedRegex(@"^(?:" + Numeral + @"|an?\b|half\b|(?:walnuts?|fists?|golf balls?)(?= of)|one\b|two\b|three\b|four\b|five\b|six\b|\s|-|–|to\b|x\b)*\s*(?:(?:heaped|heaping|level|rounded|scant|generous|packed|big|small|large|medium|good)\s+)*(?:kg|g|gr|grams?|mg|ml|cl|dl|l|litres?|liters?|oz|ounces?|lbs?|pounds?|cups?|c|tbsps?|tbs|tablespoons?|tsps?|teaspoons?|spoons?|pinch(?:es)?|handfuls?|bunch(?:es)?|sprigs?|cloves?|sticks?|sachets?|packets?|inch(?:es)?|pieces?|tins?|cans?|knobs?|dash|splash|drizzle|glass(?:es)?|mugs?|bowls?)?\b\.?\s*(?:\([^)]*\)\s*)?(?:of\s+)?(?:piece of\s+)?(?:(?:heaped|small|large|medium|big)\s+)*(?:an?\s+)?")]
    private static partial Regex Leading();

    [GeneratedRegex(@"\s(?:plus|\+)\s(?=\d|[½⅓⅔¼¾⅛⅜⅝⅞]|an? )")]
    private static partial Regex Plus();

    [GeneratedRegex(@"(?<![\d/.])(" + Numeral + @") ?(?:-|–|—|to|or) ?(" + Numeral + @")(?![\d/])")]
    private static partial Regex FromTo();

    [GeneratedRegex(@"(?<![\d.,/⁄])\d[\d ]*(?:[.,]\d+)? ?(?:kg|g|gr|grams?|ml|cl|dl|l|litres?|liters?)(?![\p{L}])")]
    private static partial Regex Metric();

    [GeneratedRegex(@"^(?:an?|half|[\d\s.,/⁄½⅓⅔¼¾⅛⅜⅝⅞]+)$")]
    private static partial Regex BareNumber();

    [GeneratedRegex(@"(?:^|[\s:(–-])(" + Numeral + @"|an?|half|one|two|three|four|five|six)(?=[\s-]|$)")]
    private static partial Regex Count();

    [GeneratedRegex(@"(?<![\p{L}])(?:(" + Numeral + @"|an?|half an?|one|two|three|four|few)[\s-]+)?(?:(?:small|large|big|good|generous|thumb[- ]sized|medium)\s+)*(handfuls?|bunch(?:es)?|sprigs?|stalks?|cloves?|splash|glug|drizzle|dash(?:es)?|knob|sticks?|sachet|packet|envelope|tins?|cans?|inch(?:es)?|inch[- ]piece)\b(?! (?:circle|round|disc|pan))")]
    private static partial Regex LooseUnit();

    [GeneratedRegex(@"^(?:pinch|cup|glass|mug|spoon|teaspoon|tablespoon|ladle|fist|walnut)\b")]
    private static partial Regex Unnumbered();

    [GeneratedRegex(@"\bsmall\b")]
    private static partial Regex SmallWord();

    [GeneratedRegex(@"\b(?:large|big)\b")]
    private static partial Regex LargeWord();
}
