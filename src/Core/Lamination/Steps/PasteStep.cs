namespace Ystrata.Core.Lamination;

/// <summary>Spread a paste of fat and flour over the face that is up.</summary>
/// <param name="Mass">Of the fat.</param>
public sealed record PasteStep(string Fat, Grams Mass, string Flour, Grams FlourMass) : FoldStep
{
    internal static PasteStep Begun(BatchSpec spec) => new(spec.Sheet.Fat, new(4), spec.Sheet.Dust, new(3));

    internal override Form Apply(Form piece, int index, Kitchen kitchen) => piece.Coated(Coat.OfPaste(Mass, kitchen[Fat], FlourMass, piece.Area));

    internal override HandUse? Hands => new(HandWork.Paste);

    internal override double Difficulty => 0.5;

    internal override IEnumerable<(string Name, double Value)> Figures => [("mass", Mass.Value), ("flourMass", FlourMass.Value)];

    internal override FoldStep With(string fat, string flour) => this with { Fat = fat, Flour = flour };

    internal override IEnumerable<(string Name, string Id)> Ids => [("fat", Fat), ("flour", Flour)];

    internal override IEnumerable<FoldInput> Inputs(string at) => [new(at + ".mass", Fat, Mass, LaidIn.Fat), new(at + ".flourMass", Flour, FlourMass, LaidIn.Dust)];

    internal override FoldStep WithFat(Func<Grams, Grams> change) => this with { Mass = change(Mass) };

    internal override PlanView.Papers Draw(Form before, Form after, PlanView.Papers papers) => papers.Dressed(after);
}
