namespace Ystrata.Core.Pan;

public enum PanKind
{
    CastIron,
    Steel,
    Aluminium,
    NonStick,
    Clay,
    Soapstone,

    /// <summary>A wide flat-top of thick steel.</summary>
    Plate,
}

/// <summary>How hard the burner is set.</summary>
public enum Flame
{
    /// <summary>Out: the pan gives what it holds.</summary>
    Off,
    Low,
    Medium,
    High,
}

/// <summary>One pan and the flame under it.</summary>
/// <param name="Thickness">Of its floor.</param>
/// <param name="Across">Of its floor, as a round.</param>
public sealed record Cookware(PanKind Kind, Millimetres Thickness, Millimetres Across, Flame Flame)
{
    /// <summary>What models.md F reckons with.</summary>
    public static Cookware Usual { get; } = Of(PanKind.CastIron);

    /// <summary>A pan as they are usually made, on a medium flame.</summary>
    public static Cookware Of(PanKind kind) => new(kind, Metal(kind).Usual, kind == PanKind.Plate ? new(500) : new(260), Flame.Medium);

    /// <param name="at">Where it stands, for the refusals.</param>
    /// <returns>Every figure that no pan has; empty for a pan that can be worked with.</returns>
    public IReadOnlyList<Refusal> Check(string at) =>
    [
        .. new (Limit Limit, double Value)[] { (PanCheck.FloorThickness, Thickness.Value), (PanCheck.FloorAcross, Across.Value) }
            .Where(f => !(f.Value >= f.Limit.Least && f.Value <= f.Limit.Most))
            .Select(f => new Refusal(
                $"{at}.{f.Limit.Field[(f.Limit.Field.LastIndexOf('.') + 1)..]}",
                double.IsFinite(f.Value) ? RefusalCode.OutOfRange : RefusalCode.NotANumber,
                double.IsFinite(f.Value) ? f.Value : null, f.Limit.Least, f.Limit.Most, f.Limit.Unit)),
    ];

    /// <summary>Heat the floor takes up, J/(m²·K): ρ · c · thickness.</summary>
    internal double HeatPerArea => Metal(Kind).HeatPerVolume * Thickness.Metres;

    /// <summary>What the flame gives, W/m² (models.md F).</summary>
    internal static double Burner(Flame flame) => flame switch
    {
        Flame.Off => 0,
        Flame.Low => 7000,
        Flame.High => 14_000,
        _ => 10_500,
    };

    // ρ·c in J/(m³·K) and the thickness at which models.md F gives 14.9, 11.5, 7.3, 6.1, 12 and 29 kJ/(m²·K); a plate is steel, thicker.
    private static (double HeatPerVolume, Millimetres Usual) Metal(PanKind kind) => kind switch
    {
        PanKind.Steel => (3.83e6, new(3)),
        PanKind.Aluminium => (2.43e6, new(3)),
        PanKind.NonStick => (2.44e6, new(2.5)),
        PanKind.Clay => (1.5e6, new(8)),
        PanKind.Soapstone => (2.9e6, new(10)),
        PanKind.Plate => (3.83e6, new(12)),
        _ => (3.31e6, new(4.5)),
    };
}
