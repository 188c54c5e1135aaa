using System.Threading.RateLimiting;
using Microsoft.AspNetCore.RateLimiting;
using Ystrata.Web.Door;

namespace Ystrata.Web;

/// <summary>How much of what is dear is done at once and in a while, so that one screen never holds up the others.</summary>
internal static class Limits
{
    // Work that takes the whole machine for a moment: what-ifs, reading a sheet backwards, photos.
    private const string Work = "work";

    // What copies or lays over the whole kitchen, or reads a file of one.
    private const string Whole = "whole";

    /// <summary>Tries to be let in, counted for each address.</summary>
    public const string Tries = "tries";

    private const int TriesAtOnce = 6;

    private const int WorkAtOnce = 2, WorkWaiting = 40, WholeAtOnce = 60;

    private static readonly TimeSpan WholeAgain = TimeSpan.FromSeconds(1), TryAgain = TimeSpan.FromSeconds(15);

    public static void Add(IServiceCollection services) => services.AddRateLimiter(limits =>
    {
        limits.RejectionStatusCode = StatusCodes.Status429TooManyRequests;
        limits.AddConcurrencyLimiter(Work, o => (o.PermitLimit, o.QueueLimit) = (WorkAtOnce, WorkWaiting));
        limits.AddTokenBucketLimiter(Whole, o => (o.TokenLimit, o.TokensPerPeriod, o.ReplenishmentPeriod) = (WholeAtOnce, 1, WholeAgain));
        limits.AddPolicy(Tries, http => RateLimitPartition.GetTokenBucketLimiter(
            WrongTries.Of(http.Connection.RemoteIpAddress), _ => new() { TokenLimit = TriesAtOnce, TokensPerPeriod = 1, ReplenishmentPeriod = TryAgain, QueueLimit = 0 }));
        limits.OnRejected = (rejected, _) =>
        {
            var again = rejected.Lease.TryGetMetadata(MetadataName.RetryAfter, out var after) ? after : WholeAgain;
            rejected.HttpContext.Response.Headers.RetryAfter = Math.Max(Math.Ceiling(again.TotalSeconds), 1).ToString(System.Globalization.CultureInfo.InvariantCulture);
            return ValueTask.CompletedTask;
        };
    });

    /// <summary>Two of these at a time; a few more wait.</summary>
    public static RouteHandlerBuilder IsDear(this RouteHandlerBuilder endpoint) => endpoint.RequireRateLimiting(Work).ProducesProblem(StatusCodes.Status429TooManyRequests);

    /// <summary>A minute's worth at once, then one a second.</summary>
    public static RouteHandlerBuilder IsWhole(this RouteHandlerBuilder endpoint) => endpoint.RequireRateLimiting(Whole).ProducesProblem(StatusCodes.Status429TooManyRequests);
}
