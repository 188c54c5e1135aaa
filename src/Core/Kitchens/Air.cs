namespace Ystrata.Core.Kitchens;

/// <summary>How warm it is in a kitchen where nobody has measured.</summary>
public static class Air
{
    /// <summary>At the bench; dough and fillings have it when nothing else is said (empirical).</summary>
    public static readonly Celsius Kitchen = new(22);

    /// <summary>Over a hot pan (models.md F).</summary>
    public static readonly Celsius AtPan = new(30);

    /// <summary>A home fridge, and a home freezer (models.md F).</summary>
    public static readonly Celsius Fridge = new(4), Freezer = new(-18);
}
