namespace Ystrata.Core.Filling;

public sealed record BoilStep(Minutes Time) : FillingStep
{
    // Minutes to two thirds of what it drinks (empirical).
    private const double BoilTime = 25;

    internal override FillingRow Work(FillingState now, FillingAt at) => FillingRow.Drink(now with { Temperature = FillingRow.Hot }, FillingRow.CookedTo, Time, BoilTime);

    internal override FillingRow Weighed(FillingState before, FillingRow planned, Grams after) => planned.FromThePot(after);

    internal override bool Heats => true;

    internal override bool OpensCells => true;

    internal override IEnumerable<(string Name, double Value)> Figures => [("time", Time.Value)];
}
