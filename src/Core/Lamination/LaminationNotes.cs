namespace Ystrata.Core;

/// <summary>What to watch from the first sheet to the last roll (models.md D).</summary>
public static class LaminationNotes
{
    // Fat laid in, per 100 g of dough, that most doughs no longer hold on the pan (empirical).
    private static readonly Grams MostFatPer100G = new(30);

    // Flour on a face that burns on the pan and tastes of it (empirical).
    private static readonly Load MostDust = new(4);

    // Springback worth rolling past for, share of the diameter.
    private const double WorthRollingPast = 0.02;

    public static IEnumerable<Note> OfSheet(SheetSpec spec, FirstSheet sheet, bool folded, RestSheet rest)
    {
        if (sheet.Thickness.Value < sheet.Thinnest.Value)
        {
            yield return new(NoteCode.SheetTooThin, Stage.Sheet, Weight.Wrong,
            [
                Quantity.Of("thickness", sheet.Thickness),
                Quantity.Of("limit", sheet.Thinnest),
                Quantity.Of("across", sheet.ThinnestAcross),
            ]);
        }
        else if (folded && sheet.Thickness.Value > sheet.ThickFrom.Value)
        {
            yield return new(NoteCode.SheetTooThick, Stage.Sheet, Weight.Watch,
            [
                Quantity.Of("thickness", sheet.Thickness),
                Quantity.Of("limit", sheet.Thinnest),
                Quantity.Of("across", sheet.ThickFromAcross),
            ]);
        }

        if (rest.Counts.Value < rest.Least.Value)
        {
            yield return new(NoteCode.ShortRest, Stage.Sheet, Weight.Watch,
                [Quantity.Of("rest", rest.Counts), Quantity.Of("least", rest.Least), Quantity.Of("limit", sheet.Thinnest)]);
        }

        if (sheet.Film.Value > SheetStage.HoldsFilm.Value)
        {
            yield return RunsOut(Stage.Sheet, spec.FatMass, sheet.MostFat, sheet.Film, spec.Fat);
        }

        if (sheet.Dust.Value > MostDust.Value)
        {
            yield return new(NoteCode.DustHeavy, Stage.Sheet, Weight.Watch,
                [Quantity.Of("dust", spec.DustMass), Quantity.Of("most", MostDust.Over(sheet.Area))]);
        }
    }

    public static IEnumerable<Note> OfFold(FoldSpec spec, FoldSheet fold, Piece rolled, Larder larder)
    {
        for (var i = 0; i < spec.Steps.Count; i++)
        {
            if (spec.Steps[i] is BrushStep brush && fold.Steps[i].Film.Value > SheetStage.HoldsFilm.Value)
            {
                var most = Folding.FatFor(SheetStage.HoldsFilm, larder[brush.Fat], fold.Steps[i].Area);
                yield return RunsOut(Stage.Fold, brush.Mass, most, fold.Steps[i].Film, brush.Fat);
            }
        }

        var contacts = fold.Nominal - 1;
        if (fold.Fused > 0)
        {
            var step = fold.Steps.Select((s, i) => (s.Welded, i)).MaxBy(s => s.Welded).i;
            yield return new(NoteCode.FusedContacts, Stage.Fold, Weight.Wrong,
            [
                Quantity.Count("fused", fold.Fused),
                Quantity.Count("of", contacts),
                Quantity.Count("leaves", fold.Effective),
                Quantity.Count("step", step + 1),
            ]);
        }
        else if (fold.Patchy == 0 && contacts > 0)
        {
            yield return new(NoteCode.AllOpen, Stage.Fold, Weight.Right, [Quantity.Count("of", contacts), Quantity.Count("leaves", fold.Nominal)]);
        }

        if (fold.Patchy > 0)
        {
            var thinnest = rolled.Contacts
                .Where(c => Contacts.StateOf(c.Coat) == ContactState.Patchy)
                .Min(c => c.Coat.Film.Value);
            yield return new(NoteCode.PatchyFat, Stage.Fold, Weight.Watch,
            [
                Quantity.Count("patchy", fold.Patchy),
                Quantity.Count("of", contacts),
                Quantity.Of("film", new Micrometres(thinnest)),
                Quantity.Of("open", Contacts.OpenFilm),
            ]);
        }

        if (fold.FatPer100G > MostFatPer100G)
        {
            yield return new(NoteCode.TooMuchFat, Stage.Fold, Weight.Wrong,
                [Quantity.Of("fat", fold.FatPer100G), Quantity.Of("most", MostFatPer100G), Quantity.Of("inside", fold.InsideFat)]);
        }

        if (fold.RingsState is ContactState.Fused)
        {
            yield return new(NoteCode.RingsFused, Stage.Fold, Weight.Watch, [new("rings", fold.Rings ?? 0, "")]);
        }
    }

    public static IEnumerable<Note> OfRoll(RollSpec spec, RollSheet roll, FoldSheet fold, Piece beforeRoll)
    {
        if (fold.Effective > 1 && roll.ThinnestLeaf.Value < roll.SmearedUnder.Value)
        {
            yield return new(NoteCode.LeafSmeared, Stage.Roll, Weight.Wrong, [Quantity.Of("leaf", roll.ThinnestLeaf), Quantity.Of("limit", roll.SmearedUnder)]);
        }
        else if (fold.Effective > 1 && roll.Leaf.Value > roll.BreadyOver.Value)
        {
            yield return new(NoteCode.LeafBready, Stage.Roll, Weight.Watch, [Quantity.Of("leaf", roll.Leaf), Quantity.Of("limit", roll.BreadyOver)]);
        }

        var already = beforeRoll.Area.AsRound();
        if (already.Value > spec.Diameter.Value * (1 + 1e-9))
        {
            yield return new(NoteCode.AlreadyBigger, Stage.Roll, Weight.Watch, [Quantity.Of("already", already), Quantity.Of("asked", spec.Diameter)]);
        }
        else if (roll.Springback.Fraction > WorthRollingPast)
        {
            yield return new(NoteCode.SpringsBack, Stage.Roll, Weight.Watch,
            [
                Quantity.Of("rest", spec.Rest),
                Quantity.Of("across", spec.Diameter),
                Quantity.Of("rollTo", roll.RollTo),
                Quantity.Of("back", spec.Diameter * (1 - roll.Springback.Fraction)),
            ]);
        }
    }

    private static Note RunsOut(Stage stage, Grams fat, Grams most, Micrometres film, string item) => new(
        NoteCode.FatRunsOut, stage, Weight.Wrong, [Quantity.Of("fat", fat), Quantity.Of("most", most), Quantity.Of("film", film)], item);
}
