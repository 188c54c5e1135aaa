using System.Globalization;
using Ystrata.Store;
using Ystrata.Web.Endpoints;

namespace Ystrata.Web.Files;

/// <summary>Checks the records of one file in their order, each as if it were typed: against the kitchen and what the file has brought before it.</summary>
internal sealed class RecordCheck(CurrentKitchen current, Breads breads, Batches batches, Photos photos)
{
    private const int MostSound = 256, MostTurns = 20, MostEvents = 20_000, LongestId = 64;

    private static readonly Limit Volume = new("vessel.volume", 3, 10_000, Millilitres.Unit);

    // What the file has brought so far: nothing comes twice, and other things hang on it.
    private readonly HashSet<(Type Kind, object Id)> brought = [];
    private readonly Dictionary<string, string> names = new(StringComparer.OrdinalIgnoreCase);
    private readonly List<IngredientRecord> items = [];

    // Specs the larder has been asked about.
    private readonly HashSet<BatchSpec> sound = new(ReferenceEqualityComparer.Instance);
    private Kitchen kitchen = current.Now;
    private int laid, flours;

    /// <summary>What it is called, and why it cannot be taken.</summary>
    /// <param name="small">Of a photo the small one; nothing when it is none.</param>
    public (string Name, IReadOnlyList<Refusal> Refusals) Check(KitchenRecord record, byte[]? small)
    {
        var (name, refusals) = Look(record, small);
        return (name, brought.Contains(KeyOf(record)) ? [.. refusals, new("id", RefusalCode.NamedTwice, Item: name)] : refusals);
    }

    private (string Name, IReadOnlyList<Refusal> Refusals) Look(KitchenRecord record, byte[]? small) => record switch
    {
        UnitsRecord r => ("", [.. Text("units.coin", r.Units.Coin, 0, Units.LongestCoin), .. At("units", Within(Units.BoardLimit, r.Units.Board!.Value.Value))]),
        HandRecord r => (r.Work.ToString(), Within(new("time", HandTimes.Least.Value, HandTimes.Most.Value, Seconds.Unit), r.Time.Value)),
        VesselRecord r => (r.Vessel.Name, [.. Text("vessel.id", r.Vessel.Id, 1, LongestId), .. Text("vessel.name", r.Vessel.Name, 1, VesselEndpoints.LongestName), .. Within(Volume, r.Vessel.Volume.Value)]),
        IngredientRecord r => (r.Ingredient.Name, CheckItem(r)),
        BreadRecord { Bread: var b } => (b.Name,
        [
            .. b.Tags.Count > Common.MostTags ? [new("bread.tags", RefusalCode.TooMany, b.Tags.Count, 0, Common.MostTags)] : At("bread", BreadEndpoints.CheckWords(b.Name, b.About, b.Tags)),
            .. Spec("bread.spec", b.Spec),
        ]),
        BatchRecord { Batch: var b } => (b.Name,
        [
            .. At("batch", Common.CheckName(b.Name)),
            .. Spec("batch.spec", b.Spec),
            .. Known("batch.breadId", b.BreadId, typeof(BreadRecord), breads.Known),
        ]),
        ServiceRecord r => (r.Service.Name, [.. CheckService(r)]),
        PhotoRecord r => (r.Id.ToString(), small is null ? [new("body", FileRefusals.NotAPhoto)] : []),
        LogRecord { Entry: var e } r => (e.Name,
        [
            .. Text("entry.name", e.Name, 0, Common.LongestName),
            .. Spec("entry.spec", e.Spec),
            .. At("entry.outcome", LogCheck.Check(e.Outcome)),
            .. Known("entry.batchId", e.BatchId, typeof(BatchRecord), batches.Known),
            .. Known("entry.photoId", e.PhotoId, typeof(PhotoRecord), photos.Known),
            .. r.Lessons.Any(l => !Lessons.Stands(l)) ? [new("lessons", RefusalCode.Unreadable)] : Array.Empty<Refusal>(),
        ]),
        LearnedRecord r => (r.Of, [.. Text("of", r.Of, 0, IngredientCheck.LongestName)]),
        PracticeRecord { Score: var s } => (s.Id.ToString(), s.Score is < 0 or > 100 || s.Turns.Count > MostTurns || s.Level is < 1 or > Trainer.Levels || new[] { s.Heat, s.Colour, s.Done }.Any(v => v is < 0 or > 100) ? [new("score", RefusalCode.OutOfRange, s.Score, 0, 100)] : []),
        DayRecord r => (r.Day.ToString("O", CultureInfo.InvariantCulture), [.. At("spec", r.Spec.Check())]),
        _ => ("", [new("kind", FileRefusals.NotInList)]),
    };

    private IReadOnlyList<Refusal> CheckItem(IngredientRecord record)
    {
        var item = record.Ingredient;
        var refusals = IngredientCheck.Check(item, With(item.Lot is null ? 0 : flours).Larder).ToList();
        // What lies in the trash may be called as something else is by now.
        if (record.DeletedAt is not null)
        {
            refusals.RemoveAll(r => r.Code == RefusalCode.NameTaken);
        }
        else if (names.TryGetValue(item.Name.Trim(), out var other) && other != item.Id)
        {
            refusals.Add(new("name", RefusalCode.NamedTwice, Item: item.Name));
        }

        if (!ItemIds.Good(item.Id))
        {
            refusals.Add(new("id", FileRefusals.NotInList, Item: item.Id));
        }

        return [.. At("ingredient", refusals)];
    }

    private IEnumerable<Refusal> CheckService(ServiceRecord record)
    {
        var (kept, service) = (record.Service, record.Service.Service);
        IEnumerable<Refusal> refusals =
        [
            .. Text("service.name", kept.Name, 1, Common.LongestName),
            .. Known("service.batchId", kept.BatchId, typeof(BatchRecord), batches.Known),
            .. Within(new("service.table", 0, Service.LongestAhead, Seconds.Unit), service.Table.Value),
        ];
        if (service.Breads.Count is 0 or > ClockSpec.MostBeside + 1)
        {
            return [.. refusals, new("service.breads", RefusalCode.TooMany, service.Breads.Count, 1, ClockSpec.MostBeside + 1)];
        }

        if (record.Events.Count > MostEvents)
        {
            return [.. refusals, new("events", RefusalCode.TooMany, record.Events.Count, 0, MostEvents)];
        }

        var pressed = new HashSet<Guid>(record.Events.Count);
        return
        [
            .. refusals,
            .. At("service", SpecCheck.Figures(service.Clock)),
            .. service.Breads.SelectMany((b, i) => Text($"service.breads[{i}].name", b.Name, 0, Common.LongestName).Concat(Spec($"service.breads[{i}].spec", b.Spec))),
            .. record.Events.Any(e => e.Act == StoveAct.Undo && e.Undoes is null) ? [new Refusal("events", RefusalCode.Missing)] : Array.Empty<Refusal>(),
            .. record.Events.Where(e => !pressed.Add(e.Id)).Select(e => new Refusal("events", RefusalCode.NamedTwice, Item: e.Id.ToString())).Take(1),
        ];
    }

    // A spec that was kept may no longer be workable in a larder that was put right since: it is taken as it is, and shown so.
    private List<Refusal> Spec(string field, BatchSpec spec)
    {
        var with = With(items.Count);
        if (sound.Contains(spec))
        {
            return [];
        }

        var refusals = At(field, SpecCheck.Figures(spec, with).Where(r => r.Code != RefusalCode.WrongKind)).ToList();
        if (refusals.Count == 0)
        {
            // What was looked at last is enough to know again.
            if (sound.Count == MostSound)
            {
                sound.Clear();
            }

            sound.Add(spec);
        }

        return refusals;
    }

    // The kitchen's larder with what the file has brought; made anew only when a record needs what came since.
    private Kitchen With(int count)
    {
        if (laid < count)
        {
            kitchen = Pantry.Over(current.Now, items);
            laid = items.Count;
            sound.Clear();
        }

        return kitchen;
    }

    /// <summary>It is taken: what comes after may hang on it.</summary>
    public void Note(KitchenRecord record)
    {
        brought.Add(KeyOf(record));
        if (record is IngredientRecord item)
        {
            items.Add(item);
            flours = item.Ingredient.Lot is null ? items.Count : flours;
            if (item.DeletedAt is null)
            {
                names[item.Ingredient.Name.Trim()] = item.Ingredient.Id;
            }
        }
    }

    // What it is found by, among those of its kind.
    private static (Type Kind, object Id) KeyOf(KitchenRecord record) => (record.GetType(), record switch
    {
        HandRecord r => r.Work,
        VesselRecord r => r.Vessel.Id,
        IngredientRecord r => r.Ingredient.Id,
        BreadRecord r => r.Bread.Id,
        BatchRecord r => r.Batch.Id,
        ServiceRecord r => r.Service.Id,
        PhotoRecord r => r.Id,
        LogRecord r => r.Entry.Id,
        LearnedRecord r => (r.Lesson, r.Of),
        PracticeRecord r => r.Score.Id,
        DayRecord r => r.Day,
        // There is one of it.
        _ => "",
    });

    private static IEnumerable<Refusal> At(string field, IEnumerable<Refusal> refusals) => refusals.Select(r => r with { Field = $"{field}.{r.Field}" });

    private static IEnumerable<Refusal> Text(string field, string text, int least, int most) => Common.CheckText(field, text, least, most);

    private static IReadOnlyList<Refusal> Within(Limit limit, double value) => Common.Within(limit, value);

    private IEnumerable<Refusal> Known(string field, Guid? id, Type kind, Func<Guid, bool> here) =>
        id is not { } named || brought.Contains((kind, named)) || here(named) ? [] : [new(field, FileRefusals.NotInList, Item: named.ToString())];
}
