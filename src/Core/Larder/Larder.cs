using System.Globalization;

namespace Ystrata.Core;

/// <summary>Everything the kitchen can reach for, by id. The shipped values come from larder.csv and flours.csv.</summary>
public sealed class Larder
{
    private readonly Dictionary<string, Ingredient> byId;

    public Larder(IEnumerable<Ingredient> ingredients) => byId = ingredients.ToDictionary(i => i.Id, StringComparer.Ordinal);

    /// <summary>The larder as it ships, read once.</summary>
    public static Larder Shipped { get; } = new(ReadShipped());

    public IReadOnlyCollection<Ingredient> All => byId.Values;

    /// <exception cref="KeyNotFoundException">No such ingredient; <see cref="SpecCheck"/> refuses such a spec first.</exception>
    public Ingredient this[string id] => byId[id];

    public bool TryGet(string id, out Ingredient? ingredient) => byId.TryGetValue(id, out ingredient);

    private static IEnumerable<Ingredient> ReadShipped()
    {
        var traits = Rows("flours.csv").ToDictionary(
            r => r[0],
            r => new FlourTraits(Enum.Parse<FlourStrength>(r[1], ignoreCase: true), Number(r[2]) ?? 0, new(Number(r[3]) ?? 0)));

        foreach (var r in Rows("larder.csv"))
        {
            yield return new Ingredient(
                Id: r[0],
                Name: r[1],
                Kind: Enum.Parse<IngredientKind>(r[2], ignoreCase: true),
                Density: new(Number(r[3]) ?? 1),
                Water: new(Number(r[4]) ?? 0),
                Fat: new(Number(r[5]) ?? 0),
                Sugar: new(Number(r[6]) ?? 0),
                Salt: new(Number(r[7]) ?? 0),
                KcalPer100G: Number(r[8]) ?? 0,
                Absorption: Number(r[9]) is { } a ? new Percent(a) : null,
                SmokePoint: Number(r[10]) is { } s ? new Celsius(s) : null,
                Traits: traits.GetValueOrDefault(r[0]));
        }
    }

    // The shipped tables hold no quoted commas, so a split is the whole of CSV here; cooks' files come in through the web's reader.
    private static IEnumerable<string[]> Rows(string resource)
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

    private static double? Number(string text) =>
        text.Length == 0 ? null : double.Parse(text, CultureInfo.InvariantCulture);
}
