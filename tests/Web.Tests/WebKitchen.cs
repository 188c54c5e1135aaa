using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Ystrata.Store;

namespace Ystrata.Web.Tests;

/// <summary>The web program over an empty kitchen of its own, called in process.</summary>
public sealed class WebKitchen : WebApplicationFactory<Program>
{
    private readonly string folder = Directory.CreateTempSubdirectory("ystrata-web-").FullName;

    private bool lan;

    /// <summary>A folder with the words of other languages.</summary>
    public string? Words { get; init; }

    /// <summary>One that listens to the network: called in process, nothing comes by the ear of the machine itself, so everybody is a stranger.</summary>
    public static WebKitchen OnTheNetwork() => new() { lan = true };

    /// <summary>80 g balls, a 30 cm sheet with 6 g ghee, letter, letter.</summary>
    public static BatchSpec Squares(params FoldStep[] steps) => new(
        StartSpec.Of(24),
        DoughSpec.Of("flour-white", Feel.Soft, 62, "ghee", 3),
        RestSpec.CoveredFor(0),
        new(BallBy.Mass, new(80), new(2.7)),
        new(new(80), new(2.5)),
        new(new(300), new(40), "ghee", new(6), "flour-white", new(0)),
        new(steps.Length > 0 ? steps : [new LetterStep(), new LetterStep()]),
        new(new(180), new(20)),
        new(new(214), "ghee", new(2.5), Colour.Gold));

    /// <summary>The same as a tree, to be spoilt in one place.</summary>
    public static JsonNode SquaresJson() => JsonSerializer.SerializeToNode(Squares(), SpecJson.Options)!;

    public static async Task<JsonNode> Json(HttpResponseMessage answer) =>
        JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;

    public static JsonContent Body(object body) => JsonContent.Create(body, options: SpecJson.Options);

    /// <summary>What a test changes, it means whatever stands, where it says nothing else.</summary>
    protected override void ConfigureClient(HttpClient client)
    {
        base.ConfigureClient(client);
        client.DefaultRequestHeaders.IfMatch.Add(EntityTagHeaderValue.Any);
        client.DefaultRequestHeaders.Add(OwnPagesOnly.Header, "here");
    }

    protected override void ConfigureWebHost(IWebHostBuilder builder)
    {
        builder.UseSetting("data", folder);
        builder.UseSetting("demo", "false");
        builder.UseSetting("words", Words);
        if (lan)
        {
            builder.UseSetting("lan", "true");
            builder.UseSetting("bind", "127.0.0.1");
        }
    }

    protected override void Dispose(bool disposing)
    {
        base.Dispose(disposing);
        if (disposing && Directory.Exists(folder))
        {
            Directory.Delete(folder, recursive: true);
        }
    }
}
