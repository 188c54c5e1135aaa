namespace Ystrata.Core.Learning;

/// <summary>What the record says of one figure, and what plans would use instead.</summary>
/// <param name="N">Cookings it rests on: the newest, no more than <see cref="LearnedFigures.Most"/>.</param>
/// <param name="Mean">Of what they say.</param>
/// <param name="Spread">Standard deviation of what they say; 0 for one.</param>
/// <param name="Seen">What they say in the figure's own terms: a thirst on top of what the kitchen says.</param>
/// <param name="Before">What plans use without it.</param>
/// <param name="After">What they use with it.</param>
/// <param name="Used">The cook has said that plans are to use it.</param>
/// <param name="Least">Cookings it must rest on before plans use it.</param>
public sealed record LearnedFigure(LessonKind Kind, string Of, int N, double Mean, double Spread, double Seen, double Before, double After, bool Used, string Unit, int Least);

/// <summary>Models.md H: shrunk means of the newest cookings.</summary>
public static class LearnedFigures
{
    /// <summary>Older cookings than the newest twelve say nothing any more (models.md H).</summary>
    public const int Most = 12;

    // n / (n + 3) of the way from the general figure to the kitchen's own (models.md H).
    private const double Doubt = 3;

    /// <summary>Most water a learned flour may be told to drink, percent: what the larder takes too.</summary>
    private static readonly Range<Percent> Drinks = new(new(30), new(150));

    /// <param name="newest">What the cookings say, the newest first, at least one.</param>
    public static LearnedFigure Of(LessonKind kind, string of, IReadOnlyList<double> newest, bool used, Kitchen kitchen)
    {
        var samples = newest.Take(Most).ToList();
        var mean = samples.Average();
        var spread = samples.Count < 2 ? 0 : Math.Sqrt(samples.Sum(s => (s - mean) * (s - mean)) / (samples.Count - 1));
        var before = Before(kind, of, kitchen);
        // A thirst is a difference already; anything else is drawn away from the general figure.
        var seen = kind == LessonKind.Thirst ? before + mean : mean;
        return new(kind, of, samples.Count, mean, spread, seen, before, before + samples.Count / (samples.Count + Doubt) * (seen - before), used, UnitOf(kind), LeastOf(kind));
    }

    /// <summary>Whether the kitchen still knows what this is about.</summary>
    public static bool Knows(LessonKind kind, string of, Kitchen kitchen) => kind switch
    {
        LessonKind.Thirst => kitchen.TryGet(of, out var flour) && flour!.Absorption is not null,
        LessonKind.Squeeze => kitchen.TryGet(of, out var item) && item!.Squeeze is not null,
        LessonKind.HandTime => Enum.GetNames<HandWork>().Contains(of),
        LessonKind.Browning or LessonKind.Steam => Enum.GetNames<PanKind>().Contains(of),
        _ => of.Length == 0,
    };

    /// <summary>The kitchen with every figure in use laid into it.</summary>
    /// <param name="kitchen">As it is without anything learned.</param>
    public static Kitchen Onto(Kitchen kitchen, IReadOnlyList<LearnedFigure> figures)
    {
        var used = figures.Where(f => f.Used && f.N >= f.Least && Knows(f.Kind, f.Of, kitchen)).ToList();
        if (used.Count == 0)
        {
            return kitchen;
        }

        double? Find(LessonKind kind, string of = "") => used.FirstOrDefault(f => f.Kind == kind && f.Of == of)?.After;
        Percent Thirst(Ingredient flour) => Find(LessonKind.Thirst, flour.Id) is { } after ? new(Math.Clamp(after, Drinks.Least.Value, Drinks.Most.Value)) : flour.Absorption!.Value;
        var items = kitchen.Larder.All.Select(i => i switch
        {
            // A bag follows its flour; what it was itself seen to drink goes before that.
            { Lot: { } lot } when kitchen.TryGet(lot.Of, out var flour) && flour!.Absorption is not null =>
                i with { Lot = lot with { Thirst = Find(LessonKind.Thirst, i.Id) is null ? lot.Thirst : new(Thirst(i).Value - Thirst(flour).Value) } },
            { Absorption: not null } => i with { Absorption = Thirst(i) },
            { Squeeze: not null } when Find(LessonKind.Squeeze, i.Id) is { } squeeze => i with { Squeeze = new(squeeze) },
            _ => i,
        });
        var hands = new Dictionary<HandWork, Seconds>(kitchen.Hands.Own);
        foreach (var figure in used.Where(f => f.Kind == LessonKind.HandTime))
        {
            hands[Enum.Parse<HandWork>(figure.Of)] = new(Math.Clamp(figure.After, HandTimes.Least.Value, HandTimes.Most.Value));
        }

        Dictionary<PanKind, double> OnPans(LessonKind kind) => used.Where(f => f.Kind == kind).ToDictionary(f => Enum.Parse<PanKind>(f.Of), f => f.After);
        return kitchen with
        {
            Larder = new(items),
            Hands = new(hands),
            Learned = new(
                Find(LessonKind.BowlLoss) is { } loss ? new Percent(loss) : Learned.Nothing.BowlLoss,
                Find(LessonKind.PanTime) ?? Learned.Nothing.PanTime,
                Find(LessonKind.CookOff) ?? Learned.Nothing.CookOff,
                OnPans(LessonKind.Browning),
                OnPans(LessonKind.Steam)),
        };
    }

    private static double Before(LessonKind kind, string of, Kitchen kitchen) => kind switch
    {
        LessonKind.Thirst => kitchen[of].Absorption!.Value.Value,
        LessonKind.Squeeze => kitchen[of].Squeeze!.Value.Value,
        LessonKind.BowlLoss => Learned.Nothing.BowlLoss.Value,
        LessonKind.PanTime => Learned.Nothing.PanTime,
        LessonKind.CookOff => Learned.Nothing.CookOff,
        LessonKind.Browning or LessonKind.Steam => 1,
        _ => kitchen.Hands[Enum.Parse<HandWork>(of)].Value,
    };

    // One photo or one weighing is easily wrong.
    private static int LeastOf(LessonKind kind) => kind is LessonKind.Browning or LessonKind.Steam ? 3 : 1;

    private static string UnitOf(LessonKind kind) => kind switch
    {
        LessonKind.HandTime => Seconds.Unit,
        LessonKind.PanTime or LessonKind.CookOff or LessonKind.Browning or LessonKind.Steam => "",
        _ => Percent.Unit,
    };
}
