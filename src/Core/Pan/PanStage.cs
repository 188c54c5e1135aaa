namespace Ystrata.Core.Pan;

/// <summary>Stage 8: the piece on the heat, turn by turn (models.md F).</summary>
internal sealed class PanStage
{
    // Under this a face dries before it colours (empirical).
    private static readonly Celsius CoolPan = new(170);

    // Nothing thicker is cooked through on a pan before it chars (empirical).
    private static readonly Millimetres Thickest = new(40);

    // Cells and steps while programs are only tried out; the one that is taken is timed with fine ones.
    private static readonly Millimetres CoarseCell = new(0.5);

    // So much longer all pieces of a row may lie for the sake of the last (empirical): more is a fault of the flame.
    private const int MostLonger = 30; // s

    private readonly PanSpec spec;
    private readonly PanPiece piece;
    private readonly Slab fine, coarse;
    private readonly double ring;
    private readonly Learned learned;
    private readonly Wanted wanted;

    /// <param name="roughly">Everything with coarse cells and steps.</param>
    public PanStage(PanSpec spec, PanPiece piece, Learned learned, bool roughly = false)
    {
        (this.spec, this.piece, this.learned) = (spec, piece, learned);
        coarse = Slab.Of(piece.Layers, spec.Frozen, CoarseCell, piece.Boils);
        fine = roughly ? coarse : Slab.Of(piece.Layers, spec.Frozen, boils: piece.Boils);
        Room = PanRoom.For(spec.Cookware, piece.Area);
        Together = Math.Min(spec.Together, Room);
        ring = Math.Clamp(SquareCentimetres.OfRound(spec.Cookware.Across).Value / (piece.Area.Value * Together), 1, PanRun.RingOfPan);
        wanted = piece.Wants(Dark(spec.Colour));
    }

    /// <summary>Pieces of this size that the pan has room for; at least one, however big.</summary>
    public int Room { get; }

    /// <summary>Pieces that lie on it at once.</summary>
    public int Together { get; }

    /// <summary>How dark a face should be (models.md F).</summary>
    public static double Dark(Colour colour) => colour switch
    {
        Colour.Pale => 0.3,
        Colour.Brown => 1.8,
        _ => 1,
    };

    /// <param name="advised">Stays that are known to be advised: a cook's own are then played without looking for others.</param>
    public static Roasted Work(CheckedBatch batch, PanPiece piece, Piece raw, DoughSheet dough, FoldSheet fold, IReadOnlyList<Stay>? advised = null)
    {
        var stage = new PanStage(batch.Spec.Pan, piece, batch.Kitchen.Learned);
        var own = batch.Spec.Pan.Own is not null;
        var advice = own && advised is { Count: > 0 } ? new([.. advised.Select(s => (int)s.Time.Value)], null, null) : stage.Advise(taped: !own);
        return stage.Judge(advice, batch, raw, dough, fold);
    }

    /// <summary>Stays that cook the piece on this pan.</summary>
    /// <param name="taped">The run is written down as well.</param>
    public Advice Advise(bool taped = false)
    {
        if (piece.Thickness.Value > Thickest.Value)
        {
            return new([], PanFailure.NeverCooks, null);
        }

        var run = Start(fine, taped);
        var manner = new Manner(spec.Roasting, spec.FatPerSide.Value > 0, piece.Poured);
        var stacked = spec.Roasting == Roasting.DryThenFry;
        var first = stacked ? wanted with { Colour = Math.Min(wanted.Colour, Dark(Colour.Pale)), Dry = true } : wanted;
        var (stays, why) = Roast.Advise(run, Start(coarse), first, manner);
        if (stacked && why is null)
        {
            (var fried, why) = Roast.Fry(run, wanted, manner, spec.Stack);
            stays = [.. stays, .. fried];
        }

        return why is null ? new(stays, null, run) : new([], why, null);
    }

    /// <summary>Twenty in a row, with the cook's own stays or as advised; nothing where nothing cooks them.</summary>
    public Row? InARow() => spec.Own is { } own ? RowOn(own) : ForAll(Advise()).Row;

    /// <summary>The least change of the pan, in steps of ten degrees, on which a program cooks the piece; nothing where none does.</summary>
    public Celsius? Nearest(Celsius least, Celsius most)
    {
        for (var by = 10; by <= 60; by += 10)
        {
            foreach (var at in new[] { spec.Laid.Value - by, spec.Laid.Value + by })
            {
                var pan = new Celsius(Math.Round(at / 10) * 10);
                // Looked for roughly, and taken when it holds up to a close look.
                if (pan.Value >= least.Value && pan.Value <= most.Value && Cooks(pan, roughly: true) && Cooks(pan, roughly: false))
                {
                    return pan;
                }
            }
        }

        return null;
    }

    private bool Cooks(Celsius pan, bool roughly) => new PanStage(spec with { Temperature = pan, Measured = null }, piece, learned, roughly).Advise().Why is null;

    private PanRun Start(Slab slab, bool taped = false, Celsius? pan = null) => new(slab, pan ?? spec.Laid, spec.Cookware, ring, learned, stepsASecond: ReferenceEquals(slab, coarse) ? 1 : 2) { Tape = taped ? new(spec.Laid, wanted, piece.Poured) : null };

    private Roasted Judge(Advice advice, CheckedBatch batch, Piece raw, DoughSheet dough, FoldSheet fold)
    {
        var kitchen = batch.Kitchen;
        var fats = PanFat.Of(spec, kitchen);
        var (advised, rowAdvised) = ForAll(advice);
        var stays = spec.Own ?? advised;
        var run = spec.Own is null && advice.Run is { } found ? found : Play(Start(fine, taped: true), stays);
        run.Go(Math.Max((int)stays.Sum(s => Math.Round(s.Time.Value)) - (int)run.Time.Value, 0));
        var tape = run.Tape!;
        var turns = tape.Turns(stays);

        var steam = raw.Water * run.Steamed;
        IReadOnlyList<Grams> faces = spec.Own is null
            ? [spec.FatPerSide, spec.FatPerSide]
            : [FatOn(turns, Face.First), FatOn(turns, Face.Second)];
        var inside = batch.Shape.Inputs.Where(u => u.Is == LaidIn.Fat).Select(u => (kitchen[u.Id], u.OfBall / fold.Pieces)).ToList();
        var doughFat = raw.Dough * (dough.Portions.Single(p => p.Part == DoughPart.Fat).Mass / dough.Mass);
        var fat = PanFat.Share(faces, doughFat, inside, batch.Spec.Dough.Fat.Id, raw.Mass - steam, fats, piece.Area, kitchen);
        var cooked = raw.Roasted(steam, fat.Pan);
        var meeting = PanFat.Meeting(spec, [.. inside, (kitchen[batch.Spec.Dough.Fat.Id], doughFat)], kitchen);
        var smoke = PanFat.Smoke(meeting);
        // Of a stuffed piece, whichever is behind.
        var doughWants = !piece.Stuffed || run.DoughPassed.Value < wanted.Dough.Value;

        return new(new(
            new(turns, new(turns.Sum(t => t.Time.Value)), spec.Own is null ? advice.Why : null, spec.Own is not null, advised),
            new(
                tape.Blisters,
                tape.CookedAt,
                doughWants ? run.DoughPassed : run.FillingPassed,
                doughWants ? wanted.Dough : wanted.Filling,
                piece.Stuffed ? run.FillingPassed : null,
                run.ColourOf(Face.First),
                run.ColourOf(Face.Second),
                Percent.FromFraction(steam / raw.Mass),
                Percent.FromFraction(cooked.Water / cooked.Mass)),
            new(spec.Cookware, tape.Low, run.PanHigh, CoolPan, smoke?.At, smoke is { } s ? PanFat.WatchFrom(s.At) : null, smoke?.Fat.Id, PanFat.WithSolids(meeting)?.Id),
            new(
                PanFat.Film(new((faces[0].Value + faces[1].Value) / 2), fats, piece.Area),
                new(PanFat.For(PanFat.LeastFilm, fats, piece.Area), PanFat.For(PanFat.MostFilm, fats, piece.Area)),
                WipeEvery(fat)),
            fat,
            tape.Drawn(),
            RowOf(stays.Count == 0 ? null : spec.Own is null ? rowAdvised : RowOn(stays, first: run)),
            spec.Roasting == Roasting.DryThenFry && turns.Count >= 4 ? StackOf(turns) : null,
            Room,
            Together,
            piece.Reach,
            FinishHold.Opened(spec.Finish, fold, fold.Rings is not null, piece.Stuffed, run),
            FinishHold.Held(spec, run, batch.HoldsRaw)), cooked, new(rowAdvised, () => Played(advised), raw), run);
    }

    private PanRun? Played(List<Stay> stays) => stays.Count == 0 ? null : Play(Start(fine), stays);

    private static Grams FatOn(IReadOnlyList<Turn> turns, Face face) => new(turns.Where(t => t.Face == face).Sum(t => t.Fat.Value));

    private StackSheet StackOf(IReadOnlyList<Turn> turns)
    {
        var each = turns[^1].Time + turns[^2].Time;
        return new(spec.Stack, each, each * spec.Stack);
    }

    private PanRun Play(PanRun run, IReadOnlyList<Stay> stays)
    {
        for (var i = 0; i < stays.Count; i++)
        {
            if (spec.Roasting == Roasting.DryThenFry)
            {
                run.Wait(Roast.StackWait(i, [.. stays.Take(i).Select(s => (int)Math.Round(s.Time.Value))], spec.Stack));
            }

            Roast.Begin(run, spec.Roasting, i, stays[i].Fat.Value > 0);
            run.Go((int)Math.Round(stays[i].Time.Value));
        }

        return run;
    }

    // Pieces of a row that are reported, and how long the pan stands empty between two.
    private static readonly int[] Reported = [1, 2, 5, 20];
    private const int Between = 8; // s (empirical)
    private const double Drifts = 20; // °C off what was meant
    private const double Holds = 4; // °C: a flame that keeps the pan so near needs no other (empirical)

    // Stays that cook the first piece and leave a later one a little raw, since the pan is cooler by then, are made longer for all.
    private (List<Stay> Stays, Row? Row) ForAll(Advice advice)
    {
        var stays = Stays(advice.Stays);
        if (advice.Run is null)
        {
            return (stays, null);
        }

        var row = RowOn(stays, first: advice.Run);
        var (longer, rowLonger, more) = (stays, row, 0);
        while (rowLonger.Pieces.Where(p => !p.Cooked).MinBy(p => p.Over(wanted)) is { } raw)
        {
            var run = Play(Start(fine, pan: raw.Pan), longer);
            var seconds = 0;
            while (!wanted.Cooked(run))
            {
                if (more + seconds >= MostLonger)
                {
                    return (stays, row);
                }

                run.Go(1);
                seconds++;
            }

            more += seconds;
            longer = [.. longer.SkipLast(1), longer[^1] with { Time = longer[^1].Time + new Seconds(seconds) }];
            rowLonger = RowOn(longer);
        }

        return (longer, rowLonger);
    }

    private RowSheet RowOf(Row? played)
    {
        var ends = EmptyPan.InTheEnd(spec.Cookware);
        if (played is not { Pieces: var row, After: var after })
        {
            return new([], null, false, ends, spec.Cookware.Flame, null, null, null);
        }

        // A flame is judged by the fifth piece: by then the pan shows where it goes, and with the stays that flame asks for.
        // One that lets it climb is only ever bettered by a lower one, one that lets it fall by a higher.
        var (flame, off) = (spec.Cookware.Flame, row[4].Pan.Value - spec.Laid.Value);
        var holds = Math.Abs(off) <= Holds ? flame : new[] { Flame.Low, Flame.Medium, Flame.High }.Where(f => f != flame && (f < flame) == (off > 0)).Prepend(flame).MinBy(f => f == flame ? Math.Abs(off) : OffOn(f));
        int? First(Func<double, bool> far) => row.FirstOrDefault(p => far(p.Pan.Value - spec.Laid.Value)) is { } p ? p.Number - 1 : null;
        return new(
            [.. Reported.Select(n => row[n - 1])], EmptyPan.Until(spec.Cookware, after, spec.Laid), after.Value > spec.Laid.Value, ends, holds, First(d => d > Drifts), First(d => d < -Drifts),
            new(row.MaxBy(p => p.High.Value)!, row.MaxBy(p => p.Darkest)!, row.MinBy(p => p.Palest)!, row.MinBy(p => p.Over(wanted))!));
    }

    // How far from what was meant the pan is under the fifth piece on another flame, with the stays that flame asks for.
    private double OffOn(Flame flame)
    {
        var other = new PanStage(spec with { On = spec.Cookware with { Flame = flame } }, piece, learned, roughly: true);
        var stays = spec.Own ?? other.Stays(other.Advise().Stays);
        return stays.Count == 0 ? double.PositiveInfinity : Math.Abs(other.RowOn(stays, 5).Pieces[^1].Pan.Value - spec.Laid.Value);
    }

    // The stays with the fat their school puts down for each.
    internal List<Stay> Stays(IReadOnlyList<int> times) =>
        [.. times.Select((t, i) => new Stay(new(t), Roast.IsFatted(spec.Roasting, i) ? spec.FatPerSide * (spec.Roasting == Roasting.ShallowFry ? 2 : 1) : Grams.Zero))];

    /// <summary>So many pieces one after the other, each with the same stays.</summary>
    /// <param name="first">The first as it comes off, where it is known.</param>
    internal Row RowOn(IReadOnlyList<Stay> stays, int count = 20, PanRun? first = null)
    {
        var row = new RowPiece[count];
        var (pan, after) = (spec.Laid, spec.Laid);
        for (var i = 0; i < count; i++)
        {
            // Once the pan comes round to where it was, so does every piece after.
            if (i > 1 && Math.Abs(pan.Value - row[i - 1].Pan.Value) < EmptyPan.Settles)
            {
                row[i] = row[i - 1] with { Number = i + 1 };
                continue;
            }

            var run = i == 0 && first is not null ? first : Play(Start(fine, pan: pan), stays);
            row[i] = new(i + 1, pan, run.PanHigh, run.ColourOf(Face.First), run.ColourOf(Face.Second), wanted.Cooked(run), run.DoughPassed, piece.Stuffed ? run.FillingPassed : null);
            after = i == 0 ? run.Pan : after;
            pan = EmptyPan.After(spec.Cookware, run.Pan, new(Between / learned.PanTime));
        }

        return new(row, after);
    }

    // Flour and fat left behind burn: a wipe once about a gram and a half of them lies there (empirical).
    private static int WipeEvery(FatSheet fat) => Math.Clamp((int)Math.Round(1.5 / (0.25 + fat.Left.Value / 2)), 1, 6);
}

/// <summary>How a row would come off with the stays that are advised.</summary>
/// <param name="row">Nothing where nobody asks, or nothing cooks it.</param>
/// <param name="play">The first piece, played only when somebody asks.</param>
internal sealed class AsAdvised(Row? row, Func<PanRun?> play, Piece raw)
{
    private readonly Lazy<PanRun?> first = new(play);

    public Row? Row => row;

    public Percent? Lost => row is not null && first.Value is { } r ? Percent.FromFraction(raw.Water * r.Steamed / raw.Mass) : null;
}

/// <summary>A pan with nothing on it: heat from below, losses above, dT/dt = (Q − 35·(T − 22)) / C.</summary>
public static class EmptyPan
{
    internal const double Settles = 0.5; // °C: as near as anybody can tell

    /// <summary>Where this flame leaves the pan in the end.</summary>
    public static Celsius InTheEnd(Cookware on) => new(Air.Kitchen.Value + Cookware.Burner(on.Flame) / PanRun.Losses);

    public static Celsius After(Cookware on, Celsius from, Seconds time)
    {
        var end = InTheEnd(on).Value;
        return new(end + (from.Value - end) * Math.Exp(-time.Value * PanRun.Losses / on.HeatPerArea));
    }

    /// <summary>How long it takes; nothing when it never gets there.</summary>
    public static Seconds? Until(Cookware on, Celsius from, Celsius to)
    {
        var (end, now, then) = (InTheEnd(on).Value, from.Value, to.Value);
        if (Math.Abs(then - now) <= Settles)
        {
            return new(0);
        }

        var left = (then - end) / (now - end);
        return left > 0 && left < 1 ? new(Math.Round(-Math.Log(left) * on.HeatPerArea / PanRun.Losses)) : null;
    }
}

/// <summary>What the pan makes of a piece.</summary>
/// <param name="Out">As it comes off.</param>
/// <param name="Advised">How it would come off as advised.</param>
/// <param name="Run">Its cells as it comes off.</param>
internal sealed record Roasted(PanSheet Sheet, Piece Out, AsAdvised Advised, PanRun Run);

/// <summary>Pieces one after the other on one pan.</summary>
/// <param name="After">The pan as the first comes off.</param>
internal sealed record Row(RowPiece[] Pieces, Celsius After)
{
    public double Darkest => Pieces.Max(p => p.Darkest);

    public double Palest => Pieces.Min(p => p.Palest);
}

/// <summary>Stays that are advised, in whole seconds.</summary>
/// <param name="Stays">None when nothing cooks the piece, and <paramref name="Why"/> says why.</param>
/// <param name="Run">The piece as they leave it; nothing where they were known beforehand.</param>
internal sealed record Advice(IReadOnlyList<int> Stays, PanFailure? Why, PanRun? Run);
