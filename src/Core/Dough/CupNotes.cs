namespace Ystrata.Core.Dough;

/// <summary>A flour that was measured in cups: how much hangs on the way they are filled, and what it comes to once that is said.</summary>
internal static class CupNotes
{
    // Nearer than this nobody tells.
    private const double Same = 0.01;

    public static IEnumerable<Note> Of(CheckedBatch batch, DoughSheet dough)
    {
        var (spec, measures) = (batch.Spec, batch.Kitchen.Measures);
        if (spec.Dough.Cups is not { Packing: var taken } cups || spec.Start.By != StartBy.Flour)
        {
            yield break;
        }

        Percent If(double packing) => new(dough.Water.Hydration.Value * taken / packing);
        var flour = batch.Kitchen[spec.Dough.Flours[0].Id];
        if (!measures.Said)
        {
            // Tighter cups hold more flour for the same water.
            yield return new(NoteCode.CupsUnsaid, Stage.Dough, Severity.Watch,
                [Quantity.Of(QuantityName.Least, If(Vessels.Packing(PowderFill.Scooped))), Quantity.Of(QuantityName.Most, If(Vessels.Packing(PowderFill.Spooned)))]);
        }
        else if (measures.PackingOf(flour) / taken is var more && Math.Abs(more - 1) > Same && Mass(spec.Start.Flour * more) is var to)
        {
            yield return new(NoteCode.CupsSaid, Stage.Dough, Severity.Watch,
                [Quantity.Of(QuantityName.Mass, spec.Start.Flour), Quantity.Of(QuantityName.Right, to)],
                Mends: [new(MendCode.CupsTo, [Quantity.Of(QuantityName.Mass, to)], Start: spec.Start with { Flour = to }, Dough: Measured(spec.Dough, cups, to / spec.Start.Flour))]);
        }
    }

    private static Grams Mass(Grams mass) => new(Math.Round(mass.Value, 1));

    // Where all else was measured too its shares of the flour shrink as the flour grows.
    private static DoughSpec Measured(DoughSpec dough, FlourCups cups, double more)
    {
        if (!cups.AllMeasured)
        {
            return dough with { Cups = null };
        }

        Amount Share(Amount amount) => amount.By == AmountBy.Share ? Amount.OfFlour(Math.Round(amount.Share.Value / more, 2)) : amount;
        return dough with
        {
            Cups = null,
            Hydration = new(Math.Round(dough.Hydration.Value / more, 2)),
            Liquids = [.. dough.Liquids.Select(l => l with { Amount = Share(l.Amount) })],
            Fat = dough.Fat with { Amount = Share(dough.Fat.Amount) },
            Salt = dough.Salt with { Amount = Share(dough.Salt.Amount) },
            Additions = [.. dough.Additions.Select(a => a with { Amount = Share(a.Amount) })],
        };
    }
}
