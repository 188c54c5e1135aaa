using System.Text.Json;
using Ystrata.Store;

namespace Ystrata.Web.Files;

/// <summary>Why a file as a whole cannot be read.</summary>
internal sealed class FileException(RefusalCode code, long? line = null) : Exception(code.ToString())
{
    public Refusal Refusal { get; } = new("file", code, line);
}

/// <summary>One record as it stands in a file.</summary>
/// <param name="Line">It begins there.</param>
/// <param name="Odd">Why it is not taken, whatever it is.</param>
internal sealed record FileRecord(long Line, byte[] Json, Refusal? Odd = null);

/// <summary>Reads the records of a kitchen's file one by one, however long it is, and knows the line each begins in.</summary>
/// <param name="file">Read from where it stands to its end.</param>
internal sealed class RecordReader(Stream file)
{
    // A photo in base64 is the longest record there is.
    private const int LongestRecord = 16_000_000;

    private static readonly byte[] Mark = [0xEF, 0xBB, 0xBF];

    private byte[] buffer = new byte[1 << 18];
    private int from, to;
    private bool ended;
    private long line = 1;

    private JsonReaderState state = new(new() { MaxDepth = 64 });

    private delegate bool Step(ref Utf8JsonReader reader);

    /// <summary>Bytes taken from the file so far.</summary>
    public long Taken { get; private set; }

    /// <summary>Reads up to the first record.</summary>
    /// <exception cref="FileException">It is no kitchen's file, or a newer one's.</exception>
    public void Open()
    {
        Fill();
        if (buffer.AsSpan(0, to).StartsWith(Mark))
        {
            from = Mark.Length;
        }

        string? format = null;
        double version = 0;
        try
        {
            Take((ref Utf8JsonReader r) => r.Read() && (r.TokenType == JsonTokenType.StartObject ? true : throw new FileException(FileRefusals.ForeignFile)));
            for (var open = false; !open;)
            {
                Take((ref Utf8JsonReader r) =>
                {
                    if (!r.Read())
                    {
                        return false;
                    }

                    if (r.TokenType == JsonTokenType.EndObject)
                    {
                        throw new FileException(format == KitchenFile.Format ? FileRefusals.BrokenFile : FileRefusals.ForeignFile);
                    }

                    var name = r.GetString();
                    if (!r.Read())
                    {
                        return false;
                    }

                    (format, version, open) = (name, r.TokenType) switch
                    {
                        ("format", JsonTokenType.String) => (r.GetString(), version, false),
                        ("version", JsonTokenType.Number) => (format, r.GetDouble(), false),
                        ("records", JsonTokenType.StartArray) => (format, version, true),
                        _ => (format, version, false),
                    };
                    return open || r.TrySkip();
                });
            }
        }
        catch (Exception e) when (e is JsonException or InvalidOperationException)
        {
            throw format == KitchenFile.Format ? new FileException(FileRefusals.BrokenFile, ((e as JsonException)?.LineNumber ?? 0) + 1) : new FileException(FileRefusals.ForeignFile);
        }

        if (format != KitchenFile.Format || version is not >= 1)
        {
            throw new FileException(FileRefusals.ForeignFile);
        }

        if (version > KitchenFile.Version)
        {
            throw new FileException(FileRefusals.NewerFile);
        }
    }

    /// <summary>The next record, or nothing at the end.</summary>
    /// <exception cref="FileException">The file is broken there.</exception>
    public FileRecord? Next()
    {
        try
        {
            FileRecord? record = null;
            Take((ref Utf8JsonReader r) =>
            {
                if (!r.Read())
                {
                    return false;
                }

                if (r.TokenType == JsonTokenType.EndArray)
                {
                    return true;
                }

                var start = (int)r.TokenStartIndex;
                var begins = line + buffer.AsSpan(from, start).Count((byte)'\n');
                if (r.TokenType != JsonTokenType.StartObject)
                {
                    throw new FileException(FileRefusals.BrokenFile, begins);
                }

                if (!ToEnd(ref r, out var odd))
                {
                    return false;
                }

                var json = buffer.AsSpan(from + start, (int)r.BytesConsumed - start);
                record = new(begins, json.ToArray(), odd);
                return true;
            });
            if (record is null)
            {
                End();
            }

            return record;
        }
        catch (JsonException e)
        {
            throw new FileException(FileRefusals.BrokenFile, e.LineNumber + 1);
        }
    }

    // Reads an object to its end, as far as there is of it, and sees what no reader of one record would:
    // figures beyond all measure, and nothing where something has to stand in a list.
    private static bool ToEnd(ref Utf8JsonReader r, out Refusal? odd)
    {
        odd = null;
        ulong lists = 0;
        for (var depth = r.CurrentDepth; ;)
        {
            if (!r.Read())
            {
                return false;
            }

            switch (r.TokenType)
            {
                case JsonTokenType.StartArray:
                    lists |= 1ul << r.CurrentDepth;
                    break;
                case JsonTokenType.StartObject:
                    lists &= ~(1ul << r.CurrentDepth);
                    break;
                case JsonTokenType.EndObject when r.CurrentDepth == depth:
                    return true;
                case JsonTokenType.Null when (lists & (1ul << (r.CurrentDepth - 1))) != 0:
                    odd ??= new("", RefusalCode.Unreadable, Item: "null");
                    break;
                case JsonTokenType.Number when MayBeHuge(r.ValueSpan) && !(r.TryGetDouble(out var value) && Math.Abs(value) <= KitchenRecord.MostNumber):
                    odd ??= new("", RefusalCode.NotANumber, null, -KitchenRecord.MostNumber, KitchenRecord.MostNumber);
                    break;
            }
        }
    }

    // Twelve digits and no exponent are never beyond all measure.
    private static bool MayBeHuge(ReadOnlySpan<byte> number) => number.Length > 12 || number.ContainsAny((byte)'e', (byte)'E');

    // Whatever else the file says of itself, and nothing after it.
    private void End()
    {
        var open = true;
        while (open)
        {
            Take((ref Utf8JsonReader r) =>
            {
                if (!r.Read() || (r.TokenType == JsonTokenType.PropertyName && !r.TrySkip()))
                {
                    return false;
                }

                open = r.TokenType != JsonTokenType.EndObject || r.CurrentDepth > 0;
                return true;
            });
        }

        while (!ended)
        {
            Fill();
        }

        var rest = new Utf8JsonReader(buffer.AsSpan(from, to - from), isFinalBlock: true, state);
        rest.Read();
    }

    private void Take(Step step)
    {
        while (true)
        {
            var reader = new Utf8JsonReader(buffer.AsSpan(from, to - from), ended, state);
            if (step(ref reader))
            {
                var read = (int)reader.BytesConsumed;
                line += buffer.AsSpan(from, read).Count((byte)'\n');
                from += read;
                state = reader.CurrentState;
                return;
            }

            if (ended)
            {
                throw new FileException(FileRefusals.BrokenFile, line);
            }

            Fill();
        }
    }

    private void Fill()
    {
        if (from > 0)
        {
            buffer.AsSpan(from, to - from).CopyTo(buffer);
            (from, to) = (0, to - from);
        }

        if (to == buffer.Length)
        {
            if (buffer.Length >= LongestRecord)
            {
                throw new FileException(FileRefusals.BrokenFile, line);
            }

            Array.Resize(ref buffer, Math.Min(2 * buffer.Length, LongestRecord));
        }

        var read = file.Read(buffer, to, buffer.Length - to);
        ended = read == 0;
        to += read;
        Taken += read;
    }
}
