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
    Grams Planned, FillingState State, Liquor Drained, Grams Steam, Grams Taken, Grams Added, Grams Scrap, Minutes Time)
{
    // Steam off an open pan on a flame, g/(s·m²): about 11 g a minute in 26 cm on medium and 16 on high (models.md E; low is empirical).
    private static double CookOffRate(Flame flame) => flame switch { Flame.High => 5, Flame.Medium => 3.5, Flame.Low => 2, _ => 0 };

    // What solids hold is driven off so much slower than what is free, and down to their own mass (empirical; models.md E).
    private const double Slower = 0.25, HeldAtLeast = 1;

    // The pan is worked through in such pieces, min.
    private const double Piece = 0.5;

    /// <summary>Cooked soft, a dry thing has drunk this share of what it holds (empirical).</summary>
    internal const double CookedTo = 1.05;

    /// <summary>Off the fire: a little under boiling (empirical).</summary>
    internal static Celsius HotIn(Kitchen kitchen) => new(kitchen.Boils.Value - 5);

    /// <summary>Of its time, how long it is between 5 and 60 °C: all of it where the step leaves it so.</summary>
    public Minutes Warm { get; init; }

    /// <summary>What an open pan drives off, g/min.</summary>
    internal static double PerMinute(Millimetres pan, Flame flame) => CookOffRate(flame) * 60 * SquareCentimetres.OfRound(pan).SquareMetres;

    internal static FillingRow Of(FillingState state, Minutes time = default) => new(state.Mass, state, Liquor.None, default, default, default, default, time) { Warm = WarmTime.IsWarm(state.Temperature) ? time : default };

    internal static FillingRow Put(FillingState now, FillingState what) => Of(now + what with { Grain = default }) with { Added = what.Mass };

    internal static FillingRow Drain(FillingState now, Grams water)
    {
        var share = now.Water.Value > 0 ? water / now.Water : 0;
        var liquor = new Liquor(water, now.Salt * share, now.Sugar * share);
        return Of(now with
        {
            Water = now.Water - water,
            Salt = now.Salt - liquor.Salt,
            Sugar = now.Sugar - liquor.Sugar,
        }) with
        { Drained = liquor };
    }

    /// <summary>Water in so much liquor, which carries salt and sugar in the measure of the water it takes.</summary>
    internal static Grams WaterIn(FillingState state, Grams liquor) => state.Water.Value > 0 ? liquor / (1 + (state.Salt + state.Sugar) / state.Water) : Grams.Zero;

    /// <param name="to">Share of what it holds that it drinks in the end.</param>
    /// <param name="twoThirds">Minutes to two thirds of that.</param>
    internal static FillingRow Drink(FillingState now, double to, Minutes time, double twoThirds)
    {
        var taken = new Grams(Math.Max((now.Holds * to - now.Water).Value, 0) * (1 - Math.Exp(-time.Value / twoThirds)));
        return Of(now with { Water = now.Water + taken }, time) with { Taken = taken };
    }

    /// <summary>Stirred in an open pan: heat opens cells, and what is free goes off as steam; what solids hold only slowly, and they then hold as much less.</summary>
    /// <param name="to">Until it weighs so much; nothing for a fixed time.</param>
    internal static FillingRow CookOff(FillingState now, Grams added, Minutes time, Flame flame, Millimetres pan, Grams? to, Kitchen kitchen)
    {
        const double longest = 2880; // min
        var perMinute = kitchen.Learned.CookOff * PerMinute(pan, flame);
        var (cells, water, holds, solids, left) = (now.Cells, now.Water.Value, now.Holds.Value, now.Solids.Value, to is null ? time.Value : longest);
        var least = LeastHeld(now);
        var (each, salt) = (cells.Heats(new(Piece), inWater: false), now.Saltiness);
        double spent = 0, steam = 0;
        while (left > 1e-9 && !(to is { } weight && water + solids <= weight.Value + 1e-9))
        {
            var dt = Math.Min(Piece, left);
            var open = dt == Piece ? each : cells.Heats(new(dt), inWater: false);
            holds = Softened(holds, least, cells, open);
            cells = cells.Softened(open).Stood(salt, new(dt));
            var can = perMinute * dt;
            var free = Math.Max(water - holds - cells.Water.Value, 0);
            var held = Math.Min(Math.Max(can - free, 0) * Slower, Math.Max(Math.Min(holds, water) - least, 0));
            var off = Math.Min(can, free) + held;
            if (to is { } target && water + solids - off < target.Value)
            {
                // The last piece only as far as the weight wanted.
                var part = off > 0 ? (water + solids - target.Value) / off : 1;
                (off, held, dt) = (off * part, held * part, dt * part);
            }
            else if (off <= 1e-12 && (cells.Water + cells.Softens).Value <= 1e-9)
            {
                // Nothing more goes off.
                break;
            }

            water -= off;
            holds -= held;
            steam += off;
            spent += dt;
            left -= dt;
        }

        var after = now with { Water = new(water), Holds = new(holds), Cells = cells, Temperature = HotIn(kitchen) };
        return Of(after, to is null ? time : new(spent)) with { Steam = new(steam), Added = added };
    }

    /// <summary>In boiling water, or its steam: cells open fast.</summary>
    internal static FillingState Boiled(FillingState now, Minutes time, Kitchen kitchen)
    {
        var open = now.Cells.Heats(time, inWater: true);
        return now with { Cells = now.Cells.Softened(open), Holds = new(Softened(now.Holds.Value, LeastHeld(now), now.Cells, open)), Temperature = HotIn(kitchen) };
    }

    // What solids hold however hot and dry they get, g.
    private static double LeastHeld(FillingState now) => Math.Min((now.Solids - now.Fat).Value * HeldAtLeast, now.Holds.Value);

    // What they hold once so much of what was still whole in them went soft, g: never less than that.
    private static double Softened(double holds, double least, Cells cells, double open) => holds - Math.Min(cells.Softens.Value * open, Math.Max(holds - least, 0));

    /// <summary>By a weight taken after it, what is wanting went off as steam.</summary>
    internal FillingRow AsSteam(Grams after) => this with { State = Whole with { Water = Whole.Water - Gone(after) }, Steam = Gone(after) };

    /// <summary>By a weight taken after it, what is more came in from the pot.</summary>
    internal FillingRow FromThePot(Grams after) => this with { State = Whole with { Water = Whole.Water - Gone(after) }, Taken = Gone(after) * -1 };

    // As it would be had no water come or gone.
    private FillingState Whole => State with { Water = State.Water + Drained.Water + Steam - Taken };

    private Grams Gone(Grams after) => State.Mass + Drained.Mass + Steam - Taken - after;
}


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
