namespace Ystrata.Core.Filling;

/// <summary>Something dry that drinks what is free.</summary>
public sealed record BindStep(string Binder, Grams Mass) : FillingStep
{
    internal static BindStep Begun() => new(Staples.Binders[0], new(15));

    // A flour drinks like semolina (models.md E).
    private const double FlourDrinks = 1.0;

    // What drinks slowly has what it holds after so long (empirical).
    private static readonly Minutes Slowly = new(10);

    /// <summary>Water a gram of this binder takes from a filling, its own already bound.</summary>
    internal static double Drinks(Ingredient binder) => binder.Holding ?? FlourDrinks;

    internal override FillingRow Work(FillingState now, FillingAt at)
    {
        var binder = FillingState.Made(at.Kitchen[Binder], Mass);
        return FillingRow.Put(now, binder with { Holds = binder.Water + Mass * Drinks(at.Kitchen[Binder]), Sticks = binder.Solids - binder.Fat });
    }

    internal override FillingInput? Input(FillingRow row, string at) => new(at + ".mass", Binder, Mass);

    internal override FillingStep Times(double k) => this with { Mass = Mass * k, Before = null, After = null };

    internal override Note? Caution(Kitchen kitchen) => kitchen[Binder].Is(Trait.DrinksSlowly) ? new(NoteCode.OatsWait, Stage.Filling, Severity.Watch, [Quantity.Of(QuantityName.Time, Slowly)]) : null;

    internal override IEnumerable<(string Name, double Value)> Figures => [("mass", Mass.Value)];

    internal override IEnumerable<(string Name, string Id)> Ids => [("binder", Binder)];
}
