namespace Ystrata.Core.Lamination;

/// <summary>A sheet and the steps that fold it.</summary>
/// <param name="Id">The school's; the interface names it.</param>
public sealed record FoldProgram(string Id, SheetSpec Sheet, FoldSpec Fold);

/// <summary>The main schools of folding, each as a usual program for the ball and the fats of a batch.</summary>
public static class FoldPrograms
{
    // The programs are written for a ball of 80 g; sheets grow with its square root, fat and flour with it.
    private static readonly Grams UsualBall = new(80);

    public static IReadOnlyList<string> Ids { get; } =
        ["halves", "letters", "envelope", "overlap", "stripCoil", "pleatCoil", "coils", "cone", "strips", "ribbons", "enclosed", "starchLog", "parcel"];

    /// <param name="spec">The batch whose fat, flour and rest they take.</param>
    public static IReadOnlyList<FoldProgram> For(BatchSpec spec, Grams ball)
    {
        var (more, longer) = (ball / UsualBall, Math.Sqrt(ball / UsualBall));
        var (fat, flour) = (spec.Sheet.Fat, spec.Sheet.Dust);
        Grams G(double grams) => new(Math.Max(Math.Round(grams * more * 10) / 10, 0.1));
        Millimetres Mm(double mm) => new(Math.Round(mm * longer));
        BrushStep Brush(double grams, LaidOn on = LaidOn.Top) => new(fat, G(grams), on);
        FoldProgram Of(string id, double across, double fatMass, double dust, FoldStep[] steps, double? width = null) => new(
            id,
            spec.Sheet with
            {
                Diameter = Mm(across),
                Width = width is { } w ? Mm(w) : null,
                FatMass = fatMass > 0 ? G(fatMass) : Grams.Zero,
                DustMass = dust > 0 ? G(dust) : Grams.Zero,
            },
            new(steps));

        return
        [
            Of("halves", 240, 4, 1, [new HalfStep(), Brush(2), new DustStep(flour, G(0.5)), new HalfStep()]),
            Of("letters", 270, 6, 0, [new LetterStep(), Brush(2), new LetterStep()], 262),
            Of("envelope", 270, 5, 0, [Brush(2, LaidOn.Board), new EnvelopeStep(Overlap: false)], 262),
            Of("overlap", 270, 6, 1, [new EnvelopeStep(Overlap: true)], 262),
            Of("stripCoil", 340, 6, 1, [new LetterStep(FoldWay.Along), Brush(2), new DustStep(flour, G(0.5)), new HalfStep(FoldWay.Along), new StretchStep(1.5), Brush(1), new CoilStep(), new RestStep(new(20))], 220),
            Of("pleatCoil", 360, 7, 1, [Brush(3, LaidOn.Board), new AccordionStep(12), new StretchStep(1.5), new CoilStep(), new RestStep(new(20))]),
            Of("coils", 340, 8, 1, [Brush(2, LaidOn.Board), new MatRollStep(), new StretchStep(1.3), new CoilStep(), new RestStep(new(20))]),
            Of("cone", 280, 5, 1, [new ConeStep(5)]),
            Of("strips", 320, 6, 1, [new StripsStep(8, Gathered: true), new CoilStep(), new RestStep(new(15))], 240),
            Of("ribbons", 320, 7, 1, [new SlitStep(16), new MatRollStep(), new StretchStep(1.4), new CoilStep(), new RestStep(new(20))], 240),
            Of("enclosed", 240, 0, 0, [new EncloseStep(fat, G(10), flour, G(16)), new RollLongStep(Mm(320), Mm(160)), new LetterStep(), new RestStep(new(20)), new RollLongStep(Mm(320), Mm(160)), new LetterStep(), new RestStep(new(20)), new RollLongStep(Mm(300), Mm(180)), new MatRollStep(), new CutLogStep(2)], 160),
            Of("starchLog", 300, 3, 3, [new HalfStep(), new DustStep(flour, G(2)), new MatRollStep(), new CutLogStep(4)], 200),
            Of("parcel", 220, 0, 0, [new EnvelopeStep(Overlap: false), new PinchStep()]),
        ];
    }
}
