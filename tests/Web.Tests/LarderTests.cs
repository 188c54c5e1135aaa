using System.Net;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Ystrata.Store;

namespace Ystrata.Web.Tests;

/// <summary>The larder over the wire: lines put right, added and taken out, files in and out, vessels, what people type.</summary>
public sealed class LarderTests : IDisposable
{
    private readonly WebKitchen kitchen = new();
    private readonly HttpClient client;

    public LarderTests() => client = kitchen.CreateClient();

    public void Dispose() => kitchen.Dispose();

    private async Task<JsonNode> Get(string path) => await WebKitchen.Json(await client.GetAsync(path));

    private async Task<JsonNode> Item(string id) => (await Get("/api/larder"))["ingredients"]!.AsArray().Single(i => (string)i!["id"]! == id)!;

    private async Task<(HttpStatusCode Status, JsonNode? Body)> Send(HttpMethod method, string path, JsonNode? body = null)
    {
        using var request = new HttpRequestMessage(method, path) { Content = body is null ? null : WebKitchen.Body(body) };
        using var answer = await client.SendAsync(request);
        var text = await answer.Content.ReadAsStringAsync();
        return (answer.StatusCode, text.Length > 0 ? JsonNode.Parse(text) : null);
    }

    private async Task<(HttpStatusCode Status, JsonNode Body)> Import(byte[] file, bool take)
    {
        using var answer = await client.PostAsync($"/api/larder/import?take={(take ? "true" : "false")}", new ByteArrayContent(file) { Headers = { ContentType = new("text/csv") } });
        return (answer.StatusCode, await WebKitchen.Json(answer));
    }

    private Task<(HttpStatusCode Status, JsonNode Body)> Import(string file, bool take = false) => Import(Encoding.UTF8.GetBytes(file), take);

    private const string Header = "id,name,kind,density_g_ml,water_pct,fat_pct,sugar_pct,salt_pct,kcal_100g";

    [Fact]
    public async Task A_shipped_value_is_put_right_used_at_once_and_set_back()
    {
        var white = await Item("flour-white");
        white["absorption"] = 63;

        Assert.Equal(HttpStatusCode.OK, (await Send(HttpMethod.Put, "/api/larder/items/flour-white", white)).Status);
        var (_, sheet) = await Send(HttpMethod.Post, "/api/plan", WebKitchen.SquaresJson());
        Assert.Equal(69, (double)sheet!["dough"]!["water"]!["target"]!, 6);

        Assert.Equal(HttpStatusCode.NoContent, (await Send(HttpMethod.Delete, "/api/larder/items/flour-white")).Status);
        Assert.Equal((58, "shipped"), ((double)(await Item("flour-white"))["absorption"]!, (string)(await Item("flour-white"))["origin"]!));
        Assert.Equal(HttpStatusCode.NotFound, (await Send(HttpMethod.Delete, "/api/larder/items/flour-white")).Status);
    }

    [Fact]
    public async Task A_sack_needs_only_its_name_its_flour_and_its_thirst()
    {
        var body = (await Item("flour-atta")).DeepClone();
        body["name"] = "Sack 31";
        body["lot"] = new JsonObject { ["of"] = "flour-atta", ["thirst"] = 2.5 };
        var (status, made) = await Send(HttpMethod.Post, "/api/larder/items", body);

        Assert.Equal(HttpStatusCode.Created, status);
        Assert.Equal(("own-sack-31", 72.5, "own"), ((string)made!["id"]!, (double)made["absorption"]!, (string)made["origin"]!));
        var (again, problem) = await Send(HttpMethod.Post, "/api/larder/items", body);
        Assert.Equal((HttpStatusCode.BadRequest, "nameTaken"), (again, (string)problem!["refusals"]![0]!["code"]!));
    }

    [Theory]
    [InlineData("density", "0", "outOfRange")]
    [InlineData("water", "-1", "outOfRange")]
    [InlineData("fat", "95", "together")]
    [InlineData("name", "\"\"", "missing")]
    [InlineData("kcalPer100G", "1e9", "outOfRange")]
    [InlineData("absorption", "null", "missing")]
    [InlineData("density", "\"heavy\"", "notANumber")]
    [InlineData("kind", "\"rock\"", "unreadable")]
    [InlineData("hue", "\"reddish\"", "unreadable")]
    [InlineData("marks", "[\"glows\"]", "unreadable")]
    [InlineData("each", "0", "outOfRange")]
    [InlineData("each", "1e9", "outOfRange")]
    public async Task A_line_that_cannot_be_is_refused_and_nothing_is_kept(string field, string value, string code)
    {
        var body = (await Item("flour-rye")).DeepClone();
        body[field] = JsonNode.Parse(value);
        var (status, problem) = await Send(HttpMethod.Put, "/api/larder/items/flour-rye", body);

        Assert.Equal((HttpStatusCode.BadRequest, code), (status, (string)problem!["refusals"]![0]!["code"]!));
        Assert.Equal("shipped", (string)(await Item("flour-rye"))["origin"]!);
    }

    [Fact]
    public async Task A_bread_whose_larder_has_changed_under_it_stays_on_the_shelf()
    {
        var bread = new JsonObject { ["name"] = "Salt", ["about"] = "", ["spec"] = WebKitchen.SquaresJson() };
        bread["spec"]!["dough"]!["fat"]!["id"] = "butter-salted";
        bread["spec"]!["dough"]!["fat"]!["amount"]!["share"] = 20;
        bread["spec"]!["dough"]!["salt"]!["amount"]!["share"] = 0.4;
        var (_, made) = await Send(HttpMethod.Post, "/api/breads", bread);
        var butter = (await Item("butter-salted")).DeepClone();
        butter["salt"] = 3;
        await Send(HttpMethod.Put, "/api/larder/items/butter-salted", butter);

        Assert.NotNull(made!["glance"]);
        Assert.Null((await Get("/api/breads")).AsArray().Single()!["glance"]);
    }

    [Fact]
    public async Task The_whole_larder_goes_out_and_comes_back_the_same()
    {
        var odd = (await Item("spice-ground")).DeepClone();
        odd["name"] = "=cmd|' /C calc'!A0, \"quoted\"";
        odd["note"] = "-1 is no number\nnor is this";
        await Send(HttpMethod.Post, "/api/larder/items", odd);
        odd["name"] = "'tis, a name";
        odd["price"] = new JsonObject { ["cost"] = 2.45, ["pack"] = 100 };
        odd["allergens"] = new JsonArray("mustard", "nuts");
        odd["marks"] = new JsonArray("spoils", "rawRisk", "sticky");
        odd["hue"] = "#a0522d";
        odd["each"] = 12.5;
        await Send(HttpMethod.Post, "/api/larder/items", odd);
        var text = await client.GetStringAsync("/api/larder/export");
        var before = await Get("/api/larder");

        Assert.DoesNotContain("\n=", text, StringComparison.Ordinal);
        Assert.DoesNotContain(",=", text, StringComparison.Ordinal);
        Assert.DoesNotContain("\"=", text, StringComparison.Ordinal);
        Assert.DoesNotContain(",\"-1 is", text, StringComparison.Ordinal);

        var (status, same) = await Import(text, take: true);
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal((0, 0, 0), (same["added"]!.AsArray().Count, same["changed"]!.AsArray().Count, same["bad"]!.AsArray().Count));
        Assert.Equal(before["ingredients"]!.AsArray().Count, (int)same["same"]!);

        // Into a kitchen that has never seen them.
        using var other = new WebKitchen();
        using var there = other.CreateClient();
        using var taken = await there.PostAsync("/api/larder/import?take=true", new StringContent(text, Encoding.UTF8, "text/csv"));
        Assert.Equal(2, (await WebKitchen.Json(taken))["added"]!.AsArray().Count);
        Assert.Equal(text, await there.GetStringAsync("/api/larder/export"));
        var line = (await WebKitchen.Json(await there.GetAsync("/api/larder")))["ingredients"]!.AsArray().Single(i => (string)i!["name"]! == "'tis, a name")!;
        Assert.Equal(["spoils", "rawRisk", "sticky"], line["marks"]!.AsArray().Select(m => (string)m!));
        Assert.Equal(("#a0522d", 12.5), ((string)line["hue"]!, (double)line["each"]!));
    }

    [Fact]
    public async Task A_file_that_does_not_have_a_column_leaves_it_as_it_is()
    {
        await Import($"{Header},price,allergens,marks,hue,each_g\nown-duck,Duck egg,addition,1.03,72,14,1,0.3,185,6.5,egg,spoils rawrisk,#f5c542,70\n", take: true);
        await Import($"{Header}\nown-duck,Duck egg,addition,1.03,70,14,1,0.3,185\n", take: true);

        var duck = await Item("own-duck");
        Assert.Equal((70, 70, "#f5c542", 6.5), ((double)duck["water"]!, (double)duck["each"]!, (string)duck["hue"]!, (double)duck["price"]!["cost"]!));
        Assert.Equal(["spoils", "rawRisk"], duck["marks"]!.AsArray().Select(m => (string)m!));
        Assert.Equal("egg", (string)Assert.Single(duck["allergens"]!.AsArray())!);
    }

    [Fact]
    public async Task That_it_holds_no_allergen_is_said_and_kept_and_what_nobody_said_is_not_declared()
    {
        await Import($"{Header},allergens\nown-seed,Our seed,addition,0.6,5,30,1,0,400,none\nown-leaf,Our leaf,addition,0.6,5,30,1,0,400,\n", take: true);
        Assert.True((bool)(await Item("own-seed"))["noAllergens"]!);
        Assert.False((bool)(await Item("own-leaf"))["noAllergens"]!);
        Assert.Matches("own-seed,.*,none,", await client.GetStringAsync("/api/larder/export"));

        var spec = JsonSerializer.SerializeToNode(BatchSpec.Plain, SpecJson.Options)!;
        spec["dough"]!["additions"] = new JsonArray([.. new[] { "own-seed", "own-leaf" }.Select(id => (JsonNode)new JsonObject { ["id"] = id, ["amount"] = new JsonObject { ["by"] = "share", ["share"] = 1, ["mass"] = 0 } })]);
        var plan = await WebKitchen.Json(await client.PostAsync("/api/plan", WebKitchen.Body(spec)));
        Assert.Equal(["own-leaf"], plan["undeclared"]!.AsArray().Select(id => (string)id!));
    }

    [Theory]
    [InlineData("glows", "", "", "marks")]
    [InlineData("", "reddish", "", "hue")]
    [InlineData("", "#12", "", "hue")]
    [InlineData("", "", "0", "each")]
    [InlineData("", "", "-3", "each")]
    [InlineData("", "", "99999", "each")]
    [InlineData("", "", "some", "each_g")]
    public async Task Traits_that_are_none_stand_as_bad_lines(string marks, string hue, string each, string field)
    {
        var (_, view) = await Import($"{Header},marks,hue,each_g\n,Duck egg,addition,1.03,72,14,1,0.3,185,{marks},{hue},{each}\n", take: true);

        Assert.False((bool)view["taken"]!);
        Assert.Equal(field, (string)view["bad"]![0]!["refusals"]![0]!["field"]!);
    }

    [Fact]
    public async Task A_line_that_says_nothing_of_its_traits_has_the_shipped_ones()
    {
        var yogurt = (await Item("yogurt")).DeepClone();
        foreach (var field in new[] { "marks", "hue", "each" })
        {
            yogurt.AsObject().Remove(field);
        }

        yogurt["water"] = 80;
        await Send(HttpMethod.Put, "/api/larder/items/yogurt", yogurt);

        var kept = await Item("yogurt");
        Assert.Equal((80, "changed"), ((double)kept["water"]!, (string)kept["origin"]!));
        Assert.Equal(((string)Larder.Shipped["yogurt"].Hue!, Larder.Shipped["yogurt"].Marks!.Count), ((string)kept["hue"]!, kept["marks"]!.AsArray().Count));
    }

    [Fact]
    public async Task A_preview_changes_nothing_and_a_bad_line_stops_all()
    {
        var file = $"{Header}\nown-a,Sorrel,addition,0.2,90,0.5,1,0.1,30\nown-b,,addition,0,lots,0,0,0,10\nown-a,Cress,rock,0.2,90,0,0,0,10\n";
        var (status, preview) = await Import(file);

        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(["Sorrel"], preview["added"]!.AsArray().Select(n => (string)n!));
        Assert.Equal([3, 4], preview["bad"]!.AsArray().Select(b => (int)b!["line"]!));
        Assert.Equal("water_pct", (string)preview["bad"]![0]!["refusals"]![0]!["field"]!);
        Assert.Contains(preview["bad"]![1]!["refusals"]!.AsArray(), r => (string)r!["code"]! == "namedTwice");

        var (_, whole) = await Import(file, take: true);
        Assert.False((bool)whole["taken"]!);
        Assert.DoesNotContain((await Get("/api/larder"))["ingredients"]!.AsArray(), i => (string)i!["id"]! == "own-a");

        var (_, good) = await Import($"{Header}\nown-a,Sorrel,addition,0.2,90,0.5,1,0.1,30\n", take: true);
        Assert.True((bool)good["taken"]!);
        Assert.Equal("Sorrel", (string)(await Item("own-a"))["name"]!);
    }

    [Fact]
    public async Task Semicolons_and_decimal_commas_are_read_as_well()
    {
        var (_, view) = await Import($"{Header.Replace(',', ';')}\n;Sorrel;addition;0,25;90;0,5;1;0,1;30\n", take: true);

        Assert.True((bool)view["taken"]!);
        Assert.Equal(0.25, (double)(await Item("own-sorrel"))["density"]!);
    }

    [Fact]
    public async Task A_file_that_is_no_larder_is_refused_whole()
    {
        async Task<string> Code(byte[] bytes)
        {
            var (status, body) = await Import(bytes, take: true);
            Assert.Equal(HttpStatusCode.BadRequest, status);
            return (string)body["refusals"]![0]!["code"]!;
        }

        Assert.Equal("wrongColumns", await Code(Encoding.UTF8.GetBytes("name,weight\nFlour,3\n")));
        Assert.Equal("wrongColumns", await Code([]));
        Assert.Equal("notUtf8", await Code(Encoding.Unicode.GetBytes($"{Header}\n")));
        Assert.Equal("notUtf8", await Code(Encoding.Latin1.GetBytes($"{Header}\n,Crème,dairy,1,60,20,3,0,200\n")));
        Assert.Equal("notUtf8", await Code([0x89, 0x50, 0x4e, 0x47, 0, 0, 0xff]));
        Assert.Equal("tooMany", await Code(Encoding.UTF8.GetBytes($"{Header}\n" + string.Concat(Enumerable.Range(0, 20_001).Select(i => $"own-{i},n{i},addition,1,0,0,0,0,0\n")))));
    }

    [Fact]
    public async Task Fifty_megabytes_are_not_even_read()
    {
        using var answer = await client.PostAsync("/api/larder/import", new ByteArrayContent(new byte[50_000_000]) { Headers = { ContentType = new("text/csv") } });

        Assert.Equal(HttpStatusCode.RequestEntityTooLarge, answer.StatusCode);
    }

    [Fact]
    public async Task A_glass_is_known_from_one_weighing()
    {
        var body = new JsonObject { ["name"] = "Quay glass", ["item"] = "water", ["fill"] = "spooned", ["mass"] = 195 };
        var (status, glass) = await Send(HttpMethod.Post, "/api/vessels", body);
        Assert.Equal((HttpStatusCode.Created, 195.0), (status, (double)glass!["volume"]!));

        var (_, read) = await Send(HttpMethod.Post, "/api/measure", new JsonObject { ["text"] = "2 glasses sifted", ["item"] = "flour-white" });
        Assert.Equal(2 * 195 * 0.53 * 0.9, (double)read!["mass"]!, 6);

        Assert.Equal(HttpStatusCode.BadRequest, (await Send(HttpMethod.Post, "/api/vessels", body)).Status);
        body["mass"] = 210;
        Assert.Equal(210, (double)(await Send(HttpMethod.Put, $"/api/vessels/{glass["id"]}", body)).Body!["volume"]!);
        Assert.Equal(HttpStatusCode.NoContent, (await Send(HttpMethod.Delete, $"/api/vessels/{glass["id"]}")).Status);
        Assert.Equal("unknownVessel", (string)(await Send(HttpMethod.Post, "/api/measure", new JsonObject { ["text"] = "a glass", ["item"] = "water" })).Body!["trouble"]!);
        Assert.Equal(HttpStatusCode.NoContent, (await Send(HttpMethod.Post, $"/api/vessels/{glass["id"]}/restore")).Status);
        Assert.Equal(HttpStatusCode.NotFound, (await Send(HttpMethod.Put, "/api/vessels/none", body)).Status);
    }

    [Theory]
    [InlineData("name", "\" \"")]
    [InlineData("name", "\"a name far too long for a glass\"")]
    [InlineData("mass", "0")]
    [InlineData("mass", "-4")]
    [InlineData("mass", "1e9")]
    [InlineData("item", "\"moonlight\"")]
    public async Task A_weighing_that_cannot_be_is_refused(string field, string value)
    {
        var body = new JsonObject { ["name"] = "Glass", ["item"] = "water", ["fill"] = "spooned", ["mass"] = 195 };
        body[field] = JsonNode.Parse(value);
        var (status, problem) = await Send(HttpMethod.Post, "/api/vessels", body);

        Assert.Equal((HttpStatusCode.BadRequest, field), (status, (string)problem!["refusals"]![0]!["field"]!));
    }

    [Fact]
    public async Task Units_are_chosen_once_and_kept()
    {
        var units = (await Get("/api/larder"))["units"]!.DeepClone();
        units["cup"] = "us";
        units["heat"] = "fahrenheit";
        Assert.Equal(HttpStatusCode.OK, (await Send(HttpMethod.Put, "/api/larder/units", units)).Status);
        Assert.True(JsonNode.DeepEquals(units, (await Get("/api/larder"))["units"]));

        // The board is the kitchen's: what is found is rolled no wider.
        async Task<double> Widest() => (await Send(
            HttpMethod.Post, "/api/reverse", new JsonObject { ["spec"] = (await Get("/api/larder"))["plain"]!.DeepClone(), ["wanted"] = new JsonObject { ["leaves"] = 16, ["leaf"] = 0.15, ["across"] = 180 } })).Body!.AsArray().Max(f => (double)f!["program"]!["program"]!["sheet"]!["diameter"]!);
        Assert.True(await Widest() > 240);
        units["board"] = 240;
        Assert.Equal(HttpStatusCode.OK, (await Send(HttpMethod.Put, "/api/larder/units", units)).Status);
        Assert.True(await Widest() <= 240);
        foreach (var wrong in new[] { 0, -4, 2001 })
        {
            units["board"] = wrong;
            Assert.Equal(HttpStatusCode.BadRequest, (await Send(HttpMethod.Put, "/api/larder/units", units)).Status);
        }

        units["board"] = 450;
        units["coin"] = "doubloons";
        Assert.Equal(HttpStatusCode.BadRequest, (await Send(HttpMethod.Put, "/api/larder/units", units)).Status);
        var (_, read) = await Send(HttpMethod.Post, "/api/measure", new JsonObject { ["text"] = "1 cup", ["item"] = "water" });
        Assert.Equal(236.6, (double)read!["mass"]!, 6);
    }
}
