using System.Net;
using System.Text;
using System.Text.Json.Nodes;

namespace Ystrata.Web.Tests;

public sealed class PlanTests(WebKitchen kitchen) : IClassFixture<WebKitchen>
{
    private readonly HttpClient client = kitchen.CreateClient();

    private async Task<JsonNode> Planned(BatchSpec spec)
    {
        using var answer = await client.PostAsync("/api/plan", WebKitchen.Body(spec));
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        return await WebKitchen.Json(answer);
    }

    private async Task<(HttpStatusCode Status, JsonNode Problem)> Refused(string body)
    {
        using var answer = await client.PostAsync("/api/plan", new StringContent(body, Encoding.UTF8, "application/json"));
        Assert.Equal("application/problem+json", answer.Content.Headers.ContentType?.MediaType);
        return (answer.StatusCode, await WebKitchen.Json(answer));
    }

    [Fact]
    public async Task Letter_letter_with_one_ghee_is_nine_leaves_of_which_seven_come_apart()
    {
        var fold = (await Planned(WebKitchen.Squares()))["fold"]!;

        Assert.Equal((9, 7), ((int)fold["nominal"]!, (int)fold["effective"]!));
    }

    [Fact]
    public async Task Two_grams_between_the_letters_open_all_nine()
    {
        var fold = (await Planned(WebKitchen.Squares(new LetterStep(), new BrushStep("ghee", new(2)), new LetterStep())))["fold"]!;

        Assert.Equal((9, 9), ((int)fold["nominal"]!, (int)fold["effective"]!));
    }

    [Fact]
    public async Task Measures_are_bare_numbers_and_names_are_plain_words()
    {
        var sheet = await Planned(WebKitchen.Squares());

        Assert.Equal(80, (double)sheet["balls"]!["mass"]!, 9);
        Assert.Contains(sheet["notes"]!.AsArray(), n => (string)n!["code"]! == "fusedContacts" && (string)n["stage"]! == "fold");
    }

    [Theory]
    [InlineData("start.pieces", "0", "outOfRange")]
    [InlineData("start.pieces", "-4", "outOfRange")]
    [InlineData("start.pieces", "1e9", "notANumber")]
    [InlineData("start.pieces", "2.5", "notANumber")]
    [InlineData("start.pieces", "\"many\"", "notANumber")]
    [InlineData("start.pieces", "\"\"", "notANumber")]
    [InlineData("start.pieces", "null", "notANumber")]
    [InlineData("dough.hydration", "1e300", "outOfRange")]
    [InlineData("dough.hydration", "-1", "outOfRange")]
    [InlineData("start.flour", "0.5", "outOfRange")]
    [InlineData("start.liquid", "1e300", "outOfRange")]
    [InlineData("start.filling", "\"\"", "notANumber")]
    [InlineData("start.fillingEach", "0", "outOfRange")]
    [InlineData("start.people", "0", "outOfRange")]
    [InlineData("start.each", "-1", "outOfRange")]
    [InlineData("start.by", "\"moon\"", "unreadable")]
    [InlineData("dough.fat.amount.share", "61", "outOfRange")]
    [InlineData("dough.fat.amount.mass", "-1", "outOfRange")]
    [InlineData("dough.salt.amount.share", "\"NaN\"", "notANumber")]
    [InlineData("dough.liquids[0].amount.mass", "1e9", "outOfRange")]
    [InlineData("dough.liquids[0].water", "12", "noSolids")]
    [InlineData("dough.liquids[0].id", "\"moonlight\"", "unknownIngredient")]
    [InlineData("dough.flours[0].parts", "0", "outOfRange")]
    [InlineData("dough.fat.id", "\"flour-white\"", "wrongKind")]
    [InlineData("dough.salt.id", "\"sugar\"", "wrongKind")]
    [InlineData("dough.waterBy", "\"hope\"", "unreadable")]
    [InlineData("dough.mix.bowl", "1", "outOfRange")]
    [InlineData("dough.mix.wentIn", "-1", "outOfRange")]
    [InlineData("dough.mix.kneading", "\"fist\"", "unreadable")]
    [InlineData("rest.time", "3000", "outOfRange")]
    [InlineData("rest.covered", "\"yes\"", "unreadable")]
    [InlineData("rest.air", "null", "unreadable")]
    [InlineData("ladle.volume", "5", "outOfRange")]
    [InlineData("ladle.thickness", "13", "outOfRange")]
    [InlineData("dough.feel", "\"fluffy\"", "unreadable")]
    [InlineData("dough.feel", "3", "unreadable")]
    [InlineData("balls.mass", "0", "outOfRange")]
    [InlineData("balls.thickness", "1000", "outOfRange")]
    [InlineData("sheet.diameter", "3", "outOfRange")]
    [InlineData("sheet.rest", "-1", "outOfRange")]
    [InlineData("sheet.fatMass", "201", "outOfRange")]
    [InlineData("sheet.dustMass", "51", "outOfRange")]
    [InlineData("sheet.dust", "\"\"", "unknownIngredient")]
    [InlineData("roll.diameter", "{}", "notANumber")]
    [InlineData("roll.rest", "true", "notANumber")]
    [InlineData("pan.temperature", "321", "outOfRange")]
    [InlineData("pan.fatPerSide", "-0.1", "outOfRange")]
    [InlineData("pan.colour", "\"blue\"", "unreadable")]
    public async Task A_bad_figure_is_named_with_what_is_allowed(string field, string value, string code)
    {
        var spec = WebKitchen.SquaresJson();
        var path = field.Split('.');
        var at = path[..^1].Aggregate(spec, (node, name) => node[name.Replace("[0]", "", StringComparison.Ordinal)]! is JsonArray list ? list[0]! : node[name]!);
        at[path[^1]] = JsonNode.Parse(value);

        var (status, problem) = await Refused(spec.ToJsonString());
        var refusal = Assert.Single(problem["refusals"]!.AsArray())!;

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Equal((field, code), ((string)refusal["field"]!, (string)refusal["code"]!));
        Assert.StartsWith(field, (string)problem["detail"]!, StringComparison.Ordinal);
        if (code is "outOfRange" or "notANumber")
        {
            Assert.True((double)refusal["least"]! < (double)refusal["most"]!);
        }
    }

    [Theory]
    [InlineData("dough")]
    [InlineData("pan")]
    public async Task A_missing_stage_is_named(string stage)
    {
        var spec = WebKitchen.SquaresJson();
        spec.AsObject().Remove(stage);

        var (status, problem) = await Refused(spec.ToJsonString());

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Equal((stage, "missing"), ((string)problem["refusals"]![0]!["field"]!, (string)problem["refusals"]![0]!["code"]!));
    }

    [Fact]
    public async Task Two_hundred_fold_steps_are_refused_by_their_number()
    {
        var spec = WebKitchen.SquaresJson();
        spec["fold"]!["steps"] = new JsonArray([.. Enumerable.Range(0, 200).Select(_ => JsonNode.Parse("""{"kind":"half"}"""))]);

        var (status, problem) = await Refused(spec.ToJsonString());

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Equal("fold.steps: 200 are not taken, 0 to 24.", (string)problem["detail"]!);
    }

    [Theory]
    [InlineData("""{"kind":"origami"}""")]
    [InlineData("""{"mass":2}""")]
    [InlineData("null")]
    [InlineData("""{"kind":"brush","fat":"ghee","mass":"lots"}""")]
    public async Task A_step_that_is_none_is_refused_at_its_place(string step)
    {
        var spec = WebKitchen.SquaresJson();
        spec["fold"]!["steps"]!.AsArray().Insert(1, JsonNode.Parse(step));

        var (status, problem) = await Refused(spec.ToJsonString());

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.StartsWith("fold.steps[1]", (string)problem["refusals"]![0]!["field"]!, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("flours")]
    [InlineData("liquids")]
    [InlineData("additions")]
    public async Task A_hole_in_a_list_is_refused_at_its_place(string list)
    {
        var spec = WebKitchen.SquaresJson();
        spec["dough"]![list]!.AsArray().Add(null);

        var (status, problem) = await Refused(spec.ToJsonString());

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.StartsWith($"dough.{list}[", (string)problem["refusals"]![0]!["field"]!, StringComparison.Ordinal);
    }

    [Fact]
    public async Task Three_pins_are_one_too_many_in_kitchen_words()
    {
        var spec = WebKitchen.SquaresJson();
        spec["start"]!["by"] = "flour";
        spec["dough"]!["liquids"]![0]!["amount"]!["by"] = "mass";

        var (_, problem) = await Refused(spec.ToJsonString());

        Assert.Equal("dough.hydration: flour, every liquid and hydration are all fixed; keep two and let one go.", (string)problem["detail"]!);
    }

    [Theory]
    [InlineData("")]
    [InlineData("{\"dough\":")]
    [InlineData("[]")]
    [InlineData("null")]
    [InlineData("dough: 12")]
    public async Task What_is_no_spec_at_all_is_said_to_be_unreadable(string body)
    {
        var (status, problem) = await Refused(body);

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Equal("unreadable", (string)problem["refusals"]![0]!["code"]!);
    }

    [Fact]
    public async Task The_spec_may_come_with_the_kind_of_a_step_last()
    {
        var spec = WebKitchen.SquaresJson();
        spec["fold"]!["steps"]!.AsArray().Insert(1, JsonNode.Parse("""{"mass":2,"fat":"ghee","kind":"brush"}"""));

        using var answer = await client.PostAsync("/api/plan", new StringContent(spec.ToJsonString(), Encoding.UTF8, "application/json"));

        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
    }

    [Fact]
    public async Task Only_json_is_read()
    {
        using var answer = await client.PostAsync("/api/plan", new StringContent("pieces=24", Encoding.UTF8, "application/x-www-form-urlencoded"));

        Assert.Equal(HttpStatusCode.UnsupportedMediaType, answer.StatusCode);
    }
}
