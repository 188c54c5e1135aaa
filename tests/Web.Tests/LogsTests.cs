using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ystrata.Web.Tests;

/// <summary>What is written down and counted of the program's work.</summary>
public sealed class LogsTests : IDisposable
{
    private const string Words = "nobody may ever read this";

    private readonly RealServers servers = new();

    public void Dispose() => servers.Dispose();

    [Fact]
    public async Task A_request_leaves_its_path_status_time_and_trace_id_and_nothing_of_what_it_carried()
    {
        var (server, address) = await servers.Start("--lan", "true", "--lan-port", "0", "--bind", "127.0.0.1");
        using var client = RealServers.Client(address);
        await client.PutAsJsonAsync("/api/screens/passphrase", new { passphrase = Words });
        await client.PostAsJsonAsync("/api/door/passphrase", new { passphrase = Words + " at all", name = "Tablet", kind = "all" });
        await client.GetAsync("/api/log?text=somebody's+secret+bread");
        using var refused = await client.PostAsync("/api/plan", new StringContent("{\"dough\":\"somebody's secret bread\"}", null, "application/json"));
        var trace = (string)(await WebKitchen.Json(refused))["traceId"]!;
        // A line is on the disk within a second, and all of them when it ends.
        await RealServers.End(server);

        var text = await File.ReadAllTextAsync(Assert.Single(Directory.GetFiles(Path.Combine(servers.Folder, "ystrata-logs"))));
        Assert.DoesNotContain("secret", text, StringComparison.Ordinal);
        Assert.DoesNotContain(Words, text, StringComparison.Ordinal);
        var lines = text.Split('\n', StringSplitOptions.RemoveEmptyEntries).Select(l => JsonNode.Parse(l)!).ToList();
        Assert.True(lines.Count > 3, text);
        var plan = Assert.Single(lines, l => (string?)l["RequestPath"] == "/api/plan");
        Assert.Equal(("POST", 400), ((string)plan["RequestMethod"]!, (int)plan["StatusCode"]!));
        Assert.Equal(trace.Split('-')[1], (string)plan["@tr"]!);
        Assert.True((double)plan["Elapsed"]! > 0);
        Assert.Equal(Release.Version, (string)plan["Version"]!);
        Assert.Single(lines, l => ((string)l["@mt"]!).StartsWith("A wrong passphrase", StringComparison.Ordinal));
    }

    [Fact]
    public async Task Counts_are_told_to_the_machine_itself()
    {
        var (_, address) = await servers.Start();
        using var client = RealServers.Client(address);
        await client.PostAsync("/api/plan", WebKitchen.Body(WebKitchen.Squares()));
        await client.PostAsync("/api/plan", WebKitchen.Body(WebKitchen.Squares()));
        await client.PostAsync("/api/keeping/backups", null);
        var text = await client.GetStringAsync("/metrics");
        Assert.Equal(2, Value("ystrata_plans_total"));
        Assert.Equal(1, Value("ystrata_backups"));
        Assert.True(Value("ystrata_kitchen_size_bytes") > 4096);
        Assert.True(Value("ystrata_backup_age_seconds") is >= 0 and < 600);
        Assert.Equal(0, Value("ystrata_streams"));
        Assert.Contains("http_server_request_duration_seconds", text, StringComparison.Ordinal);

        double Value(string name) => double.Parse(
            Assert.Single(text.Split('\n'), l => l.StartsWith(name + "{", StringComparison.Ordinal) || l.StartsWith(name + " ", StringComparison.Ordinal)).Split('}')[^1].Trim().Split(' ')[0],
            System.Globalization.CultureInfo.InvariantCulture);
    }

    [Fact]
    public async Task And_to_no_screen_of_the_network()
    {
        using var kitchen = WebKitchen.OnTheNetwork();
        using var client = kitchen.CreateClient(new() { BaseAddress = new("https://localhost") });
        Assert.Equal(HttpStatusCode.Unauthorized, (await client.GetAsync("/metrics")).StatusCode);
    }
}
