namespace Ystrata.Core.Lamination;

/// <summary>What lies on a face, or between two leaves.</summary>
/// <param name="Film">The fat as a film.</param>
/// <param name="Fat">The same fat by mass.</param>
/// <param name="Dust">Dry flour or starch, the flour of a paste among it.</param>
/// <param name="Bits">Scattered herbs, seeds, spice. They part no leaves.</param>
public readonly record struct Coat(Micrometres Film, Load Fat, Load Dust, Load Bits = default)
{
    /// <summary>A film of fat: m / (ρ · A).</summary>
    public static Coat OfFat(Grams mass, Ingredient fat, SquareCentimetres area) => new(
        Micrometres.FromMetres(mass.Kilograms / (fat.Density.KilogramsPerCubicMetre * area.SquareMetres)),
        Load.From(mass, area),
        default);

    public static Coat OfPaste(Grams fatMass, Ingredient fat, Grams flourMass, SquareCentimetres area) => OfFat(fatMass, fat, area) + OfDust(flourMass, area);

    public static Coat OfDust(Grams mass, SquareCentimetres area) => new(default, default, Load.From(mass, area));

    public static Coat OfBits(Grams mass, SquareCentimetres area) => new(default, default, default, Load.From(mass, area));

    /// <summary>The fat that makes a film of this thickness on an area.</summary>
    public static Grams FatFor(Micrometres film, Ingredient fat, SquareCentimetres area) =>
        Grams.FromKilograms(film.Metres * fat.Density.KilogramsPerCubicMetre * area.SquareMetres);

    public static Coat operator +(Coat a, Coat b) => new(a.Film + b.Film, a.Fat + b.Fat, a.Dust + b.Dust, a.Bits + b.Bits);

    public static Coat operator /(Coat a, double k) => new(a.Film / k, a.Fat / k, a.Dust / k, a.Bits / k);

    public static Coat operator *(Coat a, double k) => a / (1 / k);

    /// <summary>What is left when another coat is taken off; never less than nothing.</summary>
    public static Coat operator -(Coat a, Coat b)
    {
        // Rounding leaves specks where nothing is left.
        static double Left(double from, double take) => from - take > from * 1e-9 ? from - take : 0;
        return new(
            new(Left(a.Film.Value, b.Film.Value)), new(Left(a.Fat.Value, b.Fat.Value)), new(Left(a.Dust.Value, b.Dust.Value)), new(Left(a.Bits.Value, b.Bits.Value)));
    }
}

/// <summary>Where two leaves lie on each other.</summary>
/// <param name="Step">The step of the fold program, from 0, that laid them so.</param>
public readonly record struct Contact(Coat Coat, int Step)
{
    public ContactState State => Contacts.StateOf(Coat);
}
