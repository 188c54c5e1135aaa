namespace Ystrata.Core.Practice;

/// <summary>Lots that fall alike on every machine: a small generator of our own, SplitMix64.</summary>
internal sealed class Draw(int seed)
{
    private ulong state = unchecked((ulong)seed * 0x9E3779B97F4A7C15UL);

    public int Of(int count)
    {
        unchecked
        {
            state += 0x9E3779B97F4A7C15UL;
            var z = state;
            z = (z ^ (z >> 30)) * 0xBF58476D1CE4E5B9UL;
            z = (z ^ (z >> 27)) * 0x94D049BB133111EBUL;
            return (int)((z ^ (z >> 31)) % (ulong)count);
        }
    }

    public T One<T>(params T[] all) => all[Of(all.Length)];

    public bool OneIn(int count) => Of(count) == 0;
}
