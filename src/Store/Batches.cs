using System.Text.Json.Serialization;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store;

/// <summary>One batch: the decisions taken for one cooking, and the bread it came from.</summary>
/// <param name="MadeFor">When it is, or was, for the table.</param>
public sealed record Batch(Guid Id, Guid? BreadId, string Name, BatchSpec Spec, DateTimeOffset MadeFor, DateTimeOffset ChangedAt)
{
    [JsonIgnore]
    public string Version => Versions.Of(new { Id, BreadId, Name, Spec, MadeFor = KitchenDb.Stamp(MadeFor) });
}

public sealed class Batches(KitchenDb kitchen)
{
    private const string Columns = "id Id, bread_id BreadId, name Name, spec Spec, made_for MadeFor, changed_at ChangedAt, deleted_at DeletedAt";

    /// <summary>The newest batches first.</summary>
    /// <param name="after">The last of the page before, in the trash by now or not.</param>
    /// <returns>Nothing when there is no such batch.</returns>
    public IReadOnlyList<Batch>? Latest(int most, Guid? after = null)
    {
        using var db = kitchen.Connect();
        var from = after is null ? null : db.QuerySingleOrDefault<string>("select changed_at from batch where id = @id", new { id = after.ToString() });
        return after is not null && from is null ? null :
        [
            .. db.Query<Row>(
                $"""
                select {Columns} from batch where deleted_at is null {(after is null ? "" : "and (changed_at < @from or (changed_at = @from and id > @after))")}
                order by changed_at desc, id limit @most
                """,
                new { most, from, after = after?.ToString() }).Select(r => r.ToBatch()),
        ];
    }

    /// <summary>The first batches whose table is within a stretch of time, in the order of their tables.</summary>
    public IReadOnlyList<Batch> Within(DateTimeOffset from, DateTimeOffset until, int most)
    {
        using var db = kitchen.Connect();
        return
        [
            .. db.Query<Row>(
                $"select {Columns} from batch where deleted_at is null and made_for >= @from and made_for < @until order by made_for, id limit @most",
                new { from = KitchenDb.Stamp(from), until = KitchenDb.Stamp(until), most }).Select(r => r.ToBatch()),
        ];
    }

    public Batch? Find(Guid id)
    {
        using var db = kitchen.Connect();
        return Find(db, id);
    }

    private static Batch? Find(SqliteConnection db, Guid id) =>
        db.QuerySingleOrDefault<Row>($"select {Columns} from batch where id = @id and deleted_at is null", new { id = id.ToString() })?.ToBatch();

    /// <summary>True for every batch there is, in the trash or not.</summary>
    public bool Known(Guid id)
    {
        using var db = kitchen.Connect();
        return db.ExecuteScalar<bool>("select exists (select 1 from batch where id = @id)", new { id = id.ToString() });
    }

    /// <returns>False when there is, or was, a batch by this id: then nothing has changed.</returns>
    public bool Add(Batch batch) => Once.Add(kitchen, "batch", batch.Id, db => Put(db, [new(batch)]));

    public Kept<Batch> Change(Batch batch, Meant meant) => meant.Change(kitchen, db => Find(db, batch.Id), b => b.Version, db => db.Execute(
        "update batch set bread_id = @BreadId, name = @Name, spec = @Spec, made_for = @MadeFor, changed_at = @ChangedAt where id = @Id",
        Row.Of(batch)));

    public Kept<Batch> Delete(Guid id, DateTimeOffset at, Meant meant) => meant.Change(kitchen, db => Find(db, id), b => b.Version, db => Trash.Put(db, "batch", id, at));

    /// <returns>False when no such batch was deleted.</returns>
    public bool Restore(Guid id) => Trash.TakeBack(kitchen, "batch", id);

    internal static void Put(SqliteConnection db, IEnumerable<BatchRecord> records) => db.Execute(
        "insert into batch (id, bread_id, name, spec, made_for, changed_at, deleted_at) values (@Id, @BreadId, @Name, @Spec, @MadeFor, @ChangedAt, @DeletedAt)",
        records.Select(r => Row.Of(r.Batch, r.DeletedAt)));

    /// <summary>All of them as lines of JSON, in the trash or not, by their ids, one by one.</summary>
    internal static IEnumerable<(string Batch, string Json)> Lines(SqliteConnection db) => db.Query<(string Batch, string Json)>(
        """
        select id Batch, json_object('kind', 'batch', 'batch', json_object(
          'id', id, 'breadId', bread_id, 'name', name, 'spec', json(spec), 'madeFor', made_for, 'changedAt', changed_at), 'deletedAt', deleted_at) Json
        from batch order by id
        """,
        buffered: false);

    private sealed record Row(string Id, string? BreadId, string Name, string Spec, string MadeFor, string ChangedAt, string? DeletedAt)
    {
        public static Row Of(Batch b, DateTimeOffset? deletedAt = null) => new(
            b.Id.ToString(), b.BreadId?.ToString(), b.Name, SpecJson.Write(b.Spec), KitchenDb.Stamp(b.MadeFor), KitchenDb.Stamp(b.ChangedAt), KitchenDb.StampIf(deletedAt));

        public Batch ToBatch() => new(
            Guid.Parse(Id), BreadId is null ? null : Guid.Parse(BreadId), Name, SpecJson.Read(Spec), KitchenDb.Unstamp(MadeFor), KitchenDb.Unstamp(ChangedAt));
    }
}
