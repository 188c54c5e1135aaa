namespace Ystrata.Core.Lamination;

/// <summary>Cut into strips of equal width.</summary>
/// <param name="Gathered">True when they are laid on each other, false when each is a piece of its own.</param>
public sealed record StripsStep(int Count, bool Gathered) : FoldStep
{
    internal static StripsStep Begun() => new(8, Gathered: true);

    internal override bool NeedsGluten => true;

    internal override Form Apply(Form piece, int index, Kitchen kitchen)
    {
        var width = piece.Area.Value * 100 / piece.Length.Value / Count;
        var pile = piece.Evened();
        return piece with
        {
            Outline = Outline.Block,
            Layout = Layout.Rectangle(piece.Length.Value, width, Gathered ? pile.Piled(new bool[Count], index) : pile),
            Count = piece.Count * Makes,
        };
    }

    internal override int Copies(Form piece) => Gathered ? Count : 1;

    internal override int Makes => Gathered ? 1 : Count;

    internal override HandUse? Hands => new(HandWork.CutStrip, Count, Cuts: true);

    internal override double Difficulty => 0.8;

    internal override Refusal? Unworkable(Form piece, string at) =>
        NeedsFlat(piece, at) ?? Winding.TooNarrow(at + ".count", Count, piece) ?? TooManyPieces(piece, at + ".count");

    internal override IEnumerable<(string Name, double Value)> Figures => [("count", Count)];

    internal override IReadOnlyList<PlanMark> Marks(Form piece) => [.. Enumerable.Range(1, Count - 1).Select(i => PlanView.Cut(piece, i / (double)Count))];

    internal override PlanView.Papers Draw(Form before, Form after, PlanView.Papers papers) => PlanView.Papers.Of(after);
}
