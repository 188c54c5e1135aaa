using System.Text;

namespace Ystrata.Web.Files;

/// <summary>Ids of larder lines: small letters, digits and dashes.</summary>
public static class ItemIds
{
    private const int Longest = 60;

    public static bool Good(string id) =>
        id.Length is > 0 and <= Longest && id.All(c => char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c) || c == '-') && id[0] != '-';

    /// <summary>An id made from a name; one without any plain letter gets a number.</summary>
    public static string From(string name) => Plain(name) is { Length: > 0 } plain ? $"own-{plain}" : $"own-{Guid.CreateVersion7():N}";

    /// <summary>An id made from a name that is always the same for the same request.</summary>
    /// <param name="sent">The request's own id.</param>
    public static string From(string name, Guid sent)
    {
        var id = From(name);
        return $"{(Plain(name).Length == 0 ? "own" : id[..Math.Min(id.Length, Longest - 9)])}-{sent.ToString("N")[..8]}";
    }

    /// <summary>What a file with something of that name in it is called.</summary>
    public static string FileName(string name) => Plain(name) is { Length: > 0 } plain ? $"ystrata-{plain}" : "ystrata-bread";

    /// <summary>What of a name can stand in an id or the name of a file.</summary>
    private static string Plain(string name)
    {
        var plain = new StringBuilder();
        foreach (var c in name.ToLowerInvariant().Normalize(NormalizationForm.FormD))
        {
            if (char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c))
            {
                plain.Append(c);
            }
            else if (plain.Length > 0 && plain[^1] != '-' && (c == ' ' || c == '-'))
            {
                plain.Append('-');
            }

            if (plain.Length == Longest - 4)
            {
                break;
            }
        }

        return plain.ToString().TrimEnd('-');
    }

    /// <summary>The same, but one that nothing has yet.</summary>
    public static string New(string name, Func<string, bool> taken)
    {
        var id = From(name);
        var next = id;
        for (var n = 2; taken(next); n++)
        {
            next = $"{id[..Math.Min(id.Length, Longest - 4)]}-{n}";
        }

        return next;
    }
}
