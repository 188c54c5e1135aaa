namespace Ystrata.Core.Clock;

/// <summary>One bread while a service is played: what has happened to it, what somebody has in hand, and what may be done next.</summary>
/// <remarks>Every "when" is nothing while it hangs on what has not happened.</remarks>
internal sealed class BreadRun
{
    private readonly ClockJob job;
    private readonly BreadFloor floor;
    private readonly bool[] prepTaken, ballTaken, rollTaken;

    // For every prep the longest way from its beginning to the first ball: what to begin first.
    private readonly int[] tails;

    // Where the next of each kind is looked for: what lies before is done with.
    private int nextFold, nextRoll, nextLay, nextReady, nextFrozen, finished;

    // When pieces were rolled, one after the other.
    private readonly List<int> rolledAt;

    // Its filling is not begun before.
    private readonly int fillFrom;

    public BreadRun(int number, ClockJob job, BreadFloor from, int[] tails, int fillFrom)
    {
        (Number, this.job, floor, this.tails, this.fillFrom) = (number, job, from.Copy(), tails, fillFrom);
        (prepTaken, ballTaken, rollTaken) = (new bool[job.Preps.Count], new bool[job.Balls], new bool[job.Pieces]);
        for (var i = 0; i < job.Balls; i++)
        {
            // What is lost is not waited for.
            Folded += IsFolded(i) || IsLost(i) ? 1 : 0;
            Open += floor.Opened[i] is not null && !IsFolded(i) && !IsLost(i) ? 1 : 0;
        }

        for (var i = 0; i < job.Pieces; i++)
        {
            Count(i, 1);
        }

        rolledAt = [.. floor.Rolled.OfType<int>().Order()];
    }

    public int Number { get; }

    public ClockJob Job => job;

    public BreadFloor Floor => floor;

    /// <summary>Balls folded, or lost.</summary>
    public int Folded { get; private set; }

    /// <summary>Balls that are open and not folded.</summary>
    public int Open { get; private set; }

    /// <summary>Pieces somebody is rolling.</summary>
    public int Rolling { get; private set; }

    /// <summary>Pieces that lie open on the bench.</summary>
    public int Lying { get; private set; }

    /// <summary>Pieces that wait rolled.</summary>
    public int Waiting { get; private set; }

    /// <summary>Nothing more is to be done to any piece.</summary>
    public bool Finished => finished == job.Pieces;

    /// <summary>Something is rolled of it, or has been.</summary>
    public bool RollingBegun => nextRoll > 0 || Rolling > 0;

    // ---- when what may be done

    /// <summary>Since when the dough of a ball stands.</summary>
    public int? Mixed(int ball) => job.Preps[job.BallFrom[ball]].After is [var mixed, ..] ? floor.Prep[mixed.Prep] : null;

    public int? PrepReady(int prep) => Latest(job.Preps[prep].Work == ClockWork.Filling ? fillFrom : 0, job.Preps[prep].After);

    /// <summary>When a ball may be opened: rounded and rested, and its filling ready.</summary>
    public int? BallReady(int ball) => floor.Prep[job.BallFrom[ball]] is { } rounded ? Latest(rounded + job.BallRest, job.FoldAfter) : null;

    /// <summary>When a piece may have its last roll, or be laid where nothing is rolled.</summary>
    public int? RollReady(int piece)
    {
        var ball = piece / job.Each;
        return floor.Chores[ball] < job.Fold.Count ? null
            : job.Fold.Count == 0 ? BallReady(ball)
            : floor.Folded[ball] + job.Fold[^1].Rest;
    }

    public int? LayReady(int piece) => job.Roll == 0 ? RollReady(piece) : floor.Rolled[piece] + job.Freeze;

    private int? Latest(int from, IReadOnlyList<(int Prep, int Lag)> after)
    {
        foreach (var (prep, lag) in after)
        {
            if (floor.Prep[prep] is not { } done)
            {
                return null;
            }

            from = Math.Max(from, done + lag);
        }

        return from;
    }

    // ---- what comes next

    /// <summary>The prep that is begun first, of those that may be; how long the way is from there.</summary>
    public (int Prep, int Tail)? NextPrep(int t)
    {
        (int, int)? best = null;
        for (var i = 0; i < job.Preps.Count; i++)
        {
            if (floor.Prep[i] is null && !prepTaken[i] && !(best is var (_, longest) && tails[i] <= longest) && PrepReady(i) <= t)
            {
                best = (i, tails[i]);
            }
        }

        return best;
    }

    /// <summary>A ball that is open and rested before another is opened.</summary>
    /// <param name="opens">Whether another may be opened.</param>
    public int? NextFold(int t, bool opens)
    {
        if (job.Fold.Count == 0)
        {
            return null;
        }

        while (nextFold < job.Balls && floor.Chores[nextFold] >= job.Fold.Count)
        {
            nextFold++;
        }

        for (var i = nextFold; i < job.Balls; i++)
        {
            if (ballTaken[i] || floor.Chores[i] >= job.Fold.Count || IsLost(i))
            {
                continue;
            }

            if (floor.Chores[i] == 0)
            {
                return opens && BallReady(i) <= t ? i : null;
            }

            if (floor.Folded[i] + job.Fold[floor.Chores[i] - 1].Rest <= t)
            {
                return i;
            }
        }

        return null;
    }

    /// <summary>The next piece to roll, ready or not; nothing when all are rolled, or in somebody's hands.</summary>
    public int? NextRoll()
    {
        if (job.Roll == 0)
        {
            return null;
        }

        while (nextRoll < job.Pieces && (floor.Rolled[nextRoll] is not null || floor.At[nextRoll] == PieceAt.Lost))
        {
            nextRoll++;
        }

        var piece = nextRoll;
        while (piece < job.Pieces && (floor.Rolled[piece] is not null || floor.At[piece] == PieceAt.Lost || rollTaken[piece]))
        {
            piece++;
        }

        return piece < job.Pieces ? piece : null;
    }

    /// <summary>The next piece that has not been on a pan; nothing when all have.</summary>
    public int? NextLay()
    {
        while (nextLay < job.Pieces && floor.At[nextLay] is not (PieceAt.Ball or PieceAt.Folded or PieceAt.Rolled))
        {
            nextLay++;
        }

        return nextLay < job.Pieces ? nextLay : null;
    }

    /// <summary>Dry rounds, as many as a stack takes.</summary>
    public List<int> Dry()
    {
        var dry = new List<int>();
        for (var i = 0; i < job.Pieces && dry.Count < job.Stack; i++)
        {
            if (floor.At[i] == PieceAt.Dry)
            {
                dry.Add(i);
            }
        }

        return dry;
    }

    /// <summary>Whether every piece may be rolled, or laid. What is ready stays so, or goes on.</summary>
    public bool AllReady(int t, bool toLay)
    {
        while (nextReady < job.Pieces
            && !(floor.At[nextReady] is PieceAt.Ball or PieceAt.Folded or PieceAt.Rolled && !((toLay ? LayReady(nextReady) : RollReady(nextReady)) <= t)))
        {
            nextReady++;
        }

        return nextReady == job.Pieces;
    }

    /// <summary>The next moment at which a rest ends that somebody may wait for; nothing when none does.</summary>
    public int? NextRest(int t)
    {
        int? then = null;
        void At(int? moment) => then = moment > t && !(then <= moment) ? moment : then;
        for (var i = 0; i < job.Preps.Count; i++)
        {
            if (floor.Prep[i] is null)
            {
                At(PrepReady(i));
            }
        }

        for (var i = nextFold; i < job.Balls && job.Fold.Count > 0; i++)
        {
            if (floor.Chores[i] > 0 && floor.Chores[i] < job.Fold.Count)
            {
                At(floor.Folded[i] + job.Fold[floor.Chores[i] - 1].Rest);
            }
            else if (floor.Chores[i] == 0 && !ballTaken[i])
            {
                At(BallReady(i));
                break;
            }
        }

        // Where all go together, those that were found ready wait for no rest.
        for (var i = job.Together && job.Freeze == 0 ? Math.Max(nextRoll, nextReady) : nextRoll; i < job.Pieces && job.Roll > 0; i++)
        {
            At(RollReady(i));
            if (!job.Together && !rollTaken[i])
            {
                break;
            }
        }

        return then;
    }

    /// <summary>The next moment at which a piece may go on a pan without anybody's doing: a batter that has stood, a piece that is frozen.</summary>
    public int? NextOnItsOwn(int t)
    {
        if (job.Roll == 0)
        {
            for (var i = nextLay; i < job.Pieces; i++)
            {
                var ready = LayReady(i);
                if (!(ready <= t))
                {
                    return ready;
                }
            }

            return null;
        }

        if (job.Freeze == 0)
        {
            return null;
        }

        while (nextFrozen < rolledAt.Count && rolledAt[nextFrozen] + job.Freeze <= t)
        {
            nextFrozen++;
        }

        return nextFrozen < rolledAt.Count ? rolledAt[nextFrozen] + job.Freeze : null;
    }

    // ---- what happens

    public void TakePrep(int prep) => prepTaken[prep] = true;

    public void DonePrep(int prep, int t) => floor.Prep[prep] = t;

    /// <returns>How long the dough has stood, where the ball is opened now.</returns>
    public int? TakeBall(int ball, int t)
    {
        ballTaken[ball] = true;
        if (floor.Opened[ball] is not null)
        {
            return null;
        }

        Recount(ball, () => floor.Opened[ball] = t);
        Open++;
        return t - (Mixed(ball) ?? t);
    }

    public void DoneBall(int ball, int t)
    {
        ballTaken[ball] = false;
        floor.Folded[ball] = t;
        if (++floor.Chores[ball] < job.Fold.Count)
        {
            return;
        }

        Folded++;
        Open--;
        for (var i = ball * job.Each; i < (ball + 1) * job.Each; i++)
        {
            Put(i, floor.At[i] == PieceAt.Ball ? PieceAt.Folded : floor.At[i]);
        }
    }

    /// <returns>How long the folded piece has waited.</returns>
    public int TakeRoll(int piece, int t)
    {
        rollTaken[piece] = true;
        Rolling++;
        return job.Fold.Count == 0 ? 0 : t - (floor.Folded[piece / job.Each] ?? t);
    }

    public void DoneRoll(int piece, int t)
    {
        rollTaken[piece] = false;
        Rolling--;
        floor.Rolled[piece] = t;
        rolledAt.Add(t);
        if (floor.At[piece] is PieceAt.Ball or PieceAt.Folded)
        {
            Put(piece, PieceAt.Rolled);
        }
    }

    public void Lay(int piece, int at)
    {
        Put(piece, PieceAt.OnPan);
        floor.Laid[piece] ??= at;
    }

    public void Lift(int piece, int t)
    {
        Put(piece, PieceAt.Hot);
        floor.Lifted[piece] = t;
    }

    /// <summary>Where a piece is from now on.</summary>
    public void Put(int piece, PieceAt at)
    {
        Count(piece, -1);
        floor.At[piece] = at;
        Count(piece, 1);
    }

    private bool IsFolded(int ball) => floor.Chores[ball] >= job.Fold.Count && BallReady(ball) is not null;

    private bool IsLost(int ball)
    {
        for (var i = ball * job.Each; i < (ball + 1) * job.Each; i++)
        {
            if (floor.At[i] != PieceAt.Lost)
            {
                return false;
            }
        }

        return true;
    }

    private void Recount(int ball, Action change)
    {
        for (var i = ball * job.Each; i < (ball + 1) * job.Each; i++)
        {
            Count(i, -1);
        }

        change();
        for (var i = ball * job.Each; i < (ball + 1) * job.Each; i++)
        {
            Count(i, 1);
        }
    }

    private void Count(int piece, int by)
    {
        var (at, opened) = (floor.At[piece], floor.Opened[piece / job.Each] is not null);
        finished += at is PieceAt.Hot or PieceAt.Served or PieceAt.Lost ? by : 0;
        Waiting += at == PieceAt.Rolled ? by : 0;
        Lying += opened && at is PieceAt.Ball or PieceAt.Folded ? by : 0;
    }
}
