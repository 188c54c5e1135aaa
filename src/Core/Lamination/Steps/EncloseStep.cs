namespace Ystrata.Core.Lamination;

/// <summary>Lay a dough of fat and flour on one half, fold the other half over it and close the rim.</summary>
/// <param name="Mass">Of the fat.</param>
public sealed record EncloseStep(string Fat, Grams Mass, string Flour, Grams FlourMass) : FoldStep
{
    internal static EncloseStep Begun(BatchSpec spec) => new(spec.Sheet.Fat, new(10), spec.Sheet.Dust, new(16));

    internal override Form Apply(Form piece, int index, Kitchen kitchen) =>
        piece.Coated(Coat.OfPaste(Mass, kitchen[Fat], FlourMass, piece.Area)).Halved(Creases(piece), FoldWay.Across, index);

    internal override int Copies(Form piece) => 2;

    internal override IReadOnlyList<Crease> Creases(Form piece) => [Crease.Half(piece, FoldWay.Across)];

    internal override HandUse? Hands => new(HandWork.Enclose);

    internal override double Difficulty => 1.5;

    internal override Refusal? Unworkable(Form piece, string at) => NeedsFlat(piece, at);

    internal override IEnumerable<(string Name, double Value)> Figures => [("mass", Mass.Value), ("flourMass", FlourMass.Value)];

    internal override FoldStep With(string fat, string flour) => this with { Fat = fat, Flour = flour };

    internal override IEnumerable<(string Name, string Id)> Ids => [("fat", Fat), ("flour", Flour)];

    internal override IEnumerable<FoldInput> Inputs(string at) => [new(at + ".mass", Fat, Mass, LaidIn.Fat), new(at + ".flourMass", Flour, FlourMass, LaidIn.Dust)];

    internal override FoldStep WithFat(Func<Grams, Grams> change) => this with { Mass = change(Mass) };

    internal override PlanView.Papers Draw(Form before, Form after, PlanView.Papers papers) => papers.Dressed(Dressing.FatAndDust).Folded(Creases(before));
}
