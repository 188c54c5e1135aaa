using System.Globalization;
using CsvHelper;
using Ystrata.Core;
using Ystrata.Store;

namespace Ystrata.Web.Files;

/// <summary>What a log file holds, read against the log as it stands.</summary>
/// <param name="Added">Cookings that are not here, of batches that are.</param>
/// <param name="Problem">Why the file as a whole cannot be read, if it cannot.</param>
internal sealed record LogFile(IReadOnlyList<LogEntry> Added, IReadOnlyList<LogEntry> Changed, int Same, IReadOnlyList<BadLine> Bad, Refusal? Problem);

/// <summary>The log as CSV (RFC 4180, UTF-8): one line a cooking, planned beside actual, numbers with a point, empty for what was not taken.</summary>
internal static class LogCsv
{
    public const int MostLines = 20_000;

    private static readonly string[] Needed = ["id", "batch", "cooked_at"];

    private static readonly (string Name, Func<LogEntry, object?> Cell)[] Columns =
    [
        ("id", e => e.Id),
        ("batch", e => e.BatchId),
        ("name", e => e.Name),
        ("cooked_at", e => e.CookedAt.UtcDateTime.ToString("yyyy-MM-dd'T'HH:mm:ss.FFF'Z'", CultureInfo.InvariantCulture)),
        ("pieces_planned", e => e.Planned?.Pieces),
        ("pieces", e => e.Outcome.Used.Pieces),
        ("lost", e => e.Outcome.Used.Lost),
        ("flour_planned_g", e => Near(e.Planned?.Flour.Value)),
        ("flour_g", e => e.Outcome.Used.Flour?.Value),
        ("liquid_planned_g", e => Near(e.Planned?.Liquid.Value)),
        ("liquid_g", e => e.Outcome.Used.Liquid?.Value),
        ("dough_fat_planned_g", e => Near(e.Planned?.DoughFat.Value)),
        ("dough_fat_g", e => e.Outcome.Used.DoughFat?.Value),
        ("salt_planned_g", e => Near(e.Planned?.Salt.Value)),
        ("salt_g", e => e.Outcome.Used.Salt?.Value),
        ("dough_planned_g", e => Near(e.Planned?.Dough.Value)),
        ("dough_g", e => e.Outcome.Used.Dough?.Value),
        ("ball_planned_g", e => Near(e.Planned?.BallMass.Value)),
        ("ball_g", e => e.Outcome.Used.BallMass?.Value),
        ("leaves_planned", e => e.Planned?.Leaves),
        ("pan_planned_c", e => Near(e.Planned?.Pan.Value)),
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

    /// <summary>Reads a file against the log. Nothing is kept here. A cooking that is here gets the figures of its line, whatever the line does not carry stays; one that is not is added to its batch.</summary>
    /// <param name="entryOf">A cooking that is here; nothing for one that is not.</param>
    /// <param name="newOf">An empty cooking of a batch; nothing when there is no such batch.</param>
    /// <param name="taken">Whether an id is a cooking's that lies in the trash.</param>
    public static LogFile Read(ReadOnlySpan<byte> bytes, Func<Guid, LogEntry?> entryOf, Func<Guid, LogEntry?> newOf, Func<Guid, bool> taken)
    {
        var (lines, problem) = Csv.Open(bytes, Needed);
        using (lines)
        {
            return lines is null ? new([], [], 0, [], problem) : ReadLines(lines, entryOf, newOf, taken);
        }
    }

    private static LogFile ReadLines(CsvLines lines, Func<Guid, LogEntry?> entryOf, Func<Guid, LogEntry?> newOf, Func<Guid, bool> taken)
    {
        var (added, changed, same, bad, ids) = (new List<LogEntry>(), new List<LogEntry>(), 0, new List<BadLine>(), new HashSet<Guid>());
        while (lines.Next())
        {
            if (ids.Count + bad.Count >= MostLines)
            {
                return new([], [], 0, [], new("file", RefusalCode.TooMany, lines.Line - 1, 0, MostLines));
            }

            var id = lines.Of<Guid>("id", t => Guid.TryParse(t, out var g) ? g : null) ?? Guid.CreateVersion7();
            var there = entryOf(id);
            var of = there ?? (lines.Of<Guid>("batch", t => Guid.TryParse(t, out var g) ? g : null) is { } batch ? newOf(batch) : null);
            if (of is null)
            {
                lines.Refusals.Add(new("batch", lines.Text("batch").Length == 0 ? RefusalCode.Missing : RefusalCode.NotInList, Item: lines.Text("batch")));
            }

            if (!ids.Add(id) || (there is null && taken(id)))
            {
                lines.Refusals.Add(new("id", RefusalCode.NamedTwice, Item: id.ToString()));
            }

            var cookedAt = lines.Of<DateTimeOffset>("cooked_at", t => DateTimeOffset.TryParse(t, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal | DateTimeStyles.AdjustToUniversal, out var at) ? at : null);
            if (cookedAt is null && lines.Refusals.Count == 0)
            {
                lines.Refusals.Add(new("cooked_at", RefusalCode.Missing));
            }

            var outcome = OutcomeOf(lines, of?.Outcome ?? Outcome.Nothing);
            lines.Refusals.AddRange(LogCheck.Check(outcome));
            if (lines.Refusals.Count > 0)
            {
                bad.Add(new(lines.Line, lines.Text("name"), lines.Refusals));
                continue;
            }

            var entry = of! with { Id = id, CookedAt = cookedAt!.Value, Outcome = outcome };
            if (there is null)
            {
                added.Add(entry);
            }
            else if (Columns.All(c => Csv.Cell(c.Cell(there)) == Csv.Cell(c.Cell(entry))))
            {
                same++;
            }
            else
            {
                changed.Add(entry);
            }
        }

        return new(added, changed, same, bad, null);
    }

    // A column that is not in the file changes nothing.
    private static Outcome OutcomeOf(CsvLines line, Outcome was)
    {
        T? Mass<T>(string column, T? before)
            where T : struct, IMeasure<T> => !line.Has(column) ? before : line.Figure(column) is { } v ? T.From(v) : null;
        int? Count(string column, int? before) => line.Has(column) ? line.Count(column) : before;
        var (used, timed, judged) = (was.Used, was.Timed, was.Judged);
        return was with
        {
            Used = used with
            {
                Pieces = Count("pieces", used.Pieces),
                Lost = Count("lost", used.Lost),
                Flour = Mass("flour_g", used.Flour),
                Liquid = Mass("liquid_g", used.Liquid),
                DoughFat = Mass("dough_fat_g", used.DoughFat),
                Salt = Mass("salt_g", used.Salt),
                Dough = Mass("dough_g", used.Dough),
                BallMass = Mass("ball_g", used.BallMass),
            },
            Timed = new(Mass("pan_c", timed.Pan), Mass("first_side_s", timed.FirstSide), Mass("second_side_s", timed.SecondSide), Mass("last_side_s", timed.LastSide)),
            Judged = new(
                Count("soft", judged.Soft),
                Count("leaves", judged.Leaves),
                Count("colour", judged.Colour),
                Count("taste", judged.Taste),
                Count("filling", judged.Filling),
                Count("wall", judged.Wall)),
            Faults = !line.Has("faults") ? was.Faults : line.Text("faults") switch
            {
                "" => null,
                "none" => [],
                var words => [.. words.Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(w => line.Choice<Symptom>("faults", w)).OfType<Symptom>()],
            },
            Counts = !line.Has("counts") ? was.Counts : line.Text("counts").ToLowerInvariant() is not "no",
            Note = line.Has("note") ? line.Whole("note") : was.Note,
        };
    }

    private static double? Near(double? value) => value is { } v ? Math.Round(v, 4) : null;

    private static double? Side(LogEntry entry, int side) => Near(entry.Planned is { } planned && side < planned.Sides.Count ? planned.Sides[side].Value : null);
}
