namespace Ystrata.Core.Tests;

/// <summary>What a mend does to the notes it is offered for.</summary>
internal enum MendDoes
{
    Refused,
    Nothing,
    Lessens,
    Milder,
    Gone,
}

/// <summary>Takes every mend of a plan, plans again, and looks what became of the note.</summary>
internal static class Mended
{
    public static IEnumerable<(Note Note, Mend Mend, MendDoes Does)> Of(BatchSpec spec, Kitchen kitchen)
    {
        if (Planner.Plan(spec, kitchen).Value is not { } before)
        {
            yield break;
        }

        foreach (var note in before.Notes)
        {
            foreach (var mend in note.Mends ?? [])
            {
                yield return (note, mend, Planner.Plan(mend.On(spec), kitchen).Value is { } after ? Does(Alike(before, note), Alike(after, note)) : MendDoes.Refused);
            }
        }
    }

    // Of two steps with the same trouble a mend helps one: all of a kind are looked at together, as steps may change places.
    private static List<Note> Alike(BatchSheet sheet, Note note) => [.. sheet.Notes.Where(n => (n.Code, n.Stage, n.Item) == (note.Code, note.Stage, note.Item))];

    private static MendDoes Does(List<Note> before, List<Note> after) =>
        after.Count < before.Count ? MendDoes.Gone
        : after.Sum(n => (int)n.Severity) < before.Sum(n => (int)n.Severity) ? MendDoes.Milder
        : after.Sum(HowBad) < before.Sum(HowBad) ? MendDoes.Lessens
        : MendDoes.Nothing;

    // How far the figure of a note is from where it should be.
    private static double HowBad(Note note)
    {
        double Figure(QuantityName name) => note.Quantities.First(q => q.Name == name).Value;
        return note.Code switch
        {
            NoteCode.FusedContacts => Figure(QuantityName.Fused),
            NoteCode.PatchyFat => Figure(QuantityName.Patchy),
            NoteCode.FatRunsOut => Figure(QuantityName.Film),
            NoteCode.RingsFused => Figure(QuantityName.Rings) - Figure(QuantityName.Apart),
            NoteCode.FillingWeeps or NoteCode.FillingRollInFlour or NoteCode.FillingLoose => Math.Abs(Figure(QuantityName.Share)),
            NoteCode.HoldCools => Figure(QuantityName.Time) - Figure(QuantityName.Hot),
            // The longer it holds, the better.
            NoteCode.FillingUntil => -Figure(QuantityName.Time),
            _ when FaultRule.All.FirstOrDefault(r => r.Cause == note.Code && r.Against is not null) is { } rule => Math.Abs(Figure(rule.Figure!.Value) - Figure(rule.Against!.Value)),
            _ => note.Quantities.Count > 0 ? Math.Abs(note.Quantities[0].Value) : 0,
        };
    }
}
