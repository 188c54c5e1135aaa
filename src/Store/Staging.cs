using Dapper;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store;

/// <summary>How one part of the kitchen would change.</summary>
/// <param name="Part">bread, batch, log, service, larder, measures, photo, learned, practice or day.</param>
/// <param name="Changed">Here already, and not the same.</param>
public sealed record StagedCount(string Part, int Added, int Changed, int Same);

/// <summary>What taking in would do.</summary>
/// <param name="Added">Names of breads that are not here.</param>
/// <param name="Changed">Names of breads that are here and not the same.</param>
public sealed record StagedPreview(IReadOnlyList<StagedCount> Parts, IReadOnlyList<string> Added, IReadOnlyList<string> Changed);

/// <summary>A kitchen of its own in which a file is set up, to be looked at and then taken in as a whole or not at all. The kitchen itself is not held up by it.</summary>
public sealed class Staging : IDisposable
{
    private const int MostNames = 50;

    // Table and key, in the order they are taken in; what several tables are together called.
    private static readonly (string Part, string Table, string[] Key)[] Tables =
    [
        ("measures", "units", ["id"]),
        ("measures", "hand_time", ["work"]),
        ("measures", "vessel", ["id"]),
        ("larder", "larder_item", ["id"]),
        ("bread", "bread", ["id"]),
        ("batch", "batch", ["id"]),
        ("service", "service", ["id"]),
        ("photo", "photo", ["id"]),
        ("log", "log_entry", ["id"]),
        ("learned", "learned", ["kind", "of"]),
        ("practice", "practice", ["id"]),
        ("day", "day", ["day"]),
    ];

    private static readonly (string Of, string Table, string Key)[] Beside =
        [("log_entry", "log_flour", "entry_id"), ("log_entry", "log_fault", "entry_id"), ("log_entry", "lesson", "entry_id")];

    private readonly KitchenDb kitchen;
    private readonly string path;
    private readonly SqliteConnection db;
    private readonly SqliteTransaction work;

    // Made once: an empty kitchen of this version.
    private static readonly Lazy<byte[]> Empty = new(() =>
    {
        var folder = Directory.CreateTempSubdirectory("ystrata-empty-");
        var path = Path.Combine(folder.FullName, "empty.db");
        KitchenDb.Open(path);
        using (var db = Pool.Open(KitchenDb.ConnectionTo(path)))
        {
            db.Execute("pragma journal_mode = delete");
            // Nobody seeks anything here but by its key.
            foreach (var (kind, name) in db.Query<(string, string)>("select type, name from sqlite_master where type in ('index', 'trigger') and sql is not null union all values ('table', 'log_words')").ToList())
            {
                db.Execute($"drop {kind} {name}");
            }
        }

        Pool.Clear(path);
        var bytes = File.ReadAllBytes(path);
        folder.Delete(recursive: true);
        return bytes;
    });

    public Staging(KitchenDb kitchen)
    {
        this.kitchen = kitchen;
        path = Path.Combine(kitchen.Workshop.Place(), "file.db");
        // What hangs on something may hang on something of the kitchen.
        db = new(new SqliteConnectionStringBuilder { DataSource = path, ForeignKeys = false, Pooling = false }.ToString());
        try
        {
            File.WriteAllBytes(path, Empty.Value);
            db.Open();
            // Should it break, the file is read again: nothing of it has to outlive that.
            db.Execute("pragma synchronous = off; pragma journal_mode = off");
            work = db.BeginTransaction();
        }
        catch (Exception)
        {
            // On a full disk, say: nothing of it stays.
            db.Dispose();
            Directory.Delete(Folder, recursive: true);
            throw;
        }
    }

    /// <summary>Where it lies meanwhile.</summary>
    public string Folder => Path.GetDirectoryName(path)!;

    /// <summary>Writes down some of the file's records, none of which it has had before.</summary>
    /// <param name="records">Anything but photos, which are made anew first.</param>
    public void Put(IReadOnlyList<KitchenRecord> records)
    {
        records.OfType<UnitsRecord>().ToList().ForEach(r => Pantry.Put(db, r));
        records.OfType<HandRecord>().ToList().ForEach(r => Pantry.Put(db, r));
        Pantry.Put(db, records.OfType<VesselRecord>());
        Pantry.Put(db, records.OfType<IngredientRecord>());
        Breads.Put(db, records.OfType<BreadRecord>());
        Batches.Put(db, records.OfType<BatchRecord>());
        Services.Put(db, records.OfType<ServiceRecord>());
        Logbook.Put(db, [.. records.OfType<LogRecord>()]);
        Record.Put(db, records.OfType<LearnedRecord>());
        PracticeScores.Put(db, records.OfType<PracticeRecord>().Select(r => r.Score));
        Days.Put(db, records.OfType<DayRecord>());
    }

    public void Put(IEnumerable<Photo> photos) => Photos.Put(db, photos);

    /// <summary>The file has been read to its end.</summary>
    public void Close()
    {
        work.Commit();
        db.Close();
    }

    /// <summary>What taking it in would change.</summary>
    public StagedPreview Preview() => kitchen.With(path, both =>
    {
        var counts = Tables.Select(t =>
        {
            var sql = new Sql(both, t.Table, t.Key);
            return new StagedCount(
                t.Part,
                both.ExecuteScalar<int>($"select count(*) from other.{t.Table} s where {sql.Alive("s")} and not exists (select 1 from main.{t.Table} h where {sql.Match} and {sql.Alive("h")})"),
                both.ExecuteScalar<int>($"select count(*) from {sql.Joined} where {sql.Alive("h")} and not ({sql.Same})"),
                both.ExecuteScalar<int>($"select count(*) from {sql.Joined} where {sql.Alive("s")} and {sql.Same}"));
        });
        var bread = new Sql(both, "bread", ["id"]);
        return new StagedPreview(
            [.. counts.GroupBy(c => c.Part).Select(g => new StagedCount(g.Key, g.Sum(c => c.Added), g.Sum(c => c.Changed), g.Sum(c => c.Same))).Where(c => c.Added + c.Changed + c.Same > 0)],
            [.. both.Query<string>($"select s.name from other.bread s where s.deleted_at is null and s.id not in (select id from main.bread where deleted_at is null) order by 1 limit {MostNames}")],
            [.. both.Query<string>($"select h.name from {bread.Joined} where h.deleted_at is null and not ({bread.Same}) order by 1 limit {MostNames}")]);
    });

    /// <summary>Takes it in, whole or not at all. A service that runs stays as it runs. <see cref="KitchenDb.Settle"/> should follow, once nobody waits.</summary>
    /// <param name="replace">What is here already and not the same becomes as in the file; else it stays.</param>
    /// <param name="before">Done once nobody else can write any more, and before anything is changed.</param>
    public void Take(bool replace, Action? before = null) => kitchen.With(path, both =>
    {
        both.Execute("pragma wal_autocheckpoint = 0");
        using var taking = both.BeginTransaction();
        before?.Invoke();
        both.Execute("pragma defer_foreign_keys = on; create temp table coming (key text primary key) without rowid", transaction: taking);
        foreach (var (_, table, key) in Tables)
        {
            var sql = new Sql(both, table, key);
            var running = table == "service" ? "and not (h.id is not null and h.closed_at is null)" : "";
            both.Execute(
                $"""
                delete from coming;
                insert into coming select {sql.Key("s")} from other.{table} s left join main.{table} h on {sql.Match}
                where (h.{key[0]} is null or ({sql.Alive("s")} and not ({sql.Alive("h")})) or (@replace and not ({sql.Same}))) {running};
                insert into main.{table} ({sql.Columns}) select {sql.Columns} from other.{table} s where {sql.Key("s")} in (select key from coming)
                on conflict ({string.Join(", ", key)}) do update set {sql.Set}
                """,
                new { replace },
                taking);
            foreach (var (_, beside, of) in Beside.Where(b => b.Of == table))
            {
                var columns = string.Join(", ", KitchenDb.Columns(both, beside));
                both.Execute(
                    $"""
                    delete from main.{beside} where {of} in (select key from coming);
                    insert into main.{beside} ({columns}) select {columns} from other.{beside} where {of} in (select key from coming)
                    """,
                    transaction: taking);
            }
        }

        both.Execute("drop table coming", transaction: taking);
        taking.Commit();
        return true;
    });

    public void Dispose()
    {
        work.Dispose();
        db.Dispose();
        Directory.Delete(Folder, recursive: true);
    }

    /// <summary>The pieces of a comparison of one table: s is the file's row, h the kitchen's.</summary>
    private sealed class Sql(SqliteConnection both, string table, string[] key)
    {
        private readonly List<string> columns = KitchenDb.Columns(both, table);

        public string Columns => string.Join(", ", columns);

        public string Match => string.Join(" and ", key.Select(k => $"h.{k} = s.{k}"));

        public string Key(string row) => string.Join(" || char(31) || ", key.Select(k => $"{row}.{k}"));

        public string Joined => $"other.{table} s join main.{table} h on {Match}";

        // A photo never changes; of a service that runs here, what happened since stands beside it.
        public string Same => table == "photo" ? "true" : string.Join(" and ", columns.Select(c => $"{(c == "events" ? Services.AllEvents("h") : $"h.{c}")} is s.{c}"));

        public string Set => string.Join(", ", columns.Select(c => $"{c} = excluded.{c}"));

        public string Alive(string row) => columns.Contains("deleted_at") ? $"{row}.deleted_at is null" : "true";
    }
}
