namespace Ystrata.Core.Pan;

/// <summary>What is written down while a piece cooks.</summary>
/// <param name="laid">The pan as the piece goes on.</param>
internal sealed class PanTape(Celsius laid, Wanted wanted, bool batter)
{
    private const int MostSamples = 120;

    private readonly List<(double Time, double Pan, double Middle, double First, double Second)> samples = [];

    public Seconds? Blisters { get; private set; }

    public Seconds? CookedAt { get; private set; }

    /// <summary>The coolest the pan was.</summary>
    public Celsius Low => new(samples.Aggregate(laid.Value, (low, s) => Math.Min(low, s.Pan)));

    public void Take(PanRun run)
    {
        Blisters ??= run.IsFirstStay && Roast.Cue(run, batter) ? run.Time : null;
        CookedAt ??= wanted.Cooked(run) ? run.Time : null;
        samples.Add((run.Time.Value, run.Pan.Value, run.Middle.Value, run.ColourOf(Face.First), run.ColourOf(Face.Second)));
    }

    /// <summary>Every stay of them as it was.</summary>
    public List<Turn> Turns(IReadOnlyList<Stay> stays)
    {
        var turns = new List<Turn>(stays.Count);
        var (end, pan) = (0, laid);
        foreach (var stay in stays)
        {
            var face = turns.Count % 2 == 0 ? Face.First : Face.Second;
            end += (int)Math.Round(stay.Time.Value);
            var last = samples[end - 1];
            turns.Add(new(face, stay.Time, stay.Fat, pan, face == Face.First ? last.First : last.Second, new(last.Middle)));
            pan = new(last.Pan);
        }

        return turns;
    }

    public PanTrace Drawn()
    {
        var every = samples.Count / MostSamples + 1;
        var drawn = samples.Where((_, i) => i % every == every - 1 || i == samples.Count - 1).ToList();
        return new(
            [.. drawn.Select(s => new Seconds(s.Time))],
            [.. drawn.Select(s => new Celsius(Math.Round(s.Pan, 1)))],
            [.. drawn.Select(s => new Celsius(Math.Round(s.Middle, 1)))],
            [.. drawn.Select(s => Math.Round(s.First, 3))],
            [.. drawn.Select(s => Math.Round(s.Second, 3))]);
    }
}
