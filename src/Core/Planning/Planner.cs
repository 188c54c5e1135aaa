namespace Ystrata.Core.Planning;

/// <summary>From decisions to sheet: pure, the same for the same input, in the order of the work.</summary>
public static class Planner
{
    /// <summary>The sheet of a batch; or why it cannot be worked.</summary>
    public static Answer<BatchSheet> Plan(BatchSpec spec, Kitchen kitchen) => Check(spec, kitchen).Then<BatchSheet>(batch => Plan(batch));

    /// <summary>Whether a batch can be worked at all. Odd but workable figures pass: the notes speak of those.</summary>
    public static Answer<CheckedBatch> Check(BatchSpec spec, Kitchen kitchen)
    {
        var refusals = SpecCheck.Figures(spec, kitchen);
        if (refusals.Count > 0)
        {
            return refusals;
        }

        kitchen = kitchen.In(spec.Rest.Air);

        var route = Route.Of(spec);
        var mix = FlourMix.Of(spec.Dough.Flours, kitchen);
        var filling = FillingStage.Make(route, kitchen, refusals);
        if (refusals.Count > 0)
        {
            return refusals;
        }

        var (dough, stuffing, refusal) = DoughSolver.Solve(spec, route, mix, kitchen, filling);
        if (dough is null)
        {
            return refusal!;
        }

        if (FillingCheck.Wall(spec, stuffing, dough, mix) is { } wall)
        {
            return wall;
        }

        var density = route.DensityOf(dough.Bowl, dough.Actual);
        var shape = route.Shape(dough.Ball, density);
        var sheet = SheetStage.Lay(shape, dough.Ball, density, kitchen);
        var (folded, unworkable) = FoldStage.Work(shape.Steps, sheet, kitchen);
        return unworkable is { } ? unworkable : new CheckedBatch(spec, kitchen, route, mix, stuffing, dough, shape, sheet, folded);
    }

    public static BatchSheet Plan(CheckedBatch batch) => Work(batch, advised: null).Sheet;

    /// <summary>The same, and the cells of a piece as it comes off the pan.</summary>
    internal static (BatchSheet Sheet, PanRun Off) Baked(CheckedBatch batch) => Work(batch, advised: null);

    /// <summary>A batch as it was really cooked: what its plan advises at the pan is known, and what would mend it is asked of the plan alone; neither is worked out for what it became.</summary>
    internal static BatchSheet AsItWas(CheckedBatch cooked, BatchSheet planned) => Work(cooked, planned.Pan.Program.Advised).Sheet;

    private static (BatchSheet Sheet, PanRun Off) Work(CheckedBatch batch, IReadOnlyList<Stay>? advised)
    {
        var (spec, kitchen, route, mix, shape) = (batch.Spec, batch.Kitchen, batch.Route, batch.Mix, batch.Shape);
        var dough = DoughStage.Work(batch);
        var rest = RestStage.Work(batch, dough);
        var balls = BallsStage.Work(batch, dough);
        var sheet = SheetStage.Work(batch, dough, rest);
        var folded = batch.Folded is [.., var last] ? last : batch.Sheet;
        var rolled = Rolled.To(folded, shape.RolledTo);
        var fold = FoldStage.Judge(shape, batch.Sheet, batch.Folded, rolled, dough.Ball, mix, kitchen.Hands);
        var pieces = balls.Count * fold.Pieces;
        var filling = FillingStage.Judge(batch, dough, fold);
        var roll = RollStage.Judge(batch, rolled, fold, dough, filling?.Parcel);
        var raw = Piece.Divided(dough.Ball, dough.Content.Water, rest.Warm).Laid(shape.Inputs, kitchen);
        raw = (filling is null ? raw : raw.Filled(filling.Parcel.Filling * fold.Pieces, filling.End, filling.Warm)).CutIn(fold.Pieces);
        var heat = PieceHeat.Of(batch, dough, filling?.End);
        raw = raw.At(heat.Dough, heat.Filling);
        var slab = PanPiece.Of(rolled, roll, dough, filling, heat, FillingNotes.IsRisky(batch), route.Poured, kitchen.Boils);
        var (pan, cooked, asAdvised, off) = PanStage.Work(batch, slab, raw, dough, fold, advised);
        var used = Spent.On(batch, balls.Count, pieces);
        var inIt = batch.Dough.InIt.Concat(used.Select(u => kitchen[u.Id])).ToList();

        var section = (filling is null ? Section.Of(rolled) : Section.Of(rolled, filling.Parcel, filling.End, filling.Feel)) with { Look = BreadLook.Of(batch) };

        return (new(
            route.Stages,
            dough,
            rest,
            balls,
            sheet,
            fold,
            roll,
            pan,
            new(raw, cooked),
            section,
            route.Poured ? null : Section.OfBall(balls.Across),
            OffPan.Of(section, pan, new(cooked.Steam.Value / slab.Area.Value * 10), off),
            CostSheet.Of(batch.Dough, used, pieces, kitchen),
            used,
            [.. inIt.SelectMany(i => i.Allergens).Distinct().Order()],
            [.. inIt.Where(i => i.Undeclared).Select(i => i.Id).Distinct()],
            SpecMeasures.Of(batch),
            FoldStep.Beginnings(spec),
            [.. advised is null ? Notes().Select(n => Workable(n, batch)) : Notes()],
            filling), off);

        IEnumerable<Note> Notes() =>
        [
            .. DoughNotes.Of(batch, dough),
            .. RestNotes.Of(batch, rest),
            .. BallsNotes.Of(balls),
            .. balls.Pour is { } pour ? LadleNotes.Of(spec.Ladle, pour, roll) : [],
            .. route.Folds ? LaminationNotes.OfSheet(spec.Sheet, sheet, fold.Nominal > 1, rest) : [],
            .. GarlicNotes.Of(batch),
            .. WarmNotes.Of(batch, raw, pan),
            .. route.Folds ? LaminationNotes.OfFold(batch, fold, rolled, mended: advised is null) : [],
            .. filling is null ? [] : FillingNotes.Of(batch, filling),
            .. route.Poured ? [] : LaminationNotes.OfRoll(batch, roll, fold, folded),
            .. PanRoom.Of(batch, pan, roll, folded),
            .. PanNotes.Of(spec.Pan, pan, asAdvised, slab, roll, fold, kitchen),
        ];
    }

    // A change that cannot be worked mends nothing. What changes on the pan or at rest always can; water, and fat or flour at a step, were tried out where they were found.
    private static Note Workable(Note note, CheckedBatch batch)
    {
        if (note.Mends is not { Count: > 0 } mends)
        {
            return note;
        }

        List<Mend> workable = [.. mends.Where(m => m is { Pan: not null } or { Rest: not null } or { Code: MendCode.BrushBefore or MendCode.BoardBefore or MendCode.BrushMore or MendCode.WaterTo } || Check(m.On(batch.Spec), batch.Kitchen).Value is not null)];
        return workable.Count == mends.Count ? note : note with { Mends = workable.Count > 0 ? workable : null };
    }
}
