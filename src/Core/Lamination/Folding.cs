namespace Ystrata.Core;

/// <summary>How each step of a fold program changes a piece (models.md D).</summary>
public static class Folding
{
    /// <summary>Ystrata follows a piece up to this many leaves.</summary>
    public const int MostLeaves = 1024;

    private static readonly bool[] HalfFlips = [false, true];
    private static readonly bool[] LetterFlips = [false, true, true];

    /// <summary>How many copies a step will pile, 1 when it piles none.</summary>
    public static int CopiesOf(FoldStep step, Piece piece) => step switch
    {
        HalfStep => 2,
        LetterStep => 3,
        AccordionStep a => a.Pleats,
        MatRollStep => MatCrossings(piece),
        _ => 1,
    };

    public static Piece Apply(FoldStep step, Piece piece, int index, Larder larder) => step switch
    {
        RollStep s => RollTo(piece, s.Diameter),
        BrushStep s => piece.Coated(FatCoat(s.Mass, larder[s.Fat], piece.Area)),
        DustStep s => piece.Coated(new(default, default, Load.From(s.Mass, piece.Area))),
        HalfStep => Half(piece, index),
        LetterStep => Along(piece, LetterFlips, index),
        AccordionStep s => Along(piece, Pleated(s.Pleats), index),
        MatRollStep => MatRoll(piece, index),
        CoilStep => Coil(piece),
        _ => throw new ArgumentOutOfRangeException(nameof(step)),
    };

    /// <summary>Rolls until the area is that of a round of this diameter; a piece that is already bigger stays as it is.</summary>
    public static Piece RollTo(Piece piece, Millimetres diameter)
    {
        var k = SquareCentimetres.OfRound(diameter).Value / piece.Area.Value;
        return k > 1 ? piece.Spread(k) : piece;
    }

    /// <summary>A film of fat: m / (ρ · A).</summary>
    public static Coat FatCoat(Grams mass, Ingredient fat, SquareCentimetres area) => new(
        Micrometres.FromMetres(mass.Kilograms / (fat.Density.KilogramsPerCubicMetre * area.SquareMetres)),
        Load.From(mass, area),
        default);

    /// <summary>The fat that makes a film of this thickness on an area.</summary>
    public static Grams FatFor(Micrometres film, Ingredient fat, SquareCentimetres area) =>
        Grams.FromKilograms(film.Metres * fat.Density.KilogramsPerCubicMetre * area.SquareMetres);

    private static Piece Half(Piece piece, int index) => piece.Outline switch
    {
        Outline.Round => piece.Piled(HalfFlips, index, Outline.HalfMoon, piece.Length, piece.Width / 2),
        Outline.HalfMoon or Outline.Wedge => piece.Piled(HalfFlips, index, Outline.Wedge, piece.Length / 2, piece.Width),
        _ => Along(piece, HalfFlips, index),
    };

    // The longer side is folded; flaps are pulled square, so that every copy has the same area.
    private static Piece Along(Piece piece, bool[] flips, int index)
    {
        var area = piece.Area.Value * 100 / flips.Length;
        var kept = Math.Min(piece.Length.Value, piece.Width.Value);
        var other = area / kept;
        return piece.Piled(flips, index, Outline.Block, new(Math.Max(kept, other)), new(Math.Min(kept, other)));
    }

    private static bool[] Pleated(int pleats)
    {
        var flips = new bool[pleats];
        for (var i = 1; i < pleats; i += 2)
        {
            flips[i] = true;
        }

        return flips;
    }

    // d = √(4ℓt/π); through the middle a rope shows 2 · turns = d/t windings.
    private static double RopeWidth(Piece piece) =>
        Math.Sqrt(4 * piece.Length.Value * piece.Thickness.Value / Math.PI);

    private static int MatCrossings(Piece piece) =>
        Math.Max(2, (int)Math.Min(MostLeaves + 1, Math.Round(RopeWidth(piece) / piece.Thickness.Value)));

    // A rope cut across: the lower windings lie as they were rolled, the upper ones are turned over.
    private static Piece MatRoll(Piece piece, int index)
    {
        var flips = new bool[MatCrossings(piece)];
        flips.AsSpan((flips.Length + 1) / 2).Fill(true);
        var ropeLength = piece.Area.Value * 100 / piece.Length.Value;
        return piece.Piled(flips, index, Outline.Rope, new(ropeLength), new(RopeWidth(piece)));
    }

    // D = √(4Rd/π): the wound rope covers R · d.
    private static Piece Coil(Piece rope)
    {
        var area = rope.Length.Value * rope.Width.Value / 100;
        var across = new SquareCentimetres(area).AsRound();
        return rope.Spread(area / rope.Area.Value) with { Outline = Outline.Coil, Length = across, Width = across };
    }
}
