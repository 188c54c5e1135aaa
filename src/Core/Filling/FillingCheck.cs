using static Ystrata.Core.SpecPlaces;

namespace Ystrata.Core;

/// <summary>Decides whether a filling can be worked at all.</summary>
public static class FillingCheck
{
    public const int MostParts = 12, MostSteps = 10;

    // A binder with more water than this binds nothing, percent.
    private const double WetBinder = 25;

    // A wall thinner than this is none, mm.
    private const double NoWall = 0.2;

    /// <summary>Every figure by itself.</summary>
    public static void Figures(FillingSpec spec, Larder larder, List<Refusal> refusals)
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

            OfKind(at + ".id", spec.Parts[i].Id, larder, refusals);
            InRange(at + ".mass", spec.Parts[i].Mass.Value, refusals);
            InRange(at + ".trim", spec.Parts[i].Trim.Value, refusals);
            Steps(spec.Parts[i].Steps, at + ".steps", larder, refusals);
        }

        Steps(spec.Together, "filling.together", larder, refusals);
        InRange("filling.saltWanted", spec.SaltWanted.Value, refusals);
        InRange("filling.wall.share", spec.Wall.Share.Value, refusals);
    }

    /// <summary>Whether weights and geometry can be, once every figure stands by itself.</summary>
    public static void Work(BatchSpec spec, FillingSpec filling, Stuffed stuffed, Larder larder, List<Refusal> refusals)
    {
        var made = stuffed.Made!;
        for (var i = 0; i < filling.Parts.Count; i++)
        {
            Weights(made.Parts[i].Start, filling.Parts[i].Steps, made.Parts[i].Rows, $"filling.parts[{i}].steps", refusals);
        }

        Weights(made.Together, filling.Together, made.Rows, "filling.together", refusals);
        if (refusals.Count > 0)
        {
            return;
        }

        if (made.End.Mass.Value < 1)
        {
            refusals.Add(new("filling.parts", RefusalCode.NothingLeft, made.End.Mass.Value, 1, null, Grams.Unit));
            return;
        }

        var density = Round.DensityOf(spec.Dough);
        var parcel = Parcel.Of(filling.Wall, spec.Roll.Diameter, BallsStage.WantedBall(stuffed.Spec), density, made.End, FlourMix.Of(spec.Dough.Flours, larder), 1);
        if (parcel.Wall.Value < NoWall)
        {
            refusals.Add(new("filling.wall.share", RefusalCode.NoWall, parcel.Wall.Value, NoWall, null, Millimetres.Unit));
        }
        else if (filling.Wall.Share.Value > parcel.MostShare.Value * 1.5)
        {
            refusals.Add(new("filling.wall.share", RefusalCode.FillingTooBig, filling.Wall.Share.Value, null, Math.Floor(parcel.MostShare.Value * 1.5), Percent.Unit));
        }
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
                if (step is SqueezeStep or SauteStep or SweetenStep && after.Value > there + added + 0.05)
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

    private static void Steps(IReadOnlyList<FillingStep> steps, string field, Larder larder, List<Refusal> refusals)
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
                OfKind($"{at}.{name}", id, larder, refusals);
            }

            if (steps[i] is BindStep s && larder.TryGet(s.Binder, out var binder) && binder!.Water.Value > WetBinder)
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
