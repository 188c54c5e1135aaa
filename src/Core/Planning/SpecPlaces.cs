namespace Ystrata.Core.Planning;

/// <summary>What every place in a spec may hold: the range of its number, the kinds of its ingredient.</summary>
public static class SpecPlaces
{
    /// <summary>The range of every number in a spec, in one place for checks and dials.</summary>
    public static IReadOnlyList<Limit> Limits { get; } =
    [
        new("start.pieces", 1, DoughSolver.MostPieces, ""),
        new("start.flour", 1, 500_000, Grams.Unit),
        new("start.liquid", 0.1, 500_000, Grams.Unit),
        new("start.filling", 0.1, 500_000, Grams.Unit),
        new("start.fillingEach", 0.1, 2000, Grams.Unit),
        new("start.makes", 1, DoughSolver.MostPieces, ""),
        new("start.people", 1, DoughSolver.MostPieces, ""),
        new("start.each", 0.001, 500, ""),
        new("dough.flours[].parts", 0.1, 1000, ""),
        new("dough.cups.packing", 0.4, 2, ""),
        new("dough.hydration", 20, 500, Percent.Unit),
        new("dough.liquids[].amount.share", 0, 500, Percent.Unit),
        new("dough.liquids[].amount.mass", 0, 100_000, Grams.Unit),
        new("dough.liquids[].water", 60, 98, Percent.Unit),
        new("dough.fat.amount.share", 0, 60, Percent.Unit),
        new("dough.fat.amount.mass", 0, 50_000, Grams.Unit),
        new("dough.salt.amount.share", 0, 6, Percent.Unit),
        new("dough.salt.amount.mass", 0, 5000, Grams.Unit),
        new("dough.additions[].amount.share", 0, 120, Percent.Unit),
        new("dough.additions[].amount.mass", 0, 50_000, Grams.Unit),
        new("dough.mix.bowl", 100, 100_000, Grams.Unit),
        new("dough.mix.wentIn", 0, 100_000, Grams.Unit),
        new("rest.time", 0, 2880, Minutes.Unit),
        new("ladle.volume", 10, 1000, Millilitres.Unit),
        new("ladle.thickness", 0.3, 12, Millimetres.Unit),
        new("balls.mass", 5, 1000, Grams.Unit),
        new("balls.thickness", 0.5, 25, Millimetres.Unit),
        new("balls.weighed[]", 1, 2000, Grams.Unit),
        new("balls.smallOne", 5, 1000, Grams.Unit),
        new("balls.cutting.sheetThickness", 1, 50, Millimetres.Unit),
        new("balls.cutting.stripLength", 50, 1200, Millimetres.Unit),
        new("balls.cutting.logAcross", 15, 200, Millimetres.Unit),
        new("sheet.diameter", 60, 1200, Millimetres.Unit),
        new("sheet.rest", 0, 720, Minutes.Unit),
        new("sheet.fatMass", 0, 200, Grams.Unit),
        new("sheet.dustMass", 0, 50, Grams.Unit),
        new("sheet.width", 30, 1200, Millimetres.Unit),
        new("fold.steps[].diameter", 60, 1200, Millimetres.Unit),
        new("fold.steps[].length", 60, 1200, Millimetres.Unit),
        new("fold.steps[].width", 30, 1200, Millimetres.Unit),
        new("fold.steps[].times", 1, 5, ""),
        new("fold.steps[].mass", BrushStep.LeastLaid, 200, Grams.Unit),
        new("fold.steps[].flourMass", 0, 200, Grams.Unit),
        new("fold.steps[].rim", 0, 200, Millimetres.Unit),
        new("fold.steps[].grain", 0.1, 20, Millimetres.Unit),
        new("fold.steps[].pleats", 2, 40, ""),
        new("fold.steps[].count", 2, 60, ""),
        new("fold.steps[].ribbons", 2, 60, ""),
        new("fold.steps[].slices", 2, 30, ""),
        new("fold.steps[].turns", 2, 8, ""),
        new("fold.steps[].time", 0, 720, Minutes.Unit),
        new("filling.parts[].mass", 1, 100_000, Grams.Unit),
        new("filling.parts[].trim", 0, 80, Percent.Unit),
        new("filling.saltWanted", 0, 4, Percent.Unit),
        new("filling.wall.share", 5, 400, Percent.Unit),
        new("filling.wall.drops.mass", 0, 20, Grams.Unit),
        .. StepLimits("filling.parts[].steps[]"),
        .. StepLimits("filling.together[]"),
        new("roll.diameter", 60, 600, Millimetres.Unit),
        new("roll.rest", 0, 720, Minutes.Unit),
        .. PanCheck.Limits,
        .. ClockCheck.Limits,
    ];

    // Steps of a filling stand in two places.
    private static IEnumerable<Limit> StepLimits(string at) =>
    [
        new(at + ".before", 1, 100_000, Grams.Unit),
        new(at + ".after", 1, 100_000, Grams.Unit),
        new(at + ".grain", 0.5, 40, Millimetres.Unit),
        new(at + ".share", 0, 8, Percent.Unit),
        new(at + ".time", 0, 2880, Minutes.Unit),
        new(at + ".trays", 1, CoolStep.MostTrays, ""),
        new(at + ".pan", 100, 900, Millimetres.Unit),
        new(at + ".fatMass", 0, 5000, Grams.Unit),
        new(at + ".to", 1, 100_000, Grams.Unit),
        new(at + ".mass", 0.1, 50_000, Grams.Unit),
    ];

    internal static readonly Dictionary<string, Limit> ByField = Limits.ToDictionary(l => l.Field);

    private static readonly IngredientKind[] Flours = [IngredientKind.Flour];
    private static readonly IngredientKind[] Fats = [IngredientKind.Fat];
    private static readonly IngredientKind[] Salts = [IngredientKind.Salt];
    private static readonly IngredientKind[] Liquids = [IngredientKind.Liquid, IngredientKind.Puree];
    private static readonly IngredientKind[] Dusts = [IngredientKind.Flour, IngredientKind.Separator];
    private static readonly IngredientKind[] Scattered = [IngredientKind.Seasoning, IngredientKind.Addition, IngredientKind.Vegetable, IngredientKind.Sweet, IngredientKind.Salt];
    private static readonly IngredientKind[] Additions =
    [
        IngredientKind.Seasoning, IngredientKind.Leaven, IngredientKind.Addition,
        IngredientKind.Vegetable, IngredientKind.Binder, IngredientKind.Sweet,
    ];

    private static readonly IngredientKind[] Fillings =
    [
        IngredientKind.Vegetable, IngredientKind.Mash, IngredientKind.Dairy, IngredientKind.Meat, IngredientKind.Sweet, IngredientKind.Binder, IngredientKind.Addition,
        IngredientKind.Seasoning, IngredientKind.Flour, IngredientKind.Fat, IngredientKind.Liquid,
    ];

    private static IEnumerable<KeyValuePair<string, IReadOnlyList<IngredientKind>>> StepKinds(string at) =>
    [
        new(at + ".salt", Salts),
        new(at + ".fat", Fats),
        new(at + ".sugar", [IngredientKind.Seasoning, IngredientKind.Sweet]),
        new(at + ".binder", [IngredientKind.Binder, IngredientKind.Flour, IngredientKind.Separator, IngredientKind.Puree]),
        new(at + ".item", [IngredientKind.Seasoning, IngredientKind.Salt, IngredientKind.Addition, IngredientKind.Liquid, IngredientKind.Fat, IngredientKind.Dairy, IngredientKind.Sweet]),
    ];

    /// <summary>Which kinds of ingredient each place in a spec takes.</summary>
    public static IReadOnlyDictionary<string, IReadOnlyList<IngredientKind>> Kinds { get; } = new Dictionary<string, IReadOnlyList<IngredientKind>>([
        .. StepKinds("filling.parts[].steps[]"),
        .. StepKinds("filling.together[]"),
    ])
    {
        ["dough.flours[].id"] = Flours,
        ["dough.liquids[].id"] = Liquids,
        ["dough.fat.id"] = Fats,
        ["dough.salt.id"] = Salts,
        ["dough.additions[].id"] = Additions,
        ["sheet.fat"] = Fats,
        ["sheet.dust"] = Dusts,
        ["fold.steps[].fat"] = Fats,
        ["fold.steps[].flour"] = Dusts,
        ["fold.steps[].item"] = Scattered,
        ["pan.fat"] = Fats,
        ["pan.second.id"] = Fats,
        ["filling.parts[].id"] = Fillings,
        ["filling.wall.drops.fat"] = Fats,
    };

    // A list that came in from outside can have a hole where the type says there is none.
    internal static bool Stands(object? item, string field, List<Refusal> refusals)
    {
        if (item is null)
        {
            refusals.Add(new(field, RefusalCode.Missing));
        }

        return item is not null;
    }

    internal static void InRange(string field, double value, List<Refusal> refusals)
    {
        var limit = ByField[Place(field)];
        if (!(value >= limit.Least && value <= limit.Most))
        {
            refusals.Add(new(field, double.IsFinite(value) ? RefusalCode.OutOfRange : RefusalCode.NotANumber,
                double.IsFinite(value) ? value : null, limit.Least, limit.Most, limit.Unit));
        }
    }

    internal static void OfKind(string field, string id, Kitchen kitchen, List<Refusal> refusals)
    {
        if (!kitchen.TryGet(id, out var found))
        {
            refusals.Add(new(field, RefusalCode.UnknownIngredient, Item: id));
        }
        else if (!Kinds[Place(field)].Contains(found!.Kind))
        {
            refusals.Add(new(field, RefusalCode.WrongKind, Item: id));
        }
    }

    // The field with its list places left empty.
    private static string Place(string field)
    {
        for (var open = field.IndexOf('[', StringComparison.Ordinal); open >= 0; open = field.IndexOf('[', open + 1))
        {
            var close = field.IndexOf(']', open);
            field = string.Concat(field.AsSpan(0, open + 1), field.AsSpan(close));
        }

        return field;
    }
}
