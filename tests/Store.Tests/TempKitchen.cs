namespace Ystrata.Store.Tests;

/// <summary>A kitchen in a folder of its own, gone with the test.</summary>
public sealed class TempKitchen : IDisposable
{
    public static readonly DateTimeOffset Noon = new(2026, 11, 20, 12, 0, 0, TimeSpan.Zero);

    public string Folder { get; } = Directory.CreateTempSubdirectory("ystrata-").FullName;

    public string File => Path.Combine(Folder, "kitchen", "ystrata.db");

    public KitchenDb Open() => KitchenDb.Open(File);

    public static Bread SomeBread(string name = "Leek rounds") => new(Guid.CreateVersion7(), name, "about", ["noon"], BatchSpec.Plain, Noon);

    public static Batch SomeBatch(Guid? bread = null, string name = "Leek rounds") => new(Guid.CreateVersion7(), bread, name, BatchSpec.Plain, Noon, Noon);

    public static LogEntry SomeEntry(Guid batch, DateTimeOffset? at = null) => new(
        Guid.CreateVersion7(),
        batch,
        BatchSpec.Plain,
        at ?? Noon,
        new(
            new(8, new(500), new(291.5), null, new(9), new(80)),
            new(new(212), new(45), null, new(20)),
            new(4, null, 5, 4),
            "rain, slow dough"),
        Noon,
        "Leek rounds");

    public void Dispose()
    {
        Pool.Clear(File);
        Directory.Delete(Folder, recursive: true);
    }
}
