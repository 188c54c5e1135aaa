namespace Ystrata.Core.Filling;

/// <summary>A filling through its steps (models.md E); what each does stands in its own file.</summary>
public static class FillingWork
{
    // Heat opens the cells: a cloth then takes this many times as much, and never more than the most (empirical).
    private const double OpenedSqueeze = 1.6, MostSqueeze = 0.65;

    /// <summary>Carries one part, or what was joined, through its steps.</summary>
    /// <param name="start">What there is before the first.</param>
    /// <param name="draw">Share of its water that salt draws at 1.5 %.</param>
    /// <param name="squeeze">Share of the remaining water a cloth takes.</param>
    public static IReadOnlyList<FillingRow> Through(FillingState start, IReadOnlyList<FillingStep> steps, Percent draw, Percent squeeze, Kitchen kitchen)
    {
        var rows = new List<FillingRow>(steps.Count);
        var (now, grated, opened) = (start, false, false);
        foreach (var step in steps)
        {
            // Weighed before: so much is there, of the same make.
            var scaled = step.Before is { } before && now.Mass.Value > 0 ? now.Times(before / now.Mass) : now;
            var cloth = Math.Min(squeeze.Fraction * (opened ? OpenedSqueeze : 1), Math.Max(MostSqueeze, squeeze.Fraction));
            var planned = step.Work(scaled, new(draw.Fraction, cloth, grated, kitchen));
            grated |= step.Grates;
            opened |= step.OpensCells;
            var row = step.After is { } after ? step.Weighed(scaled, planned, after) : planned;
            rows.Add(row with { Scrap = row.Scrap + now.Mass - scaled.Mass });
            now = row.State;
        }

        return rows;
    }
}
