namespace Ystrata.Core.Filling;

/// <summary>Spread on a tray.</summary>
public sealed record CoolStep(Minutes Time, RestPlace Place) : FillingStep
{
    // Minutes to two thirds of the way (empirical).
    private const double TrayTime = 35, FridgeTime = 25;

    internal override FillingRow Work(FillingState now, FillingAt at)
    {
        var (air, tau) = Place == RestPlace.Fridge ? (Air.Fridge, FridgeTime) : (Air.Kitchen, TrayTime);
        return FillingRow.Of(now with { Temperature = new(air.Value + (now.Temperature.Value - air.Value) * Math.Exp(-Time.Value / tau)) }, Time);
    }

    internal override bool Chills => Place == RestPlace.Fridge;

    internal override IEnumerable<(string Name, double Value)> Figures => [("time", Time.Value)];
}
