namespace Ystrata.Core.Lamination;

/// <summary>Whether two leaves will come apart.</summary>
public enum ContactState
{
    Open,
    Patchy,
    Fused,
}

/// <summary>What keeps leaves apart (models.md D, empirical).</summary>
public static class Contacts
{
    public static readonly Micrometres OpenFilm = new(15);
    public static readonly Micrometres PatchyFilm = new(5);
    public static readonly Load OpenDust = new(0.5);

    public static ContactState StateOf(Coat coat)
    {
        if (coat.Film.Value >= OpenFilm.Value || coat.Dust.Value >= OpenDust.Value)
        {
            return ContactState.Open;
        }

        return coat.Film.Value >= PatchyFilm.Value ? ContactState.Patchy : ContactState.Fused;
    }
}
