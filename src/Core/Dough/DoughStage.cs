namespace Ystrata.Core;

/// <summary>One thing to weigh.</summary>
/// <param name="Share">Percent of flour.</param>
public sealed record Portion(string Id, Grams Mass, Percent Share);

/// <summary>Where a dough lies against what its flour drinks (models.md B).</summary>
public enum DoughFeel
{
    Stiff,
    FirmSide,
    OnTarget,
    SoftSide,
    Sticky,
    Batter,
}

/// <summary>Where one feel ends and the next begins, points of flour from the target (models.md B).</summary>
public sealed record FeelMarks(Percent Stiff, Percent Firm, Percent Soft, Percent Sticky);

/// <param name="Portions">Everything to weigh, in the order of the work.</param>
/// <param name="Mass">Dough in the bowl.</param>
/// <param name="Loss">What bowl and hands keep of it.</param>
/// <param name="Hydration">Water but the flour's own, percent of flour.</param>
/// <param name="FeelHydration">h* of models.md B, percent of flour.</param>
/// <param name="Target">h* this mix wants for the feel chosen.</param>
/// <param name="Gap">h* − target, points of flour.</param>
/// <param name="HydrationOnTarget">The hydration that would close the gap.</param>
/// <param name="HydrationGood">The hydrations that feel right.</param>
/// <param name="SaltGood">Usual salt, percent of flour.</param>
/// <param name="Salt">Salt from every source, percent of flour.</param>
/// <param name="WaterShare">Water in the dough, the flour's own included, percent of dough.</param>
public sealed record DoughSheet(
    IReadOnlyList<Portion> Portions,
    Grams Mass,
    Grams Loss,
    Grams Flour,
    Percent Hydration,
    Percent FeelHydration,
    Percent Target,
    Percent Gap,
    Percent HydrationOnTarget,
    Range<Percent> HydrationGood,
    FeelMarks Marks,
    DoughFeel Feel,
    Percent Salt,
    Range<Percent> SaltGood,
    Percent WaterShare);

/// <summary>Stage 1: from pieces, ball and baker's percents to grams.</summary>
public static class DoughStage
{
    // Empirical, models.md B: what a point of each does to the feel, in points of water.
    private const double FatLoosens = 0.25, MoreFatLoosens = 0.10, MoreFatFrom = 10, SugarLoosens = 0.35, SolidsBind = 0.6;

    private const double StiffBelow = -8, OnTargetWithin = 3, StickyAbove = 8, BatterFrom = 150;

    private static readonly FeelMarks Marks = new(new(StiffBelow), new(-OnTargetWithin), new(OnTargetWithin), new(StickyAbove));

    /// <summary>Usual salt in a flatbread dough, percent of flour.</summary>
    private static readonly Range<Percent> UsualSalt = new(new(1.2), new(2.2));

    /// <summary>The salt that is added to make up the share wanted.</summary>
    public const string SaltId = "salt-fine";

    private static readonly Grams LeastLoss = new(5);

    public static DoughSheet Work(DoughSpec spec, Grams ball, FlourMix mix, Larder larder, Learned learned)
    {
        var net = spec.Pieces * ball;
        var mass = new Grams(Math.Max(net.Value / (1 - learned.BowlLoss.Fraction), (net + LeastLoss).Value));

        // Shares per 100 of flour, then one scale for the whole batch.
        var parts = Shares(spec, larder);
        var flour = mass * (100 / parts.Sum(p => p.Share.Value));
        var portions = parts.ConvertAll(p => new Portion(p.Id, flour * p.Share.Fraction, p.Share));

        double Sum(Func<Ingredient, double> of, Func<Ingredient, bool>? where = null) => parts
            .Where(p => where?.Invoke(larder[p.Id]) ?? true)
            .Sum(p => p.Share.Value * of(larder[p.Id]) / 100);

        static bool NotFlour(Ingredient i) => i.Kind != IngredientKind.Flour;
        var hydration = Sum(i => i.Water.Value, NotFlour);
        var fat = Sum(i => i.Fat.Value, NotFlour);
        var loosened = FatLoosens * Math.Min(fat, MoreFatFrom)
            + MoreFatLoosens * Math.Max(fat - MoreFatFrom, 0)
            + SugarLoosens * Sum(i => i.Sugar.Value, NotFlour)
            - SolidsBind * Sum(i => i.Solids.Value, i => i.Kind is IngredientKind.Puree);
        var feel = hydration + loosened;
        var target = mix.Absorption.Value + PointsOf(spec.Feel);
        var gap = feel - target;
        var perPoint = FeelPerPoint(larder[spec.Liquid]);

        return new(
            portions,
            mass,
            mass - net,
            flour,
            new(hydration),
            new(feel),
            new(target),
            new(gap),
            new(hydration - gap / perPoint),
            new(new(hydration - (gap + OnTargetWithin) / perPoint), new(hydration - (gap - OnTargetWithin) / perPoint)),
            Marks,
            Judge(hydration, gap),
            new(Sum(i => i.Salt.Value)),
            UsualSalt,
            new(Sum(i => i.Water.Value) * (flour / mass)));
    }

    /// <summary>The points of water a feel asks for over medium.</summary>
    public static double PointsOf(Feel feel) => feel switch
    {
        Feel.Firm => -8,
        Feel.Soft => 6,
        Feel.VerySoft => 12,
        _ => 0,
    };

    /// <summary>Water for the liquid to bring when the other things in the dough already carry some, percent of flour; negative if they carry too much.</summary>
    public static Percent WaterFromLiquid(DoughSpec spec, Larder larder) =>
        spec.Hydration - new Percent(Carried(spec, larder, i => i.Water));

    /// <summary>Salt still to add when the other things already carry some, percent of flour; negative if they carry too much.</summary>
    public static Percent SaltToAdd(DoughSpec spec, Larder larder)
    {
        var liquid = larder[spec.Liquid];
        var fromLiquid = LiquidShare(spec, larder) * liquid.Salt.Fraction;
        return spec.Salt - new Percent(Carried(spec, larder, i => i.Salt) + fromLiquid);
    }

    /// <summary>Points of feel that one more point of hydration brings in this liquid: less than one for a puree, whose solids drink.</summary>
    private static double FeelPerPoint(Ingredient liquid)
    {
        var binds = liquid.Kind is IngredientKind.Puree ? SolidsBind * liquid.Solids.Fraction : 0;
        return 1 + (FatLoosens * liquid.Fat.Fraction + SugarLoosens * liquid.Sugar.Fraction - binds) / liquid.Water.Fraction;
    }

    private static double LiquidShare(DoughSpec spec, Larder larder) =>
        WaterFromLiquid(spec, larder).Value / larder[spec.Liquid].Water.Fraction;

    private static double Carried(DoughSpec spec, Larder larder, Func<Ingredient, Percent> of) =>
        spec.FatShare.Value * of(larder[spec.Fat]).Fraction
        + spec.Additions.Sum(a => a.Share.Value * of(larder[a.Id]).Fraction);

    private static List<Portion> Shares(DoughSpec spec, Larder larder)
    {
        var flourParts = spec.Flours.Sum(f => f.Parts);
        var shares = new List<Portion>();
        void Add(string id, double share)
        {
            if (share > 0)
            {
                shares.Add(new(id, Grams.Zero, new(share)));
            }
        }

        foreach (var (id, p) in spec.Flours)
        {
            Add(id, 100 * p / flourParts);
        }

        Add(spec.Liquid, LiquidShare(spec, larder));
        Add(spec.Fat, spec.FatShare.Value);
        Add(SaltId, SaltToAdd(spec, larder).Value);
        foreach (var (id, share) in spec.Additions)
        {
            Add(id, share.Value);
        }

        // One line a thing, however often it was named.
        return [.. shares.GroupBy(p => p.Id).Select(g => new Portion(g.Key, Grams.Zero, new(g.Sum(p => p.Share.Value))))];
    }

    private static DoughFeel Judge(double hydration, double gap) => hydration > BatterFrom
        ? DoughFeel.Batter
        : gap switch
        {
            < StiffBelow => DoughFeel.Stiff,
            < -OnTargetWithin => DoughFeel.FirmSide,
            <= OnTargetWithin => DoughFeel.OnTarget,
            <= StickyAbove => DoughFeel.SoftSide,
            _ => DoughFeel.Sticky,
        };
}
