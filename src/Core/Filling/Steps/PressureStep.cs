namespace Ystrata.Core.Filling;

public sealed record PressureStep(Minutes Time) : FillingStep
{
    internal static PressureStep Begun() => new(new Minutes(15));

    // Minutes to two thirds of what it drinks (empirical).
    private const double PressureTime = 6;

    internal override FillingRow Work(FillingState now, FillingAt at) => FillingRow.Drink(FillingRow.Boiled(now, Time, at.Kitchen), FillingRow.CookedTo, Time, PressureTime);

    internal override FillingRow Weighed(FillingState before, FillingRow planned, Grams after) => planned.FromThePot(after);

    internal override bool Heats => true;

    internal override bool OpensCells => true;

    internal override Note? Caution(Kitchen kitchen) => new(NoteCode.PressurePot, Stage.Filling, Severity.Caution, []);

    internal override IEnumerable<(string Name, double Value)> Figures => [("time", Time.Value)];
}
