namespace Ystrata.Core.Pan;

/// <summary>One piece as the pan gets it.</summary>
/// <param name="Area">Of one face.</param>
/// <param name="Layers">From the bottom up.</param>
/// <param name="FillingNeeds">What every place of the filling must reach.</param>
/// <param name="Poured">A batter.</param>
/// <param name="Reach">Across it at its widest.</param>
/// <param name="Boils">Water, in the air there is.</param>
internal sealed record PanPiece(SquareCentimetres Area, IReadOnlyList<SlabLayer> Layers, Celsius FillingNeeds, bool Poured, Millimetres Reach, Celsius Boils)
{
    /// <summary>Dough on the pan is a little lighter than in the bowl: ρ 1150 kg/m³ (models.md F).</summary>
    internal static readonly Density Dough = new(1.15);

    public bool Stuffed => Layers.Any(l => l.IsFilling);

    public Millimetres Thickness => new(Layers.Sum(l => l.Thickness.Value));

    public Wanted Wants(double dark) => new(Cooked.DoughSets, Stuffed ? FillingNeeds : Cooked.DoughSets, dark);

    public static PanPiece Of(Rolled rolled, RollSheet roll, DoughSheet dough, FillingSheet? stuffed, PieceHeat heat, bool risky, bool poured, Celsius boils)
    {
        var reach = ReachOf(roll);
        var pile = rolled.Fullest;
        // A piece is as thick as it is on average; the films lie where they lie in the fullest place.
        SlabLayer Leaves(Millimetres thick, bool turned) => new(thick, Dough, dough.Content.Water, Films(pile, thick, turned), From: heat.Dough);
        if (stuffed is not { Parcel: var parcel, End: var filling })
        {
            return new(rolled.Area, [Leaves(rolled.Thickness, turned: false)], Cooked.DoughSets, poured, reach, boils);
        }

        SlabLayer stuff = new(parcel.Layer, filling.Density, Percent.FromFraction(filling.Water / filling.Mass), [], IsFilling: true, heat.Filling);
        IReadOnlyList<SlabLayer> layers = parcel.Shape == ParcelShape.Coil
            ? [.. Enumerable.Range(0, parcel.Layers).SelectMany(_ => new[] { new SlabLayer(parcel.Wall, Dough, dough.Content.Water, [], From: heat.Dough), stuff }), new(parcel.Wall, Dough, dough.Content.Water, [], From: heat.Dough)]
            : [Leaves(parcel.Wall, turned: false), stuff, Leaves(parcel.Wall, turned: true)];
        return new(parcel.Area, layers, risky ? Cooked.SafeCore : Cooked.HotThrough, poured, reach, boils);
    }

    // A block lies corner to corner; every other outline is as wide as it is long.
    private static Millimetres ReachOf(RollSheet roll) => roll.Outline == Outline.Block ? new(Math.Sqrt(roll.Across.Value * roll.Across.Value + roll.Wide.Value * roll.Wide.Value)) : roll.Across;

    // Leaves that have welded conduct as one; fat between the others is in the way.
    private static List<(Millimetres, Micrometres)> Films(Pile pile, Millimetres thick, bool turned)
    {
        var films = new List<(Millimetres, Micrometres)>(pile.Contacts.Count);
        var (height, whole) = (0.0, pile.Dough.Value);
        for (var i = 0; i < pile.Contacts.Count; i++)
        {
            height += pile.Leaves[i].Value;
            var at = height / whole * thick.Value;
            if (pile.Contacts[i].State != ContactState.Fused)
            {
                films.Add((new(turned ? thick.Value - at : at), pile.Contacts[i].Coat.Film));
            }
        }

        return films;
    }
}
