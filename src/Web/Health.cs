using Microsoft.AspNetCore.Diagnostics.HealthChecks;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.Diagnostics.HealthChecks;
using Ystrata.Store;
using Ystrata.Web.Door;

namespace Ystrata.Web;

/// <summary>Whether the kitchen is well: what is ill is answered 503, what wants looking after 200, each in one line of words.</summary>
internal static class Health
{
    // Without so many bytes nothing is safely kept; with less than a copy of the kitchen takes, somebody should make room.
    private const long LeastRoom = 50_000_000, LittleRoom = 500_000_000;

    // A kitchen that is in use has a copy of these days.
    private static readonly TimeSpan OldBackup = TimeSpan.FromDays(2);

    public static void Add(IServiceCollection services) => services.AddHealthChecks()
        .Add<KitchenDb>("disk", kitchen =>
        {
            try
            {
                kitchen.TryToWrite();
                return HealthCheckResult.Healthy();
            }
            catch (Exception e) when (e is IOException or UnauthorizedAccessException or SqliteException)
            {
                return HealthCheckResult.Unhealthy("nothing can be written to the kitchen's disk");
            }
        })
        .Add<KitchenDb>("room", kitchen => Room(kitchen) switch
        {
            < LeastRoom => HealthCheckResult.Unhealthy("there is no room left on the kitchen's disk"),
            < LittleRoom => HealthCheckResult.Degraded("there is little room left on the kitchen's disk"),
            _ => HealthCheckResult.Healthy(),
        })
        .Add<Backups>("file", backups => backups.Damaged is null ? HealthCheckResult.Healthy() : HealthCheckResult.Unhealthy("the kitchen's file is damaged: restore a sound backup"))
        .Add<Backups, TimeProvider>("backup", (backups, time) => backups.All() is { Count: > 0 } all && time.GetUtcNow() - all[0].MadeAt > OldBackup
            ? HealthCheckResult.Degraded("the newest sound backup is old")
            : HealthCheckResult.Healthy())
        .Add<BackupsElsewhere, TimeProvider>("elsewhere", (elsewhere, time) => elsewhere.IsOld(time.GetUtcNow())
            ? HealthCheckResult.Degraded("the newest backup in the folder elsewhere is old")
            : HealthCheckResult.Healthy());

    public static void Map(WebApplication app) => app.MapHealthChecks("/healthz", new HealthCheckOptions
    {
        ResponseWriter = (http, report) =>
        {
            http.Response.ContentType = "text/plain; charset=utf-8";
            var words = report.Entries.Where(e => e.Value.Status != HealthStatus.Healthy).OrderBy(e => e.Value.Status).Select(e => e.Value.Description ?? e.Key).ToList();
            return http.Response.WriteAsync((words.Count == 0 ? "well" : string.Join('\n', words)) + $"\nYstrata {Release.Version}");
        },
    }).RequireAuthorization(WhoMay.ForStove);

    /// <summary>There is so little room on the kitchen's disk that somebody should make some.</summary>
    public static bool HasLittleRoom(KitchenDb kitchen) => Room(kitchen) < LittleRoom;

    private static long Room(KitchenDb kitchen) => new DriveInfo(Path.GetDirectoryName(kitchen.File)!).AvailableFreeSpace;

    private static IHealthChecksBuilder Add<T>(this IHealthChecksBuilder checks, string name, Func<T, HealthCheckResult> look)
        where T : notnull => checks.Add(new(name, s => new Check(() => look(s.GetRequiredService<T>())), null, null));

    private static IHealthChecksBuilder Add<T1, T2>(this IHealthChecksBuilder checks, string name, Func<T1, T2, HealthCheckResult> look)
        where T1 : notnull
        where T2 : notnull => checks.Add(new(name, s => new Check(() => look(s.GetRequiredService<T1>(), s.GetRequiredService<T2>())), null, null));

    private sealed class Check(Func<HealthCheckResult> look) : IHealthCheck
    {
        public Task<HealthCheckResult> CheckHealthAsync(HealthCheckContext context, CancellationToken cancellationToken = default) => Task.FromResult(look());
    }
}
