using Dapper;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store.Tests;

public sealed class RowsTests : IDisposable
{
    private readonly SqliteConnection db = new("Data Source=:memory:");
    private readonly Rows rows;

    public RowsTests()
    {
        db.Open();
        db.Execute("create table thing (id text primary key, weight real, pieces integer, body blob, deleted_at text) strict");
        rows = new(db);
    }

    public void Dispose()
    {
        rows.Dispose();
        db.Dispose();
    }

    private void Add(params object?[] values) => rows.Add("thing", "id, weight, pieces, body", values);

    [Fact]
    public void Every_kind_of_value_comes_back_as_it_was_and_nothing_of_the_row_before_stays()
    {
        Add("naïve ½ \u200b", 0.1 + 1.0 / 3, int.MaxValue, new byte[] { 0, 255, 7 });
        Add("two", null, true, null);
        Assert.Equal(
            [("naïve ½ \u200b", 0.1 + 1.0 / 3, int.MaxValue, "00FF07"), ("two", null, 1L, null)],
            db.Query<(string, double?, long?, string?)>("select id, weight, pieces, iif(body is null, null, hex(body)) from thing order by rowid"));
    }

    [Fact]
    public void A_row_that_breaks_a_rule_is_refused_and_the_next_is_taken()
    {
        Add("one", 1.0, 1, null);
        Assert.Equal(19, Assert.Throws<SqliteException>(() => Add("one", 2.0, 2, null)).SqliteErrorCode);
        Assert.Throws<SqliteException>(() => Add("two", "heavy", 2, null));
        Assert.Throws<ArgumentException>(() => Add("two", 2.0m, 2, null));
        Assert.Throws<SqliteException>(() => rows.Add("nothing", "id", ["one"]));
        Add("two", 2.0, 2, null);
        Assert.Equal(3.0, db.ExecuteScalar<double>("select sum(weight) from thing"));
    }

    [Fact]
    public void It_says_whether_there_was_a_row_to_change()
    {
        Add("one", 1.0, 1, null);
        bool Change(string id, double weight) => rows.Change("thing", "weight, pieces", [weight, 7, id]);
        Assert.True(Change("one", 4));
        Assert.False(Change("two", 5));
        db.Execute("insert into thing (id, weight, deleted_at) values ('gone', 1, '2026-11-26')");
        Assert.False(Change("gone", 5));
        Assert.Equal((4.0, 7L), db.QuerySingle<(double, long)>("select weight, pieces from thing where id = 'one'"));
        rows.Remove("thing", "id", "two");
        Assert.Equal(2, db.ExecuteScalar<int>("select count(*) from thing"));
        rows.Remove("thing", "id", "one");
        Assert.Equal("gone", db.QuerySingle<string>("select id from thing"));
    }
}
