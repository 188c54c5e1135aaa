namespace Ystrata.Core;

/// <summary>The piece after one step of the program.</summary>
/// <param name="Across">Longer side, or diameter.</param>
/// <param name="Wide">Shorter side, or diameter.</param>
/// <param name="Film">Fat that lies on the face that is up.</param>
/// <param name="Laid">Contacts this step made.</param>
/// <param name="Welded">Of those, the ones that have fused once the piece is rolled out.</param>
public sealed record StepSheet(
    Outline Outline,
    Millimetres Across,
    Millimetres Wide,
    SquareCentimetres Area,
    Millimetres Thickness,
    int Leaves,
    Micrometres Film,
    int Laid,
    int Welded);

/// <param name="Nominal">Leaves piled.</param>
/// <param name="Effective">1 + contacts that are not fused.</param>
/// <param name="InsideFat">Fat laid on or between leaves, per piece.</param>
/// <param name="FatPer100G">The same per 100 g of raw dough.</param>
/// <param name="Rings">Windings of the coil from rim to middle; nothing without a coil.</param>
/// <param name="RingsState">Whether those windings come apart.</param>
public sealed record FoldSheet(
    IReadOnlyList<StepSheet> Steps,
    int Nominal,
    int Effective,
    int Patchy,
    int Fused,
    Grams InsideFat,
    Grams InsideDust,
    Grams FatPer100G,
    double? Rings,
    ContactState? RingsState);

/// <summary>Stage 5: the fold program, step by step.</summary>
public static class FoldStage
{
    /// <summary>Carries the sheet through the steps.</summary>
    /// <returns>The piece after every step, in order.</returns>
    public static IReadOnlyList<Piece> Work(FoldSpec spec, Piece sheet, Larder larder)
    {
        var pieces = new List<Piece>(spec.Steps.Count);
        var piece = sheet;
        for (var i = 0; i < spec.Steps.Count; i++)
        {
            piece = Folding.Apply(spec.Steps[i], piece, i, larder);
            pieces.Add(piece);
        }

        return pieces;
    }

    /// <summary>Judges the program once the piece has been rolled out: films thin with the last roll, so leaves weld there.</summary>
    public static FoldSheet Judge(FoldSpec spec, IReadOnlyList<Piece> steps, Piece rolled, SheetSpec sheet, Grams ball)
    {
        var states = Array.ConvertAll(rolled.Contacts, c => Contacts.StateOf(c.Coat));
        var fused = states.Count(s => s == ContactState.Fused);
        var welded = new int[steps.Count];
        var laid = new int[steps.Count];
        for (var i = 0; i < states.Length; i++)
        {
            laid[rolled.Contacts[i].Step]++;
            welded[rolled.Contacts[i].Step] += states[i] == ContactState.Fused ? 1 : 0;
        }

        var fat = sheet.FatMass + new Grams(spec.Steps.OfType<BrushStep>().Sum(s => s.Mass.Value));
        var dust = sheet.DustMass + new Grams(spec.Steps.OfType<DustStep>().Sum(s => s.Mass.Value));
        var (rings, ringsState) = RingsOf(spec, steps);

        return new(
            [.. steps.Select((p, i) => new StepSheet(p.Outline, p.Length, p.Width, p.Area, p.Thickness, p.Leaves.Length, p.Top.Film, laid[i], welded[i]))],
            rolled.Leaves.Length,
            1 + states.Length - fused,
            states.Count(s => s == ContactState.Patchy),
            fused,
            fat,
            dust,
            fat * (100 / ball.Value),
            rings,
            ringsState);
    }

    // Rings: D/2d windings; neighbours touch with the outside of the rope, which is the back of the sheet on both.
    private static (double? Rings, ContactState? State) RingsOf(FoldSpec spec, IReadOnlyList<Piece> steps)
    {
        for (var i = spec.Steps.Count - 1; i > 0; i--)
        {
            if (spec.Steps[i] is CoilStep)
            {
                var rope = steps[i - 1];
                return (steps[i].Length / rope.Width / 2, Contacts.StateOf(rope.Top + rope.Bottom));
            }
        }

        return (null, null);
    }
}
