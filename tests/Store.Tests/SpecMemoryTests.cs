using System.Text;
using System.Text.Json;
using Ystrata.Core;

namespace Ystrata.Store.Tests;

/// <summary>What was just read is not read again, and nothing else is taken for it.</summary>
public sealed class SpecMemoryTests
{
    private static readonly JsonSerializerOptions InPieces = new(SpecJson.Quick) { DefaultBufferSize = 16 };

    private static BatchSpec Wetter(double hydration) => BatchSpec.Plain with { Dough = BatchSpec.Plain.Dough with { Hydration = new(hydration) } };

    private static byte[] Record(BatchSpec spec) => JsonSerializer.SerializeToUtf8Bytes(new BatchRecord(TempKitchen.SomeBatch() with { Spec = spec }), SpecJson.Options);

    private static BatchSpec Read(byte[] json) => JsonSerializer.Deserialize<BatchRecord>(json, SpecJson.Quick)!.Batch.Spec;

    [Fact]
    public void The_same_words_are_the_same_spec_whatever_stands_around_them()
    {
        var spec = Wetter(61.25);
        Assert.Same(Read(Record(spec)), Read(Record(spec)));
        Assert.Same(Read(Record(spec)), SpecJson.Read(SpecJson.Write(spec)));
    }

    [Fact]
    public void Any_other_word_is_another_spec()
    {
        // More of them than it remembers, there and back.
        double[] waters = [.. Enumerable.Range(0, 700).Select(i => 50 + i / 64.0)];
        Assert.All([.. waters, .. waters.Reverse()], water => Assert.Equal(water, Read(Record(Wetter(water))).Dough.Hydration.Value));
    }

    [Fact]
    public void What_is_longer_than_any_spec_should_be_is_read_and_not_remembered()
    {
        var bloated = Encoding.UTF8.GetBytes(Encoding.UTF8.GetString(Record(Wetter(62.5))).Replace("\"dough\":", $"\"theirs\":\"{new string('x', 20_000)}\",\"dough\":", StringComparison.Ordinal));
        Assert.Equal(62.5, Read(bloated).Dough.Hydration.Value);
        Assert.NotSame(Read(bloated), Read(bloated));
    }

    [Fact]
    public void Many_may_read_at_once()
    {
        var records = Enumerable.Range(0, 300).Select(i => (Water: 50 + i / 32.0, Json: Record(Wetter(50 + i / 32.0)))).ToArray();
        Parallel.For(0, 6000, i => Assert.Equal(records[i % 300].Water, Read(records[i % 300].Json).Dough.Hydration.Value));
    }

    [Fact]
    public void What_is_no_spec_is_none_the_second_time_either()
    {
        var broken = Encoding.UTF8.GetBytes(Encoding.UTF8.GetString(Record(Wetter(60.5))).Replace("60.5", "\"wet\"", StringComparison.Ordinal));
        Assert.Throws<JsonException>(() => Read(broken));
        Assert.Throws<JsonException>(() => Read(broken));
        Assert.Throws<JsonException>(() => SpecJson.Read("null"));
        Assert.Throws<JsonException>(() => SpecJson.Read("[]"));
    }

    [Fact]
    public async Task What_comes_in_pieces_is_read_like_any_other()
    {
        var spec = Wetter(63.125);
        using var stream = new MemoryStream(Record(spec));
        var record = await JsonSerializer.DeserializeAsync<BatchRecord>(stream, InPieces);
        Assert.Equal(63.125, record!.Batch.Spec.Dough.Hydration.Value);
    }

    [Fact]
    public void It_is_written_as_ever_the_first_time_and_again()
    {
        BatchSpec[] specs = [.. Enumerable.Range(0, 600).Select(i => Wetter(50 + i / 16.0))];
        Assert.All([.. specs, .. specs, .. specs.Reverse()], spec => Assert.Equal(JsonSerializer.Serialize(spec, SpecJson.Options), SpecJson.Write(spec)));
    }
}
