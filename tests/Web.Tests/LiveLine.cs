using System.Net.ServerSentEvents;
using System.Text.Json.Nodes;

namespace Ystrata.Web.Tests;

/// <summary>One screen's stream of live words.</summary>
internal sealed class LiveLine : IAsyncDisposable
{
    private static readonly TimeSpan Patience = TimeSpan.FromMinutes(1);

    private readonly Stream stream;
    private readonly IAsyncEnumerator<SseItem<string>> words;

    private LiveLine(Stream stream) => (this.stream, words) = (stream, SseParser.Create(stream).EnumerateAsync().GetAsyncEnumerator());

    /// <summary>The number of the last word that has one.</summary>
    public string? Heard { get; private set; }

    /// <param name="wants">As in scale=true.</param>
    public static async Task<LiveLine> On(HttpClient client, string wants = "") => new(await client.GetStreamAsync($"/api/live?{wants}"));

    public async Task<SseItem<string>> Next()
    {
        var there = words.MoveNextAsync().AsTask();
        Assert.True(await there.WaitAsync(Patience), "the line was cut");
        Heard = words.Current.EventId ?? Heard;
        return words.Current;
    }

    /// <summary>The next word of a kind, its data as a tree.</summary>
    public async Task<JsonNode> Next(string kind) => await Until(kind, _ => true);

    public async Task<JsonNode> Until(string kind, Func<JsonNode, bool> enough)
    {
        var patience = DateTime.UtcNow + Patience;
        while (DateTime.UtcNow < patience)
        {
            if (await Next() is { } word && word.EventType == kind && JsonNode.Parse(word.Data)! is var data && enough(data))
            {
                return data;
            }
        }

        throw new InvalidOperationException("it never came to that");
    }

    public async ValueTask DisposeAsync()
    {
        await stream.DisposeAsync();
        try
        {
            await words.DisposeAsync();
        }
        catch (NotSupportedException)
        {
            // A read that was given up is still under way.
        }
    }
}
