using Ystrata.Core;

namespace Ystrata.Web.Endpoints;

/// <summary>The larder and the rules of what goes where: everything a screen needs to offer only what can be worked.</summary>
/// <param name="Kinds">For each place in a spec, the kinds of ingredient it takes.</param>
/// <param name="Limits">For each number in a spec, its range.</param>
/// <param name="Plain">What a new bread starts from.</param>
/// <param name="LogLimits">For each number in a log entry, its range.</param>
public sealed record LarderView(
    IReadOnlyCollection<Ingredient> Ingredients,
    IReadOnlyDictionary<string, IReadOnlyList<IngredientKind>> Kinds,
    IReadOnlyList<Limit> Limits,
    IReadOnlyList<Limit> LogLimits,
    int MostSteps,
    BatchSpec Plain);

public static class LarderEndpoints
{
    public static void MapLarder(this RouteGroupBuilder larder) =>
        larder.MapGet("", Larder).WithName("larder").WithSummary("What there is, where it can go and in what range.");

    private static LarderView Larder(Larder larder) =>
        new(larder.All, SpecCheck.Kinds, SpecCheck.Limits, LogCheck.Limits, SpecCheck.MostSteps, BatchSpec.Plain);
}
