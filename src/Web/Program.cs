using System.Globalization;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.AspNetCore.ResponseCompression;
using Ystrata.Instruments;
using Ystrata.Store;
using Ystrata.Web;
using Ystrata.Web.Demo;
using Ystrata.Web.Door;
using Ystrata.Web.Endpoints;
using Ystrata.Web.Files;
using Ystrata.Web.Live;
using Ystrata.Web.Words;

var builder = WebApplication.CreateBuilder(args);
Settings settings;
try
{
    settings = Settings.Read(builder.Configuration, args);
}
catch (SettingsException e)
{
    Console.Error.WriteLine(e.Message);
    return 1;
}

// A clock that is pushed is for tests alone.
if (settings.Shift is not null && !builder.Environment.IsEnvironment("Testing"))
{
    Console.Error.WriteLine("A shifted clock is for tests: start with --environment Testing, or without --shift.");
    return 1;
}

Start.GiveBackAtOnce();
var folder = Path.GetFullPath(settings.Data);
if (Start.IsInside(folder, AppContext.BaseDirectory))
{
    Console.Error.WriteLine($"{folder} lies inside the program, which another version takes the place of. Say another folder with --data.");
    return 1;
}

KitchenLock? alone;
KitchenDb kitchen;
Screens screens;
Catalogues catalogues;
try
{
    catalogues = new(settings.Words is { Length: > 0 } ? Path.GetFullPath(settings.Words) : null);
    Start.KeepPrivate(folder);
    screens = Screens.Open(Path.Combine(folder, "ystrata.screens.db"));
    if (settings.SetPassphrase || (settings.Lan && screens.Passphrase is null && FirstPassphrase.SomebodyIsThere))
    {
        var wrong = FirstPassphrase.Read(new(screens));
        if (wrong is not null || settings.SetPassphrase)
        {
            Console.Error.WriteLine(wrong ?? "The passphrase is set.");
            return wrong is null ? 0 : 1;
        }
    }

    alone = KitchenLock.Take(folder);
    if (alone is null)
    {
        Console.Error.WriteLine($"Another Ystrata works on the kitchen in {folder} already. Use that one, or say another folder with --data.");
        return 1;
    }

    kitchen = KitchenDb.Open(Path.Combine(folder, "ystrata.db"));
    kitchen.Workshop.Clear();
}
catch (Exception e) when (Start.Words(e, folder) is { } words)
{
    Console.Error.WriteLine(words);
    return 1;
}

Logs.Add(builder.Services, settings, folder);
builder.WebHost.ConfigureKestrel(o =>
{
    o.AddServerHeader = false;
    o.Limits.MaxRequestBodySize = Problems.MostBodyBytes;
    Ears.Open(o, settings, settings.Tls ? o.ApplicationServices.GetRequiredService<ServerCertificate>().Context : null);
});
// After whatever else would be read with: what is on the wire is what is in the store.
builder.Services.PostConfigure<JsonOptions>(o => SpecJson.Configure(o.SerializerOptions));
builder.Services.Configure<RouteHandlerOptions>(o => o.ThrowOnBadRequest = true);
builder.Services.AddProblemDetails(o => o.CustomizeProblemDetails = c => Problems.Complete(c.HttpContext, c.ProblemDetails));
builder.Services.AddExceptionHandler<Problems>();
builder.Services.AddOpenApi(o => o
    .AddSchemaTransformer<MeasureSchemas>()
    .AddDocumentTransformer((document, _, _) =>
    {
        // The description is committed beside the types made from it, so nothing of this machine may stand in it.
        document.Info.Title = "Ystrata";
        document.Servers?.Clear();
        // HEAD is answered wherever GET is, and says nothing of its own.
        foreach (var path in document.Paths.Values)
        {
            path.Operations?.Remove(HttpMethod.Head);
        }

        return Task.CompletedTask;
    }));
builder.Services.AddResponseCompression(o =>
{
    // Of the quick ones, the one that makes what a kitchen sends four times smaller than the other.
    o.Providers.Add<GzipCompressionProvider>();
    o.MimeTypes = [.. ResponseCompressionDefaults.MimeTypes, Problems.ContentType, "application/ld+json", "application/schema+json", "text/calendar", "text/csv"];
});
Limits.Add(builder.Services);
builder.Services.AddSingleton(settings);
try
{
    WhoMay.Add(builder.Services, settings, screens, folder);
}
catch (SettingsException e)
{
    Console.Error.WriteLine(e.Message);
    return 1;
}

Health.Add(builder.Services);
Counts.Add(builder.Services);
builder.Services.AddSingleton(settings.Shift is { Length: > 0 } shift ? new ShiftedTime(shift) : TimeProvider.System);
builder.Services.AddSingleton<KitchenLock>(_ => alone);
builder.Services.AddSingleton(kitchen);
builder.Services.AddSingleton<Breads>();
builder.Services.AddSingleton<Glances>();
builder.Services.AddSingleton<ShelfGlances>();
builder.Services.AddSingleton<Batches>();
builder.Services.AddSingleton<Logbook>();
builder.Services.AddSingleton<Record>();
builder.Services.AddSingleton<Photos>();
builder.Services.AddSingleton<Backups>();
builder.Services.AddSingleton(s => new BackupsElsewhere(s.GetRequiredService<Backups>(), settings.BackupTo is { Length: > 0 } elsewhere ? Path.GetFullPath(elsewhere) : null));
builder.Services.AddSingleton<Trash>();
builder.Services.AddSingleton<WholeKitchen>();
builder.Services.AddSingleton<StagedFiles>();
builder.Services.AddHostedService<DailyKeeping>();
builder.Services.AddSingleton<Pantry>();
builder.Services.AddSingleton<CurrentKitchen>();
// Every request works with the larder as it stood when it came in.
builder.Services.AddTransient(s => s.GetRequiredService<Said>().Kitchen(s.GetRequiredService<CurrentKitchen>().Taught));
// What the server words, it words in the language of the request.
builder.Services.AddTransient(_ => catalogues.In(CultureInfo.CurrentUICulture));
builder.Services.AddRequestLocalization(o =>
{
    // Figures on the wire are the same in every language.
    o.DefaultRequestCulture = new(CultureInfo.InvariantCulture, catalogues.Languages[0]);
    o.SupportedCultures = [CultureInfo.InvariantCulture];
    o.SupportedUICultures = catalogues.Languages;
});
builder.Services.AddSingleton<PracticeScores>();
builder.Services.AddSingleton<Days>();
builder.Services.AddSingleton<Services>();
builder.Services.AddTransient<Clocks>();
builder.Services.AddTransient<DayPlans>();
builder.Services.AddSingleton<RunningServices>();
builder.Services.AddHostedService(s => s.GetRequiredService<RunningServices>());
builder.Services.AddSingleton<Changes>();
builder.Services.AddSingleton<LiveStreams>();
builder.Services.AddSingleton<ScaleFeed>();
builder.Services.AddSingleton<DemoKitchen>();
// --scale /dev/ttyUSB0 listens to a scale on a serial line; without it the stand-in is on the bench.
builder.Services.AddSingleton<IScale>(s => settings.Scale is { Length: > 0 } device
    ? new LineScale(device, s.GetRequiredService<TimeProvider>())
    : new SimulatedScale(s.GetRequiredService<TimeProvider>()));
// --probe does the same for a pan probe.
builder.Services.AddSingleton<IPanProbe>(s => settings.Probe is { Length: > 0 } device
    ? new LineProbe(device, s.GetRequiredService<TimeProvider>())
    : new SimulatedProbe(s.GetRequiredService<TimeProvider>()));

var app = builder.Build();
// Held until the program ends.
_ = app.Services.GetRequiredService<KitchenLock>();
if (settings.Demo)
{
    app.Services.GetRequiredService<DemoKitchen>().FillIfEmpty();
}

app.UseMiddleware<Headers>();
app.UseRequestLocalization();
Logs.Requests(app);
app.UseExceptionHandler();
app.UseStatusCodePages(Problems.Word);
Ears.TrustProxies(app, settings);
app.UseResponseCompression();
app.UseDefaultFiles();
app.UseRouting();
app.UseAuthentication();
app.UseMiddleware<OwnPagesOnly>();
app.UseRateLimiter();
app.UseAuthorization();
app.UseMiddleware<TellsChanges>();

app.MapStaticAssets().AllowAnonymous();
app.MapOpenApi().AlsoHead();
app.MapGet("/formats/kitchen.schema.json", () => Results.Text(KitchenFile.Schema, "application/schema+json")).AllowAnonymous().ExcludeFromDescription().AlsoHead();
app.MapGet("/authority.crt", (IServiceProvider services) => services.GetService<Authority>() is { } authority ? Results.File(authority.File, "application/x-x509-ca-cert", "ystrata-authority.crt") : Results.NotFound())
    .AllowAnonymous().ExcludeFromDescription().AlsoHead();
Health.Map(app);
Counts.Map(app);

var api = app.MapGroup("/api").AsUsual();
api.MapGroup("/plan").WithTags("Plan").MapPlan();
api.MapGroup("/ledger").WithTags("Plan").MapLedger();
api.MapGroup("/compare").WithTags("Fold").MapCompare();
api.MapGroup("/reverse").WithTags("Fold").MapReverse();
api.MapGroup("/hands").WithTags("Fold").Tells(Place.Larder).MapHands();
api.MapGroup("/scale").WithTags("Scale").MapScale();
api.MapGroup("/probe").WithTags("Pan").MapProbe();
api.MapGroup("/pan").WithTags("Pan").MapPan();
api.MapGroup("/clock").WithTags("Clock").MapClock();
api.MapGroup("/live").WithTags("Live").MapLive();
api.MapGroup("/services").WithTags("Stove").Tells(Place.Services).MapServices();
api.MapGroup("/practice").WithTags("Pan").MapPractice();
api.MapGroup("/larder").WithTags("Larder").Tells(Place.Larder).MapLarder();
api.MapGroup("/vessels").WithTags("Larder").Tells(Place.Larder).MapVessels();
api.MapGroup("/measure").WithTags("Larder").MapMeasure();
api.MapGroup("/breads").WithTags("Breads").Tells(Place.Breads).MapBreads();
api.MapGroup("/schools").WithTags("Breads").MapSchools();
api.MapGroup("/batches").WithTags("Batches").Tells(Place.Batches).MapBatches();
api.MapGroup("/batches").WithTags("Clock").MapTimetable();
api.MapGroup("/log").WithTags("Log").Tells(Place.Log).MapLog();
api.MapGroup("/photos").WithTags("Log").MapPhotos();
api.MapGroup("/days").WithTags("Days").Tells(Place.Days).MapDays();
api.MapGroup("/keeping").WithTags("Keeping").MapKeeping();
api.MapGroup("/files").WithTags("Files").MapFiles();
api.MapGroup("/files/recipes").WithTags("Files").MapRecipes();
api.MapGroup("/packets").WithTags("Files").MapPackets();
api.MapGroup("/door").WithTags("Screens").MapDoor();
api.MapGroup("/screens").WithTags("Screens").MapScreens();
api.MapGroup("/learned").WithTags("Log").Tells(Place.Learned).MapLearned();

try
{
    app.Start();
}
catch (Exception e) when (Start.Words(e, folder) is { } words)
{
    Console.Error.WriteLine(words);
    return 1;
}

Console.WriteLine($"Ystrata is at {app.Urls.FirstOrDefault()}");
if (settings.Lan)
{
    ActivatorUtilities.CreateInstance<Welcome>(app.Services).Say();
}

app.WaitForShutdown();
// The last lines of the log are on the disk then.
((IDisposable)app).Dispose();
return 0;

/// <summary>Named so that the tests can start the same program.</summary>
public partial class Program;
