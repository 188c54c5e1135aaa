using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;
using SkiaSharp;
using Ystrata.Web.Files;

namespace Ystrata.Web.Tests;

/// <summary>Requests that no page sends and somebody does: each is worked or refused with the field, none stumbles.</summary>
public sealed class OddRequestTests(WebKitchen kitchen) : IClassFixture<WebKitchen>
{
    private readonly HttpClient client = kitchen.CreateClient();

    private async Task<(HttpStatusCode Status, JsonNode Body)> Send(string path, string body, string type = "application/json", HttpMethod? method = null)
    {
        using var content = new StringContent(body, Encoding.UTF8);
        content.Headers.ContentType = MediaTypeHeaderValue.Parse(type);
        using var answer = await client.SendAsync(new(method ?? HttpMethod.Post, path) { Content = content });
        return (answer.StatusCode, JsonNode.Parse(await answer.Content.ReadAsStringAsync())!);
    }

    private static string Squares(string from, string to)
    {
        var text = WebKitchen.SquaresJson().ToJsonString();
        Assert.Contains(from, text, StringComparison.Ordinal);
        return text.Replace(from, to, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("\"mass\":80", "\"mass\":1e400")]
    [InlineData("\"mass\":80", "\"mass\":-1e999")]
    [InlineData("\"mass\":80", "\"mass\":1e-310")]
    [InlineData("\"parts\":100", "\"parts\":1e400")]
    [InlineData("\"parts\":100", "\"parts\":1e-310")]
    [InlineData("\"steps\":[", "\"steps\":[null,")]
    [InlineData("\"flours\":[", "\"flours\":[null,")]
    public async Task A_spec_no_kitchen_can_mean_is_refused_with_its_field(string from, string to)
    {
        var (status, problem) = await Send("/api/plan", Squares(from, to));

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.NotEqual("", (string)problem["refusals"]![0]!["field"]!);
    }

    [Theory]
    [InlineData("/api/breads", """{"name":"A","about":"","spec":SPEC,"tags":["a",null]}""", "tags[1]")]
    [InlineData("/api/pan/compare", """{"spec":SPEC,"pans":[null]}""", "pans[0]")]
    [InlineData("/api/compare", """{"spec":SPEC,"schools":[null],"programs":[]}""", "schools[0]")]
    [InlineData("/api/compare", """{"spec":SPEC,"schools":[],"programs":[null]}""", "programs[0]")]
    [InlineData("/api/files/recipes", """{"file":"{}","settled":[null]}""", "settled[0]")]
    [InlineData("/api/batches", """{"breadId":null,"name":"A","spec":SPEC,"madeFor":"0001-01-01T00:00:00Z"}""", "madeFor")]
    [InlineData("/api/batches", """{"breadId":null,"name":"A","spec":SPEC,"madeFor":"9999-12-31T23:59:59Z"}""", "madeFor")]
    [InlineData("/api/clock", """{"name":"A","spec":SPEC,"madeFor":"0001-01-01T00:00:00Z"}""", "madeFor")]
    [InlineData("/api/clock", """{"name":"A","spec":SPEC,"madeFor":"9999-12-31T23:59:59Z"}""", "madeFor")]
    [InlineData("/api/clock/what-ifs", """{"name":"A","spec":SPEC,"madeFor":"9999-12-31T23:59:59Z"}""", "madeFor")]
    public async Task A_hole_in_a_list_and_a_day_nobody_cooks_on_are_refused_with_their_field(string path, string body, string field)
    {
        var (status, problem) = await Send(path, body.Replace("SPEC", WebKitchen.SquaresJson().ToJsonString(), StringComparison.Ordinal));

        Assert.Equal((HttpStatusCode.BadRequest, field), (status, (string)problem["refusals"]![0]!["field"]!));
    }

    [Theory]
    [InlineData("१ cup", 240)]
    [InlineData("١٠٠ g", 100)]
    [InlineData("２½ kg", 2500)]
    public async Task Digits_of_any_script_are_numbers(string text, double grams)
    {
        var (status, read) = await Send("/api/measure", new JsonObject { ["text"] = text, ["item"] = "water" }.ToJsonString());

        Assert.Equal(HttpStatusCode.OK, status);
        Assert.InRange((double)read["mass"]!, grams - 12, grams + 12);
    }

    [Fact]
    public async Task A_charset_that_is_none_is_said()
    {
        var (status, problem) = await Send("/api/plan", WebKitchen.SquaresJson().ToJsonString(), "application/json; charset=nope");

        Assert.Equal(HttpStatusCode.UnsupportedMediaType, status);
        Assert.Contains("UTF-8", (string)problem["detail"]!, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("Hing", "own-hing")]
    [InlineData("Crème fraîche", "own-creme-fraiche")]
    [InlineData("Мак молотый", "own-мак-молотый")]
    [InlineData("हींग", "own-हींग")]
    [InlineData("芝麻", "own-芝麻")]
    public void An_id_keeps_the_letters_of_every_script(string name, string id)
    {
        Assert.Equal(id, ItemIds.From(name));
        Assert.True(ItemIds.Good(ItemIds.From(name)));
    }

    [Fact]
    public async Task Of_lines_of_one_name_added_at_once_one_is_taken()
    {
        var salt = (await WebKitchen.Json(await client.GetAsync("/api/larder")))["ingredients"]!.AsArray().First(i => (string)i!["kind"]! == "salt")!;
        salt["name"] = "Quay salt";
        salt["id"] = "";
        var made = await Task.WhenAll(Enumerable.Range(0, 12).Select(_ => Send("/api/larder/items", salt.ToJsonString())));

        Assert.Single(made, m => m.Status == HttpStatusCode.Created);
        Assert.Equal(11, made.Count(m => m.Status == HttpStatusCode.BadRequest && (string)m.Body["refusals"]![0]!["code"]! == "nameTaken"));
    }

    [Fact]
    public void A_vast_picture_is_decoded_small_where_its_kind_can_be_and_refused_where_not()
    {
        using var vast = new SKBitmap(new SKImageInfo(7500, 5000, SKColorType.Gray8, SKAlphaType.Opaque));
        using var png = vast.Encode(SKEncodedImageFormat.Png, 90);
        using var jpeg = vast.Encode(SKEncodedImageFormat.Jpeg, 60);

        Assert.Null(PhotoFile.Anew(png.ToArray()));
        using var made = SKBitmap.Decode(PhotoFile.Anew(jpeg.ToArray())!.Value.Body);
        Assert.Equal((1600, 1066), (made.Width, made.Height));
    }
}
