namespace Ystrata.Web.Endpoints;

/// <summary>A school to begin a bread from, as it comes out in this kitchen.</summary>
/// <param name="Hands">Of one ball, from sheet to last roll, rests not counted.</param>
/// <param name="Difficulty">1 easy to 5 hard.</param>
public sealed record SchoolView(string Id, BatchSpec Spec, Glance Glance, Seconds Hands, int Difficulty);

public static class SchoolEndpoints
{
    public static void MapSchools(this RouteGroupBuilder schools)
    {
        schools.MapGet("", All).WithName("schools").WithSummary("What a bread can begin from, the plainest first; without those this larder no longer lets be worked.");
        schools.MapPost("{id}/first", First).WithName("firstBatch").Produces<BatchSpec>().WithSummary("A first batch of a school: how many, of what flour, on what pan; keeps nothing.");
        schools.MapPost("{id}/move", Move).WithName("moveToSchool").Produces<BatchSpec>().WithSummary("A batch made the way of another school, with what is the cook's own in it; keeps nothing.");
    }

    private static IReadOnlyList<SchoolView> All(Kitchen kitchen) =>
    [
        .. Schools.All.Select(school => (school, Sheet: Sheets.Of(school.Spec, kitchen))).Where(s => s.Sheet is not null)
            .Select(s => new SchoolView(s.school.Id, s.school.Spec, Glance.Of(s.Sheet)!, s.Sheet!.Fold.Hands, s.Sheet.Fold.Difficulty))
            .OrderBy(s => s.Difficulty).ThenBy(s => s.Hands.Value),
    ];

    private static IResult First(string id, FirstBatch body, Kitchen kitchen) => Of(id, school => SchoolMove.First(school, body, kitchen), AsAsked);

    private static IResult Move(string id, BatchSpec body, Kitchen kitchen) => Of(id, school => SchoolMove.To(body, school, kitchen), r => r);

    private static IResult Of(string id, Func<School, Answer<BatchSpec>> make, Func<Refusal, Refusal> named)
    {
        if (Schools.All.FirstOrDefault(s => s.Id == id) is not { } school)
        {
            return Results.NotFound();
        }

        var made = make(school);
        return Problems.From([.. made.Refusals.Select(named)]) ?? Results.Ok(made.Value);
    }

    // What was asked is refused by its own name.
    private static Refusal AsAsked(Refusal refusal) =>
        refusal.Field.StartsWith("start.pieces", StringComparison.Ordinal) ? refusal with { Field = "pieces" }
        : refusal.Field.StartsWith("dough.flours", StringComparison.Ordinal) ? refusal with { Field = "flour" }
        : refusal;
}
