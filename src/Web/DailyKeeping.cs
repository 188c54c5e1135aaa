using Microsoft.Data.Sqlite;
using Ystrata.Store;

namespace Ystrata.Web;

/// <summary>
/// Once a day a backup is made and what lay in the trash for thirty days is taken out: thirty days by today's clock and by that of the day of the
/// backup before, so that a clock that jumps for a day takes nothing with it.
/// </summary>
public sealed partial class DailyKeeping(KitchenDb kitchen, Backups backups, Trash trash, Breads breads, BackupsElsewhere elsewhere, TimeProvider time, ILogger<DailyKeeping> log) : BackgroundService
{
    private static readonly TimeSpan Every = TimeSpan.FromMinutes(20);

    /// <summary>Does what today still wants.</summary>
    public void LookAfter()
    {
        kitchen.Settle();
        var now = time.GetUtcNow();
        if (!breads.NeverUsed() && backups.DayBefore(now) is var before && backups.MakeDaily(now) && before is { } agreed)
        {
            trash.Empty(agreed);
        }

        elsewhere.Fill();
        if (elsewhere.Trouble != ElsewhereTrouble.None)
        {
            NotCopied(elsewhere.Folder, elsewhere.Trouble);
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
                catch (Exception e) when (e is IOException or UnauthorizedAccessException or SqliteException or BackupException)
                {
                    // A full disk, or a damaged page, is no reason to stop serving; it is tried again.
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

    [LoggerMessage(LogLevel.Error, "No backup could be copied to {Folder}: {Trouble}.")]
    private partial void NotCopied(string? folder, ElsewhereTrouble trouble);

    [LoggerMessage(LogLevel.Error, "No backup could be made today.")]
    private partial void NotMade(Exception e);
}
