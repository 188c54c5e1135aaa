namespace Ystrata.Core.Lamination;

/// <summary>The smallest changes that keep leaves apart, each tried out on the program itself.</summary>
internal sealed class FoldMends(CheckedBatch batch)
{
    // A brush weighs out no finer than this; more than so much at once is another recipe.
    private const double Grain = 0.5, Most = 15;
    private const int MostFaults = 2;

    private readonly BatchSpec spec = batch.Spec;
    private readonly Form bare = Form.Sheet(batch.Dough.Ball, batch.Spec.Sheet.Diameter, batch.Route.DensityOf(batch.Dough.Bowl, batch.Dough.Actual), batch.Spec.Sheet.Width);

    /// <param name="poorest">Which contacts count as a fault: fused ones only, or patchy ones too.</param>
    /// <returns>Up to two, the one that opens most for least fat first.</returns>
    public IReadOnlyList<Mend> OfContacts(ContactState poorest)
    {
        var before = Poor(spec, poorest);
        var most = Candidates(poorest).Select(c => (Candidate: c, Left: Poor(c.With(Most), poorest))).Where(c => c.Left < before).OrderBy(c => c.Left).ToList();
        // Only those that open as much as the second best are worth finding the least fat of.
        return
        [
            .. most.Where(c => c.Left <= most[Math.Min(1, most.Count - 1)].Left)
                .Select(c => (c.Left, Grams: Least(c.Candidate, c.Left, poorest), c.Candidate))
                .OrderBy(c => c.Left).ThenBy(c => c.Grams).Take(2)
                .Select(c => MendOf(c.Candidate, c.Grams, before - c.Left, c.Left)),
        ];
    }

    // The least of this fat that opens as much as its most does.
    private double Least(Candidate candidate, int left, ContactState poorest)
    {
        var (low, high) = (0, (int)(Most / Grain));
        while (high - low > 1)
        {
            var middle = (low + high) / 2;
            (low, high) = Poor(candidate.With(middle * Grain), poorest) > left ? (middle, high) : (low, middle);
        }

        return high * Grain;
    }

    private static Mend MendOf(Candidate candidate, double grams, int opens, int left)
    {
        var with = candidate.With(grams);
        var onSheet = candidate.Code == MendCode.SheetFatMore;
        return new(
            candidate.Code,
            [Quantity.Of(QuantityName.Fat, new Grams(grams)), Quantity.Count(QuantityName.Opens, opens), Quantity.Count(QuantityName.Left, left), Quantity.Count(QuantityName.Step, candidate.Step + 1)],
            onSheet ? with.Sheet : null,
            onSheet ? null : with.Fold);
    }

    // Fat on the sheet, in the brush before a fault, or in a new one there, over the board or under the brush.
    private IEnumerable<Candidate> Candidates(ContactState poorest)
    {
        yield return new(MendCode.SheetFatMore, -1, g => spec with { Sheet = spec.Sheet with { FatMass = spec.Sheet.FatMass + new Grams(g) } });
        var steps = spec.Fold.Steps;
        foreach (var at in Faulty(poorest))
        {
            var brushed = Enumerable.Range(0, at).Where(i => steps[i] is BrushStep).DefaultIfEmpty(-1).Max();
            if (brushed >= 0 && steps[brushed] is BrushStep brush)
            {
                yield return new(MendCode.BrushMore, brushed, g => WithSteps([.. steps.Take(brushed), brush with { Mass = brush.Mass + new Grams(g) }, .. steps.Skip(brushed + 1)]));
            }

            if (steps.Count < StepCheck.MostSteps)
            {
                FoldStep Fat(double g, LaidOn on) => new BrushStep(spec.Sheet.Fat, new(g), on);
                yield return new(MendCode.BrushBefore, at, g => WithSteps([.. steps.Take(at), Fat(g, LaidOn.Top), .. steps.Skip(at)]));
                yield return new(MendCode.BoardBefore, at, g => WithSteps([.. steps.Take(at), Fat(g, LaidOn.Board), .. steps.Skip(at)]));
            }
        }
    }

    // The steps that lay most of what welds.
    private IEnumerable<int> Faulty(ContactState poorest)
    {
        var (fullest, rings) = RolledOf(spec);
        return fullest.Kinds.Concat((rings?.Contacts ?? []).Select(c => (c, 1))).Where(k => k.Item1.State >= poorest)
            .GroupBy(k => k.Item1.Step, k => k.Item2).OrderByDescending(g => g.Sum()).ThenBy(g => g.Key).Take(MostFaults).Select(g => g.Key);
    }

    private BatchSpec WithSteps(FoldStep[] steps) => spec with { Fold = new(steps) };

    private int Poor(BatchSpec trial, ContactState poorest)
    {
        var (fullest, rings) = RolledOf(trial);
        var apart = rings is { } r ? r.Contacts.Count(c => c.State >= poorest) * Math.Max(r.Turns, 1) : 0;
        return fullest.CountOf(c => c.State >= poorest) + (int)Math.Ceiling(apart);
    }

    private (Pile Fullest, Rings? Rings) RolledOf(BatchSpec trial)
    {
        // The same ground as the others have: how it folds is found once for all of them.
        var laid = bare.Coated(SheetStage.CoatOf(trial.Sheet, bare.Area, batch.Kitchen));
        return Rolled.FullestOf(FoldStage.Work(trial.Fold.Steps, laid, batch.Kitchen).Folded is [.., var last] ? last : laid, batch.Shape.RolledTo);
    }

    private sealed record Candidate(MendCode Code, int Step, Func<double, BatchSpec> With);
}
