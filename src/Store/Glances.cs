using System.Text.Json;
using Dapper;

namespace Ystrata.Store;

/// <summary>What was worked out of breads to be shown, kept beside them so that it is worked out once.</summary>
public sealed class Glances(KitchenDb kitchen)
{
    /// <summary>All that are kept, by the version of the bread.</summary>
    /// <param name="workedWith">What they were worked out with.</param>
    public IReadOnlyDictionary<string, string> Of(string workedWith)
    {
        using var db = kitchen.Connect();
        return db.Query<(string Bread, string Body)>("select bread, body from glance where worked_with = @workedWith", new { workedWith }).ToDictionary(g => g.Bread, g => g.Body, StringComparer.Ordinal);
    }

    /// <summary>Keeps some more. Those worked out with anything else go, and those of breads that are no longer as they were.</summary>
    /// <param name="shelf">The versions of all breads there are.</param>
    public void Keep(string workedWith, IEnumerable<(string Bread, string Body)> glances, IReadOnlyCollection<string> shelf)
    {
        using var db = kitchen.Connect();
        using var work = db.BeginTransaction();
        db.Execute(
            "delete from glance where worked_with <> @workedWith or bread not in (select value from json_each(@shelf))",
            new { workedWith, shelf = JsonSerializer.Serialize(shelf) });
        db.Execute("insert or replace into glance (bread, worked_with, body) values (@Bread, @workedWith, @Body)", glances.Select(g => new { g.Bread, workedWith, g.Body }));
        work.Commit();
    }
}
