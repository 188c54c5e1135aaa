namespace Ystrata.Core.Balls;

/// <summary>A batter's piece: a ladleful, poured.</summary>
/// <param name="Thickness">As it is spread on the pan.</param>
public sealed record LadleSpec(Millilitres Volume, Millimetres Thickness);
