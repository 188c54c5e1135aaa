using Ystrata.Core;
using Ystrata.Store;

namespace Ystrata.Web;

/// <summary>A bread or batch at a glance: what the shelf shows.</summary>
public sealed record Glance(int Pieces, Grams Ball, int Leaves, int Fused, Millimetres Across, Section Section)
{
    public static Glance Of(BatchSheet sheet) =>
        new(sheet.Balls.Count, sheet.Balls.Mass, sheet.Fold.Effective, sheet.Fold.Fused, sheet.Roll.Across, sheet.Section);
}

public sealed record BreadBody(string Name, string About, BatchSpec Spec);

public sealed record BreadView(Guid Id, string Name, string About, BatchSpec Spec, Glance Glance, DateTimeOffset ChangedAt)
{
    public static BreadView Of(Bread b, Larder larder) =>
        new(b.Id, b.Name, b.About, b.Spec, Glance.Of(Planner.Plan(b.Spec, larder, Learned.Nothing)), b.ChangedAt);
}

/// <param name="MadeFor">When it is for the table.</param>
public sealed record BatchBody(Guid? BreadId, string Name, BatchSpec Spec, DateTimeOffset MadeFor);

public sealed record BatchView(Guid Id, Guid? BreadId, string Name, BatchSpec Spec, DateTimeOffset MadeFor, DateTimeOffset ChangedAt)
{
    public static BatchView Of(Batch b) => new(b.Id, b.BreadId, b.Name, b.Spec, b.MadeFor, b.ChangedAt);
}

public sealed record LogBody(Guid BatchId, DateTimeOffset CookedAt, Outcome Outcome);

/// <summary>The plan's figures beside which the log lays what really happened.</summary>
public sealed record Planned(int Pieces, Grams Flour, Grams Liquid, Grams DoughFat, Grams Salt, Grams BallMass, Celsius Pan, IReadOnlyList<Seconds> Sides)
{
    public static Planned Of(BatchSpec spec, BatchSheet sheet, Larder larder)
    {
        Grams Mass(Func<Portion, bool> where) => new(sheet.Dough.Portions.Where(where).Sum(p => p.Mass.Value));
        return new(
            sheet.Balls.Count,
            sheet.Dough.Flour,
            Mass(p => p.Id == spec.Dough.Liquid),
            Mass(p => larder[p.Id].Kind == IngredientKind.Fat),
            Mass(p => p.Id == DoughStage.SaltId),
            sheet.Balls.Mass,
            spec.Pan.Temperature,
            [.. sheet.Pan.Turns.Select(t => t.Time)]);
    }
}

/// <summary>What a log entry of a batch would be laid beside.</summary>
public sealed record PlannedView(string BatchName, Planned Planned, Glance Glance)
{
    public static PlannedView Of(string name, BatchSpec spec, Larder larder)
    {
        var sheet = Planner.Plan(spec, larder, Learned.Nothing);
        return new(name, Planned.Of(spec, sheet, larder), Glance.Of(sheet));
    }
}

public sealed record LogView(
    Guid Id, Guid BatchId, string BatchName, DateTimeOffset CookedAt, Outcome Outcome, Planned Planned, Glance Glance)
{
    public static LogView Of(LogLine line, Larder larder)
    {
        var e = line.Entry;
        var (name, planned, glance) = PlannedView.Of(line.BatchName, e.Spec, larder);
        return new(e.Id, e.BatchId, name, e.CookedAt, e.Outcome, planned, glance);
    }
}
