using Ystrata.Core;
using Ystrata.Store;

namespace Ystrata.Web.Endpoints;

public static class LogEndpoints
{
    public static void MapLog(this RouteGroupBuilder log)
    {
        log.MapGet("", Latest).WithName("log").WithSummary("Cookings, newest first, planned beside actual.");
        log.MapPost("", Add).WithName("addLogEntry").Produces<LogView>(201);
        log.MapGet("{id:guid}", Find).WithName("logEntry").Produces<LogView>();
        log.MapPut("{id:guid}", Change).WithName("changeLogEntry").Produces<LogView>();
        log.MapDelete("{id:guid}", Delete).WithName("deleteLogEntry").Produces(204);
        log.MapPost("{id:guid}/restore", Restore).WithName("restoreLogEntry").Produces(204).WithSummary("Takes a delete back.");
    }

    private static IEnumerable<LogView> Latest(Logbook log, Larder larder) =>
        log.Latest(Common.MostListed).Select(l => LogView.Of(l, larder));

    private static IResult Find(Guid id, Logbook log, Larder larder) =>
        Common.Found(log.Find(id) is { } line ? LogView.Of(line, larder) : null);

    // The entry keeps the spec the batch has now: what is changed in the batch later does not change the record.
    private static IResult Add(LogBody body, Logbook log, Batches batches, Larder larder, TimeProvider clock)
    {
        var batch = batches.Find(body.BatchId);
        var refusals = Check(body);
        if (batch is null)
        {
            refusals.Add(new("batchId", RefusalCode.Missing));
        }

        if (Problems.From(refusals) is { } problem)
        {
            return problem;
        }

        var entry = new LogEntry(Guid.CreateVersion7(), body.BatchId, batch!.Spec, body.CookedAt, body.Outcome, clock.GetUtcNow());
        log.Add(entry);
        return Results.Created($"/api/log/{entry.Id}", LogView.Of(new(entry, batch.Name), larder));
    }

    private static IResult Change(Guid id, LogBody body, Logbook log, Larder larder, TimeProvider clock)
    {
        if (Problems.From(Check(body)) is { } problem)
        {
            return problem;
        }

        if (log.Find(id) is not { } line)
        {
            return Results.NotFound();
        }

        var entry = line.Entry with { CookedAt = body.CookedAt, Outcome = body.Outcome, ChangedAt = clock.GetUtcNow() };
        return Common.Found(log.Change(entry) ? LogView.Of(line with { Entry = entry }, larder) : null);
    }

    private static IResult Delete(Guid id, Logbook log, TimeProvider clock) => Common.Done(log.Delete(id, clock.GetUtcNow()));

    private static IResult Restore(Guid id, Logbook log) => Common.Done(log.Restore(id));

    private static List<Refusal> Check(LogBody body) =>
        [.. LogCheck.Check(body.Outcome).Select(r => r with { Field = $"outcome.{r.Field}" })];
}
