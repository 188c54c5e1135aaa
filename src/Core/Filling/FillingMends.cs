namespace Ystrata.Core.Filling;

/// <summary>The smallest changes that bring a filling right, each tried out on the ledger itself.</summary>
public sealed class FillingMends(FillingSpec spec, FillingMade made, Kitchen kitchen)
{
    // Longest a pan is stirred by a mend, minutes; longest a salted vegetable is left.
    private const double LongestStir = 60, LongestSalt = 20, LongestCool = 720;

    // Free water that a loose filling is brought back to, percent of mass: the middle of what holds.
    private const double Middle = -1.5;

    /// <summary>Against free water: squeeze harder, wait longer, stir longer, bind. The gentlest on the taste first.</summary>
    public IReadOnlyList<Mend> AgainstWater() => [.. new[] { SaltLast(), Squeeze(), Salted(), Stirred(), Bound(0), Bound(1) }.OfType<Mend>().Take(3)];

    /// <summary>Against what is loose: something wet.</summary>
    public IReadOnlyList<Mend> AgainstLoose() => Moistened() is { } wetter ? [wetter] : [];

    /// <summary>Salt to what was asked for, as the last thing that goes in.</summary>
    public Mend? Seasoned(Grams toAdd) => toAdd.Value < 0.05 || spec.Together.Count >= FillingCheck.MostSteps ? null : Of(
        MendCode.SeasonFilling,
        [Quantity.Of(QuantityName.Mass, Tenth(toAdd))],
        WithTogether([.. spec.Together, new SeasonStep(Staples.Salt, Tenth(toAdd))]));

    /// <summary>Everything so many times, so that it comes out with the dough.</summary>
    public static Mend Scaled(FillingSpec spec, double times) => Of(MendCode.FillingTimes, [Quantity.Of(QuantityName.Times, Percent.FromFraction(times))], Rounded(Balance.Times(spec, times)));

    /// <summary>So much filling in each piece that none is left.</summary>
    public static Mend Shared(FillingSpec spec, Percent share) => Of(
        MendCode.ShareTo, [Quantity.Of(QuantityName.Share, share)], spec with { Wall = spec.Wall with { Share = share } });

    /// <summary>Salt that draws and is not squeezed out goes in last; nothing where it does, or where that does not help.</summary>
    public Mend? SaltLast()
    {
        bool Salts(FillingStep step) => step is SaltStep || (step is SeasonStep s && kitchen[s.Item].Kind == IngredientKind.Salt);
        var squeezed = spec.Together.Any(s => s is SqueezeStep);
        bool Stays(IReadOnlyList<FillingStep> steps, int i, bool joined) =>
            Salts(steps[i]) && (joined || !squeezed) && !steps.Skip(i + 1).Any(s => s is SqueezeStep) && !(joined && i == steps.Count - 1 && steps[i] is SeasonStep);
        Grams Added(IReadOnlyList<FillingStep> steps, IReadOnlyList<FillingRow> rows, bool joined) => steps.Select((_, i) => Stays(steps, i, joined) ? rows[i].Added : default).Aggregate(Grams.Zero, (a, b) => a + b);
        IReadOnlyList<FillingStep> Without(IReadOnlyList<FillingStep> steps, bool joined) => [.. steps.Where((_, i) => !Stays(steps, i, joined))];

        var salt = spec.Parts.Zip(made.Parts).Aggregate(Added(spec.Together, made.Rows, true), (sum, p) => sum + Added(p.First.Steps, p.Second.Rows, false));
        if (salt.Value < 0.05 || spec.Together.Count >= FillingCheck.MostSteps)
        {
            return null;
        }

        var last = spec with
        {
            Parts = [.. spec.Parts.Select(p => p with { Steps = Without(p.Steps, false) })],
            Together = [.. Without(spec.Together, true), new SeasonStep(Staples.Salt, Tenth(salt))],
        };
        return Less(last) ? Of(MendCode.SaltLast, [Quantity.Of(QuantityName.Mass, Tenth(salt))], last) : null;
    }

    /// <summary>Whether it weeps later by a minute at least, or not at all.</summary>
    internal bool HoldsLonger(Mend mend, Minutes until) => End(mend.Filling!) is var end && FillingStage.FeelOf(end) != FillingFeel.Weeps
        && !(FillingStage.HoldsFor(end) is { } then && Math.Floor(then.Value) < Math.Floor(until.Value) + 1);

    public Mend Chopped(Millimetres grain)
    {
        FillingStep Finer(FillingStep step) => step is ChopStep s && s.Grain.Value > grain.Value ? s with { Grain = grain } : step;
        // A part that was never cut is chopped first of all.
        IReadOnlyList<FillingStep> Steps(IReadOnlyList<FillingStep> steps, bool cut) =>
            cut || steps.Any(s => s is ChopStep) ? [.. steps.Select(Finer)] : [new ChopStep(ChopBy.Chop, grain), .. steps];
        return Of(MendCode.ChopFilling, [Quantity.Of(QuantityName.Grain, grain)], spec with
        {
            Parts = [.. spec.Parts.Zip(made.Parts).Select(p => p.First with { Steps = Steps(p.First.Steps, EndOf(p.Second).Grain.Value <= grain.Value) })],
            Together = [.. spec.Together.Select(Finer)],
        });
    }

    public Mend? Cooled(double below)
    {
        for (var minutes = 10; minutes <= 120; minutes += 5)
        {
            var cooler = WithTogether(spec.Together.Count > 0 && spec.Together[^1] is CoolStep last
                ? [.. spec.Together.SkipLast(1), last with { Time = new(last.Time.Value + minutes) }]
                : [.. spec.Together, new CoolStep(new(minutes), RestPlace.Room)]);
            if (spec.Together.Count < FillingCheck.MostSteps && End(cooler).Temperature.Value <= below)
            {
                return Of(MendCode.CoolFilling, [Quantity.Of(QuantityName.Time, new Minutes(minutes))], cooler);
            }
        }

        return null;
    }

    /// <summary>Where what is hot cools too slowly: the mass, how it lies, and the fewest trays that bring it through in time; nothing for the trays where none do.</summary>
    internal IEnumerable<(FillingState Hot, Cooling Cooling, Mend? Trays)> Slow()
    {
        for (var p = 0; p <= spec.Parts.Count; p++)
        {
            var joined = p == spec.Parts.Count;
            var (steps, rows, start) = joined ? (spec.Together, made.Rows, made.Together) : (spec.Parts[p].Steps, made.Parts[p].Rows, made.Parts[p].Start);
            for (var i = 0; i < steps.Count; i++)
            {
                var before = i == 0 ? start : rows[i - 1].State;
                if (steps[i] is not CoolStep cool || before.Temperature.Value < WarmTime.To.Value || Cooling.Of(before, cool.Place, cool.Trays) is not { } now || now.Through.Value <= WarmTime.Limit.Value)
                {
                    continue;
                }

                var trays = Enumerable.Range(cool.Trays + 1, CoolStep.MostTrays - cool.Trays).Cast<int?>().FirstOrDefault(n => Cooling.Of(before, cool.Place, n!.Value).Through.Value <= WarmTime.Limit.Value);
                IReadOnlyList<FillingStep> With(int n) => [.. steps.Select((s, k) => k == i ? cool with { Trays = n } : s)];
                yield return (before, now, trays is not { } n ? null : Of(
                    MendCode.MoreTrays,
                    [Quantity.Count(QuantityName.Trays, n)],
                    joined ? WithTogether(With(n)) : spec with { Parts = [.. spec.Parts.Select((part, k) => k == p ? part with { Steps = With(n) } : part)] }));
            }
        }
    }

    /// <summary>Kept in the fridge until it is wrapped, cold there first on the fewest trays that are hardly slower than many; what was to cool in the room cools there. Nothing where it is there already.</summary>
    internal static FillingSpec? Chilled(FillingSpec spec, FillingMade made)
    {
        const double hardly = 1.15;
        var last = spec.Together.Count > 0 ? spec.Together[^1] as CoolStep : null;
        if (last is { Chills: true } || (last is null && spec.Together.Count >= FillingCheck.MostSteps))
        {
            return null;
        }

        var hot = last is null ? made.End : made.Rows.Count > 1 ? made.Rows[^2].State : made.Together;
        double Cold(int trays) => Cooling.Of(hot, RestPlace.Fridge, trays).Until(hot.Temperature, WarmTime.From)!.Value.Value;
        var trays = Math.Max(Enumerable.Range(1, CoolStep.MostTrays).First(n => Cold(n) <= Cold(CoolStep.MostTrays) * hardly), last?.Trays ?? 1);
        var cool = new CoolStep(new(Math.Min(Math.Ceiling(Cold(trays) / 5) * 5, LongestCool)), RestPlace.Fridge, trays);
        return spec with { Together = [.. last is null ? spec.Together : spec.Together.SkipLast(1), cool] };
    }

    private static FillingState EndOf(FillingPartSheet part) => part.Rows.Count > 0 ? part.Rows[^1].State : part.Start;

    // By hand first becomes by cloth.
    private Mend? Squeeze()
    {
        FillingStep Harder(FillingStep step) => step is SqueezeStep { By: not SqueezeBy.Cloth, After: null } s ? s with { By = SqueezeBy.Cloth } : step;
        var harder = Everywhere(Harder);
        return Less(harder)
            ? Of(MendCode.SqueezeHarder, [Quantity.Of(QuantityName.Water, made.End.Free - End(harder).Free)], harder)
            : null;
    }

    private Mend? Salted()
    {
        FillingStep Longer(FillingStep step) => step is SaltStep { After: null } s && s.Time.Value < LongestSalt ? s with { Time = new(LongestSalt) } : step;
        var longer = Everywhere(Longer);
        return Less(longer)
            ? Of(MendCode.SaltLonger, [Quantity.Of(QuantityName.Time, new Minutes(LongestSalt)), Quantity.Of(QuantityName.Water, made.End.Free - End(longer).Free)], longer)
            : null;
    }

    // The last pan on the fire, minute by minute until it holds.
    private Mend? Stirred()
    {
        for (var minutes = 1; minutes <= LongestStir; minutes++)
        {
            FillingStep Longer(FillingStep step) => step switch
            {
                SauteStep { To: null, After: null } s => s with { Time = new(s.Time.Value + minutes) },
                SweetenStep { After: null } s => s with { Time = new(s.Time.Value + minutes) },
                _ => step,
            };
            var longer = LastOnly(Longer);
            if (longer is null)
            {
                return null;
            }

            if (FillingStage.FeelOf(End(longer)) is FillingFeel.Holds or FillingFeel.Loose)
            {
                return Of(MendCode.StirLonger, [Quantity.Of(QuantityName.Time, new Minutes(minutes))], longer);
            }
        }

        return null;
    }

    private Mend? Bound(int choice)
    {
        var has = spec.Together.OfType<BindStep>().Select(b => b.Binder);
        // One the filling has already comes first.
        var binder = has.Concat(Staples.Binders).Distinct().Where(id => kitchen.TryGet(id, out _)).ElementAtOrDefault(choice);
        if (binder is null || made.End.Free.Value <= 0)
        {
            return null;
        }

        var grams = new Grams(Math.Ceiling(made.End.Free.Value / BindStep.Drinks(kitchen[binder])));
        var at = spec.Together.Select((s, i) => (s, i)).FirstOrDefault(s => s.s is BindStep { After: null } b && b.Binder == binder, (null!, -1)).i;
        if (at < 0 && spec.Together.Count >= FillingCheck.MostSteps)
        {
            return null;
        }

        return Of(
            MendCode.BindMore,
            [Quantity.Of(QuantityName.Mass, grams)],
            WithTogether(at < 0
                ? [.. spec.Together, new BindStep(binder, grams)]
                : [.. spec.Together.Select((s, i) => i == at && s is BindStep b ? b with { Mass = b.Mass + grams } : s)]),
            binder);
    }

    // Water raises mass as well as what is free: m solves (free + m) / (mass + m) = middle. A paste holds with far less, as soon as its sugar sticks: the least that does is said.
    private Mend? Moistened()
    {
        var middle = Middle / 100;
        var most = Math.Ceiling(Math.Max((made.End.Mass.Value * middle - made.End.Free.Value) / (1 - middle), made.End.IsDryPaste ? made.End.Sugar.Value : 0));
        if (most <= 0 || spec.Together.Count >= FillingCheck.MostSteps)
        {
            return null;
        }

        FillingSpec With(double grams) => WithTogether([.. spec.Together, new MoistenStep(Staples.Water, new(grams))]);
        // The more water, the less loose: halved down to a gram.
        var (dry, least) = (0.0, most);
        while (least - dry > 1)
        {
            var grams = Math.Floor((dry + least) / 2);
            (dry, least) = FillingStage.FeelOf(End(With(grams))) == FillingFeel.Loose ? (grams, least) : (dry, grams);
        }

        return Of(MendCode.Moisten, [Quantity.Of(QuantityName.Mass, new Grams(least))], With(least), Staples.Water);
    }

    private FillingSpec WithTogether(IReadOnlyList<FillingStep> steps) => spec with { Together = steps };

    private FillingSpec Everywhere(Func<FillingStep, FillingStep> change) => spec with
    {
        Parts = [.. spec.Parts.Select(p => p with { Steps = [.. p.Steps.Select(change)] })],
        Together = [.. spec.Together.Select(change)],
    };

    // The last step of all that the change takes hold of.
    private FillingSpec? LastOnly(Func<FillingStep, FillingStep> change)
    {
        for (var i = spec.Together.Count - 1; i >= 0; i--)
        {
            if (change(spec.Together[i]) is var changed && changed != spec.Together[i])
            {
                return WithTogether([.. spec.Together.Select((s, k) => k == i ? changed : s)]);
            }
        }

        for (var p = spec.Parts.Count - 1; p >= 0; p--)
        {
            for (var i = spec.Parts[p].Steps.Count - 1; i >= 0; i--)
            {
                if (change(spec.Parts[p].Steps[i]) is var changed && changed != spec.Parts[p].Steps[i])
                {
                    return spec with
                    {
                        Parts = [.. spec.Parts.Select((part, k) => k == p ? part with { Steps = [.. part.Steps.Select((s, j) => j == i ? changed : s)] } : part)],
                    };
                }
            }
        }

        return null;
    }

    // Less of it is free, and also in proportion: what is pressed out makes the rest lighter.
    private bool Less(FillingSpec trial) => End(trial) is var end && end.Free < made.End.Free - new Grams(0.5) && end.FreeShare.Value < made.End.FreeShare.Value;

    private FillingState End(FillingSpec trial) => FillingStage.Make(trial, kitchen).End;

    private static Grams Tenth(Grams mass) => new(Math.Round(mass.Value, 1));

    // Nobody weighs a filling finer than a gram; up, so that the last piece is filled too.
    private static FillingSpec Rounded(FillingSpec spec) => spec with
    {
        Parts = [.. spec.Parts.Select(p => p with { Mass = new(Math.Max(Math.Ceiling(p.Mass.Value), 1)) })],
    };

    private static Mend Of(MendCode code, IReadOnlyList<Quantity> quantities, FillingSpec filling, string? item = null) =>
        new(code, quantities, Filling: filling, Item: item);
}
