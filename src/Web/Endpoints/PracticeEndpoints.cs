using Ystrata.Store;
using Ystrata.Web.Live;

namespace Ystrata.Web.Endpoints;

/// <summary>What was done so far in one round of practice.</summary>
/// <param name="Seed">Which round; the same seed and level are the same pan, bread and flame.</param>
/// <param name="Turns">Seconds after laying, in order.</param>
/// <param name="Lift">When it was lifted; nothing while it lies.</param>
/// <param name="Id">Of a finished round: an id from whoever played it, so that it is kept once.</param>
/// <param name="Level">Nothing for the one the cook has come to.</param>
/// <param name="Guess">What the cook took the empty pan for.</param>
public sealed record PracticeBody(int Seed, IReadOnlyList<int> Turns, int? Lift = null, Guid? Id = null, int? Level = null, Celsius? Guess = null);

/// <summary>A round of practice at the fold.</summary>
/// <param name="Welds">Contacts that were marked, from 0 at the bottom; nothing while the cook still looks.</param>
/// <param name="Id">Of a finished round.</param>
/// <param name="Level">Nothing for the one the cook has come to.</param>
public sealed record FoldPracticeBody(int Seed, IReadOnlyList<int>? Welds = null, Guid? Id = null, int? Level = null);

/// <summary>How far the cook has come at each.</summary>
public sealed record StandingView(PracticeStanding Pan, PracticeStanding Fold);

public static class PracticeEndpoints
{
    private static readonly Limit Guess = new("guess", 60, 400, Celsius.Unit);

    public static void MapPractice(this RouteGroupBuilder practice)
    {
        practice.MapPost("", Play).WithName("practise").Produces<PracticePlay>().WithSummary("A round of practice as far as it has gone; keeps nothing.");
        practice.MapPost("scores", Keep).Tells(Place.Practice).WithName("keepPractice").Produces<PracticeScore>(201).Produces<PracticeScore>().WithSummary("Works a finished round out and keeps its score.");
        practice.MapGet("scores", Newest).WithName("practiceScores").Produces<IReadOnlyList<PracticeScore>>().WithSummary("Rounds played last first, in pages.");
        practice.MapPost("fold", PlayFold).WithName("practiseFold").Produces<FoldPlay>().WithSummary("A folded piece: where will it weld? With what was marked, it is told. Keeps nothing.");
        practice.MapPost("fold/scores", KeepFold).Tells(Place.Practice).WithName("keepFoldPractice").Produces<PracticeScore>(201).Produces<PracticeScore>().WithSummary("Works a finished round at the fold out and keeps its score.");
        practice.MapGet("standing", (PracticeScores scores) => new StandingView(scores.Standing(PracticeKind.Pan), scores.Standing(PracticeKind.Fold))).WithName("practiceStanding")
            .WithSummary("How far the cook has come: the level that is dealt, and what the next one takes.");
    }

    private static IResult Newest(HttpContext http, PracticeScores scores, Guid? after = null, int most = Pages.Usual) =>
        Pages.Of(http, after?.ToString(), most, count => scores.Newest(count, after), s => s.Id.ToString(), s => s);

    private static IResult Play(PracticeBody body, PracticeScores scores) => Problems.From([.. Refused(body)]) ?? Results.Ok(Played(body, scores));

    private static PracticePlay Played(PracticeBody body, PracticeScores scores) =>
        Trainer.Play(body.Seed, body.Level ?? scores.Standing(PracticeKind.Pan).Level, body.Turns, body.Lift, body.Guess);

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

        var play = Played(body, scores);
        var end = play.End!;
        // A half is rounded up, as the page that shows the mark rounds it.
        static int Whole(double mark) => (int)Math.Round(mark, MidpointRounding.AwayFromZero);
        return Kept(scores, new(
            body.Id ?? Guid.CreateVersion7(), body.Seed, clock.GetUtcNow(), Whole(end.Marks.Score), body.Turns, body.Lift!.Value, PracticeKind.Pan, play.Task.Level, end.Heat, Whole(end.Marks.Colour), Whole(end.Marks.Done)));
    }

    private static IResult PlayFold(FoldPracticeBody body, PracticeScores scores) => Problems.From([.. Refused(body)]) ?? Results.Ok(PlayedFold(body, scores));

    private static FoldPlay PlayedFold(FoldPracticeBody body, PracticeScores scores) => FoldTrainer.Play(body.Seed, body.Level ?? scores.Standing(PracticeKind.Fold).Level, body.Welds);

    private static IResult KeepFold(FoldPracticeBody body, PracticeScores scores, TimeProvider clock)
    {
        List<Refusal> refusals = [.. Refused(body)];
        if (body.Welds is null)
        {
            refusals.Add(new("welds", RefusalCode.Missing));
        }

        if (Problems.From(refusals) is { } problem)
        {
            return problem;
        }

        var play = PlayedFold(body, scores);
        return Kept(scores, new(body.Id ?? Guid.CreateVersion7(), body.Seed, clock.GetUtcNow(), play.End!.Score, body.Welds!, 0, PracticeKind.Fold, play.Task.Level));
    }

    // A score is never changed: one by this id is this one, sent again.
    private static IResult Kept(PracticeScores scores, PracticeScore score) => scores.Add(score) ? Results.Created($"/api/practice/scores/{score.Id}", score) : Results.Ok(score);

    private static IEnumerable<Refusal> Level(int? level, int highest)
    {
        if (level is { } l && (l < 1 || l > highest))
        {
            yield return new("level", RefusalCode.OutOfRange, l, 1, highest);
        }
    }

    private static IEnumerable<Refusal> Refused(FoldPracticeBody body)
    {
        foreach (var refusal in Level(body.Level, FoldTrainer.Levels))
        {
            yield return refusal;
        }

        if (body.Welds is { } welds && (welds.Count > FoldTrainer.MostMarks || welds.Any(w => w is < 0 or >= FoldTrainer.MostMarks)))
        {
            yield return new("welds", RefusalCode.TooMany, welds.Count, 0, FoldTrainer.MostMarks);
        }
    }

    private static IEnumerable<Refusal> Refused(PracticeBody body)
    {
        foreach (var refusal in Level(body.Level, Trainer.Levels))
        {
            yield return refusal;
        }

        if (body.Guess is { } guess && !(guess.Value >= Guess.Least && guess.Value <= Guess.Most))
        {
            yield return new(Guess.Field, RefusalCode.OutOfRange, guess.Value, Guess.Least, Guess.Most, Guess.Unit);
        }

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
