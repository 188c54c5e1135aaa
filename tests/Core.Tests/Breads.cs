namespace Ystrata.Core.Tests;

/// <summary>A plain white batch to vary in a test: 80 g balls, a 30 cm sheet, 6 g ghee, an 18 cm round.</summary>
internal static class Breads
{
    public static readonly Larder Larder = Larder.Shipped;

    public static readonly FoldStep Half = new HalfStep();
    public static readonly FoldStep Letter = new LetterStep();
    public static readonly FoldStep MatRoll = new MatRollStep();
    public static readonly FoldStep Coil = new CoilStep();

    public static FoldStep Ghee(double grams) => new BrushStep("ghee", new(grams));

    public static FoldStep RollTo(double mm) => new RollStep(new(mm));

    public static BatchSpec White(params FoldStep[] steps) => new(
        new(24, [new("flour-white", 100)], Feel.Soft, new(62), "water", "ghee", new(3), new(1.8), []),
        new(BallBy.Mass, new(80), new(2.7)),
        new(new(300), new(40), "ghee", new(6), "flour-white", new(0)),
        new(steps),
        new(new(180), new(20)),
        new(new(214), "ghee", new(2.5), Colour.Gold));

    public static BatchSheet Plan(BatchSpec spec) => Planner.Plan(spec, Larder, Learned.Nothing);

    public static BatchSheet Plan(params FoldStep[] steps) => Plan(White(steps));

    public static bool Has(this BatchSheet sheet, NoteCode code) => sheet.Notes.Any(n => n.Code == code);

    public static Note The(this BatchSheet sheet, NoteCode code) => sheet.Notes.Single(n => n.Code == code);

    public static double Figure(this Note note, string name) => note.Quantities.Single(q => q.Name == name).Value;
}
