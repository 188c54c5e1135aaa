using static Ystrata.Core.Planning.SpecPlaces;

namespace Ystrata.Core.Planning;

/// <summary>Looks at every figure and id of a spec by itself. Whether they can be worked together, <see cref="Planner.Check"/> finds out.</summary>
public static class SpecCheck
{
    public const int MostFlours = 6;
    public const int MostAdditions = 12;
    public const int MostLiquids = 6;

    /// <returns>Figures out of their ranges and ids of nothing or of another kind; what passes can still be unworkable.</returns>
    public static List<Refusal> Figures(BatchSpec spec, Kitchen kitchen)
    {
        var refusals = new List<Refusal>();
        CheckStart(spec.Start, refusals);
        CheckDough(spec.Dough, kitchen, refusals);
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

        OfKind("sheet.fat", spec.Sheet.Fat, kitchen, refusals);
        OfKind("sheet.dust", spec.Sheet.Dust, kitchen, refusals);
        InRange("roll.diameter", spec.Roll.Diameter.Value, refusals);
        InRange("roll.rest", spec.Roll.Rest.Value, refusals);
        PanCheck.Figures(spec, kitchen, refusals);
        ClockCheck.Figures(spec.Clock ?? ClockSpec.Usual, refusals);
        StepCheck.Figures(spec.Fold.Steps, kitchen, refusals);
        if (spec.Filling is { } filling)
        {
            FillingCheck.Figures(filling, kitchen, refusals);
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
        if (start.Makes is { } makes)
        {
            InRange("start.makes", makes, refusals);
        }

        InRange("start.people", start.People, refusals);
        InRange("start.each", start.Each, refusals);
    }

    private static void CheckDough(DoughSpec dough, Kitchen kitchen, List<Refusal> refusals)
    {
        if (dough.Cups is { } cups)
        {
            InRange("dough.cups.packing", cups.Packing, refusals);
        }

        InRange("dough.hydration", dough.Hydration.Value, refusals);
        CheckList(dough.Flours, "dough.flours", 1, MostFlours, f => f.Id, (f, at) => InRange(at + ".parts", f.Parts, refusals), kitchen, refusals);
        CheckList(dough.Liquids, "dough.liquids", 0, MostLiquids, l => l.Id, (l, at) =>
        {
            CheckAmount(at, l.Amount, mayMakeUp: true, refusals);
            if (l.Water is { } water)
            {
                if (kitchen.TryGet(l.Id, out var found) && found!.Solids.Value <= 0)
                {
                    refusals.Add(new(at + ".water", RefusalCode.NoSolids, Item: l.Id));
                }
                else
                {
                    InRange(at + ".water", water.Value, refusals);
                }
            }
        }, kitchen, refusals);
        OfKind("dough.fat.id", dough.Fat.Id, kitchen, refusals);
        CheckAmount("dough.fat", dough.Fat.Amount, mayMakeUp: false, refusals);
        OfKind("dough.salt.id", dough.Salt.Id, kitchen, refusals);
        CheckAmount("dough.salt", dough.Salt.Amount, mayMakeUp: false, refusals);
        CheckList(dough.Additions, "dough.additions", 0, MostAdditions, a => a.Id, (a, at) => CheckAmount(at, a.Amount, mayMakeUp: false, refusals), kitchen, refusals);
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
        IReadOnlyList<T> items, string field, int least, int most, Func<T, string> id, Action<T, string> check, Kitchen kitchen, List<Refusal> refusals)
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

            OfKind(at + ".id", id(items[i]), kitchen, refusals);
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
}
