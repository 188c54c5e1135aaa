namespace Ystrata.Web.Tests;

/// <summary>Files as a bad disk, a bad line or a bad mind leaves them.</summary>
internal static class Spoilt
{
    /// <summary>The same with some bytes changed, doubled, or gone.</summary>
    public static byte[] Of(byte[] whole, Random random)
    {
        var bytes = whole.ToList();
        for (var times = random.Next(1, 4); times > 0; times--)
        {
            var at = random.Next(bytes.Count);
            switch (random.Next(5))
            {
                case 0:
                    bytes[at] = (byte)random.Next(256);
                    break;
                case 1:
                    bytes.RemoveRange(at, Math.Min(random.Next(1, 400), bytes.Count - at));
                    break;
                case 2:
                    bytes.InsertRange(at, bytes.Skip(random.Next(bytes.Count)).Take(random.Next(1, 200)).ToList());
                    break;
                case 3:
                    bytes.InsertRange(at, "{}[]\",:-9e999nulltrue\\ud800"u8.ToArray().Skip(random.Next(20)).Take(random.Next(1, 8)));
                    break;
                default:
                    // A figure beyond all measure.
                    var digit = bytes.FindIndex(at, b => char.IsAsciiDigit((char)b));
                    if (digit >= 0)
                    {
                        bytes.InsertRange(digit, "987654321"u8.ToArray());
                    }

                    break;
            }

            if (bytes.Count == 0)
            {
                break;
            }
        }

        return [.. bytes];
    }
}
