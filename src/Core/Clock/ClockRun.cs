namespace Ystrata.Core;

/// <summary>
/// Plays a service from one moment on, second by second where something happens. Hands lay bench work aside for every touch at a pan, so
/// that no stay is late; which bench work they take up is the <see cref="Policy"/>'s choice. The order of rolling is the order of folding.
/// </summary>
internal sealed class ClockRun
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
    private readonly int[] rounded;
    private readonly Next[] next;
    private readonly int rollFrom;
    private bool outOfTurn;
    private int t;
    private int rolledWait, foldedWait, stood, over, busy, firstLaid = -1, firstLifted = -1, ends;

    /// <summary>Where the next of each kind is looked for.</summary>
    private sealed class Next
    {
        public int Fold, Roll, Lay, Folded, Rolling, Open;
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
        rounded = [.. jobs.Select(j => j.Balls)];
        next = [.. jobs.Select(_ => new Next())];
        for (var b = 0; b < jobs.Count; b++)
        {
            for (var i = 0; i < breads[b].Chores.Length; i++)
            {
                // What is lost is not waited for.
                next[b].Folded += Chored(b, i) || Lost(b, i) ? 1 : 0;
                next[b].Open += breads[b].Opened[i] >= 0 && !Chored(b, i) && !Lost(b, i) ? 1 : 0;
            }
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
            rounded,
            rolledWait,
            foldedWait,
            stood,
            stuck);
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

    // ---- pans

    private void Lay()
    {
        foreach (var place in places)
        {
            if (place.On is not null || gone[place.Pan] || place.FreeAt > t || hands.Length == 0)
            {
                continue;
            }

            if (NextOnPan(place.Pan) is not var (b, pieces, visit, fry) || HeatReady(place, b) > t)
            {
                continue;
            }

            var job = jobs[b];
            var wiped = sinceWipe[place.Pan] >= job.WipeEvery;
            var moments = visit.Moments().Select((m, i) => i == 0 ? (m.At, m.For) : (At: m.At + (wiped ? job.Wipe : 0), m.For)).ToArray();
            if (wiped)
            {
                moments[0] = (0, moments[0].For + job.Wipe);
            }

            if (EarliestFor(moments) > t)
            {
                continue;
            }

            var laid = t + (wiped ? job.Wipe : 0);
            foreach (var piece in pieces)
            {
                if (breads[b].At[piece] != PieceAt.Dry && job.Roll > 0)
                {
                    var waits = laid - breads[b].Rolled[piece] - job.Freeze;
                    rolledWait = Math.Max(rolledWait, waits);
                    over += Math.Max(waits - job.Limits.Rolled, 0);
                }
                else if (job.Roll == 0)
                {
                    stood = Math.Max(stood, laid - Mixed(b, piece / job.Each));
                }

                breads[b].At[piece] = PieceAt.OnPan;
                breads[b].Laid[piece] = breads[b].Laid[piece] < 0 ? laid : breads[b].Laid[piece];
            }

            firstLaid = firstLaid < 0 ? t : firstLaid;
            sinceWipe[place.Pan] = (wiped ? 0 : sinceWipe[place.Pan]) + pieces.Count;
            lastBread[place.Pan] = b;
            Reserve(place, new(b, pieces, visit, [.. moments.Select(m => (m.At + t, m.For))], laid, laid, 0, fry), 0, wiped);
        }
    }

    // The breads in their order; of each its pieces in theirs, and its stacks once every piece is dry.
    private (int Bread, IReadOnlyList<int> Pieces, Visit Visit, bool Fry)? NextOnPan(int pan)
    {
        for (var b = 0; b < jobs.Count; b++)
        {
            var (job, bread, at) = (jobs[b], breads[b], next[b]);
            if (ToLay(b) < job.Pieces)
            {
                return LayReady(b, at.Lay) <= t && (job.Roll > 0 || t >= rollFrom) && (job.Freeze == 0 || AllReady(b, LayReady)) ? (b, [at.Lay], visits.GetValueOrDefault((pan, b), job.Pan), false) : null;
            }

            if (job.Fry is null)
            {
                continue;
            }

            var dry = new List<int>();
            for (var i = 0; i < job.Pieces && dry.Count < job.Stack; i++)
            {
                if (bread.At[i] == PieceAt.Dry)
                {
                    dry.Add(i);
                }
            }

            if (dry.Count > 0)
            {
                // The last ones are waited for, so that no stack is lower than it need be.
                var coming = dry.Count < job.Stack && (places.Any(p => p.On is { } on && on.Bread == b && !on.Fry) || drying.Any(d => d.Bread == b));
                return coming ? null : (b, dry, job.FryOf(dry.Count), true);
            }
        }

        return null;
    }

    private int ToLay(int b)
    {
        var at = next[b];
        while (at.Lay < jobs[b].Pieces && breads[b].At[at.Lay] is not (PieceAt.Ball or PieceAt.Folded or PieceAt.Rolled))
        {
            at.Lay++;
        }

        return at.Lay;
    }

    // A pan that goes from one bread to another comes to its heat first, empty.
    private int HeatReady(PlaceFloor place, int b)
    {
        var last = lastBread[place.Pan];
        if (last < 0 || last == b || jobs[last].Heat == jobs[b].Heat)
        {
            return t;
        }

        var free = place.FreeAt;
        foreach (var other in places)
        {
            if (other.Pan == place.Pan && other.On is not null)
            {
                return int.MaxValue;
            }

            free = other.Pan == place.Pan ? Math.Max(free, other.FreeAt) : free;
        }

        return free + HeatChange(jobs[last].Heat, jobs[b].Heat);
    }

    /// <summary>Between two breads: full flame to come up, none to come down.</summary>
    internal static int HeatChange(PanHeat from, PanHeat to)
    {
        var flame = to.At.Value > from.At.Value ? Flame.High : Flame.Off;
        const int whateverItTakes = 600; // a pan that flame never brings there
        return (int)Math.Round(Empty.Until(to.On with { Flame = flame }, from.At, to.At)?.Value ?? whateverItTakes);
    }

    private void Reserve(PlaceFloor place, OnPlace on, int shift, bool wiped = false)
    {
        var shifted = on with { Moments = [.. on.Moments.Select(m => (m.At + shift, m.For))] };
        place.On = shifted;
        for (var i = 0; i < shifted.Moments.Count; i++)
        {
            var last = i == shifted.Moments.Count - 1;
            // Of what lies there already only turns and the lifting are left.
            var first = i == 0 && shifted.Moments.Count == on.Visit.Touches.Count;
            touches.Add(new(shifted.Moments[i].At, shifted.Moments[i].For, first ? on.Fry ? ClockWork.Fry : ClockWork.Lay : last ? ClockWork.Lift : ClockWork.Turn, place, shifted, last));
        }

        touches.Sort((a, b) => a.At.CompareTo(b.At));
        var end = shifted.Moments[^1];
        List<Seconds> turns = [.. shifted.Moments.Skip(shifted.Moments.Count == on.Visit.Touches.Count ? 1 : 0).SkipLast(1).Select(m => new Seconds(m.At))];
        panSlots.Add(new(place.Pan, place.Place, on.Bread, [.. on.Pieces.Select(p => p + 1)], new(on.Laid), turns, new(end.At), on.Fry, wiped));
        busy += end.At + end.For - Math.Max(on.Laid, firstLaid);
    }

    // The earliest second at which none of these touches finds all hands at another pan.
    private int EarliestFor(IReadOnlyList<(int At, int For)> moments)
    {
        for (var start = t; ;)
        {
            var shift = 0;
            foreach (var (at, lasts) in moments)
            {
                shift = Math.Max(shift, Blocked(start + at, start + at + lasts));
            }

            if (shift == 0)
            {
                return start;
            }

            start += shift;
        }
    }

    // How much later a touch would have to come; 0 when there is a hand for all of it.
    private int Blocked(int from, int to)
    {
        var together = 0;
        var wait = int.MaxValue;
        foreach (var touch in touches)
        {
            if (touch.At < to && touch.At + touch.For > from)
            {
                together++;
                wait = Math.Min(wait, touch.At + touch.For - from);
            }
        }

        foreach (var hand in hands)
        {
            if (hand.TouchUntil > from)
            {
                together++;
                wait = Math.Min(wait, hand.TouchUntil - from);
            }
        }

        // Fewer than there are hands never meet; more of them may still not meet at one moment.
        return together < hands.Length || AtOnce(from, to) < hands.Length ? 0 : wait;
    }

    private int AtOnce(int from, int to)
    {
        var most = 0;
        void Count(int at)
        {
            var now = 0;
            foreach (var touch in touches)
            {
                now += touch.At <= at && touch.At + touch.For > at ? 1 : 0;
            }

            foreach (var hand in hands)
            {
                now += hand.TouchUntil > at ? 1 : 0;
            }

            most = Math.Max(most, now);
        }

        Count(from);
        foreach (var touch in touches)
        {
            if (touch.At > from && touch.At < to)
            {
                Count(touch.At);
            }
        }

        return most;
    }

    // ---- hands

    // Touches that fall due go before everything else.
    private void Begin()
    {
        while (touches.Count > 0 && touches[0].At <= t)
        {
            var touch = touches[0];
            var who = -1;
            for (var i = hands.Length - 1; i >= 0; i--)
            {
                if (hands[i].TouchUntil <= t && (who < 0 || (hands[who].Work is not null && hands[i].Work is null)))
                {
                    who = i;
                }
            }

            if (who < 0)
            {
                return;
            }

            touches.RemoveAt(0);
            var hand = hands[who];
            LayAside(hand);
            hand.TouchUntil = t + touch.For;
            var piece = touch.On.Pieces[0];
            handSlots.Add(new(who, touch.Work, touch.On.Bread, piece + 1, 0, touch.Place.Pan, touch.Place.Place, [new(new(t), new(t + touch.For))]));
            if (touch.Last)
            {
                Lift(touch);
            }
        }
    }

    private void Lift(Touch touch)
    {
        var (b, on) = (touch.On.Bread, touch.On);
        var dry = jobs[b].Fry is not null && !on.Fry;
        foreach (var piece in on.Pieces)
        {
            if (dry)
            {
                // It can go on a stack once it is in the hand.
                drying.Add((t + touch.For, b, piece));
            }
            else
            {
                breads[b].At[piece] = PieceAt.Hot;
                breads[b].Lifted[piece] = t;
                firstLifted = firstLifted < 0 ? t : firstLifted;
                ends = Math.Max(ends, t + touch.For);
            }
        }

        touch.Place.On = null;
        touch.Place.FreeAt = t + touch.For;
    }

    private void LayAside(Hand hand)
    {
        if (hand.Work is not null && hand.Since >= 0)
        {
            if (t > hand.Since)
            {
                hand.Parts.Add(new(new(hand.Since), new(t)));
            }

            hand.Since = -1;
        }
    }

    private void Assign()
    {
        foreach (var hand in hands)
        {
            if (hand.TouchUntil > t || hand.HeldUntil > t)
            {
                continue;
            }

            if (hand.Work is null)
            {
                PickFor(hand);
            }

            if (hand.Work is not null && hand.Since < 0)
            {
                hand.Since = t;
            }
        }
    }

    private void PickFor(Hand hand)
    {
        if (NextRoll() is var (rb, piece))
        {
            Take(hand, ClockWork.Roll, rb, piece, jobs[rb].Roll);
            return;
        }

        if (NextPrep() is var (pb, prep))
        {
            Take(hand, jobs[pb].Preps[prep].Work, pb, prep, jobs[pb].Preps[prep].Seconds);
            return;
        }

        if (NextFold() is var (fb, ball))
        {
            Take(hand, ClockWork.Fold, fb, ball, jobs[fb].Fold[breads[fb].Chores[ball]].Seconds);
        }
    }

    private void Take(Hand hand, ClockWork work, int b, int number, int seconds)
    {
        hand.Work = new(work, b, number, seconds);
        (hand.Left, hand.Parts, hand.Chore) = (seconds, [], 0);
        var bread = breads[b];
        switch (work)
        {
            case ClockWork.Roll:
                next[b].Rolling++;
                taken.Add((b, 1, number));
                var waits = t - RollReadyFrom(b, number);
                foldedWait = Math.Max(foldedWait, waits);
                over += Math.Max(waits - jobs[b].Limits.Folded, 0);
                break;
            case ClockWork.Fold:
                hand.Chore = bread.Chores[number];
                taken.Add((b, 2, number));
                if (bread.Opened[number] < 0)
                {
                    bread.Opened[number] = t;
                    next[b].Open++;
                    var stands = t - Mixed(b, number);
                    stood = Math.Max(stood, stands);
                    over += Math.Max(stands - jobs[b].Limits.Stands, 0);
                }

                break;
            default:
                taken.Add((b, 0, number));
                break;
        }
    }

    private readonly HashSet<(int Bread, int Kind, int Number)> taken = [];

    private int RollReadyFrom(int b, int piece) =>
        jobs[b].Fold.Count == 0 ? t : breads[b].Folded[piece / jobs[b].Each];

    // Since when the dough of a ball stands.
    private int Mixed(int b, int ball)
    {
        var (job, bread) = (jobs[b], breads[b]);
        var after = job.Preps[job.BallFrom[ball]].After;
        return after.Count > 0 && bread.Prep[after[0].Prep] >= 0 ? bread.Prep[after[0].Prep] : t;
    }

    private (int Bread, int Piece)? NextRoll()
    {
        var waiting = 0;
        for (var b = 0; b < jobs.Count; b++)
        {
            waiting += next[b].Rolling;
            if (jobs[b].Freeze == 0)
            {
                foreach (var at in breads[b].At)
                {
                    waiting += at == PieceAt.Rolled ? 1 : 0;
                }
            }
        }

        for (var b = 0; b < jobs.Count; b++)
        {
            var (job, bread, at) = (jobs[b], breads[b], next[b]);
            if (job.Roll == 0)
            {
                continue;
            }

            while (at.Roll < job.Pieces && (bread.Rolled[at.Roll] >= 0 || bread.At[at.Roll] == PieceAt.Lost))
            {
                at.Roll++;
            }

            var piece = at.Roll;
            while (piece < job.Pieces && (bread.Rolled[piece] >= 0 || bread.At[piece] == PieceAt.Lost || taken.Contains((b, 1, piece))))
            {
                piece++;
            }

            if (piece >= job.Pieces)
            {
                continue;
            }

            // Only the first bread that has something to roll: its order is kept.
            return t >= rollFrom && (job.Freeze > 0 || waiting < policy.RollAhead || outOfTurn) && RollReady(b, piece) <= t && Opens(b) ? (b, piece) : null;
        }

        return null;
    }

    // Whether rolling of a bread may begin: enough of it is folded, or the bench is full.
    private bool Opens(int b)
    {
        var (job, at) = (jobs[b], next[b]);
        if (job.Fold.Count == 0 || at.Roll > 0 || at.Rolling > 0)
        {
            return true;
        }

        if (job.Together && job.Freeze == 0)
        {
            return AllReady(b, RollReady);
        }

        var wanted = (int)Math.Ceiling(policy.FoldFirst * job.Balls);
        return at.Folded >= wanted || BenchFull(b);
    }

    // Something of a bread always finds room: what lies there of a later one must not hold it up.
    private bool BenchFull(int b)
    {
        var (all, own) = (0, 0);
        for (var i = 0; i < jobs.Count; i++)
        {
            var lying = jobs[i].Together ? 0 : Lying(i);
            all += lying;
            own = i == b ? lying : own;
        }

        return own > 0 && all + jobs[b].Each > clock.Bench;
    }

    private bool AllReady(int b, Func<int, int, int> ready)
    {
        for (var i = 0; i < jobs[b].Pieces; i++)
        {
            if (breads[b].At[i] is PieceAt.Ball or PieceAt.Folded or PieceAt.Rolled && ready(b, i) > t)
            {
                return false;
            }
        }

        return true;
    }

    private (int Bread, int Prep)? NextPrep()
    {
        (int, int)? best = null;
        var longest = -1;
        for (var b = 0; b < jobs.Count; b++)
        {
            for (var i = 0; i < jobs[b].Preps.Count; i++)
            {
                if (breads[b].Prep[i] < 0 && prepTails[b][i] > longest && PrepReady(b, i) <= t && !taken.Contains((b, 0, i)))
                {
                    (best, longest) = ((b, i), prepTails[b][i]);
                }
            }
        }

        return best;
    }

    private int PrepReady(int b, int prep)
    {
        var ready = 0;
        foreach (var (before, lag) in jobs[b].Preps[prep].After)
        {
            if (breads[b].Prep[before] < 0)
            {
                return int.MaxValue;
            }

            ready = Math.Max(ready, breads[b].Prep[before] + lag);
        }

        return ready;
    }

    // A ball that is open is finished before another is opened.
    private (int Bread, int Ball)? NextFold()
    {
        for (var b = 0; b < jobs.Count; b++)
        {
            var (job, bread, at) = (jobs[b], breads[b], next[b]);
            if (job.Fold.Count == 0)
            {
                continue;
            }

            while (at.Fold < job.Balls && bread.Chores[at.Fold] >= job.Fold.Count)
            {
                at.Fold++;
            }

            for (var i = at.Fold; i < job.Balls; i++)
            {
                if (taken.Contains((b, 2, i)) || bread.Chores[i] >= job.Fold.Count || Lost(b, i))
                {
                    continue;
                }

                if (bread.Chores[i] > 0)
                {
                    if (bread.Folded[i] + job.Fold[bread.Chores[i] - 1].Rest <= t)
                    {
                        return (b, i);
                    }

                    continue;
                }

                if (at.Open >= clock.OpenBalls || BallReady(b, i) > t || (!job.Together && BenchFull(b)))
                {
                    break;
                }

                return (b, i);
            }
        }

        return null;
    }

    private bool Lost(int b, int ball)
    {
        for (var i = ball * jobs[b].Each; i < (ball + 1) * jobs[b].Each; i++)
        {
            if (breads[b].At[i] != PieceAt.Lost)
            {
                return false;
            }
        }

        return true;
    }

    // Folded or being folded, and not yet rolled.
    private int Lying(int b)
    {
        var lying = 0;
        for (var i = 0; i < jobs[b].Pieces; i++)
        {
            lying += breads[b].Opened[i / jobs[b].Each] >= 0 && breads[b].At[i] is PieceAt.Ball or PieceAt.Folded ? 1 : 0;
        }

        return lying;
    }

    private void Done(int who)
    {
        var hand = hands[who];
        var (work, b, number, _) = hand.Work!;
        LayAside(hand);
        hand.Work = null;
        var bread = breads[b];
        switch (work)
        {
            case ClockWork.Roll:
                next[b].Rolling--;
                taken.Remove((b, 1, number));
                bread.Rolled[number] = t;
                if (bread.At[number] is PieceAt.Ball or PieceAt.Folded)
                {
                    bread.At[number] = PieceAt.Rolled;
                }

                break;
            case ClockWork.Fold:
                taken.Remove((b, 2, number));
                bread.Folded[number] = t;
                if (++bread.Chores[number] >= jobs[b].Fold.Count)
                {
                    next[b].Folded++;
                    next[b].Open--;
                    for (var i = number * jobs[b].Each; i < (number + 1) * jobs[b].Each; i++)
                    {
                        bread.At[i] = bread.At[i] == PieceAt.Ball ? PieceAt.Folded : bread.At[i];
                    }
                }

                break;
            default:
                taken.Remove((b, 0, number));
                bread.Prep[number] = t;
                break;
        }

        handSlots.Add(new(who, work, b, work is ClockWork.Roll or ClockWork.Fold ? number + 1 : jobs[b].Preps[number].Number, hand.Chore, null, null, hand.Parts));
    }

    // ---- time

    private int NextMoment()
    {
        var then = touches.Count > 0 ? Math.Max(touches[0].At, t + 1) : int.MaxValue;
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
            if (jobs[b].Freeze > 0 || jobs[b].Roll == 0)
            {
                for (var i = next[b].Lay; i < jobs[b].Pieces; i++)
                {
                    var ready = LayReady(b, i);
                    then = ready > t ? Math.Min(then, ready) : then;
                    if (jobs[b].Freeze == 0 && ready > t)
                    {
                        break;
                    }
                }
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

            for (var i = at.Roll; i < job.Pieces && job.Roll > 0; i++)
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
                breads[drying[i].Bread].At[drying[i].Piece] = PieceAt.Dry;
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
