using System.Diagnostics;
using System.Globalization;
using Ystrata.Bench;

// How long one plan takes in the core, and what a bigger program costs beside it.
const int warmUp = 2000, runs = 3000;
if (args is ["clock"])
{
    ClockBench.Speed(Measure, Say);
    ClockBench.Quality();
    return;
}

if (args is ["log"])
{
    LogBench.Speed(Measure, Say);
    return;
}

if (args is ["files"])
{
    await FilesBench.Speed();
    FilesBench.Spoil();
    return;
}

if (args is ["mends", .. var batches])
{
    MendBench.Run(batches is [var n] ? int.Parse(n, CultureInfo.InvariantCulture) : 4000);
    return;
}

var plain = BatchSpec.Plain;
(string Name, BatchSpec Spec)[] cases =
[
    ("plain round, no fold", plain),
    ("letter, ghee, letter: 9 leaves", Folded(new LetterStep(), new BrushStep("ghee", new(2)), new LetterStep())),
    ("mat roll and coil: 20 leaves", Folded(new MatRollStep(), new CoilStep())),
    ("gathered, radish, liquor in the dough", plain with { Filling = FillingSpec.Usual with { LiquorToDough = true } }),
    ("six letters: 729 leaves", Folded([.. Enumerable.Repeat<FoldStep>(new LetterStep(), 6)])),
];

// The dough's solver alone, with ten ingredients and everything that makes it work hard.
var hard = plain with
{
    Start = StartSpec.Of(24) with { By = StartBy.Filling, Filling = new(1500), FillingEach = new(60) },
    Dough = plain.Dough with
    {
        Flours = [new("flour-white", 60), new("flour-atta", 30), new("flour-barley", 10)],
        WaterBy = WaterBy.Feel,
        Liquids = [new("yogurt", Amount.OfFlour(10)), new("puree-beet", Amount.Weighed(40)), new("coconut-milk", Amount.TheRest)],
        Fat = new("butter-salted", Amount.OfFlour(9), FatWhen.RubbedIn),
        Additions = [new("sugar", Amount.OfFlour(2)), new("seed-nigella", Amount.OfFlour(1))],
    },
};
var mix = FlourMix.Of(hard.Dough.Flours, Kitchen.Shipped);
var route = Route.Of(hard);
var solver = Measure(() => DoughSolver.Solve(hard, route, mix, Kitchen.Shipped, null));
Console.WriteLine(string.Create(CultureInfo.InvariantCulture,
    $"{"dough solver, ten ingredients",-40}{solver[solver.Length / 2],7:0.0000} ms{solver[(int)(solver.Length * 0.95)],7:0.0000} ms   target 0.2 ms"));

// The fold program alone: every step of it carried through, its plan views and its judgement.
FoldStep[] twenty =
[
    new DustStep("flour-white", new(0.5)), new LetterStep(), new BrushStep("ghee", new(2)), new LetterStep(), new RestStep(new(10)),
    new RollStep(new(240)), new BrushStep("ghee", new(2)), new HalfStep(), new PinchStep(), new RollLongStep(new(300), new(160)),
    new BrushStep("ghee", new(2)), new DustStep("flour-white", new(0.5)), new GateStep(), new RestStep(new(10)), new RollLongStep(new(320), new(180)),
    new BrushStep("ghee", new(2)), new MatRollStep(), new StretchStep(1.3), new CoilStep(), new PressStep(new(120)),
];
Fold("fold program, 20 steps from a round", twenty);
Fold("letter, ghee, letter on a round", [new LetterStep(), new BrushStep("ghee", new(2)), new LetterStep()]);
Fold("accordion of 12 and coil", [new AccordionStep(12), new CoilStep()]);
var compare = new Compare(Planner.Check(Folded(new LetterStep(), new LetterStep()), Kitchen.Shipped).Value!);
string[] six = [.. FoldPrograms.Ids.Take(Compare.Most)];
Say("compare of six programs", Measure(() => compare.OfSchools(six)), 1);
var wanted = new WantedLeaves(24, new(0.12), new(180));
Say("find: about 24 leaves of 0.12 mm", Measure(() => Reverse.Find(wanted, compare), count: 100), 150);

// A filling of twelve parts, each through as many steps as it may have, and joined through as many again; and bought backwards.
string[] stuff = ["radish", "cabbage", "carrot", "leek", "mushroom", "beetroot", "cauliflower", "pea-mash", "paneer", "lamb-mince-cooked", "date-paste", "walnut"];
FillingStep[] ten =
[
    new ChopStep(ChopBy.Grate, new(2)), new SaltStep("salt-fine", new(1.5), new(15)), new SqueezeStep(SqueezeBy.Hand), new BlanchStep(new(2)), new SqueezeStep(SqueezeBy.Cloth),
    new SauteStep(new(8), new(240), "ghee", new(8)), new CoolStep(new(30), RestPlace.Room), new BindStep("oats-rolled", new(8)), new SeasonStep("spice-ground", new(3)),
    new MoistenStep("yogurt", new(5)),
];
var filling = new FillingSpec([.. stuff.Select(id => new FillingPart(id, new(400), new(10), ten))], ten, new(1.2), LiquorToDough: true, new(ParcelShape.Gathered, new(80)));
Say("filling, twelve parts of ten steps", Measure(() => FillingStage.Make(filling, Kitchen.Shipped)), 0.2);
var one = filling with { Parts = [.. filling.Parts.Take(1)] };
Say("filling bought backwards, one part", Measure(() => Balance.TimesFor(one, new(900), Kitchen.Shipped)), 1);
Say("filling bought backwards, twelve parts", Measure(() => Balance.TimesFor(filling, new(2500), Kitchen.Shipped)), 1);

PanBench.Speed(Measure, Say);
LogBench.Speed(Measure, Say);
await FilesBench.Speed();
FilesBench.Spoil();
ClockBench.Speed(Measure, Say);

void Say(string name, double[] times, double target) => Console.WriteLine(string.Create(CultureInfo.InvariantCulture,
    $"{name,-40}{times[times.Length / 2],7:0.0000} ms{times[(int)(times.Length * 0.95)],7:0.0000} ms   target {target} ms"));

void Fold(string name, FoldStep[] steps)
{
    var spec = Folded(steps);
    var shape = Shaping.Of(spec.Sheet, spec.Fold, spec.Roll, spec.Roll.Diameter);
    var sheet = SheetStage.Lay(shape, new(80), Round.DoughDensity, Kitchen.Shipped);
    var work = Measure(() => Rolled.To(FoldStage.Work(shape.Steps, sheet, Kitchen.Shipped).Folded[^1], shape.RolledTo));
    Say(name, work, 0.1);
}

double? first = null;
Console.WriteLine($"{"plan in Core",-40}{"median",10}{"p95",10}{"ratio",8}");
foreach (var (name, spec) in cases)
{
    // A program past all use is slow enough to be known by a few.
    var times = Measure(() => Planner.Plan(spec, Kitchen.Shipped), spec.Fold.Steps.Count < 6 ? runs : 50);
    var median = times[times.Length / 2];
    first ??= median;
    Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"{name,-40}{median,7:0.0000} ms{times[(int)(times.Length * 0.95)],7:0.0000} ms{median / first,7:0.0}"));
}

PanBench.Figures();
ClockBench.Quality();

BatchSpec Folded(params FoldStep[] steps) => plain with
{
    Sheet = plain.Sheet with { Diameter = new(300), FatMass = new(6) },
    Fold = new(steps),
};

static double[] Measure<T>(Func<T> plan, int count = runs)
{
    for (var i = 0; i < Math.Min(warmUp, count); i++)
    {
        plan();
    }

    var times = new double[count];
    for (var i = 0; i < count; i++)
    {
        var from = Stopwatch.GetTimestamp();
        plan();
        times[i] = Stopwatch.GetElapsedTime(from).TotalMilliseconds;
    }

    Array.Sort(times);
    return times;
}
