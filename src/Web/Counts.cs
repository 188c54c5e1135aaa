using System.Diagnostics.Metrics;
using OpenTelemetry.Metrics;
using Ystrata.Store;
using Ystrata.Web.Door;
using Ystrata.Web.Live;

namespace Ystrata.Web;

/// <summary>What is counted of this kitchen, for whoever looks after it: nothing of what is cooked. The platform counts requests and its own memory itself.</summary>
internal sealed class Counts
{
    private const string Meter = "Ystrata";

    private static readonly string[] Platform = ["Microsoft.AspNetCore.Hosting", "Microsoft.AspNetCore.Server.Kestrel", "Microsoft.AspNetCore.RateLimiting", "System.Runtime"];

    private readonly Counter<long> plans, presses, wrong;

    public Counts(IMeterFactory meters, KitchenDb kitchen, Backups backups, LiveStreams streams, KnownScreens screens, TimeProvider time)
    {
        var meter = meters.Create(Meter, Release.Version);
        plans = meter.CreateCounter<long>("ystrata.plans", "{plan}", "Batches planned");
        presses = meter.CreateCounter<long>("ystrata.stove.presses", "{press}", "Presses at the stove that counted");
        wrong = meter.CreateCounter<long>("ystrata.door.wrong", "{try}", "Wrong passphrases and codes");
        meter.CreateObservableGauge("ystrata.streams", () => streams.Room.Open, "{screen}", "Screens that listen");
        meter.CreateObservableGauge("ystrata.screens", () => screens.All.Count, "{screen}", "Screens that were let in");
        meter.CreateObservableGauge("ystrata.kitchen.size", () => new FileInfo(kitchen.File).Length, "By", "The kitchen's file");
        meter.CreateObservableGauge("ystrata.backups", () => backups.All().Count, "{backup}", "Backups there are");
        meter.CreateObservableGauge("ystrata.backup.age", () => backups.All() is [var newest, ..] ? (time.GetUtcNow() - newest.MadeAt).TotalSeconds : double.NaN, "s", "Since the newest backup");
    }

    public static void Add(IServiceCollection services)
    {
        services.AddSingleton<Counts>();
        services.AddOpenTelemetry().WithMetrics(m => m.AddMeter([Meter, .. Platform]).AddPrometheusExporter());
    }

    /// <summary>Told to this machine alone.</summary>
    public static void Map(WebApplication app)
    {
        // From the first request on, also where nobody counts anything yet.
        _ = app.Services.GetRequiredService<Counts>();
        app.MapPrometheusScrapingEndpoint("/metrics").RequireAuthorization(WhoMay.OnMachine);
    }

    public void Planned() => plans.Add(1);

    public void Pressed() => presses.Add(1);

    public void Wrong() => wrong.Add(1);
}
