using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using Ystrata.Store;
using Ystrata.Web.Demo;

namespace Ystrata.Web.Tests;

/// <summary>Two screens over one kitchen: what one changed is not overwritten by the other without a word, and what is sent twice counts once.</summary>
/// <remarks>One demo kitchen for all: each test goes by what it finds there.</remarks>
public sealed class VersionTests : IClassFixture<WebKitchen>, IDisposable
{
    private static int glasses;

    private readonly HttpClient client;

    public VersionTests(WebKitchen kitchen)
    {
        client = kitchen.CreateClient();
        client.DefaultRequestHeaders.IfMatch.Clear();
        kitchen.Services.GetRequiredService<DemoKitchen>().FillIfEmpty();
    }

    public void Dispose() => client.Dispose();

    public static TheoryData<string> Deleted => ["breads", "batches", "log", "items", "vessels"];

    public static TheoryData<string> Kinds => ["breads", "batches", "log", "items", "vessels", "units", "learned"];

    private async Task<JsonNode> Get(string path) => JsonNode.Parse(await client.GetStringAsync(path))!;

    private async Task<(HttpStatusCode Status, string? Tag, JsonNode? Body)> Send(HttpMethod method, string path, JsonNode? body = null, string? ifMatch = null)
    {
        using var request = new HttpRequestMessage(method, path) { Content = body is null ? null : JsonContent.Create(body) };
        if (ifMatch is not null)
        {
            request.Headers.TryAddWithoutValidation("If-Match", ifMatch);
        }

        using var answer = await client.SendAsync(request);
        var text = await answer.Content.ReadAsStringAsync();
        return (answer.StatusCode, answer.Headers.ETag?.Tag, text.Length == 0 ? null : JsonNode.Parse(text));
    }

    /// <summary>A row of each kind: where it is changed, what is sent, what is changed in it, and its version.</summary>
    private async Task<(string Path, JsonNode Body, Action<JsonNode> Other, string Tag)> Row(string kind)
    {
        var larder = await Get("/api/larder");
        switch (kind)
        {
            case "breads":
                var bread = (await Get("/api/breads"))[0]!;
                return ($"/api/breads/{bread["id"]}", bread, b => b["name"] = "Another name", $"\"{bread["version"]}\"");
            case "batches":
                var batch = (await Get("/api/batches"))[0]!;
                return ($"/api/batches/{batch["id"]}", batch, b => b["spec"]!["start"]!["pieces"] = 7, $"\"{batch["version"]}\"");
            case "log":
                var entry = await Get($"/api/log/{(await Get("/api/log"))["lines"]![0]!["id"]}");
                return ($"/api/log/{entry["id"]}", entry, b => b["outcome"]!["note"] = "Another note", $"\"{entry["version"]}\"");
            case "items":
                var item = larder["ingredients"]!.AsArray().First(i => (string)i!["id"]! == "flour-white")!;
                return ("/api/larder/items/flour-white", item, b => b["absorption"] = 58.5, $"\"{larder["itemVersions"]!["flour-white"]}\"");
            case "vessels":
                var (_, tag, vessel) = await Send(HttpMethod.Post, "/api/vessels", Glass());
                var weighed = Glass();
                return ($"/api/vessels/{vessel!["id"]}", weighed, b => b["mass"] = 220, tag!);
            case "units":
                return ("/api/larder/units", larder["units"]!, b => b["coin"] = "q", $"\"{larder["unitsVersion"]}\"");
            default:
                var learned = (await Get("/api/learned"))[0]!;
                var said = new JsonObject { ["kind"] = (string)learned["figure"]!["kind"]!, ["of"] = (string)learned["figure"]!["of"]!, ["used"] = !(bool)learned["figure"]!["used"]! };
                return ("/api/learned", said, b => b["forget"] = true, $"\"{learned["version"]}\"");
        }
    }

    private static JsonObject Glass() => new() { ["name"] = $"Slipway glass {Interlocked.Increment(ref glasses)}", ["item"] = "water", ["fill"] = "spooned", ["mass"] = 195 };

    [Theory]
    [MemberData(nameof(Kinds))]
    public async Task A_change_meant_for_what_stood_before_is_not_made(string kind)
    {
        var (path, body, change, tag) = await Row(kind);
        var other = body.DeepClone();
        change(other);

        var (first, now, _) = await Send(HttpMethod.Put, path, other, tag);
        var (second, stands, problem) = await Send(HttpMethod.Put, path, body, tag);

        Assert.Equal((HttpStatusCode.OK, HttpStatusCode.PreconditionFailed), (first, second));
        Assert.NotEqual(tag, now);
        Assert.Equal(now, stands);
        Assert.Equal("Changed elsewhere", (string)problem!["title"]!);
        Assert.NotNull(problem["now"]);
        // What the first one changed is what stands; with its version the second is made.
        Assert.Equal(HttpStatusCode.OK, (await Send(HttpMethod.Put, path, body, stands)).Status);
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public async Task Which_version_is_meant_has_to_be_said_and_read(string kind)
    {
        var (path, body, _, tag) = await Row(kind);

        var (missing, _, problem) = await Send(HttpMethod.Put, path, body);
        Assert.Equal((HttpStatusCode)428, missing);
        Assert.Contains("If-Match", (string)problem!["detail"]!, StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.BadRequest, (await Send(HttpMethod.Put, path, body, "no quotes")).Status);
        Assert.Equal(HttpStatusCode.BadRequest, (await Send(HttpMethod.Put, path, body, "\"open")).Status);
        // Old, invented, weak, or another row's.
        foreach (var wrong in new[] { "\"\"", "\"0123456789abcdef01234567\"", $"W/{tag}", $"\"{(await Get("/api/breads"))[3]!["version"]}\"" })
        {
            Assert.Equal(HttpStatusCode.PreconditionFailed, (await Send(HttpMethod.Put, path, body, wrong)).Status);
        }

        // One of several, or whatever stands.
        var (several, now, _) = await Send(HttpMethod.Put, path, body, $"\"0\", {tag}");
        Assert.Equal(HttpStatusCode.OK, several);
        Assert.NotNull(now);
        Assert.Equal(HttpStatusCode.OK, (await Send(HttpMethod.Put, path, body, "*")).Status);
    }

    [Theory]
    [MemberData(nameof(Deleted))]
    public async Task A_delete_meant_for_what_stood_before_is_not_made(string kind)
    {
        var (path, body, change, tag) = await Row(kind);
        change(body);
        var (_, now, _) = await Send(HttpMethod.Put, path, body, tag);

        Assert.Equal((HttpStatusCode)428, (await Send(HttpMethod.Delete, path)).Status);
        var (old, stands, problem) = await Send(HttpMethod.Delete, path, null, tag);
        Assert.Equal((HttpStatusCode.PreconditionFailed, now), (old, stands));
        Assert.NotNull(problem!["now"]);
        Assert.Equal(HttpStatusCode.NoContent, (await Send(HttpMethod.Delete, path, null, now)).Status);
        Assert.Equal(HttpStatusCode.NotFound, (await Send(HttpMethod.Delete, path, null, "*")).Status);
    }

    [Fact]
    public async Task The_version_is_of_what_was_decided_and_comes_back_with_it()
    {
        var bread = (await Get("/api/breads"))[0]!;
        var path = $"/api/breads/{bread["id"]}";
        var tag = $"\"{bread["version"]}\"";
        var (_, alone, _) = await Send(HttpMethod.Get, path);
        var renamed = bread.DeepClone();
        renamed["name"] = "Another name";
        var (_, other, _) = await Send(HttpMethod.Put, path, renamed, tag);
        var (_, back, _) = await Send(HttpMethod.Put, path, bread, other);

        Assert.Equal(tag, alone);
        Assert.NotEqual(tag, other);
        Assert.Equal(tag, back);
    }

    public static TheoryData<string, string> Creates => new()
    {
        { "/api/breads", "bread" }, { "/api/batches", "batch" }, { "/api/log", "entry" }, { "/api/vessels", "vessel" }, { "/api/larder/items", "item" },
    };

    [Theory]
    [MemberData(nameof(Creates))]
    public async Task What_is_sent_twice_with_its_own_id_counts_once(string path, string kind)
    {
        var id = Guid.NewGuid().ToString();
        var body = kind switch
        {
            "bread" => JsonSerializer.SerializeToNode(new BreadBody("Quay rounds", "", WebKitchen.Squares(), ["new"]), SpecJson.Options)!,
            "batch" => JsonSerializer.SerializeToNode(new BatchBody(null, "Quay rounds", WebKitchen.Squares(), DateTimeOffset.UtcNow), SpecJson.Options)!,
            "entry" => new JsonObject { ["batchId"] = (string)(await Get("/api/batches"))[0]!["id"]!, ["cookedAt"] = "2026-11-20T09:00:00.1234567+01:00", ["outcome"] = JsonSerializer.SerializeToNode(Outcome.Nothing, SpecJson.Options) },
            "vessel" => Glass(),
            _ => (await Get("/api/larder"))["ingredients"]!.AsArray().First(i => (string)i!["id"]! == "flour-white")!.DeepClone(),
        };
        body["id"] = id;
        if (kind == "item")
        {
            body["name"] = "Mill flour";
        }

        var (made, tag, first) = await Send(HttpMethod.Post, path, body);
        var (again, same, second) = await Send(HttpMethod.Post, path, body);

        Assert.Equal((HttpStatusCode.Created, HttpStatusCode.OK), (made, again));
        Assert.Equal(tag, same);
        Assert.Equal((string)first!["id"]!, (string)second!["id"]!);

        // Something else by the same id is refused, and what is there is told.
        Action<JsonNode> other = kind switch
        {
            "entry" => b => b["outcome"]!["note"] = "other",
            "vessel" => b => b["mass"] = 240,
            "item" => b => b["absorption"] = 41,
            _ => b => b["name"] = "Other rounds",
        };
        other(body);
        var (taken, stands, problem) = await Send(HttpMethod.Post, path, body);
        Assert.Equal((HttpStatusCode.Conflict, tag), (taken, stands));
        Assert.Equal((string)first["id"]!, (string)problem!["now"]!["id"]!);

        // One that lies in the trash is known too.
        await Send(HttpMethod.Delete, $"{path}/{first["id"]}", null, "*");
        if (kind != "vessel")
        {
            Assert.Equal(HttpStatusCode.Conflict, (await Send(HttpMethod.Post, path, body)).Status);
        }

        body["id"] = kind == "item" ? 7 : "no id at all";
        Assert.Equal(HttpStatusCode.BadRequest, (await Send(HttpMethod.Post, path, body)).Status);
    }

    [Fact]
    public async Task A_service_is_begun_once_a_score_and_a_photo_are_kept_once()
    {
        var id = Guid.NewGuid();
        var begin = new JsonObject { ["batchId"] = (string)(await Get("/api/batches"))[0]!["id"]!, ["id"] = id.ToString() };
        Assert.Equal(HttpStatusCode.Created, (await Send(HttpMethod.Post, "/api/services", begin)).Status);
        var (again, _, service) = await Send(HttpMethod.Post, "/api/services", begin);
        Assert.Equal((HttpStatusCode.OK, id.ToString()), (again, (string)service!["id"]!));
        Assert.Single((await Get("/api/services")).AsArray(), s => (string)s!["id"]! == id.ToString());

        var score = new JsonObject { ["seed"] = 4, ["turns"] = new JsonArray(30), ["lift"] = 60, ["id"] = id.ToString() };
        Assert.Equal(HttpStatusCode.Created, (await Send(HttpMethod.Post, "/api/practice/scores", score)).Status);
        Assert.Equal(HttpStatusCode.OK, (await Send(HttpMethod.Post, "/api/practice/scores", score)).Status);
        Assert.Single((await Get("/api/practice/scores")).AsArray(), s => (string)s!["id"]! == id.ToString());

        async Task<HttpStatusCode> Photo()
        {
            using var bitmap = new SkiaSharp.SKBitmap(8, 8);
            using var png = bitmap.Encode(SkiaSharp.SKEncodedImageFormat.Png, 90);
            using var content = new ByteArrayContent(png.ToArray()) { Headers = { ContentType = new MediaTypeHeaderValue("image/png") } };
            using var answer = await client.PostAsync($"/api/photos?id={id}", content);
            return answer.StatusCode;
        }

        Assert.Equal((HttpStatusCode.Created, HttpStatusCode.OK), (await Photo(), await Photo()));
    }
}
