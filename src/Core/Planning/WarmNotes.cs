namespace Ystrata.Core.Planning;

/// <summary>One budget for each part that spoils: minutes between 5 and 60 °C from the bowl through every rest and wait to the table (models.md F).</summary>
internal static class WarmNotes
{
    /// <param name="raw">The piece as it goes on the pan, with what its parts have had.</param>
    public static IEnumerable<Note> Of(CheckedBatch batch, Piece raw, PanSheet pan)
    {
        string First(IEnumerable<Ingredient> items) => items.First(i => i.Is(Trait.Spoils)).Id;
        foreach (var (stage, had, item) in new (Stage, Minutes?, Func<string>)[]
        {
            (Stage.Dough, raw.Warm.Dough, () => First(batch.Dough.InIt)),
            (Stage.Filling, raw.Warm.Filling, () => First(batch.Route.Filling!.In.Select(id => batch.Kitchen[id]))),
        })
        {
            if (had is { } before && before.Value + pan.Hold.Unsafe.Value is var all && all > WarmTime.Limit.Value)
            {
                yield return new(
                    all > WarmTime.Most.Value ? NoteCode.WarmTooLong : NoteCode.WarmLong, stage, all > WarmTime.Most.Value ? Severity.Wrong : Severity.Caution,
                    [Quantity.Of(QuantityName.Time, new Minutes(Math.Round(all))), Quantity.Of(QuantityName.Limit, all > WarmTime.Most.Value ? WarmTime.Most : WarmTime.Limit), Quantity.Of(QuantityName.Over, new Minutes(Math.Ceiling(all - WarmTime.Limit.Value)))],
                    item(), Shorter(batch, stage, pan));
            }
        }
    }

    // The dough's rest in the fridge; a shorter hold.
    private static List<Mend>? Shorter(CheckedBatch batch, Stage stage, PanSheet pan)
    {
        var spec = batch.Spec;
        List<Mend> mends = [];
        if (stage == Stage.Dough && spec.Rest is { Place: RestPlace.Room, Time.Value: >= 30 })
        {
            mends.Add(new(MendCode.RestInFridge, [], Rest: spec.Rest with { Place = RestPlace.Fridge }));
        }

        if (pan.Hold.Unsafe.Value > 10 && spec.Pan.HoldFor is not null)
        {
            mends.Add(new(MendCode.HoldTo, [Quantity.Of(QuantityName.Time, new Minutes(10))], Pan: spec.Pan with { HoldFor = new(10) }));
        }

        return mends.Count > 0 ? mends : null;
    }
}
