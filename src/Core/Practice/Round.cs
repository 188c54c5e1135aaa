namespace Ystrata.Core.Practice;

/// <summary>What is put before the cook to practise on; the pan's heat is for the eye to find out.</summary>
/// <param name="Level">1 plain rounds; 2 thick and thin ones on any pan; 3 a pan that climbs or falls, a chilled piece; 4 frozen, or with one turn; 5 stuffed.</param>
/// <param name="Wanted">How dark both faces should be.</param>
/// <param name="Pinch">A pinch of flour thrown on the empty pan takes so long to go gold.</param>
public sealed record PracticeTask(int Seed, int Level, PanKind Pan, Flame Flame, Millimetres Thickness, bool Frozen, bool Chilled, bool Stuffed, Colour Wanted, bool Fat, Roasting Roasting, Seconds Pinch);

/// <summary>One round by lot: the same seed and level draw the same.</summary>
internal sealed class PracticeRound
{
    // Dough about the filling of the stuffed ones, mm.
    private const double Wall = 1.2;

    // A pinch of flour goes gold in ten seconds at 200 °C, in half the time 21 K hotter (empirical).
    private const double PinchAt200 = 10, PinchKelvin = 30;

    private readonly Celsius pan;
    private readonly Percent water;

    private PracticeRound(PracticeTask task, Celsius pan, Percent water) => (Task, this.pan, this.water) = (task, pan, water);

    public PracticeTask Task { get; }

    public Celsius Pan => pan;

    public Wanted Wanted => new(Cooked.DoughSets, Task.Stuffed ? Cooked.HotThrough : Cooked.DoughSets, PanStage.Dark(Task.Wanted));

    public static PracticeRound Of(int seed, int level)
    {
        var lot = new Draw(seed + 7919 * level);
        var kind = level == 1 ? PanKind.CastIron : lot.One(PanKind.CastIron, PanKind.Steel, PanKind.Aluminium, PanKind.NonStick, PanKind.Clay, PanKind.Soapstone);
        var flame = level < 3 ? Flame.Medium : lot.One(Flame.Low, Flame.High, Flame.Medium);
        var thickness = level == 1 ? 2.5 + 0.25 * lot.Of(3) : level == 5 ? 5 + 0.5 * lot.Of(4) : 1.75 + 0.25 * lot.Of(13);
        var (frozen, one, chilled) = (level == 4 && !lot.OneIn(3), level == 4 && lot.OneIn(2), level == 3 && lot.OneIn(2));
        var (wanted, fat) = (lot.One(Colour.Gold, Colour.Brown), lot.OneIn(2) || one);
        // A thick one wants a gentler pan, or nothing could be made of it.
        var pan = new Celsius((level == 5 ? 175 : level == 1 ? 195 : 180) + 5 * lot.Of(level == 5 ? 7 : 11));
        var roasting = one ? Roasting.OneTurn : fat ? Roasting.FatEachSide : Roasting.DryOnly;
        return new PracticeRound(
            new(seed, level, kind, flame, new(thickness), frozen, chilled, level == 5, wanted, fat, roasting, new(Math.Round(PinchAt200 * Math.Exp((200 - pan.Value) / PinchKelvin)))),
            pan,
            new(40 + lot.Of(6))).Watched();
    }

    /// <summary>The piece as it is laid.</summary>
    public PanRun Laid()
    {
        Celsius? from = Task.Chilled ? Air.Fridge : null;
        SlabLayer dough = new(Task.Thickness, PanPiece.Dough, water, [], From: from), wall = dough with { Thickness = new(Wall) };
        SlabLayer[] layers = Task.Stuffed ? [wall, new(new(Task.Thickness.Value - 2 * Wall), new(1.05), new(72), [], IsFilling: true), wall] : [dough];
        return new(Slab.Of(layers, Task.Frozen), pan, Cookware.Of(Task.Pan) with { Flame = Task.Flame }, stepsASecond: 1);
    }

    /// <summary>What is done to it before stay number so many, from 0.</summary>
    public void Begin(PanRun run, int stay) => Roast.Begin(run, Task.Roasting, stay, Task.Fat && Roast.IsFatted(Task.Roasting, stay));

    public IReadOnlyList<int> Advised() => Roast.Advise(Laid(), Laid(), Wanted, new(Task.Roasting, Task.Fat)).Stays;

    /// <summary>How well it was made.</summary>
    /// <param name="turned">The second of the first turn; nothing without one.</param>
    public PracticeMarks Marks(PanRun run, int? turned)
    {
        var wanted = Wanted;
        double Off(Face face) => (run.ColourOf(face) - wanted.Colour) / wanted.Colour;
        double Near(double off) => 100 * Math.Exp(-Steep * Math.Abs(off));
        var lacks = Math.Max(Math.Max(wanted.Dough.Value - run.DoughPassed.Value, wanted.Filling.Value - run.FillingPassed.Value), 0);
        // A raw place counts for nothing however good the rest is; near is not through.
        var through = lacks > 0 ? NearlyThrough * Math.Exp(-lacks / 10) : 1;
        var juice = Math.Exp(-Math.Max(run.Lost.Value - JuicyUnder, 0) / JuicyUnder);
        var (colour, done) = (Near(Math.Sqrt((Off(Face.First) * Off(Face.First) + Off(Face.Second) * Off(Face.Second)) / 2)), 100 * through * (1 - OfJuice + OfJuice * juice));
        // With one turn the colour of the first face is the cue.
        var cue = turned is not { } at ? 0 : Task.Roasting == Roasting.OneTurn ? Near(Off(Face.First)) : 100 * Math.Exp(-Math.Abs(at - Cue) / CueOff);
        return new(Math.Round(OfColour * colour + OfDone * done + (1 - OfColour - OfDone) * cue, 1), Math.Round(colour, 1), Math.Round(done, 1), Math.Round(cue, 1));
    }

    // When the blisters have risen, s.
    private int Cue { get; set; }

    private PracticeRound Watched()
    {
        var run = Laid();
        Begin(run, 0);
        while (!Roast.Cue(run, batter: false) && run.Time.Value < Trainer.Longest)
        {
            run.Go(1);
        }

        Cue = (int)run.Time.Value;
        return this;
    }

    // Points, of one: colour, doneness, the rest the first turn; juice of doneness. A face that is off by all it should have still tells a little from one that is off by more.
    private const double OfColour = 0.55, OfDone = 0.35, OfJuice = 0.3, Steep = 1.5, NearlyThrough = 0.5;

    // A first turn so far from the blisters is worth a third, s.
    private const double CueOff = 20;

    // Up to here it is as juicy as can be, percent lost.
    private const double JuicyUnder = 12;
}

/// <summary>Out of 100 each, to a tenth.</summary>
/// <param name="Score">All together.</param>
/// <param name="Colour">How near both faces came to what was wanted.</param>
/// <param name="Done">Through, and not dried out.</param>
/// <param name="Turned">The first turn against the blisters, or against the colour where it is turned once.</param>
public sealed record PracticeMarks(double Score, double Colour, double Done, double Turned);
