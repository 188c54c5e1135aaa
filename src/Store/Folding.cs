namespace Ystrata.Store;

/// <summary>Small letters without marks. A table, since a small machine has no tables of the world's letters to ask.</summary>
public static class Folding
{
    // Latin letters with one mark or two, by the letter beneath (Unicode's own decomposition).
    private static readonly Dictionary<char, char> Bare = new[]
    {
        ("a", "àáâãäåāăąǎǟǡǻȁȃȧ"),
        ("c", "çćĉċč"),
        ("d", "ď"),
        ("e", "èéêëēĕėęěȅȇȩ"),
        ("g", "ĝğġģǧǵ"),
        ("h", "ĥȟ"),
        ("i", "ìíîïĩīĭįǐȉȋ"),
        ("j", "ĵǰ"),
        ("k", "ķǩ"),
        ("l", "ĺļľ"),
        ("n", "ñńņňǹ"),
        ("o", "òóôõöōŏőơǒǫǭȍȏȫȭȯȱ"),
        ("r", "ŕŗřȑȓ"),
        ("s", "śŝşšș"),
        ("t", "ţťț"),
        ("u", "ùúûüũūŭůűųưǔǖǘǚǜȕȗ"),
        ("w", "ŵ"),
        ("y", "ýÿŷȳ"),
        ("z", "źżž"),
    }.SelectMany(g => g.Item2.Select(marked => (marked, bare: g.Item1[0]))).ToDictionary(p => p.marked, p => p.bare);

    /// <returns>The same text, small, its Latin letters without marks.</returns>
    public static string Of(string text) => string.Create(text.Length, text, (folded, from) =>
    {
        for (var i = 0; i < folded.Length; i++)
        {
            var small = char.ToLowerInvariant(from[i]);
            folded[i] = Bare.GetValueOrDefault(small, small);
        }
    });
}
