using System.Net;
using System.Text;
using System.Text.Json.Nodes;

namespace Ystrata.Web.Tests;

/// <summary>A running service over the wire: presses, screens, and what is not counted.</summary>
public sealed class StoveTests(WebKitchen kitchen) : IClassFixture<WebKitchen>
{
    private readonly HttpClient client = kitchen.CreateClient();

    private async Task<(HttpStatusCode Status, JsonNode Body)> Post(string path, JsonNode body)
    {
        using var answer = await client.PostAsync(path, new StringContent(body.ToJsonString(), Encoding.UTF8, "application/json"));
        return (answer.StatusCode, await WebKitchen.Json(answer));
    }

    private async Task<string> Begin(int pieces = 6, ClockSpec? clock = null)
    {
        var spec = WebKitchen.Squares() with { Start = StartSpec.Of(pieces), Clock = clock ?? new(Pans: 2, By: ClockBy.Soonest) };
        using var kept = await client.PostAsync("/api/batches", WebKitchen.Body(new BatchBody(null, "Squares", spec, DateTimeOffset.UtcNow.AddHours(9))));
        var (status, service) = await Post("/api/services", new JsonObject { ["batchId"] = (string)(await WebKitchen.Json(kept))["id"]! });
        Assert.Equal(HttpStatusCode.Created, status);
        return (string)service["id"]!;
    }

    private static JsonObject Event(string act, int? pan = null, int? number = null, string? work = null, double? value = null, string? undoes = null, Guid? id = null)
    {
        var body = new JsonObject { ["id"] = (id ?? Guid.NewGuid()).ToString(), ["act"] = act, ["pan"] = pan, ["work"] = work, ["value"] = value, ["undoes"] = undoes };
        if (number is not null)
        {
            (body["bread"], body["number"]) = (0, number);
        }

        return body;
    }

    private Task<(HttpStatusCode Status, JsonNode Body)> Press(string id, JsonObject e) => Post($"/api/services/{id}/events", e);

    private static string At(JsonNode pressed, int number) => (string)pressed["service"]!["sheet"]!["breads"]![0]!["belt"]![number - 1]!["at"]!;

    [Fact]
    public async Task A_press_is_counted_and_shown_in_its_answer()
    {
        var id = await Begin();
        var (status, pressed) = await Press(id, Event("laid", pan: 0, number: 1));

        Assert.Equal((HttpStatusCode.OK, true, "onPan"), (status, (bool)pressed["counted"]!, At(pressed, 1)));
    }

    [Fact]
    public async Task The_same_press_sent_twice_counts_once()
    {
        var id = await Begin();
        var e = Event("turned", pan: 0, number: 1);
        await Press(id, Event("laid", pan: 0, number: 1));
        var (_, first) = await Press(id, e);
        var (status, second) = await Press(id, e);

        Assert.Equal((HttpStatusCode.OK, true, false), (status, (bool)first["counted"]!, (bool)second["counted"]!));
        Assert.Equal(1, (int)second["service"]!["sheet"]!["pans"]![0]!["places"]![0]!["turns"]!);
    }

    [Fact]
    public async Task Many_hands_on_one_button_lift_one_piece()
    {
        var id = await Begin();
        await Press(id, Event("laid", pan: 0, number: 1));
        var lifts = await Task.WhenAll(Enumerable.Range(0, 8).Select(_ => Press(id, Event("lifted", pan: 0, number: 1))));

        Assert.All(lifts, l => Assert.Equal(HttpStatusCode.OK, l.Status));
        Assert.Single(lifts, l => (bool)l.Body["counted"]!);
    }

    [Theory]
    [InlineData("lifted", 0, null, null, "nothingThere")]
    [InlineData("turned", 7, null, null, "noSuchPan")]
    [InlineData("dropped", null, 700, null, "noSuchPiece")]
    [InlineData("late", null, null, -3.0, "outOfRange")]
    [InlineData("heat", 0, null, 9000.0, "outOfRange")]
    [InlineData("laid", null, 2, null, "notTold")]
    [InlineData("undo", null, null, null, "notTold")]
    public async Task What_cannot_be_is_answered_with_why_and_changes_nothing(string act, int? pan, int? number, double? value, string why)
    {
        var id = await Begin();
        var before = await client.GetStringAsync($"/api/services/{id}");
        var (status, problem) = await Press(id, Event(act, pan, number, value: value));
        var after = await client.GetStringAsync($"/api/services/{id}");

        Assert.Equal((HttpStatusCode.Conflict, why), (status, (string)problem["code"]!));
        Assert.NotEmpty((string)problem["detail"]!);
        Assert.Equal(JsonNode.Parse(before)!["sheet"]!["breads"]!.ToJsonString(), JsonNode.Parse(after)!["sheet"]!["breads"]!.ToJsonString());
    }

    [Theory]
    [InlineData("""{"act":"laid"}""", HttpStatusCode.BadRequest)]
    [InlineData("""{"id":"not an id","act":"laid"}""", HttpStatusCode.BadRequest)]
    [InlineData("""{"id":"0199b2f0-0000-7000-8000-000000000001","act":"dance"}""", HttpStatusCode.BadRequest)]
    [InlineData("""{"id":"0199b2f0-0000-7000-8000-000000000001","act":"laid","pan":1e30}""", HttpStatusCode.BadRequest)]
    [InlineData("""{"id":"0199b2f0-0000-7000-8000-000000000001","act":"laid","pan":0,"ago":-1}""", HttpStatusCode.BadRequest)]
    [InlineData("""{"id":"0199b2f0-0000-7000-8000-000000000001","act":"laid","pan":0,"ago":99999}""", HttpStatusCode.BadRequest)]
    public async Task A_press_that_cannot_be_read_is_refused(string body, HttpStatusCode wanted)
    {
        var id = await Begin();
        using var answer = await client.PostAsync($"/api/services/{id}/events", new StringContent(body, Encoding.UTF8, "application/json"));

        Assert.Equal(wanted, answer.StatusCode);
    }

    [Fact]
    public async Task A_service_that_never_was_is_not_found()
    {
        var (status, _) = await Press(Guid.NewGuid().ToString(), Event("end"));
        var never = Guid.NewGuid();
        await using var live = await LiveLine.On(client, $"service={never}");
        var (batch, problem) = await Post("/api/services", new JsonObject { ["batchId"] = Guid.NewGuid().ToString() });

        Assert.Equal((HttpStatusCode.NotFound, never.ToString()), (status, (string)(await live.Next("missing"))["id"]!));
        Assert.Equal((HttpStatusCode.BadRequest, "batchId"), (batch, (string)problem["refusals"]![0]!["field"]!));
    }

    [Fact]
    public async Task Every_screen_hears_of_a_press_and_a_late_one_gets_all_at_once()
    {
        var id = await Begin();
        await using var first = await LiveLine.On(client, $"service={id}");
        await using var second = await LiveLine.On(client, $"service={id}");
        await Press(id, Event("laid", pan: 1, number: 1));

        await first.Until("service", s => (string)s["sheet"]!["breads"]![0]!["belt"]![0]!["at"]! == "onPan");
        await second.Until("service", s => (string)s["sheet"]!["breads"]![0]!["belt"]![0]!["at"]! == "onPan");
        await Press(id, Event("lifted", pan: 1, number: 1));
        await using var late = await LiveLine.On(client, $"service={id}");
        var caughtUp = await late.Next("service");

        Assert.Equal("hot", (string)caughtUp["sheet"]!["breads"]![0]!["belt"]![0]!["at"]!);
    }

    [Fact]
    public async Task A_closed_service_counts_nothing_more_and_leaves_the_list()
    {
        var id = await Begin();
        Assert.Contains(JsonNode.Parse(await client.GetStringAsync("/api/services"))!.AsArray(), s => (string)s!["id"]! == id);
        await Press(id, Event("end"));
        var (status, problem) = await Press(id, Event("laid", pan: 0));

        Assert.Equal((HttpStatusCode.Conflict, "ended"), (status, (string)problem["code"]!));
        Assert.DoesNotContain(JsonNode.Parse(await client.GetStringAsync("/api/services"))!.AsArray(), s => (string)s!["id"]! == id);
    }

    [Fact]
    public async Task A_press_from_a_screen_that_was_away_is_timed_when_it_was_pressed()
    {
        var id = await Begin();
        var e = Event("laid", pan: 0, number: 1);
        e["ago"] = 0;
        await Press(id, e);
        var turned = Event("turned", pan: 0, number: 1);
        turned["ago"] = 3000;
        var (_, pressed) = await Press(id, turned);

        // No press goes before the one it follows.
        var place = pressed["service"]!["sheet"]!["pans"]![0]!["places"]![0]!;
        Assert.Equal((int)pressed["service"]!["sheet"]!["past"]![1]!["event"]!["at"]!, (int)place["since"]!);
    }

    [Fact]
    public async Task The_probe_tells_the_pan_it_is_on()
    {
        var id = await Begin();
        await using var screen = await LiveLine.On(client, $"service={id}");
        await Press(id, Event("probe", pan: 1));
        var state = await screen.Until("service", s => s["sheet"]!["pans"]![1]!["heat"] is not null);

        Assert.Equal(1, (int)state["sheet"]!["probed"]!);
        Assert.InRange((double)state["sheet"]!["pans"]![1]!["heat"]!, 20, 450);
        Assert.Null(state["sheet"]!["pans"]![0]!["heat"]);
    }
}
