namespace Ystrata.Core.Planning;

/// <summary>Raw garlic in fat and away from air can grow what poisons and cannot be smelt: it is said wherever the two lie together before heat.</summary>
internal static class GarlicNotes
{
    public static IEnumerable<Note> Of(CheckedBatch batch)
    {
        var (spec, kitchen) = (batch.Spec, batch.Kitchen);
        bool Garlic(string id) => kitchen[id].Is(Trait.GarlicLike);
        // Kept overnight it is a matter of the fridge alone; within the day of the clock as well.
        var overnight = spec.Clock is { Ahead: not Ahead.None } || spec.Pan.Frozen || spec.Pan.Chilled || spec.Rest.Place == RestPlace.Fridge;
        Note Say(Stage stage, string id) => new(overnight ? NoteCode.RawGarlicKept : NoteCode.RawGarlic, stage, Severity.Caution, [], id);

        if (batch.Dough.InIt.FirstOrDefault(i => i.Is(Trait.GarlicLike)) is { } inDough && batch.Dough.InIt.Any(i => i.Kind == IngredientKind.Fat))
        {
            yield return Say(Stage.Dough, inDough.Id);
        }

        if (batch.Route.Filling?.RawIn.FirstOrDefault(Garlic) is { } inFilling)
        {
            yield return Say(Stage.Filling, inFilling);
        }

        var inputs = batch.Shape.Inputs.Where(u => u.Mass.Value > 0).ToList();
        if (inputs.Any(u => u.Is == LaidIn.Fat) && inputs.FirstOrDefault(u => Garlic(u.Id)) is { } laid)
        {
            yield return Say(Stage.Sheet, laid.Id);
        }

        if (spec.Pan.Fats().FirstOrDefault(f => f.Mass.Value > 0 && Garlic(f.Id)) is { Id: { } onPan })
        {
            yield return Say(Stage.Pan, onPan);
        }
    }
}
