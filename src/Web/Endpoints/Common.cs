using Microsoft.AspNetCore.Connections.Features;

namespace Ystrata.Web.Endpoints;

internal static class Common
{
    public const int LongestName = 80;
    public const int LongestAbout = 400;
    public const int LongestTag = 24;
    public const int MostTags = 8;

    public static IEnumerable<Refusal> CheckName(string name) => CheckText("name", name, 1, LongestName);

    public static IReadOnlyList<Refusal> Within(Limit limit, double value) =>
        value >= limit.Least && value <= limit.Most ? [] : [new(limit.Field, RefusalCode.OutOfRange, value, limit.Least, limit.Most, limit.Unit)];

    public static IEnumerable<Refusal> CheckText(string field, string text, int least, int most)
    {
        if (text.Trim().Length < least)
        {
            yield return new(field, RefusalCode.Missing);
        }
        else if (text.Length > most)
        {
            yield return new(field, RefusalCode.TooLong, text.Length, least, most);
        }
    }

    /// <summary>A day on which somebody could cook.</summary>
    public static IEnumerable<Refusal> CheckDay(string field, DateTimeOffset day) =>
        day.Year is >= FirstYear and <= LastYear ? [] : [new(field, RefusalCode.OutOfRange, day.Year, FirstYear, LastYear)];

    private const int FirstYear = 1970, LastYear = 2200;

    /// <summary>The refusals of a spec that lies inside a body.</summary>
    public static IEnumerable<Refusal> CheckSpec(BatchSpec spec, Kitchen kitchen) =>
        Planner.Check(spec, kitchen).Refusals.Select(r => r with { Field = $"spec.{r.Field}" });

    /// <summary>A file that is sent as the body; nothing when it is too big.</summary>
    public static async Task<byte[]?> FileOf(HttpRequest request)
    {
        if (request.ContentLength > Problems.MostFileBytes)
        {
            return null;
        }

        using var bytes = new MemoryStream();
        await request.Body.CopyToAsync(bytes, request.HttpContext.RequestAborted);
        return bytes.ToArray();
    }

    public static IResult Found<T>(T? thing) => thing is null ? Results.NotFound() : Results.Ok(thing);

    public static IResult Done(bool done) => done ? Results.NoContent() : Results.NotFound();

    /// <summary>
    /// A stream has no end of its own: it ends with the server, which would wait for it before it stops, and with the connection it goes over. A connection
    /// that breaks behind one answer is not told to the next request on it (Kestrel keeps the token of the first, which nobody cancels any more), so the
    /// connection itself is heard too.
    /// </summary>
    public static void EndsWithItsLine(this HttpContext http, IHostApplicationLifetime life)
    {
        http.Response.RegisterForDispose(life.ApplicationStopping.Register(http.Abort));
        if (http.Features.Get<IConnectionLifetimeFeature>() is { } line)
        {
            var gone = CancellationTokenSource.CreateLinkedTokenSource(http.RequestAborted, line.ConnectionClosed);
            http.Response.RegisterForDispose(gone);
            http.RequestAborted = gone.Token;
        }
    }
}
