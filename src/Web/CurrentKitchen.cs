using Ystrata.Store;

namespace Ystrata.Web;

/// <summary>The kitchen in use, read from the store once and again after every change.</summary>
public sealed class CurrentKitchen(Pantry pantry, Record record, TimeProvider clock)
{
    private readonly Lock changing = new();
    private volatile Kitchen now = pantry.Kitchen();
    private volatile Kitchen? taught;
    private volatile IReadOnlyDictionary<string, string>? versions;

    /// <summary>As it is without anything learned.</summary>
    public Kitchen Now => now;

    /// <summary>As plans use it: with what the record has taught and the cook wants used.</summary>
    public Kitchen Taught
    {
        get
        {
            if (taught is { } known)
            {
                return known;
            }

            lock (changing)
            {
                return taught ??= LearnedFigures.Onto(now, record.Used(now));
            }
        }
    }

    /// <summary>The version of every line.</summary>
    public IReadOnlyDictionary<string, string> Versions
    {
        get
        {
            if (versions is { } known)
            {
                return known;
            }

            lock (changing)
            {
                return versions ??= now.Larder.All.ToDictionary(i => i.Id, Store.Versions.Of);
            }
        }
    }

    /// <summary>Looks and changes with no other change in between.</summary>
    public T Alone<T>(Func<T> work)
    {
        lock (changing)
        {
            return work();
        }
    }

    /// <summary>Changes the store, then takes the larder up anew. One change at a time.</summary>
    public T Change<T>(Func<Pantry, DateTimeOffset, T> change)
    {
        lock (changing)
        {
            var result = change(pantry, clock.GetUtcNow());
            now = pantry.Kitchen();
            taught = null;
            versions = null;
            return result;
        }
    }

    public void Change(Action<Pantry, DateTimeOffset> change) => Change((p, at) =>
    {
        change(p, at);
        return true;
    });

    /// <summary>Changes the record; plans use what it then says.</summary>
    public T Learn<T>(Func<T> change)
    {
        lock (changing)
        {
            var result = change();
            taught = null;
            return result;
        }
    }

    /// <summary>The store was changed as a whole.</summary>
    public void Anew() => Change((_, _) => { });
}
