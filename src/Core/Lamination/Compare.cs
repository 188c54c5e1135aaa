namespace Ystrata.Core;

/// <summary>One program beside others: what it makes of the same ball.</summary>
/// <param name="Refusal">Why it cannot be worked on this ball; then there is no more.</param>
/// <param name="TooThin">True when the first sheet is thinner than this dough bears.</param>
public sealed record ComparedProgram(FoldProgram Program, FoldSheet? Fold, RollSheet? Roll, Section? Section, bool TooThin, Refusal? Refusal);

/// <summary>The same ball through several programs, and programs for a bread that is wanted.</summary>
public sealed class Compare(BatchSpec spec, Larder larder, Learned learned)
{
    public const int Most = 6;

    private readonly BatchSheet plan = Planner.Plan(spec, larder, learned);
    private readonly FlourMix mix = FlourMix.Of(spec.Dough.Flours, larder);

    public Grams Ball => plan.Dough.Ball;

    public IReadOnlyList<ComparedProgram> Of(IEnumerable<FoldProgram> programs) => [.. programs.Select(p => Of(p, Ball, spec.Roll))];

    /// <summary>The schools of these ids; one that is unknown is left out.</summary>
    public IReadOnlyList<ComparedProgram> OfSchools(IEnumerable<string> ids)
    {
        var all = FoldPrograms.For(spec, Ball).ToDictionary(p => p.Id);
        return Of(ids.Select(id => all.GetValueOrDefault(id)).OfType<FoldProgram>());
    }

    /// <summary>Works one program on one ball.</summary>
    public ComparedProgram Of(FoldProgram program, Grams ball, RollSpec roll)
    {
        var shape = spec with { Sheet = program.Sheet, Fold = program.Fold, Roll = roll };
        var sheet = SheetStage.Lay(program.Sheet, ball, plan.Dough.Density, larder);
        var (steps, piece) = (new List<Piece>(), sheet);
        for (var i = 0; i < program.Fold.Steps.Count; i++)
        {
            if (StepCheck.Workable(program.Fold.Steps[i], piece, $"fold.steps[{i}]") is { } refusal)
            {
                return new(program, null, null, null, false, refusal);
            }

            steps.Add(piece = Folding.Apply(program.Fold.Steps[i], piece, i, larder));
        }

        var rolled = Rolled.To(piece, roll.Diameter);
        var fold = FoldStage.Judge(shape, sheet, steps, rolled, ball, larder.Hands, drawn: false);
        return new(program, fold, RollStage.Judge(shape, rolled, fold, mix, plan.Dough.Fat), Section.Of(rolled), sheet.Fullest.Dough.Value < plan.Sheet.Thinnest.Value, null);
    }

    /// <summary>As thin a sheet as this dough bears, in whole centimetres, and no wider than a table has room for.</summary>
    internal Millimetres WidestSheet(Grams ball) =>
        new(Math.Clamp(Math.Floor(Round.DiameterOf(ball, plan.Sheet.Thinnest, plan.Dough.Density).Centimetres) * 10, 100, 600));

    internal Density Density => plan.Dough.Density;
}
