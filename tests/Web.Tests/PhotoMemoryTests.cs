using System.Globalization;
using System.Net;
using System.Net.Http.Headers;
using System.Text.RegularExpressions;
using SkiaSharp;

namespace Ystrata.Web.Tests;

/// <summary>A small file that is a vast picture takes no memory that a kitchen's machine does not have, however many come at once.</summary>
public sealed partial class PhotoMemoryTests : IDisposable
{
    private const double Most = 100;

    private readonly RealServers servers = new();

    public void Dispose() => servers.Dispose();

    [Theory]
    [InlineData(SKEncodedImageFormat.Jpeg, "image/jpeg", 7500, 7500)]
    [InlineData(SKEncodedImageFormat.Png, "image/png", 3540, 3540)]
    public async Task Eight_vast_pictures_at_once_take_less_than_a_hundred_megabytes_more(SKEncodedImageFormat format, string type, int wide, int high)
    {
        var (server, address) = await servers.Start();
        using var client = RealServers.Client(address);
        // What the first pictures of all, as many at once, bring into memory for good is none of theirs.
        var small = Picture(format, 400, 300);
        Assert.All(await Task.WhenAll(Enumerable.Range(0, 8).Select(_ => Sent(client, small, type))), a => Assert.Equal(HttpStatusCode.Created, a));
        var vast = Picture(format, wide, high);
        Assert.True(vast.Length < 1_500_000);

        // From here on the system notes the most there ever was.
        await File.WriteAllTextAsync($"/proc/{server.Id}/clear_refs", "5");
        var before = Megabytes(server.Id, "VmRSS");
        var answers = await Task.WhenAll(Enumerable.Range(0, 8).Select(_ => Sent(client, vast, type)));
        Assert.All(answers, a => Assert.Equal(HttpStatusCode.Created, a));
        Assert.InRange(Megabytes(server.Id, "VmHWM") - before, 0, Most);
    }

    private static async Task<HttpStatusCode> Sent(HttpClient client, byte[] picture, string type)
    {
        using var content = new ByteArrayContent(picture) { Headers = { ContentType = new MediaTypeHeaderValue(type) } };
        using var answer = await client.PostAsync("/api/photos", content);
        return answer.StatusCode;
    }

    private static byte[] Picture(SKEncodedImageFormat format, int wide, int high)
    {
        using var dots = new SKBitmap(new SKImageInfo(wide, high, SKColorType.Rgba8888, SKAlphaType.Opaque));
        dots.Erase(SKColors.Wheat);
        using var picture = dots.Encode(format, 80);
        return picture.ToArray();
    }

    private static double Megabytes(int process, string of) =>
        double.Parse(Figure().Match(File.ReadAllText($"/proc/{process}/status")[File.ReadAllText($"/proc/{process}/status").IndexOf(of, StringComparison.Ordinal)..]).Value, CultureInfo.InvariantCulture) / 1024;

    [GeneratedRegex(@"\d+")]
    private static partial Regex Figure();
}
