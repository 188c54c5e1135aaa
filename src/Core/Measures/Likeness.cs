using System.Text.RegularExpressions;

namespace Ystrata.Core.Measures;

/// <summary>What cooks liken a ball to.</summary>
public enum LikeA
{
    Walnut,
    GolfBall,
    Egg,
    Lemon,
    Tangerine,
    TennisBall,
    Fist,
}

/// <summary>So many of what a ball is likened to.</summary>
public sealed record Likeness(LikeA Like, int Count)
{
    // Of dough, g (models.md C, empirical), and how it is written; a vessel of the cook's own by the same name goes before.
    private static readonly (LikeA Like, double Grams, string Names)[] All =
    [
        (LikeA.Walnut, 28, "walnuts?"),
        (LikeA.GolfBall, 48, "golf ?balls?"),
        (LikeA.Egg, 58, "(hen'?s )?eggs?"),
        (LikeA.Lemon, 60, "lemons?|limes?"),
        (LikeA.Tangerine, 100, "tangerines?|mandarins?"),
        (LikeA.TennisBall, 175, "tennis ?balls?"),
        (LikeA.Fist, 300, "fists?"),
    ];

    // Nobody tells a ball nearer than that by eye (empirical).
    private const double Near = 0.18;
    private const int MostFists = 3;

    /// <summary>What a ball of this mass is like; nothing where nothing comes near.</summary>
    public static Likeness? Of(Grams ball)
    {
        var near = All.SelectMany(l => Enumerable.Range(1, l.Like == LikeA.Fist ? MostFists : 1).Select(n => (l.Like, n, Off: Math.Abs(Math.Log(ball.Value / (l.Grams * n)))))).MinBy(l => l.Off);
        return ball.Value > 0 && near.Off <= Near ? new(near.Like, near.n) : null;
    }

    /// <summary>What one of it weighs; nothing where it is no likeness, or is what is measured itself: two walnuts are two walnuts.</summary>
    internal static Grams? Read(string unit, Ingredient item)
    {
        bool Is(string text, string names) => Regex.IsMatch(text, $"^({names})$", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant);
        var name = Regex.Replace(unit.Replace('-', ' ').Trim(), " sized?$", "");
        var found = All.FirstOrDefault(l => Is(name, l.Names));
        return found.Names is null || item.Name.Split(' ').Any(word => Is(word, found.Names)) ? null : new Grams(found.Grams);
    }
}
