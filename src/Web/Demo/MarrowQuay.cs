using System.Text;
using Ystrata.Core;
using Ystrata.Store;

namespace Ystrata.Web.Demo;

/// <summary>The canteen at the ferry landing: six breads and three weeks of its log, the same every time.</summary>
public sealed class MarrowQuay(Breads breads, Batches batches, Logbook log, Larder larder)
{
    private const int Seed = 20261102;

    private static readonly DateTimeOffset FirstDay = new(2026, 11, 2, 0, 0, 0, TimeSpan.Zero);

    // Which bread, which day after the first, how it came out (soft, leaves, colour, taste) and what the cook wrote.
    private static readonly (string Bread, int Day, int Hour, Judged Judged, string Note)[] Cookings =
    [
        ("Night-crew squares", 0, 18, new(3, 4, 4, 4), "Crew came early, two rounds went out with short rests. Still peeled well."),
        ("First-ferry squares", 1, 6, new(3, 2, 4, 4), "Only one ghee, no time. Middle held together like one leaf."),
        ("Landing rounds", 2, 12, new(4, null, 5, 4), ""),
        ("Nigella coils", 4, 17, new(2, 3, 4, 4), "Rope stretched too far at one end. Middles a bit hard."),
        ("Fenugreek triangles", 6, 12, new(4, 5, 4, 5), "Oil instead of ghee for the table by the window."),
        ("Night-crew squares", 8, 18, new(4, 5, 2, 4), "Pan 2 ran hot. Turned it down after the sixth."),
        ("Beet quarters", 9, 12, new(3, 4, 4, 3), "Puree was thin, needed flour at the bench."),
        ("First-ferry squares", 11, 6, new(4, 3, 3, 4), "Same as last week. Two leaves weld, nobody minds at six."),
        ("Nigella coils", 13, 17, new(4, 5, 4, 5), "Brushed the back as well. Rings came apart."),
        ("Landing rounds", 15, 12, new(2, null, 4, 4), "New bag of flour, drinks more."),
        ("Beet quarters", 17, 12, new(4, 5, 5, 4), "Cooked the puree down first. Better."),
        ("Night-crew squares", 20, 18, new(5, 5, 5, 5), "Best so far. 40 min rest, no hurry."),
    ];

    /// <summary>Fills a kitchen in which nothing has ever been kept; any other is left alone.</summary>
    public void FillIfEmpty()
    {
        if (!breads.NeverUsed())
        {
            return;
        }

        var shelf = Recipes();
        foreach (var bread in shelf.Values)
        {
            breads.Add(bread);
        }

        var random = new Random(Seed);
        foreach (var (name, day, hour, judged, note) in Cookings)
        {
            var at = FirstDay.AddDays(day).AddHours(hour).AddMinutes(5 * random.Next(0, 7));
            var bread = shelf[name];
            var spec = bread.Spec with { Dough = bread.Spec.Dough with { Pieces = bread.Spec.Dough.Pieces + 2 * random.Next(-2, 3) } };
            var batch = new Batch(Id("batch", day), bread.Id, name, spec, at, at.AddHours(-3));
            batches.Add(batch);
            log.Add(new(Id("log", day), batch.Id, spec, at, AsCooked(spec, judged, note, random), at.AddHours(1)));
        }
    }

    // What happened lies near the plan: more water than planned, hands that vary, a pan that wanders.
    private Outcome AsCooked(BatchSpec spec, Judged judged, string note, Random random)
    {
        var sheet = Planner.Plan(spec, larder, Learned.Nothing);
        var planned = Planned.Of(spec, sheet, larder);
        double Near(double value, double spread, double bias = 0) => value * (1 + bias + spread * (2 * random.NextDouble() - 1));
        Grams Weighed(Grams mass, double spread, double bias = 0) => new(Math.Round(Near(mass.Value, spread, bias)));
        Seconds Timed(Seconds time) => new(5 * Math.Round(Near(time.Value, 0.2, 0.05) / 5));

        return new(
            new(
                spec.Dough.Pieces - (random.Next(4) == 0 ? 1 : 0),
                Weighed(planned.Flour, 0.01),
                Weighed(planned.Liquid, 0.03, 0.02),
                Weighed(planned.DoughFat, 0.05),
                Weighed(planned.Salt, 0.03),
                Weighed(planned.BallMass, 0.02)),
            new(new(Math.Round(Near(spec.Pan.Temperature.Value, 0.04))), Timed(planned.Sides[0]), Timed(planned.Sides[1]), Timed(planned.Sides[2])),
            judged,
            note);
    }

    private static Dictionary<string, Bread> Recipes()
    {
        var at = FirstDay.AddDays(-1).AddHours(9);
        var number = 0;
        Bread Make(string name, string about, BatchSpec spec) => new(Id("bread", number++), name, about, spec, at);
        return new[]
        {
            Make("Night-crew squares", "Letter fold twice, ghee on every new face. For the crew of the last boat.", new(
                Dough(24, "flour-white", Feel.Soft, 62, "ghee", 3),
                new(BallBy.Mass, new(80), new(2.7)),
                new(new(300), new(40), "ghee", new(6), "flour-white", new(0)),
                new([new LetterStep(), new BrushStep("ghee", new(2)), new LetterStep()]),
                new(new(180), new(20)),
                new(new(214), "ghee", new(2.5), Colour.Gold))),
            Make("First-ferry squares", "The same square with one ghee, when the first boat will not wait.", new(
                Dough(16, "flour-white", Feel.Medium, 57, "ghee", 3),
                new(BallBy.Mass, new(80), new(2.7)),
                new(new(300), new(20), "ghee", new(6), "flour-white", new(0)),
                new([new LetterStep(), new LetterStep()]),
                new(new(180), new(8)),
                new(new(225), "ghee", new(2.5), Colour.Gold))),
            Make("Nigella coils", "Rolled like a mat, wound and pressed, with nigella through the dough.", new(
                Dough(12, "flour-bread", Feel.Soft, 64, "oil-sunflower", 5, ("seed-nigella", 1.5)),
                new(BallBy.Mass, new(100), new(3.3)),
                new(new(340), new(60), "ghee", new(9), "flour-white", new(1)),
                new([new MatRollStep(), new CoilStep()]),
                new(new(180), new(30)),
                new(new(205), "ghee", new(3), Colour.Brown))),
            Make("Fenugreek triangles", "Half and half again, flour over the ghee so that no face lies bare.", new(
                Dough(18, "flour-atta", Feel.Medium, 66, "ghee", 4, ("fenugreek-leaf", 12), ("spice-ground", 1)),
                new(BallBy.Mass, new(70), new(2.3)),
                new(new(220), new(45), "ghee", new(4), "flour-atta", new(1)),
                new([new HalfStep(), new BrushStep("ghee", new(1.5)), new DustStep("flour-atta", new(0.5)), new HalfStep()]),
                new(new(180), new(10)),
                new(new(220), "oil-groundnut", new(2), Colour.Brown))),
            Make("Beet quarters", "Beetroot puree is all the water. Rapeseed oil, starch between the leaves.", new(
                new(
                    12,
                    [new("flour-white", 70), new("flour-atta", 30)],
                    Feel.Medium,
                    new(64),
                    "puree-beet",
                    "oil-rapeseed",
                    new(3),
                    new(1.7),
                    [new("seed-carom", new(0.5))]),
                new(BallBy.Mass, new(85), new(2.9)),
                new(new(240), new(60), "oil-rapeseed", new(4), "starch-corn", new(1)),
                new([new HalfStep(), new BrushStep("oil-rapeseed", new(2)), new HalfStep()]),
                new(new(180), new(15)),
                new(new(190), "oil-rapeseed", new(2), Colour.Pale))),
            Make("Landing rounds", "Plain whole wheat, no fold, dry on the pan, a little ghee at the end.", new(
                Dough(30, "flour-atta", Feel.Medium, 70, "ghee", 1),
                new(BallBy.Thickness, new(45), new(1.6)),
                new(new(170), new(40), "ghee", new(0), "flour-atta", new(0)),
                new([]),
                new(new(170), new(5)),
                new(new(230), "ghee", new(1.2), Colour.Brown))),
        }.ToDictionary(b => b.Name);
    }

    private static DoughSpec Dough(int pieces, string flour, Feel feel, double water, string fat, double fatShare, params (string Id, double Share)[] additions) =>
        new(pieces, [new(flour, 100)], feel, new(water), "water", fat, new(fatShare), new(1.8), [.. additions.Select(a => new AdditionShare(a.Id, new(a.Share)))]);

    // The same id for the same thing in every demo kitchen, so that links and pictures stay true.
    private static Guid Id(string kind, int number)
    {
        Span<byte> bytes = stackalloc byte[16];
        Encoding.ASCII.GetBytes($"{kind}{number:00}".PadLeft(16, '-'), bytes);
        return new(bytes);
    }
}
