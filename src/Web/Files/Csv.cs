using System.ComponentModel.DataAnnotations;
using System.Globalization;
using System.Text;
using CsvHelper;
using CsvHelper.Configuration;
using CsvHelper.TypeConversion;

namespace Ystrata.Web.Files;

/// <summary>What all of the kitchen's CSV files share. Which columns there are, the rows' own classes say.</summary>
internal static class Csv
{
    private const string Moment = "yyyy-MM-dd'T'HH:mm:ss.FFF'Z'";

    private static readonly UTF8Encoding Strict = new(encoderShouldEmitUTF8Identifier: false, throwOnInvalidBytes: true);

    // A cell that begins so is run as a formula by some spreadsheets.
    private static readonly char[] Formula = ['=', '+', '-', '@', '\t', '\r'];

    /// <summary>Words as they are written: what would be run, and what already begins with the mark, gets the mark before it.</summary>
    public static string Plain(string text) => text.Length > 0 && (Formula.Contains(text[0]) || (text[0] == '\'' && text.Length > 1)) ? "'" + text : text;

    /// <summary>Words as they were before <see cref="Plain"/>.</summary>
    public static string Unmarked(string? text) => text is ['\'', var second, ..] && (Formula.Contains(second) || second == '\'') ? text[1..] : text ?? "";

    /// <summary>The same without the blanks around it.</summary>
    public static string Text(string? text) => Unmarked(text?.Trim());

    public static string Write<T>(IEnumerable<T> rows)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = Writer(text))
        {
            csv.WriteRecords(rows);
        }

        return text.ToString();
    }

    /// <summary>Writes line by line, so that no table is too long.</summary>
    public static async Task Write<T>(TextWriter text, IEnumerable<T> rows)
    {
        await using var csv = Writer(text);
        await csv.WriteRecordsAsync(rows);
    }

    /// <summary>Opens a file for reading, wherever it came from: a byte order mark, semicolons, decimal commas.</summary>
    /// <returns>What stands in the way, if anything.</returns>
    public static (CsvLines<T>? Lines, Refusal? Problem) Open<T>(ReadOnlySpan<byte> bytes)
        where T : class
    {
        if (Decode(bytes) is not { } text)
        {
            return (null, new("file", FileRefusals.NotUtf8));
        }

        var semicolons = text.AsSpan(0, Math.Max(text.IndexOf('\n', StringComparison.Ordinal), 0)).Contains(';');
        List<string> lacking = [];
        var csv = new CsvReader(new StringReader(text), new CsvConfiguration(CultureInfo.InvariantCulture)
        {
            Delimiter = semicolons ? ";" : ",",
            BadDataFound = null,
            MissingFieldFound = null,
            HeaderValidated = found => lacking.AddRange(found.InvalidHeaders.Select(h => h.Names[0])),
            PrepareHeaderForMatch = h => h.Header.Trim().ToLowerInvariant(),
        });
        var lines = new CsvLines<T>(csv);
        Cells(csv.Context, lines.Refusals, decimalComma: semicolons);
        if (csv.Read() && csv.ReadHeader())
        {
            csv.ValidateHeader<T>();
            if (lacking.Count == 0)
            {
                return (lines, null);
            }
        }

        // Where there is no line at all, every column is lacking.
        var wanted = lacking.Count > 0 ? lacking : [.. csv.Context.AutoMap<T>().MemberMaps.Where(m => !m.Data.IsOptional).Select(m => m.Data.Names[0])];
        lines.Dispose();
        return (null, new("file", FileRefusals.WrongColumns, Item: string.Join(", ", wanted)));
    }

    private static CsvWriter Writer(TextWriter text)
    {
        var csv = new CsvWriter(text, CultureInfo.InvariantCulture, leaveOpen: true);
        Cells(csv.Context, [], decimalComma: false);
        return csv;
    }

    private static void Cells(CsvContext context, List<Refusal> refusals, bool decimalComma)
    {
        void Kind<T>(Func<string, T?> read, Func<T, string> write)
            where T : struct => context.TypeConverterCache.AddConverter<T?>(new Cell<T>(read, write, refusals));
        Kind<double>(
            t => double.TryParse(decimalComma ? t.Replace(',', '.') : t, NumberStyles.Float, CultureInfo.InvariantCulture, out var v) && double.IsFinite(v) ? v : null,
            v => v.ToString("R", CultureInfo.InvariantCulture));
        Kind<int>(t => int.TryParse(t, NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var v) ? v : null, v => v.ToString(CultureInfo.InvariantCulture));
        Kind<Guid>(t => Guid.TryParse(t, out var v) ? v : null, v => v.ToString());
        Kind<DateTimeOffset>(
            t => DateTimeOffset.TryParse(t, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal | DateTimeStyles.AdjustToUniversal, out var v) ? v : null,
            v => v.UtcDateTime.ToString(Moment, CultureInfo.InvariantCulture));
    }

    private static string? Decode(ReadOnlySpan<byte> bytes)
    {
        try
        {
            var text = Strict.GetString(bytes).TrimStart('\ufeff');
            return text.Contains('\0', StringComparison.Ordinal) ? null : text;
        }
        catch (DecoderFallbackException)
        {
            return null;
        }
    }

    /// <summary>A cell that may be empty; what cannot be read in it becomes a refusal, and so does one that is empty and must not be.</summary>
    private sealed class Cell<T>(Func<string, T?> read, Func<T, string> write, List<Refusal> refusals) : ITypeConverter
        where T : struct
    {
        public object? ConvertFromString(string? text, IReaderRow row, MemberMapData memberMapData)
        {
            var (column, told) = (memberMapData.Names[0], Text(text));
            if (told.Length == 0)
            {
                if (memberMapData.Member?.IsDefined(typeof(RequiredAttribute), inherit: false) == true)
                {
                    refusals.Add(new(column, RefusalCode.Missing));
                }

                return null;
            }

            if (read(told) is { } value)
            {
                return value;
            }

            refusals.Add(new(column, RefusalCode.Unreadable, Item: told));
            return null;
        }

        public string? ConvertToString(object? value, IWriterRow row, MemberMapData memberMapData) => value is T told ? write(told) : "";
    }
}
