using System.Runtime.CompilerServices;
using Ystrata.Core;

namespace Ystrata.Store;

/// <summary>Remembers, of what was read, how it was worded, for as long as it is there: most of it is soon written again. None of it ever changes.</summary>
internal static class WordsKept
{
    private static readonly ConditionalWeakTable<object, byte[]> Kept = [];

    /// <summary>Whose words are kept.</summary>
    public static IReadOnlySet<Type> Types { get; } = new HashSet<Type> { typeof(BatchSpec), typeof(Service), typeof(IReadOnlyList<StoveEvent>), typeof(Planned) };

    public static byte[]? Of(object value) => Kept.TryGetValue(value, out var words) ? words : null;

    public static void Keep(object value, byte[] words) => Kept.AddOrUpdate(value, words);
}
