using static Ystrata.Core.Planning.SpecPlaces;

namespace Ystrata.Core.Filling;

/// <summary>Decides whether a filling can be worked at all.</summary>
public static class FillingCheck
{
    public const int MostParts = 12, MostSteps = 10;

    // A binder with more water than this binds nothing, percent.
    private const double WetBinder = 25;

    // A wall thinner than this is none, mm.
    private const double NoWall = 0.2;

    /// <summary>Every figure by itself.</summary>
    public static void Figures(FillingSpec spec, Kitchen kitchen, List<Refusal> refusals)
    {
        if (spec.Parts.Count is 0 or > MostParts)
        {
            refusals.Add(new("filling.parts", RefusalCode.TooMany, spec.Parts.Count, 1, MostParts));
        }

        for (var i = 0; i < Math.Min(spec.Parts.Count, MostParts); i++)
        {
            var at = $"filling.parts[{i}]";
            if (!Stands(spec.Parts[i], at, refusals))
            {
                continue;
            }

            OfKind(at + ".id", spec.Parts[i].Id, kitchen, refusals);
            InRange(at + ".mass", spec.Parts[i].Mass.Value, refusals);
            InRange(at + ".trim", spec.Parts[i].Trim.Value, refusals);
            Steps(spec.Parts[i].Steps, at + ".steps", kitchen, refusals);
        }

        Steps(spec.Together, "filling.together", kitchen, refusals);
        InRange("filling.saltWanted", spec.SaltWanted.Value, refusals);
        InRange("filling.wall.share", spec.Wall.Share.Value, refusals);
        if (spec.Wall.Drops is { } drops)
        {
            OfKind("filling.wall.drops.fat", drops.Fat, kitchen, refusals);
            InRange("filling.wall.drops.mass", drops.Mass.Value, refusals);
        }
    }

    /// <summary>Whether what was weighed can be, once every figure stands by itself.</summary>
    internal static void Work(FillingSpec filling, FillingMade made, List<Refusal> refusals)
    {
        for (var i = 0; i < filling.Parts.Count; i++)
        {
            Weights(made.Parts[i].Start, filling.Parts[i].Steps, made.Parts[i].Rows, $"filling.parts[{i}].steps", refusals);
        }

        Weights(made.Together, filling.Together, made.Rows, "filling.together", refusals);
        if (refusals.Count == 0 && made.End.Mass.Value < 1)
        {
            refusals.Add(new("filling.parts", RefusalCode.NothingLeft, made.End.Mass.Value, 1, null, Grams.Unit));
        }
    }

    /// <summary>Whether the dough goes round it at all.</summary>
    internal static Refusal? Wall(BatchSpec spec, Stuffing? stuffing, DoughSolution dough, FlourMix mix)
    {
        if (stuffing is null || spec.Filling is not { Wall: var wall })
        {
            return null;
        }

        var parcel = Parcel.Of(wall, spec.Roll.Diameter, dough.Wanted / (Parcel.IsFolded(wall.Shape) ? Shaping.MadeBy(spec.Fold.Steps) : 1), dough.Bowl.DoughDensity, stuffing.Made.End, mix, 1);
        var most = Math.Floor(parcel.MostShare.Value * 1.5);
        return parcel.Wall.Value < NoWall ? new("filling.wall.share", RefusalCode.NoWall, parcel.Wall.Value, NoWall, null, Millimetres.Unit)
            : wall.Share.Value > parcel.MostShare.Value * 1.5 ? new("filling.wall.share", RefusalCode.FillingTooBig, wall.Share.Value, null, most, Percent.Unit)
            : null;
    }

    private static void Weights(FillingState start, IReadOnlyList<FillingStep> steps, IReadOnlyList<FillingRow> rows, string field, List<Refusal> refusals)
    {
        var now = start;
        for (var i = 0; i < steps.Count; i++)
        {
            var (step, row) = (steps[i], rows[i]);
            var there = (step.Before ?? now.Mass).Value;
            var at = $"{field}[{i}].after";
            if (step.After is { } after)
            {
                var added = row.Added.Value;
                if (step.TakesAway && after.Value > there + added + 0.05)
                {
                    refusals.Add(new(at, RefusalCode.Heavier, after.Value, null, Math.Round(there + added, 1), Grams.Unit));
                    return;
                }

                if (row.State.Water.Value < -0.05)
                {
                    refusals.Add(new(at, RefusalCode.NoWaterLeft, after.Value, Math.Ceiling((row.State.Mass - row.State.Water).Value), null, Grams.Unit));
                    return;
                }
            }

            now = row.State;
        }
    }

    private static void Steps(IReadOnlyList<FillingStep> steps, string field, Kitchen kitchen, List<Refusal> refusals)
    {
        if (steps.Count > MostSteps)
        {
            refusals.Add(new(field, RefusalCode.TooMany, steps.Count, 0, MostSteps));
            return;
        }

        for (var i = 0; i < steps.Count; i++)
        {
            var at = $"{field}[{i}]";
            if (!Stands(steps[i], at, refusals))
            {
                continue;
            }

            foreach (var (name, value) in Weights(steps[i]).Concat(steps[i].Figures))
            {
                InRange($"{at}.{name}", value, refusals);
            }

            foreach (var (name, id) in steps[i].Ids)
            {
                OfKind($"{at}.{name}", id, kitchen, refusals);
            }

            if (steps[i] is BindStep s && kitchen.TryGet(s.Binder, out var binder) && binder!.Water.Value > WetBinder)
            {
                refusals.Add(new($"{at}.binder", RefusalCode.WetBinder, binder.Water.Value, null, WetBinder, Percent.Unit, s.Binder));
            }
        }
    }

    private static IEnumerable<(string Name, double Value)> Weights(FillingStep step)
    {
        if (step.Before is { } before)
        {
            yield return ("before", before.Value);
        }

        if (step.After is { } after)
        {
            yield return ("after", after.Value);
        }
    }
}
