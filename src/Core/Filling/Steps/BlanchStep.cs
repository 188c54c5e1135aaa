namespace Ystrata.Core.Filling;

public sealed record BlanchStep(Minutes Time) : FillingStep
{
    internal static BlanchStep Begun() => new(new Minutes(2));

    internal override FillingRow Work(FillingState now, FillingAt at) => FillingRow.Of(FillingRow.Boiled(now, Time, at.Kitchen), Time);

    internal override FillingRow Weighed(FillingState before, FillingRow planned, Grams after) => planned.FromThePot(after);

    internal override bool Heats => true;

    internal override bool OpensCells => true;

    internal override IEnumerable<(string Name, double Value)> Figures => [("time", Time.Value)];
}
