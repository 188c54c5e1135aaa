
using Ystrata.Web.Files;

namespace Ystrata.Web.Endpoints;

/// <summary>Lists come in pages: where there is more, the answer's Link header says where (RFC 8288, rel="next").</summary>
internal static class Pages
{
    /// <summary>Things on a page, where nothing else is said; and the most that may be said.</summary>
    public const int Usual = 100, Most = 1000;

    /// <param name="after">The last thing of the page before.</param>
    /// <param name="most">As it was asked for.</param>
    /// <param name="from">So many things after that one; nothing when there is no such thing.</param>
    /// <param name="key">What a thing is named by in <paramref name="after"/>.</param>
    public static IResult Of<T, TView>(HttpContext http, string? after, int most, Func<int, IReadOnlyList<T>?> from, Func<T, string> key, Func<T, TView> view)
    {
        if (most is < 1 or > Most)
        {
            return Problems.From([new("most", RefusalCode.OutOfRange, most, 1, Most)])!;
        }

        // One more than is shown says whether there is a next page.
        if (from(most + 1) is not { } found)
        {
            return Problems.From([new("after", FileRefusals.NotInList, Item: after)])!;
        }

        if (found.Count > most)
        {
            http.Response.Headers.Link = $"<{http.Request.Path}?after={Uri.EscapeDataString(key(found[most - 1]))}&most={most}>; rel=\"next\"";
        }

        return Results.Ok<IReadOnlyList<TView>>([.. found.Take(most).Select(view)]);
    }

    /// <summary>The same of a list that is short enough to be all there.</summary>
    public static IResult OfAll<T, TView>(HttpContext http, string? after, int most, IReadOnlyList<T> all, Func<T, string> key, Func<T, TView> view) => Of(
        http,
        after,
        most,
        count => after is null ? all : all.Any(t => key(t) == after) ? [.. all.SkipWhile(t => key(t) != after).Skip(1).Take(count)] : null,
        key,
        view);
}
