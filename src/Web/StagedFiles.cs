using Ystrata.Store;

namespace Ystrata.Web;

/// <summary>Files that were set up and looked at, until somebody says whether they are taken in.</summary>
public sealed class StagedFiles(TimeProvider time) : IDisposable
{
    private const int Most = 4;

    private static readonly TimeSpan Longest = TimeSpan.FromHours(1);

    private readonly Lock changing = new();
    private readonly List<(Guid Id, Staging Staging, DateTimeOffset At)> staged = [];

    public Guid Add(Staging staging)
    {
        lock (changing)
        {
            var now = time.GetUtcNow();
            foreach (var old in staged.Where(s => now - s.At > Longest).Concat(staged.Take(staged.Count - Most + 1)).Distinct().ToList())
            {
                old.Staging.Dispose();
                staged.Remove(old);
            }

            var id = Guid.CreateVersion7();
            staged.Add((id, staging, now));
            return id;
        }
    }

    /// <summary>Gives it away: whoever asked has to dispose of it.</summary>
    public Staging? Take(Guid id)
    {
        lock (changing)
        {
            var found = staged.FindIndex(s => s.Id == id);
            if (found < 0)
            {
                return null;
            }

            var staging = staged[found].Staging;
            staged.RemoveAt(found);
            return staging;
        }
    }

    public void Dispose()
    {
        lock (changing)
        {
            staged.ForEach(s => s.Staging.Dispose());
            staged.Clear();
        }
    }
}
