namespace Ystrata.Core.Filling;

public enum ChopBy
{
    Chop,
    Grate,
    Mash,
}

/// <param name="Grain">How big the biggest bits are.</param>
public sealed record ChopStep(ChopBy By, Millimetres Grain) : FillingStep
{
    internal static ChopStep Begun() => new(ChopBy.Grate, new(2));

    internal override FillingRow Work(FillingState now, FillingAt at) => FillingRow.Of(now with { Grain = Grain, Cells = now.Cells.CutTo(By, Grain) });

    internal override (HandUnit Unit, Seconds Waits) Hands(FillingRow row, Grams mass, HandTimes hands) => (HandUnit.Of(HandWork.Chop, mass.Value / 100), default);

    internal override IEnumerable<(string Name, double Value)> Figures => [("grain", Grain.Value)];
}
