using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Mvc;
using Ystrata.Store;
using Ystrata.Web.Door;

namespace Ystrata.Web.Endpoints;

/// <summary>Why a screen was not let in.</summary>
public enum DoorTrouble
{
    WrongPassphrase,

    /// <summary>The code has run out, has let a screen in already, or is none.</summary>
    CodeGone,

    /// <summary>Nobody is let in before a passphrase is set on the machine itself.</summary>
    NoPassphrase,
    TooManyScreens,
}

public sealed class DoorProblem : ProblemDetails
{
    public required DoorTrouble Code { get; init; }
}

/// <param name="Me">As which screen it was let in; nothing on the machine itself, and for a stranger.</param>
/// <param name="Machine">It is the kitchen's own machine.</param>
/// <param name="Token">What every write of this page has to carry in the program's own header.</param>
/// <param name="Authority">Whether a certificate of the kitchen's own making has to be trusted first.</param>
public sealed record DoorView(ScreenView? Me, bool Machine, bool PassphraseSet, string Token, string? Authority, string Version);

/// <param name="Me">It is the one that asks.</param>
public sealed record ScreenView(Guid Id, string Name, ScreenKind Kind, DateTimeOffset LetInAt, DateTimeOffset SeenAt, bool Me);

/// <param name="Name">Of the screen, as a cook calls it.</param>
public sealed record PassphraseBody(string Passphrase, string Name, ScreenKind Kind);

/// <param name="Name">Of the screen, as a cook calls it.</param>
public sealed record CodeBody(string Code, string Name);

public static class DoorEndpoints
{
    internal const int LongestName = 40;

    private const int LongestCode = 100;

    public static void MapDoor(this RouteGroupBuilder door)
    {
        door.MapGet("", Look).WithName("door").AllowAnonymous().WithSummary("Who asks, and what its writes have to carry.");
        door.MapPost("passphrase", ByPassphrase).IsDoor().WithName("comeInByPassphrase").Produces<ScreenView>().WithSummary("Lets this screen in.");
        door.MapPost("code", ByCode).IsDoor().WithName("comeInByCode").Produces<ScreenView>().WithSummary("Lets this screen in by a code that was scanned.");
        door.MapPost("leave", Leave).AllowAnonymous().WithName("leaveDoor").Produces(204).WithSummary("Sends this screen away.");
    }

    internal static ScreenView View(Screen screen, HttpContext http) => new(screen.Id, screen.Name, screen.Kind, screen.LetInAt, screen.SeenAt, WhoMay.ScreenOf(http.User) == screen.Id);

    internal static IEnumerable<Refusal> CheckName(string name) => Common.CheckText("name", name, 1, LongestName);

    private static RouteHandlerBuilder IsDoor(this RouteHandlerBuilder endpoint) => endpoint.AllowAnonymous().RequireRateLimiting(Limits.Tries)
        .Produces<DoorProblem>(403, Problems.ContentType).Produces<DoorProblem>(409, Problems.ContentType).ProducesProblem(StatusCodes.Status429TooManyRequests);

    private static DoorView Look(HttpContext http, Settings settings, KnownScreens screens, Passphrase passphrase, IAntiforgery tokens, IServiceProvider services)
    {
        var machine = WhoMay.IsMachine(http, settings);
        return new(
            screens.Find(WhoMay.ScreenOf(http.User)) is { } screen ? View(screen, http) : null,
            machine,
            passphrase.IsSet,
            machine ? WhoMay.OnMachine : tokens.GetAndStoreTokens(http).RequestToken!,
            services.GetService<Authority>()?.Fingerprint,
            Release.Version);
    }

    private static async Task<IResult> ByPassphrase(PassphraseBody body, HttpContext http, Passphrase passphrase, KnownScreens screens, WrongTries wrong, Counts counts, ILogger<Passphrase> log)
    {
        if (Problems.From([.. CheckName(body.Name), .. Common.CheckText("passphrase", body.Passphrase, 1, Passphrase.Most)]) is { } problem)
        {
            return problem;
        }

        if (!passphrase.IsSet)
        {
            return Refuse(DoorTrouble.NoPassphrase);
        }

        return passphrase.Is(body.Passphrase) ? await LetIn(http, screens, body.Name, body.Kind, log) : Wrong(http, DoorTrouble.WrongPassphrase, wrong, counts, log);
    }

    private static async Task<IResult> ByCode(CodeBody body, HttpContext http, Passphrase passphrase, OneTimeCodes codes, KnownScreens screens, WrongTries wrong, Counts counts, ILogger<Passphrase> log)
    {
        if (Problems.From([.. CheckName(body.Name), .. Common.CheckText("code", body.Code, 1, LongestCode)]) is { } problem)
        {
            return problem;
        }

        if (!passphrase.IsSet)
        {
            return Refuse(DoorTrouble.NoPassphrase);
        }

        return codes.Take(body.Code) is { } kind ? await LetIn(http, screens, body.Name, kind, log) : Wrong(http, DoorTrouble.CodeGone, wrong, counts, log);
    }

    private static async Task<IResult> LetIn(HttpContext http, KnownScreens screens, string name, ScreenKind kind, ILogger log)
    {
        if (screens.LetIn(name.Trim(), kind) is not { } screen)
        {
            return Refuse(DoorTrouble.TooManyScreens);
        }

        // One that was let in before and comes again is one screen still.
        if (WhoMay.ScreenOf(http.User) is { } before)
        {
            screens.SendAway(before, cutOff: false);
        }

        await WhoMay.Give(http, screen);
        var address = WrongTries.Of(http.Connection.RemoteIpAddress);
        DoorLog.LetIn(log, kind, address);
        return Results.Ok(View(screen, http) with { Me = true });
    }

    private static IResult Wrong(HttpContext http, DoorTrouble why, WrongTries wrong, Counts counts, ILogger log)
    {
        counts.Wrong();
        var address = WrongTries.Of(http.Connection.RemoteIpAddress);
        DoorLog.Wrong(log, address, wrong.Count(address));
        return Refuse(why);
    }

    private static IResult Refuse(DoorTrouble why) => Problems.Answer(new DoorProblem
    {
        Status = why is DoorTrouble.WrongPassphrase or DoorTrouble.CodeGone ? StatusCodes.Status403Forbidden : StatusCodes.Status409Conflict,
        Title = "Not let in",
        Detail = why switch
        {
            DoorTrouble.WrongPassphrase => "That is not the kitchen's passphrase.",
            DoorTrouble.CodeGone => "That code has run out, or has let a screen in already. Have a new one shown.",
            DoorTrouble.NoPassphrase => "This kitchen has no passphrase yet. Set one on the machine it runs on.",
            _ => $"{KnownScreens.Most} screens were let in already, and that is as many as can be. Send one away that is not used.",
        },
        Code = why,
    });

    private static async Task<IResult> Leave(HttpContext http, KnownScreens screens)
    {
        await WhoMay.TakeBack(http);
        if (WhoMay.ScreenOf(http.User) is { } me)
        {
            screens.SendAway(me, cutOff: false);
        }

        return Results.NoContent();
    }
}
