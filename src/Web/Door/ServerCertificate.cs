using System.Net.Security;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;

namespace Ystrata.Web.Door;

/// <summary>What the server shows on the network: made by the kitchen's own authority, or read from a file that somebody renews.</summary>
internal sealed class ServerCertificate
{
    private readonly Func<(object Version, Func<SslStreamCertificateContext> Make)> now;
    private readonly Lock making = new();
    private (object Version, SslStreamCertificateContext Context)? made;

    private ServerCertificate(Func<(object, Func<SslStreamCertificateContext>)> now) => this.now = now;

    public static ServerCertificate Of(Authority authority) => new(() =>
    {
        var certificate = authority.ForServer();
        return (certificate, () => SslStreamCertificateContext.Create(certificate, null, offline: true));
    });

    /// <summary>From a file in PEM, with its chain, and a key in it or in another; or in PKCS #12 without a password.</summary>
    /// <exception cref="SettingsException">It cannot be read.</exception>
    public static ServerCertificate Of(string file, string? key)
    {
        var certificate = new ServerCertificate(() => (File.GetLastWriteTimeUtc(file), () => Read(file, key)));
        try
        {
            certificate.Context();
            return certificate;
        }
        catch (Exception e) when (e is CryptographicException or IOException or UnauthorizedAccessException or ArgumentException)
        {
            throw new SettingsException($"{file} is no certificate with its key that can be read (PEM, or PKCS #12 without a password): {e.Message}");
        }
    }

    /// <summary>As it is now. A file that cannot be read just now, since it is being renewed, leaves what was read before.</summary>
    public SslStreamCertificateContext Context()
    {
        lock (making)
        {
            var (version, make) = now();
            if (made is not { } before)
            {
                made = (version, make());
            }
            else if (!before.Version.Equals(version))
            {
                try
                {
                    made = (version, make());
                }
                catch (Exception e) when (e is CryptographicException or IOException)
                {
                    return before.Context;
                }
            }

            return made.Value.Context;
        }
    }

    private static SslStreamCertificateContext Read(string file, string? key)
    {
        if (X509Certificate2.GetCertContentType(file) == X509ContentType.Pkcs12)
        {
            return SslStreamCertificateContext.Create(X509CertificateLoader.LoadPkcs12FromFile(file, null), null, offline: true);
        }

        var chain = new X509Certificate2Collection();
        chain.ImportFromPemFile(file);
        return SslStreamCertificateContext.Create(X509Certificate2.CreateFromPemFile(file, key), chain, offline: true);
    }
}
