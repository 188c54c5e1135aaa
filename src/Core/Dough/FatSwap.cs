namespace Ystrata.Core.Dough;

/// <summary>Another fat in the place of this one, at equal fat (models.md B): m₂ = m₁ · fat₁ / fat₂.</summary>
/// <param name="Amount">What to put in the spec for it.</param>
/// <param name="Mass">Of the other fat, for the whole batch.</param>
/// <param name="Water">Water it brings more (or less) than the fat it replaces; the sheet takes it off the liquid by itself.</param>
/// <param name="Salt">Salt it brings more (or less).</param>
/// <param name="Measure">The nearest honest spoon or cup.</param>
public sealed record FatSwap(string Id, Amount Amount, Grams Mass, Grams Water, Grams Salt, KitchenMeasure? Measure)
{
    // Under this a thing is no fat to swap with, percent.
    private const double LeastFat = 50;

    public static IReadOnlyList<FatSwap> Of(FatSpec spec, Grams mass, Kitchen kitchen)
    {
        var fat = kitchen[spec.Id];
        return
        [
            .. kitchen.Larder.All
                .Where(i => i.Kind == IngredientKind.Fat && i.Id != fat.Id && i.Fat.Value >= LeastFat && i.Origin != Origin.Gone)
                .Select(other =>
                {
                    var k = fat.Fat.Value / other.Fat.Value;
                    var swapped = mass * k;
                    return new FatSwap(
                        other.Id,
                        spec.Amount with { Share = new(spec.Amount.Share.Value * k), Mass = spec.Amount.Mass * k },
                        swapped,
                        swapped * other.Water.Fraction - mass * fat.Water.Fraction,
                        swapped * other.Salt.Fraction - mass * fat.Salt.Fraction,
                        NearestMeasure.Of(swapped, other, kitchen.Measures));
                }),
        ];
    }
}
