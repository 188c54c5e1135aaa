using Serilog;
using Serilog.Events;
using Serilog.Formatting.Compact;
using Ystrata.Web.Door;

namespace Ystrata.Web;

/// <summary>
/// What is written down of the program's work, a JSON line each: into a folder of the kitchen's in files that go by themselves, and on the console what
/// is worth looking at. A request leaves its method, path, status, time and trace id; what it asked for or carried, and what anybody typed, never.
/// </summary>
internal static class Logs
{
    // A week or two of a busy kitchen, and never more of its disk than this.
    private const long FileBytes = 5_000_000;

    private const int Files = 10;

    private static readonly TimeSpan OnDisk = TimeSpan.FromSeconds(1);

    public static void Add(IServiceCollection services, Settings settings, string folder) => services.AddSerilog(log => log
        .MinimumLevel.Information()
        .MinimumLevel.Override("Microsoft", LogEventLevel.Warning)
        .MinimumLevel.Override("System", LogEventLevel.Warning)
        // Its keys lie in the kitchen's own folder, which is its owner's alone as the kitchen is.
        .MinimumLevel.Override("Microsoft.AspNetCore.DataProtection.KeyManagement.XmlKeyManager", LogEventLevel.Error)
        // A request that fails is told once, by its own line, with what was thrown.
        .MinimumLevel.Override("Microsoft.AspNetCore.Diagnostics.ExceptionHandlerMiddleware", LogEventLevel.Fatal)
        .Enrich.WithProperty("Version", Release.Version)
        .WriteTo.Console(new CompactJsonFormatter(), settings.Verbose ? LogEventLevel.Information : LogEventLevel.Warning)
        .WriteTo.File(
            new CompactJsonFormatter(), Path.Combine(folder, "ystrata-logs", "ystrata-.jsonl"), rollingInterval: RollingInterval.Day, rollOnFileSizeLimit: true,
            fileSizeLimitBytes: FileBytes, retainedFileCountLimit: Files, buffered: true, flushToDiskInterval: OnDisk));

    public static void Requests(WebApplication app) => app.UseSerilogRequestLogging(o =>
    {
        o.MessageTemplate = "{RequestMethod} {RequestPath} {StatusCode} in {Elapsed} ms";
        // How somebody asks whether all is well, every few seconds, says nothing.
        o.GetLevel = (http, _, thrown) => thrown is not null || http.Response.StatusCode >= 500 ? LogEventLevel.Error
            : http.Request.Path.StartsWithSegments("/healthz") || http.Request.Path.StartsWithSegments("/metrics") ? LogEventLevel.Verbose
            : LogEventLevel.Information;
        o.EnrichDiagnosticContext = (said, http) =>
        {
            if (WhoMay.ScreenOf(http.User) is { } screen)
            {
                said.Set("Screen", screen);
            }
        };
    });
}
