using System.Net;
using System.Net.Sockets;
using System.Text;

namespace Ystrata.Web.Tests;

/// <summary>One server for all that only asks it, over a real socket.</summary>
public sealed class OneServer : IAsyncLifetime, IDisposable
{
    private readonly RealServers servers = new();

    public Uri Address { get; private set; } = null!;

    public async Task InitializeAsync() => (_, Address) = await servers.Start();

    public Task DisposeAsync() => Task.CompletedTask;

    public void Dispose() => servers.Dispose();
}

/// <summary>Pages of other sites, in the browser that has this one open too: what they ask is not answered, and what they send changes nothing.</summary>
public sealed class OtherPagesTests(OneServer server) : IClassFixture<OneServer>
{
    private readonly Uri address = server.Address;

    [Theory]
    [InlineData("evil.example")]
    [InlineData("evil.example:80")]
    [InlineData("127.0.0.1.evil.example")]
    [InlineData("")]
    public async Task What_is_asked_of_another_name_is_not_answered(string host)
    {
        var answer = await Raw(address, $"GET /api/larder HTTP/1.1\r\nHost: {host}\r\nConnection: close\r\n\r\n");
        Assert.StartsWith("HTTP/1.1 400", answer, StringComparison.Ordinal);
        Assert.DoesNotContain("ghee", answer, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("Origin: http://evil.example")]
    [InlineData("Origin: null")]
    [InlineData("Origin: http://127.0.0.1:1")]
    [InlineData("Origin: https://{host}")]
    [InlineData("Referer: http://evil.example/page")]
    [InlineData("Sec-Fetch-Site: cross-site")]
    public async Task A_write_of_another_page_is_refused_even_with_the_header(string from)
    {
        var own = $"{OwnPagesOnly.Header}: here";
        Assert.StartsWith("HTTP/1.1 403", await Raw(address, Post(from.Replace("{host}", address.Authority, StringComparison.Ordinal), own)), StringComparison.Ordinal);
        Assert.StartsWith("HTTP/1.1 201", await Raw(address, Post($"Origin: http://{address.Authority}", own)), StringComparison.Ordinal);
        // As a form of another site would send it, from a browser that says nothing of where it is.
        Assert.StartsWith("HTTP/1.1 403", await Raw(address, Post("X-Nothing: 1", "Content-Type: text/plain")), StringComparison.Ordinal);

        string Post(string one, string two) => $"POST /api/keeping/backups HTTP/1.1\r\nHost: {address.Authority}\r\n{one}\r\n{two}\r\nContent-Length: 0\r\nConnection: close\r\n\r\n";
    }

    [Theory]
    [InlineData("text/plain")]
    [InlineData("application/x-www-form-urlencoded")]
    [InlineData("multipart/form-data")]
    [InlineData(null)]
    public async Task What_is_not_of_the_kind_that_is_taken_is_refused(string? kind)
    {
        using var client = RealServers.Client(address);
        foreach (var path in new[] { "/api/plan", "/api/larder/items", "/api/larder/import", "/api/files", "/api/keeping/backups/bring", "/api/log/import" })
        {
            using var body = new ByteArrayContent("{}"u8.ToArray());
            body.Headers.ContentType = kind is null ? null : new(kind);
            using var answer = await client.PostAsync(path, body);
            Assert.True(answer.StatusCode is HttpStatusCode.UnsupportedMediaType, $"{path}: {answer.StatusCode}");
        }
    }

    private static async Task<string> Raw(Uri address, string request)
    {
        using var client = new TcpClient();
        await client.ConnectAsync(IPAddress.Loopback, address.Port);
        await using var stream = client.GetStream();
        await stream.WriteAsync(Encoding.ASCII.GetBytes(request));
        using var reader = new StreamReader(stream);
        return await reader.ReadToEndAsync().WaitAsync(RealServers.Patience);
    }
}
