using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Hosting.Server.Features;

namespace Ystrata.Web.Door;

/// <summary>How a screen on the network asks for this kitchen.</summary>
internal sealed class NetworkAddress(Settings settings, MachineNames names, IServer server)
{
    /// <param name="host">A name, or an address as it stands in a link.</param>
    public string Of(string host) => settings.Proxies.Count > 0 ? $"https://{host}" : $"{(settings.Tls ? "https" : "http")}://{host}:{Port}";

    /// <summary>The address that lets one in, to be scanned: what follows # is never sent, so no log of anybody's has the code.</summary>
    public string ToComeIn(string code) => $"{Of(names.First)}/#/in/{code}";

    /// <summary>Where any port was taken, the server knows which.</summary>
    public int Port => settings.LanPort != 0
        ? settings.LanPort
        : server.Features.Get<IServerAddressesFeature>()?.Addresses.Select(a => new Uri(a).Port).LastOrDefault() ?? 0;
}
