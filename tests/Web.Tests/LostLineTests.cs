using System.Net;
using System.Net.Sockets;
using System.Text;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Connections.Features;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Http;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.Extensions.DependencyInjection;
using Ystrata.Web.Live;

namespace Ystrata.Web.Tests;

/// <summary>A connection that breaks behind one answer and before the next: the server does not tell the second request of it.</summary>
public sealed class LostLineTests : IDisposable
{
    private const string Before = "/answered-while-the-line-breaks";

    private readonly WebKitchen kitchen = new();
    private readonly WebApplicationFactory<Program> real;
    private readonly TaskCompletionSource<int> listened = new(TaskCreationOptions.RunContinuationsAsynchronously);

    public LostLineTests()
    {
        real = kitchen.WithWebHostBuilder(b => b.UseSetting("port", "0").ConfigureServices(s => s.AddSingleton<IStartupFilter>(new AnswersWhileTheLineBreaks(listened))));
        real.UseKestrel();
    }

    public void Dispose()
    {
        real.Dispose();
        kitchen.Dispose();
    }

    [Fact]
    public async Task A_screen_whose_line_broke_before_it_was_taken_keeps_no_place()
    {
        using var client = real.CreateClient();
        using (var screen = new TcpClient())
        {
            await screen.ConnectAsync(IPAddress.Loopback, client.BaseAddress!.Port);
            await screen.GetStream().WriteAsync(Encoding.ASCII.GetBytes(Asks(Before) + Asks("/api/live")));
            Assert.NotEqual(0, await screen.GetStream().ReadAsync(new byte[4096]));
            screen.Client.Shutdown(SocketShutdown.Send);
            // It was taken, and ended because nobody is there.
            Assert.Equal(StatusCodes.Status499ClientClosedRequest, await listened.Task.WaitAsync(RealServers.Patience));
        }

        Assert.Equal(0, real.Services.GetRequiredService<LiveStreams>().Room.Open);

        string Asks(string path) => $"GET {path} HTTP/1.1\r\nHost: {client.BaseAddress.Authority}\r\n{OwnPagesOnly.Header}: here\r\n\r\n";
    }

    /// <summary>Sends its answer whole, and ends once the connection has.</summary>
    private sealed class AnswersWhileTheLineBreaks(TaskCompletionSource<int> listened) : IStartupFilter
    {
        public Action<IApplicationBuilder> Configure(Action<IApplicationBuilder> next) => app =>
        {
            app.Use(async (http, more) =>
            {
                if (http.Request.Path == "/api/live")
                {
                    http.Response.OnCompleted(() => Task.FromResult(listened.TrySetResult(http.Response.StatusCode)));
                }

                if (http.Request.Path != Before)
                {
                    await more();
                    return;
                }

                // That it is asked for is what has the server keep it for the next request.
                _ = http.RequestAborted;
                http.Response.ContentLength = 2;
                await http.Response.Body.WriteAsync("{}"u8.ToArray(), CancellationToken.None);
                var broken = http.Features.GetRequiredFeature<IConnectionLifetimeFeature>().ConnectionClosed;
                await Task.Delay(Timeout.Infinite, broken).ConfigureAwait(ConfigureAwaitOptions.SuppressThrowing);
                // The server hears of it beside this.
                await Task.Delay(200, CancellationToken.None);
            });
            next(app);
        };
    }
}
