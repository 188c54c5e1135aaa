namespace Ystrata.Core.Clock;

/// <summary>What goes on the pans, when, and under which hands.</summary>
internal sealed partial class ClockRun
{
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
                    over += Math.Max(laid - Mixed(b, piece / job.Each) - job.Limits.Stands, 0);
                }

                Put(b, piece, PieceAt.OnPan);
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
        return (int)Math.Round(EmptyPan.Until(to.On with { Flame = flame }, from.At, to.At)?.Value ?? whateverItTakes);
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
        if (hands.Length == 0)
        {
            return t;
        }

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
}
