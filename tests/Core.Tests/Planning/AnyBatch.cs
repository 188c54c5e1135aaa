namespace Ystrata.Core.Tests;

/// <summary>Batches of every route, school and step, drawn by a seed. Most can be worked; what cannot is refused, and says so.</summary>
internal sealed class AnyBatch
{
    private static readonly string[] Fats = ["ghee", "butter", "oil-sunflower", "lard", "butter-salted", "oil-mustard", "shortening"];
    private static readonly string[] Flours = ["flour-white", "flour-atta", "flour-bread", "flour-barley", "flour-semolina", "flour-rye", "flour-buckwheat"];
    private static readonly string[] Liquids = ["water", "milk", "yogurt", "buttermilk", "puree-beet", "puree-carrot", "paste-leaf", "egg", "coconut-milk", "whey"];
    private static readonly string[] Additions = ["seed-nigella", "seed-carom", "sugar", "honey", "baking-powder", "yeast-quick", "fenugreek-leaf", "leek", "spice-ground", "garlic", "milk-powder"];
    private static readonly string[] Stuff = ["radish", "cabbage", "cauliflower", "carrot", "pea-mash", "paneer", "lamb-mince-cooked", "date-paste", "walnut", "leek", "mushroom", "chard-wilted", "rice-cooked", "egg-boiled", "beetroot"];
    private static readonly string[] Binders = ["gram-flour-roasted", "oats-rolled", "crumbs-dry", "flour-semolina", "coconut-dry"];

    private readonly Random random;

    private AnyBatch(int seed) => random = new(seed);

    public static BatchSpec Of(int seed) => new AnyBatch(seed).Batch();

    private double Between(double least, double most) => Math.Round(least + (most - least) * random.NextDouble(), 1);

    private int Count(int least, int most) => random.Next(least, most + 1);

    private bool OneIn(int n) => random.Next(n) == 0;

    private T One<T>(params T[] of) => of[random.Next(of.Length)];

    private T Any<T>()
        where T : struct, Enum => One(Enum.GetValues<T>());

    private T[] Some<T>(T[] of, int least, int most)
    {
        var all = of.ToArray();
        random.Shuffle(all);
        return all[..Count(least, most)];
    }

    private BatchSpec Batch()
    {
        var feel = OneIn(6) ? Feel.Batter : One(Feel.Firm, Feel.Medium, Feel.Soft, Feel.VerySoft);
        var across = Between(120, 260);
        var ball = Between(40, 140);
        var start = StartSpec.Of(Count(2, 60)) with
        {
            By = Any<StartBy>(),
            Flour = new(Between(300, 3000)),
            Liquid = new(Between(200, 1500)),
            Filling = new(Between(300, 2000)),
            FillingEach = new(Between(20, 80)),
            People = Count(1, 30),
            Each = Between(1, 4),
        };
        return new(
            start,
            Dough(feel),
            new(new(Between(0, 150)), OneIn(5) ? RestPlace.Fridge : RestPlace.Room, Any<RoomAir>(), !OneIn(4), OneIn(3)),
            new(Any<BallBy>(), new(ball), new(Between(1.5, 6)), OneIn(4) ? [.. Enumerable.Range(0, Count(1, 6)).Select(_ => new Grams(Between(ball * 0.9, ball * 1.1)))] : null,
                OneIn(6) ? new Grams(Between(20, 39)) : null, Any<DivideInto>(), OneIn(2) ? CuttingSpec.Usual : null),
            new(new(Between(50, 160)), new(Between(1, 7))),
            new(new(Between(150, 380)), new(Between(0, 60)), One(Fats), new(OneIn(4) ? 0 : Between(0, 9)), One("flour-white", "starch-corn", "flour-atta"), new(OneIn(2) ? 0 : Between(0, 3)),
                OneIn(2) ? new Millimetres(Between(100, 300)) : null),
            new([.. Enumerable.Range(0, OneIn(4) ? 0 : Count(1, 6)).Select(_ => Step())]),
            new(new(across), new(Between(0, 40)), Any<RollBy>()),
            Pan(),
            OneIn(2) ? Filling() : null);
    }

    private DoughSpec Dough(Feel feel)
    {
        var by = Any<WaterBy>();
        Amount Fixed(double least, double most, double grams) => OneIn(4) ? Amount.Weighed(Between(grams / 4, grams)) : Amount.OfFlour(Between(least, most));
        var liquids = Some(Liquids, 1, 3).Select(id => new LiquidSpec(id, Fixed(3, 25, 60), id.StartsWith("puree", StringComparison.Ordinal) && OneIn(2) ? new Percent(Between(80, 94)) : null)).ToList();
        if (by != WaterBy.Liquids)
        {
            liquids[0] = liquids[0] with { Id = One("water", "water", "milk", "puree-beet"), Amount = Amount.TheRest };
            liquids = [.. liquids.DistinctBy(l => l.Id)];
            liquids = [.. liquids.Select(l => l.Id.StartsWith("puree", StringComparison.Ordinal) ? l : l with { Water = null })];
        }
        else
        {
            liquids[0] = new("water", Amount.OfFlour(feel == Feel.Batter ? Between(120, 230) : Between(40, 75)));
            liquids = [.. liquids.DistinctBy(l => l.Id)];
        }

        return new(
            [.. Some(Flours, 1, 3).Select(id => new FlourShare(id, Between(5, 100)))],
            feel,
            by,
            new(feel == Feel.Batter ? Between(120, 240) : Between(48, 80)),
            liquids,
            new(One(Fats), Fixed(0, 14, 60), Any<FatWhen>()),
            new(One("salt-fine", "salt-flake"), OneIn(5) ? Amount.Weighed(Between(2, 20)) : Amount.OfFlour(Between(0.5, 3))),
            [.. Some(Additions, 0, 3).Select(id => new AdditionSpec(id, Amount.OfFlour(OneIn(8) ? 0 : Between(0.1, id is "leek" or "fenugreek-leaf" ? 20 : 4))))],
            new(Any<Kneading>(), OneIn(4) ? new Grams(Between(500, 3000)) : null, OneIn(8) ? new Grams(Between(300, 700)) : null));
    }

    private FoldStep Step() => Count(0, 24) switch
    {
        0 => new RollStep(new(Between(150, 400))),
        1 => new PressStep(new(Between(100, 250))),
        2 => new RollLongStep(new(Between(200, 400)), new(Between(100, 250))),
        3 => new StretchStep(Between(1, 1.8)),
        4 or 5 or 6 => new BrushStep(One(Fats), new(Between(0.5, 5)), Any<LaidOn>(), OneIn(4) ? new Millimetres(Between(2, 15)) : null),
        7 => new PasteStep(One(Fats), new(Between(1, 8)), "flour-white", new(Between(1, 8))),
        8 => new DustStep(One("flour-white", "starch-corn"), new(Between(0.3, 3))),
        9 => new ScatterStep(One("seed-nigella", "herb-chopped", "garlic"), new(Between(0.5, 4)), new(Between(0.3, 3))),
        10 => new SeedsStep("seed-sesame", new(Between(0.5, 3)), Any<LaidOn>()),
        11 or 12 => new HalfStep(),
        13 or 14 => new LetterStep(),
        15 => new GateStep(),
        16 => new EnvelopeStep(OneIn(2)),
        17 => new AccordionStep(Count(3, 14)),
        18 => new EncloseStep(One(Fats), new(Between(4, 14)), "flour-white", new(Between(4, 16))),
        19 => new StripsStep(Count(2, 6), OneIn(2)),
        20 => new SlitStep(Count(3, 12)),
        21 => new MatRollStep(),
        22 => One<FoldStep>(new CoilStep(), new ConeStep(Count(3, 6)), new CutLogStep(Count(2, 4))),
        23 => new PinchStep(),
        _ => new RestStep(new(Between(0, 40))),
    };

    private PanSpec Pan()
    {
        var fat = One(Fats);
        return new(
            new(Between(150, 265)),
            fat,
            new(OneIn(6) ? 0 : Between(0.3, 8)),
            Any<Colour>(),
            Any<Roasting>(),
            OneIn(2) ? Cookware.Of(Any<PanKind>()) with { Flame = Any<Flame>() } : null,
            OneIn(8),
            OneIn(6) ? new Celsius(Between(140, 280)) : null,
            Count(1, 4),
            Count(2, 6),
            OneIn(4) ? [.. Enumerable.Range(0, Count(2, 5)).Select(_ => new Stay(new(Count(20, 90)), new(OneIn(2) ? 0 : Between(0.5, 5))))] : null,
            OneIn(5) && Fats.First(f => f != fat) is var other ? new SecondFat(other, new(Between(10, 60))) : null,
            Any<Finish>(),
            Any<HoldIn>(),
            OneIn(2) ? new Minutes(Between(0, 120)) : null,
            Wants: Any<HoldWant>());
    }

    private FillingSpec Filling() => new(
        [.. Some(Stuff, 1, 3).Select(id => new FillingPart(id, new(Between(150, 1500)), new(Between(0, 25)), [.. Enumerable.Range(0, Count(0, 4)).Select(_ => PartStep())]))],
        [.. Enumerable.Range(0, Count(0, 4)).Select(_ => OneIn(2) ? PartStep() : Late())],
        new(Between(0.5, 2)),
        OneIn(2),
        new(Any<ParcelShape>(), new(Between(20, 140))));

    private FillingStep PartStep() => Count(0, 8) switch
    {
        0 or 1 => new ChopStep(Any<ChopBy>(), new(Between(1, 8))),
        2 => new SaltStep("salt-fine", new(Between(0.3, 2)), new(Between(0, 30))),
        3 or 4 => new SqueezeStep(Any<SqueezeBy>()),
        5 => new BlanchStep(new(Between(1, 4))),
        6 => One<FillingStep>(new BoilStep(new(Between(5, 30))), new SoakStep(new(Between(30, 400))), new PressureStep(new(Between(3, 12)))),
        7 => new SauteStep(new(Between(2, 20)), new(Between(200, 320)), One(Fats), new(Between(2, 20))),
        _ => new CoolStep(new(Between(5, 60)), Any<RestPlace>()),
    };

    private FillingStep Late() => Count(0, 3) switch
    {
        0 => new BindStep(One(Binders), new(Between(5, 40))),
        1 => new SeasonStep(One("spice-ground", "salt-fine", "herb-chopped", "garlic", "seed-nigella"), new(Between(1, 15))),
        2 => new MoistenStep(One("yogurt", "water", "ghee"), new(Between(5, 40))),
        _ => new SweetenStep(One("sugar", "jaggery"), new(Between(20, 150)), new(Between(1, 8)), new(Between(200, 300))),
    };
}
