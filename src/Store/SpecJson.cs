using System.Text;
using System.Text.Json;
using System.Text.Json.Serialization;
using Ystrata.Core;

namespace Ystrata.Store;

/// <summary>How specs are written, in the store and on the wire alike: camel case, enums by name, a measure as its bare number.</summary>
public static class SpecJson
{
    public static JsonSerializerOptions Options { get; } = Configure(new(JsonSerializerDefaults.Web));

    public static JsonSerializerOptions Configure(JsonSerializerOptions options)
    {
        options.Converters.Add(new MeasureConverterFactory());
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false));
        options.NumberHandling = JsonNumberHandling.Strict;
        options.RespectNullableAnnotations = true;
        options.RespectRequiredConstructorParameters = true;
        options.AllowOutOfOrderMetadataProperties = true;
        return options;
    }

    public static string Write(BatchSpec spec) => Encoding.UTF8.GetString(Words(spec).Utf8);

    public static BatchSpec Read(string json) => Read<BatchSpec>(json);

    /// <exception cref="JsonException">It is no such thing.</exception>
    internal static T Read<T>(string json)
        where T : class
    {
        var words = Encoding.UTF8.GetBytes(json);
        return OwnWords.Read<T>(words) ?? JsonSerializer.Deserialize<T>(words, Options) ?? throw new JsonException("nothing");
    }

    /// <summary>How a thing is worded in the store; as it was read, when it was read just so.</summary>
    internal static JsonText Words<T>(T value)
        where T : class => new(WordsKept.Of(value) ?? JsonSerializer.SerializeToUtf8Bytes(value, Options));
}

/// <summary>JSON as the bytes of its text.</summary>
internal readonly record struct JsonText(byte[] Utf8);

/// <summary>Writes every <see cref="IMeasure{TSelf}"/> as its number.</summary>
public sealed class MeasureConverterFactory : JsonConverterFactory
{
    public override bool CanConvert(Type typeToConvert) => IsMeasure(typeToConvert);

    public static bool IsMeasure(Type type) => type.IsValueType && type.GetInterfaces()
        .Any(i => i.IsGenericType && i.GetGenericTypeDefinition() == typeof(IMeasure<>));

    public override JsonConverter CreateConverter(Type typeToConvert, JsonSerializerOptions options) =>
        (JsonConverter)Activator.CreateInstance(typeof(MeasureConverter<>).MakeGenericType(typeToConvert))!;

    private sealed class MeasureConverter<T> : JsonConverter<T>
        where T : struct, IMeasure<T>
    {
        public override T Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
            reader.TokenType == JsonTokenType.Number ? T.From(reader.GetDouble()) : throw new JsonException();

        public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options) =>
            writer.WriteNumberValue(value.Value);
    }
}
