namespace Ystrata.Core.Practice;

public enum PracticeKind
{
    Pan,
    Fold,
}

/// <summary>How far a cook has come: rounds get harder once the ones before are mastered.</summary>
/// <param name="Level">From 1.</param>
/// <param name="Highest">There are so many.</param>
/// <param name="Good">Of the newest rounds of this level that count, how many are good enough in a row, the newest first.</param>
/// <param name="Needed">So many take it to the next.</param>
public sealed record PracticeStanding(int Level, int Highest, int Good, int Needed)
{
    /// <summary>A round is good from here on, of 100.</summary>
    public const int GoodFrom = 75;

    private const int InARow = 3;

    /// <param name="newest">Level and score of the rounds played, the newest first.</param>
    public static PracticeStanding Of(PracticeKind kind, IReadOnlyList<(int Level, int Score)> newest)
    {
        var highest = kind == PracticeKind.Pan ? Trainer.Levels : FoldTrainer.Levels;
        for (var level = 1; ; level++)
        {
            // A harder round that was good shows this one mastered as well.
            var at = newest.Where(r => r.Level >= level).ToList();
            var good = at.TakeWhile(r => r.Score >= GoodFrom).Count();
            var mastered = Enumerable.Range(0, Math.Max(at.Count - InARow + 1, 0)).Any(i => at.Skip(i).Take(InARow).All(r => r.Score >= GoodFrom));
            if (!mastered || level == highest)
            {
                return new(level, highest, Math.Min(good, InARow), InARow);
            }
        }
    }
}
