namespace Ystrata.Core.Kitchens;

/// <summary>What a batch is worked out with: what there is, how it is measured, how fast hands are, and what the record has taught.</summary>
/// <param name="Board">What dough is rolled on, across.</param>
public sealed record Kitchen(Larder Larder, Measuring Measures, HandTimes Hands, Learned Learned, Millimetres Board)
{
    /// <summary>Water, in the air there is.</summary>
    public Celsius Boils { get; private init; } = Cooked.Boils;

    /// <summary>The same kitchen in this air.</summary>
    internal Kitchen In(RoomAir air) => (air == RoomAir.HighUp ? Cooked.BoilsHighUp : Cooked.Boils) is var boils && boils == Boils ? this : this with { Boils = boils };

    /// <summary>The words amounts and recipes are read with, besides the readers' own.</summary>
    public Lexicon Words { get; init; } = Lexicon.Own;

    /// <summary>As it ships: nobody has put anything right and nothing is learned.</summary>
    public static Kitchen Shipped { get; } = new(Larder.Shipped, Measuring.Usual, HandTimes.Shipped, Learned.Nothing, Units.UsualBoard);

    /// <exception cref="KeyNotFoundException">No such ingredient; <see cref="SpecCheck"/> refuses such a spec first.</exception>
    public Ingredient this[string id] => Larder[id];

    public bool TryGet(string id, out Ingredient? ingredient) => Larder.TryGet(id, out ingredient);
}
