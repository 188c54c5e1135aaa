namespace Ystrata.Core.Planning;

/// <summary>The figure a batch starts from. The others follow.</summary>
public enum StartBy
{
    Pieces,
    Flour,
    Liquid,
    Filling,
    People,
}

/// <summary>Every figure a batch can start from. All are kept, so that switching loses none.</summary>
/// <param name="Liquid">Of the liquid that makes up the rest; where none does, of the first that is given by its share.</param>
/// <param name="Filling">Filling at hand.</param>
/// <param name="FillingEach">Filling that goes with one ball.</param>
/// <param name="Each">Pieces each of them eats.</param>
/// <param name="Makes">"This jug makes ten": from flour or liquid so many pieces, whose ball follows; nothing where the ball says how many.</param>
public sealed record StartSpec(StartBy By, int Pieces, Grams Flour, Grams Liquid, Grams Filling, Grams FillingEach, int People, double Each, int? Makes = null)
{
    /// <summary>So many pieces; the other figures stand ready.</summary>
    public static StartSpec Of(int pieces) => new(StartBy.Pieces, pieces, new(1000), new(600), new(800), new(60), Math.Max(pieces / 2, 1), 2);
}
