namespace Ystrata.Core.Lamination;

/// <summary>Roll out until the piece is as big as a round of this diameter. A pin never makes it smaller.</summary>
public sealed record RollStep(Millimetres Diameter) : FoldStep
{
    internal static RollStep Begun(BatchSpec spec) => new(spec.Sheet.Diameter);

    internal override Form Apply(Form piece, int index, Kitchen kitchen) => piece.RolledTo(Diameter);

    internal override HandUse? Hands => new(HandWork.Roll);

    internal override double Difficulty => 0.3;

    internal override IEnumerable<(string Name, double Value)> Figures => [("diameter", Diameter.Value)];

    internal override PlanView.Papers Draw(Form before, Form after, PlanView.Papers papers) => papers.Scaled(before, after);
}
