using System.ComponentModel.DataAnnotations;
using CsvHelper.Configuration.Attributes;

namespace Ystrata.Web.Files;

/// <summary>A line of the larder as CSV. What has to be told has no <see cref="OptionalAttribute"/>, and stands there in figures where it is <see cref="RequiredAttribute"/>.</summary>
internal sealed record LarderRow
{
    [Name("id"), Optional]
    public string? Id { get; init; }

    [Name("name")]
    public string? Name { get; init; }

    [Name("kind")]
    public string? Kind { get; init; }

    [Name("density_g_ml"), Required]
    public double? Density { get; init; }

    [Name("water_pct"), Required]
    public double? Water { get; init; }

    [Name("fat_pct"), Required]
    public double? Fat { get; init; }

    [Name("sugar_pct"), Required]
    public double? Sugar { get; init; }

    [Name("salt_pct"), Required]
    public double? Salt { get; init; }

    [Name("kcal_100g"), Required]
    public double? Kcal { get; init; }

    [Name("absorption_pct"), Optional]
    public double? Absorption { get; init; }

    [Name("smoke_c"), Optional]
    public double? Smoke { get; init; }

    [Name("holding_g_g"), Optional]
    public double? Holding { get; init; }

    [Name("draw_pct"), Optional]
    public double? Draw { get; init; }

    [Name("squeeze_pct"), Optional]
    public double? Squeeze { get; init; }

    [Name("note"), Optional]
    public string? Note { get; init; }

    [Name("strength"), Optional]
    public string? Strength { get; init; }

    [Name("springback"), Optional]
    public double? Springback { get; init; }

    [Name("least_rest_min"), Optional]
    public double? LeastRest { get; init; }

    /// <summary>What stands there for a line of which somebody has said that it holds none.</summary>
    public const string NoneOfThem = "none";

    [Name("allergens"), Optional]
    public string? Allergens { get; init; }

    [Name("price"), Optional]
    public double? Price { get; init; }

    [Name("pack_g"), Optional]
    public double? Pack { get; init; }

    [Name("lot_of"), Optional]
    public string? LotOf { get; init; }

    [Name("thirst_pct"), Optional]
    public double? Thirst { get; init; }

    [Name("marks"), Optional]
    public string? Marks { get; init; }

    [Name("hue"), Optional]
    public string? Hue { get; init; }

    [Name("each_g"), Optional]
    public double? Each { get; init; }

    public static LarderRow Of(Ingredient i) => new()
    {
        Id = i.Id,
        Name = Csv.Plain(i.Name),
        Kind = Word(i.Kind),
        Density = i.Density.Value,
        Water = i.Water.Value,
        Fat = i.Fat.Value,
        Sugar = i.Sugar.Value,
        Salt = i.Salt.Value,
        Kcal = i.KcalPer100G,
        Absorption = i.Absorption?.Value,
        Smoke = i.SmokePoint?.Value,
        Holding = i.Holding,
        Draw = i.Draw?.Value,
        Squeeze = i.Squeeze?.Value,
        Note = Csv.Plain(i.Note),
        Strength = i.Traits is { } t ? Word(t.Strength) : "",
        Springback = i.Traits?.Springback,
        LeastRest = i.Traits?.LeastRest.Value,
        Allergens = i.NoAllergens && i.Allergens.Count == 0 ? NoneOfThem : string.Join(' ', i.Allergens.Select(Word)),
        Price = i.Price?.Cost.Value,
        Pack = i.Price?.Pack.Value,
        LotOf = i.Lot?.Of ?? "",
        Thirst = i.Lot?.Thirst.Value,
        Marks = i.Marks is { } marks ? string.Join(' ', marks.Order().Select(Word)) : null,
        Hue = i.Hue ?? "",
        Each = i.Each?.Value,
    };

    private static string Word<T>(T value)
        where T : struct, Enum => value.ToString().ToLowerInvariant();
}
