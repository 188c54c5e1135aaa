using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using Ystrata.Store;
using Ystrata.Web.Demo;

namespace Ystrata.Web.Tests;

/// <summary>The demo goes into a kitchen and out of it, and nothing of the cook's goes with it.</summary>
public sealed class DemoTests : IDisposable
{
    private readonly WebKitchen kitchen = new();

    private T Of<T>()
        where T : notnull => kitchen.Services.GetRequiredService<T>();

    public void Dispose() => kitchen.Dispose();

    private async Task<JsonNode> Demo(HttpMethod method)
    {
        using var client = kitchen.CreateClient();
        using var answer = await client.SendAsync(new(method, "/api/keeping/demo"));
        Assert.Equal(200, (int)answer.StatusCode);
        return await WebKitchen.Json(answer);
    }

    private string State() => string.Join('|', Of<Breads>().All().Select(b => b.Version).Concat(Of<Batches>().Latest(100)!.Select(b => b.Version)).Concat(Of<Logbook>().All().Select(e => e.Version)).Order());

    [Fact]
    public async Task In_and_out_leaves_the_kitchen_as_it_was()
    {
        var larder = Versions.Of(Of<CurrentKitchen>().Now.Larder.All.OrderBy(i => i.Id, StringComparer.Ordinal));
        Assert.Equal(0, (int)(await Demo(HttpMethod.Get))["untouched"]!);

        Assert.Equal(12, (int)(await Demo(HttpMethod.Post))["breads"]!);
        var full = State();
        Assert.Equal("¤", Of<Pantry>().Units().Coin);
        await Demo(HttpMethod.Post);
        Assert.Equal(full, State());

        var left = await Demo(HttpMethod.Delete);
        Assert.Equal((0, 0), ((int)left["untouched"]!, (int)left["changed"]!));
        Assert.Empty(State());
        Assert.Equal(("", 0), (Of<Pantry>().Units().Coin, Of<Pantry>().Vessels().Count));
        Assert.Equal(larder, Versions.Of(Of<CurrentKitchen>().Now.Larder.All.Where(i => i.Origin != Origin.Gone).OrderBy(i => i.Id, StringComparer.Ordinal)));

        await Demo(HttpMethod.Post);
        Assert.Equal(full, State());
    }

    [Fact]
    public async Task What_the_cook_has_is_neither_touched_nor_taken_out()
    {
        var mine = new Bread(Guid.CreateVersion7(), "Mine", "", [], BatchSpec.Plain, DateTimeOffset.UnixEpoch);
        Of<Breads>().Add(mine);
        var ghee = Of<CurrentKitchen>().Now.Larder["ghee"] with { Price = new(new(99), new(500)) };
        Of<CurrentKitchen>().Change((pantry, at) =>
        {
            pantry.Keep([ghee], at);
            pantry.Keep(Units.Usual with { Coin = "K" });
        });

        await Demo(HttpMethod.Post);
        Assert.Equal((13, 99, "K"), (Of<Breads>().All().Count, Of<CurrentKitchen>().Now.Larder["ghee"].Price!.Cost.Value, Of<Pantry>().Units().Coin));

        // One bread and one line of the demo become the cook's.
        var changed = Of<Breads>().All().Single(b => b.Name == "Nigella coils") with { Name = "My coils", ChangedAt = DateTimeOffset.UtcNow };
        Of<Breads>().Change(changed, Meant.Whatever);
        var entry = Of<Logbook>().All().First();
        Of<Logbook>().Change(entry with { Outcome = entry.Outcome with { Note = "Mine now." }, ChangedAt = DateTimeOffset.UtcNow }, [], Meant.Whatever);
        Of<CurrentKitchen>().Change((pantry, at) => pantry.Keep([Of<CurrentKitchen>().Now.Larder["leek"] with { Price = new(new(7), new(1000)) }], at));
        var left = await Demo(HttpMethod.Delete);

        Assert.Equal((1, 0, 2), ((int)left["breads"]!, (int)left["untouched"]!, (int)left["changed"]!));
        Assert.Equal(entry.Id, Assert.Single(Of<Logbook>().All()).Id);
        Assert.Equal(["Mine", "My coils"], Of<Breads>().All().Select(b => b.Name).Order());
        Assert.Equal((99, 7, "K"), (Of<CurrentKitchen>().Now.Larder["ghee"].Price!.Cost.Value, Of<CurrentKitchen>().Now.Larder["leek"].Price!.Cost.Value, Of<Pantry>().Units().Coin));
        Assert.Null(Of<CurrentKitchen>().Now.Larder["yogurt"].Price);
        Assert.Empty(Of<Batches>().Latest(100)!);
    }

    [Fact]
    public async Task Filled_again_its_day_is_tomorrow_once_more()
    {
        await Demo(HttpMethod.Post);
        var made = Of<Batches>().Latest(100)!.First(b => b.MadeFor > DateTimeOffset.Now);
        Of<Batches>().Change(made with { MadeFor = made.MadeFor.AddDays(-9) }, Meant.Whatever);
        await Demo(HttpMethod.Delete);

        await Demo(HttpMethod.Post);

        Assert.Equal(made.MadeFor, Of<Batches>().Find(made.Id)!.MadeFor);
    }

    [Fact]
    public void A_day_of_the_canteen_is_planned_for_tomorrow()
    {
        Of<DemoKitchen>().FillIfEmpty();

        var day = DateTimeOffset.Now.Date.AddDays(1);
        var tomorrow = Of<Batches>().Latest(100)!.Where(b => b.MadeFor.LocalDateTime.Date == day).ToList();
        Assert.Equal(5, tomorrow.Count);
        Assert.All(tomorrow, b => Assert.NotNull(Planner.Check(b.Spec, Of<CurrentKitchen>().Now).Value));
    }
}
