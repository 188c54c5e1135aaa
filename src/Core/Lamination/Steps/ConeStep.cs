namespace Ystrata.Core.Lamination;

/// <summary>One cut to the centre, wound round, the point pushed in: back on top all along.</summary>
public sealed record ConeStep(int Turns) : FoldStep
{
    internal static ConeStep Begun() => new(5);

    internal override bool NeedsGluten => true;

    internal override Form Apply(Form piece, int index, Kitchen kitchen)
    {
        var area = new SquareCentimetres(piece.Area.Value / Turns);
        return piece with { Outline = Outline.Cone, Layout = Layout.Round(area.AsRound().Value, piece.Evened().Piled(new bool[Turns], index)) };
    }

    internal override int Copies(Form piece) => Turns;

    internal override HandUse? Hands => new(HandWork.ConeTurn, Turns);

    internal override double Difficulty => 1;

    internal override Refusal? Unworkable(Form piece, string at) => NeedsFlat(piece, at);

    internal override IEnumerable<(string Name, double Value)> Figures => [("turns", Turns)];

    internal override IReadOnlyList<PlanMark> Marks(Form piece) => [PlanView.CutToTheMiddle(piece)];
}
