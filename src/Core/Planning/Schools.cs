namespace Ystrata.Core.Planning;

/// <summary>A school to begin a new bread from; the interface names it.</summary>
public sealed record School(string Id, BatchSpec Spec);

/// <summary>The schools whose steps can be worked here, each as a usual batch.</summary>
public static class Schools
{
    private static readonly BatchSpec Plain = BatchSpec.Plain;

    public static IReadOnlyList<School> All { get; } =
    [
        new("plain", Plain),
        new("waterFirst", Plain with
        {
            Start = StartSpec.Of(12) with { By = StartBy.Liquid, Liquid = new(360) },
            Dough = DoughSpec.Of(Staples.WholeFlour, Feel.Medium, 70, Staples.Ghee, 0) with { WaterBy = WaterBy.Feel },
            Rest = RestSpec.CoveredFor(45),
            Balls = new(BallBy.Mass, new(45), new(1.6)),
            Sheet = Plain.Sheet with { Diameter = new(170) },
            Roll = new(new(170), new(5)),
            Pan = new(new(230), Staples.Ghee, new(1.2), Colour.Pale, Roasting.DryOnly),
        }),
        new("halves", Plain with
        {
            Dough = DoughSpec.Of(Staples.WholeFlour, Feel.Medium, 68, Staples.Ghee, 3),
            Rest = RestSpec.CoveredFor(40),
            Balls = new(BallBy.Mass, new(70), new(2.3)),
            Sheet = Plain.Sheet with { Diameter = new(220), FatMass = new(4), Dust = Staples.WholeFlour, DustMass = new(1) },
            Fold = new([new HalfStep(), new BrushStep(Staples.Ghee, new(1.5)), new DustStep(Staples.WholeFlour, new(0.5)), new HalfStep()]),
        }),
        new("letters", Plain with
        {
            Dough = DoughSpec.Of(Staples.WhiteFlour, Feel.Soft, 62, Staples.Ghee, 3),
            Sheet = Plain.Sheet with { Diameter = new(270), Width = new(262), FatMass = new(6) },
            Fold = new([new LetterStep(), new BrushStep(Staples.Ghee, new(2)), new LetterStep()]),
            Roll = new(new(180), new(20)),
        }),
        new("coils", Plain with
        {
            Dough = DoughSpec.Of(Staples.StrongFlour, Feel.Soft, 64, Staples.NeutralOil, 5),
            Rest = RestSpec.CoveredFor(60),
            Balls = new(BallBy.Mass, new(100), new(3.3)),
            Sheet = Plain.Sheet with { Diameter = new(340), FatMass = new(9), DustMass = new(1) },
            Fold = new([new BrushStep(Staples.Ghee, new(3), LaidOn.Board), new MatRollStep(), new StretchStep(1.3), new CoilStep()]),
            Roll = new(new(180), new(30), RollBy.Hand),
        }),
        new("stretched", Plain with
        {
            Dough = DoughSpec.Of(Staples.WhiteFlour, Feel.VerySoft, 62, Staples.NeutralOil, 20) with { WaterBy = WaterBy.Feel, Fat = new(Staples.NeutralOil, Amount.OfFlour(20), FatWhen.WorkedIn) },
            Rest = RestSpec.CoveredFor(120) with { Oiled = true },
            Sheet = Plain.Sheet with { Diameter = new(380), Rest = new(60), Fat = Staples.NeutralOil, FatMass = new(6) },
            Fold = new([new BrushStep(Staples.NeutralOil, new(4), LaidOn.Board), new AccordionStep(12), new StretchStep(1.5), new CoilStep()]),
            Roll = new(new(180), new(30), RollBy.Hand),
            Pan = Plain.Pan with { Fat = Staples.NeutralOil },
        }),
        Folded("stripCoil", Feel.Soft, 62, s => s with { Roll = new(new(160), new(20), RollBy.Hand) }),
        Folded("envelope", Feel.Soft, 62),
        Folded("cone", Feel.Medium, 58),
        Folded("strips", Feel.Soft, 62),
        Folded("ribbons", Feel.Soft, 64),
        Folded("enclosed", Feel.Soft, 60, s => s with { Roll = new(new(120), new(15)) }),
        Folded("starchLog", Feel.Firm, 48, s => s with { Sheet = s.Sheet with { Dust = Staples.Starch }, Roll = new(new(90), new(10)) }),
        Folded("parcel", Feel.Soft, 62),
        new("puree", Plain with
        {
            Dough = DoughSpec.Of(Staples.WhiteFlour, Feel.Medium, 60, Staples.OtherOil, 3) with { WaterBy = WaterBy.Feel, Liquids = [new(Staples.Puree, Amount.TheRest)] },
            Rest = RestSpec.CoveredFor(60),
            Sheet = Plain.Sheet with { Fat = Staples.OtherOil },
            Pan = Plain.Pan with { Temperature = new(190), Fat = Staples.OtherOil },
        }),
        new("stuffed", Plain with
        {
            Dough = DoughSpec.Of(Staples.WholeFlour, Feel.Soft, 74, Staples.Ghee, 3),
            Rest = RestSpec.CoveredFor(45),
            Roll = new(new(180), new(10)),
            Pan = Plain.Pan with { Temperature = new(200) },
            Filling = FillingSpec.Usual,
        }),
        new("batter", Plain with
        {
            Dough = DoughSpec.Of(Staples.WhiteFlour, Feel.Batter, 180, Staples.NeutralOil, 2) with { Mix = new(Kneading.None) },
            Rest = RestSpec.CoveredFor(30),
            Ladle = new(new(90), new(2.5)),
            Pan = new(new(190), Staples.NeutralOil, new(1.5), Colour.Gold, On: Cookware.Usual with { Flame = Flame.High }),
        }),
    ];

    // A plain dough with the fold program of a school.
    private static School Folded(string id, Feel feel, double hydration, Func<BatchSpec, BatchSpec>? change = null)
    {
        var spec = change is null ? Plain : change(Plain);
        spec = spec with { Dough = DoughSpec.Of(Staples.WhiteFlour, feel, hydration, Staples.Ghee, 3), Roll = spec.Roll with { Rest = new(20) } };
        var program = FoldPrograms.For(spec, spec.Balls.Mass).Single(p => p.Id == id);
        return new(id, spec with { Sheet = program.Sheet, Fold = program.Fold });
    }
}
