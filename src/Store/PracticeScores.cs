using System.Text.Json;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store;

/// <summary>One finished round of practice.</summary>
/// <param name="Turns">At the pan seconds after laying; at the fold the contacts that were marked.</param>
/// <param name="Lift">0 at the fold.</param>
/// <param name="Heat">How near the guess of the pan's heat came, of 100; nothing without one.</param>
/// <param name="Colour">The same of the faces; nothing at the fold, and of rounds from before it was kept.</param>
/// <param name="Done">The same of being done.</param>
public sealed record PracticeScore(
    Guid Id, int Seed, DateTimeOffset PlayedAt, int Score, IReadOnlyList<int> Turns, int Lift, PracticeKind Kind = PracticeKind.Pan, int Level = 1, int? Heat = null, int? Colour = null, int? Done = null);

public sealed class PracticeScores(KitchenDb kitchen)
{
    private const string Columns = "id Id, seed Seed, played_at PlayedAt, score Score, turns Turns, lift Lift, kind Kind, level Level, heat Heat, colour Colour, done Done";

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

    // Older rounds say nothing any more of how far a cook has come.
    private const int Telling = 60;

    /// <summary>How far the rounds played have come.</summary>
    public PracticeStanding Standing(PracticeKind kind)
    {
        using var db = kitchen.Connect();
        var newest = db.Query<(long Level, long Score)>("select level, score from practice where kind = @kind order by played_at desc, id desc limit @Telling", new { kind = kind.ToString(), Telling });
        return PracticeStanding.Of(kind, [.. newest.Select(r => ((int)r.Level, (int)r.Score))]);
    }

    /// <returns>False when there is a score by this id already: then nothing has changed.</returns>
    public bool Add(PracticeScore score) => Once.Add(kitchen, "practice", score.Id, db => Put(db, [score]));

    internal static void Put(SqliteConnection db, IEnumerable<PracticeScore> scores) => db.Execute(
        "insert into practice (id, seed, played_at, score, turns, lift, kind, level, heat, colour, done) values (@Id, @Seed, @PlayedAt, @Score, @Turns, @Lift, @Kind, @Level, @Heat, @Colour, @Done)",
        scores.Select(s => new Row(s.Id.ToString(), s.Seed, KitchenDb.Stamp(s.PlayedAt), s.Score, JsonSerializer.Serialize(s.Turns), s.Lift, s.Kind.ToString(), s.Level, s.Heat, s.Colour, s.Done)));

    /// <summary>All of them, one by one.</summary>
    internal static IEnumerable<PracticeRecord> Each(SqliteConnection db) =>
        db.Query<Row>($"select {Columns} from practice order by id", buffered: false).Select(r => new PracticeRecord(r.ToScore()));

    private sealed record Row(string Id, long Seed, string PlayedAt, long Score, string Turns, long Lift, string Kind, long Level, long? Heat, long? Colour, long? Done)
    {
        public PracticeScore ToScore() => new(
            Guid.Parse(Id), (int)Seed, KitchenDb.Unstamp(PlayedAt), (int)Score, JsonSerializer.Deserialize<IReadOnlyList<int>>(Turns) ?? [], (int)Lift, Enum.Parse<PracticeKind>(Kind), (int)Level, (int?)Heat, (int?)Colour, (int?)Done);
    }
}
