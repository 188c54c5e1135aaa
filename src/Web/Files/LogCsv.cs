using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;
using Ystrata.Store;

namespace Ystrata.Web.Files;

/// <summary>The log as CSV (RFC 4180, UTF-8): one line a cooking, planned beside actual, numbers with a point, empty for what was not taken.</summary>
public static class LogCsv
{
    private static readonly (string Name, Func<LogEntry, object?> Cell)[] Columns =
    [
        ("id", e => e.Id),
        ("batch", e => e.BatchId),
        ("name", e => e.Name),
        ("cooked_at", e => e.CookedAt.UtcDateTime.ToString("yyyy-MM-dd'T'HH:mm:ss'Z'", CultureInfo.InvariantCulture)),
        ("pieces_planned", e => e.Planned?.Pieces),
        ("pieces", e => e.Outcome.Used.Pieces),
        ("lost", e => e.Outcome.Used.Lost),
        ("flour_planned_g", e => e.Planned?.Flour.Value),
        ("flour_g", e => e.Outcome.Used.Flour?.Value),
        ("liquid_planned_g", e => e.Planned?.Liquid.Value),
        ("liquid_g", e => e.Outcome.Used.Liquid?.Value),
        ("dough_fat_planned_g", e => e.Planned?.DoughFat.Value),
        ("dough_fat_g", e => e.Outcome.Used.DoughFat?.Value),
        ("salt_planned_g", e => e.Planned?.Salt.Value),
        ("salt_g", e => e.Outcome.Used.Salt?.Value),
        ("dough_planned_g", e => e.Planned?.Dough.Value),
        ("dough_g", e => e.Outcome.Used.Dough?.Value),
        ("ball_planned_g", e => e.Planned?.BallMass.Value),
        ("ball_g", e => e.Outcome.Used.BallMass?.Value),
        ("leaves_planned", e => e.Planned?.Leaves),
        ("pan_planned_c", e => e.Planned?.Pan.Value),
        ("pan_c", e => e.Outcome.Timed.Pan?.Value),
        ("first_side_planned_s", e => Side(e, 0)),
        ("first_side_s", e => e.Outcome.Timed.FirstSide?.Value),
        ("second_side_planned_s", e => Side(e, 1)),
        ("second_side_s", e => e.Outcome.Timed.SecondSide?.Value),
        ("last_side_planned_s", e => Side(e, 2)),
        ("last_side_s", e => e.Outcome.Timed.LastSide?.Value),
        ("soft", e => e.Outcome.Judged.Soft),
        ("leaves", e => e.Outcome.Judged.Leaves),
        ("colour", e => e.Outcome.Judged.Colour),
        ("taste", e => e.Outcome.Judged.Taste),
        ("filling", e => e.Outcome.Judged.Filling),
        ("wall", e => e.Outcome.Judged.Wall),
        ("faults", e => e.Outcome.Faults is { } faults ? faults.Count == 0 ? "none" : string.Join(' ', faults) : null),
        ("counts", e => e.Outcome.Counts ? "yes" : "no"),
        ("note", e => e.Outcome.Note),
    ];

    /// <summary>Writes line by line, so that no log is too long.</summary>
    public static async Task Write(TextWriter text, IEnumerable<LogEntry> entries)
    {
        await using var csv = new CsvWriter(text, Csv.Settings, leaveOpen: true);
        foreach (var (name, _) in Columns)
        {
            csv.WriteField(name);
        }

        await csv.NextRecordAsync();
        foreach (var entry in entries)
        {
            foreach (var (_, cell) in Columns)
            {
                csv.WriteField(Csv.Cell(cell(entry)));
            }

            await csv.NextRecordAsync();
        }
    }

    private static double? Side(LogEntry entry, int side) => entry.Planned is { } planned && side < planned.Sides.Count ? planned.Sides[side].Value : null;
}

/// <summary>What all of the kitchen's CSV files share.</summary>
internal static class Csv
{
    public static CsvConfiguration Settings { get; } = new(CultureInfo.InvariantCulture);

    // A cell that begins so is run as a formula by some spreadsheets.
    private static readonly char[] Formula = ['=', '+', '-', '@', '\t', '\r'];

    /// <summary>A cell as it is written: words never begin as a formula does.</summary>
    public static string Cell(object? value) => value switch
    {
        null => "",
        double d => d.ToString("0.####", CultureInfo.InvariantCulture),
        IFormattable f => f.ToString(null, CultureInfo.InvariantCulture),
        _ => Plain(value.ToString() ?? ""),
    };

    /// <summary>Words as they are written: what would be run, and what already begins with the mark, gets the mark before it.</summary>
    public static string Plain(string text) => text.Length > 0 && (Formula.Contains(text[0]) || (text[0] == '\'' && text.Length > 1)) ? "'" + text : text;

    /// <summary>Words as they were before <see cref="Plain"/>.</summary>
    public static string Unmarked(string text) => text.Length > 1 && text[0] == '\'' && (Formula.Contains(text[1]) || text[1] == '\'') ? text[1..] : text;
}
