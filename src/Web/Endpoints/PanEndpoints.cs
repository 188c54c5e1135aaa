namespace Ystrata.Web.Endpoints;

/// <summary>The same piece on several pans or flames.</summary>
public sealed record PansBody(BatchSpec Spec, IReadOnlyList<Cookware> Pans);

public static class PanEndpoints
{
    private const int MostPans = 4;

    public static void MapPan(this RouteGroupBuilder pan)
    {
        pan.MapPost("compare", Compare).IsDear().WithName("comparePans").Produces<IReadOnlyList<PanSheet>>().WithSummary("The same piece on up to four pans or flames, each as advised there.");
    }

    private static IResult Compare(PansBody body, Kitchen kitchen)
    {
        List<Refusal> refusals = [.. Common.CheckSpec(body.Spec, kitchen)];
        if (body.Pans.Count is 0 or > MostPans)
        {
            refusals.Add(new("pans", RefusalCode.TooMany, body.Pans.Count, 1, MostPans));
        }

        refusals.AddRange(body.Pans.SelectMany((p, i) => p is null ? [new Refusal($"pans[{i}]", RefusalCode.Missing)] : p.Check($"pans[{i}]")));
        return Problems.From(refusals) ?? Results.Ok<IReadOnlyList<PanSheet>>(
            [.. body.Pans.Select(p => Planner.Plan(body.Spec with { Pan = body.Spec.Pan with { On = p, Own = null } }, kitchen).Value!.Pan)]);
    }
}
