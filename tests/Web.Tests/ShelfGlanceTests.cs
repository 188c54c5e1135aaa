using Dapper;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Logging.Abstractions;
using Ystrata.Store;
using Ystrata.Web.Demo;

namespace Ystrata.Web.Tests;

/// <summary>What the shelf shows is planned once, kept beside the breads, and planned anew when bread or larder is another.</summary>
public sealed class ShelfGlanceTests : IDisposable
{
    private readonly WebKitchen kitchen = new();
    private readonly Breads breads;
    private readonly Glances kept;

    public ShelfGlanceTests()
    {
        _ = kitchen.CreateClient();
        kitchen.Services.GetRequiredService<DemoKitchen>().FillIfEmpty();
        (breads, kept) = (kitchen.Services.GetRequiredService<Breads>(), kitchen.Services.GetRequiredService<Glances>());
    }

    public void Dispose() => kitchen.Dispose();

    private Kitchen Now => kitchen.Services.GetRequiredService<CurrentKitchen>().Taught;

    // As a server that was started anew has them.
    private ShelfGlances Anew() => new(kept, NullLogger<ShelfGlances>.Instance);

    // A section holds lists: two of them are compared by what they say.
    private static string Said(Shown shown) => System.Text.Json.JsonSerializer.Serialize(shown, SpecJson.Options);

    [Fact]
    public void A_shelf_looks_after_a_start_as_it_did_before_and_as_planned()
    {
        var shelf = breads.All();
        var before = Anew().Of(shelf, Now).Select(Said);
        Assert.Equal(before, Anew().Of(shelf, Now).Select(Said));
        Assert.Equal(shelf.Select(b => Said(new(b.Version, Glance.Of(Sheets.Of(b.Spec, Now))))), before);
    }

    [Fact]
    public void What_is_kept_is_shown_without_planning_and_only_for_the_same_bread_and_larder()
    {
        var shelf = breads.All();
        Anew().Of(shelf, Now);
        var workedWith = WorkedWith();
        Assert.Equal(shelf.Count, kept.Of(workedWith).Count);
        // Told apart from what would be planned.
        kept.Keep(workedWith, shelf.Select(b => (b.Version, "null")), [.. shelf.Select(b => b.Version)]);
        Assert.All(Anew().Of(shelf, Now), s => Assert.Null(s.Glance));

        var changed = shelf[0] with { Spec = WebKitchen.Squares() };
        Assert.NotNull(Anew().Of(changed, Now).Glance);

        var ghee = Now["ghee"] with { Density = new(0.5) };
        kitchen.Services.GetRequiredService<CurrentKitchen>().Change((pantry, at) => pantry.Keep([ghee], at));
        Assert.All(Anew().Of(shelf, Now), s => Assert.NotNull(s.Glance));
        // Of what there was before nothing is left.
        Assert.Empty(kept.Of(workedWith));
    }

    [Fact]
    public void Breads_that_are_gone_are_not_kept()
    {
        var shelf = breads.All();
        Anew().Of(shelf, Now);
        var changed = shelf[0] with { Name = "Another name" };
        Assert.True(breads.Change(changed, Meant.Whatever).Done);
        Anew().Of(breads.All(), Now);
        Assert.Equal(breads.All().Select(b => b.Version).Order(), kept.Of(WorkedWith()).Keys.Order());
    }

    private string WorkedWith()
    {
        using var db = new SqliteConnection($"Data Source={kitchen.Services.GetRequiredService<KitchenDb>().File}");
        return Assert.Single(db.Query<string>("select distinct worked_with from glance"));
    }
}
