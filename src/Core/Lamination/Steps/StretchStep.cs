namespace Ystrata.Core.Lamination;

/// <summary>Pull a sheet or rope to so many times its length; the other two sides give alike.</summary>
public sealed record StretchStep(double Times) : FoldStep
{
    internal static StretchStep Begun() => new(1.5);

    internal override bool NeedsGluten => true;

    internal override Form Apply(Form piece, int index, Kitchen kitchen)
    {
        var give = 1 / Math.Sqrt(Times);
        var (x, y) = piece.Along == Axis.X ? (Times, give) : (give, Times);
        var k = Times * give;
        return piece with
        {
            Layout = piece.Layout.Scaled(x, y, p => p.Spread(k)),
            Rope = piece.Rope is { } r ? r with { Sheet = r.Sheet.Spread(k), Across = r.Across * give, Face = new(r.Face.Value * k) } : null,
        };
    }

    internal override HandUse? Hands => new(HandWork.Stretch);

    internal override double Difficulty => 1;

    internal override Refusal? Unworkable(Form piece, string at) => piece.Flat || piece.Outline == Outline.Rope ? null : new(at, RefusalCode.NeedsFlat);

    internal override IEnumerable<(string Name, double Value)> Figures => [("times", Times)];

    internal override PlanView.Papers Draw(Form before, Form after, PlanView.Papers papers) => papers.Scaled(before, after);
}
