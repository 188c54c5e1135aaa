using Microsoft.AspNetCore.Mvc;
using Microsoft.Net.Http.Headers;
using Ystrata.Store;

namespace Ystrata.Web.Endpoints;

/// <summary>A change that was meant for something else than what stands, or a new thing by an id that is taken.</summary>
public sealed class StaleProblem<T> : ProblemDetails
    where T : class
{
    /// <summary>What stands now; nothing when it lies in the trash.</summary>
    public T? Now { get; init; }
}

/// <summary>Versions on the wire (RFC 9110, 13): every answer about one thing carries its ETag, a change and a delete say by If-Match which one they are meant for.</summary>
internal static class Conditions
{
    public const string Header = "If-Match";

    private const string Title = "Changed elsewhere";

    /// <summary>Marks an endpoint that changes or deletes one thing.</summary>
    public static RouteHandlerBuilder WantsVersion<TView>(this RouteHandlerBuilder endpoint)
        where TView : class => endpoint.Produces<StaleProblem<TView>>(412, Problems.ContentType).ProducesProblem(428);

    /// <summary>Marks an endpoint that makes one thing, with an id from whoever asks.</summary>
    public static RouteHandlerBuilder CountsOnce<TView>(this RouteHandlerBuilder endpoint)
        where TView : class => endpoint.Produces<TView>(201).Produces<TView>().Produces<StaleProblem<TView>>(409, Problems.ContentType);

    /// <summary>What is wrong with an If-Match; nothing when it names versions.</summary>
    /// <param name="ifMatch">As it was sent.</param>
    public static IResult? Refuse(string? ifMatch, out Meant meant)
    {
        meant = Meant.Whatever;
        if (string.IsNullOrWhiteSpace(ifMatch))
        {
            return Results.Problem(
                "Say which version is meant: send the ETag it came with as If-Match, or * for whatever stands.", statusCode: StatusCodes.Status428PreconditionRequired, title: "Not taken");
        }

        if (!EntityTagHeaderValue.TryParseStrictList([ifMatch], out var tags))
        {
            return Results.Problem("If-Match has to be an ETag as it came, in its quotes, or *.", statusCode: StatusCodes.Status400BadRequest, title: "Not taken");
        }

        // A weak one never matches (RFC 9110, 13.1.1).
        meant = tags.Any(t => t == EntityTagHeaderValue.Any) ? Meant.Whatever : new([.. tags.Where(t => !t.IsWeak).Select(t => t.Tag.ToString().Trim('"'))]);
        return null;
    }

    /// <summary>200 with what stands now, 412 with what stands instead, or 404.</summary>
    public static IResult Changed<T, TView>(Kept<T> kept, Func<T, TView> view, Func<T, string> version)
        where T : class
        where TView : class =>
        kept.Now is not { } now ? Results.NotFound() : kept.Done ? Tagged(Results.Ok(view(now)), version(now)) : Stale(view(now), version(now));

    /// <summary>204, 412 with what stands instead, or 404.</summary>
    public static IResult Deleted<T, TView>(Kept<T> kept, Func<T, TView> view, Func<T, string> version)
        where T : class
        where TView : class =>
        kept.Now is not { } now ? Results.NotFound() : kept.Done ? Results.NoContent() : Stale(view(now), version(now));

    public static IResult Stale<TView>(TView now, string version)
        where TView : class =>
        Tagged(Problem(412, "It was changed on another screen meanwhile. What stands now is in this answer.", now), version);

    /// <summary>A new thing by an id that is there already: the same thing sent again counts once; another one is refused.</summary>
    /// <param name="stands">What is there by that id; nothing when it lies in the trash.</param>
    public static IResult Again<T, TView>(T? stands, string sent, Func<T, TView> view, Func<T, string> version)
        where T : class
        where TView : class =>
        stands is null ? Problem<TView>(409, "There was something by this id, and it was deleted.", null)
        : version(stands) == sent ? Tagged(Results.Ok(view(stands)), sent)
        : Tagged(Problem(409, "There is something else by this id already. Change that one.", view(stands)), version(stands));

    /// <summary>Puts the version beside an answer.</summary>
    public static IResult Tagged(IResult answer, string version) => new TaggedResult(answer, version);

    private static IResult Problem<TView>(int status, string detail, TView? now)
        where TView : class =>
        Problems.Answer(new StaleProblem<TView> { Status = status, Title = Title, Detail = detail, Now = now });

    private sealed class TaggedResult(IResult answer, string version) : IResult
    {
        public Task ExecuteAsync(HttpContext httpContext)
        {
            httpContext.Response.Headers.ETag = $"\"{version}\"";
            return answer.ExecuteAsync(httpContext);
        }
    }
}
