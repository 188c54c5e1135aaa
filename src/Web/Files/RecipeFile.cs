using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using AngleSharp.Dom;
using AngleSharp.Html.Parser;
using Ystrata.Store;
using Ystrata.Web.Endpoints;
using Ystrata.Web.Words;

namespace Ystrata.Web.Files;

/// <summary>A recipe out of a file: in words, and as decided where the file came from Ystrata.</summary>
/// <param name="Own">What was decided, kept in the file beside the words; nothing in files from elsewhere.</param>
internal sealed record ForeignRecipe(RecipeText Text, BatchSpec? Own);

/// <summary>Breads as schema.org Recipe in JSON-LD. What the words cannot carry goes beside them, under a name of its own.</summary>
internal static partial class RecipeFile
{
    private const string Ours = "ystrata", OursAt = "urn:ystrata:1#", Decided = $"{Ours}:spec", Declared = $"{Ours}:allergens";
    private const string Kind = "application/ld+json";
    private const int LongestWord = 600, MostDeep = 6;

    // Reads only: it fetches nothing and runs nothing.
    private static readonly HtmlParser Pages = new();

    /// <summary>Everything but the steps: those are words, and the interface has them.</summary>
    /// <param name="said">The language it is written in; what was decided is kept beside the words and is the same in all.</param>
    public static JsonObject Write(Bread bread, BatchSheet sheet, Kitchen kitchen, Said said) => new()
    {
        ["@context"] = new JsonArray("https://schema.org", new JsonObject { [Ours] = OursAt, [Decided] = new JsonObject { ["@type"] = "@json" } }),
        ["@type"] = "Recipe",
        ["name"] = bread.Name,
        ["description"] = bread.About,
        ["keywords"] = string.Join(", ", bread.Tags),
        ["recipeYield"] = said["recipe_yield", ("count", sheet.Pieces())],
        ["recipeIngredient"] = new JsonArray(
        [
            // Liquor of the filling is in the filling already, and in no larder.
            .. sheet.Dough.Portions.Where(p => p.Mass.Value > 0 && kitchen.TryGet(p.Id, out _)).Select(p => Line("recipe_dough", p.Mass, p.Id, kitchen, said)),
            .. sheet.Used.Select(u => Line(u.Part switch { CostPart.Filling => "recipe_filling", CostPart.Pan => "recipe_on_pan", _ => "recipe_between" }, u.Mass, u.Id, kitchen, said)),
        ]),
        [Declared] = new JsonArray([.. sheet.Allergens.Select(a => (JsonNode)JsonNamingPolicy.CamelCase.ConvertName(a.ToString())), .. sheet.Undeclared.Select(id => (JsonNode)said["recipe_not_declared", ("item", kitchen[id].Name)])]),
        [Decided] = JsonSerializer.SerializeToNode(bread.Spec, SpecJson.Options),
    };

    /// <summary>Finds the recipe in a JSON-LD document, or in a web page that has one in it.</summary>
    /// <exception cref="FileException">There is none, or it cannot be read.</exception>
    public static ForeignRecipe Read(string file, Lexicon words)
    {
        var bare = file.TrimStart('\ufeff');
        // As people send it: no JSON, no page.
        if (bare.AsSpan().TrimStart() is { Length: > 0 } start && !(start[0] is '<' or '{' or '['))
        {
            return Plainly(bare, words);
        }

        var texts = bare.AsSpan().TrimStart().StartsWith("<") ? Pages.ParseDocument(bare).Scripts.Where(s => s.Type?.Trim().Equals(Kind, StringComparison.OrdinalIgnoreCase) == true).Select(s => s.Text) : [bare];
        JsonException? broken = null;
        foreach (var text in texts)
        {
            try
            {
                using var json = JsonDocument.Parse(text);
                if (Find(json.RootElement, 0) is { } recipe)
                {
                    return Understood(recipe);
                }
            }
            catch (JsonException e)
            {
                broken = e;
            }
            catch (InvalidOperationException)
            {
                // Letters that are half a letter.
                throw new FileException(FileRefusals.BrokenFile);
            }
        }

        throw broken is null ? new FileException(FileRefusals.NoRecipe) : new FileException(FileRefusals.BrokenFile, broken.LineNumber + 1);
    }

    private static ForeignRecipe Plainly(string text, Lexicon words)
    {
        var read = PlainRecipe.Read(text.Replace("\r", "", StringComparison.Ordinal).Replace('\0', ' '), words);
        return read.Ingredients.Count == 0
            ? throw new FileException(FileRefusals.NoRecipe)
            : new(read with { Name = Short(read.Name, Common.LongestName), Ingredients = [.. read.Ingredients.Select(i => Short(i, LongestWord))], Steps = [.. read.Steps.Select(s => Short(s, LongestWord))], Yield = Short(read.Yield, LongestWord) }, null);
    }

    private static JsonNode Line(string key, Grams mass, string id, Kitchen kitchen, Said said) => said[key, ("mass", Math.Round(mass.Value, 2)), ("item", kitchen[id].Name)];

    private static JsonElement? Find(JsonElement json, int deep)
    {
        if (deep > MostDeep)
        {
            return null;
        }

        return json.ValueKind switch
        {
            JsonValueKind.Array => json.EnumerateArray().Select(e => Find(e, deep + 1)).FirstOrDefault(e => e is not null),
            JsonValueKind.Object when IsRecipe(json) => json,
            JsonValueKind.Object => json.EnumerateObject().Where(p => p.Name is "@graph" or "mainEntity" or "mainEntityOfPage").Select(p => Find(p.Value, deep + 1)).FirstOrDefault(e => e is not null),
            _ => null,
        };
    }

    private static bool IsRecipe(JsonElement json) => json.TryGetProperty("@type", out var type) && Many(type).Any(t => t is "Recipe" or "schema:Recipe" or "https://schema.org/Recipe" or "http://schema.org/Recipe");

    private static ForeignRecipe Understood(JsonElement recipe)
    {
        var text = new RecipeText(
            Short(One(recipe, "name"), Common.LongestName),
            Short(string.Join(" ", Words(recipe, "description")), Common.LongestAbout),
            [.. Words(recipe, "recipeIngredient"), .. Words(recipe, "ingredients")],
            [.. recipe.TryGetProperty("recipeInstructions", out var steps) ? Steps(steps, 0) : []],
            One(recipe, "recipeYield"),
            [.. Words(recipe, "keywords").SelectMany(k => k.Split(',')).Select(k => k.Trim()).Where(k => k.Length is > 0 and <= Common.LongestTag).Distinct(StringComparer.OrdinalIgnoreCase).Take(Common.MostTags)]);
        return new(text, Spec(recipe));
    }

    private static BatchSpec? Spec(JsonElement recipe)
    {
        if (!recipe.TryGetProperty(Decided, out var spec))
        {
            return null;
        }

        try
        {
            // Written as it is, or as JSON-LD lets a program write it anew.
            return (spec.ValueKind == JsonValueKind.Object && spec.TryGetProperty("@value", out var value) ? value : spec).Deserialize<BatchSpec>(SpecJson.Options);
        }
        catch (Exception e) when (e is JsonException or NotSupportedException or InvalidOperationException)
        {
            // Then the words have to do.
            return null;
        }
    }

    private static IEnumerable<string> Steps(JsonElement json, int deep)
    {
        if (deep > MostDeep)
        {
            return [];
        }

        return json.ValueKind switch
        {
            // One text for all: a line, or else a sentence, is a step.
            JsonValueKind.String => Plain(json.GetString()!) is var all && all.Contains('\n', StringComparison.Ordinal) ? Lines(all) : Sentences().Split(all).Where(s => s.Length > 0),
            JsonValueKind.Array => json.EnumerateArray().SelectMany(e => Steps(e, deep + 1)),
            JsonValueKind.Object when json.TryGetProperty("itemListElement", out var inner) => Steps(inner, deep + 1),
            JsonValueKind.Object when json.TryGetProperty("text", out var text) && text.ValueKind == JsonValueKind.String => [Short(Plain(text.GetString()!), LongestWord)],
            JsonValueKind.Object => One(json, "name") is { Length: > 0 } name ? [name] : [],
            _ => [],
        };
    }

    private static IEnumerable<string> Words(JsonElement json, string name) =>
        json.TryGetProperty(name, out var value) ? Many(value).SelectMany(v => Lines(Plain(v))).Select(v => Short(v, LongestWord)).Where(v => v.Length > 0) : [];

    private static string One(JsonElement json, string name) => Short(Words(json, name).FirstOrDefault() ?? "", LongestWord);

    private static IEnumerable<string> Many(JsonElement value) => value.ValueKind switch
    {
        JsonValueKind.String => [value.GetString()!],
        JsonValueKind.Number => [value.GetRawText()],
        JsonValueKind.Array => value.EnumerateArray().SelectMany(Many),
        JsonValueKind.Object when value.TryGetProperty("@value", out var inner) => Many(inner),
        _ => [],
    };

    private static string[] Lines(string text) => text.Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);

    // Words only: marks of a web page are not for reading.
    private static string Plain(string text)
    {
        if (!text.AsSpan().ContainsAny('<', '&'))
        {
            return text.Replace('\0', ' ').Trim();
        }

        var page = Pages.ParseDocument(text);
        foreach (var hidden in page.QuerySelectorAll("script, style, template"))
        {
            hidden.Remove();
        }

        return string.Join(' ', page.DocumentElement.Descendants<IText>().Select(t => t.Data)).Replace('\0', ' ').Trim();
    }

    private static string Short(string text, int longest) => text.Length <= longest ? text : text[..longest];

    [GeneratedRegex(@"(?<=[.!?])\s+")]
    private static partial Regex Sentences();
}
