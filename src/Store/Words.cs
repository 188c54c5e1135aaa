using System.Buffers;
using System.Buffers.Text;
using System.Globalization;
using System.Text;
using System.Text.Json;

namespace Ystrata.Store;

/// <summary>Reads one piece of JSON after the other from words that stand close together. What is not worded so, none of it takes.</summary>
internal ref struct Words(ReadOnlySpan<byte> json)
{
    /// <summary>Digits a number may have and still be exact, whatever they are.</summary>
    private const int ExactDigits = 15;

    private const int MostWholeDigits = 12, GuidLength = 36;

    // Below this a number may be written with an exponent.
    private const double LeastPlain = 1e-4;

    // What is written as it is, whoever writes it.
    private static readonly SearchValues<byte> Plain = SearchValues.Create([.. Enumerable.Range(' ', '~' - ' ' + 1).Select(c => (byte)c).Except("\"&'+<>\\`"u8.ToArray())]);

    private static readonly double[] Tens = [.. Enumerable.Range(0, ExactDigits + 1).Select(n => Math.Pow(10, n))];

    private ReadOnlySpan<byte> left = json;

    /// <summary>What has not been read yet.</summary>
    public readonly ReadOnlySpan<byte> Left => left;

    /// <summary>All of it since this was last set is worded just as the store words it.</summary>
    public bool Own { get; set; } = true;

    /// <summary>Takes these words if they are the next.</summary>
    public bool Next(ReadOnlySpan<byte> words)
    {
        if (!left.StartsWith(words))
        {
            return false;
        }

        left = left[words.Length..];
        return true;
    }

    /// <summary>A number up to 10¹².</summary>
    public bool Number(out double value)
    {
        var start = left is [(byte)'-', ..] ? 1 : 0;
        var (end, digits) = (start, 0L);
        for (; At(end) is >= '0' and <= '9' && end - start <= MostWholeDigits; end++)
        {
            digits = (10 * digits) + At(end) - '0';
        }

        var (whole, parts, exponent) = (end - start, 0, false);
        value = 0;
        if (whole is 0 or > MostWholeDigits || (whole > 1 && At(start) == '0'))
        {
            return false;
        }

        if (At(end) == '.')
        {
            for (end++; At(end) is >= '0' and <= '9'; end++, parts++)
            {
                digits = whole + parts < ExactDigits ? (10 * digits) + At(end) - '0' : digits;
            }

            if (parts == 0)
            {
                return false;
            }
        }

        if (At(end) is 'e' or 'E')
        {
            exponent = true;
            end += At(end + 1) is '+' or '-' ? 2 : 1;
            var from = end;
            for (; At(end) is >= '0' and <= '9'; end++)
            {
            }

            if (end == from)
            {
                return false;
            }
        }

        if (whole + parts <= ExactDigits && !exponent)
        {
            // Both exact, so their quotient is the nearest number there is.
            value = digits / Tens[parts];
            value = start > 0 ? -value : value;
            Own = Own && (parts == 0 || (At(end - 1) != '0' && Math.Abs(value) >= LeastPlain));
        }
        else
        {
            value = double.Parse(left[..end], NumberStyles.Float, CultureInfo.InvariantCulture);
            if (!(Math.Abs(value) <= KitchenRecord.MostNumber))
            {
                return false;
            }

            Span<byte> again = stackalloc byte[32];
            Own = Own && value.TryFormat(again, out var length, default, CultureInfo.InvariantCulture) && left[..end].SequenceEqual(again[..length]);
        }

        left = left[end..];
        return true;
    }

    /// <summary>A whole number.</summary>
    public bool Number(out int value)
    {
        if (!Utf8Parser.TryParse(left, out value, out var length) || left[0] == '+' || (left[0] == '0' && length > 1) || (left[0] == '-' && left[1] == '0')
            || (length < left.Length && left[length] is (byte)'.' or (byte)'e' or (byte)'E'))
        {
            return false;
        }

        left = left[length..];
        return true;
    }

    public bool Text(out string value)
    {
        value = "";
        if (left is not [(byte)'"', ..])
        {
            return false;
        }

        var end = left[1..].IndexOfAnyExcept(Plain) + 1;
        if (end > 0 && left[end] == '"')
        {
            value = Encoding.ASCII.GetString(left[1..end]);
            left = left[(end + 1)..];
            return true;
        }

        Own = false;
        var reader = new Utf8JsonReader(left, isFinalBlock: false, default);
        if (!reader.Read())
        {
            return false;
        }

        value = reader.GetString()!;
        left = left[(int)reader.BytesConsumed..];
        return true;
    }

    public bool Id(out Guid value)
    {
        value = default;
        if (left.Length < GuidLength + 2 || left[0] != '"' || left[GuidLength + 1] != '"' || !Utf8Parser.TryParse(left[1..], out value, out var length) || length != GuidLength)
        {
            return false;
        }

        Own = Own && !left[1..GuidLength].ContainsAnyInRange((byte)'A', (byte)'F');
        left = left[(GuidLength + 2)..];
        return true;
    }

    /// <summary>A moment, whichever way it is worded.</summary>
    public bool Moment(out DateTimeOffset value)
    {
        value = default;
        var reader = new Utf8JsonReader(left, isFinalBlock: false, default);
        if (left is not [(byte)'"', ..] || !reader.Read() || !reader.TryGetDateTimeOffset(out value))
        {
            return false;
        }

        Own = false;
        left = left[(int)reader.BytesConsumed..];
        return true;
    }

    private readonly char At(int place) => place < left.Length ? (char)left[place] : '\0';
}
