namespace Ystrata.Core.Dough;

/// <summary>What a line of the dough brings, points of flour. A flour's own water never counts.</summary>
public sealed record Brings(Percent Water, Percent Solids, Percent Fat, Percent Sugar, Percent Salt);

/// <summary>One line of the dough, in the order of the spec.</summary>
/// <param name="Index">Its place in its list of the spec.</param>
/// <param name="Mass">As planned, for the whole batch.</param>
/// <param name="EachLot">The same for one lot.</param>
/// <param name="InBall">The same for one ball, or one ladleful.</param>
/// <param name="Share">Percent of flour.</param>
/// <param name="Measure">The nearest honest spoon or cup, if any.</param>
/// <param name="Pinned">Fixed by the cook as a mass; all else gives way.</param>
/// <param name="MayGo">A dough can do without it.</param>
/// <param name="Hue">Its own, or that of its kind.</param>
public sealed record Portion(DoughPart Part, int Index, string Id, Grams Mass, Grams EachLot, Grams InBall, Percent Share, KitchenMeasure? Measure, bool Pinned, bool MayGo, Brings Brings, string Hue);

/// <summary>Where a dough lies against what its flour drinks (models.md B).</summary>
public enum DoughFeel
{
    Stiff,
    FirmSide,
    OnTarget,
    SoftSide,
    Sticky,

    /// <summary>A dough was wanted, and it pours.</summary>
    Batter,

    /// <summary>A batter was wanted, and it does not pour.</summary>
    TooThick,
    Pours,

    /// <summary>A batter that runs off the pan.</summary>
    TooThin,
}

/// <summary>Where one feel ends and the next begins in this mix (models.md B): hydrations, percent of flour.</summary>
public sealed record FeelMarks(Percent Stiff, Percent Firm, Percent Soft, Percent Sticky);

/// <summary>Every figure a batch could start from, as it follows: switching to it changes nothing.</summary>
/// <param name="Ball">One ball, or ladleful, as planned.</param>
/// <param name="Thickness">Of the round that ball makes, with its filling.</param>
/// <param name="LiquidId">The liquid a start from liquid would fix; nothing when all are fixed by mass.</param>
public sealed record StartSheet(
    int Pieces, Grams Ball, Millimetres Thickness, Millilitres Ladle, Grams Flour, Grams? Liquid, string? LiquidId, Grams Filling, Grams FillingEach, int People, double Each);

/// <summary>The same dough in several bowls, mixed in turn.</summary>
public sealed record DoughLots(int Count, Grams Each);

/// <summary>Its water, and how that feels in this flour.</summary>
/// <param name="Hydration">Water but the flour's own, percent of flour.</param>
/// <param name="Felt">h* of models.md B, percent of flour.</param>
/// <param name="Target">h* this mix wants for the feel chosen.</param>
/// <param name="Gap">h* − target, points of flour; for a batter its hydration against one that pours.</param>
/// <param name="Right">The hydration that would close the gap.</param>
/// <param name="Good">The hydrations that feel right.</param>
public sealed record WaterSheet(Percent Hydration, Percent Felt, Percent Target, Percent Gap, Percent Right, Range<Percent> Good, FeelMarks Marks, DoughFeel Feel);

/// <summary>What it is made of, from every source.</summary>
/// <param name="Salt">Percent of flour.</param>
/// <param name="SaltGood">What is usual.</param>
/// <param name="Fat">From every source but the flour, percent of flour.</param>
/// <param name="Sugar">Likewise.</param>
/// <param name="Water">The flour's own included, percent of dough.</param>
public sealed record ContentSheet(Percent Salt, Range<Percent> SaltGood, Percent Fat, Percent Sugar, Percent Water);

/// <param name="Portions">Everything to weigh, as planned.</param>
/// <param name="Mass">Dough in the bowl, with what really went in.</param>
/// <param name="Loss">What bowl and hands keep of it.</param>
/// <param name="Ball">What one ball should weigh with what really went in.</param>
public sealed record DoughSheet(
    StartSheet Start,
    IReadOnlyList<Portion> Portions,
    Grams Mass,
    Grams Loss,
    Grams Flour,
    Grams Ball,
    Density Density,
    WaterSheet Water,
    ContentSheet Content,
    DoughLots Lots,
    Mixing Mixing,
    IReadOnlyList<FatSwap> Swaps,
    IReadOnlyList<PureeMaking> Purees);

/// <summary>Stage 1: from whatever figure the cook has to grams of everything.</summary>
public static class DoughStage
{
    private const double StiffBelow = -8, OnTargetWithin = 3, StickyAbove = 8;

    // A batter's marks against the one that is made by feel.
    private const double PoursFrom = Pour.From - Bowl.BatterHydration, PoursTo = Pour.To - Bowl.BatterHydration;

    // Points of feel from the target at which one feel ends and the next begins.
    private static readonly (double Stiff, double Firm, double Soft, double Sticky)
        DoughMarks = (StiffBelow, -OnTargetWithin, OnTargetWithin, StickyAbove), BatterMarks = (PoursFrom, PoursFrom, PoursTo, PoursTo);

    /// <summary>Usual salt in a flatbread dough, percent of flour.</summary>
    private static readonly Range<Percent> UsualSalt = new(new(1.2), new(2.2));

    internal static DoughSheet Work(CheckedBatch batch)
    {
        var (spec, solved, kitchen) = (batch.Spec, batch.Dough, batch.Kitchen);
        var (dough, bowl) = (spec.Dough, solved.Bowl);
        var flour = solved.Flour.Value;
        var now = bowl.Judge(solved.Actual, flour);
        var lots = LotsOf(solved.Grams.Sum(), dough.Mix.Bowl);
        var batter = batch.Route.Poured;
        var marks = batter ? BatterMarks : DoughMarks;
        var right = now.Hydration.Value - now.Gap.Value / now.FeelPerPoint;
        Percent At(double points) => new(right + points / now.FeelPerPoint);

        Portion[] portions = [.. bowl.Lines.Select((l, i) => PortionOf(l, solved.Grams[i], flour, lots.Count, solved.PlannedBall / new Grams(solved.Grams.Sum()), Pinned(spec, bowl, i), Ledger.MayGo(dough, l.Part), kitchen))];
        return new(
            StartOf(batch),
            portions,
            solved.Mass,
            solved.Mass - solved.Net,
            new(flour),
            solved.Ball,
            batch.Route.DensityOf(bowl, solved.Actual),
            new(
                now.Hydration,
                now.Feel,
                now.Target,
                now.Gap,
                new(right),
                new(At(marks.Firm), At(marks.Soft)),
                new(At(marks.Stiff), At(marks.Firm), At(marks.Soft), At(marks.Sticky)),
                Judge(now, batter)),
            new(now.Salt, UsualSalt, now.Fat, now.Sugar, new(100 * WaterIn(bowl, solved.Actual) / solved.Mass.Value)),
            lots,
            MixingStage.Work(batch, lots.Count),
            FatSwap.Of(dough.Fat, portions.Single(p => p.Part == DoughPart.Fat).Mass, kitchen),
            PureeMaking.Of(bowl, solved.Grams));
    }

    private static StartSheet StartOf(CheckedBatch batch)
    {
        var (start, solved) = (batch.Spec.Start, batch.Dough);
        var ball = solved.PlannedBall;
        // Of a stuffed bread what there is and what goes into each; else what the cook has in mind.
        var (all, one) = batch is { Stuffing.Made.End: var end, Route.Filling: { } filling } ? (end.Mass, solved.Wanted * filling.Wall.Share.Fraction) : (start.Filling, start.FillingEach);
        var each = start.By == StartBy.Filling ? all / solved.Count : one;
        var eats = start.By == StartBy.People ? start.Each : (double)solved.Count / start.People;
        return new(
            solved.Count,
            ball,
            batch.Route.ThicknessOf(ball, solved.Bowl.DoughDensity, batch.Stuffing?.Made),
            new(ball.Value / solved.Bowl.DensityOf(solved.Grams).Value),
            solved.Flour,
            solved.Bowl.Anchor >= 0 ? new Grams(solved.Grams[solved.Bowl.Anchor]) : null,
            solved.Bowl.Anchor >= 0 ? solved.Bowl.Lines[solved.Bowl.Anchor].Item.Id : null,
            solved.Count * each,
            each,
            start.People,
            eats);
    }

    private static bool Pinned(BatchSpec spec, Bowl bowl, int line) => bowl.Lines[line] switch
    {
        { Part: DoughPart.Flour } => spec.Start.By == StartBy.Flour,
        { Amount.By: AmountBy.Mass } => true,
        _ => spec.Start.By == StartBy.Liquid && line == bowl.Anchor,
    };

    private static Portion PortionOf(Bowl.Line line, double grams, double flour, int lots, double ball, bool pinned, bool mayGo, Kitchen kitchen)
    {
        var item = line.Item;
        var share = 100 * grams / flour;
        var counts = line.Part == DoughPart.Flour ? 0 : 1;
        var mass = new Grams(Math.Max(grams, 0));
        return new(
            line.Part,
            line.Index,
            item.Id,
            mass,
            mass / lots,
            mass * ball,
            new(share),
            NearestMeasure.Of(mass / lots, item, kitchen.Measures),
            pinned,
            mayGo,
            new(
                new(counts * share * item.Water.Fraction),
                new(share * item.Solids.Fraction),
                new(counts * share * item.Fat.Fraction),
                new(counts * share * item.Sugar.Fraction),
                new(share * item.Salt.Fraction)),
            UsualHues.Of(item));
    }

    private static double WaterIn(Bowl bowl, double[] grams) => bowl.Lines.Select((l, i) => grams[i] * l.Item.Water.Fraction).Sum();

    private static DoughLots LotsOf(double mass, Grams? bowl)
    {
        var count = bowl is { } b ? (int)Math.Ceiling(mass / b.Value - 1e-9) : 1;
        return new(Math.Max(count, 1), new(mass / Math.Max(count, 1)));
    }

    private static DoughFeel Judge(Bowl.Mixed now, bool batter) => batter
        ? now.Gap.Value switch
        {
            < PoursFrom => DoughFeel.TooThick,
            <= PoursTo => DoughFeel.Pours,
            _ => DoughFeel.TooThin,
        }
        : now.Hydration.Value > Pour.From
        ? DoughFeel.Batter
        : now.Gap.Value switch
        {
            < StiffBelow => DoughFeel.Stiff,
            < -OnTargetWithin => DoughFeel.FirmSide,
            <= OnTargetWithin => DoughFeel.OnTarget,
            <= StickyAbove => DoughFeel.SoftSide,
            _ => DoughFeel.Sticky,
        };
}
