namespace Ystrata.Core.Stove;

/// <summary>A step of the filling as hands are told it.</summary>
/// <param name="Part">What it is done to; nothing for all together.</param>
/// <param name="Of">So much of it.</param>
/// <param name="Puts">So much is put in; nothing where nothing is.</param>
public sealed record StoveFilling(string? Part, FillingStep Step, Grams Of, Grams? Puts);

/// <summary>Something that goes into the bowl now.</summary>
public sealed record StoveMixItem(string Id, Grams Mass);

/// <summary>A step at the bowl as hands are told it, for one bowl.</summary>
public sealed record StoveMix(MixAct Act, IReadOnlyList<StoveMixItem> Items, IReadOnlyList<Quantity> Quantities);

/// <summary>A piece from above as a fold step leaves it, and what the step does to the one before it.</summary>
/// <param name="Wide">Its shorter side.</param>
/// <param name="Rings">Rings or windings across the radius, of what is wound.</param>
public sealed record StoveFold(PlanView View, Outline Outline, Millimetres Across, Millimetres Wide, double Rings)
{
    internal static StoveFold Of(StepSheet step) => new(step.View, step.Outline, step.Across, step.Wide, step.Section.Rings?.Each.Count ?? step.Section.Windings ?? 0);
}

/// <summary>What hands are told of a bread's work, in full: what, how much and how. It is the same all through a service.</summary>
/// <param name="Filling">Step by step, as the clock numbers them.</param>
/// <param name="Ball">One ball, or ladleful.</param>
/// <param name="Trays">Balls in each trayful.</param>
/// <param name="Sheet">Nothing where nothing is sheeted.</param>
/// <param name="Sheeted">The sheet from above.</param>
/// <param name="Folded">The piece after each step.</param>
/// <param name="Stuff">Filling in each ball; nothing without.</param>
public sealed record StoveWork(
    IReadOnlyList<StoveMix> Mix, IReadOnlyList<StoveFilling> Filling, Grams Ball, IReadOnlyList<int> Trays, SheetSpec? Sheet, IReadOnlyList<FoldStep> Fold,
    PlanView Sheeted, IReadOnlyList<StoveFold> Folded, Grams? Stuff)
{
    internal static StoveWork Of(BatchSpec spec, BatchSheet sheet, ClockJob job)
    {
        var folds = sheet.Stages.Contains(Stage.Fold);
        return new(
            [.. sheet.Dough.Mixing.Steps.Select(s => new StoveMix(s.Act, Items(s, sheet.Dough), s.Quantities))],
            spec.Filling is { } filling && sheet.Filling is { } made
                ? [.. filling.Parts.Zip(made.Parts).SelectMany(p => Steps(p.First.Id, p.First.Steps, p.Second.Rows, p.Second.Start)), .. Steps(null, filling.Together, made.Rows, made.Together)]
                : [],
            sheet.Balls.Mass,
            [.. Enumerable.Range(0, job.Preps.Count).Where(i => job.Preps[i].Work == ClockWork.Divide).Select(i => job.BallFrom.Count(from => from == i))],
            folds ? spec.Sheet : null,
            folds ? spec.Fold.Steps : [],
            folds ? sheet.Sheet.View : PlanView.None,
            folds ? [.. sheet.Fold.Steps.Select(StoveFold.Of)] : [],
            sheet.Filling?.Parcel.Filling);
    }

    // The liquid that is held back for the feel goes in with what is poured at once.
    private static IReadOnlyList<StoveMixItem> Items(MixStep step, DoughSheet dough) => step.Act == MixAct.AddByFeel ? [] :
    [
        .. step.Items.Where(i => i < dough.Portions.Count).Select(i =>
            new StoveMixItem(dough.Portions[i].Id, dough.Mixing.Adding?.Item == i && step.Quantities.FirstOrDefault(q => q.Name == QuantityName.First) is { } first ? new(first.Value) : dough.Portions[i].EachLot)),
    ];

    private static IEnumerable<StoveFilling> Steps(string? part, IReadOnlyList<FillingStep> steps, IReadOnlyList<FillingRow> rows, FillingState start) =>
        steps.Select((step, i) => new StoveFilling(part, step, i == 0 ? start.Mass : rows[i - 1].State.Mass, step.Input(rows[i], "")?.Mass));
}
