using Dapper;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store.Tests;

/// <summary>Nothing a kitchen had is lost: copies while it runs, a way back that is whole or nothing, a trash of thirty days.</summary>
public sealed class BackupTests : IDisposable
{
    private readonly TempKitchen temp = new();
    private readonly KitchenDb kitchen;
    private readonly Backups backups;
    private readonly Breads breads;
    private readonly Batches batches;
    private readonly Logbook log;

    public BackupTests()
    {
        kitchen = temp.Open();
        (backups, breads, batches, log) = (new(kitchen), new(kitchen), new(kitchen), new(kitchen));
    }

    public void Dispose() => temp.Dispose();

    [Fact]
    public async Task What_is_deleted_while_they_are_listed_is_not_listed_and_no_fault()
    {
        var made = backups.Make(DateTimeOffset.UtcNow);
        var folder = Path.GetDirectoryName(backups.PathOf(made.Name)!)!;
        var coming = Task.Run(() =>
        {
            for (var i = 0; i < 3000; i++)
            {
                var path = Path.Combine(folder, $"ystrata-2026-01-01-{i % 9:000000000}.db");
                File.WriteAllText(path, "");
                File.Delete(path);
            }
        });
        while (!coming.IsCompleted)
        {
            Assert.Contains(backups.All(), f => f.Name == made.Name);
        }

        await coming;
        Assert.Equal([made], backups.All());
        Directory.Delete(folder, recursive: true);
        Assert.Empty(backups.All());
    }

    private LogEntry Cooked()
    {
        var bread = TempKitchen.SomeBread();
        breads.Add(bread);
        var batch = TempKitchen.SomeBatch(bread.Id);
        batches.Add(batch);
        var entry = TempKitchen.SomeEntry(batch.Id) with { Outcome = Outcome.Nothing with { Faults = [Symptom.Stiff] } };
        log.Add(entry, [new(LessonKind.PanTime, "", 1.2)]);
        return entry;
    }

    internal static void Spoil(string path)
    {
        using var file = new FileStream(path, FileMode.Open, FileAccess.ReadWrite, FileShare.ReadWrite);
        // Every page but the first, which says what the file is.
        for (file.Position = 4096; file.Position < file.Length;)
        {
            file.Write(Enumerable.Repeat((byte)0x5A, 4096).ToArray());
        }
    }

    [Fact]
    public void A_damaged_kitchen_is_noticed_takes_no_sound_copys_place_and_is_restored_over()
    {
        var entry = Cooked();
        backups.MakeDaily(TempKitchen.Noon);
        var sound = Assert.Single(backups.All());
        var bytes = File.ReadAllBytes(backups.PathOf(sound.Name)!);
        kitchen.Settle();
        Pool.Clear(temp.File);
        Spoil(temp.File);

        Assert.Equal(BackupFault.Broken, Assert.Throws<BackupException>(() => backups.MakeDaily(TempKitchen.Noon.AddDays(1))).Fault);
        Assert.Equal(BackupFault.Broken, backups.Damaged);
        Assert.Equal([sound.Name], backups.All().Select(f => f.Name));
        Assert.Equal(bytes, File.ReadAllBytes(backups.PathOf(sound.Name)!));

        var aside = backups.Restore(sound.Name, TempKitchen.Noon.AddDays(2));
        Assert.Equal(entry.Id, log.Find(entry.Id)!.Id);
        Assert.Null(backups.Damaged);
        Assert.StartsWith("damaged-", aside.Name, StringComparison.Ordinal);
        Assert.Equal(2, Directory.GetFiles(Path.GetDirectoryName(backups.PathOf(sound.Name)!)!).Count(f => !f.EndsWith("-wal", StringComparison.Ordinal) && !f.EndsWith("-shm", StringComparison.Ordinal)));
    }

    [Fact]
    public async Task What_was_acknowledged_while_a_restore_ran_is_in_the_kitchen_or_in_the_copy_of_before()
    {
        Cooked();
        var backup = backups.Make(TempKitchen.Noon);
        for (var round = 0; round < 5; round++)
        {
            var kept = new System.Collections.Concurrent.ConcurrentBag<Guid>();
            using var enough = new CancellationTokenSource();
            using var began = new SemaphoreSlim(0);
            var hands = Enumerable.Range(0, 4).Select(_ => Task.Run(() =>
            {
                while (!enough.IsCancellationRequested)
                {
                    var bread = TempKitchen.SomeBread();
                    breads.Add(bread);
                    kept.Add(bread.Id);
                    began.Release();
                }
            })).ToList();
            for (var i = 0; i < 20; i++)
            {
                await began.WaitAsync();
            }

            var before = backups.Restore(backup.Name, TempKitchen.Noon.AddHours(round + 1));
            await enough.CancelAsync();
            await Task.WhenAll(hands);
            var there = breads.All().Select(b => b.Id).ToHashSet();
            var copied = new Breads(KitchenDb.Open(backups.PathOf(before.Name)!)).All().Select(b => b.Id).ToHashSet();

            Assert.All(kept, id => Assert.True(there.Contains(id) || copied.Contains(id)));
        }
    }

    [Fact]
    public void What_is_no_kitchen_is_said_to_be_what_it_is()
    {
        File.WriteAllText(Path.Combine(temp.Folder, "letter.db"), "Dear kitchen, " + new string('x', 5000));
        using (var db = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = Path.Combine(temp.Folder, "other.db"), Pooling = false }.ToString()))
        {
            db.Open();
            db.Execute("create table hens (id integer)");
        }

        File.Copy(backups.PathOf(backups.Make(TempKitchen.Noon).Name)!, Path.Combine(temp.Folder, "newer.db"));
        using (var db = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = Path.Combine(temp.Folder, "newer.db"), Pooling = false }.ToString()))
        {
            db.Open();
            db.Execute("insert into SchemaVersions (ScriptName, Applied) values ('9999_of_tomorrow.sql', '2030-01-01')");
        }

        foreach (var (name, fault) in new[] { ("letter", BackupFault.Broken), ("other", BackupFault.Foreign), ("newer", BackupFault.Newer) })
        {
            Assert.Equal(fault, Assert.Throws<BackupException>(() => KitchenDb.Open(Path.Combine(temp.Folder, $"{name}.db"))).Fault);
        }
    }

    [Fact]
    public void One_server_at_a_time_works_in_a_folder()
    {
        using var first = KitchenLock.Take(temp.Folder);
        Assert.NotNull(first);
        Assert.Null(KitchenLock.Take(temp.Folder));
        first.Dispose();
        using var next = KitchenLock.Take(temp.Folder);
        Assert.NotNull(next);
    }

    [Fact]
    public void What_was_left_half_worked_on_goes_with_the_next_start()
    {
        var left = kitchen.Workshop.Place();
        File.WriteAllText(Path.Combine(left, "half.db"), "half");
        kitchen.Workshop.Clear();

        Assert.False(Directory.Exists(left));
    }

    [Fact]
    public void A_restore_brings_everything_back_and_can_itself_be_taken_back()
    {
        var entry = Cooked();
        var backup = backups.Make(TempKitchen.Noon);
        var later = TempKitchen.SomeBread("Came later");
        breads.Add(later);
        log.Delete(entry.Id, TempKitchen.Noon, Meant.Whatever);
        breads.Change(breads.All().First(b => b.Name == "Leek rounds") with { Name = "Renamed", ChangedAt = TempKitchen.Noon.AddDays(1) }, Meant.Whatever);

        var preview = backups.Preview(backup.Name);
        Assert.Equal(new RestoreCount("bread", 0, 1, 1, 0), preview.Parts[0]);
        Assert.Equal(new RestoreCount("log", 1, 0, 0, 0), preview.Parts[2]);
        Assert.Equal(["Came later"], preview.Gone);

        var before = backups.Restore(backup.Name, TempKitchen.Noon.AddHours(1));
        Assert.Equal("Leek rounds", Assert.Single(breads.All()).Name);
        Assert.Equivalent(entry, log.Find(entry.Id), strict: true);
        Assert.Equal([entry.Id], log.Find(new LogQuery(Fault: Symptom.Stiff)).Lines.Select(l => l.Id));
        Assert.Equal(1.2, new Record(kitchen).Figures(Kitchen.Shipped)[0].Mean);
        Assert.All(backups.Preview(backup.Name).Parts, p => Assert.Equal(0, p.Back + p.Gone + p.Changed));

        backups.Restore(before.Name, TempKitchen.Noon.AddHours(2));
        Assert.Equal(["Came later", "Renamed"], breads.All().Select(b => b.Name));
        Assert.Null(log.Find(entry.Id));
    }

    [Fact]
    public async Task A_backup_taken_while_others_write_is_sound()
    {
        using var enough = new CancellationTokenSource();
        var writing = Task.Run(() =>
        {
            while (!enough.IsCancellationRequested)
            {
                breads.Add(TempKitchen.SomeBread());
            }
        });
        var made = Enumerable.Range(0, 5).Select(i => backups.Make(TempKitchen.Noon.AddSeconds(i))).ToList();
        await enough.CancelAsync();
        await writing;

        Assert.All(made, b => Assert.Equal(0, backups.Preview(b.Name).Parts[0].Back));
    }

    [Fact]
    public void Two_backups_in_one_moment_are_two()
    {
        Cooked();
        Assert.NotEqual(backups.Make(TempKitchen.Noon).Name, backups.Make(TempKitchen.Noon).Name);
        Assert.Equal(2, backups.All().Count);
    }

    [Fact]
    public void One_a_day_and_the_newest_fourteen_of_them_stay()
    {
        for (var day = 0; day < 20; day++)
        {
            Assert.True(backups.MakeDaily(TempKitchen.Noon.AddDays(day)));
            Assert.False(backups.MakeDaily(TempKitchen.Noon.AddDays(day).AddHours(3)));
        }

        backups.Make(TempKitchen.Noon);
        Assert.Equal(Backups.Kept, backups.All().Count(b => b.Daily));
        Assert.Equal("ystrata-2026-12-09.db", backups.All()[0].Name);
        Assert.Equal("ystrata-2026-11-20-120000000.db", backups.All()[^1].Name);
    }

    [Fact]
    public async Task A_backup_of_an_older_version_is_brought_up_to_date_on_the_way()
    {
        var old = Path.Combine(temp.Folder, "old.db");
        using (var db = new SqliteConnection($"Data Source={old};Pooling=False"))
        {
            db.Open();
            var assembly = typeof(KitchenDb).Assembly;
            db.Execute("create table SchemaVersions (SchemaVersionID integer primary key, ScriptName text not null, Applied text not null)");
            foreach (var script in KitchenDb.Scripts.Order(StringComparer.Ordinal).Take(4))
            {
                using var text = new StreamReader(assembly.GetManifestResourceStream(script)!);
                db.Execute(await text.ReadToEndAsync());
                db.Execute("insert into SchemaVersions (ScriptName, Applied) values (@script, '2026-01-01')", new { script });
            }

            db.Execute(
                "insert into bread (id, name, about, spec, changed_at) values (@id, 'From before', '', @spec, '2026-01-01T00:00:00.000Z')",
                new { id = Guid.NewGuid().ToString(), spec = SpecJson.Write(BatchSpec.Plain) });
        }

        await using var file = File.OpenRead(old);
        var brought = await backups.Bring(file, TempKitchen.Noon, default);
        Assert.Equal(["From before"], backups.Preview(brought.Name).Back);
        backups.Restore(brought.Name, TempKitchen.Noon);
        Assert.Equal("From before", Assert.Single(breads.All()).Name);
    }

    public static TheoryData<string, BackupFault> Unsound => new()
    {
        { "", BackupFault.Foreign },
        { "<!doctype html>", BackupFault.Broken },
        { "create table other (a)", BackupFault.Foreign },
        { "create table bread (id); create table SchemaVersions (ScriptName text); insert into SchemaVersions values ('9999_from_the_future.sql')", BackupFault.Newer },
    };

    [Theory]
    [MemberData(nameof(Unsound))]
    public async Task What_is_no_sound_backup_is_refused_and_leaves_nothing(string made, BackupFault fault)
    {
        Cooked();
        var path = Path.Combine(temp.Folder, "foreign.db");
        if (made.StartsWith("create", StringComparison.Ordinal))
        {
            using var db = new SqliteConnection($"Data Source={path};Pooling=False");
            db.Open();
            db.Execute(made);
        }
        else
        {
            await File.WriteAllTextAsync(path, made);
        }

        await using var file = File.OpenRead(path);
        var thrown = await Assert.ThrowsAsync<BackupException>(() => backups.Bring(file, TempKitchen.Noon, default));
        Assert.Equal(fault, thrown.Fault);
        Assert.Empty(backups.All());
        var folder = Path.Combine(Path.GetDirectoryName(temp.File)!, "backups");
        Assert.Empty(Directory.Exists(folder) ? Directory.GetFiles(folder) : []);
        Assert.Empty(Directory.GetDirectories(Path.Combine(Path.GetDirectoryName(temp.File)!, "ystrata-work")));
        Assert.Single(breads.All());
    }

    [Fact]
    public async Task Four_hundred_spoilt_backups_change_nothing()
    {
        Cooked();
        var sound = await File.ReadAllBytesAsync(backups.PathOf(backups.Make(TempKitchen.Noon).Name)!);
        var random = new Random(20261126);
        for (var i = 0; i < 400; i++)
        {
            byte[] bytes = [.. i % 3 == 0 ? sound[..random.Next(sound.Length)] : sound];
            for (var n = random.Next(1, 40); n > 0 && bytes.Length > 0; n--)
            {
                bytes[random.Next(Math.Min(bytes.Length, i % 2 == 0 ? 400 : bytes.Length))] = (byte)random.Next(256);
            }

            try
            {
                await backups.Bring(new MemoryStream(bytes), TempKitchen.Noon.AddDays(1), default);
            }
            catch (BackupException)
            {
                // As it should be.
            }
        }

        Assert.Single(breads.All());
        Assert.Single(log.Find(new LogQuery()).Lines);
        Assert.All(backups.All(), b => Assert.StartsWith("ystrata-", b.Name, StringComparison.Ordinal));
    }

    [Theory]
    [InlineData("../ystrata.db")]
    [InlineData("ystrata-2026-11-20-120000000.db/../../ystrata.db")]
    [InlineData("ystrata-2026-01-01.db")]
    [InlineData("")]
    public void A_name_that_is_no_backups_finds_nothing(string name)
    {
        Cooked();
        backups.Make(TempKitchen.Noon);

        Assert.Null(backups.PathOf(name));
        Assert.Equal(BackupFault.NotThere, Assert.Throws<BackupException>(() => backups.Preview(name)).Fault);
        Assert.Equal(BackupFault.NotThere, Assert.Throws<BackupException>(() => backups.Restore(name, TempKitchen.Noon)).Fault);
    }

    [Fact]
    public void The_trash_shows_what_was_deleted_and_empties_itself_after_thirty_days()
    {
        var trash = new Trash(kitchen);
        var entry = Cooked();
        var bread = breads.All()[0];
        var lone = TempKitchen.SomeBread("Alone");
        breads.Add(lone);
        breads.Delete(lone.Id, TempKitchen.Noon, Meant.Whatever);
        breads.Delete(bread.Id, TempKitchen.Noon.AddDays(5), Meant.Whatever);
        log.Delete(entry.Id, TempKitchen.Noon.AddDays(6), Meant.Whatever);
        batches.Delete(entry.BatchId, TempKitchen.Noon.AddDays(6), Meant.Whatever);

        Assert.Equal(["log", "batch", "bread", "bread"], trash.Latest(100)!.OrderByDescending(t => t.DeletedAt).ThenByDescending(t => t.Kind).Select(t => t.Kind));
        Assert.Equal(0, trash.Empty(TempKitchen.Noon.AddDays(29)));
        Assert.Equal(1, trash.Empty(TempKitchen.Noon.AddDays(31)));
        Assert.False(breads.Restore(lone.Id));
        // Entry first, then the batch it was of, then the bread that was of.
        Assert.Equal(3, trash.Empty(TempKitchen.Noon.AddDays(40)));
        Assert.Empty(trash.Latest(100)!);
        Assert.Empty(new Record(kitchen).Figures(Kitchen.Shipped));
    }

    [Fact]
    public void What_a_cooking_still_hangs_on_is_not_taken_out()
    {
        var entry = Cooked();
        batches.Delete(entry.BatchId, TempKitchen.Noon, Meant.Whatever);
        breads.Delete(breads.All()[0].Id, TempKitchen.Noon, Meant.Whatever);

        Assert.Equal(0, new Trash(kitchen).Empty(TempKitchen.Noon.AddDays(100)));
        Assert.NotNull(log.Find(entry.Id));
    }
}
