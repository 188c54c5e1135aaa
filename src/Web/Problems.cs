using System.Text.Json;
using System.Text.RegularExpressions;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Mvc;
using Microsoft.Data.Sqlite;
using Ystrata.Core;

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

    private const string ContentType = "application/problem+json";

    // ENOSPC, as the platform hands it on.
    private const int NoSpace = 28;

    private static KitchenProblem Full => new()
    {
        Status = StatusCodes.Status507InsufficientStorage,
        Title = "No room",
        Detail = "There is no room left on the kitchen's disk, and nothing was kept. Make some, then send it again.",
    };

    /// <summary>400 with the refusals, or nothing when there are none.</summary>
    public static IResult? From(IReadOnlyList<Refusal> refusals) => refusals.Count == 0 ? null : Results.Json(Describe(refusals), contentType: ContentType, statusCode: 400);

    public async ValueTask<bool> TryHandleAsync(HttpContext httpContext, Exception exception, CancellationToken cancellationToken)
    {
        var problem = exception switch
        {
            BadHttpRequestException { InnerException: JsonException json } bad => Describe([Read(json)], bad.StatusCode),
            BadHttpRequestException bad => Describe([new("", RefusalCode.Unreadable)], bad.StatusCode),
            // How the reader says that a fold step does not tell its kind.
            SqliteException { SqliteErrorCode: 13 } or IOException { HResult: NoSpace } => Full,
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

        httpContext.Response.StatusCode = problem.Status!.Value;
        await httpContext.Response.WriteAsJsonAsync(problem, options: null, ContentType, cancellationToken);
        return true;
    }

    /// <summary>Kitchen words for the answers the framework gives by itself.</summary>
    public static void Customize(ProblemDetailsContext context) => context.ProblemDetails.Detail ??= context.ProblemDetails.Status switch
    {
        404 => "There is nothing here by that name. It may have been deleted.",
        413 => $"That is too big: a larder file may have {MostFileBytes / 1_000_000} MB, anything else {MostBodyBytes / 1_000_000} MB.",
        415 => "Send JSON.",
        _ => null,
    };

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
}
