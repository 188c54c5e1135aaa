using System.Text.RegularExpressions;

namespace Ystrata.Core.Recipes;

/// <summary>Finds name, ingredients, steps and yield in a recipe as people send it: plain text, with headings or without, in lists or in one breath.</summary>
public static partial class PlainRecipe
{
    private const int LongestName = 80, LongestLine = 90;

    private enum Mode
    {
        Unsaid,
        Ingredients,
        Steps,
    }

    /// <param name="words">Those of the cook's language: what a line is, is asked of its words in the reader's own; it stays as it is written wherever it is taken whole.</param>
    public static RecipeText Read(string text, Lexicon words)
    {
        var (name, yield, mode) = ("", "", Mode.Unsaid);
        var (ingredients, steps) = (new List<string>(), new List<string>());
        foreach (var raw in text.Split('\n'))
        {
            var line = Marks().Replace(raw.Replace('\t', ' ').Replace("**", "", StringComparison.Ordinal).Trim(), "").Trim();
            if (line.Length == 0)
            {
                continue;
            }

            var ours = words.Read(line);
            var head = ours.TrimEnd(':', '.', ' ').ToLowerInvariant();
            if (IngredientsHead().IsMatch(head))
            {
                mode = Mode.Ingredients;
            }
            else if (StepsHead().IsMatch(head))
            {
                mode = Mode.Steps;
            }
            else if (Yield().Match(ours) is { Success: true } makes && line.Length < LongestLine)
            {
                yield = yield.Length == 0 ? line : yield;
            }
            else if (RecipeLines.HeadingOf(ours) is not null && mode != Mode.Steps)
            {
                ingredients.Add(line);
                mode = Mode.Ingredients;
            }
            else if (Inline().Match(ours) is { Success: true } inline && Amounts().Count(inline.Groups[2].Value) > 0 && mode != Mode.Steps)
            {
                // "Dough: 300 g flour, 180 g water"
                ingredients.Add(inline.Groups[1].Value);
                ingredients.AddRange(List(inline.Groups[2].Value));
            }
            else if (name.Length == 0 && ingredients.Count == 0 && steps.Count == 0 && mode == Mode.Unsaid && line.Length <= LongestName && !IsIngredient(ours) && !line.EndsWith('.'))
            {
                name = line;
            }
            else if (mode == Mode.Steps)
            {
                steps.AddRange(Sentences(line));
            }
            else if (mode == Mode.Ingredients && line.Length <= LongestLine && !Verb().IsMatch(ours))
            {
                ingredients.AddRange(Amounts().Count(ours) > 1 ? List(ours) : [line]);
            }
            else if (line.Length <= LongestLine && IsIngredient(ours))
            {
                ingredients.AddRange(Amounts().Count(ours) > 1 ? List(ours) : [line]);
            }
            else
            {
                Prose(ours, ingredients, steps);
            }
        }

        return new(name, "", ingredients, steps, yield, []);
    }

    // In one breath: a sentence that names amounts is what goes in, and every sentence is a step.
    private static void Prose(string line, List<string> ingredients, List<string> steps)
    {
        foreach (var sentence in Sentences(line))
        {
            if (Amounts().Count(sentence) > 0 && ForFilling().Match(sentence) is var filling)
            {
                ingredients.AddRange(filling.Success ? ["For the filling:"] : []);
                ingredients.AddRange(List(sentence[FirstAmount(sentence)..]));
            }

            steps.Add(sentence);
        }
    }

    private static int FirstAmount(string text) => Begins().Match(text) is { Success: true } m ? m.Index : 0;

    private static IEnumerable<string> List(string text) => Between().Split(text).Select(t => t.Trim(' ', '.', ',', ';')).Where(t => t.Length > 0);

    private static IEnumerable<string> Sentences(string line) => SentenceEnd().Split(line).Select(s => s.Trim()).Where(s => s.Length > 0);

    private static bool IsIngredient(string line) => !Verb().IsMatch(line) && (Starts().IsMatch(line) || Amounts().Count(line) > 0 || Loose().IsMatch(line));

    private const string Number = @"(?:\d+(?:[.,/⁄]\d+)?(?: \d+[/⁄]\d+)?\s?[½⅓⅔¼¾⅛⅜⅝⅞]?|[½⅓⅔¼¾⅛⅜⅝⅞])";
    private const string Unit = @"(?:kg|g|gr|grams?|ml|cl|dl|l|litres?|liters?|oz|ounces?|lbs?|pounds?|cups?|c|tbsps?|tbs|tablespoons?|tsps?|teaspoons?|handfuls?|pinch(?:es)?|bunch(?:es)?|cloves?|sticks?|mugs?|glass(?:es)?|bowls?|ladles?)";

    [GeneratedRegex(@"^(?:[-*•·☐✓✔▢➤>–—#]+\s*|\[ ?\]\s*|\d{1,2}[.)]\s+|step \d+[:.]?\s*)+", RegexOptions.IgnoreCase)]
    private static partial Regex Marks();

    [GeneratedRegex(@"^(?:the )?(?:ingredients?(?: list)?|what you(?:'ll)? need|you(?:'ll| will)? need|shopping(?: list)?)(?: \(.*\))?$")]
    private static partial Regex IngredientsHead();

    [GeneratedRegex(@"^(?:the )?(?:method|directions?|instructions?|steps|preparation|procedure|how to make(?: it| them)?|what to do|making(?: it| them)?|to make)$")]
    private static partial Regex StepsHead();

    [GeneratedRegex(@"^(?:serves|makes|yields?|servings?|quantity)\b[:\s]+.*\d", RegexOptions.IgnoreCase)]
    private static partial Regex Yield();

    [GeneratedRegex(@"^((?:for )?(?:the )?(?:dough|filling|stuffing|pan|cooking|frying))\s*[:–-]\s+(.+)$", RegexOptions.IgnoreCase)]
    private static partial Regex Inline();

    [GeneratedRegex(@"\b(?:for (?:the )?(?:filling|stuffing)|fill(?:ing)? (?:it |them )?with|stuff (?:it |them )?with)\b", RegexOptions.IgnoreCase)]
    private static partial Regex ForFilling();

    [GeneratedRegex(@"(?:(?<![\d/.])" + Number + @"|\b(?:an?|half an?|two|three))\s*(?:(?:heaped|big|small|large|level)\s+)?" + Unit + @"\b", RegexOptions.IgnoreCase)]
    private static partial Regex Amounts();

    [GeneratedRegex(@"(?:(?<![\d/.])" + Number + @"|\b(?:an?|half an?|two|three))\s*(?:(?:heaped|big|small|large|level)\s+)?" + Unit + @"\b", RegexOptions.IgnoreCase)]
    private static partial Regex Begins();

    [GeneratedRegex(@"(?:[,;]\s*(?:and\s+)?|\s+and\s+|\s+with\s+|\s\+\s)(?=" + Number + @"|(?:an?|half an?|two|three|four) (?:\w+ )?(?:pinch|handful|little|bit|spoon|teaspoon|tablespoon|tsp|tbsp|cup|glass|mug|bowl)|some |salt\b|oil\b|ghee\b|water\b)", RegexOptions.IgnoreCase)]
    private static partial Regex Between();

    [GeneratedRegex(@"(?<=[.!?])(?<!\b(?:tbsp|tsp|tbs|oz|min|approx|c|g)\.)\s+")]
    private static partial Regex SentenceEnd();

    [GeneratedRegex(@"^(?:" + Number + @"|an? |half |a few |some |two |three )", RegexOptions.IgnoreCase)]
    private static partial Regex Starts();

    [GeneratedRegex(@"^(?:salt|oil|ghee|butter|water|pepper|flour)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Loose();

    [GeneratedRegex(@"^(?:take|mix|combine|knead|add|put|rest|roll|cook|divide|heat|make|fry|roast|place|fold|brush|sift|stir|let|cover|shape|squeeze|serve|flip|turn|in a|then|bring|rub|pour|work|leave)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Verb();
}
