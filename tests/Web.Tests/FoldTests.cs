using System.Net;
using System.Text;
using System.Text.Json.Nodes;

namespace Ystrata.Web.Tests;

/// <summary>Compare, reverse and hand times over the wire.</summary>
public sealed class FoldTests(WebKitchen kitchen) : IClassFixture<WebKitchen>
{
    private readonly HttpClient client = kitchen.CreateClient();

    private async Task<(HttpStatusCode Status, JsonNode Body)> Post(string path, object body)
    {
        using var answer = await client.PostAsync(path, body is string text ? new StringContent(text, Encoding.UTF8, "application/json") : WebKitchen.Body(body));
        return (answer.StatusCode, await WebKitchen.Json(answer));
    }

    private static object Comparing(string[] schools, params FoldStep[][] programs) => new
    {
        spec = WebKitchen.Squares(),
        schools,
        programs = programs.Select((p, i) => new FoldProgram($"own{i}", WebKitchen.Squares().Sheet, new(p))),
    };

    [Fact]
    public async Task The_same_ball_goes_through_own_programs_and_schools()
    {
        var (status, rows) = await Post("/api/compare", Comparing(["halves", "coils"], [new LetterStep(), new LetterStep()]));

        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(["own0", "halves", "coils"], rows.AsArray().Select(r => (string)r!["program"]!["id"]!));
        Assert.Equal(7, (int)rows[0]!["fold"]!["effective"]!);
        Assert.True((double)rows[2]!["fold"]!["flake"]!["points"]! > (double)rows[1]!["fold"]!["flake"]!["points"]!);
    }

    [Fact]
    public async Task A_seventh_program_and_a_school_that_is_none_are_refused_by_name()
    {
        var (many, problem) = await Post("/api/compare", Comparing(["halves", "coils", "cone", "letters", "envelope", "strips", "parcel"]));
        var (unknown, other) = await Post("/api/compare", Comparing(["origami"]));
        var (bad, third) = await Post("/api/compare", Comparing([], [new MatRollStep(), new CoilStep(), new HalfStep()]));

        Assert.Equal((HttpStatusCode.BadRequest, "schools"), (many, (string)problem["refusals"]![0]!["field"]!));
        Assert.Equal((HttpStatusCode.BadRequest, "schools[0]"), (unknown, (string)other["refusals"]![0]!["field"]!));
        Assert.Equal((HttpStatusCode.BadRequest, "programs[0].fold.steps[2]"), (bad, (string)third["refusals"]![0]!["field"]!));
    }

    [Fact]
    public async Task Programs_for_a_wanted_bread_come_quickest_first()
    {
        var (status, found) = await Post("/api/reverse", new { spec = WebKitchen.Squares(), wanted = new { leaves = 9, leaf = 0.3, across = 180 } });
        var hands = found.AsArray().Select(f => (double)f!["program"]!["fold"]!["hands"]!).ToList();

        Assert.Equal(HttpStatusCode.OK, status);
        Assert.NotEmpty(hands);
        Assert.Equal(hands.Order(), hands);
    }

    [Theory]
    [InlineData("1", "0.3", "180", "wanted.leaves")]
    [InlineData("100000", "0.3", "180", "wanted.leaves")]
    [InlineData("9", "-1", "180", "wanted.leaf")]
    [InlineData("9", "0.3", "2000", "wanted.across")]
    public async Task A_bread_that_cannot_be_is_refused_with_its_range(string leaves, string leaf, string across, string field)
    {
        var spec = WebKitchen.SquaresJson().ToJsonString();
        var (status, problem) = await Post("/api/reverse", $$$"""{"spec":{{{spec}}},"wanted":{"leaves":{{{leaves}}},"leaf":{{{leaf}}},"across":{{{across}}} } }""");

        Assert.Equal((HttpStatusCode.BadRequest, field), (status, (string)problem["refusals"]![0]!["field"]!));
    }

    [Fact]
    public async Task An_own_hand_time_counts_and_goes_back_to_the_usual()
    {
        async Task<double> Hands() => (double)(await Post("/api/plan", WebKitchen.Squares())).Body["fold"]!["hands"]!;
        var before = await Hands();
        using var own = await client.PutAsync("/api/hands", WebKitchen.Body(new { work = "sheet", time = 105 }));
        Assert.Equal(before + 60, await Hands());

        using var back = await client.PutAsync("/api/hands", WebKitchen.Body(new { work = "sheet", time = (double?)null }));
        Assert.Equal(before, await Hands());
    }

    [Theory]
    [InlineData("""{"work":"sheet","time":0}""")]
    [InlineData("""{"work":"sheet","time":1e9}""")]
    [InlineData("""{"work":"sheet","time":-3}""")]
    [InlineData("""{"work":"juggle","time":3}""")]
    [InlineData("""{"work":"sheet","time":"long"}""")]
    public async Task A_hand_time_that_cannot_be_changes_nothing(string body)
    {
        using var answer = await client.PutAsync("/api/hands", new StringContent(body, Encoding.UTF8, "application/json"));

        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        var times = JsonNode.Parse(await client.GetStringAsync("/api/hands"))!.AsArray();
        Assert.All(times, t => Assert.Null(t!["own"]));
    }
}
