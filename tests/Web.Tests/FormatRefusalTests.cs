using System.Net;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using Ystrata.Web.Demo;

namespace Ystrata.Web.Tests;

/// <summary>Recipes, tables and packets that make no sense, or only some.</summary>
public sealed class FormatRefusalTests : IClassFixture<WebKitchen>
{
    private readonly HttpClient client;

    public FormatRefusalTests(WebKitchen kitchen)
    {
        client = kitchen.CreateClient();
        kitchen.Services.GetRequiredService<DemoKitchen>().FillIfEmpty();
    }

    private async Task<JsonNode> Get(string path) => JsonNode.Parse(await client.GetStringAsync(path))!;

    private async Task<JsonNode> Post(string path, HttpContent body, HttpStatusCode status = HttpStatusCode.OK)
    {
        var answer = await client.PostAsync(path, body);
        Assert.True(answer.StatusCode == status, $"{path}: {answer.StatusCode} {await answer.Content.ReadAsStringAsync()}");
        return await WebKitchen.Json(answer);
    }

    private Task<JsonNode> Recipe(string file, object? settled = null, HttpStatusCode status = HttpStatusCode.OK) =>
        Post("/api/files/recipes", WebKitchen.Body(new { file, settled = settled ?? Array.Empty<object>() }), status);

    [Theory]
    [InlineData("", "brokenFile")]
    [InlineData("{\"@type\":\"Recipe\"", "brokenFile")]
    [InlineData("{}", "noRecipe")]
    [InlineData("Good morning. The ferry is late.", "noRecipe")]
    [InlineData("[[[[[[[[[[[[{\"@type\":\"Recipe\"}]]]]]]]]]]]]", "noRecipe")]
    [InlineData("<html><p>bread</p></html>", "noRecipe")]
    [InlineData("{\"@type\":\"Recipe\",\"name\":\"\\ud800\"}", "brokenFile")]
    public async Task What_is_no_recipe_is_said_to_be_none(string file, string code) =>
        Assert.Equal(code, (string)(await Recipe(file, status: HttpStatusCode.BadRequest))["refusals"]![0]!["code"]!);

    [Theory]
    [InlineData(",\"recipeIngredient\":17")]
    [InlineData(",\"recipeIngredient\":{\"a\":[]}")]
    [InlineData(",\"recipeYield\":{\"@value\":{\"@value\":3}}")]
    [InlineData(",\"recipeInstructions\":\"Mix. Rest 20 min. Roll to 6 inches.\"")]
    [InlineData(",\"ystrata:spec\":{\"start\":null}")]
    [InlineData(",\"ystrata:spec\":[1,2]")]
    public async Task Odd_but_sound_json_is_read_as_far_as_it_goes(string more) => Assert.NotNull((await Recipe(FormatTests.Foreign(more)))["lines"]);

    [Theory]
    [InlineData("<script type=\"application/ld+json\">{\"@type\":\"Organization\"}</script><script type='application/ld+json'>RECIPE</script>")]
    [InlineData("<script data-at=\"a>b\" type=Application/LD+JSON>RECIPE</script >")]
    [InlineData("<!-- <script type='application/ld+json'>{\"@type\":\"Recipe\",\"name\":\"an old one\"}</script> --><script type='application/ld+json'>RECIPE</script>")]
    [InlineData("<template><script type='application/ld+json'>{\"@type\":\"Recipe\"}</script></template><script type='application/ld+json'>RECIPE</script>")]
    public async Task A_saved_web_page_gives_the_recipe_that_is_in_it(string scripts)
    {
        var page = $"\ufeff <!doctype html><html><head>{scripts.Replace("RECIPE", FormatTests.Foreign(), StringComparison.Ordinal)}</head><body>…</body></html>";
        Assert.Equal(4, (await Recipe(page))["lines"]!.AsArray().Count);
    }

    [Fact]
    public async Task Marks_in_the_words_of_a_recipe_are_not_read_out()
    {
        var read = await Recipe("""{"@type":"Recipe","name":"Quay<br>rounds &amp; more<style>b{}</style><script>alert(1)</script>","description":"less than 3 < 4","recipeIngredient":["<p title='1 > 0'>400 g</p> atta"]}""");
        Assert.Equal(("Quay rounds & more", "less than 3 < 4", "400 g  atta"), ((string)read["name"]!, (string)read["about"]!, (string)read["lines"]![0]!["text"]!));
    }

    [Theory]
    [InlineData("x,BATCH,2026-11-25", "id")]
    [InlineData(",,2026-11-25", "batch")]
    [InlineData(",0199b2f0-0000-7000-8000-000000000001,2026-11-25", "batch")]
    [InlineData(",BATCH,yesterday", "cooked_at")]
    [InlineData(",BATCH,", "cooked_at")]
    [InlineData(",BATCH,2026-11-25,-5", "used.liquid")]
    [InlineData(",BATCH,2026-11-25,wet", "liquid_g")]
    [InlineData(",BATCH,2026-11-25,,9", "judged.soft")]
    [InlineData(",BATCH,2026-11-25,,2.5", "soft")]
    [InlineData(",BATCH,2026-11-25,,,Cursed", "faults")]
    [InlineData(",BATCH,2026-11-25,,,Stiff Stiff", "faults")]
    public async Task A_line_of_the_log_that_cannot_be_taken_is_told_and_nothing_is_kept(string line, string field)
    {
        var batch = (string)(await Get("/api/batches"))[0]!["id"]!;
        var view = await Post("/api/log/import?take=true", FormatTests.Csv($"id,batch,cooked_at,liquid_g,soft,faults\n,{batch},2026-11-20,,,\n{line.Replace("BATCH", batch, StringComparison.Ordinal)}\n"));

        Assert.False((bool)view["taken"]!);
        var bad = Assert.Single(view["bad"]!.AsArray())!;
        Assert.Equal((3, field), ((int)bad["line"]!, (string)bad["refusals"]![0]!["field"]!));
        Assert.Equal(12, (int)(await Get("/api/log"))["count"]!);
    }

    [Theory]
    [InlineData("", "wrongColumns")]
    [InlineData("id,name\n1,2", "wrongColumns")]
    [InlineData("id,batch,cooked_at\n\0", "notUtf8")]
    public async Task A_table_of_something_else_is_refused(string text, string code)
    {
        Assert.Equal(code, (string)(await Post("/api/log/import", FormatTests.Csv(text), HttpStatusCode.BadRequest))["refusals"]![0]!["code"]!);
        Assert.Contains((string)(await Post("/api/files/balls", FormatTests.Csv(text), HttpStatusCode.BadRequest))["refusals"]![0]!["code"]!, (string[])["wrongColumns", "notUtf8"]);
    }

    [Theory]
    [InlineData("rawFrozen", 0, "2026-11-26", "packet.each")]
    [InlineData("rawFrozen", -3, "2026-11-26", "packet.each")]
    [InlineData("rawFrozen", 101, "2026-11-26", "packet.each")]
    [InlineData("rawFrozen", 4, "1066-10-14", "packet.made")]
    [InlineData("rawFrozen", 4, "9999-12-31", "packet.made")]
    [InlineData("rawFrozen", 4, "soon", "packet.made")]
    [InlineData("rawForever", 4, "2026-11-26", "packet.state")]
    public async Task A_packet_that_makes_no_sense_is_refused(string state, int each, string made, string field)
    {
        var refused = await Post("/api/packets", WebKitchen.Body(new { spec = WebKitchen.Squares(), packet = new { state, each, made } }), HttpStatusCode.BadRequest);
        Assert.Equal(field, (string)refused["refusals"]![0]!["field"]!);
    }

    [Fact]
    public async Task A_packet_says_until_when_and_how_it_is_cooked_from_there()
    {
        var sheet = await Post("/api/packets", WebKitchen.Body(new { spec = WebKitchen.Squares(), packet = new { state = "rawFrozen", each = 5, made = "2026-11-26" } }));

        Assert.Equal((4, 5, 1, 4), ((int)sheet["lots"]![0]!["count"]!, (int)sheet["lots"]![0]!["pieces"]!, (int)sheet["lots"]![1]!["count"]!, (int)sheet["lots"]![1]!["pieces"]!));
        Assert.Equal("2027-01-25", (string)sheet["useBy"]!);
        Assert.NotEmpty(sheet["turns"]!.AsArray());
    }
}
