using System.Net;
using System.Net.NetworkInformation;
using System.Net.Sockets;
using Microsoft.AspNetCore.HostFiltering;
using Microsoft.Extensions.Options;
using Microsoft.Extensions.Primitives;

namespace Ystrata.Web.Door;

/// <summary>The names and addresses by which this machine is asked. What is asked of another name is not answered: a page of another site could have it lead here.</summary>
internal sealed class MachineNames : IConfigureOptions<HostFilteringOptions>, IOptionsChangeTokenSource<HostFilteringOptions>, IDisposable
{
    private static readonly string[] OwnAlone = ["localhost", "127.0.0.1", "[::1]"];

    private readonly Settings settings;
    private CancellationTokenSource moved = new();

    public MachineNames(Settings settings)
    {
        this.settings = settings;
        Names = [];
        Addresses = [];
        Look();
        if (settings.Lan)
        {
            NetworkChange.NetworkAddressChanged += Changed;
        }
    }

    /// <summary>The kitchen's options have no name of their own.</summary>
    public string? Name => Options.DefaultName;

    /// <summary>Names on the network: what was told, then the machine's own.</summary>
    public IReadOnlyList<string> Names { get; private set; }

    /// <summary>Addresses on the network, those of the fourth version first.</summary>
    public IReadOnlyList<IPAddress> Addresses { get; private set; }

    /// <summary>What a tablet may be told, as it stands in a link: names that were said for it, then addresses.</summary>
    public IReadOnlyList<string> Told => [.. settings.Names, .. Bound is { } bind ? [Written(bind)] : Addresses.Select(Written)];

    /// <summary>The likeliest of them.</summary>
    public string First => Told is [var first, ..] ? first : OwnAlone[0];

    /// <summary>An address as it stands in a link.</summary>
    public static string Written(IPAddress address) => address.AddressFamily == AddressFamily.InterNetworkV6 ? $"[{address}]" : address.ToString();

    public void Configure(HostFilteringOptions options)
    {
        options.AllowEmptyHosts = false;
        options.IncludeFailureMessage = false;
        options.AllowedHosts = [.. OwnAlone, .. Names, .. Addresses.Select(Written)];
    }

    public IChangeToken GetChangeToken() => new CancellationChangeToken(moved.Token);

    public void Dispose()
    {
        NetworkChange.NetworkAddressChanged -= Changed;
        moved.Dispose();
    }

    // Where one address alone listens, and not every one.
    private IPAddress? Bound => settings.Bind is { } bind && IPAddress.Parse(bind) is var one && !one.Equals(IPAddress.Any) && !one.Equals(IPAddress.IPv6Any) ? one : null;

    // A machine that moves to another network is asked by another address from then on.
    private void Changed(object? sender, EventArgs e)
    {
        Look();
        var before = Interlocked.Exchange(ref moved, new());
        before.Cancel();
    }

    private void Look()
    {
        if (!settings.Lan)
        {
            return;
        }

        var host = Dns.GetHostName();
        Names = [.. settings.Names.Append(host).Append($"{host}.local").Distinct(StringComparer.OrdinalIgnoreCase)];
        Addresses =
        [
            .. NetworkInterface.GetAllNetworkInterfaces()
                .Where(i => i.OperationalStatus == OperationalStatus.Up && i.NetworkInterfaceType != NetworkInterfaceType.Loopback)
                .SelectMany(i => i.GetIPProperties().UnicastAddresses)
                .Select(a => a.Address)
                .Where(a => !a.IsIPv6LinkLocal && !IPAddress.IsLoopback(a))
                .Distinct()
                .OrderBy(a => a.AddressFamily == AddressFamily.InterNetworkV6),
        ];
    }
}
