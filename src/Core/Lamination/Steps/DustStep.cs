namespace Ystrata.Core.Lamination;

/// <summary>Sprinkle flour or starch over the face that is up.</summary>
public sealed record DustStep(string Flour, Grams Mass) : FoldStep
{
    internal static DustStep Begun(BatchSpec spec) => new(spec.Sheet.Dust, new(0.5));

    internal override Form Apply(Form piece, int index, Kitchen kitchen) => piece.Coated(Coat.OfDust(Mass, piece.Area));

    internal override HandUse? Hands => new(HandWork.Dust);

    internal override IEnumerable<(string Name, double Value)> Figures => [("mass", Mass.Value)];

    internal override FoldStep With(string fat, string flour) => this with { Flour = flour };

    internal override IEnumerable<(string Name, string Id)> Ids => [("flour", Flour)];

    internal override IEnumerable<FoldInput> Inputs(string at) => [new(at + ".mass", Flour, Mass, LaidIn.Dust)];

    internal override PlanView.Papers Draw(Form before, Form after, PlanView.Papers papers) => papers.Dressed(after);
}
