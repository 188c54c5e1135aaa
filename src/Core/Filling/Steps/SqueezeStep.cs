namespace Ystrata.Core.Filling;

public enum SqueezeBy
{
    /// <summary>In a sieve: half of what is free runs off.</summary>
    Drain,
    Hand,
    Cloth,
}

public sealed record SqueezeStep(SqueezeBy By) : FillingStep
{
    internal static SqueezeStep Begun() => new(SqueezeBy.Cloth);

    // A hand presses half as much out of cells as a cloth (models.md E).
    private const double HandShare = 0.5;

    // Of what its solids hold, so much stays however it is wrung (empirical).
    private const double Keeps = 0.97;

    // A hand leaves a third of what is free, the less the easier a vegetable gives; a sieve leaves half (empirical).
    private const double HandLeaves = 1.0 / 3, Gives = 2.3, SieveLeaves = 0.5;

    internal override FillingRow Work(FillingState now, FillingAt at)
    {
        var free = Math.Max(now.Free.Value, 0);
        var (leaves, share) = By switch
        {
            SqueezeBy.Cloth => (0, at.Cloth),
            SqueezeBy.Hand => (HandLeaves * Math.Max(1 - Gives * at.Cloth, 0), at.Cloth * HandShare),
            _ => (SieveLeaves, 0),
        };
        var loose = free * (1 - leaves);
        // Pressed out of cells; a cloth wrings a little of what solids hold too.
        var wrung = Math.Min((now.Water.Value - free) * share, now.Cells.Water.Value + (By == SqueezeBy.Cloth ? now.Holds.Value * (1 - Keeps) : 0));
        var opened = now.Cells.Water.Value > 0 ? Math.Min(wrung / now.Cells.Water.Value, 1) : 0;
        var drained = new Grams(Math.Min(loose + wrung, Math.Max(now.Water.Value, 0)));
        return FillingRow.Drain(now with { Cells = now.Cells.Opened(opened) }, drained);
    }

    // What is wanting ran off.
    internal override FillingRow Weighed(FillingState before, FillingRow planned, Grams after) =>
        FillingRow.Drain(before with { Cells = planned.State.Cells }, FillingRow.WaterIn(before, before.Mass - after)) with { Planned = planned.Planned };

    internal override bool TakesAway => true;

    internal override (HandUnit Unit, Seconds Waits) Hands(FillingRow row, Grams mass, HandTimes hands) => (HandUnit.Of(HandWork.Squeeze, mass.Value / 100), default);
}
