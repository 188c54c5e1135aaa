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

    /// <summary>Writes line by line, so that no log is too long.</summary>
    public static Task Write(TextWriter text, IEnumerable<LogEntry> entries) => Csv.Write(text, entries.Select(LogRow.Of));

    /// <summary>Reads a file against the log. Nothing is kept here. A cooking that is here gets the figures of its line, whatever the line does not carry stays; one that is not is added to its batch.</summary>
    /// <param name="entryOf">A cooking that is here; nothing for one that is not.</param>
    /// <param name="newOf">An empty cooking of a batch; nothing when there is no such batch.</param>
    /// <param name="taken">Whether an id is a cooking's that lies in the trash.</param>
    public static LogFile Read(ReadOnlySpan<byte> bytes, Func<Guid, LogEntry?> entryOf, Func<Guid, LogEntry?> newOf, Func<Guid, bool> taken)
    {
        var (lines, problem) = Csv.Open<LogRow>(bytes);
        using (lines)
        {
            return lines is null ? new([], [], 0, [], problem) : ReadLines(lines, entryOf, newOf, taken);
        }
    }

    private static LogFile ReadLines(CsvLines<LogRow> lines, Func<Guid, LogEntry?> entryOf, Func<Guid, LogEntry?> newOf, Func<Guid, bool> taken)
    {
        var (added, changed, same, bad, ids) = (new List<LogEntry>(), new List<LogEntry>(), 0, new List<BadLine>(), new HashSet<Guid>());
        while (lines.Next())
        {
            if (ids.Count + bad.Count >= MostLines)
            {
                return new([], [], 0, [], new("file", RefusalCode.TooMany, lines.Line - 1, 0, MostLines));
            }

            var row = lines.Row();
            var id = row.Id ?? Guid.CreateVersion7();
            var there = entryOf(id);
            var of = there ?? (row.Batch is { } batch ? newOf(batch) : null);
            if (of is null)
            {
                lines.Refusals.Add(row.Batch is { } named ? new("batch", FileRefusals.NotInList, Item: named.ToString()) : new("batch", RefusalCode.Missing));
            }

            if (!ids.Add(id) || (there is null && taken(id)))
            {
                lines.Refusals.Add(new("id", RefusalCode.NamedTwice, Item: id.ToString()));
            }

            if (row.CookedAt is null && lines.Refusals.Count == 0)
            {
                lines.Refusals.Add(new("cooked_at", RefusalCode.Missing));
            }

            if (of is not null)
            {
                lines.FillFrom(LogRow.Of(of), row);
            }

            var outcome = OutcomeOf(row, lines, of?.Outcome ?? Outcome.Nothing);
            lines.Refusals.AddRange(LogCheck.Check(outcome));
            if (lines.Refusals.Count > 0)
            {
                bad.Add(new(lines.Line, Csv.Text(row.Name), [.. lines.Refusals]));
                continue;
            }

            var entry = of! with { Id = id, CookedAt = row.CookedAt!.Value, Outcome = outcome };
            if (there is null)
            {
                added.Add(entry);
            }
            else if (LogRow.Of(there) == LogRow.Of(entry))
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

    private static Outcome OutcomeOf(LogRow row, CsvLines<LogRow> lines, Outcome was)
    {
        static T? Figure<T>(double? value)
            where T : struct, IMeasure<T> => value is { } v ? T.From(v) : null;
        return was with
        {
            Used = new(row.Pieces, Figure<Grams>(row.Flour), Figure<Grams>(row.Liquid), Figure<Grams>(row.DoughFat), Figure<Grams>(row.Salt), Figure<Grams>(row.Ball), row.Lost, Figure<Grams>(row.Dough), Figure<Grams>(row.Raw), Figure<Grams>(row.Roasted)),
            Timed = new(Figure<Celsius>(row.Pan), Figure<Seconds>(row.FirstSide), Figure<Seconds>(row.SecondSide), Figure<Seconds>(row.LastSide)),
            Judged = new(row.Soft, row.Leaves, row.Colour, row.Taste, row.Filling, row.Wall),
            Faults = Csv.Text(row.Faults) switch
            {
                "" => null,
                LogRow.NoFaults => [],
                var words => lines.Choices<Symptom>("faults", words),
            },
            Counts = Csv.Text(row.Counts).ToLowerInvariant() is not LogRow.CountsNot,
            Note = Csv.Unmarked(row.Note),
        };
    }
}
