namespace Ystrata.Core.Tests.Packets;

/// <summary>What stands on a packet: how many, how heavy, until when, and how it is cooked from there.</summary>
public class PacketTests
{
    private static readonly DateOnly Made = new(2026, 11, 26);

    private static PacketSheet Packed(PacketState state, int each, BatchSpec? spec = null) =>
        PacketStage.Of(spec ?? Breads.White(Breads.Letter, Breads.Letter), new(state, each, Made), Breads.Kitchen).Value!;

    [Fact]
    public void Twenty_four_pieces_in_fives_are_four_packets_and_one_of_four()
    {
        var sheet = Packed(PacketState.RawFrozen, 5);

        Assert.Equal([(4, 5), (1, 4)], sheet.Lots.Select(l => (l.Count, l.Pieces)));
        Assert.Equal(sheet.Lots[0].Mass.Value / 5, sheet.Lots[1].Mass.Value / 4, 9);
    }

    [Fact]
    public void A_raw_packet_weighs_what_is_rolled_and_a_cooked_one_has_lost_its_steam()
    {
        var (raw, cooked) = (Packed(PacketState.RawFrozen, 4), Packed(PacketState.CookedFrozen, 4));

        Assert.InRange(raw.Lots[0].Mass.Value, 4 * 80, 4 * 95);
        Assert.InRange(cooked.Lots[0].Mass.Value, 0.6 * raw.Lots[0].Mass.Value, 0.98 * raw.Lots[0].Mass.Value);
    }

    [Fact]
    public void Frozen_pieces_lie_on_the_pan_longer_than_fresh_ones()
    {
        double Total(PacketState state) => Packed(state, 4).Turns.Sum(t => t.Value);

        Assert.True(Total(PacketState.RawFrozen) > Total(PacketState.RawChilled) + 10);
        Assert.Empty(Packed(PacketState.CookedFrozen, 4).Turns);
        Assert.Equal(214, Packed(PacketState.CookedChilled, 4).Heat.Value);
    }

    [Fact]
    public void From_the_fridge_a_ball_wants_its_time_to_warm() =>
        Assert.InRange(Packed(PacketState.RawChilled, 4).Warms!.Value.Value, 20, 120);

    [Theory]
    [InlineData(PacketState.RawChilled, 1, 1)]
    [InlineData(PacketState.RawFrozen, 60, 30)]
    [InlineData(PacketState.CookedChilled, 3, 2)]
    [InlineData(PacketState.CookedFrozen, 90, 60)]
    public void A_filling_shortens_what_a_packet_keeps(PacketState state, int plain, int stuffed)
    {
        var radish = Fillings.Stuffed(Fillings.Of(Fillings.Part("radish", 600, Fillings.Cloth)));

        Assert.Equal((plain, Made.AddDays(plain)), (Packed(state, 4).Days, Packed(state, 4).UseBy));
        Assert.Equal(stuffed, Packed(state, 4, radish).Days);
    }

    [Fact]
    public void It_says_what_is_in_it_the_most_first_and_what_must_be_declared()
    {
        var raw = Packed(PacketState.RawFrozen, 4, Breads.White(d => d.WithAdditions(("yeast-quick", 1), ("seed-sesame", 2))));

        Assert.Equal(["flour-white", "water"], raw.Ingredients.Take(2));
        Assert.Equal([Allergen.Gluten, Allergen.Wheat, Allergen.Milk, Allergen.Sesame], raw.Allergens);
        Assert.True(raw.Leavened);
        Assert.False(Packed(PacketState.RawFrozen, 4).Leavened);
    }

    [Fact]
    public void Fat_of_the_pan_is_in_what_was_cooked_and_not_in_what_is_raw()
    {
        var dry = Breads.White() with { Pan = Breads.White().Pan with { Fat = "oil-sesame" } };

        Assert.DoesNotContain("oil-sesame", Packed(PacketState.RawFrozen, 4, dry).Ingredients);
        Assert.Contains("oil-sesame", Packed(PacketState.CookedFrozen, 4, dry).Ingredients);
    }
}
