using System.Net;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using Ystrata.Web.Demo;

namespace Ystrata.Web.Tests;

/// <summary>The colour a photographed face has reached: read, kept with the log, learned from.</summary>
public sealed class FaceTests : IDisposable
{
    private readonly WebKitchen kitchen = new();
    private readonly HttpClient client;

    public FaceTests()
    {
        client = kitchen.CreateClient();
        kitchen.Services.GetRequiredService<DemoKitchen>().FillIfEmpty();
    }

    public void Dispose()
    {
        client.Dispose();
        kitchen.Dispose();
    }

    private static JsonArray Patches(double red, double green, double blue, int count = 4) =>
        [.. Enumerable.Range(0, count).Select(_ => (JsonNode)new JsonObject { ["red"] = red, ["green"] = green, ["blue"] = blue })];

    private static JsonObject Face(string face, JsonArray? white = null, JsonArray? of = null) =>
        new() { ["is"] = face, ["white"] = white ?? Patches(240, 240, 238), ["face"] = of ?? Patches(200, 160, 100) };

    private async Task<(HttpStatusCode Status, JsonNode Answer)> Read(string? entry, params JsonNode?[] faces)
    {
        var answer = await client.PostAsync("/api/log/faces", WebKitchen.Body(new JsonObject { ["batchId"] = null, ["entryId"] = entry, ["faces"] = new JsonArray(faces) }));
        return (answer.StatusCode, await WebKitchen.Json(answer));
    }

    private async Task<JsonNode> Entry() => (await WebKitchen.Json(await client.GetAsync("/api/log")))["lines"]![0]!;

    [Fact]
    public async Task Averages_of_white_and_face_become_a_colour_beside_the_planned_one()
    {
        var id = (string)(await Entry())["id"]!;
        var (status, view) = await Read(id, Face("first"), Face("second", white: Patches(90, 90, 90)));

        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(["none", "dim"], view["faces"]!.AsArray().Select(f => (string)f!["trouble"]!));
        Assert.InRange((double)view["faces"]![0]!["dark"]!, 0.2, 1.5);
        Assert.Equal(2, view["planned"]!.AsArray().Count);
        Assert.True((double)view["wanted"]! > 0);
    }

    [Fact]
    public async Task What_is_no_photo_is_refused_and_who_is_not_there_is_not_found()
    {
        var id = (string)(await Entry())["id"]!;
        foreach (var bad in new JsonNode?[]
        {
            Face("first", white: []), Face("first", of: Patches(1, 2, 3, 5)), Face("first", of: Patches(1e9, 0, 0)), Face("first", of: Patches(-1, 0, 0)), null,
        })
        {
            var (status, problem) = await Read(id, bad);
            Assert.Equal(HttpStatusCode.BadRequest, status);
            Assert.NotNull(problem["refusals"]);
        }

        Assert.Equal(HttpStatusCode.BadRequest, (await Read(id, Face("first"), Face("first"))).Status);
        Assert.Equal(HttpStatusCode.BadRequest, (await Read(id, Face("inside"))).Status);
        Assert.Equal(HttpStatusCode.NotFound, (await Read(Guid.NewGuid().ToString(), Face("first"))).Status);
        Assert.Equal(HttpStatusCode.NotFound, (await Read(null, Face("first"))).Status);
        Assert.Equal(HttpStatusCode.OK, (await Read(id)).Status);
    }

    [Fact]
    public async Task The_landings_photos_teach_its_pans_and_the_one_in_shadow_does_not()
    {
        var figures = (await WebKitchen.Json(await client.GetAsync("/api/learned"))).AsArray().Select(l => l!["figure"]!).Where(f => (string)f["kind"]! == "browning").ToList();
        Assert.Equal(4, figures.Sum(f => (int)f["n"]!));
        Assert.All(figures, f => Assert.InRange((double)f["seen"]!, 0.7, 2));
        Assert.All(figures, f => Assert.Equal(3, (int)f["least"]!));
    }

    [Fact]
    public async Task Faces_and_a_weighed_piece_are_kept_with_the_entry_and_come_back_as_they_were()
    {
        var line = await Entry();
        var put = (JsonObject)(await WebKitchen.Json(await client.GetAsync($"/api/log/{line["id"]}"))).DeepClone();
        var version = (string)put["version"]!;
        var body = new JsonObject { ["batchId"] = (string)put["batchId"]!, ["cookedAt"] = (string)put["cookedAt"]!, ["photoId"] = (string?)put["photoId"], ["outcome"] = put["outcome"]!.DeepClone() };
        body["outcome"]!["faces"] = new JsonArray(Face("second"));
        body["outcome"]!["used"]!["raw"] = 88;
        body["outcome"]!["used"]!["roasted"] = 79;
        var message = new HttpRequestMessage(HttpMethod.Put, $"/api/log/{line["id"]}") { Content = WebKitchen.Body(body) };
        message.Headers.TryAddWithoutValidation("If-Match", $"\"{version}\"");
        Assert.Equal(HttpStatusCode.OK, (await client.SendAsync(message)).StatusCode);

        var kept = (await WebKitchen.Json(await client.GetAsync($"/api/log/{line["id"]}")))["outcome"]!;
        Assert.Equal("second", (string)kept["faces"]![0]!["is"]!);
        Assert.Equal((88, 79), ((double)kept["used"]!["raw"]!, (double)kept["used"]!["roasted"]!));
        var csv = await client.GetStringAsync("/api/log/export");
        Assert.Contains("raw_g", csv, StringComparison.Ordinal);
        Assert.Contains(",88,", csv, StringComparison.Ordinal);
    }
}
