using CsvHelper.Configuration.Attributes;
using Ystrata.Store;

namespace Ystrata.Web.Files;

/// <summary>A cooking as a line of CSV. What was planned is only written.</summary>
internal sealed record LogRow
{
    /// <summary>It was looked at, and had none.</summary>
    public const string NoFaults = "none";

    public const string CountsNot = "no";

    private Planned? planned;

    [Name("id")]
    public Guid? Id { get; init; }

    [Name("batch")]
    public Guid? Batch { get; init; }

    [Name("name"), Optional]
    public string? Name { get; init; }

    [Name("cooked_at")]
    public DateTimeOffset? CookedAt { get; init; }

    [Name("pieces_planned"), Optional]
    public int? PiecesPlanned => planned?.Pieces;

    [Name("pieces"), Optional]
    public int? Pieces { get; init; }

    [Name("lost"), Optional]
    public int? Lost { get; init; }

    [Name("flour_planned_g"), Optional]
    public double? FlourPlanned => Near(planned?.Flour.Value);

    [Name("flour_g"), Optional]
    public double? Flour { get; init; }

    [Name("liquid_planned_g"), Optional]
    public double? LiquidPlanned => Near(planned?.Liquid.Value);

    [Name("liquid_g"), Optional]
    public double? Liquid { get; init; }

    [Name("dough_fat_planned_g"), Optional]
    public double? DoughFatPlanned => Near(planned?.DoughFat.Value);

    [Name("dough_fat_g"), Optional]
    public double? DoughFat { get; init; }

    [Name("salt_planned_g"), Optional]
    public double? SaltPlanned => Near(planned?.Salt.Value);

    [Name("salt_g"), Optional]
    public double? Salt { get; init; }

    [Name("dough_planned_g"), Optional]
    public double? DoughPlanned => Near(planned?.Dough.Value);

    [Name("dough_g"), Optional]
    public double? Dough { get; init; }

    [Name("ball_planned_g"), Optional]
    public double? BallPlanned => Near(planned?.BallMass.Value);

    [Name("ball_g"), Optional]
    public double? Ball { get; init; }

    [Name("leaves_planned"), Optional]
    public int? LeavesPlanned => planned?.Leaves;

    [Name("raw_planned_g"), Optional]
    public double? RawPlanned => Near(planned?.Raw?.Value);

    [Name("raw_g"), Optional]
    public double? Raw { get; init; }

    [Name("roasted_planned_g"), Optional]
    public double? RoastedPlanned => Near(planned?.Roasted?.Value);

    [Name("roasted_g"), Optional]
    public double? Roasted { get; init; }

    [Name("pan_planned_c"), Optional]
    public double? PanPlanned => Near(planned?.Pan.Value);

    [Name("pan_c"), Optional]
    public double? Pan { get; init; }

    [Name("first_side_planned_s"), Optional]
    public double? FirstSidePlanned => Side(0);

    [Name("first_side_s"), Optional]
    public double? FirstSide { get; init; }

    [Name("second_side_planned_s"), Optional]
    public double? SecondSidePlanned => Side(1);

    [Name("second_side_s"), Optional]
    public double? SecondSide { get; init; }

    [Name("last_side_planned_s"), Optional]
    public double? LastSidePlanned => Side(2);

    [Name("last_side_s"), Optional]
    public double? LastSide { get; init; }

    [Name("soft"), Optional]
    public int? Soft { get; init; }

    [Name("leaves"), Optional]
    public int? Leaves { get; init; }

    [Name("colour"), Optional]
    public int? Colour { get; init; }

    [Name("taste"), Optional]
    public int? Taste { get; init; }

    [Name("filling"), Optional]
    public int? Filling { get; init; }

    [Name("wall"), Optional]
    public int? Wall { get; init; }

    [Name("faults"), Optional]
    public string? Faults { get; init; }

    [Name("counts"), Optional]
    public string? Counts { get; init; }

    [Name("note"), Optional]
    public string? Note { get; init; }

    public static LogRow Of(LogEntry e)
    {
        var (used, timed, judged) = (e.Outcome.Used, e.Outcome.Timed, e.Outcome.Judged);
        return new()
        {
            planned = e.Planned,
            Id = e.Id,
            Batch = e.BatchId,
            Name = Csv.Plain(e.Name),
            CookedAt = e.CookedAt,
            Pieces = used.Pieces,
            Lost = used.Lost,
            Flour = used.Flour?.Value,
            Liquid = used.Liquid?.Value,
            DoughFat = used.DoughFat?.Value,
            Salt = used.Salt?.Value,
            Dough = used.Dough?.Value,
            Ball = used.BallMass?.Value,
            Raw = used.Raw?.Value,
            Roasted = used.Roasted?.Value,
            Pan = timed.Pan?.Value,
            FirstSide = timed.FirstSide?.Value,
            SecondSide = timed.SecondSide?.Value,
            LastSide = timed.LastSide?.Value,
            Soft = judged.Soft,
            Leaves = judged.Leaves,
            Colour = judged.Colour,
            Taste = judged.Taste,
            Filling = judged.Filling,
            Wall = judged.Wall,
            Faults = e.Outcome.Faults is { } faults ? faults.Count == 0 ? NoFaults : string.Join(' ', faults) : null,
            Counts = e.Outcome.Counts ? "yes" : CountsNot,
            Note = Csv.Plain(e.Outcome.Note),
        };
    }

    private double? Side(int side) => Near(planned is not null && side < planned.Sides.Count ? planned.Sides[side].Value : null);

    private static double? Near(double? value) => value is { } v ? Math.Round(v, 4) : null;
}
