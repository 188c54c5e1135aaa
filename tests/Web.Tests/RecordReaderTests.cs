using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using Ystrata.Store;
using Ystrata.Web.Demo;
using Ystrata.Web.Files;

namespace Ystrata.Web.Tests;

/// <summary>A kitchen's file is taken apart record by record, however it is laid out, and where it is broken the line is told.</summary>
public sealed class RecordReaderTests : IDisposable
{
    private readonly WebKitchen kitchen = new();
    private readonly HttpClient client;

    public RecordReaderTests()
    {
        client = kitchen.CreateClient();
        kitchen.Services.GetRequiredService<DemoKitchen>().FillIfEmpty();
    }

    public void Dispose()
    {
        client.Dispose();
        kitchen.Dispose();
    }

    private static string Said(KitchenRecord record) => JsonSerializer.Serialize(record, SpecJson.Options);

    private static KitchenRecord General(byte[] json) => JsonSerializer.Deserialize<KitchenRecord>(json, SpecJson.Options)!;

    private async Task<string[]> Lines() => (await client.GetStringAsync("/api/files/kitchen")).Split('\n');

    private static List<FileRecord> Read(string file)
    {
        var reader = new RecordReader(new MemoryStream(Encoding.UTF8.GetBytes(file)));
        reader.Open();
        var records = new List<FileRecord>();
        while (reader.Next() is { } record)
        {
            records.Add(record);
        }

        return records;
    }

    [Fact]
    public async Task However_its_lines_are_laid_out_it_says_the_same()
    {
        var lines = await Lines();
        var spaced = string.Join("\n\n", lines);
        var narrow = JsonNode.Parse(string.Concat(lines))!;
        var records = Read(string.Join('\n', lines));
        Assert.Equal(Enumerable.Range(2, records.Count), records.Select(r => (int)r.Line));
        string[] said = [.. records.Select(r => Said(General(r.Json)))];
        string[] others =
        [
            string.Concat(lines), string.Join("\r\n", lines), spaced, narrow.ToJsonString(new JsonSerializerOptions { WriteIndented = true }),
            string.Join('\n', lines.Select((l, i) => i % 3 == 1 ? $"  {l}" : l)), string.Join('\n', lines.Select((l, i) => i % 3 == 1 && i > 1 ? l.Replace("\":", "\": ", StringComparison.Ordinal) : l)),
        ];
        foreach (var other in others)
        {
            Assert.Equal(said, Read(other).Select(r => Said(General(r.Json))));
        }

        Assert.Equal(records.Select(r => (2 * r.Line) - 1), Read(spaced).Select(r => r.Line));
    }

    [Fact]
    public async Task Where_it_breaks_after_much_that_was_sound_the_line_is_told()
    {
        var lines = await Lines();
        var at = lines.Length / 2;
        lines[at] = lines[at].Replace("\"kind\"", "\"kind", StringComparison.Ordinal);
        var broken = Assert.Throws<FileException>(() => Read(string.Join('\n', lines)));
        Assert.Equal((FileRefusals.BrokenFile, at + 1.0), (broken.Refusal.Code, broken.Refusal.Given));
        Assert.Equal(FileRefusals.BrokenFile, Assert.Throws<FileException>(() => Read(string.Join('\n', lines[..at]))).Refusal.Code);
        Assert.Equal(FileRefusals.BrokenFile, Assert.Throws<FileException>(() => Read(string.Join('\n', [.. lines, "and more"]))).Refusal.Code);
    }
}
