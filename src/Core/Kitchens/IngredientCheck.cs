using System.Text.RegularExpressions;

namespace Ystrata.Core.Kitchens;

/// <summary>Whether a line of the larder can stand: ranges, and that nothing is more than itself.</summary>
public static partial class IngredientCheck
{
    public const int LongestName = 80, LongestNote = 200;

    // Rounded values may add up to a little more than the whole.
    private const double Whole = 100.5;

    public static IReadOnlyList<Limit> Limits { get; } =
    [
        new("density", 0.05, 3, Density.Unit),
        new("water", 0, 100, Percent.Unit),
        new("fat", 0, 100, Percent.Unit),
        new("sugar", 0, 100, Percent.Unit),
        new("salt", 0, 100, Percent.Unit),
        new("kcalPer100G", 0, 910, "kcal"),
        new("absorption", 30, 150, Percent.Unit),
        new("smokePoint", 80, 350, Celsius.Unit),
        new("holding", 0, 20, ""),
        new("draw", 0, 100, Percent.Unit),
        new("squeeze", 0, 100, Percent.Unit),
        new("traits.springback", 0, 0.5, ""),
        new("traits.leastRest", 0, 240, Minutes.Unit),
        new("price.cost", 0, 1_000_000, Money.Unit),
        new("price.pack", 1, 1_000_000, Grams.Unit),
        new("lot.thirst", -20, 20, Percent.Unit),
        new("each", 0.1, 5000, Grams.Unit),
    ];

    /// <returns>Everything that stands in the way; empty when the line can be kept.</returns>
    public static IReadOnlyList<Refusal> Check(Ingredient item, Larder larder)
    {
        var refusals = new List<Refusal>();
        if (item.Name.Trim().Length == 0)
        {
            refusals.Add(new("name", RefusalCode.Missing));
        }
        else if (item.Name.Length > LongestName)
        {
            refusals.Add(new("name", RefusalCode.TooLong, item.Name.Length, 1, LongestName));
        }

        if (item.Note.Length > LongestNote)
        {
            refusals.Add(new("note", RefusalCode.TooLong, item.Note.Length, 0, LongestNote));
        }

        if (larder.Called(item.Name) is { } taken && taken != item.Id)
        {
            refusals.Add(new("name", RefusalCode.NameTaken, Item: item.Name.Trim()));
        }

        double?[] values =
        [
            item.Density.Value, item.Water.Value, item.Fat.Value, item.Sugar.Value, item.Salt.Value, item.KcalPer100G,
            item.Absorption?.Value, item.SmokePoint?.Value, item.Holding, item.Draw?.Value, item.Squeeze?.Value,
            item.Traits?.Springback, item.Traits?.LeastRest.Value, item.Price?.Cost.Value, item.Price?.Pack.Value, item.Lot?.Thirst.Value, item.Each?.Value,
        ];
        foreach (var (limit, value) in Limits.Zip(values))
        {
            if (value is { } v && !(v >= limit.Least && v <= limit.Most))
            {
                var finite = double.IsFinite(v);
                refusals.Add(new(limit.Field, finite ? RefusalCode.OutOfRange : RefusalCode.NotANumber, finite ? v : null, limit.Least, limit.Most, limit.Unit));
            }
        }

        if (item.Hue is { } hue && !HueWritten().IsMatch(hue))
        {
            refusals.Add(new("hue", RefusalCode.Unreadable, Item: hue));
        }

        if (refusals.Count > 0)
        {
            return refusals;
        }

        // Every sum that stands on the figure needs it.
        if (item.Water.Value + item.Fat.Value + item.Sugar.Value + item.Salt.Value is > Whole and var all)
        {
            refusals.Add(new("water", RefusalCode.Together, all, 0, 100, Percent.Unit));
        }

        if (item.Kind == IngredientKind.Flour)
        {
            Needs("absorption", item.Absorption is not null, refusals);
            Needs("traits", item.Traits is not null, refusals);
        }

        if (item.Kind == IngredientKind.Salt && item.Salt.Value < 50)
        {
            refusals.Add(new("salt", RefusalCode.OutOfRange, item.Salt.Value, 50, 100, Percent.Unit));
        }

        if (item.Kind is IngredientKind.Liquid or IngredientKind.Puree && item.Water.Value < 15)
        {
            refusals.Add(new("water", RefusalCode.OutOfRange, item.Water.Value, 15, 100, Percent.Unit));
        }

        if (item.Lot is { } lot && !(larder.TryGet(lot.Of, out var flour) && flour is { Kind: IngredientKind.Flour, Lot: null }))
        {
            refusals.Add(new("lot.of", RefusalCode.UnknownIngredient, Item: lot.Of));
        }

        return refusals;
    }

    private static void Needs(string field, bool there, List<Refusal> refusals)
    {
        if (!there)
        {
            refusals.Add(new(field, RefusalCode.Missing));
        }
    }

    [GeneratedRegex("^#[0-9a-fA-F]{6}$")]
    private static partial Regex HueWritten();
}
