using System.Net;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using Ystrata.Web.Demo;
using Ystrata.Web.Live;

namespace Ystrata.Web.Tests;

/// <summary>The one stream of live words.</summary>
public sealed class LiveTests : IDisposable
{
    private readonly WebKitchen kitchen = new();
    private readonly HttpClient client;

    public LiveTests()
    {
        client = kitchen.CreateClient();
        kitchen.Services.GetRequiredService<DemoKitchen>().FillIfEmpty();
    }

    public void Dispose()
    {
        client.Dispose();
        kitchen.Dispose();
    }

    private async Task<JsonNode> Get(string path) => JsonNode.Parse(await client.GetStringAsync(path))!;

    private async Task<JsonNode> Rename(int which, string name)
    {
        var bread = (await Get("/api/breads"))[which]!;
        bread["name"] = name;
        using var answer = await client.PutAsync($"/api/breads/{bread["id"]}", WebKitchen.Body(bread));
        return await WebKitchen.Json(answer);
    }

    [Fact]
    public async Task What_was_changed_is_told_with_its_version()
    {
        await using var live = await LiveLine.On(client);
        await live.Next("here");
        var bread = await Rename(0, "Another name");
        var told = await live.Next("changed");

        Assert.Equal(("breads", (string)bread["id"]!, (string)bread["version"]!), ((string)told["what"]!, (string)told["id"]!, (string)told["version"]!));
    }

    [Fact]
    public async Task An_answer_says_which_change_it_knows_of()
    {
        async Task<string> Mark()
        {
            using var answer = await client.GetAsync("/api/breads");
            return Assert.Single(answer.Headers.GetValues("X-Ystrata-Mark"));
        }

        var read = await Mark();
        await Rename(0, "Between the list and the line");
        await using var live = await LiveLine.On(client);
        await live.Next("here");

        Assert.NotEqual(read, live.Heard);
        Assert.Equal(await Mark(), live.Heard);
    }

    [Theory]
    [InlineData("/api/plan")]
    [InlineData("/api/practice")]
    public async Task What_changes_nothing_is_not_told(string path)
    {
        await using var live = await LiveLine.On(client);
        await live.Next("here");
        using var answer = await client.PostAsync(path, path.EndsWith("plan", StringComparison.Ordinal) ? WebKitchen.Body(WebKitchen.Squares()) : WebKitchen.Body(new { seed = 1, turns = Array.Empty<int>() }));
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        using var refused = await client.PostAsync("/api/breads", WebKitchen.Body(new { name = "", about = "", spec = WebKitchen.Squares() }));
        Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
        var bread = await Rename(0, "Another name");

        Assert.Equal((string)bread["id"]!, (string)(await live.Next("changed"))["id"]!);
    }

    [Fact]
    public async Task A_screen_that_was_away_hears_what_it_missed_and_only_that()
    {
        string heard;
        await using (var live = await LiveLine.On(client))
        {
            await Rename(0, "First");
            await live.Next("changed");
            heard = live.Heard!;
        }

        var second = await Rename(1, "Second");
        var third = await Rename(2, "Third");
        await using var back = await LiveLine.On(client, $"after={heard}");

        Assert.Equal((string)second["id"]!, (string)(await back.Next("changed"))["id"]!);
        Assert.Equal((string)third["id"]!, (string)(await back.Next("changed"))["id"]!);
        Assert.Equal("here", (await back.Next()).EventType);
    }

    [Theory]
    [InlineData("another-life.3")]
    [InlineData("nonsense")]
    [InlineData(".")]
    public async Task A_screen_that_was_away_for_too_long_is_told_that_all_may_be_another(string after)
    {
        await using var live = await LiveLine.On(client, $"after={after}");

        Assert.Equal("kitchen", (string)(await live.Next("changed"))["what"]!);
    }

    [Fact]
    public async Task More_than_is_remembered_is_told_as_a_change_of_all()
    {
        string heard;
        await using (var live = await LiveLine.On(client))
        {
            await live.Next("here");
            heard = live.Heard!;
        }

        var changes = kitchen.Services.GetRequiredService<Changes>();
        for (var n = 0; n <= Changes.Remembered; n++)
        {
            changes.Say(new(Place.Breads, $"{n}"));
        }

        await using var back = await LiveLine.On(client, $"after={heard}");
        Assert.Equal("kitchen", (string)(await back.Next("changed"))["what"]!);
    }

    [Fact]
    public async Task A_kitchen_laid_back_is_told_to_all()
    {
        using var made = await client.PostAsync("/api/keeping/backups", null);
        var name = (string)(await WebKitchen.Json(made))["name"]!;
        await using var live = await LiveLine.On(client);
        await live.Next("here");
        using var restored = await client.PostAsync($"/api/keeping/backups/{name}/restore", null);

        Assert.Equal("kitchen", (string)(await live.Next("changed"))["what"]!);
    }

    [Fact]
    public async Task There_is_room_for_so_many_screens_and_one_that_is_too_many_is_told_so()
    {
        var screens = new List<LiveLine>();
        for (var n = 0; n < LiveStreams.Most; n++)
        {
            screens.Add(await LiveLine.On(client));
        }

        using (var answer = await client.GetAsync("/api/live"))
        {
            Assert.Equal(HttpStatusCode.ServiceUnavailable, answer.StatusCode);
            Assert.Contains($"{LiveStreams.Most} screens", (string)(await WebKitchen.Json(answer))["detail"]!, StringComparison.Ordinal);
        }

        Assert.Equal((LiveStreams.Most, LiveStreams.Most), ((int)(await Get("/api/live/room"))["open"]!, (int)(await Get("/api/live/room"))["most"]!));
        await screens[0].DisposeAsync();
        // Its place is free once the server has noticed that it went.
        var patience = DateTime.UtcNow.AddMinutes(1);
        while ((int)(await Get("/api/live/room"))["open"]! == LiveStreams.Most && DateTime.UtcNow < patience)
        {
            await Task.Delay(20);
        }

        await using var next = await LiveLine.On(client);
        await next.Next("here");
        foreach (var screen in screens.Skip(1))
        {
            await screen.DisposeAsync();
        }
    }

    [Fact]
    public async Task No_screen_asks_for_services_without_end()
    {
        using var answer = await client.GetAsync("/api/live?" + string.Join('&', Enumerable.Range(0, 9).Select(_ => $"service={Guid.NewGuid()}")));

        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
    }
}
