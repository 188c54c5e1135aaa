namespace Ystrata.Core.Filling;

/// <summary>One line of the filling's ledger.</summary>
/// <param name="Planned">Mass the step was expected to leave.</param>
/// <param name="State">What there is after it, with the weight that was taken where one was.</param>
/// <param name="Drained">Liquor that ran off: water with its share of salt and sugar.</param>
/// <param name="Steam">Water driven off.</param>
/// <param name="Taken">Water taken up from outside.</param>
/// <param name="Added">What the step put in.</param>
/// <param name="Scrap">Lost on board and hands, or found there when negative, as the weights tell.</param>
/// <param name="Time">Of the step; what it takes to reach the weight asked for, where one is.</param>
public sealed record FillingRow(
    Grams Planned, FillingState State, Liquor Drained, Grams Steam, Grams Taken, Grams Added, Grams Scrap, Minutes Time);

/// <summary>What runs off a filling.</summary>
public sealed record Liquor(Grams Water, Grams Salt, Grams Sugar)
{
    public static Liquor None { get; } = new(default, default, default);

    public Grams Mass => Water + Salt + Sugar;

    /// <summary>So much of it.</summary>
    public Liquor Of(Grams mass) => new(Water * (mass / Mass), Salt * (mass / Mass), Sugar * (mass / Mass));

    /// <summary>As a liquid of the dough; it stands in no larder and costs nothing.</summary>
    internal Ingredient AsItem()
    {
        Percent Share(Grams part) => Percent.FromFraction(part / Mass);
        return Ingredient.OfLiquor(Share(Water), Share(Sugar), Share(Salt));
    }

    public static Liquor operator +(Liquor a, Liquor b) => new(a.Water + b.Water, a.Salt + b.Salt, a.Sugar + b.Sugar);
}

/// <summary>How each step of a filling changes it (models.md E).</summary>
public static class FillingWork
{
    // Salt draw: minutes to two thirds of what it draws, and the salt it was measured at, percent.
    private const double GratedDraw = 6, ChoppedDraw = 10, DrawSalt = 1.5;

    // A hand squeezes half of what a cloth does.
    private const double HandShare = 0.5;

    // Heat opens the cells: a cloth then takes this many times as much, and never more than the most (empirical).
    private const double OpenedSqueeze = 1.6, MostSqueeze = 0.65;

    // Cook off on medium heat, g/(s·m²); about 5 g a minute in a 24 cm pan (models.md E, empirical).
    private const double CookOff = 1.8;

    // A pan drives off no more than down to this share of what the solids hold (empirical).
    private const double DriedTo = 0.5;

    // Dry things drink up to this share of what they hold; minutes to two thirds of it (empirical).
    private const double SoakedTo = 0.6, CookedTo = 1.05, SoakTime = 150, BoilTime = 25, PressureTime = 6;

    // Melted sugar takes water that the solids held, g/g (empirical).
    private const double SugarSlackens = 0.15;

    // Spread on a tray in the larder, or in the fridge; minutes to two thirds of the way (empirical).
    private const double TrayTime = 35, FridgeTime = 25;
    private static readonly Celsius Hot = new(95);

    // A flour drinks like semolina (models.md E).
    private const double FlourDrinks = 1.0;

    /// <summary>Water a gram of this binder takes from a filling, its own already bound.</summary>
    public static double Drinks(Ingredient binder) => binder.Holding ?? FlourDrinks;

    /// <summary>Carries one part, or what was joined, through its steps.</summary>
    /// <param name="start">What there is before the first.</param>
    /// <param name="draw">Share of its water that salt draws at 1.5 %.</param>
    /// <param name="squeeze">Share of the remaining water a cloth takes.</param>
    public static IReadOnlyList<FillingRow> Through(FillingState start, IReadOnlyList<FillingStep> steps, Percent draw, Percent squeeze, Kitchen kitchen)
    {
        var rows = new List<FillingRow>(steps.Count);
        var (now, grated, opened) = (start, false, false);
        foreach (var step in steps)
        {
            // Weighed before: so much is there, of the same make.
            var scaled = step.Before is { } before && now.Mass.Value > 0 ? now.Times(before / now.Mass) : now;
            var cloth = Math.Min(squeeze.Fraction * (opened ? OpenedSqueeze : 1), Math.Max(MostSqueeze, squeeze.Fraction));
            var planned = Step(step, scaled, draw.Fraction, cloth, grated, kitchen);
            grated |= step is ChopStep { By: ChopBy.Grate };
            opened |= step is BlanchStep or BoilStep or PressureStep or SauteStep;
            var row = step.After is { } after ? Weighed(step, scaled, planned, after) : planned;
            rows.Add(row with { Scrap = row.Scrap + now.Mass - scaled.Mass });
            now = row.State;
        }

        return rows;
    }

    private static FillingRow Step(FillingStep step, FillingState now, double draw, double cloth, bool grated, Kitchen kitchen)
    {
        switch (step)
        {
            case ChopStep s:
                return Row(now with { Grain = s.Grain });
            case SaltStep s:
                var salted = now + FillingState.Made(kitchen[s.Salt], now.Mass * s.Share.Fraction) with { Holds = default, Grain = default, Temperature = now.Temperature };
                var drawn = draw * Math.Sqrt(s.Share.Value / DrawSalt) * (1 - Math.Exp(-s.Time.Value / (grated ? GratedDraw : ChoppedDraw)));
                var loose = Math.Max(now.Loose.Value, Math.Min(now.Water.Value * drawn, now.Water.Value));
                return Row(salted with { Loose = new(loose) }, time: s.Time) with { Added = salted.Mass - now.Mass };
            case SqueezeStep s:
                var share = s.By switch { SqueezeBy.Cloth => cloth, SqueezeBy.Hand => cloth * HandShare, _ => 0 };
                return Drained(now, now.Loose + (now.Water - now.Loose) * share);
            case BlanchStep s:
                return Row(now with { Temperature = Hot }, time: s.Time);
            case SoakStep s:
                return Drinking(now, now.Holds * SoakedTo, s.Time.Value / SoakTime, s.Time);
            case BoilStep s:
                return Drinking(now with { Temperature = Hot }, now.Holds * CookedTo, s.Time.Value / BoilTime, s.Time);
            case PressureStep s:
                return Drinking(now with { Temperature = Hot }, now.Holds * CookedTo, s.Time.Value / PressureTime, s.Time);
            case SauteStep s:
                var fat = FillingState.Made(kitchen[s.Fat], s.FatMass);
                return Cooked(now + fat with { Holds = default, Grain = default }, fat.Mass, s.Time, s.Pan, s.To);
            case SweetenStep s:
                var sugar = FillingState.Made(kitchen[s.Sugar], s.Mass);
                return Cooked(now + sugar with { Holds = s.Mass * -SugarSlackens, Grain = default }, sugar.Mass, s.Time, s.Pan, to: null);
            case CoolStep s:
                var (air, tau) = s.Place == RestPlace.Fridge ? (Air.Fridge.Value, FridgeTime) : (Air.Kitchen.Value, TrayTime);
                return Row(now with { Temperature = new(air + (now.Temperature.Value - air) * Math.Exp(-s.Time.Value / tau)) }, time: s.Time);
            case BindStep s:
                var binder = FillingState.Made(kitchen[s.Binder], s.Mass);
                return Put(now, binder with { Holds = binder.Water + s.Mass * Drinks(kitchen[s.Binder]) });
            case SeasonStep s:
                // Spice and herbs keep their own water.
                var spice = FillingState.Made(kitchen[s.Item], s.Mass);
                return Put(now, spice with { Holds = spice.Water });
            case MoistenStep s:
                return Put(now, FillingState.Made(kitchen[s.Item], s.Mass) with { Holds = default });
            default:
                throw new ArgumentOutOfRangeException(nameof(step));
        }
    }

    // A weight taken after a step says how much went where that step sends it: off with the liquor, off as steam, in from the pot, or on the board.
    private static FillingRow Weighed(FillingStep step, FillingState before, FillingRow planned, Grams after)
    {
        var gone = planned.State.Mass + planned.Drained.Mass + planned.Steam - planned.Taken - after;
        var whole = planned.State with { Water = planned.State.Water + planned.Drained.Water + planned.Steam - planned.Taken };
        return step switch
        {
            SqueezeStep => Drained(before, DrainedWater(before, before.Mass - after)) with { Planned = planned.Planned },
            SauteStep or SweetenStep => planned with { State = whole with { Water = whole.Water - gone }, Steam = gone },
            SoakStep or BoilStep or PressureStep or BlanchStep => planned with { State = whole with { Water = whole.Water - gone }, Taken = gone * -1 },
            _ => planned with { State = planned.State.Times(after / planned.State.Mass), Scrap = planned.State.Mass - after },
        };
    }

    // Water in so much liquor, which carries salt and sugar in the measure of the water it takes.
    private static Grams DrainedWater(FillingState state, Grams liquor) =>
        state.Water.Value > 0 ? liquor / (1 + (state.Salt + state.Sugar) / state.Water) : Grams.Zero;

    private static FillingRow Drained(FillingState now, Grams water)
    {
        var share = now.Water.Value > 0 ? water / now.Water : 0;
        var liquor = new Liquor(water, now.Salt * share, now.Sugar * share);
        return Row(now with
        {
            Water = now.Water - water,
            Loose = new(Math.Max((now.Loose - water).Value, 0)),
            Salt = now.Salt - liquor.Salt,
            Sugar = now.Sugar - liquor.Sugar,
        }) with
        { Drained = liquor };
    }

    private static FillingRow Drinking(FillingState now, Grams most, double times, Minutes time)
    {
        var taken = new Grams(Math.Max((most - now.Water).Value, 0) * (1 - Math.Exp(-times)));
        return Row(now with { Water = now.Water + taken }, time: time) with { Taken = taken };
    }

    private static FillingRow Cooked(FillingState now, Grams added, Minutes time, Millimetres pan, Grams? to)
    {
        var perMinute = CookOff * 60 * SquareCentimetres.OfRound(pan).SquareMetres;
        var most = Math.Max((now.Water - now.Holds * DriedTo).Value, 0);
        var wanted = to is { } target ? Math.Max((now.Mass - target).Value, 0) : perMinute * time.Value;
        var steam = new Grams(Math.Min(wanted, most));
        return Row(now with { Water = now.Water - steam, Loose = new(Math.Max((now.Loose - steam).Value, 0)), Temperature = Hot }, to is null ? time : new(steam.Value / perMinute)) with
        {
            Steam = steam,
            Added = added,
        };
    }

    private static FillingRow Put(FillingState now, FillingState what) => Row(now + what with { Grain = default }) with { Added = what.Mass };

    private static FillingRow Row(FillingState state, Minutes time = default) => new(state.Mass, state, Liquor.None, default, default, default, default, time);
}
