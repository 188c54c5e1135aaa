namespace Ystrata.Core.Faults;

/// <summary>How sure a cause is.</summary>
public enum Sureness
{
    Possible,
    Likely,
    VeryLikely,
}

/// <summary>A cause that this batch's own figures convict.</summary>
/// <param name="Note">The cause with its figures, in the plan's own words.</param>
/// <param name="ByHand">The plan was right: it was made otherwise than planned.</param>
/// <param name="Change">The one change for next time; nothing where none is known or the plan was right.</param>
/// <param name="Next">The batch for next time: the plan with the change laid on it, or the plan as it was.</param>
public sealed record Conviction(Note Note, Sureness Sure, double Score, bool ByHand, Mend? Change, BatchSpec Next);

/// <summary>One symptom and what explains it, the best first; none when nothing in the figures does.</summary>
public sealed record Complaint(Symptom Symptom, IReadOnlyList<Conviction> Causes);

/// <summary>A symptom that the plan's own figures threaten, before anything is cooked.</summary>
/// <param name="Cause">The note that threatens it most.</param>
public sealed record Risk(Symptom Symptom, NoteCode Cause, Sureness Sure);

/// <summary>Models.md I: from symptoms to causes, each convicted by this batch's figures; no evidence, no blame.</summary>
public static class FaultStage
{
    // How much of the score the code alone gives, and how much how far its figure is off (empirical).
    private const double ByCode = 0.6, ByFigure = 0.4;

    // What will go wrong weighs more than what is worth a look (empirical).
    private const double Watched = 0.7;

    // A figure so far off its limit, as a share of the limit, is as far off as counts (empirical).
    private const double FarOff = 0.3;

    private const double VeryLikelyFrom = 0.6, LikelyFrom = 0.35;

    private static readonly ILookup<Symptom, FaultRule> Rules = FaultRule.All.ToLookup(r => r.Symptom);

    /// <param name="spec">As it was kept, with what was told while it was made.</param>
    /// <param name="symptoms">What was found wrong.</param>
    /// <returns>Each symptom once. In a kitchen that no longer lets the batch be worked, nothing is convicted.</returns>
    public static IReadOnlyList<Complaint> Explain(BatchSpec spec, Outcome outcome, IReadOnlyList<Symptom> symptoms, Kitchen kitchen)
    {
        var plan = AsCooked.Untold(spec);
        if (symptoms.Count == 0 || Planner.Plan(plan, kitchen).Value is not { } planned)
        {
            return [.. symptoms.Distinct().Select(s => new Complaint(s, []))];
        }

        var sheet = AsCooked.Of(spec, planned, outcome, kitchen) is { } cooked && cooked.Spec != plan ? Planner.AsItWas(cooked, planned) : planned;
        var plannedCodes = Convicting(planned.Notes).Select(n => n.Code).ToHashSet();
        return [.. symptoms.Distinct().Select(s => new Complaint(s, [.. Causes(s, sheet.Notes)
            .Select(c =>
            {
                var byHand = !plannedCodes.Contains(c.Note.Code);
                var change = byHand ? null : planned.Notes.First(n => n.Code == c.Note.Code).Mends is [var best, ..] ? best : null;
                return new Conviction(c.Note, c.Sure, c.Score, byHand, change, change is null ? plan : change.On(plan));
            })]))];
    }

    /// <summary>What the plan threatens, worst first: the same rules on the plan's own figures. Each symptom with its likeliest cause.</summary>
    /// <param name="notes">Of the plan.</param>
    public static IReadOnlyList<Risk> Ahead(IReadOnlyList<Note> notes) =>
    [
        .. Enum.GetValues<Symptom>().SelectMany(s => Causes(s, notes).Take(1).Select(c => (Symptom: s, Cause: c))).OrderByDescending(r => r.Cause.Score)
            .Select(r => new Risk(r.Symptom, r.Cause.Note.Code, r.Cause.Sure)),
    ];

    private static IEnumerable<(Note Note, Sureness Sure, double Score)> Causes(Symptom symptom, IReadOnlyList<Note> all)
    {
        var notes = Convicting(all).ToLookup(n => n.Code);
        return Rules[symptom]
            .Select(rule => (Rule: rule, Note: notes[rule.Cause].FirstOrDefault()))
            .Where(f => f.Note is not null)
            .Select(f => (Note: f.Note!, Score: ScoreOf(f.Rule, f.Note!)))
            .OrderByDescending(f => f.Score)
            .Select(f => (f.Note, f.Score >= VeryLikelyFrom ? Sureness.VeryLikely : f.Score >= LikelyFrom ? Sureness.Likely : Sureness.Possible, f.Score));
    }

    // What is as it should be convicts nobody.
    private static IEnumerable<Note> Convicting(IReadOnlyList<Note> notes) => notes.Where(n => n.Severity != Severity.Right);

    private static double ScoreOf(FaultRule rule, Note note)
    {
        double? Of(QuantityName? name) => name is null ? null : note.Quantities.FirstOrDefault(q => q.Name == name)?.Value;
        var off = Of(rule.Figure) is { } figure && Of(rule.Against) is { } limit && limit != 0
            ? Math.Clamp(Math.Abs(figure - limit) / (FarOff * Math.Abs(limit)), 0, 1)
            : 0.5;
        return rule.Directness * (note.Severity == Severity.Watch ? Watched : 1) * (ByCode + ByFigure * off);
    }
}
