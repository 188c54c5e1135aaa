namespace Ystrata.Core.Measures;

/// <summary>The nearest honest spoon for every mass of a spec that a cook would measure by the piece.</summary>
public static class SpecMeasures
{
    /// <returns>By the path of the figure in the spec, such as <c>fold.steps[2].mass</c>; what no spoon measures is not there.</returns>
    internal static IReadOnlyDictionary<string, KitchenMeasure> Of(CheckedBatch batch)
    {
        var (spec, kitchen) = (batch.Spec, batch.Kitchen);
        var measures = new Dictionary<string, KitchenMeasure>();
        void Add(string field, Grams mass, string id)
        {
            if (NearestMeasure.Of(mass, kitchen[id], kitchen.Measures) is { } measure)
            {
                measures[field] = measure;
            }
        }

        Add("pan.fatPerSide", spec.Pan.FatPerSide, spec.Pan.Fat);
        foreach (var used in FoldInputs.Of(spec.Sheet, spec.Fold.Steps))
        {
            Add(used.Field, used.Mass, used.Id);
        }

        if (batch.Stuffing is { Made: var made })
        {
            foreach (var used in FillingInputs.Of(batch.Route.Filling!, made).Where(f => f.Field is not null))
            {
                Add(used.Field!, used.Mass, used.Id);
            }
        }

        return measures;
    }
}
