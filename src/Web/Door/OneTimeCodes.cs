using System.Security.Cryptography;
using Ystrata.Store;

namespace Ystrata.Web.Door;

/// <summary>Codes that let one screen in within two minutes, for a picture that is scanned.</summary>
internal sealed class OneTimeCodes(TimeProvider time)
{
    /// <summary>How long one is good.</summary>
    public static readonly TimeSpan Good = TimeSpan.FromMinutes(2);

    // A page that shows one makes the next when it runs out.
    private const int MostAtOnce = 20, Characters = 32;

    private readonly Lock making = new();
    private readonly Dictionary<string, (ScreenKind Kind, DateTimeOffset Until)> open = [];

    public (string Code, DateTimeOffset Until) Make(ScreenKind kind)
    {
        var now = time.GetUtcNow();
        var code = RandomNumberGenerator.GetHexString(Characters, lowercase: true);
        lock (making)
        {
            foreach (var (old, _) in open.Where(o => o.Value.Until <= now).ToList())
            {
                open.Remove(old);
            }

            if (open.Count >= MostAtOnce)
            {
                open.Remove(open.MinBy(o => o.Value.Until).Key);
            }

            open[code] = (kind, now + Good);
        }

        return (code, now + Good);
    }

    /// <returns>What it lets a screen in as; nothing when it is unknown, has run out or has let one in already.</returns>
    public ScreenKind? Take(string code)
    {
        lock (making)
        {
            return open.Remove(code, out var one) && one.Until > time.GetUtcNow() ? one.Kind : null;
        }
    }
}
