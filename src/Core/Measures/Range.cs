namespace Ystrata.Core.Measures;

/// <summary>A stretch in which a figure is good.</summary>
public sealed record Range<T>(T Least, T Most)
    where T : struct, IMeasure<T>;
