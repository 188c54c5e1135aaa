using System.Globalization;
using Dapper;
using Microsoft.Data.Sqlite;
using SQLitePCL;

namespace Ystrata.Store;

/// <summary>Writes rows, one or many: each statement is prepared once and bound anew for every row.</summary>
/// <param name="db">With a transaction begun, where there is more than one row.</param>
internal sealed class Rows(SqliteConnection db) : IDisposable
{
    private readonly Dictionary<(string Act, string Table), sqlite3_stmt> prepared = [];

    /// <summary>Puts down one that is not there yet, in the trash or not.</summary>
    /// <returns>False when something by this id is, or was: then nothing has changed.</returns>
    public static bool AddNew(Kitchen kitchen, string table, Guid id, Action<Rows> put)
    {
        using var db = kitchen.Connect();
        using var work = db.BeginTransaction();
        if (db.ExecuteScalar<bool>($"select exists (select 1 from {table} where id = @id)", new { id = id.ToString() }))
        {
            return false;
        }

        using var rows = new Rows(db);
        put(rows);
        work.Commit();
        return true;
    }

    /// <param name="columns">Of the values, in their order; always the same for a table.</param>
    /// <exception cref="SqliteException">The row breaks a rule of the table, such as a key that is taken.</exception>
    public void Add(string table, string columns, ReadOnlySpan<object?> values) => Run("insert", table, values, places => $"insert into {table} ({columns}) values ({string.Join(", ", places)})");

    /// <param name="columns">What changes; always the same for a table.</param>
    /// <param name="values">Of the columns, and the id of the row last.</param>
    /// <returns>False when there is no such row, or it lies in the trash.</returns>
    public bool Change(string table, string columns, ReadOnlySpan<object?> values)
    {
        Run("update", table, values, places => $"update {table} set ({columns}) = ({string.Join(", ", places[..^1])}) where id = {places[^1]} and deleted_at is null");
        return raw.sqlite3_changes(db.Handle) > 0;
    }

    public void Remove(string table, string column, string value) => Run("delete", table, [value], places => $"delete from {table} where {column} = {places[0]}");

    public void Dispose()
    {
        foreach (var statement in prepared.Values)
        {
            statement.Dispose();
        }
    }

    private void Run(string act, string table, ReadOnlySpan<object?> values, Func<string[], string> sql)
    {
        if (!prepared.TryGetValue((act, table), out var statement))
        {
            var places = Enumerable.Range(1, values.Length).Select(n => string.Create(CultureInfo.InvariantCulture, $"?{n}")).ToArray();
            SqliteException.ThrowExceptionForRC(raw.sqlite3_prepare_v2(db.Handle, sql(places), out statement), db.Handle);
            prepared[(act, table)] = statement;
        }

        for (var i = 0; i < values.Length; i++)
        {
            Bind(statement, i + 1, values[i]);
        }

        var ended = raw.sqlite3_step(statement);
        raw.sqlite3_reset(statement);
        if (ended != raw.SQLITE_DONE)
        {
            SqliteException.ThrowExceptionForRC(ended, db.Handle);
        }
    }

    private static void Bind(sqlite3_stmt statement, int place, object? value) => _ = value switch
    {
        null => raw.sqlite3_bind_null(statement, place),
        string text => raw.sqlite3_bind_text(statement, place, text),
        JsonText text => raw.sqlite3_bind_text(statement, place, text.Utf8),
        double figure => raw.sqlite3_bind_double(statement, place, figure),
        int whole => raw.sqlite3_bind_int64(statement, place, whole),
        bool told => raw.sqlite3_bind_int(statement, place, told ? 1 : 0),
        byte[] bytes => raw.sqlite3_bind_blob(statement, place, bytes),
        _ => throw new ArgumentException($"a {value.GetType().Name} has no place in a row", nameof(value)),
    };
}
