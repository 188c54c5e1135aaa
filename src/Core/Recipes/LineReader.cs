using System.Text.RegularExpressions;

namespace Ystrata.Core.Recipes;

/// <summary>Reads one line of a recipe's ingredients: how much of what.</summary>
internal sealed partial class LineReader(Kitchen kitchen)
{
    private const int MostCould = 8, MostAmountWords = 4, LongestLine = 200;

    // Half the words of a name have to be there (empirical).
    private const double Enough = 0.5;

    // Words that say how a thing is and not what it is.
    private static readonly HashSet<string> Manner = new(
        [
            "white", "whole", "plain", "fine", "soft", "strong", "raw", "dry", "dried", "fresh", "ground", "chopped", "grated", "refined", "mashed", "cooked", "boiled", "quick",
            "low", "thick", "green", "sweet", "virgin", "extra", "pressed", "rolled", "roasted", "wilted", "stone", "blanched", "brined", "melting", "based", "block",
        ],
        StringComparer.Ordinal);

    // Words that stand for one thing in every larder.
    private static readonly Dictionary<string, string> Plainly = new(StringComparer.Ordinal) { ["salt"] = Staples.Salt };

    private readonly List<(Ingredient Item, List<string[]> Names)> known =
        [.. kitchen.Larder.All.Where(i => i.Origin != Origin.Gone).OrderBy(i => i.Id, StringComparer.Ordinal).Select(i => (i, NamesOf(i.Name).ToList()))];

    public RecipeLine Read(string text)
    {
        var line = Spaces().Replace(text.Length > LongestLine ? text[..LongestLine] : text, " ").Trim(' ', '-', '*', '•').ToLowerInvariant();
        var could = Meant(line);
        if (could.Count != 1)
        {
            return new(text, null, null, could.Count == 0 ? LineTrouble.NoIngredient : LineTrouble.Several, [.. could.Take(MostCould).Select(i => i.Id)]);
        }

        var item = could[0];
        var (mass, twoWays) = Amount(line, item);
        return new(text, item.Id, mass, twoWays ? LineTrouble.TwoWays : mass is null ? LineTrouble.NoAmount : LineTrouble.None, [item.Id]);
    }

    /// <summary>The amount of a line once it is known of what; nothing when there is none.</summary>
    public Grams? MassOf(string text, Ingredient item) => Amount(Spaces().Replace(text, " ").Trim().ToLowerInvariant(), item).Mass;

    private List<Ingredient> Meant(string line)
    {
        // A name as the larder has it, behind the amount and before a comma, is meant and no other.
        var named = known.Where(k => line.Contains(k.Item.Name.ToLowerInvariant(), StringComparison.Ordinal)).Select(k => k.Item).ToList();
        if (named.Count > 0)
        {
            var longest = named.Max(i => i.Name.Length);
            var exact = named.Where(i => i.Name.Length == longest && Bare(line).StartsWith(i.Name.ToLowerInvariant(), StringComparison.Ordinal)).ToList();
            if (exact.Count == 1)
            {
                return exact;
            }
        }

        var words = Words(line).ToHashSet(StringComparer.Ordinal);
        if (words.Where(Plainly.ContainsKey).Select(w => Plainly[w]).Distinct().ToList() is [var plainly] && !words.Any(w => w is "butter" or "flaky") && kitchen.TryGet(plainly, out var it))
        {
            return [it!];
        }

        var best = (Share: 0.0, Count: 0);
        var found = new List<Ingredient>();
        foreach (var (item, names) in known)
        {
            var fits = names.Select(n => (Share: (double)n.Count(words.Contains) / n.Length, Count: n.Count(words.Contains), Telling: n.Any(w => words.Contains(w) && !Manner.Contains(w))))
                .Where(f => f.Telling && f.Share >= Enough).Select(f => (f.Share, f.Count)).DefaultIfEmpty().Max();
            if (fits.Count > 0 && fits.CompareTo(best) >= 0)
            {
                if (fits.CompareTo(best) > 0)
                {
                    found.Clear();
                }

                best = fits;
                found.Add(item);
            }
        }

        return found;
    }

    // The line without its amount.
    private static string Bare(string line) => Leading().Replace(line, "");

    private (Grams? Mass, bool TwoWays) Amount(string line, Ingredient item)
    {
        if (FromTo().IsMatch(line))
        {
            return (null, true);
        }

        // Grams or millilitres anywhere are what was weighed; cups stand beside them.
        if (Metric().Match(line) is { Success: true } metric)
        {
            var read = AmountReader.Read(metric.Value, item, kitchen.Measures);
            return (read.Mass, read.Trouble == AmountTrouble.TwoWays);
        }

        var words = line.Replace("(", " ", StringComparison.Ordinal).Split(' ', StringSplitOptions.RemoveEmptyEntries);
        for (var n = Math.Min(MostAmountWords, words.Length); n > 1; n--)
        {
            var prefix = string.Join(' ', words.Take(n));
            // A bare number is a count and no weight.
            if (prefix.Any(char.IsAsciiLetter) && AmountReader.Read(prefix, item, kitchen.Measures) is { Trouble: AmountTrouble.None, Mass: { } mass } && !BareNumber().IsMatch(prefix))
            {
                return (mass, false);
            }
        }

        return item.Each is { } each && AmountReader.Read(words.FirstOrDefault("") + " g", item, kitchen.Measures).Mass is { } count ? (each * count.Value, false) : (null, false);
    }

    // What stands in brackets is another name of the same thing.
    private static IEnumerable<string[]> NamesOf(string name)
    {
        var open = name.IndexOf('(', StringComparison.Ordinal);
        var outside = open < 0 ? name : name[..open];
        yield return [.. Words(outside)];
        if (open >= 0)
        {
            foreach (var other in name[(open + 1)..].Trim(')', ' ').Split([" or ", ", "], StringSplitOptions.RemoveEmptyEntries))
            {
                if (Words(other).ToArray() is { Length: > 0 } words)
                {
                    yield return words;
                }
            }
        }
    }

    private static IEnumerable<string> Words(string text) => Word().Matches(text.ToLowerInvariant()).Select(m => Single(m.Value)).Distinct();

    private static string Single(string word) => word switch
    {
        "leaves" => "leaf",
        "wholewheat" => "whole",
        "curd" or "yoghurt" => "yogurt",
        _ => word.Length > 3 && word.EndsWith('s') && !word.EndsWith("ss", StringComparison.Ordinal) ? word[..^1] : word,
    };

    [GeneratedRegex(@"[\s\u00a0\u202f]+")]
    private static partial Regex Spaces();

    [GeneratedRegex(@"[\p{L}]{3,}(?:-[\p{L}]{3,})*")]
    private static partial Regex Word();

    [GeneratedRegex(@"^[\d\s.,/⁄½⅓⅔¼¾⅛⅜⅝⅞]+(?:kg|g|mg|ml|cl|dl|l|oz|lb|cups?|tbsp|tsp)?\s+(?:of )?")]
    private static partial Regex Leading();

    [GeneratedRegex(@"\d(?:[.,]\d+)? ?(?:-|–|—|to) ?\d")]
    private static partial Regex FromTo();

    [GeneratedRegex(@"(?<![\d.,/⁄])\d[\d ]*(?:[.,]\d+)? ?(?:kg|g|gr|grams?|ml|cl|dl|l|litres?|liters?)(?![\p{L}])")]
    private static partial Regex Metric();

    [GeneratedRegex(@"^(?:an?|half|[\d\s.,/⁄½⅓⅔¼¾⅛⅜⅝⅞]+)$")]
    private static partial Regex BareNumber();
}
