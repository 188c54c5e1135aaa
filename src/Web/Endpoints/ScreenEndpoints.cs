using QRCoder;
using Ystrata.Store;
using Ystrata.Web.Door;

namespace Ystrata.Web.Endpoints;

/// <param name="Lan">Whether the network is listened to at all.</param>
/// <param name="Addresses">By which a screen asks, the likeliest first.</param>
/// <param name="Tls">Whether what goes over the network is hidden from passers-by.</param>
/// <param name="Authority">What a tablet has to show when it is told to trust this kitchen; nothing where it needs no telling.</param>
/// <param name="Most">More are not let in.</param>
/// <param name="Shortest">How long a passphrase has to be, characters.</param>
/// <param name="Wrong">What came that did not open the door, since the program began.</param>
public sealed record ScreensView(
    bool Lan, bool Machine, bool PassphraseSet, IReadOnlyList<string> Addresses, bool Tls, string? Authority, IReadOnlyList<ScreenView> Screens, int Most, int Shortest, IReadOnlyList<WrongTry> Wrong);

public sealed record NewCodeBody(ScreenKind Kind);

/// <param name="Address">What the picture says.</param>
/// <param name="Side">Of the picture, squares.</param>
/// <param name="Dark">Its dark squares as a path of SVG.</param>
public sealed record CodeView(string Address, DateTimeOffset Until, int Side, string Dark);

public sealed record NewPassphraseBody(string Passphrase);

public sealed record ScreenNameBody(string Name);

public static class ScreenEndpoints
{
    public static void MapScreens(this RouteGroupBuilder screens)
    {
        screens.MapGet("", All).RequireAuthorization(WhoMay.ForAll).WithName("screens").WithSummary("Who was let in, and by which address others may ask.");
        screens.MapPost("codes", NewCode).WithName("newCode").Produces<CodeView>().ProducesProblem(409).WithSummary("A code that lets one screen in within two minutes, and its picture.");
        screens.MapPut("passphrase", Set).RequireAuthorization(WhoMay.OnMachine).WithName("setPassphrase").Produces(204).WithSummary("Sets or changes the passphrase; on the machine itself alone.");
        screens.MapPut("{id:guid}", Rename).WithName("renameScreen").Produces(204);
        screens.MapDelete("{id:guid}", SendAway).WithName("sendScreenAway").Produces(204).WithSummary("Sends it away at once, in the midst of whatever it does.");
    }

    private static ScreensView All(HttpContext http, Settings settings, MachineNames names, NetworkAddress network, KnownScreens screens, Passphrase passphrase, WrongTries wrong, IServiceProvider services) => new(
        settings.Lan,
        WhoMay.IsMachine(http, settings),
        passphrase.IsSet,
        [.. names.Told.Select(network.Of)],
        settings.Lan && !settings.Plain,
        services.GetService<Authority>()?.Fingerprint,
        [.. screens.All.Select(s => DoorEndpoints.View(s, http))],
        KnownScreens.Most,
        Passphrase.Least,
        wrong.All);

    private static IResult NewCode(NewCodeBody body, Settings settings, Passphrase passphrase, NetworkAddress network, OneTimeCodes codes)
    {
        if (!settings.Lan || !passphrase.IsSet)
        {
            return Results.Problem(
                settings.Lan ? "Set a passphrase first, on this machine." : "This kitchen listens to its own machine alone. Start it with --lan.", statusCode: StatusCodes.Status409Conflict, title: "Not taken");
        }

        var (code, until) = codes.Make(body.Kind);
        var address = network.ToComeIn(code);
        var (side, dark) = Picture(address);
        return Results.Ok(new CodeView(address, until, side, dark));
    }

    private static (int Side, string Dark) Picture(string text)
    {
        using var code = QRCodeGenerator.GenerateQrCode(text, QRCodeGenerator.ECCLevel.M);
        var rows = code.ModuleMatrix;
        var dark = from y in Enumerable.Range(0, rows.Count) from x in Enumerable.Range(0, rows.Count) where rows[y][x] select $"M{x} {y}h1v1h-1z";
        return (rows.Count, string.Concat(dark));
    }

    private static IResult Set(NewPassphraseBody body, Passphrase passphrase, ILogger<Passphrase> log)
    {
        if (Passphrase.Check(body.Passphrase) is { } refusal)
        {
            return Problems.From([refusal])!;
        }

        passphrase.Set(body.Passphrase);
        DoorLog.PassphraseSet(log);
        return Results.NoContent();
    }

    private static IResult Rename(Guid id, ScreenNameBody body, KnownScreens screens) =>
        Problems.From([.. DoorEndpoints.CheckName(body.Name)]) ?? Common.Done(screens.Rename(id, body.Name.Trim()));

    private static IResult SendAway(Guid id, KnownScreens screens, ILogger<Passphrase> log)
    {
        DoorLog.SentAway(log);
        return Common.Done(screens.SendAway(id));
    }
}
