using Microsoft.Data.Sqlite;
using Ystrata.Store;

namespace Ystrata.Web;

/// <summary>Once a day a backup is made and what lay in the trash for thirty days is taken out.</summary>
public sealed partial class DailyKeeping(Backups backups, Trash trash, Breads breads, TimeProvider time, ILogger<DailyKeeping> log) : BackgroundService
{
    private static readonly TimeSpan Every = TimeSpan.FromMinutes(20);

    /// <summary>Does what today still wants.</summary>
    public void LookAfter()
    {
        if (!breads.NeverUsed() && backups.MakeDaily(time.GetUtcNow()))
        {
            trash.Empty(time.GetUtcNow());
        }
    }

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        // The server answers first.
        await Task.Yield();
        using var timer = new PeriodicTimer(Every, time);
        try
        {
            do
            {
                try
                {
                    LookAfter();
                }
                catch (Exception e) when (e is IOException or UnauthorizedAccessException or SqliteException)
                {
                    // A full disk is no reason to stop serving; it is tried again.
                    NotMade(e);
                }
            }
            while (await timer.WaitForNextTickAsync(stoppingToken));
        }
        catch (OperationCanceledException) when (stoppingToken.IsCancellationRequested)
        {
            // The server stops.
        }
    }

    [LoggerMessage(LogLevel.Error, "No backup could be made today.")]
    private partial void NotMade(Exception e);
}
