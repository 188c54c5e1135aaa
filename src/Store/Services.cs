using System.Text.Json;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store;

/// <summary>A service as it was begun; what happened since is in its events.</summary>
/// <param name="BatchId">The batch it was begun from.</param>
public sealed record KeptService(Guid Id, Guid BatchId, string Name, Service Service, DateTimeOffset OpenedAt, DateTimeOffset? ClosedAt);

public sealed class Services(KitchenDb kitchen)
{
    private const string Columns = "id Id, name Name, body Body, opened_at OpenedAt, closed_at ClosedAt";

    /// <summary>Those that nobody has closed, the newest first.</summary>
    public IReadOnlyList<KeptService> Open()
    {
        using var db = kitchen.Connect();
        return [.. db.Query<Row>($"select {Columns} from service where closed_at is null order by opened_at desc, id").Select(r => r.ToService())];
    }

    public KeptService? Find(Guid id)
    {
        using var db = kitchen.Connect();
        return db.QuerySingleOrDefault<Row>($"select {Columns} from service where id = @id", new { id = id.ToString() })?.ToService();
    }

    /// <summary>The newest service that was begun from a batch; nothing when there was none.</summary>
    public KeptService? OfBatch(Guid batchId)
    {
        using var db = kitchen.Connect();
        return db.QueryFirstOrDefault<Row>($"select {Columns} from service where batch_id = @id order by opened_at desc limit 1", new { id = batchId.ToString() })?.ToService();
    }

    /// <returns>False when there is a service by this id already: then nothing has changed.</returns>
    public bool Add(KeptService service) => Once.Add(kitchen, "service", service.Id, db => Put(db, [new(service, [])]));

    /// <summary>Every event, in the order they were taken.</summary>
    public IReadOnlyList<StoveEvent> Events(Guid id)
    {
        using var db = kitchen.Connect();
        return db.QuerySingleOrDefault<string>($"select {AllEvents("s")} from service s where id = @id", new { id = id.ToString() }) is { } events
            ? SpecJson.Read<IReadOnlyList<StoveEvent>>(events)
            : [];
    }

    /// <summary>Appends one event to a service that runs; once it returns, the event is on the disk. One that ends the service closes it.</summary>
    /// <exception cref="SqliteException">The service has the event already.</exception>
    public void Append(Guid id, StoveEvent e, DateTimeOffset at)
    {
        using var db = kitchen.Connect();
        using var work = db.BeginTransaction();
        db.Execute(
            """
            insert into service_event (id, service_id, number, body)
            values (@Event, @id, (select coalesce(max(number), 0) + 1 from service_event where service_id = @id), @Body)
            """,
            new { Event = e.Id.ToString(), id = id.ToString(), Body = JsonSerializer.Serialize(e, SpecJson.Options) },
            work);
        if (e.Act == StoveAct.End)
        {
            db.Execute(
                $"update service as s set closed_at = @at, events = {AllEvents("s")} where id = @id; delete from service_event where service_id = @id",
                new { id = id.ToString(), at = KitchenDb.Stamp(at) },
                work);
        }

        work.Commit();
    }

    internal static void Put(SqliteConnection db, IEnumerable<ServiceRecord> records) => db.Execute(
        "insert into service (id, batch_id, name, body, opened_at, closed_at, events) values (@Id, @BatchId, @Name, @Body, @OpenedAt, @ClosedAt, @Events)",
        records.Select(r => new
        {
            Id = r.Service.Id.ToString(),
            BatchId = r.Service.BatchId.ToString(),
            r.Service.Name,
            Body = JsonSerializer.Serialize(new Body(r.Service.BatchId, r.Service.Service), SpecJson.Options),
            OpenedAt = KitchenDb.Stamp(r.Service.OpenedAt),
            ClosedAt = KitchenDb.StampIf(r.Service.ClosedAt),
            Events = JsonSerializer.Serialize(r.Events, SpecJson.Options),
        }));

    /// <summary>All of them with their events as lines of JSON, by their batches, one by one.</summary>
    internal static IEnumerable<(string Batch, string Json)> Lines(SqliteConnection db) => db.Query<(string Batch, string Json)>(
        $"""
        select coalesce(batch_id, '') Batch, json_object('kind', 'service', 'service', json_object(
          'id', id, 'batchId', body -> '$.batchId', 'name', name, 'service', body -> '$.service', 'openedAt', opened_at, 'closedAt', closed_at), 'events', json({AllEvents("s")})) Json
        from service s order by batch_id, opened_at desc, id
        """,
        buffered: false);

    /// <summary>SQL for every event of a service, in the order they were taken, as one list.</summary>
    /// <param name="service">What its row is called there.</param>
    internal static string AllEvents(string service) =>
        $"""
        iif(exists (select 1 from service_event where service_id = {service}.id), (
          select json_group_array(json(body)) from (
            select value body, key number, 0 since from json_each({service}.events)
            union all select body, number, 1 from service_event where service_id = {service}.id order by since, number)),
          {service}.events)
        """;

    private sealed record Body(Guid BatchId, Service Service);

    private sealed record Row(string Id, string Name, string Body, string OpenedAt, string? ClosedAt)
    {
        public KeptService ToService()
        {
            var body = SpecJson.Read<Body>(Body);
            return new(Guid.Parse(Id), body.BatchId, Name, body.Service, KitchenDb.Unstamp(OpenedAt), ClosedAt is null ? null : KitchenDb.Unstamp(ClosedAt));
        }
    }
}
