using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Logging;
using Ystrata.Store;
using Ystrata.Web.Demo;

namespace Ystrata.Web.Tests;

/// <summary>Backup, restore and trash over the wire, while the kitchen runs.</summary>
public sealed class SafeKeepingTests : IDisposable
{
    private readonly WebKitchen kitchen = new();
    private readonly HttpClient client;

    public SafeKeepingTests()
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

    private async Task<string> Backup()
    {
        var made = await client.PostAsync("/api/keeping/backups", null);
        Assert.Equal(HttpStatusCode.Created, made.StatusCode);
        return (string)(await WebKitchen.Json(made))["name"]!;
    }

    private async Task<int> Count(string path) => (await Get(path)).AsArray().Count;

    [Fact]
    public async Task A_wiped_kitchen_is_restored_from_its_backup_end_to_end()
    {
        var name = await Backup();
        foreach (var bread in (await Get("/api/breads")).AsArray())
        {
            await client.DeleteAsync($"/api/breads/{bread!["id"]}");
        }

        await client.PutAsync("/api/learned", WebKitchen.Body(new { kind = "panTime", of = "", used = true }));
        Assert.Equal(0, await Count("/api/breads"));
        var preview = await Get($"/api/keeping/backups/{name}/preview");
        Assert.Equal((12, 0), ((int)preview["parts"]![0]!["back"]!, (int)preview["parts"]![0]!["gone"]!));
        Assert.Equal(12, preview["back"]!.AsArray().Count);

        Assert.Equal(HttpStatusCode.OK, (await client.PostAsync($"/api/keeping/backups/{name}/restore", null)).StatusCode);
        Assert.Equal(12, await Count("/api/breads"));
        // What plans use is what it was, too.
        Assert.DoesNotContain((await Get("/api/learned")).AsArray(), f => (bool)f!["figure"]!["used"]!);
        Assert.Equal(2, (await Get("/api/keeping"))["backups"]!.AsArray().Count(b => !(bool)b!["daily"]!));
    }

    [Fact]
    public async Task A_backup_is_fetched_and_brought_to_another_kitchen()
    {
        var file = await client.GetByteArrayAsync($"/api/keeping/backups/{await Backup()}");
        using var other = new WebKitchen();
        using var there = other.CreateClient();
        var brought = await there.PostAsync("/api/keeping/backups/bring", new ByteArrayContent(file) { Headers = { { "Content-Type", "application/octet-stream" } } });
        var name = (string)(await WebKitchen.Json(brought))["name"]!;

        Assert.Equal(HttpStatusCode.OK, (await there.PostAsync($"/api/keeping/backups/{name}/restore", null)).StatusCode);
        Assert.Equal(await client.GetStringAsync("/api/breads"), await there.GetStringAsync("/api/breads"));
        Assert.Equal(await client.GetStringAsync("/api/log"), await there.GetStringAsync("/api/log"));
        Assert.Equal(await client.GetStringAsync("/api/larder"), await there.GetStringAsync("/api/larder"));
    }

    [Fact]
    public async Task A_running_service_outlives_a_restore()
    {
        var batch = (string)(await Get("/api/batches")).AsArray()[0]!["id"]!;
        var service = (string)(await WebKitchen.Json(await client.PostAsync("/api/services", WebKitchen.Body(new { batchId = batch }))))["id"]!;
        var name = await Backup();
        var press = new { id = Guid.NewGuid(), act = "laid", pan = 0, place = 0, bread = 0, number = 1 };
        await client.PostAsync($"/api/services/{service}/events", WebKitchen.Body(press));
        Assert.NotNull((await Get($"/api/services/{service}"))["sheet"]!["pans"]![0]!["places"]![0]!["bread"]);

        await client.PostAsync($"/api/keeping/backups/{name}/restore", null);
        // Before the press, as the backup was; and the same press counts again.
        Assert.Null((await Get($"/api/services/{service}"))["sheet"]!["pans"]![0]!["places"]![0]!["bread"]);
        var again = await WebKitchen.Json(await client.PostAsync($"/api/services/{service}/events", WebKitchen.Body(press)));
        Assert.True((bool)again["counted"]!);
    }

    [Fact]
    public async Task A_running_service_keeps_its_pieces_whatever_is_learned_meanwhile()
    {
        var log = kitchen.Services.GetRequiredService<Logbook>();
        foreach (var entry in log.All().Take(3).ToList())
        {
            log.Change(entry, [new(LessonKind.BowlLoss, "", 24)], Meant.Whatever);
        }

        var spec = WebKitchen.SquaresJson();
        spec["start"]!["by"] = "flour";
        spec["start"]!["flour"] = 1200;
        var batch = (string)(await WebKitchen.Json(await client.PostAsync("/api/batches", WebKitchen.Body(new { name = "By flour", spec, madeFor = DateTimeOffset.UtcNow, breadId = (Guid?)null }))))["id"]!;
        var id = (string)(await WebKitchen.Json(await client.PostAsync("/api/services", WebKitchen.Body(new { batchId = batch }))))["id"]!;
        async Task<int> Pieces() => (int)(await Get($"/api/services/{id}"))["sheet"]!["breads"]![0]!["pieces"]!;
        var before = await Pieces();

        await client.PutAsync("/api/learned", WebKitchen.Body(new { kind = "bowlLoss", of = "", used = true }));
        kitchen.Services.GetRequiredService<RunningServices>().Forget();
        Assert.Equal(before, await Pieces());
        var plan = await WebKitchen.Json(await client.PostAsync("/api/plan", WebKitchen.Body(spec)));
        Assert.True((int)plan["balls"]!["count"]! < before);
    }

    [Theory]
    [InlineData("")]
    [InlineData("SQLite format 3")]
    [InlineData("{\"kitchen\": true}")]
    public async Task What_is_no_backup_is_refused_in_words(string text)
    {
        var answer = await client.PostAsync("/api/keeping/backups/bring", new ByteArrayContent(Encoding.UTF8.GetBytes(text)) { Headers = { { "Content-Type", "application/octet-stream" } } });

        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.Contains((string)(await WebKitchen.Json(answer))["refusals"]![0]!["code"]!, new[] { "brokenFile", "foreignFile" });
        Assert.Equal(HttpStatusCode.NotFound, (await client.GetAsync("/api/keeping/backups/..%2F..%2Fystrata.db")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await client.GetAsync("/api/keeping/backups/ystrata-2001-01-01.db/preview")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await client.PostAsync("/api/keeping/backups/ystrata-2001-01-01.db/restore", null)).StatusCode);
    }

    [Fact]
    public async Task What_was_deleted_lies_in_the_trash()
    {
        var id = (string)(await Get("/api/breads")).AsArray()[0]!["id"]!;
        await client.DeleteAsync($"/api/breads/{id}");
        var trashed = Assert.Single((await Get("/api/keeping/trash")).AsArray())!;

        Assert.Equal(("bread", id), ((string)trashed["kind"]!, (string)trashed["id"]!));
        await client.PostAsync($"/api/breads/{id}/restore", null);
        Assert.Empty((await Get("/api/keeping/trash")).AsArray());
    }

    [Fact]
    public void The_day_begins_with_a_backup_and_an_unused_kitchen_makes_none()
    {
        kitchen.Services.GetServices<Microsoft.Extensions.Hosting.IHostedService>().OfType<DailyKeeping>().Single().LookAfter();
        Assert.Single(kitchen.Services.GetRequiredService<Backups>().All(), b => b.Daily);

        using var empty = new WebKitchen();
        empty.Services.GetServices<Microsoft.Extensions.Hosting.IHostedService>().OfType<DailyKeeping>().Single().LookAfter();
        Assert.Empty(empty.Services.GetRequiredService<Backups>().All());
    }

    [Fact]
    public void A_clock_that_was_a_year_ahead_for_a_day_stops_no_copy_and_empties_no_trash()
    {
        var noon = new DateTimeOffset(2026, 11, 20, 12, 0, 0, TimeSpan.Zero);
        var clock = new SetClock();
        T Of<T>()
            where T : notnull => kitchen.Services.GetRequiredService<T>();
        var (backups, breads) = (Of<Backups>(), Of<Breads>());
        using var keeping = new DailyKeeping(Of<KitchenDb>(), backups, Of<Trash>(), breads, Of<BackupsElsewhere>(), clock, Of<ILogger<DailyKeeping>>());
        // One that no batch hangs on: such a one does go.
        var bread = breads.All()[0] with { Id = Guid.CreateVersion7() };
        breads.Add(bread);
        void Deleted() => Assert.True(breads.Delete(bread.Id, noon, Meant.Whatever).Done);
        void Day(DateTimeOffset now)
        {
            clock.Now = now;
            keeping.LookAfter();
        }

        // What the server made when it started is of another day.
        backups.All().Where(f => f.Daily).ToList().ForEach(f => File.Delete(backups.PathOf(f.Name)!));
        Deleted();
        Day(noon);
        Day(noon.AddYears(1));
        Assert.True(breads.Restore(bread.Id));
        Deleted();
        for (var day = 1; day <= 20; day++)
        {
            Day(noon.AddDays(day));
        }

        var days = backups.All().Where(f => f.Daily).Select(f => f.MadeAt.UtcDateTime.Date).ToList();
        Assert.Equal(Backups.Kept, days.Count);
        Assert.Contains(noon.AddDays(20).UtcDateTime.Date, days);
        Assert.Contains(noon.AddDays(10).UtcDateTime.Date, days);
        Assert.True(breads.Restore(bread.Id));

        // Old by two days' clocks, it goes.
        Deleted();
        Day(noon.AddDays(40));
        Day(noon.AddDays(41));
        Assert.False(breads.Restore(bread.Id));
    }

    private sealed class SetClock : TimeProvider
    {
        public DateTimeOffset Now { get; set; }

        public override DateTimeOffset GetUtcNow() => Now;
    }
}
