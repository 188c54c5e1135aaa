namespace Ystrata.Core.Learning;

/// <summary>What one cooking can teach.</summary>
public enum LessonKind
{
    /// <summary>Water a flour, or one bag of it, drank more than planned, points of flour.</summary>
    Thirst,

    /// <summary>Share of its water that a vegetable gives in a cloth, percent.</summary>
    Squeeze,

    /// <summary>Dough that stays in bowl and on hands, percent.</summary>
    BowlLoss,

    /// <summary>Seconds on the pan against the estimate, as a ratio.</summary>
    PanTime,

    /// <summary>Water that an open pan drives off a filling against the estimate, as a ratio.</summary>
    CookOff,

    /// <summary>Seconds of one kind of hand work.</summary>
    HandTime,

    /// <summary>How fast a face takes colour on a pan of this kind against the estimate, as a ratio.</summary>
    Browning,

    /// <summary>Water such a pan drives off a piece against the estimate, as a ratio.</summary>
    Steam,
}

/// <summary>One figure that one cooking teaches.</summary>
/// <param name="Of">The flour or vegetable by its larder id, or the hand work by its name, or the kind of pan; empty for what there is one of.</param>
public sealed record Lesson(LessonKind Kind, string Of, double Value);

/// <summary>Models.md H: what is taken from a record. Every figure is laid beside the plan as it would be without anything learned.</summary>
public static class Lessons
{
    // Farther off, something was misread or mistyped: nothing is learned from it (empirical).
    private const double MostThirst = 20, MostLoss = 25, MostPanTime = 3, MostCookOff = 6, MostOnPan = 4;

    // Hands that need longer were doing something else, s (empirical).
    private const double MostHandTime = 3600;

    // A step that was to take less away than this, percent, tells nothing of the squeeze.
    private const double LeastGone = 2;

    /// <param name="spec">As it was cooked.</param>
    /// <param name="kitchen">As it is without anything learned.</param>
    /// <returns>Nothing from a batch that does not count, or that can no longer be worked.</returns>
    public static IReadOnlyList<Lesson> Of(BatchSpec spec, Outcome outcome, Kitchen kitchen)
    {
        if (!outcome.Counts || Planner.Plan(spec, kitchen with { Learned = Learned.Nothing }).Value is not { } sheet)
        {
            return [];
        }

        return
        [
            .. Thirst(spec, sheet, outcome.Used, kitchen),
            .. Loss(sheet, outcome.Used),
            .. Squeezes(spec, outcome, kitchen),
            .. CookOff(spec, outcome, kitchen),
            .. PanTime(spec, sheet, outcome.Timed, kitchen),
            .. OnPan(spec, sheet, outcome, kitchen),
            .. (outcome.Hands ?? []).Select(h => new Lesson(LessonKind.HandTime, h.Work.ToString(), h.Each.Value)),
        ];
    }

    /// <summary>Whether a figure is one that a cooking can teach.</summary>
    public static bool Stands(Lesson lesson) => lesson.Of.Length <= IngredientCheck.LongestName && lesson.Kind switch
    {
        LessonKind.Thirst => Math.Abs(lesson.Value) <= MostThirst,
        LessonKind.Squeeze => lesson.Value is >= 0 and <= 100,
        LessonKind.BowlLoss => lesson.Value is >= 0 and <= MostLoss,
        LessonKind.CookOff => lesson.Value is <= MostCookOff and >= 1 / MostCookOff,
        LessonKind.Browning or LessonKind.Steam => Enum.TryParse<PanKind>(lesson.Of, out _) && lesson.Value is <= MostOnPan and >= 1 / MostOnPan,
        LessonKind.PanTime => lesson.Value is <= MostPanTime and >= 1 / MostPanTime,
        _ => Enum.TryParse<HandWork>(lesson.Of, out _) && lesson.Value is >= 0 and <= MostHandTime,
    };

    // A mix teaches the flour there is most of.
    private static IEnumerable<Lesson> Thirst(BatchSpec spec, BatchSheet sheet, Used used, Kitchen kitchen)
    {
        var planned = Planned.Of(spec, sheet);
        if (used.Liquid is not { } liquid || spec.Dough.Feel == Feel.Batter || planned.Liquid.Value <= 0 || used.Flour is { Value: <= 0 })
        {
            yield break;
        }

        var rest = spec.Dough.Liquids.FirstOrDefault(l => l.Amount.By == AmountBy.Rest) ?? spec.Dough.Liquids[0];
        var water = kitchen[rest.Id].Water.Fraction;
        var points = 100 * water * (liquid / (used.Flour ?? planned.Flour) - planned.Liquid / planned.Flour);
        if (Math.Abs(points) <= MostThirst)
        {
            yield return new(LessonKind.Thirst, spec.Dough.Flours.MaxBy(f => f.Parts)!.Id, points);
        }
    }

    private static IEnumerable<Lesson> Loss(BatchSheet sheet, Used used)
    {
        if (used.Dough is not { } dough)
        {
            yield break;
        }

        double More(DoughPart part, Grams? really) => really is { } r ? r.Value - sheet.Dough.Portions.Where(p => p.Part == part).Sum(p => p.Mass.Value) : 0;
        var mixed = sheet.Dough.Portions.Sum(p => p.Mass.Value)
            + More(DoughPart.Flour, used.Flour) + More(DoughPart.Liquid, used.Liquid) + More(DoughPart.Fat, used.DoughFat) + More(DoughPart.Salt, used.Salt);
        var loss = 100 * (1 - dough.Value / mixed);
        if (loss is >= 0 and <= MostLoss)
        {
            yield return new(LessonKind.BowlLoss, "", loss);
        }
    }

    private static IEnumerable<Lesson> Squeezes(BatchSpec spec, Outcome outcome, Kitchen kitchen)
    {
        foreach (var yield in outcome.Yields ?? [])
        {
            // What was joined before it was squeezed tells nothing of one of its parts.
            if (Place(yield.Step)?.Part is not null && StepAt(spec.Filling, yield.Step) is SqueezeStep { By: not SqueezeBy.Drain } && kitchen.TryGet(yield.Id, out var item) && item!.Squeeze is { } squeeze
                && PlannedLeft(spec, yield.Step, kitchen) is { } left && 100 - left >= LeastGone)
            {
                yield return new(LessonKind.Squeeze, yield.Id, Math.Clamp(squeeze.Value * (100 - yield.Left.Value) / (100 - left), 0, 100));
            }
        }
    }

    // Where less than this of what the pan could drive off was free, the weights tell of the vegetable and not of the pan (empirical).
    private const double MostlyFree = 0.8;

    // What was stirred for so long and weighed before and after.
    private static IEnumerable<Lesson> CookOff(BatchSpec spec, Outcome outcome, Kitchen kitchen)
    {
        var rates = (outcome.Yields ?? []).Select(y => Driven(spec, y, kitchen)).OfType<double>().Where(r => r is <= MostCookOff and >= 1 / MostCookOff).ToList();
        if (rates.Count > 0)
        {
            yield return new(LessonKind.CookOff, "", rates.Average());
        }
    }

    private static double? Driven(BatchSpec spec, StepYield yield, Kitchen kitchen)
    {
        if (StepAt(spec.Filling, yield.Step) is not { CooksOff: { } over } step || over <= 0)
        {
            return null;
        }

        var (before, row) = RowAt(spec.Filling!, yield.Step, kitchen with { Learned = Learned.Nothing });
        var planned = (before + row.Added - row.Planned).Value;
        var gone = (before + row.Added - before * yield.Left.Fraction).Value;
        return planned > 0 && planned >= over * MostlyFree ? gone / planned : null;
    }

    private static FillingStep? StepAt(FillingSpec? filling, string step) => filling is not null && Place(step) is var (part, at) ? Steps(filling, part).ElementAtOrDefault(at) : null;

    private static IReadOnlyList<FillingStep> Steps(FillingSpec filling, int? part) => part is { } p && p < filling.Parts.Count ? filling.Parts[p].Steps : part is null ? filling.Together : [];

    // The part, or nothing for what was joined, and the step of it.
    private static (int? Part, int Step)? Place(string step) =>
        step.Split('-') is [var part, var at] && int.TryParse(at, out var s) && s >= 0
            ? part == "together" ? (null, s) : int.TryParse(part, out var p) && p >= 0 ? (p, s) : null
            : null;

    // What there was before a step, and what the larder alone makes of it.
    private static (Grams Before, FillingRow Row) RowAt(FillingSpec filling, string step, Kitchen kitchen)
    {
        var (part, at) = Place(step)!.Value;
        var made = FillingStage.Make(filling, kitchen);
        var (rows, start) = part is { } p ? (made.Parts[p].Rows, made.Parts[p].Start) : (made.Rows, made.Together);
        return (Steps(filling, part)[at].Before ?? (at == 0 ? start.Mass : rows[at - 1].State.Mass), rows[at]);
    }

    // What the larder alone would have left, percent of what was there.
    private static double? PlannedLeft(BatchSpec spec, string step, Kitchen kitchen)
    {
        var (before, row) = RowAt(spec.Filling!, step, kitchen);
        return before.Value > 0 ? 100 * (row.Planned / before) : null;
    }

    // Paler than this, or so dark, a photo tells the pace of browning too badly (empirical).
    private const double LeastDark = 0.15, MostDark = 2.8;

    // A scale tells nothing of less steam than this, g.
    private const double LeastSteam = 1;

    // What the faces' photos and the scale tell of the pan, with the stays as they really were.
    private static IEnumerable<Lesson> OnPan(BatchSpec spec, BatchSheet planned, Outcome outcome, Kitchen kitchen)
    {
        var (faces, weighed) = (outcome.Faces ?? [], outcome.Used is { Raw: not null, Roasted: not null });
        if ((faces.Count == 0 && !weighed) || planned.Pan.Program.Turns.Count == 0
            || Planner.Plan(spec with { Pan = AsTimed(spec.Pan, planned.Pan.Program.Turns, outcome.Timed) }, kitchen with { Learned = Learned.Nothing }).Value is not { } sheet)
        {
            yield break;
        }

        var pan = sheet.Pan.Heat.On.Kind.ToString();
        var ratios = FaceColours.Of(faces, FaceColours.HueOf(sheet.Dough, kitchen))
            .Where(c => c is { Trouble: FaceTrouble.None, Is: not FaceIs.Raw, Dark: >= LeastDark and <= MostDark })
            .Select(c => (Seen: c.Dark, Planned: c.Is == FaceIs.First ? sheet.Pan.Done.First : sheet.Pan.Done.Second))
            .Where(c => c.Planned >= LeastDark).Select(c => c.Seen / c.Planned).ToList();
        if (ratios.Count > 0 && ratios.Average() is <= MostOnPan and >= 1 / MostOnPan and var browning)
        {
            yield return new(LessonKind.Browning, pan, browning);
        }

        // Fat that stays on it comes on top of what it weighed.
        var fat = sheet.Piece.Out.Mass - sheet.Piece.Raw.Mass * (1 - sheet.Pan.Done.Lost.Fraction);
        if (outcome.Used is { Raw: { } raw, Roasted: { } roasted } && sheet.Pan.Done.Lost.Fraction * raw.Value is >= LeastSteam and var steam
            && (raw + fat - roasted).Value / steam is <= MostOnPan and >= 1 / MostOnPan and var driven)
        {
            yield return new(LessonKind.Steam, pan, driven);
        }
    }

    // The stays that were timed, in place of those that were planned.
    private static PanSpec AsTimed(PanSpec pan, IReadOnlyList<Turn> turns, Timed timed)
    {
        Seconds? Really(int i) => i == 0 ? timed.FirstSide : i == turns.Count - 1 && i > 1 ? timed.LastSide : i == 1 ? timed.SecondSide : null;
        return pan with
        {
            Measured = timed.Pan ?? pan.Measured,
            Own = [.. turns.Take(PanSpec.MostStays).Select((t, i) => new Stay(Really(i) is { Value: > 0 } really ? really : t.Time, t.Fat))],
        };
    }

    private static IEnumerable<Lesson> PanTime(BatchSpec spec, BatchSheet sheet, Timed timed, Kitchen kitchen)
    {
        Seconds?[] really = [timed.FirstSide, timed.SecondSide, timed.LastSide];
        if (really.All(r => r is null) || really.Any(r => r is { Value: <= 0 }))
        {
            yield break;
        }

        // What the estimate would have been on the pan as it was, whatever the cook had in mind.
        var on = spec with { Pan = spec.Pan with { Own = null, Measured = timed.Pan ?? spec.Pan.Measured } };
        var estimated = on == spec ? sheet : Planner.Plan(on, kitchen with { Learned = Learned.Nothing }).Value;
        if (estimated is null || estimated.Pan.Program.Turns.Count == 0)
        {
            yield break;
        }

        var sides = Planned.Of(on, estimated).Sides;
        var both = sides.Zip(really).Where(s => s.Second is not null).ToList();
        var ratio = both.Sum(s => s.Second!.Value.Value) / both.Sum(s => s.First.Value);
        if (both.Count > 0 && ratio is <= MostPanTime and >= 1 / MostPanTime)
        {
            yield return new(LessonKind.PanTime, "", ratio);
        }
    }
}
