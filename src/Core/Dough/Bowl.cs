namespace Ystrata.Core.Dough;

/// <summary>Which line of the dough a portion stands for.</summary>
public enum DoughPart
{
    Flour,
    Liquid,
    Fat,
    Salt,
    Addition,
}

/// <summary>What is in the bowl for a given mass of flour: every line of a dough spec with its grams (models.md B).</summary>
/// <remarks>Lines stand in the order of the spec: flours, liquids, fat, salt, additions. Each is fixed by share or by mass; at most one liquid makes up
/// the water that is wanting, and the salt line makes up the salt. So each line is linear in the flour, but for one kink where the fat passes 10 %.</remarks>
public sealed class Bowl
{
    // Empirical, models.md B: what a point of each does to the feel, in points of water.
    private const double FatLoosens = 0.25, MoreFatLoosens = 0.10, MoreFatFrom = 10, SugarLoosens = 0.35, SolidsBind = 0.6;

    /// <summary>Water of a batter that is made by feel, points of flour: a usual one (empirical).</summary>
    public const double BatterHydration = 180;

    // Volume of a batter from its parts: dry solids of flour pack to about this, kg/l (empirical).
    private const double SolidsDensity = 1.45;

    private readonly DoughSpec spec;
    private readonly double target;

    private Bowl(DoughSpec spec, Line[] lines, double target, Density dough)
    {
        this.spec = spec;
        this.target = target;
        DoughDensity = dough;
        Lines = lines;
        Rest = Array.FindIndex(lines, l => l.Amount.By == AmountBy.Rest);
        Salt = Array.FindIndex(lines, l => l.Part == DoughPart.Salt);
        Anchor = Rest >= 0 ? Rest : Array.FindIndex(lines, l => l.Part == DoughPart.Liquid && l.Amount.By == AmountBy.Share);
    }

    /// <summary>One line of the dough.</summary>
    /// <param name="Index">Its place in its list of the spec.</param>
    /// <param name="Item">What it is, a puree as thick as this one is.</param>
    public sealed record Line(DoughPart Part, int Index, Ingredient Item, Amount Amount);

    public IReadOnlyList<Line> Lines { get; }

    /// <summary>The line that makes up the water; −1 when every liquid is fixed.</summary>
    public int Rest { get; }

    /// <summary>The liquid a batch can start from; −1 when all are fixed by mass.</summary>
    public int Anchor { get; }

    /// <summary>Of a dough of this, whatever is in it: leaven that is there fills it with gas.</summary>
    public Density DoughDensity { get; }

    private int Salt { get; }

    /// <param name="spec">Its ids are in the larder and its kinds and ranges are right.</param>
    /// <param name="poured">Liquor of the filling that goes in as one liquid more; nothing without.</param>
    internal static Bowl Of(DoughSpec spec, FlourMix mix, Kitchen kitchen, Liquor? poured = null)
    {
        var parts = spec.Flours.Sum(f => f.Parts);
        Line[] lines =
        [
            .. spec.Flours.Select((f, i) => new Line(DoughPart.Flour, i, kitchen[f.Id], Amount.OfFlour(100 * f.Parts / parts))),
            .. spec.Liquids.Select((l, i) => new Line(DoughPart.Liquid, i, l.Water is { } w ? kitchen[l.Id].WithWater(w) : kitchen[l.Id], l.Amount)),
            .. poured is null ? [] : new Line[] { new(DoughPart.Liquid, spec.Liquids.Count, poured.AsItem(), Amount.Weighed(poured.Mass.Value)) },
            new(DoughPart.Fat, 0, kitchen[spec.Fat.Id], spec.Fat.Amount),
            new(DoughPart.Salt, 0, kitchen[spec.Salt.Id], spec.Salt.Amount),
            .. spec.Additions.Select((a, i) => new Line(DoughPart.Addition, i, kitchen[a.Id], a.Amount)),
        ];
        return new(spec, lines, mix.Absorption.Value + PointsOf(spec.Feel), Round.DensityOf(spec, kitchen));
    }

    /// <summary>The points of water a feel asks for over medium.</summary>
    public static double PointsOf(Feel feel) => feel switch
    {
        Feel.Firm => -8,
        Feel.Soft => 6,
        Feel.VerySoft => 12,
        _ => 0,
    };

    /// <summary>Grams of every line for so much flour. A line that would have to be less than nothing comes out negative.</summary>
    public double[] Fill(double flour)
    {
        var grams = new double[Lines.Count];
        for (var i = 0; i < grams.Length; i++)
        {
            grams[i] = Lines[i].Amount.By switch
            {
                AmountBy.Share when i != Salt => flour * Lines[i].Amount.Share.Fraction,
                AmountBy.Mass => Lines[i].Amount.Mass.Value,
                _ => 0,
            };
        }

        if (Rest >= 0)
        {
            grams[Rest] = MakeUp(grams, flour);
        }

        if (Lines[Salt].Amount.By == AmountBy.Share)
        {
            var carried = Sum(grams, i => i.Salt.Fraction);
            grams[Salt] = (flour * Lines[Salt].Amount.Share.Fraction - carried) / Lines[Salt].Item.Salt.Fraction;
        }

        return grams;
    }

    /// <summary>Figures of a filled bowl, points of flour.</summary>
    public Mixed Judge(double[] grams, double flour)
    {
        double Points(Func<Ingredient, double> of) => 100 * SumBut(grams, of) / flour;
        var hydration = Points(i => i.Water.Fraction);
        var fat = Points(i => i.Fat.Fraction);
        var sugar = Points(i => i.Sugar.Fraction);
        var bound = Points(i => i.Kind is IngredientKind.Puree ? i.Solids.Fraction : 0);
        var feel = hydration + Loosened(fat) + SugarLoosens * sugar - SolidsBind * bound;
        var wanted = spec.Feel == Feel.Batter ? BatterHydration : target;
        var perGram = Rest >= 0 ? FeelPerGram(Lines[Rest].Item, fat >= MoreFatFrom) / Lines[Rest].Item.Water.Fraction : 1;
        return new(
            new(hydration),
            new(feel),
            new(wanted),
            new((spec.Feel == Feel.Batter ? hydration : feel) - wanted),
            spec.Feel == Feel.Batter ? 1 : perGram,
            new(fat),
            new(sugar),
            new(100 * Sum(grams, i => i.Salt.Fraction) / flour));
    }

    /// <summary>Density from the parts: water and dry solids fill their own volumes, fat its own.</summary>
    public Density DensityOf(double[] grams)
    {
        double mass = 0, volume = 0;
        for (var i = 0; i < grams.Length; i++)
        {
            var item = Lines[i].Item;
            mass += grams[i];
            volume += grams[i] * (item.Water.Fraction + item.Fat.Fraction / Ingredient.FatDensity.Value + (item.Solids.Fraction - item.Fat.Fraction) / SolidsDensity);
        }

        return new(mass / volume);
    }

    /// <param name="FeelPerPoint">Points of feel that a point of hydration brings through the liquid that makes up the rest.</param>
    public readonly record struct Mixed(Percent Hydration, Percent Feel, Percent Target, Percent Gap, double FeelPerPoint, Percent Fat, Percent Sugar, Percent Salt);

    // The mass of the liquid that makes up the rest.
    private double MakeUp(double[] grams, double flour)
    {
        var item = Lines[Rest].Item;
        var water = SumBut(grams, i => i.Water.Fraction);
        if (spec.WaterBy != WaterBy.Feel || spec.Feel == Feel.Batter)
        {
            var wanted = spec.WaterBy == WaterBy.Feel ? BatterHydration : spec.Hydration.Value;
            return (flour * wanted / 100 - water) / item.Water.Fraction;
        }

        // Feel = target, in grams of flour: base + r · (w + k·fat + 0.35·sugar − 0.6·solids), with k for fat under or over 10 %.
        var fat = SumBut(grams, i => i.Fat.Fraction);
        var feel = flour * target / 100 - water - SugarLoosens * SumBut(grams, i => i.Sugar.Fraction)
            + SolidsBind * SumBut(grams, i => i.Kind is IngredientKind.Puree ? i.Solids.Fraction : 0);
        var lean = (feel - FatLoosens * fat) / FeelPerGram(item, rich: false);
        if (fat + lean * item.Fat.Fraction <= flour * MoreFatFrom / 100)
        {
            return lean;
        }

        var kink = flour * MoreFatFrom / 100 * (FatLoosens - MoreFatLoosens);
        return (feel - kink - MoreFatLoosens * fat) / FeelPerGram(item, rich: true);
    }

    private static double Loosened(double fat) => FatLoosens * Math.Min(fat, MoreFatFrom) + MoreFatLoosens * Math.Max(fat - MoreFatFrom, 0);

    private static double FeelPerGram(Ingredient liquid, bool rich) =>
        liquid.Water.Fraction
        + (rich ? MoreFatLoosens : FatLoosens) * liquid.Fat.Fraction
        + SugarLoosens * liquid.Sugar.Fraction
        - (liquid.Kind is IngredientKind.Puree ? SolidsBind * liquid.Solids.Fraction : 0);

    private double Sum(double[] grams, Func<Ingredient, double> of)
    {
        double sum = 0;
        for (var i = 0; i < grams.Length; i++)
        {
            sum += grams[i] * of(Lines[i].Item);
        }

        return sum;
    }

    // All but the flour: a flour's own water, fat and sugar never count.
    private double SumBut(double[] grams, Func<Ingredient, double> of) => Sum(grams, i => i.Kind == IngredientKind.Flour ? 0 : of(i));
}
