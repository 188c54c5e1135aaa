using System.Globalization;
using System.Text;
using CsvHelper;
using CsvHelper.Configuration;
using Ystrata.Core;

namespace Ystrata.Web.Files;

/// <summary>A line that cannot be taken, and why.</summary>
public sealed record BadLine(int Line, string Name, IReadOnlyList<Refusal> Refusals);

/// <summary>What a larder file holds, read against the larder as it stands.</summary>
/// <param name="Problem">Why the file as a whole cannot be read, if it cannot.</param>
public sealed record LarderFile(IReadOnlyList<Ingredient> Added, IReadOnlyList<Ingredient> Changed, int Same, IReadOnlyList<BadLine> Bad, Refusal? Problem);

/// <summary>The larder as CSV (RFC 4180, UTF-8): one line an ingredient, numbers with a point, empty for what is not known.</summary>
public static class LarderCsv
{
    public const int MostLines = 20_000;

    private static readonly string[] Needed = ["name", "kind", "density_g_ml", "water_pct", "fat_pct", "sugar_pct", "salt_pct", "kcal_100g"];

    private static readonly string[] Columns =
    [
        "id", .. Needed, "absorption_pct", "smoke_c", "holding_g_g", "draw_pct", "squeeze_pct", "note",
        "strength", "springback", "least_rest_min", "allergens", "price", "pack_g", "lot_of", "thirst_pct",
    ];

    private static readonly UTF8Encoding Strict = new(encoderShouldEmitUTF8Identifier: false, throwOnInvalidBytes: true);

    // What a flour of this strength does where a file does not say.
    private static FlourTraits Usual(FlourStrength strength) => strength switch
    {
        FlourStrength.White => new(strength, 0.16, new(20)),
        FlourStrength.Whole => new(strength, 0.09, new(30)),
        _ => new(strength, 0.09, new(20)),
    };

    public static string Write(IEnumerable<Ingredient> items)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = new CsvWriter(text, CultureInfo.InvariantCulture))
        {
            foreach (var column in Columns)
            {
                csv.WriteField(column);
            }

            csv.NextRecord();
            foreach (var item in items)
            {
                foreach (var cell in Cells(item))
                {
                    csv.WriteField(cell);
                }

                csv.NextRecord();
            }
        }

        return text.ToString();
    }

    /// <summary>Reads a file against the larder. Nothing is kept here.</summary>
    public static LarderFile Read(ReadOnlySpan<byte> bytes, Larder larder)
    {
        if (Decode(bytes) is not { } text)
        {
            return Unreadable(new("file", RefusalCode.NotUtf8));
        }

        var semicolons = text.AsSpan(0, Math.Max(text.IndexOf('\n', StringComparison.Ordinal), 0)).Contains(';');
        using var csv = new CsvReader(new StringReader(text), new CsvConfiguration(CultureInfo.InvariantCulture)
        {
            Delimiter = semicolons ? ";" : ",",
            BadDataFound = null,
            MissingFieldFound = null,
            PrepareHeaderForMatch = h => h.Header.Trim().ToLowerInvariant(),
        });
        if (!csv.Read() || !csv.ReadHeader() || csv.HeaderRecord is null)
        {
            return Unreadable(new("file", RefusalCode.WrongColumns, Item: string.Join(", ", Needed)));
        }

        var missing = Needed.Except(csv.HeaderRecord.Select(h => h.Trim().ToLowerInvariant())).ToList();
        return missing.Count > 0
            ? Unreadable(new("file", RefusalCode.WrongColumns, Item: string.Join(", ", missing)))
            : ReadLines(csv, semicolons, larder);
    }

    private static LarderFile Unreadable(Refusal problem) => new([], [], 0, [], problem);

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

    private static LarderFile ReadLines(CsvReader csv, bool decimalComma, Larder larder)
    {
        var (added, changed, same, bad) = (new List<Ingredient>(), new List<Ingredient>(), 0, new List<BadLine>());
        var ids = new HashSet<string>(StringComparer.Ordinal);
        var names = new HashSet<string>(StringComparer.OrdinalIgnoreCase);
        while (csv.Read())
        {
            var line = csv.Parser.RawRow;
            if (ids.Count + bad.Count >= MostLines)
            {
                return Unreadable(new("file", RefusalCode.TooMany, line - 1, 0, MostLines));
            }

            var row = new Row(csv, decimalComma);
            var item = row.Item(larder);
            var refusals = row.Refusals;
            if (refusals.Count == 0)
            {
                refusals.AddRange(IngredientCheck.Check(item, larder));
            }

            if (!ids.Add(item.Id))
            {
                refusals.Add(new("id", RefusalCode.NamedTwice, Item: item.Id));
            }

            if (!names.Add(item.Name))
            {
                refusals.Add(new("name", RefusalCode.NamedTwice, Item: item.Name));
            }

            if (refusals.Count > 0)
            {
                bad.Add(new(line, item.Name, refusals));
            }
            else if (!larder.TryGet(item.Id, out var there) || there!.Origin == Origin.Gone)
            {
                added.Add(item);
            }
            else if (Same(there, item))
            {
                same++;
            }
            else
            {
                changed.Add(item);
            }
        }

        return new(added, changed, same, bad, null);
    }

    private static bool Same(Ingredient a, Ingredient b) => Cells(a).SequenceEqual(Cells(b));

    private static IEnumerable<string> Cells(Ingredient i)
    {
        yield return i.Id;
        yield return Csv.Plain(i.Name);
        yield return Word(i.Kind);
        yield return Number(i.Density.Value);
        yield return Number(i.Water.Value);
        yield return Number(i.Fat.Value);
        yield return Number(i.Sugar.Value);
        yield return Number(i.Salt.Value);
        yield return Number(i.KcalPer100G);
        yield return Number(i.Absorption?.Value);
        yield return Number(i.SmokePoint?.Value);
        yield return Number(i.Holding);
        yield return Number(i.Draw?.Value);
        yield return Number(i.Squeeze?.Value);
        yield return Csv.Plain(i.Note);
        yield return i.Traits is { } t ? Word(t.Strength) : "";
        yield return Number(i.Traits?.Springback);
        yield return Number(i.Traits?.LeastRest.Value);
        yield return string.Join(' ', i.Allergens.Select(Word));
        yield return Number(i.Price?.Cost.Value);
        yield return Number(i.Price?.Pack.Value);
        yield return i.Lot?.Of ?? "";
        yield return Number(i.Lot?.Thirst.Value);
    }

    private static string Number(double? value) => value?.ToString("0.######", CultureInfo.InvariantCulture) ?? "";

    private static string Word<T>(T value)
        where T : struct, Enum => value.ToString().ToLowerInvariant();

    /// <summary>One line; what cannot be read in it becomes a refusal.</summary>
    private sealed class Row(CsvReader csv, bool decimalComma)
    {
        public List<Refusal> Refusals { get; } = [];

        public Ingredient Item(Larder larder)
        {
            var name = Text("name");
            var id = Text("id") is { Length: > 0 } given ? given : ItemIds.From(name);
            if (!ItemIds.Good(id))
            {
                Refusals.Add(new("id", RefusalCode.NotInList, Item: id));
            }

            larder.TryGet(id, out var there);
            var kind = Choice<IngredientKind>("kind", Text("kind")) ?? IngredientKind.Addition;
            var item = new Ingredient(
                id,
                name,
                kind,
                new(Figure("density_g_ml", needed: true) ?? 0),
                new(Figure("water_pct", needed: true) ?? 0),
                new(Figure("fat_pct", needed: true) ?? 0),
                new(Figure("sugar_pct", needed: true) ?? 0),
                new(Figure("salt_pct", needed: true) ?? 0),
                Figure("kcal_100g", needed: true) ?? 0,
                Figure("absorption_pct") is { } a ? new Percent(a) : null,
                Figure("smoke_c") is { } s ? new Celsius(s) : null,
                Figure("holding_g_g"),
                Figure("draw_pct") is { } d ? new Percent(d) : null,
                Figure("squeeze_pct") is { } q ? new Percent(q) : null,
                Text("note"),
                kind == IngredientKind.Flour ? Traits(there) : null,
                Has("allergens") ? Allergens() : there?.Allergens ?? [],
                Figure("price") is { } price ? new Price(new(price), new(Figure("pack_g") ?? 1000)) : null,
                Text("lot_of") is { Length: > 0 } of ? new Lot(of, new(Figure("thirst_pct") ?? 0)) : null,
                there?.Origin ?? Origin.Own);
            return larder.Settled(item);
        }

        private FlourTraits? Traits(Ingredient? there)
        {
            if (Text("strength") is not { Length: > 0 } word)
            {
                return there?.Traits;
            }

            if (Choice<FlourStrength>("strength", word) is not { } strength)
            {
                return null;
            }

            var usual = Usual(strength);
            return new(strength, Figure("springback") ?? usual.Springback, Figure("least_rest_min") is { } rest ? new Minutes(rest) : usual.LeastRest);
        }

        private Allergen[] Allergens() =>
            [.. Text("allergens").Split([' ', ','], StringSplitOptions.RemoveEmptyEntries).Select(w => Choice<Allergen>("allergens", w)).OfType<Allergen>().Distinct()];

        private bool Has(string column) => csv.HeaderRecord!.Any(h => h.Trim().Equals(column, StringComparison.OrdinalIgnoreCase));

        private string Text(string column)
        {
            var text = (Has(column) ? csv.GetField(column) : null)?.Trim() ?? "";
            return Csv.Unmarked(text);
        }

        private double? Figure(string column, bool needed = false)
        {
            var text = Text(column);
            if (text.Length == 0)
            {
                if (needed)
                {
                    Refusals.Add(new(column, RefusalCode.Missing));
                }

                return null;
            }

            if (double.TryParse(decimalComma ? text.Replace(',', '.') : text, NumberStyles.Float, CultureInfo.InvariantCulture, out var value) && double.IsFinite(value))
            {
                return value;
            }

            Refusals.Add(new(column, RefusalCode.Unreadable, Item: text));
            return null;
        }

        private T? Choice<T>(string column, string word)
            where T : struct, Enum
        {
            if (!word.All(char.IsDigit) && Enum.TryParse<T>(word, ignoreCase: true, out var value) && Enum.IsDefined(value))
            {
                return value;
            }

            Refusals.Add(word.Length == 0 ? new(column, RefusalCode.Missing) : new(column, RefusalCode.NotInList, Item: word));
            return null;
        }
    }
}
