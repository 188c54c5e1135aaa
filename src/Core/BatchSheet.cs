namespace Ystrata.Core;

/// <summary>Everything that follows from a <see cref="BatchSpec"/>, one part a stage, and what to watch.</summary>
public sealed record BatchSheet(
    DoughSheet Dough,
    BallsSheet Balls,
    FirstSheet Sheet,
    FoldSheet Fold,
    RollSheet Roll,
    PanSheet Pan,
    Section Section,
    IReadOnlyList<Note> Notes);

/// <summary>From decisions to sheet: pure, the same for the same input, in the order of the work.</summary>
public static class Planner
{
    /// <param name="spec">A spec that <see cref="SpecCheck.Check"/> does not refuse.</param>
    /// <exception cref="ArgumentException">The spec is one that <see cref="SpecCheck.Check"/> refuses.</exception>
    public static BatchSheet Plan(BatchSpec spec, Larder larder, Learned learned)
    {
        if (SpecCheck.Check(spec, larder) is [var refusal, ..])
        {
            throw new ArgumentException($"{refusal.Field}: {refusal.Code}", nameof(spec));
        }

        var mix = FlourMix.Of(spec.Dough.Flours, larder);
        var ball = BallsStage.MassOf(spec.Balls, spec.Roll);
        var dough = DoughStage.Work(spec.Dough, ball, mix, larder, learned);
        var balls = BallsStage.Work(spec.Dough.Pieces, ball, spec.Roll);
        var (sheet, rolledThin) = SheetStage.Work(spec.Sheet, ball, mix, dough, larder);
        var steps = FoldStage.Work(spec.Fold, rolledThin, larder);
        var folded = steps.Count > 0 ? steps[^1] : rolledThin;
        var rolled = Folding.RollTo(folded, spec.Roll.Diameter);
        var fold = FoldStage.Judge(spec.Fold, steps, rolled, spec.Sheet, ball);
        var roll = RollStage.Judge(spec.Roll, rolled, fold.Effective, mix, spec.Dough);
        var pan = PanStage.Work(spec.Pan, rolled, dough, ball, fold, larder, learned);

        return new(
            dough,
            balls,
            sheet,
            fold,
            roll,
            pan,
            Section.Of(rolled),
            [
                .. DoughNotes.Of(spec.Dough, dough),
                .. LaminationNotes.OfSheet(spec.Sheet, sheet, fold.Nominal > 1, mix),
                .. LaminationNotes.OfFold(spec.Fold, fold, rolled, larder),
                .. LaminationNotes.OfRoll(spec.Roll, roll, fold, folded),
                .. PanNotes.Of(spec.Pan, pan, roll, fold),
            ]);
    }
}
