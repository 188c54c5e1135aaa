namespace Ystrata.Web;

/// <summary>The door closed to other sites' pages: they may not write here through the cook's browser.</summary>
public sealed class OwnPagesOnly(RequestDelegate next)
{
    public Task InvokeAsync(HttpContext context)
    {
        if (!FromAnotherSite(context.Request))
        {
            return next(context);
        }

        context.Response.StatusCode = StatusCodes.Status403Forbidden;
        return Task.CompletedTask;
    }

    private static bool FromAnotherSite(HttpRequest request) =>
        !HttpMethods.IsGet(request.Method) && !HttpMethods.IsHead(request.Method)
        && request.Headers["Sec-Fetch-Site"].ToString() is "cross-site" or "same-site";
}
