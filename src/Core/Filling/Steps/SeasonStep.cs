namespace Ystrata.Core.Filling;

public sealed record SeasonStep(string Item, Grams Mass) : FillingStep
{
    internal static SeasonStep Begun() => new(Staples.Spice, new(5));

    // Spice and herbs keep their own water.
    internal override FillingRow Work(FillingState now, FillingAt at)
    {
        var spice = FillingState.Made(at.Kitchen[Item], Mass);
        return FillingRow.Put(now, spice with { Holds = spice.Water });
    }

    internal override FillingInput? Input(FillingRow row, string at) => new(at + ".mass", Item, Mass);

    internal override FillingStep Times(double k) => this with { Mass = Mass * k, Before = null, After = null };

    internal override IEnumerable<(string Name, double Value)> Figures => [("mass", Mass.Value)];

    internal override IEnumerable<(string Name, string Id)> Ids => [("item", Item)];
}
