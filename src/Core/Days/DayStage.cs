namespace Ystrata.Core.Days;

/// <summary>The batches of one day laid together: what they take in all, what is mixed when, and where they want the same hands and pans.</summary>
public static class DayStage
{
    // A break so short is none, s.
    private const double Breath = 180;

    /// <param name="batches">In the order of their tables; may be empty.</param>
    /// <param name="now">On the day's own clock.</param>
    public static DaySheet Work(IReadOnlyList<DayBatch> batches, DaySpec spec, Seconds now)
    {
        var people = spec.People ?? batches.Select(b => b.Clock.People).DefaultIfEmpty(1).Max();
        var pans = spec.Pans ?? batches.Select(b => b.Clock.Pans).DefaultIfEmpty(1).Max();
        var breads = batches.SelectMany((b, i) => b.Breads.Select((bread, n) => (Batch: b, Number: i, Bread: bread, Of: n, Sheet: Planner.Plan(bread)))).ToList();
        var loads = batches.Count > 0 ? new DayLoads(batches, people, pans) : null;
        var goods = Goods([.. breads.Select(b => Needs(b.Bread, b.Sheet))], spec);

        return new(
            people,
            pans,
            [.. breads.Select(b => new DayBread(b.Number, b.Batch.Names[b.Of], b.Sheet.Pieces(), Ready(b.Batch, b.Of)))],
            goods,
            new(goods.Sum(g => g.Cost?.Value ?? 0)),
            [.. goods.Where(g => g.ToBuy.Value > 0 && g.Cost is null).Select(g => g.Id)],
            [.. breads.Select((b, i) => Dough(b.Batch, b.Of, i, b.Bread, b.Sheet)).OrderBy(d => d.At.Value)],
            [.. batches.Select(Bar)],
            loads?.Hands ?? [],
            loads?.Pans ?? [],
            loads?.Clashes ?? [],
            loads is null ? [] : [.. batches.Select((b, i) => b.Fixed ? null : loads.Move(i, b.Zero, now)).OfType<DayMove>()]);
    }

    /// <summary>Everything that goes into a batch, dough and filling and what is laid on, by its larder id.</summary>
    private static IReadOnlyList<(Ingredient Item, Grams Mass)> Needs(CheckedBatch batch, BatchSheet sheet) =>
    [
        .. InBowl(batch).Select(l => (l.Line.Item, l.Mass))
            .Concat(sheet.Used.Select(u => (Item: batch.Kitchen[u.Id], u.Mass)))
            .GroupBy(n => n.Item.Id, StringComparer.Ordinal)
            .Select(g => (g.First().Item, new Grams(g.Sum(n => n.Mass.Value)))),
    ];

    private static IEnumerable<(Bowl.Line Line, Grams Mass)> InBowl(CheckedBatch batch) => batch.Dough.Weighed.Where(l => l.Mass.Value > 0);

    private static IReadOnlyList<DayGood> Goods(IReadOnlyList<IReadOnlyList<(Ingredient Item, Grams Mass)>> needs, DaySpec spec)
    {
        var there = (spec.AtHand ?? []).ToDictionary(a => a.Id, a => a.Mass, StringComparer.Ordinal);
        return
        [
            .. needs.SelectMany(n => n).Select(n => n.Item).DistinctBy(i => i.Id).Select(item =>
            {
                var id = item.Id;
                Grams[] each = [.. needs.Select(bread => bread.FirstOrDefault(n => n.Item.Id == id).Mass)];
                var needed = new Grams(each.Sum(m => m.Value));
                Grams? atHand = there.TryGetValue(id, out var mass) ? mass : null;
                var wanting = item.Is(Trait.Free) ? 0 : Math.Max(needed.Value - (atHand?.Value ?? 0), 0);
                int? packs = item.Price is { } price && wanting > 0 ? (int)Math.Ceiling(wanting / price.Pack.Value) : null;
                return new DayGood(id, item.Kind, each, needed, atHand, new(wanting), packs, packs is { } p ? item.Price!.Cost * p : null);
            })
            .OrderBy(g => g.Kind).ThenByDescending(g => g.Needed.Value).ThenBy(g => g.Id, StringComparer.Ordinal),
        ];
    }

    private static Seconds Ready(DayBatch batch, int bread) =>
        new(batch.Zero.Value + batch.Sheet.Pans.Where(p => p.Bread == bread).Select(p => p.Lifted.Value).DefaultIfEmpty(batch.Sheet.Lead.Value).Max());

    private static DayDough Dough(DayBatch batch, int of, int bread, CheckedBatch checkedBatch, BatchSheet sheet)
    {
        Seconds? At(Stage stage) => batch.Sheet.Stages.FirstOrDefault(s => s.Bread == of && s.Stage == stage) is { } begins ? new(batch.Zero.Value + begins.At.Value) : null;
        var mixed = At(Stage.Dough) ?? batch.Zero;
        return new(bread, mixed, At(Stage.Balls) ?? At(Stage.Pan) ?? mixed, checkedBatch.Dough.Mass, sheet.Balls.Count, sheet.Balls.Mass, [.. InBowl(checkedBatch).Select(l => new DoughLine(l.Line.Item.Id, l.Mass))]);
    }

    private static DayBar Bar(DayBatch batch, int number)
    {
        Stretch On(double from, double to) => new(new(batch.Zero.Value + from), new(batch.Zero.Value + to));
        List<(double From, double To)> hands = [];
        foreach (var part in batch.Sheet.Hands.SelectMany(h => h.Parts).OrderBy(p => p.From.Value))
        {
            if (hands is [.., var last] && part.From.Value - last.To <= Breath)
            {
                hands[^1] = (last.From, Math.Max(last.To, part.To.Value));
            }
            else
            {
                hands.Add((part.From.Value, part.To.Value));
            }
        }

        var pans = batch.Sheet.Pans;
        return new(
            number,
            batch.Zero,
            new(batch.Zero.Value + batch.Sheet.Lead.Value),
            [.. hands.Select(h => On(h.From, h.To))],
            pans.Count > 0 ? On(pans.Min(p => p.Laid.Value), pans.Max(p => p.Lifted.Value)) : null);
    }
}
