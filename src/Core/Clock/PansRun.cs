namespace Ystrata.Core.Clock;

/// <summary>The pans while a service is played: what lies where, how dirty and how hot each is.</summary>
internal sealed class PansRun
{
    private readonly IReadOnlyList<ClockJob> jobs;
    private readonly int[] sinceWipe;
    private readonly int?[] lastBread;
    private readonly bool[] gone;
    private readonly IReadOnlyDictionary<(int Pan, int Bread), Visit> visits;

    public PansRun(IReadOnlyList<ClockJob> jobs, Floor from)
    {
        this.jobs = jobs;
        Places = [.. from.Places.Select(p => p.Copy())];
        (sinceWipe, lastBread, gone, visits) = ([.. from.SinceWipe], [.. from.LastBread], [.. from.Gone], from.Visits);
    }

    public PlaceFloor[] Places { get; }

    public List<PanSlot> Slots { get; } = [];

    /// <summary>Pans on which something more may be laid.</summary>
    public int Usable => gone.Count(g => !g);

    public bool IsGone(PlaceFloor place) => gone[place.Pan];

    /// <summary>What a bread does on this pan, as hot as it is.</summary>
    public Visit VisitOf(int pan, int bread) => visits.GetValueOrDefault((pan, bread), jobs[bread].Pan);

    /// <summary>Whether one more of a bread has room beside what lies on the pan: each takes its share of it.</summary>
    public bool HasRoom(PlaceFloor place, int bread)
    {
        var taken = 1.0 / jobs[bread].OnPan;
        foreach (var other in Places)
        {
            taken += other.Pan == place.Pan && other.On is { } on ? 1.0 / jobs[on.Bread].OnPan : 0;
        }

        return taken <= 1 + 1e-9;
    }

    public bool WantsWiping(PlaceFloor place, int bread) => sinceWipe[place.Pan] >= jobs[bread].Wiping.Every;

    /// <summary>Something lies there: dirt and heat are its own from now on.</summary>
    public void Laid(PlaceFloor place, int bread, int pieces, bool wiped)
    {
        sinceWipe[place.Pan] = (wiped ? 0 : sinceWipe[place.Pan]) + pieces;
        lastBread[place.Pan] = bread;
    }

    /// <summary>When a bread may go on a pan that had another: it comes to its heat first, empty. Nothing while something lies on it.</summary>
    public int? HeatReady(PlaceFloor place, int bread, int t)
    {
        if (lastBread[place.Pan] is not { } last || last == bread || jobs[last].Heat == jobs[bread].Heat)
        {
            return t;
        }

        var free = place.FreeAt;
        foreach (var other in Places)
        {
            if (other.Pan == place.Pan && other.On is not null)
            {
                return null;
            }

            free = other.Pan == place.Pan ? Math.Max(free, other.FreeAt) : free;
        }

        return free + HeatChange(jobs[last].Heat, jobs[bread].Heat);
    }

    /// <summary>Between two breads: full flame to come up, none to come down.</summary>
    internal static int HeatChange(PanHeat from, PanHeat to)
    {
        var flame = to.At.Value > from.At.Value ? Flame.High : Flame.Off;
        const int whateverItTakes = 600; // a pan that flame never brings there
        return (int)Math.Round(EmptyPan.Until(to.On with { Flame = flame }, from.At, to.At)?.Value ?? whateverItTakes);
    }

    /// <summary>Lays something on a place: its touches are owed from now on.</summary>
    /// <returns>The touches. Of what lies there already only turns and the lifting are left.</returns>
    public IEnumerable<Touch> Reserve(PlaceFloor place, OnPlace on, bool wiped = false)
    {
        place.On = on;
        var fresh = on.Moments.Count == on.Visit.Touches.Count;
        Slots.Add(new(
            place.Pan,
            place.Place,
            on.Bread,
            [.. on.Pieces.Select(p => p + 1)],
            new(on.Laid),
            [.. on.Moments.Skip(fresh ? 1 : 0).SkipLast(1).Select(m => new Seconds(m.At))],
            new(on.Moments[^1].At),
            on.Fry,
            wiped));
        return on.Moments.Select((m, i) =>
        {
            var last = i == on.Moments.Count - 1;
            return new Touch(m.At, m.For, i == 0 && fresh ? on.Fry ? ClockWork.Fry : ClockWork.Lay : last ? ClockWork.Lift : ClockWork.Turn, place, on, last);
        });
    }
}
