namespace Ystrata.Core.Cost;

/// <summary>Something used up outside the dough, for the whole batch.</summary>
/// <param name="Each">Of one ball, or of one piece on the pan; nothing where it is used all at once.</param>
/// <param name="Times">How many balls or pieces take it.</param>
public sealed record Spent(string Id, Grams Mass, CostPart Part, Grams? Each = null, int? Times = null)
{
    /// <summary>Fat and flour laid on and between the leaves, what is in the filling, and fat in the pan.</summary>
    internal static IReadOnlyList<Spent> On(CheckedBatch batch, int balls, int pieces) =>
    [
        .. batch.Stuffing is null ? [] : FillingInputs.Of(batch.Route.Filling!, batch.Stuffing.Made).Where(f => f.Mass.Value > 0).Select(f => new Spent(f.Id, f.Mass, CostPart.Filling)),
        .. batch.Shape.Inputs.GroupBy(u => u.Id, u => u.OfBall.Value).Select(u => (u.Key, Each: new Grams(u.Sum()))).Select(u => new Spent(u.Key, u.Each * balls, CostPart.Inside, u.Each, balls))
            .Concat(batch.Spec.Pan.Fats().Select(f => new Spent(f.Id, f.Mass * pieces, CostPart.Pan, f.Mass, pieces)))
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
    internal static CostSheet Of(DoughSolution dough, IReadOnlyList<Spent> used, int count, Kitchen kitchen)
    {
        var all = dough.Weighed
            .Select(l => (l.Line.Item, l.Mass, Part: PartOf(l.Line.Part)))
            .Concat(used.Select(u => (Item: kitchen[u.Id], u.Mass, u.Part)))
            .Where(u => u.Mass.Value > 0 && !u.Item.Is(Trait.Free))
            .ToList();
        PartCost[] parts =
        [
            .. all.Where(u => u.Item.Price is not null).GroupBy(u => u.Part).OrderBy(g => g.Key).Select(g =>
            {
                var cost = new Money(g.Sum(u => u.Item.Price is { } p ? (p.Cost * (u.Mass / p.Pack)).Value : 0));
                return new PartCost(g.Key, cost, cost / count);
            }),
        ];
        var batch = new Money(parts.Sum(p => p.Batch.Value));
        return new(parts.Length > 0, batch, batch / count, parts, [.. all.Where(u => u.Item.Price is null).Select(u => u.Item.Id).Distinct()]);
    }

    private static CostPart PartOf(DoughPart part) => part switch
    {
        DoughPart.Flour => CostPart.Flour,
        DoughPart.Liquid => CostPart.Liquid,
        DoughPart.Fat => CostPart.Fat,
        DoughPart.Salt => CostPart.Salt,
        _ => CostPart.Addition,
    };
}
