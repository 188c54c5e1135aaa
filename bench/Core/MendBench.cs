using Ystrata.Core.Tests;

namespace Ystrata.Bench;

/// <summary>Takes every mend of thousands of random specs and plans again, as MendTests does of hundreds.</summary>
internal static class MendBench
{
    public static void Run(int batches)
    {
        var mends = Enumerable.Range(0, batches).AsParallel().SelectMany(seed => Mended.Of(AnyBatch.Of(seed), Kitchen.Shipped).Select(m => (Seed: seed, m.Note, m.Mend, m.Does))).ToList();
        Console.WriteLine($"{mends.Count} mends of {batches} batches");
        foreach (var does in mends.GroupBy(m => m.Does).OrderByDescending(g => g.Count()))
        {
            Console.WriteLine($"{does.Count(),8} {does.Key}");
        }

        foreach (var m in mends.Where(m => m.Does is MendDoes.Refused or MendDoes.Nothing))
        {
            Console.WriteLine($"         batch {m.Seed}: {m.Mend.Code} of {m.Note.Code} is {m.Does}");
        }
    }
}
