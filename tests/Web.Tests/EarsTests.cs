using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;
using System.Text;
using System.Text.Json.Nodes;

namespace Ystrata.Web.Tests;

/// <summary>The two ears of the program over real sockets: who is heard by which, and in what.</summary>
public sealed class EarsTests : IDisposable
{
    private const string Words = "radish and nigella";

    private static readonly string[] Lan = ["--lan", "true", "--lan-port", "0", "--bind", "127.0.0.1"];

    private readonly RealServers servers = new();

    public void Dispose() => servers.Dispose();

    [Fact]
    public async Task Without_being_told_it_listens_to_this_machine_alone_and_asks_nobody_for_a_passphrase()
    {
        var (_, address) = await servers.Start();
        using var client = RealServers.Client(address);
        Assert.Equal(HttpStatusCode.OK, (await client.GetAsync("/api/larder")).StatusCode);
        var screens = (await client.GetFromJsonAsync<JsonNode>("/api/screens"))!;
        Assert.False((bool)screens["lan"]!);
        Assert.Equal(HttpStatusCode.Conflict, (await client.PostAsJsonAsync("/api/screens/codes", new { kind = "all" })).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await client.GetAsync("/authority.crt")).StatusCode);
    }

    [Fact]
    public async Task The_machine_comes_in_by_its_own_ear_and_the_network_by_the_passphrase_over_a_certificate_it_can_trust()
    {
        var (_, here, there) = await servers.StartOnNetwork(Lan);
        using var machine = RealServers.Client(here);
        Assert.Equal(HttpStatusCode.NoContent, (await machine.PutAsJsonAsync("/api/screens/passphrase", new { passphrase = Words })).StatusCode);
        Assert.Equal("https", there.Scheme);

        using var authority = X509CertificateLoader.LoadCertificate(await machine.GetByteArrayAsync("/authority.crt"));
        using var trusting = Trusting(authority);
        using var screen = await Stranger(there, trusting);
        Assert.Equal(HttpStatusCode.Unauthorized, (await screen.GetAsync("/api/larder")).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await screen.PostAsJsonAsync("/api/door/passphrase", new { passphrase = Words, name = "Tablet", kind = "stove" })).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await screen.GetAsync("/api/larder")).StatusCode);

        // What nobody told it to trust, it does not.
        using var strict = new HttpClient { BaseAddress = there };
        await Assert.ThrowsAsync<HttpRequestException>(() => strict.GetAsync("/api/door"));
    }

    [Fact]
    public async Task At_a_terminal_it_is_typed_twice_and_a_wrong_letter_can_be_taken_back()
    {
        const string set = "--set-passphrase";
        Assert.Contains("8 to 200", await servers.AtTerminal(["short"], set, "true"), StringComparison.Ordinal);
        Assert.Contains("not the same", await servers.AtTerminal([Words, Words + "s"], set, "true"), StringComparison.Ordinal);
        Assert.Contains("is set", await servers.AtTerminal([Words + "x\u007f", Words], set, "true"), StringComparison.Ordinal);

        var (_, _, there) = await servers.StartOnNetwork(Lan);
        using var anything = new HttpClientHandler { ServerCertificateCustomValidationCallback = HttpClientHandler.DangerousAcceptAnyServerCertificateValidator };
        using var screen = await Stranger(there, anything);
        Assert.Equal(HttpStatusCode.OK, (await screen.PostAsJsonAsync("/api/door/passphrase", new { passphrase = Words, name = "Tablet", kind = "all" })).StatusCode);
    }

    [Fact]
    public async Task Nobody_is_let_in_before_a_passphrase_is_set_and_one_that_is_set_by_command_is_heard_at_once()
    {
        var (_, here, there) = await servers.StartOnNetwork(Lan);
        using var anything = new HttpClientHandler { ServerCertificateCustomValidationCallback = HttpClientHandler.DangerousAcceptAnyServerCertificateValidator };
        using var screen = await Stranger(there, anything);
        using var early = await screen.PostAsJsonAsync("/api/door/passphrase", new { passphrase = Words, name = "Tablet", kind = "all" });
        Assert.Equal("noPassphrase", (string)(await WebKitchen.Json(early))["code"]!);

        Assert.Contains("8 to 200", await servers.Say("short\n", "--set-passphrase", "true"), StringComparison.Ordinal);
        Assert.Contains("is set", await servers.Say(Words + "\n", "--set-passphrase", "true"), StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.OK, (await screen.PostAsJsonAsync("/api/door/passphrase", new { passphrase = Words, name = "Tablet", kind = "all" })).StatusCode);
        using var machine = RealServers.Client(here);
        Assert.Single((await machine.GetFromJsonAsync<JsonNode>("/api/screens"))!["screens"]!.AsArray());
    }

    [Fact]
    public async Task A_screen_stays_in_when_the_program_is_started_again_and_so_does_the_certificate()
    {
        var (server, here, there) = await servers.StartOnNetwork(Lan);
        using var machine = RealServers.Client(here);
        await machine.PutAsJsonAsync("/api/screens/passphrase", new { passphrase = Words });
        using var authority = X509CertificateLoader.LoadCertificate(await machine.GetByteArrayAsync("/authority.crt"));
        using var trusting = Trusting(authority);
        using var screen = await Stranger(there, trusting);
        await screen.PostAsJsonAsync("/api/door/passphrase", new { passphrase = Words, name = "Tablet", kind = "all" });
        server.Kill();
        await server.WaitForExitAsync();

        var (_, _, again) = await servers.StartOnNetwork([.. Lan[..3], there.Port.ToString(System.Globalization.CultureInfo.InvariantCulture), .. Lan[4..]]);
        Assert.Equal(there, again);
        Assert.Equal(HttpStatusCode.OK, (await screen.GetAsync("/api/larder")).StatusCode);
    }

    [Fact]
    public async Task What_a_named_proxy_says_of_who_asks_is_taken_and_nobody_elses()
    {
        var (_, here, there) = await servers.StartOnNetwork([.. Lan, "--proxy", "127.0.0.1", "--host", "kitchen.example"]);
        using var machine = RealServers.Client(here);
        await machine.PutAsJsonAsync("/api/screens/passphrase", new { passphrase = Words });
        Assert.Equal("https://kitchen.example/", there.ToString());
        // A proxy that asks by the ear of the machine would make everybody the machine.
        machine.DefaultRequestHeaders.Add("X-Forwarded-For", "203.0.113.9");
        using var misled = await machine.GetAsync("/api/larder");
        Assert.Equal(HttpStatusCode.Forbidden, misled.StatusCode);
        Assert.Contains("--proxy", (string)(await WebKitchen.Json(misled))["detail"]!, StringComparison.Ordinal);

        using var proxied = new HttpClient { BaseAddress = new($"http://127.0.0.1:{servers.NetworkPort}") };
        proxied.DefaultRequestHeaders.Host = "kitchen.example";
        proxied.DefaultRequestHeaders.Add("X-Forwarded-For", "203.0.113.9");
        proxied.DefaultRequestHeaders.Add("X-Forwarded-Proto", "https");
        using var door = await proxied.GetAsync("/api/door");
        Assert.Contains("secure", door.Headers.GetValues("Set-Cookie").First(), StringComparison.Ordinal);
        proxied.DefaultRequestHeaders.Add(OwnPagesOnly.Header, (string)(await WebKitchen.Json(door))["token"]!);
        proxied.DefaultRequestHeaders.Add("Cookie", door.Headers.GetValues("Set-Cookie").First().Split(';')[0]);
        proxied.DefaultRequestHeaders.Add("Origin", "https://kitchen.example");
        Assert.Equal(HttpStatusCode.Forbidden, (await proxied.PostAsJsonAsync("/api/door/passphrase", new { passphrase = "wrong altogether", name = "Tablet", kind = "all" })).StatusCode);
        machine.DefaultRequestHeaders.Remove("X-Forwarded-For");
        Assert.Equal("203.0.113.9", (string)(await machine.GetFromJsonAsync<JsonNode>("/api/screens"))!["wrong"]![0]!["address"]!);
    }

    [Fact]
    public async Task Where_another_is_the_proxy_this_one_may_not_come_by_its_ear()
    {
        await servers.StartOnNetwork([.. Lan, "--proxy", "203.0.113.1", "--host", "kitchen.example"]);
        using var client = new HttpClient { BaseAddress = new($"http://127.0.0.1:{servers.NetworkPort}") };
        client.DefaultRequestHeaders.Host = "kitchen.example";
        client.DefaultRequestHeaders.Add("X-Forwarded-For", "127.0.0.1");
        Assert.Equal(HttpStatusCode.Forbidden, (await client.GetAsync("/api/door")).StatusCode);
    }

    [Fact]
    public async Task A_certificate_of_ones_own_is_shown_and_the_new_one_when_its_file_is_renewed()
    {
        var file = Path.Combine(servers.Folder, "own.pem");
        Write(file, "CN=first");
        var (_, _, there) = await servers.StartOnNetwork([.. Lan, "--cert", file]);
        Assert.Equal("CN=first", await Shown(there));
        Write(file, "CN=second");
        System.IO.File.SetLastWriteTimeUtc(file, DateTime.UtcNow.AddMinutes(1));
        Assert.Equal("CN=second", await Shown(there));
        // Half written it is not taken, and what was there goes on.
        await System.IO.File.WriteAllTextAsync(file, "-----BEGIN CERT");
        System.IO.File.SetLastWriteTimeUtc(file, DateTime.UtcNow.AddMinutes(2));
        Assert.Equal("CN=second", await Shown(there));
    }

    [Theory]
    [InlineData("say --lan too", "--plain", "true")]
    [InlineData("no address", "--lan", "true", "--bind", "kitchen")]
    [InlineData("no address", "--lan", "true", "--proxy", "nginx")]
    [InlineData("no name", "--lan", "true", "--host", "two words")]
    [InlineData("of no use", "--lan", "true", "--plain", "true", "--cert", "own.pem")]
    [InlineData("no certificate", "--lan", "true", "--cert", "nowhere.pem")]
    [InlineData("say --cert too", "--lan", "true", "--cert-key", "own.key")]
    [InlineData("inside the program", "--data", "{program}/data")]
    [InlineData("0 to 65535", "--lan", "true", "--lan-port", "70000")]
    public async Task What_cannot_be_is_said_in_one_sentence(string why, params string[] told)
    {
        var said = await servers.Refused([.. told.Select(t => t.Replace("{program}", RealServers.Lies, StringComparison.Ordinal))]);
        Assert.Contains(why, said, StringComparison.Ordinal);
    }

    [Fact]
    public async Task Two_thousand_idle_connections_and_slow_senders_keep_nobody_out()
    {
        const int many = 2000, slow = 50;
        var (_, address) = await servers.Start();
        var open = new List<TcpClient>();
        try
        {
            for (var i = 0; i < many + slow; i++)
            {
                var one = new TcpClient();
                await one.ConnectAsync(IPAddress.Loopback, address.Port);
                if (i >= many)
                {
                    await one.GetStream().WriteAsync(Encoding.ASCII.GetBytes($"POST /api/plan HTTP/1.1\r\nHost: {address.Authority}\r\n{OwnPagesOnly.Header}: here\r\nContent-Type: application/json\r\nContent-Length: 9000\r\n\r\n{{"));
                }

                open.Add(one);
            }

            using var client = RealServers.Client(address);
            using var planned = await client.PostAsync("/api/plan", WebKitchen.Body(WebKitchen.Squares()));
            Assert.Equal(HttpStatusCode.OK, planned.StatusCode);
        }
        finally
        {
            open.ForEach(o => o.Dispose());
        }
    }

    // As a tablet does that was told to trust the authority, and nothing else.
    private static HttpClientHandler Trusting(X509Certificate2 authority) => new()
    {
        ServerCertificateCustomValidationCallback = (_, shown, chain, errors) =>
        {
            chain!.ChainPolicy.TrustMode = X509ChainTrustMode.CustomRootTrust;
            chain.ChainPolicy.CustomTrustStore.Add(authority);
            chain.ChainPolicy.RevocationMode = X509RevocationMode.NoCheck;
            return chain.Build(shown!) && (errors & System.Net.Security.SslPolicyErrors.RemoteCertificateNameMismatch) == 0;
        },
    };

    private static async Task<HttpClient> Stranger(Uri there, HttpMessageHandler handler)
    {
        var client = new HttpClient(handler, disposeHandler: false) { BaseAddress = there };
        client.DefaultRequestHeaders.Add(OwnPagesOnly.Header, (string)(await client.GetFromJsonAsync<JsonNode>("/api/door"))!["token"]!);
        return client;
    }

    private static void Write(string file, string name)
    {
        using var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        using var made = new CertificateRequest(name, key, HashAlgorithmName.SHA256).CreateSelfSigned(DateTimeOffset.UtcNow.AddDays(-1), DateTimeOffset.UtcNow.AddDays(9));
        System.IO.File.WriteAllText(file, $"{made.ExportCertificatePem()}\n{key.ExportPkcs8PrivateKeyPem()}\n");
    }

    private static async Task<string> Shown(Uri there)
    {
        string? subject = null;
        using var looking = new HttpClientHandler
        {
            ServerCertificateCustomValidationCallback = (_, shown, _, _) =>
            {
                subject = shown!.Subject;
                return true;
            },
        };
        using var client = new HttpClient(looking) { BaseAddress = there };
        await client.GetAsync("/api/door");
        return subject!;
    }
}
