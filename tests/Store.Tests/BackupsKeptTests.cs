namespace Ystrata.Store.Tests;

/// <summary>Which backups stay, here and in the folder elsewhere, and which go.</summary>
public sealed class BackupsKeptTests : IDisposable
{
    private readonly TempKitchen temp = new();
    private readonly Backups backups;

    public BackupsKeptTests()
    {
        var kitchen = temp.Open();
        backups = new(kitchen);
        new Breads(kitchen).Add(TempKitchen.SomeBread());
    }

    public void Dispose() => temp.Dispose();

    [Fact]
    public void Backups_made_by_hand_can_be_deleted_and_the_oldest_of_too_many_goes()
    {
        backups.MakeDaily(TempKitchen.Noon);
        var first = backups.Make(TempKitchen.Noon);
        var made = Enumerable.Range(1, Backups.OthersKept - 1).Select(i => backups.Make(TempKitchen.Noon.AddMinutes(i))).ToList();
        Assert.Equal(Backups.OthersKept + 1, backups.All().Count);

        // The one it is restored from stays, though it is the oldest.
        var before = backups.Restore(first.Name, TempKitchen.Noon.AddHours(1));
        Assert.Equal(Backups.OthersKept + 1, backups.All().Count(f => !f.Daily));
        Assert.NotNull(backups.PathOf(first.Name));
        backups.Make(TempKitchen.Noon.AddHours(2));
        Assert.Equal(Backups.OthersKept, backups.All().Count(f => !f.Daily));
        Assert.Null(backups.PathOf(first.Name));

        backups.Delete(before.Name);
        Assert.Null(backups.PathOf(before.Name));
        Assert.Equal(BackupFault.NotThere, Assert.Throws<BackupException>(() => backups.Delete(before.Name)).Fault);
        Assert.Equal(BackupFault.NotThere, Assert.Throws<BackupException>(() => backups.Delete("../ystrata.db")).Fault);
        Assert.Equal(BackupFault.Daily, Assert.Throws<BackupException>(() => backups.Delete(backups.All().Single(f => f.Daily).Name)).Fault);
        Assert.Contains(made[^1].Name, backups.All().Select(f => f.Name));
    }

    [Fact]
    public void The_folder_elsewhere_has_as_many_days_as_this_one_and_no_unsound_copy()
    {
        var there = Directory.CreateTempSubdirectory("ystrata-there-").FullName;
        try
        {
            File.WriteAllText(Path.Combine(there, "letter.db"), "somebody's own");
            var elsewhere = new BackupsElsewhere(backups, there);
            Assert.True(elsewhere.IsOld(TempKitchen.Noon));
            for (var day = 0; day < Backups.Kept + 3; day++)
            {
                backups.MakeDaily(TempKitchen.Noon.AddDays(day));
                elsewhere.Fill();
                Assert.Equal(ElsewhereTrouble.None, elsewhere.Trouble);
            }

            var last = TempKitchen.Noon.AddDays(Backups.Kept + 2);
            Assert.Equal(last, elsewhere.Newest);
            Assert.False(elsewhere.IsOld(last.AddDays(2)));
            Assert.True(elsewhere.IsOld(last.AddDays(2).AddMinutes(1)));
            // A clock that was ahead has made one of a day to come: it counts as today's.
            Assert.False(elsewhere.IsOld(last.AddDays(-100)));
            Assert.Equal(Backups.Kept + 1, Directory.GetFiles(there).Length);

            backups.MakeDaily(last.AddDays(1));
            var spoilt = backups.PathOf(backups.All().First(f => f.Daily).Name)!;
            BackupTests.Spoil(spoilt);
            File.SetLastWriteTimeUtc(spoilt, last.AddDays(1).UtcDateTime);
            elsewhere.Fill();
            Assert.Equal(ElsewhereTrouble.Broken, elsewhere.Trouble);
            Assert.Equal(Backups.Kept + 1, Directory.GetFiles(there).Length);
        }
        finally
        {
            Directory.Delete(there, recursive: true);
        }

        var gone = new BackupsElsewhere(backups, there);
        gone.Fill();
        Assert.Equal((ElsewhereTrouble.NotThere, true), (gone.Trouble, gone.IsOld(TempKitchen.Noon)));
        var none = new BackupsElsewhere(backups, null);
        none.Fill();
        Assert.Equal((ElsewhereTrouble.None, false), (none.Trouble, none.IsOld(TempKitchen.Noon)));
    }
}
