using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using Ystrata.Store;
using Ystrata.Web.Demo;
using Ystrata.Web.Files;

namespace Ystrata.Web.Tests;

/// <summary>The kitchen as a file: out, in again the same, and refused whole with the line and the reason.</summary>
public sealed class FileTests : IDisposable
{
    private readonly WebKitchen kitchen = new();
    private readonly WebKitchen other = new();
    private readonly HttpClient client;
    private readonly HttpClient there;

    public FileTests()
    {
        client = kitchen.CreateClient();
        there = other.CreateClient();
        kitchen.Services.GetRequiredService<DemoKitchen>().FillIfEmpty();
    }

    public void Dispose()
    {
        client.Dispose();
        there.Dispose();
        kitchen.Dispose();
        other.Dispose();
    }

    private static ByteArrayContent Body(string text) => new(Encoding.UTF8.GetBytes(text)) { Headers = { ContentType = new MediaTypeHeaderValue("application/json") } };

    /// <summary>Every line of the answer, the last of which says how it ended.</summary>
    private static async Task<List<JsonNode>> Steps(HttpClient to, HttpContent file)
    {
        var answer = await to.PostAsync("/api/files", file);
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        return [.. (await answer.Content.ReadAsStringAsync()).Split('\n', StringSplitOptions.RemoveEmptyEntries).Select(l => JsonNode.Parse(l)!)];
    }

    internal static async Task<JsonNode> Ended(HttpClient to, string file) => (await Steps(to, Body(file)))[^1];

    private static async Task TakeIn(HttpClient to, string file, bool replace = false)
    {
        var end = await Ended(to, file);
        Assert.True(end["staged"] is not null, end.ToJsonString());
        var taken = await to.PostAsync($"/api/files/{end["staged"]!["id"]}/take?replace={replace}", null);
        Assert.Equal(HttpStatusCode.OK, taken.StatusCode);
    }

    // All but the moment it was made.
    private static async Task<string> Records(HttpClient of) => string.Join('\n', (await of.GetStringAsync("/api/files/kitchen")).Split('\n').Skip(1));

    private async Task<string> Export() => await client.GetStringAsync("/api/files/kitchen");

    private async Task<string> Id(string path, int at = 0) => (string)JsonNode.Parse(await client.GetStringAsync(path))!.AsArray()[at]!["id"]!;

    [Fact]
    public async Task A_whole_kitchen_goes_out_and_comes_in_as_the_same_kitchen()
    {
        var photo = await client.PostAsync("/api/photos", new ByteArrayContent(LogTests.Picture()) { Headers = { ContentType = new MediaTypeHeaderValue("image/png") } });
        var id = (string)(await WebKitchen.Json(photo))["id"]!;
        var batch = await Id("/api/batches");
        await client.PostAsync("/api/log", WebKitchen.Body(new { batchId = batch, cookedAt = "2026-11-26T10:00:00Z", outcome = Outcome.Nothing, photoId = id }));
        await client.PostAsync("/api/services", WebKitchen.Body(new { batchId = batch }));
        await client.PutAsync("/api/learned", WebKitchen.Body(new { kind = "panTime", of = "", used = true }));
        await client.DeleteAsync($"/api/breads/{await Id("/api/breads")}");

        await TakeIn(there, await Export());
        Assert.Equal(await Records(client), await Records(there));
        foreach (var path in new[] { "/api/breads", "/api/batches", "/api/log", "/api/larder", "/api/learned", "/api/log/trends", $"/api/photos/{id}" })
        {
            Assert.Equal(await client.GetStringAsync(path), await there.GetStringAsync(path));
        }

        // And once more changes nothing.
        var again = (await Ended(there, await Export()))["staged"]!["preview"]!["parts"]!.AsArray();
        Assert.All(again, p => Assert.Equal((0, 0), ((int)p!["added"]!, (int)p["changed"]!)));
    }

    [Fact]
    public async Task One_bread_goes_out_with_what_it_needs_and_is_baked_elsewhere()
    {
        var bread = await Id("/api/breads", 3);
        await TakeIn(there, await client.GetStringAsync($"/api/files/breads/{bread}"));

        var came = Assert.Single(JsonNode.Parse(await there.GetStringAsync("/api/breads"))!.AsArray())!;
        var was = JsonNode.Parse(await client.GetStringAsync($"/api/breads/{bread}"))!;
        Assert.Equal(was["spec"]!.ToJsonString(), came["spec"]!.ToJsonString());
        Assert.NotNull(came["glance"]);
        Assert.Empty(JsonNode.Parse(await there.GetStringAsync("/api/batches"))!.AsArray());
        Assert.Equal(HttpStatusCode.NotFound, (await client.GetAsync($"/api/files/breads/{Guid.NewGuid()}")).StatusCode);
    }

    [Fact]
    public async Task What_is_here_and_different_stays_unless_the_cook_says_otherwise_and_can_be_taken_back()
    {
        var file = await Export();
        var bread = JsonNode.Parse(await client.GetStringAsync($"/api/breads/{await Id("/api/breads")}"))!;
        await client.PutAsync($"/api/breads/{bread["id"]}", WebKitchen.Body(new { name = "Mine by now", about = "", spec = bread["spec"], tags = Array.Empty<string>() }));
        async Task<string> Name() => (string)JsonNode.Parse(await client.GetStringAsync($"/api/breads/{bread["id"]}"))!["name"]!;

        var preview = (await Ended(client, file))["staged"]!["preview"]!;
        Assert.Equal(["Mine by now"], preview["changed"]!.AsArray().Select(n => (string)n!));
        await TakeIn(client, file);
        Assert.Equal("Mine by now", await Name());
        await TakeIn(client, file, replace: true);
        Assert.Equal((string)bread["name"]!, await Name());

        var backups = JsonNode.Parse(await client.GetStringAsync("/api/keeping"))!["backups"]!.AsArray();
        var before = backups.First(b => !(bool)b!["daily"]!)!["name"];
        await client.PostAsync($"/api/keeping/backups/{before}/restore", null);
        Assert.Equal("Mine by now", await Name());
    }

    [Fact]
    public async Task It_says_how_far_it_is_while_it_reads()
    {
        var breads = string.Join(",\n", Enumerable.Range(0, 1200).Select(i => Bread($"Round {i}")));
        var steps = await Steps(there, Body(File(breads)));

        var told = steps.Select(s => (int)s["records"]!).ToList();
        Assert.Equal(told.Order(), told);
        Assert.Equal(1200, told[^1]);
        Assert.True(steps.Count > 1);
        Assert.All(steps[..^1], s => Assert.Null(s["staged"]));
        Assert.All(steps, s => Assert.InRange((long)s["taken"]!, 0, (long)s["of"]!));
        Assert.Equal((long)steps[^1]["of"]!, (long)steps[^1]["taken"]!);
    }

    [Fact]
    public async Task A_file_that_was_looked_at_and_left_changes_nothing()
    {
        var id = (await Ended(there, await Export()))["staged"]!["id"];
        Assert.Equal(HttpStatusCode.NoContent, (await there.DeleteAsync($"/api/files/{id}")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await there.PostAsync($"/api/files/{id}/take", null)).StatusCode);
        Assert.Equal("[]", await there.GetStringAsync("/api/breads"));
    }

    internal static string File(string records, string head = "\"format\":\"ystrata-kitchen\",\"version\":1") => $"{{{head},\"records\":[\n{records}\n]}}";

    internal static string Bread(string name = "Quay rounds", string? id = null, string? spec = null) =>
        $$$"""{"kind":"bread","bread":{"id":"{{{id ?? Guid.NewGuid().ToString()}}}","name":"{{{name}}}","about":"","tags":[],"spec":{{{spec ?? SpecJson.Write(WebKitchen.Squares())}}},"changedAt":"2026-11-26T10:00:00Z"}}""";

    [Fact]
    public async Task A_script_in_a_name_is_a_name_and_a_photo_with_something_behind_it_is_none()
    {
        await TakeIn(there, File(Bread("<script>alert(1)</script>")));
        Assert.Equal("<script>alert(1)</script>", (string)JsonNode.Parse(await there.GetStringAsync("/api/breads"))![0]!["name"]!);

        var (body, _) = PhotoFile.Anew(LogTests.Picture())!.Value;
        string Photo(byte[] bytes) => $$"""{"kind":"photo","id":"{{Guid.NewGuid()}}","body":"{{Convert.ToBase64String(bytes)}}","madeAt":"2026-11-26T10:00:00Z"}""";
        Assert.NotNull((await Ended(there, File(Photo(body))))["staged"]);
        Assert.NotNull((await Ended(there, File(Photo([.. body, .. "<html>"u8]))))["bad"]);
        Assert.NotNull((await Ended(there, File(Photo(LogTests.Picture()))))["bad"]);
    }

    [Fact]
    public async Task A_bread_that_the_larder_no_longer_lets_be_worked_is_taken_as_it_is()
    {
        // A rope cannot be folded: kept when it could, or written by hand, it stays visible and is not lost.
        var spec = JsonNode.Parse(SpecJson.Write(WebKitchen.Squares(new MatRollStep(), new LetterStep())))!.ToJsonString();
        await TakeIn(there, File(Bread(spec: spec)));
        Assert.Null(JsonNode.Parse(await there.GetStringAsync("/api/breads"))![0]!["glance"]);
    }
}
