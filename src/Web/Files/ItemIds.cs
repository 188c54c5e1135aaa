using System.Globalization;
using System.Text;

namespace Ystrata.Web.Files;

/// <summary>Ids of larder lines: small letters of any script, digits and dashes.</summary>
public static class ItemIds
{
    private const int Longest = 60;

    // Room for "own-", and for what tells two of one name apart.
    private const int LongestName = Longest - 4;

    public static bool Good(string id) => id.Length is > 0 and <= Longest && id[0] != '-' && id.All(c => c == '-' || char.IsAsciiDigit(c) || (IsLetter(c) && char.ToLowerInvariant(c) == c));

    /// <summary>An id made from a name; one without any letter gets a number.</summary>
    public static string From(string name) => Worded(name) is { Length: > 0 } words ? $"own-{words}" : $"own-{Guid.CreateVersion7():N}";

    /// <summary>An id made from a name that is always the same for the same request.</summary>
    /// <param name="sent">The request's own id.</param>
    public static string From(string name, Guid sent)
    {
        var words = Worded(name) is { Length: > 0 } plain ? $"own-{plain}" : "own";
        return $"{words[..Math.Min(words.Length, Longest - 9)]}-{sent.ToString("N")[..8]}";
    }

    /// <summary>What a file with something of that name in it is called: what every machine can write.</summary>
    public static string FileName(string name) =>
        string.Concat(Worded(name).Where(c => char.IsAscii(c))).Trim('-') is { Length: > 0 } plain ? $"ystrata-{plain}" : "ystrata-bread";

    /// <summary>The same, but one that nothing has yet.</summary>
    public static string New(string name, Func<string, bool> taken)
    {
        var id = From(name);
        var next = id;
        for (var n = 2; taken(next); n++)
        {
            next = $"{id[..Math.Min(id.Length, LongestName)]}-{n}";
        }

        return next;
    }

    // A letter, or what belongs to one in scripts that write vowels as marks.
    private static bool IsLetter(char c) => char.IsLetter(c) || char.GetUnicodeCategory(c) is UnicodeCategory.SpacingCombiningMark or UnicodeCategory.NonSpacingMark;

    /// <summary>What of a name can stand in an id: its letters, small and the Latin ones without marks, its digits as 0 to 9, and dashes between words.</summary>
    private static string Worded(string name)
    {
        var words = new StringBuilder();
        foreach (var c in Store.Folding.Of(Digits.Plain(name)))
        {
            if (IsLetter(c) || char.IsAsciiDigit(c))
            {
                words.Append(c);
            }
            else if (words.Length > 0 && words[^1] != '-' && (c == ' ' || c == '-'))
            {
                words.Append('-');
            }

            if (words.Length == LongestName)
            {
                break;
            }
        }

        return words.ToString().TrimEnd('-');
    }
}
