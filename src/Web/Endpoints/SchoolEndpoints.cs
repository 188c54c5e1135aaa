namespace Ystrata.Web.Endpoints;

/// <summary>A school to begin a bread from, as it comes out in this kitchen.</summary>
/// <param name="Hands">Of one ball, from sheet to last roll, rests not counted.</param>
/// <param name="Difficulty">1 easy to 5 hard.</param>
public sealed record SchoolView(string Id, BatchSpec Spec, Glance Glance, Seconds Hands, int Difficulty);

public static class SchoolEndpoints
{
    public static void MapSchools(this RouteGroupBuilder schools) =>
        schools.MapGet("", All).WithName("schools").WithSummary("What a bread can begin from, the plainest first; without those this larder no longer lets be worked.");

    private static IReadOnlyList<SchoolView> All(Kitchen kitchen) =>
    [
        .. Schools.All.Select(school => (school, Sheet: Sheets.Of(school.Spec, kitchen))).Where(s => s.Sheet is not null)
            .Select(s => new SchoolView(s.school.Id, s.school.Spec, Glance.Of(s.Sheet)!, s.Sheet!.Fold.Hands, s.Sheet.Fold.Difficulty))
            .OrderBy(s => s.Difficulty).ThenBy(s => s.Hands.Value),
    ];
}
