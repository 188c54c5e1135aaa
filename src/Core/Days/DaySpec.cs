namespace Ystrata.Core.Days;

/// <summary>What there is of one thing before anybody shops.</summary>
public sealed record AtHand(string Id, Grams Mass);

/// <summary>What the cook has said of one day. The batches of the day are not here: they are those whose table is on it.</summary>
/// <param name="People">Pairs of hands there are; nothing for as many as the day's largest batch counts on.</param>
/// <param name="Pans">Pans there are; nothing for as many as the day's largest batch counts on.</param>
/// <param name="AtHand">What there is already, by its larder id, each once.</param>
public sealed record DaySpec(int? People = null, int? Pans = null, IReadOnlyList<AtHand>? AtHand = null)
{
    public const int MostAtHand = 400;

    public static DaySpec Nothing { get; } = new();

    public static IReadOnlyList<Limit> Limits { get; } =
    [
        new("people", 1, ClockSpec.MostPeople, ""),
        new("pans", 1, ClockSpec.MostPans, ""),
        new("atHand[].mass", 0, 1_000_000, Grams.Unit),
    ];

    /// <returns>Every figure that no day has; empty for a day that can be reckoned with.</returns>
    public IReadOnlyList<Refusal> Check()
    {
        List<Refusal> refusals = [];
        void Within(Limit limit, string field, double? value)
        {
            if (value is { } v && !(v >= limit.Least && v <= limit.Most))
            {
                refusals.Add(new(field, double.IsFinite(v) ? RefusalCode.OutOfRange : RefusalCode.NotANumber, double.IsFinite(v) ? v : null, limit.Least, limit.Most, limit.Unit));
            }
        }

        Within(Limits[0], "people", People);
        Within(Limits[1], "pans", Pans);
        var there = AtHand ?? [];
        if (there.Count > MostAtHand)
        {
            refusals.Add(new("atHand", RefusalCode.TooMany, there.Count, 0, MostAtHand));
            return refusals;
        }

        var named = new HashSet<string>(StringComparer.Ordinal);
        for (var i = 0; i < there.Count; i++)
        {
            if (there[i] is not { Id.Length: > 0 } one)
            {
                refusals.Add(new($"atHand[{i}].id", RefusalCode.Missing));
                continue;
            }

            Within(Limits[2], $"atHand[{i}].mass", one.Mass.Value);
            if (one.Id.Length > IngredientCheck.LongestName)
            {
                refusals.Add(new($"atHand[{i}].id", RefusalCode.TooLong, one.Id.Length, 1, IngredientCheck.LongestName));
            }
            else if (!named.Add(one.Id))
            {
                refusals.Add(new($"atHand[{i}].id", RefusalCode.NamedTwice, Item: one.Id));
            }
        }

        return refusals;
    }
}
