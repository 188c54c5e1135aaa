using System.Net;
using System.Net.Http.Headers;
using System.Text.Json.Nodes;
using Ical.Net;
using Microsoft.Extensions.DependencyInjection;
using Ystrata.Store;

namespace Ystrata.Web.Tests;

/// <summary>One day of the kitchen over the wire, as CSV and as a calendar.</summary>
public sealed class DayTests : IDisposable
{
    private const string Day = "2031-05-06";

    private static readonly DateTimeOffset Midnight = new(2031, 5, 6, 0, 0, 0, TimeSpan.Zero);

    private static readonly string Bounds = $"?from={Midnight:yyyy-MM-ddTHH:mm:ssZ}&until={Midnight.AddDays(1):yyyy-MM-ddTHH:mm:ssZ}";

    private readonly WebKitchen kitchen = new();
    private readonly HttpClient client;

    public DayTests()
    {
        client = kitchen.CreateClient();
        Put("Before", Midnight.AddSeconds(-1));
        Put("Noon squares", Midnight.AddHours(12));
        Put("Evening squares", Midnight.AddHours(19));
        Put("After", Midnight.AddDays(1));
    }

    public void Dispose()
    {
        client.Dispose();
        kitchen.Dispose();
    }

    private Guid Put(string name, DateTimeOffset at, BatchSpec? spec = null)
    {
        var batch = new Batch(Guid.CreateVersion7(), null, name, spec ?? WebKitchen.Squares(), at, DateTimeOffset.UnixEpoch);
        Assert.True(kitchen.Services.GetRequiredService<Batches>().Add(batch));
        return batch.Id;
    }

    private async Task<JsonNode> View() => JsonNode.Parse(await client.GetStringAsync($"/api/days/{Day}{Bounds}"))!;

    private async Task<(HttpStatusCode Status, JsonNode Body, string? Version)> Say(string body, string? version = null)
    {
        using var request = new HttpRequestMessage(HttpMethod.Put, $"/api/days/{Day}") { Content = new StringContent(body, new MediaTypeHeaderValue("application/json")) };
        request.Headers.IfMatch.Add(version is null ? EntityTagHeaderValue.Any : new(version));
        using var answer = await client.SendAsync(request);
        return (answer.StatusCode, await WebKitchen.Json(answer), answer.Headers.ETag?.Tag);
    }

    [Fact]
    public async Task The_batches_of_a_day_are_those_whose_table_is_on_it()
    {
        var view = await View();

        Assert.Equal(["Noon squares", "Evening squares"], view["batches"]!.AsArray().Select(b => (string)b!["name"]!));
        Assert.Equal([0, 1], view["batches"]!.AsArray().Select(b => (int)b!["number"]!));
        var ghee = view["sheet"]!["goods"]!.AsArray().Single(g => (string)g!["id"]! == "ghee")!;
        Assert.Equal(2, ghee["each"]!.AsArray().Count);
        Assert.Equal((double)ghee["each"]![0]! * 2, (double)ghee["needed"]!, 0.01);
        Assert.Equal(2, view["sheet"]!["doughs"]!.AsArray().Count);
        Assert.InRange((double)view["sheet"]!["bars"]![1]!["to"]!, 19 * 3600 - 1, 19 * 3600 + 1);
        Assert.Equal(12, view["until"]!.GetValue<DateTimeOffset>().Subtract(Midnight.AddHours(12)).TotalHours);
    }

    [Fact]
    public async Task A_deleted_batch_is_not_made_and_one_that_cannot_be_worked_is_named_and_not_counted()
    {
        var odd = Put("Odd", Midnight.AddHours(15), WebKitchen.Squares() with { Roll = new(new(-1), new(0)) });
        Assert.True(kitchen.Services.GetRequiredService<Batches>().Delete(Put("Gone", Midnight.AddHours(15)), DateTimeOffset.UtcNow, Meant.Whatever).Done);

        var view = await View();

        var named = view["batches"]!.AsArray().Single(b => (Guid)b!["id"]! == odd)!;
        Assert.Null(named["number"]);
        Assert.Equal("roll.diameter", (string)named["refusals"]![0]!["field"]!);
        Assert.Equal(3, view["batches"]!.AsArray().Count);
        Assert.Equal(2, view["sheet"]!["breads"]!.AsArray().Count);
    }

    [Fact]
    public async Task What_is_said_of_a_day_is_kept_counts_and_knows_its_versions()
    {
        using var first = await client.GetAsync($"/api/days/{Day}{Bounds}");
        var version = first.Headers.ETag!.Tag;
        var (status, _, next) = await Say("""{"people":3,"atHand":[{"id":"ghee","mass":50}]}""", version);
        Assert.Equal(HttpStatusCode.OK, status);

        var view = await View();
        Assert.Equal((3, 1), ((int)view["sheet"]!["people"]!, (int)view["sheet"]!["pans"]!));
        var ghee = view["sheet"]!["goods"]!.AsArray().Single(g => (string)g!["id"]! == "ghee")!;
        Assert.Equal((double)ghee["needed"]! - 50, (double)ghee["toBuy"]!, 0.01);

        var (stale, now, _) = await Say("""{"people":5}""", version);
        Assert.Equal(HttpStatusCode.PreconditionFailed, stale);
        Assert.Equal(3, (int)now["now"]!["people"]!);
        Assert.Equal(HttpStatusCode.OK, (await Say("""{"people":5}""", next)).Status);
        Assert.Null((await View())["spec"]!["atHand"]);
        // Another day knows nothing of it.
        Assert.Null(JsonNode.Parse(await client.GetStringAsync("/api/days/2031-05-07"))!["spec"]!["people"]);
    }

    [Theory]
    [InlineData("""{"people":0}""", "people")]
    [InlineData("""{"pans":99}""", "pans")]
    [InlineData("""{"atHand":[{"id":"ghee","mass":-4}]}""", "atHand[0].mass")]
    [InlineData("""{"atHand":[{"id":"ghee","mass":1e99}]}""", "atHand[0].mass")]
    [InlineData("""{"atHand":[{"id":"ghee","mass":4},{"id":"ghee","mass":4}]}""", "atHand[1].id")]
    [InlineData("""{"atHand":[{"id":"","mass":4}]}""", "atHand[0].id")]
    public async Task What_no_day_has_is_refused_and_nothing_is_kept(string body, string field)
    {
        var (status, problem, _) = await Say(body);

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Equal(field, (string)problem["refusals"]![0]!["field"]!);
        Assert.Null((await View())["spec"]!["people"]);
    }

    [Theory]
    [InlineData("/api/days/2031-13-40")]
    [InlineData("/api/days/yesterday")]
    [InlineData("/api/days/0001-01-01")]
    [InlineData("/api/days/9999-12-31")]
    [InlineData("/api/days/2031-05-06?from=2031-05-06T00:00:00Z")]
    [InlineData("/api/days/2031-05-06?from=2031-05-06T00:00:00Z&until=2031-05-06T00:00:00Z")]
    [InlineData("/api/days/2031-05-06?from=2031-05-06T00:00:00Z&until=2032-05-06T00:00:00Z")]
    [InlineData("/api/days/2031-05-06?from=soon&until=later")]
    public async Task What_is_no_day_is_refused(string path)
    {
        var (day, query) = path.Split('?') is [var before, var after] ? (before, "?" + after) : (path, "");
        foreach (var what in new[] { "", "/goods.csv", "/day.ics" })
        {
            using var answer = await client.GetAsync(day + what + query);
            Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        }
    }

    [Fact]
    public async Task As_CSV_every_thing_stands_in_every_bread_it_goes_into()
    {
        await Say("""{"atHand":[{"id":"ghee","mass":50}]}""");
        var lines = (await client.GetStringAsync($"/api/days/{Day}/goods.csv{Bounds}")).Split('\n', StringSplitOptions.RemoveEmptyEntries).Select(l => l.TrimEnd('\r').Split(',')).ToList();

        Assert.Equal(["id", "ingredient", "bread", "pieces", "mass_g", "needed_g", "at_hand_g", "to_buy_g", "packs", "cost"], lines[0]);
        var ghee = lines.Where(l => l[0] == "ghee").ToList();
        Assert.Equal(["Noon squares", "Evening squares"], ghee.Select(l => l[2]));
        Assert.All(ghee, l => Assert.Equal(("24", "50"), (l[3], l[6])));
        var view = await View();
        Assert.Equal(view["sheet"]!["goods"]!.AsArray().Sum(g => g!["each"]!.AsArray().Count(m => (double)m! > 0)), lines.Count - 1);
    }

    [Fact]
    public async Task As_a_calendar_the_day_has_every_batch_and_its_alarms_alone_where_they_are_wanted()
    {
        var all = Calendar.Load(await client.GetStringAsync($"/api/days/{Day}/day.ics{Bounds}"))!;
        var alarms = Calendar.Load(await client.GetStringAsync($"/api/days/{Day}/day.ics{Bounds}&alarms=true"))!;

        Assert.Contains(all.Events, e => e.Summary!.Contains("Noon squares", StringComparison.Ordinal));
        Assert.Contains(all.Events, e => e.Summary!.Contains("Evening squares", StringComparison.Ordinal));
        Assert.DoesNotContain(all.Events, e => e.Summary!.Contains("After", StringComparison.Ordinal));
        Assert.Equal(all.Events.Select(e => e.Uid).Distinct().Count(), all.Events.Count);
        Assert.True(alarms.Events.Count < all.Events.Count);
        Assert.All(alarms.Events, e => Assert.Single(e.Alarms));
    }

    [Fact]
    public async Task A_day_goes_with_the_kitchen_into_another()
    {
        await Say("""{"people":4,"atHand":[{"id":"ghee","mass":50}]}""");
        var file = await client.GetStringAsync("/api/files/kitchen");

        Assert.Contains("\"kind\":\"day\",\"day\":\"2031-05-06\"", file, StringComparison.Ordinal);
        using var other = new WebKitchen();
        using var there = other.CreateClient();
        var id = (string)(await FileTests.Ended(there, file))["staged"]!["id"]!;
        using var taken = await there.PostAsync($"/api/files/{id}/take", null);
        Assert.True(taken.IsSuccessStatusCode);
        Assert.Equal(4, (int)JsonNode.Parse(await there.GetStringAsync($"/api/days/{Day}{Bounds}"))!["sheet"]!["people"]!);
    }

    [Fact]
    public async Task More_batches_than_a_day_is_reckoned_with_are_said_to_be_there()
    {
        for (var i = 0; i < DayPlans.Most; i++)
        {
            Put($"Round {i}", Midnight.AddHours(1 + 0.5 * i), BatchSpec.Plain with { Start = StartSpec.Of(2) });
        }

        var view = await View();

        Assert.True((bool)view["more"]!);
        Assert.Equal(DayPlans.Most, view["batches"]!.AsArray().Count);
    }
}
