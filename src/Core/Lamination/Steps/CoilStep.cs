namespace Ystrata.Core.Lamination;

/// <summary>Wind a rope flat upon itself, or a strip on its edge, and press it.</summary>
public sealed record CoilStep : FoldStep
{
    internal static CoilStep Begun() => new();

    // D = √(4Rd/π): a rope lies flat and covers R · d; a strip of thickness d stands on its edge and covers as much.
    internal override bool NeedsGluten => true;

    internal override Form Apply(Form piece, int index, Kitchen kitchen)
    {
        if (piece.Rope is { } rope)
        {
            var area = new SquareCentimetres(piece.Length.Value * rope.Across.Value / 100);
            var pile = piece.Evened();
            var across = area.AsRound();
            return piece with
            {
                Outline = Outline.Coil,
                Layout = Layout.Round(across.Value, pile.Spread(area.Value / piece.Area.Value)),
                Rope = null,
                Rings = new([rope.Across], [new(pile.Top + pile.Bottom, index)], across / rope.Across / 2, default),
            };
        }

        var strip = piece.Evened();
        var turn = strip.Thickness;
        var covers = new SquareCentimetres(piece.Length.Value * turn.Value / 100);
        return Winding.Upright(piece, strip, covers.AsRound() / turn / 2, covers, piece.Area, index);
    }

    internal override HandUse? Hands => new(HandWork.Coil);

    internal override double Difficulty => 0.8;

    internal override Refusal? Unworkable(Form piece, string at) => piece.Outline == Outline.Rope ? null
        : !piece.Flat ? new(at, RefusalCode.NeedsFlat)
        : Winding.StripWidth(piece).Value > Winding.WidestOnEdge.Value ? new(at, RefusalCode.NeedsStrip, Math.Round(Winding.StripWidth(piece).Value), null, Winding.WidestOnEdge.Value, Millimetres.Unit)
        : null;
}
