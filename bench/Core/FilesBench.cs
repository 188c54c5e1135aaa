using System.Diagnostics;
using System.Globalization;
using Microsoft.Data.Sqlite;
using Ystrata.Store;
using Ystrata.Web;
using Ystrata.Web.Files;
using Ystrata.Web.Tests;

namespace Ystrata.Bench;

/// <summary>A kitchen of 20 000 cookings and 400 000 stove events as a file, out and in; and ten thousand spoilt ones.</summary>
internal static class FilesBench
{
    private const int SpoiltFiles = 10_000;

    public static async Task Speed()
    {
        await WithKitchen(async (kitchen, folder) =>
        {
            LogBench.Fill(folder);
            var file = Path.Combine(folder, "kitchen.json");
            var clock = Stopwatch.StartNew();
            var before = Resident();
            var most = Watch(out var stop);
            await using (var to = File.Create(file))
            {
                await KitchenFile.Write(to, new WholeKitchen(kitchen).All(), DateTimeOffset.UnixEpoch);
            }

            stop();
            Say("export of everything", clock.Elapsed, 5, $"{new FileInfo(file).Length / 1e6:0} MB, memory +{(await most - before) / 1e6:0} MB");

            clock.Restart();
            before = Resident();
            most = Watch(out stop);
            var other = KitchenDb.Open(Path.Combine(folder, "other", "ystrata.db"));
            await using var from = File.OpenRead(file);
            using var staging = new Staging(other);
            var intake = Intake(from, staging, other);
            intake.Read();
            Say("import: read and checked", clock.Elapsed, 0, $"{intake.Count} records, {intake.Bad.Count} bad");
            staging.Close();
            var preview = staging.Preview();
            Say("import: what would change", clock.Elapsed, 0, $"{preview.Parts.Sum(p => p.Added)} new");
            staging.Take(replace: false);
            stop();
            Say("import of everything", clock.Elapsed, 15, $"memory +{(await most - before) / 1e6:0} MB");
            other.Settle();
            Say("import: settled, nobody waiting", clock.Elapsed, 0, "");
        });
    }

    public static void Spoil() => WithKitchen((kitchen, _) =>
    {
        var pantry = new Pantry(kitchen);
        pantry.Keep([Larder.Shipped["herb-chopped"] with { Id = "own-sorrel", Name = "Sorrel" }], DateTimeOffset.UnixEpoch);
        var bread = new Bread(Guid.CreateVersion7(), "Quay rounds", "", ["noon"], BatchSpec.Plain, DateTimeOffset.UnixEpoch);
        new Breads(kitchen).Add(bread);
        var batch = new Batch(Guid.CreateVersion7(), bread.Id, "Quay rounds", BatchSpec.Plain, DateTimeOffset.UnixEpoch, DateTimeOffset.UnixEpoch);
        new Batches(kitchen).Add(batch);
        new Logbook(kitchen).Add(new(Guid.CreateVersion7(), batch.Id, BatchSpec.Plain, DateTimeOffset.UnixEpoch, Outcome.Nothing, DateTimeOffset.UnixEpoch), [new(LessonKind.PanTime, "", 1.1)]);
        using var whole = new MemoryStream();
        KitchenFile.Write(whole, new WholeKitchen(kitchen).All(), DateTimeOffset.UnixEpoch).Wait();
        var (bytes, random, taken, bad, unreadable, longest) = (whole.ToArray(), new Random(20261126), 0, 0, 0, TimeSpan.Zero);
        var records = Count(kitchen);
        for (var i = 0; i < SpoiltFiles; i++)
        {
            var clock = Stopwatch.StartNew();
            using var staging = new Staging(kitchen);
            var intake = Intake(new MemoryStream(Spoilt.Of(bytes, random)), staging, kitchen);
            try
            {
                intake.Read();
                (bad, taken) = intake.Bad.Count > 0 ? (bad + 1, taken) : (bad, taken + 1);
            }
            catch (FileException)
            {
                unreadable++;
            }

            longest = clock.Elapsed > longest ? clock.Elapsed : longest;
        }

        Console.WriteLine(string.Create(CultureInfo.InvariantCulture,
            $"{SpoiltFiles} spoilt kitchens: {taken} still sound, {bad} with bad records, {unreadable} unreadable; longest {longest.TotalMilliseconds:0} ms; kitchen {(Count(kitchen) == records ? "unchanged" : "CHANGED")}"));
        return Task.CompletedTask;
    }).Wait();

    private static int Count(KitchenDb kitchen) => new WholeKitchen(kitchen).All().Count();

    private static KitchenIntake Intake(Stream file, Staging staging, KitchenDb kitchen) => new(
        file, staging, new CurrentKitchen(new Pantry(kitchen), new Record(kitchen), TimeProvider.System), new Breads(kitchen), new Batches(kitchen), new Photos(kitchen));

    private static async Task WithKitchen(Func<KitchenDb, string, Task> work)
    {
        var folder = Directory.CreateTempSubdirectory("ystrata-bench-").FullName;
        try
        {
            await work(KitchenDb.Open(Path.Combine(folder, "ystrata.db")), folder);
        }
        finally
        {
            SqliteConnection.ClearAllPools();
            Directory.Delete(folder, recursive: true);
        }
    }

    private static long Resident()
    {
        using var self = Process.GetCurrentProcess();
        return self.WorkingSet64;
    }

    // The most memory there was at any of its looks, twenty a second.
    private static Task<long> Watch(out Action stop)
    {
        var enough = new CancellationTokenSource();
        stop = enough.Cancel;
        return Task.Run(async () =>
        {
            long most = 0;
            while (!enough.IsCancellationRequested)
            {
                most = Math.Max(most, Resident());
                await Task.Delay(50);
            }

            enough.Dispose();
            return most;
        });
    }

    private static void Say(string what, TimeSpan time, double target, string more) => Console.WriteLine(string.Create(CultureInfo.InvariantCulture,
        $"{what,-40}{time.TotalSeconds,8:0.00} s{(target > 0 ? $"   target {target} s" : ""),-14}   {more}"));
}
