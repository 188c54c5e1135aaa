using System.Text.Json;
using Microsoft.AspNetCore.Mvc;
using Ystrata.Store;
using Ystrata.Web.Files;

namespace Ystrata.Web.Endpoints;

/// <param name="Of">The flour, vegetable or hand work; empty for what there is one of.</param>
/// <param name="Used">Whether plans use it.</param>
/// <param name="Forget">True to begin it anew from now on, false to count older cookings again; nothing to leave that.</param>
public sealed record LearnedBody(LessonKind Kind, string Of, bool Used, bool? Forget = null);

/// <param name="Version">Of what the cook has said of it, for If-Match; what cookings say of it changes nothing here.</param>
public sealed record LearnedView(LearnedFigure Figure, string Version);

public static class LearnedEndpoints
{
    public static void MapLearned(this RouteGroupBuilder learned)
    {
        learned.MapGet("", Figures).WithName("learned").Produces<IReadOnlyList<LearnedView>>().WithSummary("Every figure the record says something of, in pages: from how many cookings, how spread, before and after.");
        learned.MapPut("", Say).WithName("useLearned").Produces<IReadOnlyList<LearnedView>>().WantsVersion<IReadOnlyList<LearnedView>>().WithSummary("Says whether plans use a figure, or begins it anew.");
    }

    private static IReadOnlyList<LearnedView> All(Record record, CurrentKitchen current) =>
        [.. record.Figures(current.Now).Select(f => new LearnedView(f, record.Said(f.Kind, f.Of).Version))];

    /// <param name="after">Kind and what it is of, of the last figure of the page before: thirst:flour-white.</param>
    private static IResult Figures(HttpContext http, Record record, CurrentKitchen current, string? after = null, int most = Pages.Usual) =>
        Pages.OfAll(http, after, most, All(record, current), v => $"{JsonNamingPolicy.CamelCase.ConvertName(v.Figure.Kind.ToString())}:{v.Figure.Of}", v => v);

    private static IResult Say(LearnedBody body, [FromHeader(Name = Conditions.Header)] string? ifMatch, Record record, CurrentKitchen current, TimeProvider clock)
    {
        if (Conditions.Refuse(ifMatch, out var meant) is { } unsaid)
        {
            return unsaid;
        }

        if (!LearnedFigures.Knows(body.Kind, body.Of, current.Now))
        {
            return Problems.From([new("of", FileRefusals.NotInList, Item: body.Of)])!;
        }

        return current.Learn(() =>
        {
            if (record.Said(body.Kind, body.Of) is var stands && !meant.For(stands.Version))
            {
                return Conditions.Stale(All(record, current), stands.Version);
            }

            record.Use(body.Kind, body.Of, body.Used);
            if (body.Forget is { } forget)
            {
                record.Forget(body.Kind, body.Of, forget ? clock.GetUtcNow() : null);
            }

            return Conditions.Tagged(Results.Ok(All(record, current)), record.Said(body.Kind, body.Of).Version);
        });
    }
}
