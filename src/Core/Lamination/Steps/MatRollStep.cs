namespace Ystrata.Core.Lamination;

/// <summary>Roll up like a mat into a rope: top on back all along.</summary>
public sealed record MatRollStep : FoldStep
{
    internal static MatRollStep Begun() => new();

    // A rope cut across: the lower windings lie as they were rolled, the upper ones are turned over.
    internal override bool NeedsGluten => true;

    internal override Form Apply(Form piece, int index, Kitchen kitchen)
    {
        var sheet = piece.Evened();
        var flips = new bool[Winding.Crossings(piece)];
        flips.AsSpan((flips.Length + 1) / 2).Fill(true);
        var across = Winding.RopeAcross(piece);
        var length = piece.Area.Value * 100 / piece.Length.Value;
        return piece with
        {
            Outline = Outline.Rope,
            Layout = Layout.Rectangle(length, piece.Area.Value * 100 / flips.Length / length, sheet.Piled(flips, index)),
            Rope = new(sheet, across / sheet.Thickness.Value / 2, new(across), piece.Area),
        };
    }

    internal override int Copies(Form piece) => Winding.Crossings(piece);

    internal override HandUse? Hands => new(HandWork.MatRoll);

    internal override double Difficulty => 0.5;

    internal override Refusal? Unworkable(Form piece, string at) => NeedsFlat(piece, at);
}
