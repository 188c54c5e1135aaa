namespace Ystrata.Core.Filling;

/// <summary>Sugar melted into it and stirred until it leaves the side of the pan.</summary>
public sealed record SweetenStep(string Sugar, Grams Mass, Minutes Time, Millimetres Pan, Flame Flame = Flame.Medium) : FillingStep
{
    internal static SweetenStep Begun() => new(Staples.Sugar, new(100), new(10), new(240));

    // Melted sugar takes water that the solids held, g/g (empirical).
    private const double SugarSlackens = 0.15;

    internal override FillingRow Work(FillingState now, FillingAt at)
    {
        var sugar = FillingState.Made(at.Kitchen[Sugar], Mass);
        return FillingRow.CookOff(now + sugar with { Holds = Mass * -SugarSlackens, Grain = default }, sugar.Mass, Time, Flame, Pan, to: null, at.Kitchen);
    }

    internal override FillingRow Weighed(FillingState before, FillingRow planned, Grams after) => planned.AsSteam(after);

    internal override bool TakesAway => true;

    internal override bool Heats => true;

    internal override Minutes Stands(FillingRow row) => default;

    internal override double? CooksOff => FillingRow.PerMinute(Pan, Flame) * Time.Value;

    internal override (HandUnit Unit, Seconds Waits) Hands(FillingRow row, Grams mass, HandTimes hands) => Stirred(row, hands);

    internal override FillingInput? Input(FillingRow row, string at) => new(at + ".mass", Sugar, Mass);

    internal override FillingStep Times(double k) => this with { Mass = Mass * k, Before = null, After = null };

    internal override IEnumerable<(string Name, double Value)> Figures => [("mass", Mass.Value), ("time", Time.Value), ("pan", Pan.Value)];

    internal override IEnumerable<(string Name, string Id)> Ids => [("sugar", Sugar)];
}
