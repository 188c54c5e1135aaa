namespace Ystrata.Core.Filling;

/// <summary>Something wet or fat for a filling that crumbles.</summary>
public sealed record MoistenStep(string Item, Grams Mass) : FillingStep
{
    internal static MoistenStep Begun() => new(Staples.Moist, new(20));

    internal override FillingRow Work(FillingState now, FillingAt at) => FillingRow.Put(now, FillingState.Made(at.Kitchen[Item], Mass) with { Holds = default });

    internal override FillingInput? Input(FillingRow row, string at) => new(at + ".mass", Item, Mass);

    internal override FillingStep Times(double k) => this with { Mass = Mass * k, Before = null, After = null };

    internal override IEnumerable<(string Name, double Value)> Figures => [("mass", Mass.Value)];

    internal override IEnumerable<(string Name, string Id)> Ids => [("item", Item)];
}
