using Microsoft.AspNetCore.Mvc;
using Ystrata.Core;
using Ystrata.Store;

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
        learned.MapGet("", All).WithName("learned").WithSummary("Every figure the record says something of: from how many cookings, how spread, before and after.");
        learned.MapPut("", Say).WithName("useLearned").Produces<IReadOnlyList<LearnedView>>().WantsVersion<IReadOnlyList<LearnedView>>().WithSummary("Says whether plans use a figure, or begins it anew.");
    }

    private static IReadOnlyList<LearnedView> All(Record record, KitchenLarder kitchen) =>
        [.. record.Figures(kitchen.Now).Select(f => new LearnedView(f, record.Said(f.Kind, f.Of).Version))];

    private static IResult Say(LearnedBody body, [FromHeader(Name = Conditions.Header)] string? ifMatch, Record record, KitchenLarder kitchen, TimeProvider clock)
    {
        if (Conditions.Refuse(ifMatch, out var meant) is { } unsaid)
        {
            return unsaid;
        }

        if (!Learning.Knows(body.Kind, body.Of, kitchen.Now))
        {
            return Problems.From([new("of", RefusalCode.NotInList, Item: body.Of)])!;
        }

        return kitchen.Learn(() =>
        {
            if (record.Said(body.Kind, body.Of) is var stands && !meant.For(stands.Version))
            {
                return Conditions.Stale(All(record, kitchen), stands.Version);
            }

            record.Use(body.Kind, body.Of, body.Used);
            if (body.Forget is { } forget)
            {
                record.Forget(body.Kind, body.Of, forget ? clock.GetUtcNow() : null);
            }

            return Conditions.Tagged(Results.Ok(All(record, kitchen)), record.Said(body.Kind, body.Of).Version);
        });
    }
}
