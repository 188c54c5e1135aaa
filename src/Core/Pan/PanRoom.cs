namespace Ystrata.Core.Pan;

/// <summary>How many pieces lie on a pan at once.</summary>
internal static class PanRoom
{
    // The least pan for so many rounds side by side, over one of them: known best packings of equal circles in a circle.
    private static readonly double[] Packing = [1, 2, 2.1547, 2.4142, 2.7013, 3, 3, 3.3048, 3.6131, 3.8130, 3.9238, 4.0296];

    // Dough gives: so much of a piece may be pushed together, or overlap the rim (empirical).
    private const double Gives = 1.01;

    /// <summary>Pieces of this size that have room; one, however big. Pieces of another outline lie as close as rounds of their area.</summary>
    public static int For(Cookware on, SquareCentimetres area)
    {
        var over = on.Across / area.AsRound() * Gives;
        return Math.Max(Array.FindLastIndex(Packing, p => p <= over) + 1, 1);
    }

    /// <summary>What is to say of a bread that is wider than its pan.</summary>
    /// <param name="folded">The piece before its last roll.</param>
    public static IEnumerable<Note> Of(CheckedBatch batch, PanSheet pan, RollSheet roll, Form folded)
    {
        var floor = batch.Spec.Pan.Cookware.Across;
        if (pan.Reach.Value > floor.Value * Gives)
        {
            yield return new(
                NoteCode.WiderThanPan, Stage.Pan, Severity.Wrong, [Quantity.Of(QuantityName.Across, pan.Reach), Quantity.Of(QuantityName.Room, floor)],
                Mends: Narrower(batch, floor / pan.Reach, roll, folded) is { } mend ? [mend] : null);
        }
    }

    // As wide as the pan, down to a whole half centimetre, where it can be rolled no wider; a batter from so much smaller a ladle.
    private static Mend? Narrower(CheckedBatch batch, double by, RollSheet roll, Form folded)
    {
        const int step = 5; // mm, ml
        var spec = batch.Spec;
        if (batch.Route.Poured)
        {
            if (DoughSolver.BallFollows(spec.Start))
            {
                return null;
            }

            var volume = new Millilitres(Math.Floor(spec.Ladle.Volume.Value * by * by / step) * step);
            return new(MendCode.LadleTo, [Quantity.Of(QuantityName.Ladle, volume)], Ladle: spec.Ladle with { Volume = volume });
        }

        var across = new Millimetres(Math.Floor(roll.Diameter.Value * by / step) * step);
        return batch.Route.Folds && folded.Area.AsRound() * (spec.Roll.Diameter / batch.Shape.RolledTo) is var already && already.Value > across.Value
            ? null
            : new(MendCode.RollTo, [Quantity.Of(QuantityName.Across, across)], Roll: spec.Roll with { Diameter = across });
    }
}
