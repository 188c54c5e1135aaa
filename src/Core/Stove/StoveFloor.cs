namespace Ystrata.Core.Stove;

/// <summary>
/// The kitchen floor as the events of a service left it. Cooks forget to press: what an event takes for granted (a piece that is laid was rolled,
/// folded and rounded) is taken as done with it. Events that no longer fit after another was undone do nothing.
/// </summary>
internal sealed class StoveFloor
{
    public const double LeastHeat = 20, MostHeat = 450; // °C that anything called a pan can have
    public const double MostLate = 7200; // s
    private const int BurstPan = 1000; // pieces' worth of dirt

    private readonly IReadOnlyList<ClockJob> jobs;
    private readonly Func<int, int, Celsius, Visit> visitAt;

    /// <param name="visitAt">A bread's way on a pan (from 0) of this heat.</param>
    public StoveFloor(IReadOnlyList<ClockJob> jobs, ClockSpec clock, Seconds table, Func<int, int, Celsius, Visit> visitAt)
    {
        (this.jobs, this.visitAt, Table, People) = (jobs, visitAt, (int)table.Value, clock.People);
        Breads = [.. jobs.Select(j => new BreadFloor(j))];
        Places = Floor.PlacesFor(jobs, clock);
        SinceWipe = new int[clock.Pans];
        LastBread = new int?[clock.Pans];
        Gone = new bool[clock.Pans];
        Heats = new (Celsius, int)?[clock.Pans];
    }

    public IReadOnlyList<BreadFloor> Breads { get; }

    public IReadOnlyList<PlaceFloor> Places { get; }

    public int[] SinceWipe { get; }

    public int?[] LastBread { get; }

    public bool[] Gone { get; }

    /// <summary>What each pan was last measured at, and when.</summary>
    public (Celsius Heat, int At)?[] Heats { get; }

    public int People { get; private set; }

    public int Table { get; private set; }

    public int HeldUntil { get; private set; }

    public int Last { get; private set; }

    public bool Ended { get; private set; }

    public int? Probed { get; private set; }

    /// <summary>Nothing has been made yet.</summary>
    public bool Fresh => Breads.All(b => Array.TrueForAll(b.Prep, p => p is null)) && NoneRolled;

    /// <summary>No piece is on its way to a pan yet.</summary>
    public bool NoneRolled => Breads.All(b => Array.TrueForAll(b.At, a => a is PieceAt.Ball or PieceAt.Folded));

    /// <param name="rollFrom">Nothing is rolled before.</param>
    public Floor At(int now, IReadOnlyList<Begun> begun, int rollFrom = 0) => new()
    {
        RollFrom = rollFrom,
        Now = now,
        People = People,
        Breads = Breads,
        Places = Places,
        SinceWipe = SinceWipe,
        LastBread = LastBread,
        Gone = Gone,
        Begun = begun,
        HeldUntil = HeldUntil,
        Visits = (from p in Enumerable.Range(0, Heats.Length)
                  where Heats[p] is not null
                  from b in Enumerable.Range(0, jobs.Count)
                  select ((p, b), visitAt(p, b, Heats[p]!.Value.Heat))).ToDictionary(v => v.Item1, v => v.Item2),
    };

    public PlaceFloor? PlaceOf(int? pan, int? place) => Places.FirstOrDefault(p => p.Pan == pan && p.Place == (place ?? 0));

    /// <summary>The next piece that could be laid: rolled before folded before balls, each in its order; nothing when none is left.</summary>
    public (int Bread, int Piece)? NextPiece()
    {
        for (var b = 0; b < jobs.Count; b++)
        {
            for (var i = 0; i < jobs[b].Pieces; i++)
            {
                if (Breads[b].At[i] is PieceAt.Ball or PieceAt.Folded or PieceAt.Rolled)
                {
                    return (b, i);
                }
            }

            if (Array.IndexOf(Breads[b].At, PieceAt.Dry) is >= 0 and var dry)
            {
                return (b, dry);
            }
        }

        return null;
    }

    /// <summary>Whether an event can be taken, and whether it tells anything new.</summary>
    public StoveAnswer Check(StoveEvent e)
    {
        static StoveAnswer No(StoveRefusal why) => new(false, why);
        var already = new StoveAnswer(false);
        var yes = new StoveAnswer(true);
        if (Ended)
        {
            return e.Act == StoveAct.End ? already : No(StoveRefusal.Ended);
        }

        var place = PlaceOf(e.Pan, e.Place);
        var wantsPan = e.Act is StoveAct.Laid or StoveAct.Turned or StoveAct.Fat or StoveAct.Lifted or StoveAct.Wiped or StoveAct.Heat or StoveAct.PanGone or StoveAct.PanBack;
        if (wantsPan && place is null)
        {
            return No(e.Pan is null ? StoveRefusal.NotTold : StoveRefusal.NoSuchPan);
        }

        var known = e.Bread is not { } bread || (bread >= 0 && bread < jobs.Count);
        if (!known || (e.Bread is { } b && e.Number is { } n && e.Act != StoveAct.Done && (n < 1 || n > jobs[b].Pieces)))
        {
            return No(StoveRefusal.NoSuchPiece);
        }

        var at = e is { Bread: { } bb, Number: { } nn } && e.Act != StoveAct.Done ? Breads[bb].At[nn - 1] : (PieceAt?)null;
        switch (e.Act)
        {
            case StoveAct.Done:
                return e is not { Bread: { } db, Number: { } dn, Work: { } work } ? No(StoveRefusal.NotTold)
                    : IsDone(db, work, dn) is not { } done ? No(StoveRefusal.NoSuchWork)
                    : done || (work == ClockWork.Fold && e.Value is { } chore && Breads[db].Chores[dn - 1] > chore) ? already : yes;
            case StoveAct.Laid:
                return at == PieceAt.Lost ? No(StoveRefusal.PieceLost)
                    : at is PieceAt.OnPan or PieceAt.Hot or PieceAt.Served ? already
                    : place!.On is not null ? No(StoveRefusal.PlaceTaken)
                    : Gone[place.Pan] ? No(StoveRefusal.PanAway)
                    : NextPiece() is null ? No(StoveRefusal.NoneLeft) : yes;
            case StoveAct.Turned:
                return place!.On is not { } on ? (at is PieceAt.Hot or PieceAt.Served or PieceAt.Dry ? already : No(StoveRefusal.NothingThere))
                    : e.Number is { } tn && on.Pieces[0] != tn - 1 ? already
                    : e.Value is { } turn && on.Turns > turn ? already : yes;
            case StoveAct.Lifted:
                return place!.On is { } lies ? (e.Number is { } ln && !lies.Pieces.Contains(ln - 1) ? already : yes)
                    : at is PieceAt.Hot or PieceAt.Served or PieceAt.Dry or PieceAt.Lost ? already : No(StoveRefusal.NothingThere);
            case StoveAct.Dropped or StoveAct.Burst:
                return e is not { Bread: not null, Number: not null } ? No(StoveRefusal.NotTold) : at == PieceAt.Lost ? already : yes;
            case StoveAct.Fat:
                return place!.On is null ? No(StoveRefusal.NothingThere) : yes;
            case StoveAct.Served:
                return Breads.Where((_, i) => e.Bread is null || e.Bread == i).Any(x => x.At.Where((_, i) => e.Number is null || e.Number - 1 == i).Contains(PieceAt.Hot)) ? yes : already;
            case StoveAct.Wiped:
                return SinceWipe[place!.Pan] == 0 ? already : yes;
            case StoveAct.PanGone:
                return Gone[place!.Pan] ? already : yes;
            case StoveAct.PanBack:
                return Gone[place!.Pan] ? yes : already;
            case StoveAct.Probe:
                return e.Pan is not null && place is null ? No(StoveRefusal.NoSuchPan) : e.Pan == Probed ? already : yes;
            case StoveAct.Late:
                return Ranged(e.Value, 1, MostLate);
            case StoveAct.Heat:
                return Ranged(e.Value, LeastHeat, MostHeat);
            case StoveAct.Hands:
                return Ranged(e.Value, 0, ClockSpec.MostPeople) is { Refusal: { } why } ? No(why) : (int)e.Value!.Value == People ? already : yes;
            case StoveAct.Table:
                return Ranged(e.Value, 0, Service.LongestAhead);
            default:
                return yes;
        }

        StoveAnswer Ranged(double? value, double least, double most) => value is not { } v ? No(StoveRefusal.NotTold) : v >= least && v <= most ? yes : No(StoveRefusal.OutOfRange);
    }

    /// <summary>Takes an event in; one that does not fit does nothing.</summary>
    public void Take(StoveEvent e)
    {
        if (Check(e) is { Counted: false })
        {
            return;
        }

        var at = Last = Math.Max(Last, (int)Math.Round(e.At.Value));
        switch (e.Act)
        {
            case StoveAct.Done:
                Finish(e.Bread!.Value, e.Work!.Value, e.Number!.Value, at);
                break;
            case StoveAct.Laid:
                Lay(PlaceOf(e.Pan, e.Place)!, e, at);
                break;
            case StoveAct.Turned:
                var place = PlaceOf(e.Pan, e.Place)!;
                place.On = Turned(place.On!, at);
                break;
            case StoveAct.Lifted:
                Lift(PlaceOf(e.Pan, e.Place)!, at);
                break;
            case StoveAct.Wiped:
                SinceWipe[e.Pan!.Value] = 0;
                break;
            case StoveAct.Dropped or StoveAct.Burst:
                Lose(e.Bread!.Value, e.Number!.Value - 1, e.Act == StoveAct.Burst, at);
                break;
            case StoveAct.Late:
                HeldUntil = Math.Max(HeldUntil, at) + (int)e.Value!.Value;
                break;
            case StoveAct.Served:
                for (var b = 0; b < Breads.Count; b++)
                {
                    for (var i = 0; i < Breads[b].At.Length; i++)
                    {
                        if (Breads[b].At[i] == PieceAt.Hot && (e.Bread ?? b) == b && (e.Number ?? i + 1) == i + 1)
                        {
                            Breads[b].At[i] = PieceAt.Served;
                        }
                    }
                }

                break;
            case StoveAct.Probe:
                Probed = e.Pan;
                break;
            case StoveAct.Heat:
                Heats[e.Pan!.Value] = (new(e.Value!.Value), at);
                break;
            case StoveAct.PanGone or StoveAct.PanBack:
                Gone[e.Pan!.Value] = e.Act == StoveAct.PanGone;
                break;
            case StoveAct.Hands:
                People = (int)e.Value!.Value;
                break;
            case StoveAct.Table:
                Table = (int)e.Value!.Value;
                break;
            case StoveAct.End:
                Ended = true;
                break;
        }
    }

    /// <returns>Nothing when there is no such work.</returns>
    public bool? IsDone(int b, ClockWork work, int number)
    {
        if (b < 0 || b >= jobs.Count || number < 1)
        {
            return null;
        }

        var (job, bread) = (jobs[b], Breads[b]);
        return work switch
        {
            ClockWork.Fold => number <= job.Balls && job.Fold.Count > 0 ? bread.Chores[number - 1] >= job.Fold.Count : null,
            ClockWork.Roll => number <= job.Pieces && job.Roll > 0 ? bread.At[number - 1] == PieceAt.Lost ? null : bread.Rolled[number - 1] is not null : null,
            ClockWork.Mix or ClockWork.Divide or ClockWork.Filling => PrepOf(job, work, number) is { } prep ? bread.Prep[prep] is not null : null,
            _ => null,
        };
    }

    private static int? PrepOf(ClockJob job, ClockWork work, int number)
    {
        for (var i = 0; i < job.Preps.Count; i++)
        {
            if (job.Preps[i].Work == work && job.Preps[i].Number == number)
            {
                return i;
            }
        }

        return null;
    }

    private void Finish(int b, ClockWork work, int number, int at)
    {
        var (job, bread) = (jobs[b], Breads[b]);
        switch (work)
        {
            case ClockWork.Fold:
                Round(b, number - 1, at);
                bread.Opened[number - 1] ??= at - job.Fold[bread.Chores[number - 1]].Seconds;
                bread.Chores[number - 1]++;
                bread.Folded[number - 1] = at;
                if (bread.Chores[number - 1] >= job.Fold.Count)
                {
                    Raise(b, number - 1, PieceAt.Folded);
                }

                break;
            case ClockWork.Roll:
                Fold(b, (number - 1) / job.Each, at);
                bread.Rolled[number - 1] = at;
                bread.At[number - 1] = bread.At[number - 1] is PieceAt.Ball or PieceAt.Folded ? PieceAt.Rolled : bread.At[number - 1];
                break;
            default:
                Ready(b, PrepOf(job, work, number)!.Value, at);
                break;
        }
    }

    // With what must come before it; it was done without a press.
    private void Ready(int b, int prep, int at)
    {
        var bread = Breads[b];
        if (bread.Prep[prep] is not null)
        {
            return;
        }

        foreach (var (before, _) in jobs[b].Preps[prep].After)
        {
            Ready(b, before, at);
        }

        bread.Prep[prep] = at;
    }

    private void Round(int b, int ball, int at)
    {
        Ready(b, jobs[b].BallFrom[ball], at);
        foreach (var (prep, _) in jobs[b].FoldAfter)
        {
            Ready(b, prep, at);
        }
    }

    private void Fold(int b, int ball, int at)
    {
        Round(b, ball, at);
        var bread = Breads[b];
        if (bread.Chores[ball] < jobs[b].Fold.Count)
        {
            bread.Chores[ball] = jobs[b].Fold.Count;
            bread.Folded[ball] = at;
            bread.Opened[ball] ??= at;
            Raise(b, ball, PieceAt.Folded);
        }
    }

    private void Raise(int b, int ball, PieceAt to)
    {
        for (var i = ball * jobs[b].Each; i < (ball + 1) * jobs[b].Each; i++)
        {
            Breads[b].At[i] = Breads[b].At[i] < to ? to : Breads[b].At[i];
        }
    }

    private void Lay(PlaceFloor place, StoveEvent e, int at)
    {
        var (b, first) = e is { Bread: { } eb, Number: { } en } ? (eb, en - 1) : NextPiece()!.Value;
        var (job, bread) = (jobs[b], Breads[b]);
        var fry = bread.At[first] == PieceAt.Dry;
        List<int> pieces = [first];
        if (fry)
        {
            pieces = [.. Enumerable.Range(0, job.Pieces).Where(i => bread.At[i] == PieceAt.Dry).Take(job.Stack)];
        }
        else
        {
            Fold(b, first / job.Each, at);
            bread.Rolled[first] ??= job.Roll > 0 ? at : null;
        }

        var visit = fry ? job.FryOf(pieces.Count) : Heats[place.Pan] is { } heat ? visitAt(place.Pan, b, heat.Heat) : job.Pan;
        foreach (var piece in pieces)
        {
            bread.At[piece] = PieceAt.OnPan;
            bread.Laid[piece] ??= at;
        }

        SinceWipe[place.Pan] = (SinceWipe[place.Pan] >= job.Wiping.Every ? 0 : SinceWipe[place.Pan]) + pieces.Count;
        LastBread[place.Pan] = b;
        place.On = new(b, pieces, visit, [.. visit.Moments().Skip(1).Select(m => (m.At + at, m.For))], at, at, 0, fry);
    }

    // What is still to come is counted from the turn as it really was. More turns than planned leave the lifting where it is.
    private static OnPlace Turned(OnPlace on, int at)
    {
        if (on.Moments.Count <= 1)
        {
            return on with { Touched = at, Turns = on.Turns + 1 };
        }

        var late = at - on.Moments[0].At;
        return on with { Touched = at, Turns = on.Turns + 1, Moments = [.. on.Moments.Skip(1).Select(m => (m.At + late, m.For))] };
    }

    private void Lift(PlaceFloor place, int at)
    {
        var on = place.On!;
        foreach (var piece in on.Pieces)
        {
            var dry = jobs[on.Bread].Fry is not null && !on.Fry;
            Breads[on.Bread].At[piece] = dry ? PieceAt.Dry : PieceAt.Hot;
            Breads[on.Bread].Lifted[piece] = dry ? null : at;
        }

        place.On = null;
        place.FreeAt = at;
    }

    private void Lose(int b, int piece, bool burst, int at)
    {
        Breads[b].At[piece] = PieceAt.Lost;
        foreach (var place in Places)
        {
            if (place.On is not { } on || on.Bread != b || !on.Pieces.Contains(piece))
            {
                continue;
            }

            place.On = on.Pieces.Count > 1 ? on with { Pieces = [.. on.Pieces.Where(p => p != piece)] } : null;
            place.FreeAt = place.On is null ? at : place.FreeAt;
            SinceWipe[place.Pan] = burst ? BurstPan : SinceWipe[place.Pan];
        }
    }
}
