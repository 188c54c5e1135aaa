using System.Security.Claims;
using System.Text.Encodings.Web;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.HostFiltering;
using Microsoft.AspNetCore.Http.Metadata;
using Microsoft.Extensions.Options;
using Ystrata.Store;

namespace Ystrata.Web.Door;

/// <summary>Who may: the machine itself, and the screens it let in, each as far as its kind goes.</summary>
internal static class WhoMay
{
    /// <summary>Policies: the machine itself; that or a screen for all; any that was let in.</summary>
    public const string OnMachine = "machine", ForAll = "all", ForStove = "stove";

    private const string ByWay = "way", Screen = "screen", Kind = "kind";

    // As long as a screen that is not switched on is remembered.
    private static readonly TimeSpan Remembered = TimeSpan.FromDays(120);

    public static void Add(IServiceCollection services, Settings settings, Screens screens, string folder)
    {
        services.AddSingleton(screens);
        services.AddSingleton<KnownScreens>();
        services.AddSingleton<Passphrase>();
        services.AddSingleton<OneTimeCodes>();
        services.AddSingleton<WrongTries>();
        services.AddSingleton<MachineNames>();
        services.AddSingleton<NetworkAddress>();
        Certify(services, settings, folder);
        services.AddSingleton<IConfigureOptions<HostFilteringOptions>>(s => s.GetRequiredService<MachineNames>());
        services.AddSingleton<IOptionsChangeTokenSource<HostFilteringOptions>>(s => s.GetRequiredService<MachineNames>());
        services.AddDataProtection()
            // What another kitchen wrote is none of this one's.
            .SetApplicationName($"ystrata {screens.Kitchen}")
            .PersistKeysToFileSystem(Directory.CreateDirectory(Path.Combine(folder, "ystrata-keys")));
        services.AddAntiforgery(o =>
        {
            o.HeaderName = OwnPagesOnly.Header;
            // The content security policy says it, and more strictly.
            o.SuppressXFrameOptionsHeader = true;
            o.Cookie.Name = $"ystrata-page-{Short(screens)}";
            o.Cookie.SameSite = SameSiteMode.Strict;
            o.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
        });
        services.AddAuthentication(ByWay)
            .AddPolicyScheme(ByWay, null, o => o.ForwardDefaultSelector = http => IsMachine(http, settings) ? OnMachine : Screen)
            .AddScheme<AuthenticationSchemeOptions, MachineItself>(OnMachine, null)
            .AddCookie(Screen, o =>
            {
                // Cookies know no ports: each kitchen of a machine has a name of its own.
                o.Cookie.Name = $"ystrata-screen-{Short(screens)}";
                o.Cookie.HttpOnly = true;
                o.Cookie.SameSite = SameSiteMode.Strict;
                o.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
                o.ExpireTimeSpan = Remembered;
                o.SlidingExpiration = true;
                o.Events.OnRedirectToLogin = c => Answer(c.Response, StatusCodes.Status401Unauthorized);
                o.Events.OnRedirectToAccessDenied = c => Answer(c.Response, StatusCodes.Status403Forbidden);
                o.Events.OnValidatePrincipal = StillKnown;
            });
        services.AddAuthorizationBuilder()
            .AddPolicy(OnMachine, p => p.RequireClaim(Kind, OnMachine))
            .AddPolicy(ForAll, p => p.RequireClaim(Kind, OnMachine, nameof(ScreenKind.All)))
            .AddPolicy(ForStove, p => p.RequireAuthenticatedUser())
            .SetFallbackPolicy(new AuthorizationPolicyBuilder().RequireClaim(Kind, OnMachine, nameof(ScreenKind.All)).Build());
    }

    private static void Certify(IServiceCollection services, Settings settings, string folder)
    {
        if (settings.Tls && settings.Cert is { } file)
        {
            services.AddSingleton(ServerCertificate.Of(file, settings.CertKey));
        }
        else if (settings.Tls)
        {
            services.AddSingleton(s => Authority.Open(folder, s.GetRequiredService<MachineNames>(), s.GetRequiredService<TimeProvider>()));
            services.AddSingleton(s => ServerCertificate.Of(s.GetRequiredService<Authority>()));
        }
    }

    /// <summary>Whether a request comes from this machine itself, by the ear that hears nobody else.</summary>
    public static bool IsMachine(HttpContext http, Settings settings) => !settings.Lan || http.Features.Get<CameBy>() == CameBy.Machine;

    /// <summary>Says of an endpoint that does not say so itself who may: any screen may look, one for all may change things and take files out.</summary>
    public static void Guard(EndpointBuilder endpoint, bool writes)
    {
        if (!endpoint.Metadata.OfType<IAuthorizeData>().Any() && !endpoint.Metadata.OfType<IAllowAnonymous>().Any())
        {
            var file = endpoint.Metadata.OfType<IProducesResponseTypeMetadata>().Any(p => p.Type == typeof(Stream));
            endpoint.Metadata.Add(new AuthorizeAttribute(writes || file ? ForAll : ForStove));
        }
    }

    /// <summary>Gives a screen its cookie.</summary>
    public static Task Give(HttpContext http, Screen screen) =>
        http.SignInAsync(Screen, As(screen.Id.ToString(), screen.Name, screen.Kind.ToString(), Screen), new() { IsPersistent = true });

    /// <summary>Takes its cookie from it.</summary>
    public static Task TakeBack(HttpContext http) => http.SignOutAsync(Screen);

    /// <summary>The screen that asks; nothing for the machine itself, and for whoever was not let in.</summary>
    public static Guid? ScreenOf(ClaimsPrincipal who) => Guid.TryParse(who.FindFirstValue(ClaimTypes.NameIdentifier), out var id) ? id : null;

    // Eight digits tell the kitchens of one machine apart.
    private static string Short(Screens screens) => screens.Kitchen.ToString("N")[..8];

    private static ClaimsPrincipal As(string id, string name, string kind, string scheme) =>
        new(new ClaimsIdentity([new(ClaimTypes.NameIdentifier, id), new(ClaimTypes.Name, name), new(Kind, kind)], scheme));

    private static Task Answer(HttpResponse response, int status)
    {
        response.StatusCode = status;
        return Task.CompletedTask;
    }

    private static async Task StillKnown(CookieValidatePrincipalContext context)
    {
        if (context.Principal is { } who && ScreenOf(who) is { } id && context.HttpContext.RequestServices.GetRequiredService<KnownScreens>().Sees(id, out var gone))
        {
            // In the midst of whatever it does, and of its stream.
            context.HttpContext.Response.RegisterForDispose(gone.Register(context.HttpContext.Abort));
            return;
        }

        context.RejectPrincipal();
        await TakeBack(context.HttpContext);
    }

    private sealed class MachineItself(IOptionsMonitor<AuthenticationSchemeOptions> options, ILoggerFactory logs, UrlEncoder urls) : AuthenticationHandler<AuthenticationSchemeOptions>(options, logs, urls)
    {
        private static readonly ClaimsPrincipal Itself = As(OnMachine, OnMachine, OnMachine, OnMachine);

        protected override Task<AuthenticateResult> HandleAuthenticateAsync() => Task.FromResult(AuthenticateResult.Success(new(Itself, OnMachine)));
    }
}
