namespace Ystrata.Core.Dough;

/// <summary>What a mix of flours asks for, averaged over the shares.</summary>
/// <param name="Absorption">Water for a medium feel, percent of flour.</param>
/// <param name="Springback">s₀ of models.md C, 0 to 1.</param>
/// <param name="LeastRest">Rest under which the sheet tears earlier.</param>
/// <param name="White">Share of white flour, 0 to 1.</param>
/// <param name="Weak">Share of flour that holds no sheet of its own, 0 to 1.</param>
public sealed record FlourMix(Percent Absorption, double Springback, Minutes LeastRest, double White, double Weak)
{
    /// <summary>Sheet a flour still bears, rested, in mm (models.md D; the weak figure is empirical).</summary>
    private const double WhiteMedium = 0.6, WhiteSoft = 0.3, Whole = 0.9, WeakSheet = 1.2;

    // Points of water over a medium feel that make a white dough fully soft (models.md B).
    private const double SoftPoints = 6;

    // How much thicker the limit is with no rest at all (models.md D: short rest +50 %).
    private const double NoRestPenalty = 0.5;

    // From this share of weak flour on nothing holds what is stretched or wound (empirical).
    internal const double WeakFrom = 0.5;

    /// <summary>How far it bears being stretched, rolled up and wound: 1 with half of it gluten or more, 0 with none.</summary>
    internal double Bears => Math.Clamp((1 - Weak) / (1 - WeakFrom), 0, 1);

    public static FlourMix Of(IReadOnlyList<FlourShare> flours, Kitchen kitchen)
    {
        var parts = flours.Sum(f => f.Parts);
        double absorption = 0, springback = 0, rest = 0, white = 0, weak = 0;
        foreach (var (id, p) in flours)
        {
            var flour = kitchen[id];
            var share = p / parts;
            absorption += share * (flour.Absorption?.Value ?? 0);
            springback += share * (flour.Traits?.Springback ?? 0);
            rest += share * (flour.Traits?.LeastRest.Value ?? 0);
            white += flour.Traits?.Strength == FlourStrength.White ? share : 0;
            weak += flour.Traits?.Strength == FlourStrength.Weak ? share : 0;
        }

        return new(new(absorption), springback, new(rest), white, weak);
    }

    /// <summary>The thinnest sheet that does not tear (models.md D): softer white dough goes thinner, a short rest costs up to half as much again.</summary>
    /// <param name="overMedium">Feel hydration above this mix's absorption, points of flour.</param>
    /// <param name="least">The least rest of this very dough; the mix's own where nothing is given.</param>
    public Millimetres ThinnestSheet(Percent overMedium, Minutes rest, Minutes? least = null)
    {
        var whiteLimit = WhiteMedium - (WhiteMedium - WhiteSoft) * Math.Clamp(overMedium.Value / SoftPoints, 0, 1);
        var rested = White * whiteLimit + Weak * WeakSheet + (1 - White - Weak) * Whole;
        var shortBy = Math.Clamp(1 - rest.Value / Math.Max((least ?? LeastRest).Value, 1), 0, 1);
        return new(rested * (1 + NoRestPenalty * shortBy));
    }
}
