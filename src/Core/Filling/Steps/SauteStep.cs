namespace Ystrata.Core.Filling;

/// <summary>Stirred in an open pan, which drives water off.</summary>
/// <param name="Pan">Across.</param>
/// <param name="To">Until it weighs so much, however long that takes; nothing for a fixed time.</param>
public sealed record SauteStep(Minutes Time, Millimetres Pan, string Fat, Grams FatMass, Grams? To = null, Flame Flame = Flame.Medium) : FillingStep
{
    internal static SauteStep Begun() => new(new(10), new(240), Staples.Ghee, new(10));

    internal override FillingRow Work(FillingState now, FillingAt at)
    {
        var fat = FillingState.Made(at.Kitchen[Fat], FatMass);
        return FillingRow.CookOff(now + fat with { Holds = default, Grain = default }, fat.Mass, Time, Flame, Pan, To, at.Kitchen);
    }

    internal override FillingRow Weighed(FillingState before, FillingRow planned, Grams after) => planned.AsSteam(after);

    internal override bool TakesAway => true;

    internal override bool Heats => true;

    internal override Minutes Stands(FillingRow row) => default;

    internal override double? CooksOff => To is null ? FillingRow.PerMinute(Pan, Flame) * Time.Value : null;

    internal override bool OpensCells => true;

    internal override (HandUnit Unit, Seconds Waits) Hands(FillingRow row, Grams mass, HandTimes hands) => Stirred(row, hands);

    internal override FillingInput? Input(FillingRow row, string at) => new(at + ".fatMass", Fat, FatMass);

    internal override FillingStep Times(double k) => this with { FatMass = FatMass * k, To = To * k, Before = null, After = null };

    internal override IEnumerable<(string Name, double Value)> Figures => [("time", Time.Value), ("pan", Pan.Value), ("fatMass", FatMass.Value), ("to", To?.Value ?? 1)];

    internal override IEnumerable<(string Name, string Id)> Ids => [("fat", Fat)];
}
