namespace Ystrata.Core.Faults;

/// <summary>A batch as it was really made: what the log says went in goes in, what it says the pan was and took the pan is and takes.</summary>
public static class AsCooked
{
    private const double Never = 0.01; // g/s/%: a figure typed as it was planned

    /// <summary>The plan without what bench, scale and probe were told while it was made: what the next batch begins from.</summary>
    public static BatchSpec Untold(BatchSpec spec) => spec with
    {
        Dough = spec.Dough with { Mix = spec.Dough.Mix with { WentIn = null } },
        Balls = spec.Balls with { Weighed = null },
        Pan = spec.Pan with { Measured = null },
    };

    /// <param name="spec">As it was kept.</param>
    /// <param name="planned">The sheet of it <see cref="Untold"/>.</param>
    /// <returns>The batch as it was cooked; as it was kept where what was written cannot be worked; nothing where neither can.</returns>
    internal static CheckedBatch? Of(BatchSpec spec, BatchSheet planned, Outcome outcome, Kitchen kitchen)
    {
        var was = Planned.Of(spec, planned);
        var (used, timed) = (outcome.Used, outcome.Timed);
        var flour = used.Flour ?? was.Flour;
        if (flour.Value <= 0)
        {
            return Planner.Check(spec, kitchen).Value;
        }

        // Shares of the flour that there really was.
        var scale = was.Flour / flour;
        var dough = spec.Dough;
        if (used.Liquid is { } liquid && planned.Dough.Mixing.Adding is { } adding)
        {
            var wentIn = adding.Planned + (liquid * scale - was.Liquid);
            dough = dough with { Mix = dough.Mix with { WentIn = new(Math.Max(wentIn.Value, 0)) } };
        }

        if (used.DoughFat is { } fat && Differs(fat, was.DoughFat))
        {
            dough = dough with { Fat = dough.Fat with { Amount = Amount.OfFlour(100 * (fat / flour)) } };
        }

        if (used.Salt is { } salt && Differs(salt, was.Salt))
        {
            // The share counts salt from every source: only what was put in differs.
            var others = planned.Dough.Content.Salt.Value - 100 * (was.Salt / was.Flour);
            dough = dough with { Salt = dough.Salt with { Amount = Amount.OfFlour(Math.Max(100 * (salt / flour) + others, 0)) } };
        }

        var balls = used.BallMass is { } ball && Differs(ball, was.BallMass) && spec.Balls.By == BallBy.Mass
            ? spec.Balls with { Mass = ball }
            : spec.Balls;
        var cooked = spec with { Dough = dough, Balls = balls, Pan = PanOf(spec.Pan, planned.Pan, timed) };
        return Planner.Check(cooked, kitchen).Value ?? Planner.Check(spec, kitchen).Value;
    }

    private static PanSpec PanOf(PanSpec pan, PanSheet planned, Timed timed)
    {
        var on = timed.Pan is { } heat ? pan with { Measured = heat } : pan;
        if (planned.Program.Turns.Count == 0 || (timed.FirstSide ?? timed.SecondSide ?? timed.LastSide) is null)
        {
            return on;
        }

        var stays = planned.Program.Turns.Select(t => new Stay(t.Time, t.Fat)).ToArray();
        Set(0, timed.FirstSide);
        Set(1, timed.SecondSide);
        Set(stays.Length > 2 ? stays.Length - 1 : 2, timed.LastSide);
        return on with { Own = stays };

        void Set(int at, Seconds? time)
        {
            if (time is { Value: > 0 } t && at < stays.Length)
            {
                stays[at] = stays[at] with { Time = t };
            }
        }
    }

    private static bool Differs(Grams one, Grams other) => Math.Abs(one.Value - other.Value) > Never;
}
