using System.Text;
using Ystrata.Store;

namespace Ystrata.Web.Demo;

/// <summary>The breads of the canteen.</summary>
internal static class MarrowQuayBreads
{
    public static Dictionary<string, Bread> All(DateTimeOffset at)
    {
        var number = 0;
        Bread Make(string name, string about, string[] tags, BatchSpec spec) => new(Id("bread", number++), name, about, tags, spec, at);
        var ladle = BatchSpec.Plain.Ladle;
        return new[]
        {
            Make("Night-crew squares", "Letter fold twice, ghee on every new face. For the crew that ties up last.", ["evening", "squares"], new(
                StartSpec.Of(24),
                DoughSpec.Of("flour-white", Feel.Soft, 62, "ghee", 3),
                RestSpec.CoveredFor(40),
                new(BallBy.Mass, new(80), new(2.7)),
                ladle,
                new(new(270), new(35), "ghee", new(6), "flour-white", new(0), new(262)),
                new([new LetterStep(), new BrushStep("ghee", new(2)), new LetterStep()]),
                new(new(180), new(20)),
                new(new(214), "ghee", new(2.5), Colour.Gold))),
            Make("First-ferry squares", "The same square with one ghee, when the first boat will not wait.", ["morning", "squares"], new(
                StartSpec.Of(16),
                DoughSpec.Of("flour-white", Feel.Medium, 57, "ghee", 3),
                RestSpec.CoveredFor(15),
                new(BallBy.Mass, new(80), new(2.7)),
                ladle,
                new(new(270), new(20), "ghee", new(6), "flour-white", new(0), new(262)),
                new([new LetterStep(), new LetterStep()]),
                new(new(180), new(8)),
                new(new(225), "ghee", new(2.5), Colour.Gold))),
            Make("Nigella coils", "Rolled like a mat, wound and pressed, with nigella through the dough.", ["evening", "seeds"], new(
                StartSpec.Of(12),
                DoughSpec.Of("flour-bread", Feel.Soft, 64, "oil-sunflower", 5, ("seed-nigella", 1.5)),
                RestSpec.CoveredFor(60),
                new(BallBy.Mass, new(100), new(3.3)),
                ladle,
                new(new(340), new(60), "ghee", new(9), "flour-white", new(1)),
                new([new BrushStep("ghee", new(3), LaidOn.Board), new MatRollStep(), new StretchStep(1.3), new CoilStep()]),
                new(new(180), new(30), RollBy.Hand),
                new(new(215), "ghee", new(3), Colour.Brown))),
            Make("Fenugreek triangles", "Half and half again, flour over the ghee so that no face lies bare.", ["noon", "leaves"], new(
                StartSpec.Of(18),
                DoughSpec.Of("flour-atta", Feel.Medium, 66, "ghee", 4, ("fenugreek-leaf", 12), ("spice-ground", 1)),
                RestSpec.CoveredFor(60),
                new(BallBy.Mass, new(70), new(2.3)),
                ladle,
                new(new(220), new(45), "ghee", new(4), "flour-atta", new(1)),
                new([new HalfStep(), new BrushStep("ghee", new(1.5)), new DustStep("flour-atta", new(0.5)), new HalfStep()]),
                new(new(180), new(10)),
                new(new(220), "oil-groundnut", new(2), Colour.Brown))),
            Make("Beet quarters", "Beetroot puree is all the water. Rapeseed oil, starch between the leaves.", ["noon", "no milk"], new(
                StartSpec.Of(12),
                DoughSpec.Of("flour-white", Feel.Medium, 64, "oil-rapeseed", 3, ("seed-carom", 0.5)) with
                {
                    Flours = [new("flour-white", 70), new("flour-atta", 30)],
                    Liquids = [new("puree-beet", Amount.TheRest)],
                    Salt = new("salt-fine", Amount.OfFlour(1.7)),
                },
                RestSpec.CoveredFor(60),
                new(BallBy.Mass, new(85), new(2.9)),
                ladle,
                new(new(240), new(30), "oil-rapeseed", new(4), "starch-corn", new(1)),
                new([new HalfStep(), new BrushStep("oil-rapeseed", new(2)), new HalfStep()]),
                new(new(180), new(15)),
                new(new(175), "oil-rapeseed", new(2), Colour.Pale))),
            Make("Landing rounds", "Plain whole wheat, no fold, dry on the pan, a little ghee at the end.", ["noon", "plain"], new(
                StartSpec.Of(30),
                DoughSpec.Of("flour-atta", Feel.Medium, 70, "ghee", 1),
                RestSpec.CoveredFor(45),
                new(BallBy.Thickness, new(45), new(1.6)),
                ladle,
                new(new(170), new(40), "ghee", new(0), "flour-atta", new(0)),
                new([]),
                new(new(170), new(5)),
                new(new(230), "ghee", new(1.2), Colour.Brown))),
            Make("Jug rounds", "Water first: the blue jug sets how many. Yogurt for softness.", ["plain"], new(
                StartSpec.Of(20) with { By = StartBy.Liquid, Liquid = new(420) },
                DoughSpec.Of("flour-atta", Feel.Medium, 70, "oil-rapeseed", 2) with
                {
                    Flours = [new("flour-atta", 80), new("flour-barley", 20)],
                    WaterBy = WaterBy.Feel,
                    Liquids = [new("yogurt", Amount.OfFlour(12)), new("water", Amount.TheRest)],
                },
                RestSpec.CoveredFor(45),
                new(BallBy.Mass, new(55), new(1.9)),
                ladle,
                new(new(180), new(40), "oil-rapeseed", new(0), "flour-atta", new(0)),
                new([]),
                new(new(180), new(5)),
                new(new(220), "oil-rapeseed", new(1.2), Colour.Gold))),
            Make("Leek pours", "A batter with leek, ladled thin, turned when the rim lets go.", ["morning", "batter"], new(
                StartSpec.Of(14),
                DoughSpec.Of("flour-buckwheat", Feel.Batter, 180, "oil-rapeseed", 2, ("leek", 18)) with
                {
                    Flours = [new("flour-buckwheat", 60), new("flour-white", 40)],
                    Liquids = [new("buttermilk", Amount.OfFlour(60)), new("water", Amount.TheRest)],
                    Mix = new(Kneading.None),
                },
                RestSpec.CoveredFor(40),
                new(BallBy.Mass, new(80), new(2.7)),
                new(new(95), new(2.6)),
                new(new(180), new(0), "oil-rapeseed", new(0), "flour-white", new(0)),
                new([]),
                new(new(180), new(0)),
                new(new(195), "oil-rapeseed", new(1.5), Colour.Gold))),
            Make("Quay radish rounds", "Radish salted, squeezed and spiced; what runs off goes into the dough.", ["noon", "stuffed"], Parcel(
                16,
                DoughSpec.Of("flour-atta", Feel.Soft, 72, "ghee", 3),
                new(BallBy.Mass, new(70), new(2.3)),
                190,
                new(
                    [new("radish", new(1765), new(12), [new ChopStep(ChopBy.Grate, new(1.5)), new SaltStep("salt-fine", new(1.5), new(15)), new SqueezeStep(SqueezeBy.Cloth)])],
                    [new BindStep("gram-flour-roasted", new(15)), new SeasonStep("spice-ground", new(8)), new SeasonStep("herb-chopped", new(30))],
                    new(1.4),
                    LiquorToDough: true,
                    new(ParcelShape.Gathered, new(80))))),
            Make("Cauliflower and pea rounds", "Cooked off in the wide pan until it leaves the side, cooled on trays.", ["evening", "stuffed"], Parcel(
                18,
                DoughSpec.Of("flour-atta", Feel.Soft, 72, "oil-rapeseed", 4),
                new(BallBy.Mass, new(75), new(2.4)),
                190,
                new(
                    [new("cauliflower", new(1000), new(35), [new ChopStep(ChopBy.Grate, new(1.5)), new SauteStep(new(14), new(320), "oil-rapeseed", new(20), null, Flame.High)]), new("pea-mash", new(450), new(0), [new ChopStep(ChopBy.Mash, new(1.5))])],
                    [new SeasonStep("spice-ground", new(10)), new SeasonStep("salt-fine", new(12)), new CoolStep(new(60), RestPlace.Room, 4)],
                    new(1.2),
                    LiquorToDough: false,
                    new(ParcelShape.Gathered, new(90))))),
            Make("Cabbage moons", "Cabbage and fresh cheese in a folded sheet, sealed at the rim.", ["noon", "stuffed"], Parcel(
                14,
                DoughSpec.Of("flour-white", Feel.Medium, 59, "ghee", 6),
                new(BallBy.Mass, new(75), new(2.5)),
                200,
                new(
                    [
                        new("cabbage", new(800), new(20), [new ChopStep(ChopBy.Grate, new(2.5)), new SaltStep("salt-fine", new(1.5), new(20)), new SqueezeStep(SqueezeBy.Cloth)]),
                        new("paneer", new(350), new(0), [new ChopStep(ChopBy.Mash, new(2))]),
                    ],
                    [new SeasonStep("herb-chopped", new(15))],
                    new(1.2),
                    LiquorToDough: false,
                    new(ParcelShape.HalfMoon, new(85))))),
            Make("Date envelopes", "Date paste and walnut, four sides to the middle, for the late boat.", ["evening", "stuffed", "sweet"], Parcel(
                12,
                DoughSpec.Of("flour-white", Feel.Medium, 58, "ghee", 8),
                new(BallBy.Mass, new(65), new(2.2)),
                150,
                new(
                    [new("date-paste", new(320), new(0), [new ChopStep(ChopBy.Mash, new(1))]), new("walnut", new(110), new(0), [new ChopStep(ChopBy.Chop, new(2.5))])],
                    [new SeasonStep("spice-ground", new(4))],
                    new(0),
                    LiquorToDough: false,
                    new(ParcelShape.Envelope, new(55))))),
        }.ToDictionary(b => b.Name);
    }

    private static BatchSpec Parcel(int pieces, DoughSpec dough, BallsSpec balls, double across, FillingSpec filling) => BatchSpec.Plain with
    {
        Start = StartSpec.Of(pieces),
        Dough = dough,
        Rest = RestSpec.CoveredFor(45),
        Balls = balls,
        Roll = new(new(across), new(12)),
        Pan = new(new(200), "ghee", new(3), Colour.Gold),
        Filling = filling,
    };

    /// <summary>The same id for the same thing in every demo kitchen, so that links and pictures stay true.</summary>
    public static Guid Id(string kind, int number)
    {
        Span<byte> bytes = stackalloc byte[16];
        Encoding.ASCII.GetBytes($"{kind}{number:00}".PadLeft(16, '-'), bytes);
        return new(bytes);
    }
}
