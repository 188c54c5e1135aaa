namespace Ystrata.Core;

/// <summary>What really went in; whatever was not weighed stays empty.</summary>
/// <param name="Pieces">Pieces that reached the table.</param>
public sealed record Used(int? Pieces, Grams? Flour, Grams? Liquid, Grams? DoughFat, Grams? Salt, Grams? BallMass);

/// <summary>What the pan really was and took.</summary>
/// <param name="FirstSide">The first face, dry.</param>
/// <param name="SecondSide">The second face, with fat.</param>
/// <param name="LastSide">The first face again, with fat.</param>
public sealed record Timed(Celsius? Pan, Seconds? FirstSide, Seconds? SecondSide, Seconds? LastSide);

/// <summary>How it came out, each from 1 (poor) to 5 (as it should be).</summary>
public sealed record Judged(int? Soft, int? Leaves, int? Colour, int? Taste);

/// <summary>One cooking of a batch, as it went.</summary>
public sealed record Outcome(Used Used, Timed Timed, Judged Judged, string Note);

/// <summary>The ranges of a log entry: wide, since what happened happened.</summary>
public static class LogCheck
{
    public const int LongestNote = 4000;

    public static IReadOnlyList<Limit> Limits { get; } =
    [
        new("used.pieces", 0, 500, ""),
        new("used.flour", 0, 100_000, Grams.Unit),
        new("used.liquid", 0, 100_000, Grams.Unit),
        new("used.doughFat", 0, 50_000, Grams.Unit),
        new("used.salt", 0, 5000, Grams.Unit),
        new("used.ballMass", 1, 2000, Grams.Unit),
        new("timed.pan", 20, 400, Celsius.Unit),
        new("timed.firstSide", 0, 3600, Seconds.Unit),
        new("timed.secondSide", 0, 3600, Seconds.Unit),
        new("timed.lastSide", 0, 3600, Seconds.Unit),
        new("judged.soft", 1, 5, ""),
        new("judged.leaves", 1, 5, ""),
        new("judged.colour", 1, 5, ""),
        new("judged.taste", 1, 5, ""),
    ];

    /// <returns>Every figure that is out of its range; empty when the entry can be kept.</returns>
    public static IReadOnlyList<Refusal> Check(Outcome outcome)
    {
        double?[] values =
        [
            outcome.Used.Pieces, outcome.Used.Flour?.Value, outcome.Used.Liquid?.Value, outcome.Used.DoughFat?.Value,
            outcome.Used.Salt?.Value, outcome.Used.BallMass?.Value,
            outcome.Timed.Pan?.Value, outcome.Timed.FirstSide?.Value, outcome.Timed.SecondSide?.Value, outcome.Timed.LastSide?.Value,
            outcome.Judged.Soft, outcome.Judged.Leaves, outcome.Judged.Colour, outcome.Judged.Taste,
        ];

        var refusals = new List<Refusal>();
        foreach (var (limit, value) in Limits.Zip(values))
        {
            if (value is { } v && !(v >= limit.Least && v <= limit.Most))
            {
                refusals.Add(new(limit.Field, RefusalCode.OutOfRange, v, limit.Least, limit.Most, limit.Unit));
            }
        }

        if (outcome.Note.Length > LongestNote)
        {
            refusals.Add(new("note", RefusalCode.TooLong, outcome.Note.Length, 0, LongestNote));
        }

        return refusals;
    }
}
