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
}
