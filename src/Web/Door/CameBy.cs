namespace Ystrata.Web.Door;

/// <summary>Which of the program's ears a connection came in by; the program marks it itself, nothing that is sent says so.</summary>
internal sealed class CameBy
{
    /// <summary>The ear that hears this machine alone.</summary>
    public static readonly CameBy Machine = new();

    /// <summary>The ear that hears the network.</summary>
    public static readonly CameBy Network = new();

    private CameBy()
    {
    }
}
