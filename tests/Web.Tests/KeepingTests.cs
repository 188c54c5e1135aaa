using System.Net;
using System.Text.Json.Nodes;

namespace Ystrata.Web.Tests;

/// <summary>Breads, batches and log entries: made, found, changed, deleted, taken back.</summary>
public sealed class KeepingTests(WebKitchen kitchen) : IClassFixture<WebKitchen>
{
    private readonly HttpClient client = kitchen.CreateClient();

    private static JsonNode Bread(string name = "Leek squares") =>
        new JsonObject { ["name"] = name, ["about"] = "for the early boat", ["spec"] = WebKitchen.SquaresJson() };

    private static JsonNode Batch(string? bread = null) => new JsonObject
    {
        ["breadId"] = bread,
        ["name"] = "Leek squares",
        ["spec"] = WebKitchen.SquaresJson(),
        ["madeFor"] = "2026-11-20T18:30:00Z",
    };

    private static JsonNode Entry(string batch) => JsonNode.Parse(
        $$"""
        {
          "batchId": "{{batch}}", "cookedAt": "2026-11-20T18:40:00Z",
          "outcome": {
            "used": { "pieces": 23, "flour": 1180, "liquid": 742, "doughFat": null, "salt": null, "ballMass": 79.5 },
            "timed": { "pan": 218, "firstSide": 50, "secondSide": null, "lastSide": 40 },
            "judged": { "soft": 4, "leaves": 3, "colour": null, "taste": 5 },
            "note": "more water than planned"
          }
        }
        """)!;

    private async Task<JsonNode> Post(string path, JsonNode body, HttpStatusCode expected = HttpStatusCode.Created)
    {
        using var answer = await client.PostAsync(path, WebKitchen.Body(body));
        Assert.Equal(expected, answer.StatusCode);
        return await WebKitchen.Json(answer);
    }

    private async Task<HttpStatusCode> Status(HttpMethod method, string path, JsonNode? body = null)
    {
        using var request = new HttpRequestMessage(method, path) { Content = body is null ? null : WebKitchen.Body(body) };
        using var answer = await client.SendAsync(request);
        return answer.StatusCode;
    }

    private async Task<JsonNode> Get(string path) => await WebKitchen.Json(await client.GetAsync(path));

    [Fact]
    public async Task A_bread_goes_on_the_shelf_with_its_section()
    {
        var made = await Post("/api/breads", Bread("  Radish squares  "));
        var found = await Get($"/api/breads/{made["id"]}");

        Assert.Equal("Radish squares", (string)found["name"]!);
        Assert.Equal((7, 2), ((int)found["glance"]!["leaves"]!, (int)found["glance"]!["fused"]!));
        Assert.Equal(9, found["glance"]!["section"]!["leaves"]!.AsArray().Count);
        Assert.Contains((await Get("/api/breads")).AsArray(), b => (string)b!["id"]! == (string)made["id"]!);
    }

    [Theory]
    [InlineData("breads")]
    [InlineData("batches")]
    [InlineData("log")]
    public async Task Each_is_changed_deleted_and_taken_back(string kind)
    {
        var body = kind switch
        {
            "breads" => Bread(),
            "batches" => Batch(),
            _ => Entry((string)(await Post("/api/batches", Batch()))["id"]!),
        };
        var path = $"/api/{kind}/{(await Post($"/api/{kind}", body))["id"]}";

        Assert.Equal(HttpStatusCode.OK, await Status(HttpMethod.Put, path, body));
        Assert.Equal(HttpStatusCode.NoContent, await Status(HttpMethod.Delete, path));
        Assert.Equal(HttpStatusCode.NotFound, await Status(HttpMethod.Get, path));
        Assert.Equal(HttpStatusCode.NotFound, await Status(HttpMethod.Put, path, body));
        Assert.Equal(HttpStatusCode.NotFound, await Status(HttpMethod.Delete, path));
        Assert.Equal(HttpStatusCode.NoContent, await Status(HttpMethod.Post, path + "/restore"));
        Assert.Equal(HttpStatusCode.NotFound, await Status(HttpMethod.Post, path + "/restore"));
        Assert.Equal(HttpStatusCode.OK, await Status(HttpMethod.Get, path));
    }

    [Theory]
    [InlineData("breads")]
    [InlineData("batches")]
    [InlineData("log")]
    public async Task What_is_not_there_is_not_found_in_kitchen_words(string kind)
    {
        using var answer = await client.GetAsync($"/api/{kind}/{Guid.NewGuid()}");

        Assert.Equal(HttpStatusCode.NotFound, answer.StatusCode);
        Assert.Contains("nothing here by that name", (string)(await WebKitchen.Json(answer))["detail"]!, StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.NotFound, await Status(HttpMethod.Get, $"/api/{kind}/not-an-id"));
    }

    [Fact]
    public async Task A_bread_has_tags_each_once_and_none_too_long()
    {
        var body = Bread();
        body["tags"] = new JsonArray("noon", " Noon ", "leek", "");
        Assert.Equal(["noon", "leek"], (await Post("/api/breads", body))["tags"]!.AsArray().Select(t => (string)t!));

        body["tags"] = new JsonArray(new string('x', 25));
        Assert.Equal("tags[0]", (string)(await Post("/api/breads", body, HttpStatusCode.BadRequest))["refusals"]![0]!["field"]!);
        body["tags"] = new JsonArray([.. Enumerable.Range(0, 9).Select(i => (JsonNode)$"tag {i}")]);
        Assert.Equal("tooMany", (string)(await Post("/api/breads", body, HttpStatusCode.BadRequest))["refusals"]![0]!["code"]!);
    }

    [Theory]
    [InlineData("")]
    [InlineData("   ")]
    public async Task A_bread_needs_a_name(string name)
    {
        var problem = await Post("/api/breads", Bread(name), HttpStatusCode.BadRequest);

        Assert.Equal(("name", "missing"), ((string)problem["refusals"]![0]!["field"]!, (string)problem["refusals"]![0]!["code"]!));
    }

    [Fact]
    public async Task A_name_has_an_end_and_a_bad_spec_is_named_inside_its_body()
    {
        var body = Bread(new string('x', 81));
        body["spec"]!["balls"]!["mass"] = 0;

        var fields = (await Post("/api/breads", body, HttpStatusCode.BadRequest))["refusals"]!.AsArray().Select(r => (string)r!["field"]!);

        Assert.Equal(["name", "spec.balls.mass"], fields);
    }

    [Fact]
    public async Task A_number_that_is_text_inside_a_body_still_tells_its_range()
    {
        var body = Bread();
        body["spec"]!["balls"]!["mass"] = "eighty";

        var refusal = (await Post("/api/breads", body, HttpStatusCode.BadRequest))["refusals"]![0]!;

        Assert.Equal(("spec.balls.mass", 5, 1000), ((string)refusal["field"]!, (double)refusal["least"]!, (double)refusal["most"]!));
    }

    [Fact]
    public async Task A_batch_sent_twice_with_its_own_id_is_one_batch()
    {
        var body = Batch();
        body["id"] = "0199c0de-0000-4000-8000-0000000000a1";
        var made = await Post("/api/batches", body);
        body["name"] = "Another name";
        var again = await Post("/api/batches", body, HttpStatusCode.Conflict);

        Assert.Equal((string)body["id"]!, (string)made["id"]!);
        Assert.Contains("by this id already", (string)again["detail"]!, StringComparison.Ordinal);
        Assert.Equal("Leek squares", (string)again["now"]!["name"]!);
        Assert.Equal("Leek squares", (string)(await WebKitchen.Json(await client.GetAsync($"/api/batches/{made["id"]}")))["name"]!);
        // One that lies in the trash is there too.
        Assert.Equal(HttpStatusCode.NoContent, await Status(HttpMethod.Delete, $"/api/batches/{made["id"]}"));
        Assert.Equal(HttpStatusCode.Conflict, await Status(HttpMethod.Post, "/api/batches", body));
        body["id"] = "no id at all";
        Assert.Equal(HttpStatusCode.BadRequest, await Status(HttpMethod.Post, "/api/batches", body));
    }

    [Fact]
    public async Task A_batch_of_no_known_bread_is_refused_and_one_of_a_deleted_bread_is_kept()
    {
        await Post("/api/batches", Batch(Guid.NewGuid().ToString()), HttpStatusCode.BadRequest);

        var bread = (string)(await Post("/api/breads", Bread()))["id"]!;
        await Status(HttpMethod.Delete, $"/api/breads/{bread}");
        Assert.Equal(bread, (string)(await Post("/api/batches", Batch(bread)))["breadId"]!);
    }

    [Fact]
    public async Task The_log_lays_planned_beside_actual()
    {
        var batch = (string)(await Post("/api/batches", Batch()))["id"]!;
        var ahead = await Get($"/api/batches/{batch}/planned");
        var entry = await Post("/api/log", Entry(batch));

        Assert.True(JsonNode.DeepEquals(ahead["planned"], entry["planned"]));
        Assert.Equal(HttpStatusCode.NotFound, await Status(HttpMethod.Get, $"/api/batches/{Guid.NewGuid()}/planned"));
        Assert.Equal(1180, (double)entry["outcome"]!["used"]!["flour"]!);
        Assert.Null(entry["outcome"]!["used"]!["salt"]);
        Assert.Equal(1174.6, (double)entry["planned"]!["flour"]!, 1);
        Assert.Equal(3, entry["planned"]!["sides"]!.AsArray().Count);
        Assert.Contains((await Get("/api/log"))["lines"]!.AsArray(), l => (string)l!["id"]! == (string)entry["id"]!);
    }

    [Fact]
    public async Task What_went_in_at_the_bench_is_ready_for_the_log()
    {
        var body = Batch();
        body["spec"]!["dough"]!["mix"]!["wentIn"] = 700;
        var batch = (string)(await Post("/api/batches", body))["id"]!;
        var ahead = await Get($"/api/batches/{batch}/planned");

        Assert.Equal(700, (double)ahead["gathered"]!["used"]!["liquid"]!, 6);
        Assert.Equal(728.2, (double)ahead["planned"]!["liquid"]!, 1);
    }

    [Fact]
    public async Task A_log_entry_out_of_range_or_of_no_batch_is_refused_whole()
    {
        var body = Entry(Guid.NewGuid().ToString());
        body["outcome"]!["judged"]!["soft"] = 9;
        body["outcome"]!["timed"]!["pan"] = 5000;
        var before = (int)(await Get("/api/log"))["count"]!;

        var problem = await Post("/api/log", body, HttpStatusCode.BadRequest);

        Assert.Equal(["outcome.timed.pan", "outcome.judged.soft", "batchId"], problem["refusals"]!.AsArray().Select(r => (string)r!["field"]!));
        Assert.Equal(before, (int)(await Get("/api/log"))["count"]!);
    }

    [Fact]
    public async Task The_larder_says_what_goes_where_and_in_what_range()
    {
        var larder = await Get("/api/larder");

        Assert.True(larder["ingredients"]!.AsArray().Count > 80);
        Assert.Equal(["fat"], larder["kinds"]!["pan.fat"]!.AsArray().Select(k => (string)k!));
        Assert.Contains(larder["limits"]!.AsArray(), l => (string)l!["field"]! == "start.pieces" && (double)l["most"]! == 500);
        await Post("/api/plan", larder["plain"]!, HttpStatusCode.OK);
    }
}
