namespace Ystrata.Core.Lamination;

/// <summary>Scatter herbs, seeds, spice over the face that is up.</summary>
/// <param name="Grain">Of the largest bits.</param>
public sealed record ScatterStep(string Item, Grams Mass, Millimetres Grain) : FoldStep
{
    internal static ScatterStep Begun() => new(Staples.Seed, new(0.5), new(1));

    // Bits this many times a leaf tear it (models.md E has the same for lumps and walls; empirical).
    private const double GrainPerLeaf = 1.5;

    internal override Form Apply(Form piece, int index, Kitchen kitchen) => piece.Coated(Coat.OfBits(Mass, piece.Area));

    internal override HandUse? Hands => new(HandWork.Scatter);

    internal override IEnumerable<(string Name, double Value)> Figures => [("mass", Mass.Value), ("grain", Grain.Value)];

    internal override IEnumerable<(string Name, string Id)> Ids => [("item", Item)];

    internal override IEnumerable<FoldInput> Inputs(string at) => [new(at + ".mass", Item, Mass, LaidIn.Bits)];

    internal override Note? Watch(StepAt at)
    {
        if (Grain.Value <= at.Leaf.Value * GrainPerLeaf)
        {
            return null;
        }

        var grain = new Millimetres(Math.Max(Math.Floor(at.Leaf.Value * GrainPerLeaf * 10) / 10, 0.1));
        return new(
            NoteCode.GrainTears,
            Stage.Fold,
            Severity.Watch,
            [Quantity.Of(QuantityName.Grain, Grain), Quantity.Of(QuantityName.Leaf, at.Leaf), Quantity.Count(QuantityName.Step, at.Index + 1)],
            Item,
            [new(MendCode.ChopTo, [Quantity.Of(QuantityName.Grain, grain), Quantity.Count(QuantityName.Step, at.Index + 1)], Fold: at.With(this with { Grain = grain }))]);
    }
}
