namespace Ystrata.Store.Tests;

/// <summary>Who may come in is kept beside the kitchen, and goes with no copy of it.</summary>
public sealed class ScreensTests : IDisposable
{
    private static readonly DateTimeOffset Morning = new(2026, 11, 28, 5, 0, 0, TimeSpan.Zero);

    private readonly string folder = Directory.CreateTempSubdirectory("ystrata-screens-").FullName;

    public void Dispose() => Directory.Delete(folder, recursive: true);

    [Fact]
    public void What_was_let_in_named_seen_and_sent_away_is_so_when_the_file_is_opened_again()
    {
        var screens = Open();
        Screen stove = new(Guid.NewGuid(), "By the pans", ScreenKind.Stove, Morning, Morning), tablet = new(Guid.NewGuid(), "Tablet", ScreenKind.All, Morning.AddHours(1), Morning.AddHours(1));
        screens.Add(stove);
        screens.Add(tablet);
        screens.Rename(stove.Id, "By the door");
        screens.Seen(stove.Id, Morning.AddHours(3));
        Assert.Equal([tablet, stove with { Name = "By the door", SeenAt = Morning.AddHours(3) }], Open().All());
        screens.SendAway(tablet.Id);
        Assert.Equal([stove.Id], Open().All().Select(s => s.Id));
    }

    [Fact]
    public void The_kitchen_s_id_and_its_passphrase_stay()
    {
        var screens = Open();
        Assert.Null(screens.Passphrase);
        screens.Passphrase = "a hash";
        Assert.Equal((screens.Kitchen, "a hash"), (Open().Kitchen, Open().Passphrase));
        Assert.NotEqual(Guid.Empty, screens.Kitchen);
    }

    [Fact]
    public void No_copy_of_the_kitchen_has_them()
    {
        Open().Passphrase = "a hash nobody else may see";
        var kitchen = KitchenDb.Open(Path.Combine(folder, "ystrata.db"));
        var backups = new Backups(kitchen);
        var copy = File.ReadAllText(backups.PathOf(backups.Make(Morning).Name)!, System.Text.Encoding.Latin1);
        Assert.DoesNotContain("nobody else may see", copy, StringComparison.Ordinal);
        Assert.DoesNotContain("passphrase", copy, StringComparison.Ordinal);
    }

    private Screens Open() => Screens.Open(Path.Combine(folder, "ystrata.screens.db"));
}
