using Ystrata.Web.Live;

namespace Ystrata.Web;

/// <summary>The headers every answer carries.</summary>
public sealed class Headers(RequestDelegate next)
{
    // Bits UI places floating things with style attributes; scripts and style sheets come from files only.
    private const string ContentSecurityPolicy =
        "default-src 'self'; script-src 'self'; style-src 'self'; style-src-attr 'unsafe-inline'; img-src 'self' data:; "
        + "font-src 'self'; connect-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    // What no page of this program asks a browser for; keeping the screen awake is all it does.
    private const string PermissionsPolicy =
        "accelerometer=(), camera=(), display-capture=(), geolocation=(), gyroscope=(), magnetometer=(), microphone=(), midi=(), payment=(), usb=(), screen-wake-lock=(self)";

    // What a page read by this answer is no older than this change: held against where its line to the kitchen begins, it tells whether one was missed between the two.
    private const string Mark = "X-Ystrata-Mark";

    public Task InvokeAsync(HttpContext context, Changes changes)
    {
        var mark = changes.Mark;
        // At the last moment, since an error answer starts again with no headers.
        context.Response.OnStarting(() =>
        {
            Set(context, mark);
            return Task.CompletedTask;
        });

        return next(context);
    }

    private static void Set(HttpContext context, string mark)
    {
        var headers = context.Response.Headers;
        headers.ContentSecurityPolicy = ContentSecurityPolicy;
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "no-referrer";
        headers["Cross-Origin-Opener-Policy"] = "same-origin";
        headers["Cross-Origin-Resource-Policy"] = "same-origin";
        headers["Permissions-Policy"] = PermissionsPolicy;

        if (context.Request.Path.StartsWithSegments("/api"))
        {
            headers.CacheControl = "no-store";
            headers[Mark] = mark;
        }
        else if (context.Request.Path.StartsWithSegments("/assets") && context.Response.StatusCode is (200 or 304))
        {
            // Vite names these files by their contents.
            headers.CacheControl = "public, max-age=31536000, immutable";
        }
    }
}
