namespace Ystrata.Core.Clock;

/// <summary>
/// Plays a service from one moment on, second by second where something happens. Hands lay bench work aside for every touch at a pan, so
/// that no stay is late; which bench work they take up is the <see cref="Policy"/>'s choice. The order of rolling is the order of folding.
/// </summary>
internal sealed partial class ClockRun
{
    private readonly IReadOnlyList<ClockJob> jobs;
    private readonly ClockSpec clock;
    private readonly Policy policy;
    private readonly BreadFloor[] breads;
    private readonly PlaceFloor[] places;
    private readonly int[] sinceWipe;
    private readonly int[] lastBread;
    private readonly bool[] gone;
    private readonly IReadOnlyDictionary<(int, int), Visit> visits;
    private readonly Hand[] hands;
    private readonly List<Touch> touches = [];
    private readonly List<HandSlot> handSlots = [];
    private readonly List<PanSlot> panSlots = [];
    private readonly List<(int At, int Bread, int Piece)> drying = [];
    private readonly int[][] prepTails;
    private readonly Next[] next;
    private readonly int rollFrom;
    private bool outOfTurn;
    private int t;
    private int rolledWait, over, busy, firstLaid = -1, firstLifted = -1, ends;

    /// <summary>Where the next of each kind is looked for, and how many there are: balls folded, being rolled and opened; pieces that lie open on the bench, or wait rolled.</summary>
    private sealed class Next
    {
        public int Fold, Roll, Lay, Ready, Frozen, Folded, Rolling, Open, Lying, Waiting;

        // When pieces were rolled, one after the other.
        public List<int> RolledAt = [];
    }

    private sealed class Hand
    {
        public Begun? Work;
        public int Chore, Left, Since = -1, TouchUntil = -1, HeldUntil = -1;
        public List<Stretch> Parts = [];
    }

    private sealed record Touch(int At, int For, ClockWork Work, PlaceFloor Place, OnPlace On, bool Last);

    private ClockRun(IReadOnlyList<ClockJob> jobs, ClockSpec clock, Floor from, Policy policy, int[][] tails)
    {
        (this.jobs, this.clock, this.policy, prepTails, t, rollFrom) = (jobs, clock, policy, tails, from.Now, from.RollFrom);
        breads = [.. from.Breads.Select(b => b.Copy())];
        places = [.. from.Places.Select(p => p.Copy())];
        (sinceWipe, lastBread, gone, visits) = ([.. from.SinceWipe], [.. from.LastBread], [.. from.Gone], from.Visits);
        hands = [.. Enumerable.Range(0, from.People).Select(_ => new Hand())];
        next = [.. jobs.Select(_ => new Next())];
        for (var b = 0; b < jobs.Count; b++)
        {
            for (var i = 0; i < breads[b].Chores.Length; i++)
            {
                // What is lost is not waited for.
                next[b].Folded += Chored(b, i) || Lost(b, i) ? 1 : 0;
                next[b].Open += breads[b].Opened[i] >= 0 && !Chored(b, i) && !Lost(b, i) ? 1 : 0;
            }

            for (var i = 0; i < jobs[b].Pieces; i++)
            {
                Count(b, i, 1);
            }

            next[b].RolledAt.AddRange(breads[b].Rolled.Where(r => r >= 0).Order());
        }

        for (var i = 0; i < Math.Min(from.Begun.Count, hands.Length); i++)
        {
            Take(hands[i], from.Begun[i].Work, from.Begun[i].Bread, from.Begun[i].Number, from.Begun[i].Left);
        }

        if (hands.Length > 0 && from.HeldUntil > t)
        {
            // At the bench only: a turn at the pan is not put off. What was begun stays begun.
            hands[0].HeldUntil = from.HeldUntil;
            if (hands[0].Work is not null)
            {
                hands[0].Parts.Add(new(new(t), new(t)));
            }
        }

        foreach (var place in places.Where(p => p.On is not null))
        {
            var on = place.On!;
            firstLaid = firstLaid < 0 ? t : firstLaid;
            var late = Math.Max(t - on.Moments[0].At, 0);
            Reserve(place, on with { Moments = [.. on.Moments.Select(m => (m.At + late, m.For))] }, EarliestFor([.. on.Moments.Select(m => (m.At + late - t, m.For))]) - t);
        }
    }

    /// <param name="tails">From <see cref="Tails"/>, the same for every policy.</param>
    public static Timetable Play(IReadOnlyList<ClockJob> jobs, ClockSpec clock, Floor from, Policy policy, int[][]? tails = null)
    {
        var run = new ClockRun(jobs, clock, from, policy, tails ?? Tails(jobs));
        return run.Go();
    }

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
            Begin();
            Lay();
            // What has just been laid has its hand at once.
            Begin();
            Assign();
            var then = NextMoment();
            if (then == int.MaxValue && !outOfTurn)
            {
                // After a press was taken back a later piece may lie there rolled while the next in turn is not: it is rolled all the same.
                outOfTurn = true;
                continue;
            }

            if (then == int.MaxValue)
            {
                stuck = true;
                break;
            }

            Advance(then);
        }

        var idle = firstLaid < 0 ? 0 : Math.Max((ends - firstLaid) * places.Count(p => !gone[p.Pan]) - busy, 0);
        return new(
            policy,
            new(ends, over, firstLifted < 0 ? 0 : ends - firstLifted, idle),
            handSlots,
            panSlots,
            breads,
            rolledWait,
            stuck);
    }

    // Where a piece is from now on.
    private void Put(int b, int piece, PieceAt at)
    {
        Count(b, piece, -1);
        breads[b].At[piece] = at;
        Count(b, piece, 1);
    }

    private void Open(int b, int ball)
    {
        var each = jobs[b].Each;
        for (var i = ball * each; i < (ball + 1) * each; i++)
        {
            Count(b, i, -1);
        }

        breads[b].Opened[ball] = t;
        next[b].Open++;
        for (var i = ball * each; i < (ball + 1) * each; i++)
        {
            Count(b, i, 1);
        }
    }

    private void Count(int b, int piece, int by)
    {
        var (at, opened) = (breads[b].At[piece], breads[b].Opened[piece / jobs[b].Each] >= 0);
        next[b].Waiting += at == PieceAt.Rolled ? by : 0;
        next[b].Lying += opened && at is PieceAt.Ball or PieceAt.Folded ? by : 0;
    }

    private bool Finished()
    {
        foreach (var place in places)
        {
            if (place.On is not null)
            {
                return false;
            }
        }

        for (var b = 0; b < breads.Length; b++)
        {
            foreach (var at in breads[b].At)
            {
                if (at is not (PieceAt.Hot or PieceAt.Served or PieceAt.Lost))
                {
                    return false;
                }
            }
        }

        return touches.Count == 0;
    }

    private bool Chored(int b, int ball) => breads[b].Chores[ball] >= jobs[b].Fold.Count && BallReady(b, ball) is not int.MaxValue;

    // When a ball may be opened: rounded and rested, and its filling ready.
    private int BallReady(int b, int ball)
    {
        var (job, bread) = (jobs[b], breads[b]);
        var from = bread.Prep[job.BallFrom[ball]];
        if (from < 0)
        {
            return int.MaxValue;
        }

        var ready = from + job.BallRest;
        foreach (var (prep, lag) in job.FoldAfter)
        {
            if (bread.Prep[prep] < 0)
            {
                return int.MaxValue;
            }

            ready = Math.Max(ready, bread.Prep[prep] + lag);
        }

        return ready;
    }

    // When a piece may have its last roll, or be laid where nothing is rolled.
    private int RollReady(int b, int piece)
    {
        var (job, ball) = (jobs[b], piece / jobs[b].Each);
        return breads[b].Chores[ball] < job.Fold.Count ? int.MaxValue
            : job.Fold.Count == 0 ? BallReady(b, ball)
            : breads[b].Folded[ball] + job.Fold[^1].Rest;
    }

    private int LayReady(int b, int piece) => jobs[b].Roll == 0 ? RollReady(b, piece)
        : breads[b].Rolled[piece] < 0 ? int.MaxValue
        : breads[b].Rolled[piece] + jobs[b].Freeze;

    private int NextMoment()
    {
        var then = touches.Count > 0 && hands.Length > 0 ? Math.Max(touches[0].At, t + 1) : int.MaxValue;
        var free = false;
        foreach (var hand in hands)
        {
            if (hand.TouchUntil > t)
            {
                then = Math.Min(then, hand.TouchUntil);
            }
            else if (hand.HeldUntil > t)
            {
                then = Math.Min(then, hand.HeldUntil);
            }
            else if (hand.Work is not null)
            {
                then = Math.Min(then, t + hand.Left);
            }
            else
            {
                free = true;
            }
        }

        then = Math.Min(then, NextPanMoment());
        return free ? Math.Min(then, NextRest()) : then;
    }

    // A free place waits for a piece that has to freeze, for its heat or for hands that are elsewhere.
    private int NextPanMoment()
    {
        var then = rollFrom > t ? rollFrom : int.MaxValue;
        foreach (var place in places)
        {
            if (place.On is not null || gone[place.Pan] || hands.Length == 0)
            {
                continue;
            }

            if (place.FreeAt > t)
            {
                then = Math.Min(then, place.FreeAt);
            }
            else if (NextOnPan(place.Pan) is var (b, _, visit, _))
            {
                var heat = HeatReady(place, b);
                then = Math.Min(then, heat > t ? heat : Math.Max(EarliestFor([.. visit.Moments()]), t + 1));
            }
        }

        for (var b = 0; b < jobs.Count; b++)
        {
            var (job, at) = (jobs[b], next[b]);
            if (job.Roll == 0)
            {
                for (var i = at.Lay; i < job.Pieces; i++)
                {
                    var ready = LayReady(b, i);
                    if (ready > t)
                    {
                        then = Math.Min(then, ready);
                        break;
                    }
                }
            }
            else if (job.Freeze > 0)
            {
                while (at.Frozen < at.RolledAt.Count && at.RolledAt[at.Frozen] + job.Freeze <= t)
                {
                    at.Frozen++;
                }

                then = at.Frozen < at.RolledAt.Count ? Math.Min(then, at.RolledAt[at.Frozen] + job.Freeze) : then;
            }
        }

        return then;
    }

    // The next rest that ends, where hands wait for one.
    private int NextRest()
    {
        var then = rollFrom > t ? rollFrom : int.MaxValue;
        void At(int moment) => then = moment > t ? Math.Min(then, moment) : then;
        for (var b = 0; b < jobs.Count; b++)
        {
            var (job, bread, at) = (jobs[b], breads[b], next[b]);
            for (var i = 0; i < job.Preps.Count; i++)
            {
                if (bread.Prep[i] < 0)
                {
                    At(PrepReady(b, i));
                }
            }

            for (var i = at.Fold; i < job.Balls && job.Fold.Count > 0; i++)
            {
                if (bread.Chores[i] > 0 && bread.Chores[i] < job.Fold.Count)
                {
                    At(bread.Folded[i] + job.Fold[bread.Chores[i] - 1].Rest);
                }
                else if (bread.Chores[i] == 0 && !taken.Contains((b, 2, i)))
                {
                    At(BallReady(b, i));
                    break;
                }
            }

            // Where all go together, those that were found ready wait for no rest.
            for (var i = job.Together && job.Freeze == 0 ? Math.Max(at.Roll, at.Ready) : at.Roll; i < job.Pieces && job.Roll > 0; i++)
            {
                At(RollReady(b, i));
                if (!job.Together && !taken.Contains((b, 1, i)))
                {
                    break;
                }
            }
        }

        return then;
    }

    private void Advance(int then)
    {
        var passed = then - t;
        foreach (var hand in hands)
        {
            if (hand.Work is not null && hand.Since >= 0)
            {
                hand.Left -= passed;
            }
        }

        t = then;
        for (var i = drying.Count - 1; i >= 0; i--)
        {
            if (drying[i].At <= t)
            {
                Put(drying[i].Bread, drying[i].Piece, PieceAt.Dry);
                drying.RemoveAt(i);
            }
        }

        for (var i = 0; i < hands.Length; i++)
        {
            if (hands[i] is { Work: not null, Left: <= 0, Since: >= 0 })
            {
                Done(i);
            }
        }
    }
}
