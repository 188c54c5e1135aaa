namespace Ystrata.Web.Demo;

/// <summary>What the canteen has of its own: two sacks, a glass, and what it pays. All made up.</summary>
internal static class MarrowQuayLarder
{
    private static readonly (string Id, double Cost, double Pack)[] Prices =
    [
        ("flour-white", 22, 25_000), ("flour-bread", 31, 25_000), ("flour-atta", 34, 25_000), ("flour-barley", 2.4, 1000), ("flour-buckwheat", 3.6, 1000),
        ("ghee", 18, 2000), ("oil-rapeseed", 9.5, 5000), ("oil-sunflower", 8.2, 5000), ("oil-groundnut", 14, 5000), ("salt-fine", 0.8, 1000),
        ("yogurt", 2.1, 1000), ("buttermilk", 1.4, 1000), ("puree-beet", 2.2, 1000), ("leek", 2.9, 1000), ("seed-nigella", 4.2, 250), ("fenugreek-leaf", 1.9, 200),
    ];

    /// <summary>Its lines: shipped ones with a price, and two sacks.</summary>
    public static IReadOnlyList<Ingredient> Lines { get; } =
    [
        .. Prices.Select(p => Larder.Shipped[p.Id] with { Price = new(new(p.Cost), new(p.Pack)) }),
        Sack("own-atta-sack-31", "Atta, sack 31", "flour-atta", 2.5, "drinks more than the last"),
        Sack("own-white-sack-8", "White flour, sack 8", "flour-white", -1, ""),
    ];

    public static IReadOnlyList<Vessel> Vessels { get; } = [new("quay-glass", "Quay glass", new(195)), new("blue-jug", "Blue jug", new(840))];

    public const string Coin = "¤";

    private static Ingredient Sack(string id, string name, string of, double thirst, string note) =>
        Larder.Shipped[of] with { Id = id, Name = name, Note = note, Lot = new(of, new(thirst)), Origin = Origin.Own };
}
