using System.Text.Json.Nodes;

namespace Ystrata.Web.Tests;

/// <summary>The schools a bread can begin from, as they come out in this kitchen.</summary>
public sealed class SchoolTests : IDisposable
{
    private readonly WebKitchen kitchen = new();

    public void Dispose() => kitchen.Dispose();

    private async Task<JsonArray> Schools()
    {
        using var client = kitchen.CreateClient();
        using var answer = await client.GetAsync("/api/schools");
        return (await WebKitchen.Json(answer)).AsArray();
    }

    [Fact]
    public async Task The_plainest_come_first_and_each_has_its_picture()
    {
        var schools = await Schools();

        Assert.Equal(Core.Planning.Schools.All.Select(s => s.Id).Order(), schools.Select(s => (string)s!["id"]!).Order());
        int[] hard = [.. schools.Select(s => (int)s!["difficulty"]!)];
        Assert.Equal(hard.Order(), hard);
        Assert.All(schools, s => Assert.NotEmpty(s!["glance"]!["section"]!["leaves"]!.AsArray()));
        Assert.Equal(1, hard[0]);
    }

    private async Task<(int Status, JsonNode Body)> Ask(string path, object body)
    {
        using var client = kitchen.CreateClient();
        using var answer = await client.PostAsync($"/api/schools/{path}", WebKitchen.Body(body));
        return ((int)answer.StatusCode, answer.Content.Headers.ContentLength == 0 ? new JsonObject() : await WebKitchen.Json(answer));
    }

    [Fact]
    public async Task Three_answers_make_a_first_batch_that_can_be_planned()
    {
        var (status, spec) = await Ask("letters/first", new { pieces = 6, flour = "flour-atta", pan = "clay" });

        Assert.Equal(200, status);
        Assert.Equal(("flour-atta", "clay", 6), ((string)spec["dough"]!["flours"]![0]!["id"]!, (string)spec["pan"]!["on"]!["kind"]!, (int)spec["start"]!["pieces"]!));
        using var client = kitchen.CreateClient();
        using var plan = await client.PostAsync("/api/plan", WebKitchen.Body(spec));
        Assert.Equal(6, (int)(await WebKitchen.Json(plan))["balls"]!["count"]!);
    }

    [Theory]
    [InlineData("""{"pieces":0}""", "pieces")]
    [InlineData("""{"pieces":-3}""", "pieces")]
    [InlineData("""{"pieces":999999}""", "pieces")]
    [InlineData("""{"pieces":8,"flour":"ghee"}""", "flour")]
    [InlineData("""{"pieces":8,"flour":"<b>"}""", "flour")]
    public async Task What_cannot_be_answered_is_refused_by_its_question(string body, string field)
    {
        var (status, problem) = await Ask("letters/first", JsonNode.Parse(body)!);

        Assert.Equal(400, status);
        Assert.Equal(field, (string)problem["refusals"]![0]!["field"]!);
    }

    [Theory]
    [InlineData("""{}""")]
    [InlineData("""{"pieces":8,"pan":"bucket"}""")]
    [InlineData("""{"pieces":"many"}""")]
    public async Task What_is_no_answer_at_all_is_refused(string body) => Assert.Equal(400, (await Ask("letters/first", JsonNode.Parse(body)!)).Status);

    [Fact]
    public async Task No_such_school_is_told()
    {
        Assert.Equal(404, (await Ask("knots/first", new { pieces = 8 })).Status);
        Assert.Equal(404, (await Ask("knots/move", BatchSpec.Plain)).Status);
    }

    [Fact]
    public async Task A_batch_goes_to_another_school_with_what_is_the_cooks_own()
    {
        var (status, moved) = await Ask("coils/move", WebKitchen.Squares());

        Assert.Equal(200, status);
        Assert.Equal((24, "coil"), ((int)moved["start"]!["pieces"]!, (string)moved["fold"]!["steps"]!.AsArray()[^1]!["kind"]!));
        var broken = WebKitchen.SquaresJson();
        broken["roll"]!["diameter"] = -1;
        Assert.Equal(400, (await Ask("coils/move", broken)).Status);
    }
}
