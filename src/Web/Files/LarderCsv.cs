using System.Globalization;
using CsvHelper;
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
        var (lines, problem) = Csv.Open(bytes, Needed);
        using (lines)
        {
            return lines is null ? Unreadable(problem!) : ReadLines(lines, larder);
        }
    }

    private static LarderFile Unreadable(Refusal problem) => new([], [], 0, [], problem);

    private static LarderFile ReadLines(CsvLines lines, Larder larder)
    {
        var (added, changed, same, bad) = (new List<Ingredient>(), new List<Ingredient>(), 0, new List<BadLine>());
        var ids = new HashSet<string>(StringComparer.Ordinal);
        var names = new HashSet<string>(StringComparer.OrdinalIgnoreCase);
        while (lines.Next())
        {
            var line = lines.Line;
            if (ids.Count + bad.Count >= MostLines)
            {
                return Unreadable(new("file", RefusalCode.TooMany, line - 1, 0, MostLines));
            }

            var item = ItemOf(lines, larder);
            var refusals = lines.Refusals;
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

    private static string Number(double? value) => value?.ToString("R", CultureInfo.InvariantCulture) ?? "";

    private static string Word<T>(T value)
        where T : struct, Enum => value.ToString().ToLowerInvariant();

    private static Ingredient ItemOf(CsvLines line, Larder larder)
    {
        var name = line.Text("name");
        var id = line.Text("id") is { Length: > 0 } given ? given : ItemIds.From(name);
        if (!ItemIds.Good(id))
        {
            line.Refusals.Add(new("id", RefusalCode.NotInList, Item: id));
        }

        larder.TryGet(id, out var there);
        var kind = line.Choice<IngredientKind>("kind", line.Text("kind")) ?? IngredientKind.Addition;
        var item = new Ingredient(
            id,
            name,
            kind,
            new(line.Figure("density_g_ml", needed: true) ?? 0),
            new(line.Figure("water_pct", needed: true) ?? 0),
            new(line.Figure("fat_pct", needed: true) ?? 0),
            new(line.Figure("sugar_pct", needed: true) ?? 0),
            new(line.Figure("salt_pct", needed: true) ?? 0),
            line.Figure("kcal_100g", needed: true) ?? 0,
            line.Figure("absorption_pct") is { } a ? new Percent(a) : null,
            line.Figure("smoke_c") is { } s ? new Celsius(s) : null,
            line.Figure("holding_g_g"),
            line.Figure("draw_pct") is { } d ? new Percent(d) : null,
            line.Figure("squeeze_pct") is { } q ? new Percent(q) : null,
            line.Text("note"),
            kind == IngredientKind.Flour ? Traits(line, there) : null,
            line.Has("allergens") ? Allergens(line) : there?.Allergens ?? [],
            line.Figure("price") is { } price ? new Price(new(price), new(line.Figure("pack_g") ?? 1000)) : null,
            line.Text("lot_of") is { Length: > 0 } of ? new Lot(of, new(line.Figure("thirst_pct") ?? 0)) : null,
            there?.Origin ?? Origin.Own);
        return larder.Settled(item);
    }

    private static FlourTraits? Traits(CsvLines line, Ingredient? there)
    {
        if (line.Text("strength") is not { Length: > 0 } word)
        {
            return there?.Traits;
        }

        if (line.Choice<FlourStrength>("strength", word) is not { } strength)
        {
            return null;
        }

        var usual = Usual(strength);
        return new(strength, line.Figure("springback") ?? usual.Springback, line.Figure("least_rest_min") is { } rest ? new Minutes(rest) : usual.LeastRest);
    }

    private static Allergen[] Allergens(CsvLines line) =>
        [.. line.Text("allergens").Split([' ', ','], StringSplitOptions.RemoveEmptyEntries).Select(w => line.Choice<Allergen>("allergens", w)).OfType<Allergen>().Distinct()];
}
