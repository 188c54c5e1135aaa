using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using Ystrata.Core;
using Ystrata.Store;

namespace Ystrata.Web;

/// <summary>Describes a measure as what it is on the wire, a number in its unit, and a fold step by its kind.</summary>
public sealed class MeasureSchemas : IOpenApiSchemaTransformer
{
    public Task TransformAsync(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancellationToken)
    {
        var type = context.JsonTypeInfo.Type;
        var measure = Nullable.GetUnderlyingType(type) ?? type;
        if (MeasureConverterFactory.IsMeasure(measure))
        {
            schema.Type = JsonSchemaType.Number;
            schema.Description = (string?)measure.GetProperty("Unit")?.GetValue(null);
        }
        else if (type.IsSubclassOf(typeof(FoldStep)))
        {
            schema.Type = JsonSchemaType.Object;
            schema.Required ??= new HashSet<string>();
            schema.Required.Add("kind");
        }

        return Task.CompletedTask;
    }
}
