namespace Ystrata.Core;

/// <summary>What to watch in filling and wall (models.md E), and the usual cautions of filled breads.</summary>
public static class FillingNotes
{
    // Salt and sugar of a finished filling, percent of mass (empirical).
    private const double Bland = 0.5, Salty = 2.2, TooSweet = 58;

    // A filling warmer than this melts the wall, °C; lumps this many times the wall tear it (models.md E).
    private const double Warm = 30, LumpTears = 1.5;

    // Filling over or short worth a word, share of what is needed (empirical).
    private const double WorthSaying = 0.03;

    private const string Garlic = "garlic", Rice = "rice-cooked", Oats = "oats-rolled";

    public static IEnumerable<Note> Of(BatchSpec spec, FillingMade made, FillingSheet sheet, Larder larder)
    {
        var filling = spec.Filling!;
        var mends = new FillingMends(filling, made, larder);
        yield return FeelOf(sheet, mends);

        if (sheet.Salt.Share.Value > Salty)
        {
            yield return Say(NoteCode.FillingSalty, Weight.Wrong, [Quantity.Of("salt", sheet.Salt.Share), new("most", Salty, Percent.Unit)]);
        }
        else if (sheet.Salt.ToAdd.Value > sheet.End.Mass.Value * 0.001)
        {
            yield return Say(
                sheet.Salt.Share.Value < Bland ? NoteCode.FillingBland : NoteCode.FillingSalt,
                Weight.Watch,
                [Quantity.Of("stayed", sheet.Salt.Stayed), Quantity.Of("salt", sheet.Salt.Share), Quantity.Of("wanted", filling.SaltWanted), Quantity.Of("add", sheet.Salt.ToAdd), Quantity.Of("left", sheet.Salt.Left)],
                mends: mends.Seasoned(sheet.Salt.ToAdd) is { } mend ? [mend] : null);
        }

        if (sheet.End.SugarShare.Value > TooSweet)
        {
            yield return Say(NoteCode.FillingSweet, Weight.Watch, [Quantity.Of("sugar", sheet.End.SugarShare), new("most", TooSweet, Percent.Unit)]);
        }

        if (sheet.End.Temperature.Value > Warm)
        {
            yield return Say(NoteCode.FillingWarm, Weight.Wrong, [Quantity.Of("warm", sheet.End.Temperature), Quantity.Of("under", new Celsius(Warm))],
                mends: mends.Cooled(Warm) is { } mend ? [mend] : null);
        }

        foreach (var note in OfWall(filling, sheet, mends).Concat(OfBalance(filling, sheet)).Concat(OfLiquor(filling, sheet)).Concat(Cautions(filling, larder)))
        {
            yield return note;
        }
    }

    private static IEnumerable<Note> OfLiquor(FillingSpec filling, FillingSheet sheet)
    {
        if (filling.LiquorToDough && sheet.Liquor.Used < sheet.Liquor.Mass * 0.99)
        {
            yield return Say(NoteCode.LiquorLeft, Weight.Watch, [Quantity.Of("left", sheet.Liquor.Mass - sheet.Liquor.Used), Quantity.Of("used", sheet.Liquor.Used)]);
        }
    }

    private static Note FeelOf(FillingSheet sheet, FillingMends mends)
    {
        Quantity[] free = [Quantity.Of("free", sheet.End.Free), Quantity.Of("share", sheet.FreeShare)];
        return sheet.Feel switch
        {
            FillingFeel.Crumbly => Say(NoteCode.FillingCrumbly, Weight.Watch, [Quantity.Of("more", sheet.End.Free * -1), Quantity.Of("share", sheet.FreeShare)], mends: mends.AgainstCrumbs()),
            FillingFeel.Holds => Say(NoteCode.FillingHolds, Weight.Right, free),
            FillingFeel.RollInFlour => Say(NoteCode.FillingRollInFlour, Weight.Watch, free, mends: mends.AgainstWater()),
            _ => Say(NoteCode.FillingWeeps, Weight.Wrong, free, mends: mends.AgainstWater()),
        };
    }

    private static IEnumerable<Note> OfWall(FillingSpec filling, FillingSheet sheet, FillingMends mends)
    {
        var parcel = sheet.Parcel;
        if (parcel.Wall.Value < parcel.WallLeast.Value)
        {
            yield return Say(NoteCode.WallThin, Weight.Wrong,
                [Quantity.Of("wall", parcel.Wall), Quantity.Of("least", parcel.WallLeast), Quantity.Of("across", parcel.WidestRound)]);
        }

        if (parcel.LumpPerWall > LumpTears)
        {
            var grain = new Millimetres(Math.Max(Math.Floor(parcel.Wall.Value * LumpTears * 2) / 2, 0.5));
            yield return Say(NoteCode.LumpsTear, Weight.Watch, [Quantity.Of("grain", sheet.End.Grain), Quantity.Of("wall", parcel.Wall), new("times", parcel.LumpPerWall, "")],
                mends: [mends.Chopped(grain)]);
        }

        if (filling.Wall.Share.Value > parcel.MostShare.Value)
        {
            yield return Say(NoteCode.FillingTight, Weight.Wrong, [Quantity.Of("share", filling.Wall.Share), Quantity.Of("most", parcel.MostShare)],
                mends: [FillingMends.Shared(filling, new(Math.Floor(parcel.MostShare.Value)))]);
        }

        if (parcel.Risk == TearRisk.Likely)
        {
            yield return Say(NoteCode.WallTears, Weight.Wrong, [new("risk", parcel.Tear, "")]);
        }
    }

    private static IEnumerable<Note> OfBalance(FillingSpec filling, FillingSheet sheet)
    {
        var balance = sheet.Balance;
        if (Math.Abs(balance.Over / balance.Needed) <= WorthSaying)
        {
            yield break;
        }

        List<Mend> mends = [];
        if (balance.Times is { } times)
        {
            mends.Add(FillingMends.Scaled(filling, times));
        }

        var share = new Percent(Math.Round(filling.Wall.Share.Value * (balance.Made / balance.Needed)));
        if (share.Value >= 5 && share.Value <= sheet.Parcel.MostShare.Value)
        {
            mends.Add(FillingMends.Shared(filling, share));
        }

        yield return balance.Over.Value > 0
            ? Say(NoteCode.FillingOver, Weight.Watch, [Quantity.Of("over", balance.Over), Quantity.Count("pieces", balance.Pieces), Quantity.Of("dough", balance.Dough)], mends: mends)
            : Say(NoteCode.FillingShort, Weight.Watch, [Quantity.Of("short", balance.Over * -1), Quantity.Count("pieces", balance.Pieces)], mends: mends);
    }

    /// <summary>Whether the filling holds egg or meat or was chilled, so that its core counts (models.md F).</summary>
    public static bool IsRisky(FillingSpec? filling, Larder larder)
    {
        if (filling is null)
        {
            return false;
        }

        var steps = filling.Parts.SelectMany(p => p.Steps).Concat(filling.Together).ToList();
        return filling.Parts.Any(p => p.Id == "egg" || larder[p.Id].Kind == IngredientKind.Meat)
            || steps.Any(s => s is SeasonStep { Item: "egg" } or MoistenStep { Item: "egg" } or CoolStep { Place: RestPlace.Fridge });
    }

    private static IEnumerable<Note> Cautions(FillingSpec filling, Larder larder)
    {
        var steps = filling.Parts.SelectMany(p => p.Steps).Concat(filling.Together).ToList();
        var ids = filling.Parts.Select(p => p.Id).Concat(steps.OfType<SeasonStep>().Select(s => s.Item)).Concat(steps.OfType<MoistenStep>().Select(s => s.Item)).ToList();
        var kinds = filling.Parts.Select(p => larder[p.Id].Kind).ToList();
        var fried = steps.Any(s => s is SauteStep);
        if (IsRisky(filling, larder))
        {
            yield return Say(NoteCode.CoreSafe, Weight.Caution, [Quantity.Of("core", PanPiece.SafeCore)]);
        }

        if (steps.Any(s => s is SauteStep or BoilStep or BlanchStep or PressureStep or SweetenStep) || kinds.Any(k => k is IngredientKind.Mash or IngredientKind.Meat or IngredientKind.Dairy))
        {
            yield return Say(NoteCode.CoolFast, Weight.Caution, []);
        }

        if (filling.Parts.Any(p => p.Id == Rice || larder[p.Id].Kind == IngredientKind.Mash))
        {
            yield return Say(NoteCode.PulseCold, Weight.Caution, []);
        }

        if (ids.Contains(Garlic) && !fried)
        {
            yield return Say(NoteCode.RawGarlic, Weight.Caution, []);
        }

        if (steps.Any(s => s is PressureStep))
        {
            yield return Say(NoteCode.PressurePot, Weight.Caution, []);
        }

        if (steps.Any(s => s is BindStep { Binder: Oats }))
        {
            yield return Say(NoteCode.OatsWait, Weight.Watch, [Quantity.Of("time", new Minutes(10))]);
        }
    }

    private static Note Say(NoteCode code, Weight weight, IReadOnlyList<Quantity> quantities, string? item = null, IReadOnlyList<Mend>? mends = null) =>
        new(code, Stage.Filling, weight, quantities, item, mends is { Count: > 0 } ? mends : null);
}
