using Ystrata.Core;
using Ystrata.Store;

namespace Ystrata.Web.Endpoints;

/// <param name="Of">The flour, vegetable or hand work; empty for what there is one of.</param>
/// <param name="Used">Whether plans use it.</param>
/// <param name="Forget">True to begin it anew from now on, false to count older cookings again; nothing to leave that.</param>
public sealed record LearnedBody(LessonKind Kind, string Of, bool Used, bool? Forget = null);

public static class LearnedEndpoints
{
    public static void MapLearned(this RouteGroupBuilder learned)
    {
        learned.MapGet("", All).WithName("learned").WithSummary("Every figure the record says something of: from how many cookings, how spread, before and after.");
        learned.MapPut("", Say).WithName("useLearned").Produces<IReadOnlyList<LearnedFigure>>().WithSummary("Says whether plans use a figure, or begins it anew.");
    }

    private static IReadOnlyList<LearnedFigure> All(Record record, KitchenLarder kitchen) => record.Figures(kitchen.Now);

    private static IResult Say(LearnedBody body, Record record, KitchenLarder kitchen, TimeProvider clock)
    {
        if (!Learning.Knows(body.Kind, body.Of, kitchen.Now))
        {
            return Problems.From([new("of", RefusalCode.NotInList, Item: body.Of)])!;
        }

        return Results.Ok(kitchen.Learn(() =>
        {
            record.Use(body.Kind, body.Of, body.Used);
            if (body.Forget is { } forget)
            {
                record.Forget(body.Kind, body.Of, forget ? clock.GetUtcNow() : null);
            }

            return record.Figures(kitchen.Now);
        }));
    }
}
