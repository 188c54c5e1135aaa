namespace Ystrata.Core.Lamination;

/// <summary>Let the folded piece rest, covered.</summary>
public sealed record RestStep(Minutes Time) : FoldStep
{
    internal static RestStep Begun() => new(new Minutes(20));

    internal override Form Apply(Form piece, int index, Kitchen kitchen) => piece;

    internal override Minutes? Rests => Time;

    internal override IEnumerable<(string Name, double Value)> Figures => [("time", Time.Value)];
}
