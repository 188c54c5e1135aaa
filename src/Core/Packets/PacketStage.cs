namespace Ystrata.Core.Packets;

/// <summary>How pieces are put away.</summary>
public enum PacketState
{
    /// <summary>Folded or rolled and raw, in the fridge.</summary>
    RawChilled,

    /// <summary>Rolled, raw, flat between papers in the freezer.</summary>
    RawFrozen,

    /// <summary>Cooked, cooled and in the fridge.</summary>
    CookedChilled,

    /// <summary>Cooked, cooled and in the freezer.</summary>
    CookedFrozen,
}

/// <summary>What is to be packed.</summary>
/// <param name="Each">Pieces in a packet.</param>
/// <param name="Made">The day it was made.</param>
public sealed record PacketSpec(PacketState State, int Each, DateOnly Made)
{
    public const int MostEach = 100;

    /// <summary>The range of pieces in a packet.</summary>
    public static Limit EachLimit { get; } = new("packet.each", 1, MostEach, "");
}

/// <summary>Packets that are alike.</summary>
/// <param name="Mass">What is in each, as it is put away.</param>
public sealed record PacketLot(int Count, int Pieces, Grams Mass);

/// <summary>What stands on the packets of a batch.</summary>
/// <param name="Days">They keep for; local codes may say less.</param>
/// <param name="Leavened">With a leaven in it, which goes on working in the cold.</param>
/// <param name="Heat">The pan they go on, and <paramref name="Turns"/> how long each side lies on it; none for what only wants warming.</param>
/// <param name="Warms">From the fridge until it can be rolled; nothing for all else.</param>
/// <param name="Reheat">Straight from fridge or freezer on the same pan, turned every quarter of a minute; nothing for what is raw, and where the pan does not warm it.</param>
/// <param name="Core">What the coldest place, of a raw parcel its filling, must reach; nothing for what is raw and plain.</param>
/// <param name="Ingredients">Everything in it, what there is most of first.</param>
public sealed record PacketSheet(
    PacketState State, IReadOnlyList<PacketLot> Lots, int Days, DateOnly UseBy, bool Leavened, Celsius Heat, IReadOnlyList<Seconds> Turns, Minutes? Warms, Seconds? Reheat, Celsius? Core, IReadOnlyList<string> Ingredients, IReadOnlyList<Allergen> Allergens, IReadOnlyList<string> Undeclared);

/// <summary>Packets of a batch, for the fridge or the freezer (work.md 9).</summary>
public static class PacketStage
{
    // Days, on the careful side of usual kitchen practice: plain, and with a filling that spoils (empirical; local food codes come first).
    private static readonly Dictionary<PacketState, (int Plain, int Stuffed)> Keeps = new()
    {
        [PacketState.RawChilled] = (1, 1),
        [PacketState.RawFrozen] = (60, 30),
        [PacketState.CookedChilled] = (3, 2),
        [PacketState.CookedFrozen] = (90, 60),
    };

    public static Answer<PacketSheet> Of(BatchSpec spec, PacketSpec packet, Kitchen kitchen)
    {
        // A parcel is rolled before it is put away and goes on cold; what is only folded is warmed until it can be rolled.
        var (frozen, chilled) = (packet.State == PacketState.RawFrozen, packet.State == PacketState.RawChilled);
        var put = spec with
        {
            Pan = spec.Pan with { Frozen = frozen, Chilled = chilled && spec.Filling is not null, Own = null, Measured = null },
            Clock = (spec.Clock ?? ClockSpec.Usual) with { Ahead = frozen ? Ahead.Freezer : chilled ? Ahead.Fridge : Ahead.None },
        };
        return Planner.Check(put, kitchen).Then<PacketSheet>(batch => Of(batch, packet, kitchen));
    }

    private static PacketSheet Of(CheckedBatch batch, PacketSpec packet, Kitchen kitchen)
    {
        var (spec, (sheet, off)) = (batch.Spec, Planner.Baked(batch));
        var raw = packet.State is PacketState.RawChilled or PacketState.RawFrozen;
        var (keeps, piece) = (Keeps[packet.State], (raw ? sheet.Piece.Raw : sheet.Piece.Out).Mass);
        var days = spec.Filling is null ? keeps.Plain : keeps.Stuffed;
        var pieces = sheet.Pieces();
        var (full, left) = (pieces / packet.Each, pieces % packet.Each);
        var inIt = sheet.Dough.Portions.Select(p => (p.Id, p.Mass)).Concat(sheet.Used.Where(u => !raw || u.Part != CostPart.Pan).Select(u => (u.Id, u.Mass)))
            // Liquor of the filling is in the filling already, and in no larder.
            .Where(u => u.Mass.Value > 0 && kitchen.TryGet(u.Id, out _)).GroupBy(u => u.Id).OrderByDescending(g => g.Sum(u => u.Mass.Value)).Select(g => g.Key).ToList();
        return new(
            packet.State,
            [
                .. full > 0 ? [new PacketLot(full, packet.Each, piece * packet.Each)] : Array.Empty<PacketLot>(),
                .. left > 0 ? [new PacketLot(1, left, piece * left)] : Array.Empty<PacketLot>(),
            ],
            days,
            packet.Made.AddDays(days),
            inIt.Any(id => kitchen[id].Leavens),
            spec.Pan.Temperature,
            raw ? [.. sheet.Pan.Program.Turns.Select(t => t.Time)] : [],
            packet.State == PacketState.RawChilled && spec.Filling is null ? RestStage.Warms(sheet.Balls.Mass, sheet.Dough.Density) : null,
            raw ? null : FinishHold.Reheat(spec.Pan, off, packet.State == PacketState.CookedFrozen ? Air.Freezer : Air.Fridge, batch.HoldsRaw),
            !raw ? FinishHold.ReheatTo(batch.HoldsRaw) : spec.Filling is null ? null : Cooked.SafeCore,
            inIt,
            [.. inIt.SelectMany(id => kitchen[id].Allergens).Distinct().Order()],
            [.. inIt.Where(id => kitchen[id].Undeclared)]);
    }
}
