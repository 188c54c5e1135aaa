namespace Ystrata.Core.Measures;

/// <summary>A quantity with one unit: a number that cannot be mistaken for another kind of number.</summary>
/// <typeparam name="TSelf">The measure itself.</typeparam>
public interface IMeasure<TSelf>
    where TSelf : struct, IMeasure<TSelf>
{
    /// <summary>The symbol of the unit in which <see cref="Value"/> is held, such as <c>g</c>.</summary>
    static abstract string Unit { get; }

    /// <summary>The number, in <see cref="Unit"/>.</summary>
    double Value { get; }

    /// <summary>Wraps a number that is already in <see cref="Unit"/>.</summary>
    static abstract TSelf From(double value);
}
