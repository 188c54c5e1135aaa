namespace Ystrata.Core.Lamination;

/// <summary>Spread fat over a face.</summary>
/// <param name="Rim">Left bare all round; nothing when it goes to the very edge.</param>
public sealed record BrushStep(string Fat, Grams Mass, LaidOn On = LaidOn.Top, Millimetres? Rim = null) : FoldStep
{
    internal static BrushStep Begun(BatchSpec spec) => new(spec.Sheet.Fat, new(2));

    /// <summary>No step lays less of anything, g (empirical).</summary>
    internal const double LeastLaid = 0.1;

    internal override Form Apply(Form piece, int index, Kitchen kitchen)
    {
        var fat = kitchen[Fat];
        Pile Brushed(Pile pile, SquareCentimetres area) => pile.Coated(Coat.OfFat(Mass, fat, area), On);
        return Rim is { Value: > 0 } rim ? piece with { Layout = piece.Layout.Within(rim.Value, Brushed) } : piece.Coated(Coat.OfFat(Mass, fat, piece.Area), On);
    }

    internal override HandUse? Hands => new(HandWork.Brush);

    internal override Refusal? Unworkable(Form piece, string at)
    {
        var shorter = Math.Min(piece.Layout.Length, piece.Layout.Width);
        return Rim is { } rim && rim.Value * 2 >= shorter ? new(at + ".rim", RefusalCode.RimTooWide, rim.Value, 0, Math.Floor(shorter / 2), Millimetres.Unit) : null;
    }

    internal override IEnumerable<(string Name, double Value)> Figures => [("mass", Mass.Value), ("rim", Rim?.Value ?? 0)];

    internal override FoldStep With(string fat, string flour) => this with { Fat = fat };

    internal override IEnumerable<(string Name, string Id)> Ids => [("fat", Fat)];

    internal override IEnumerable<FoldInput> Inputs(string at) => [new(at + ".mass", Fat, Mass, LaidIn.Fat)];

    internal override FoldStep WithFat(Func<Grams, Grams> change) => this with { Mass = change(Mass) };

    internal override PlanView.Papers Draw(Form before, Form after, PlanView.Papers papers) => papers.Dressed(after);

    // Fat on the upper face runs out when the piece is folded over it.
    internal override Note? Watch(StepAt at)
    {
        if (On != LaidOn.Top || at.Sheet.Film.Value <= SheetStage.HoldsFilm.Value)
        {
            return null;
        }

        // What lay there before counts too: where that alone runs, this brush is one too many.
        var inside = Rim is { } rim ? at.Sheet.Area.Value * (1 - 2 * (rim / at.Sheet.Across)) * (1 - 2 * (rim / at.Sheet.Wide)) : at.Sheet.Area.Value;
        var over = Coat.FatFor(new(at.Sheet.Film.Value - SheetStage.HoldsFilm.Value), at.Kitchen[Fat], new(inside));
        var most = new Grams(Math.Max(Mass.Value - over.Value, 0)).Down();
        var mend = most.Value >= LeastLaid
            ? new Mend(MendCode.BrushLess, [Quantity.Of(QuantityName.Fat, most), Quantity.Count(QuantityName.Step, at.Index + 1)], Fold: at.With(this with { Mass = most }))
            : new Mend(MendCode.DropStep, [Quantity.Count(QuantityName.Step, at.Index + 1)], Fold: at.Without);
        return LaminationNotes.RunsOut(Stage.Fold, Mass, most, at.Sheet.Film, Fat) with { Mends = [mend] };
    }
}
