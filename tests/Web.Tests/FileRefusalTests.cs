using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using Ystrata.Store;
using Ystrata.Web.Demo;
using Ystrata.Web.Files;

namespace Ystrata.Web.Tests;

/// <summary>Files that cannot be taken: refused whole, with the line and the reason, and nothing is kept of them.</summary>
public sealed class FileRefusalTests(WebKitchen kitchen) : IClassFixture<WebKitchen>
{
    private readonly HttpClient there = kitchen.CreateClient();

    public static TheoryData<string, string, double?> Unreadable => new()
    {
        { "", "foreignFile", null },
        { "\u0089PNG\r\n", "foreignFile", null },
        { "SQLite format 3\0", "foreignFile", null },
        { "id,name\n1,Rounds", "foreignFile", null },
        { "{}", "foreignFile", null },
        { "[]", "foreignFile", null },
        { "{\"format\":\"something-else\",\"version\":1,\"records\":[]}", "foreignFile", null },
        { "{\"records\":[],\"format\":\"ystrata-kitchen\",\"version\":1}", "foreignFile", null },
        { FileTests.File("", "\"format\":\"ystrata-kitchen\",\"version\":2"), "newerFile", null },
        { FileTests.File("", "\"format\":\"ystrata-kitchen\",\"version\":1e99"), "newerFile", null },
        { FileTests.File("", "\"format\":\"ystrata-kitchen\",\"version\":\"1\""), "foreignFile", null },
        { FileTests.File(FileTests.Bread())[..^20], "brokenFile", 2 },
        { FileTests.File(FileTests.Bread() + ",\n" + FileTests.Bread())[..^1], "brokenFile", 4 },
        { FileTests.File(FileTests.Bread()) + "{}", "brokenFile", 3 },
        { FileTests.File(FileTests.Bread() + "\n" + FileTests.Bread()), "brokenFile", 3 },
        { FileTests.File(FileTests.Bread() + ",\n17"), "brokenFile", 3 },
        { FileTests.File("{\"kind\":" + new string('[', 5000)), "brokenFile", 2 },
        { FileTests.File(new string('[', 200)), "brokenFile", 2 },
    };

    [Theory]
    [MemberData(nameof(Unreadable))]
    public async Task A_file_that_cannot_be_read_is_refused_whole(string file, string code, double? line)
    {
        var problem = (await FileTests.Ended(there, file))["problem"]!;

        Assert.Equal((code, line), ((string)problem["code"]!, (double?)problem["given"]));
        Assert.Equal("[]", await there.GetStringAsync("/api/breads"));
    }

    private const string Ours = "0199b2f0-0000-7000-8000-000000000001";

    private static string SpecWith(string field, string json)
    {
        var spec = WebKitchen.SquaresJson();
        var (path, last) = (field.Split('.')[..^1], field.Split('.')[^1]);
        path.Aggregate(spec, (n, p) => n[p]!)[last] = JsonNode.Parse(json);
        return spec.ToJsonString();
    }

    public static TheoryData<string, string, string> Untakeable => new()
    {
        { FileTests.Bread(spec: SpecWith("dough.hydration", "9000")), "bread.spec.dough.hydration", "outOfRange" },
        { FileTests.Bread(spec: SpecWith("dough.hydration", "1e999")), "", "notANumber" },
        { FileTests.Bread(spec: SpecWith("dough.hydration", "\"wet\"")), "bread.spec.dough.hydration", "notANumber" },
        { FileTests.Bread(spec: SpecWith("dough.flours", "[null]")), "", "unreadable" },
        { FileTests.Bread(spec: SpecWith("dough.flours", "[{\"id\":\"flour-of-the-moon\",\"parts\":1}]")), "bread.spec.dough.flours[0].id", "unknownIngredient" },
        { FileTests.Bread(name: ""), "bread.name", "missing" },
        { FileTests.Bread(name: new string('a', 500)), "bread.name", "tooLong" },
        { FileTests.Bread().Replace("\"tags\":[]", $"\"tags\":[{string.Join(',', Enumerable.Repeat("\"a\"", 99))}]", StringComparison.Ordinal), "bread.tags", "tooMany" },
        { "{\"kind\":\"recipe\"}", "", "unreadable" },
        { "{}", "kind", "missing" },
        { "{\"kind\":\"bread\"}", "bread", "missing" },
        { $$"""{"kind":"photo","id":"{{Ours}}","body":"bm8gcGhvdG8=","madeAt":"2026-11-26T10:00:00Z"}""", "body", "notAPhoto" },
        { $$$"""{"kind":"batch","batch":{"id":"{{{Ours}}}","breadId":"{{{Ours}}}","name":"Rounds","spec":{{{SpecJson.Write(WebKitchen.Squares())}}},"madeFor":"2026-11-26T10:00:00Z","changedAt":"2026-11-26T10:00:00Z"}}""", "batch.breadId", "notInList" },
        { """{"kind":"hand","work":"lastRoll","time":100000,"changedAt":"2026-11-26T10:00:00Z"}""", "time", "outOfRange" },
        { """{"kind":"vessel","vessel":{"id":"jug","name":"Jug","volume":-5},"changedAt":"2026-11-26T10:00:00Z"}""", "vessel.volume", "outOfRange" },
        { """{"kind":"units","units":{"mass":"stones","heat":"celsius","length":"centimetres","cup":"metric","fill":"spooned","coin":""}}""", "units.mass", "unreadable" },
        { $$$"""{"kind":"practice","score":{"id":"{{{Ours}}}","seed":1,"playedAt":"2026-11-26T10:00:00Z","score":400,"turns":[],"lift":3}}""", "score", "outOfRange" },
        { """{"kind":"day","day":"2031-05-06","spec":{"people":0},"changedAt":"2026-11-26T10:00:00Z"}""", "spec.people", "outOfRange" },
    };

    [Theory]
    [MemberData(nameof(Untakeable))]
    public async Task One_record_that_cannot_be_taken_is_told_with_its_line_and_nothing_is_taken(string record, string field, string code)
    {
        var end = await FileTests.Ended(there, FileTests.File($"{FileTests.Bread()},\n{record},\n{FileTests.Bread()}"));

        Assert.Null(end["staged"]);
        var bad = Assert.Single(end["bad"]!.AsArray())!;
        Assert.Equal(3, (int)bad["line"]!);
        Assert.Equal((field, code), ((string)bad["refusals"]![0]!["field"]!, (string)bad["refusals"]![0]!["code"]!));
        Assert.Equal("[]", await there.GetStringAsync("/api/breads"));
    }

    [Fact]
    public async Task The_same_bread_twice_is_refused_and_so_are_two_lines_of_one_name()
    {
        var end = await FileTests.Ended(there, FileTests.File($"{FileTests.Bread(id: Ours)},\n{FileTests.Bread(id: Ours)}"));
        Assert.Equal("namedTwice", (string)end["bad"]![0]!["refusals"]![0]!["code"]!);

        var item = JsonNode.Parse(await there.GetStringAsync("/api/larder"))!["ingredients"]!.AsArray().First(i => (string)i!["id"]! == "herb-chopped")!;
        string Own(string id) => new JsonObject { ["kind"] = "ingredient", ["ingredient"] = new JsonObject(item.AsObject().Select(p => new KeyValuePair<string, JsonNode?>(p.Key, p.Key switch { "id" => id, "name" => "Sorrel", _ => p.Value?.DeepClone() }))), ["changedAt"] = "2026-11-26T10:00:00Z" }.ToJsonString();
        end = await FileTests.Ended(there, FileTests.File($"{Own("own-a")},\n{Own("own-b")},\n{Own("../etc")}"));
        Assert.Equal(["ingredient.name", "ingredient.name"], end["bad"]!.AsArray().Select(b => (string)b!["refusals"]![0]!["field"]!));
        Assert.Equal("notInList", (string)end["bad"]![1]!["refusals"]![1]!["code"]!);
    }

    [Fact]
    public async Task A_service_with_one_press_twice_or_hands_beyond_all_measure_is_refused()
    {
        var batch = new Batch(Guid.Parse(Ours), null, "Rounds", WebKitchen.Squares(), DateTimeOffset.UnixEpoch, DateTimeOffset.UnixEpoch);
        var press = new StoveEvent(Guid.NewGuid(), new(9), StoveAct.Laid, 0, 0, 0, 1);
        KeptService Kept(ClockSpec clock) => new(Guid.NewGuid(), batch.Id, "Rounds", new([new("Rounds", batch.Spec)], clock, new(3600)), DateTimeOffset.UnixEpoch, null);
        KitchenRecord[] records =
        [
            new BatchRecord(batch),
            new ServiceRecord(Kept(ClockSpec.Usual), [press, press with { Id = Guid.NewGuid() }, press]),
            new ServiceRecord(Kept(ClockSpec.Usual with { People = 900 }), [press]),
            new ServiceRecord(Kept(ClockSpec.Usual), [press]),
        ];
        var end = await FileTests.Ended(there, FileTests.File(string.Join(",\n", records.Select(r => JsonSerializer.Serialize(r, SpecJson.Options)))));
        Assert.Equal(
            [(3, "events", "namedTwice"), (4, "service.clock.people", "outOfRange")],
            end["bad"]!.AsArray().Select(b => ((int)b!["line"]!, (string)b["refusals"]![0]!["field"]!, (string)b["refusals"]![0]!["code"]!)));
    }

    [Fact]
    public async Task Twenty_bad_lines_are_enough_to_stop_at()
    {
        var end = await FileTests.Ended(there, FileTests.File(string.Join(",\n", Enumerable.Repeat(FileTests.Bread(name: ""), 5000))));
        Assert.Equal(KitchenIntake.MostBad, end["bad"]!.AsArray().Count);
        Assert.InRange((int)end["records"]!, 20, 600);
    }

    [Fact]
    public async Task Two_hundred_spoilt_files_are_refused_or_taken_and_never_crash_or_half_write()
    {
        var (store, larder) = (kitchen.Services.GetRequiredService<KitchenDb>(), kitchen.Services.GetRequiredService<CurrentKitchen>());
        var (breads, batches, photos) = (kitchen.Services.GetRequiredService<Breads>(), kitchen.Services.GetRequiredService<Batches>(), kitchen.Services.GetRequiredService<Photos>());
        // A line of every kind, so that a slip lands in each of them.
        using var full = new WebKitchen();
        using var client = full.CreateClient();
        full.Services.GetRequiredService<DemoKitchen>().FillIfEmpty();
        var lines = (await client.GetStringAsync("/api/files/kitchen")).Split('\n');
        byte[] whole = Encoding.UTF8.GetBytes(string.Join('\n', [lines[0], .. lines[1..^2].GroupBy(l => l[..20]).Select(g => g.First()), lines[^3].TrimEnd(','), "]}"]));
        // Ten thousand more in the bench.
        const int Times = 200;
        var random = new Random(20261126);
        var refused = 0;
        for (var i = 0; i < Times; i++)
        {
            using var staging = new Staging(store);
            var intake = new KitchenIntake(new MemoryStream(Spoilt.Of(whole, random)), staging, larder, breads, batches, photos);
            try
            {
                intake.Read();
                refused += intake.Bad.Count == 0 ? 0 : 1;
            }
            catch (FileException)
            {
                refused++;
            }
        }

        Assert.InRange(refused, Times / 2, Times);
        Assert.Equal("[]", await there.GetStringAsync("/api/breads"));
    }

    [Fact]
    public async Task The_published_schema_says_what_a_kitchens_file_is()
    {
        var schema = JsonNode.Parse(await there.GetStringAsync("/formats/kitchen.schema.json"))!;

        Assert.Equal("https://json-schema.org/draft/2020-12/schema", (string)schema["$schema"]!);
        Assert.Equal(1, (int)schema["properties"]!["version"]!["const"]!);
        var kinds = schema["$defs"]!["record"]!["anyOf"]!.AsArray().Select(k => (string)k!["properties"]!["kind"]!["const"]!);
        Assert.Equal(["batch", "bread", "day", "hand", "ingredient", "learned", "log", "photo", "practice", "service", "units", "vessel"], kinds.Order());
    }
}
