using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Schema;
using Ystrata.Store;

namespace Ystrata.Web.Files;

/// <summary>A kitchen, or one bread of it, as one JSON document: a head that says what it is, then one record a line.</summary>
public static class KitchenFile
{
    public const string Format = "ystrata-kitchen";
    public const int Version = 1;

    private const string SchemaAt = "/formats/kitchen.schema.json";

    private static readonly Lazy<string> SchemaText = new(MakeSchema);

    /// <summary>What every such file keeps to, as JSON Schema 2020-12.</summary>
    public static string Schema => SchemaText.Value;

    /// <param name="records">Each a line of JSON.</param>
    public static async Task Write(Stream to, IEnumerable<string> records, DateTimeOffset at)
    {
        await using var text = new StreamWriter(to, bufferSize: 1 << 16, leaveOpen: true);
        var head = new JsonObject { ["format"] = Format, ["version"] = Version, ["schema"] = SchemaAt, ["madeAt"] = at.UtcDateTime.ToString("O", CultureInfo.InvariantCulture) };
        await text.WriteAsync(head.ToJsonString().AsMemory(..^1));
        await text.WriteAsync(",\"records\":[");
        var before = "\n";
        foreach (var record in records)
        {
            await text.WriteAsync(before);
            before = ",\n";
            await text.WriteAsync(record);
        }

        await text.WriteAsync("\n]}\n");
    }

    private static string MakeSchema()
    {
        var exporter = new JsonSchemaExporterOptions
        {
            TreatNullObliviousAsNonNullable = true,
            TransformSchemaNode = (context, node) =>
            {
                var type = Nullable.GetUnderlyingType(context.TypeInfo.Type) ?? context.TypeInfo.Type;
                if (!MeasureConverterFactory.IsMeasure(type))
                {
                    return node;
                }

                // A measure is its bare number; its unit stands beside it.
                var number = new JsonArray("number");
                if (context.TypeInfo.Type != type)
                {
                    number.Add("null");
                }

                return new JsonObject
                {
                    ["type"] = number.Count == 1 ? "number" : number,
                    ["description"] = (string?)type.GetProperty("Unit")?.GetValue(null),
                };
            },
        };
        var record = SpecJson.Options.GetJsonSchemaAsNode(typeof(KitchenRecord), exporter);
        // Where a record speaks of itself, it stands among the definitions.
        var text = record.ToJsonString().Replace("\"#/", "\"#/$defs/record/", StringComparison.Ordinal);
        return new JsonObject
        {
            ["$schema"] = "https://json-schema.org/draft/2020-12/schema",
            ["$id"] = SchemaAt,
            ["title"] = "Ystrata kitchen",
            ["type"] = "object",
            ["required"] = new JsonArray("format", "version", "records"),
            ["properties"] = new JsonObject
            {
                ["format"] = new JsonObject { ["const"] = Format },
                ["version"] = new JsonObject { ["const"] = Version },
                ["schema"] = new JsonObject { ["type"] = "string" },
                ["madeAt"] = new JsonObject { ["type"] = "string", ["format"] = "date-time" },
                ["records"] = new JsonObject { ["type"] = "array", ["items"] = new JsonObject { ["$ref"] = "#/$defs/record" } },
            },
            ["$defs"] = new JsonObject { ["record"] = JsonNode.Parse(text) },
        }.ToJsonString(new JsonSerializerOptions { WriteIndented = true });
    }
}
