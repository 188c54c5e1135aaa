using System.Text.Json;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store.Tests;

/// <summary>A kitchen goes out record by record and comes in as a whole: the same again, never half, and what runs goes on running.</summary>
public sealed class StagingTests : IDisposable
{
    private readonly TempKitchen here = new();
    private readonly TempKitchen there = new();
    private readonly KitchenDb from;
    private readonly KitchenDb to;

    public StagingTests() => (from, to) = (here.Open(), there.Open());

    public void Dispose()
    {
        here.Dispose();
        there.Dispose();
    }

    private static readonly DateTimeOffset At = TempKitchen.Noon;

    /// <summary>Something of every kind, some of it in the trash.</summary>
    private void Fill()
    {
        var pantry = new Pantry(from);
        var sorrel = Larder.Shipped["herb-chopped"] with { Id = "own-sorrel", Name = "Sorrel", Origin = Origin.Own };
        pantry.Keep([sorrel, Larder.Shipped["flour-atta"] with { Id = "own-sack", Name = "Sack 31", Lot = new("flour-atta", new(2.5)) }], At);
        pantry.Keep(new Vessel("jug", "Blue jug", new(840)), At);
        pantry.Keep(HandWork.LastRoll, new(31), At);
        pantry.Keep(Units.Usual with { Coin = "q" });
        var (bread, gone) = (TempKitchen.SomeBread(), TempKitchen.SomeBread("Gone rounds"));
        new Breads(from).Add(bread);
        new Breads(from).Add(gone);
        new Breads(from).Delete(gone.Id, At, Meant.Whatever);
        var batch = TempKitchen.SomeBatch(bread.Id);
        new Batches(from).Add(batch);
        var photo = new Photo(Guid.CreateVersion7(), "image/webp", [1, 2, 3], [1], At);
        new Photos(from).Add(photo);
        var entry = TempKitchen.SomeEntry(batch.Id);
        // Every digit of a figure goes along.
        entry = entry with { Outcome = entry.Outcome with { Used = entry.Outcome.Used with { Liquid = new(1000.0 / 3), Flour = new(1e-7) } } };
        new Logbook(from).Add(entry with { PhotoId = photo.Id, BreadId = bread.Id }, [new(LessonKind.Thirst, "flour-white", 1.5), new(LessonKind.PanTime, "", 0.1 + 1.0 / 3)]);
        var service = new KeptService(Guid.CreateVersion7(), batch.Id, "Leek rounds", new([new("Leek rounds", BatchSpec.Plain)], ClockSpec.Usual, new(3600)), At, null);
        new Services(from).Add(service);
        new Services(from).Append(service.Id, new(Guid.NewGuid(), new(5), StoveAct.Laid, 0, 0, 0, 1), At);
        new Services(from).Append(service.Id, new(Guid.NewGuid(), new(60), StoveAct.Turned, 0, 0, 0, 1), At);
        new Record(from).Use(LessonKind.Thirst, "flour-white", true);
        new Record(from).Forget(LessonKind.PanTime, "", At);
        new PracticeScores(from).Add(new(Guid.CreateVersion7(), 7, At, 80, [30, 60], 90));
    }

    private static List<KitchenRecord> Everything(KitchenDb kitchen) => [.. new WholeKitchen(kitchen).All().Select(Read)];

    private static KitchenRecord Read(string line) => JsonSerializer.Deserialize<KitchenRecord>(line, SpecJson.Options)!;

    private Staging Staged(IEnumerable<KitchenRecord> records)
    {
        var staging = new Staging(to);
        staging.Put([.. records]);
        staging.Put(records.OfType<PhotoRecord>().Select(p => new Photo(p.Id, "image/webp", p.Body, [1], p.MadeAt)));

        staging.Close();
        return staging;
    }

    private static int Sum(StagedPreview preview, Func<StagedCount, int> what) => preview.Parts.Sum(what);

    [Fact]
    public void Everything_goes_out_and_comes_in_as_the_same_kitchen()
    {
        Fill();
        var all = Everything(from);
        Assert.Equal(11, all.Select(r => r.GetType()).Distinct().Count());

        using (var staging = Staged(all))
        {
            var preview = staging.Preview();
            Assert.Equal(["Leek rounds"], preview.Added);
            Assert.Equal((0, 0), (Sum(preview, p => p.Changed), Sum(preview, p => p.Same)));
            staging.Take(replace: false);
        }

        Assert.Equivalent(all, Everything(to), strict: true);
        // What is found by and taught came with it.
        Assert.Single(new Logbook(to).Find(new LogQuery("slow DOUGH", Flour: "flour-white")).Lines);
        Assert.Equal(1.5, Assert.Single(new Record(to).Used(Kitchen.Shipped)).Mean);
        Assert.Equal(new Logbook(from).All().Single().Outcome.Used, new Logbook(to).All().Single().Outcome.Used);
        Assert.Equal([2], new Services(to).Open().Select(s => new Services(to).Events(s.Id).Count));
        Assert.Equal(["Gone rounds"], new Trash(to).Latest(100)!.Select(t => t.Name));
    }

    [Fact]
    public void Taken_in_a_second_time_it_changes_nothing()
    {
        Fill();
        var all = Everything(from);
        using (var first = Staged(all))
        {
            first.Take(replace: false);
        }

        using var again = Staged(all);
        var preview = again.Preview();
        Assert.Equal((0, 0), (Sum(preview, p => p.Added), Sum(preview, p => p.Changed)));
        again.Take(replace: true);
        Assert.Equivalent(all, Everything(to), strict: true);
    }

    [Fact]
    public void What_is_here_and_different_stays_or_is_replaced_as_the_cook_says()
    {
        var bread = TempKitchen.SomeBread("Radish rounds");
        new Breads(to).Add(bread);
        var other = bread with { Name = "Radish rounds, wider", ChangedAt = At.AddDays(1) };

        using (var staging = Staged([new BreadRecord(other)]))
        {
            Assert.Equal(new StagedCount("bread", 0, 1, 0), Assert.Single(staging.Preview().Parts));
            Assert.Equal(["Radish rounds"], staging.Preview().Changed);
            staging.Take(replace: false);
        }

        Assert.Equal("Radish rounds", new Breads(to).Find(bread.Id)!.Name);
        using (var staging = Staged([new BreadRecord(other)]))
        {
            staging.Take(replace: true);
        }

        Assert.Equal("Radish rounds, wider", new Breads(to).Find(bread.Id)!.Name);
    }

    [Fact]
    public void What_lies_in_the_trash_here_comes_back()
    {
        var bread = TempKitchen.SomeBread();
        new Breads(to).Add(bread);
        new Breads(to).Delete(bread.Id, At, Meant.Whatever);

        using var staging = Staged([new BreadRecord(bread)]);
        Assert.Equal(1, staging.Preview().Parts[0].Added);
        staging.Take(replace: false);
        Assert.NotNull(new Breads(to).Find(bread.Id));
    }

    [Fact]
    public void A_service_that_runs_here_runs_on_whatever_the_file_says()
    {
        Fill();
        using (var first = Staged(Everything(from)))
        {
            first.Take(replace: false);
        }

        var running = Assert.Single(new Services(to).Open());
        new Services(to).Append(running.Id, new(Guid.NewGuid(), new(90), StoveAct.Lifted, 0, 0, 0, 1), At);
        using var again = Staged(Everything(from));
        again.Take(replace: true);
        Assert.Equal(3, new Services(to).Events(running.Id).Count);
    }

    [Fact]
    public void An_entry_that_is_replaced_is_found_by_its_new_faults_alone()
    {
        Fill();
        using (var first = Staged(Everything(from)))
        {
            first.Take(replace: false);
        }

        var log = Everything(from).OfType<LogRecord>().Single();
        var changed = log with { Entry = log.Entry with { Outcome = log.Entry.Outcome with { Faults = [Symptom.Greasy] } }, Lessons = [] };
        using var staging = Staged([changed]);
        staging.Take(replace: true);
        Assert.Single(new Logbook(to).Find(new LogQuery(Fault: Symptom.Greasy)).Lines);
        Assert.Empty(new Record(to).Figures(Kitchen.Shipped));
    }

    [Fact]
    public void The_same_thing_twice_in_a_file_is_an_error_and_nothing_of_it_arrives()
    {
        var bread = TempKitchen.SomeBread();
        using (var staging = new Staging(to))
        {
            staging.Put([new BreadRecord(bread)]);
            Assert.Throws<SqliteException>(() => staging.Put([new BreadRecord(bread)]));
        }

        Assert.Empty(new Breads(to).All());
    }

    [Fact]
    public void A_file_that_is_called_off_half_read_leaves_nothing_behind()
    {
        string folder;
        using (var staging = new Staging(to))
        {
            folder = staging.Folder;
            staging.Put([new BreadRecord(TempKitchen.SomeBread())]);
            Assert.True(Directory.Exists(folder));
        }

        Assert.False(Directory.Exists(folder));
        Assert.Empty(Everything(to));
    }

    [Fact]
    public void A_bread_brings_the_own_lines_it_is_made_with_and_no_others()
    {
        Fill();
        var bread = TempKitchen.SomeBread() with { Spec = BatchSpec.Plain with { Dough = BatchSpec.Plain.Dough with { Flours = [new("own-sack", 1)] } } };

        var records = new WholeKitchen(from).Of(bread).Select(Read).ToList();
        Assert.Equal(["own-sack"], records.OfType<IngredientRecord>().Select(i => i.Ingredient.Id));
        Assert.Equivalent(bread, Assert.IsType<BreadRecord>(records[^1]).Bread, strict: true);
    }

    [Fact]
    public void What_belongs_to_one_batch_stands_together_in_a_file()
    {
        var batches = Enumerable.Range(0, 3).Select(_ => TempKitchen.SomeBatch()).OrderBy(b => b.Id.ToString(), StringComparer.Ordinal).ToList();
        batches.ForEach(b => new Batches(from).Add(b));
        // Logged and served in another order than they were planned.
        foreach (var batch in batches.AsEnumerable().Reverse())
        {
            new Logbook(from).Add(TempKitchen.SomeEntry(batch.Id), []);
            new Services(from).Add(new(Guid.CreateVersion7(), batch.Id, batch.Name, new([new(batch.Name, batch.Spec)], ClockSpec.Usual, new(3600)), At, At));
        }

        new Logbook(from).Add(TempKitchen.SomeEntry(batches[1].Id), []);
        Assert.Equal(
            [("batch", 0), ("service", 0), ("log", 0), ("batch", 1), ("service", 1), ("log", 1), ("log", 1), ("batch", 2), ("service", 2), ("log", 2)],
            Everything(from).Select(r => r switch
            {
                BatchRecord b => ("batch", b.Batch.Id),
                ServiceRecord s => ("service", s.Service.BatchId),
                LogRecord l => ("log", l.Entry.BatchId),
                _ => ("", Guid.Empty),
            }).Select(r => (r.Item1, batches.FindIndex(b => b.Id == r.Item2))));
    }

    [Fact]
    public void A_kitchen_is_written_out_as_it_was_when_that_began()
    {
        new Breads(from).Add(TempKitchen.SomeBread("First"));
        using var records = new WholeKitchen(from).All().GetEnumerator();
        Assert.True(records.MoveNext());
        new Batches(from).Add(TempKitchen.SomeBatch());
        Assert.False(records.MoveNext());
    }
}
