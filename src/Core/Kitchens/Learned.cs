namespace Ystrata.Core.Kitchens;

/// <summary>What this kitchen's record has taught: the numbers that stand in for the general ones.</summary>
/// <param name="BowlLoss">Dough that stays in bowl and on hands, percent of dough.</param>
/// <param name="PanTime">The cook's own pan times against the estimate, as a ratio.</param>
/// <param name="CookOff">Water an open pan drives off a filling against the estimate, as a ratio.</param>
/// <param name="Browning">How fast a face takes colour on a pan of each kind against the estimate, as a ratio.</param>
/// <param name="Steam">Water such a pan drives off a piece against the estimate, as a ratio.</param>
public sealed record Learned(
    Percent BowlLoss, double PanTime, double CookOff, IReadOnlyDictionary<PanKind, double>? Browning = null, IReadOnlyDictionary<PanKind, double>? Steam = null)
{
    public double BrowningOn(PanKind pan) => Browning?.GetValueOrDefault(pan, 1) ?? 1;

    public double SteamOn(PanKind pan) => Steam?.GetValueOrDefault(pan, 1) ?? 1;

    /// <summary>Before anything is learned: 2 % loss (models.md B, empirical), the estimates as they are.</summary>
    public static readonly Learned Nothing = new(new(2), 1, 1);
}
