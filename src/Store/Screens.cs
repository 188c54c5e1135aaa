using Dapper;
using DbUp;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store;

/// <summary>What a screen may do.</summary>
public enum ScreenKind
{
    /// <summary>Whatever the kitchen's own machine may, but for its passphrase.</summary>
    All,

    /// <summary>Sees, and presses at the stove; changes and takes out nothing.</summary>
    Stove,
}

/// <summary>One that was let in.</summary>
/// <param name="SeenAt">To the minute.</param>
public sealed record Screen(Guid Id, string Name, ScreenKind Kind, DateTimeOffset LetInAt, DateTimeOffset SeenAt);

/// <summary>
/// Who may come in over the network. A file of its own beside the kitchen's: a backup that is restored brings no screen back that was sent away, and
/// no copy of the kitchen carries the passphrase.
/// </summary>
public sealed class Screens
{
    private const string Columns = "id Id, name Name, kind Kind, let_in_at LetInAt, seen_at SeenAt", Folder = ".Door.";

    private readonly string connectionString;

    private Screens(string path) => connectionString = KitchenDb.ConnectionTo(path);

    /// <summary>The kitchen's own id, made with the file.</summary>
    public Guid Kitchen { get; private init; }

    /// <summary>Opens the file, making it and bringing it up to date where needed.</summary>
    /// <exception cref="SqliteException">It is no database, or cannot be written.</exception>
    public static Screens Open(string path)
    {
        var made = new Screens(path);
        var result = DeployChanges.To
            .SqliteDatabase(KitchenDb.ConnectionTo(path, pooled: false))
            .WithScriptsEmbeddedInAssembly(typeof(Screens).Assembly, name => name.Contains(Folder, StringComparison.Ordinal))
            .WithTransactionPerScript()
            .LogToNowhere()
            .Build()
            .PerformUpgrade();
        if (!result.Successful)
        {
            throw result.Error;
        }

        using var db = made.Connect();
        db.Execute("insert or ignore into door (one, kitchen) values (1, @id)", new { id = Guid.NewGuid().ToString() });
        return new(path) { Kitchen = Guid.Parse(db.QuerySingle<string>("select kitchen from door")) };
    }

    /// <summary>The passphrase as it was hashed; nothing where none was set yet.</summary>
    public string? Passphrase
    {
        get
        {
            using var db = Connect();
            return db.QuerySingle<string?>("select passphrase from door");
        }

        set
        {
            using var db = Connect();
            db.Execute("update door set passphrase = @value", new { value });
        }
    }

    /// <summary>Whoever was let in last first.</summary>
    public IReadOnlyList<Screen> All()
    {
        using var db = Connect();
        return [.. db.Query<Row>($"select {Columns} from screen order by let_in_at desc, id").Select(r => r.ToScreen())];
    }

    public void Add(Screen screen)
    {
        using var db = Connect();
        db.Execute(
            "insert into screen (id, name, kind, let_in_at, seen_at) values (@Id, @Name, @Kind, @LetInAt, @SeenAt)",
            new Row(screen.Id.ToString(), screen.Name, screen.Kind.ToString(), KitchenDb.Stamp(screen.LetInAt), KitchenDb.Stamp(screen.SeenAt)));
    }

    public void Rename(Guid id, string name) => Do("update screen set name = @name where id = @id", new { id = id.ToString(), name });

    public void Seen(Guid id, DateTimeOffset at) => Do("update screen set seen_at = @at where id = @id", new { id = id.ToString(), at = KitchenDb.Stamp(at) });

    public void SendAway(Guid id) => Do("delete from screen where id = @id", new { id = id.ToString() });

    private void Do(string sql, object values)
    {
        using var db = Connect();
        db.Execute(sql, values);
    }

    private SqliteConnection Connect()
    {
        var db = Pool.Open(connectionString);
        db.Execute("pragma synchronous = full");
        return db;
    }

    private sealed record Row(string Id, string Name, string Kind, string LetInAt, string SeenAt)
    {
        public Screen ToScreen() => new(Guid.Parse(Id), Name, Enum.Parse<ScreenKind>(Kind), KitchenDb.Unstamp(LetInAt), KitchenDb.Unstamp(SeenAt));
    }
}
