using System.Text;

namespace Ystrata.Web.Files;

/// <summary>Ids of larder lines: small letters, digits and dashes.</summary>
public static class ItemIds
{
    private const int Longest = 60;

    public static bool Good(string id) =>
        id.Length is > 0 and <= Longest && id.All(c => char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c) || c == '-') && id[0] != '-';

    /// <summary>An id made from a name; one without any plain letter gets a number.</summary>
    public static string From(string name)
    {
        var id = new StringBuilder("own-");
        foreach (var c in name.ToLowerInvariant().Normalize(NormalizationForm.FormD))
        {
            if (char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c))
            {
                id.Append(c);
            }
            else if (id[^1] != '-' && (c == ' ' || c == '-'))
            {
                id.Append('-');
            }

            if (id.Length == Longest)
            {
                break;
            }
        }

        var made = id.ToString().TrimEnd('-');
        return made == "own" ? $"own-{Guid.CreateVersion7():N}" : made;
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
