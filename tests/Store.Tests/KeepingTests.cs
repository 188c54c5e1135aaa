
namespace Ystrata.Store.Tests;

public sealed class KeepingTests : IDisposable
{
    private readonly TempKitchen temp = new();
    private readonly Breads breads;
    private readonly Batches batches;
    private readonly Logbook log;

    public KeepingTests()
    {
        var kitchen = temp.Open();
        breads = new(kitchen);
        batches = new(kitchen);
        log = new(kitchen);
    }

    public void Dispose() => temp.Dispose();

    [Fact]
    public void A_spec_with_every_kind_of_step_comes_back_as_it_went()
    {
        var spec = BatchSpec.Plain with
        {
            Fold = new([
                new LetterStep(), new BrushStep("ghee", new(2.5)), new DustStep("starch-corn", new(0.5)), new HalfStep(),
                new RollStep(new(250)), new AccordionStep(7), new MatRollStep(), new CoilStep(),
            ]),
        };

        Assert.Equivalent(spec, SpecJson.Read(SpecJson.Write(spec)), strict: true);
    }

    [Fact]
    public void Breads_stand_on_the_shelf_by_name()
    {
        breads.Add(TempKitchen.SomeBread("radish"));
        breads.Add(TempKitchen.SomeBread("Beet"));
        breads.Add(TempKitchen.SomeBread("leek"));

        Assert.Equal(["Beet", "leek", "radish"], breads.All().Select(b => b.Name));
    }

    [Fact]
    public void A_changed_bread_is_the_changed_bread()
    {
        var bread = TempKitchen.SomeBread();
        breads.Add(bread);

        Assert.True(breads.Change(bread with { Name = "Leek squares" }, Meant.Whatever).Done);
        Assert.Equal("Leek squares", breads.Find(bread.Id)!.Name);
        Assert.False(breads.Change(TempKitchen.SomeBread(), Meant.Whatever).Done);
    }

    [Fact]
    public void A_delete_can_be_taken_back_once()
    {
        var bread = TempKitchen.SomeBread();
        breads.Add(bread);

        Assert.True(breads.Delete(bread.Id, TempKitchen.Noon, Meant.Whatever).Done);
        Assert.False(breads.Delete(bread.Id, TempKitchen.Noon, Meant.Whatever).Done);
        Assert.Null(breads.Find(bread.Id));
        Assert.Empty(breads.All());
        Assert.False(breads.Change(bread, Meant.Whatever).Done);
        Assert.True(breads.Known(bread.Id));

        Assert.True(breads.Restore(bread.Id));
        Assert.False(breads.Restore(bread.Id));
        Assert.Equivalent(bread, breads.Find(bread.Id), strict: true);
    }

    [Fact]
    public void Batches_come_newest_first_and_no_more_than_asked()
    {
        for (var i = 0; i < 5; i++)
        {
            batches.Add(TempKitchen.SomeBatch(name: $"batch {i}") with { ChangedAt = TempKitchen.Noon.AddMinutes(i) });
        }

        Assert.Equal(["batch 4", "batch 3", "batch 2"], batches.Latest(3)!.Select(b => b.Name));
    }

    [Fact]
    public void A_batch_remembers_its_bread_and_its_hour_in_any_time_zone()
    {
        var bread = TempKitchen.SomeBread();
        breads.Add(bread);
        var batch = TempKitchen.SomeBatch(bread.Id) with { MadeFor = new(2026, 11, 20, 18, 30, 0, TimeSpan.FromHours(5.5)) };
        batches.Add(batch);

        var found = batches.Find(batch.Id)!;

        Assert.Equal(bread.Id, found.BreadId);
        Assert.Equal(batch.MadeFor, found.MadeFor);
        Assert.True(batches.Change(found with { Name = "Late leek" }, Meant.Whatever).Done);
        Assert.Equal("Late leek", batches.Find(batch.Id)!.Name);
    }

    [Fact]
    public void What_was_not_weighed_stays_empty_in_the_log()
    {
        var batch = TempKitchen.SomeBatch();
        batches.Add(batch);
        var entry = TempKitchen.SomeEntry(batch.Id);
        log.Add(entry, []);

        var found = log.Find(entry.Id)!;

        Assert.Equivalent(entry, found, strict: true);
        Assert.Null(found.Outcome.Used.DoughFat);
        Assert.Null(found.Outcome.Judged.Leaves);
        Assert.Equal("Leek rounds", found.Name);
    }

    [Fact]
    public void Changing_a_batch_does_not_rewrite_its_record()
    {
        var batch = TempKitchen.SomeBatch();
        batches.Add(batch);
        var entry = TempKitchen.SomeEntry(batch.Id);
        log.Add(entry, []);

        batches.Change(batch with { Spec = batch.Spec with { Balls = batch.Spec.Balls with { Mass = new(120) } } }, Meant.Whatever);

        Assert.Equal(80, log.Find(entry.Id)!.Spec.Balls.Mass.Value);
    }

    [Fact]
    public void The_log_reads_backwards_and_outlives_a_deleted_batch()
    {
        var batch = TempKitchen.SomeBatch();
        batches.Add(batch);
        var first = TempKitchen.SomeEntry(batch.Id, TempKitchen.Noon);
        var second = TempKitchen.SomeEntry(batch.Id, TempKitchen.Noon.AddDays(1));
        log.Add(first, []);
        log.Add(second, []);
        batches.Delete(batch.Id, TempKitchen.Noon, Meant.Whatever);

        Assert.Equal([second.Id, first.Id], log.Find(new LogQuery()).Lines.Select(l => l.Id));
    }

    [Fact]
    public void An_entry_is_changed_deleted_and_taken_back()
    {
        var batch = TempKitchen.SomeBatch();
        batches.Add(batch);
        var entry = TempKitchen.SomeEntry(batch.Id);
        log.Add(entry, []);

        Assert.True(log.Change(entry with { Outcome = entry.Outcome with { Note = "better" } }, [], Meant.Whatever).Done);
        Assert.Equal("better", log.Find(entry.Id)!.Outcome.Note);
        Assert.True(log.Delete(entry.Id, TempKitchen.Noon, Meant.Whatever).Done);
        Assert.Empty(log.Find(new LogQuery()).Lines);
        Assert.False(log.Change(entry, [], Meant.Whatever).Done);
        Assert.True(log.Restore(entry.Id));
        Assert.Single(log.Find(new LogQuery()).Lines);
    }

    [Fact]
    public void A_name_full_of_quotes_is_only_a_name()
    {
        var bread = TempKitchen.SomeBread("'); drop table bread; --");
        breads.Add(bread);

        Assert.Equal(bread.Name, Assert.Single(breads.All()).Name);
    }
}
