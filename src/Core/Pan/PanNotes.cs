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
        Quantity[] heat = [Quantity.Of(QuantityName.Pan, spec.Laid), Quantity.Of(QuantityName.Passed, pan.Done.Passed), Quantity.Of(QuantityName.Needed, pan.Done.Needed)];
        if (pan.Program.Failure is { } failure)
        {
            var better = new PanStage(spec, piece, kitchen.Learned.PanTime, roughly: true).Nearest(Coolest, Hottest);
            yield return failure switch
            {
                PanFailure.Chars => Say(NoteCode.PanChars, Severity.Wrong, [Quantity.Of(QuantityName.Pan, spec.Laid), Quantity.Of(QuantityName.Thickness, piece.Thickness)], mends: To(spec, better)),
                PanFailure.NeverColours => Say(NoteCode.PanNeverColours, Severity.Wrong, [Quantity.Of(QuantityName.Pan, spec.Laid)], mends: To(spec, better)),
                _ => Say(NoteCode.PanNeverCooks, Severity.Wrong, [Quantity.Of(QuantityName.Pan, spec.Laid), Quantity.Of(QuantityName.Thickness, piece.Thickness)], mends: To(spec, better)),
            };
        }
        else if (pan.Done.CookedAt is null)
        {
            var unsafeCore = piece.Stuffed && piece.FillingNeeds == Cooked.SafeCore && pan.Done.Passed.Value < pan.Done.Needed.Value;
            yield return Say(unsafeCore ? NoteCode.CoreUnsafe : NoteCode.RawInside, unsafeCore ? Severity.Caution : Severity.Wrong, heat, mends: Advised(spec, pan, advised.Passed?.Value > pan.Done.Passed.Value));
        }

        if (spec.Laid.Value < pan.Heat.CoolUnder.Value)
        {
            yield return Say(NoteCode.PanTooCool, Severity.Watch, [Quantity.Of(QuantityName.Pan, spec.Laid), Quantity.Of(QuantityName.Least, pan.Heat.CoolUnder)],
                mends: To(spec, new(Math.Ceiling(pan.Heat.CoolUnder.Value / 5) * 5)));
        }

        if (pan.Program.Turns.Count == 0)
        {
            yield break;
        }

        var (darkest, palest) = (Math.Max(pan.Done.First, pan.Done.Second), Math.Min(pan.Done.First, pan.Done.Second));
        if (darkest > PanRun.DarkestFace)
        {
            yield return Say(NoteCode.FaceBurnt, Severity.Wrong, [new(QuantityName.Dark, darkest, ""), new(QuantityName.Most, PanRun.DarkestFace, "")], mends: Advised(spec, pan, advised.Darkest < darkest));
        }

        if (palest < PaleShare * PanStage.Dark(spec.Colour) && pan.Done.CookedAt is not null)
        {
            yield return Say(NoteCode.FacePale, Severity.Watch, [new(QuantityName.Dark, palest, ""), new(QuantityName.Wanted, PanStage.Dark(spec.Colour), "")], mends: Advised(spec, pan, advised.Palest > palest));
        }

        if (darkest - palest > FacesApart)
        {
            yield return Say(NoteCode.FacesUneven, Severity.Watch, [new(QuantityName.Dark, darkest, ""), new(QuantityName.Pale, palest, "")], mends: Advised(spec, pan, advised.Darkest - advised.Palest < darkest - palest));
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
            var mends = row.Holds == spec.Cookware.Flame ? null : new[] { FlameTo(spec, row.Holds) };
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
        if (spec.Fats().Sum(f => f.Mass.Value) <= 0)
        {
            yield break;
        }

        var inPan = spec.Roasting != Roasting.DryOnly;
        var fats = PanFat.Of(spec, kitchen);
        // The hottest the pan gets while the piece is on it counts, not only what it is when the piece goes on.
        var hottest = pan.Heat.High;
        if (inPan && PanFat.Smoke(fats) is var (fat, smoke))
        {
            Quantity[] heat = [Quantity.Of(QuantityName.Pan, hottest), Quantity.Of(QuantityName.Smoke, smoke), Quantity.Of(QuantityName.Under, PanFat.WatchFrom(smoke))];
            if (hottest.Value >= smoke.Value)
            {
                yield return Say(NoteCode.PanSmokes, Severity.Wrong, heat, fat.Id, Cooler(spec, hottest, smoke, piece, kitchen));
            }
            else if (hottest.Value > PanFat.WatchFrom(smoke).Value)
            {
                yield return Say(NoteCode.PanNearSmoke, Severity.Watch, heat, fat.Id, Cooler(spec, hottest, smoke, piece, kitchen));
            }

            if (PanFat.WithSolids(fats) is { } solids)
            {
                yield return Say(NoteCode.ButterBrowns, Severity.Watch, [Quantity.Of(QuantityName.Pan, spec.Laid), Quantity.Of(QuantityName.Smoke, solids.SmokePoint ?? smoke)], solids.Id);
            }
        }

        var film = pan.Film.Thick.Value;
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
        if (pan.Program.Turns.Count > 0 && spec.HoldFor is { } time && time.Value > pan.Hold.Soft.Value)
        {
            yield return Say(NoteCode.HoldStiff, Severity.Watch, [Quantity.Of(QuantityName.Time, time), Quantity.Of(QuantityName.Soft, pan.Hold.Soft)],
                mends: [new(MendCode.HoldTo, [Quantity.Of(QuantityName.Time, pan.Hold.Soft)], Pan: spec with { HoldFor = pan.Hold.Soft }), .. pan.Hold.InCloth.Value > pan.Hold.Soft.Value ? BetterHeld(spec) : []]);
        }

        if (pan.Hold.Sweats)
        {
            yield return Say(NoteCode.PaperSweats, Severity.Watch, [], mends: [.. BetterHeld(spec)]);
        }
    }

    // A cooler pan, in steps of five degrees; where it climbs too far from there as well, a lower flame. Neither where the fat would go on smoking.
    private static Mend[]? Cooler(PanSpec spec, Celsius hottest, Celsius smoke, PanPiece piece, Kitchen kitchen)
    {
        var under = Math.Floor((smoke.Value - (hottest.Value - spec.Laid.Value) - 11) / 5) * 5;
        List<Mend> mends = [.. Enumerable.Range(0, CoolerSteps).Select(i => under - 5 * i).Where(at => at >= Coolest.Value).SelectMany(at => To(spec, new(at))!)];
        if (spec.Cookware.Flame > Flame.Low)
        {
            mends.Add(FlameTo(spec, spec.Cookware.Flame - 1));
        }

        return mends.FirstOrDefault(m => new PanStage(m.Pan!, piece, kitchen.Learned.PanTime).Hottest()?.Value <= PanFat.WatchFrom(smoke).Value) is { } helps ? [helps] : null;
    }

    private static Mend[]? To(PanSpec spec, Celsius? pan) => pan is { } at
        ? [new(MendCode.PanTo, [Quantity.Of(QuantityName.Pan, at)], Pan: spec with { Temperature = at, Measured = null, Own = null })]
        : null;

    // Bare or in paper it stiffens sooner than it would in cloth.
    private static IEnumerable<Mend> BetterHeld(PanSpec spec) => spec.Hold is HoldIn.Cloth or HoldIn.Pot
        ? []
        : [new(MendCode.InCloth, [], Pan: spec with { Hold = HoldIn.Cloth })];

    // The middle of what is right, in half grams; own fats of single stays would go on overruling it.
    private static Mend FatTo(PanSpec spec, PanSheet pan)
    {
        var to = new Grams(Math.Max(Math.Round(pan.Film.Good.Least.Value + pan.Film.Good.Most.Value) / 2, 0.5));
        return new(MendCode.PanFatTo, [Quantity.Of(QuantityName.Fat, to)], Pan: spec with { FatPerSide = to, Own = null });
    }

    private static Mend FlameTo(PanSpec spec, Flame flame) => new(
        MendCode.FlameTo, [new(QuantityName.Flame, (int)flame, "")], Pan: spec with { On = spec.Cookware with { Flame = flame } });

    private static Mend[]? Advised(PanSpec spec, PanSheet pan, bool better) => pan.Program is { Own: true, Advised.Count: > 0 } && better
        ? [new(MendCode.AsAdvised, [Quantity.Count(QuantityName.Turns, pan.Program.Advised.Count)], Pan: spec with { Own = null })]
        : null;

    private static Note Say(NoteCode code, Severity severity, IReadOnlyList<Quantity> quantities, string? item = null, IReadOnlyList<Mend>? mends = null) =>
        new(code, Stage.Pan, severity, quantities, item, mends);
}
