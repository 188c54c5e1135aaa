using System.Net;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using Ystrata.Store;
using Ystrata.Web.Demo;

namespace Ystrata.Web.Tests;

public sealed class HouseTests(WebKitchen kitchen) : IClassFixture<WebKitchen>
{
    private readonly HttpClient client = kitchen.CreateClient();

    [Fact]
    public async Task It_says_that_it_is_well() => Assert.Equal($"well\nYstrata {Release.Version}", await client.GetStringAsync("/healthz"));

    [Theory]
    [InlineData("/healthz")]
    [InlineData("/api/larder")]
    [InlineData("/api/nothing")]
    public async Task Every_answer_forbids_inline_script_and_outside_hosts(string path)
    {
        using var answer = await client.GetAsync(path);
        var policy = Assert.Single(answer.Headers.GetValues("Content-Security-Policy"));

        Assert.Contains("script-src 'self';", policy, StringComparison.Ordinal);
        Assert.DoesNotContain("http", policy, StringComparison.Ordinal);
        Assert.DoesNotContain("unsafe-eval", policy, StringComparison.Ordinal);
        Assert.Equal("nosniff", Assert.Single(answer.Headers.GetValues("X-Content-Type-Options")));
        Assert.Equal("same-origin", Assert.Single(answer.Headers.GetValues("Cross-Origin-Resource-Policy")));
        Assert.All(
            new[] { "camera=()", "microphone=()", "geolocation=()", "usb=()", "screen-wake-lock=(self)" },
            part => Assert.Contains(part, Assert.Single(answer.Headers.GetValues("Permissions-Policy")), StringComparison.Ordinal));
    }

    [Fact]
    public async Task A_refusal_carries_the_same_headers()
    {
        using var answer = await client.PostAsync("/api/plan", new StringContent("{", null, "application/json"));

        Assert.True(answer.Headers.Contains("Content-Security-Policy"));
        Assert.Equal("no-store", answer.Headers.CacheControl?.ToString());
    }

    [Theory]
    [InlineData("cross-site", HttpStatusCode.Forbidden)]
    [InlineData("same-site", HttpStatusCode.Forbidden)]
    [InlineData("same-origin", HttpStatusCode.NotFound)]
    public async Task A_page_of_another_site_cannot_write_here(string site, HttpStatusCode status)
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, $"/api/breads/{Guid.NewGuid()}/restore");
        request.Headers.Add("Sec-Fetch-Site", site);
        using var answer = await client.SendAsync(request);

        Assert.Equal(status, answer.StatusCode);
    }

    [Fact]
    public async Task The_description_is_the_one_the_interface_was_made_from()
    {
        var served = JsonNode.Parse(await client.GetStringAsync("/openapi/v1.json"));
        var committed = JsonNode.Parse(await File.ReadAllTextAsync(Path.Combine(Root(), "src/ui/src/api/openapi.json")));

        Assert.True(JsonNode.DeepEquals(served, committed), "src/ui/src/api/openapi.json is out of date: run ./ystrata types");
    }

    [Fact]
    public void The_demo_is_eight_breads_and_twelve_cookings_over_three_weeks_always_the_same()
    {
        using var other = new WebKitchen();
        var kitchens = new[] { kitchen, other };
        foreach (var k in kitchens)
        {
            k.Services.GetRequiredService<DemoKitchen>().FillIfEmpty();
        }

        var logs = kitchens.Select(k => k.Services.GetRequiredService<Logbook>().All().ToList()).ToList();

        Assert.Equal(12, other.Services.GetRequiredService<Breads>().All().Count);
        Assert.Equal(12, logs[1].Count);
        Assert.InRange((logs[1][0].CookedAt - logs[1][^1].CookedAt).TotalDays, 19, 21);
        Assert.Equivalent(logs[1], logs[0].Where(l => logs[1].Any(o => o.Id == l.Id)), strict: true);
        Assert.All(other.Services.GetRequiredService<Breads>().All(), b => Assert.Empty(Planner.Check(b.Spec, other.Services.GetRequiredService<CurrentKitchen>().Now).Refusals));
        Assert.All(logs[1], l => Assert.Empty(LogCheck.Check(l.Outcome)));
    }

    [Fact]
    public void The_demo_leaves_a_used_kitchen_alone()
    {
        using var used = new WebKitchen();
        var breads = used.Services.GetRequiredService<Breads>();
        breads.Add(new(Guid.CreateVersion7(), "Mine", "", [], BatchSpec.Plain, DateTimeOffset.UnixEpoch));

        used.Services.GetRequiredService<DemoKitchen>().FillIfEmpty();

        Assert.Equal("Mine", Assert.Single(breads.All()).Name);
    }

    private static string Root()
    {
        var folder = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(folder, "Ystrata.slnx")))
        {
            folder = Path.GetDirectoryName(folder) ?? throw new InvalidOperationException("not inside the repository");
        }

        return folder;
    }
}
