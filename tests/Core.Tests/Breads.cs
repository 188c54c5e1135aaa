namespace Ystrata.Core.Tests;

/// <summary>A plain white batch to vary in a test: 80 g balls, a 30 cm sheet, 6 g ghee, an 18 cm round.</summary>
internal static class Breads
{
    public static readonly Larder Larder = Larder.Shipped;

    public static readonly Kitchen Kitchen = Kitchen.Shipped;

    public static readonly FoldStep Half = new HalfStep();
    public static readonly FoldStep Letter = new LetterStep();
    public static readonly FoldStep MatRoll = new MatRollStep();
    public static readonly FoldStep Coil = new CoilStep();

    public static FoldStep Ghee(double grams) => new BrushStep("ghee", new(grams));

    public static FoldStep RollTo(double mm) => new RollStep(new(mm));

    public static BatchSpec White(params FoldStep[] steps) => new(
        StartSpec.Of(24),
        DoughSpec.Of("flour-white", Feel.Soft, 62, "ghee", 3),
        RestSpec.CoveredFor(0),
        new(BallBy.Mass, new(80), new(2.7)),
        new(new(80), new(2.5)),
        new(new(300), new(40), "ghee", new(6), "flour-white", new(0)),
        new(steps),
        new(new(180), new(20)),
        new(new(214), "ghee", new(2.5), Colour.Gold));

    /// <summary>The same with another dough.</summary>
    public static BatchSpec White(Func<DoughSpec, DoughSpec> change, params FoldStep[] steps)
    {
        var white = White(steps);
        return white with { Dough = change(white.Dough) };
    }

    /// <summary>The same kitchen with one thing more in its larder.</summary>
    public static Kitchen With(this Kitchen kitchen, Ingredient item) => kitchen with { Larder = new(kitchen.Larder.All.Where(i => i.Id != item.Id).Append(item)) };

    public static IEnumerable<FillingRow> AllRows(this FillingMade made) => made.Parts.SelectMany(p => p.Rows).Concat(made.Rows);

    public static DoughSpec WithFat(this DoughSpec dough, string id, double percent) => dough with { Fat = dough.Fat with { Id = id, Amount = Amount.OfFlour(percent) } };

    public static DoughSpec WithSalt(this DoughSpec dough, double percent) => dough with { Salt = dough.Salt with { Amount = Amount.OfFlour(percent) } };

    public static DoughSpec WithLiquids(this DoughSpec dough, params LiquidSpec[] liquids) => dough with { Liquids = liquids };

    public static DoughSpec WithAdditions(this DoughSpec dough, params (string Id, double Share)[] additions) =>
        dough with { Additions = [.. additions.Select(a => new AdditionSpec(a.Id, Amount.OfFlour(a.Share)))] };

    public static BatchSheet Plan(BatchSpec spec, Kitchen? kitchen = null) =>
        Planner.Plan(spec, kitchen ?? Kitchen) is var plan && plan.Value is { } sheet ? sheet : throw new InvalidOperationException(string.Join(", ", plan.Refusals));

    public static IReadOnlyList<Refusal> Refused(BatchSpec spec, Kitchen? kitchen = null) => Planner.Check(spec, kitchen ?? Kitchen).Refusals;

    public static CheckedBatch Checked(BatchSpec spec, Kitchen? kitchen = null) => Planner.Check(spec, kitchen ?? Kitchen).Value!;

    public static BatchSheet Plan(params FoldStep[] steps) => Plan(White(steps));

    public static bool Has(this BatchSheet sheet, NoteCode code) => sheet.Notes.Any(n => n.Code == code);

    public static Note The(this BatchSheet sheet, NoteCode code) => sheet.Notes.Single(n => n.Code == code);

    public static double Figure(this Mend mend, QuantityName name) => mend.Quantities.Single(q => q.Name == name).Value;

    public static double Figure(this Note note, QuantityName name) => note.Quantities.Single(q => q.Name == name).Value;
}
