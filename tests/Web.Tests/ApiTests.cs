using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;

namespace Ystrata.Web.Tests;

/// <summary>What is so of every endpoint: HEAD, compression, and a problem that says its kind, its reason and what it is found by.</summary>
public sealed class ApiTests(WebKitchen kitchen) : IClassFixture<WebKitchen>
{
    private readonly HttpClient client = kitchen.CreateClient();

    private static StringContent Body(string body, string type)
    {
        var content = new StringContent(body, Encoding.UTF8);
        content.Headers.ContentType = MediaTypeHeaderValue.Parse(type);
        return content;
    }

    private async Task<(HttpStatusCode Status, JsonNode Problem)> Send(HttpMethod method, string path, HttpContent? content = null, Action<HttpRequestHeaders>? more = null)
    {
        using var request = new HttpRequestMessage(method, path) { Content = content };
        more?.Invoke(request.Headers);
        using var answer = await client.SendAsync(request);
        Assert.Equal("application/problem+json", answer.Content.Headers.ContentType?.MediaType);
        var problem = JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
        Assert.StartsWith("urn:ystrata:problem:", (string)problem["type"]!, StringComparison.Ordinal);
        Assert.NotEqual("", (string)problem["traceId"]!);
        Assert.NotEqual("", (string)problem["detail"]!);
        Assert.Equal((int)answer.StatusCode, (int)problem["status"]!);
        return (answer.StatusCode, problem);
    }

    [Theory]
    [InlineData("POST", "/api/photos", "PHOTO", "image/png", HttpStatusCode.RequestEntityTooLarge, "10 MB")]
    [InlineData("POST", "/api/larder/import", "FILE", "text/csv", HttpStatusCode.RequestEntityTooLarge, "4 MB")]
    [InlineData("POST", "/api/log/import", "FILE", "text/csv", HttpStatusCode.RequestEntityTooLarge, "4 MB")]
    [InlineData("POST", "/api/plan", "<plan/>", "application/xml", HttpStatusCode.UnsupportedMediaType, "may not be application/xml.")]
    [InlineData("POST", "/api/photos", "{}", "application/json", HttpStatusCode.UnsupportedMediaType, "may not be application/json.")]
    [InlineData("POST", "/api/photos", "no photo", "image/png", HttpStatusCode.BadRequest, "This is no photo")]
    [InlineData("POST", "/api/plan", "{", "application/json", HttpStatusCode.BadRequest, "cannot be read as JSON")]
    [InlineData("PUT", "/api/larder", "{}", "application/json", HttpStatusCode.MethodNotAllowed, "PUT is not done here.")]
    [InlineData("POST", "/api/batches/0199b2f0-0000-7000-8000-000000000001/restore", "", "application/json", HttpStatusCode.NotFound, "nothing here by that name")]
    public async Task A_refusal_says_what_was_wrong_with_that_request(string method, string path, string body, string type, HttpStatusCode status, string words)
    {
        var sent = body switch { "PHOTO" => new string('x', 10_000_001), "FILE" => new string('x', 4_000_001), _ => body };
        var (got, problem) = await Send(new(method), path, Body(sent, type));
        Assert.Equal(status, got);
        Assert.Contains(words, (string)problem["detail"]!, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("/api/nowhere")]
    [InlineData("/nowhere")]
    public async Task An_address_that_leads_nowhere_says_so_in_words_to_whoever_opens_it(string path)
    {
        var (status, problem) = await Send(HttpMethod.Get, path, more: h => h.Accept.ParseAdd("text/html"));
        Assert.Equal((HttpStatusCode.NotFound, "Not Found"), (status, (string)problem["title"]!));
        Assert.Contains("nothing here by that name", (string)problem["detail"]!, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("/api/log?fault=melancholy", "fault", "melancholy")]
    [InlineData("/api/live?scale=perhaps", "scale", "perhaps")]
    [InlineData("/api/log?bread=12", "bread", "12")]
    [InlineData("/api/breads?most=1&most=2", "most", "1,2")]
    public async Task A_value_of_the_address_is_refused_by_its_name_and_not_as_json(string path, string field, string given)
    {
        var (status, problem) = await Send(HttpMethod.Get, path);
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Equal((field, given), ((string)problem["refusals"]![0]!["field"]!, (string)problem["refusals"]![0]!["item"]!));
        Assert.DoesNotContain("JSON", (string)problem["detail"]!, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_page_of_another_site_is_told_why_it_may_not()
    {
        var (status, problem) = await Send(HttpMethod.Post, "/api/plan", Body("{}", "application/json"), h => h.Add("Sec-Fetch-Site", "cross-site"));
        Assert.Equal(HttpStatusCode.Forbidden, status);
        Assert.Contains("another site", (string)problem["detail"]!, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_change_without_a_version_and_one_for_another_say_so_as_problems()
    {
        using var plain = kitchen.CreateDefaultClient();
        plain.DefaultRequestHeaders.Add(OwnPagesOnly.Header, "here");
        var bread = WebKitchen.Body(new { name = "Nigella rounds", about = "", spec = WebKitchen.Squares() });
        using var made = await plain.PostAsync("/api/breads", bread);
        var (status, problem) = await Send(HttpMethod.Put, made.Headers.Location!.ToString(), bread, h =>
        {
            h.IfMatch.Clear();
            h.IfMatch.Add(new("\"other\""));
        });
        Assert.Equal(HttpStatusCode.PreconditionFailed, status);
        Assert.Equal("Nigella rounds", (string)problem["now"]!["name"]!);
    }

    [Fact]
    public async Task Whole_kitchens_are_copied_as_often_as_the_machine_can_and_no_oftener()
    {
        using var own = new WebKitchen();
        using var asks = own.CreateClient();
        var answers = await Task.WhenAll(Enumerable.Range(0, 80).Select(_ => asks.PostAsync("/api/keeping/backups/bring", Body("no database", "application/octet-stream"))));
        Assert.Contains(answers, a => a.StatusCode == HttpStatusCode.BadRequest);
        var refused = answers.First(a => a.StatusCode == HttpStatusCode.TooManyRequests);
        Assert.True(refused.Headers.RetryAfter?.Delta > TimeSpan.Zero);
        Assert.Contains("busy", (string)(await WebKitchen.Json(refused))["detail"]!, StringComparison.Ordinal);
        // Whoever plans is not held up by it.
        using var plan = await asks.PostAsync("/api/plan", WebKitchen.Body(WebKitchen.Squares()));
        Assert.Equal(HttpStatusCode.OK, plan.StatusCode);
    }

    [Theory]
    [InlineData("/api/larder")]
    [InlineData("/api/larder/export")]
    public async Task What_is_long_is_sent_small(string path)
    {
        using var request = new HttpRequestMessage(HttpMethod.Get, path);
        request.Headers.AcceptEncoding.Add(new("gzip"));
        using var answer = await client.SendAsync(request);
        Assert.Equal("gzip", Assert.Single(answer.Content.Headers.ContentEncoding));
    }

    [Fact]
    public async Task The_description_tells_every_answer_there_is()
    {
        var paths = JsonNode.Parse(await client.GetStringAsync("/openapi/v1.json"))!["paths"]!.AsObject();
        foreach (var (path, operations) in paths)
        {
            foreach (var (method, operation) in operations!.AsObject())
            {
                var told = operation!["responses"]!.AsObject().Select(r => r.Key).ToHashSet();
                string[] all = [.. method == "get" ? new[] { "200" } : ["403", "507"], "400", "404", .. operation["requestBody"] is null ? Array.Empty<string>() : ["413", "415"]];
                Assert.True(all.All(told.Contains), $"{method} {path}: {string.Join(' ', told)}");
                Assert.NotEqual("head", method);
            }
        }

        string[] Answers(string path, string method) => [.. paths[path]![method]!["responses"]!.AsObject().Select(r => r.Key)];
        Assert.Contains("412", Answers("/api/breads/{id}", "put"));
        Assert.Contains("429", Answers("/api/clock/what-ifs", "post"));
        Assert.Contains("429", Answers("/api/keeping/backups", "post"));
        Assert.Contains("503", Answers("/api/live", "get"));
        string Kind(string path, string method) => paths[path]![method]!["responses"]!["200"]!["content"]!.AsObject().First().Key;
        Assert.Equal(
            ["text/event-stream", "application/x-ndjson", "application/vnd.sqlite3", "image/webp", "text/csv", "text/calendar", "application/ld+json"],
            [Kind("/api/live", "get"), Kind("/api/files", "post"), Kind("/api/keeping/backups/{name}", "get"), Kind("/api/photos/{id}", "get"), Kind("/api/log/export", "get"), Kind("/api/batches/{id}/timetable.ics", "get"), Kind("/api/files/recipes/{id}", "get")]);
    }
}
