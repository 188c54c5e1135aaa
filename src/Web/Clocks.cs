using Ystrata.Store;

namespace Ystrata.Web;

/// <summary>What a batch's clock is asked with.</summary>
/// <param name="MadeFor">The table, or the beginning where the clock counts forwards.</param>
public sealed record ClockBody(string Name, BatchSpec Spec, DateTimeOffset MadeFor);

/// <summary>A timetable with its hours.</summary>
/// <param name="Zero">When the first thing is done: the sheet's times count from here.</param>
/// <param name="Table">When the last piece is ready.</param>
/// <param name="Names">Of the breads, in the order of the sheet's numbers.</param>
public sealed record ClockView(DateTimeOffset Zero, DateTimeOffset Table, DateTimeOffset Now, IReadOnlyList<string> Names, ClockSheet Sheet);

/// <summary>The breads of one service, the batch first.</summary>
public sealed record Together(IReadOnlyList<string> Names, IReadOnlyList<CheckedBatch> Breads)
{
    public ClockSpec Clock => Clocks.Of(Breads[0].Spec);

    /// <summary>The same breads by the number of their pieces: what is put right or learned while they are made adds none and takes none away.</summary>
    public IReadOnlyList<ServiceBread> Counted() =>
        [.. Names.Zip(Breads, (name, b) => new ServiceBread(name, b.Spec with { Start = b.Spec.Start with { By = StartBy.Pieces, Pieces = b.Balls } }))];
}

/// <summary>From a batch and the breads beside it to what the clock works with.</summary>
public sealed class Clocks(Breads shelf, Kitchen kitchen, TimeProvider time)
{
    public static ClockSpec Of(BatchSpec spec) => spec.Clock ?? ClockSpec.Usual;

    /// <summary>The batch and what is made beside it; or why it cannot be.</summary>
    public Answer<Together> Resolve(string name, BatchSpec spec)
    {
        var first = Planner.Check(spec, kitchen);
        if (first.Value is not { } batch)
        {
            return new(null, first.Refusals);
        }

        var (names, breads, refusals) = (new List<string> { name }, new List<CheckedBatch> { batch }, new List<Refusal>());
        foreach (var (beside, i) in (Of(spec).Beside ?? []).Select((b, i) => (b, i)))
        {
            if (shelf.Find(beside.Bread) is not { } bread)
            {
                refusals.Add(new($"clock.beside[{i}].bread", RefusalCode.Missing));
                continue;
            }

            var with = Planner.Check(bread.Spec with { Start = bread.Spec.Start with { By = StartBy.Pieces, Pieces = beside.Pieces } }, kitchen);
            refusals.AddRange(with.Refusals.Select(r => r with { Field = $"clock.beside[{i}].pieces" }));
            names.Add(bread.Name);
            breads.AddRange(with.Value is { } found ? [found] : Array.Empty<CheckedBatch>());
        }

        return refusals.Count > 0 ? refusals : new Together(names, breads);
    }

    public ClockView View(Together breads, ClockSpec clock, DateTimeOffset madeFor)
    {
        var now = time.GetUtcNow();
        var sheet = ClockStage.Work(breads.Breads, clock, new((now - madeFor).TotalSeconds));
        var lead = TimeSpan.FromSeconds(sheet.Lead.Value);
        var zero = clock.By switch
        {
            ClockBy.Table => madeFor - lead,
            ClockBy.Start => madeFor,
            _ => now,
        };
        return new(zero, zero + lead, now, breads.Names, sheet);
    }

    public IReadOnlyList<WhatIfSheet> WhatIfs(Together breads, DateTimeOffset madeFor) =>
        ClockStage.WhatIfs(breads.Breads, breads.Clock, new((time.GetUtcNow() - madeFor).TotalSeconds));
}
