namespace Ystrata.Core.Dough;

/// <summary>How warm the water goes in.</summary>
public enum WaterHeat
{
    Iced,
    Cold,
    Warm,
}

/// <summary>Why.</summary>
public enum WaterReason
{
    /// <summary>A raw green paste warms while it is blended and turns brown.</summary>
    KeepsGreen,

    /// <summary>Yeast works between 30 and 38 °C and dies over 55.</summary>
    WakesYeast,

    /// <summary>A whole night: warm water would let it sour.</summary>
    LongRest,

    /// <summary>Butter or another fat that is to stay solid while it is rubbed in.</summary>
    KeepsFatFirm,

    /// <summary>A batter thickens and sours in the warm.</summary>
    KeepsBatterThin,

    /// <summary>Warm water softens a dough and is drunk faster.</summary>
    Softens,
}

public sealed record WaterAdvice(WaterHeat Heat, WaterReason Reason, Range<Celsius> Between);

/// <summary>One thing done at the bowl.</summary>
public enum MixAct
{
    MixDry,
    RubInFat,
    PourLiquid,
    AddByFeel,
    WorkInFat,
    KneadInAdditions,
    Knead,
    WhiskSmooth,
    WorkInSalt,
}

/// <summary>A step at the bowl, in order.</summary>
/// <param name="Items">What goes in now, by its place among the portions.</param>
/// <param name="Quantities">For one lot.</param>
public sealed record MixStep(MixAct Act, IReadOnlyList<int> Items, IReadOnlyList<Quantity> Quantities);

/// <summary>Adding bit by bit: what goes in at once, what is held back for the feel.</summary>
/// <param name="Item">The liquid, by its place among the portions.</param>
/// <param name="Planned">All of it.</param>
/// <param name="AtOnce">Goes in first.</param>
/// <param name="Back">Held back.</param>
/// <param name="Spoon">What one tablespoon of it weighs.</param>
/// <param name="SmallSpoon">What one teaspoon of it weighs.</param>
/// <param name="WentIn">What really went in, once said.</param>
public sealed record BitByBit(int Item, Grams Planned, Grams AtOnce, Grams Back, Grams Spoon, Grams SmallSpoon, Grams? WentIn);

/// <param name="Knead">By hand or machine, with the kneading chosen.</param>
/// <param name="Adding">Nothing when every liquid is fixed by mass.</param>
public sealed record Mixing(IReadOnlyList<MixStep> Steps, WaterAdvice? Water, Minutes Knead, BitByBit? Adding);

/// <summary>From weighed things to dough: the order, the water's heat, what to hold back.</summary>
public static class MixingStage
{
    // Every bag drinks differently, so a tenth waits for the feel (work.md 1; empirical).
    private const double HeldBack = 0.10;

    // A rest from which on the dough ferments by itself in warm water (empirical).
    private static readonly Minutes Night = new(240);

    private static readonly Range<Celsius> IcedRange = new(new(1), new(5)), ColdRange = new(new(8), new(14)), WarmRange = new(new(35), new(42)), YeastRange = new(new(30), new(38));

    /// <summary>Usual kneading times, minutes.</summary>
    public static Minutes KneadTime(Kneading kneading) => kneading switch
    {
        Kneading.None => new(1),
        Kneading.Light => new(3),
        Kneading.Machine => new(5),
        _ => new(8),
    };

    internal static Mixing Work(CheckedBatch batch, int lots)
    {
        var (spec, solved) = (batch.Spec, batch.Dough);
        var bowl = solved.Bowl;
        var knead = KneadTime(spec.Dough.Mix.Kneading);
        var adding = Adding(spec, bowl, solved);
        return new([.. Steps(batch, adding, knead, lots)], WaterFor(batch), knead, adding);
    }

    private static BitByBit? Adding(BatchSpec spec, Bowl bowl, DoughSolution solved)
    {
        if (bowl.Anchor < 0)
        {
            return null;
        }

        var planned = solved.Grams[bowl.Anchor];
        var density = bowl.Lines[bowl.Anchor].Item.Density;
        return new(
            bowl.Anchor,
            new(planned),
            new(planned * (1 - HeldBack)),
            new(planned * HeldBack),
            Vessels.Weigh(Vessels.Tablespoon, density),
            Vessels.Weigh(Vessels.Teaspoon, density),
            spec.Dough.Mix.WentIn);
    }

    private static WaterAdvice? WaterFor(CheckedBatch batch)
    {
        var (spec, solved, bowl) = (batch.Spec, batch.Dough, batch.Dough.Bowl);
        bool Has(Trait trait) => solved.InIt.Any(i => i.Is(trait));
        var solidFat = batch.Kitchen[spec.Dough.Fat.Id].Is(Trait.SolidWhenCold) && bowl.Lines.Zip(solved.Grams).Any(l => l.First.Part == DoughPart.Fat && l.Second > 0);
        return !Has(Trait.BrownsRaw) && bowl.Lines.All(l => l.Item.Kind != IngredientKind.Liquid) ? null
            : Has(Trait.BrownsRaw) ? new(WaterHeat.Iced, WaterReason.KeepsGreen, IcedRange)
            : Has(Trait.Yeast) && spec.Rest.Time.Value < Night.Value ? new(WaterHeat.Warm, WaterReason.WakesYeast, YeastRange)
            : spec.Rest.Time.Value >= Night.Value ? new(WaterHeat.Cold, WaterReason.LongRest, ColdRange)
            : batch.Route.Poured ? new(WaterHeat.Cold, WaterReason.KeepsBatterThin, ColdRange)
            : solidFat && spec.Dough.Fat.When == FatWhen.RubbedIn ? new(WaterHeat.Cold, WaterReason.KeepsFatFirm, ColdRange)
            : new(WaterHeat.Warm, WaterReason.Softens, WarmRange);
    }

    private static IEnumerable<MixStep> Steps(CheckedBatch batch, BitByBit? adding, Minutes knead, int lots)
    {
        var (spec, solved, bowl) = (batch.Spec, batch.Dough, batch.Dough.Bowl);
        var lines = Enumerable.Range(0, bowl.Lines.Count).Where(i => solved.Grams[i] > 1e-6).ToList();
        int[] Of(Func<Bowl.Line, bool> where) => [.. lines.Where(i => where(bowl.Lines[i]))];
        // What is wet or tender goes in at the end, so that it neither bleeds nor breaks.
        static bool Tender(Bowl.Line l) => l.Part == DoughPart.Addition && l.Item.Kind is IngredientKind.Vegetable or IngredientKind.Addition or IngredientKind.Sweet;

        var fat = Of(l => l.Part == DoughPart.Fat);
        var batter = batch.Route.Poured;
        var saltLast = spec.Dough.Salt.When == SaltWhen.Last;
        yield return new(MixAct.MixDry, Of(l => l.Part == DoughPart.Flour || (l.Part == DoughPart.Salt && !saltLast) || (l.Part == DoughPart.Addition && !Tender(l))), []);
        if (fat.Length > 0 && spec.Dough.Fat.When == FatWhen.RubbedIn && !batter)
        {
            yield return new(MixAct.RubInFat, fat, []);
        }

        var liquids = Of(l => l.Part == DoughPart.Liquid);
        if (liquids.Length > 0)
        {
            yield return new(MixAct.PourLiquid, liquids, adding is null ? [] : [Quantity.Of(QuantityName.First, adding.AtOnce / lots), Quantity.Of(QuantityName.Back, adding.Back / lots)]);
        }

        if (adding is { } a)
        {
            yield return new(MixAct.AddByFeel, [a.Item], [Quantity.Of(QuantityName.Back, a.Back / lots), Quantity.Of(QuantityName.Spoon, a.Spoon)]);
        }

        if (fat.Length > 0 && (spec.Dough.Fat.When == FatWhen.WorkedIn || batter))
        {
            yield return new(MixAct.WorkInFat, fat, []);
        }

        if (Of(Tender) is { Length: > 0 } tender)
        {
            yield return new(MixAct.KneadInAdditions, tender, []);
        }

        yield return new(batter ? MixAct.WhiskSmooth : MixAct.Knead, [], [Quantity.Of(QuantityName.Time, knead)]);
        if (saltLast && Of(l => l.Part == DoughPart.Salt) is { Length: > 0 } salt)
        {
            yield return new(MixAct.WorkInSalt, salt, []);
        }
    }
}
