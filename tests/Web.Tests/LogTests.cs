using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using SkiaSharp;
using Ystrata.Web.Demo;

namespace Ystrata.Web.Tests;

/// <summary>The log over the wire: found, compared, explained, learned from, with a photo.</summary>
public sealed class LogTests : IDisposable
{
    private readonly WebKitchen kitchen = new();
    private readonly HttpClient client;

    public LogTests()
    {
        client = kitchen.CreateClient();
        kitchen.Services.GetRequiredService<DemoKitchen>().FillIfEmpty();
    }

    public void Dispose()
    {
        client.Dispose();
        kitchen.Dispose();
    }

    private async Task<JsonNode> Get(string path, HttpStatusCode status = HttpStatusCode.OK)
    {
        var answer = await client.GetAsync(path);
        Assert.True(answer.StatusCode == status, $"{path}: {answer.StatusCode}");
        return await WebKitchen.Json(answer);
    }

    private async Task<JsonNode> Send(HttpMethod method, string path, object body, HttpStatusCode status = HttpStatusCode.OK)
    {
        var answer = await client.SendAsync(new(method, path) { Content = WebKitchen.Body(body) });
        Assert.True(answer.StatusCode == status, $"{path}: {answer.StatusCode} {await answer.Content.ReadAsStringAsync()}");
        return await WebKitchen.Json(answer);
    }

    private async Task<IEnumerable<JsonNode>> Learned() => (await Get("/api/learned")).AsArray().Select(l => l!["figure"]!);

    private async Task<JsonArray> Lines(string query = "") => (await Get($"/api/log{query}"))["lines"]!.AsArray();

    private static async Task<string> Field(Task<JsonNode> problem) => (string)(await problem)["refusals"]![0]!["field"]!;

    [Fact]
    public async Task The_log_is_found_by_words_bread_flour_and_fault()
    {
        Assert.Equal(12, (await Lines()).Count);
        Assert.Equal(2, (await Lines("?find=NIGELLA")).Count);
        Assert.Equal("Landing rounds", (string)Assert.Single(await Lines("?fault=stiff"))!["name"]!);
        var bread = (string)(await Lines("?find=beet"))[0]!["breadId"]!;
        Assert.Equal(2, (await Lines($"?bread={bread}")).Count);
        Assert.Empty(await Lines("?flour=flour-chestnut"));
    }

    [Theory]
    [InlineData("?fault=cursed", "fault")]
    [InlineData("?fault=3", "fault")]
    [InlineData("?after=yesterday", "after")]
    [InlineData("?after=99999999999999999999_x", "after")]
    public async Task What_cannot_be_asked_is_refused(string query, string field) =>
        Assert.Equal(field, await Field(Get($"/api/log{query}", HttpStatusCode.BadRequest)));

    [Fact]
    public async Task A_find_of_a_thousand_letters_is_refused() =>
        Assert.Equal("find", await Field(Get($"/api/log?find={new string('a', 1000)}", HttpStatusCode.BadRequest)));

    [Fact]
    public async Task Faults_are_explained_by_the_batchs_own_figures()
    {
        var ferry = (await Lines("?find=first-ferry"))[0]!;
        var entry = await Get($"/api/log/{ferry["id"]}");
        var outcome = entry["outcome"]!.DeepClone();
        outcome["faults"] = new JsonArray("noLayers", "tooSalty");
        var complaints = (await Send(HttpMethod.Post, "/api/log/explain", new { batchId = (Guid?)null, entryId = (string)ferry["id"]!, outcome })).AsArray();

        Assert.Equal("fusedContacts", (string)complaints[0]!["causes"]![0]!["note"]!["code"]!);
        Assert.NotEmpty(complaints[0]!["causes"]![0]!["next"]!["fold"]!["steps"]!.AsArray());
        Assert.Empty(complaints[1]!["causes"]!.AsArray());
        await Send(HttpMethod.Post, "/api/log/explain", new { batchId = (Guid?)Guid.NewGuid(), entryId = (Guid?)null, outcome }, HttpStatusCode.NotFound);
        outcome["used"]!["flour"] = -4;
        Assert.Equal("outcome.used.flour", await Field(Send(HttpMethod.Post, "/api/log/explain", new { batchId = (Guid?)null, entryId = (string)ferry["id"]!, outcome }, HttpStatusCode.BadRequest)));
    }

    [Fact]
    public async Task Two_to_four_cookings_are_compared()
    {
        var ids = (await Lines()).Select(l => (string)l!["id"]!).ToList();
        string Of(int n) => "/api/log/compare?" + string.Join('&', ids.Take(n).Select(i => $"id={i}"));

        Assert.Equal(4, (await Get(Of(4)))["cookings"]!.AsArray().Count);
        Assert.Equal("id", await Field(Get(Of(1), HttpStatusCode.BadRequest)));
        Assert.Equal("id", await Field(Get(Of(5), HttpStatusCode.BadRequest)));
        Assert.Equal("id", await Field(Get($"/api/log/compare?id={ids[0]}&id={ids[0]}", HttpStatusCode.BadRequest)));
        Assert.Equal(HttpStatusCode.NotFound, (await client.GetAsync($"/api/log/compare?id={ids[0]}&id={Guid.NewGuid()}")).StatusCode);
    }

    [Fact]
    public async Task What_is_learned_goes_into_plans_when_the_cook_says_so()
    {
        var spec = WebKitchen.SquaresJson();
        spec["dough"]!["waterBy"] = "feel";
        async Task<double> Hydration() => (double)(await Send(HttpMethod.Post, "/api/plan", spec))["dough"]!["water"]!["hydration"]!;
        var before = await Hydration();
        var figure = (await Learned()).Single(f => (string)f["kind"]! == "thirst" && (string)f["of"]! == "flour-white");

        var said = await Send(HttpMethod.Put, "/api/learned", new LearnedSaid("thirst", "flour-white", true));
        Assert.True((bool)said.AsArray().Single(f => (string)f!["figure"]!["of"]! == "flour-white")!["figure"]!["used"]!);
        Assert.Equal(before + (double)figure["after"]! - (double)figure["before"]!, await Hydration(), 6);
        // The larder itself stays as it is.
        Assert.Equal((double)figure["before"]!, (double)(await Get("/api/larder"))["ingredients"]!.AsArray().Single(i => (string)i!["id"]! == "flour-white")!["absorption"]!);

        await Send(HttpMethod.Put, "/api/learned", new LearnedSaid("thirst", "flour-white", false));
        Assert.Equal(before, await Hydration(), 9);
        Assert.Equal("of", await Field(Send(HttpMethod.Put, "/api/learned", new LearnedSaid("thirst", "water", true), HttpStatusCode.BadRequest)));
    }

    [Fact]
    public async Task A_cooking_that_is_deleted_or_does_not_count_stops_teaching()
    {
        async Task<int> N() => (int)(await Learned()).Single(f => (string)f["kind"]! == "panTime")["n"]!;
        var id = (string)(await Lines())[0]!["id"]!;
        var twelve = await N();
        await client.DeleteAsync($"/api/log/{id}");
        Assert.Equal(twelve - 1, await N());
        await client.PostAsync($"/api/log/{id}/restore", null);
        var entry = await Get($"/api/log/{id}");
        entry["outcome"]!["counts"] = false;
        await Send(HttpMethod.Put, $"/api/log/{id}", new { batchId = (string)entry["batchId"]!, cookedAt = (string)entry["cookedAt"]!, outcome = entry["outcome"]! });
        Assert.Equal(twelve - 1, await N());
    }

    [Fact]
    public async Task Trends_go_back_over_the_cookings()
    {
        var trends = await Get("/api/log/trends");

        Assert.NotEmpty(trends["thirst"]!.AsArray());
        Assert.Equal(12, trends["panSeconds"]!.AsArray().Count);
        Assert.All(trends["leaves"]!.AsArray(), l => Assert.InRange((int)l!["judged"]!, 1, 5));
        Assert.Empty(trends["squeeze"]!.AsArray());
    }

    [Fact]
    public async Task The_log_as_csv_has_a_line_a_cooking_and_no_formula()
    {
        var entry = await Get($"/api/log/{(await Lines())[0]!["id"]}");
        entry["outcome"]!["note"] = "=HYPERLINK(\"x\"), \"quoted\"\nsecond line";
        await Send(HttpMethod.Put, $"/api/log/{entry["id"]}", new { batchId = (string)entry["batchId"]!, cookedAt = (string)entry["cookedAt"]!, outcome = entry["outcome"]! });

        var answer = await client.GetAsync("/api/log/export");
        var text = await answer.Content.ReadAsStringAsync();
        Assert.StartsWith("text/csv", answer.Content.Headers.ContentType!.ToString(), StringComparison.Ordinal);
        Assert.StartsWith("id,batch,name,cooked_at,", text, StringComparison.Ordinal);
        Assert.Contains("\"'=HYPERLINK(\"\"x\"\"), \"\"quoted\"\"\nsecond line\"", text, StringComparison.Ordinal);
        Assert.Equal(14, text.TrimEnd().Split('\n').Length);
    }

    private async Task<HttpResponseMessage> Photo(byte[] bytes, string kind = "image/png")
    {
        var content = new ByteArrayContent(bytes);
        content.Headers.ContentType = new MediaTypeHeaderValue(kind);
        return await client.PostAsync("/api/photos", content);
    }

    internal static byte[] Picture(SKEncodedImageFormat format = SKEncodedImageFormat.Png, int wide = 400, int high = 200)
    {
        using var dots = new SKBitmap(wide, high);
        dots.Erase(SKColors.SaddleBrown);
        using var data = dots.Encode(format, 80);
        return data.ToArray();
    }

    [Theory]
    [InlineData(SKEncodedImageFormat.Png)]
    [InlineData(SKEncodedImageFormat.Jpeg)]
    [InlineData(SKEncodedImageFormat.Webp)]
    public async Task A_photo_is_made_anew_with_nothing_of_the_camera_in_it(SKEncodedImageFormat format)
    {
        // Whatever hangs on behind, a script or a place, is not in the picture.
        byte[] sent = [.. Picture(format), .. Encoding.ASCII.GetBytes("<script>alert(1)</script>GPSLatitude 54.1")];
        var id = (string)(await WebKitchen.Json(await Photo(sent)))["id"]!;
        var kept = await client.GetByteArrayAsync($"/api/photos/{id}");
        using var codec = SKCodec.Create(new SKMemoryStream(kept));

        Assert.Equal((SKEncodedImageFormat.Webp, 400, 200), (codec.EncodedFormat, codec.Info.Width, codec.Info.Height));
        Assert.DoesNotContain("script", Encoding.Latin1.GetString(kept), StringComparison.Ordinal);
        Assert.DoesNotContain("GPS", Encoding.Latin1.GetString(kept), StringComparison.Ordinal);
        using var small = SKCodec.Create(new SKMemoryStream(await client.GetByteArrayAsync($"/api/photos/{id}?small=true")));
        Assert.Equal((160, 80), (small.Info.Width, small.Info.Height));
    }

    [Fact]
    public async Task A_photo_lying_on_its_side_is_set_upright()
    {
        var jpeg = Picture(SKEncodedImageFormat.Jpeg);
        // Exif, orientation 6: turned a quarter to the right, right behind the start of the file.
        byte[] exif = [0xFF, 0xE1, 0, 34, (byte)'E', (byte)'x', (byte)'i', (byte)'f', 0, 0, (byte)'M', (byte)'M', 0, 42, 0, 0, 0, 8, 0, 1, 0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, 6, 0, 0, 0, 0, 0, 0];
        var id = (string)(await WebKitchen.Json(await Photo([.. jpeg[..2], .. exif, .. jpeg[2..]], "image/jpeg")))["id"]!;
        using var codec = SKCodec.Create(new SKMemoryStream(await client.GetByteArrayAsync($"/api/photos/{id}")));

        Assert.Equal((200, 400), (codec.Info.Width, codec.Info.Height));
    }

    [Fact]
    public async Task What_is_no_photo_is_refused()
    {
        byte[] png = Picture(SKEncodedImageFormat.Png);
        foreach (var bytes in new[] { [], "GIF89a"u8.ToArray(), "%PDF-1.7"u8.ToArray(), "<svg onload=alert(1)>"u8.ToArray(), png[..20], png[1..], [.. "MZ"u8, .. png] })
        {
            var answer = await Photo(bytes);
            Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
            Assert.Equal("notAPhoto", (string)(await WebKitchen.Json(answer))["refusals"]![0]!["code"]!);
        }

        Assert.Equal(HttpStatusCode.NotFound, (await client.GetAsync($"/api/photos/{Guid.NewGuid()}")).StatusCode);
        Assert.Equal("photoId", await Field(Send(HttpMethod.Post, "/api/log", new { batchId = (string)(await Lines())[0]!["batchId"]!, cookedAt = DateTimeOffset.UnixEpoch, outcome = Outcome.Nothing, photoId = Guid.NewGuid() }, HttpStatusCode.BadRequest)));
    }

    [Fact]
    public async Task Ten_thousand_spoilt_photos_crash_nothing()
    {
        var random = new Random(20261125);
        byte[][] sound = [Picture(SKEncodedImageFormat.Png, 24, 16), Picture(SKEncodedImageFormat.Jpeg, 24, 16), Picture(SKEncodedImageFormat.Webp, 24, 16)];
        var taken = 0;
        for (var i = 0; i < 10_000; i++)
        {
            byte[] bytes = [.. sound[i % 3]];
            for (var spoilt = random.Next(1, 6); spoilt > 0; spoilt--)
            {
                bytes[random.Next(bytes.Length)] = (byte)random.Next(256);
            }

            taken += Ystrata.Web.Files.PhotoFile.Anew(i % 7 == 0 ? bytes[..random.Next(bytes.Length)] : bytes) is null ? 0 : 1;
        }

        Assert.InRange(taken, 1, 9999);
        Assert.Equal(HttpStatusCode.Created, (await Photo(sound[0])).StatusCode);
    }

    private sealed record LearnedSaid(string Kind, string Of, bool Used);
}
