using System.Text.Json;
using System.Text.Json.Nodes;
using Ystrata.Core;

namespace Ystrata.Store.Tests;

/// <summary>Events that are read straight say what they say the general way, and are read from whatever that reads.</summary>
public sealed class EventJsonTests
{
    private static IEnumerable<StoveEvent> Some()
    {
        var random = new Random(8);
        T? Maybe<T>(T value)
            where T : struct => random.Next(3) == 0 ? null : value;
        return Enumerable.Range(0, 400).Select(i => new StoveEvent(
            Guid.NewGuid(), new(random.Next(2) == 0 ? random.Next(9000) : random.NextDouble() / 7e5), (StoveAct)(i % Enum.GetValues<StoveAct>().Length), Maybe(random.Next(-2, 4)), Maybe(i), Maybe(int.MaxValue),
            Maybe(7), Maybe((ClockWork)(i % Enum.GetValues<ClockWork>().Length)), Maybe(1e12 * random.NextDouble()), Maybe(Guid.NewGuid())));
    }

    private static StoveEvent? Quick(string json) => JsonSerializer.Deserialize<StoveEvent>(json, SpecJson.Quick);

    [Fact]
    public void What_the_kitchen_writes_is_read_as_it_was() => Assert.All(Some(), e => Assert.Equal(e, Quick(JsonSerializer.Serialize(e, SpecJson.Options))));

    [Fact]
    public void What_others_write_is_read_too() => Assert.All(Some().Take(60), e =>
    {
        var node = JsonSerializer.SerializeToNode(e, SpecJson.Options)!.AsObject();
        // From the end, spaced out, in capitals, with something of their own, without what is not told.
        var other = new JsonObject([KeyValuePair.Create<string, JsonNode?>("theirs", new JsonArray(1, 2)), .. node.Reverse().Where(p => p.Value is not null).Select(p => KeyValuePair.Create(p.Key.ToUpperInvariant(), p.Value?.DeepClone()))]);
        Assert.Equal(e, Quick(other.ToJsonString(new JsonSerializerOptions { WriteIndented = true })));
        Assert.Equal([e, e], JsonSerializer.Deserialize<StoveEvent[]>($"[{other.ToJsonString()},{node.ToJsonString()}]", SpecJson.Quick)!);
    });

    [Theory]
    [InlineData("id", "null")]
    [InlineData("id", "\"7\"")]
    [InlineData("at", "null")]
    [InlineData("at", "\"7\"")]
    [InlineData("act", "null")]
    [InlineData("act", "3")]
    [InlineData("act", "\"juggled\"")]
    [InlineData("pan", "1.5")]
    [InlineData("pan", "99999999999")]
    [InlineData("work", "\"\"")]
    [InlineData("work", "{}")]
    [InlineData("value", "\"\"")]
    [InlineData("undoes", "true")]
    public void What_is_no_event_is_refused_as_ever(string name, string value)
    {
        var node = JsonSerializer.SerializeToNode(Some().First(), SpecJson.Options)!;
        node[name] = JsonNode.Parse(value);
        Assert.Throws<JsonException>(() => JsonSerializer.Deserialize<StoveEvent>(node, SpecJson.Options));
        Assert.Throws<JsonException>(() => Quick(node.ToJsonString()));
        Assert.Throws<JsonException>(() => Quick("[]"));
    }
}
