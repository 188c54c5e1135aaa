using System.Net;
using System.Net.Security;
using Microsoft.AspNetCore.Connections;
using Microsoft.AspNetCore.HttpOverrides;
using Microsoft.AspNetCore.Server.Kestrel.Core;
using Microsoft.AspNetCore.Server.Kestrel.Https;

namespace Ystrata.Web.Door;

/// <summary>Where the program listens: always to this machine alone, and to the network where it was told to.</summary>
internal static class Ears
{
    // More than every screen of a large kitchen, ten times over; each that is idle costs a few kilobytes.
    private const int MostConnections = 3000;

    public static void Open(KestrelServerOptions kestrel, Settings settings, Func<SslStreamCertificateContext>? certificate)
    {
        kestrel.Limits.MaxConcurrentConnections = MostConnections;
        kestrel.Listen(IPAddress.Loopback, settings.Port, ear => Mark(ear, CameBy.Machine));
        if (!settings.Lan)
        {
            return;
        }

        var at = settings.Bind is { } bind ? IPAddress.Parse(bind) : settings.Proxies is [{ } proxy] && IPAddress.IsLoopback(proxy) ? proxy : null;
        void Configure(ListenOptions ear)
        {
            Mark(ear, CameBy.Network);
            if (certificate is not null)
            {
                ear.UseHttps(new TlsHandshakeCallbackOptions { OnConnection = _ => ValueTask.FromResult(new SslServerAuthenticationOptions { ServerCertificateContext = certificate() }) });
            }
        }

        if (at is null)
        {
            kestrel.ListenAnyIP(settings.LanPort, Configure);
        }
        else
        {
            kestrel.Listen(at, settings.LanPort, Configure);
        }
    }

    /// <summary>What a named proxy says of who asks, and how, is taken for true; nobody else may come by the ear it has.</summary>
    public static void TrustProxies(WebApplication app, Settings settings)
    {
        if (settings.Proxies.Count == 0)
        {
            return;
        }

        app.Use((http, next) =>
        {
            if (http.Features.Get<CameBy>() != CameBy.Network || http.Connection.RemoteIpAddress is { } from && settings.Proxies.Contains(from.IsIPv4MappedToIPv6 ? from.MapToIPv4() : from))
            {
                return next(http);
            }

            return OwnPagesOnly.Refuse(http, "Only the proxy that was named may ask here.");
        });
        var forwarded = new ForwardedHeadersOptions { ForwardedHeaders = ForwardedHeaders.XForwardedFor | ForwardedHeaders.XForwardedProto, ForwardLimit = 1 };
        forwarded.KnownProxies.Clear();
        forwarded.KnownIPNetworks.Clear();
        foreach (var proxy in settings.Proxies)
        {
            forwarded.KnownProxies.Add(proxy);
        }

        // What this machine itself asks comes through no proxy.
        app.UseWhen(http => http.Features.Get<CameBy>() == CameBy.Network, through => through.UseForwardedHeaders(forwarded));
    }

    private static void Mark(ListenOptions ear, CameBy way) => ear.Use(next => connection =>
    {
        connection.Features.Set(way);
        return next(connection);
    });
}
