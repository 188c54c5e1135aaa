namespace Ystrata.Core.Lamination;

/// <summary>Pinch the rim shut.</summary>
public sealed record PinchStep : FoldStep
{
    internal static PinchStep Begun() => new();

    internal override Form Apply(Form piece, int index, Kitchen kitchen) => piece;

    internal override bool Seals => true;

    internal override HandUse? Hands => new(HandWork.Pinch);

    internal override double Difficulty => 0.2;
}
