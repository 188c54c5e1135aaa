namespace Ystrata.Core.Kitchens;

/// <summary>Kinds of hand work, each with its own time.</summary>
public enum HandWork
{
    Sheet,
    Roll,
    Press,
    Stretch,
    Brush,
    Paste,
    Dust,
    Scatter,
    Fold,
    Pleat,
    Enclose,
    CutStrip,
    Slit,
    MatRoll,
    CutSlice,
    Coil,
    ConeTurn,
    Pinch,
    LastRoll,

    /// <summary>Weighing and bringing one bowl of dough together, without the kneading.</summary>
    MixBowl,

    /// <summary>Weighing and rounding one ball.</summary>
    Divide,

    /// <summary>Chopping, grating or mashing 100 g.</summary>
    Chop,

    /// <summary>Squeezing 100 g.</summary>
    Squeeze,

    /// <summary>Any other step of a filling that wants hands and no time of its own.</summary>
    Season,

    /// <summary>Filling one piece and closing it.</summary>
    Stuff,

    /// <summary>Ladling one piece of batter.</summary>
    Pour,
    Lay,

    /// <summary>Turning one piece, with fat or without.</summary>
    Turn,
    Lift,

    /// <summary>Opening the leaves of one piece as it comes off.</summary>
    Open,
    Wipe,
}

/// <summary>How long this cook's hands take. Shipped values are empirical: an even, unhurried pair of hands.</summary>
/// <param name="Own">What the cook has timed, in seconds; it goes before the usual.</param>
public sealed record HandTimes(IReadOnlyDictionary<HandWork, Seconds> Own)
{
    public static readonly Seconds Least = new(1), Most = new(900);

    public static HandTimes Shipped { get; } = new(new Dictionary<HandWork, Seconds>());

    /// <summary>Each kind's usual time: of one sheet, one fold, one pleat, one cut, one turn (empirical).</summary>
    public static IReadOnlyDictionary<HandWork, Seconds> Usual { get; } = new Dictionary<HandWork, double>
    {
        [HandWork.Sheet] = 45,
        [HandWork.Roll] = 30,
        [HandWork.Press] = 15,
        [HandWork.Stretch] = 12,
        [HandWork.Brush] = 10,
        [HandWork.Paste] = 18,
        [HandWork.Dust] = 5,
        [HandWork.Scatter] = 6,
        [HandWork.Fold] = 3,
        [HandWork.Pleat] = 2.5,
        [HandWork.Enclose] = 30,
        [HandWork.CutStrip] = 2,
        [HandWork.Slit] = 1.5,
        [HandWork.MatRoll] = 12,
        [HandWork.CutSlice] = 3,
        [HandWork.Coil] = 10,
        [HandWork.ConeTurn] = 3,
        [HandWork.Pinch] = 8,
        [HandWork.LastRoll] = 25,
        [HandWork.MixBowl] = 240,
        [HandWork.Divide] = 12,
        [HandWork.Chop] = 25,
        [HandWork.Squeeze] = 12,
        [HandWork.Season] = 30,
        [HandWork.Stuff] = 35,
        [HandWork.Pour] = 10,
        [HandWork.Lay] = 4,
        [HandWork.Turn] = 5,
        [HandWork.Lift] = 4,
        [HandWork.Open] = 6,
        [HandWork.Wipe] = 6,
    }.ToDictionary(p => p.Key, p => new Seconds(p.Value));

    public Seconds this[HandWork work] => Own.TryGetValue(work, out var own) ? own : Usual[work];

    /// <summary>One step, on all the pieces one ball has become.</summary>
    /// <param name="after">The piece after the step.</param>
    public Seconds Of(FoldStep step, Form after) =>
        step.Hands is { } use ? this[use.Work] * (use.Times * (use.Cuts ? 1 : after.Count)) : default;

    /// <summary>From the first sheet to the last roll: everything done to one ball.</summary>
    internal Seconds OfProgram(Shaping shape, IReadOnlyList<Form> steps)
    {
        var sum = this[HandWork.Sheet] + this[HandWork.LastRoll] * (steps.Count > 0 ? steps[^1].Count : 1);
        sum += shape.Coat?.FatMass.Value > 0 ? this[HandWork.Brush] : default;
        sum += shape.Coat?.DustMass.Value > 0 ? this[HandWork.Dust] : default;
        for (var i = 0; i < steps.Count; i++)
        {
            sum += Of(shape.Steps[i], steps[i]);
        }

        return sum;
    }
}

/// <summary>What a step is to the hands.</summary>
/// <param name="Times">How often.</param>
/// <param name="Cuts">A cut is made once, whatever it makes; anything else on every piece there is.</param>
internal sealed record HandUse(HandWork Work, double Times = 1, bool Cuts = false);
