namespace Ystrata.Core.Filling;

/// <summary>Salted and left to let its water go; the water lies loose until it is drained or squeezed out.</summary>
/// <param name="Share">Percent of what is salted.</param>
public sealed record SaltStep(string Salt, Percent Share, Minutes Time) : FillingStep
{
    // Salt draw: minutes to two thirds of what it draws, and the salt it was measured at, percent (models.md E).
    private const double GratedDraw = 6, ChoppedDraw = 10, DrawSalt = 1.5;

    internal override FillingRow Work(FillingState now, FillingAt at)
    {
        var salted = now + FillingState.Made(at.Kitchen[Salt], now.Mass * Share.Fraction) with { Holds = default, Grain = default, Temperature = now.Temperature };
        var drawn = at.Draw * Math.Sqrt(Share.Value / DrawSalt) * (1 - Math.Exp(-Time.Value / (at.Grated ? GratedDraw : ChoppedDraw)));
        var loose = Math.Max(now.Loose.Value, Math.Min(now.Water.Value * drawn, now.Water.Value));
        return FillingRow.Of(salted with { Loose = new(loose) }, Time) with { Added = salted.Mass - now.Mass };
    }

    internal override FillingInput? Input(FillingRow row, string at) => new(null, Salt, row.Added);

    internal override IEnumerable<(string Name, double Value)> Figures => [("share", Share.Value), ("time", Time.Value)];

    internal override IEnumerable<(string Name, string Id)> Ids => [("salt", Salt)];
}
