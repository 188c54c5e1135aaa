using Microsoft.AspNetCore.Mvc;
using Ystrata.Core;
using Ystrata.Store;
using Ystrata.Web.Live;

namespace Ystrata.Web.Endpoints;

/// <param name="Kept">Daily backups that stay.</param>
/// <param name="TrashDays">Days until what is in the trash is gone.</param>
/// <param name="Damaged">The kitchen's own file is: the newest copy that was tried was not sound.</param>
public sealed record KeepingView(IReadOnlyList<BackupFile> Backups, IReadOnlyList<Trashed> Trash, int Kept, int TrashDays, bool Damaged);

/// <param name="Before">The backup of how it was before.</param>
public sealed record RestoredView(BackupFile Before);

public static class KeepingEndpoints
{
    private const long MostBackupBytes = 2_000_000_000;

    public static void MapKeeping(this RouteGroupBuilder keeping)
    {
        keeping.MapGet("", All).WithName("keeping").WithSummary("Backups and what lies in the trash.");
        keeping.MapPost("backups", Make).WithName("makeBackup").Produces<BackupFile>(201).WithSummary("Backs the kitchen up as it stands, while it runs.");
        keeping.MapPost("backups/bring", Bring)
            .WithName("bringBackup")
            .Accepts<byte[]>("application/octet-stream")
            .Produces<BackupFile>(201)
            .WithMetadata(new RequestSizeLimitAttribute(MostBackupBytes))
            .WithSummary("Takes in a backup from elsewhere, once it is found sound.");
        keeping.MapGet("backups/{name}", Find).WithName("backup").Produces(200, contentType: "application/vnd.sqlite3");
        keeping.MapGet("backups/{name}/preview", Preview).WithName("previewBackup").Produces<RestorePreview>().WithSummary("What a restore would change.");
        keeping.MapPost("backups/{name}/restore", Restore).Tells(Place.Kitchen).WithName("restoreBackup").Produces<RestoredView>().WithSummary("Makes the kitchen what it was then, whole or not at all; how it is now is backed up first.");
    }

    private static KeepingView All(Backups backups, Trash trash) => new(backups.All(), trash.All(), Backups.Kept, Trash.Days, backups.Damaged is not null);

    private static IResult Make(Backups backups, TimeProvider time)
    {
        try
        {
            var file = backups.Make(time.GetUtcNow());
            return Results.Created($"/api/keeping/backups/{file.Name}", file);
        }
        catch (BackupException)
        {
            return Results.Problem(
                "The kitchen's own file is damaged, and no sound copy of it can be made. Restore one of the backups there are.", statusCode: StatusCodes.Status500InternalServerError, title: "Damaged");
        }
    }

    private static async Task<IResult> Bring(HttpRequest request, Backups backups, TimeProvider time)
    {
        try
        {
            var file = await backups.Bring(request.Body, time.GetUtcNow(), request.HttpContext.RequestAborted);
            return Results.Created($"/api/keeping/backups/{file.Name}", file);
        }
        catch (BackupException e)
        {
            return Refused(e);
        }
    }

    private static IResult Find(string name, Backups backups) =>
        backups.PathOf(name) is { } path ? Results.File(path, "application/vnd.sqlite3", name) : Results.NotFound();

    private static IResult Preview(string name, Backups backups)
    {
        try
        {
            return Results.Ok(backups.Preview(name));
        }
        catch (BackupException e)
        {
            return Refused(e);
        }
    }

    private static IResult Restore(string name, Backups backups, KitchenLarder kitchen, RunningServices services, TimeProvider time)
    {
        try
        {
            var before = backups.Restore(name, time.GetUtcNow());
            kitchen.Anew();
            services.Forget();
            return Results.Ok(new RestoredView(before));
        }
        catch (BackupException e)
        {
            return Refused(e);
        }
    }

    private static IResult Refused(BackupException e) => e.Fault switch
    {
        BackupFault.NotThere => Results.NotFound(),
        BackupFault.Foreign => Problems.From([new("file", RefusalCode.ForeignFile)])!,
        BackupFault.Newer => Problems.From([new("file", RefusalCode.NewerFile)])!,
        _ => Problems.From([new("file", RefusalCode.BrokenFile)])!,
    };
}
