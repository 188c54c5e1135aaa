using Ystrata.Core;
using Ystrata.Store;

namespace Ystrata.Web;

/// <summary>The larder in use, read from the store once and again after every change.</summary>
public sealed class KitchenLarder(Pantry pantry, TimeProvider clock)
{
    private readonly Lock changing = new();
    private volatile Larder now = pantry.Larder();

    public Larder Now => now;

    /// <summary>Changes the store, then takes the larder up anew. One change at a time.</summary>
    public T Change<T>(Func<Pantry, DateTimeOffset, T> change)
    {
        lock (changing)
        {
            var result = change(pantry, clock.GetUtcNow());
            now = pantry.Larder();
            return result;
        }
    }

    public void Change(Action<Pantry, DateTimeOffset> change) => Change((p, at) =>
    {
        change(p, at);
        return true;
    });
}
