namespace Ystrata.Core.Dough;

public static class DoughNotes
{
    // Usual ranges, percent of flour (work.md 1): over them it shows.
    private static readonly Percent MostSugar = new(6), MostPowder = new(1.5), MostYeast = new(0.5);

    // A dough with less fat than this hardens as it cools; what most take, percent of flour (empirical).
    private static readonly Percent LeastFat = new(1), UsualFat = new(3);

    // A ball that many percent off the one wanted is worth a word.
    private const double WorthSaying = 4;

    internal static IEnumerable<Note> Of(CheckedBatch batch, DoughSheet dough)
    {
        var (spec, solved) = (batch.Spec, batch.Dough);
        // What hangs on a question comes before what follows from its answer.
        foreach (var note in CupNotes.Of(batch, dough))
        {
            yield return note;
        }

        var (code, severity) = dough.Water.Feel switch
        {
            DoughFeel.Stiff => (NoteCode.DoughStiff, Severity.Wrong),
            DoughFeel.FirmSide => (NoteCode.DoughFirmSide, Severity.Watch),
            DoughFeel.OnTarget => (NoteCode.DoughOnTarget, Severity.Right),
            DoughFeel.SoftSide => (NoteCode.DoughSoftSide, Severity.Watch),
            DoughFeel.Sticky => (NoteCode.DoughSticky, Severity.Wrong),
            DoughFeel.Pours => (NoteCode.BatterPours, Severity.Right),
            DoughFeel.TooThick => (NoteCode.BatterTooThick, Severity.Wrong),
            DoughFeel.TooThin => (NoteCode.BatterTooThin, Severity.Wrong),
            _ => (NoteCode.DoughBatter, Severity.Wrong),
        };
        yield return new(
            code,
            Stage.Dough,
            severity,
            [
                Quantity.Of(QuantityName.Hydration, dough.Water.Hydration),
                Quantity.Of(QuantityName.Gap, new Percent(Math.Abs(dough.Water.Gap.Value))),
                Quantity.Of(QuantityName.Right, dough.Water.Right),
            ],
            Mends: severity == Severity.Right || WaterTo(batch, dough) is not { } water ? null : [water]);

        if (!batch.Route.Poured && dough.Content.Fat.Value < LeastFat.Value)
        {
            yield return new(NoteCode.DoughLean, Stage.Dough, Severity.Watch, [Quantity.Of(QuantityName.Fat, dough.Content.Fat), Quantity.Of(QuantityName.Least, LeastFat)], Mends: [FatTo(spec.Dough)]);
        }

        if (solved.PlannedBall / solved.Wanted is var even && Math.Abs(even - 1) * 100 > WorthSaying && DoughSolver.PiecesOf(spec.Start) is null)
        {
            yield return new(NoteCode.BallsEvened, Stage.Dough, Severity.Watch,
                [Quantity.Count(QuantityName.Count, solved.Count), Quantity.Of(QuantityName.Ball, solved.PlannedBall), Quantity.Of(QuantityName.Wanted, solved.Wanted)]);
        }

        foreach (var note in Salts(spec.Dough, dough).Concat(Sweets(dough)).Concat(Leavens(batch)).Concat(Cautions(batch)))
        {
            yield return note;
        }
    }

    // The water that gives the feel wanted; what was told of the bowl no longer holds. Where every liquid is poured as told, the wettest is poured otherwise.
    private static Mend? WaterTo(CheckedBatch batch, DoughSheet dough)
    {
        var spec = batch.Spec.Dough;
        var to = new Percent(Math.Round(dough.Water.Right.Value * 2) / 2);
        var wet = spec.WaterBy != WaterBy.Liquids ? spec with { WaterBy = spec.WaterBy == WaterBy.Feel ? WaterBy.Feel : WaterBy.Hydration, Hydration = to } : Poured(batch, to - dough.Water.Hydration);
        if (wet is null)
        {
            return null;
        }

        // Where other lines carry most of the water, it can be out of reach.
        var mend = new Mend(MendCode.WaterTo, [Quantity.Of(QuantityName.Water, to)], Dough: wet with { Mix = spec.Mix with { WentIn = null } });
        return Planner.Check(mend.On(batch.Spec), batch.Kitchen).Value is { } mended && Math.Abs(DoughStage.Work(mended).Water.Gap.Value) < Math.Abs(dough.Water.Gap.Value) ? mend : null;
    }

    private static DoughSpec? Poured(CheckedBatch batch, Percent more)
    {
        var (spec, bowl, flour) = (batch.Spec.Dough, batch.Dough.Bowl, batch.Dough.Flour);
        if (spec.Liquids.Count == 0)
        {
            return null;
        }

        var at = Enumerable.Range(0, spec.Liquids.Count).MaxBy(i => batch.Dough.Grams[spec.Flours.Count + i] * bowl.Lines[spec.Flours.Count + i].Item.Water.Fraction);
        // Of this liquid, percent of flour; the other figure of the amount follows.
        var share = 100 * batch.Dough.Grams[spec.Flours.Count + at] / flour.Value + more.Value / bowl.Lines[spec.Flours.Count + at].Item.Water.Fraction;
        return share < 0 ? null : spec with
        {
            Liquids = [.. spec.Liquids.Select((l, i) => i == at ? l with { Amount = l.Amount with { Share = new(Math.Round(share, 1)), Mass = new(Math.Round(flour.Value * share / 100)) } } : l)],
        };
    }

    private static Mend SaltTo(DoughSpec spec, Range<Percent> good)
    {
        var to = new Percent(Math.Round((good.Least.Value + good.Most.Value) * 5) / 10);
        return new(MendCode.SaltTo, [Quantity.Of(QuantityName.Salt, to)], Dough: spec with { Salt = spec.Salt with { Amount = Amount.OfFlour(to.Value) } });
    }

    private static Mend FatTo(DoughSpec spec) =>
        new(MendCode.DoughFatTo, [Quantity.Of(QuantityName.Fat, UsualFat)], Dough: spec with { Fat = spec.Fat with { Amount = Amount.OfFlour(UsualFat.Value) } });

    private static IEnumerable<Note> Salts(DoughSpec spec, DoughSheet dough)
    {
        var (leastSalt, mostSalt) = dough.Content.SaltGood;
        if (dough.Content.Salt.Value < leastSalt.Value)
        {
            yield return new(NoteCode.SaltLow, Stage.Dough, Severity.Watch, [Quantity.Of(QuantityName.Salt, dough.Content.Salt), Quantity.Of(QuantityName.Least, leastSalt)], Mends: [SaltTo(spec, dough.Content.SaltGood)]);
        }
        else if (dough.Content.Salt.Value > mostSalt.Value)
        {
            yield return new(NoteCode.SaltHigh, Stage.Dough, Severity.Watch, [Quantity.Of(QuantityName.Salt, dough.Content.Salt), Quantity.Of(QuantityName.Most, mostSalt)], Mends: [SaltTo(spec, dough.Content.SaltGood)]);
        }
    }

    private static IEnumerable<Note> Sweets(DoughSheet dough)
    {
        if (dough.Content.Sugar.Value > MostSugar.Value)
        {
            yield return new(NoteCode.SugarHigh, Stage.Dough, Severity.Watch, [Quantity.Of(QuantityName.Sugar, dough.Content.Sugar), Quantity.Of(QuantityName.Most, MostSugar)]);
        }
    }

    private static IEnumerable<Note> Leavens(CheckedBatch batch)
    {
        foreach (var (line, grams) in batch.Dough.Bowl.Lines.Zip(batch.Dough.Grams))
        {
            var (most, code) = line.Item.Is(Trait.Yeast) ? (MostYeast, NoteCode.MuchYeast) : (MostPowder, NoteCode.MuchPowder);
            var share = new Percent(100 * grams / batch.Dough.Flour.Value);
            if (line.Item.Leavens && share.Value > most.Value)
            {
                yield return new(code, Stage.Dough, Severity.Watch, [Quantity.Of(QuantityName.Share, share), Quantity.Of(QuantityName.Most, most)], line.Item.Id);
            }
        }
    }

    private static IEnumerable<Note> Cautions(CheckedBatch batch)
    {
        bool Has(Trait trait) => batch.Dough.InIt.Any(i => i.Is(trait));
        if (Has(Trait.RawRisk))
        {
            yield return new(NoteCode.RawEgg, Stage.Dough, Severity.Caution, []);
        }

        if (Has(Trait.NotForInfants))
        {
            yield return new(NoteCode.HoneyInfants, Stage.Dough, Severity.Caution, []);
        }

        if (batch.Dough.InIt.Any(i => i.Leavens) && batch.Spec.Rest.Place == RestPlace.Room)
        {
            yield return new(NoteCode.LeavenShortensRest, Stage.Rest, Severity.Watch, []);
        }

        yield return new(NoteCode.RawFlour, Stage.Dough, Severity.Caution, []);
    }
}
