using Ystrata.Core;
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

/// <summary>From a batch and the breads beside it to what the clock works with.</summary>
public sealed class Clocks(Breads shelf, Larder larder, TimeProvider time)
{
    public static ClockSpec Of(BatchSpec spec) => spec.Clock ?? ClockSpec.Usual;

    /// <summary>The batch first, then what is made beside it; or why it cannot be.</summary>
    public (IReadOnlyList<ServiceBread> Breads, IReadOnlyList<Refusal> Refusals) Resolve(string name, BatchSpec spec)
    {
        var refusals = new List<Refusal>(SpecCheck.Check(spec, larder));
        var breads = new List<ServiceBread> { new(name, spec) };
        if (refusals.Count > 0)
        {
            return (breads, refusals);
        }

        foreach (var (beside, i) in (Of(spec).Beside ?? []).Select((b, i) => (b, i)))
        {
            if (shelf.Find(beside.Bread) is not { } bread)
            {
                refusals.Add(new($"clock.beside[{i}].bread", RefusalCode.Missing));
                continue;
            }

            var with = bread.Spec with { Start = bread.Spec.Start with { By = StartBy.Pieces, Pieces = beside.Pieces } };
            refusals.AddRange(SpecCheck.Check(with, larder).Select(r => r with { Field = $"clock.beside[{i}].pieces" }));
            breads.Add(new(bread.Name, with));
        }

        return (breads, refusals);
    }

    public IReadOnlyList<ClockBread> Planned(IReadOnlyList<ServiceBread> breads) => [.. breads.Select(b => new ClockBread(b.Spec, Planner.Plan(b.Spec, larder, larder.Learned)))];

    /// <summary>The same breads by the number of their pieces: what is put right or learned while they are made adds none and takes none away.</summary>
    public IReadOnlyList<ServiceBread> Counted(IReadOnlyList<ServiceBread> breads) =>
    [
        .. breads.Zip(Planned(breads), (bread, planned) => bread with
        {
            Spec = bread.Spec with { Start = bread.Spec.Start with { By = StartBy.Pieces, Pieces = planned.Sheet.Balls.Count } },
        }),
    ];

    public ClockView View(IReadOnlyList<ServiceBread> breads, ClockSpec clock, DateTimeOffset madeFor)
    {
        var now = time.GetUtcNow();
        var sheet = ClockStage.Work(Planned(breads), clock, larder, new((now - madeFor).TotalSeconds));
        var lead = TimeSpan.FromSeconds(sheet.Lead.Value);
        var zero = clock.By switch
        {
            ClockBy.Table => madeFor - lead,
            ClockBy.Start => madeFor,
            _ => now,
        };
        return new(zero, zero + lead, now, [.. breads.Select(b => b.Name)], sheet);
    }

    public IReadOnlyList<WhatIfSheet> WhatIfs(IReadOnlyList<ServiceBread> breads, ClockSpec clock, DateTimeOffset madeFor) =>
        ClockStage.WhatIfs(Planned(breads), clock, larder, new((time.GetUtcNow() - madeFor).TotalSeconds));
}
