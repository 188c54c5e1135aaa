namespace Ystrata.Core.Lamination;

/// <summary>The piece after one step of the program.</summary>
/// <param name="Across">Longer side, or diameter.</param>
/// <param name="Wide">Shorter side, or diameter.</param>
/// <param name="Leaves">Where it is fullest.</param>
/// <param name="Film">Fat that lies on the face that is up, where it is fullest.</param>
/// <param name="Laid">Contacts this step made there.</param>
/// <param name="Welded">Of those, the ones that have fused once the piece is rolled out.</param>
/// <param name="Time">Of the hands.</param>
/// <param name="View">The piece from above.</param>
/// <param name="Section">The piece cut through where it is fullest.</param>
public sealed record StepSheet(
    Outline Outline,
    Millimetres Across,
    Millimetres Wide,
    SquareCentimetres Area,
    Millimetres Thickness,
    int Leaves,
    Micrometres Film,
    int Laid,
    int Welded,
    Seconds Time,
    PlanView View,
    Section Section);

/// <summary>Rings that stand upright from the middle to the rim.</summary>
/// <param name="Apart">Rings that come apart: 1 + contacts that are not fused.</param>
/// <param name="Each">One ring along the radius, on average.</param>
/// <param name="State">The worst contact between two rings.</param>
/// <param name="OnEdge">True when the leaves themselves stand upright; false for a rope wound flat, whose rings are windings.</param>
public sealed record RingSheet(double Count, double Apart, Millimetres Each, ContactState State, bool OnEdge);

/// <param name="Nominal">Leaves through the thickness, piled where the piece is fullest.</param>
/// <param name="Effective">1 + contacts there that are not fused.</param>
/// <param name="Covers">Share of the finished piece that has as many leaves.</param>
/// <param name="MeanEffective">Leaves that come apart, on average over the piece.</param>
/// <param name="InsideFat">Fat laid on or between leaves, per ball.</param>
/// <param name="FatPer100G">The same per 100 g of raw dough.</param>
/// <param name="Laid">All of it by ingredient, what is scattered among it.</param>
/// <param name="Pieces">Pieces one ball becomes.</param>
/// <param name="Threads">Threads of a slit sheet, through the thickness; nothing without slits.</param>
/// <param name="Hands">From sheet to last roll, one ball, rests not counted.</param>
/// <param name="Difficulty">1 easy to 5 hard.</param>
public sealed record FoldSheet(
    IReadOnlyList<StepSheet> Steps,
    int Nominal,
    int Effective,
    int Patchy,
    int Fused,
    Percent Covers,
    double MeanEffective,
    Grams InsideFat,
    Grams InsideDust,
    Grams FatPer100G,
    IReadOnlyList<LaidMass> Laid,
    RingSheet? Rings,
    int Pieces,
    int? Threads,
    Seconds Hands,
    int Difficulty,
    FlakeSheet Flake);

/// <summary>Stage 5: the fold program, step by step.</summary>
public static class FoldStage
{
    /// <summary>Carries the sheet through the steps, as far as hands can do them.</summary>
    /// <returns>The piece after every step, in order; and why the next cannot be done, where one cannot.</returns>
    public static (IReadOnlyList<Form> Folded, Refusal? Refusal) Work(IReadOnlyList<FoldStep> steps, Form sheet, Kitchen kitchen)
    {
        var pieces = new List<Form>(steps.Count);
        var piece = sheet;
        for (var i = 0; i < steps.Count; i++)
        {
            if (StepCheck.Workable(steps[i], piece, $"fold.steps[{i}]") is { } refusal)
            {
                return (pieces, refusal);
            }

            piece = steps[i].Apply(piece, i, kitchen);
            pieces.Add(piece);
        }

        return (pieces, null);
    }

    /// <summary>Judges the program once the piece has been rolled out: films thin with the last roll, so leaves weld there.</summary>
    /// <param name="drawn">False leaves the plan views out, where nobody looks at single steps.</param>
    internal static FoldSheet Judge(Shaping shape, Form sheet, IReadOnlyList<Form> steps, Rolled rolled, Grams ball, FlourMix mix, HandTimes times, bool drawn = true)
    {
        var full = rolled.Fullest;
        var fused = full.CountOf(c => c.State == ContactState.Fused);
        var welded = new int[steps.Count];
        var laid = new int[steps.Count];
        foreach (var (contact, count) in full.Kinds)
        {
            laid[contact.Step] += count;
            welded[contact.Step] += contact.State == ContactState.Fused ? count : 0;
        }

        var used = shape.Inputs;
        var fat = new Grams(used.Where(u => u.Is == LaidIn.Fat).Sum(u => u.OfBall.Value));
        var dust = new Grams(used.Where(u => u.Is == LaidIn.Dust).Sum(u => u.OfBall.Value));
        var views = drawn ? PlanView.Of(shape.Steps, sheet, steps) : null;
        var covers = rolled.Places.Where(p => p.Pile.Count >= full.Count).Sum(p => p.Area.Value) / rolled.Area.Value;
        var rings = rolled.Rings is { } r ? RingsOf(r) : null;

        return new(
            [.. steps.Select((p, i) => new StepSheet(
                p.Outline, p.Length, p.Width, p.Area, p.Thickness, p.Fullest.Count, p.Fullest.Top.Film, laid[i], welded[i], times.Of(shape.Steps[i], p), views?[i] ?? PlanView.None, drawn ? Section.Of(p, full) : Section.Of(p)))],
            full.Count,
            full.Count - fused,
            full.CountOf(c => c.State == ContactState.Patchy),
            fused,
            Percent.FromFraction(Math.Min(covers, 1)),
            rolled.Places.Sum(p => ApartIn(p.Pile) * p.Area.Value) / rolled.Area.Value,
            fat,
            dust,
            fat * (100 / ball.Value),
            [.. used.Where(u => u.Mass.Value > 0).GroupBy(u => u.Id).Select(g => new LaidMass(g.Key, new(g.Sum(u => u.OfBall.Value))))],
            rings,
            rolled.Piece.Count,
            rolled.Piece.Ribbons > 1 ? rolled.Piece.Ribbons * full.Count : null,
            times.OfProgram(shape, steps),
            DifficultyOf(shape.Steps),
            FlakeSheet.Of(rolled, rings, shape.By, mix.Bears));
    }

    // 1 easy to 5 hard: 1 and what the steps add (empirical).
    private static int DifficultyOf(IReadOnlyList<FoldStep> steps) => Math.Clamp((int)Math.Round(1 + steps.DistinctBy(s => s.GetType()).Sum(s => s.Difficulty)), 1, 5);

    /// <summary>Leaves of a pile that come apart: 1 + contacts that are not fused.</summary>
    public static int ApartIn(Pile pile) => 1 + pile.CountOf(c => c.State != ContactState.Fused);

    private static RingSheet RingsOf(Rings rings)
    {
        var states = rings.Contacts.Select(c => c.State).ToList();
        var open = states.Count(s => s != ContactState.Fused) / (double)states.Count;
        return new(
            rings.Count,
            1 + Math.Max(rings.Count - 1, 0) * open,
            new(rings.Leaves.Average(l => l.Value)),
            states.Max(),
            rings.Face.Value > 0);
    }
}
