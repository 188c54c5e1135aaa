using System.Text.Json;
using Microsoft.AspNetCore.Mvc;
using Ystrata.Store;
using Ystrata.Web.Files;
using Ystrata.Web.Live;

namespace Ystrata.Web.Endpoints;

/// <summary>How far the reading of a file is; the last line says how it ended.</summary>
/// <param name="Taken">Bytes read, and <paramref name="Of"/> all there are.</param>
/// <param name="Staged">At the end, when it can be taken in.</param>
/// <param name="Bad">At the end, when it cannot: the lines and their reasons.</param>
/// <param name="Problem">At the end, when the file as a whole cannot be read.</param>
public sealed record FileStep(long Taken, long Of, int Records, StagedView? Staged = null, IReadOnlyList<BadLine>? Bad = null, Refusal? Problem = null);

/// <summary>A file that was read and can be taken in.</summary>
public sealed record StagedView(Guid Id, StagedPreview Preview);

/// <param name="Weighed">Nothing may be laid on the tray while <paramref name="Bad"/> is not empty.</param>
public sealed record BallsView(IReadOnlyList<Grams> Weighed, IReadOnlyList<BadLine> Bad);

/// <summary>The kitchen as a file, out and in.</summary>
public static class FileEndpoints
{
    private const long MostFileBytes = 2_000_000_000;

    private static readonly TimeSpan BetweenSteps = TimeSpan.FromMilliseconds(100);

    public static void MapFiles(this RouteGroupBuilder files)
    {
        files.MapGet("kitchen", Export).WithName("exportKitchen").Produces<Stream>(200, "application/json").WithSummary("Everything this kitchen has, as one JSON document.");
        files.MapGet("breads/{id:guid}", Bread).WithName("exportBread").Produces<Stream>(200, "application/json").WithSummary("One bread and what it needs of the larder, as such a document.");
        files.MapPost("", Read)
            .IsWhole()
            .WithName("readKitchenFile")
            .Accepts<byte[]>("application/json")
            .Produces<FileStep>(200, "application/x-ndjson")
            .WithMetadata(new RequestSizeLimitAttribute(MostFileBytes))
            .WithSummary("Reads such a document and says what it would change; one line of JSON a step. Nothing is kept yet.");
        files.MapPost("{id:guid}/take", Take).Tells(Place.Kitchen).IsWhole().WithName("takeKitchenFile").Produces<RestoredView>().WithSummary("Takes in what was read, whole or not at all; how it is now is backed up first.");
        files.MapPost("balls", Balls).WithName("readBalls").Accepts<byte[]>("text/csv").Produces<BallsView>().WithMetadata(new RequestSizeLimitAttribute(Problems.MostFileBytes))
            .WithSummary("Weighed balls from a file, in the order of their numbers; keeps nothing.");
        files.MapDelete("{id:guid}", Leave).WithName("leaveKitchenFile").Produces(204);
    }

    private static IResult Export(WholeKitchen whole, TimeProvider time)
    {
        var now = time.GetUtcNow();
        return Results.Stream(body => KitchenFile.Write(body, whole.All(), now), "application/json; charset=utf-8", $"ystrata-kitchen-{now:yyyy-MM-dd}.json");
    }

    private static IResult Bread(Guid id, Breads breads, WholeKitchen whole, TimeProvider time) => breads.Find(id) is { } bread
        ? Results.Stream(body => KitchenFile.Write(body, whole.Of(bread), time.GetUtcNow()), "application/json; charset=utf-8", $"{ItemIds.FileName(bread.Name)}.json")
        : Results.NotFound();

    private static async Task Read(HttpContext http, KitchenDb store, CurrentKitchen current, Breads breads, Batches batches, Photos photos, StagedFiles staged)
    {
        var gone = http.RequestAborted;
        var staging = new Staging(store);
        var kept = false;
        try
        {
            // Whole first: a browser reads no answer while it sends.
            await using var file = new FileStream(Path.Combine(staging.Folder, "sent.json"), FileMode.CreateNew, FileAccess.ReadWrite, FileShare.None, 1 << 16, FileOptions.DeleteOnClose);
            await http.Request.Body.CopyToAsync(file, gone);
            file.Position = 0;
            http.Response.ContentType = "application/x-ndjson";
            var intake = new KitchenIntake(file, staging, current, breads, batches, photos);
            var reading = intake.Begin(gone);
            try
            {
                do
                {
                    await Say(new(intake.Taken, file.Length, intake.Count));
                }
                while (await Task.WhenAny(reading, Task.Delay(BetweenSteps, gone)) != reading);
            }
            finally
            {
                await reading.ContinueWith(_ => { }, TaskScheduler.Default);
            }

            FileStep last;
            try
            {
                await reading;
                if (intake.Bad.Count > 0)
                {
                    last = new(intake.Taken, file.Length, intake.Count, Bad: intake.Bad);
                }
                else
                {
                    staging.Close();
                    var preview = staging.Preview();
                    last = new(file.Length, file.Length, intake.Count, new(staged.Add(staging), preview));
                    kept = true;
                }
            }
            catch (FileException e)
            {
                last = new(intake.Taken, file.Length, intake.Count, Problem: e.Refusal);
            }

            await Say(last);
        }
        finally
        {
            if (!kept)
            {
                staging.Dispose();
            }
        }

        async Task Say(FileStep step)
        {
            await http.Response.Body.WriteAsync(JsonSerializer.SerializeToUtf8Bytes(step, SpecJson.Options), gone);
            await http.Response.Body.WriteAsync("\n"u8.ToArray(), gone);
            await http.Response.Body.FlushAsync(gone);
        }
    }

    private static IResult Take(
        Guid id, HttpResponse response, KitchenDb store, StagedFiles staged, Backups backups, CurrentKitchen current, RunningServices services, TimeProvider time, bool replace = false)
    {
        using var staging = staged.Take(id);
        if (staging is null)
        {
            return Results.NotFound();
        }

        BackupFile? before = null;
        staging.Take(replace, () => before = backups.Make(time.GetUtcNow()));
        current.Anew();
        services.Forget();
        response.OnCompleted(() => Task.Run(store.Settle));
        return Results.Ok(new RestoredView(before!));
    }

    private static async Task<IResult> Balls(HttpRequest request)
    {
        if (await Common.FileOf(request) is not { } bytes)
        {
            return Results.StatusCode(413);
        }

        var file = BallsCsv.Read(bytes);
        return file.Problem is { } problem ? Problems.From([problem])! : Results.Ok(new BallsView(file.Weighed, file.Bad));
    }

    private static IResult Leave(Guid id, StagedFiles staged)
    {
        using var staging = staged.Take(id);
        return Common.Done(staging is not null);
    }
}
