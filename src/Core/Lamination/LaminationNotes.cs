namespace Ystrata.Core.Lamination;

/// <summary>What to watch from the first sheet to the last roll (models.md D).</summary>
public static class LaminationNotes
{
    // Fat laid in, per 100 g of dough, that most doughs no longer hold on the pan (empirical).
    private static readonly Grams MostFatPer100G = new(30);

    // Flour on a face that burns on the pan and tastes of it (empirical).
    private static readonly Load MostDust = new(4);

    // Under this share of the bread the fullest place does not speak for it (empirical).
    private static readonly Percent FullCover = new(75);

    // No round is mended to more than a usual pan holds, mm.
    private const double WidestByMend = 320;

    // Springback worth rolling past for, share of the diameter.
    internal const double WorthRollingPast = 0.02;

    public static IEnumerable<Note> OfSheet(SheetSpec spec, FirstSheet sheet, bool folded, RestSheet rest)
    {
        if (sheet.Thickness.Value < sheet.Thinnest.Value)
        {
            yield return new(NoteCode.SheetTooThin, Stage.Sheet, Severity.Wrong,
            [
                Quantity.Of(QuantityName.Thickness, sheet.Thickness),
                Quantity.Of(QuantityName.Limit, sheet.Thinnest),
                Quantity.Of(QuantityName.Across, sheet.ThinnestAcross),
            ],
            Mends: [SheetTo(spec, sheet, sheet.ThinnestAcross, down: true)]);
        }
        else if (folded && sheet.Thickness.Value > sheet.ThickFrom.Value)
        {
            yield return new(NoteCode.SheetTooThick, Stage.Sheet, Severity.Watch,
            [
                Quantity.Of(QuantityName.Thickness, sheet.Thickness),
                Quantity.Of(QuantityName.Limit, sheet.Thinnest),
                Quantity.Of(QuantityName.Across, sheet.ThickFromAcross),
            ],
            Mends: [SheetTo(spec, sheet, sheet.ThickFromAcross, down: false)]);
        }

        if (rest.Counts.Value < rest.Least.Value)
        {
            yield return new(NoteCode.ShortRest, Stage.Sheet, Severity.Watch,
                [Quantity.Of(QuantityName.Rest, rest.Counts), Quantity.Of(QuantityName.Least, rest.Least), Quantity.Of(QuantityName.Limit, sheet.Thinnest)],
                Mends: [RestLonger(spec, rest)]);
        }

        if (sheet.Film.Value > SheetStage.HoldsFilm.Value)
        {
            yield return RunsOut(Stage.Sheet, spec.FatMass, sheet.MostFat, sheet.Film, spec.Fat) with
            {
                Mends = [new(MendCode.SheetFatLess, [Quantity.Of(QuantityName.Fat, sheet.MostFat.Down())], Sheet: spec with { FatMass = sheet.MostFat.Down() })],
            };
        }

        if (sheet.Dust.Value > MostDust.Value)
        {
            yield return new(NoteCode.DustHeavy, Stage.Sheet, Severity.Watch,
                [Quantity.Of(QuantityName.Dust, spec.DustMass), Quantity.Of(QuantityName.Most, MostDust.Over(sheet.Area))],
                Mends: [new(MendCode.DustLess, [Quantity.Of(QuantityName.Dust, MostDust.Over(sheet.Area).Down())], Sheet: spec with { DustMass = MostDust.Over(sheet.Area).Down() })]);
        }
    }

    // An enclosed fat is all the fat there is: with every fold dough comes to lie on dough and merges, about half of all contacts (models.md D).
    private const double MergeShare = 0.45;

    private static bool Merges(FoldSpec fold, double apart) => fold.Steps.Any(s => s is EncloseStep) && apart >= MergeShare;

    internal static IEnumerable<Note> OfFold(CheckedBatch batch, FoldSheet fold, Rolled rolled, bool mended)
    {
        var spec = batch.Spec;
        foreach (var note in OfSteps(spec.Fold, fold, rolled, batch.Kitchen))
        {
            yield return note;
        }

        if (batch.Mix.Weak > FlourMix.WeakFrom && fold.Nominal > 1)
        {
            var step = spec.Fold.Steps.ToList().FindIndex(s => s.NeedsGluten);
            yield return new(
                step >= 0 ? NoteCode.NoGlutenStep : NoteCode.NoGlutenFold, Stage.Fold, step >= 0 ? Severity.Wrong : Severity.Watch,
                [Quantity.Of(QuantityName.Share, Percent.FromFraction(batch.Mix.Weak)), Quantity.Of(QuantityName.Most, Percent.FromFraction(FlourMix.WeakFrom)), .. step >= 0 ? [Quantity.Count(QuantityName.Step, step + 1)] : Array.Empty<Quantity>()]);
        }

        var contacts = fold.Nominal - 1;
        var mends = mended ? new FoldMends(batch) : null;
        if (fold.Fused > 0 && fold.InsideFat.Value + fold.InsideDust.Value <= 0 && spec.Fold.Steps.Any(s => s.Seals))
        {
            yield return new(NoteCode.SealedShut, Stage.Fold, Severity.Right, [Quantity.Count(QuantityName.Leaves, fold.Nominal)]);
        }
        else if (fold.Fused > 0)
        {
            var step = fold.Steps.Select((s, i) => (s.Welded, i)).MaxBy(s => s.Welded).i;
            yield return new(
                NoteCode.FusedContacts,
                Stage.Fold,
                Merges(spec.Fold, fold.Effective / (double)fold.Nominal) ? Severity.Watch : Severity.Wrong,
                [
                    Quantity.Count(QuantityName.Fused, fold.Fused),
                    Quantity.Count(QuantityName.Of, contacts),
                    Quantity.Count(QuantityName.Leaves, fold.Effective),
                    Quantity.Count(QuantityName.Step, step + 1),
                ],
                Mends: mends?.OfContacts(ContactState.Fused));
        }
        else if (fold.Patchy == 0 && contacts > 0)
        {
            yield return new(NoteCode.AllOpen, Stage.Fold, Severity.Right, [Quantity.Count(QuantityName.Of, contacts), Quantity.Count(QuantityName.Leaves, fold.Nominal)]);
        }

        if (fold.Patchy > 0)
        {
            var thinnest = rolled.Fullest.Contacts.Where(c => c.State == ContactState.Patchy).Min(c => c.Coat.Film.Value);
            yield return new(
                NoteCode.PatchyFat,
                Stage.Fold,
                Severity.Watch,
                [
                    Quantity.Count(QuantityName.Patchy, fold.Patchy),
                    Quantity.Count(QuantityName.Of, contacts),
                    Quantity.Of(QuantityName.Film, new Micrometres(thinnest)),
                    Quantity.Of(QuantityName.Open, Contacts.OpenFilm),
                ],
                Mends: fold.Fused > 0 ? null : mends?.OfContacts(ContactState.Patchy));
        }

        if (fold.Nominal > 1 && fold.Covers.Value < FullCover.Value)
        {
            yield return new(NoteCode.PartCovered, Stage.Fold, Severity.Watch,
                [Quantity.Count(QuantityName.Leaves, fold.Nominal), Quantity.Of(QuantityName.Covers, fold.Covers), new(QuantityName.Mean, fold.MeanEffective, "")]);
        }

        if (fold.FatPer100G > MostFatPer100G)
        {
            yield return new(NoteCode.TooMuchFat, Stage.Fold, Severity.Wrong,
                [Quantity.Of(QuantityName.Fat, fold.FatPer100G), Quantity.Of(QuantityName.Most, MostFatPer100G), Quantity.Of(QuantityName.Inside, fold.InsideFat)],
                Mends: [FatLess(spec, MostFatPer100G / fold.FatPer100G)]);
        }

        if (fold.Rings is { State: ContactState.Fused } rings)
        {
            yield return new(
                NoteCode.RingsFused,
                Stage.Fold,
                rings.OnEdge && !Merges(spec.Fold, rings.Apart / rings.Count) ? Severity.Wrong : Severity.Watch,
                [new(QuantityName.Rings, rings.Count, ""), new(QuantityName.Apart, rings.OnEdge ? rings.Apart : 1, "")],
                Mends: fold.Fused > 0 ? null : mends?.OfContacts(ContactState.Fused));
        }
    }

    private static IEnumerable<Note> OfSteps(FoldSpec fold, FoldSheet sheet, Rolled rolled, Kitchen kitchen)
    {
        var leaf = rolled.Fullest.Leaves.MinBy(l => l.Value);
        return fold.Steps.Select((step, i) => step.Watch(new(fold, i, sheet.Steps[i], leaf, kitchen))).OfType<Note>();
    }

    internal static IEnumerable<Note> OfRoll(CheckedBatch batch, RollSheet roll, FoldSheet fold, Form beforeRoll)
    {
        var spec = batch.Spec;
        var leaves = fold.Rings is { OnEdge: true } r ? r.Apart : fold.Effective;
        if (leaves > 1 && roll.ThinnestLeaf.Value < roll.SmearedUnder.Value)
        {
            yield return new(NoteCode.LeafSmeared, Stage.Roll, Severity.Wrong, [Quantity.Of(QuantityName.Leaf, roll.ThinnestLeaf), Quantity.Of(QuantityName.Limit, roll.SmearedUnder)],
                Mends: LastFold(spec.Fold) is { } at ? [new(MendCode.DropStep, [Quantity.Count(QuantityName.Step, at + 1)], Fold: new([.. spec.Fold.Steps.Where((_, i) => i != at)]))] : null);
        }
        else if (leaves > 1 && roll.Leaf.Value > roll.BreadyOver.Value)
        {
            yield return new(NoteCode.LeafBready, Stage.Roll, Severity.Watch, [Quantity.Of(QuantityName.Leaf, roll.Leaf), Quantity.Of(QuantityName.Limit, roll.BreadyOver)],
                // A ball made for its round gets heavier with it, and its leaves no thinner.
                Mends: fold.Rings is { OnEdge: true } || batch.Stuffing is not null || spec.Balls.By == BallBy.Thickness ? null : RollWider(spec.Roll, roll, beforeRoll));
        }

        if (fold.Rings is not null && spec.Roll.By == RollBy.Pin)
        {
            yield return new(NoteCode.CoreCrushed, Stage.Roll, Severity.Watch, [new(QuantityName.Rings, fold.Rings.Count, "")],
                Mends: [new(MendCode.ByHand, [], Roll: spec.Roll with { By = RollBy.Hand })]);
        }

        var already = beforeRoll.Area.AsRound() * (spec.Roll.Diameter / batch.Shape.RolledTo);
        if (already.Value > spec.Roll.Diameter.Value * (1 + 1e-9))
        {
            yield return new(NoteCode.AlreadyBigger, Stage.Roll, Severity.Watch, [Quantity.Of(QuantityName.Already, already), Quantity.Of(QuantityName.Asked, spec.Roll.Diameter)]);
        }
        else if (roll.Springback.Fraction > WorthRollingPast)
        {
            yield return new(NoteCode.SpringsBack, Stage.Roll, Severity.Watch,
            [
                Quantity.Of(QuantityName.Rest, roll.Rest),
                Quantity.Of(QuantityName.Across, spec.Roll.Diameter),
                Quantity.Of(QuantityName.RollTo, roll.RollTo),
                Quantity.Of(QuantityName.Back, spec.Roll.Diameter * (1 - roll.Springback.Fraction)),
            ],
            Mends: [SpringLess(spec.Roll, roll)]);
        }
    }

    // A rectangle keeps its proportion; a whole millimetre on the safe side.
    private static Mend SheetTo(SheetSpec spec, FirstSheet sheet, Millimetres across, bool down)
    {
        var factor = across / sheet.Area.AsRound();
        Millimetres Safe(Millimetres side) => new(down ? Math.Floor(side.Value) : Math.Ceiling(side.Value));
        var to = Safe(spec.Diameter * factor);
        return new(MendCode.SheetTo, [Quantity.Of(QuantityName.Across, to)], Sheet: spec with { Diameter = to, Width = spec.Width is { } w ? Safe(w * factor) : null });
    }

    private static Mend RestLonger(SheetSpec spec, RestSheet rest)
    {
        var to = new Minutes(Math.Ceiling(spec.Rest.Value + rest.Least.Value - rest.Counts.Value));
        return new(MendCode.RestTo, [Quantity.Of(QuantityName.Rest, to)], Sheet: spec with { Rest = to });
    }

    private static Mend SpringLess(RollSpec spec, RollSheet roll)
    {
        var to = new Minutes(Math.Ceiling(spec.Rest.Value + Round.RestUntil(roll.Springback.Fraction, WorthRollingPast).Value));
        return new(MendCode.RestTo, [Quantity.Of(QuantityName.Rest, to)], Roll: spec with { Rest = to });
    }

    // Every spread of fat by the same share, to the tenth of a gram a brush weighs.
    private static Mend FatLess(BatchSpec spec, double share)
    {
        Grams Less(Grams fat) => new(Math.Max(Math.Floor(fat.Value * share * 10) / 10, 0.1));
        var sheet = spec.Sheet.FatMass.Value > 0 ? spec.Sheet with { FatMass = Less(spec.Sheet.FatMass) } : null;
        var fold = new FoldSpec([.. spec.Fold.Steps.Select(step => step.WithFat(Less))]);
        return new(MendCode.FatShare, [Quantity.Of(QuantityName.Share, Percent.FromFraction(share))], Sheet: sheet, Fold: fold);
    }

    // The least that makes the leaf thin enough, tried out: thick places give first, and films that thin may weld.
    private static IReadOnlyList<Mend>? RollWider(RollSpec spec, RollSheet roll, Form beforeRoll)
    {
        for (var across = spec.Diameter.Value + 5; across <= WidestByMend; across += 5)
        {
            var fullest = Rolled.To(beforeRoll, new(across)).Fullest;
            if ((fullest.Dough / FoldStage.ApartIn(fullest)).Value <= roll.BreadyOver.Value)
            {
                return [new(MendCode.RollTo, [Quantity.Of(QuantityName.Across, new Millimetres(across))], Roll: spec with { Diameter = new(across) })];
            }
        }

        return null;
    }

    // Where leaves are smeared the last fold is one too many.
    private static int? LastFold(FoldSpec fold)
    {
        var last = fold.Steps.Select((s, i) => (s, i)).LastOrDefault(s => s.s.Folds);
        return last.s is null ? null : last.i;
    }

    internal static Note RunsOut(Stage stage, Grams fat, Grams most, Micrometres film, string item) => new(
        NoteCode.FatRunsOut, stage, Severity.Wrong, [Quantity.Of(QuantityName.Fat, fat), Quantity.Of(QuantityName.Most, most), Quantity.Of(QuantityName.Film, film)], item);
}
