using Dapper;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store;

/// <summary>A photo as it is kept: made anew from what was sent, with nothing of the camera left in it.</summary>
/// <param name="Small">For lists.</param>
public sealed record Photo(Guid Id, string Kind, byte[] Body, byte[] Small, DateTimeOffset MadeAt);

public sealed class Photos(KitchenDb kitchen)
{
    /// <returns>False when there is a photo by this id already: then nothing has changed.</returns>
    public bool Add(Photo photo) => Once.Add(kitchen, "photo", photo.Id, db => Put(db, [photo]));

    public bool Known(Guid id)
    {
        using var db = kitchen.Connect();
        return db.ExecuteScalar<bool>("select exists (select 1 from photo where id = @id)", new { id = id.ToString() });
    }

    internal static void Put(SqliteConnection db, IEnumerable<Photo> photos) => db.Execute(
        "insert into photo (id, kind, body, small, made_at) values (@Id, @Kind, @Body, @Small, @MadeAt)",
        photos.Select(p => new { Id = p.Id.ToString(), p.Kind, p.Body, p.Small, MadeAt = KitchenDb.Stamp(p.MadeAt) }));

    /// <summary>All of them, one by one.</summary>
    internal static IEnumerable<PhotoRecord> Each(SqliteConnection db) =>
        db.Query<(string Id, byte[] Body, string MadeAt)>("select id, body, made_at from photo order by id", buffered: false)
            .Select(r => new PhotoRecord(Guid.Parse(r.Id), r.Body, KitchenDb.Unstamp(r.MadeAt)));

    /// <param name="small">The one for lists.</param>
    public (byte[] Body, string Kind)? Find(Guid id, bool small)
    {
        using var db = kitchen.Connect();
        var row = db.QuerySingleOrDefault<(byte[]? Body, string Kind)>($"select {(small ? "small" : "body")}, kind from photo where id = @id", new { id = id.ToString() });
        return row.Body is { } body ? (body, row.Kind) : null;
    }
}
