using Ystrata.Store;
using Ystrata.Web.Files;

namespace Ystrata.Web.Demo;

/// <summary>One cooking of the canteen.</summary>
internal sealed record Cooked(Batch Batch, LogEntry Entry, IReadOnlyList<Lesson> Lessons, Photo? Photo);

/// <summary>The canteen at the ferry landing: twelve breads, its own larder and three weeks of its log, the same every time, and what is to be made on one day.</summary>
internal static class MarrowQuay
{
    private const int Seed = 20261102;

    private static readonly DateTimeOffset FirstDay = new(2026, 11, 2, 0, 0, 0, TimeSpan.Zero);

    // Which bread, which day after the first, how it came out (soft, leaves, colour, taste), what the cook wrote and found wrong.
    private static readonly (string Bread, int Day, int Hour, Judged Judged, string Note, Symptom[]? Faults)[] Days =
    [
        ("Night-crew squares", 0, 18, new(3, 4, 4, 4), "Crew came early, two rounds went out with short rests. Still peeled well.", [Symptom.ShrankBack]),
        ("First-ferry squares", 1, 6, new(3, 2, 4, 4), "Only one ghee, no time. Middle held together like one leaf.", [Symptom.NoLayers]),
        ("Landing rounds", 2, 12, new(4, null, 5, 4), "", []),
        ("Nigella coils", 4, 17, new(2, 3, 4, 4), "Rope stretched too far at one end. Middles a bit hard.", [Symptom.HardInTheMiddle]),
        ("Fenugreek triangles", 6, 12, new(4, 5, 4, 5), "Oil instead of ghee for the table by the window.", null),
        ("Night-crew squares", 8, 18, new(4, 5, 2, 4), "Pan 2 ran hot. Turned it down after the sixth.", [Symptom.Uneven, Symptom.BurntFlour]),
        ("Beet quarters", 9, 12, new(3, 4, 4, 3), "Puree was thin, needed flour at the bench.", [Symptom.Sticky]),
        ("First-ferry squares", 11, 6, new(4, 3, 3, 4), "Same as last week. Two leaves weld, nobody minds at six.", null),
        ("Nigella coils", 13, 17, new(4, 5, 4, 5), "Brushed the back as well. Rings came apart.", []),
        ("Landing rounds", 15, 12, new(2, null, 4, 4), "New bag of flour, drinks more.", [Symptom.Stiff]),
        ("Beet quarters", 17, 12, new(4, 5, 5, 4), "Cooked the puree down first. Better.", []),
        ("Night-crew squares", 20, 18, new(5, 5, 5, 5), "Best so far. 40 min rest, no hurry.", []),
    ];

    // Cookings of which somebody took a photo, by day: how much darker than planned the face was, and whether a shadow lay across it.
    private static readonly Dictionary<int, (double Darker, bool Shadow)> Photographed = new()
    {
        [4] = (1.15, false),
        [8] = (1.3, false),
        [13] = (1.2, false),
        [17] = (1.1, true),
        [20] = (1.2, false),
    };

    // What is made for one day of the canteen: the one after the kitchen was filled.
    private static readonly (string Bread, int Pieces, double Hour)[] NextDay =
    [
        ("First-ferry squares", 16, 6.5), ("Fenugreek triangles", 24, 12), ("Cauliflower and pea rounds", 16, 12.25), ("Nigella coils", 12, 17.5), ("Night-crew squares", 20, 18),
    ];

    public static DateTimeOffset ShelfAt => FirstDay.AddDays(-1).AddHours(9);

    /// <summary>The larder it was planned with.</summary>
    public static Kitchen Its { get; } = Pantry.Over(Kitchen.Shipped, MarrowQuayLarder.Lines.Select(i => new IngredientRecord(i, ShelfAt)));

    public static IReadOnlyList<Bread> Breads { get; } = [.. MarrowQuayBreads.All(ShelfAt).Values];

    private static readonly Lazy<IReadOnlyList<Cooked>> All = new(() => [.. Cook()]);

    /// <summary>Batch, entry and photo of everything that was cooked.</summary>
    public static IReadOnlyList<Cooked> Cookings => All.Value;

    private static IEnumerable<Cooked> Cook()
    {
        var shelf = Breads.ToDictionary(b => b.Name);
        var random = new Random(Seed);
        foreach (var (name, day, hour, judged, note, faults) in Days)
        {
            var at = FirstDay.AddDays(day).AddHours(hour).AddMinutes(5 * random.Next(0, 7));
            var bread = shelf[name];
            var spec = bread.Spec with { Start = bread.Spec.Start with { By = StartBy.Pieces, Pieces = bread.Spec.Start.Pieces + 2 * random.Next(-2, 3) } };
            var batch = new Batch(MarrowQuayBreads.Id("batch", day), bread.Id, name, spec, at, at.AddHours(-3));
            var sheet = Planner.Plan(spec, Its).Value!;
            var (photo, face) = Photo(sheet, day, at);
            var outcome = AsCooked(spec, sheet, judged, note, faults, random) with { Faces = face is null ? null : [face] };
            var entry = new LogEntry(MarrowQuayBreads.Id("log", day), batch.Id, spec, at, outcome, at.AddHours(1), name, bread.Id, Planned.Of(spec, sheet), photo?.Id);
            yield return new(batch, entry, Lessons.Of(spec, outcome, Its), photo);
        }
    }

    /// <summary>What is to be made on one day.</summary>
    /// <param name="midnight">At which that day begins.</param>
    public static IEnumerable<Batch> ToMake(DateTimeOffset midnight)
    {
        var shelf = Breads.ToDictionary(b => b.Name);
        return NextDay.Select((b, i) => new Batch(
            MarrowQuayBreads.Id("day", i),
            shelf[b.Bread].Id,
            b.Bread,
            shelf[b.Bread].Spec with { Start = shelf[b.Bread].Spec.Start with { By = StartBy.Pieces, Pieces = b.Pieces } },
            midnight.AddHours(b.Hour),
            FirstDay.AddDays(21)));
    }

    private static (Photo? Photo, FacePhoto? Face) Photo(BatchSheet sheet, int day, DateTimeOffset at)
    {
        if (!Photographed.TryGetValue(day, out var was))
        {
            return (null, null);
        }

        var lightness = FaceColours.LightnessAt(was.Darker * sheet.Pan.Done.First, FaceColours.HueOf(sheet.Dough, Its));
        var (png, face) = MarrowQuayPhotos.Draw(FaceIs.First, lightness, Seed + day, was.Shadow);
        var (body, small) = PhotoFile.Anew(png)!.Value;
        return (new(MarrowQuayBreads.Id("photo", day), PhotoFile.Kind, body, small, at), face);
    }

    // What happened lies near the plan: more water than planned, hands that vary, a pan that wanders.
    private static Outcome AsCooked(BatchSpec spec, BatchSheet sheet, Judged judged, string note, Symptom[]? faults, Random random)
    {
        var planned = Planned.Of(spec, sheet);
        double Near(double value, double spread, double bias = 0) => value * (1 + bias + spread * (2 * random.NextDouble() - 1));
        Grams Weighed(Grams mass, double spread, double bias = 0) => new(Math.Round(Near(mass.Value, spread, bias)));
        Seconds Timed(Seconds time) => new(5 * Math.Round(Near(time.Value, 0.2, 0.05) / 5));

        return new(
            new(
                spec.Start.Pieces - (random.Next(4) == 0 ? 1 : 0),
                Weighed(planned.Flour, 0.01),
                Weighed(planned.Liquid, 0.03, 0.02),
                Weighed(planned.DoughFat, 0.05),
                Weighed(planned.Salt, 0.03),
                Weighed(planned.BallMass, 0.02)),
            new(new(Math.Round(Near(spec.Pan.Temperature.Value, 0.04))), Timed(planned.Sides[0]), Timed(planned.Sides[1]), Timed(planned.Sides[^1])),
            judged,
            note,
            Faults: faults);
    }
}
