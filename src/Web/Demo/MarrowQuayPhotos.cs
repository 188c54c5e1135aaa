using SkiaSharp;

namespace Ystrata.Web.Demo;

/// <summary>The canteen's photos, made by drawing: a bread on a white plate on the landing's blue table, in good light and in bad.</summary>
internal static class MarrowQuayPhotos
{
    private const int Wide = 400, High = 300;

    // Drawn on a sheet of 800 by 600, and no larger than a log needs.
    private const float Scale = 0.5f;

    // Where the plate's rim and the middle of the bread lie, and how much of each is looked at, dots.
    private static readonly SKPoint Rim = new(175, 300), Middle = new(420, 300);
    private const int Looked = 17;

    /// <summary>A face of this lightness against the plate.</summary>
    /// <param name="shadow">A shadow falls across the bread.</param>
    /// <returns>The photo as a PNG, and what it says where it is touched.</returns>
    public static (byte[] Png, FacePhoto Read) Draw(FaceIs face, double lightness, int seed, bool shadow = false)
    {
        using var dots = new SKBitmap(new SKImageInfo(Wide, High, SKColorType.Rgba8888, SKAlphaType.Opaque));
        using (var canvas = new SKCanvas(dots))
        {
            canvas.Scale(Scale);
            Paint(canvas, lightness, new Random(seed), shadow);
        }

        using var pixels = dots.PeekPixels();
        using var encoded = pixels!.Encode(new SKPngEncoderOptions(SKPngEncoderFilterFlags.NoFilters, 1));
        return (encoded!.ToArray(), new(face, Quarters(dots, Rim), Quarters(dots, Middle)));
    }

    private static void Paint(SKCanvas canvas, double lightness, Random random, bool shadow)
    {
        using var paint = new SKPaint { IsAntialias = true };
        void Disc(SKColor colour, float x, float y, float r)
        {
            paint.Color = colour;
            canvas.DrawCircle(x, y, r, paint);
        }

        canvas.Clear(new(62, 96, 150));
        Disc(new(40, 66, 110), Middle.X + 8, Middle.Y + 10, 296);
        Disc(new(242, 240, 235), Middle.X, Middle.Y, 290);
        Disc(new(228, 226, 221), Middle.X, Middle.Y, 200);
        Disc(new(242, 240, 235), Middle.X, Middle.Y, 196);
        Disc(Crust(lightness), Middle.X, Middle.Y, 180);
        // Blisters, as many lighter as darker.
        for (var i = 0; i < 260; i++)
        {
            var (turn, out_) = (random.NextDouble() * 2 * Math.PI, 165 * Math.Sqrt(random.NextDouble()));
            Disc(Crust(lightness + (i % 2 == 0 ? 0.05 : -0.05)), Middle.X + (float)(out_ * Math.Cos(turn)), Middle.Y + (float)(out_ * Math.Sin(turn)), 4 + random.Next(9));
        }

        if (shadow)
        {
            paint.Color = new(0, 0, 0, 130);
            canvas.DrawRect(Middle.X, 0, Wide / Scale, High / Scale, paint);
        }
    }

    // Bread's own hue at this lightness against the plate: lighter yellow, darker brown.
    private static SKColor Crust(double lightness)
    {
        var light = Math.Pow((Math.Clamp(lightness, 0.1, 1) + 0.16) / 1.16, 3) * 0.87;
        var (r, g, b) = (1.42, 0.9, 0.36);
        var scale = light / (0.2126 * r + 0.7152 * g + 0.0722 * b);
        static byte Encoded(double v) => (byte)Math.Round(255 * Math.Clamp(v <= 0.0031308 ? v * 12.92 : 1.055 * Math.Pow(v, 1 / 2.4) - 0.055, 0, 1));
        return new(Encoded(r * scale), Encoded(g * scale), Encoded(b * scale));
    }

    private static List<PatchMean> Quarters(SKBitmap dots, SKPoint at)
    {
        var sums = new (double R, double G, double B, int N)[FacePhoto.Quarters];
        for (var y = -Looked; y < Looked; y++)
        {
            for (var x = -Looked; x < Looked; x++)
            {
                if (x * x + y * y <= Looked * Looked)
                {
                    var (dot, quarter) = (dots.GetPixel((int)(at.X * Scale) + x, (int)(at.Y * Scale) + y), (x < 0 ? 0 : 1) + (y < 0 ? 0 : 2));
                    sums[quarter] = (sums[quarter].R + dot.Red, sums[quarter].G + dot.Green, sums[quarter].B + dot.Blue, sums[quarter].N + 1);
                }
            }
        }

        return [.. sums.Select(s => new PatchMean(Math.Round(s.R / s.N, 1), Math.Round(s.G / s.N, 1), Math.Round(s.B / s.N, 1)))];
    }
}
