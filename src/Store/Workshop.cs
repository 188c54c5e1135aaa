namespace Ystrata.Store;

/// <summary>Where files lie while they are worked on, beside the kitchen's own: what a server that was killed left there goes with the next start.</summary>
public sealed class Workshop(string folder)
{
    /// <summary>A folder of its own for one piece of work, to be deleted with it.</summary>
    public string Place() => Directory.CreateDirectory(Path.Combine(folder, Guid.CreateVersion7().ToString("N"))).FullName;

    /// <summary>Clears away what was left; only while nothing works here.</summary>
    public void Clear()
    {
        if (Directory.Exists(folder))
        {
            Directory.Delete(folder, recursive: true);
        }
    }
}
