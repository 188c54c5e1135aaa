namespace Ystrata.Core.Kitchens;

/// <summary>What this kitchen's record has taught: the numbers that stand in for the general ones.</summary>
/// <param name="BowlLoss">Dough that stays in bowl and on hands, percent of dough.</param>
/// <param name="PanTime">The cook's own pan times against the estimate, as a ratio.</param>
public sealed record Learned(Percent BowlLoss, double PanTime)
{
    /// <summary>Before anything is learned: 2 % loss (models.md B, empirical), the estimate as it is.</summary>
    public static readonly Learned Nothing = new(new(2), 1);
}
