namespace Ystrata.Core.Tests;

/// <summary>What comes cold to the pan starts cold, and what was cold is hot to the safe core.</summary>
public class ColdTests
{
    private static readonly BatchSpec Stuffed = Schools.All.Single(s => s.Id == "stuffed").Spec;

    private static BatchSpec On(BatchSpec spec, Func<PanSpec, PanSpec> change) => spec with { Pan = change(spec.Pan) };

    [Fact]
    public void A_colder_piece_never_cooks_sooner()
    {
        foreach (var school in Schools.All.Where(s => s.Spec.Dough.Feel != Feel.Batter))
        {
            var starts = new[] { school.Spec, On(school.Spec, p => p with { Chilled = true }), On(school.Spec, p => p with { Frozen = true }) }.Select(s => Breads.Plan(s)).ToList();

            Assert.Equal([22, 4, -18], starts.Select(s => Math.Round(s.Piece.Raw.Temperature.Value)));
            var cooked = starts.Select(s => s.Pan.Done.CookedAt?.Value ?? double.PositiveInfinity).ToList();
            Assert.True(cooked[0] <= cooked[1] && cooked[1] <= cooked[2], $"{school.Id}: {string.Join(", ", cooked)}");
        }
    }

    [Fact]
    public void Coils_of_a_night_in_the_fridge_go_on_as_warm_as_they_are_rolled()
    {
        var white = Breads.White(Breads.MatRoll, Breads.Coil) with { Clock = ClockSpec.Usual with { Ahead = Ahead.Fridge } };

        Assert.Equal(18, Breads.Plan(white).Piece.Raw.Temperature.Value);
        Assert.Equal(18, Breads.Plan(Breads.White() with { Rest = RestSpec.CoveredFor(600) with { Place = RestPlace.Fridge } }).Piece.Raw.Temperature.Value);
    }

    [Fact]
    public void A_filling_from_the_fridge_is_still_cold_on_the_pan_and_warmer_the_longer_the_piece_rests()
    {
        BatchSpec Cooled(double minutes, double rest) => Stuffed with
        {
            Filling = Stuffed.Filling! with { Together = [.. Stuffed.Filling.Together, new CoolStep(new(minutes), RestPlace.Fridge)] },
            Roll = Stuffed.Roll with { Rest = new(rest) },
        };
        double Warm(double minutes, double rest) => Breads.Plan(Cooled(minutes, rest)).Piece.Raw.Temperature.Value;

        Assert.True(Warm(240, 0) < Warm(20, 0) && Warm(20, 0) <= 22);
        Assert.True(Warm(240, 0) < Warm(240, 20) && Warm(240, 20) < Warm(240, 60));
    }

    [Fact]
    public void A_stuffed_piece_that_was_cold_is_cooked_to_the_safe_core()
    {
        Assert.Equal(NoteCode.RawInside, Short(Stuffed));
        Assert.Equal(NoteCode.CoreUnsafe, Short(On(Stuffed, p => p with { Frozen = true })));
        Assert.Equal(NoteCode.CoreUnsafe, Short(On(Stuffed, p => p with { Chilled = true })));
        Assert.Equal(NoteCode.CoreUnsafe, Short(Stuffed with { Clock = ClockSpec.Usual with { Ahead = Ahead.Fridge } }));
        Assert.True(Breads.Plan(On(Stuffed, p => p with { Frozen = true })).Has(NoteCode.CoreSafe));

        static NoteCode Short(BatchSpec spec) => Breads.Plan(On(spec, p => p with { Own = [new(new(20), new(0)), new(new(20), new(0))] })).Notes
            .Single(n => n.Code is NoteCode.RawInside or NoteCode.CoreUnsafe).Code;
    }

    [Fact]
    public void Packets_say_how_long_from_the_cold_and_how_hot()
    {
        PacketSheet Packed(PacketState state, BatchSpec spec) => PacketStage.Of(spec, new(state, 4, new(2026, 11, 26)), Breads.Kitchen).Value!;
        var egg = Stuffed with { Filling = Stuffed.Filling! with { Together = [.. Stuffed.Filling.Together, new SeasonStep("egg", new(20))] } };

        var chilled = Packed(PacketState.RawChilled, Stuffed);
        Assert.Equal((74.0, null), (chilled.Core!.Value.Value, chilled.Warms));
        Assert.Null(Packed(PacketState.RawFrozen, Breads.White(Breads.Letter)).Core);
        Assert.True(chilled.Turns.Sum(t => t.Value) > Breads.Plan(Stuffed).Pan.Program.Total.Value);
        Assert.True(Packed(PacketState.RawFrozen, Stuffed).Turns.Sum(t => t.Value) > chilled.Turns.Sum(t => t.Value));

        foreach (var (spec, core) in new[] { (Stuffed, 60), (egg, 74), (Breads.White(d => d.WithLiquids(new("egg", Amount.OfFlour(10)), new("water", Amount.TheRest)), Breads.Letter, Breads.Letter), 74) })
        {
            var (fridge, freezer) = (Packed(PacketState.CookedChilled, spec), Packed(PacketState.CookedFrozen, spec));
            Assert.Equal((core, core), ((int)fridge.Core!.Value.Value, (int)freezer.Core!.Value.Value));
            Assert.True(freezer.Reheat!.Value.Value > fridge.Reheat!.Value.Value && fridge.Reheat.Value.Value >= Breads.Plan(spec).Pan.Hold.Reheat!.Value.Value);
        }

        Assert.True(Packed(PacketState.CookedChilled, egg).Reheat!.Value.Value > Packed(PacketState.CookedChilled, Stuffed).Reheat!.Value.Value);
        Assert.Equal(74, Breads.Plan(egg).Pan.Hold.ReheatTo.Value);
    }
}
