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
    NeedsFlat,
    NeedsStrip,
    StripsTooNarrow,
    RimTooWide,
    TooManyPiecesOfOne,
    TooMuchWaterCarried,
    TooMuchLiquid,
    TooMuchSaltCarried,
    LiquidDoesNotFit,
    FixedOutweighs,
    TooManyPieces,
    TooManyPins,
    TwoRests,
    NothingSetsWater,
    NamedTwice,
    NoSolids,
    WetBinder,
    Heavier,
    NoWaterLeft,
    NothingLeft,
    NoWall,
    FillingTooBig,
    Together,
    FrozenBatter,
    NameTaken,
    NotUtf8,
    WrongColumns,
    NotInList,
    TooLong,

    /// <summary>No PNG, JPEG or WebP.</summary>
    NotAPhoto,

    /// <summary>A file of something else.</summary>
    ForeignFile,

    /// <summary>A file made by a newer version.</summary>
    NewerFile,

    /// <summary>A file that is broken or cut short.</summary>
    BrokenFile,

    /// <summary>A file without a recipe in it.</summary>
    NoRecipe,
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
    public const int MostFlours = 6;
    public const int MostAdditions = 12;
    public const int MostLiquids = 6;

    /// <summary>The range of every number in a spec, in one place for checks and dials.</summary>
    public static IReadOnlyList<Limit> Limits { get; } =
    [
        new("start.pieces", 1, DoughSolver.MostPieces, ""),
        new("start.flour", 1, 500_000, Grams.Unit),
        new("start.liquid", 0.1, 500_000, Grams.Unit),
        new("start.filling", 0.1, 500_000, Grams.Unit),
        new("start.fillingEach", 0.1, 2000, Grams.Unit),
        new("start.people", 1, DoughSolver.MostPieces, ""),
        new("start.each", 0.001, 500, ""),
        new("dough.flours[].parts", 0.1, 1000, ""),
        new("dough.hydration", 20, 300, Percent.Unit),
        new("dough.liquids[].amount.share", 0, 300, Percent.Unit),
        new("dough.liquids[].amount.mass", 0, 100_000, Grams.Unit),
        new("dough.liquids[].water", 60, 98, Percent.Unit),
        new("dough.fat.amount.share", 0, 60, Percent.Unit),
        new("dough.fat.amount.mass", 0, 50_000, Grams.Unit),
        new("dough.salt.amount.share", 0, 6, Percent.Unit),
        new("dough.salt.amount.mass", 0, 5000, Grams.Unit),
        new("dough.additions[].amount.share", 0, 60, Percent.Unit),
        new("dough.additions[].amount.mass", 0, 50_000, Grams.Unit),
        new("dough.mix.bowl", 100, 100_000, Grams.Unit),
        new("dough.mix.wentIn", 0, 100_000, Grams.Unit),
        new("rest.time", 0, 2880, Minutes.Unit),
        new("ladle.volume", 10, 1000, Millilitres.Unit),
        new("ladle.thickness", 0.8, 12, Millimetres.Unit),
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
        new("fold.steps[].mass", 0.1, 200, Grams.Unit),
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
        new(at + ".pan", 100, 900, Millimetres.Unit),
        new(at + ".fatMass", 0, 5000, Grams.Unit),
        new(at + ".to", 1, 100_000, Grams.Unit),
        new(at + ".mass", 0.1, 50_000, Grams.Unit),
    ];

    private static readonly Dictionary<string, Limit> ByField = Limits.ToDictionary(l => l.Field);

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
    };

    /// <returns>Everything that stands in the way; empty when the spec can be planned.</returns>
    public static IReadOnlyList<Refusal> Check(BatchSpec spec, Larder larder)
    {
        var refusals = Figures(spec, larder);
        if (refusals.Count == 0)
        {
            Work(spec, larder, refusals);
        }

        return refusals;
    }

    /// <returns>Figures out of their ranges and ids of nothing or of another kind; what passes can still be unworkable.</returns>
    public static List<Refusal> Figures(BatchSpec spec, Larder larder)
    {
        var refusals = new List<Refusal>();
        CheckStart(spec.Start, refusals);
        CheckDough(spec.Dough, larder, refusals);
        InRange("rest.time", spec.Rest.Time.Value, refusals);
        InRange("ladle.volume", spec.Ladle.Volume.Value, refusals);
        InRange("ladle.thickness", spec.Ladle.Thickness.Value, refusals);
        InRange("balls.mass", spec.Balls.Mass.Value, refusals);
        InRange("balls.thickness", spec.Balls.Thickness.Value, refusals);
        CheckTray(spec.Balls, refusals);
        InRange("sheet.diameter", spec.Sheet.Diameter.Value, refusals);
        InRange("sheet.rest", spec.Sheet.Rest.Value, refusals);
        InRange("sheet.fatMass", spec.Sheet.FatMass.Value, refusals);
        InRange("sheet.dustMass", spec.Sheet.DustMass.Value, refusals);
        if (spec.Sheet.Width is { } width)
        {
            InRange("sheet.width", width.Value, refusals);
        }

        OfKind("sheet.fat", spec.Sheet.Fat, larder, refusals);
        OfKind("sheet.dust", spec.Sheet.Dust, larder, refusals);
        InRange("roll.diameter", spec.Roll.Diameter.Value, refusals);
        InRange("roll.rest", spec.Roll.Rest.Value, refusals);
        PanCheck.Figures(spec, larder, refusals);
        ClockCheck.Figures(spec.Clock ?? ClockSpec.Usual, refusals);
        StepCheck.Figures(spec.Fold.Steps, larder, refusals);
        if (spec.Filling is { } filling)
        {
            FillingCheck.Figures(filling, larder, refusals);
        }

        return refusals;
    }

    /// <returns>What of the people and their times is out of range.</returns>
    public static List<Refusal> Figures(ClockSpec clock)
    {
        var refusals = new List<Refusal>();
        ClockCheck.Figures(clock, refusals);
        return refusals;
    }

    private static void Work(BatchSpec spec, Larder larder, List<Refusal> refusals)
    {
        var mix = FlourMix.Of(spec.Dough.Flours, larder);
        var stuffed = Stuffed.Of(spec, mix, larder, larder.Learned);
        if (stuffed.Made is not null)
        {
            FillingCheck.Work(spec, spec.Filling!, stuffed, larder, refusals);
        }

        CheckBall(spec, stuffed.Spec, refusals);
        if (refusals.Count == 0 && DoughSolver.Solve(stuffed.Spec, mix, stuffed.Larder, larder.Learned).Refusal is { } refusal)
        {
            refusals.Add(refusal);
        }

        StepCheck.Work(stuffed.Spec, larder, refusals);
    }

    private static void CheckTray(BallsSpec balls, List<Refusal> refusals)
    {
        if (balls.Weighed is { } weighed)
        {
            if (weighed.Count > DoughSolver.MostPieces)
            {
                refusals.Add(new("balls.weighed", RefusalCode.TooMany, weighed.Count, 0, DoughSolver.MostPieces));
            }

            for (var i = 0; i < Math.Min(weighed.Count, DoughSolver.MostPieces); i++)
            {
                InRange($"balls.weighed[{i}]", weighed[i].Value, refusals);
            }
        }

        if (balls.Cutting is { } cutting)
        {
            InRange("balls.cutting.sheetThickness", cutting.SheetThickness.Value, refusals);
            InRange("balls.cutting.stripLength", cutting.StripLength.Value, refusals);
            InRange("balls.cutting.logAcross", cutting.LogAcross.Value, refusals);
        }

        if (balls.SmallOne is { } small)
        {
            InRange("balls.smallOne", small.Value, refusals);
        }
    }

    private static void CheckStart(StartSpec start, List<Refusal> refusals)
    {
        InRange("start.pieces", start.Pieces, refusals);
        InRange("start.flour", start.Flour.Value, refusals);
        // A trace of liquid is nothing to start from, but no hindrance where something else is.
        if (start.By == StartBy.Liquid || !(start.Liquid.Value >= 0 && start.Liquid.Value < ByField["start.liquid"].Least))
        {
            InRange("start.liquid", start.Liquid.Value, refusals);
        }

        InRange("start.filling", start.Filling.Value, refusals);
        InRange("start.fillingEach", start.FillingEach.Value, refusals);
        InRange("start.people", start.People, refusals);
        InRange("start.each", start.Each, refusals);
    }

    private static void CheckDough(DoughSpec dough, Larder larder, List<Refusal> refusals)
    {
        InRange("dough.hydration", dough.Hydration.Value, refusals);
        CheckList(dough.Flours, "dough.flours", 1, MostFlours, f => f.Id, (f, at) => InRange(at + ".parts", f.Parts, refusals), larder, refusals);
        CheckList(dough.Liquids, "dough.liquids", 0, MostLiquids, l => l.Id, (l, at) =>
        {
            CheckAmount(at, l.Amount, mayMakeUp: true, refusals);
            if (l.Water is { } water)
            {
                if (larder.TryGet(l.Id, out var found) && found!.Solids.Value <= 0)
                {
                    refusals.Add(new(at + ".water", RefusalCode.NoSolids, Item: l.Id));
                }
                else
                {
                    InRange(at + ".water", water.Value, refusals);
                }
            }
        }, larder, refusals);
        OfKind("dough.fat.id", dough.Fat.Id, larder, refusals);
        CheckAmount("dough.fat", dough.Fat.Amount, mayMakeUp: false, refusals);
        OfKind("dough.salt.id", dough.Salt.Id, larder, refusals);
        CheckAmount("dough.salt", dough.Salt.Amount, mayMakeUp: false, refusals);
        CheckList(dough.Additions, "dough.additions", 0, MostAdditions, a => a.Id, (a, at) => CheckAmount(at, a.Amount, mayMakeUp: false, refusals), larder, refusals);
        if (dough.Mix.Bowl is { } bowl)
        {
            InRange("dough.mix.bowl", bowl.Value, refusals);
        }

        if (dough.Mix.WentIn is { } wentIn)
        {
            InRange("dough.mix.wentIn", wentIn.Value, refusals);
        }
    }

    private static void CheckList<T>(
        IReadOnlyList<T> items, string field, int least, int most, Func<T, string> id, Action<T, string> check, Larder larder, List<Refusal> refusals)
        where T : class
    {
        if (items.Count < least || items.Count > most)
        {
            refusals.Add(new(field, RefusalCode.TooMany, items.Count, least, most));
        }

        var named = new HashSet<string>(StringComparer.Ordinal);
        for (var i = 0; i < Math.Min(items.Count, most); i++)
        {
            var at = $"{field}[{i}]";
            if (!Stands(items[i], at, refusals))
            {
                continue;
            }

            OfKind(at + ".id", id(items[i]), larder, refusals);
            check(items[i], at);
            if (!named.Add(id(items[i])))
            {
                refusals.Add(new(at + ".id", RefusalCode.NamedTwice, Item: id(items[i])));
            }
        }
    }

    private static void CheckAmount(string at, Amount amount, bool mayMakeUp, List<Refusal> refusals)
    {
        InRange(at + ".amount.share", amount.Share.Value, refusals);
        InRange(at + ".amount.mass", amount.Mass.Value, refusals);
        if (amount.By == AmountBy.Rest && !mayMakeUp)
        {
            refusals.Add(new(at + ".amount.by", RefusalCode.WrongKind, Item: "rest"));
        }
    }

    // A ball given by its round has a mass of its own that must stay a ball.
    private static void CheckBall(BatchSpec spec, BatchSpec stuffed, List<Refusal> refusals)
    {
        if (spec.Balls.By == BallBy.Thickness)
        {
            var mass = BallsStage.WantedBall(stuffed).Value;
            var limit = ByField["balls.mass"];
            if (mass < limit.Least || mass > limit.Most)
            {
                refusals.Add(new("balls.thickness", RefusalCode.OutOfRange, mass, limit.Least, limit.Most, limit.Unit));
            }
        }
    }

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

    internal static void OfKind(string field, string id, Larder larder, List<Refusal> refusals)
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
