
namespace Ystrata.Web.Endpoints;

public static class PlanEndpoints
{
    public static void MapPlan(this RouteGroupBuilder plan) =>
        plan.MapPost("", Plan).WithName("plan").Produces<BatchSheet>().WithSummary("Works a batch out; keeps nothing.");

    private static IResult Plan(BatchSpec spec, Kitchen kitchen, Counts counts)
    {
        counts.Planned();
        return Problems.Or(Planner.Plan(spec, kitchen));
    }
}
