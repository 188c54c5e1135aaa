namespace Ystrata.Core.Rolling;

/// <param name="Diameter">The finished round, after it has sprung back.</param>
/// <param name="Rest">How long the folded piece rested before the last roll.</param>
public sealed record RollSpec(Millimetres Diameter, Minutes Rest, RollBy By = RollBy.Pin);

/// <summary>What opens the folded piece.</summary>
public enum RollBy
{
    Pin,

    /// <summary>Pressed out with the fingers, which keeps rings whole.</summary>
    Hand,
}
