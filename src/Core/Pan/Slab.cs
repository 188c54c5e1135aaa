namespace Ystrata.Core.Pan;

/// <summary>One stuff in a piece as it goes on the pan, raw.</summary>
/// <param name="Water">Of its mass.</param>
/// <param name="Films">Fat between its leaves that have not welded: how high each lies over its bottom, and how thick it is.</param>
/// <param name="IsFilling">A filling has to be hot through, a dough to set.</param>
/// <param name="From">How warm it is as it goes on; as the kitchen where nothing is said.</param>
public sealed record SlabLayer(Millimetres Thickness, Density Density, Percent Water, IReadOnlyList<(Millimetres At, Micrometres Film)> Films, bool IsFilling = false, Celsius? From = null);

/// <summary>A piece cut in cells from the bottom up, ready for the pan.</summary>
/// <remarks>Immutable: what heats and dries is in <see cref="PanRun"/>.</remarks>
public sealed class Slab
{
    /// <summary>No cell is thicker (models.md F).</summary>
    public static readonly Millimetres Cell = new(0.25);

    /// <summary>Water from which on a cell boils over 100 °C, kg per kg raw (models.md F).</summary>
    internal const double LastOfWater = 0.10;

    internal const double Conducts = 0.40; // W/(m·K), moist (models.md F)
    private const double FatConducts = 0.17; // W/(m·K), vegetable fat
    private const double DrySolids = 1600; // J/(kg·K), models.md F

    // Per cell: thickness m, density kg/m³, water kg per kg raw and its inverse, kg/m², heat of the solids J/(kg·K),
    // moist resistance of half of it m²K/W, °C as it goes on; over it: resistance of the films m²K/W.
    internal readonly double[] Thick, Dense, Water0, Film, Mass, PerWater0, DryHeat, LastWater, PerBoiled, HalfMoist, From;
    internal readonly bool[] Filling;

    private Slab(int cells, bool frozen)
    {
        (Thick, Dense, Water0, Film, Mass, PerWater0, DryHeat) = (new double[cells], new double[cells], new double[cells], new double[cells], new double[cells], new double[cells], new double[cells]);
        (LastWater, PerBoiled, HalfMoist, From) = (new double[cells], new double[cells], new double[cells], new double[cells]);
        (Filling, Frozen) = (new bool[cells], frozen);
    }

    public bool Frozen { get; }

    /// <summary>Water in it.</summary>
    public Celsius Boils { get; private init; }

    /// <summary>There is a filling in it.</summary>
    internal bool Stuffed { get; private init; }

    public int Cells => Thick.Length;

    public Millimetres Thickness => Millimetres.FromMetres(Thick.Sum());

    /// <summary>Raw, a square metre of it in kg.</summary>
    internal double MassPerArea => Mass.Sum();

    /// <summary>Of that, water.</summary>
    internal double WaterPerArea => Mass.Zip(Water0).Sum(c => c.First * c.Second);

    /// <param name="cell">The thickest a cell may be; nothing for <see cref="Cell"/>.</param>
    /// <param name="boils">Water, in the air there is; nothing for the sea's.</param>
    /// <exception cref="ArgumentException">No layer, or one without thickness.</exception>
    public static Slab Of(IReadOnlyList<SlabLayer> layers, bool frozen = false, Millimetres? cell = null, Celsius? boils = null)
    {
        if (layers.Count == 0 || layers.Any(l => !(l.Thickness.Value > 0)))
        {
            throw new ArgumentException("a piece has at least one layer, and every layer a thickness", nameof(layers));
        }

        var most = cell ?? Cell;
        int CellsOf(SlabLayer layer) => Math.Max((int)Math.Ceiling(layer.Thickness / most - 1e-9), 2);
        var slab = new Slab(layers.Sum(CellsOf), frozen) { Stuffed = layers.Any(l => l.IsFilling), Boils = boils ?? Cooked.Boils };
        var at = 0;
        foreach (var layer in layers)
        {
            var cells = CellsOf(layer);
            for (var i = at; i < at + cells; i++)
            {
                slab.Thick[i] = layer.Thickness.Metres / cells;
                slab.Dense[i] = layer.Density.KilogramsPerCubicMetre;
                slab.Water0[i] = layer.Water.Fraction;
                slab.Filling[i] = layer.IsFilling;
                slab.From[i] = frozen ? Air.Freezer.Value : (layer.From ?? Air.Kitchen).Value;
                slab.Mass[i] = slab.Thick[i] * slab.Dense[i];
                slab.PerWater0[i] = slab.Water0[i] > 0 ? 1 / slab.Water0[i] : 0;
                slab.LastWater[i] = slab.Water0[i] > LastOfWater ? LastOfWater / slab.Water0[i] : 1;
                slab.PerBoiled[i] = slab.Water0[i] > LastOfWater ? 1 / (slab.Water0[i] - LastOfWater) : 0;
                slab.HalfMoist[i] = slab.Thick[i] / (2 * Conducts);
                slab.DryHeat[i] = DrySolids * (1 - slab.Water0[i]);
            }

            foreach (var (height, film) in layer.Films)
            {
                // Every film lies between two cells, the nearest to where it is.
                var below = Math.Clamp((int)Math.Round(height / layer.Thickness * cells) - 1, 0, cells - 2);
                slab.Film[at + below] += film.Metres / FatConducts;
            }

            at += cells;
        }

        return slab;
    }
}
