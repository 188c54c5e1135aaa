using System.Globalization;
using System.Text;
using Microsoft.AspNetCore.Mvc;
using Ystrata.Store;
using Ystrata.Web.Files;
using Ystrata.Web.Live;

namespace Ystrata.Web.Endpoints;

/// <param name="BatchId">Of a cooking that is being written down; nothing for one that is kept.</param>
/// <param name="EntryId">Of a cooking that is kept.</param>
/// <param name="Outcome">With the faults that are to be explained.</param>
public sealed record ExplainBody(Guid? BatchId, Guid? EntryId, Outcome Outcome);

/// <param name="BatchId">Of a cooking that is being written down; nothing for one that is kept.</param>
/// <param name="EntryId">Of a cooking that is kept.</param>
/// <param name="Faces">At most one photo of each face.</param>
public sealed record FacesBody(Guid? BatchId, Guid? EntryId, IReadOnlyList<FacePhoto> Faces);

/// <param name="Wanted">How dark both faces should be.</param>
/// <param name="Planned">How dark the first and the second would be as planned; none where the batch can no longer be worked.</param>
public sealed record FacesView(IReadOnlyList<FaceColour> Faces, double Wanted, IReadOnlyList<double> Planned);

/// <summary>Two to four cookings side by side.</summary>
/// <param name="Rows">What matters on top; from <see cref="ComparedRow.Differs"/> 1 on it does.</param>
public sealed record ComparedView(IReadOnlyList<ComparedCooking> Cookings, IReadOnlyList<ComparedRow> Rows);

public sealed record ComparedCooking(Guid Id, string Name, DateTimeOffset CookedAt);

/// <summary>What the log says over many cookings, the newest first.</summary>
public sealed record TrendsView(IReadOnlyList<TrendPoint> Thirst, IReadOnlyList<TrendPoint> Squeeze, IReadOnlyList<LeavesPoint> Leaves, IReadOnlyList<TrendPoint> PanSeconds);

public static class LogEndpoints
{
    private const int LongestFind = 80;

    public static void MapLog(this RouteGroupBuilder log)
    {
        log.MapGet("", Page).WithName("log").Produces<LogPageView>().WithSummary("A page of cookings, newest first: by words in name and note, bread, flour or fault.");
        log.MapPost("", Add).WithName("addLogEntry").CountsOnce<LogView>();
        log.MapGet("compare", Compare).WithName("compareCookings").Produces<ComparedView>().WithSummary("Two to four cookings figure by figure, what matters on top.");
        log.MapGet("trends", Trends).WithName("trends");
        log.MapGet("export", Export).WithName("exportLog").Produces<Stream>(200, "text/csv");
        log.MapPost("import", Import).WithName("importLog").Accepts<byte[]>("text/csv").Produces<ImportView>().WithMetadata(new RequestSizeLimitAttribute(Problems.MostFileBytes))
            .WithSummary("Reads a log file and says what it would change; with take it is kept, all of it or nothing.");
        log.MapPost("explain", Explain).Tells(null).WithName("explainFaults").Produces<IReadOnlyList<Complaint>>().WithSummary("What in a cooking's own figures explains its faults, the likeliest first.");
        log.MapPost("faces", Faces).Tells(null).WithName("readFaces").Produces<FacesView>().WithSummary("The colour each photographed face has reached, from the averages of the white beside it and of the face.");
        log.MapGet("{id:guid}", Find).WithName("logEntry").Produces<LogView>();
        log.MapPut("{id:guid}", Change).WithName("changeLogEntry").Produces<LogView>().WantsVersion<LogView>();
        log.MapDelete("{id:guid}", Delete).WithName("deleteLogEntry").Produces(204).WantsVersion<LogView>();
        log.MapPost("{id:guid}/restore", Restore).WithName("restoreLogEntry").Produces(204).WithSummary("Takes a delete back.");
    }

    private static IResult Page(Logbook log, string? find = null, Guid? bread = null, string? flour = null, string? fault = null, string? after = null)
    {
        if (Problems.From([.. Common.CheckText("find", find ?? "", 0, LongestFind), .. Common.CheckText("flour", flour ?? "", 0, LongestFind)]) is { } problem)
        {
            return problem;
        }

        var mark = after is null ? null : MarkOf(after);
        if (after is not null && mark is null)
        {
            return Problems.From([new("after", RefusalCode.Unreadable)])!;
        }

        if (fault is not null && !Enum.GetNames<Symptom>().Contains(fault, StringComparer.OrdinalIgnoreCase))
        {
            return Problems.From([new("fault", FileRefusals.NotInList, Item: fault)])!;
        }

        var page = log.Find(new LogQuery(find?.Trim(), bread, flour, fault is null ? null : Enum.Parse<Symptom>(fault, ignoreCase: true), mark));
        return Results.Ok(new LogPageView(page.Lines, page.Count, page.Lines.Count < LogQuery.Page ? null : TextOf(page.Lines[^1])));
    }

    private static string TextOf(LogLine line) => $"{line.CookedAt.UtcTicks.ToString(CultureInfo.InvariantCulture)}_{line.Id}";

    private static LogMark? MarkOf(string text) => text.Split('_') is [var ticks, var id] && Guid.TryParse(id, out var guid)
        && long.TryParse(ticks, CultureInfo.InvariantCulture, out var at) && at >= 0 && at <= DateTime.MaxValue.Ticks
        ? new(new(at, TimeSpan.Zero), guid)
        : null;

    private static IResult Find(Guid id, Logbook log, Kitchen kitchen) =>
        log.Find(id) is { } entry ? Conditions.Tagged(Results.Ok(LogView.Of(entry, kitchen)), entry.Version) : Results.NotFound();

    // The entry keeps the spec the batch has now, and what was planned: what is changed later does not change the record.
    private static IResult Add(LogBody body, Logbook log, Batches batches, Photos photos, CurrentKitchen current, TimeProvider clock)
    {
        var batch = batches.Find(body.BatchId);
        var refusals = Check(body, photos);
        if (batch is null)
        {
            refusals.Add(new("batchId", RefusalCode.Missing));
        }

        if (Problems.From(refusals) is { } problem)
        {
            return problem;
        }

        var kitchen = current.Taught;
        var planned = Planned.Before(batch!.Spec, kitchen);
        var entry = new LogEntry(
            body.Id ?? Guid.CreateVersion7(), body.BatchId, batch.Spec, body.CookedAt, body.Outcome, clock.GetUtcNow(), batch.Name, batch.BreadId, planned, body.PhotoId);
        return current.Learn(() => log.Add(entry, Lessons.Of(entry.Spec, entry.Outcome, current.Now)))
            ? Conditions.Tagged(Results.Created($"/api/log/{entry.Id}", LogView.Of(entry, kitchen)), entry.Version)
            : Conditions.Again(log.Find(entry.Id), entry.Version, e => LogView.Of(e, kitchen), e => e.Version);
    }

    private static IResult Change(Guid id, LogBody body, [FromHeader(Name = Conditions.Header)] string? ifMatch, Logbook log, Photos photos, CurrentKitchen current, TimeProvider clock)
    {
        if (Conditions.Refuse(ifMatch, out var meant) is { } unsaid)
        {
            return unsaid;
        }

        if (Problems.From(Check(body, photos)) is { } problem)
        {
            return problem;
        }

        if (log.Find(id) is not { } before)
        {
            return Results.NotFound();
        }

        var entry = before with { CookedAt = body.CookedAt, Outcome = body.Outcome, PhotoId = body.PhotoId, ChangedAt = clock.GetUtcNow() };
        var kept = current.Learn(() => log.Change(entry, Lessons.Of(entry.Spec, entry.Outcome, current.Now), meant));
        return Conditions.Changed(kept, e => LogView.Of(e, current.Taught), e => e.Version);
    }

    private static IResult Delete(Guid id, [FromHeader(Name = Conditions.Header)] string? ifMatch, Logbook log, CurrentKitchen current, TimeProvider clock) =>
        Conditions.Refuse(ifMatch, out var meant)
        ?? Conditions.Deleted(current.Learn(() => log.Delete(id, clock.GetUtcNow(), meant)), e => LogView.Of(e, current.Taught), e => e.Version);

    private static IResult Restore(Guid id, Logbook log, CurrentKitchen current) => Common.Done(current.Learn(() => log.Restore(id)));

    private static IResult Explain(ExplainBody body, Logbook log, Batches batches, Kitchen kitchen)
    {
        if (Problems.From([.. LogCheck.Check(body.Outcome).Select(r => r with { Field = $"outcome.{r.Field}" })]) is { } problem)
        {
            return problem;
        }

        var spec = body.EntryId is { } entry ? log.Find(entry)?.Spec : body.BatchId is { } batch ? batches.Find(batch)?.Spec : null;
        return spec is null
            ? Results.NotFound()
            : Results.Ok(FaultStage.Explain(spec, body.Outcome, body.Outcome.Faults ?? [], kitchen));
    }

    private static IResult Faces(FacesBody body, Logbook log, Batches batches, Kitchen kitchen)
    {
        if (!LogCheck.FacesStand(body.Faces))
        {
            return Problems.From([new("faces", RefusalCode.Unreadable)])!;
        }

        var spec = body.EntryId is { } entry ? log.Find(entry)?.Spec : body.BatchId is { } batch ? batches.Find(batch)?.Spec : null;
        if (spec is null)
        {
            return Results.NotFound();
        }

        var sheet = Planner.Plan(spec, kitchen).Value;
        return Results.Ok(new FacesView(
            FaceColours.Of(body.Faces, sheet is null ? 1 : FaceColours.HueOf(sheet.Dough, kitchen)),
            spec.Pan.DarkWanted(),
            sheet?.Pan.Done is { } done ? [done.First, done.Second] : []));
    }

    private static IResult Compare(Guid[] id, Logbook log, Kitchen kitchen)
    {
        if (id.Length is < Comparison.Least or > Comparison.Most || id.Distinct().Count() != id.Length)
        {
            return Problems.From([new("id", RefusalCode.OutOfRange, id.Distinct().Count(), Comparison.Least, Comparison.Most)])!;
        }

        var views = id.Select(i => log.Find(i) is { } e ? (Entry: e, LogView.Of(e, kitchen).Planned) : default).ToList();
        if (views.Any(v => v.Planned is null))
        {
            return Results.NotFound();
        }

        return Results.Ok(new ComparedView(
            [.. views.Select(v => new ComparedCooking(v.Entry.Id, v.Entry.Name, v.Entry.CookedAt))],
            Comparison.Of([.. views.Select(v => Comparison.Figures(v.Entry.Spec, v.Planned!, v.Entry.Outcome))])));
    }

    private static TrendsView Trends(Record record) =>
        new(record.Trend(LessonKind.Thirst), record.Trend(LessonKind.Squeeze), record.Leaves(), record.PanSeconds());

    private static IResult Export(Logbook log, TimeProvider clock) => Results.Stream(
        async body =>
        {
            await using var text = new StreamWriter(body, new UTF8Encoding(encoderShouldEmitUTF8Identifier: false));
            await LogCsv.Write(text, log.All());
        },
        "text/csv; charset=utf-8",
        $"ystrata-log-{clock.GetUtcNow():yyyy-MM-dd}.csv");

    private static async Task<IResult> Import(HttpRequest request, Logbook log, Batches batches, CurrentKitchen current, TimeProvider clock, bool take = false)
    {
        if (await Common.FileOf(request) is not { } bytes)
        {
            return Results.StatusCode(413);
        }

        var now = clock.GetUtcNow();
        var file = LogCsv.Read(bytes, log.Find, id => batches.Find(id) is { } b ? new LogEntry(default, b.Id, b.Spec, default, Outcome.Nothing, now, b.Name, b.BreadId) : null, log.Known);
        if (file.Problem is { } problem)
        {
            return Problems.From([problem])!;
        }

        var takes = take && file.Bad.Count == 0;
        if (takes)
        {
            LogRecord Kept(LogEntry e) => new(e with { ChangedAt = now }, Lessons.Of(e.Spec, e.Outcome, current.Now));
            var added = file.Added.Select(e => Kept(e with { Planned = Planned.Before(e.Spec, current.Taught) })).ToList();
            var changed = file.Changed.Select(Kept).ToList();
            current.Learn(() =>
            {
                log.Keep(added, changed);
                return true;
            });
        }

        return Results.Ok(new ImportView(takes, [.. file.Added.Select(Told)], [.. file.Changed.Select(Told)], file.Same, file.Bad));

        static string Told(LogEntry e) => $"{e.Name}, {e.CookedAt.UtcDateTime.ToString("yyyy-MM-dd HH:mm", CultureInfo.InvariantCulture)}";
    }

    private static List<Refusal> Check(LogBody body, Photos photos) =>
    [
        .. LogCheck.Check(body.Outcome).Select(r => r with { Field = $"outcome.{r.Field}" }),
        .. Common.CheckDay("cookedAt", body.CookedAt),
        .. body.PhotoId is { } photo && !photos.Known(photo) ? [new Refusal("photoId", RefusalCode.Missing)] : Array.Empty<Refusal>(),
    ];
}
