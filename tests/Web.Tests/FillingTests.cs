using System.Net;
using System.Text;
using System.Text.Json.Nodes;

namespace Ystrata.Web.Tests;

/// <summary>A filling over the wire.</summary>
public sealed class FillingTests(WebKitchen kitchen) : IClassFixture<WebKitchen>
{
    private readonly HttpClient client = kitchen.CreateClient();

    private static JsonNode Spec(Action<JsonNode>? change = null)
    {
        var spec = JsonNode.Parse(WebKitchen.Body(BatchSpec.Plain with { Filling = FillingSpec.Usual }).ReadAsStringAsync().Result)!;
        change?.Invoke(spec["filling"]!);
        return spec;
    }

    private async Task<(HttpStatusCode Status, JsonNode Body)> Plan(JsonNode spec)
    {
        using var answer = await client.PostAsync("/api/plan", new StringContent(spec.ToJsonString(), Encoding.UTF8, "application/json"));
        return (answer.StatusCode, await WebKitchen.Json(answer));
    }

    [Fact]
    public async Task The_larder_says_what_a_filling_begins_with_and_what_it_takes()
    {
        var larder = JsonNode.Parse(await client.GetStringAsync("/api/larder"))!;

        Assert.Equal("radish", (string)larder["plainFilling"]!["parts"]![0]!["id"]!);
        Assert.Contains("binder", larder["kinds"]!["filling.together[].binder"]!.AsArray().Select(k => (string)k!));
        Assert.Contains(larder["limits"]!.AsArray(), l => (string)l!["field"]! == "filling.parts[].steps[].share");
    }

    [Fact]
    public async Task A_plan_brings_the_ledger_the_verdict_and_the_wall()
    {
        var (status, plan) = await Plan(Spec(f => f["liquorToDough"] = true));
        var filling = plan["filling"]!;

        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(3, filling["parts"]![0]!["rows"]!.AsArray().Count);
        Assert.Equal("holds", (string)filling["feel"]!);
        Assert.True((double)filling["end"]!["mass"]! > 500);
        Assert.Equal((double)filling["liquor"]!["used"]!, (double)plan["dough"]!["portions"]!.AsArray().Single(p => (string)p!["id"]! == "liquor")!["mass"]!, 6);
        Assert.Equal(0, (int)plan["section"]!["filling"]!["at"]![0]!);
    }

    [Fact]
    public async Task A_stuffed_bread_is_kept_and_read_back_as_it_was()
    {
        var spec = Spec(f => f["parts"]![0]!["steps"]![2]!["after"] = 640);
        using var kept = await client.PostAsync("/api/breads", new StringContent(
            new JsonObject { ["name"] = "Kept radish", ["about"] = "", ["tags"] = new JsonArray(), ["spec"] = spec }.ToJsonString(), Encoding.UTF8, "application/json"));
        var id = (string)(await WebKitchen.Json(kept))["id"]!;
        var found = JsonNode.Parse(await client.GetStringAsync("/api/breads"))!.AsArray().Single(b => (string)b!["id"]! == id)!;

        Assert.Equal(640, (double)found["spec"]!["filling"]!["parts"]![0]!["steps"]![2]!["after"]!);
        Assert.Equal("squeeze", (string)found["spec"]!["filling"]!["parts"]![0]!["steps"]![2]!["kind"]!);
    }

    [Theory]
    [InlineData("""{"kind":"salt","salt":"salt-fine","share":20,"time":10}""", "filling.together[0].share")]
    [InlineData("""{"kind":"bind","binder":"puree-pea","mass":20}""", "filling.together[0].binder")]
    [InlineData("""{"kind":"squeeze","by":"cloth","after":90000}""", "filling.together[0].after")]
    [InlineData("""{"kind":"season","item":"no-such-thing","mass":5}""", "filling.together[0].item")]
    [InlineData("""{"kind":"cool","time":-5,"place":"room"}""", "filling.together[0].time")]
    [InlineData("""null""", "filling.together[0]")]
    public async Task A_step_that_cannot_be_is_refused_by_its_field(string step, string field)
    {
        var (status, problem) = await Plan(Spec(f => f["together"] = new JsonArray(JsonNode.Parse(step))));

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Equal(field, (string)problem["refusals"]![0]!["field"]!);
        Assert.False(string.IsNullOrWhiteSpace((string?)problem["detail"] ?? (string?)problem["title"]));
    }

    [Theory]
    [InlineData("""{"kind":"explode"}""")]
    [InlineData("""{"kind":"chop","by":"axe","grain":2}""")]
    [InlineData("""{"kind":"chop","by":"grate","grain":"much"}""")]
    [InlineData("""7""")]
    public async Task A_step_that_cannot_be_read_is_refused_whole(string step)
    {
        var (status, _) = await Plan(Spec(f => f["together"] = new JsonArray(JsonNode.Parse(step))));

        Assert.Equal(HttpStatusCode.BadRequest, status);
    }

    [Theory]
    [InlineData("together")]
    [InlineData("parts")]
    [InlineData("wall")]
    public async Task What_is_left_out_or_null_is_refused_and_not_stumbled_over(string name)
    {
        var (gone, _) = await Plan(Spec(f => f.AsObject().Remove(name)));
        var (none, _) = await Plan(Spec(f => f[name] = null));
        var (steps, _) = await Plan(Spec(f => f["parts"]![0]!["steps"] = null));

        Assert.Equal([HttpStatusCode.BadRequest, HttpStatusCode.BadRequest, HttpStatusCode.BadRequest], [gone, none, steps]);
    }

    [Fact]
    public async Task More_parts_or_steps_than_are_followed_are_refused()
    {
        var (parts, first) = await Plan(Spec(f => f["parts"] = new JsonArray([.. Enumerable.Range(0, 40).Select(_ => JsonNode.Parse("""{"id":"leek","mass":100,"trim":0,"steps":[]}"""))])));
        var (steps, second) = await Plan(Spec(f => f["together"] = new JsonArray([.. Enumerable.Range(0, 40).Select(_ => JsonNode.Parse("""{"kind":"blanch","time":1}"""))])));

        Assert.Equal((HttpStatusCode.BadRequest, "filling.parts"), (parts, (string)first["refusals"]![0]!["field"]!));
        Assert.Equal((HttpStatusCode.BadRequest, "filling.together"), (steps, (string)second["refusals"]![0]!["field"]!));
    }
}
