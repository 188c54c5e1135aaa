namespace Ystrata.Core.Bread;

/// <summary>What is seen in a cut as flecks: bran, seeds, cut leaves.</summary>
/// <param name="Hue"><c>#rrggbb</c>.</param>
/// <param name="Size">Of one of them, across.</param>
/// <param name="Count">Of them in a square centimetre of the cut: by Delesse, the share of the area is the share of the volume.</param>
public sealed record Fleck(string Hue, Millimetres Size, double Count);

/// <summary>What a step has laid on a face: seeds, cut leaves.</summary>
/// <param name="Hue"><c>#rrggbb</c>.</param>
/// <param name="Size">Of one of them, across.</param>
/// <param name="Count">Of them that a cut meets in a centimetre of a face, where 1 mg of all that is laid lies on 1 cm².</param>
public sealed record LaidBits(string Hue, Millimetres Size, double Count);

/// <summary>Bits of one thing in a filling.</summary>
/// <param name="Share">Of the filling, by mass.</param>
public sealed record FillingBits(string Hue, Millimetres Size, Percent Share);

/// <summary>A filling by what is in it.</summary>
/// <param name="Hue">Of what lies between the bits; of all of it where it has none.</param>
public sealed record FillingLook(string Hue, IReadOnlyList<FillingBits> Bits);

/// <summary>A bread's own colours, by the hues of the larder: flours, purees, pastes and spice mixed as pigments, the rest as flecks.</summary>
/// <param name="Dough">Raw, <c>#rrggbb</c>.</param>
/// <param name="Laid">On its faces and between its leaves.</param>
/// <param name="Filling">Nothing without.</param>
public sealed record BreadLook(string Dough, IReadOnlyList<Fleck> Flecks, IReadOnlyList<LaidBits> Laid, FillingLook? Filling)
{
    // How strongly a thing colours for its mass, against flour (empirical): fat and milk little, ground spice much.
    private const double OfFat = 0.3, OfLiquid = 0.2, OfSpice = 6;

    // Bran is darker than the flour it is of by this, so big, and so much of the mass of a whole flour (empirical).
    private const double BranDarker = 0.42, BranShare = 0.05;
    private static readonly Millimetres Bran = new(0.7);

    // Dry seeds and cut leaves, across; what is drier than this is a seed, percent (empirical).
    private const double SeedUnder = 20;
    private static readonly Millimetres Seed = new(1.8), CutLeaf = new(3);

    // Between bits lie their own juice and what crumbled off them, of their mass (empirical).
    private const double Crumbs = 0.15;

    // What is cut coarser than this is seen bit by bit (empirical).
    private static readonly Millimetres SeenFrom = new(1);

    internal static BreadLook Of(CheckedBatch batch)
    {
        var (kitchen, bowl, grams) = (batch.Kitchen, batch.Dough.Bowl, batch.Dough.Actual);
        var lines = bowl.Lines.Select((l, i) => (l.Item, Mass: grams[i])).Where(l => l.Mass > 0).ToList();
        var density = bowl.DensityOf(grams).Value;
        var all = lines.Sum(l => l.Mass);
        Fleck FleckOf(Hue hue, Millimetres size, double mass, double itsDensity)
        {
            // Of spheres that are cut anywhere, a face is two thirds of the widest.
            var face = 2.0 / 3 * Math.PI / 4 * size.Centimetres * size.Centimetres;
            return new(hue.ToString(), size, mass / itsDensity / (all / density) / face);
        }

        List<Fleck> flecks =
        [
            .. lines.Where(l => l.Item is { Kind: IngredientKind.Flour, Traits.Strength: FlourStrength.Whole }).Select(l => FleckOf(Of(l.Item).Darker(BranDarker), Bran, l.Mass * BranShare, 1)),
            .. lines.Where(l => IsFleck(l.Item)).Select(l => FleckOf(Of(l.Item), SizeOf(l.Item), l.Mass, 1)),
        ];
        var dough = Hue.Mixed(lines.Where(l => !IsFleck(l.Item)).Select(l => (Of(l.Item), l.Mass * Colours(l.Item)))) ?? Of(kitchen[Staples.WhiteFlour]);
        return new(dough.ToString(), flecks, LaidOn(batch), batch is { Stuffing.Made: { } made, Route.Filling: { } filling } ? FillingOf(filling, made, kitchen) : null);
    }

    // A cut meets what lies within its own width of it.
    private static List<LaidBits> LaidOn(CheckedBatch batch)
    {
        var laid = batch.Shape.Inputs.Where(i => i.Is == LaidIn.Bits && i.OfBall.Value > 0).GroupBy(i => i.Id).Select(g => (Item: batch.Kitchen[g.Key], Mass: g.Sum(i => i.OfBall.Value))).ToList();
        var all = laid.Sum(l => l.Mass);
        return [.. laid.Select(l => (l.Item, l.Mass, Size: SizeOf(l.Item)))
            .Select(l => new LaidBits(Of(l.Item).ToString(), l.Size, l.Mass / all * l.Size.Centimetres / (1000 * Math.PI / 6 * Math.Pow(l.Size.Centimetres, 3))))];
    }

    private static FillingLook FillingOf(FillingSpec spec, FillingMade made, Kitchen kitchen)
    {
        var parts = spec.Parts.Zip(made.Parts).Select(p => (Item: kitchen[p.First.Id], End: p.Second.Rows is [.., var last] ? last.State : p.Second.Start)).ToList();
        var mass = parts.Sum(p => p.End.Mass.Value);
        var bits = parts.Where(p => p.End.Grain.Value >= SeenFrom.Value)
            .Select(p => new FillingBits(Of(p.Item).ToString(), p.End.Grain, Percent.FromFraction(p.End.Mass.Value / mass))).ToList();
        var put = FillingInputs.Of(spec, made).Where(i => i.Field is not null).Select(i => (Item: kitchen[i.Id], Mass: i.Mass.Value)).ToList();
        // What is put in dry and whole, or cut, is seen in it too.
        bits.AddRange(put.Where(i => IsFleck(i.Item)).Select(i => new FillingBits(Of(i.Item).ToString(), SizeOf(i.Item), Percent.FromFraction(i.Mass / mass))));
        var between = Hue.Mixed(parts.Select(p => (Of(p.Item), p.End.Mass.Value * (p.End.Grain.Value < SeenFrom.Value ? 1 : Crumbs)))
            .Concat(put.Where(i => !IsFleck(i.Item)).Select(i => (Of(i.Item), i.Mass * Colours(i.Item)))));
        return new((between ?? Of(kitchen[Staples.WetVegetable])).ToString(), bits);
    }

    // Seeds and leaves are seen as they are; what is ground or melts colours the dough.
    private static bool IsFleck(Ingredient item) => item.Kind == IngredientKind.Addition;

    private static Millimetres SizeOf(Ingredient item) => item.Water.Value < SeedUnder ? Seed : CutLeaf;

    private static double Colours(Ingredient item) => item.Kind switch
    {
        IngredientKind.Salt or IngredientKind.Leaven => 0,
        IngredientKind.Liquid when item.Is(Trait.RawRisk) => 1,
        IngredientKind.Liquid => item.Water.Value > 99 ? 0 : OfLiquid,
        IngredientKind.Fat => OfFat,
        IngredientKind.Seasoning => item.Is(Trait.Sticky) || item.Sugar.Value > 50 ? 1 : OfSpice,
        _ => 1,
    };

    // What nobody has given a hue has that of its kind.
    private static Hue Of(Ingredient item) => Hue.Of(UsualHues.Of(item));
}
