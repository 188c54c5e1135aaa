namespace Ystrata.Core.Balls;

/// <summary>How a batter of so much water lies where it is poured.</summary>
/// <param name="ByItself">So thick it comes to lie by itself.</param>
/// <param name="Good">Spread thinner it sticks and tears; thicker it runs on, or stays raw inside.</param>
/// <param name="Ladle">Across the ladle that holds one piece: a half sphere.</param>
public sealed record Pour(Millimetres ByItself, Range<Millimetres> Good, Millimetres Ladle)
{
    // A batter of 180 points of water lies 3 mm thick, a thinner one as much flatter (empirical): crepe-thin at 400.
    private const double Usual = 180, UsualThickness = 3, Flattens = 1.5;

    // Spread with a ladle to two fifths of that; poured on itself no thicker than twice that (empirical).
    private const double ThinnestShare = 0.4, ThickestShare = 2;

    /// <summary>Thicker stays raw inside, whatever stands (empirical).</summary>
    internal static readonly Millimetres Thickest = new(6);

    /// <summary>Points of water at which a batter stays where the ladle leaves it, and runs off the pan (models.md B).</summary>
    internal const double From = 150, To = 400;

    public static Pour Of(Percent hydration, Millilitres ladle)
    {
        var lies = UsualThickness * Math.Pow(Usual / Math.Clamp(hydration.Value, From, To), Flattens);
        return new(new(Math.Round(lies, 1)), new(new(lies * ThinnestShare), new(Math.Min(lies * ThickestShare, Thickest.Value))), Millimetres.AcrossHalfSphere(ladle));
    }
}
