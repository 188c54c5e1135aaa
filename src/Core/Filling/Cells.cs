namespace Ystrata.Core.Filling;

/// <summary>What is shut up in the whole cells of vegetables, and how it comes out: cut, salted, heated, pressed (models.md E).</summary>
/// <param name="Water">In whole cells, over what their solids hold; it weeps nothing.</param>
/// <param name="Softens">Water that their solids will no longer hold once heat has opened them.</param>
/// <param name="Draws">Water that 1.5 % salt draws in the end.</param>
/// <param name="Salted">How long salt has been at it.</param>
/// <param name="Pace">Minutes in which salt draws two thirds: grated faster than chopped.</param>
/// <param name="Cut">Share of them that cutting has opened, 0 to 1.</param>
/// <param name="Tender">Share of them that heat opens fast, 0 to 1.</param>
public sealed record Cells(Grams Water, Grams Softens, Grams Draws, Minutes Salted, Minutes Pace, double Cut, double Tender)
{
    // Cut to 3 mm so many of them are open, finer the more by the root; mashed nearly all (empirical).
    private const double CutOpens = 0.12, Mashed = 0.8;
    private static readonly Millimetres CutAt = new(3);

    // Opened by a minute of heat, share: firm ones in a pan, tender ones (mushroom, leaf); in boiling water, so many times as fast (models.md E; the last empirical).
    private const double Firm = 0.03, Soft = 0.10, InWater = 4;

    // Cooked solids hold this much of their own mass, g/g (empirical: at the 1 g/g of models.md mushrooms would never come dry in a pan).
    private const double CookedHold = 3.5;

    // Salt draw: minutes to two thirds grated and chopped, and the salt it was measured at, percent (models.md E).
    private const double Grated = 6, Chopped = 10, DrawSalt = 1.5;

    public static Cells None { get; } = new(default, default, default, default, new(Chopped), 0, 0);

    /// <summary>Of so much of an ingredient, whole; none where nothing is drawn from it: it is cooked, mashed or dry.</summary>
    internal static Cells Of(Ingredient item, Grams mass, Grams water, Grams holds)
    {
        var solids = mass.Value * item.Solids.Fraction;
        return item.Draw is not { Value: > 0 } draw ? None : None with
        {
            Water = new(Math.Max((water - holds).Value, 0)),
            Softens = new(Math.Max(holds.Value - CookedHold * solids, 0)),
            Draws = water * draw.Fraction,
            Tender = item.Is(Trait.Tender) ? 1 : 0,
        };
    }

    internal Cells Times(double k) => this with { Water = Water * k, Softens = Softens * k, Draws = Draws * k };

    /// <summary>Both together: pace, cut and tenderness are the mean by the water still whole.</summary>
    public static Cells operator +(Cells a, Cells b)
    {
        if (a.Water.Value + a.Softens.Value <= 0 || b.Water.Value + b.Softens.Value <= 0)
        {
            return a.Water.Value + a.Softens.Value > 0 ? a : b;
        }

        var share = b.Water.Value / Math.Max(a.Water.Value + b.Water.Value, 1e-9);
        double Mean(double x, double y) => x + (y - x) * share;
        return new(a.Water + b.Water, a.Softens + b.Softens, a.Draws + b.Draws, new(Mean(a.Salted.Value, b.Salted.Value)), new(Mean(a.Pace.Value, b.Pace.Value)), Mean(a.Cut, b.Cut), Mean(a.Tender, b.Tender));
    }

    /// <summary>Cut finer; what comes out is the difference of the water.</summary>
    internal Cells CutTo(ChopBy by, Millimetres grain)
    {
        var open = by == ChopBy.Mash ? Mashed : Math.Min(CutOpens * Math.Sqrt(CutAt / grain), Mashed);
        var cut = open <= Cut ? this : Opened(1 - (1 - open) / (1 - Cut)) with { Cut = open };
        return by == ChopBy.Grate ? cut with { Pace = new(Grated) } : cut;
    }

    /// <summary>So many of those that are whole are opened, share.</summary>
    internal Cells Opened(double share) => this with { Water = Water * (1 - share), Draws = Draws * (1 - share) };

    /// <summary>Water salt draws in so long.</summary>
    /// <param name="salt">Salt against what is salted, percent.</param>
    internal Grams Drawn(double salt, Minutes time) => new(Math.Min(Water.Value,
        Draws.Value * Math.Sqrt(Math.Max(salt, 0) / DrawSalt) * (Math.Exp(-Salted.Value / Pace.Value) - Math.Exp(-(Salted.Value + time.Value) / Pace.Value))));

    /// <summary>How long salt takes to draw so much; nothing where it never does.</summary>
    internal Minutes? DrawsIn(double salt, Grams water)
    {
        var all = Draws.Value * Math.Sqrt(Math.Max(salt, 0) / DrawSalt);
        var left = all > 0 ? Math.Exp(-Salted.Value / Pace.Value) - water.Value / all : 0;
        return water > Water || left <= 0 ? null : new Minutes(-Pace.Value * Math.Log(left) - Salted.Value);
    }

    /// <summary>So many of those that are whole are opened by heat, share.</summary>
    internal Cells Softened(double share) => Opened(share) with { Softens = Softens * (1 - share) };

    /// <summary>After so long with so much salt, percent of what is salted.</summary>
    internal Cells Stood(double salt, Minutes time) => time.Value <= 0 || salt <= 0 || Water.Value <= 0
        ? this
        : this with { Water = Water - Drawn(salt, time), Salted = new(Salted.Value + time.Value) };

    /// <summary>Share of those that are whole that so long a heat opens.</summary>
    internal double Heats(Minutes time, bool inWater) => 1 - Math.Pow(1 - (Firm + (Soft - Firm) * Tender), time.Value * (inWater ? InWater : 1));
}
