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
    // Cook off on medium heat, g/(s·m²); about 5 g a minute in a 24 cm pan (models.md E, empirical).
    private const double CookOffRate = 1.8;

    // A pan drives off no more than down to this share of what the solids hold (empirical).
    private const double DriedTo = 0.5;

    /// <summary>Cooked soft, a dry thing has drunk this share of what it holds (empirical).</summary>
    internal const double CookedTo = 1.05;

    /// <summary>Off the fire: a little under boiling (empirical).</summary>
    internal static Celsius HotIn(Kitchen kitchen) => new(kitchen.Boils.Value - 5);

    /// <summary>Of its time, how long it is between 5 and 60 °C: all of it where the step leaves it so.</summary>
    public Minutes Warm { get; init; }

    /// <summary>What an open pan drives off, g/min.</summary>
    internal static double PerMinute(Millimetres pan) => CookOffRate * 60 * SquareCentimetres.OfRound(pan).SquareMetres;

    internal static FillingRow Of(FillingState state, Minutes time = default) => new(state.Mass, state, Liquor.None, default, default, default, default, time) { Warm = WarmTime.IsWarm(state.Temperature) ? time : default };

    internal static FillingRow Put(FillingState now, FillingState what) => Of(now + what with { Grain = default }) with { Added = what.Mass };

    internal static FillingRow Drain(FillingState now, Grams water)
    {
        var share = now.Water.Value > 0 ? water / now.Water : 0;
        var liquor = new Liquor(water, now.Salt * share, now.Sugar * share);
        return Of(now with
        {
            Water = now.Water - water,
            Loose = new(Math.Max((now.Loose - water).Value, 0)),
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

    /// <param name="to">Until it weighs so much; nothing for a fixed time.</param>
    internal static FillingRow CookOff(FillingState now, Grams added, Minutes time, Millimetres pan, Grams? to, Kitchen kitchen)
    {
        var perMinute = kitchen.Learned.CookOff * PerMinute(pan);
        var most = Math.Max((now.Water - now.Holds * DriedTo).Value, 0);
        var wanted = to is { } target ? Math.Max((now.Mass - target).Value, 0) : perMinute * time.Value;
        var steam = new Grams(Math.Min(wanted, most));
        return Of(now with { Water = now.Water - steam, Loose = new(Math.Max((now.Loose - steam).Value, 0)), Temperature = HotIn(kitchen) }, to is null ? time : new(steam.Value / perMinute)) with
        {
            Steam = steam,
            Added = added,
        };
    }

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
