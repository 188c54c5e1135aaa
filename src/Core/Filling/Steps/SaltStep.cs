namespace Ystrata.Core.Filling;

/// <summary>Salted and left to let its water go; the water lies free until it is drained or squeezed out.</summary>
/// <param name="Share">Percent of what is salted.</param>
public sealed record SaltStep(string Salt, Percent Share, Minutes Time) : FillingStep
{
    internal static SaltStep Begun() => new(Staples.Salt, new(1.5), new(15));

    internal override FillingRow Work(FillingState now, FillingAt at)
    {
        var salted = now + FillingState.Made(at.Kitchen[Salt], now.Mass * Share.Fraction) with { Holds = default, Grain = default, Temperature = now.Temperature };
        return FillingRow.Of(salted, Time) with { Added = salted.Mass - now.Mass };
    }

    internal override FillingInput? Input(FillingRow row, string at) => new(null, Salt, row.Added);

    internal override IEnumerable<(string Name, double Value)> Figures => [("share", Share.Value), ("time", Time.Value)];

    internal override IEnumerable<(string Name, string Id)> Ids => [("salt", Salt)];
}
