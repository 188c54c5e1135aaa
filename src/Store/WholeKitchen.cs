using System.Text.Encodings.Web;
using System.Text.Json;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store;

/// <summary>Everything a kitchen has, or what belongs to one bread: each record as one line of JSON, the way <see cref="KitchenRecord"/> reads it.</summary>
public sealed class WholeKitchen(Kitchen kitchen)
{
    // Words as people read them; nothing of it is ever laid into a page.
    private static readonly JsonSerializerOptions Readable = new(SpecJson.Options) { Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping };

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

    // Of batches, services and cookings there are many: SQLite puts what it has as JSON together by itself.
    private static IEnumerable<string>[] Parts(SqliteConnection db) =>
    [
        Written(Pantry.Each(db)), Written(Breads.Each(db)), Batches.Lines(db), Services.Lines(db), Written(Photos.Each(db)), Logbook.Lines(db), Written(Record.Each(db)),
        Written(PracticeScores.Each(db)),
    ];

    private static IEnumerable<string> Written(IEnumerable<KitchenRecord> records) => records.Select(r => JsonSerializer.Serialize(r, Readable));

    // Whatever place it has in a spec, what is used stands there by its id.
    private static IEnumerable<string> Words(JsonElement json) => json.ValueKind switch
    {
        JsonValueKind.String => [json.GetString()!],
        JsonValueKind.Array => json.EnumerateArray().SelectMany(Words),
        JsonValueKind.Object => json.EnumerateObject().SelectMany(p => Words(p.Value)),
        _ => [],
    };
}
