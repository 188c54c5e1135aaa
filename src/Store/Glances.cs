using Dapper;

namespace Ystrata.Store;

/// <summary>What was worked out of breads to be shown, kept beside them so that it is worked out once.</summary>
public sealed class Glances(Kitchen kitchen)
{
    /// <summary>All that are kept, by the version of the bread.</summary>
    /// <param name="workedWith">What they were worked out with.</param>
    public IReadOnlyDictionary<string, string> Of(string workedWith)
    {
        using var db = kitchen.Connect();
        return db.Query<(string Bread, string Body)>("select bread, body from glance where worked_with = @workedWith", new { workedWith }).ToDictionary(g => g.Bread, g => g.Body, StringComparer.Ordinal);
    }

    /// <summary>Keeps some more; those worked out with anything else go.</summary>
    public void Keep(string workedWith, IEnumerable<(string Bread, string Body)> glances)
    {
        using var db = kitchen.Connect();
        using var work = db.BeginTransaction();
        db.Execute("delete from glance where worked_with <> @workedWith", new { workedWith });
        db.Execute("insert or replace into glance (bread, worked_with, body) values (@Bread, @workedWith, @Body)", glances.Select(g => new { g.Bread, workedWith, g.Body }));
        work.Commit();
    }

    /// <summary>Forgets those of breads that are no longer as they were.</summary>
    /// <param name="versions">Of the breads there are.</param>
    public void Only(IReadOnlyCollection<string> versions)
    {
        using var db = kitchen.Connect();
        db.Execute("delete from glance where bread not in (select value from json_each(@versions))", new { versions = System.Text.Json.JsonSerializer.Serialize(versions) });
    }
}
