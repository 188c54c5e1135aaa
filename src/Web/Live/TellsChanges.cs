namespace Ystrata.Web.Live;

/// <summary>Marks endpoints whose writes are told to every screen.</summary>
/// <param name="What">Nothing: they change nothing that is kept.</param>
public sealed record Tells(Place? What);

/// <summary>After every write that was taken, tells every screen what was changed.</summary>
public sealed class TellsChanges(RequestDelegate next, Changes changes)
{
    public async Task InvokeAsync(HttpContext context)
    {
        await next(context);
        if (context.GetEndpoint()?.Metadata.GetMetadata<Tells>() is { What: { } place } && !HttpMethods.IsGet(context.Request.Method) && !HttpMethods.IsHead(context.Request.Method) && context.Response.StatusCode is >= 200 and < 300)
        {
            var headers = context.Response.Headers;
            changes.Say(new(place, context.GetRouteValue("id") as string ?? headers.Location.ToString().Split('/')[^1].NullIfEmpty(), headers.ETag.ToString().Trim('"').NullIfEmpty()));
        }
    }
}

internal static class TellsExtensions
{
    public static T Tells<T>(this T endpoints, Place? what)
        where T : IEndpointConventionBuilder => endpoints.WithMetadata(new Tells(what));

    internal static string? NullIfEmpty(this string text) => text.Length == 0 ? null : text;
}
