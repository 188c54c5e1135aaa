using System.Collections.Concurrent;
using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Ystrata.Store;

namespace Ystrata.Web.Tests;

/// <summary>The real program in a process of its own, over a real socket.</summary>
public sealed class DurabilityTests : IDisposable
{
    private static readonly TimeSpan Patience = RealServers.Patience;

    private readonly RealServers servers = new();

    private string Folder => servers.Folder;

    public void Dispose() => servers.Dispose();

    [Fact]
    public async Task Every_acknowledged_write_is_there_after_kill_9()
    {
        var kept = new ConcurrentBag<string>();
        for (var round = 0; round < 3; round++)
        {
            var (server, address) = await servers.Start();
            using var client = RealServers.Client(address);
            using var acknowledged = new SemaphoreSlim(0);
            var hands = Enumerable.Range(0, 4).Select(_ => WriteUntilCutOff(client, kept, acknowledged)).ToList();
            for (var i = 0; i < 25; i++)
            {
                Assert.True(await acknowledged.WaitAsync(Patience));
            }

            server.Kill();
            await Task.WhenAll(hands);
            await server.WaitForExitAsync();
        }

        var (_, there) = await servers.Start();
        using var reader = RealServers.Client(there);
        var found = (await reader.GetFromJsonAsync<JsonArray>("/api/breads"))!.Select(b => (string)b!["id"]!).ToHashSet();

        Assert.Subset(found, kept.ToHashSet());
    }

    [Fact]
    public async Task A_running_service_goes_on_from_the_true_time_after_kill_9()
    {
        var shift = Path.Combine(Folder, "shift");
        var (server, address) = await servers.Start("--shift", shift);
        using var client = RealServers.Client(address);
        var spec = WebKitchen.Squares() with { Start = StartSpec.Of(6), Clock = new(Pans: 2, By: ClockBy.Soonest) };
        using var batch = await client.PostAsJsonAsync("/api/batches", new BatchBody(null, "Squares", spec, DateTimeOffset.UtcNow), SpecJson.Options);
        using var begun = await client.PostAsJsonAsync("/api/services", new { batchId = (string)(await batch.Content.ReadFromJsonAsync<JsonNode>())!["id"]! });
        var id = (string)(await begun.Content.ReadFromJsonAsync<JsonNode>())!["id"]!;

        // One screen presses until the server is gone; what was answered must be there.
        var counted = new List<string>();
        using var counts = new SemaphoreSlim(0);
        var presses = Task.Run(async () =>
        {
            try
            {
                for (var number = 1; ; number = number % 6 + 1)
                {
                    foreach (var act in new[] { "laid", "turned", "lifted" })
                    {
                        var press = Guid.NewGuid();
                        using var answer = await client.PostAsJsonAsync($"/api/services/{id}/events", new { id = press, act, pan = number % 2, bread = 0, number });
                        if ((bool?)(await answer.Content.ReadFromJsonAsync<JsonNode>())!["counted"] == true)
                        {
                            lock (counted)
                            {
                                counted.Add(act + number);
                            }

                            counts.Release();
                        }
                    }

                    using var late = await client.PostAsJsonAsync($"/api/services/{id}/events", new { id = Guid.NewGuid(), act = "late", value = 1 });
                }
            }
            catch (HttpRequestException)
            {
                // Cut off in the middle of a press: that one was never answered.
            }
        });
        for (var i = 0; i < 10; i++)
        {
            Assert.True(await counts.WaitAsync(Patience));
        }

        server.Kill();
        await presses;
        await server.WaitForExitAsync();
        // An hour passes with the lights out.
        await File.WriteAllTextAsync(shift, "3600");

        var (_, there) = await servers.Start("--shift", shift);
        using var again = RealServers.Client(there);
        var open = (await again.GetFromJsonAsync<JsonArray>("/api/services"))!.Single();
        var sheet = (await again.GetFromJsonAsync<JsonNode>($"/api/services/{id}"))!["sheet"]!;
        var belt = sheet["breads"]![0]!["belt"]!.AsArray().ToDictionary(p => (int)p!["number"]!, p => (string)p!["at"]!);

        Assert.Equal(id, (string)open!["id"]!);
        Assert.InRange((double)sheet["now"]!, 3600, 3900);
        Assert.All(counted.Where(c => c.StartsWith("lifted", StringComparison.Ordinal)), c => Assert.Equal("hot", belt[c[^1] - '0']));
        var last = counted[^1];
        Assert.Contains(belt[last[^1] - '0'], last.StartsWith("lifted", StringComparison.Ordinal) ? ["hot"] : new[] { "onPan", "hot" });
    }

    [Fact]
    public async Task A_body_over_a_megabyte_is_refused_before_it_is_read()
    {
        var (_, address) = await servers.Start();

        // A gigabyte is announced, and only sent if the server asks for it, however long that takes on a busy machine.
        using var patient = new SocketsHttpHandler { Expect100ContinueTimeout = TimeSpan.FromMinutes(1) };
        using var client = RealServers.Client(address, patient);
        using var announced = new HttpRequestMessage(HttpMethod.Post, "/api/plan") { Content = new EndlessContent(1_000_000_000) };
        announced.Headers.ExpectContinue = true;
        using var refused = await client.SendAsync(announced);
        using var small = await client.PostAsync("/api/plan", JsonContent.Create(WebKitchen.Squares(), options: SpecJson.Options));

        Assert.Equal(HttpStatusCode.RequestEntityTooLarge, refused.StatusCode);
        Assert.Contains("1 MB", await refused.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.OK, small.StatusCode);
    }

    [Fact]
    public async Task A_screen_that_listens_does_not_hold_up_the_end()
    {
        var (server, address) = await servers.Start("--shutdownTimeoutSeconds", "36000");
        using var client = RealServers.Client(address);
        using var stream = await client.GetStreamAsync("/api/live?scale=true");
        Assert.True(await stream.ReadAsync(new byte[16]) > 0);

        using var asked = Process.Start("kill", ["-TERM", server.Id.ToString(CultureInfo.InvariantCulture)]);
        // A host that is held up waits for hours here.
        await server.WaitForExitAsync().WaitAsync(Patience);

        Assert.Equal(0, server.ExitCode);
    }

    [Fact]
    public async Task Whatever_can_be_read_can_be_asked_for_its_head()
    {
        var (_, address) = await servers.Start("--demo", "true");
        using var client = RealServers.Client(address);
        var paths = JsonNode.Parse(await client.GetStringAsync("/openapi/v1.json"))!["paths"]!.AsObject();
        string[] plain = [.. paths.Where(p => p.Value!["get"] is { } get && !(get["parameters"]?.AsArray() ?? []).Any(q => (bool?)q!["required"] == true)).Select(p => p.Key), "/healthz", "/openapi/v1.json", "/formats/kitchen.schema.json"];
        Assert.True(plain.Length > 15);
        foreach (var path in plain)
        {
            using var answer = await client.SendAsync(new(HttpMethod.Head, path)).WaitAsync(Patience);
            Assert.True(answer.StatusCode == HttpStatusCode.OK, $"{path}: {answer.StatusCode}");
            Assert.Equal("", await answer.Content.ReadAsStringAsync());
        }
    }

    [Fact]
    public async Task What_cannot_start_says_why_in_one_sentence()
    {
        var (_, address) = await servers.Start();
        Assert.Contains("Another Ystrata works on the kitchen", await servers.Refused(), StringComparison.Ordinal);

        var elsewhere = Directory.CreateDirectory(Path.Combine(Folder, "elsewhere")).FullName;
        Assert.Contains("Something else listens on that port", await servers.Refused("--data", elsewhere, "--port", address.Port.ToString(CultureInfo.InvariantCulture)), StringComparison.Ordinal);

        var letter = Directory.CreateDirectory(Path.Combine(Folder, "letter")).FullName;
        await File.WriteAllTextAsync(Path.Combine(letter, "ystrata.db"), "Dear kitchen, " + new string('x', 5000));
        Assert.Contains("damaged, or no database at all", await servers.Refused("--data", letter), StringComparison.Ordinal);

        await File.WriteAllTextAsync(Path.Combine(Folder, "file"), "no Folder");
        Assert.Contains("cannot be used", await servers.Refused("--data", Path.Combine(Folder, "file")), StringComparison.Ordinal);
    }

    [Fact]
    public async Task What_is_kept_is_its_owners_alone_and_what_a_killed_server_left_is_cleared_away()
    {
        var left = Directory.CreateDirectory(Path.Combine(Folder, "ystrata-work", "half")).FullName;
        await File.WriteAllTextAsync(Path.Combine(left, "file.db"), "half");
        // The folder may be somebody's home: what is not the kitchen's stays as it is.
        var theirs = Path.Combine(Directory.CreateDirectory(Path.Combine(Folder, "work")).FullName, "letter.txt");
        await File.WriteAllTextAsync(theirs, "Dear kitchen");
        // What an older version wrote for everybody to read.
        var old = Path.Combine(Directory.CreateDirectory(Path.Combine(Folder, "backups")).FullName, "ystrata-2026-01-01.db");
        await File.WriteAllTextAsync(old, "");
        const UnixFileMode ForAll = UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.GroupRead | UnixFileMode.OtherRead;
        Array.ForEach([theirs, old], path => SetMode(path, ForAll));
        var (_, address) = await servers.Start();
        using var client = RealServers.Client(address);
        using var bread = await client.PostAsJsonAsync("/api/breads", new BreadBody("Radish rounds", "", WebKitchen.Squares()), SpecJson.Options);
        using var backup = await client.PostAsync("/api/keeping/backups", null);
        Assert.True(bread.IsSuccessStatusCode && backup.IsSuccessStatusCode);

        Assert.False(Directory.Exists(left));
        var others = UnixFileMode.GroupRead | UnixFileMode.GroupWrite | UnixFileMode.GroupExecute | UnixFileMode.OtherRead | UnixFileMode.OtherWrite | UnixFileMode.OtherExecute;
        foreach (var path in Directory.EnumerateFiles(Folder).Concat(Directory.EnumerateFileSystemEntries(Path.Combine(Folder, "backups"))))
        {
            Assert.True((Mode(path) & others) == 0, path);
        }

        Assert.Equal(("Dear kitchen", ForAll), (await File.ReadAllTextAsync(theirs), Mode(theirs)));

        static UnixFileMode Mode(string path) => OperatingSystem.IsWindows() ? default : File.GetUnixFileMode(path);

        static void SetMode(string path, UnixFileMode mode)
        {
            if (!OperatingSystem.IsWindows())
            {
                File.SetUnixFileMode(path, mode);
            }
        }
    }

    private static async Task WriteUntilCutOff(HttpClient client, ConcurrentBag<string> kept, SemaphoreSlim acknowledged)
    {
        var body = new BreadBody("Radish rounds", "", WebKitchen.Squares());
        try
        {
            while (true)
            {
                using var answer = await client.PostAsJsonAsync("/api/breads", body, SpecJson.Options);
                kept.Add((string)(await answer.Content.ReadFromJsonAsync<JsonNode>())!["id"]!);
                acknowledged.Release();
            }
        }
        catch (HttpRequestException)
        {
            // The server was killed under this hand: that write was never acknowledged.
        }
    }

    private sealed class EndlessContent : HttpContent
    {
        private readonly long length;

        public EndlessContent(long length)
        {
            this.length = length;
            Headers.ContentType = new MediaTypeHeaderValue("application/json");
        }

        protected override async Task SerializeToStreamAsync(Stream stream, TransportContext? context)
        {
            for (var sent = 0L; sent < length; sent += 65_536)
            {
                await stream.WriteAsync(new byte[65_536]);
            }
        }

        protected override bool TryComputeLength(out long computed)
        {
            computed = length;
            return true;
        }
    }
}
