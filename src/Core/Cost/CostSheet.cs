namespace Ystrata.Core;

/// <summary>Something used up outside the dough, for the whole batch.</summary>
public sealed record Spent(string Id, Grams Mass, CostPart Part)
{
    /// <summary>Fat and flour laid on and between the leaves, what is in the filling, and fat in the pan.</summary>
    public static IReadOnlyList<Spent> On(BatchSpec spec, FillingMade? made, int balls, int pieces) =>
    [
        .. made is null ? [] : FillingInputs.Of(spec.Filling!, made).Where(f => f.Mass.Value > 0).Select(f => new Spent(f.Id, f.Mass, CostPart.Filling)),
        .. FoldInputs.Of(spec).Select(u => new Spent(u.Id, u.OfBall * balls, CostPart.Inside))
            .Concat(spec.Pan.Fats().Select(f => new Spent(f.Id, f.Mass * pieces, CostPart.Pan)))
            .Where(u => u.Mass.Value > 0),
    ];
}

/// <summary>Where the money goes.</summary>
public enum CostPart
{
    Flour,
    Liquid,
    Fat,
    Salt,
    Addition,
    Inside,
    Filling,
    Pan,
}

/// <param name="Piece">Of one piece.</param>
public sealed record PartCost(CostPart Part, Money Batch, Money Piece);

/// <summary>What the batch costs, as far as the larder has prices.</summary>
/// <param name="Known">True when at least one thing has a price.</param>
/// <param name="Unpriced">Ids that are used and have none.</param>
public sealed record CostSheet(bool Known, Money Batch, Money Piece, IReadOnlyList<PartCost> Parts, IReadOnlyList<string> Unpriced)
{
    // From the tap.
    private const string Free = "water";

    public static CostSheet Of(DoughSheet dough, IReadOnlyList<Spent> used, int count, Larder larder)
    {
        var all = dough.Portions
            .Select(p => new Spent(p.Id, p.Mass, Enum.Parse<CostPart>(p.Part.ToString())))
            .Concat(used)
            .Where(u => u.Mass.Value > 0 && u.Id != Free)
            .ToList();
        PartCost[] parts =
        [
            .. all.Where(u => larder[u.Id].Price is not null).GroupBy(u => u.Part).OrderBy(g => g.Key).Select(g =>
            {
                var cost = new Money(g.Sum(u => larder[u.Id].Price is { } p ? (p.Cost * (u.Mass / p.Pack)).Value : 0));
                return new PartCost(g.Key, cost, cost / count);
            }),
        ];
        var batch = new Money(parts.Sum(p => p.Batch.Value));
        return new(parts.Length > 0, batch, batch / count, parts, [.. all.Where(u => larder[u.Id].Price is null).Select(u => u.Id).Distinct()]);
    }
}
