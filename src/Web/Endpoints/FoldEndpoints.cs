
using Ystrata.Web.Files;

namespace Ystrata.Web.Endpoints;

/// <summary>What to put the same ball through.</summary>
/// <param name="Schools">Ids of fold schools; each gets a sheet and fats of its own for this ball.</param>
/// <param name="Programs">Others, such as the batch's own.</param>
public sealed record CompareBody(BatchSpec Spec, IReadOnlyList<string> Schools, IReadOnlyList<FoldProgram> Programs);

/// <summary>A bread that is wanted, and the batch whose dough, fat and rest it would have.</summary>
public sealed record ReverseBody(BatchSpec Spec, WantedLeaves Wanted);

/// <summary>One kind of hand work and its times.</summary>
/// <param name="Own">What the cook has timed; nothing where the usual time counts.</param>
/// <param name="Limit">What an own time may be.</param>
public sealed record HandTime(HandWork Work, Seconds Usual, Seconds? Own, Limit Limit)
{
    public static IReadOnlyList<HandTime> Of(Kitchen kitchen) =>
        [.. HandTimes.Usual.Select(u => new HandTime(u.Key, u.Value, kitchen.Hands.Own.TryGetValue(u.Key, out var own) ? own : null, Range))];

    internal static readonly Limit Range = new("time", HandTimes.Least.Value, HandTimes.Most.Value, Seconds.Unit);
}

/// <param name="Time">Nothing goes back to the usual.</param>
public sealed record HandTimeBody(HandWork Work, Seconds? Time);

public static class FoldEndpoints
{
    public static void MapCompare(this RouteGroupBuilder compare) =>
        compare.MapPost("", Compare).IsDear().WithName("compare").Produces<IReadOnlyList<ComparedProgram>>().WithSummary("The same ball through up to six programs.");

    public static void MapReverse(this RouteGroupBuilder reverse) =>
        reverse.MapPost("", Find).IsDear().WithName("reverse").Produces<IReadOnlyList<FoundProgram>>().WithSummary("Programs that make about so many leaves, least hand time first.");

    public static void MapHands(this RouteGroupBuilder hands)
    {
        hands.MapGet("", (CurrentKitchen current) => HandTime.Of(current.Now)).WithName("handTimes").WithSummary("How long the hands take, each kind of work.");
        hands.MapPut("", Change).WithName("changeHandTime").Produces<IReadOnlyList<HandTime>>();
    }

    private static IResult Compare(CompareBody body, Kitchen kitchen)
    {
        var batch = Planner.Check(body.Spec, kitchen);
        List<Refusal> refusals = [.. batch.Refusals.Select(r => r with { Field = $"spec.{r.Field}" })];
        var count = body.Schools.Count + body.Programs.Count;
        if (count > Core.Lamination.Compare.Most)
        {
            refusals.Add(new("schools", RefusalCode.TooMany, count, 1, Core.Lamination.Compare.Most));
        }

        refusals.AddRange(body.Schools.Select((id, i) => (id, i)).Where(s => !FoldPrograms.Ids.Contains(s.id))
            .Select(s => new Refusal($"schools[{s.i}]", FileRefusals.NotInList, Item: s.id)));
        if (refusals.Count == 0)
        {
            refusals.AddRange(body.Programs.SelectMany((p, i) => Planner.Check(body.Spec with { Sheet = p.Sheet, Fold = p.Fold }, kitchen).Refusals
                .Select(r => r with { Field = $"programs[{i}].{r.Field}" })));
        }

        if (Problems.From(refusals) is { } problem)
        {
            return problem;
        }

        var compare = new Compare(batch.Value!);
        return Results.Ok<IReadOnlyList<ComparedProgram>>([.. compare.Of(body.Programs), .. compare.OfSchools(body.Schools)]);
    }

    private static IResult Find(ReverseBody body, Kitchen kitchen)
    {
        var batch = Planner.Check(body.Spec, kitchen);
        return Problems.From([.. batch.Refusals.Select(r => r with { Field = $"spec.{r.Field}" }), .. body.Wanted.Check()])
            ?? Results.Ok(Reverse.Find(body.Wanted, new(batch.Value!)));
    }

    private static IResult Change(HandTimeBody body, CurrentKitchen current)
    {
        if (body.Time is { } time && !(time.Value >= HandTime.Range.Least && time.Value <= HandTime.Range.Most))
        {
            return Problems.From([new("time", RefusalCode.OutOfRange, time.Value, HandTime.Range.Least, HandTime.Range.Most, HandTime.Range.Unit)])!;
        }

        current.Change((pantry, at) => pantry.Keep(body.Work, body.Time, at));
        return Results.Ok(HandTime.Of(current.Now));
    }
}
