using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using System.Text.Json;
using Microsoft.Data.Sqlite;
using Ystrata.Store;

namespace Ystrata.Web;

/// <summary>A version of a bread as the shelf shows it.</summary>
/// <param name="Glance">Nothing when the larder no longer lets it be worked.</param>
public readonly record struct Shown(string Version, Glance? Glance);

/// <summary>What the shelf shows of each bread. It looks the same until the bread or the larder is another: it is planned once, and kept beside the breads.</summary>
public sealed partial class ShelfGlances(Glances kept, ILogger<ShelfGlances> log)
{
    // More than any shelf has; what is no longer asked for goes with the rest.
    private const int MostKnown = 4000;

    private readonly ConditionalWeakTable<Kitchen, Known> known = [];

    /// <summary>Of one bread.</summary>
    /// <param name="kitchen">Whatever is changed in a kitchen's larder makes it another.</param>
    public Shown Of(Bread bread, Kitchen kitchen) => Of(bread, kitchen, Here(kitchen));

    /// <summary>Of a whole shelf, in its order. What had to be planned is kept, so that the next look, after a start too, does without.</summary>
    public IReadOnlyList<Shown> Of(IReadOnlyList<Bread> shelf, Kitchen kitchen)
    {
        var here = Here(kitchen);
        Shown[] shown = [.. shelf.Select(b => Of(b, kitchen, here))];
        var wanting = shown.Where(s => !here.Kept.ContainsKey(s.Version)).DistinctBy(s => s.Version).ToList();
        if (wanting.Count > 0)
        {
            Keep(here, wanting, [.. shown.Select(s => s.Version)]);
        }

        return shown;
    }

    private static Shown Of(Bread bread, Kitchen kitchen, Known here)
    {
        var version = bread.Version;
        return new(version, here.Glances.GetOrAdd(version, _ => Glance.Of(Sheets.Of(bread.Spec, kitchen))));
    }

    private void Keep(Known here, List<Shown> wanting, string[] shelf)
    {
        try
        {
            kept.Keep(here.WorkedWith, wanting.Select(s => (s.Version, JsonSerializer.Serialize(s.Glance, SpecJson.Options))), shelf);
            wanting.ForEach(s => here.Kept[s.Version] = true);
        }
        catch (Exception e) when (e is SqliteException or IOException)
        {
            // They are shown all the same, and planned again another time.
            NotKept(e);
        }
    }

    private Known Here(Kitchen kitchen)
    {
        var here = known.GetValue(kitchen, Load);
        if (here.Glances.Count > MostKnown)
        {
            here.Glances.Clear();
            here.Kept.Clear();
        }

        return here;
    }

    private Known Load(Kitchen kitchen)
    {
        var workedWith = Versions.Of(new { Program = typeof(Planner).Module.ModuleVersionId, kitchen.Larder.All, kitchen.Measures, kitchen.Learned });
        var here = new Known(workedWith);
        foreach (var (version, body) in kept.Of(workedWith))
        {
            here.Glances[version] = JsonSerializer.Deserialize<Glance?>(body, SpecJson.Options);
            here.Kept[version] = true;
        }

        return here;
    }

    [LoggerMessage(LogLevel.Warning, "What the shelf shows could not be kept.")]
    private partial void NotKept(Exception e);

    private sealed record Known(string WorkedWith)
    {
        public ConcurrentDictionary<string, Glance?> Glances { get; } = new(StringComparer.Ordinal);

        public ConcurrentDictionary<string, bool> Kept { get; } = new(StringComparer.Ordinal);
    }
}
