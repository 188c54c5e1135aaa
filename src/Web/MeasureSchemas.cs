using System.Text.Json.Nodes;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using Ystrata.Store;
using Ystrata.Web.Files;

namespace Ystrata.Web;

/// <summary>Describes a measure as what it is on the wire, a number in its unit, and a step by its kind.</summary>
public sealed class MeasureSchemas : IOpenApiSchemaTransformer
{
    public Task TransformAsync(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancellationToken)
    {
        var type = context.JsonTypeInfo.Type;
        if (UnitOf(type) is { } unit)
        {
            schema.Type = JsonSchemaType.Number;
            schema.Description = unit;
        }
        else if (context.JsonTypeInfo.ElementType is { } element && UnitOf(element) is { } each)
        {
            schema.Items = new OpenApiSchema { Type = JsonSchemaType.Number, Description = each };
        }
        else if (type == typeof(RefusalCode))
        {
            (schema.Type, schema.Properties, schema.Required) = (JsonSchemaType.String, null, null);
            schema.Enum = [.. FileRefusals.All.Select(c => (JsonNode)RefusalCodeConverter.NameOf(c))];
        }
        else if (type.IsSubclassOf(typeof(FoldStep)) || type.IsSubclassOf(typeof(FillingStep)))
        {
            schema.Type = JsonSchemaType.Object;
            schema.Required ??= new HashSet<string>();
            schema.Required.Add("kind");
        }
        else if (type == typeof(FillingState) || type == typeof(Liquor) || type == typeof(Piece) || type == typeof(BatchSheet))
        {
            // What is worked out from the other figures is always there too.
            schema.Required ??= new HashSet<string>();
            schema.Required.UnionWith(schema.Properties?.Keys ?? []);
        }

        if ((Nullable.GetUnderlyingType(type) ?? type).IsEnum && schema.Enum is { } names)
        {
            // Where nothing may stand in its place, the place says so itself.
            schema.Enum = [.. names.Where(n => n is not null && n.GetValueKind() != System.Text.Json.JsonValueKind.Null)];
        }

        return Task.CompletedTask;
    }

    private static string? UnitOf(Type type)
    {
        var measure = Nullable.GetUnderlyingType(type) ?? type;
        return MeasureConverterFactory.IsMeasure(measure) ? (string?)measure.GetProperty("Unit")?.GetValue(null) : null;
    }
}
