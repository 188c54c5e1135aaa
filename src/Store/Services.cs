using System.Text.Json;
using Dapper;
using Microsoft.Data.Sqlite;
using Ystrata.Core;

namespace Ystrata.Store;

/// <summary>A service as it was begun; what happened since is in its events.</summary>
/// <param name="BatchId">The batch it was begun from.</param>
public sealed record KeptService(Guid Id, Guid BatchId, string Name, Service Service, DateTimeOffset OpenedAt, DateTimeOffset? ClosedAt);

public sealed class Services(Kitchen kitchen)
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

    public void Add(KeptService service)
    {
        using var db = kitchen.Connect();
        Insert(db, service);
    }

    /// <summary>Every event, in the order they were taken.</summary>
    public IReadOnlyList<StoveEvent> Events(Guid id)
    {
        using var db = kitchen.Connect();
        return
        [
            .. db.Query<string>("select body from service_event where service_id = @id order by number", new { id = id.ToString() })
                .Select(Read),
        ];
    }

    /// <summary>Appends one event; once it returns, the event is on the disk. One that ends the service closes it.</summary>
    public void Append(Guid id, StoveEvent e, DateTimeOffset at)
    {
        using var db = kitchen.Connect();
        using var work = db.BeginTransaction();
        db.Execute(
            """
            insert into service_event (id, service_id, number, body)
            values (@Event, @id, (select coalesce(max(number), 0) + 1 from service_event where service_id = @id), @Body)
            """,
            new { Event = e.Id.ToString(), id = id.ToString(), Body = Written(e) },
            work);
        if (e.Act == StoveAct.End)
        {
            db.Execute("update service set closed_at = @at where id = @id", new { id = id.ToString(), at = Kitchen.Stamp(at) }, work);
        }

        work.Commit();
    }

    internal static void Put(SqliteConnection db, ServiceRecord record)
    {
        Insert(db, record.Service);
        db.Execute(
            """
            insert into service_event (id, service_id, number, body)
            select value ->> '$.id', @id, key + 1, value from json_each(@events)
            """,
            new { id = record.Service.Id.ToString(), events = JsonSerializer.Serialize(record.Events, SpecJson.Options) });
    }

    /// <summary>All of them with their events as lines of JSON, one by one.</summary>
    internal static IEnumerable<string> Lines(SqliteConnection db) => db.Query<string>(
        """
        select json_object('kind', 'service', 'service', json_object(
          'id', id, 'batchId', body -> '$.batchId', 'name', name, 'service', body -> '$.service', 'openedAt', opened_at, 'closedAt', closed_at), 'events', (
            select json_group_array(json(e.body)) from (select body from service_event where service_id = s.id order by number) e))
        from service s order by id
        """,
        buffered: false);

    private static void Insert(SqliteConnection db, KeptService service) => db.Execute(
        "insert into service (id, batch_id, name, body, opened_at, closed_at) values (@Id, @BatchId, @Name, @Body, @OpenedAt, @ClosedAt)",
        new
        {
            Id = service.Id.ToString(),
            BatchId = service.BatchId.ToString(),
            service.Name,
            Body = JsonSerializer.Serialize(new Body(service.BatchId, service.Service), SpecJson.Options),
            OpenedAt = Kitchen.Stamp(service.OpenedAt),
            ClosedAt = Kitchen.StampIf(service.ClosedAt),
        });

    private static string Written(StoveEvent e) => JsonSerializer.Serialize(e, SpecJson.Options);

    private static StoveEvent Read(string body) => JsonSerializer.Deserialize<StoveEvent>(body, SpecJson.Options)!;

    private sealed record Body(Guid BatchId, Service Service);

    private sealed record Row(string Id, string Name, string Body, string OpenedAt, string? ClosedAt)
    {
        public KeptService ToService()
        {
            var body = JsonSerializer.Deserialize<Body>(Body, SpecJson.Options)!;
            return new(Guid.Parse(Id), body.BatchId, Name, body.Service, Kitchen.Unstamp(OpenedAt), ClosedAt is null ? null : Kitchen.Unstamp(ClosedAt));
        }
    }
}
