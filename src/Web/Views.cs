using Ystrata.Core;
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
    public static BatchSheet? Of(BatchSpec spec, Larder larder) =>
        SpecCheck.Check(spec, larder).Count > 0 ? null : Planner.Plan(spec, larder, Learned.Nothing);
}

/// <param name="Tags">Words to find it by.</param>
public sealed record BreadBody(string Name, string About, BatchSpec Spec, IReadOnlyList<string>? Tags = null);

/// <param name="Glance">Nothing when the larder no longer lets it be worked.</param>
public sealed record BreadView(Guid Id, string Name, string About, IReadOnlyList<string> Tags, BatchSpec Spec, Glance? Glance, DateTimeOffset ChangedAt)
{
    public static BreadView Of(Bread b, Larder larder) =>
        new(b.Id, b.Name, b.About, b.Tags, b.Spec, Glance.Of(Sheets.Of(b.Spec, larder)), b.ChangedAt);
}

/// <param name="MadeFor">When it is for the table.</param>
public sealed record BatchBody(Guid? BreadId, string Name, BatchSpec Spec, DateTimeOffset MadeFor);

public sealed record BatchView(Guid Id, Guid? BreadId, string Name, BatchSpec Spec, DateTimeOffset MadeFor, DateTimeOffset ChangedAt)
{
    public static BatchView Of(Batch b) => new(b.Id, b.BreadId, b.Name, b.Spec, b.MadeFor, b.ChangedAt);
}

public sealed record LogBody(Guid BatchId, DateTimeOffset CookedAt, Outcome Outcome);

/// <summary>The plan's figures beside which the log lays what really happened.</summary>
/// <param name="WentIn">What the bench was told of the liquid that makes up the rest.</param>
public sealed record Planned(
    int Pieces, Grams Flour, Grams Liquid, Grams? WentIn, Grams DoughFat, Grams Salt, Grams BallMass, Celsius Pan, IReadOnlyList<Seconds> Sides)
{
    public static Planned Of(BatchSpec spec, BatchSheet sheet)
    {
        Grams Mass(Part part) => new(sheet.Dough.Portions.Where(p => p.Part == part).Sum(p => p.Mass.Value));
        var adding = sheet.Dough.Mixing.Adding;
        return new(
            sheet.Balls.Count,
            sheet.Dough.Flour,
            Mass(Part.Liquid),
            adding?.WentIn is { } wentIn ? Mass(Part.Liquid) + wentIn - adding.Planned : null,
            Mass(Part.Fat),
            Mass(Part.Salt),
            sheet.Balls.Mass,
            spec.Pan.Temperature,
            sheet.Pan.Turns is [var first, var second, .., var last] ? [first.Time, second.Time, last.Time] : [.. sheet.Pan.Turns.Select(t => t.Time)]);
    }
}

/// <summary>What a log entry of a batch would be laid beside; nothing when the larder no longer lets it be worked.</summary>
public sealed record PlannedView(string BatchName, Planned? Planned, Glance? Glance)
{
    public static PlannedView Of(string name, BatchSpec spec, Larder larder)
    {
        var sheet = Sheets.Of(spec, larder);
        return new(name, sheet is null ? null : Planned.Of(spec, sheet), Glance.Of(sheet));
    }
}

public sealed record LogView(
    Guid Id, Guid BatchId, string BatchName, DateTimeOffset CookedAt, Outcome Outcome, Planned? Planned, Glance? Glance)
{
    public static LogView Of(LogLine line, Larder larder)
    {
        var e = line.Entry;
        var (name, planned, glance) = PlannedView.Of(line.BatchName, e.Spec, larder);
        return new(e.Id, e.BatchId, name, e.CookedAt, e.Outcome, planned, glance);
    }
}
