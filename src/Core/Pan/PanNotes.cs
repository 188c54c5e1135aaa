namespace Ystrata.Core.Pan;

internal static class PanNotes
{
    // Paler than this share of what was wanted is noticed on the table (empirical).
    private const double PaleShare = 0.6;

    // Faces further apart than from gold to brown are seen at the table, darkness (empirical).
    private const double FacesApart = 0.9;

    // A bread that has lost so much of itself is dry (empirical): water, percent of the raw piece.
    private static readonly Percent DryLoss = new(25);

    // A round that is thicker than this many mm cooks like a parcel and wants medium heat (empirical).
    private static readonly Millimetres ThickRound = new(6);

    // The pans that a mend may ask for.
    private static readonly Celsius Coolest = new(160), Hottest = new(260);

    // Over this an empty coated pan gives off what nobody should breathe (usual guidance of makers).
    private static readonly Celsius CoatingHolds = new(260);

    // So often a cooler pan is tried out.
    private const int CoolerSteps = 4;

    public static IEnumerable<Note> Of(PanSpec spec, PanSheet pan, AsAdvised advised, PanPiece piece, RollSheet roll, FoldSheet fold, Kitchen kitchen)
    {
        if (roll.Thickness.Value > ThickRound.Value && !piece.Stuffed)
        {
            yield return Say(NoteCode.ThickRound, Severity.Watch, [Quantity.Of(QuantityName.Thickness, roll.Thickness), Quantity.Of(QuantityName.Limit, ThickRound)]);
        }

        foreach (var note in OfRun(spec, pan, advised, piece, kitchen).Concat(OfRow(spec, pan)).Concat(OfFat(spec, pan, piece, kitchen)).Concat(OfHold(spec, pan)))
        {
            yield return note;
        }

        if (kitchen.Boils.Value < Cooked.Boils.Value)
        {
            yield return Say(NoteCode.BoilsLower, Severity.Watch,
                [Quantity.Of(QuantityName.Boils, kitchen.Boils), Quantity.Of(QuantityName.Cue, new Celsius(kitchen.Boils.Value - Roast.CueUnderBoiling)), Quantity.Of(QuantityName.Core, Cooked.SafeCore)]);
        }

        if (pan.Fat.Pan.Value > 0 && spec.Roasting != Roasting.DryOnly)
        {
            yield return Say(NoteCode.HotFat, Severity.Caution, []);
        }

        if (fold.Nominal > 1 || spec.Finish != Finish.None)
        {
            yield return Say(NoteCode.Steam, Severity.Caution, []);
        }
    }

    private static IEnumerable<Note> OfRun(PanSpec spec, PanSheet pan, AsAdvised advised, PanPiece piece, Kitchen kitchen)
    {
        // The stays that are advised; for what goes wrong only later in a row, a flame that keeps the pan where it was. Neither where it does not help.
        Mend[]? Better(Func<Row, bool> helps, RowPiece worst) => Advised(spec, pan, advised.Row is { } row && helps(row))
            ?? (worst.Number > 1 && Steady(spec, pan) is [{ Pan: { } steady }] mends && new PanStage(steady, piece, kitchen.Learned).InARow() is { } then && helps(then) ? mends : null);

        if (pan.Program.Failure is { } failure)
        {
            var better = new PanStage(spec, piece, kitchen.Learned, roughly: true).Nearest(Coolest, Hottest);
            yield return failure switch
            {
                PanFailure.Chars => Say(NoteCode.PanChars, Severity.Wrong, [Quantity.Of(QuantityName.Pan, spec.Laid), Quantity.Of(QuantityName.Thickness, piece.Thickness)], mends: To(spec, better)),
                PanFailure.NeverColours => Say(NoteCode.PanNeverColours, Severity.Wrong, [Quantity.Of(QuantityName.Pan, spec.Laid)], mends: To(spec, better)),
                _ => Say(NoteCode.PanNeverCooks, Severity.Wrong, [Quantity.Of(QuantityName.Pan, spec.Laid), Quantity.Of(QuantityName.Thickness, piece.Thickness)], mends: To(spec, better)),
            };
        }
        else if (pan.Row.Worst?.Rawest is { Cooked: false } raw)
        {
            // What is unsafe is told by the filling's own figure; else whichever lacks more.
            var lacks = piece.FillingNeeds.Value - raw.Core?.Value;
            var unsafeCore = lacks > 0 && piece.FillingNeeds == Cooked.SafeCore;
            var (passed, needed) = unsafeCore || lacks > Cooked.DoughSets.Value - raw.Dough.Value ? (raw.Core!.Value, piece.FillingNeeds) : (raw.Dough, Cooked.DoughSets);
            yield return Say(
                unsafeCore ? NoteCode.CoreUnsafe : NoteCode.RawInside, Severity.Wrong,
                [Quantity.Of(QuantityName.Pan, raw.Pan), Quantity.Of(QuantityName.Passed, passed), Quantity.Of(QuantityName.Needed, needed), Quantity.Count(QuantityName.Piece, raw.Number)],
                mends: Better(r => r.Pieces.Min(p => p.Over(piece.Wants(0))) > raw.Over(piece.Wants(0)), raw));
        }

        if (spec.Laid.Value < pan.Heat.CoolUnder.Value)
        {
            yield return Say(NoteCode.PanTooCool, Severity.Watch, [Quantity.Of(QuantityName.Pan, spec.Laid), Quantity.Of(QuantityName.Least, pan.Heat.CoolUnder)],
                mends: To(spec, new(Math.Ceiling(pan.Heat.CoolUnder.Value / 5) * 5)));
        }

        if (pan.Row.Worst is not { } worst)
        {
            yield break;
        }

        if (worst.Darkest is { Darkest: > PanRun.DarkestFace } burnt)
        {
            yield return Say(
                NoteCode.FaceBurnt, Severity.Wrong, [new(QuantityName.Dark, burnt.Darkest, ""), new(QuantityName.Most, PanRun.DarkestFace, ""), Quantity.Count(QuantityName.Piece, burnt.Number)],
                mends: Better(r => r.Darkest < burnt.Darkest, burnt));
        }

        if (worst.Palest is var pale && pale.Palest < PaleShare * PanStage.Dark(spec.Colour) && pan.Done.CookedAt is not null)
        {
            yield return Say(
                NoteCode.FacePale, Severity.Watch, [new(QuantityName.Dark, pale.Palest, ""), new(QuantityName.Wanted, PanStage.Dark(spec.Colour), ""), Quantity.Count(QuantityName.Piece, pale.Number)],
                mends: Better(r => r.Palest > pale.Palest, pale));
        }

        var (darkest, palest) = (Math.Max(pan.Done.First, pan.Done.Second), Math.Min(pan.Done.First, pan.Done.Second));
        if (darkest - palest > FacesApart)
        {
            yield return Say(NoteCode.FacesUneven, Severity.Watch, [new(QuantityName.Dark, darkest, ""), new(QuantityName.Pale, palest, "")], mends: Advised(spec, pan, advised.Row?.Pieces[0] is { } p && p.Darkest - p.Palest < darkest - palest));
        }

        if (pan.Done.Lost.Value > DryLoss.Value)
        {
            yield return Say(NoteCode.DriedOut, Severity.Watch, [Quantity.Of(QuantityName.Lost, pan.Done.Lost), Quantity.Of(QuantityName.Most, DryLoss)], mends: Advised(spec, pan, advised.Lost?.Value < pan.Done.Lost.Value));
        }
    }

    private static IEnumerable<Note> OfRow(PanSpec spec, PanSheet pan)
    {
        if (pan.Row is { Pieces.Count: > 0 } row)
        {
            var mends = Steady(spec, pan);
            if (row.DownAfter is { } down)
            {
                yield return Say(NoteCode.PanClimbs, Severity.Watch, [Quantity.Count(QuantityName.After, down), Quantity.Of(QuantityName.Then, row.Pieces[^1].Pan), Quantity.Of(QuantityName.Pan, spec.Laid)], mends: mends);
            }
            else if (row.UpAfter is { } up)
            {
                yield return Say(NoteCode.PanFalls, Severity.Watch, [Quantity.Count(QuantityName.After, up), Quantity.Of(QuantityName.Then, row.Pieces[^1].Pan), Quantity.Of(QuantityName.Pan, spec.Laid)], mends: mends);
            }
        }

        if (spec.Together > pan.Room)
        {
            yield return Say(NoteCode.PanCrowded, Severity.Watch, [Quantity.Count(QuantityName.Together, spec.Together), Quantity.Count(QuantityName.Room, pan.Room)],
                mends: pan.Room < 1 ? null : [new(MendCode.FewerTogether, [Quantity.Count(QuantityName.Together, pan.Room)], Pan: spec with { Together = pan.Room })]);
        }
    }

    private static IEnumerable<Note> OfFat(PanSpec spec, PanSheet pan, PanPiece piece, Kitchen kitchen)
    {
        // The hottest the pan gets in a row of pieces counts, not only what it is when the first goes on.
        var (hottest, at) = pan.Row.Worst?.Hottest is { } hot ? (hot.High, hot.Number) : (pan.Heat.High, 1);
        if (pan.Heat is { SmokePoint: { } smoke, SmokeWatchFrom: { } watch, Smokes: { } fat })
        {
            Quantity[] heat = [Quantity.Of(QuantityName.Pan, hottest), Quantity.Of(QuantityName.Smoke, smoke), Quantity.Of(QuantityName.Under, watch), Quantity.Count(QuantityName.Piece, at)];
            if (hottest.Value >= smoke.Value)
            {
                yield return Say(NoteCode.PanSmokes, Severity.Wrong, heat, fat, Cooler(spec, hottest, watch, piece, kitchen));
            }
            else if (hottest.Value > watch.Value)
            {
                yield return Say(NoteCode.PanNearSmoke, Severity.Watch, heat, fat, Cooler(spec, hottest, watch, piece, kitchen));
            }

            if (pan.Heat.Browns is { } solids)
            {
                yield return Say(NoteCode.ButterBrowns, Severity.Watch, [Quantity.Of(QuantityName.Pan, spec.Laid), Quantity.Of(QuantityName.Smoke, kitchen[solids].SmokePoint ?? smoke)], solids);
            }
        }

        if (spec.Cookware.Kind == PanKind.NonStick && hottest.Value > CoatingHolds.Value)
        {
            yield return Say(
                NoteCode.EmptyNonStick, Severity.Caution, [Quantity.Of(QuantityName.Pan, hottest), Quantity.Of(QuantityName.Most, CoatingHolds)], mends: Cooler(spec, hottest, CoatingHolds, piece, kitchen));
        }

        var film = pan.Film.Thick.Value;
        if (spec.Frozen && (spec.Roasting == Roasting.ShallowFry || (film > PanFat.MostFilm.Value && spec.Roasting != Roasting.DryOnly)))
        {
            yield return Say(NoteCode.FrozenIntoFat, Severity.Caution, []);
        }

        if (spec.Fats().Sum(f => f.Mass.Value) <= 0)
        {
            yield break;
        }

        if (film > PanFat.MostFilm.Value && spec.Roasting != Roasting.ShallowFry)
        {
            yield return Say(NoteCode.PanFatPools, Severity.Watch, [Quantity.Of(QuantityName.Fat, spec.FatPerSide), Quantity.Of(QuantityName.Most, pan.Film.Good.Most)], spec.Fat, [FatTo(spec, pan)]);
        }
        else if (film > 0 && film < PanFat.LeastFilm.Value)
        {
            yield return Say(NoteCode.PanFatThin, Severity.Watch, [Quantity.Of(QuantityName.Fat, spec.FatPerSide), Quantity.Of(QuantityName.Least, pan.Film.Good.Least)], spec.Fat, [FatTo(spec, pan)]);
        }
    }

    private static IEnumerable<Note> OfHold(PanSpec spec, PanSheet pan)
    {
        var (hold, keeps) = (pan.Hold, pan.Hold.Keeps);
        if (pan.Program.Turns.Count > 0 && keeps.Value <= 0 && spec.Wants != HoldWant.Hot)
        {
            yield return Say(spec.Wants == HoldWant.Crisp ? NoteCode.NeverCrisp : NoteCode.NeverSoft, Severity.Watch, []);
        }
        else if (pan.Program.Turns.Count > 0 && spec.HoldFor is { } time && time.Value > keeps.Value)
        {
            var (code, said) = spec.Wants switch
            {
                HoldWant.Hot => (NoteCode.HoldCools, QuantityName.Hot),
                HoldWant.Crisp => (NoteCode.HoldSoftens, QuantityName.Crisp),
                _ => (NoteCode.HoldStiff, QuantityName.Soft),
            };
            yield return Say(code, Severity.Watch, [Quantity.Of(QuantityName.Time, time), Quantity.Of(said, keeps), Quantity.Of(QuantityName.Limit, WarmTime.To)],
                mends: [new(MendCode.HoldTo, [Quantity.Of(QuantityName.Time, keeps)], Pan: spec with { HoldFor = keeps }), .. BetterHeld(spec, hold)]);
        }

        if (hold.Sweats)
        {
            yield return Say(NoteCode.PaperSweats, Severity.Watch, [], mends: [.. Held(spec, HoldIn.Cloth)]);
        }
    }

    // A cooler pan, in steps of five degrees; where it climbs too far from there as well, a lower flame. Neither where the fat would go on smoking.
    private static Mend[]? Cooler(PanSpec spec, Celsius hottest, Celsius most, PanPiece piece, Kitchen kitchen)
    {
        var under = Math.Floor((most.Value - (hottest.Value - spec.Laid.Value) - 1) / 5) * 5;
        List<Mend> mends = [.. Enumerable.Range(0, CoolerSteps).Select(i => under - 5 * i).Where(at => at >= Coolest.Value).SelectMany(at => To(spec, new(at))!)];
        if (spec.Cookware.Flame > Flame.Low)
        {
            mends.Add(FlameTo(spec, spec.Cookware.Flame - 1));
        }

        return mends.FirstOrDefault(m => new PanStage(m.Pan!, piece, kitchen.Learned).InARow()?.Pieces.Max(p => p.High.Value) <= most.Value) is { } helps ? [helps] : null;
    }

    private static Mend[]? To(PanSpec spec, Celsius? pan) => pan is { } at
        ? [new(MendCode.PanTo, [Quantity.Of(QuantityName.Pan, at)], Pan: spec with { Temperature = at, Measured = null, Own = null })]
        : null;

    // The least trouble that keeps it as wanted until the table; where nothing does, what keeps it longest.
    private static IEnumerable<Mend> BetterHeld(PanSpec spec, HoldSheet hold)
    {
        double Kept(HoldIn place) => hold.Places.Single(p => p.In == place).Keeps(spec.Wants).Value;
        HoldIn[] tried = [HoldIn.Plate, HoldIn.Cloth, HoldIn.Pot];
        var best = tried.Where(p => Kept(p) >= hold.For.Value).Append(tried.MaxBy(Kept)).First();
        return Kept(best) > hold.Keeps.Value ? Held(spec, best) : [];
    }

    private static IEnumerable<Mend> Held(PanSpec spec, HoldIn place) => spec.Hold == place
        ? []
        : [new(place switch { HoldIn.Pot => MendCode.InPot, HoldIn.Plate => MendCode.OnPlate, _ => MendCode.InCloth }, [], Pan: spec with { Hold = place })];

    // The middle of what is right, in half grams; own fats of single stays would go on overruling it.
    private static Mend FatTo(PanSpec spec, PanSheet pan)
    {
        var to = new Grams(Math.Max(Math.Round(pan.Film.Good.Least.Value + pan.Film.Good.Most.Value) / 2, 0.5));
        return new(MendCode.PanFatTo, [Quantity.Of(QuantityName.Fat, to)], Pan: spec with { FatPerSide = to, Own = null });
    }

    // The flame that keeps the pan nearest to what it was.
    private static Mend[]? Steady(PanSpec spec, PanSheet pan) => pan.Row.Holds == spec.Cookware.Flame ? null : [FlameTo(spec, pan.Row.Holds)];

    private static Mend FlameTo(PanSpec spec, Flame flame) => new(
        MendCode.FlameTo, [new(QuantityName.Flame, (int)flame, "")], Pan: spec with { On = spec.Cookware with { Flame = flame } });

    private static Mend[]? Advised(PanSpec spec, PanSheet pan, bool better) => pan.Program is { Own: true, Advised.Count: > 0 } && better
        ? [new(MendCode.AsAdvised, [Quantity.Count(QuantityName.Turns, pan.Program.Advised.Count)], Pan: spec with { Own = null })]
        : null;

    private static Note Say(NoteCode code, Severity severity, IReadOnlyList<Quantity> quantities, string? item = null, IReadOnlyList<Mend>? mends = null) =>
        new(code, Stage.Pan, severity, quantities, item, mends);
}
