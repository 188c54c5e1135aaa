using System.Collections.Concurrent;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Serialization;
using Microsoft.Data.Sqlite;
using Ystrata.Core;
using Ystrata.Store;

namespace Ystrata.Web.Files;

/// <summary>Sets a kitchen's file up beside the kitchen: reads it, has every record checked, and keeps nothing of a file in which one cannot be taken.</summary>
internal sealed class KitchenIntake(Stream file, Staging staging, KitchenLarder kitchen, Breads breads, Batches batches, Photos photos) : IDisposable
{
    /// <summary>Bad records that are told of at once.</summary>
    public const int MostBad = 20;

    // One hand takes handfuls of records out of the file, one looks them through, one writes them down; so many wait for that.
    private const int MostWaiting = 2;

    // As large as a handful grows.
    private const int HandfulBytes = 100_000;

    private static readonly Dictionary<string, Type> Kinds = typeof(KitchenRecord).GetCustomAttributes<JsonDerivedTypeAttribute>()
        .ToDictionary(k => (string)k.TypeDiscriminator!, k => k.DerivedType, StringComparer.Ordinal);

    private readonly RecordCheck check = new(kitchen, breads, batches, photos);
    private readonly RecordReader reader = new(file);
    private readonly BlockingCollection<List<Passed>> passed = new(MostWaiting);
    private readonly List<BadLine> bad = [];
    private Task? writing;
    private Task<(List<FileRecord> Records, bool Ended)>? ahead;

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
            var (name, refusals) = odd is null ? check.Check(record!, small) : ("", [odd]);
            if (refusals.Count > 0)
            {
                Refuse(line, name, refusals);
                continue;
            }

            good.Add(new(line, name, record!, small));
            check.Note(record!);
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

    private sealed record Passed(long Line, string Name, KitchenRecord Record, byte[]? Small);
}
