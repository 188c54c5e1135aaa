using System.Diagnostics;
using System.Globalization;
using Ystrata.Core;

// How long one plan takes in the core, and what a bigger program costs beside it.
const int warmUp = 2000, runs = 5000;

var plain = BatchSpec.Plain;
(string Name, BatchSpec Spec)[] cases =
[
    ("plain round, no fold", plain),
    ("letter, ghee, letter: 9 leaves", Folded(new LetterStep(), new BrushStep("ghee", new(2)), new LetterStep())),
    ("mat roll and coil: 20 leaves", Folded(new MatRollStep(), new CoilStep())),
    ("six letters: 729 leaves", Folded([.. Enumerable.Repeat<FoldStep>(new LetterStep(), 6)])),
];

double? first = null;
Console.WriteLine($"{"plan in Core",-36}{"median",10}{"p95",10}{"ratio",8}");
foreach (var (name, spec) in cases)
{
    var times = Measure(() => Planner.Plan(spec, Larder.Shipped, Learned.Nothing));
    var median = times[times.Length / 2];
    first ??= median;
    Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"{name,-36}{median,7:0.0000} ms{times[(int)(times.Length * 0.95)],7:0.0000} ms{median / first,7:0.0}"));
}

BatchSpec Folded(params FoldStep[] steps) => plain with
{
    Sheet = plain.Sheet with { Diameter = new(300), FatMass = new(6) },
    Fold = new(steps),
};

static double[] Measure(Func<BatchSheet> plan)
{
    for (var i = 0; i < warmUp; i++)
    {
        plan();
    }

    var times = new double[runs];
    for (var i = 0; i < runs; i++)
    {
        var from = Stopwatch.GetTimestamp();
        plan();
        times[i] = Stopwatch.GetElapsedTime(from).TotalMilliseconds;
    }

    Array.Sort(times);
    return times;
}
