namespace Ystrata.Core.Lamination;

/// <summary>One program beside others: what it makes of the same ball.</summary>
/// <param name="Refusal">Why it cannot be worked on this ball; then there is no more.</param>
/// <param name="TooThin">True when the first sheet is thinner than this dough bears.</param>
public sealed record ComparedProgram(FoldProgram Program, FoldSheet? Fold, RollSheet? Roll, Section? Section, bool TooThin, Refusal? Refusal);

/// <summary>The same ball through several programs, and programs for a bread that is wanted.</summary>
public sealed class Compare(CheckedBatch batch)
{
    public const int Most = 6;

    private readonly BatchSheet plan = Planner.Plan(batch);

    public BatchSpec Spec => batch.Spec;

    public Grams Ball => plan.Dough.Ball;

    internal Density Density => plan.Dough.Density;

    public IReadOnlyList<ComparedProgram> Of(IEnumerable<FoldProgram> programs) => [.. programs.Select(p => Of(p, Ball, Spec.Roll))];

    /// <summary>The schools of these ids; one that is unknown is left out.</summary>
    public IReadOnlyList<ComparedProgram> OfSchools(IEnumerable<string> ids)
    {
        var all = FoldPrograms.For(Spec, Ball).ToDictionary(p => p.Id);
        return Of(ids.Select(id => all.GetValueOrDefault(id)).OfType<FoldProgram>());
    }

    /// <summary>Works one program on one ball.</summary>
    public ComparedProgram Of(FoldProgram program, Grams ball, RollSpec roll)
    {
        var shape = Shaping.Of(program.Sheet, program.Fold, roll, roll.Diameter);
        var sheet = SheetStage.Lay(shape, ball, Density, batch.Kitchen);
        var (steps, refusal) = FoldStage.Work(shape.Steps, sheet, batch.Kitchen);
        if (refusal is not null)
        {
            return new(program, null, null, null, false, refusal);
        }

        var rolled = Rolled.To(steps is [.., var last] ? last : sheet, roll.Diameter);
        var fold = FoldStage.Judge(shape, sheet, steps, rolled, ball, batch.Mix, batch.Kitchen.Hands, drawn: false);
        var back = Round.Springback(batch.Mix, plan.Dough.Content.Fat, shape.Rest);
        return new(program, fold, RollStage.Judge(shape, rolled, fold, back), Section.Of(rolled), sheet.Fullest.Dough.Value < plan.Sheet.Thinnest.Value, null);
    }

    // Hands roll to a fifth above the thinnest a dough bears; thinner is luck (empirical).
    private const double ByHand = 1.2;

    /// <summary>As wide a sheet as a hand rolls of it, in whole centimetres, and no wider than the kitchen's board.</summary>
    internal Millimetres WidestSheet(Grams ball) =>
        new(Math.Floor(Math.Min(Round.DiameterOf(ball, plan.Sheet.Thinnest * ByHand, plan.Dough.Density).Centimetres, batch.Kitchen.Board.Centimetres)) * 10);
}
