namespace Ystrata.Core.Dough;

/// <summary>The ledger of a dough as the cook works in it: which figure is fixed, which gives way. Switching lays every figure that follows into the spec, so nothing jumps and nothing is lost.</summary>
public static class Ledger
{
    // Beyond this no figure of a kitchen lies; what is worked out of one could be no number any more.
    private const double Most = 1e9;

    // Of one flour among several, percent.
    private const double LeastShare = 0.1;

    /// <summary>The batch after a move; or why it cannot be made.</summary>
    /// <param name="stands">The figures as they last could be worked out, to go by where <paramref name="spec"/> cannot be: a move may be what mends it.</param>
    public static Answer<BatchSpec> Move(LedgerMove move, BatchSpec spec, BatchSpec? stands, Kitchen kitchen)
    {
        var batch = Planner.Check(spec, kitchen);
        if (batch.Value is null && stands is { } && Planner.Check(stands, kitchen) is { Value: { } } good)
        {
            batch = good;
        }

        return batch.Then<BatchSpec>(checkedBatch =>
        {
            var now = DoughStage.Work(checkedBatch);
            return Unworkable(move, spec, now) is { } refusal ? refusal : move.On(spec, now);
        });
    }

    /// <summary>What a batch is asked by.</summary>
    public static Question QuestionOf(BatchSpec spec) => spec.Start.By switch
    {
        StartBy.Flour => Question.Flour,
        StartBy.Liquid => Question.Liquid,
        StartBy.Filling => Question.Filling,
        StartBy.People => Question.People,
        _ => spec.Balls.By == BallBy.Thickness && spec.Dough.Feel != Feel.Batter ? Question.Rounds : Question.Pieces,
    };

    /// <summary>From flour or liquid at hand: the dough is fixed, and either the ball or how many it makes.</summary>
    public static bool FromBowl(BatchSpec spec) => spec.Start.By is StartBy.Flour or StartBy.Liquid;

    /// <summary>Dough and pieces are fixed, so the ball follows.</summary>
    public static bool BallFollows(BatchSpec spec) => FromBowl(spec) && spec.Start.Makes is { };

    /// <summary>Whether a dough can do without one of its lines.</summary>
    internal static bool MayGo(DoughSpec dough, DoughPart part) =>
        part == DoughPart.Addition || (part == DoughPart.Flour && dough.Flours.Count > 1) || (part == DoughPart.Liquid && dough.Liquids.Count > 1);

    internal static BatchSpec Asked(BatchSpec spec, DoughSheet now, Question question)
    {
        var s = now.Start;
        var rounds = question == Question.Rounds || (question != Question.Pieces && spec.Balls.By == BallBy.Thickness);
        var start = spec.Start with
        {
            By = question switch
            {
                Question.Flour => StartBy.Flour,
                Question.Liquid => StartBy.Liquid,
                Question.Filling => StartBy.Filling,
                Question.People => StartBy.People,
                _ => StartBy.Pieces,
            },
            Pieces = s.Pieces,
            Flour = s.Flour,
            Liquid = s.Liquid ?? spec.Start.Liquid,
            Filling = s.Filling,
            FillingEach = s.FillingEach,
            People = s.People,
            Each = s.Each,
        };
        var asked = spec with
        {
            Start = start,
            Balls = spec.Balls with { By = rounds ? BallBy.Thickness : BallBy.Mass, Mass = s.Ball, Thickness = s.Thickness },
            Ladle = spec.Dough.Feel == Feel.Batter ? spec.Ladle with { Volume = s.Ladle } : spec.Ladle,
        };
        return FromBowl(asked) ? asked : asked with { Start = start with { Makes = null } };
    }

    internal static BatchSpec WithBall(BatchSpec spec, DoughSheet now) => spec with
    {
        Start = spec.Start with { Makes = null },
        Balls = spec.Balls with { Mass = now.Start.Ball, Thickness = now.Start.Thickness },
        Ladle = spec.Dough.Feel == Feel.Batter ? spec.Ladle with { Volume = now.Start.Ladle } : spec.Ladle,
    };

    /// <summary>The liquid that made up the rest is fixed at what it is now; the hydration follows from here on.</summary>
    internal static BatchSpec Poured(BatchSpec spec, DoughSheet now)
    {
        var byShare = spec.Start.By == StartBy.Liquid;
        var liquids = spec.Dough.Liquids.Select((l, i) => l.Amount.By == AmountBy.Rest && now.Portions.FirstOrDefault(p => p.Part == DoughPart.Liquid && p.Index == i) is { } p
            ? l with { Amount = byShare ? l.Amount with { By = AmountBy.Share, Share = p.Share } : l.Amount with { By = AmountBy.Mass, Mass = p.Mass } }
            : l);
        return spec with { Dough = spec.Dough with { Liquids = [.. liquids], WaterBy = WaterBy.Liquids } };
    }

    internal static DoughSpec WithRest(DoughSpec dough, int index) => dough with { Liquids = At(dough.Liquids, index, l => l with { Amount = l.Amount with { By = AmountBy.Rest } }) };

    /// <summary>The liquid a start from liquid fixes: the one that makes up the rest, else the first that is given by its share.</summary>
    internal static bool IsAnchor(BatchSpec spec, LineMove at)
    {
        var liquids = spec.Dough.Liquids.ToList();
        var rest = liquids.FindIndex(l => l.Amount.By == AmountBy.Rest);
        return at.Part == DoughPart.Liquid && at.Index == (rest >= 0 ? rest : liquids.FindIndex(l => l.Amount.By == AmountBy.Share));
    }

    internal static Portion Line(DoughSheet now, LineMove at) => now.Portions.Single(p => p.Part == at.Part && p.Index == at.Index);

    /// <summary>The amount of a line that has one: a flour has none of its own.</summary>
    internal static Amount AmountOf(BatchSpec spec, LineMove at) => at.Part switch
    {
        DoughPart.Liquid => spec.Dough.Liquids[at.Index].Amount,
        DoughPart.Fat => spec.Dough.Fat.Amount,
        DoughPart.Salt => spec.Dough.Salt.Amount,
        _ => spec.Dough.Additions[at.Index].Amount,
    };

    internal static BatchSpec With(BatchSpec spec, LineMove at, Func<Amount, Amount> change)
    {
        var d = spec.Dough;
        return spec with
        {
            Dough = at.Part switch
            {
                DoughPart.Liquid => d with { Liquids = At(d.Liquids, at.Index, l => l with { Amount = change(l.Amount) }) },
                DoughPart.Fat => d with { Fat = d.Fat with { Amount = change(d.Fat.Amount) } },
                DoughPart.Salt => d with { Salt = d.Salt with { Amount = change(d.Salt.Amount) } },
                _ => d with { Additions = At(d.Additions, at.Index, a => a with { Amount = change(a.Amount) }) },
            },
        };
    }

    internal static IReadOnlyList<T> At<T>(IReadOnlyList<T> list, int index, Func<T, T> change) => [.. list.Select((one, i) => i == index ? change(one) : one)];

    internal static IReadOnlyList<T> Without<T>(IReadOnlyList<T> list, int index) => [.. list.Where((_, i) => i != index)];

    private static Refusal? Unworkable(LedgerMove move, BatchSpec spec, DoughSheet now) => move switch
    {
        // The figures may be of a moment ago, with other lines: only what is in both can be moved.
        LineMove line when !IsThere(spec, line) || now.Portions.All(p => p.Part != line.Part || p.Index != line.Index) => new("move.index", RefusalCode.Missing),
        WeighMove { Part: DoughPart.Flour, Mass.Value: < 0 or > Most } flour => OutOf("start.flour", "start.flour", flour.Mass.Value),
        WeighMove { Mass.Value: < 0 or > Most } weigh => OutOf(FieldOf(weigh) + ".amount.mass", FieldOf(weigh, generic: true) + ".amount.mass", weigh.Mass.Value),
        ShareMove { Part: DoughPart.Flour } share when spec.Dough.Flours.Count == 1 || share.Share.Value is <= 0 or >= 100 =>
            new(FieldOf(share) + ".parts", RefusalCode.OutOfRange, share.Share.Value, LeastShare, 100 - LeastShare, Percent.Unit),
        ShareMove { Share.Value: < -Most or > Most } share => OutOf(FieldOf(share) + ".amount.share", FieldOf(share, generic: true) + ".amount.share", share.Share.Value),
        _ => null,
    };

    private static bool IsThere(BatchSpec spec, LineMove line) => line.Index >= 0 && line.Part switch
    {
        DoughPart.Flour => line.Index < spec.Dough.Flours.Count,
        DoughPart.Liquid => line.Index < spec.Dough.Liquids.Count,
        DoughPart.Addition => line.Index < spec.Dough.Additions.Count,
        _ => line.Index == 0,
    };

    private static Refusal OutOf(string field, string generic, double given)
    {
        var limit = SpecPlaces.Limits.Single(l => l.Field == generic);
        return new(field, RefusalCode.OutOfRange, given, limit.Least, limit.Most, limit.Unit);
    }

    private static string FieldOf(LineMove at, bool generic = false) => at.Part switch
    {
        DoughPart.Fat => "dough.fat",
        DoughPart.Salt => "dough.salt",
        var part => $"dough.{part.ToString().ToLowerInvariant()}s[{(generic ? "" : at.Index)}]",
    };
}
