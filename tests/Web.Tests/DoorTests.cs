using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Routing;
using Microsoft.Extensions.DependencyInjection;
using Ystrata.Store;
using Ystrata.Web.Door;

namespace Ystrata.Web.Tests;

/// <summary>Who may come in over the network, and how far.</summary>
public sealed class DoorTests : IDisposable
{
    private const string Words = "leek pours at dawn";

    private readonly WebKitchen kitchen = WebKitchen.OnTheNetwork();

    public DoorTests() => Get<Passphrase>().Set(Words);

    public void Dispose() => kitchen.Dispose();

    [Fact]
    public async Task A_stranger_is_answered_nothing_but_the_door_and_the_pages()
    {
        using var stranger = Client();
        await Token(stranger);
        foreach (var (method, path) in Endpoints())
        {
            using var answer = await stranger.SendAsync(new(new(method), path) { Content = method == "GET" ? null : JsonContent.Create(new { }) });
            Assert.True(answer.StatusCode is HttpStatusCode.Unauthorized, $"{method} {path}: {answer.StatusCode}");
        }

        Assert.Equal(HttpStatusCode.Unauthorized, (await stranger.GetAsync("/healthz")).StatusCode);
        Assert.Equal(HttpStatusCode.Unauthorized, (await stranger.GetAsync("/openapi/v1.json")).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await stranger.GetAsync("/formats/kitchen.schema.json")).StatusCode);
    }

    [Fact]
    public async Task The_passphrase_lets_a_screen_in_with_a_cookie_no_page_can_read_and_no_other_site_can_send()
    {
        using var client = Client();
        await Token(client);
        using var answer = await client.PostAsJsonAsync("/api/door/passphrase", new { passphrase = $"  {Words}\n", name = "Tablet by the pans", kind = "all" });
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        var cookie = Assert.Single(answer.Headers.GetValues("Set-Cookie"), c => c.StartsWith("ystrata-screen-", StringComparison.Ordinal)).ToLowerInvariant();
        Assert.All(new[] { "httponly", "samesite=strict", "secure", "path=/" }, part => Assert.Contains(part, cookie, StringComparison.Ordinal));

        var screens = (await client.GetFromJsonAsync<JsonNode>("/api/screens"))!;
        var me = Assert.Single(screens["screens"]!.AsArray())!;
        Assert.Equal(("Tablet by the pans", "all", true), ((string)me["name"]!, (string)me["kind"]!, (bool)me["me"]!));
        Assert.Equal(HttpStatusCode.OK, (await client.GetAsync("/api/files/kitchen")).StatusCode);
    }

    [Fact]
    public async Task Wrong_tries_are_refused_counted_and_slowed()
    {
        using var client = Client();
        await Token(client);
        var statuses = new List<HttpStatusCode>();
        string? code = null;
        for (var i = 0; i < 8; i++)
        {
            using var answer = await client.PostAsJsonAsync("/api/door/passphrase", new { passphrase = $"guess number {i}", name = "Tablet", kind = "all" });
            statuses.Add(answer.StatusCode);
            code ??= (string?)(await WebKitchen.Json(answer))["code"];
        }

        Assert.Equal("wrongPassphrase", code);
        Assert.Equal([.. Enumerable.Repeat(HttpStatusCode.Forbidden, 6), HttpStatusCode.TooManyRequests, HttpStatusCode.TooManyRequests], statuses);
        Assert.Equal(6, Assert.Single(Get<WrongTries>().All).Count);
        Assert.Empty(Get<KnownScreens>().All);
    }

    [Theory]
    [InlineData("", "Tablet", "passphrase")]
    [InlineData("leek pours at dawn", "", "name")]
    [InlineData("leek pours at dawn", "a name that is far too long for any screen of any kitchen", "name")]
    public async Task What_is_empty_or_too_long_is_said(string passphrase, string name, string field)
    {
        using var client = Client();
        await Token(client);
        using var answer = await client.PostAsJsonAsync("/api/door/passphrase", new { passphrase, name, kind = "all" });
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.Equal(field, (string)(await WebKitchen.Json(answer))["refusals"]![0]!["field"]!);
    }

    [Fact]
    public async Task A_giant_passphrase_is_not_even_tried()
    {
        using var client = Client();
        await Token(client);
        using var answer = await client.PostAsJsonAsync("/api/door/passphrase", new { passphrase = new string('x', 500_000), name = "Tablet", kind = "all" });
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.Empty(Get<WrongTries>().All);
    }

    [Fact]
    public async Task A_code_lets_one_screen_in_once_as_what_it_was_made_for()
    {
        var (code, _) = Get<OneTimeCodes>().Make(ScreenKind.Stove);
        using var client = Client();
        await Token(client);
        using var answer = await client.PostAsJsonAsync("/api/door/code", new { code, name = "Tablet" });
        Assert.Equal("stove", (string)(await WebKitchen.Json(answer))["kind"]!);

        using var second = Client();
        await Token(second);
        using var refused = await second.PostAsJsonAsync("/api/door/code", new { code, name = "Another" });
        Assert.Equal((HttpStatusCode.Forbidden, "codeGone"), (refused.StatusCode, (string)(await WebKitchen.Json(refused))["code"]!));
        Assert.Single(Get<KnownScreens>().All);
    }

    [Fact]
    public void A_code_runs_out_after_two_minutes()
    {
        var clock = new HandClock();
        var codes = new OneTimeCodes(clock);
        var (first, until) = codes.Make(ScreenKind.All);
        Assert.Equal(clock.GetUtcNow().AddMinutes(2), until);
        var (late, _) = codes.Make(ScreenKind.All);
        clock.Now += TimeSpan.FromSeconds(119);
        Assert.Equal(ScreenKind.All, codes.Take(first));
        clock.Now += TimeSpan.FromSeconds(2);
        Assert.Null(codes.Take(late));
        Assert.Null(codes.Take(""));
    }

    [Fact]
    public async Task A_screen_for_the_stove_looks_and_presses_and_does_nothing_else()
    {
        using var stove = Client();
        await ComeIn(stove, "stove");
        var files = kitchen.Services.GetRequiredService<EndpointDataSource>().Endpoints.OfType<RouteEndpoint>()
            .Where(e => e.Metadata.OfType<Microsoft.AspNetCore.Http.Metadata.IProducesResponseTypeMetadata>().Any(p => p.Type == typeof(Stream)))
            .Select(e => Filled(e.RoutePattern.RawText!)).ToHashSet();
        Assert.True(files.Count >= 8);
        foreach (var (method, path) in Endpoints().Where(e => e.Path != "/api/live"))
        {
            using var answer = await stove.SendAsync(new(new(method), path) { Content = method == "GET" ? null : JsonContent.Create(new { }) });
            var may = (method == "GET" && !files.Contains(path) && path != "/api/screens") || path.EndsWith("/events", StringComparison.Ordinal) || path == "/api/services";
            Assert.True(may == answer.StatusCode is not HttpStatusCode.Forbidden, $"{method} {path}: {answer.StatusCode}");
            Assert.NotEqual(HttpStatusCode.Unauthorized, answer.StatusCode);
        }
    }

    [Fact]
    public async Task The_passphrase_is_changed_on_the_machine_alone()
    {
        using var client = Client();
        await ComeIn(client);
        Assert.Equal(HttpStatusCode.Forbidden, (await client.PutAsJsonAsync("/api/screens/passphrase", new { passphrase = "something else entirely" })).StatusCode);
        Assert.True(Get<Passphrase>().Is(Words));
    }

    [Fact]
    public async Task A_screen_that_is_sent_away_is_cut_off_in_the_midst_of_its_stream_and_its_cookie_is_worth_nothing()
    {
        using var master = Client();
        await ComeIn(master);
        using var client = Client();
        var id = await ComeIn(client);
        using var stream = await client.GetAsync("/api/live", HttpCompletionOption.ResponseHeadersRead);
        Assert.Equal(HttpStatusCode.OK, stream.StatusCode);
        await using var words = await stream.Content.ReadAsStreamAsync();

        Assert.Equal(HttpStatusCode.NoContent, (await master.DeleteAsync($"/api/screens/{id}")).StatusCode);
        await Assert.ThrowsAnyAsync<Exception>(async () =>
        {
            var some = new byte[1000];
            while (await words.ReadAsync(some).AsTask().WaitAsync(RealServers.Patience) > 0)
            {
            }

            throw new EndOfStreamException();
        });
        Assert.Equal(HttpStatusCode.Unauthorized, (await client.GetAsync("/api/larder")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await master.DeleteAsync($"/api/screens/{id}")).StatusCode);
    }

    [Fact]
    public async Task A_forged_cookie_and_one_of_another_kitchen_let_nobody_in()
    {
        using var other = WebKitchen.OnTheNetwork();
        other.Services.GetRequiredService<Passphrase>().Set(Words);
        using var there = other.CreateClient(new() { BaseAddress = new("https://localhost"), HandleCookies = false });
        var (page, token) = await Page(there);
        using var request = new HttpRequestMessage(HttpMethod.Post, "/api/door/passphrase") { Content = JsonContent.Create(new { passphrase = Words, name = "Tablet", kind = "all" }) };
        request.Headers.Add("Cookie", page);
        request.Headers.Remove(OwnPagesOnly.Header);
        there.DefaultRequestHeaders.Remove(OwnPagesOnly.Header);
        request.Headers.Add(OwnPagesOnly.Header, token);
        using var let = await there.SendAsync(request);
        var (name, value) = Cookie(let, "ystrata-screen-");

        using var here = kitchen.CreateClient(new() { BaseAddress = new("https://localhost"), HandleCookies = false });
        using var mine = Client();
        await ComeIn(mine);
        var own = "ystrata-screen-" + Get<Screens>().Kitchen.ToString("N")[..8];
        foreach (var forged in new[] { $"{name}={value}", $"{own}={value}", $"{own}={value[..^4]}AAAA", $"{own}=", $"{own}=stove" })
        {
            using var ask = new HttpRequestMessage(HttpMethod.Get, "/api/larder");
            ask.Headers.Add("Cookie", forged);
            Assert.Equal(HttpStatusCode.Unauthorized, (await here.SendAsync(ask)).StatusCode);
        }
    }

    [Theory]
    [InlineData(null)]
    [InlineData("here")]
    [InlineData("CfDJ8")]
    public async Task What_a_screen_writes_carries_the_token_its_page_was_given(string? said)
    {
        using var client = Client();
        await ComeIn(client);
        client.DefaultRequestHeaders.Remove(OwnPagesOnly.Header);
        if (said is not null)
        {
            client.DefaultRequestHeaders.Add(OwnPagesOnly.Header, said);
        }

        Assert.Equal(HttpStatusCode.Forbidden, (await client.PostAsync("/api/keeping/backups", null)).StatusCode);
        await Token(client);
        Assert.Equal(HttpStatusCode.Created, (await client.PostAsync("/api/keeping/backups", null)).StatusCode);
    }

    [Fact]
    public async Task A_screen_leaves_by_itself_and_one_that_comes_twice_is_one()
    {
        using var client = Client();
        await ComeIn(client);
        await Token(client);
        await ComeIn(client);
        Assert.Single(Get<KnownScreens>().All);
        await Token(client);
        Assert.Equal(HttpStatusCode.NoContent, (await client.PostAsync("/api/door/leave", null)).StatusCode);
        Assert.Empty(Get<KnownScreens>().All);
        Assert.Equal(HttpStatusCode.Unauthorized, (await client.GetAsync("/api/larder")).StatusCode);
    }

    [Fact]
    public async Task No_more_screens_are_let_in_than_can_be()
    {
        for (var i = 0; i < KnownScreens.Most; i++)
        {
            Assert.NotNull(Get<KnownScreens>().LetIn($"Tablet {i}", ScreenKind.All));
        }

        using var client = Client();
        await Token(client);
        using var answer = await client.PostAsJsonAsync("/api/door/passphrase", new { passphrase = Words, name = "One more", kind = "all" });
        Assert.Equal((HttpStatusCode.Conflict, "tooManyScreens"), (answer.StatusCode, (string)(await WebKitchen.Json(answer))["code"]!));
    }

    [Fact]
    public void Every_endpoint_says_who_may()
    {
        string[] open = ["/api/door", "/api/door/passphrase", "/api/door/code", "/api/door/leave", "/formats/kitchen.schema.json", "/authority.crt"];
        var anonymous = kitchen.Services.GetRequiredService<EndpointDataSource>().Endpoints.OfType<RouteEndpoint>()
            .Where(e => e.Metadata.OfType<IAllowAnonymous>().Any()).Select(e => e.RoutePattern.RawText!.TrimEnd('/'))
            // The pages and what they are made of.
            .Where(path => path.StartsWith("/api", StringComparison.Ordinal) || path.StartsWith("/formats", StringComparison.Ordinal) || path.EndsWith(".crt", StringComparison.Ordinal));
        Assert.Equal(open.Order(), anonymous.Distinct().Order());
    }

    private T Get<T>()
        where T : notnull => kitchen.Services.GetRequiredService<T>();

    private HttpClient Client() => kitchen.CreateClient(new() { BaseAddress = new("https://localhost") });

    private static async Task Token(HttpClient client)
    {
        var door = (await client.GetFromJsonAsync<JsonNode>("/api/door"))!;
        client.DefaultRequestHeaders.Remove(OwnPagesOnly.Header);
        client.DefaultRequestHeaders.Add(OwnPagesOnly.Header, (string)door["token"]!);
    }

    private static async Task<Guid> ComeIn(HttpClient client, string kind = "all")
    {
        await Token(client);
        using var answer = await client.PostAsJsonAsync("/api/door/passphrase", new { passphrase = Words, name = "Tablet", kind });
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        await Token(client);
        return (Guid)(await WebKitchen.Json(answer))["id"]!;
    }

    private static async Task<(string Cookie, string Token)> Page(HttpClient client)
    {
        using var answer = await client.GetAsync("/api/door");
        var (name, value) = Cookie(answer, "ystrata-page-");
        return ($"{name}={value}", (string)(await WebKitchen.Json(answer))["token"]!);
    }

    private static (string Name, string Value) Cookie(HttpResponseMessage answer, string begins)
    {
        var cookie = answer.Headers.GetValues("Set-Cookie").First(c => c.StartsWith(begins, StringComparison.Ordinal)).Split(';')[0].Split('=', 2);
        return (cookie[0], cookie[1]);
    }

    private IEnumerable<(string Method, string Path)> Endpoints() =>
        from endpoint in kitchen.Services.GetRequiredService<EndpointDataSource>().Endpoints.OfType<RouteEndpoint>()
        let path = endpoint.RoutePattern.RawText!
        where path.StartsWith("/api/", StringComparison.Ordinal) && !path.StartsWith("/api/door", StringComparison.Ordinal)
        from method in endpoint.Metadata.GetMetadata<IHttpMethodMetadata>()!.HttpMethods
        where method != "HEAD"
        select (method, Filled(path));

    private static string Filled(string path) => System.Text.RegularExpressions.Regex.Replace(path, @"\{\w+(:\w+)?\}", m => m.Value.Contains("guid", StringComparison.Ordinal) ? Guid.Empty.ToString() : "none").TrimEnd('/');

    private sealed class HandClock : TimeProvider
    {
        public DateTimeOffset Now { get; set; } = new(2026, 11, 28, 5, 0, 0, TimeSpan.Zero);

        public override DateTimeOffset GetUtcNow() => Now;
    }
}
