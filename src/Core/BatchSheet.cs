namespace Ystrata.Core;

/// <summary>Everything that follows from a <see cref="BatchSpec"/>, one part a stage, and what to watch.</summary>
/// <param name="Stages">The stages this batch goes through, in order: a batter is neither balled nor folded.</param>
/// <param name="Allergens">In anything that goes in or on it.</param>
/// <param name="Used">What is used up beside the dough.</param>
/// <param name="Filling">Nothing for a bread that is not stuffed.</param>
/// <param name="Measures">Spoons for the masses of the spec, by their field.</param>
public sealed record BatchSheet(
    IReadOnlyList<Stage> Stages,
    DoughSheet Dough,
    RestSheet Rest,
    BallsSheet Balls,
    FirstSheet Sheet,
    FoldSheet Fold,
    RollSheet Roll,
    PanSheet Pan,
    Section Section,
    CostSheet Cost,
    IReadOnlyList<Spent> Used,
    IReadOnlyList<Allergen> Allergens,
    IReadOnlyDictionary<string, KitchenMeasure> Measures,
    IReadOnlyList<Note> Notes,
    FillingSheet? Filling = null)
{
    /// <summary>Pieces the whole batch makes: a ball may become several.</summary>
    public int Pieces() => Balls.Count * Fold.Pieces;

    /// <summary>What could be found wrong with it at the table, the likeliest first.</summary>
    public IReadOnlyList<Risk> Risks { get; } = FaultStage.Ahead(Notes);
}

/// <summary>From decisions to sheet: pure, the same for the same input, in the order of the work.</summary>
public static class Planner
{
    private static readonly Stage[] DoughStages = [Stage.Dough, Stage.Rest, Stage.Balls, Stage.Sheet, Stage.Fold, Stage.Filling, Stage.Roll, Stage.Pan];
    private static readonly Stage[] ParcelStages = [Stage.Dough, Stage.Rest, Stage.Balls, Stage.Filling, Stage.Roll, Stage.Pan];
    private static readonly Stage[] BatterStages = [Stage.Dough, Stage.Rest, Stage.Balls, Stage.Pan];

    /// <param name="spec">A spec that <see cref="SpecCheck.Check"/> does not refuse.</param>
    /// <exception cref="ArgumentException">The spec is one that <see cref="SpecCheck.Check"/> refuses.</exception>
    public static BatchSheet Plan(BatchSpec spec, Larder larder, Learned learned) => SpecCheck.Check(spec, larder) is [var refusal, ..]
        ? throw new ArgumentException($"{refusal.Field}: {refusal.Code}", nameof(spec))
        : Plan(spec, larder, learned, advised: null);

    /// <summary>The same batch as it was really cooked: what its plan advises at the pan is known, and what would mend it is asked of the plan alone; neither is worked out for what it became.</summary>
    /// <param name="cooked">From <see cref="AsCooked.Of"/>, which has checked it.</param>
    internal static BatchSheet AsItWas(BatchSpec cooked, BatchSheet planned, Larder larder, Learned learned) => Plan(cooked, larder, learned, planned.Pan.Advised);

    private static BatchSheet Plan(BatchSpec spec, Larder larder, Learned learned, IReadOnlyList<Stay>? advised)
    {
        var mix = FlourMix.Of(spec.Dough.Flours, larder);
        var stuffed = Stuffed.Of(spec, mix, larder, learned);
        var (solution, why) = DoughSolver.Solve(stuffed.Spec, mix, stuffed.Larder, learned);
        if (solution is not { } solved)
        {
            throw new ArgumentException($"{why!.Field}: {why.Code}", nameof(spec));
        }

        (spec, larder) = (stuffed.Spec, stuffed.Larder);
        var dough = DoughStage.Work(spec, solved, stuffed.Made, larder);
        var rest = RestStage.Work(spec, mix, dough, larder);
        var poured = spec.Dough.Feel == Feel.Batter;
        // A batter is one leaf from the ladle on, a parcel one disc: nothing is laid on it and nothing rolled before the last.
        var shape = poured ? LadleStage.AsRound(spec, dough) : ParcelStage.AsDisc(spec);
        var balls = BallsStage.Work(
            solved, spec.Balls, shape.Roll, dough.Density, stuffed.Made is { } f ? (dough.Ball * spec.Filling!.Wall.Share.Fraction, f.End.Density) : null);
        var (sheet, rolledThin) = SheetStage.Work(shape.Sheet, dough.Ball, mix, dough, rest, larder);
        var steps = FoldStage.Work(shape.Fold, rolledThin, larder);
        var folded = steps.Count > 0 ? steps[^1] : rolledThin;
        var rolled = Rolled.To(folded, shape.Roll.Diameter);
        var fold = FoldStage.Judge(shape, rolledThin, steps, rolled, dough.Ball, larder.Hands);
        var pieces = balls.Count * fold.Pieces;
        var filling = stuffed.Made is { } made
            ? FillingStage.Judge(spec, made, stuffed.LiquorUsed, balls.Count, dough, mix, fold, learned, larder)
            : null;
        var roll = RollStage.Judge(shape, rolled, fold, mix, poured ? null : dough.Fat) is var flat && filling is { Parcel: { } parcel }
            ? ParcelStage.Rolled(flat, parcel, spec.Roll)
            : flat;
        var piece = PanPiece.Of(rolled, dough, filling?.Parcel, filling?.End, FillingNotes.IsRisky(spec.Filling, larder), poured);
        var pan = PanStage.Work(shape, piece, dough, fold, larder, learned, advised);
        var folds = !poured && (filling is null || Parcel.IsFolded(filling.Parcel.Shape));
        var used = Spent.On(shape, stuffed.Made, balls.Count, pieces);

        return new(
            poured ? BatterStages : folds ? DoughStages : ParcelStages,
            dough,
            rest,
            balls,
            sheet,
            fold,
            roll,
            pan,
            filling is null ? Section.Of(rolled) : Section.Of(rolled, filling.Parcel, filling.End, filling.Feel),
            CostSheet.Of(dough, used, pieces, larder),
            used,
            [.. dough.Portions.Where(p => p.Mass.Value > 0).Select(p => p.Id).Concat(used.Select(u => u.Id)).SelectMany(id => larder[id].Allergens).Distinct().Order()],
            SpecMeasures.Of(spec, stuffed.Made, larder),
            [
                .. DoughNotes.Of(spec, dough, solved, larder),
                .. RestNotes.Of(spec, rest, dough),
                .. BallsNotes.Of(balls),
                .. poured ? LadleNotes.Of(spec, roll) : [],
                .. folds ? LaminationNotes.OfSheet(shape.Sheet, sheet, fold.Nominal > 1, rest) : [],
                .. !folds ? [] : LaminationNotes.OfFold(shape, fold, rolled, dough, larder, mended: advised is null),
                .. filling is null ? [] : FillingNotes.Of(spec, stuffed.Made!, filling, larder),
                .. poured ? [] : LaminationNotes.OfRoll(spec, roll, fold, folded, shape.Roll.Diameter),
                .. PanNotes.Of(shape.Pan, pan, piece, roll, fold, larder, learned),
            ],
            filling);
    }
}
