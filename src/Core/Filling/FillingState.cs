namespace Ystrata.Core.Filling;

/// <summary>What a filling is made of at one moment.</summary>
/// <param name="Cells">Of the water, what lies in whole cells, and how it comes out.</param>
/// <param name="Other">Solids that are neither salt, fat nor sugar.</param>
/// <param name="Holds">Water its solids and binders hold (models.md E).</param>
/// <param name="Sticks">Of its solids, what sticks together: starch, cheese, pulse, sugar.</param>
/// <param name="Grain">Of its biggest bits.</param>
public sealed record FillingState(
    Grams Water, Cells Cells, Grams Salt, Grams Fat, Grams Sugar, Grams Other, Grams Holds, Grams Sticks, Millimetres Grain, Celsius Temperature)
{
    // Water, fat, sugar, salt and the rest, g/ml; pressed by hand a filling keeps some air (empirical).
    private const double SugarDensity = 1.55, SaltDensity = 2.1, OtherDensity = 1.35, Packed = 0.95;

    public static FillingState Nothing { get; } = new(default, Cells.None, default, default, default, default, default, default, default, Air.Kitchen);

    public Grams Solids => Salt + Fat + Sugar + Other;

    public Grams Mass => Water + Solids;

    /// <summary>Water outside cells that nothing holds; negative when more could be held.</summary>
    public Grams Free => Water - Holds - Cells.Water;

    /// <summary>Free water, percent of mass.</summary>
    public Percent FreeShare => Of(Free);

    public Percent SaltShare => Of(Salt);

    public Percent SugarShare => Of(Sugar);

    // Sugar sticks once so much water is there, g/g; a syrup of so much sugar is thick and does not run, one of so much is thin (models.md E; all empirical).
    private const double SugarWants = 0.15, Thin = 0.78, Thick = 0.82;

    /// <summary>Of its solids but fat and salt, what sticks together, 0 to 1; sugar only with a little water.</summary>
    public double Stickiness => (Sugar + Other).Value <= 0 ? 0
        : Math.Clamp((Sticks.Value - (IsSugarDry ? Sugar.Value : 0)) / (Sugar + Other).Value, 0, 1);

    // Too little water for its sugar to stick.
    private bool IsSugarDry => Water.Value < SugarWants * Sugar.Value;

    // A paste of so much sugar falls apart while that is dry, of mass (empirical).
    private const double SugarPaste = 0.2;

    /// <summary>A paste of sugar without the water that binds it.</summary>
    internal bool IsDryPaste => IsSugarDry && Sugar.Value > SugarPaste * Mass.Value;

    /// <summary>Free water that runs, percent of mass: what sugar has made a thick syrup of does not.</summary>
    public Percent Runs => Free.Value <= 0 ? FreeShare : new(FreeShare.Value * Math.Clamp((Thick - Sugar / (Sugar + Free)) / (Thick - Thin), 0, 1));

    /// <summary>How long it is until salt has drawn so much that this share of it runs, percent of mass; nothing where it never is.</summary>
    internal Minutes? Until(double share)
    {
        var wanting = share / 100 * Mass.Value - Free.Value;
        return wanting <= 0 ? default(Minutes) : Salt.Value <= 0 ? null : Cells.DrawsIn(Saltiness, new(wanting));
    }

    /// <summary>Salt against all else, percent.</summary>
    internal double Saltiness => Mass.Value > Salt.Value ? 100 * (Salt / (Mass - Salt)) : 0;

    /// <summary>After so long with the salt that is in it.</summary>
    internal FillingState Stood(Minutes time) => this with { Cells = Cells.Stood(Saltiness, time) };

    public Density Density => Mass.Value > 0
        ? new(Packed * Mass.Value / (Water.Value + Fat.Value / Ingredient.FatDensity.Value + Sugar.Value / SugarDensity + Salt.Value / SaltDensity + Other.Value / OtherDensity))
        : new(1);

    /// <summary>So much of an ingredient, at the temperature of the room.</summary>
    public static FillingState Made(Ingredient item, Grams mass)
    {
        Grams Part(Percent share) => mass * share.Fraction;
        var solids = Part(item.Solids);
        var (salt, fat, sugar) = (Part(item.Salt), Part(item.Fat), Part(item.Sugar));
        var (water, holds) = (Part(item.Water), solids * (item.Holding ?? 0));
        return new(water, Cells.Of(item, mass, water, holds), salt, fat, sugar, solids - salt - fat - sugar, holds, item.Is(Trait.Sticky) ? solids - fat : default, GrainOf(item), Air.Kitchen);
    }

    /// <summary>The same as a part of a filling: a flour among them drinks.</summary>
    internal static FillingState Part(Ingredient item, Grams mass)
    {
        var made = Made(item, mass);
        return item.Kind == IngredientKind.Flour ? made with { Holds = made.Water + mass * BindStep.Drinks(item) }
            // Seed, spice and fat keep their own.
            : item.Holding is null && item.Kind is not (IngredientKind.Liquid or IngredientKind.Puree) ? made with { Holds = made.Water }
            : made;
    }

    // What has not been cut is as coarse as a bite; lumps of sugar as they come out of the bag, seeds whole; what is fine or runs has no grain (empirical).
    private static Millimetres GrainOf(Ingredient item) => item.Kind switch
    {
        _ when item.Is(Trait.Lumpy) => new(8),
        IngredientKind.Flour or IngredientKind.Fat or IngredientKind.Liquid or IngredientKind.Puree or IngredientKind.Separator or IngredientKind.Seasoning or IngredientKind.Salt => default,
        IngredientKind.Addition when item.Water.Value < DrySeed => new(2),
        _ => UncutGrain,
    };

    // An addition with less water than this is seed, percent.
    private const double DrySeed = 20;

    /// <summary>The same stuff, more or less of it.</summary>
    public FillingState Times(double k) => this with
    {
        Water = Water * k,
        Cells = Cells.Times(k),
        Salt = Salt * k,
        Fat = Fat * k,
        Sugar = Sugar * k,
        Other = Other * k,
        Holds = Holds * k,
        Sticks = Sticks * k,
    };

    /// <summary>Both together; the coarser grain counts, and the warmth is shared by mass.</summary>
    public static FillingState operator +(FillingState a, FillingState b)
    {
        var mass = (a.Mass + b.Mass).Value;
        return new(
            a.Water + b.Water,
            a.Cells + b.Cells,
            a.Salt + b.Salt,
            a.Fat + b.Fat,
            a.Sugar + b.Sugar,
            a.Other + b.Other,
            a.Holds + b.Holds,
            a.Sticks + b.Sticks,
            new(Math.Max(a.Grain.Value, b.Grain.Value)),
            mass > 0 ? new((a.Temperature.Value * a.Mass.Value + b.Temperature.Value * b.Mass.Value) / mass) : Air.Kitchen);
    }

    // What has not been cut is as coarse as a bite (empirical).
    private static Millimetres UncutGrain => new(12);

    private Percent Of(Grams part) => Mass.Value > 0 ? Percent.FromFraction(part / Mass) : default;
}
