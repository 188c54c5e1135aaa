using System.Text.Json;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store;

/// <summary>One finished round of practice.</summary>
/// <param name="Turns">Seconds after laying.</param>
public sealed record PracticeScore(Guid Id, int Seed, DateTimeOffset PlayedAt, int Score, IReadOnlyList<int> Turns, int Lift);

public sealed class PracticeScores(KitchenDb kitchen)
{
    private const string Columns = "id Id, seed Seed, played_at PlayedAt, score Score, turns Turns, lift Lift";

    /// <summary>The newest first.</summary>
    /// <param name="after">The last of the page before.</param>
    /// <returns>Nothing when there is no such score.</returns>
    public IReadOnlyList<PracticeScore>? Newest(int most, Guid? after = null)
    {
        using var db = kitchen.Connect();
        var from = after is null ? null : db.QuerySingleOrDefault<string>("select played_at from practice where id = @id", new { id = after.ToString() });
        return after is not null && from is null ? null :
        [
            .. db.Query<Row>(
                $"select {Columns} from practice {(after is null ? "" : "where (played_at, id) < (@from, @after)")} order by played_at desc, id desc limit @most",
                new { most, from, after = after?.ToString() }).Select(r => r.ToScore()),
        ];
    }

    /// <returns>False when there is a score by this id already: then nothing has changed.</returns>
    public bool Add(PracticeScore score) => Once.Add(kitchen, "practice", score.Id, db => Put(db, [score]));

    internal static void Put(SqliteConnection db, IEnumerable<PracticeScore> scores) => db.Execute(
        "insert into practice (id, seed, played_at, score, turns, lift) values (@Id, @Seed, @PlayedAt, @Score, @Turns, @Lift)",
        scores.Select(s => new Row(s.Id.ToString(), s.Seed, KitchenDb.Stamp(s.PlayedAt), s.Score, JsonSerializer.Serialize(s.Turns), s.Lift)));

    /// <summary>All of them, one by one.</summary>
    internal static IEnumerable<PracticeRecord> Each(SqliteConnection db) =>
        db.Query<Row>($"select {Columns} from practice order by id", buffered: false).Select(r => new PracticeRecord(r.ToScore()));

    private sealed record Row(string Id, long Seed, string PlayedAt, long Score, string Turns, long Lift)
    {
        public PracticeScore ToScore() => new(
            Guid.Parse(Id), (int)Seed, KitchenDb.Unstamp(PlayedAt), (int)Score, JsonSerializer.Deserialize<IReadOnlyList<int>>(Turns) ?? [], (int)Lift);
    }
}
