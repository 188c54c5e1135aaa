using System.Net;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;

namespace Ystrata.Web.Door;

/// <summary>
/// The kitchen's own certificate authority, which tablets are told to trust, and the server's certificate made by it. The authority is kept beside the
/// kitchen; the server's is made anew at every start, when the machine's names change, and before it runs out.
/// </summary>
internal sealed class Authority
{
    // Far longer than a tablet lives; then every tablet is told anew.
    private const int AuthorityYears = 10;

    // Browsers refuse certificates of own authorities that are good for more than 825 days.
    private const int ServerDays = 200, RenewedBefore = 60;

    // Clocks of tablets go wrong by hours.
    private static readonly TimeSpan Behind = TimeSpan.FromDays(1);

    private readonly X509Certificate2 own;
    private readonly TimeProvider time;
    private readonly MachineNames names;
    private readonly Lock making = new();
    private (X509Certificate2 Certificate, string For)? server;

    private Authority(X509Certificate2 own, MachineNames names, TimeProvider time) => (this.own, this.names, this.time) = (own, names, time);

    /// <summary>What a tablet installs, as a file.</summary>
    public byte[] File => own.Export(X509ContentType.Cert);

    /// <summary>By which a cook sees that what came to the tablet is what this machine made: SHA-256, in pairs.</summary>
    public string Fingerprint => string.Join(':', own.GetCertHash(HashAlgorithmName.SHA256).Select(b => b.ToString("X2", System.Globalization.CultureInfo.InvariantCulture)));

    /// <summary>Reads the authority that is kept in the folder, or makes one there.</summary>
    public static Authority Open(string folder, MachineNames names, TimeProvider time)
    {
        var path = Path.Combine(folder, "ystrata.authority.pem");
        if (System.IO.File.Exists(path))
        {
            var kept = X509Certificate2.CreateFromPemFile(path);
            if (kept.NotAfter.ToUniversalTime() - time.GetUtcNow().UtcDateTime > TimeSpan.FromDays(ServerDays))
            {
                return new(kept, names, time);
            }
        }

        var made = Make(time.GetUtcNow());
        using var key = made.GetECDsaPrivateKey()!;
        System.IO.File.WriteAllText(path, $"{made.ExportCertificatePem()}\n{key.ExportPkcs8PrivateKeyPem()}\n");
        return new(made, names, time);
    }

    /// <summary>The server's, good now and for the names there are now.</summary>
    public X509Certificate2 ForServer()
    {
        var wanted = string.Join(' ', [.. names.Names, .. names.Addresses]);
        lock (making)
        {
            if (server is not { } made || made.For != wanted || made.Certificate.NotAfter.ToUniversalTime() - time.GetUtcNow().UtcDateTime < TimeSpan.FromDays(RenewedBefore))
            {
                server = made = (Sign(), wanted);
            }

            return made.Certificate;
        }
    }

    private static X509Certificate2 Make(DateTimeOffset now)
    {
        using var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        var request = new CertificateRequest($"CN=Ystrata kitchen {RandomNumberGenerator.GetHexString(6)}", key, HashAlgorithmName.SHA256);
        request.CertificateExtensions.Add(new X509BasicConstraintsExtension(certificateAuthority: true, hasPathLengthConstraint: true, pathLengthConstraint: 0, critical: true));
        request.CertificateExtensions.Add(new X509KeyUsageExtension(X509KeyUsageFlags.KeyCertSign | X509KeyUsageFlags.CrlSign, critical: true));
        request.CertificateExtensions.Add(new X509SubjectKeyIdentifierExtension(request.PublicKey, critical: false));
        return request.CreateSelfSigned(now - Behind, now.AddYears(AuthorityYears));
    }

    private X509Certificate2 Sign()
    {
        var now = time.GetUtcNow();
        using var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        var request = new CertificateRequest("CN=Ystrata", key, HashAlgorithmName.SHA256);
        request.CertificateExtensions.Add(new X509BasicConstraintsExtension(false, false, 0, critical: true));
        request.CertificateExtensions.Add(new X509KeyUsageExtension(X509KeyUsageFlags.DigitalSignature, critical: true));
        request.CertificateExtensions.Add(new X509EnhancedKeyUsageExtension([new("1.3.6.1.5.5.7.3.1")], critical: false));
        request.CertificateExtensions.Add(X509AuthorityKeyIdentifierExtension.CreateFromCertificate(own, includeKeyIdentifier: true, includeIssuerAndSerial: false));
        var called = new SubjectAlternativeNameBuilder();
        called.AddDnsName("localhost");
        called.AddIpAddress(IPAddress.Loopback);
        foreach (var name in names.Names)
        {
            called.AddDnsName(name);
        }

        foreach (var address in names.Addresses)
        {
            called.AddIpAddress(address);
        }

        request.CertificateExtensions.Add(called.Build());
        using var signed = request.Create(own, now - Behind, now.AddDays(ServerDays), RandomNumberGenerator.GetBytes(16));
        return signed.CopyWithPrivateKey(key);
    }
}
