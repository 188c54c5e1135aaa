using System.Globalization;
using System.Text;
using CsvHelper;
using CsvHelper.Configuration;
using Ystrata.Core;

namespace Ystrata.Web.Files;

/// <summary>What all of the kitchen's CSV files share.</summary>
internal static class Csv
{
    public static CsvConfiguration Settings { get; } = new(CultureInfo.InvariantCulture);

    private static readonly UTF8Encoding Strict = new(encoderShouldEmitUTF8Identifier: false, throwOnInvalidBytes: true);

    // A cell that begins so is run as a formula by some spreadsheets.
    private static readonly char[] Formula = ['=', '+', '-', '@', '\t', '\r'];

    /// <summary>A cell as it is written: words never begin as a formula does.</summary>
    public static string Cell(object? value) => value switch
    {
        null => "",
        double d => d.ToString("R", CultureInfo.InvariantCulture),
        IFormattable f => f.ToString(null, CultureInfo.InvariantCulture),
        _ => Plain(value.ToString() ?? ""),
    };

    /// <summary>Words as they are written: what would be run, and what already begins with the mark, gets the mark before it.</summary>
    public static string Plain(string text) => text.Length > 0 && (Formula.Contains(text[0]) || (text[0] == '\'' && text.Length > 1)) ? "'" + text : text;

    /// <summary>Words as they were before <see cref="Plain"/>.</summary>
    public static string Unmarked(string text) => text.Length > 1 && text[0] == '\'' && (Formula.Contains(text[1]) || text[1] == '\'') ? text[1..] : text;

    /// <summary>Opens a file for reading, wherever it came from: a byte order mark, semicolons, decimal commas.</summary>
    /// <returns>What stands in the way, if anything.</returns>
    public static (CsvLines? Lines, Refusal? Problem) Open(ReadOnlySpan<byte> bytes, IReadOnlyList<string> needed)
    {
        if (Decode(bytes) is not { } text)
        {
            return (null, new("file", RefusalCode.NotUtf8));
        }

        var semicolons = text.AsSpan(0, Math.Max(text.IndexOf('\n', StringComparison.Ordinal), 0)).Contains(';');
        var csv = new CsvReader(new StringReader(text), new CsvConfiguration(CultureInfo.InvariantCulture)
        {
            Delimiter = semicolons ? ";" : ",",
            BadDataFound = null,
            MissingFieldFound = null,
            PrepareHeaderForMatch = h => h.Header.Trim().ToLowerInvariant(),
        });
        if (!csv.Read() || !csv.ReadHeader() || csv.HeaderRecord is null)
        {
            return (null, new("file", RefusalCode.WrongColumns, Item: string.Join(", ", needed)));
        }

        var missing = needed.Except(csv.HeaderRecord.Select(h => h.Trim().ToLowerInvariant())).ToList();
        return missing.Count > 0 ? (null, new("file", RefusalCode.WrongColumns, Item: string.Join(", ", missing))) : (new(csv, semicolons), null);
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
}

/// <summary>A file that is read line by line; what cannot be read in a line becomes a refusal.</summary>
internal sealed class CsvLines(CsvReader csv, bool decimalComma) : IDisposable
{
    private readonly HashSet<string> columns = [.. csv.HeaderRecord!.Select(h => h.Trim().ToLowerInvariant())];

    /// <summary>What could not be read in this line.</summary>
    public List<Refusal> Refusals { get; private set; } = [];

    public int Line => csv.Parser.RawRow;

    public bool Next()
    {
        Refusals = [];
        return csv.Read();
    }

    public bool Has(string column) => columns.Contains(column);

    public string Text(string column) => Csv.Unmarked(Words(column).Trim());

    /// <summary>The same with its blanks.</summary>
    public string Whole(string column) => Csv.Unmarked(Words(column));

    private string Words(string column) => (Has(column) ? csv.GetField(column) : null) ?? "";

    /// <summary>A cell read as something; nothing when it is empty.</summary>
    public T? Of<T>(string column, Func<string, T?> read)
        where T : struct
    {
        var text = Text(column);
        if (text.Length == 0)
        {
            return null;
        }

        if (read(text) is { } value)
        {
            return value;
        }

        Refusals.Add(new(column, RefusalCode.Unreadable, Item: text));
        return null;
    }

    public double? Figure(string column, bool needed = false)
    {
        if (needed && Text(column).Length == 0)
        {
            Refusals.Add(new(column, RefusalCode.Missing));
        }

        return Of<double>(column, t =>
            double.TryParse(decimalComma ? t.Replace(',', '.') : t, NumberStyles.Float, CultureInfo.InvariantCulture, out var value) && double.IsFinite(value) ? value : null);
    }

    public int? Count(string column) => Of<int>(column, t => int.TryParse(t, NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var value) ? value : null);

    public T? Choice<T>(string column, string word)
        where T : struct, Enum
    {
        if (!word.All(char.IsDigit) && Enum.TryParse<T>(word, ignoreCase: true, out var value) && Enum.IsDefined(value))
        {
            return value;
        }

        Refusals.Add(word.Length == 0 ? new(column, RefusalCode.Missing) : new(column, RefusalCode.NotInList, Item: word));
        return null;
    }

    public void Dispose() => csv.Dispose();
}
