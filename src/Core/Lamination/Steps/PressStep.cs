namespace Ystrata.Core.Lamination;

/// <summary>Press flat by hand until the piece is as big as a round of this diameter.</summary>
public sealed record PressStep(Millimetres Diameter) : FoldStep
{
    internal static PressStep Begun(BatchSpec spec) => new(spec.Roll.Diameter);

    internal override Form Apply(Form piece, int index, Kitchen kitchen) => piece.RolledTo(Diameter);

    internal override HandUse? Hands => new(HandWork.Press);

    internal override IEnumerable<(string Name, double Value)> Figures => [("diameter", Diameter.Value)];

    internal override PlanView.Papers Draw(Form before, Form after, PlanView.Papers papers) => papers.Scaled(before, after);
}
