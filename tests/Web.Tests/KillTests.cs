using System.Collections.Concurrent;
using System.Globalization;
using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Ystrata.Web.Tests;

/// <summary>
/// Killed in the middle of a backup, a restore or an import, time after time: every write that was acknowledged is in the kitchen, or, where a restore
/// laid over it, in the backup made before. Once each here; <c>./ystrata bench kill</c> does it fifty times.
/// </summary>
public sealed class KillTests : IDisposable
{
    private static readonly string[] Works = ["backup", "restore", "import"];
    private static readonly int Times = int.Parse(Environment.GetEnvironmentVariable("YSTRATA_KILLS") ?? "1", CultureInfo.InvariantCulture);

    private readonly RealServers servers = new();
    private readonly Random random = new(20261128);

    public void Dispose() => servers.Dispose();

    [Fact]
    public async Task Whatever_it_was_at_nothing_that_was_acknowledged_is_lost()
    {
        var (first, there) = await servers.Start("--demo", "true");
        using var client = RealServers.Client(there);
        var file = Encoding.UTF8.GetBytes(await client.GetStringAsync("/api/files/kitchen"));
        first.Kill();
        await first.WaitForExitAsync();

        for (var round = 0; round < Times * Works.Length; round++)
        {
            var at = Works[round % Works.Length];
            var (server, address) = await servers.Start();
            using var cook = RealServers.Client(address);
            Assert.StartsWith("well", await cook.GetStringAsync("/healthz"), StringComparison.Ordinal);
            Assert.Empty(Directory.Exists(Work) ? Directory.GetFileSystemEntries(Work) : []);

            // One of this round: of those that were made in rounds before, only the newest stay.
            var backup = (string)(await Made(cook))["name"]!;
            var kept = new ConcurrentBag<string>();
            using var begun = new SemaphoreSlim(0);
            using var done = new SemaphoreSlim(0);
            var writing = UntilCutOff(async () =>
            {
                using var answer = await cook.PostAsJsonAsync("/api/breads", new BreadBody("Radish rounds", "", WebKitchen.Squares()), Store.SpecJson.Options);
                Assert.Equal(HttpStatusCode.Created, answer.StatusCode);
                kept.Add((string)(await WebKitchen.Json(answer))["id"]!);
                begun.Release();
            });
            await Once(begun, writing);
            var disturbing = UntilCutOff(async () =>
            {
                await Disturb(cook, at, backup, file);
                done.Release();
            });
            // Once, at least, it comes to its end before it is cut off in the middle.
            if (round < Works.Length)
            {
                await Once(done, disturbing);
            }

            await Task.Delay(random.Next(20, 400));
            server.Kill();
            await Task.WhenAll(writing, disturbing);
            await server.WaitForExitAsync();

            var found = Breads(Path.Combine(servers.Folder, "ystrata.db"));
            foreach (var copy in Directory.GetFiles(Path.Combine(servers.Folder, "backups"), "*.db"))
            {
                found.UnionWith(Breads(copy));
            }

            Assert.Subset(found, kept.ToHashSet());
        }
    }

    // Until that was done once; what went wrong with it is told instead.
    private static async Task Once(SemaphoreSlim done, Task work)
    {
        var waited = done.WaitAsync(RealServers.Patience);
        if (await Task.WhenAny(waited, work) == work)
        {
            await work;
        }

        Assert.True(await waited);
    }

    private string Work => Path.Combine(servers.Folder, "ystrata-work");

    private static async Task Disturb(HttpClient cook, string at, string backup, byte[] file)
    {
        if (at == "backup")
        {
            await Made(cook);
        }
        else if (at == "restore")
        {
            using var answer = await cook.PostAsync($"/api/keeping/backups/{backup}/restore", null);
            Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        }
        else
        {
            using var content = new ByteArrayContent(file) { Headers = { ContentType = new MediaTypeHeaderValue("application/json") } };
            using var read = await cook.PostAsync("/api/files", content);
            var last = JsonNode.Parse((await read.Content.ReadAsStringAsync()).Trim().Split('\n')[^1])!;
            using var taken = await cook.PostAsync($"/api/files/{last["staged"]!["id"]}/take?replace=true", null);
            Assert.Equal(HttpStatusCode.OK, taken.StatusCode);
        }
    }

    private static async Task<JsonNode> Made(HttpClient client)
    {
        using var answer = await client.PostAsync("/api/keeping/backups", null);
        Assert.Equal(HttpStatusCode.Created, answer.StatusCode);
        return await WebKitchen.Json(answer);
    }

    private static async Task UntilCutOff(Func<Task> work)
    {
        try
        {
            while (true)
            {
                await work();
            }
        }
        catch (Exception e) when (e is HttpRequestException or IOException)
        {
            // The server was killed under this hand: that was never acknowledged.
        }
    }

    private static HashSet<string> Breads(string path)
    {
        using var db = new SqliteConnection($"Data Source={path};Pooling=False");
        Assert.Equal("ok", db.ExecuteScalar<string>("pragma integrity_check"));
        return [.. db.Query<string>("select id from bread")];
    }
}
