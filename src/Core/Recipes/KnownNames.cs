using System.Text.RegularExpressions;

namespace Ystrata.Core.Recipes;

/// <summary>What the lines of a larder go by: their own names, what stands there in brackets, and other names cooks have for them.</summary>
internal sealed partial class KnownNames
{
    // Half the words of a name have to be there where no name is there whole (empirical).
    private const double Enough = 0.5;

    // Other names by id, the commonest things first.
    private static readonly Dictionary<string, (int Rank, List<string[]> Names)> Others =
        ShippedTable.Rows("names.csv").Select((r, i) => (Id: r[0], Rank: i, Names: r[1].Split('|').Select(n => Words(n).ToArray()).ToList())).ToDictionary(r => r.Id, r => (r.Rank, r.Names), StringComparer.Ordinal);

    // Words that say how a thing is and not what it is.
    private static readonly HashSet<string> Manner = new(
        [
            "white", "whole", "plain", "fine", "soft", "strong", "raw", "dry", "dried", "fresh", "ground", "chopped", "grated", "refined", "mashed", "cooked", "boiled", "quick",
            "low", "thick", "green", "sweet", "virgin", "extra", "pressed", "rolled", "roasted", "wilted", "stone", "blanched", "brined", "melting", "based", "block", "black", "red", "warm", "mix", "whipping",
        ],
        StringComparer.Ordinal);

    private readonly List<(Ingredient Item, string Name, List<string[]> Names)> known;

    public KnownNames(Larder larder) =>
        known = [.. larder.All.Where(i => i.Origin != Origin.Gone).OrderBy(i => Rank(i.Id)).ThenBy(i => i.Id, StringComparer.Ordinal)
            .Select(i => (i, i.Name.ToLowerInvariant(), NamesOf(i.Name).Concat(Shipped(i)).Concat(Others.TryGetValue(i.Id, out var others) ? others.Names : []).ToList()))];

    /// <summary>What a text without its amount means: one thing, or several that could be meant, the likeliest first.</summary>
    public List<Ingredient> Meant(string text)
    {
        // A name as the larder has it, before a comma, is meant and no other.
        var named = known.Where(k => text.StartsWith(k.Name, StringComparison.Ordinal) && (text.Length == k.Name.Length || ",;".Contains(text[k.Name.Length], StringComparison.Ordinal))).ToList();
        if (named.Count > 0)
        {
            var longest = named.Max(k => k.Name.Length);
            return [.. named.Where(k => k.Name.Length == longest).Take(1).Select(k => k.Item)];
        }

        // What stands before a comma or a bracket is the thing; what follows says how it is.
        var head = Head().Match(text).Value;
        var found = Whole(Words(head).ToHashSet(StringComparer.Ordinal));
        var words = Words(text).ToHashSet(StringComparer.Ordinal);
        return found.Count > 0 ? found : Whole(words) is { Count: > 0 } whole ? whole : Partly(words);
    }

    // Every word of the name is there; of several names the longest.
    private List<Ingredient> Whole(HashSet<string> words)
    {
        var whole = known.Select(k => (k.Item, Length: k.Names.Where(n => n.Length > 0 && n.All(words.Contains)).Select(n => n.Length).DefaultIfEmpty().Max())).Where(k => k.Length > 0).ToList();
        return whole.Count == 0 ? [] : [.. whole.Where(k => k.Length == whole.Max(w => w.Length)).Select(k => k.Item)];
    }

    private List<Ingredient> Partly(HashSet<string> words)
    {
        var best = (Share: 0.0, Count: 0);
        var found = new List<Ingredient>();
        foreach (var (item, _, names) in known)
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

    // A shipped line that is called otherwise in the cook's language goes by its shipped name too.
    private static IEnumerable<string[]> Shipped(Ingredient item) => item.Origin != Origin.Own && Larder.Shipped.TryGet(item.Id, out var shipped) && shipped!.Name != item.Name ? NamesOf(shipped.Name) : [];

    private static int Rank(string id) => Others.TryGetValue(id, out var other) ? other.Rank : int.MaxValue;

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

    private static IEnumerable<string> Words(string text) => Word().Matches(text.ToLowerInvariant()).SelectMany(m => m.Value.Split('-')).Where(w => w.Length > 2).Select(Single).Distinct();

    private static string Single(string word) => word switch
    {
        "leaves" => "leaf",
        "wholewheat" => "wholewheat",
        "yoghurt" => "yogurt",
        "chillies" or "chilies" or "chillis" or "chilis" or "chiles" or "chile" or "chili" => "chilli",
        "radishes" => "radish",
        _ when word.EndsWith("oes", StringComparison.Ordinal) => word[..^2],
        _ when word.Length > 4 && word.EndsWith("ies", StringComparison.Ordinal) => word[..^3] + "y",
        _ => word.Length > 3 && word.EndsWith('s') && !word.EndsWith("ss", StringComparison.Ordinal) ? word[..^1] : word,
    };

    [GeneratedRegex(@"[\p{L}]{3,}(?:-[\p{L}]{3,})*")]
    private static partial Regex Word();

    [GeneratedRegex(@"^[^,(;]*")]
    private static partial Regex Head();
}
