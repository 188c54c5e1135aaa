using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.AspNetCore.Mvc;
using Microsoft.Extensions.Primitives;
using Ystrata.Web.Door;

namespace Ystrata.Web;

/// <summary>
/// The door closed to other sites' pages: they may not write here through the cook's browser. A write has to come from a page of this very address,
/// where the browser says from which, and to carry the program's own header, which no page of another site can add; for a screen of the network
/// that header is the token its page was given. And what comes by the ear of the machine itself through a proxy is the whole world's: it is refused.
/// </summary>
internal sealed class OwnPagesOnly(RequestDelegate next, Settings settings, IAntiforgery tokens)
{
    /// <summary>On this machine it may say anything.</summary>
    public const string Header = "X-Ystrata";

    private static readonly string[] Forwarded = ["X-Forwarded-For", "Forwarded", "Via"];

    public async Task InvokeAsync(HttpContext context)
    {
        var request = context.Request;
        if (WhoMay.IsMachine(context, settings) && Forwarded.Any(request.Headers.ContainsKey))
        {
            await Refuse(context, "This came through a proxy, by the way that is for this machine alone. Start the program with --lan and --proxy, and have the proxy ask by the port of the network.");
            return;
        }

        var writes = !HttpMethods.IsGet(request.Method) && !HttpMethods.IsHead(request.Method) && !HttpMethods.IsOptions(request.Method);
        if (writes && (FromAnotherSite(request) || !await IsMeant(context)))
        {
            await Refuse(context, "A page of another site asked for this, or one that is no longer this kitchen's. Only Ystrata's own pages may: what they send has the header X-Ystrata.");
            return;
        }

        // What says nothing of its kind is taken for none: a kind that is not taken is refused where it would have gone.
        if (writes && request.ContentType is null && context.Features.Get<IHttpRequestBodyDetectionFeature>() is { CanHaveBody: true })
        {
            context.Response.StatusCode = StatusCodes.Status415UnsupportedMediaType;
            return;
        }

        await next(context);
    }

    /// <summary>What does not come from where it may.</summary>
    public static Task Refuse(HttpContext http, string why) =>
        Problems.Answer(new ProblemDetails { Status = StatusCodes.Status403Forbidden, Title = "Not from here", Detail = why }).ExecuteAsync(http);

    private static bool FromAnotherSite(HttpRequest request) =>
        request.Headers["Sec-Fetch-Site"].ToString() is "cross-site" or "same-site"
        || (!StringValues.IsNullOrEmpty(request.Headers.Origin) && !IsOwn(request.Headers.Origin.ToString(), request))
        || (!StringValues.IsNullOrEmpty(request.Headers.Referer) && !IsOwn(request.Headers.Referer.ToString(), request));

    // "null", which a page without an address of its own says, is nobody's.
    private static bool IsOwn(string page, HttpRequest request) =>
        Uri.TryCreate(page, UriKind.Absolute, out var from)
        && string.Equals(from.Scheme, request.Scheme, StringComparison.OrdinalIgnoreCase)
        && string.Equals(from.Authority, request.Host.Value, StringComparison.OrdinalIgnoreCase);

    private async ValueTask<bool> IsMeant(HttpContext http) =>
        !StringValues.IsNullOrEmpty(http.Request.Headers[Header]) && (WhoMay.IsMachine(http, settings) || await tokens.IsRequestValidAsync(http));
}
