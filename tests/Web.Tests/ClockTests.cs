using System.Net;
using System.Text.Json.Nodes;
using Ical.Net;

namespace Ystrata.Web.Tests;

/// <summary>The timetable over the wire, and as a calendar.</summary>
public sealed class ClockTests(WebKitchen kitchen) : IClassFixture<WebKitchen>
{
    private static readonly DateTimeOffset Evening = DateTimeOffset.UtcNow.Date.AddDays(2).AddHours(18.5);

    private readonly HttpClient client = kitchen.CreateClient();

    private async Task<(HttpStatusCode Status, JsonNode Body)> Post(string path, object body)
    {
        using var answer = await client.PostAsync(path, WebKitchen.Body(body));
        return (answer.StatusCode, await WebKitchen.Json(answer));
    }

    private Task<(HttpStatusCode Status, JsonNode Body)> Clock(ClockSpec? clock, DateTimeOffset? at = null) =>
        Post("/api/clock", new ClockBody("Squares", WebKitchen.Squares() with { Clock = clock }, at ?? Evening));

    [Fact]
    public async Task Backwards_from_the_table_everything_ends_there()
    {
        var (status, view) = await Clock(null);

        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(Evening, (DateTimeOffset)view["table"]!);
        Assert.Equal(Evening.AddSeconds(-(double)view["sheet"]!["lead"]!), (DateTimeOffset)view["zero"]!);
        Assert.Equal(24, view["sheet"]!["pieces"]!.AsArray().Count);
        Assert.DoesNotContain(view["sheet"]!["report"]!["breaches"]!.AsArray(), b => (string)b!["code"]! is "late" or "tableGone");
    }

    [Fact]
    public async Task Forwards_it_begins_where_it_was_told_or_now()
    {
        var (_, start) = await Clock(new(By: ClockBy.Start));
        var (_, soonest) = await Clock(new(By: ClockBy.Soonest));

        Assert.Equal(Evening, (DateTimeOffset)start["zero"]!);
        Assert.Equal((DateTimeOffset)soonest["now"]!, (DateTimeOffset)soonest["zero"]!);
    }

    [Fact]
    public async Task A_table_in_the_past_is_answered_with_how_long_ago_it_was()
    {
        var (status, view) = await Clock(null, DateTimeOffset.UtcNow.AddHours(-2));
        var breach = view["sheet"]!["report"]!["breaches"]!.AsArray().Single(b => (string)b!["code"]! == "tableGone");

        Assert.Equal(HttpStatusCode.OK, status);
        Assert.InRange((double)breach!["by"]!, 7199, 7230);
    }

    [Theory]
    [InlineData("people", "0")]
    [InlineData("pans", "0")]
    [InlineData("pans", "-3")]
    [InlineData("people", "1e9")]
    [InlineData("rollAhead", "0")]
    [InlineData("bench", "1.5")]
    [InlineData("people", "\"two\"")]
    public async Task Odd_hands_and_pans_are_refused_by_name(string field, string value)
    {
        var body = new JsonObject { ["name"] = "Squares", ["madeFor"] = Evening.ToString("O"), ["spec"] = WebKitchen.SquaresJson() };
        body["spec"]!["clock"] = new JsonObject { [field] = JsonNode.Parse(value) };
        using var answer = await client.PostAsync("/api/clock", new StringContent(body.ToJsonString(), System.Text.Encoding.UTF8, "application/json"));
        var problem = await WebKitchen.Json(answer);

        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.EndsWith($"clock.{field}", (string)problem["refusals"]![0]!["field"]!, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_bread_beside_that_is_gone_or_too_many_is_refused_by_name()
    {
        var (gone, problem) = await Clock(new(Beside: [new(Guid.NewGuid(), 4)]));
        Assert.Equal((HttpStatusCode.BadRequest, "clock.beside[0].bread"), (gone, (string)problem["refusals"]![0]!["field"]!));

        var (_, bread) = await Post("/api/breads", new BreadBody("Leek rounds", "", WebKitchen.Squares()));
        var (many, told) = await Clock(new(Beside: [new(Guid.Parse((string)bread["id"]!), 501)]));
        Assert.Equal((HttpStatusCode.BadRequest, "clock.beside[0].pieces"), (many, (string)told["refusals"]![0]!["field"]!));

        var (ok, view) = await Clock(new(People: 2, Beside: [new(Guid.Parse((string)bread["id"]!), 6)]));
        Assert.Equal(HttpStatusCode.OK, ok);
        Assert.Equal(["Squares", "Leek rounds"], view["names"]!.AsArray().Select(n => (string)n!));
        Assert.Equal(30, view["sheet"]!["pieces"]!.AsArray().Count);
    }

    [Fact]
    public async Task What_ifs_are_plans_of_their_own()
    {
        using var answer = await client.PostAsync("/api/clock/what-ifs", WebKitchen.Body(new ClockBody("Squares", WebKitchen.Squares(), Evening)));
        var all = (await WebKitchen.Json(answer)).AsArray();
        var pan = all.Single(w => (string)w!["what"]! == "anotherPan")!;
        var (_, now) = await Clock(null);
        var (_, then) = await Clock(new(Pans: 2));

        Assert.Equal((double)now["sheet"]!["lead"]! - (double)then["sheet"]!["lead"]!, (double)pan["saves"]!);
        Assert.Equal(2, (int)pan["batch"]!["clock"]!["pans"]!);
    }

    [Fact]
    public async Task The_calendar_reads_back_with_its_hours_and_its_alarms()
    {
        var (_, batch) = await Post("/api/batches", new BatchBody(null, "Squares; with, signs", WebKitchen.Squares(), Evening));
        var id = (string)batch["id"]!;
        var (_, view) = await Clock(null);
        var alarms = Calendar.Load(await client.GetStringAsync($"/api/batches/{id}/timetable.ics?alarms=true"))!;
        var text = await client.GetStringAsync($"/api/batches/{id}/timetable.ics");
        var whole = Calendar.Load(text)!;

        Assert.All(alarms.Events, e => Assert.Single(e.Alarms));
        Assert.Equal((DateTimeOffset)view["zero"]!, alarms.Events.Min(e => e.Start!.AsUtc));
        Assert.Equal(Evening, whole.Events.Where(e => e.Alarms.Count > 0).Max(e => e.Start!.AsUtc));
        var hands = view["sheet"]!["hands"]!.AsArray().Count(h => h!["pan"] is null);
        Assert.Equal(alarms.Events.Count + hands + 24, whole.Events.Count);
        Assert.Equal(whole.Events.Count, whole.Events.Select(e => e.Uid).Distinct().Count());
        Assert.Contains(whole.Events, e => e.Summary!.Contains("Squares; with, signs", StringComparison.Ordinal));
        // RFC 5545: lines end in CRLF and are no longer than 75 octets.
        Assert.All(text.Split("\r\n"), line => Assert.True(line.Length <= 75 && !line.Contains('\n'), line));
    }

    [Fact]
    public async Task A_calendar_of_a_batch_that_never_was_is_not_found()
    {
        using var answer = await client.GetAsync($"/api/batches/{Guid.NewGuid()}/timetable.ics");
        Assert.Equal(HttpStatusCode.NotFound, answer.StatusCode);
    }
}
