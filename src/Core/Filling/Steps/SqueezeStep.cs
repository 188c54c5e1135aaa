namespace Ystrata.Core.Filling;

public enum SqueezeBy
{
    /// <summary>Only what lies loose runs off.</summary>
    Drain,
    Hand,
    Cloth,
}

public sealed record SqueezeStep(SqueezeBy By) : FillingStep
{
    // A hand squeezes half of what a cloth does (models.md E).
    private const double HandShare = 0.5;

    // Of what its solids hold, so much stays however it is wrung (empirical).
    private const double Keeps = 0.97;

    internal override FillingRow Work(FillingState now, FillingAt at)
    {
        var share = By switch { SqueezeBy.Cloth => at.Cloth, SqueezeBy.Hand => at.Cloth * HandShare, _ => 0 };
        // However hard it is salted and wrung, its solids keep what they hold (models.md E).
        var most = new Grams(Math.Max(now.Water.Value - now.Holds.Value * Keeps, 0));
        var wrung = now.Loose + (now.Water - now.Loose) * share;
        return FillingRow.Drain(now, wrung < most ? wrung : most);
    }

    // What is wanting ran off.
    internal override FillingRow Weighed(FillingState before, FillingRow planned, Grams after) =>
        FillingRow.Drain(before, FillingRow.WaterIn(before, before.Mass - after)) with { Planned = planned.Planned };

    internal override bool TakesAway => true;

    internal override (HandUnit Unit, Seconds Waits) Hands(FillingRow row, Grams mass, HandTimes hands) => (HandUnit.Of(HandWork.Squeeze, mass.Value / 100), default);
}
