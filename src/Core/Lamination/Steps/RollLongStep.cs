namespace Ystrata.Core.Lamination;

/// <summary>Roll out to a rectangle. Sides too short for the piece are kept in proportion and made long enough.</summary>
public sealed record RollLongStep(Millimetres Length, Millimetres Width) : FoldStep
{
    internal static RollLongStep Begun(BatchSpec spec) => new(spec.Sheet.Diameter, new(Math.Round(spec.Sheet.Diameter.Value * 0.6)));

    internal override Form Apply(Form piece, int index, Kitchen kitchen)
    {
        var flat = Winding.Flattened(piece);
        var k = Math.Max(SquareCentimetres.OfRectangle(Length, Width).Value / flat.Area.Value, 1);
        var (long_, ratio) = (Math.Sqrt(k * flat.Area.Value * 100 * (Length / Width)), Width / Length);
        // Rings and cones stay what they are, however they are rolled.
        return flat with { Outline = flat.Flat ? Outline.Block : flat.Outline, Layout = Layout.Rectangle(long_, long_ * ratio, flat.Evened().Spread(k)), Rings = flat.Rings?.Spread(k) };
    }

    internal override HandUse? Hands => new(HandWork.Roll);

    internal override double Difficulty => 0.5;

    internal override IEnumerable<(string Name, double Value)> Figures => [("length", Length.Value), ("width", Width.Value)];

    internal override PlanView.Papers Draw(Form before, Form after, PlanView.Papers papers) => PlanView.Papers.Of(after);
}
