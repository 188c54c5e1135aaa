namespace Ystrata.Core.Lamination;

/// <summary>The bread wanted: about so many leaves of about this thickness in this round.</summary>
/// <param name="Leaves">That come apart.</param>
public sealed record WantedLeaves(int Leaves, Millimetres Leaf, Millimetres Across)
{
    public static IReadOnlyList<Limit> Limits { get; } =
    [
        new("leaves", 2, 200, ""),
        new("leaf", 0.05, 3, Millimetres.Unit),
        new("across", 60, 600, Millimetres.Unit),
    ];

    /// <returns>What stands in the way of looking, by <c>wanted.</c> and the figure.</returns>
    public IEnumerable<Refusal> Check() => Limits
        .Zip([Leaves, Leaf.Value, Across.Value])
        .Where(l => !(l.Second >= l.First.Least && l.Second <= l.First.Most))
        .Select(l => new Refusal($"wanted.{l.First.Field}", RefusalCode.OutOfRange, l.Second, l.First.Least, l.First.Most, l.First.Unit));
}

/// <param name="Ball">The ball it takes.</param>
public sealed record FoundProgram(ComparedProgram Program, Grams Ball, BallsSpec Balls, RollSpec Roll);

/// <summary>From the leaves wanted to programs that make them.</summary>
public static class Reverse
{
    // How near counts as about (empirical).
    private static readonly Percent NearLeaves = new(15), NearLeaf = new(25);

    // Of the round's diameter, before the last roll.
    private const double FoldedShare = 0.9;

    // A pin never makes a piece smaller; so much wider than wanted still passes (empirical).
    private const double LittleWider = 1.1;

    private const int MostFound = 8;

    // No sheet is smaller, mm.
    private const double LeastSheet = 60;

    // Ghee per brush, share of the ball: enough that no usual last roll welds (empirical).
    private const double BrushShare = 0.03;

    /// <returns>Programs that reach it, least hand time first; none when nothing comes near.</returns>
    public static IReadOnlyList<FoundProgram> Find(WantedLeaves wanted, Compare compare)
    {
        var spec = compare.Spec;
        var ball = Round.MassOf(wanted.Across, wanted.Leaf * wanted.Leaves, compare.Density);
        var roll = spec.Roll with { Diameter = wanted.Across };
        return
        [
            .. Candidates(spec, ball, wanted, compare)
                .Select(p => compare.Of(p, ball, roll))
                .Where(c => c is { Fold.Pieces: 1, Roll: not null, TooThin: false } && Near(c, wanted))
                .OrderBy(c => c.Fold!.Hands.Value)
                .Take(MostFound)
                .Select(c => new FoundProgram(c, ball, spec.Balls with { By = BallBy.Mass, Mass = ball }, roll)),
        ];
    }

    private static bool Near(ComparedProgram c, WantedLeaves wanted)
    {
        var leaves = c.Fold!.Rings is { OnEdge: true } rings ? rings.Apart : c.Fold.MeanEffective;
        return Math.Abs(leaves / wanted.Leaves - 1) <= NearLeaves.Fraction
            && Math.Abs(c.Roll!.Leaf / wanted.Leaf - 1) <= NearLeaf.Fraction
            && c.Roll.Across.Value <= wanted.Across.Value * LittleWider;
    }

    private static IEnumerable<FoldProgram> Candidates(BatchSpec spec, Grams ball, WantedLeaves wanted, Compare compare)
    {
        var fat = new Grams(Math.Max(Math.Round(ball.Value * BrushShare * 2) / 2, 0.5));
        var widest = compare.WidestSheet(ball);
        if (widest.Value < LeastSheet)
        {
            yield break;
        }

        FoldStep brush = new BrushStep(spec.Sheet.Fat, fat), board = new BrushStep(spec.Sheet.Fat, fat, LaidOn.Board);

        // A sheet that, folded so many times upon itself, is a little smaller than the round: the last roll has something to do.
        Millimetres For(double copies) => new(Math.Clamp(Math.Floor(wanted.Across.Value * Math.Sqrt(copies) * FoldedShare / 10) * 10, LeastSheet, widest.Value));
        FoldProgram Of(string id, Millimetres across, params FoldStep[] steps)
        {
            // Flaps of a round leave corners bare, so what is folded in from the sides begins as a square of the same area.
            var side = new Millimetres(Math.Round(across.Value * Math.Sqrt(Math.PI) / 2));
            var square = steps.Any(s => s is LetterStep or EnvelopeStep or AccordionStep or StripsStep);
            return new(id, spec.Sheet with { Diameter = square ? side : across, Width = square ? side : null, FatMass = fat * 2, DustMass = Grams.Zero }, new(steps));
        }

        // Folded flat: every row of halves and letters that makes no more leaves than wanted and some.
        foreach (var folds in Rows(wanted.Leaves * 1.3))
        {
            yield return Of(folds.Any(f => f is LetterStep) ? "letters" : "halves", For(folds.Aggregate(1, (n, f) => n * (f is LetterStep ? 3 : 2))), [.. folds.SelectMany((f, i) => i == 0 ? [f] : new[] { brush, f })]);
        }

        // Folded along into a strip of six leaves, wound on edge.
        yield return Of("stripCoil", widest, board, new LetterStep(FoldWay.Along), brush, new HalfStep(FoldWay.Along), new StretchStep(1.5), new CoilStep());
        for (var pleats = 3; pleats <= Math.Min(wanted.Leaves + 2, 24); pleats++)
        {
            yield return Of("pleats", For(pleats), board, new AccordionStep(pleats));
            yield return Of("pleatCoil", widest, board, new AccordionStep(pleats), new CoilStep());
        }

        yield return Of("envelope", For(4), new EnvelopeStep(false));
        yield return Of("overlap", For(9), board, new EnvelopeStep(true));
        for (var turns = 2; turns <= 8; turns++)
        {
            yield return Of("cone", For(turns), board, new ConeStep(turns));
        }

        // A coil's leaves follow from how wide the sheet is rolled.
        for (var share = 0.4; share <= 1.001; share += 0.05)
        {
            var across = new Millimetres(Math.Min(Math.Max(Math.Round(widest.Value * share / 10) * 10, 100), widest.Value));
            yield return Of("coils", across, board, new MatRollStep(), new CoilStep());
        }

        for (var strips = 2; strips <= Math.Min(wanted.Leaves + 2, 24); strips++)
        {
            yield return Of("strips", For(strips), board, new StripsStep(strips, true));
        }
    }

    private static IEnumerable<FoldStep[]> Rows(double most)
    {
        for (var letters = 0; Math.Pow(3, letters) <= most; letters++)
        {
            for (var halves = 0; Math.Pow(3, letters) * Math.Pow(2, halves) <= most && letters + halves <= 6; halves++)
            {
                if (letters + halves > 0)
                {
                    yield return [.. Enumerable.Repeat<FoldStep>(new LetterStep(), letters), .. Enumerable.Repeat<FoldStep>(new HalfStep(), halves)];
                }

                if (letters > 0 && halves > 0)
                {
                    yield return [.. Enumerable.Repeat<FoldStep>(new HalfStep(), halves), .. Enumerable.Repeat<FoldStep>(new LetterStep(), letters)];
                }
            }
        }
    }
}
