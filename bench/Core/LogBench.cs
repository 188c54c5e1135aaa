using System.Diagnostics;
using System.Globalization;
using Microsoft.Data.Sqlite;
using Ystrata.Store;
using Ystrata.Web.Demo;

namespace Ystrata.Bench;

/// <summary>A log of 20 000 cookings with 400 000 stove events: how long a cook waits for it.</summary>
internal static class LogBench
{
    internal const int Cookings = 20_000, EventsEach = 20, Days = 1500;

    public static void Speed(Func<Func<object>, int, double[]> measure, Action<string, double[], double> say)
    {
        var folder = Directory.CreateTempSubdirectory("ystrata-bench-").FullName;
        try
        {
            var clock = Stopwatch.StartNew();
            var db = KitchenDb.Open(Path.Combine(folder, "ystrata.db"));
            Fill(folder);
            Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"log filled in {clock.Elapsed.TotalSeconds:0.0} s, {new FileInfo(Path.Combine(folder, "ystrata.db")).Length / 1e6:0} MB"));
            var (log, record, kitchen) = (new Logbook(db), new Record(db), new Pantry(db).Kitchen());
            var random = new Random(7);
            string[] words = ["first-ferry", "nigella", "short rests", "no such word", "quay", "landing 12", "drinks more"];
            say("log: first page of 20 000", measure(() => log.Find(new LogQuery()), 200), 50);
            say("log: a page far down", measure(() => log.Find(new LogQuery(After: new(Start.AddDays(-random.Next(Days)), Guid.NewGuid()))), 200), 50);
            say("log: search by words", measure(() => log.Find(new LogQuery(words[random.Next(words.Length)])), 200), 100);
            say("log: fault, flour and words", measure(() => log.Find(new LogQuery("ferry", Flour: "flour-white", Fault: Symptom.Stiff)), 200), 100);
            say("log: four trends", measure(() => (record.Trend(LessonKind.Thirst), record.Trend(LessonKind.Squeeze), record.Leaves(), record.PanSeconds()), 100), 150);
            say("log: everything learned", measure(() => record.Figures(kitchen), 100), 150);
            var entry = log.Find(log.Find(new LogQuery()).Lines[0].Id)!;
            var outcome = entry.Outcome with { Used = entry.Outcome.Used with { Liquid = entry.Planned!.Liquid * 0.85 } };
            say("faults: three symptoms explained", measure(() => FaultStage.Explain(entry.Spec, outcome, [Symptom.Stiff, Symptom.NoLayers, Symptom.Pale], kitchen), 200), 5);
        }
        finally
        {
            SqliteConnection.ClearAllPools();
            Directory.Delete(folder, recursive: true);
        }
    }

    private static DateTimeOffset Start => new(2026, 11, 20, 12, 0, 0, TimeSpan.Zero);

    // One transaction for all of it: what is measured is reading.
    internal static void Fill(string folder)
    {
        var random = new Random(20261126);
        var pantry = new Pantry(KitchenDb.Open(Path.Combine(folder, "ystrata.db")));
        pantry.Keep(MarrowQuayLarder.Lines, Start);
        var kitchen = pantry.Kitchen();
        (Bread Bread, Planned Planned)[] breads = [.. MarrowQuayBreads.All(Start).Values.OrderBy(b => b.Name, StringComparer.Ordinal).Select(b => (b, Planned.Of(b.Spec, Planner.Plan(b.Spec, kitchen).Value!)))];
        string[] notes = ["short rests, two went out early", "new bag of flour, drinks more", "", "best so far", "pan ran hot after the sixth"];
        using var db = new SqliteConnection($"Data Source={Path.Combine(folder, "ystrata.db")}");
        db.Open();
        using var work = db.BeginTransaction();
        for (var i = 0; i < Cookings; i++)
        {
            var at = Start.AddMinutes(-i * (Days * 1440.0 / Cookings));
            var (bread, planned) = breads[i % breads.Length];
            // No two cookings are alike.
            var spec = bread.Spec with { Dough = bread.Spec.Dough with { Hydration = new(54 + 8 * random.NextDouble()) } };
            var batch = new Batch(Guid.CreateVersion7(at), null, bread.Name, spec, at, at);
            Batches.Put(db, [new(batch)]);
            var outcome = Outcome.Nothing with
            {
                Used = new(8, planned.Flour, planned.Liquid * (1 + 0.05 * random.NextDouble()), null, null, planned.BallMass),
                Timed = new(new(210), new(50 + random.Next(30)), new(60), new(30)),
                Judged = new(random.Next(1, 6), random.Next(1, 6), 4, 4),
                Note = $"{notes[random.Next(notes.Length)]} {i}",
                Faults = random.Next(3) == 0 ? [(Symptom)random.Next(16)] : [],
            };
            Logbook.Put(
                db, [new(new(Guid.CreateVersion7(at), batch.Id, spec, at, outcome, at, batch.Name, null, planned), [new(LessonKind.Thirst, "flour-white", random.NextDouble() * 4), new(LessonKind.PanTime, "", 0.9 + random.NextDouble() * 0.3)])]);
            Services.Put(db, [new(
                new(Guid.CreateVersion7(at), batch.Id, batch.Name, new([new(batch.Name, spec)], ClockSpec.Usual, new(3600)), at, at.AddHours(1)),
                [.. Enumerable.Range(1, EventsEach).Select(n => new StoveEvent(Guid.NewGuid(), new(n * 60), StoveAct.Turned, 0, 0, 0, n))])]);
        }

        work.Commit();
    }
}
