namespace Ystrata.Core.Logbook;

/// <summary>What cookings are compared by.</summary>
public enum FigureName
{
    Pieces,
    Lost,
    Flour,
    Liquid,
    DoughFat,
    Salt,
    Hydration,
    BallMass,
    DoughRest,
    LastRest,
    Leaves,
    Thickness,
    FillingShare,
    Pan,
    FirstSide,
    SecondSide,
    LastSide,
    Yield,
    HandTime,
    Soft,
    LeavesJudged,
    Colour,
    Taste,
    FillingJudged,
    Wall,
}

/// <param name="Of">The vegetable or hand work; empty for what there is one of.</param>
/// <param name="Value">What it really was; what was planned where nobody took it.</param>
/// <param name="Taken">Somebody took it.</param>
public sealed record Figure(FigureName Name, string Of, string Unit, double Value, bool Taken);

/// <summary>One figure of several cookings.</summary>
/// <param name="Values">In the order asked for; nothing where a cooking has no such figure.</param>
/// <param name="Differs">How far they lie apart, against what a cook notices: from 1 on it matters.</param>
public sealed record ComparedRow(FigureName Name, string Of, string Unit, IReadOnlyList<double?> Values, IReadOnlyList<bool> Taken, double Differs);

/// <summary>Two to four cookings, figure by figure, what matters on top.</summary>
public static class Comparison
{
    public const int Least = 2, Most = 4;

    /// <summary>Every figure of one cooking.</summary>
    public static IReadOnlyList<Figure> Figures(BatchSpec spec, Planned planned, Outcome outcome)
    {
        var figures = new List<Figure>();
        var (used, timed, judged) = (outcome.Used, outcome.Timed, outcome.Judged);
        Add(FigureName.Pieces, used.Pieces, planned.Pieces, "");
        Add(FigureName.Lost, used.Lost, null, "");
        Add(FigureName.Flour, used.Flour?.Value, planned.Flour.Value, Grams.Unit);
        Add(FigureName.Liquid, used.Liquid?.Value, planned.Liquid.Value, Grams.Unit);
        Add(FigureName.DoughFat, used.DoughFat?.Value, planned.DoughFat.Value, Grams.Unit);
        Add(FigureName.Salt, used.Salt?.Value, planned.Salt.Value, Grams.Unit);
        Add(FigureName.Hydration, Hydration(used, planned), planned.Hydration.Value, Percent.Unit);
        Add(FigureName.BallMass, used.BallMass?.Value, planned.BallMass.Value, Grams.Unit);
        Add(FigureName.DoughRest, null, spec.Rest.Time.Value, Minutes.Unit);
        Add(FigureName.LastRest, null, spec.Dough.Feel == Feel.Batter ? null : spec.Roll.Rest.Value, Minutes.Unit);
        Add(FigureName.Leaves, null, spec.Filling is null ? planned.Leaves : null, "");
        Add(FigureName.Thickness, null, planned.Thickness.Value, Millimetres.Unit);
        Add(FigureName.FillingShare, null, spec.Filling?.Wall.Share.Value, Percent.Unit);
        Add(FigureName.Pan, timed.Pan?.Value, planned.Pan.Value, Celsius.Unit);
        Add(FigureName.FirstSide, timed.FirstSide?.Value, Side(0), Seconds.Unit);
        Add(FigureName.SecondSide, timed.SecondSide?.Value, Side(1), Seconds.Unit);
        Add(FigureName.LastSide, timed.LastSide?.Value, Side(2), Seconds.Unit);
        foreach (var yields in (outcome.Yields ?? []).GroupBy(y => y.Id))
        {
            Add(FigureName.Yield, yields.Average(y => y.Left.Value), null, Percent.Unit, yields.Key);
        }

        foreach (var work in outcome.Hands ?? [])
        {
            Add(FigureName.HandTime, work.Each.Value, null, Seconds.Unit, work.Work.ToString());
        }

        Add(FigureName.Soft, judged.Soft, null, "");
        Add(FigureName.LeavesJudged, judged.Leaves, null, "");
        Add(FigureName.Colour, judged.Colour, null, "");
        Add(FigureName.Taste, judged.Taste, null, "");
        Add(FigureName.FillingJudged, judged.Filling, null, "");
        Add(FigureName.Wall, judged.Wall, null, "");
        return figures;

        double? Side(int at) => at < planned.Sides.Count ? planned.Sides[at].Value : null;

        void Add(FigureName name, double? really, double? plan, string unit, string of = "")
        {
            if ((really ?? plan) is { } value)
            {
                figures.Add(new(name, of, unit, value, really is not null));
            }
        }
    }

    /// <summary>Lays cookings side by side; figures that all share come last.</summary>
    public static IReadOnlyList<ComparedRow> Of(IReadOnlyList<IReadOnlyList<Figure>> cookings) =>
    [
        .. cookings.SelectMany(c => c).GroupBy(f => (f.Name, f.Of)).Select(g => Row(g.Key.Name, g.Key.Of, g.First().Unit, cookings))
            .OrderByDescending(r => r.Differs).ThenBy(r => r.Name).ThenBy(r => r.Of, StringComparer.Ordinal),
    ];

    private static ComparedRow Row(FigureName name, string of, string unit, IReadOnlyList<IReadOnlyList<Figure>> cookings)
    {
        var found = cookings.Select(c => c.FirstOrDefault(f => f.Name == name && f.Of == of)).ToList();
        var values = found.OfType<Figure>().Select(f => f.Value).ToList();
        var apart = values.Count < 2 ? 0 : (values.Max() - values.Min()) / Noticed(name, values.Average());
        return new(name, of, unit, [.. found.Select(f => f?.Value)], [.. found.Select(f => f?.Taken ?? false)], apart);
    }

    // What a cook notices (empirical). Masses that only follow the number of pieces matter little beside the shares made of them.
    private static double Noticed(FigureName name, double mean) => name switch
    {
        FigureName.Hydration => 1.5,
        FigureName.Leaves => Math.Max(mean * 0.2, 1),
        FigureName.Thickness => 0.4,
        FigureName.Pan => 10,
        FigureName.FirstSide or FigureName.SecondSide or FigureName.LastSide => Math.Max(mean * 0.15, 5),
        FigureName.DoughRest or FigureName.LastRest => Math.Max(mean * 0.3, 5),
        FigureName.BallMass => Math.Max(mean * 0.06, 2),
        FigureName.Yield or FigureName.FillingShare => 5,
        FigureName.HandTime => Math.Max(mean * 0.25, 2),
        FigureName.Lost => 1,
        FigureName.Soft or FigureName.LeavesJudged or FigureName.Colour or FigureName.Taste or FigureName.FillingJudged or FigureName.Wall => 1,
        _ => Math.Max(mean * 0.5, 1),
    };

    private static double? Hydration(Used used, Planned planned) => used.Liquid is null && used.Flour is null || planned.Liquid.Value <= 0 || used.Flour is { Value: <= 0 }
        ? null
        : planned.Hydration.Value * ((used.Liquid ?? planned.Liquid) / planned.Liquid) / ((used.Flour ?? planned.Flour) / planned.Flour);
}
