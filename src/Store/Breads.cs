using System.Text.Json;
using Dapper;
using Microsoft.Data.Sqlite;
using Ystrata.Core;

namespace Ystrata.Store;

/// <summary>A bread on the shelf: a name and the decisions a batch of it starts from.</summary>
public sealed record Bread(Guid Id, string Name, string About, IReadOnlyList<string> Tags, BatchSpec Spec, DateTimeOffset ChangedAt);

public sealed class Breads(Kitchen kitchen)
{
    private const string Columns = "id Id, name Name, about About, tags Tags, spec Spec, changed_at ChangedAt, deleted_at DeletedAt";

    public IReadOnlyList<Bread> All()
    {
        using var db = kitchen.Connect();
        return [.. db.Query<Row>($"select {Columns} from bread where deleted_at is null order by name collate nocase, id").Select(r => r.ToBread())];
    }

    public Bread? Find(Guid id)
    {
        using var db = kitchen.Connect();
        return db.QuerySingleOrDefault<Row>($"select {Columns} from bread where id = @id and deleted_at is null", new { id = id.ToString() })?.ToBread();
    }

    /// <summary>True for every bread there ever was, deleted or not.</summary>
    public bool Known(Guid id)
    {
        using var db = kitchen.Connect();
        return db.ExecuteScalar<bool>("select exists (select 1 from bread where id = @id)", new { id = id.ToString() });
    }

    /// <summary>True when nothing has ever been kept here.</summary>
    public bool NeverUsed()
    {
        using var db = kitchen.Connect();
        return !db.ExecuteScalar<bool>("select exists (select 1 from bread) or exists (select 1 from batch)");
    }

    public void Add(Bread bread)
    {
        using var db = kitchen.Connect();
        using var rows = new Rows(db);
        Put(rows, new(bread));
    }

    /// <returns>False when there is no such bread.</returns>
    public bool Change(Bread bread)
    {
        using var db = kitchen.Connect();
        return db.Execute(
            "update bread set name = @Name, about = @About, tags = @Tags, spec = @Spec, changed_at = @ChangedAt where id = @Id and deleted_at is null",
            Row.Of(bread)) == 1;
    }

    /// <returns>False when there is no such bread.</returns>
    public bool Delete(Guid id, DateTimeOffset at) => Trash.Put(kitchen, "bread", id, at);

    /// <returns>False when no such bread was deleted.</returns>
    public bool Restore(Guid id) => Trash.TakeBack(kitchen, "bread", id);

    internal static void Put(Rows rows, BreadRecord record)
    {
        var row = Row.Of(record.Bread, record.DeletedAt);
        rows.Add("bread", "id, name, about, tags, spec, changed_at, deleted_at", [row.Id, row.Name, row.About, row.Tags, row.Spec, row.ChangedAt, row.DeletedAt]);
    }

    /// <summary>All of them, in the trash or not, one by one.</summary>
    internal static IEnumerable<BreadRecord> Each(SqliteConnection db) =>
        db.Query<Row>($"select {Columns} from bread order by id", buffered: false).Select(r => new BreadRecord(r.ToBread(), Kitchen.UnstampIf(r.DeletedAt)));

    private sealed record Row(string Id, string Name, string About, string Tags, string Spec, string ChangedAt, string? DeletedAt)
    {
        public static Row Of(Bread b, DateTimeOffset? deletedAt = null) => new(
            b.Id.ToString(), b.Name, b.About, JsonSerializer.Serialize(b.Tags), SpecJson.Write(b.Spec), Kitchen.Stamp(b.ChangedAt), Kitchen.StampIf(deletedAt));

        public Bread ToBread() =>
            new(Guid.Parse(Id), Name, About, JsonSerializer.Deserialize<string[]>(Tags) ?? [], SpecJson.Read(Spec), Kitchen.Unstamp(ChangedAt));
    }
}
