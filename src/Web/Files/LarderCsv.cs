
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

    // What a flour of this strength does where a file does not say.
    private static FlourTraits Usual(FlourStrength strength) => strength switch
    {
        FlourStrength.White => new(strength, 0.16, new(20)),
        FlourStrength.Whole => new(strength, 0.09, new(30)),
        _ => new(strength, 0.09, new(20)),
    };

    public static string Write(IEnumerable<Ingredient> items) => Csv.Write(items.Select(LarderRow.Of));

    /// <summary>Reads a file against the larder. Nothing is kept here.</summary>
    public static LarderFile Read(ReadOnlySpan<byte> bytes, Larder larder)
    {
        var (lines, problem) = Csv.Open<LarderRow>(bytes);
        using (lines)
        {
            return lines is null ? Unreadable(problem!) : ReadLines(lines, larder);
        }
    }

    private static LarderFile Unreadable(Refusal problem) => new([], [], 0, [], problem);

    private static LarderFile ReadLines(CsvLines<LarderRow> lines, Larder larder)
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
                bad.Add(new(line, item.Name, [.. refusals]));
            }
            else if (!larder.TryGet(item.Id, out var there) || there!.Origin == Origin.Gone)
            {
                added.Add(item);
            }
            else if (LarderRow.Of(there) == LarderRow.Of(item))
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

    private static Ingredient ItemOf(CsvLines<LarderRow> lines, Larder larder)
    {
        var row = lines.Row();
        var name = Csv.Text(row.Name);
        var id = Csv.Text(row.Id) is { Length: > 0 } given ? given : ItemIds.From(name);
        if (!ItemIds.Good(id))
        {
            lines.Refusals.Add(new("id", FileRefusals.NotInList, Item: id));
        }

        if (larder.TryGet(id, out var there))
        {
            lines.FillFrom(LarderRow.Of(there!), row);
        }

        var kind = lines.Choice<IngredientKind>("kind", Csv.Text(row.Kind)) ?? IngredientKind.Addition;
        var none = Csv.Text(row.Allergens).Equals(LarderRow.NoneOfThem, StringComparison.OrdinalIgnoreCase);
        return larder.Settled(new Ingredient
        {
            Id = id,
            Name = name,
            Kind = kind,
            Density = new(row.Density ?? 0),
            Water = new(row.Water ?? 0),
            Fat = new(row.Fat ?? 0),
            Sugar = new(row.Sugar ?? 0),
            Salt = new(row.Salt ?? 0),
            KcalPer100G = row.Kcal ?? 0,
            Absorption = row.Absorption is { } a ? new Percent(a) : null,
            SmokePoint = row.Smoke is { } s ? new Celsius(s) : null,
            Holding = row.Holding,
            Draw = row.Draw is { } d ? new Percent(d) : null,
            Squeeze = row.Squeeze is { } q ? new Percent(q) : null,
            Note = Csv.Text(row.Note),
            Traits = kind == IngredientKind.Flour ? Traits(row, lines, there) : null,
            Allergens = none ? [] : [.. lines.Choices<Allergen>("allergens", Csv.Text(row.Allergens)).Distinct()],
            NoAllergens = none,
            Price = row.Price is { } price ? new Price(new(price), new(row.Pack ?? 1000)) : null,
            Lot = Csv.Text(row.LotOf) is { Length: > 0 } of ? new FlourLot(of, new(row.Thirst ?? 0)) : null,
            Origin = there?.Origin ?? Origin.Own,
            Marks = row.Marks is { } marks ? [.. lines.Choices<Trait>("marks", Csv.Text(marks)).Distinct()] : null,
            Hue = Csv.Text(row.Hue) is { Length: > 0 } hue ? hue : null,
            Each = row.Each is { } each ? new Grams(each) : null,
        });
    }

    private static FlourTraits? Traits(LarderRow row, CsvLines<LarderRow> lines, Ingredient? there)
    {
        if (Csv.Text(row.Strength) is not { Length: > 0 } word)
        {
            return there?.Traits;
        }

        if (lines.Choice<FlourStrength>("strength", word) is not { } strength)
        {
            return null;
        }

        var usual = Usual(strength);
        return new(strength, row.Springback ?? usual.Springback, row.LeastRest is { } rest ? new Minutes(rest) : usual.LeastRest);
    }
}
