namespace Ystrata.Core.Filling;

/// <summary>Spread on trays.</summary>
/// <param name="Trays">Shared among so many; the more, the less deep it lies.</param>
public sealed record CoolStep(Minutes Time, RestPlace Place, int Trays = 1) : FillingStep
{
    internal static CoolStep Begun() => new(new(40), RestPlace.Room);

    public const int MostTrays = 40;

    internal override FillingRow Work(FillingState now, FillingAt at)
    {
        var cooling = Cooling.Of(now, Place, Trays);
        return FillingRow.Of(now with { Temperature = cooling.After(now.Temperature, Time) }, Time) with { Warm = cooling.Warm(now.Temperature, Time) };
    }

    internal override bool Chills => Place == RestPlace.Fridge;

    internal override IEnumerable<(string Name, double Value)> Figures => [("time", Time.Value), ("trays", Trays)];
}
