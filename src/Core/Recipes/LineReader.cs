using System.Text.RegularExpressions;

namespace Ystrata.Core.Recipes;

/// <summary>Reads one line of a recipe's ingredients: how much of what.</summary>
internal sealed partial class LineReader(Kitchen kitchen)
{
    private const int MostCould = 8, LongestLine = 200;

    private readonly KnownNames names = new(kitchen.Larder);
    private readonly LineAmount amounts = new(kitchen.Measures);

    public RecipeLine Read(string text)
    {
        var line = Plain(kitchen.Words.Read(text));
        var could = Meant(line);
        if (could.Count != 1 && Plain(text) is var written && written != line && Meant(written) is { Count: 1 } named)
        {
            could = named;
        }

        if (could.Count != 1)
        {
            return new(text, null, null, could.Count == 0 ? LineTrouble.NoIngredient : LineTrouble.Several, [.. could.Take(MostCould).Select(i => i.Id)]);
        }

        var (mass, twoWays, packing) = amounts.Of(line, could[0]);
        return new(text, could[0].Id, mass, twoWays ? LineTrouble.TwoWays : mass is null ? LineTrouble.NoAmount : LineTrouble.None, [could[0].Id], packing);
    }

    /// <summary>The amount of a line once it is known of what; nothing when there is none.</summary>
    public (Grams? Mass, double? Packing) MassOf(string text, Ingredient item) => amounts.Of(Plain(kitchen.Words.Read(text)), item) is var read ? (read.Mass, read.Packing) : default;

    // Small letters, no list marks, and nothing of what is only said beside: extra for dusting, or as needed, optional.
    private static string Plain(string text)
    {
        var line = Spaces().Replace(text.Length > LongestLine ? text[..LongestLine] : text, " ").Trim(' ', '-', '*', '•');
        // A big T is a tablespoon, a small one a teaspoon.
        line = LoneT().Replace(line, m => m.Groups[1].Value == "T" ? " tbsp" : " tsp").ToLowerInvariant();
        return Beside().Replace(line, "").Trim(' ', ',', ';', '.');
    }

    private List<Ingredient> Meant(string line)
    {
        // Of alternatives the first that is known is meant.
        var bare = LineAmount.Without(line);
        foreach (var one in Alternatives().Split(bare))
        {
            // Salt alone is fine salt, however it is called.
            if (Salt().IsMatch(one) && !Salty().IsMatch(one) && kitchen.TryGet(Staples.Salt, out var it))
            {
                return [it!];
            }

            if (names.Meant(one) is { Count: > 0 } found)
            {
                return found;
            }
        }

        return names.Meant(bare);
    }

    [GeneratedRegex(@"[\s\u00a0\u202f]+")]
    private static partial Regex Spaces();

    [GeneratedRegex(@"(?:,? ?\(?(?:plus|and|with) (?:extra|more|some|a (?:little|bit) more)\b.*$)|(?:,? ?\(?(?:or )?(?:as|if|when) (?:needed|required|necessary|desired)\)?)|(?:,? ?\(?(?:or )?to taste\)?)|(?:,? ?\(?optional\)?)")]
    private static partial Regex Beside();

    [GeneratedRegex(@"(?<=[\d½⅓⅔¼¾]) ?([tT])(?:\.(?= )|(?= ))")]
    private static partial Regex LoneT();

    [GeneratedRegex(@" or | / ")]
    private static partial Regex Alternatives();

    [GeneratedRegex(@"^(?:\w+ ){0,2}salt\b(?!ed)")]
    private static partial Regex Salt();

    [GeneratedRegex(@"butter|flak|black salt")]
    private static partial Regex Salty();
}
