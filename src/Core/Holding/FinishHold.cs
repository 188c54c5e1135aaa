namespace Ystrata.Core.Holding;

/// <summary>Opening the leaves once the piece is off the pan.</summary>
/// <param name="Usual">What this kind of bread usually gets.</param>
/// <param name="Within">While it steams: later the leaves have set.</param>
/// <param name="Leaves">That come apart after it.</param>
public sealed record FinishSheet(Finish Usual, Seconds Within, int Leaves);

/// <summary>Warmth in the hand.</summary>
public enum Warmth
{
    /// <summary>Over 60 °C.</summary>
    Hot,

    /// <summary>Over 40 °C.</summary>
    Warm,
    Cold,
}

/// <summary>What a bread still is after a while.</summary>
public enum Kept
{
    Hot,
    Soft,
    Crisp,

    /// <summary>None of these any more.</summary>
    Done,
}

/// <summary>How long a bread keeps what it has, held so; all from the pan on.</summary>
/// <param name="Hot">Over 60 °C.</param>
/// <param name="Warm">Over 40 °C.</param>
/// <param name="Soft">Nothing where it is dry through as it comes off.</param>
/// <param name="Crisp">Its drier face; nothing where that is soft as it comes off.</param>
public sealed record HeldIn(HoldIn In, Minutes Hot, Minutes Warm, Minutes Soft, Minutes Crisp)
{
    /// <summary>What it still is after so long.</summary>
    internal Kept After(Minutes time) => time.Value <= Hot.Value ? Kept.Hot : time.Value <= Soft.Value ? Kept.Soft : time.Value <= Crisp.Value ? Kept.Crisp : Kept.Done;

    /// <summary>So long it is what the cook wants.</summary>
    public Minutes Keeps(HoldWant want) => want switch { HoldWant.Hot => Hot, HoldWant.Crisp => Crisp, _ => Soft };
}

/// <summary>From the pan to the table.</summary>
/// <param name="For">From pan to table; ten minutes where nothing was said.</param>
/// <param name="Then">How warm it is when it is wanted.</param>
/// <param name="Here">Where it is held.</param>
/// <param name="Places">There and everywhere else it could be.</param>
/// <param name="Keeps">So long it is what the cook wants, hot, soft or crisp, where it is held; nothing where it never is.</param>
/// <param name="Sweats">Steam that cannot leave wets it.</param>
/// <param name="Reheat">Once cold, on the same pan, turned now and then, dry; nothing when that does not warm it.</param>
/// <param name="ReheatTo">What its coldest place must reach: the safe core where it holds meat or egg.</param>
/// <param name="Unsafe">Of the time to the table, how long it is under 60 °C, which what spoils must count.</param>
public sealed record HoldSheet(Minutes For, Celsius Then, Warmth Is, HeldIn Here, IReadOnlyList<HeldIn> Places, Minutes Keeps, bool Sweats, Seconds? Reheat, Celsius ReheatTo, Minutes Unsafe);

/// <summary>Finish and hold, work.md 8. All figures here are empirical.</summary>
public static class FinishHold
{
    // How fast a piece cools, W/(m²·K) of both its faces: bare, in a stack in cloth, the same in a lidded insulated pot, in paper.
    private const double Bare = 20, Cloth = 5, Pot = 1.6, Paper = 12;

    private const double HeatOfBread = 2400; // J/(kg·K)

    // Leaves set once the steam is out of them, °C.
    private const double Steams = 75;

    // Stiff comes of water lost and a crust that dries, not of heat lost: how long a moist bread stays soft, thin and thick (models.md F).
    private static (double Thin, double Thick) Softness(HoldIn hold) => hold switch
    {
        HoldIn.Cloth => (60, 120),
        HoldIn.Pot => (240, 360),
        HoldIn.Paper => (15, 30),
        _ => (10, 20),
    };

    // A bread as thick as this is thin, or thick, mm.
    private const double Thin = 1.5, Thick = 6;

    // A bread with less water than this is crisp from the start; with more than that it is as soft as can be, percent.
    private const double Crisp = 16, Moist = 27;

    // How long a crisp face stays so: on a bread that is moist inside, whose water comes out to it, and on one that is dry through.
    private static (double Moist, double Dry) Crispness(HoldIn hold) => hold switch
    {
        HoldIn.Cloth => (2, 10),
        HoldIn.Pot => (1, 5),
        HoldIn.Paper => (4, 15),
        _ => (8, 60),
    };

    // Water in the outer quarter of a millimetre: under the first it is crisp, over the second soft, kg per kg of raw dough.
    private const double CrispCrust = 0.02, SoftCrust = 0.06;

    // Under this it is no longer warm in the hand, °C (models.md F).
    private const double WarmFrom = 40;

    private const double SweatsAfter = 3; // min in paper
    private const double UsualHold = 10; // min

    // Of the leaves that are patchy, how many each finish opens.
    private static double Opens(Finish finish) => finish switch
    {
        Finish.Clap or Finish.Shake => 0.5,
        Finish.Beat => 0.7,
        Finish.Crush => 1,
        _ => 0,
    };

    /// <param name="wound">A rope was coiled into it.</param>
    public static FinishSheet Opened(Finish finish, FoldSheet fold, bool wound, bool stuffed, PanRun run)
    {
        var usual = stuffed || fold.Nominal <= 1 ? Finish.None : wound ? Finish.Clap : fold.Nominal >= 12 ? Finish.Crush : Finish.Shake;
        return new(usual, new(Math.Round(Cooling(run, Bare, Steams) * 60)), fold.Effective - fold.Patchy + (int)Math.Round(Opens(finish) * fold.Patchy, MidpointRounding.AwayFromZero));
    }

    /// <param name="risky">It holds meat or egg.</param>
    internal static HoldSheet Held(PanSpec spec, PanRun run, bool risky)
    {
        var minutes = spec.HoldFor?.Value ?? UsualHold;
        var then = Math.Round(Air.Kitchen.Value + (Start(run) - Air.Kitchen.Value) * Math.Exp(-minutes * 60 / Constant(run, Rate(spec.Hold))));
        var places = Enum.GetValues<HoldIn>().Select(hold => Keeps(hold, run)).ToList();
        var here = places.Single(p => p.In == spec.Hold);
        return new(
            new(minutes),
            new(then),
            then >= WarmTime.To.Value ? Warmth.Hot : then >= WarmFrom ? Warmth.Warm : Warmth.Cold,
            here,
            places,
            here.Keeps(spec.Wants),
            spec.Hold == HoldIn.Paper && minutes > SweatsAfter,
            Reheat(spec, run, Air.Kitchen, risky),
            ReheatTo(risky),
            new(Math.Max(minutes - Cooling(run, Rate(spec.Hold), WarmTime.To.Value), 0)));
    }

    // Soft: by the water that is left. Crisp: by the crust, and by the water inside that comes out to it. Hot: by its mass. Each in its own time.
    private static HeldIn Keeps(HoldIn hold, PanRun run)
    {
        var moist = Math.Clamp((run.WaterShare.Value - Crisp) / (Moist - Crisp), 0, 1);
        var thick = Math.Clamp((run.Thickness.Value - Thin) / (Thick - Thin), 0, 1);
        var crust = Math.Clamp((SoftCrust - Math.Min(run.CrustWater(Face.First), run.CrustWater(Face.Second))) / (SoftCrust - CrispCrust), 0, 1);
        var (soft, crisp) = (Softness(hold), Crispness(hold));
        static Minutes Whole(double minutes) => new(Math.Round(minutes));
        return new(
            hold,
            Whole(Cooling(run, Rate(hold), WarmTime.To.Value)),
            Whole(Cooling(run, Rate(hold), WarmFrom)),
            Whole(moist * (soft.Thin + (soft.Thick - soft.Thin) * thick)),
            Whole(crust * (crisp.Dry + (crisp.Moist - crisp.Dry) * moist)));
    }

    private static double Rate(HoldIn hold) => hold switch { HoldIn.Cloth => Cloth, HoldIn.Pot => Pot, HoldIn.Paper => Paper, _ => Bare };

    /// <summary>Meat and egg go to the safe core again (models.md F); all else until it is hot to eat (empirical).</summary>
    internal static Celsius ReheatTo(bool risky) => risky ? Cooked.SafeCore : new(60);

    /// <summary>Turned every so often on the pan it came from, until it is hot through; nothing when that takes too long.</summary>
    /// <param name="from">The cold piece: of the kitchen, the fridge or the freezer.</param>
    internal static Seconds? Reheat(PanSpec spec, PanRun run, Celsius from, bool risky)
    {
        const int turn = 15, longest = 480;
        var warm = ReheatTo(risky).Value;
        if (run.Time.Value <= 0)
        {
            return null;
        }

        var again = run.Again(from, spec.Laid);
        for (var seconds = turn; seconds <= longest; seconds += turn)
        {
            again.Go(turn);
            if (Math.Min(again.DoughPassed.Value, again.FillingPassed.Value) >= warm)
            {
                return new(seconds);
            }

            again.Turn();
        }

        return null;
    }

    private static double Start(PanRun run) => Math.Max((run.At(0.5).Value + run.Middle.Value) / 2, Air.Kitchen.Value + 1);

    private static double Constant(PanRun run, double rate) => run.MassPerArea * HeatOfBread / rate;

    // Minutes until it is as cool as that.
    private static double Cooling(PanRun run, double rate, double to) => Start(run) <= to ? 0 : Constant(run, rate) * Math.Log((Start(run) - Air.Kitchen.Value) / (to - Air.Kitchen.Value)) / 60;
}
