namespace Ystrata.Core;

/// <summary>The nearest honest spoon for every mass of a spec that a cook would measure by the piece.</summary>
public static class SpecMeasures
{
    /// <returns>By the path of the figure in the spec, such as <c>fold.steps[2].mass</c>; what no spoon measures is not there.</returns>
    public static IReadOnlyDictionary<string, KitchenMeasure> Of(BatchSpec spec, Larder larder)
    {
        var measures = new Dictionary<string, KitchenMeasure>();
        void Add(string field, Grams mass, string id)
        {
            if (NearestMeasure.Of(mass, larder[id], larder.Measuring) is { } measure)
            {
                measures[field] = measure;
            }
        }

        Add("sheet.fatMass", spec.Sheet.FatMass, spec.Sheet.Fat);
        Add("sheet.dustMass", spec.Sheet.DustMass, spec.Sheet.Dust);
        Add("pan.fatPerSide", spec.Pan.FatPerSide, spec.Pan.Fat);
        for (var i = 0; i < spec.Fold.Steps.Count; i++)
        {
            switch (spec.Fold.Steps[i])
            {
                case BrushStep s:
                    Add($"fold.steps[{i}].mass", s.Mass, s.Fat);
                    break;
                case DustStep s:
                    Add($"fold.steps[{i}].mass", s.Mass, s.Flour);
                    break;
            }
        }

        return measures;
    }
}
