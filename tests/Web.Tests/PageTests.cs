using System.Net;
using System.Text.RegularExpressions;
using Microsoft.Extensions.DependencyInjection;
using Ystrata.Store;

namespace Ystrata.Web.Tests;

/// <summary>Every list has a next page, until there is none.</summary>
public sealed partial class PageTests : IDisposable
{
    private const int Things = 7;

    private readonly WebKitchen kitchen = new();
    private readonly HttpClient client;

    public PageTests()
    {
        client = kitchen.CreateClient();
        T Of<T>()
            where T : notnull => kitchen.Services.GetRequiredService<T>();
        var noon = new DateTimeOffset(2026, 11, 20, 12, 0, 0, TimeSpan.Zero);
        for (var i = 0; i < Things; i++)
        {
            // Some of the same moment and name: the id says which comes first.
            var at = noon.AddMinutes(i / 3);
            Of<Breads>().Add(new(Guid.NewGuid(), $"Beet {i / 2}", "", [], WebKitchen.Squares(), at));
            var batch = new Batch(Guid.NewGuid(), null, $"Noon {i}", WebKitchen.Squares(), at, at);
            Of<Batches>().Add(batch);
            Of<Services>().Add(new(Guid.NewGuid(), batch.Id, batch.Name, new([new(batch.Name, batch.Spec)], ClockSpec.Usual, new(3600)), at, null));
            Of<PracticeScores>().Add(new(Guid.NewGuid(), i, at, 50, [10], 20));
            var gone = new Bread(Guid.NewGuid(), "Gone", "", [], WebKitchen.Squares(), at);
            Of<Breads>().Add(gone);
            Of<Breads>().Delete(gone.Id, at, Meant.Whatever);
            Of<Logbook>().Add(
                new(Guid.NewGuid(), batch.Id, batch.Spec, at, Outcome.Nothing, at),
                [new(LessonKind.Thirst, Of<CurrentKitchen>().Now.Larder.All.Where(f => f.Kind == IngredientKind.Flour).ElementAt(i).Id, 1)]);
        }
    }

    public void Dispose()
    {
        client.Dispose();
        kitchen.Dispose();
    }

    private async Task<(List<string> Ids, string? Next)> Page(string path)
    {
        using var answer = await client.GetAsync(path);
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        var next = answer.Headers.TryGetValues("Link", out var links) ? Next().Match(Assert.Single(links)).Groups[1].Value : null;
        return ([.. (await WebKitchen.Json(answer)).AsArray().Select(t => (string?)t!["id"] ?? $"{t["figure"]!["kind"]}:{t["figure"]!["of"]}")], next);
    }

    [Theory]
    [InlineData("/api/breads")]
    [InlineData("/api/batches")]
    [InlineData("/api/services")]
    [InlineData("/api/practice/scores")]
    [InlineData("/api/keeping/trash")]
    [InlineData("/api/learned")]
    public async Task Page_after_page_a_list_gives_each_thing_once_in_its_order(string path)
    {
        var (all, none) = await Page(path);
        Assert.Equal((Things, null), (all.Count, none));
        foreach (var most in new[] { 1, 2, 3, Things - 1, Things })
        {
            var (got, pages) = (new List<string>(), 0);
            for (var at = $"{path}?most={most}"; at is not null; pages++)
            {
                var (ids, next) = await Page(at);
                Assert.InRange(ids.Count, 1, most);
                got.AddRange(ids);
                at = next;
            }

            Assert.Equal(all, got);
            Assert.Equal((Things + most - 1) / most, pages);
        }

        foreach (var wrong in new[] { "most=0", "most=-1", "most=1001", $"after={Guid.NewGuid()}", "after=x", "most=many" })
        {
            using var answer = await client.GetAsync($"{path}?{wrong}");
            Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
            Assert.Equal(wrong.Split('=')[0], (string)(await WebKitchen.Json(answer))["refusals"]![0]!["field"]!);
        }
    }

    [Fact]
    public async Task A_batch_deleted_between_two_pages_ends_nothing()
    {
        var (ids, next) = await Page("/api/batches?most=3");
        using var gone = await client.DeleteAsync($"/api/batches/{ids[^1]}");
        Assert.Equal(HttpStatusCode.NoContent, gone.StatusCode);
        Assert.Equal(3, (await Page(next!)).Ids.Count);
    }

    [GeneratedRegex("^<([^>]+)>; rel=\"next\"$")]
    private static partial Regex Next();
}
