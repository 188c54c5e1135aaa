namespace Ystrata.Core.Balls;

/// <summary>Which of the two figures of a ball the cook fixed.</summary>
public enum BallBy
{
    Mass,
    Thickness,
}

/// <summary>How the dough becomes pieces.</summary>
public enum DivideInto
{
    /// <summary>Every ball is weighed for itself.</summary>
    Balls,

    /// <summary>Big balls are weighed that become two pieces each.</summary>
    Pairs,

    /// <summary>One sheet of all the dough is cut in strips.</summary>
    Strips,

    /// <summary>One log of all the dough is sliced.</summary>
    Log,
}

/// <summary>A ball, fixed by its mass or by the round it makes. Both figures are kept, so that switching loses neither.</summary>
/// <param name="Thickness">Dough thickness of the finished round, raw.</param>
/// <param name="Weighed">What lies on the tray, in the order it was divided.</param>
/// <param name="SmallOne">A small ball for a child, out of the same dough; the others share the rest.</param>
/// <param name="Cutting">The sheet or log that is cut; kept whatever the dough becomes.</param>
public sealed record BallsSpec(
    BallBy By, Grams Mass, Millimetres Thickness, IReadOnlyList<Grams>? Weighed = null, Grams? SmallOne = null, DivideInto Into = DivideInto.Balls, CuttingSpec? Cutting = null);

/// <param name="SheetThickness">Of the sheet that is cut in strips.</param>
/// <param name="StripLength">How long each strip is: the sheet's one side.</param>
/// <param name="LogAcross">Of the log that is sliced.</param>
public sealed record CuttingSpec(Millimetres SheetThickness, Millimetres StripLength, Millimetres LogAcross)
{
    /// <summary>What most benches and hands manage.</summary>
    public static CuttingSpec Usual { get; } = new(new(5), new(250), new(55));
}
