namespace Ystrata.Core.Logbook;

/// <summary>What really went in; whatever was not weighed or counted stays empty.</summary>
/// <param name="Pieces">Pieces that reached the table.</param>
/// <param name="Lost">Pieces dropped, burst or burnt.</param>
/// <param name="Dough">All dough as it was divided: what bowl and hands kept is missing from it.</param>
/// <param name="Raw">One piece as it went on the pan.</param>
/// <param name="Roasted">The same piece as it came off.</param>
public sealed record Used(
    int? Pieces, Grams? Flour, Grams? Liquid, Grams? DoughFat, Grams? Salt, Grams? BallMass, int? Lost = null, Grams? Dough = null, Grams? Raw = null, Grams? Roasted = null);

/// <summary>What the pan really was and took.</summary>
/// <param name="FirstSide">The first face, dry.</param>
/// <param name="SecondSide">The second face, with fat.</param>
/// <param name="LastSide">The first face again, with fat.</param>
public sealed record Timed(Celsius? Pan, Seconds? FirstSide, Seconds? SecondSide, Seconds? LastSide);

/// <summary>How it came out, each from 1 (poor) to 5 (as it should be).</summary>
public sealed record Judged(int? Soft, int? Leaves, int? Colour, int? Taste, int? Filling = null, int? Wall = null);

/// <summary>What a squeezed or drained part of a filling really gave.</summary>
/// <param name="Id">The larder id; of the joined filling, the part there is most of.</param>
/// <param name="Step">Its place, as the bench counts it: part and step, or "together" and step.</param>
/// <param name="Planned">What should have been left, percent of what was there.</param>
/// <param name="Left">What was left, percent of what was there.</param>
public sealed record StepYield(string Id, string Step, Percent Planned, Percent Left);

/// <summary>How long one kind of hand work took, from the stove.</summary>
/// <param name="Each">Once.</param>
/// <param name="Times">How often it was timed.</param>
public sealed record WorkTime(HandWork Work, Seconds Each, int Times);

/// <summary>One cooking of a batch, as it went.</summary>
/// <param name="Faults">What was wrong with it; nothing when nobody looked, none when nothing was.</param>
/// <param name="Counts">False for a batch nothing is to be learned from.</param>
/// <param name="Faces">What photos told of its faces.</param>
public sealed record Outcome(
    Used Used,
    Timed Timed,
    Judged Judged,
    string Note,
    IReadOnlyList<StepYield>? Yields = null,
    IReadOnlyList<WorkTime>? Hands = null,
    IReadOnlyList<Symptom>? Faults = null,
    bool Counts = true,
    IReadOnlyList<FacePhoto>? Faces = null)
{
    /// <summary>Nothing taken, nothing judged.</summary>
    public static Outcome Nothing { get; } = new(
        new(null, null, null, null, null, null), new(null, null, null, null), new(null, null, null, null), "");
}

/// <summary>The ranges of a log entry: wide, since what happened happened.</summary>
public static class LogCheck
{
    public const int LongestNote = 4000, MostYields = 200, MostHands = 60;

    private const int LongestStep = 40;

    // Fat from the pan weighs less than what steams off, or little more.
    private const double MostHeavier = 1.2;

    public static IReadOnlyList<Limit> Limits { get; } =
    [
        new("used.pieces", 0, 500, ""),
        new("used.flour", 0, 100_000, Grams.Unit),
        new("used.liquid", 0, 100_000, Grams.Unit),
        new("used.doughFat", 0, 50_000, Grams.Unit),
        new("used.salt", 0, 5000, Grams.Unit),
        new("used.ballMass", 1, 2000, Grams.Unit),
        new("used.lost", 0, 500, ""),
        new("used.dough", 0, 200_000, Grams.Unit),
        new("used.raw", 1, 3000, Grams.Unit),
        new("used.roasted", 1, 3000, Grams.Unit),
        new("timed.pan", 20, 400, Celsius.Unit),
        new("timed.firstSide", 0, 3600, Seconds.Unit),
        new("timed.secondSide", 0, 3600, Seconds.Unit),
        new("timed.lastSide", 0, 3600, Seconds.Unit),
        new("judged.soft", 1, 5, ""),
        new("judged.leaves", 1, 5, ""),
        new("judged.colour", 1, 5, ""),
        new("judged.taste", 1, 5, ""),
        new("judged.filling", 1, 5, ""),
        new("judged.wall", 1, 5, ""),
        new("yields[].left", 0, 200, Percent.Unit),
        new("hands[].each", 0, 3600, Seconds.Unit),
    ];

    /// <returns>Every figure that is out of its range; empty when the entry can be kept.</returns>
    public static IReadOnlyList<Refusal> Check(Outcome outcome)
    {
        var (used, timed, judged) = (outcome.Used, outcome.Timed, outcome.Judged);
        double?[] values =
        [
            used.Pieces, used.Flour?.Value, used.Liquid?.Value, used.DoughFat?.Value, used.Salt?.Value, used.BallMass?.Value, used.Lost, used.Dough?.Value, used.Raw?.Value, used.Roasted?.Value,
            timed.Pan?.Value, timed.FirstSide?.Value, timed.SecondSide?.Value, timed.LastSide?.Value,
            judged.Soft, judged.Leaves, judged.Colour, judged.Taste, judged.Filling, judged.Wall,
        ];

        var refusals = new List<Refusal>();
        foreach (var (limit, value) in Limits.Zip(values))
        {
            if (value is { } v)
            {
                Within(limit, limit.Field, v, refusals);
            }
        }

        Listed("yields", outcome.Yields, MostYields, y => y.Left.Value, refusals);
        Listed("hands", outcome.Hands, MostHands, h => h.Each.Value, refusals);
        foreach (var (yield, i) in (outcome.Yields ?? []).Take(MostYields).Select((y, i) => (y, i)))
        {
            if (yield.Id.Length is 0 or > IngredientCheck.LongestName || yield.Step.Length > LongestStep || !double.IsFinite(yield.Planned.Value))
            {
                refusals.Add(new($"yields[{i}]", RefusalCode.Unreadable));
            }
        }

        if (outcome.Faults is { } faults && faults.Distinct().Count() != faults.Count)
        {
            refusals.Add(new("faults", RefusalCode.Unreadable));
        }

        if (used is { Raw: { Value: > 0 } raw, Roasted: { } roasted } && roasted.Value > raw.Value * MostHeavier)
        {
            refusals.Add(new("used.roasted", RefusalCode.OutOfRange, roasted.Value, 1, Math.Round(raw.Value * MostHeavier), Grams.Unit));
        }

        if (outcome.Faces is { } faces && !FacesStand(faces))
        {
            refusals.Add(new("faces", RefusalCode.Unreadable));
        }

        if (outcome.Note.Length > LongestNote)
        {
            refusals.Add(new("note", RefusalCode.TooLong, outcome.Note.Length, 0, LongestNote));
        }

        return refusals;
    }

    /// <summary>One photo at most of each face, whole, with colours as a screen has them.</summary>
    public static bool FacesStand(IReadOnlyList<FacePhoto> faces) => faces.Count <= FacePhoto.MostFaces && faces.All(f =>
        f is { White.Count: FacePhoto.Quarters, Face.Count: FacePhoto.Quarters } && Enum.IsDefined(f.Is) && f.White.Concat(f.Face).All(p => p is { Stands: true })) && faces.DistinctBy(f => f.Is).Count() == faces.Count;

    private static void Listed<T>(string field, IReadOnlyList<T>? all, int most, Func<T, double> figure, List<Refusal> refusals)
    {
        if (all is { Count: var count } && count > most)
        {
            refusals.Add(new(field, RefusalCode.TooLong, count, 0, most));
            return;
        }

        var limit = Limits.First(l => l.Field.StartsWith($"{field}[]", StringComparison.Ordinal));
        for (var i = 0; i < (all?.Count ?? 0); i++)
        {
            Within(limit, limit.Field.Replace("[]", $"[{i}]", StringComparison.Ordinal), figure(all![i]), refusals);
        }
    }

    private static void Within(Limit limit, string field, double value, List<Refusal> refusals)
    {
        if (!(value >= limit.Least && value <= limit.Most))
        {
            refusals.Add(new(field, RefusalCode.OutOfRange, value, limit.Least, limit.Most, limit.Unit));
        }
    }
}
