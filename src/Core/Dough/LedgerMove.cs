using System.Text.Json.Serialization;

namespace Ystrata.Core.Dough;

/// <summary>The figures a batch can be asked by: those it can start from, and rounds, which are pieces whose ball is fixed by its round.</summary>
public enum Question
{
    Pieces,
    Rounds,
    Flour,
    Liquid,
    Filling,
    People,
}

/// <summary>What a cook does in the ledger of a dough where one figure given makes another give way. Every figure that was not meant stays as it is at that moment.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(AskMove), "ask")]
[JsonDerivedType(typeof(BallMove), "ball")]
[JsonDerivedType(typeof(BallByMove), "ballBy")]
[JsonDerivedType(typeof(PiecesMove), "pieces")]
[JsonDerivedType(typeof(WaterMove), "water")]
[JsonDerivedType(typeof(WeighMove), "weigh")]
[JsonDerivedType(typeof(ShareMove), "share")]
[JsonDerivedType(typeof(PinMove), "pin")]
[JsonDerivedType(typeof(SwapMove), "swap")]
[JsonDerivedType(typeof(DropMove), "drop")]
[JsonDerivedType(typeof(AddMove), "add")]
public abstract record LedgerMove
{
    /// <summary>The batch after it.</summary>
    /// <param name="now">Its dough as it is worked out before it.</param>
    internal abstract BatchSpec On(BatchSpec spec, DoughSheet now);
}

/// <summary>Another figure is fixed from here on; all figures are what they are.</summary>
public sealed record AskMove(Question Question) : LedgerMove
{
    internal override BatchSpec On(BatchSpec spec, DoughSheet now) => Ledger.Asked(spec, now, Question);
}

/// <summary>The ball, its round or the ladle is given: how many there are follows from here on.</summary>
/// <param name="Mass">Of one ball; nothing where another of the three is given.</param>
/// <param name="Thickness">Of the round it makes.</param>
/// <param name="Ladle">What one ladle holds.</param>
public sealed record BallMove(Grams? Mass = null, Millimetres? Thickness = null, Millilitres? Ladle = null) : LedgerMove
{
    internal override BatchSpec On(BatchSpec spec, DoughSheet now)
    {
        var free = Ledger.BallFollows(spec) ? Ledger.WithBall(spec, now) : spec;
        return free with
        {
            Balls = free.Balls with { Mass = Mass ?? free.Balls.Mass, Thickness = Thickness ?? free.Balls.Thickness },
            Ladle = free.Ladle with { Volume = Ladle ?? free.Ladle.Volume },
        };
    }
}

/// <summary>The ball is fixed by its mass or by its round; both agree at that moment.</summary>
public sealed record BallByMove(BallBy By) : LedgerMove
{
    internal override BatchSpec On(BatchSpec spec, DoughSheet now)
    {
        var free = Ledger.WithBall(spec, now);
        return free with { Balls = free.Balls with { By = By } };
    }
}

/// <summary>From flour or liquid at hand: as many pieces as there are now, whose ball follows.</summary>
public sealed record PiecesMove : LedgerMove
{
    internal override BatchSpec On(BatchSpec spec, DoughSheet now) => spec with { Start = spec.Start with { Makes = now.Start.Pieces } };
}

/// <summary>What sets the water. With everything as poured each liquid keeps its grams; else one makes up the rest.</summary>
public sealed record WaterMove(WaterBy By) : LedgerMove
{
    internal override BatchSpec On(BatchSpec spec, DoughSheet now)
    {
        if (By == WaterBy.Liquids)
        {
            return Ledger.Poured(spec, now);
        }

        var dough = spec.Dough;
        if (dough.WaterBy == WaterBy.Liquids || dough.Liquids.All(l => l.Amount.By != AmountBy.Rest))
        {
            var water = dough.Liquids.ToList().FindIndex(l => l.Id == Staples.Water);
            dough = Ledger.WithRest(dough, water >= 0 ? water : dough.Liquids.Count - 1) with { Hydration = now.Water.Hydration };
        }

        return spec with { Dough = dough with { WaterBy = By } };
    }
}

/// <summary>Something done to one line of the ledger.</summary>
/// <param name="Index">Its place among those of its part.</param>
public abstract record LineMove(DoughPart Part, int Index) : LedgerMove;

/// <summary>A mass was given for a line: it is what the cook has, so all else gives way.</summary>
/// <param name="Mass">In each bowl.</param>
/// <param name="Packing">It was measured in cups of which nobody has said how they are filled: what was taken for that.</param>
public sealed record WeighMove(DoughPart Part, int Index, Grams Mass, double? Packing = null) : LineMove(Part, Index)
{
    internal override BatchSpec On(BatchSpec spec, DoughSheet now)
    {
        var all = Mass * now.Lots.Count;
        if (Part == DoughPart.Flour)
        {
            var asked = spec.Start.By == StartBy.Flour ? spec : Ledger.Asked(spec, now, Question.Flour);
            return asked with
            {
                Start = asked.Start with { Flour = all / Ledger.Line(now, this).Share.Fraction },
                Dough = asked.Dough with { Cups = Packing is { } packing ? new(packing) : null },
            };
        }

        if (Ledger.IsAnchor(spec, this) && spec.Start.By != StartBy.Flour)
        {
            // Water first: with nothing else fixed by its mass the water sets the size.
            var asked = spec.Start.By == StartBy.Liquid ? spec : Ledger.Asked(spec, now, Question.Liquid);
            return asked with { Start = asked.Start with { Liquid = all } };
        }

        var poured = Ledger.AmountOf(spec, this).By == AmountBy.Rest ? Ledger.Poured(spec, now) : spec;
        return Ledger.With(poured, this, a => a with { By = AmountBy.Mass, Mass = all });
    }
}

/// <summary>A percent of flour was given for a line; of a flour, its percent of all flours.</summary>
public sealed record ShareMove(DoughPart Part, int Index, Percent Share) : LineMove(Part, Index)
{
    internal override BatchSpec On(BatchSpec spec, DoughSheet now)
    {
        if (Part == DoughPart.Flour)
        {
            // The other flours keep their proportion in what is left.
            var left = (100 - Share.Value) / (100 - Ledger.Line(now, this).Share.Value);
            var parts = now.Portions.Where(p => p.Part == DoughPart.Flour).ToDictionary(p => p.Index, p => p.Share.Value);
            return spec with
            {
                Dough = spec.Dough with { Flours = [.. spec.Dough.Flours.Select((f, i) => f with { Parts = i == Index ? Share.Value : parts.GetValueOrDefault(i, f.Parts) * left })] },
            };
        }

        var asked = spec.Start.By == StartBy.Liquid && Ledger.IsAnchor(spec, this) ? Ledger.Asked(spec, now, Question.Flour) : spec;
        var poured = Ledger.AmountOf(asked, this).By == AmountBy.Rest ? Ledger.Poured(asked, now) : asked;
        return Ledger.With(poured, this, a => a with { By = AmountBy.Share, Share = Share });
    }
}

/// <summary>The pin of a line: what was fixed follows, what followed is fixed as it is.</summary>
public sealed record PinMove(DoughPart Part, int Index) : LineMove(Part, Index)
{
    internal override BatchSpec On(BatchSpec spec, DoughSheet now)
    {
        if (Part == DoughPart.Flour)
        {
            return Ledger.Asked(spec, now, spec.Start.By == StartBy.Flour ? Question.Pieces : Question.Flour);
        }

        var line = Ledger.Line(now, this);
        var share = Part == DoughPart.Salt ? now.Content.Salt : line.Share;
        if (Part != DoughPart.Liquid)
        {
            return Ledger.With(spec, this, a => a.By == AmountBy.Mass ? a with { By = AmountBy.Share, Share = share } : a with { By = AmountBy.Mass, Mass = line.Mass });
        }

        if (spec.Start.By == StartBy.Liquid && Ledger.IsAnchor(spec, this))
        {
            return Ledger.Asked(spec, now, Question.Pieces);
        }

        if (line.Pinned)
        {
            return LetGo(spec, now, share);
        }

        return Ledger.IsAnchor(spec, this) && spec.Start.By != StartBy.Flour
            ? Ledger.Asked(spec, now, Question.Liquid)
            : Ledger.With(spec, this, a => a with { By = AmountBy.Mass, Mass = line.Mass });
    }

    // A liquid let go makes up the rest where none does, else it keeps its share.
    private BatchSpec LetGo(BatchSpec spec, DoughSheet now, Percent share)
    {
        var dough = spec.Dough;
        if (dough.Liquids.Any(l => l.Amount.By == AmountBy.Rest))
        {
            return Ledger.With(spec, this, a => a with { By = AmountBy.Share, Share = share });
        }

        var rest = Ledger.WithRest(dough, Index);
        return spec with { Dough = dough.WaterBy == WaterBy.Liquids ? rest with { WaterBy = WaterBy.Hydration, Hydration = now.Water.Hydration } : rest };
    }
}

/// <summary>Something else in a line's place: another fat at equal fat, another puree as thick as the larder's.</summary>
public sealed record SwapMove(DoughPart Part, int Index, string Id) : LineMove(Part, Index)
{
    internal override BatchSpec On(BatchSpec spec, DoughSheet now)
    {
        var d = spec.Dough;
        return spec with
        {
            Dough = Part switch
            {
                DoughPart.Flour => d with { Flours = Ledger.At(d.Flours, Index, f => f with { Id = Id }) },
                DoughPart.Liquid => d with { Liquids = Ledger.At(d.Liquids, Index, l => l with { Id = Id, Water = null }) },
                DoughPart.Fat => d with { Fat = d.Fat with { Id = Id, Amount = now.Swaps.FirstOrDefault(s => s.Id == Id)?.Amount ?? d.Fat.Amount } },
                DoughPart.Salt => d with { Salt = d.Salt with { Id = Id } },
                _ => d with { Additions = Ledger.At(d.Additions, Index, a => a with { Id = Id }) },
            },
        };
    }
}

/// <summary>A line is taken out. When it made up the rest of the water, another liquid does from here on. What a dough cannot do without stays.</summary>
public sealed record DropMove(DoughPart Part, int Index) : LineMove(Part, Index)
{
    internal override BatchSpec On(BatchSpec spec, DoughSheet now)
    {
        var d = spec.Dough;
        return spec with
        {
            Dough = Part switch
            {
                DoughPart.Flour when d.Flours.Count > 1 => d with { Flours = Ledger.Without(d.Flours, Index) },
                DoughPart.Liquid when d.Liquids.Count > 1 => d with
                {
                    Liquids = Ledger.Without((d.Liquids[Index].Amount.By == AmountBy.Rest ? Ledger.WithRest(d, Index == 0 ? 1 : 0) : d).Liquids, Index),
                },
                DoughPart.Addition => d with { Additions = Ledger.Without(d.Additions, Index) },
                _ => d,
            },
        };
    }
}

/// <summary>One more line, with as much of it as a cook would begin with (empirical): a quarter as much as the first flour, a tenth of the flour of a liquid, a hundredth of anything else.</summary>
/// <param name="Part">A flour, a liquid or an addition: of fat and salt there is one.</param>
public sealed record AddMove(DoughPart Part, string Id) : LedgerMove
{
    private const double Whole = 100, OfFirstFlour = 0.25, LiquidShare = 10, AdditionShare = 1;

    internal override BatchSpec On(BatchSpec spec, DoughSheet now)
    {
        var d = spec.Dough;
        return spec with
        {
            Dough = Part switch
            {
                DoughPart.Flour => d with { Flours = [.. d.Flours, new(Id, Math.Max(Math.Round((d.Flours.Count > 0 ? d.Flours[0].Parts : Whole) * OfFirstFlour), 1))] },
                DoughPart.Liquid => d with { Liquids = [.. d.Liquids, new(Id, Amount.OfFlour(LiquidShare))] },
                DoughPart.Addition => d with { Additions = [.. d.Additions, new(Id, Amount.OfFlour(AdditionShare))] },
                _ => d,
            },
        };
    }
}
