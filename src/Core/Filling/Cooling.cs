namespace Ystrata.Core.Filling;

/// <summary>How a filling spread on trays cools: a slab with both faces in still air, and a fridge that carries off no more heat than it can.</summary>
/// <remarks>
/// τ = ρc · (L/h + 4L²/(π²k)) with L half the depth: the first term of the series for the slab, its eigenvalue by 1/ζ² ≈ 1/Bi + 4/π².
/// Above the knee the fridge is at its limit and the filling loses so many degrees a minute; under it the rest is Newton's.
/// </remarks>
/// <param name="Tau">To two thirds of the way.</param>
/// <param name="Knee">Degrees over the air from which the fridge is at its limit; none in a room.</param>
internal sealed record Cooling(Celsius Air, Millimetres Depth, Minutes Tau, double Knee)
{
    /// <summary>A usual tray, 30 by 40 cm (empirical), and the least anybody spreads a filling to.</summary>
    private const double Tray = 0.12, LeastDepth = 0.010; // m², m

    // Still air of a kitchen and moved air of a fridge, W/(m²·K); a moist filling, W/(m·K); what a fridge carries off, W (all empirical).
    private const double Still = 10, Moved = 14, Conducts = 0.5, Carries = 150;

    // Of water and of what is dry, J/(kg·K): models.md F.
    private const double WaterHeat = 4180, DryHeat = 1600;

    /// <summary>From 60 °C to this, or to a little over the air, within two hours: usual guidance. Local food codes come first.</summary>
    private static readonly Celsius CooledTo = new(21);

    private const double OverAir = 3; // °C

    public static Cooling Of(FillingState filling, RestPlace place, int trays)
    {
        var (air, h) = place == RestPlace.Fridge ? (Kitchens.Air.Fridge, Moved) : (Kitchens.Air.Kitchen, Still);
        var kilograms = Math.Max(filling.Mass.Value / 1000, 1e-6);
        var volume = kilograms / (filling.Density.Value * 1000);
        var depth = Math.Max(volume / (Tray * trays), LeastDepth);
        var heat = WaterHeat * filling.Water.Value / 1000 + DryHeat * filling.Solids.Value / 1000; // J/K
        var half = depth / 2;
        var tau = heat / volume * (half / h + 4 * half * half / (Math.PI * Math.PI * Conducts));
        return new(air, new(depth * 1000), new(tau / 60), place == RestPlace.Fridge ? Carries * tau / heat : double.PositiveInfinity);
    }

    /// <summary>How warm it is after so long.</summary>
    public Celsius After(Celsius from, Minutes time)
    {
        var over = from.Value - Air.Value;
        var limited = over > Knee ? (over - Knee) * Tau.Value / Knee : 0;
        return new(Air.Value + (time.Value < limited
            ? over - Knee * time.Value / Tau.Value
            : Math.Min(over, Knee) * Math.Exp(-(time.Value - limited) / Tau.Value)));
    }

    /// <summary>How long it takes to be as cool as that; nothing where it never is, none where it is already.</summary>
    public Minutes? Until(Celsius from, Celsius to)
    {
        var (over, left) = (from.Value - Air.Value, to.Value - Air.Value);
        return over <= left ? default(Minutes)
            : left <= 0 ? null
            : new Minutes(Math.Max(over - Math.Max(Knee, left), 0) * Tau.Value / Knee + (left < Knee ? Tau.Value * Math.Log(Math.Min(over, Knee) / left) : 0));
    }

    /// <summary>Of so long, the minutes between 60 and 5 °C.</summary>
    public Minutes Warm(Celsius from, Minutes time)
    {
        double Passed(Celsius at) => Math.Min(Until(from, at)?.Value ?? double.PositiveInfinity, time.Value);
        // What is cold and stands in the room warms.
        return from.Value <= WarmTime.From.Value && Air.Value > WarmTime.From.Value ? time : new(Passed(WarmTime.From) - Passed(WarmTime.To));
    }

    /// <summary>From 60 °C until it is cool through.</summary>
    public Minutes Through => Until(WarmTime.To, new(Math.Max(CooledTo.Value, Air.Value + OverAir)))!.Value;
}
