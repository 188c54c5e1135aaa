using System.Text.Json;
using System.Text.Json.Serialization;
using Ystrata.Core;

namespace Ystrata.Store;

/// <summary>How specs are written, in the store and on the wire alike: camel case, enums by name, a measure as its bare number.</summary>
public static class SpecJson
{
    public static JsonSerializerOptions Options { get; } = Configure(new(JsonSerializerDefaults.Web));

    /// <summary>The same words, for much that is read and written at once: specs that were just read or written are known again, and events are read straight.</summary>
    public static JsonSerializerOptions Quick { get; } = new(Options) { Converters = { new SpecMemory(), new EventJson() } };

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

    public static string Write(BatchSpec spec) => JsonSerializer.Serialize(spec, Quick);

    public static BatchSpec Read(string json) =>
        JsonSerializer.Deserialize<BatchSpec>(json, Quick) ?? throw new JsonException("an empty spec");
}

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
