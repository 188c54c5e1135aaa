using System.Text;
using Microsoft.AspNetCore.Mvc;
using Ystrata.Store;
using Ystrata.Web.Files;

namespace Ystrata.Web.Endpoints;

public static class BatchEndpoints
{
    public static void MapBatches(this RouteGroupBuilder batches)
    {
        batches.MapGet("", Latest).WithName("batches").Produces<IReadOnlyList<BatchView>>().WithSummary("The batches changed last first, in pages.");
        batches.MapPost("", Add).WithName("addBatch").CountsOnce<BatchView>().WithSummary("Keeps a new batch; the same with the same id counts once.");
        batches.MapGet("{id:guid}", Find).WithName("batch").Produces<BatchView>();
        batches.MapGet("{id:guid}/planned", PlannedOf).WithName("plannedBatch").Produces<PlannedView>().WithSummary("The figures the log lays beside what happened.");
        batches.MapGet("{id:guid}/balls.csv", BallsOf).WithName("exportBalls").Produces<Stream>(200, "text/csv").WithSummary("The tray: what each ball should weigh and what it does.");
        batches.MapPut("{id:guid}", Change).WithName("changeBatch").Produces<BatchView>().WantsVersion<BatchView>();
        batches.MapDelete("{id:guid}", Delete).WithName("deleteBatch").Produces(204).WantsVersion<BatchView>();
        batches.MapPost("{id:guid}/restore", Restore).WithName("restoreBatch").Produces(204).WithSummary("Takes a delete back.");
    }

    private static IResult Latest(HttpContext http, Batches batches, Guid? after = null, int most = Pages.Usual) =>
        Pages.Of(http, after?.ToString(), most, count => batches.Latest(count, after), b => b.Id.ToString(), BatchView.Of);

    private static IResult Find(Guid id, Batches batches) => batches.Find(id) is { } b ? Conditions.Tagged(Results.Ok(BatchView.Of(b)), b.Version) : Results.NotFound();

    private static IResult PlannedOf(Guid id, Batches batches, Services services, Kitchen kitchen)
    {
        if (batches.Find(id) is not { } batch)
        {
            return Results.NotFound();
        }

        if (Sheets.Of(batch.Spec, kitchen) is not { } sheet)
        {
            return Results.Ok(new PlannedView(batch.Name, null, null, Outcome.Nothing));
        }

        // The batch itself is the first bread of a service that was begun from it.
        var run = services.OfBatch(id) is { } kept ? new StoveRun(kept.Service, services.Events(kept.Id), 0) : null;
        return Results.Ok(new PlannedView(batch.Name, Planned.Before(batch.Spec, kitchen), Glance.Of(sheet), Gathered.Of(batch.Spec, sheet, run, kitchen)));
    }

    private static IResult BallsOf(Guid id, Batches batches, Kitchen kitchen)
    {
        if (batches.Find(id) is not { } batch)
        {
            return Results.NotFound();
        }

        var plan = Planner.Plan(batch.Spec, kitchen);
        return plan.Value is { } sheet
            ? Results.File(Encoding.UTF8.GetBytes(BallsCsv.Write(sheet.Balls)), "text/csv; charset=utf-8", $"{ItemIds.FileName(batch.Name)}-balls.csv")
            : Problems.From(plan.Refusals)!;
    }

    private static IResult Add(BatchBody body, Batches batches, Breads breads, Kitchen kitchen, TimeProvider clock)
    {
        if (Problems.From(Check(body, breads, kitchen)) is { } problem)
        {
            return problem;
        }

        var batch = ToBatch(body.Id ?? Guid.CreateVersion7(), body, clock);
        return batches.Add(batch)
            ? Conditions.Tagged(Results.Created($"/api/batches/{batch.Id}", BatchView.Of(batch)), batch.Version)
            : Conditions.Again(batches.Find(batch.Id), batch.Version, BatchView.Of, b => b.Version);
    }

    private static IResult Change(Guid id, BatchBody body, [FromHeader(Name = Conditions.Header)] string? ifMatch, Batches batches, Breads breads, Kitchen kitchen, TimeProvider clock) =>
        Conditions.Refuse(ifMatch, out var meant)
        ?? Problems.From(Check(body, breads, kitchen))
        ?? Conditions.Changed(batches.Change(ToBatch(id, body, clock), meant), BatchView.Of, b => b.Version);

    private static IResult Delete(Guid id, [FromHeader(Name = Conditions.Header)] string? ifMatch, Batches batches, TimeProvider clock) =>
        Conditions.Refuse(ifMatch, out var meant) ?? Conditions.Deleted(batches.Delete(id, clock.GetUtcNow(), meant), BatchView.Of, b => b.Version);

    private static IResult Restore(Guid id, Batches batches) => Common.Done(batches.Restore(id));

    private static Batch ToBatch(Guid id, BatchBody body, TimeProvider clock) =>
        new(id, body.BreadId, body.Name.Trim(), body.Spec, body.MadeFor, clock.GetUtcNow());

    // A bread that was deleted meanwhile still stands behind its batches; one that never was does not.
    private static List<Refusal> Check(BatchBody body, Breads breads, Kitchen kitchen) =>
    [
        .. Common.CheckName(body.Name),
        .. Common.CheckDay("madeFor", body.MadeFor),
        .. body.BreadId is { } id && !breads.Known(id) ? [new Refusal("breadId", RefusalCode.Missing)] : Array.Empty<Refusal>(),
        .. Common.CheckSpec(body.Spec, kitchen),
    ];
}
