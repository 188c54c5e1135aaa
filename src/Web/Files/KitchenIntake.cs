using System.Collections.Concurrent;
using System.Text.Json;
using Ystrata.Store;

namespace Ystrata.Web.Files;

/// <summary>Sets a kitchen's file up beside the kitchen: reads it, has every record checked, and keeps nothing of a file in which one cannot be taken.</summary>
internal sealed class KitchenIntake(Stream file, Staging staging, CurrentKitchen current, Breads breads, Batches batches, Photos photos)
{
    /// <summary>Bad records that are told of at once.</summary>
    public const int MostBad = 20;

    // One hand takes handfuls of records out of the file, one looks them through, one writes them down; so many wait between two hands.
    private const int MostWaiting = 2;

    // As large as a handful grows.
    private const int HandfulBytes = 100_000;

    private readonly RecordCheck check = new(current, breads, batches, photos);
    private readonly RecordReader reader = new(file);
    private readonly List<BadLine> bad = [];

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

    /// <summary>Records looked through so far.</summary>
    public int Count { get; private set; }

    /// <summary>Bytes of the file read so far.</summary>
    public long Taken => reader.Taken;

    /// <summary>Reads on its own, as <see cref="Read"/> does.</summary>
    public Task Begin(CancellationToken gone) => Hand(() => Read(gone), then: () => { });

    /// <summary>Reads the file to its end, or until enough of it is bad.</summary>
    /// <exception cref="FileException">The file as a whole cannot be read.</exception>
    /// <exception cref="OperationCanceledException">Nobody wants it any more.</exception>
    public void Read(CancellationToken gone = default)
    {
        using var stop = CancellationTokenSource.CreateLinkedTokenSource(gone);
        using var handfuls = new BlockingCollection<List<FileRecord>>(MostWaiting);
        using var passed = new BlockingCollection<List<Passed>>(MostWaiting);
        var taking = Hand(() => TakeOut(handfuls, stop.Token), then: handfuls.CompleteAdding);
        var writing = Hand(() => WriteDown(passed, stop.Token), then: stop.Cancel);
        try
        {
            foreach (var handful in handfuls.GetConsumingEnumerable(stop.Token).TakeWhile(_ => !Enough()))
            {
                passed.Add(LookThrough(handful), stop.Token);
            }
        }
        catch (OperationCanceledException)
        {
            // Why it was stopped is told below.
        }
        finally
        {
            passed.CompleteAdding();
            Task.WhenAll(taking, writing).ContinueWith(_ => { }, TaskScheduler.Default).Wait(CancellationToken.None);
        }

        gone.ThrowIfCancellationRequested();
        writing.GetAwaiter().GetResult();
        if (!Enough())
        {
            taking.GetAwaiter().GetResult();
        }
    }

    // A thread of its own, since it may wait long.
    private static Task Hand(Action work, Action then) => Task.Factory.StartNew(
        () =>
        {
            try
            {
                work();
            }
            finally
            {
                then();
            }
        },
        CancellationToken.None,
        TaskCreationOptions.LongRunning,
        TaskScheduler.Default);

    private void TakeOut(BlockingCollection<List<FileRecord>> handfuls, CancellationToken stop)
    {
        reader.Open();
        for (var ended = false; !ended;)
        {
            var records = new List<FileRecord>();
            for (var bytes = 0; bytes < HandfulBytes && !ended;)
            {
                if (reader.Next() is { } record)
                {
                    records.Add(record);
                    bytes += record.Json.Length;
                }
                else
                {
                    ended = true;
                }
            }

            handfuls.Add(records, stop);
        }
    }

    private List<Passed> LookThrough(List<FileRecord> handful)
    {
        var good = new List<Passed>(handful.Count);
        foreach (var (line, json, read) in handful.TakeWhile(_ => !Enough()))
        {
            Count++;
            var (record, small, odd) = read is null ? Understand(json) : (null, null, read);
            var (name, refusals) = odd is null ? check.Check(record!, small) : ("", [odd]);
            if (refusals.Count > 0)
            {
                Refuse(line, name, refusals);
                continue;
            }

            good.Add(new(record!, record is PhotoRecord photo ? new(photo.Id, PhotoFile.Kind, photo.Body, small!, photo.MadeAt) : null));
            check.Note(record!);
        }

        return good;
    }

    private void WriteDown(BlockingCollection<List<Passed>> passed, CancellationToken stop)
    {
        foreach (var handful in passed.GetConsumingEnumerable(stop))
        {
            staging.Put([.. handful.Select(p => p.Record)]);
            staging.Put(handful.Select(p => p.Photo).OfType<Photo>());
        }
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

    // What a record says, or why it says nothing; of a photo the small one too.
    private static (KitchenRecord? Record, byte[]? Small, Refusal? Odd) Understand(byte[] json)
    {
        try
        {
            var record = JsonSerializer.Deserialize<KitchenRecord>(json, SpecJson.Options);
            return (record, record is PhotoRecord photo ? PhotoFile.SmallOf(photo.Body) : null, null);
        }
        catch (JsonException e)
        {
            return (null, null, Problems.Read(e));
        }
        catch (Exception e) when (e is NotSupportedException or InvalidOperationException or ArgumentException)
        {
            return (null, null, new("kind", RefusalCode.Missing));
        }
    }

    /// <param name="Photo">What is kept of a photo.</param>
    private sealed record Passed(KitchenRecord Record, Photo? Photo);
}
