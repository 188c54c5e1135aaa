using System.Net;
using System.Security.Cryptography.X509Certificates;
using Ystrata.Web.Door;

namespace Ystrata.Web.Tests;

/// <summary>The certificates a kitchen makes for itself.</summary>
public sealed class AuthorityTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("ystrata-authority-").FullName;
    private readonly Calendar calendar = new();
    private readonly MachineNames names = new(new Settings { Lan = true, Host = "kitchen.example" });

    public void Dispose()
    {
        names.Dispose();
        Directory.Delete(folder, recursive: true);
    }

    [Fact]
    public void The_server_s_is_for_the_names_and_addresses_of_the_machine_and_good_by_the_authority()
    {
        var authority = Open();
        var server = authority.ForServer();
        Assert.True(server.MatchesHostname("kitchen.example"));
        Assert.True(server.MatchesHostname("localhost"));
        Assert.False(server.MatchesHostname("evil.example"));
        Assert.All(names.Addresses.Append(IPAddress.Loopback), a => Assert.True(server.MatchesHostname(a.ToString())));
        Assert.True(server.HasPrivateKey);
        using var chain = new X509Chain();
        chain.ChainPolicy.TrustMode = X509ChainTrustMode.CustomRootTrust;
        chain.ChainPolicy.CustomTrustStore.Add(X509CertificateLoader.LoadCertificate(authority.File));
        chain.ChainPolicy.RevocationMode = X509RevocationMode.NoCheck;
        Assert.True(chain.Build(server));
        // What a browser takes of an own authority at most.
        Assert.True(server.NotAfter - server.NotBefore < TimeSpan.FromDays(398));
    }

    [Fact]
    public void The_server_s_is_made_anew_in_good_time_and_not_before()
    {
        var authority = Open();
        var first = authority.ForServer();
        calendar.Now += TimeSpan.FromDays(139);
        Assert.Same(first, authority.ForServer());
        calendar.Now += TimeSpan.FromDays(2);
        var second = authority.ForServer();
        Assert.NotSame(first, second);
        Assert.True(second.NotAfter.ToUniversalTime() - calendar.Now.UtcDateTime > TimeSpan.FromDays(190));
    }

    [Fact]
    public void The_authority_stays_for_years_and_is_made_anew_before_it_runs_out()
    {
        var first = Open().Fingerprint;
        Assert.Equal(first, Open().Fingerprint);
        calendar.Now += TimeSpan.FromDays(9 * 365);
        Assert.Equal(first, Open().Fingerprint);
        calendar.Now += TimeSpan.FromDays(200);
        Assert.NotEqual(first, Open().Fingerprint);
    }

    private Authority Open() => Authority.Open(folder, names, calendar);

    private sealed class Calendar : TimeProvider
    {
        public DateTimeOffset Now { get; set; } = DateTimeOffset.UtcNow;

        public override DateTimeOffset GetUtcNow() => Now;
    }
}
