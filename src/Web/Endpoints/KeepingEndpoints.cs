using Microsoft.AspNetCore.Mvc;
using Ystrata.Store;
using Ystrata.Web.Demo;
using Ystrata.Web.Files;
using Ystrata.Web.Live;

namespace Ystrata.Web.Endpoints;

/// <param name="Kept">Daily backups that stay.</param>
/// <param name="TrashDays">Days until what is in the trash is gone.</param>
/// <param name="OthersKept">Other backups that stay.</param>
/// <param name="Damaged">The kitchen's own file is: the newest copy that was tried was not sound.</param>
/// <param name="LittleRoom">On the kitchen's disk.</param>
/// <param name="Elsewhere">Nothing where no folder elsewhere is filled.</param>
public sealed record KeepingView(IReadOnlyList<BackupFile> Backups, int Kept, int OthersKept, int TrashDays, bool Damaged, bool LittleRoom, ElsewhereView? Elsewhere);

/// <summary>The folder that gets the daily backup too.</summary>
/// <param name="Newest">Nothing when no copy can be seen there.</param>
/// <param name="Old">Somebody has to look after it.</param>
/// <param name="Trouble">How the last try ended.</param>
public sealed record ElsewhereView(string Folder, DateTimeOffset? Newest, bool Old, ElsewhereTrouble Trouble);

/// <param name="Before">The backup of how it was before.</param>
public sealed record RestoredView(BackupFile Before);

public static class KeepingEndpoints
{
    private const long MostBackupBytes = 2_000_000_000;

    public static void MapKeeping(this RouteGroupBuilder keeping)
    {
        keeping.MapGet("", All).WithName("keeping").WithSummary("Backups, and how safely they lie.");
        keeping.MapGet("trash", Deleted).WithName("trash").Produces<IReadOnlyList<Trashed>>().WithSummary("What was deleted last first, in pages.");
        keeping.MapGet("demo", (DemoKitchen demo) => demo.View()).WithName("demo").WithSummary("How much of the demo is in the kitchen.");
        keeping.MapPost("demo", (DemoKitchen demo) => demo.Fill()).Tells(Place.Kitchen).IsDear().WithName("fillDemo").WithSummary("Lays the demo beside what there is; sent twice it counts once.");
        keeping.MapDelete("demo", (DemoKitchen demo) => demo.TakeOut()).Tells(Place.Kitchen).IsDear().WithName("takeDemoOut").WithSummary("Puts what nobody has changed of the demo into the trash, and the larder back to what it was.");
        keeping.MapPost("backups", Make).IsWhole().WithName("makeBackup").Produces<BackupFile>(201).WithSummary("Backs the current up as it stands, while it runs.");
        keeping.MapPost("backups/bring", Bring)
            .IsWhole()
            .WithName("bringBackup")
            .Accepts<byte[]>("application/octet-stream")
            .Produces<BackupFile>(201)
            .WithMetadata(new RequestSizeLimitAttribute(MostBackupBytes))
            .WithSummary("Takes in a backup from elsewhere, once it is found sound.");
        keeping.MapGet("backups/{name}", Find).WithName("backup").Produces<Stream>(200, "application/vnd.sqlite3");
        keeping.MapDelete("backups/{name}", Delete).WithName("deleteBackup").Produces(204).ProducesProblem(409).WithSummary("Deletes one that was not made by itself, for good.");
        keeping.MapGet("backups/{name}/preview", Preview).IsDear().WithName("previewBackup").Produces<RestorePreview>().WithSummary("What a restore would change.");
        keeping.MapPost("backups/{name}/restore", Restore).Tells(Place.Kitchen).IsWhole().WithName("restoreBackup").Produces<RestoredView>().WithSummary("Makes the current what it was then, whole or not at all; how it is now is backed up first.");
    }

    private static KeepingView All(KitchenDb current, Backups backups, BackupsElsewhere elsewhere, TimeProvider time) => new(
        backups.All(),
        Backups.Kept,
        Backups.OthersKept,
        Trash.Days,
        backups.Damaged is not null,
        Health.HasLittleRoom(current),
        elsewhere.Folder is { } there ? new(there, elsewhere.Newest, elsewhere.IsOld(time.GetUtcNow()), elsewhere.Trouble) : null);

    private static IResult Deleted(HttpContext http, Trash trash, Guid? after = null, int most = Pages.Usual) =>
        Pages.Of(http, after?.ToString(), most, count => trash.Latest(count, after), t => t.Id.ToString(), t => t);

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

    private static IResult Delete(string name, Backups backups)
    {
        try
        {
            backups.Delete(name);
            return Results.NoContent();
        }
        catch (BackupException e)
        {
            return Refused(e);
        }
    }

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

    private static IResult Restore(string name, Backups backups, CurrentKitchen current, RunningServices services, TimeProvider time)
    {
        try
        {
            var before = backups.Restore(name, time.GetUtcNow());
            current.Anew();
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
        BackupFault.Daily => Results.Problem($"The daily backups go by themselves: the newest {Backups.Kept} stay.", statusCode: StatusCodes.Status409Conflict, title: "Not taken"),
        BackupFault.Foreign => Problems.From([new("file", FileRefusals.ForeignFile)])!,
        BackupFault.Newer => Problems.From([new("file", FileRefusals.NewerFile)])!,
        _ => Problems.From([new("file", FileRefusals.BrokenFile)])!,
    };
}
