using Dapper;

namespace Ystrata.Store.Tests;

/// <summary>The log is found by what a cook remembers, page by page, and teaches.</summary>
public sealed class LogbookTests : IDisposable
{
    private readonly TempKitchen temp = new();
    private readonly Logbook log;
    private readonly Record record;
    private readonly Batch batch = TempKitchen.SomeBatch();

    public LogbookTests()
    {
        var kitchen = temp.Open();
        log = new(kitchen);
        record = new(kitchen);
        new Batches(kitchen).Add(batch);
    }

    public void Dispose() => temp.Dispose();

    private LogEntry Add(int day, string name = "Leek rounds", string note = "", Symptom[]? faults = null, double? thirst = null, bool counts = true, BatchSpec? spec = null)
    {
        var entry = TempKitchen.SomeEntry(batch.Id, TempKitchen.Noon.AddDays(day)) with { Name = name };
        entry = entry with { Spec = spec ?? entry.Spec, Outcome = entry.Outcome with { Note = note, Faults = faults, Counts = counts } };
        log.Add(entry, thirst is { } t ? [new(LessonKind.Thirst, "flour-white", t)] : []);
        return entry;
    }

    private IEnumerable<Guid> Found(LogQuery query) => log.Find(query).Lines.Select(l => l.Id);

    [Fact]
    public void Words_are_found_in_name_and_note_whatever_their_case_and_marks()
    {
        var beet = Add(1, "Beet quarters", "Très BONNE, 100 % good");
        Add(2, "Leek rounds", "under_score");

        Assert.Equal([beet.Id], Found(new("tres bonne")));
        Assert.Equal([beet.Id], Found(new("BEET")));
        Assert.Equal([beet.Id], Found(new("100 %")));
        Assert.Empty(Found(new("%leek%")));
        Assert.Empty(Found(new("under.score")));
        Assert.Empty(Found(new("'; drop table log_entry; --")));
    }

    [Theory]
    [InlineData("मूली के पराठे", "ली के")]
    [InlineData("मूली के पराठे", "ठे")]
    [InlineData("Müller’s ÉCLAIR", "ller’s ecl")]
    [InlineData("cafe\u0301 noir", "café")]
    [InlineData("cafe\u0301 noir", "fe\u0301")]
    [InlineData("大根のパン", "根のパ")]
    [InlineData("大根のパン", "根")]
    [InlineData("ХЛЕБ с луком", "хлеб С")]
    [InlineData("flat 🫓🫓🫓 three", "🫓🫓🫓")]
    [InlineData("flat 🫓 one", "🫓")]
    [InlineData("so \"crisp\" and", "\"crisp\"")]
    [InlineData("60 % or 1*2 NOT NEAR(a b)", "near(a")]
    [InlineData("60 % or 1*2 NOT NEAR(a b)", "1*2")]
    [InlineData("a_b^c:d-e", "_b^c:d-")]
    [InlineData("two  blanks", "o  b")]
    public void A_piece_of_any_words_in_any_script_is_found(string note, string piece)
    {
        var entry = Add(1, note: note);
        Add(2, note: "something else");
        var page = log.Find(new LogQuery(piece));
        Assert.Equal([entry.Id], page.Lines.Select(l => l.Id));
        Assert.Equal(1, page.Count);
    }

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void Cookings_with_and_without_a_plan_stand_on_one_page(bool plannedFirst)
    {
        var planned = Planned.Before(BatchSpec.Plain, Kitchen.Shipped);
        foreach (var (day, with) in new[] { (1, plannedFirst), (2, !plannedFirst) })
        {
            var entry = TempKitchen.SomeEntry(batch.Id, TempKitchen.Noon.AddDays(day)) with { Planned = with ? planned : null };
            log.Add(entry with { Outcome = entry.Outcome with { Judged = new(4, 4, 4, 4) } }, []);
        }

        int?[] leaves = [planned!.Leaves, null];
        Assert.Equal(plannedFirst ? leaves.Reverse() : leaves, log.Find(new LogQuery()).Lines.Select(l => l.Leaves));
        Assert.Equal([planned.Leaves], record.Leaves().Select(l => l.Leaves));
    }

    [Fact]
    public void Words_that_were_changed_deleted_or_laid_back_are_found_as_they_stand()
    {
        var entry = Add(1, note: "first words");
        Assert.True(log.Change(entry with { Outcome = entry.Outcome with { Note = "other ones" } }, [], Meant.Whatever).Done);
        Assert.Empty(Found(new("first")));
        Assert.Equal([entry.Id], Found(new("other")));

        var backups = new Backups(temp.Open());
        var file = backups.Make(TempKitchen.Noon);
        Assert.True(log.Change(entry with { Outcome = entry.Outcome with { Note = "third" } }, [], Meant.Whatever).Done);
        backups.Restore(file.Name, TempKitchen.Noon.AddMinutes(1));
        Assert.Equal([entry.Id], Found(new("other")));
        Assert.Empty(Found(new("third")));

        log.Delete(entry.Id, TempKitchen.Noon, Meant.Whatever);
        Assert.Empty(Found(new("other")));
        Assert.True(log.Restore(entry.Id));
        Assert.Equal([entry.Id], Found(new("other")));
        log.Delete(entry.Id, TempKitchen.Noon, Meant.Whatever);
        new Trash(temp.Open()).Empty(TempKitchen.Noon.AddDays(40));
        using var db = temp.Open().Connect();
        Assert.Equal(0, db.ExecuteScalar<int>("select count(*) from log_words where log_words match 'other'"));
    }

    [Fact]
    public void Fault_flour_and_words_narrow_together()
    {
        var spec = BatchSpec.Plain with { Dough = BatchSpec.Plain.Dough with { Flours = [new("flour-white", 80), new("flour-rye", 20)] } };
        var stiff = Add(1, faults: [Symptom.Stiff, Symptom.Pale], spec: spec);
        var well = Add(2, faults: []);
        var nobody = Add(3);

        Assert.Equal([stiff.Id], Found(new(Fault: Symptom.Pale)));
        Assert.Equal([stiff.Id], Found(new(Flour: "flour-rye")));
        Assert.Equal([nobody.Id, well.Id, stiff.Id], Found(new(Flour: "flour-white")));
        Assert.Empty(Found(new("beet", Fault: Symptom.Stiff)));
        var lines = log.Find(new LogQuery()).Lines;
        Assert.Null(lines[0].Faults);
        Assert.Empty(lines[1].Faults!);
        Assert.Equal([Symptom.Stiff, Symptom.Pale], lines[2].Faults);
    }

    [Fact]
    public void Pages_follow_each_other_without_gap_or_twin_even_at_the_same_minute()
    {
        var all = Enumerable.Range(0, 23).Select(i => Add(i / 5).Id).ToHashSet();
        var seen = new List<Guid>();
        LogMark? after = null;
        do
        {
            var page = log.Find(new LogQuery(After: after, Most: 4));
            Assert.Equal(23, page.Count);
            seen.AddRange(page.Lines.Select(l => l.Id));
            after = page.Lines.Count == 4 ? new(page.Lines[^1].CookedAt, page.Lines[^1].Id) : null;
        }
        while (after is not null);

        Assert.Equal(23, seen.Count);
        Assert.Equal(all, seen.ToHashSet());
    }

    [Fact]
    public void Everything_that_was_taken_comes_back()
    {
        var entry = TempKitchen.SomeEntry(batch.Id) with
        {
            Planned = Planned.Of(BatchSpec.Plain, Planner.Plan(BatchSpec.Plain, Kitchen.Shipped).Value!),
            Outcome = Outcome.Nothing with
            {
                Used = Outcome.Nothing.Used with { Lost = 2, Dough = new(612.5) },
                Judged = new(1, 2, 3, 4, 5, 1),
                Yields = [new("radish", "0-2", new(61), new(58))],
                Hands = [new(HandWork.LastRoll, new(31), 7)],
                Faults = [Symptom.Burst],
                Counts = false,
            },
        };
        log.Add(entry, []);

        Assert.Equivalent(entry, log.Find(entry.Id), strict: true);
        Assert.Equivalent(entry, Assert.Single(log.All()), strict: true);
    }

    [Fact]
    public void The_newest_twelve_that_count_teach()
    {
        foreach (var day in Enumerable.Range(0, 15))
        {
            Add(day, thirst: day < 3 ? 20 : 2);
        }

        Add(16, thirst: 20, counts: false);
        log.Delete(Add(17, thirst: 20).Id, TempKitchen.Noon, Meant.Whatever);

        var figure = Assert.Single(record.Figures(Kitchen.Shipped));
        Assert.Equal((LessonKind.Thirst, "flour-white", 12, 2.0, false), (figure.Kind, figure.Of, figure.N, figure.Mean, figure.Used));
        Assert.Empty(record.Used(Kitchen.Shipped));
    }

    [Fact]
    public void A_figure_is_used_set_back_begun_anew_and_remembered()
    {
        Add(0, thirst: 4);
        record.Use(LessonKind.Thirst, "flour-white", used: true);
        Assert.True(Assert.Single(record.Used(Kitchen.Shipped)).Used);

        record.Forget(LessonKind.Thirst, "flour-white", TempKitchen.Noon.AddDays(1));
        Assert.Empty(record.Figures(Kitchen.Shipped));
        Add(2, thirst: 1);
        Assert.Equal((1, 1.0), (Assert.Single(record.Figures(Kitchen.Shipped)).N, record.Figures(Kitchen.Shipped)[0].Mean));

        record.Forget(LessonKind.Thirst, "flour-white", null);
        Assert.Equal(2, record.Figures(Kitchen.Shipped)[0].N);
        record.Use(LessonKind.Thirst, "flour-white", used: false);
        Assert.Empty(record.Used(Kitchen.Shipped));
    }

    [Fact]
    public void What_a_changed_entry_taught_before_is_gone()
    {
        var entry = Add(0, faults: [Symptom.Stiff], thirst: 9);
        Assert.True(log.Change(entry with { Outcome = entry.Outcome with { Faults = [Symptom.Pale] } }, [new(LessonKind.Thirst, "flour-white", 1)], Meant.Whatever).Done);

        Assert.Equal(1, Assert.Single(record.Trend(LessonKind.Thirst)).Value);
        Assert.Empty(Found(new(Fault: Symptom.Stiff)));
        Assert.Equal([entry.Id], Found(new(Fault: Symptom.Pale)));
    }

    [Fact]
    public void A_flour_that_left_the_larder_teaches_nothing()
    {
        var entry = TempKitchen.SomeEntry(batch.Id);
        log.Add(entry, [new(LessonKind.Thirst, "no-such-flour", 3)]);

        Assert.Empty(record.Figures(Kitchen.Shipped));
    }
}
