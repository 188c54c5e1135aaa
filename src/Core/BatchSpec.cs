namespace Ystrata.Core;

/// <summary>What the cook decided, stage by stage. Everything else follows from it through <see cref="Planner"/>.</summary>
/// <param name="Clock">Who and what there is to make it; nothing for one pair of hands and one pan.</param>
public sealed record BatchSpec(
    StartSpec Start,
    DoughSpec Dough,
    RestSpec Rest,
    BallsSpec Balls,
    LadleSpec Ladle,
    SheetSpec Sheet,
    FoldSpec Fold,
    RollSpec Roll,
    PanSpec Pan,
    FillingSpec? Filling = null,
    ClockSpec? Clock = null)
{
    /// <summary>What a new bread starts from: a plain white round, unfolded.</summary>
    public static BatchSpec Plain { get; } = new(
        StartSpec.Of(8),
        DoughSpec.Of("flour-white", Feel.Medium, 58, "ghee", 3),
        RestSpec.CoveredFor(30),
        new(BallBy.Mass, new(80), new(2.7), Cutting: CuttingSpec.Usual),
        new(new(80), new(2.5)),
        new(new(180), new(30), "ghee", new(0), "flour-white", new(0)),
        new([]),
        new(new(180), new(10)),
        new(new(210), "ghee", new(2.5), Colour.Gold));
}

/// <summary>The figure a batch starts from. The others follow.</summary>
public enum StartBy
{
    Pieces,
    Flour,
    Liquid,
    Filling,
    People,
}

/// <summary>Every figure a batch can start from. All are kept, so that switching loses none.</summary>
/// <param name="Liquid">Of the liquid that makes up the rest; where none does, of the first that is given by its share.</param>
/// <param name="Filling">Filling at hand.</param>
/// <param name="FillingEach">Filling that goes with one ball.</param>
/// <param name="Each">Pieces each of them eats.</param>
public sealed record StartSpec(StartBy By, int Pieces, Grams Flour, Grams Liquid, Grams Filling, Grams FillingEach, int People, double Each)
{
    /// <summary>So many pieces; the other figures stand ready.</summary>
    public static StartSpec Of(int pieces) => new(StartBy.Pieces, pieces, new(1000), new(600), new(800), new(60), Math.Max(pieces / 2, 1), 2);
}

/// <summary>How the dough should feel; it moves the water this flour wants. A batter is a school of its own.</summary>
public enum Feel
{
    Firm,
    Medium,
    Soft,
    VerySoft,
    Batter,
}

/// <summary>What sets the water.</summary>
public enum WaterBy
{
    /// <summary>The hydration is fixed; one liquid makes up the rest.</summary>
    Hydration,

    /// <summary>The water that gives the feel wanted; one liquid makes up the rest.</summary>
    Feel,

    /// <summary>Every liquid is fixed; the hydration follows.</summary>
    Liquids,
}

/// <summary>How an amount is fixed.</summary>
public enum AmountBy
{
    /// <summary>By percent of flour; the mass follows.</summary>
    Share,

    /// <summary>By mass, whatever the flour; the share follows.</summary>
    Mass,

    /// <summary>It makes up what is wanting of the water.</summary>
    Rest,
}

/// <summary>An amount, fixed one way. Both figures are kept, so that switching loses neither.</summary>
/// <param name="Share">Percent of flour.</param>
public sealed record Amount(AmountBy By, Percent Share, Grams Mass)
{
    public static Amount OfFlour(double percent) => new(AmountBy.Share, new(percent), Grams.Zero);

    public static Amount Weighed(double grams) => new(AmountBy.Mass, default, new(grams));

    public static Amount TheRest { get; } = new(AmountBy.Rest, default, Grams.Zero);
}

/// <summary>One flour of the mix.</summary>
/// <param name="Parts">Its parts by mass; only the proportions count.</param>
public sealed record FlourShare(string Id, double Parts);

/// <summary>A liquid, puree, paste or liquor in the dough.</summary>
/// <param name="Water">Water of this very puree, percent, where it is thicker or thinner than the larder's; its solids change with it.</param>
public sealed record LiquidSpec(string Id, Amount Amount, Percent? Water = null);

/// <summary>When the dough's fat goes in.</summary>
public enum FatWhen
{
    /// <summary>Rubbed into the flour before the water, until it holds when squeezed in the fist.</summary>
    RubbedIn,

    /// <summary>Worked in after the water, bit by bit.</summary>
    WorkedIn,
}

public sealed record FatSpec(string Id, Amount Amount, FatWhen When);

/// <param name="Amount">By share: salt from every source. By mass: the salt that is added.</param>
public sealed record SaltSpec(string Id, Amount Amount);

/// <summary>Something kneaded in: seeds, leaves, spice, sugar, leaven.</summary>
public sealed record AdditionSpec(string Id, Amount Amount);

public enum Kneading
{
    /// <summary>Brought together only; a long rest does the work.</summary>
    None,
    Light,
    Full,
    Machine,
}

/// <param name="Bowl">The most dough bowl or mixer take at once; nothing when there is room for any.</param>
/// <param name="WentIn">Of the liquid that makes up the rest: what really went in, once the cook has stopped by feel.</param>
public sealed record MixSpec(Kneading Kneading, Grams? Bowl = null, Grams? WentIn = null);

/// <param name="Hydration">All water but the flour's own, percent of flour.</param>
public sealed record DoughSpec(
    IReadOnlyList<FlourShare> Flours,
    Feel Feel,
    WaterBy WaterBy,
    Percent Hydration,
    IReadOnlyList<LiquidSpec> Liquids,
    FatSpec Fat,
    SaltSpec Salt,
    IReadOnlyList<AdditionSpec> Additions,
    MixSpec Mix)
{
    /// <summary>A dough of one flour and water, with 1.8 % salt.</summary>
    public static DoughSpec Of(string flour, Feel feel, double hydration, string fat, double fatShare, params (string Id, double Share)[] additions) => new(
        [new(flour, 100)],
        feel,
        WaterBy.Hydration,
        new(hydration),
        [new("water", Amount.TheRest)],
        new(fat, Amount.OfFlour(fatShare), FatWhen.RubbedIn),
        new("salt-fine", Amount.OfFlour(1.8)),
        [.. additions.Select(a => new AdditionSpec(a.Id, Amount.OfFlour(a.Share)))],
        new(Kneading.Full));
}

public enum RestPlace
{
    Room,
    Fridge,
}

/// <summary>How fast a bare face dries.</summary>
public enum RoomAir
{
    Humid,
    Normal,
    Dry,
    HighUp,
}

/// <summary>The first rest, of the whole dough.</summary>
/// <param name="Covered">Under a lid, cloth or film.</param>
/// <param name="Oiled">Oiled or wetted on top.</param>
public sealed record RestSpec(Minutes Time, RestPlace Place, RoomAir Air, bool Covered, bool Oiled)
{
    /// <summary>A covered rest in a usual room.</summary>
    public static RestSpec CoveredFor(double minutes) => new(new(minutes), RestPlace.Room, RoomAir.Normal, Covered: true, Oiled: false);
}

/// <summary>Which of the two figures of a ball the cook fixed.</summary>
public enum BallBy
{
    Mass,
    Thickness,
}

/// <summary>How the dough becomes pieces.</summary>
public enum DivideInto
{
    /// <summary>Every ball is weighed for itself.</summary>
    Balls,

    /// <summary>Big balls are weighed that become two pieces each.</summary>
    Pairs,

    /// <summary>One sheet of all the dough is cut in strips.</summary>
    Strips,

    /// <summary>One log of all the dough is sliced.</summary>
    Log,
}

/// <summary>A ball, fixed by its mass or by the round it makes. Both figures are kept, so that switching loses neither.</summary>
/// <param name="Thickness">Dough thickness of the finished round, raw.</param>
/// <param name="Weighed">What lies on the tray, in the order it was divided.</param>
/// <param name="SmallOne">A small ball for a child, out of the same dough; the others share the rest.</param>
/// <param name="Cutting">The sheet or log that is cut; kept whatever the dough becomes.</param>
public sealed record BallsSpec(
    BallBy By, Grams Mass, Millimetres Thickness, IReadOnlyList<Grams>? Weighed = null, Grams? SmallOne = null, DivideInto Into = DivideInto.Balls, CuttingSpec? Cutting = null);

/// <param name="SheetThickness">Of the sheet that is cut in strips.</param>
/// <param name="StripLength">How long each strip is: the sheet's one side.</param>
/// <param name="LogAcross">Of the log that is sliced.</param>
public sealed record CuttingSpec(Millimetres SheetThickness, Millimetres StripLength, Millimetres LogAcross)
{
    /// <summary>What most benches and hands manage.</summary>
    public static CuttingSpec Usual { get; } = new(new(5), new(250), new(55));
}

/// <summary>A batter's piece: a ladleful, poured.</summary>
/// <param name="Thickness">As it is spread on the pan.</param>
public sealed record LadleSpec(Millilitres Volume, Millimetres Thickness);

/// <param name="Diameter">The first sheet, as a round of this diameter; the longer side of a rectangle.</param>
/// <param name="Rest">How long the ball rested before it.</param>
/// <param name="FatMass">Brushed on the upper face, per piece.</param>
/// <param name="DustMass">Sprinkled over it, per piece.</param>
/// <param name="Width">Nothing for a round; the other side of a rectangle.</param>
public sealed record SheetSpec(Millimetres Diameter, Minutes Rest, string Fat, Grams FatMass, string Dust, Grams DustMass, Millimetres? Width = null);

public sealed record FoldSpec(IReadOnlyList<FoldStep> Steps);

/// <param name="Diameter">The finished round, after it has sprung back.</param>
/// <param name="Rest">How long the folded piece rested before the last roll.</param>
public sealed record RollSpec(Millimetres Diameter, Minutes Rest, RollBy By = RollBy.Pin);

/// <summary>What opens the folded piece.</summary>
public enum RollBy
{
    Pin,

    /// <summary>Pressed out with the fingers, which keeps rings whole.</summary>
    Hand,
}
