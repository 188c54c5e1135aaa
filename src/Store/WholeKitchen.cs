using System.Text.Json;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store;

/// <summary>Everything a kitchen has, or what belongs to one bread: each record as one line of JSON, the way <see cref="KitchenRecord"/> reads it.</summary>
public sealed class WholeKitchen(KitchenDb kitchen)
{
    /// <summary>All of it as it is at one moment, read while it is written out: nothing is ever all in memory.</summary>
    public IEnumerable<string> All()
    {
        using var db = kitchen.Connect();
        // A read that has begun sees nothing of what is written meanwhile.
        using var moment = db.BeginTransaction(deferred: true);
        foreach (var line in Parts(db).SelectMany(p => p))
        {
            yield return line;
        }
    }

    /// <summary>One bread and the own lines of the larder it is made with; a sack brings the flour it is a sack of.</summary>
    public IReadOnlyList<string> Of(Bread bread)
    {
        using var db = kitchen.Connect();
        var items = Pantry.Items(db).Where(i => i.DeletedAt is null).ToList();
        var uses = Words(JsonSerializer.SerializeToElement(bread.Spec, SpecJson.Options)).ToHashSet();
        uses.UnionWith(items.Where(i => uses.Contains(i.Ingredient.Id)).Select(i => i.Ingredient.Lot?.Of).OfType<string>().ToList());
        return [.. Written(items.Where(i => uses.Contains(i.Ingredient.Id))), .. Written([new BreadRecord(bread)])];
    }

    private static IEnumerable<string>[] Parts(SqliteConnection db) =>
        [Written(Pantry.Each(db)), Written(Breads.Each(db)), Written(Photos.Each(db)), Cookings(db), Written(Record.Each(db)), Written(PracticeScores.Each(db)), Written(Days.Each(db))];

    // Every batch, then its services, then what was logged of it. Of these there are many: SQLite puts what it has as JSON together by itself.
    private static IEnumerable<string> Cookings(SqliteConnection db)
    {
        var parts = new[] { Batches.Lines(db), Services.Lines(db), Logbook.Lines(db) }.Select(p => p.GetEnumerator()).ToList();
        try
        {
            var more = parts.Where(p => p.MoveNext()).ToList();
            while (more.MinBy(p => p.Current.Batch, StringComparer.Ordinal) is { } next)
            {
                yield return next.Current.Json;
                if (!next.MoveNext())
                {
                    more.Remove(next);
                }
            }
        }
        finally
        {
            parts.ForEach(p => p.Dispose());
        }
    }

    private static IEnumerable<string> Written(IEnumerable<KitchenRecord> records) => records.Select(r => JsonSerializer.Serialize(r, SpecJson.Options));

    // Whatever place it has in a spec, what is used stands there by its id.
    private static IEnumerable<string> Words(JsonElement json) => json.ValueKind switch
    {
        JsonValueKind.String => [json.GetString()!],
        JsonValueKind.Array => json.EnumerateArray().SelectMany(Words),
        JsonValueKind.Object => json.EnumerateObject().SelectMany(p => Words(p.Value)),
        _ => [],
    };
}
