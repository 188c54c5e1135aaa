namespace Ystrata.Core;

/// <summary>The nearest honest spoon for every mass of a spec that a cook would measure by the piece.</summary>
public static class SpecMeasures
{
    /// <returns>By the path of the figure in the spec, such as <c>fold.steps[2].mass</c>; what no spoon measures is not there.</returns>
    public static IReadOnlyDictionary<string, KitchenMeasure> Of(BatchSpec spec, FillingMade? made, Larder larder)
    {
        var measures = new Dictionary<string, KitchenMeasure>();
        void Add(string field, Grams mass, string id)
        {
            if (NearestMeasure.Of(mass, larder[id], larder.Measuring) is { } measure)
            {
                measures[field] = measure;
            }
        }

        Add("pan.fatPerSide", spec.Pan.FatPerSide, spec.Pan.Fat);
        foreach (var used in FoldInputs.Of(spec))
        {
            Add(used.Field, used.Mass, used.Id);
        }

        if (made is not null)
        {
            foreach (var used in FillingInputs.Of(spec.Filling!, made).Where(f => f.Field is not null))
            {
                Add(used.Field!, used.Mass, used.Id);
            }
        }

        return measures;
    }
}
