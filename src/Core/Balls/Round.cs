namespace Ystrata.Core.Balls;

/// <summary>Mass, diameter and thickness of a round of dough, and how it springs back (models.md C).</summary>
public static class Round
{
    /// <summary>Dough without leaven (empirical).</summary>
    public static readonly Density DoughDensity = Density.FromKilogramsPerCubicMetre(1180);

    /// <summary>Lightly yeasted dough (empirical).</summary>
    public static readonly Density YeastedDensity = Density.FromKilogramsPerCubicMetre(1050);

    /// <summary>How dense a dough is: yeast fills it with gas, if there is any.</summary>
    public static Density DensityOf(DoughSpec dough, Kitchen kitchen) => dough.Additions.Any(a => a.Amount.IsSome && kitchen[a.Id].Is(Trait.Yeast)) ? YeastedDensity : DoughDensity;

    // τ₀ of the springback, minutes (empirical).
    private const double RelaxMinutes = 12;

    // From this much dough fat on, a dough counts as enriched and hardly springs back (empirical).
    private static readonly Percent EnrichedFrom = new(8);
    private const double EnrichedSpringback = 0.05;

    /// <summary>m = ρ · π/4 · D² · T.</summary>
    public static Grams MassOf(Millimetres diameter, Millimetres thickness, Density? density = null) =>
        Grams.FromKilograms((density ?? DoughDensity).KilogramsPerCubicMetre * SquareCentimetres.OfRound(diameter).SquareMetres * thickness.Metres);

    /// <summary>T = m / (ρ · A).</summary>
    public static Millimetres ThicknessOf(Grams mass, SquareCentimetres area, Density? density = null) =>
        Millimetres.FromMetres(mass.Kilograms / ((density ?? DoughDensity).KilogramsPerCubicMetre * area.SquareMetres));

    /// <summary>D = √(4m / (π · ρ · T)).</summary>
    public static Millimetres DiameterOf(Grams mass, Millimetres thickness, Density? density = null) =>
        SquareCentimetres.FromSquareMetres(mass.Kilograms / ((density ?? DoughDensity).KilogramsPerCubicMetre * thickness.Metres)).AsRound();

    /// <summary>The ball as a sphere: D = ∛(6m / (π · ρ)).</summary>
    public static Millimetres SphereOf(Grams mass, Density? density = null) =>
        Millimetres.FromMetres(Math.Cbrt(6 * mass.Kilograms / (Math.PI * (density ?? DoughDensity).KilogramsPerCubicMetre)));

    /// <summary>Share of the rolled diameter that is lost again after a rest of τ: s₀ · e^(−τ/τ₀), 0 to 0.16.</summary>
    public static double Springback(FlourMix mix, Percent doughFat, Minutes rest)
    {
        var s0 = doughFat.Value >= EnrichedFrom.Value ? EnrichedSpringback : mix.Springback;
        return s0 * Math.Exp(-rest.Value / RelaxMinutes);
    }

    /// <summary>How much longer to rest until a springback has gone down to another.</summary>
    public static Minutes RestUntil(double springback, double wanted) => new(RelaxMinutes * Math.Log(springback / wanted));

    /// <summary>How far to roll so that the round settles at this diameter.</summary>
    public static Millimetres RollPast(Millimetres settled, double springback) => settled / (1 - springback);
}
