namespace Ystrata.Core.Filling;

public sealed record BoilStep(Minutes Time) : FillingStep
{
    internal static BoilStep Begun() => new(new Minutes(15));

    // Minutes to two thirds of what it drinks at 100 °C; so many degrees less take twice as long (both empirical).
    private const double BoilTime = 25, Twice = 10;

    internal override FillingRow Work(FillingState now, FillingAt at) => FillingRow.Drink(
        FillingRow.Boiled(now, Time, at.Kitchen), FillingRow.CookedTo, Time, BoilTime * Math.Pow(2, (Cooked.Boils.Value - at.Kitchen.Boils.Value) / Twice));

    internal override FillingRow Weighed(FillingState before, FillingRow planned, Grams after) => planned.FromThePot(after);

    internal override bool Heats => true;

    internal override bool OpensCells => true;

    internal override Note? Caution(Kitchen kitchen) => kitchen.Boils.Value < Cooked.Boils.Value
        ? new(NoteCode.BoilsLonger, Stage.Filling, Severity.Watch, [Quantity.Of(QuantityName.Boils, kitchen.Boils)])
        : null;

    internal override IEnumerable<(string Name, double Value)> Figures => [("time", Time.Value)];
}
