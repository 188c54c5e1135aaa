namespace Ystrata.Core.Bread;

/// <summary>What one piece weighs and of what: made when the dough is divided, carried to the packet and the log. Every mass anywhere is read from here.</summary>
/// <param name="Fat">Laid on and between its leaves.</param>
/// <param name="PanFat">From the pan, what stays on its faces.</param>
/// <param name="Dust">Flour laid on and between its leaves.</param>
/// <param name="Bits">Scattered or pressed on.</param>
/// <param name="Steam">Gone on the pan.</param>
/// <param name="Water">That is in it, whatever brought it.</param>
/// <param name="Temperature">As it goes on the pan.</param>
/// <param name="Warm">How long what spoils in it has been warm; nothing in it spoils where nothing is said.</param>
public sealed record Piece(Grams Dough, Grams Fat, Grams PanFat, Grams Dust, Grams Bits, Grams Filling, Grams Steam, Grams Water, Celsius Temperature, WarmTime Warm)
{
    public Grams Mass => Dough + Fat + PanFat + Dust + Bits + Filling - Steam;

    /// <summary>A ball as it is divided.</summary>
    internal static Piece Divided(Grams ball, Percent water, Minutes? warm) =>
        new(ball, default, default, default, default, default, default, ball * water.Fraction, Air.Kitchen, new(warm, null));

    /// <summary>With what is laid on it and folded into it.</summary>
    internal Piece Laid(IEnumerable<FoldInput> inputs, Kitchen kitchen) => inputs.Aggregate(this, (piece, input) =>
    {
        var with = piece with { Water = piece.Water + input.OfBall * kitchen[input.Id].Water.Fraction };
        return input.Is switch
        {
            LaidIn.Fat => with with { Fat = with.Fat + input.OfBall },
            LaidIn.Dust => with with { Dust = with.Dust + input.OfBall },
            _ => with with { Bits = with.Bits + input.OfBall },
        };
    });

    internal Piece Filled(Grams filling, FillingState of, Minutes? warm) =>
        this with { Filling = filling, Water = Water + filling * (of.Water / of.Mass), Warm = Warm with { Filling = warm } };

    /// <summary>As warm as dough and filling are on average when it goes on the pan.</summary>
    internal Piece At(Celsius dough, Celsius filling) =>
        this with { Temperature = new(dough.Value + (filling.Value - dough.Value) * (Mass.Value > 0 ? Filling / Mass : 0)) };

    /// <summary>Cut in so many alike.</summary>
    internal Piece CutIn(int pieces) => this with { Dough = Dough / pieces, Fat = Fat / pieces, Dust = Dust / pieces, Bits = Bits / pieces, Filling = Filling / pieces, Water = Water / pieces };

    /// <summary>Off the pan: so much has left as steam, and so much fat has stayed on it.</summary>
    internal Piece Roasted(Grams steam, Grams fat) => this with { Steam = steam, PanFat = fat, Water = Water - steam };
}

/// <summary>Minutes between 5 and 60 °C of each part that spoils; nothing for a part in which nothing does.</summary>
public sealed record WarmTime(Minutes? Dough, Minutes? Filling)
{
    /// <summary>Between these a part is warm (models.md F).</summary>
    internal static readonly Celsius From = new(5), To = new(60);

    /// <summary>Usual guidance in all, and when it is thrown away; local food codes come first (models.md F).</summary>
    internal static readonly Minutes Limit = new(120), Most = new(240);

    internal static bool IsWarm(Celsius at) => at.Value > From.Value && at.Value < To.Value;
}
