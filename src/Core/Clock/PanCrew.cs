namespace Ystrata.Core.Clock;

/// <summary>A touch that falls due at a pan.</summary>
internal sealed record Touch(int At, int For, ClockWork Work, PlaceFloor Place, OnPlace On, bool Last);

/// <summary>A pair of hands: what it has in work at the bench, and until when it is at a pan or held up.</summary>
internal sealed class PairOfHands(int number)
{
    private readonly List<Stretch> parts = [];
    private int? since;
    private int left;

    /// <summary>Bench work in hand; laid aside for a touch and taken up again.</summary>
    public Begun? Work { get; private set; }

    public int Chore { get; private set; }

    public int AtPanUntil { get; private set; }

    public int HeldUntil { get; private set; }

    public bool Busy(int t) => AtPanUntil > t || HeldUntil > t;

    public void Take(Begun work, int chore) => (Work, Chore, left) = (work, chore, work.Left);

    /// <summary>When what it has in work is done, if it goes on now.</summary>
    public int DoneAt(int t) => t + left;

    public void TakeUp(int t) => since ??= Work is null ? null : t;

    public void LayAside(int t)
    {
        if (since is { } from && t > from)
        {
            parts.Add(new(new(from), new(t)));
        }

        since = null;
    }

    public void Touch(int t, int seconds)
    {
        LayAside(t);
        AtPanUntil = t + seconds;
    }

    /// <summary>At the bench only: a touch at the pan is not put off. What was begun stays begun.</summary>
    public void Hold(int t, int until)
    {
        HeldUntil = until;
        if (Work is not null)
        {
            parts.Add(new(new(t), new(t)));
        }
    }

    public void Pass(int seconds) => left -= since is null ? 0 : seconds;

    /// <returns>What it has finished now; nothing while it is at something.</returns>
    public (Begun Work, HandSlot Slot)? Finish(int t, Func<Begun, int> number)
    {
        if (since is null || left > 0 || Work is not { } work)
        {
            return null;
        }

        LayAside(t);
        var slot = new HandSlot(Number, work.Work, work.Bread, number(work), Chore, null, null, [.. parts]);
        parts.Clear();
        (Work, Chore) = (null, 0);
        return (work, slot);
    }

    public int Number { get; } = number;
}

/// <summary>The hands there are and the touches they owe the pans. No stay is late: nothing is laid that would find all hands at another pan.</summary>
internal sealed class PanCrew(int people)
{
    private readonly PairOfHands[] hands = [.. Enumerable.Range(0, people).Select(i => new PairOfHands(i))];
    private readonly List<Touch> touches = [];

    public PairOfHands[] Hands => hands;

    public bool IsNobody => hands.Length == 0;

    public bool OwesNothing => touches.Count == 0;

    public int? NextTouch => touches is [var first, ..] ? first.At : null;

    public void Owe(IEnumerable<Touch> more)
    {
        touches.AddRange(more);
        touches.Sort((a, b) => a.At.CompareTo(b.At));
    }

    /// <summary>The next touch that is due, and the hand that has it: one that has nothing in work before one that has.</summary>
    public (Touch Touch, PairOfHands Hand)? Due(int t)
    {
        if (touches is not [var touch, ..] || touch.At > t)
        {
            return null;
        }

        PairOfHands? who = null;
        for (var i = hands.Length - 1; i >= 0; i--)
        {
            if (hands[i].AtPanUntil <= t && (who is null || (who.Work is not null && hands[i].Work is null)))
            {
                who = hands[i];
            }
        }

        if (who is null)
        {
            return null;
        }

        touches.RemoveAt(0);
        who.Touch(t, touch.For);
        return (touch, who);
    }

    /// <summary>The earliest second from t on at which none of these touches finds all hands at another pan.</summary>
    public int EarliestFor(int t, IReadOnlyList<(int At, int For)> moments)
    {
        if (IsNobody)
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
            if (hand.AtPanUntil > from)
            {
                together++;
                wait = Math.Min(wait, hand.AtPanUntil - from);
            }
        }

        // Fewer than there are hands never meet; more of them may still not meet at one moment.
        return together < hands.Length || AtOnce(from, to) < hands.Length ? 0 : wait;
    }

    private int AtOnce(int from, int to)
    {
        var most = At(from);
        foreach (var touch in touches)
        {
            if (touch.At > from && touch.At < to)
            {
                most = Math.Max(most, At(touch.At));
            }
        }

        return most;
    }

    private int At(int moment)
    {
        var now = 0;
        foreach (var touch in touches)
        {
            now += touch.At <= moment && touch.At + touch.For > moment ? 1 : 0;
        }

        foreach (var hand in hands)
        {
            now += hand.AtPanUntil > moment ? 1 : 0;
        }

        return now;
    }
}
