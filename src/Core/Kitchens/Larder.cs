using System.Globalization;

namespace Ystrata.Core.Kitchens;

/// <summary>Everything the kitchen can reach for, by id. The shipped values come from the csv files beside this one.</summary>
public sealed class Larder
{
    /// <summary>The id of plain water.</summary>
    public const string Water = Staples.Water;

    private readonly Dictionary<string, Ingredient> byId;
    private readonly Lazy<Dictionary<string, string>> byName;

    /// <param name="ingredients">Each id once. A lot takes its values from the flour it is a bag of.</param>
    public Larder(IEnumerable<Ingredient> ingredients)
    {
        byId = ingredients.ToDictionary(i => i.Id, StringComparer.Ordinal);
        foreach (var lot in byId.Values.Where(i => i.Lot is not null).ToList())
        {
            byId[lot.Id] = Settled(lot);
        }

        byName = new(() => All.Where(i => i.Origin != Origin.Gone).GroupBy(i => i.Name.Trim(), StringComparer.OrdinalIgnoreCase)
            .ToDictionary(g => g.Key, g => g.First().Id, StringComparer.OrdinalIgnoreCase));
    }

    /// <summary>The larder as it ships, read once.</summary>
    public static Larder Shipped { get; } = new(ReadShipped());

    public IReadOnlyCollection<Ingredient> All => byId.Values;

    /// <exception cref="KeyNotFoundException">No such ingredient; <see cref="SpecCheck"/> refuses such a spec first.</exception>
    public Ingredient this[string id] => byId[id];

    public bool TryGet(string id, out Ingredient? ingredient) => byId.TryGetValue(id, out ingredient);

    /// <summary>The id of what is called so, whatever the case; nothing when nothing is.</summary>
    public string? Called(string name) => byName.Value.GetValueOrDefault(name.Trim());

    /// <summary>A lot with the values of the flour it is a bag of; anything else, and a lot of a lot or of nothing, as it is.</summary>
    public Ingredient Settled(Ingredient item) =>
        item.Lot is { } lot && byId.TryGetValue(lot.Of, out var flour) && flour is { Lot: null, Absorption: { } drinks }
            ? flour with
            {
                Id = item.Id,
                Name = item.Name,
                Note = item.Note,
                Price = item.Price ?? flour.Price,
                Lot = lot,
                Origin = item.Origin,
                Absorption = drinks + lot.Thirst,
            }
            : item;

    private static IEnumerable<Ingredient> ReadShipped()
    {
        var traits = ShippedTable.Rows("flours.csv").ToDictionary(
            r => r[0],
            r => new FlourTraits(Enum.Parse<FlourStrength>(r[1], ignoreCase: true), Number(r[2]) ?? 0, new(Number(r[3]) ?? 0)));
        var marked = ShippedTable.Rows("traits.csv").ToDictionary(r => r[0]);
        var allergens = ShippedTable.Rows("allergens.csv").ToLookup(r => r[0], r => Enum.Parse<Allergen>(r[1], ignoreCase: true));

        foreach (var r in ShippedTable.Rows("larder.csv").Concat(ShippedTable.Rows("pulses.csv")).Concat(ShippedTable.Rows("pantry.csv")))
        {
            yield return new Ingredient
            {
                Id = r[0],
                Name = r[1],
                Kind = Enum.Parse<IngredientKind>(r[2], ignoreCase: true),
                Density = new(Number(r[3]) ?? 1),
                Water = new(Number(r[4]) ?? 0),
                Fat = new(Number(r[5]) ?? 0),
                Sugar = new(Number(r[6]) ?? 0),
                Salt = new(Number(r[7]) ?? 0),
                KcalPer100G = Number(r[8]) ?? 0,
                Absorption = Number(r[9]) is { } a ? new Percent(a) : null,
                SmokePoint = Number(r[10]) is { } s ? new Celsius(s) : null,
                Holding = Number(r[11]),
                Draw = Number(r[12]) is { } d ? new Percent(d) : null,
                Squeeze = Number(r[13]) is { } q ? new Percent(q) : null,
                Note = r[14],
                Traits = traits.GetValueOrDefault(r[0]),
                Allergens = [.. allergens[r[0]]],
                Price = null,
                Lot = null,
                Origin = Origin.Shipped,
                Marks = [.. marked[r[0]][1].Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(t => Enum.Parse<Trait>(t, ignoreCase: true))],
                Hue = marked[r[0]][2],
                Each = Number(marked[r[0]][3]) is { } each ? new Grams(each) : null,
            };
        }
    }

    private static double? Number(string text) =>
        text.Length == 0 ? null : double.Parse(text, CultureInfo.InvariantCulture);
}

/// <summary>The tables built into the core.</summary>
internal static class ShippedTable
{
    // They hold no quoted commas, so a split is the whole of CSV here; cooks' files come in through the web's reader.
    public static IEnumerable<string[]> Rows(string resource)
    {
        using var stream = typeof(Larder).Assembly.GetManifestResourceStream(resource)
            ?? throw new InvalidOperationException($"{resource} is not built into the core");
        using var reader = new StreamReader(stream);
        reader.ReadLine();
        while (reader.ReadLine() is { } line)
        {
            yield return line.Split(',');
        }
    }
}
