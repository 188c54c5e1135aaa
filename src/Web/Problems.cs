using System.ComponentModel;
using System.Diagnostics;
using System.Text.Json;
using System.Text.RegularExpressions;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Http.Metadata;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.WebUtilities;
using Microsoft.Data.Sqlite;
using Ystrata.Store;

namespace Ystrata.Web;

/// <summary>A ProblemDetails that names every field, what was given and what is allowed.</summary>
public sealed class KitchenProblem : ProblemDetails
{
    public IReadOnlyList<Refusal> Refusals { get; init; } = [];
}

/// <summary>Turns refusals and unreadable bodies into answers.</summary>
public sealed partial class Problems : IExceptionHandler
{
    public const long MostBodyBytes = 1_000_000;
    public const long MostFileBytes = 4_000_000;

    /// <summary>Of every answer that says what was wrong (RFC 9457).</summary>
    public const string ContentType = "application/problem+json";

    private static KitchenProblem Full => new()
    {
        Status = StatusCodes.Status507InsufficientStorage,
        Title = "No room",
        Detail = "There is no room left on the kitchen's disk, and nothing was kept. Make some, then send it again.",
    };

    /// <summary>400 with the refusals, or nothing when there are none.</summary>
    public static IResult? From(IReadOnlyList<Refusal> refusals) => refusals.Count == 0 ? null : Answer(Describe(refusals));

    /// <summary>What was asked for, or 400 with the refusals.</summary>
    public static IResult Or<T>(Answer<T> answer)
        where T : class => answer.Value is { } value ? Results.Ok(value) : From(answer.Refusals)!;

    /// <summary>The problem as an answer, with its type and what it is found by in the log.</summary>
    public static IResult Answer<T>(T problem)
        where T : ProblemDetails => new ProblemAnswer<T>(problem);

    public async ValueTask<bool> TryHandleAsync(HttpContext httpContext, Exception exception, CancellationToken cancellationToken)
    {
        var problem = exception switch
        {
            BadHttpRequestException { InnerException: JsonException json } bad => Describe([Read(json)], bad.StatusCode),
            BadHttpRequestException { StatusCode: StatusCodes.Status400BadRequest } bad when Told().Match(bad.Message) is { Success: true } told => Describe([Unbound(told)]),
            BadHttpRequestException { StatusCode: StatusCodes.Status400BadRequest } => Describe([new("", RefusalCode.Unreadable)]),
            // What else the platform refuses, it refuses by its status: the words follow from that.
            BadHttpRequestException bad => new KitchenProblem { Status = bad.StatusCode, Title = "Not taken" },
            SqliteException { SqliteErrorCode: 13 } or IOException { HResult: KitchenDb.NoSpace } => Full,
            // How the reader says that a fold step does not tell its kind.
            NotSupportedException { Source: "System.Text.Json" } kindless => Describe([new(PathIn().Match(kindless.Message).Groups[1].Value + ".kind", RefusalCode.Missing)]),
            // How the reader says that it knows no such charset.
            InvalidOperationException { Source: "Microsoft.AspNetCore.Http.Extensions" } or ArgumentException { ParamName: "name" } when httpContext.Request.ContentType?.Contains("charset", StringComparison.OrdinalIgnoreCase) == true =>
                new KitchenProblem { Status = StatusCodes.Status415UnsupportedMediaType, Title = "Not taken", Detail = "What is sent has to be in UTF-8." },
            _ => null,
        };
        if (problem is null)
        {
            return false;
        }

        await Answer(problem).ExecuteAsync(httpContext);
        return true;
    }

    /// <summary>What every problem carries: its kind, kitchen words where it has none, and what it is found by in the log.</summary>
    public static void Complete(HttpContext http, ProblemDetails problem)
    {
        problem.Title ??= "Not taken";
        problem.Type = $"urn:ystrata:problem:{problem.Title.ToLowerInvariant().Replace(' ', '-')}";
        problem.Extensions["traceId"] = Activity.Current?.Id ?? http.TraceIdentifier;
        problem.Detail ??= problem.Status switch
        {
            401 => "This screen has not been let into the kitchen, or was sent away.",
            403 => "This is not for this screen: it sees, and presses at the stove.",
            404 => "There is nothing here by that name. It may have been deleted.",
            405 => $"{http.Request.Method} is not done here.",
            413 => $"That is too big: {MostOf(http) / 1_000_000} MB is the most that is taken here.",
            415 => $"What is sent here may not be {(http.Request.ContentType is { Length: > 0 } kind ? kind : "of no kind at all")}. /openapi/v1.json says what may.",
            429 => "The kitchen is busy with as much of this as it can do at once. Try again in a moment.",
            _ => null,
        };
    }

    /// <summary>Says in words what was answered by a status alone.</summary>
    public static Task Word(StatusCodeContext status)
    {
        var (http, code) = (status.HttpContext, status.HttpContext.Response.StatusCode);
        var problem = Unread(http) is { Count: > 0 } unread ? Describe(unread) : new() { Status = code, Title = ReasonPhrases.GetReasonPhrase(code) };
        return Answer(problem).ExecuteAsync(http);
    }

    // A value of the address that may be left out, is there and cannot be read is refused by its status alone: the platform's generated readers name only what has to be there.
    private static List<Refusal> Unread(HttpContext http) => http.Response.StatusCode != StatusCodes.Status400BadRequest ? [] :
        [.. from parameter in http.GetEndpoint()?.Metadata.GetOrderedMetadata<IParameterBindingMetadata>() ?? []
            where parameter is { HasTryParse: true, IsOptional: true }
            let given = (string?)http.Request.Query[parameter.Name]
            where !string.IsNullOrEmpty(given) && !TypeDescriptor.GetConverter(parameter.ParameterInfo.ParameterType).IsValid(given)
            select new Refusal(parameter.Name, RefusalCode.Unreadable, Item: given)];

    private static long MostOf(HttpContext http) => EndpointOf(http)?.Metadata.GetMetadata<IRequestSizeLimitMetadata>()?.MaxRequestBodySize ?? MostBodyBytes;

    // Where an exception was caught, the endpoint it came from is remembered beside it.
    private static Endpoint? EndpointOf(HttpContext http) => http.Features.Get<IExceptionHandlerFeature>()?.Endpoint ?? http.GetEndpoint();

    // A value of the address or a header that could not be read, or is not there.
    private static Refusal Unbound(Match told) => told.Groups["name"].Value is var name && told.Groups["given"] is { Success: true } given
        ? new(name, RefusalCode.Unreadable, Item: given.Value)
        : new(told.Groups["lacking"].Value, RefusalCode.Missing);

    private static KitchenProblem Describe(IReadOnlyList<Refusal> refusals, int status = 400) => new()
    {
        Status = status,
        Title = "Not taken",
        Detail = string.Join(" ", refusals.Select(RefusalWords.Say)),
        Refusals = refusals,
    };

    // The reader says where it stopped ($.spec.dough.pieces) and, for what is missing, names it in quotes.
    internal static Refusal Read(JsonException json)
    {
        if (json.InnerException is JsonException)
        {
            // The text itself is broken, not one of its figures.
            return new("", RefusalCode.Unreadable, json.LineNumber + 1);
        }

        var field = (json.Path ?? "").TrimStart('$', '.');
        if (Missing().Match(json.Message) is { Success: true } missing)
        {
            return new(field.Length == 0 ? missing.Groups[1].Value : $"{field}.{missing.Groups[1].Value}", RefusalCode.Missing);
        }

        if (NoNumber().Match(json.Message) is { Success: true } endless)
        {
            field = field.Length == 0 ? endless.Groups[1].Value : $"{field}.{endless.Groups[1].Value}";
        }

        var inSpec = Wrapped().Replace(field, "");
        var limit = SpecPlaces.Limits.Concat(LogCheck.Limits).Concat(IngredientCheck.Limits).FirstOrDefault(l => l.Field == Indices().Replace(inSpec, "[]"));
        return limit is null
            ? new(field, RefusalCode.Unreadable)
            : new(field, RefusalCode.NotANumber, null, limit.Least, limit.Most, limit.Unit);
    }

    // How the platform says that a parameter cannot be bound.
    [GeneratedRegex("""^Failed to bind parameter "\S+ (?<name>\w+)" from "(?<given>.*)"\.$|^Required parameter "\S+ (?<lacking>\w+)" was not provided from """, RegexOptions.Singleline)]
    private static partial Regex Told();

    [GeneratedRegex(@"missing required properties including: '([^']+)'")]
    private static partial Regex Missing();

    [GeneratedRegex(@"^no number: '([^']+)'")]
    private static partial Regex NoNumber();

    [GeneratedRegex(@"Path: \$\.?(\S+)")]
    private static partial Regex PathIn();

    [GeneratedRegex(@"^((bread|batch|entry|ingredient)\.)?((spec|outcome)\.)?")]
    private static partial Regex Wrapped();

    [GeneratedRegex(@"\[\d+\]")]
    private static partial Regex Indices();

    private sealed class ProblemAnswer<T>(T problem) : IResult
        where T : ProblemDetails
    {
        public Task ExecuteAsync(HttpContext httpContext)
        {
            Complete(httpContext, problem);
            httpContext.Response.StatusCode = problem.Status ?? StatusCodes.Status500InternalServerError;
            return httpContext.Response.WriteAsJsonAsync(problem, options: null, ContentType, httpContext.RequestAborted);
        }
    }
}
