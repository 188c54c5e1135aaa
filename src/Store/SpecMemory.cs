using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;
using System.Text.Json;
using System.Text.Json.Serialization;
using Ystrata.Core;

namespace Ystrata.Store;

/// <summary>Remembers the specs that were read and written last: a cooking's batch, service and log line carry the same one, word for word. A spec never changes, so all may share it.</summary>
internal sealed class SpecMemory : JsonConverter<BatchSpec>
{
    // So many, none longer than this: most have some 1500 bytes.
    private const int Most = 256, Longest = 16_384;

    private readonly Known?[] known = new Known?[Most], written = new Known?[Most];

    public override BatchSpec? Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        // What comes in pieces has a place in them.
        if (reader.TokenType != JsonTokenType.StartObject || reader.Position.GetObject() is not null)
        {
            return JsonSerializer.Deserialize<BatchSpec>(ref reader, SpecJson.Options);
        }

        var words = Words(ref reader);
        var hash = new HashCode();
        hash.AddBytes(words);
        ref var place = ref known[(uint)hash.ToHashCode() % Most];
        if (place is { } here && words.SequenceEqual(here.Words))
        {
            return here.Spec;
        }

        if (JsonSerializer.Deserialize<BatchSpec>(words, SpecJson.Options) is not { } spec)
        {
            return null;
        }

        if (words.Length <= Longest)
        {
            // Readers side by side may overwrite each other here, which costs a reading and nothing else.
            place = new(words.ToArray(), spec);
        }

        return spec;
    }

    public override void Write(Utf8JsonWriter writer, BatchSpec value, JsonSerializerOptions options)
    {
        ref var place = ref written[(uint)RuntimeHelpers.GetHashCode(value) % Most];
        var here = place;
        if (!ReferenceEquals(here?.Spec, value))
        {
            here = new(JsonSerializer.SerializeToUtf8Bytes(value, SpecJson.Options), value);
            if (here.Words.Length <= Longest)
            {
                place = here;
            }
        }

        writer.WriteRawValue(here!.Words, skipInputValidation: true);
    }

    // The whole object the reader stands at, whose bytes lie in one piece; it stands at its end then.
    private static ReadOnlySpan<byte> Words(ref Utf8JsonReader reader)
    {
        // The brace lies where the rest of the object does: the reader's own bytes, as far as it has just read them.
        ref var brace = ref MemoryMarshal.GetReference(reader.ValueSpan);
        var from = reader.TokenStartIndex;
        reader.Skip();
        return MemoryMarshal.CreateReadOnlySpan(ref brace, (int)(reader.BytesConsumed - from));
    }

    private sealed record Known(byte[] Words, BatchSpec Spec);
}
