namespace Ystrata.Core.Filling;

public sealed record SoakStep(Minutes Time) : FillingStep
{
    internal static SoakStep Begun() => new(new Minutes(240));

    // Dry things drink up to this share of what they hold; minutes to two thirds of it (empirical).
    private const double SoakedTo = 0.6, SoakTime = 150;

    internal override FillingRow Work(FillingState now, FillingAt at) => FillingRow.Drink(now, SoakedTo, Time, SoakTime);

    internal override FillingRow Weighed(FillingState before, FillingRow planned, Grams after) => planned.FromThePot(after);

    internal override IEnumerable<(string Name, double Value)> Figures => [("time", Time.Value)];
}
