using System.Text;
using System.Text.Json;
using System.Text.Json.Serialization;
using Ystrata.Core;

namespace Ystrata.Store;

/// <summary>Reads a stove's events, of which there are hundreds of thousands, straight from their words. What is not worded as this kitchen does it is read the general way.</summary>
internal sealed class EventJson : JsonConverter<StoveEvent>
{
    private static readonly byte[][] Acts = Names<StoveAct>(), Works = Names<ClockWork>();

    public override StoveEvent? Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        var from = reader;
        if (Quick(ref reader) is { } read)
        {
            return read;
        }

        reader = from;
        return JsonSerializer.Deserialize<StoveEvent>(ref reader, SpecJson.Options);
    }

    // Written the general way, which is as quick.
    public override void Write(Utf8JsonWriter writer, StoveEvent value, JsonSerializerOptions options) => JsonSerializer.Serialize(writer, value, SpecJson.Options);

    // Nothing as soon as anything is not worded as the kitchen words it.
    private static StoveEvent? Quick(ref Utf8JsonReader reader)
    {
        Guid id = default, other = default;
        double at = 0, value = 0;
        int act = 0, pan = 0, place = 0, bread = 0, number = 0, work = 0;
        return reader.TokenType == JsonTokenType.StartObject
            && Named(ref reader, "id"u8) && Told(ref reader, ref id) is true
            && Named(ref reader, "at"u8) && Told(ref reader, ref at) is true
            && Named(ref reader, "act"u8) && Told(ref reader, ref act, Acts) is true
            && Named(ref reader, "pan"u8) && Told(ref reader, ref pan) is { } onPan
            && Named(ref reader, "place"u8) && Told(ref reader, ref place) is { } atPlace
            && Named(ref reader, "bread"u8) && Told(ref reader, ref bread) is { } ofBread
            && Named(ref reader, "number"u8) && Told(ref reader, ref number) is { } numbered
            && Named(ref reader, "work"u8) && Told(ref reader, ref work, Works) is { } worked
            && Named(ref reader, "value"u8) && Told(ref reader, ref value) is { } valued
            && Named(ref reader, "undoes"u8) && Told(ref reader, ref other) is { } undoing
            && reader.Read() && reader.TokenType == JsonTokenType.EndObject
            ? new(
                id, new(at), (StoveAct)act, onPan ? pan : null, atPlace ? place : null, ofBread ? bread : null, numbered ? number : null, worked ? (ClockWork)work : null,
                valued ? value : null, undoing ? other : null)
            : null;
    }

    private static bool Named(ref Utf8JsonReader reader, ReadOnlySpan<byte> name) =>
        reader.Read() && reader.TokenType == JsonTokenType.PropertyName && reader.ValueTextEquals(name) && reader.Read();

    // True for a value that fits, false where it says that there is none, nothing for anything else.
    private static bool? Told(ref Utf8JsonReader reader, ref Guid value) => reader.TokenType switch
    {
        JsonTokenType.Null => false,
        JsonTokenType.String when reader.TryGetGuid(out value) => true,
        _ => null,
    };

    private static bool? Told(ref Utf8JsonReader reader, ref double value) => reader.TokenType switch
    {
        JsonTokenType.Null => false,
        JsonTokenType.Number when reader.TryGetDouble(out value) => true,
        _ => null,
    };

    private static bool? Told(ref Utf8JsonReader reader, ref int value) => reader.TokenType switch
    {
        JsonTokenType.Null => false,
        JsonTokenType.Number when reader.TryGetInt32(out value) => true,
        _ => null,
    };

    private static bool? Told(ref Utf8JsonReader reader, ref int value, byte[][] names)
    {
        if (reader.TokenType == JsonTokenType.Null)
        {
            return false;
        }

        for (value = 0; reader.TokenType == JsonTokenType.String && value < names.Length; value++)
        {
            if (reader.ValueTextEquals(names[value]))
            {
                return true;
            }
        }

        return null;
    }

    private static byte[][] Names<T>()
        where T : struct, Enum => [.. Enum.GetNames<T>().Select(n => Encoding.UTF8.GetBytes(JsonNamingPolicy.CamelCase.ConvertName(n)))];
}
