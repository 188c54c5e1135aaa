using System.Runtime.InteropServices;
using System.Text.Json;
using System.Text.Json.Serialization;
using Ystrata.Core;

namespace Ystrata.Store;

/// <summary>Remembers the specs that were read last: a cooking's batch, service and log line carry the same one, word for word. A spec never changes, so all may share it.</summary>
internal sealed class SpecMemory : JsonConverter<BatchSpec>
{
    private const int Most = 256;

    private readonly Known?[] known = new Known?[Most];

    public override BatchSpec? Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        if (Words(reader) is not { IsEmpty: false } words)
        {
            return JsonSerializer.Deserialize<BatchSpec>(ref reader, SpecJson.Options);
        }

        var hash = new HashCode();
        hash.AddBytes(words);
        ref var place = ref known[(uint)hash.ToHashCode() % Most];
        if (place is { } here && words.SequenceEqual(here.Words))
        {
            reader.Skip();
            return here.Spec;
        }

        if (JsonSerializer.Deserialize<BatchSpec>(ref reader, SpecJson.Options) is not { } spec)
        {
            return null;
        }

        // Readers side by side may overwrite each other here, which costs a reading and nothing else.
        place = new(words.ToArray(), spec);
        return spec;
    }

    public override void Write(Utf8JsonWriter writer, BatchSpec value, JsonSerializerOptions options) => JsonSerializer.Serialize(writer, value, SpecJson.Options);

    // The whole object the reader stands at; nothing when its bytes do not lie in one piece.
    private static ReadOnlySpan<byte> Words(Utf8JsonReader reader)
    {
        // What comes in pieces has a place in them.
        if (reader.TokenType != JsonTokenType.StartObject || reader.Position.GetObject() is not null)
        {
            return default;
        }

        // The brace lies where the rest of the object does: the reader's own bytes, as far as it has just read them.
        ref var brace = ref MemoryMarshal.GetReference(reader.ValueSpan);
        var from = reader.TokenStartIndex;
        reader.Skip();
        return MemoryMarshal.CreateReadOnlySpan(ref brace, (int)(reader.BytesConsumed - from));
    }

    private sealed record Known(byte[] Words, BatchSpec Spec);
}
