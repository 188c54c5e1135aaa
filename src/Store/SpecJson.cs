using System.Collections;
using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;

namespace Ystrata.Store;

/// <summary>How specs are written, in the store and on the wire alike: camel case, enums by name, a measure as its bare number.</summary>
public static class SpecJson
{
    // One of each for the whole program: options that are alike share what was learned of a type, which takes far longer than to read one.
    private static readonly JsonConverter[] Converters =
        [new MeasureConverterFactory(), new RefusalCodeConverter(), new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false)];

    private static readonly IJsonTypeInfoResolver Checked = new DefaultJsonTypeInfoResolver().WithAddedModifier(Whole);

    public static JsonSerializerOptions Options { get; } = Configure(new(JsonSerializerDefaults.Web));

    // What was looked at when it was kept is not looked at again.
    private static readonly JsonSerializerOptions Kept = Worded(new(JsonSerializerDefaults.Web));

    public static JsonSerializerOptions Configure(JsonSerializerOptions options)
    {
        Worded(options);
        options.TypeInfoResolver = Checked;
        return options;
    }

    private static JsonSerializerOptions Worded(JsonSerializerOptions options)
    {
        Array.ForEach(Converters, options.Converters.Add);
        // Letters of any script as they are: none of this is ever laid into a page's own text.
        options.Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping;
        options.NumberHandling = JsonNumberHandling.Strict;
        options.RespectNullableAnnotations = true;
        options.RespectRequiredConstructorParameters = true;
        options.AllowOutOfOrderMetadataProperties = true;
        return options;
    }

    /// <summary>Whether a number is one that a kitchen can mean: finite, and no smaller than anything that can be weighed.</summary>
    internal static bool IsNumber(double value) => double.IsFinite(value) && (value == 0 || Math.Abs(value) > Smallest);

    // Far below any figure, far above where sums lose their digits.
    private const double Smallest = 1e-100;

    // What the reader itself lets pass and no kitchen can mean: nothing as an entry of a list, and numbers without end.
    private static void Whole(JsonTypeInfo type)
    {
        if (type.Kind != JsonTypeInfoKind.Object)
        {
            return;
        }

        var lists = type.Properties.Where(p => p.Get is not null && ListOf(p.PropertyType) is { IsValueType: false }).ToList();
        var numbers = type.Properties.Where(p => p.Get is not null && (Nullable.GetUnderlyingType(p.PropertyType) ?? p.PropertyType) == typeof(double)).ToList();
        if (lists.Count == 0 && numbers.Count == 0)
        {
            return;
        }

        type.OnDeserialized += read =>
        {
            foreach (var list in lists)
            {
                var at = 0;
                foreach (var item in list.Get!(read) as IEnumerable ?? Array.Empty<object>())
                {
                    at = item is null ? throw new JsonException($"missing required properties including: '{list.Name}[{at}]'") : at + 1;
                }
            }

            foreach (var number in numbers)
            {
                if (number.Get!(read) is double value && !IsNumber(value))
                {
                    throw new JsonException($"no number: '{number.Name}'");
                }
            }
        };
    }

    private static Type? ListOf(Type type) => type.IsGenericType && type.GetGenericTypeDefinition() == typeof(IReadOnlyList<>) ? type.GetGenericArguments()[0] : null;

    public static string Write(BatchSpec spec) => JsonSerializer.Serialize(spec, Options);

    public static BatchSpec Read(string json) => Read<BatchSpec>(json);

    /// <exception cref="JsonException">It is no such thing.</exception>
    internal static T Read<T>(string json)
        where T : class => JsonSerializer.Deserialize<T>(json, Kept) ?? throw new JsonException("nothing");
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
            reader.TokenType == JsonTokenType.Number && reader.GetDouble() is var value && SpecJson.IsNumber(value) ? T.From(value) : throw new JsonException();

        public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options) =>
            writer.WriteNumberValue(value.Value);
    }
}

/// <summary>Writes a <see cref="RefusalCode"/> as its name.</summary>
public sealed class RefusalCodeConverter : JsonConverter<RefusalCode>
{
    public static string NameOf(RefusalCode code) => JsonNamingPolicy.CamelCase.ConvertName(code.Name);

    public override RefusalCode Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        reader.GetString() is { Length: > 0 } name ? RefusalCode.Named(char.ToUpperInvariant(name[0]) + name[1..]) : throw new JsonException();

    public override void Write(Utf8JsonWriter writer, RefusalCode value, JsonSerializerOptions options) => writer.WriteStringValue(NameOf(value));
}
