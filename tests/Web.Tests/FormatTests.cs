using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using Ystrata.Store;
using Ystrata.Web.Demo;
using Ystrata.Web.Files;

namespace Ystrata.Web.Tests;

/// <summary>Recipes, the log, the tray and packets: what goes out comes back in, and what cannot be read is said.</summary>
public sealed class FormatTests : IDisposable
{
    private readonly WebKitchen kitchen = new();
    private readonly HttpClient client;

    public FormatTests()
    {
        client = kitchen.CreateClient();
        kitchen.Services.GetRequiredService<DemoKitchen>().FillIfEmpty();
    }

    public void Dispose()
    {
        client.Dispose();
        kitchen.Dispose();
    }

    internal static ByteArrayContent Csv(string text) => new(Encoding.UTF8.GetBytes(text)) { Headers = { ContentType = new MediaTypeHeaderValue("text/csv") } };

    private async Task<JsonNode> Get(string path) => JsonNode.Parse(await client.GetStringAsync(path))!;

    private async Task<JsonNode> Post(string path, HttpContent body, HttpStatusCode status = HttpStatusCode.OK)
    {
        var answer = await client.PostAsync(path, body);
        Assert.True(answer.StatusCode == status, $"{path}: {answer.StatusCode} {await answer.Content.ReadAsStringAsync()}");
        return await WebKitchen.Json(answer);
    }

    private Task<JsonNode> Recipe(string file, object? settled = null, HttpStatusCode status = HttpStatusCode.OK) =>
        Post("/api/files/recipes", WebKitchen.Body(new { file, settled = settled ?? Array.Empty<object>() }), status);

    [Fact]
    public async Task Every_bread_goes_out_as_a_recipe_and_comes_back_decision_by_decision()
    {
        foreach (var bread in (await Get("/api/breads")).AsArray())
        {
            var answer = await client.GetAsync($"/api/files/recipes/{bread!["id"]}");
            var file = await answer.Content.ReadAsStringAsync();
            Assert.True(answer.StatusCode == HttpStatusCode.OK, $"{bread["name"]}: {file}");
            var recipe = JsonNode.Parse(file)!;
            Assert.Equal("Recipe", (string)recipe["@type"]!);
            Assert.NotEmpty(recipe["recipeIngredient"]!.AsArray());

            var read = await Recipe(file);
            Assert.Equal(
                ((string)bread["name"]!, (string)bread["about"]!, bread["tags"]!.ToJsonString(), bread["spec"]!.ToJsonString()),
                ((string)read["name"]!, (string)read["about"]!, read["tags"]!.ToJsonString(), read["spec"]!.ToJsonString()));
        }
    }

    [Fact]
    public async Task By_its_words_alone_the_dough_of_every_bread_is_understood()
    {
        foreach (var bread in (await Get("/api/breads")).AsArray())
        {
            var recipe = JsonNode.Parse(await client.GetStringAsync($"/api/files/recipes/{bread!["id"]}"))!.AsObject();
            recipe.Remove("ystrata:spec");
            var read = await Recipe(recipe.ToJsonString());
            Assert.All(read["lines"]!.AsArray(), l => Assert.Contains((string)l!["trouble"]!, (string[])["none", "kindOnly", "noPlace"]));

            var (was, got) = (await Post("/api/plan", WebKitchen.Body(bread["spec"]!)), await Post("/api/plan", WebKitchen.Body(read["spec"]!)));
            if ((bool?)bread["spec"]!["filling"]?["liquorToDough"] == true)
            {
                // What a filling gives to its dough stands in no list of ingredients.
                continue;
            }

            double Flour(JsonNode sheet) => (double)sheet["dough"]!["flour"]!;
            Assert.Equal(Flour(was), Flour(got), 1);
            Assert.True(Math.Abs((double)got["dough"]!["water"]!["hydration"]! - (double)was["dough"]!["water"]!["hydration"]!) < 0.5, $"{bread["name"]}: {was["dough"]!["water"]!["hydration"]} {got["dough"]!["water"]!["hydration"]} {recipe["recipeIngredient"]}");
        }
    }

    internal static string Foreign(string more = "") =>
        $$"""{"@context":"https://schema.org","@graph":[{"@type":"WebPage"},{"@type":["Thing","Recipe"],"name":"Quay <b>rounds</b>","recipeYield":["8","8 rounds"],"keywords":"noon, quick","recipeIngredient":["400 g atta","1 cup water","2 tbsp flour","cumin seeds"],"recipeInstructions":[{"@type":"HowToSection","itemListElement":[{"@type":"HowToStep","text":"Rest the dough for 40 minutes."},{"@type":"HowToStep","text":"Cook on a hot pan."}]}]{{more}}}]}""";

    [Fact]
    public async Task A_recipe_from_elsewhere_says_what_it_could_not_understand_and_lets_it_be_settled()
    {
        var read = await Recipe(Foreign());
        Assert.Equal("Quay  rounds", ((string)read["name"]!).Replace("Quay rounds", "Quay  rounds", StringComparison.Ordinal));
        Assert.Equal(["none", "none", "several", "noAmount"], read["lines"]!.AsArray().Select(l => (string)l!["trouble"]!));
        Assert.Equal(["rest", "nothing"], read["steps"]!.AsArray().Select(s => (string)s!["told"]!));
        Assert.Equal(["noon", "quick"], read["tags"]!.AsArray().Select(t => (string)t!));

        var settled = await Recipe(Foreign(), new object[] { new { line = 2, item = "oil-sunflower" }, new { line = 3, item = "seed-cumin", mass = 8 } });
        Assert.All(settled["lines"]!.AsArray(), l => Assert.Equal("none", (string)l!["trouble"]!));
        Assert.Empty(settled["refusals"]!.AsArray());
        var made = await Post("/api/breads", WebKitchen.Body(new { name = settled["name"], about = "", spec = settled["spec"] }), HttpStatusCode.Created);
        Assert.Equal(8, (int)made["glance"]!["pieces"]!);
    }

    [Fact]
    public async Task A_recipe_pasted_as_text_is_read_and_put_on_the_shelf()
    {
        var read = await Recipe("Leek rounds\n\nIngredients:\n- 2 cups whole wheat flour, plus extra for dusting\n- 3/4 cup water, or as needed\n- 1 tsp salt\nFor the filling:\n- 2 leeks, finely chopped\n\nMethod:\nRest 30 minutes. Divide into 8. Cook 2 minutes each side.");
        Assert.Equal("Leek rounds", (string)read["name"]!);
        Assert.All(read["lines"]!.AsArray(), l => Assert.Equal("none", (string)l!["trouble"]!));
        Assert.Equal(["rest", "pieces", "sides"], read["steps"]!.AsArray().Select(s => (string)s!["told"]!));
        Assert.Equal("oneTurn", (string)read["spec"]!["pan"]!["roasting"]!);
        var made = await Post("/api/breads", WebKitchen.Body(new { name = read["name"], about = "", spec = read["spec"] }), HttpStatusCode.Created);
        Assert.Equal(8, (int)made["glance"]!["pieces"]!);
    }

    [Fact]
    public async Task The_log_goes_out_and_its_lines_come_back_over_what_was_changed_since()
    {
        var log = kitchen.Services.GetRequiredService<Logbook>();
        var before = log.All().ToList();
        var file = await client.GetStringAsync("/api/log/export");
        Assert.Equal((0, 0, 12), Sums(await Post("/api/log/import", Csv(file))));

        foreach (var (entry, i) in before.Select((e, i) => (e, i)))
        {
            _ = i % 2 == 0 ? log.Delete(entry.Id, DateTimeOffset.UtcNow, Meant.Whatever)
                : log.Change(entry with { Outcome = entry.Outcome with { Note = "spoilt", Faults = [Symptom.Greasy], Used = new(null, null, null, null, null, null), Counts = false } }, [], Meant.Whatever);
        }

        // Those in the trash are there still: the file cannot make a second of them.
        Assert.Equal([2, 4, 6, 8, 10, 12], (await Post("/api/log/import", Csv(file)))["bad"]!.AsArray().Select(b => (int)b!["line"]!));
        foreach (var entry in before)
        {
            log.Restore(entry.Id);
        }

        var dry = await Post("/api/log/import", Csv(file));
        Assert.Equal((0, 6, 6), Sums(dry));
        Assert.Equal("spoilt", log.Find(before[1].Id)!.Outcome.Note);
        Assert.True((bool)(await Post("/api/log/import?take=true", Csv(file)))["taken"]!);
        Assert.Equivalent(before.Select(e => e with { ChangedAt = default }), log.All().Select(e => e with { ChangedAt = default }), strict: true);
        Assert.Equal(file, await client.GetStringAsync("/api/log/export"));
    }

    private static (int, int, int) Sums(JsonNode view) => (view["added"]!.AsArray().Count, view["changed"]!.AsArray().Count, (int)view["same"]!);

    [Fact]
    public async Task A_cooking_written_in_a_table_is_added_to_its_batch_with_its_plan()
    {
        var batch = (string)(await Get("/api/batches"))[0]!["id"]!;
        var added = await Post("/api/log/import?take=true", Csv($"id;batch;cooked_at;liquid_g;soft;faults;note\n;{batch};2026-11-25T06:20:00Z;460,5;4;none;'=SUM(A1)\n"));
        Assert.Equal((1, 0, 0), Sums(added));

        var line = (await Get("/api/log"))["lines"]![0]!;
        var entry = await Get($"/api/log/{line["id"]}");
        Assert.Equal((460.5, 4, "=SUM(A1)", 0), ((double)entry["outcome"]!["used"]!["liquid"]!, (int)entry["outcome"]!["judged"]!["soft"]!, (string)entry["outcome"]!["note"]!, entry["outcome"]!["faults"]!.AsArray().Count));
        Assert.NotNull(entry["planned"]);
        Assert.Contains("'=SUM(A1)", await client.GetStringAsync("/api/log/export"), StringComparison.Ordinal);
    }

    [Fact]
    public async Task The_tray_goes_out_and_comes_back_ball_by_ball()
    {
        var spec = WebKitchen.Squares() with { Balls = new(BallBy.Mass, new(80), new(2.7), [new(79.4), new(83), new(80)]) };
        var batch = (await Post("/api/batches", WebKitchen.Body(new { breadId = (Guid?)null, name = "Tray", spec, madeFor = "2026-11-26T18:00:00Z" }), HttpStatusCode.Created))["id"]!;
        var file = await client.GetStringAsync($"/api/batches/{batch}/balls.csv");
        Assert.Equal(25, file.Split('\n', StringSplitOptions.RemoveEmptyEntries).Length);

        var read = await Post("/api/files/balls", Csv(file));
        Assert.Equal([79.4, 83, 80], read["weighed"]!.AsArray().Select(w => (double)w!));
        Assert.Empty(read["bad"]!.AsArray());
        // Out of order, with decimal commas, from another scale.
        Assert.Equal([81, 79.5], (await Post("/api/files/balls", Csv("number;weighed_g\n2;79,5\n1;81\n3;\n")))["weighed"]!.AsArray().Select(w => (double)w!));
        Assert.Equal([2, 3], (await Post("/api/files/balls", Csv("weighed_g\n-5\n1e9\n80\n")))["bad"]!.AsArray().Select(b => (int)b!["line"]!));
    }

    [Fact]
    public async Task A_thousand_spoilt_tables_and_recipes_crash_nothing()
    {
        var (log, batches, larder) = (kitchen.Services.GetRequiredService<Logbook>(), kitchen.Services.GetRequiredService<Batches>(), kitchen.Services.GetRequiredService<CurrentKitchen>().Now);
        var entries = log.All().ToDictionary(e => e.Id);
        var logFile = Encoding.UTF8.GetBytes(string.Join('\n', (await client.GetStringAsync("/api/log/export")).Split('\n').Take(4)));
        var larderFile = Encoding.UTF8.GetBytes(LarderCsv.Write(larder.Larder.All.Take(4)));
        var ballsFile = "number,wanted_g,weighed_g,off_g\n1,80,79.4,-0.6\n2,80,83,3\n3,80,,\n"u8.ToArray();
        var recipeFile = Encoding.UTF8.GetBytes(Foreign());
        var random = new Random(20261127);
        var read = new int[4];
        for (var i = 0; i < 250; i++)
        {
            read[0] += LogCsv.Read(Spoilt.Of(logFile, random), entries.GetValueOrDefault, _ => null, _ => false) is { Problem: null, Bad.Count: 0 } ? 1 : 0;
            read[1] += LarderCsv.Read(Spoilt.Of(larderFile, random), larder.Larder) is { Problem: null, Bad.Count: 0 } ? 1 : 0;
            read[2] += BallsCsv.Read(Spoilt.Of(ballsFile, random)) is { Problem: null, Bad.Count: 0 } ? 1 : 0;
            try
            {
                var (text, own) = RecipeFile.Read(Encoding.UTF8.GetString(Spoilt.Of(recipeFile, random)), Lexicon.Own);
                read[3] += own is null && RecipeReader.Read(text, larder, []).Refusals.Count == 0 ? 1 : 0;
            }
            catch (FileException)
            {
                // Said, and nothing more.
            }
        }

        // Some are still sound, most are not: the check sees both.
        Assert.All(read, r => Assert.InRange(r, 1, 249));
    }
}
