using Ystrata.Store;

namespace Ystrata.Web;

/// <summary>One batch of a day.</summary>
/// <param name="Begins">When its first thing is done; nothing where it cannot be worked.</param>
/// <param name="Number">Which of the day's batches the sheet calls it, from 0; nothing where it cannot be worked.</param>
/// <param name="Version">Its ETag, for If-Match.</param>
/// <param name="Refusals">Why it cannot be worked: then it counts for nothing on the day.</param>
public sealed record DayBatchView(Guid Id, string Name, DateTimeOffset MadeFor, DateTimeOffset? Begins, DateTimeOffset? Table, int? Number, string Version, IReadOnlyList<Refusal> Refusals);

/// <summary>A day as it comes out.</summary>
/// <param name="From">Its beginning: the sheet's times count from here.</param>
/// <param name="More">There are more batches on it than are reckoned with.</param>
/// <param name="Version">Of what was said of the day, for If-Match.</param>
public sealed record DayView(DateOnly Day, DateTimeOffset From, DateTimeOffset Until, DateTimeOffset Now, DaySpec Spec, IReadOnlyList<DayBatchView> Batches, bool More, DaySheet Sheet, string Version);

/// <summary>What is made on a day, with the timetable of each batch.</summary>
public sealed record DayPlan(DayView View, IReadOnlyList<(Batch Batch, ClockView Clock)> Timetables);

/// <summary>From a day to all its batches together.</summary>
public sealed class DayPlans(Days days, Batches batches, Clocks clocks, TimeProvider time)
{
    /// <summary>More batches are not reckoned with on one day.</summary>
    public const int Most = 24;

    public DayPlan Of(DateOnly day, DateTimeOffset from, DateTimeOffset until)
    {
        var (kept, now) = (days.Find(day), time.GetUtcNow());
        var found = batches.Within(from, until, Most + 1);
        var all = found.Take(Most).Select(batch =>
        {
            var breads = clocks.Resolve(batch.Name, batch.Spec);
            return (Batch: batch, Breads: breads, Clock: breads.Value is { } together ? clocks.View(together, together.Clock, batch.MadeFor) : null);
        }).ToList();
        var worked = all.Where(b => b.Clock is not null).ToList();
        Seconds Since(DateTimeOffset at) => new((at - from).TotalSeconds);
        var sheet = DayStage.Work(
            [.. worked.Select(b => new DayBatch(b.Clock!.Names, b.Breads.Value!.Breads, b.Breads.Value.Clock, b.Clock.Sheet, Since(b.Clock.Zero), b.Breads.Value.Clock.By == ClockBy.Soonest))],
            kept.Spec,
            Since(now));
        var numbers = worked.Select((b, i) => (b.Batch.Id, Number: i)).ToDictionary(b => b.Id, b => b.Number);
        return new(
            new(
                day, from, until, now, kept.Spec,
                [.. all.Select(b => new DayBatchView(b.Batch.Id, b.Batch.Name, b.Batch.MadeFor, b.Clock?.Zero, b.Clock?.Table, numbers.TryGetValue(b.Batch.Id, out var n) ? n : null, b.Batch.Version, b.Breads.Refusals))],
                found.Count > Most, sheet, kept.Version),
            [.. worked.Select(b => (b.Batch, b.Clock!))]);
    }
}
