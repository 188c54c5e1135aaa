using System.IO.Pipelines;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using Ystrata.Core;
using Ystrata.Store;
using Ystrata.Web.Demo;
using Ystrata.Web.Files;

namespace Ystrata.Web.Tests;

/// <summary>A kitchen reads its own file at a glance, and every other wording of it to the same end.</summary>
public sealed class OwnFileTests : IDisposable
{
    private const int Chunk = 1 << 17;

    private readonly WebKitchen kitchen = new();
    private readonly HttpClient client;

    public OwnFileTests()
    {
        client = kitchen.CreateClient();
        kitchen.Services.GetRequiredService<MarrowQuay>().FillIfEmpty();
    }

    public void Dispose()
    {
        client.Dispose();
        kitchen.Dispose();
    }

    private static string Said(KitchenRecord record) => JsonSerializer.Serialize(record, SpecJson.Options);

    private static KitchenRecord General(byte[] json) => JsonSerializer.Deserialize<KitchenRecord>(json, SpecJson.Options)!;

    private async Task<string[]> Lines() => (await client.GetStringAsync("/api/files/kitchen")).Split('\n');

    private async Task<byte[][]> Records() => [.. (await Lines())[1..^2].Select(l => Encoding.UTF8.GetBytes(l.TrimEnd(',')))];

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
    public async Task Every_record_of_a_kitchens_file_is_known_at_a_glance_and_says_the_same()
    {
        var records = await Records();
        Assert.All(records, json => Assert.Equal(Said(General(json)), Said(KitchenRecord.Own(json)!)));
        Assert.Superset(new HashSet<string> { "bread", "batch", "log", "ingredient", "vessel", "units" }, records.Select(r => (string)JsonNode.Parse(r)!["kind"]!).ToHashSet());
    }

    [Fact]
    public async Task A_spoilt_record_is_never_taken_for_another()
    {
        var records = await Records();
        byte[][] some = [.. records.GroupBy(r => Encoding.UTF8.GetString(r, 0, 16)).SelectMany(g => g.Take(4))];
        var random = new Random(20261126);
        var known = 0;
        for (var i = 0; i < 6000; i++)
        {
            var json = Spoilt.Of(some[i % some.Length], random);
            if (KitchenRecord.Own(json) is { } record)
            {
                known++;
                Assert.Equal(Said(General(json)), Said(record));
            }
        }

        // Another letter in a name, another digit in a figure.
        Assert.InRange(known, 50, 3000);
    }

    [Fact]
    public async Task A_record_that_lacks_a_member_or_says_nothing_there_says_what_the_general_reader_says()
    {
        var (known, left) = (0, 0);
        foreach (var json in (await Records()).GroupBy(r => Encoding.UTF8.GetString(r, 0, 16)).SelectMany(g => g.Take(3)))
        {
            var members = Members(JsonNode.Parse(json)!).Count();
            for (var i = 0; i < 2 * members; i++)
            {
                var node = JsonNode.Parse(json)!;
                var (of, name) = Members(node).ElementAt(i / 2);
                if (i % 2 == 0)
                {
                    of.Remove(name);
                }
                else
                {
                    of[name] = null;
                }

                var words = JsonSerializer.SerializeToUtf8Bytes(node);
                if (KitchenRecord.Own(words) is { } record)
                {
                    known++;
                    Assert.Equal(Said(General(words)), Said(record));
                }
                else
                {
                    left++;
                }
            }
        }

        // What may lack or be nothing is some of it, and not most.
        Assert.InRange(known, 100, left);

        static IEnumerable<(JsonObject Of, string Name)> Members(JsonNode? node) => node switch
        {
            JsonObject o => o.Select(p => (o, p.Key)).Concat(o.SelectMany(p => Members(p.Value))).ToList(),
            JsonArray a => a.SelectMany(Members),
            _ => [],
        };
    }

    [Fact]
    public async Task However_its_lines_are_laid_out_it_says_the_same()
    {
        var lines = await Lines();
        var spaced = string.Join("\n\n", lines);
        var narrow = JsonNode.Parse(string.Concat(lines))!;
        var records = Read(string.Join('\n', lines));
        Assert.All(records, r => Assert.NotNull(r.Known));
        Assert.Equal(Enumerable.Range(2, records.Count), records.Select(r => (int)r.Line));
        string[] said = [.. records.Select(r => Said(r.Known!))];
        string[] others =
        [
            string.Concat(lines), string.Join("\r\n", lines), spaced, narrow.ToJsonString(new JsonSerializerOptions { WriteIndented = true }),
            string.Join('\n', lines.Select((l, i) => i % 3 == 1 ? $"  {l}" : l)), string.Join('\n', lines.Select((l, i) => i % 3 == 1 && i > 1 ? l.Replace("\":", "\": ", StringComparison.Ordinal) : l)),
        ];
        foreach (var other in others)
        {
            Assert.Equal(said, Read(other).Select(r => Said(r.Known ?? General(r.Json))));
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
        Assert.Equal((RefusalCode.BrokenFile, at + 1.0), (broken.Refusal.Code, broken.Refusal.Given));
        Assert.Equal(RefusalCode.BrokenFile, Assert.Throws<FileException>(() => Read(string.Join('\n', lines[..at]))).Refusal.Code);
        Assert.Equal(RefusalCode.BrokenFile, Assert.Throws<FileException>(() => Read(string.Join('\n', [.. lines, "and more"]))).Refusal.Code);
    }

    [Fact]
    public async Task A_file_is_read_while_it_still_comes_in()
    {
        await using var file = new ArrivingFile();
        var rest = new TaskCompletionSource();
        var filling = file.Fill(Coming(rest.Task), CancellationToken.None);
        var got = new byte[4];
        Assert.Equal(4, await Task.Run(() => file.Read(got, 0, 4)));
        Assert.False(filling.IsCompleted);

        var more = Task.Run(() => file.CopyToAsync(Stream.Null));
        rest.SetResult();
        await filling;
        await more;
        Assert.Equal(2 * Chunk, file.Position);
        Assert.Equal(0, file.Read(got, 0, 4));
    }

    [Fact]
    public async Task A_file_that_breaks_off_is_not_taken_for_a_whole_one()
    {
        await using var file = new ArrivingFile();
        var rest = new TaskCompletionSource();
        var reading = Task.Run(() => file.CopyToAsync(Stream.Null));
        rest.SetException(new IOException("the line went dead"));
        await Assert.ThrowsAsync<IOException>(() => file.Fill(Coming(rest.Task), CancellationToken.None));
        await Assert.ThrowsAsync<IOException>(() => reading);
    }

    [Fact]
    public async Task A_file_nobody_sends_on_is_left_at_once_and_nothing_of_it_stays()
    {
        using var gone = new CancellationTokenSource();
        await using var file = new ArrivingFile();
        using var staging = new Staging(kitchen.Services.GetRequiredService<Kitchen>());
        var intake = new KitchenIntake(
            file, staging, kitchen.Services.GetRequiredService<KitchenLarder>(), kitchen.Services.GetRequiredService<Breads>(), kitchen.Services.GetRequiredService<Batches>(), kitchen.Services.GetRequiredService<Photos>());
        var reading = intake.Begin(gone.Token);
        var pipe = new Pipe();
        var filling = file.Fill(pipe.Reader.AsStream(), gone.Token);
        await pipe.Writer.WriteAsync(Encoding.UTF8.GetBytes((await Lines())[0]));
        await gone.CancelAsync();
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => filling);
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => reading);
        Assert.Equal(0, intake.Count);
    }

    // One chunk at once, another when it is time, and then no more.
    private static Stream Coming(Task time)
    {
        var pipe = new Pipe(new(pauseWriterThreshold: 0));
        _ = Task.Run(async () =>
        {
            await pipe.Writer.WriteAsync(new byte[Chunk]);
            try
            {
                await time;
                await pipe.Writer.WriteAsync(new byte[Chunk]);
                await pipe.Writer.CompleteAsync();
            }
            catch (IOException e)
            {
                await pipe.Writer.CompleteAsync(e);
            }
        });
        return pipe.Reader.AsStream();
    }
}
