using System.Text.Json;
using System.Text.Json.Serialization;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store;

/// <summary>A bread on the shelf: a name and the decisions a batch of it starts from.</summary>
public sealed record Bread(Guid Id, string Name, string About, IReadOnlyList<string> Tags, BatchSpec Spec, DateTimeOffset ChangedAt)
{
    [JsonIgnore]
    public string Version => Versions.Of(new { Id, Name, About, Tags, Spec });
}

public sealed class Breads(KitchenDb kitchen)
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
        return Find(db, id);
    }

    private static Bread? Find(SqliteConnection db, Guid id) =>
        db.QuerySingleOrDefault<Row>($"select {Columns} from bread where id = @id and deleted_at is null", new { id = id.ToString() })?.ToBread();

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

    /// <returns>False when there is, or was, a bread by this id: then nothing has changed.</returns>
    public bool Add(Bread bread) => Once.Add(kitchen, "bread", bread.Id, db => Put(db, [new(bread)]));

    public Kept<Bread> Change(Bread bread, Meant meant) => meant.Change(kitchen, db => Find(db, bread.Id), b => b.Version, db => db.Execute(
        "update bread set name = @Name, about = @About, tags = @Tags, spec = @Spec, changed_at = @ChangedAt where id = @Id",
        Row.Of(bread)));

    public Kept<Bread> Delete(Guid id, DateTimeOffset at, Meant meant) => meant.Change(kitchen, db => Find(db, id), b => b.Version, db => Trash.Put(db, "bread", id, at));

    /// <returns>False when no such bread was deleted.</returns>
    public bool Restore(Guid id) => Trash.TakeBack(kitchen, "bread", id);

    internal static void Put(SqliteConnection db, IEnumerable<BreadRecord> records) => db.Execute(
        "insert into bread (id, name, about, tags, spec, changed_at, deleted_at) values (@Id, @Name, @About, @Tags, @Spec, @ChangedAt, @DeletedAt)",
        records.Select(r => Row.Of(r.Bread, r.DeletedAt)));

    /// <summary>All of them, in the trash or not, one by one.</summary>
    internal static IEnumerable<BreadRecord> Each(SqliteConnection db) =>
        db.Query<Row>($"select {Columns} from bread order by id", buffered: false).Select(r => new BreadRecord(r.ToBread(), KitchenDb.UnstampIf(r.DeletedAt)));

    private sealed record Row(string Id, string Name, string About, string Tags, string Spec, string ChangedAt, string? DeletedAt)
    {
        public static Row Of(Bread b, DateTimeOffset? deletedAt = null) => new(
            b.Id.ToString(), b.Name, b.About, JsonSerializer.Serialize(b.Tags), SpecJson.Write(b.Spec), KitchenDb.Stamp(b.ChangedAt), KitchenDb.StampIf(deletedAt));

        public Bread ToBread() =>
            new(Guid.Parse(Id), Name, About, JsonSerializer.Deserialize<string[]>(Tags) ?? [], SpecJson.Read(Spec), KitchenDb.Unstamp(ChangedAt));
    }
}
