namespace Ystrata.Store;

/// <summary>Says that one server works in a kitchen's folder; the system gives it back when that server ends, however it ends.</summary>
public sealed class KitchenLock : IDisposable
{
    private readonly FileStream held;

    private KitchenLock(FileStream held) => this.held = held;

    /// <param name="folder">Where the kitchen's file lies, or will.</param>
    /// <returns>Nothing while another server has it.</returns>
    public static KitchenLock? Take(string folder)
    {
        Directory.CreateDirectory(folder);
        var path = Path.Combine(folder, "ystrata.lock");
        try
        {
            return new(new(path, FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None));
        }
        catch (IOException) when (File.Exists(path))
        {
            return null;
        }
    }

    public void Dispose() => held.Dispose();
}
