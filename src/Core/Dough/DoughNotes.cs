namespace Ystrata.Core;

public static class DoughNotes
{
    private const string Egg = "egg", Yeast = "yeast-quick", Powder = "baking-powder", Honey = "honey";

    // Usual ranges, percent of flour (work.md 1): over them it shows.
    private static readonly Percent MostSugar = new(6), MostPowder = new(1.5), MostYeast = new(0.5);

    // A dough with less fat than this hardens as it cools; what most take, percent of flour (empirical).
    private static readonly Percent LeastFat = new(1), UsualFat = new(3);

    // A ball that many percent off the one wanted is worth a word.
    private const double WorthSaying = 4;

    public static IEnumerable<Note> Of(BatchSpec spec, DoughSheet dough, DoughSolution solved, Larder larder)
    {
        var (code, weight) = dough.Feel switch
        {
            DoughFeel.Stiff => (NoteCode.DoughStiff, Weight.Wrong),
            DoughFeel.FirmSide => (NoteCode.DoughFirmSide, Weight.Watch),
            DoughFeel.OnTarget => (NoteCode.DoughOnTarget, Weight.Right),
            DoughFeel.SoftSide => (NoteCode.DoughSoftSide, Weight.Watch),
            DoughFeel.Sticky => (NoteCode.DoughSticky, Weight.Wrong),
            DoughFeel.Pours => (NoteCode.BatterPours, Weight.Right),
            DoughFeel.TooThick => (NoteCode.BatterTooThick, Weight.Wrong),
            DoughFeel.TooThin => (NoteCode.BatterTooThin, Weight.Wrong),
            _ => (NoteCode.DoughBatter, Weight.Wrong),
        };
        yield return new(
            code,
            Stage.Dough,
            weight,
            [
                Quantity.Of("hydration", dough.Hydration),
                Quantity.Of("gap", new Percent(Math.Abs(dough.Gap.Value))),
                Quantity.Of("right", dough.HydrationOnTarget),
            ],
            Mends: weight == Weight.Right ? null : [WaterTo(spec.Dough, dough)]);

        if (spec.Dough.Feel != Feel.Batter && dough.Fat.Value < LeastFat.Value)
        {
            yield return new(NoteCode.DoughLean, Stage.Dough, Weight.Watch, [Quantity.Of("fat", dough.Fat), Quantity.Of("least", LeastFat)], Mends: [FatTo(spec.Dough)]);
        }

        if (solved.PlannedBall / Wanted(spec, dough) is var even && Math.Abs(even - 1) * 100 > WorthSaying && DoughSolver.PiecesOf(spec.Start) is null)
        {
            yield return new(NoteCode.BallsEvened, Stage.Dough, Weight.Watch,
                [Quantity.Count("count", solved.Count), Quantity.Of("ball", solved.PlannedBall), Quantity.Of("wanted", Wanted(spec, dough))]);
        }

        foreach (var note in Salts(spec.Dough, dough).Concat(Sweets(dough)).Concat(Leavens(dough)).Concat(Cautions(spec, dough, larder)))
        {
            yield return note;
        }
    }

    // The water that gives the feel wanted; what was told of the bowl no longer holds.
    private static Mend WaterTo(DoughSpec spec, DoughSheet dough)
    {
        var to = new Percent(Math.Round(dough.HydrationOnTarget.Value * 2) / 2);
        return new(
            MendCode.WaterTo,
            [Quantity.Of("water", to)],
            Dough: spec with { WaterBy = spec.WaterBy == WaterBy.Feel ? WaterBy.Feel : WaterBy.Hydration, Hydration = to, Mix = spec.Mix with { WentIn = null } });
    }

    private static Mend SaltTo(DoughSpec spec, Range<Percent> good)
    {
        var to = new Percent(Math.Round((good.Least.Value + good.Most.Value) * 5) / 10);
        return new(MendCode.SaltTo, [Quantity.Of("salt", to)], Dough: spec with { Salt = spec.Salt with { Amount = Amount.OfFlour(to.Value) } });
    }

    private static Mend FatTo(DoughSpec spec) =>
        new(MendCode.DoughFatTo, [Quantity.Of("fat", UsualFat)], Dough: spec with { Fat = spec.Fat with { Amount = Amount.OfFlour(UsualFat.Value) } });

    private static Grams Wanted(BatchSpec spec, DoughSheet dough) =>
        spec.Dough.Feel == Feel.Batter ? Vessels.Weigh(spec.Ladle.Volume, dough.Density) : BallsStage.WantedBall(spec);

    private static IEnumerable<Note> Salts(DoughSpec spec, DoughSheet dough)
    {
        var (leastSalt, mostSalt) = dough.SaltGood;
        if (dough.Salt.Value < leastSalt.Value)
        {
            yield return new(NoteCode.SaltLow, Stage.Dough, Weight.Watch, [Quantity.Of("salt", dough.Salt), Quantity.Of("least", leastSalt)], Mends: [SaltTo(spec, dough.SaltGood)]);
        }
        else if (dough.Salt.Value > mostSalt.Value)
        {
            yield return new(NoteCode.SaltHigh, Stage.Dough, Weight.Watch, [Quantity.Of("salt", dough.Salt), Quantity.Of("most", mostSalt)], Mends: [SaltTo(spec, dough.SaltGood)]);
        }
    }

    private static IEnumerable<Note> Sweets(DoughSheet dough)
    {
        if (dough.Sugar.Value > MostSugar.Value)
        {
            yield return new(NoteCode.SugarHigh, Stage.Dough, Weight.Watch, [Quantity.Of("sugar", dough.Sugar), Quantity.Of("most", MostSugar)]);
        }
    }

    private static IEnumerable<Note> Leavens(DoughSheet dough)
    {
        foreach (var (id, most, code) in new[] { (Powder, MostPowder, NoteCode.MuchPowder), (Yeast, MostYeast, NoteCode.MuchYeast) })
        {
            var share = new Percent(dough.Portions.Where(p => p.Id == id).Sum(p => p.Share.Value));
            if (share.Value > most.Value)
            {
                yield return new(code, Stage.Dough, Weight.Watch, [Quantity.Of("share", share), Quantity.Of("most", most)], id);
            }
        }
    }

    private static IEnumerable<Note> Cautions(BatchSpec spec, DoughSheet dough, Larder larder)
    {
        if (dough.Portions.Any(p => p.Id == Egg && p.Mass.Value > 0))
        {
            yield return new(NoteCode.RawEgg, Stage.Dough, Weight.Caution, []);
        }

        if (dough.Portions.Any(p => p.Id == Honey && p.Mass.Value > 0))
        {
            yield return new(NoteCode.HoneyInfants, Stage.Dough, Weight.Caution, []);
        }

        if (dough.Portions.Any(p => p.Part == Part.Addition && p.Mass.Value > 0 && larder[p.Id].Kind == IngredientKind.Leaven) && spec.Rest.Place == RestPlace.Room)
        {
            yield return new(NoteCode.LeavenShortensRest, Stage.Rest, Weight.Watch, []);
        }

        yield return new(NoteCode.RawFlour, Stage.Dough, Weight.Caution, []);
    }
}
