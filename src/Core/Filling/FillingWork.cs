namespace Ystrata.Core.Filling;

/// <summary>A filling through its steps (models.md E); what each does stands in its own file.</summary>
public static class FillingWork
{
    // Heat opens the cells: a cloth then takes this many times as much, and never more than the most (empirical).
    private const double OpenedSqueeze = 1.6, MostSqueeze = 0.65;

    /// <summary>Carries one part, or what was joined, through its steps.</summary>
    /// <param name="start">What there is before the first.</param>
    /// <param name="squeeze">Share of the remaining water a cloth takes.</param>
    public static IReadOnlyList<FillingRow> Through(FillingState start, IReadOnlyList<FillingStep> steps, Percent squeeze, Kitchen kitchen)
    {
        var rows = new List<FillingRow>(steps.Count);
        var (now, opened) = (start, false);
        foreach (var step in steps)
        {
            var was = now.Mass;
            // Weighed before: so much is there, of the same make.
            var scaled = step.Before is { } before && now.Mass.Value > 0 ? now.Times(before / now.Mass) : now;
            var cloth = Math.Min(squeeze.Fraction * (opened ? OpenedSqueeze : 1), Math.Max(MostSqueeze, squeeze.Fraction));
            var planned = step.Work(scaled, new(cloth, kitchen));
            opened |= step.OpensCells;
            var row = step.After is { } after ? step.Weighed(scaled, planned, after) : planned;
            // While it lasts, what salt is in it draws.
            now = row.State.Stood(step.Stands(row));
            rows.Add(row with { State = now, Scrap = row.Scrap + was - scaled.Mass });
        }

        return rows;
    }
}
