namespace Ystrata.Core.Clock;

/// <summary>
/// Plays a service from one moment on, second by second where something happens. Hands lay bench work aside for every touch at a pan, so
/// that no stay is late; which bench work they take up is the <see cref="Policy"/>'s choice. The order of rolling is the order of folding.
/// </summary>
internal sealed class ClockRun
{
    private readonly ClockSpec clock;
    private readonly Policy policy;
    private readonly BreadRun[] breads;
    private readonly PansRun pans;
    private readonly PanCrew crew;
    private readonly List<HandSlot> handSlots = [];
    private readonly List<(int At, BreadRun Bread, int Piece)> drying = [];
    private readonly int rollFrom;
    private bool outOfTurn;
    private int t;

    // What the timetable is judged by.
    private int rolledWait, over, ends;
    private double busy; // seconds of whole pans
    private int? firstLaid, firstLifted;

    private ClockRun(IReadOnlyList<ClockJob> jobs, ClockSpec clock, Floor from, Policy policy, int[][] tails)
    {
        (this.clock, this.policy, t, rollFrom) = (clock, policy, from.Now, from.RollFrom);
        breads = [.. jobs.Select((job, b) => new BreadRun(b, job, from.Breads[b], tails[b], from.FillFrom.ElementAtOrDefault(b)))];
        pans = new(jobs, from);
        crew = new(from.People);
        foreach (var (hand, begun) in crew.Hands.Zip(from.Begun))
        {
            Take(hand, begun);
        }

        if (!crew.IsNobody && from.HeldUntil > t)
        {
            crew.Hands[0].Hold(t, from.HeldUntil);
        }

        foreach (var place in pans.Places.Where(p => p.On is not null))
        {
            var on = place.On!;
            firstLaid ??= t;
            var late = Math.Max(t - on.Moments[0].At, 0);
            var shift = late + crew.EarliestFor(t, [.. on.Moments.Select(m => (m.At + late - t, m.For))]) - t;
            Reserve(place, on with { Moments = [.. on.Moments.Select(m => (m.At + shift, m.For))] });
        }
    }

    /// <param name="tails">From <see cref="Tails"/>, the same for every policy.</param>
    public static Timetable Play(IReadOnlyList<ClockJob> jobs, ClockSpec clock, Floor from, Policy policy, int[][]? tails = null) =>
        new ClockRun(jobs, clock, from, policy, tails ?? Tails(jobs)).Go();

    /// <summary>For every prep the longest way from its beginning to the first ball: what to begin first.</summary>
    public static int[][] Tails(IReadOnlyList<ClockJob> jobs) =>
    [
        .. jobs.Select(job =>
        {
            var tails = new int[job.Preps.Count];
            for (var i = tails.Length - 1; i >= 0; i--)
            {
                var after = 0;
                for (var j = i + 1; j < tails.Length; j++)
                {
                    foreach (var (prep, lag) in job.Preps[j].After)
                    {
                        after = prep == i ? Math.Max(after, lag + tails[j]) : after;
                    }
                }

                tails[i] = job.Preps[i].Seconds + after;
            }

            return tails;
        }),
    ];

    private Timetable Go()
    {
        var stuck = false;
        while (!Finished())
        {
            Touch();
            Lay();
            // What has just been laid has its hand at once.
            Touch();
            Assign();
            if (NextMoment() is { } then)
            {
                Advance(then);
            }
            else if (!outOfTurn)
            {
                // After a press was taken back a later piece may lie there rolled while the next in turn is not: it is rolled all the same.
                outOfTurn = true;
            }
            else
            {
                stuck = true;
                break;
            }
        }

        foreach (var bread in breads)
        {
            over += ClockWarm.Over(bread.Job, bread.Floor, ends) + bread.Job.FillingOver(bread.Floor);
        }

        return new(
            policy,
            new(ends, over, ends - (firstLifted ?? ends), firstLaid is { } first ? Math.Max((int)Math.Round((ends - first) * pans.Usable - busy), 0) : 0),
            handSlots,
            pans.Slots,
            [.. breads.Select(b => b.Floor)],
            rolledWait,
            stuck);
    }

    // Whatever lies on a pan is owed its lifting.
    private bool Finished() => crew.OwesNothing && Array.TrueForAll(breads, b => b.Finished);

    // ---- hands

    // Touches that fall due go before everything else.
    private void Touch()
    {
        while (crew.Due(t) is var (touch, hand))
        {
            handSlots.Add(new(hand.Number, touch.Work, touch.On.Bread, touch.On.Pieces[0] + 1, 0, touch.Place.Pan, touch.Place.Place, [new(new(t), new(t + touch.For))]));
            if (touch.Last)
            {
                Lift(touch);
            }
        }
    }

    private void Lift(Touch touch)
    {
        var (bread, on) = (breads[touch.On.Bread], touch.On);
        foreach (var piece in on.Pieces)
        {
            if (bread.Job.Fry is not null && !on.Fry)
            {
                // It can go on a stack once it is in the hand.
                drying.Add((t + touch.For, bread, piece));
            }
            else
            {
                bread.Lift(piece, t);
                firstLifted ??= t;
                ends = Math.Max(ends, t + touch.For);
            }
        }

        touch.Place.On = null;
        touch.Place.FreeAt = t + touch.For;
    }

    private void Assign()
    {
        foreach (var hand in crew.Hands)
        {
            if (hand.Busy(t))
            {
                continue;
            }

            if (hand.Work is null && Pick() is { } work)
            {
                Take(hand, work);
            }

            hand.TakeUp(t);
        }
    }

    private Begun? Pick()
    {
        if (NextRoll() is var (roll, piece))
        {
            return new(ClockWork.Roll, roll.Number, piece, roll.Job.Roll);
        }

        if (NextPrep() is var (prepares, prep))
        {
            return new(prepares.Job.Preps[prep].Work, prepares.Number, prep, prepares.Job.Preps[prep].Seconds);
        }

        return NextFold() is var (folds, ball) ? new(ClockWork.Fold, folds.Number, ball, folds.Job.Fold[folds.Floor.Chores[ball]].Seconds) : null;
    }

    private void Take(PairOfHands hand, Begun work)
    {
        var bread = breads[work.Bread];
        hand.Take(work, work.Work == ClockWork.Fold ? bread.Floor.Chores[work.Number] : 0);
        switch (work.Work)
        {
            case ClockWork.Roll:
                over += Math.Max(bread.TakeRoll(work.Number, t) - bread.Job.Limits.Folded, 0);
                break;
            case ClockWork.Fold:
                over += Math.Max((bread.TakeBall(work.Number, t) ?? 0) - bread.Job.Limits.Stands, 0);
                break;
            default:
                bread.TakePrep(work.Number);
                break;
        }
    }

    private void Done(Begun work)
    {
        var bread = breads[work.Bread];
        switch (work.Work)
        {
            case ClockWork.Roll:
                bread.DoneRoll(work.Number, t);
                break;
            case ClockWork.Fold:
                bread.DoneBall(work.Number, t);
                break;
            default:
                bread.DonePrep(work.Number, t);
                break;
        }
    }

    private (BreadRun Bread, int Piece)? NextRoll()
    {
        var waiting = 0;
        foreach (var bread in breads)
        {
            waiting += bread.Rolling + (bread.Job.Freeze == 0 ? bread.Waiting : 0);
        }

        foreach (var bread in breads)
        {
            // Only the first bread that has something to roll: its order is kept.
            if (bread.NextRoll() is { } piece)
            {
                var wanted = bread.Job.Freeze > 0 || waiting < policy.RollAhead || outOfTurn;
                return t >= rollFrom && wanted && bread.RollReady(piece) <= t && MayRoll(bread) ? (bread, piece) : null;
            }
        }

        return null;
    }

    // Whether rolling of a bread may begin: enough of it is folded, or the bench is full.
    private bool MayRoll(BreadRun bread) => bread.Job.Fold.Count == 0 || bread.RollingBegun
        || (bread.Job.Together && bread.Job.Freeze == 0
            ? bread.AllReady(t, toLay: false)
            : bread.Folded >= (int)Math.Ceiling(policy.FoldFirst * bread.Job.Balls) || BenchFull(bread));

    // Something of a bread always finds room: what lies there of a later one must not hold it up.
    private bool BenchFull(BreadRun bread)
    {
        var all = 0;
        foreach (var other in breads)
        {
            all += other.Job.Together ? 0 : other.Lying;
        }

        return !bread.Job.Together && bread.Lying > 0 && all + bread.Job.Each > clock.Bench;
    }

    private (BreadRun Bread, int Prep)? NextPrep()
    {
        (BreadRun, int)? best = null;
        var longest = int.MinValue;
        foreach (var bread in breads)
        {
            if (bread.NextPrep(t) is var (prep, tail) && tail > longest)
            {
                (best, longest) = ((bread, prep), tail);
            }
        }

        return best;
    }

    private (BreadRun Bread, int Ball)? NextFold()
    {
        foreach (var bread in breads)
        {
            if (bread.NextFold(t, opens: bread.Open < clock.OpenBalls && !BenchFull(bread)) is { } ball)
            {
                return (bread, ball);
            }
        }

        return null;
    }

    // ---- pans

    private void Lay()
    {
        foreach (var place in pans.Places)
        {
            if (place.On is null && !pans.IsGone(place) && place.FreeAt <= t && !crew.IsNobody && NextOnPan(place.Pan) is var (bread, pieces, visit, fry) && pans.HasRoom(place, bread.Number) && pans.HeatReady(place, bread.Number, t) <= t)
            {
                Lay(place, bread, pieces, visit, fry);
            }
        }
    }

    // A dirty pan is wiped first, when there are hands for all of it.
    private void Lay(PlaceFloor place, BreadRun bread, IReadOnlyList<int> pieces, Visit visit, bool fry)
    {
        var job = bread.Job;
        var wiped = pans.WantsWiping(place, bread.Number);
        var wipe = wiped ? job.Wiping.For : 0;
        (int At, int For)[] moments = [.. visit.Moments().Select((m, i) => i == 0 ? (m.At, m.For + wipe) : (m.At + wipe, m.For))];
        if (crew.EarliestFor(t, moments) > t)
        {
            return;
        }

        var laid = t + wipe;
        foreach (var piece in pieces)
        {
            if (bread.Floor.At[piece] != PieceAt.Dry && job.Roll > 0)
            {
                var waits = laid - (bread.Floor.Rolled[piece] ?? laid) - job.Freeze;
                rolledWait = Math.Max(rolledWait, waits);
                over += Math.Max(waits - job.Limits.Rolled, 0);
            }
            else if (job.Roll == 0)
            {
                over += Math.Max(laid - (bread.Mixed(piece / job.Each) ?? t) - job.Limits.Stands, 0);
            }

            bread.Lay(piece, laid);
        }

        firstLaid ??= t;
        pans.Laid(place, bread.Number, pieces.Count, wiped);
        Reserve(place, new(bread.Number, pieces, visit, [.. moments.Select(m => (m.At + t, m.For))], laid, laid, 0, fry), wiped);
    }

    private void Reserve(PlaceFloor place, OnPlace on, bool wiped = false)
    {
        crew.Owe(pans.Reserve(place, on, wiped));
        var end = on.Moments[^1];
        busy += (double)(end.At + end.For - Math.Max(on.Laid, firstLaid ?? on.Laid)) / breads[on.Bread].Job.OnPan;
    }

    // The breads in their order; of each its pieces in theirs, and its stacks once every piece is dry.
    private (BreadRun Bread, IReadOnlyList<int> Pieces, Visit Visit, bool Fry)? NextOnPan(int pan)
    {
        foreach (var bread in breads)
        {
            var job = bread.Job;
            if (bread.NextLay() is { } piece)
            {
                return bread.LayReady(piece) <= t && (job.Roll > 0 || t >= rollFrom) && (job.Freeze == 0 || bread.AllReady(t, toLay: true)) ? (bread, [piece], pans.VisitOf(pan, bread.Number), false) : null;
            }

            if (job.Fry is not null && bread.Dry() is { Count: > 0 } dry)
            {
                // The last ones are waited for, so that no stack is lower than it need be.
                var coming = dry.Count < job.Stack && (pans.Places.Any(p => p.On is { } on && on.Bread == bread.Number && !on.Fry) || drying.Any(d => d.Bread == bread));
                return coming ? null : (bread, dry, job.FryOf(dry.Count), true);
            }
        }

        return null;
    }

    // ---- time

    private int? NextMoment()
    {
        var then = crew.NextTouch is { } touch && !crew.IsNobody ? Math.Max(touch, t + 1) : (int?)null;
        var free = false;
        foreach (var hand in crew.Hands)
        {
            if (hand.AtPanUntil > t)
            {
                then = Sooner(then, hand.AtPanUntil);
            }
            else if (hand.HeldUntil > t)
            {
                then = Sooner(then, hand.HeldUntil);
            }
            else if (hand.Work is not null)
            {
                then = Sooner(then, hand.DoneAt(t));
            }
            else
            {
                free = true;
            }
        }

        then = Sooner(then, NextPanMoment());
        if (free)
        {
            // The next rest that ends, where hands wait for one.
            foreach (var bread in breads)
            {
                then = Sooner(then, bread.NextRest(t));
            }
        }

        return then;
    }

    // A free place waits for a piece that has to freeze, for its heat or for hands that are elsewhere.
    private int? NextPanMoment()
    {
        var then = rollFrom > t ? rollFrom : (int?)null;
        foreach (var place in pans.Places)
        {
            if (place.On is not null || pans.IsGone(place) || crew.IsNobody)
            {
                continue;
            }

            if (place.FreeAt > t)
            {
                then = Sooner(then, place.FreeAt);
            }
            else if (NextOnPan(place.Pan) is var (bread, _, visit, _) && pans.HasRoom(place, bread.Number))
            {
                var heat = pans.HeatReady(place, bread.Number, t);
                then = Sooner(then, heat <= t ? Math.Max(crew.EarliestFor(t, [.. visit.Moments()]), t + 1) : heat);
            }
        }

        foreach (var bread in breads)
        {
            then = Sooner(then, bread.NextOnItsOwn(t));
        }

        return then;
    }

    private static int? Sooner(int? a, int? b) => a is null || b < a ? b ?? a : a;

    private void Advance(int then)
    {
        foreach (var hand in crew.Hands)
        {
            hand.Pass(then - t);
        }

        t = then;
        for (var i = drying.Count - 1; i >= 0; i--)
        {
            if (drying[i].At <= t)
            {
                drying[i].Bread.Put(drying[i].Piece, PieceAt.Dry);
                drying.RemoveAt(i);
            }
        }

        foreach (var hand in crew.Hands)
        {
            if (hand.Finish(t, NumberOf) is var (work, slot))
            {
                Done(work);
                handSlots.Add(slot);
            }
        }
    }

    // As it is told: balls and pieces from 1, anything else by its own number.
    private int NumberOf(Begun work) => work.Work is ClockWork.Roll or ClockWork.Fold ? work.Number + 1 : breads[work.Bread].Job.Preps[work.Number].Number;
}
