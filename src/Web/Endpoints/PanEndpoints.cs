using Ystrata.Store;
using Ystrata.Web.Live;

namespace Ystrata.Web.Endpoints;

/// <summary>The same piece on several pans or flames.</summary>
public sealed record PansBody(BatchSpec Spec, IReadOnlyList<Cookware> Pans);

/// <summary>What was done so far in one round of practice.</summary>
/// <param name="Seed">Which round; the same seed is the same pan, bread and flame.</param>
/// <param name="Turns">Seconds after laying, in order.</param>
/// <param name="Lift">When it was lifted; nothing while it lies.</param>
/// <param name="Id">Of a finished round: an id from whoever played it, so that it is kept once.</param>
public sealed record PracticeBody(int Seed, IReadOnlyList<int> Turns, int? Lift = null, Guid? Id = null);

public static class PanEndpoints
{
    private const int MostPans = 4;

    public static void MapPan(this RouteGroupBuilder pan)
    {
        pan.MapPost("compare", Compare).IsDear().WithName("comparePans").Produces<IReadOnlyList<PanSheet>>().WithSummary("The same piece on up to four pans or flames, each as advised there.");
    }

    public static void MapPractice(this RouteGroupBuilder practice)
    {
        practice.MapPost("", Play).WithName("practise").Produces<PracticePlay>().WithSummary("A round of practice as far as it has gone; keeps nothing.");
        practice.MapPost("scores", Keep).Tells(Place.Practice).WithName("keepPractice").Produces<PracticeScore>(201).Produces<PracticeScore>().WithSummary("Works a finished round out and keeps its score.");
        practice.MapGet("scores", Newest).WithName("practiceScores").Produces<IReadOnlyList<PracticeScore>>().WithSummary("Rounds played last first, in pages.");
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

    private static IResult Newest(HttpContext http, PracticeScores scores, Guid? after = null, int most = Pages.Usual) =>
        Pages.Of(http, after?.ToString(), most, count => scores.Newest(count, after), s => s.Id.ToString(), s => s);

    private static IResult Play(PracticeBody body) => Problems.From([.. Refused(body)]) ?? Results.Ok(Trainer.Play(body.Seed, body.Turns, body.Lift));

    private static IResult Keep(PracticeBody body, PracticeScores scores, TimeProvider clock)
    {
        List<Refusal> refusals = [.. Refused(body)];
        if (body.Lift is null)
        {
            refusals.Add(new("lift", RefusalCode.Missing));
        }

        if (Problems.From(refusals) is { } problem)
        {
            return problem;
        }

        var end = Trainer.Play(body.Seed, body.Turns, body.Lift).End!;
        var score = new PracticeScore(body.Id ?? Guid.CreateVersion7(), body.Seed, clock.GetUtcNow(), end.Score, body.Turns, body.Lift!.Value);
        // A score is never changed: one by this id is this one, sent again.
        return scores.Add(score) ? Results.Created($"/api/practice/scores/{score.Id}", score) : Results.Ok(score);
    }

    private static IEnumerable<Refusal> Refused(PracticeBody body)
    {
        if (body.Turns.Count > Trainer.MostTurns)
        {
            yield return new("turns", RefusalCode.TooMany, body.Turns.Count, 0, Trainer.MostTurns);
            yield break;
        }

        var before = 0;
        foreach (var (at, field) in body.Turns.Select((t, i) => (t, $"turns[{i}]")).Concat(body.Lift is { } lift ? [(lift, "lift")] : []))
        {
            // Each comes after the one before, and nobody waits for ever.
            if (at <= before || at - before > Trainer.Longest)
            {
                yield return new(field, RefusalCode.OutOfRange, at, before + 1, before + Trainer.Longest, Seconds.Unit);
                yield break;
            }

            before = at;
        }
    }
}
