using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using Ystrata.Web.Words;

namespace Ystrata.Web.Tests;

/// <summary>What the server words itself, in the language of the request: a made-up one beside English.</summary>
public sealed class WordsTests : IDisposable
{
    private const string Language = "en-XT";

    private readonly string folder = Directory.CreateTempSubdirectory("ystrata-words-").FullName;
    private readonly WebKitchen kitchen;

    public WordsTests()
    {
        Write("calendar.json", new() { ["calendar_mix"] = "Mischu: {bread}", ["calendar_pan"] = "Panu {pan}: {bread} {pieces}", ["list"] = "{first} & {next}" });
        Write("recipe.json", new() { ["recipe_yield"] = "Pecos: {count}", ["recipe_dough"] = "{item} {mass} g" });
        Write("names.json", new() { ["item_flour-white"] = "Mel blan", ["note_flour-white"] = "senti meza", ["within_flour-white"] = "melo blan", ["read_cup"] = "kopa|kopas", ["read_makes"] = "fas" });
        kitchen = new() { Words = folder };
    }

    public void Dispose()
    {
        kitchen.Dispose();
        Directory.Delete(folder, recursive: true);
    }

    private void Write(string file, Dictionary<string, string> words)
    {
        Directory.CreateDirectory(Path.Combine(folder, Language));
        File.WriteAllText(Path.Combine(folder, Language, file), JsonSerializer.Serialize(words));
    }

    private HttpClient Asks(string? language)
    {
        var client = kitchen.CreateClient();
        if (language is not null)
        {
            client.DefaultRequestHeaders.AcceptLanguage.Add(new(language));
        }

        return client;
    }

    private static async Task<JsonNode> Get(HttpClient client, string path)
    {
        using var answer = await client.GetAsync(path);
        return await WebKitchen.Json(answer);
    }

    private static JsonNode Item(JsonNode larder, string id) => larder["ingredients"]!.AsArray().Single(i => (string?)i!["id"] == id)!;

    [Theory]
    [InlineData(Language, "Mel blan", "senti meza")]
    [InlineData("en-GB", "White wheat flour (maida or all-purpose)", "medium feel")]
    [InlineData("zz", "White wheat flour (maida or all-purpose)", "medium feel")]
    [InlineData(null, "White wheat flour (maida or all-purpose)", "medium feel")]
    public async Task What_ships_in_the_larder_has_its_name_in_the_language_asked_in(string? language, string name, string note)
    {
        using var client = Asks(language);
        var flour = Item(await Get(client, "/api/larder"), "flour-white");

        Assert.Equal((name, note), ((string?)flour["name"], (string?)flour["note"]));
    }

    [Fact]
    public async Task What_ships_in_the_larder_has_a_form_within_a_sentence_and_what_a_cook_has_named_has_none()
    {
        using var theirs = Asks(Language);
        using var ours = Asks("en-GB");
        var shipped = Core.Kitchens.Larder.Shipped.All.Select(i => i.Id).Order();

        var within = (await Get(ours, "/api/larder"))["within"]!.AsObject();
        Assert.Equal(shipped, within.Select(w => w.Key).Order());
        Assert.Equal("white wheat flour", (string?)within["flour-white"]);
        Assert.Equal("melo blan", (string?)(await Get(theirs, "/api/larder"))["within"]!["flour-white"]);

        var flour = Item(await Get(ours, "/api/larder"), "flour-white");
        flour["name"] = "Landing White";
        using var put = await ours.PutAsync("/api/larder/items/flour-white", WebKitchen.Body(flour));
        Assert.True(put.IsSuccessStatusCode);
        Assert.Null((await Get(ours, "/api/larder"))["within"]!["flour-white"]);
    }

    [Fact]
    public async Task The_language_of_the_pages_counts_before_the_browsers()
    {
        using var client = Asks("en-GB");
        client.DefaultRequestHeaders.Add("Cookie", $".AspNetCore.Culture={Uri.EscapeDataString($"c={Language}|uic={Language}")}");

        Assert.Equal("Mel blan", (string?)Item(await Get(client, "/api/larder"), "flour-white")["name"]);
    }

    [Fact]
    public async Task What_is_put_right_in_one_language_keeps_its_name_in_the_others()
    {
        using var theirs = Asks(Language);
        var flour = Item(await Get(theirs, "/api/larder"), "flour-white");
        flour["absorption"] = 60;
        using (var put = await theirs.PutAsync("/api/larder/items/flour-white", WebKitchen.Body(flour)))
        {
            Assert.Equal("Mel blan", (string?)(await WebKitchen.Json(put))["name"]);
        }

        using var ours = Asks(null);
        var now = Item(await Get(ours, "/api/larder"), "flour-white");
        Assert.Equal(("White wheat flour (maida or all-purpose)", 60), ((string?)now["name"], (double)now["absorption"]!));

        flour["name"] = "Mel de Marisa";
        using (var renamed = await theirs.PutAsync("/api/larder/items/flour-white", WebKitchen.Body(flour)))
        {
            Assert.True(renamed.IsSuccessStatusCode);
        }

        Assert.Equal("Mel de Marisa", (string?)Item(await Get(ours, "/api/larder"), "flour-white")["name"]);
    }

    [Fact]
    public async Task Calendar_and_recipe_are_in_the_language_asked_in_and_figures_are_the_same()
    {
        using var theirs = Asks(Language);
        using var kept = await theirs.PostAsync("/api/breads", WebKitchen.Body(new { name = "Landing", about = "", tags = Array.Empty<string>(), spec = WebKitchen.Squares() }));
        var bread = await WebKitchen.Json(kept);
        using var made = await theirs.PostAsync("/api/batches", WebKitchen.Body(new { breadId = (string?)bread["id"], name = "Landing", madeFor = DateTimeOffset.UtcNow.AddHours(6), spec = WebKitchen.Squares() }));
        var batch = (string?)(await WebKitchen.Json(made))["id"];

        var calendar = await theirs.GetStringAsync($"/api/batches/{batch}/timetable.ics");
        Assert.Contains("Mischu: Landing", calendar, StringComparison.Ordinal);
        Assert.Contains("Panu 1: Landing 1", calendar, StringComparison.Ordinal);
        // What that language lacks is said in English.
        Assert.Contains("Roll the first: Landing", calendar, StringComparison.Ordinal);

        var recipe = await Get(theirs, $"/api/files/recipes/{bread["id"]}");
        Assert.Equal("Pecos: 24", (string?)recipe["recipeYield"]);
        Assert.StartsWith("Mel blan ", (string?)recipe["recipeIngredient"]![0], StringComparison.Ordinal);

        using var ours = Asks(null);
        var english = await Get(ours, $"/api/files/recipes/{bread["id"]}");
        Assert.Equal("Pieces: 24", (string?)english["recipeYield"]);
        Assert.EndsWith("g White wheat flour (maida or all-purpose)", (string?)english["recipeIngredient"]![0], StringComparison.Ordinal);
        Assert.Equal(english["ystrata:spec"]!.ToJsonString(), recipe["ystrata:spec"]!.ToJsonString());
    }

    [Fact]
    public async Task Amounts_are_read_in_the_words_of_the_language_asked_in()
    {
        using var theirs = Asks(Language);
        using var ours = Asks(null);
        async Task<JsonNode> Read(HttpClient client, string text)
        {
            using var answer = await client.PostAsync("/api/measure", WebKitchen.Body(new { text, item = "flour-white", ounces = false }));
            return await WebKitchen.Json(answer);
        }

        Assert.Equal((double)(await Read(ours, "2 cups"))["mass"]!, (double)(await Read(theirs, "2 kopas"))["mass"]!);
        Assert.Equal("unknownVessel", (string?)(await Read(ours, "2 kopas"))["trouble"]);
    }

    [Fact]
    public void A_folder_that_is_not_there_and_a_file_that_is_no_catalogue_are_told()
    {
        Assert.Contains("--words", Assert.Throws<CatalogueException>(() => new Catalogues(Path.Combine(folder, "nowhere"))).Message, StringComparison.Ordinal);
        File.WriteAllText(Path.Combine(folder, Language, "broken.json"), "{ \"list\": 3 }");
        Assert.Contains("broken.json", Assert.Throws<CatalogueException>(() => new Catalogues(folder)).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void What_is_put_in_is_never_taken_for_a_name_in_braces()
    {
        var said = new Catalogues(null).In(CultureInfo.InvariantCulture);

        Assert.Equal("Pan 2: {pieces} 7", said["calendar_pan", ("bread", "{pieces}"), ("pan", 2), ("pieces", 7)]);
        Assert.Equal("a, b, c", said.List(["a", "b", "c"]));
    }
}
