using System.Buffers.Binary;
using SkiaSharp;

namespace Ystrata.Web.Files;

/// <summary>Photos as they come in: decoded to bare dots and made anew, so that nothing but the picture is kept.</summary>
public static class PhotoFile
{
    public const int MostBytes = 10_000_000;
    public const string Kind = "image/webp";

    // A dot more on a side is worth nothing in a log; more than so many dots in all is no photo but a trap.
    private const int LongestSide = 1600, SmallSide = 160;
    private const long MostDots = 60_000_000;

    // No photo may take more than 100 MB. What cannot be decoded smaller than it is lies there whole, with a third again to draw it smaller: 12.6 million
    // dots are 67 MB. A JPEG that comes in layers is held in whole numbers of two bytes a dot and colour: they are 76 MB. What it takes to read and to
    // write it comes on top.
    private const long MostWhole = 12_600_000;

    // JPEG is decoded in eighths of its size.
    private const int Eighths = 8;

    // One at a time: eight at once would take eight times the memory.
    private static readonly Lock Decoding = new();
    private const int Quality = 82;

    /// <returns>The photo upright, no larger than needed, and a small one; nothing when it is no PNG, JPEG or WebP.</returns>
    public static (byte[] Body, byte[] Small)? Anew(byte[] bytes)
    {
        if (!LooksRight(bytes))
        {
            return null;
        }

        using var codec = SKCodec.Create(new SKMemoryStream(bytes));
        if (codec is null || codec.EncodedFormat is not (SKEncodedImageFormat.Png or SKEncodedImageFormat.Jpeg or SKEncodedImageFormat.Webp)
            || codec.Info is not { Width: > 0, Height: > 0 } info || (long)info.Width * info.Height > (IsLayered(bytes) ? MostWhole : MostDots))
        {
            return null;
        }

        // The smallest the format can be decoded to that is no smaller than wanted.
        var wanted = Math.Min(LongestSide, Math.Max(info.Width, info.Height));
        var size = Enumerable.Range(1, Eighths).Select(n => codec.GetScaledDimensions((float)n / Eighths)).First(s => Math.Max(s.Width, s.Height) >= wanted);
        if ((long)size.Width * size.Height > MostWhole)
        {
            return null;
        }

        lock (Decoding)
        {
            return Decoded();
        }

        (byte[], byte[])? Decoded()
        {
            using var dots = new SKBitmap(new SKImageInfo(size.Width, size.Height, SKColorType.Rgba8888, SKAlphaType.Premul));
            var read = codec.GetPixels(dots.Info, dots.GetPixels());
            // What is drawn from it is the same dots and no copy of them.
            dots.SetImmutable();
            return read is SKCodecResult.Success
                ? (Drawn(dots, codec.EncodedOrigin, LongestSide), Drawn(dots, codec.EncodedOrigin, SmallSide))
                : null;
        }
    }

    /// <summary>A photo that was made anew before: a WebP of one picture, no larger than needed, and nothing beside it.</summary>
    /// <returns>The small one; nothing when it is anything else.</returns>
    public static byte[]? SmallOf(byte[] ours)
    {
        // RIFF, its length, WEBP, then one chunk that fills the file: there is no room for anything else.
        if (ours.Length is < 20 or > MostBytes || !LooksRight(ours) || BinaryPrimitives.ReadUInt32LittleEndian(ours.AsSpan(4)) != ours.Length - 8
            || !(ours.AsSpan(12, 4).SequenceEqual("VP8 "u8) || ours.AsSpan(12, 4).SequenceEqual("VP8L"u8))
            || BinaryPrimitives.ReadUInt32LittleEndian(ours.AsSpan(16)) is var chunk && chunk + (chunk & 1) != ours.Length - 20)
        {
            return null;
        }

        return Anew(ours)?.Small;
    }

    // Whether a JPEG's frame is a progressive one (ITU T.81, B.1.1.3): it says so before its first scan.
    private static bool IsLayered(ReadOnlySpan<byte> bytes)
    {
        if (!bytes.StartsWith((ReadOnlySpan<byte>)[0xFF, 0xD8]))
        {
            return false;
        }

        for (var at = 2; at + 4 <= bytes.Length && bytes[at] == 0xFF; at += 2 + BinaryPrimitives.ReadUInt16BigEndian(bytes[(at + 2)..]))
        {
            switch (bytes[at + 1])
            {
                case 0xC2 or 0xC6 or 0xCA or 0xCE:
                    return true;
                case 0xC0 or 0xC1 or 0xDA:
                    return false;
            }
        }

        // What cannot be followed is taken for the worse.
        return true;
    }

    // What stands at the beginning has to say the same as what decodes it: a file that is two things at once is neither.
    private static bool LooksRight(ReadOnlySpan<byte> bytes) =>
        bytes.StartsWith((ReadOnlySpan<byte>)[0x89, (byte)'P', (byte)'N', (byte)'G', 0x0D, 0x0A, 0x1A, 0x0A])
        || bytes.StartsWith((ReadOnlySpan<byte>)[0xFF, 0xD8, 0xFF])
        || (bytes.Length > 12 && bytes.StartsWith("RIFF"u8) && bytes[8..].StartsWith("WEBP"u8));

    private static byte[] Drawn(SKBitmap dots, SKEncodedOrigin origin, int longest)
    {
        var lying = (int)origin >= (int)SKEncodedOrigin.LeftTop;
        var (wide, high) = lying ? (dots.Height, dots.Width) : (dots.Width, dots.Height);
        var scale = Math.Min(1, (double)longest / Math.Max(wide, high));
        var (w, h) = (Math.Max((int)(wide * scale), 1), Math.Max((int)(high * scale), 1));
        using var surface = SKSurface.Create(new SKImageInfo(w, h, SKColorType.Rgba8888, SKAlphaType.Premul));
        var canvas = surface.Canvas;
        canvas.Clear(SKColors.White);
        canvas.Scale((float)w / wide, (float)h / high);
        canvas.Concat(Upright(origin, wide, high));
        using var image = SKImage.FromBitmap(dots);
        canvas.DrawImage(image, 0, 0, new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear));
        using var drawn = surface.Snapshot();
        using var encoded = drawn.Encode(SKEncodedImageFormat.Webp, Quality);
        return encoded.ToArray();
    }

    // From how the camera lay to how the picture stands, for each of the eight ways of Exif.
    private static SKMatrix Upright(SKEncodedOrigin origin, float wide, float high) => origin switch
    {
        SKEncodedOrigin.TopRight => new(-1, 0, wide, 0, 1, 0, 0, 0, 1),
        SKEncodedOrigin.BottomRight => new(-1, 0, wide, 0, -1, high, 0, 0, 1),
        SKEncodedOrigin.BottomLeft => new(1, 0, 0, 0, -1, high, 0, 0, 1),
        SKEncodedOrigin.LeftTop => new(0, 1, 0, 1, 0, 0, 0, 0, 1),
        SKEncodedOrigin.RightTop => new(0, -1, wide, 1, 0, 0, 0, 0, 1),
        SKEncodedOrigin.RightBottom => new(0, -1, wide, -1, 0, high, 0, 0, 1),
        SKEncodedOrigin.LeftBottom => new(0, 1, 0, -1, 0, high, 0, 0, 1),
        _ => SKMatrix.Identity,
    };
}
