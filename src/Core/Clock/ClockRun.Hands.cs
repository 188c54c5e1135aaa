namespace Ystrata.Core.Clock;

/// <summary>What hands do: touches at the pans first, then the bench.</summary>
internal sealed partial class ClockRun
{
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
                Put(b, piece, PieceAt.Hot);
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
                over += Math.Max(waits - jobs[b].Limits.Folded, 0);
                break;
            case ClockWork.Fold:
                hand.Chore = bread.Chores[number];
                taken.Add((b, 2, number));
                if (bread.Opened[number] < 0)
                {
                    Open(b, number);
                    var stands = t - Mixed(b, number);
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
            waiting += jobs[b].Freeze == 0 ? next[b].Waiting : 0;
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
            var lying = jobs[i].Together ? 0 : next[i].Lying;
            all += lying;
            own = i == b ? lying : own;
        }

        return own > 0 && all + jobs[b].Each > clock.Bench;
    }

    // What is ready stays so, or goes on.
    private bool AllReady(int b, Func<int, int, int> ready)
    {
        var at = next[b];
        while (at.Ready < jobs[b].Pieces && !(breads[b].At[at.Ready] is PieceAt.Ball or PieceAt.Folded or PieceAt.Rolled && ready(b, at.Ready) > t))
        {
            at.Ready++;
        }

        return at.Ready == jobs[b].Pieces;
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
                next[b].RolledAt.Add(t);
                if (bread.At[number] is PieceAt.Ball or PieceAt.Folded)
                {
                    Put(b, number, PieceAt.Rolled);
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
                        Put(b, i, bread.At[i] == PieceAt.Ball ? PieceAt.Folded : bread.At[i]);
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
}
