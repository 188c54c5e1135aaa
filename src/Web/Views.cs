using Ystrata.Store;

namespace Ystrata.Web;

/// <summary>A bread or batch at a glance: what the shelf shows.</summary>
public sealed record Glance(int Pieces, Grams Ball, int Leaves, int Fused, Millimetres Across, Section Section)
{
    public static Glance? Of(BatchSheet? sheet) => sheet is null ? null :
        new(sheet.Balls.Count, sheet.Balls.Mass, sheet.Fold.Effective, sheet.Fold.Fused, sheet.Roll.Across, sheet.Section);
}

/// <summary>Plans what was kept. A larder that was changed since can make a kept spec unworkable: then there is no sheet.</summary>
public static class Sheets
{
    public static BatchSheet? Of(BatchSpec spec, Kitchen kitchen) => Planner.Plan(spec, kitchen).Value;
}

/// <param name="Tags">Words to find it by.</param>
/// <param name="Id">For a new one: an id from whoever sends it, so that the same request sent twice makes one bread.</param>
public sealed record BreadBody(string Name, string About, BatchSpec Spec, IReadOnlyList<string>? Tags = null, Guid? Id = null);

/// <param name="Glance">Nothing when the larder no longer lets it be worked.</param>
/// <param name="Version">Its ETag, for If-Match.</param>
public sealed record BreadView(Guid Id, string Name, string About, IReadOnlyList<string> Tags, BatchSpec Spec, Glance? Glance, DateTimeOffset ChangedAt, string Version)
{
    public static BreadView Of(Bread b, Shown shown) => new(b.Id, b.Name, b.About, b.Tags, b.Spec, shown.Glance, b.ChangedAt, shown.Version);
}

/// <param name="MadeFor">When it is for the table.</param>
/// <param name="Id">For a new one: an id from whoever sends it, so that the same request sent twice makes one batch.</param>
public sealed record BatchBody(Guid? BreadId, string Name, BatchSpec Spec, DateTimeOffset MadeFor, Guid? Id = null);

/// <param name="Version">Its ETag, for If-Match.</param>
public sealed record BatchView(Guid Id, Guid? BreadId, string Name, BatchSpec Spec, DateTimeOffset MadeFor, DateTimeOffset ChangedAt, string Version)
{
    public static BatchView Of(Batch b) => new(b.Id, b.BreadId, b.Name, b.Spec, b.MadeFor, b.ChangedAt, b.Version);
}

/// <param name="PhotoId">A photo that was sent before; nothing without.</param>
/// <param name="Id">For a new one: an id from whoever sends it, so that the same request sent twice makes one entry.</param>
public sealed record LogBody(Guid BatchId, DateTimeOffset CookedAt, Outcome Outcome, Guid? PhotoId = null, Guid? Id = null);

/// <summary>What a log entry of a batch would be laid beside.</summary>
/// <param name="Planned">Nothing when the larder no longer lets it be worked, as with the glance.</param>
/// <param name="Gathered">What bench, scale and stove already know.</param>
public sealed record PlannedView(string BatchName, Planned? Planned, Glance? Glance, Outcome Gathered);

/// <param name="Planned">As it was planned on the day.</param>
/// <param name="BreadId">The bread it was a batch of; nothing when it was none.</param>
/// <param name="Version">Its ETag, for If-Match.</param>
public sealed record LogView(
    Guid Id, Guid BatchId, string BatchName, DateTimeOffset CookedAt, Outcome Outcome, Planned? Planned, Glance? Glance, Guid? PhotoId, Guid? BreadId, string Version)
{
    public static LogView Of(LogEntry e, Kitchen kitchen)
    {
        var sheet = Sheets.Of(e.Spec, kitchen);
        return new(
            e.Id, e.BatchId, e.Name, e.CookedAt, e.Outcome, e.Planned ?? Planned.Before(e.Spec, kitchen), Glance.Of(sheet), e.PhotoId, e.BreadId, e.Version);
    }
}

/// <param name="Next">Where the next page begins; nothing on the last.</param>
/// <param name="Count">Of all that was found.</param>
public sealed record LogPageView(IReadOnlyList<LogLine> Lines, int Count, string? Next);
