namespace Ystrata.Core.Lamination;

/// <summary>Press seeds or herbs on a face.</summary>
public sealed record SeedsStep(string Item, Grams Mass, LaidOn On = LaidOn.Top) : FoldStep
{
    internal static SeedsStep Begun() => new(Staples.Seed, new(1));

    internal override Form Apply(Form piece, int index, Kitchen kitchen) => piece.Coated(Coat.OfBits(Mass, piece.Area), On);

    internal override HandUse? Hands => new(HandWork.Scatter);

    internal override IEnumerable<(string Name, double Value)> Figures => [("mass", Mass.Value)];

    internal override IEnumerable<(string Name, string Id)> Ids => [("item", Item)];

    internal override IEnumerable<FoldInput> Inputs(string at) => [new(at + ".mass", Item, Mass, LaidIn.Bits)];
}
