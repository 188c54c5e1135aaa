using System.Text.RegularExpressions;

namespace Ystrata.Core.Recipes;

/// <summary>What a line of the ingredients is for, by the heading it stands under.</summary>
internal enum LineFor
{
    Unsaid,
    Dough,
    Filling,
    Pan,
}

/// <summary>The ingredients of a recipe line by line: headings say what follows is for, and a line that names two things is two.</summary>
internal static partial class RecipeLines
{
    public static List<(string Text, LineFor For)> Of(IEnumerable<string> ingredients, Lexicon words)
    {
        var (lines, part) = (new List<(string, LineFor)>(), LineFor.Unsaid);
        foreach (var text in ingredients)
        {
            if (HeadingOf(words.Read(text)) is { } heading)
            {
                part = heading;
                continue;
            }

            // A line of its own, however it reads: it is asked about.
            foreach (var one in Each(text))
            {
                lines.Add((one, Filling().IsMatch(words.Read(one)) ? LineFor.Filling : part));
            }
        }

        return lines;
    }

    /// <summary>What a heading says its lines are for; nothing where a text is no heading.</summary>
    public static LineFor? HeadingOf(string text)
    {
        var bare = text.Trim().Trim('*', '#', '_', ' ').TrimEnd(':', '.').Trim('*', ' ').ToLowerInvariant();
        return DoughHead().IsMatch(bare) ? LineFor.Dough : FillingHead().IsMatch(bare) ? LineFor.Filling : PanHead().IsMatch(bare) ? LineFor.Pan : null;
    }

    // "½ tsp each turmeric and chilli powder", "salt and pepper to taste".
    private static IEnumerable<string> Each(string text)
    {
        if (EachOf().Match(text) is { Success: true } each)
        {
            return And().Split(each.Groups[2].Value).Where(w => w.Trim().Length > 0).Select(what => $"{each.Groups[1].Value.Trim()} {what.Trim()}");
        }

        return SaltAnd().Match(text) is { Success: true } salt ? [$"{salt.Groups[1].Value} {salt.Groups[3].Value}".Trim(), $"{salt.Groups[2].Value} {salt.Groups[3].Value}".Trim()] : [text];
    }

    [GeneratedRegex(@"^(?:for )?(?:the )?(?:main )?dough(?: ingredients)?$")]
    private static partial Regex DoughHead();

    [GeneratedRegex(@"^(?:for )?(?:the )?(?:filling|stuffing|stuff)(?: ingredients)?$")]
    private static partial Regex FillingHead();

    [GeneratedRegex(@"^(?:for |to )?(?:the )?(?:cook(?:ing)?|fry(?:ing)?|roast(?:ing)?|pan|brush(?:ing)?|finish(?:ing)?|layer(?:s|ing)?|serv(?:e|ing)|assembly)$")]
    private static partial Regex PanHead();

    [GeneratedRegex(@"\b(?:for|in) (?:the )?(?:filling|stuffing)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Filling();

    [GeneratedRegex(@"^(.*?\d.*?|a pinch|a handful|a pinch of)\s+each(?: of)?:?\s+(.+)$", RegexOptions.IgnoreCase)]
    private static partial Regex EachOf();

    [GeneratedRegex(@", | and | & ", RegexOptions.IgnoreCase)]
    private static partial Regex And();

    [GeneratedRegex(@"^(salt|ghee|oil|butter) and ((?:black )?pepper|oil|ghee|butter|salt)\b[, ]*(.*)$", RegexOptions.IgnoreCase)]
    private static partial Regex SaltAnd();
}
