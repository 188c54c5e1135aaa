using System.Text.RegularExpressions;

namespace Ystrata.Core.Measures;

/// <summary>Words of a cook's own language for those the readers of amounts and recipes know. What is read is first put into those; what it does not know stays.</summary>
public sealed class Lexicon
{
    private readonly Dictionary<string, string> ours = new(StringComparer.OrdinalIgnoreCase);
    private readonly Regex? theirs;

    /// <param name="words">Each word or phrase with what the readers call it; the longer of two is meant where both fit.</param>
    public Lexicon(IEnumerable<(string Theirs, string Ours)> words)
    {
        foreach (var (their, our) in words)
        {
            if (their.Length > 0 && !their.Equals(our, StringComparison.OrdinalIgnoreCase))
            {
                ours.TryAdd(their, our);
            }
        }

        theirs = ours.Count == 0 ? null : new(
            $@"(?<![\p{{L}}\p{{M}}])(?:{string.Join('|', ours.Keys.OrderByDescending(w => w.Length).Select(Regex.Escape))})(?![\p{{L}}\p{{M}}])",
            RegexOptions.IgnoreCase | RegexOptions.CultureInvariant);
    }

    /// <summary>The readers' own words alone.</summary>
    public static Lexicon Own { get; } = new([]);

    public string Read(string text) => theirs is null ? text : theirs.Replace(text, m => ours[m.Value]);
}
