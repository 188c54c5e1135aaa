namespace Ystrata.Core.Rest;

public enum RestPlace
{
    Room,
    Fridge,
}

/// <summary>How fast a bare face dries.</summary>
public enum RoomAir
{
    Humid,
    Normal,
    Dry,
    HighUp,
}

/// <summary>The first rest, of the whole dough.</summary>
/// <param name="Covered">Under a lid, cloth or film.</param>
/// <param name="Oiled">Oiled or wetted on top.</param>
public sealed record RestSpec(Minutes Time, RestPlace Place, RoomAir Air, bool Covered, bool Oiled)
{
    /// <summary>A covered rest in a usual room.</summary>
    public static RestSpec CoveredFor(double minutes) => new(new(minutes), RestPlace.Room, RoomAir.Normal, Covered: true, Oiled: false);
}
