using System.Net;
using System.Text;
using System.Text.Json.Nodes;

namespace Ystrata.Web.Tests;

/// <summary>The bench scale over the wire.</summary>
public sealed class ScaleTests(WebKitchen kitchen) : IClassFixture<WebKitchen>
{
    private readonly HttpClient client = kitchen.CreateClient();

    private async Task<HttpStatusCode> Play(string body)
    {
        using var answer = await client.PostAsync("/api/scale/stand-in", new StringContent(body, Encoding.UTF8, "application/json"));
        return answer.StatusCode;
    }

    [Fact]
    public async Task The_stand_in_says_what_it_is()
    {
        var view = JsonNode.Parse(await client.GetStringAsync("/api/scale"))!;

        Assert.Equal((true, true), ((bool)view["standIn"]!, (bool)view["tares"]!));
    }

    [Fact]
    public async Task Readings_stream_and_a_steady_ball_is_taken_once()
    {
        Assert.Equal(HttpStatusCode.NoContent, await Play("""{"load":0}"""));
        await using var live = await LiveLine.On(client, "scale=true");
        Task<JsonNode> Next(Func<JsonNode, bool> wanted) => live.Until("scale", wanted);

        await Next(r => (bool)r["steady"]!);
        await Play("""{"load":83}""");
        var taken = await Next(r => r["taken"] is not null);
        Assert.InRange((double)taken["taken"]!, 82, 84);
        await Next(r => (bool)r["steady"]! && r["taken"] is null);

        await Play("""{"load":6000}""");
        Assert.Null((await Next(r => (string)r["state"]! == "overload"))["mass"]);
        await Play("""{"load":0,"plugged":false}""");
        await Next(r => (string)r["state"]! == "unplugged");
        await Play("""{"plugged":true}""");
        await Next(r => (string)r["state"]! == "ready");
    }

    [Theory]
    [InlineData("""{"load":-1}""")]
    [InlineData("""{"load":1e9}""")]
    [InlineData("""{"ballLike":0}""")]
    [InlineData("""{"load":"heavy"}""")]
    [InlineData("[]")]
    [InlineData("")]
    public async Task What_cannot_lie_on_a_scale_is_refused(string body) => Assert.Equal(HttpStatusCode.BadRequest, await Play(body));
}
