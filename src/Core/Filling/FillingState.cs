namespace Ystrata.Core.Filling;

/// <summary>What a filling is made of at one moment.</summary>
/// <param name="Loose">Of the water, what salt has drawn and nothing has taken away yet.</param>
/// <param name="Other">Solids that are neither salt, fat nor sugar.</param>
/// <param name="Holds">Water its solids and binders hold (models.md E).</param>
/// <param name="Grain">Of its biggest bits.</param>
public sealed record FillingState(
    Grams Water, Grams Loose, Grams Salt, Grams Fat, Grams Sugar, Grams Other, Grams Holds, Millimetres Grain, Celsius Temperature)
{
    // Water, fat, sugar, salt and the rest, g/ml; pressed by hand a filling keeps some air (empirical).
    private const double SugarDensity = 1.55, SaltDensity = 2.1, OtherDensity = 1.35, Packed = 0.95;

    public static FillingState Nothing { get; } = new(default, default, default, default, default, default, default, default, Air.Kitchen);

    public Grams Solids => Salt + Fat + Sugar + Other;

    public Grams Mass => Water + Solids;

    /// <summary>Water nothing holds; negative when it could hold more.</summary>
    public Grams Free => Water - Holds;

    /// <summary>Free water, percent of mass.</summary>
    public Percent FreeShare => Of(Free);

    public Percent SaltShare => Of(Salt);

    public Percent SugarShare => Of(Sugar);

    public Density Density => Mass.Value > 0
        ? new(Packed * Mass.Value / (Water.Value + Fat.Value / Ingredient.FatDensity.Value + Sugar.Value / SugarDensity + Salt.Value / SaltDensity + Other.Value / OtherDensity))
        : new(1);

    /// <summary>So much of an ingredient, at the temperature of the room.</summary>
    public static FillingState Made(Ingredient item, Grams mass)
    {
        Grams Part(Percent share) => mass * share.Fraction;
        var solids = Part(item.Solids);
        var (salt, fat, sugar) = (Part(item.Salt), Part(item.Fat), Part(item.Sugar));
        return new(Part(item.Water), Grams.Zero, salt, fat, sugar, solids - salt - fat - sugar, solids * (item.Holding ?? 0), UncutGrain, Air.Kitchen);
    }

    /// <summary>The same stuff, more or less of it.</summary>
    public FillingState Times(double k) => this with
    {
        Water = Water * k,
        Loose = Loose * k,
        Salt = Salt * k,
        Fat = Fat * k,
        Sugar = Sugar * k,
        Other = Other * k,
        Holds = Holds * k,
    };

    /// <summary>Both together; the coarser grain counts, and the warmth is shared by mass.</summary>
    public static FillingState operator +(FillingState a, FillingState b)
    {
        var mass = (a.Mass + b.Mass).Value;
        return new(
            a.Water + b.Water,
            a.Loose + b.Loose,
            a.Salt + b.Salt,
            a.Fat + b.Fat,
            a.Sugar + b.Sugar,
            a.Other + b.Other,
            a.Holds + b.Holds,
            new(Math.Max(a.Grain.Value, b.Grain.Value)),
            mass > 0 ? new((a.Temperature.Value * a.Mass.Value + b.Temperature.Value * b.Mass.Value) / mass) : Air.Kitchen);
    }

    // What has not been cut is as coarse as a bite (empirical).
    private static Millimetres UncutGrain => new(12);

    private Percent Of(Grams part) => Mass.Value > 0 ? Percent.FromFraction(part / Mass) : default;
}
