using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Ystrata.Instruments.Tests;

namespace Ystrata.Web.Tests;

/// <summary>The real program with a scale and a probe on serial lines instead of the stand-ins.</summary>
public sealed class DevicesTests : IDisposable
{
    private readonly RealServers servers = new();

    public void Dispose() => servers.Dispose();

    [Fact]
    public async Task A_scale_and_a_probe_on_lines_are_heard_by_every_screen_and_gone_when_they_are_pulled_out()
    {
        using PseudoTerminal scale = new(), probe = new();
        var (_, address) = await servers.Start("--scale", scale.Path, "--probe", probe.Path);
        using var client = RealServers.Client(address);
        Assert.False((bool)JsonNode.Parse(await client.GetStringAsync("/api/scale"))!["standIn"]!);
        Assert.False((bool)JsonNode.Parse(await client.GetStringAsync("/api/probe"))!["standIn"]!);
        foreach (var (path, body) in new[] { ("/api/scale/tare", ""), ("/api/scale/stand-in", """{"load":80}"""), ("/api/probe/stand-in", """{"laid":true}""") })
        {
            // Nothing can be done to them from here.
            using var answer = await client.PostAsync(path, new StringContent(body, Encoding.UTF8, "application/json"));
            Assert.Equal(HttpStatusCode.NotFound, answer.StatusCode);
        }

        await using LiveLine first = await LiveLine.On(client, "scale=true&probe=true"), second = await LiveLine.On(client, "scale=true&probe=true");
        await Both("scale", r => (string)r["state"]! == "unplugged");
        await Both("probe", r => (string)r["state"]! == "unplugged");

        scale.Send("\n0 g S\n");
        await Both("scale", r => r["mass"] is { } nothing && (double)nothing == 0);
        scale.Send("79 g D\n82.5 g S\n");
        await Both("scale", r => r["taken"] is { } ball && (double)ball == 82.5);
        probe.Send("\n214.5 C\n");
        await Both("probe", r => r["pan"] is { } heat && (double)heat == 214.5);

        scale.Dispose();
        probe.Dispose();
        await Both("scale", r => (string)r["state"]! == "unplugged");
        await Both("probe", r => (string)r["state"]! == "unplugged");

        async Task Both(string word, Func<JsonNode, bool> enough) => await Task.WhenAll(first.Until(word, enough), second.Until(word, enough));
    }
}
