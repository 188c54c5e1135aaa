namespace Ystrata.Core.Filling;

/// <summary>What to watch in filling and wall (models.md E), and the usual cautions of filled breads.</summary>
public static class FillingNotes
{
    // Salt and sugar of a finished filling, percent of mass (empirical).
    private const double Bland = 0.5, Salty = 2.2, TooSweet = 58;

    // Filling over or short worth a word, share of what is needed (empirical).
    private const double WorthSaying = 0.03;

    internal static IEnumerable<Note> Of(CheckedBatch batch, FillingSheet sheet)
    {
        var (filling, kitchen) = (batch.Route.Filling!, batch.Kitchen);
        var mends = new FillingMends(filling, batch.Stuffing!.Made, kitchen);
        if (FeelOf(filling, sheet, mends) is { } feel)
        {
            yield return feel;
        }

        if (sheet.HoldsFor is { } until)
        {
            yield return Say(NoteCode.FillingUntil, Severity.Watch, [Quantity.Of(QuantityName.Time, new Minutes(Math.Floor(until.Value)))], mends: mends.SaltLast() is { } last && mends.HoldsLonger(last, until) ? [last] : null);
        }

        if (sheet.Salt.Share.Value > Salty)
        {
            yield return Say(NoteCode.FillingSalty, Severity.Wrong, [Quantity.Of(QuantityName.Salt, sheet.Salt.Share), new(QuantityName.Most, Salty, Percent.Unit)]);
        }
        else if (sheet.Salt.ToAdd.Value > sheet.End.Mass.Value * 0.001)
        {
            yield return Say(
                sheet.Salt.Share.Value < Bland ? NoteCode.FillingBland : NoteCode.FillingSalt,
                Severity.Watch,
                [Quantity.Of(QuantityName.Stayed, sheet.Salt.Stayed), Quantity.Of(QuantityName.Salt, sheet.Salt.Share), Quantity.Of(QuantityName.Wanted, filling.SaltWanted), Quantity.Of(QuantityName.Add, sheet.Salt.ToAdd), Quantity.Of(QuantityName.Left, sheet.Salt.Left)],
                mends: mends.Seasoned(sheet.Salt.ToAdd) is { } mend ? [mend] : null);
        }

        if (sheet.End.SugarShare.Value > TooSweet)
        {
            yield return Say(NoteCode.FillingSweet, Severity.Watch, [Quantity.Of(QuantityName.Sugar, sheet.End.SugarShare), new(QuantityName.Most, TooSweet, Percent.Unit)]);
        }

        if (sheet.End.Temperature.Value > Parcel.Warm)
        {
            yield return Say(NoteCode.FillingWarm, Severity.Wrong, [Quantity.Of(QuantityName.Warm, sheet.End.Temperature), Quantity.Of(QuantityName.Under, new Celsius(Parcel.Warm))],
                mends: mends.Cooled(Parcel.Warm) is { } mend ? [mend] : null);
        }

        foreach (var (hot, cooling, trays) in mends.Slow())
        {
            yield return Say(
                trays is null ? NoteCode.FridgeOverloaded : NoteCode.CoolsSlowly,
                Severity.Caution,
                [Quantity.Of(QuantityName.Mass, hot.Mass), Quantity.Of(QuantityName.Depth, cooling.Depth), Quantity.Of(QuantityName.Time, new Minutes(Math.Round(cooling.Through.Value))), Quantity.Of(QuantityName.Limit, WarmTime.Limit)],
                mends: trays is null ? null : [trays]);
        }

        foreach (var note in OfWall(filling, sheet, mends).Concat(OfBalance(filling, sheet)).Concat(OfLiquor(filling, sheet)).Concat(Cautions(batch, filling, kitchen)))
        {
            yield return note;
        }
    }

    private static IEnumerable<Note> OfLiquor(FillingSpec filling, FillingSheet sheet)
    {
        if (filling.LiquorToDough && sheet.Liquor.Used < sheet.Liquor.Mass * 0.99)
        {
            yield return Say(NoteCode.LiquorLeft, Severity.Watch, [Quantity.Of(QuantityName.Left, sheet.Liquor.Mass - sheet.Liquor.Used), Quantity.Of(QuantityName.Used, sheet.Liquor.Used)]);
        }
    }

    // What is loose falls apart where it is gathered; in a folded parcel it lies well.
    private static Note? FeelOf(FillingSpec filling, FillingSheet sheet, FillingMends mends)
    {
        var wetter = sheet.Feel == FillingFeel.Loose ? mends.AgainstLoose() : [];
        Quantity[] free = [Quantity.Of(QuantityName.Free, sheet.End.Free), Quantity.Of(QuantityName.Share, sheet.FreeShare)];
        return sheet.Feel switch
        {
            FillingFeel.Loose => filling.Wall.Shape is ParcelShape.Gathered or ParcelShape.Laminated
                ? Say(NoteCode.FillingLoose, Severity.Watch, [wetter is [{ Quantities: [var binds, ..] }] ? binds with { Name = QuantityName.More } : Quantity.Of(QuantityName.More, sheet.End.Free * -1), Quantity.Of(QuantityName.Share, sheet.FreeShare)], mends: wetter)
                : null,
            FillingFeel.Holds => Say(NoteCode.FillingHolds, Severity.Right, free),
            FillingFeel.RollInFlour => Say(NoteCode.FillingRollInFlour, Severity.Watch, free, mends: mends.AgainstWater()),
            _ => Say(NoteCode.FillingWeeps, Severity.Wrong, free, mends: mends.AgainstWater()),
        };
    }

    private static IEnumerable<Note> OfWall(FillingSpec filling, FillingSheet sheet, FillingMends mends)
    {
        var parcel = sheet.Parcel;
        if (parcel.Wall.Value < parcel.WallLeast.Value)
        {
            yield return Say(NoteCode.WallThin, Severity.Wrong,
                [Quantity.Of(QuantityName.Wall, parcel.Wall), Quantity.Of(QuantityName.Least, parcel.WallLeast), Quantity.Of(QuantityName.Across, parcel.WidestRound)]);
        }

        if (parcel.Tear.LumpPerWall > Parcel.LumpTears)
        {
            var grain = new Millimetres(Math.Max(Math.Floor(parcel.Wall.Value * Parcel.LumpTears * 2) / 2, 0.5));
            yield return Say(NoteCode.LumpsTear, Severity.Watch, [Quantity.Of(QuantityName.Grain, sheet.End.Grain), Quantity.Of(QuantityName.Wall, parcel.Wall), new(QuantityName.Times, parcel.Tear.LumpPerWall, "")],
                mends: [mends.Chopped(grain)]);
        }

        if (filling.Wall.Share.Value > parcel.MostShare.Value)
        {
            yield return Say(NoteCode.FillingTight, Severity.Wrong, [Quantity.Of(QuantityName.Share, filling.Wall.Share), Quantity.Of(QuantityName.Most, parcel.MostShare)],
                mends: [FillingMends.Shared(filling, new(Math.Floor(parcel.MostShare.Value)))]);
        }

        if (parcel.Tear.Risk == TearRisk.Likely)
        {
            yield return Say(NoteCode.WallTears, Severity.Wrong, [new(QuantityName.Risk, parcel.Tear.Points, "")]);
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
            ? Say(NoteCode.FillingOver, Severity.Watch, [Quantity.Of(QuantityName.Over, balance.Over), Quantity.Count(QuantityName.Pieces, balance.Pieces), Quantity.Of(QuantityName.Dough, balance.Dough)], mends: mends)
            : Say(NoteCode.FillingShort, Severity.Watch, [Quantity.Of(QuantityName.Lacks, balance.Over * -1), Quantity.Count(QuantityName.Pieces, balance.Pieces)], mends: mends);
    }

    /// <summary>Whether the filling holds egg or meat, or it or the piece was chilled, so that its core counts (models.md F).</summary>
    internal static bool IsRisky(CheckedBatch batch) =>
        batch.Route.Filling is { } filling && (filling.In.Any(id => batch.Kitchen[id].Is(Trait.RawRisk)) || filling.Steps.Any(s => s.Chills) || PieceHeat.WasCold(batch.Spec));

    private static IEnumerable<Note> Cautions(CheckedBatch batch, FillingSpec filling, Kitchen kitchen)
    {
        bool Has(Trait trait) => filling.In.Any(id => kitchen[id].Is(trait));
        var steps = filling.Steps.ToList();
        var kinds = filling.Parts.Select(p => kitchen[p.Id].Kind).ToList();
        if (IsRisky(batch))
        {
            yield return Say(NoteCode.CoreSafe, Severity.Caution, [Quantity.Of(QuantityName.Core, Cooked.SafeCore)]);
        }

        if (steps.Any(s => s.Heats) || kinds.Any(k => k is IngredientKind.Mash or IngredientKind.Meat or IngredientKind.Dairy))
        {
            yield return Say(NoteCode.CoolFast, Severity.Caution, []);
        }

        if (Has(Trait.KeepsBadlyWarm))
        {
            yield return Say(NoteCode.PulseCold, Severity.Caution, []);
        }

        foreach (var note in steps.Select(s => s.Caution(kitchen)).OfType<Note>().DistinctBy(n => n.Code))
        {
            yield return note;
        }
    }

    private static Note Say(NoteCode code, Severity severity, IReadOnlyList<Quantity> quantities, string? item = null, IReadOnlyList<Mend>? mends = null) =>
        new(code, Stage.Filling, severity, quantities, item, mends is { Count: > 0 } ? mends : null);
}
