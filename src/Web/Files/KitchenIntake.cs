using System.Collections.Concurrent;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Serialization;
using Microsoft.Data.Sqlite;
using Ystrata.Core;
using Ystrata.Store;
using Ystrata.Web.Endpoints;

namespace Ystrata.Web.Files;

/// <summary>Sets a kitchen's file up beside the kitchen: reads it, checks every record as if it were typed, and keeps nothing of a file in which one cannot be taken.</summary>
internal sealed class KitchenIntake(Stream file, Staging staging, KitchenLarder kitchen, Breads breads, Batches batches, Photos photos) : IDisposable
{
    /// <summary>Bad records that are told of at once.</summary>
    public const int MostBad = 20;

    // One hand takes handfuls of records out of the file, one looks them through, one writes them down; so many wait for that.
    private const int MostWaiting = 2;

    // As large as a handful grows.
    private const int HandfulBytes = 100_000;

    private const int MostSound = 256, MostTurns = 20, MostEvents = 20_000, LongestId = 64;

    private static readonly Limit Volume = new("vessel.volume", 3, 10_000, Millilitres.Unit);

    private static readonly Dictionary<string, Type> Kinds = typeof(KitchenRecord).GetCustomAttributes<JsonDerivedTypeAttribute>()
        .ToDictionary(k => (string)k.TypeDiscriminator!, k => k.DerivedType, StringComparer.Ordinal);

    // What the file has brought so far, for what hangs on it.
    private readonly HashSet<Guid> breadsHere = [], batchesHere = [], photosHere = [];
    private readonly Dictionary<string, string> names = new(StringComparer.OrdinalIgnoreCase);
    private readonly List<IngredientRecord> items = [];

    // Specs the larder has been asked about.
    private readonly HashSet<BatchSpec> sound = new(ReferenceEqualityComparer.Instance);
    private readonly RecordReader reader = new(file);
    private readonly BlockingCollection<List<Passed>> passed = new(MostWaiting);
    private readonly List<BadLine> bad = [];
    private Task? writing;
    private Task<(List<FileRecord> Records, bool Ended)>? ahead;
    private Larder larder = kitchen.Now;
    private int laid, flours;

    /// <summary>What cannot be taken, in the order of the file.</summary>
    public IReadOnlyList<BadLine> Bad
    {
        get
        {
            lock (bad)
            {
                return [.. bad.OrderBy(b => b.Line)];
            }
        }
    }

    public int Count { get; private set; }

    public long Taken => reader.Taken;

    /// <summary>Reads on for about so many records.</summary>
    /// <returns>False at the end of the file, or when enough of it is bad.</returns>
    /// <exception cref="FileException">The file as a whole cannot be read.</exception>
    public bool Read(int about)
    {
        if (writing is null)
        {
            reader.Open();
            writing = Task.Run(Write);
            ahead = Task.Run(Handful);
        }

        for (var till = Count + about; Count < till;)
        {
            var (handful, ended) = ahead!.GetAwaiter().GetResult();
            if (!ended)
            {
                ahead = Task.Run(Handful);
            }

            Take(handful);
            if (ended || Enough())
            {
                passed.CompleteAdding();
                writing.GetAwaiter().GetResult();
                return false;
            }
        }

        return true;
    }

    public void Dispose()
    {
        passed.CompleteAdding();
        ahead?.ContinueWith(_ => { }, TaskScheduler.Default).Wait();
        writing?.ContinueWith(_ => { }, TaskScheduler.Default).Wait();
        passed.Dispose();
    }

    private (List<FileRecord> Records, bool Ended) Handful()
    {
        var records = new List<FileRecord>();
        for (var bytes = 0; bytes < HandfulBytes;)
        {
            if (reader.Next() is not { } record)
            {
                return (records, true);
            }

            records.Add(record);
            bytes += record.Json.Length;
        }

        return (records, false);
    }

    private void Take(List<FileRecord> handful)
    {
        var good = new List<Passed>(handful.Count);
        foreach (var (line, json, read) in handful.TakeWhile(_ => !Enough()))
        {
            Count++;
            var (record, small, odd) = read is null ? Understand(json) : (null, null, read);
            var (name, refusals) = odd is null ? Check(record!, small) : ("", [odd]);
            if (refusals.Count > 0)
            {
                Refuse(line, name, refusals);
                continue;
            }

            good.Add(new(line, name, record!, small));
            Note(record!);
        }

        passed.Add(good);
    }

    private bool Enough()
    {
        lock (bad)
        {
            return bad.Count >= MostBad;
        }
    }

    private void Refuse(long line, string name, IReadOnlyList<Refusal> refusals)
    {
        lock (bad)
        {
            bad.Add(new((int)Math.Min(line, int.MaxValue), name, refusals));
        }
    }

    private void Write()
    {
        try
        {
            WriteAll();
        }
        finally
        {
            // Should it break, whoever still reads is told and does not wait.
            passed.CompleteAdding();
        }
    }

    private void WriteAll()
    {
        foreach (var (line, name, record, small) in passed.GetConsumingEnumerable().SelectMany(p => p))
        {
            try
            {
                if (record is PhotoRecord photo)
                {
                    staging.Put(new Photo(photo.Id, PhotoFile.Kind, photo.Body, small!, photo.MadeAt));
                }
                else
                {
                    staging.Put(record);
                }
            }
            catch (SqliteException)
            {
                Refuse(line, name, [new("id", RefusalCode.NamedTwice, Item: name)]);
            }
        }
    }

    // What a record says, or why it says nothing; of a photo the small one too.
    private static (KitchenRecord? Record, byte[]? Small, Refusal? Odd) Understand(byte[] json)
    {
        try
        {
            var record = Deserialized(json, SpecJson.Quick);
            return (record, record is PhotoRecord photo ? PhotoFile.SmallOf(photo.Body) : null, null);
        }
        catch (JsonException)
        {
            return (null, null, Why(json));
        }
        catch (Exception e) when (e is NotSupportedException or InvalidOperationException or ArgumentException)
        {
            return (null, null, new("kind", RefusalCode.Missing));
        }
    }

    private static KitchenRecord? Deserialized(byte[] json, JsonSerializerOptions options) => Kinds.TryGetValue(KindOf(json), out var kind)
        ? (KitchenRecord?)JsonSerializer.Deserialize(json, kind, options)
        : JsonSerializer.Deserialize<KitchenRecord>(json, options);

    // Read in one go, it says of a spec too where in the record it breaks.
    private static Refusal Why(byte[] json)
    {
        try
        {
            Deserialized(json, SpecJson.Options);
            return new("", RefusalCode.Unreadable);
        }
        catch (JsonException e)
        {
            return Problems.Read(e);
        }
    }

    // A kind that stands first is known without reading the record twice.
    private static string KindOf(ReadOnlySpan<byte> json)
    {
        var reader = new Utf8JsonReader(json);
        return reader.Read() && reader.Read() && reader.ValueTextEquals("kind"u8) && reader.Read() && reader.TokenType == JsonTokenType.String ? reader.GetString()! : "";
    }

    private (string Name, IReadOnlyList<Refusal> Refusals) Check(KitchenRecord record, byte[]? small) => record switch
    {
        UnitsRecord r => ("", [.. Text("units.coin", r.Units.Coin, 0, Units.LongestCoin)]),
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
            .. Known("batch.breadId", b.BreadId, breadsHere, breads.Known),
        ]),
        ServiceRecord r => (r.Service.Name, [.. CheckService(r)]),
        PhotoRecord r => (r.Id.ToString(), small is null ? [new("body", RefusalCode.NotAPhoto)] : []),
        LogRecord { Entry: var e } r => (e.Name,
        [
            .. Text("entry.name", e.Name, 0, Common.LongestName),
            .. Spec("entry.spec", e.Spec),
            .. At("entry.outcome", LogCheck.Check(e.Outcome)),
            .. Known("entry.batchId", e.BatchId, batchesHere, batches.Known),
            .. Known("entry.photoId", e.PhotoId, photosHere, photos.Known),
            .. r.Lessons.Any(l => !Lessons.Stands(l)) ? [new("lessons", RefusalCode.Unreadable)] : Array.Empty<Refusal>(),
        ]),
        LearnedRecord r => (r.Of, [.. Text("of", r.Of, 0, IngredientCheck.LongestName)]),
        PracticeRecord { Score: var s } => (s.Id.ToString(), s.Score is < 0 or > 100 || s.Turns.Count > MostTurns ? [new("score", RefusalCode.OutOfRange, s.Score, 0, 100)] : []),
        _ => ("", [new("kind", RefusalCode.NotInList)]),
    };

    private IReadOnlyList<Refusal> CheckItem(IngredientRecord record)
    {
        var item = record.Ingredient;
        var refusals = IngredientCheck.Check(item, With(item.Lot is null ? 0 : flours)).ToList();
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
            refusals.Add(new("id", RefusalCode.NotInList, Item: item.Id));
        }

        return [.. At("ingredient", refusals)];
    }

    private IEnumerable<Refusal> CheckService(ServiceRecord record)
    {
        var (kept, service) = (record.Service, record.Service.Service);
        IEnumerable<Refusal> refusals =
        [
            .. Text("service.name", kept.Name, 1, Common.LongestName),
            .. Known("service.batchId", kept.BatchId, batchesHere, batches.Known),
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

        return
        [
            .. refusals,
            .. At("service", SpecCheck.Figures(service.Clock)),
            .. service.Breads.SelectMany((b, i) => Text($"service.breads[{i}].name", b.Name, 0, Common.LongestName).Concat(Spec($"service.breads[{i}].spec", b.Spec))),
            .. record.Events.Any(e => e.Act == StoveAct.Undo && e.Undoes is null) ? [new Refusal("events", RefusalCode.Missing)] : Array.Empty<Refusal>(),
            .. record.Events.GroupBy(e => e.Id).Where(g => g.Count() > 1).Select(g => new Refusal("events", RefusalCode.NamedTwice, Item: g.Key.ToString())).Take(1),
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
    private Larder With(int count)
    {
        if (laid < count)
        {
            larder = Pantry.Over(kitchen.Now, items);
            laid = items.Count;
            sound.Clear();
        }

        return larder;
    }

    private void Note(KitchenRecord record)
    {
        switch (record)
        {
            case IngredientRecord item:
                items.Add(item);
                flours = item.Ingredient.Lot is null ? items.Count : flours;
                if (item.DeletedAt is null)
                {
                    names[item.Ingredient.Name.Trim()] = item.Ingredient.Id;
                }

                break;
            case BreadRecord { Bread.Id: var id }:
                breadsHere.Add(id);
                break;
            case BatchRecord { Batch.Id: var id }:
                batchesHere.Add(id);
                break;
            case PhotoRecord { Id: var id }:
                photosHere.Add(id);
                break;
        }
    }

    private static IEnumerable<Refusal> At(string field, IEnumerable<Refusal> refusals) => refusals.Select(r => r with { Field = $"{field}.{r.Field}" });

    private static IEnumerable<Refusal> Text(string field, string text, int least, int most) => Common.CheckText(field, text, least, most);

    private static IReadOnlyList<Refusal> Within(Limit limit, double value) =>
        value >= limit.Least && value <= limit.Most ? [] : [new(limit.Field, RefusalCode.OutOfRange, value, limit.Least, limit.Most, limit.Unit)];

    private static IEnumerable<Refusal> Known(string field, Guid? id, HashSet<Guid> inFile, Func<Guid, bool> here) =>
        id is not { } named || inFile.Contains(named) || here(named) ? [] : [new(field, RefusalCode.NotInList, Item: named.ToString())];

    private sealed record Passed(long Line, string Name, KitchenRecord Record, byte[]? Small);
}
