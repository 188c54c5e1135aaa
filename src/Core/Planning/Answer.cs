namespace Ystrata.Core.Planning;

/// <summary>What was asked for, or everything that stands in the way.</summary>
/// <param name="Value">Nothing when it was refused.</param>
/// <param name="Refusals">Empty when it was not.</param>
public sealed record Answer<T>(T? Value, IReadOnlyList<Refusal> Refusals)
    where T : class
{
    public static implicit operator Answer<T>(T value) => new(value, []);

    public static implicit operator Answer<T>(Refusal refusal) => new(null, [refusal]);

    public static implicit operator Answer<T>(List<Refusal> refusals) => new(null, refusals);

    /// <summary>Goes on with what there is; what was refused stays refused.</summary>
    public Answer<TNext> Then<TNext>(Func<T, Answer<TNext>> next)
        where TNext : class => Value is { } value ? next(value) : new(null, Refusals);
}
