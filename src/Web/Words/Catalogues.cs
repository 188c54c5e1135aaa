using System.Globalization;
using System.Reflection;
using System.Text.Json;
using System.Text.RegularExpressions;

namespace Ystrata.Web.Words;

/// <summary>
/// What the server itself words, by language: a catalogue is a folder of flat JSON files, keys with their words, and names in braces for what is put in.
/// English ships with the program; a folder with others can be named (<c>--words</c>). What a language lacks is said in English.
/// </summary>
public sealed class Catalogues
{
    private const string English = "en";

    private readonly Dictionary<string, Said> byLanguage;

    /// <param name="folder">A folder for each language in it; nothing where there are none.</param>
    /// <exception cref="CatalogueException">There is no such folder, or a file in it is no catalogue.</exception>
    public Catalogues(string? folder)
    {
        var shipped = new Said(English, Shipped(), null);
        byLanguage = new(StringComparer.OrdinalIgnoreCase) { [English] = shipped };
        if (folder is not null && !Directory.Exists(folder))
        {
            throw new CatalogueException($"There is no folder {folder} with words of other languages. Say another one with --words, or none.");
        }

        foreach (var language in folder is null ? [] : Directory.GetDirectories(folder))
        {
            var words = Directory.EnumerateFiles(language, "*.json").SelectMany(Of).DistinctBy(w => w.Key).ToDictionary(StringComparer.Ordinal);
            byLanguage[Path.GetFileName(language)] = new(Path.GetFileName(language), words, shipped);
        }

        Languages = [.. byLanguage.Keys.Select(CultureInfo.GetCultureInfo)];
    }

    public IList<CultureInfo> Languages { get; }

    /// <summary>In the language of a request, which is one of those there are.</summary>
    public Said In(CultureInfo language) => byLanguage.GetValueOrDefault(language.Name) ?? byLanguage[English];

    private static Dictionary<string, string> Shipped()
    {
        var program = Assembly.GetExecutingAssembly();
        return program.GetManifestResourceNames().Where(n => n.StartsWith("Words.", StringComparison.Ordinal)).SelectMany(n => Read(program.GetManifestResourceStream(n)!)).ToDictionary(StringComparer.Ordinal);
    }

    private static Dictionary<string, string> Of(string file)
    {
        try
        {
            return Read(File.OpenRead(file));
        }
        catch (JsonException e)
        {
            throw new CatalogueException($"{file} is no catalogue of words: {e.Message}");
        }
    }

    private static Dictionary<string, string> Read(Stream file)
    {
        using (file)
        {
            return JsonSerializer.Deserialize<Dictionary<string, string>>(file) ?? [];
        }
    }
}

/// <summary>Words that cannot be read, and why.</summary>
public sealed class CatalogueException(string message) : Exception(message);

/// <summary>The words of one language.</summary>
public sealed partial class Said(string language, IReadOnlyDictionary<string, string> words, Said? otherwise)
{
    private const string Reading = "read_";

    private readonly Lexicon lexicon = new(words.Where(w => otherwise is not null && w.Key.StartsWith(Reading, StringComparison.Ordinal))
        .SelectMany(w => w.Value.Split('|', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries).Select(their => (their, otherwise!.words.GetValueOrDefault(w.Key, their)))));

    private readonly IReadOnlyDictionary<string, string> words = words;
    private (Larder Of, Larder Named)? larder;

    /// <summary>As HTTP calls it.</summary>
    public string Language { get; } = language;

    /// <summary>What a key says, with everything put in that it names.</summary>
    /// <exception cref="KeyNotFoundException">No catalogue has the key, or the words name something that is not given.</exception>
    public string this[string key, params (string Name, object Is)[] with] => PutIn().Replace(
        words.GetValueOrDefault(key) ?? otherwise?.words.GetValueOrDefault(key) ?? throw new KeyNotFoundException($"No catalogue has {key}."),
        m => with.Where(w => w.Name == m.Groups[1].Value).Select(w => Convert.ToString(w.Is, CultureInfo.InvariantCulture)).FirstOrDefault() ?? throw new KeyNotFoundException($"{key} names {m.Value}."));

    [GeneratedRegex(@"\{(\w+)\}")]
    private static partial Regex PutIn();

    /// <summary>Things one after the other, as this language lists them.</summary>
    public string List<T>(IEnumerable<T> things) => things.Select(t => Convert.ToString(t, CultureInfo.InvariantCulture) ?? "").Aggregate("", (first, next) => first.Length == 0 ? next : this["list", ("first", first), ("next", next)]);

    /// <summary>The same kitchen with the names its shipped things have in this language, reading its words.</summary>
    public Kitchen Kitchen(Kitchen kitchen) => otherwise is null ? kitchen : kitchen with { Larder = Larder(kitchen.Larder), Words = lexicon };

    /// <summary>Shipped lines by their names in this language; what a cook has named stays.</summary>
    public Larder Larder(Larder of)
    {
        if (otherwise is null)
        {
            return of;
        }

        // Made once for each larder: it is asked for with every request.
        if (larder is { } known && ReferenceEquals(known.Of, of))
        {
            return known.Named;
        }

        var named = new Larder(of.All.Select(Named));
        larder = (of, named);
        return named;
    }

    /// <summary>By id, the names of shipped lines as this language writes them within a sentence. What a cook has named has no other form.</summary>
    public IReadOnlyDictionary<string, string> Within(Larder of) => of.All
        .Where(i => Core.Kitchens.Larder.Shipped.TryGet(i.Id, out var shipped) && i.Name == (otherwise is null ? shipped! : Named(shipped!)).Name)
        .Select(i => (i.Id, Form: words.GetValueOrDefault("within_" + i.Id)))
        .Where(i => i.Form is not null)
        .ToDictionary(i => i.Id, i => i.Form!);

    /// <summary>A line as it comes back from a page of this language: what was not renamed has its shipped name.</summary>
    public Ingredient AsShipped(Ingredient item) => otherwise is not null && Core.Kitchens.Larder.Shipped.TryGet(item.Id, out var shipped) && Named(shipped!) is var named
        ? item with { Name = item.Name == named.Name ? shipped!.Name : item.Name, Note = item.Note == named.Note ? shipped!.Note : item.Note }
        : item;

    private Ingredient Named(Ingredient item) => Core.Kitchens.Larder.Shipped.TryGet(item.Id, out var shipped)
        ? item with
        {
            Name = item.Name == shipped!.Name ? words.GetValueOrDefault("item_" + item.Id, item.Name) : item.Name,
            Note = item.Note == shipped.Note ? words.GetValueOrDefault("note_" + item.Id, item.Note) : item.Note,
        }
        : item;
}
