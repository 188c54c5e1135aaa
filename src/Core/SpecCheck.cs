namespace Ystrata.Core;

public enum RefusalCode
{
    OutOfRange,
    NotANumber,
    Missing,
    UnknownIngredient,
    WrongKind,
    TooMany,
    TooManyLeaves,
    NeedsRope,
    TooMuchWaterCarried,
    TooMuchLiquid,
    TooMuchSaltCarried,
    TooLong,
    Unreadable,
}

/// <summary>Why a figure is not taken: the field, what was given and what is allowed. The words are the interface's.</summary>
/// <param name="Field">Path in the spec, such as <c>fold.steps[2].mass</c>.</param>
/// <param name="Given">The offending number, where there is one.</param>
/// <param name="Item">The offending id, where there is one.</param>
public sealed record Refusal(string Field, RefusalCode Code, double? Given = null, double? Least = null, double? Most = null, string Unit = "", string? Item = null);

/// <summary>What a number may be.</summary>
/// <param name="Field">Path in the spec, list places left empty: <c>fold.steps[].mass</c>.</param>
public sealed record Limit(string Field, double Least, double Most, string Unit);

/// <summary>Decides whether a spec can be worked at all. Odd but workable figures pass: the notes speak of those.</summary>
public static class SpecCheck
{
    public const int MostSteps = 24;
    public const int MostFlours = 6;
    public const int MostAdditions = 12;

    // Liquids thicker than the dough can take: a bowl of puree with a dusting of flour is no dough.
    private const double MostLiquidShare = 600;

    /// <summary>The range of every number in a spec, in one place for checks and dials.</summary>
    public static IReadOnlyList<Limit> Limits { get; } =
    [
        new("dough.pieces", 1, 500, ""),
        new("dough.flours[].parts", 0.1, 1000, ""),
        new("dough.hydration", 20, 200, Percent.Unit),
        new("dough.fatShare", 0, 60, Percent.Unit),
        new("dough.salt", 0, 6, Percent.Unit),
        new("dough.additions[].share", 0.1, 60, Percent.Unit),
        new("balls.mass", 5, 1000, Grams.Unit),
        new("balls.thickness", 0.5, 25, Millimetres.Unit),
        new("sheet.diameter", 60, 1200, Millimetres.Unit),
        new("sheet.rest", 0, 720, Minutes.Unit),
        new("sheet.fatMass", 0, 200, Grams.Unit),
        new("sheet.dustMass", 0, 50, Grams.Unit),
        new("fold.steps[].diameter", 60, 1200, Millimetres.Unit),
        new("fold.steps[].mass", 0.1, 200, Grams.Unit),
        new("fold.steps[].pleats", 2, 40, ""),
        new("roll.diameter", 60, 600, Millimetres.Unit),
        new("roll.rest", 0, 720, Minutes.Unit),
        new("pan.temperature", 120, 320, Celsius.Unit),
        new("pan.fatPerSide", 0, 60, Grams.Unit),
    ];

    private static readonly Dictionary<string, Limit> ByField = Limits.ToDictionary(l => l.Field);

    private static readonly IngredientKind[] Flours = [IngredientKind.Flour];
    private static readonly IngredientKind[] Fats = [IngredientKind.Fat];
    private static readonly IngredientKind[] Liquids = [IngredientKind.Liquid, IngredientKind.Puree];
    private static readonly IngredientKind[] Dusts = [IngredientKind.Flour, IngredientKind.Separator];
    private static readonly IngredientKind[] Additions =
    [
        IngredientKind.Seasoning, IngredientKind.Leaven, IngredientKind.Addition,
        IngredientKind.Vegetable, IngredientKind.Binder, IngredientKind.Sweet,
    ];

    /// <summary>Which kinds of ingredient each place in a spec takes.</summary>
    public static IReadOnlyDictionary<string, IReadOnlyList<IngredientKind>> Kinds { get; } = new Dictionary<string, IReadOnlyList<IngredientKind>>
    {
        ["dough.flours[].id"] = Flours,
        ["dough.liquid"] = Liquids,
        ["dough.fat"] = Fats,
        ["dough.additions[].id"] = Additions,
        ["sheet.fat"] = Fats,
        ["sheet.dust"] = Dusts,
        ["fold.steps[].fat"] = Fats,
        ["fold.steps[].flour"] = Dusts,
        ["pan.fat"] = Fats,
    };

    /// <returns>Everything that stands in the way; empty when the spec can be planned.</returns>
    public static IReadOnlyList<Refusal> Check(BatchSpec spec, Larder larder)
    {
        var refusals = new List<Refusal>();
        CheckDough(spec.Dough, larder, refusals);
        InRange("balls.mass", spec.Balls.Mass.Value, refusals);
        InRange("balls.thickness", spec.Balls.Thickness.Value, refusals);
        InRange("sheet.diameter", spec.Sheet.Diameter.Value, refusals);
        InRange("sheet.rest", spec.Sheet.Rest.Value, refusals);
        InRange("sheet.fatMass", spec.Sheet.FatMass.Value, refusals);
        InRange("sheet.dustMass", spec.Sheet.DustMass.Value, refusals);
        OfKind("sheet.fat", spec.Sheet.Fat, larder, refusals);
        OfKind("sheet.dust", spec.Sheet.Dust, larder, refusals);
        InRange("roll.diameter", spec.Roll.Diameter.Value, refusals);
        InRange("roll.rest", spec.Roll.Rest.Value, refusals);
        InRange("pan.temperature", spec.Pan.Temperature.Value, refusals);
        InRange("pan.fatPerSide", spec.Pan.FatPerSide.Value, refusals);
        OfKind("pan.fat", spec.Pan.Fat, larder, refusals);
        CheckSteps(spec.Fold.Steps, larder, refusals);

        if (refusals.Count == 0)
        {
            CheckBall(spec, refusals);
            CheckWater(spec.Dough, larder, refusals);
            CheckLeaves(spec, larder, refusals);
        }

        return refusals;
    }

    private static void CheckDough(DoughSpec dough, Larder larder, List<Refusal> refusals)
    {
        InRange("dough.pieces", dough.Pieces, refusals);
        InRange("dough.hydration", dough.Hydration.Value, refusals);
        InRange("dough.fatShare", dough.FatShare.Value, refusals);
        InRange("dough.salt", dough.Salt.Value, refusals);
        OfKind("dough.liquid", dough.Liquid, larder, refusals);
        OfKind("dough.fat", dough.Fat, larder, refusals);

        if (dough.Flours.Count is 0 or > MostFlours)
        {
            refusals.Add(new("dough.flours", RefusalCode.TooMany, dough.Flours.Count, 1, MostFlours));
        }

        for (var i = 0; i < Math.Min(dough.Flours.Count, MostFlours); i++)
        {
            if (Stands(dough.Flours[i], $"dough.flours[{i}]", refusals))
            {
                OfKind($"dough.flours[{i}].id", dough.Flours[i].Id, larder, refusals);
                InRange($"dough.flours[{i}].parts", dough.Flours[i].Parts, refusals);
            }
        }

        if (dough.Additions.Count > MostAdditions)
        {
            refusals.Add(new("dough.additions", RefusalCode.TooMany, dough.Additions.Count, 0, MostAdditions));
        }

        for (var i = 0; i < Math.Min(dough.Additions.Count, MostAdditions); i++)
        {
            if (Stands(dough.Additions[i], $"dough.additions[{i}]", refusals))
            {
                // Salt has a figure of its own, which counts every source.
                if (dough.Additions[i].Id == DoughStage.SaltId)
                {
                    refusals.Add(new($"dough.additions[{i}].id", RefusalCode.WrongKind, Item: DoughStage.SaltId));
                }

                OfKind($"dough.additions[{i}].id", dough.Additions[i].Id, larder, refusals);
                InRange($"dough.additions[{i}].share", dough.Additions[i].Share.Value, refusals);
            }
        }
    }

    private static void CheckSteps(IReadOnlyList<FoldStep> steps, Larder larder, List<Refusal> refusals)
    {
        if (steps.Count > MostSteps)
        {
            refusals.Add(new("fold.steps", RefusalCode.TooMany, steps.Count, 0, MostSteps));
            return;
        }

        for (var i = 0; i < steps.Count; i++)
        {
            var at = $"fold.steps[{i}]";
            switch (Stands(steps[i], at, refusals) ? steps[i] : null)
            {
                case RollStep s:
                    InRange(at + ".diameter", s.Diameter.Value, refusals);
                    break;
                case BrushStep s:
                    InRange(at + ".mass", s.Mass.Value, refusals);
                    OfKind(at + ".fat", s.Fat, larder, refusals);
                    break;
                case DustStep s:
                    InRange(at + ".mass", s.Mass.Value, refusals);
                    OfKind(at + ".flour", s.Flour, larder, refusals);
                    break;
                case AccordionStep s:
                    InRange(at + ".pleats", s.Pleats, refusals);
                    break;
                case CoilStep when i == 0 || steps[i - 1] is not MatRollStep:
                    refusals.Add(new(at, RefusalCode.NeedsRope));
                    break;
            }
        }
    }

    // A ball given by its round has a mass of its own that must stay a ball.
    private static void CheckBall(BatchSpec spec, List<Refusal> refusals)
    {
        if (spec.Balls.By == BallBy.Thickness)
        {
            var mass = BallsStage.MassOf(spec.Balls, spec.Roll).Value;
            var limit = ByField["balls.mass"];
            if (mass < limit.Least || mass > limit.Most)
            {
                refusals.Add(new("balls.thickness", RefusalCode.OutOfRange, mass, limit.Least, limit.Most, limit.Unit));
            }
        }
    }

    private static void CheckWater(DoughSpec dough, Larder larder, List<Refusal> refusals)
    {
        var water = DoughStage.WaterFromLiquid(dough, larder).Value;
        if (water < 0)
        {
            refusals.Add(new("dough.hydration", RefusalCode.TooMuchWaterCarried, dough.Hydration.Value, dough.Hydration.Value - water, null, Percent.Unit));
        }
        else if (larder[dough.Liquid].Water.Fraction is var w && water > w * MostLiquidShare)
        {
            refusals.Add(new("dough.liquid", RefusalCode.TooMuchLiquid, water / w, null, MostLiquidShare, Percent.Unit, dough.Liquid));
        }
        else if (DoughStage.SaltToAdd(dough, larder).Value is var salt and < -1e-9)
        {
            refusals.Add(new("dough.salt", RefusalCode.TooMuchSaltCarried, dough.Salt.Value, dough.Salt.Value - salt, null, Percent.Unit));
        }
    }

    // Counts leaves step by step before any are piled, so that no program can ask for millions.
    private static void CheckLeaves(BatchSpec spec, Larder larder, List<Refusal> refusals)
    {
        var piece = Piece.Sheet(BallsStage.MassOf(spec.Balls, spec.Roll), spec.Sheet.Diameter);
        for (var i = 0; i < spec.Fold.Steps.Count; i++)
        {
            var step = spec.Fold.Steps[i];
            var leaves = (double)piece.Leaves.Length * Folding.CopiesOf(step, piece);
            if (leaves > Folding.MostLeaves)
            {
                refusals.Add(new($"fold.steps[{i}]", RefusalCode.TooManyLeaves, leaves, null, Folding.MostLeaves));
                return;
            }

            piece = Folding.Apply(step, piece, i, larder);
        }
    }

    // A list that came in from outside can have a hole where the type says there is none.
    private static bool Stands(object? item, string field, List<Refusal> refusals)
    {
        if (item is null)
        {
            refusals.Add(new(field, RefusalCode.Missing));
        }

        return item is not null;
    }

    private static void InRange(string field, double value, List<Refusal> refusals)
    {
        var limit = ByField[Place(field)];
        if (!(value >= limit.Least && value <= limit.Most))
        {
            refusals.Add(new(field, double.IsFinite(value) ? RefusalCode.OutOfRange : RefusalCode.NotANumber,
                double.IsFinite(value) ? value : null, limit.Least, limit.Most, limit.Unit));
        }
    }

    private static void OfKind(string field, string id, Larder larder, List<Refusal> refusals)
    {
        if (!larder.TryGet(id, out var found))
        {
            refusals.Add(new(field, RefusalCode.UnknownIngredient, Item: id));
        }
        else if (!Kinds[Place(field)].Contains(found!.Kind))
        {
            refusals.Add(new(field, RefusalCode.WrongKind, Item: id));
        }
    }

    private static string Place(string field)
    {
        var open = field.IndexOf('[', StringComparison.Ordinal);
        return open < 0 ? field : string.Concat(field.AsSpan(0, open + 1), field.AsSpan(field.IndexOf(']', StringComparison.Ordinal)));
    }
}
