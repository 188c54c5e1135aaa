using CsCheck;
using static Ystrata.Core.Tests.Fillings;

namespace Ystrata.Core.Tests;

/// <summary>Filling, dough and pieces tied together.</summary>
public class StuffedTests
{
    private static readonly FillingSpec Radish = Of(Part("radish", 3000, new ChopStep(ChopBy.Grate, new(2)), Salt(), Cloth), Bind(20));

    private static FillingSpec Shaped(ParcelShape shape, double share = 80) => Radish with { Wall = new(shape, new(share)) };

    [Fact]
    public void Liquor_goes_into_the_dough_with_its_salt_and_hydration_stays()
    {
        var dry = Plan(Radish with { Parts = [Radish.Parts[0] with { Mass = new(1000) }] });
        var wet = Plan(Radish with { Parts = [Radish.Parts[0] with { Mass = new(1000) }], LiquorToDough = true });
        double Salt(BatchSheet b) => b.Dough.Portions.Single(p => p.Part == DoughPart.Salt).Mass.Value;
        var liquor = wet.Dough.Portions.Single(p => p.Id == Ingredient.Liquor).Mass;

        Assert.Equal(wet.Filling!.Liquor.Mass.Value, liquor.Value, 6);
        Assert.Equal(liquor.Value, wet.Filling.Liquor.Used.Value, 6);
        Assert.Equal(dry.Dough.Water.Hydration.Value, wet.Dough.Water.Hydration.Value, 6);
        Assert.Equal(dry.Dough.Content.Salt.Value, wet.Dough.Content.Salt.Value, 6);
        Assert.Equal(Salt(dry) - liquor.Value * wet.Filling.Liquor.SaltShare.Fraction, Salt(wet), 0.5);
        Assert.Equal(24, wet.Balls.Count);
    }

    [Fact]
    public void The_dough_takes_no_more_liquor_than_its_water_and_salt_allow()
    {
        var plan = Plan(Radish with { Parts = [Radish.Parts[0] with { Mass = new(20_000) }], LiquorToDough = true });

        Assert.True(plan.Filling!.Liquor.Used < plan.Filling.Liquor.Mass);
        // A fiftieth is left of the water that was poured before.
        var dry = Plan(Radish).Dough.Portions.Single(p => p.Id == "water").Mass;
        Assert.Equal(0.02, plan.Dough.Portions.Single(p => p.Id == "water").Mass / dry, 0.01);
        Assert.All(plan.Dough.Portions, p => Assert.True(p.Mass.Value >= 0));
        Assert.Equal(1.8, plan.Dough.Content.Salt.Value, 6);
        Assert.True(plan.Has(NoteCode.LiquorLeft));
    }

    [Fact]
    public void A_batch_can_start_from_the_filling_that_came_out()
    {
        var spec = Stuffed(Radish) is var s ? s with { Start = s.Start with { By = StartBy.Filling } } : s;
        var plan = Breads.Plan(spec);

        Assert.Equal(Math.Round(plan.Filling!.Balance.Made.Value / 64), plan.Balls.Count);
        Assert.InRange(Math.Abs(plan.Filling.Balance.Over / plan.Filling.Balance.Made), 0, 1e-9);
    }

    [Fact]
    public void Bought_backwards_it_comes_out_to_the_gram() =>
        Gen.Select(Gen.Double[200, 4000], Gen.Double[0, 60], Gen.Double[300, 3000]).Sample((grams, minutes, wanted) =>
        {
            var spec = Of(Part("cauliflower", grams, Grate), Saute(minutes), Bind(10));
            var times = Balance.TimesFor(spec, new(wanted), Breads.Kitchen)!.Value;

            Assert.Equal(wanted, End(Balance.Times(spec, times)).Mass.Value, 1e-3);
        });

    [Fact]
    public void What_to_buy_counts_peel_and_trimmings_and_every_loss()
    {
        var plan = Plan(Radish with { Parts = [Radish.Parts[0] with { Trim = new(20) }] });
        var balance = plan.Filling!.Balance;

        Assert.Equal(3000 * balance.Times!.Value / 0.8, balance.Buy.Single().Each.Value, 9);
        Assert.Equal(24 * 64, balance.Needed.Value, 6);
    }

    [Theory]
    [InlineData(0.9999, 24)]
    [InlineData(0.996, 24)]
    [InlineData(0.98, 23)]
    public void A_hair_too_little_filling_still_fills_every_piece(double times, int pieces)
    {
        var fits = Plan(Radish).Filling!.Balance.Times!.Value;

        Assert.Equal(pieces, Plan(Balance.Times(Radish, fits * times)).Filling!.Balance.Pieces);
    }

    [Fact]
    public void Too_much_or_too_little_filling_is_said_and_mended()
    {
        var much = Plan(Radish with { Parts = [Radish.Parts[0] with { Mass = new(6000) }] });
        Assert.Equal(much.Filling!.Balance.Made - much.Filling.Balance.Needed, new Grams(much.The(NoteCode.FillingOver).Figure(QuantityName.Over)));

        var little = Plan(Radish with { Parts = [Radish.Parts[0] with { Mass = new(1000) }] });
        var mends = little.The(NoteCode.FillingShort).Mends!;
        Assert.Equal([MendCode.FillingTimes, MendCode.ShareTo], mends.Select(m => m.Code));
        Assert.All(mends, m => Assert.False(Plan(m.Filling!).Has(NoteCode.FillingShort)));
    }

    [Theory]
    [InlineData(ParcelShape.Gathered, 1)]
    [InlineData(ParcelShape.TwoDiscs, 1)]
    [InlineData(ParcelShape.Envelope, 1)]
    [InlineData(ParcelShape.HalfMoon, 2)]
    public void Wall_and_layer_are_dough_and_filling_over_the_area(ParcelShape shape, double halved)
    {
        var parcel = Plan(Shaped(shape)).Filling!.Parcel;
        var area = Math.PI / 4 * 180 * 180 / halved;

        // 80 g of dough at 1.18 g/ml, half of it over and half under.
        Assert.Equal(80 / 1.18 * 1000 / (2 * area), parcel.Wall.Value, 1e-6);
        Assert.Equal(64 / End(Radish).Density.Value * 1000 / area, parcel.Layer.Value, 1e-6);
        Assert.Equal((2 * parcel.Wall.Value) + parcel.Layer.Value, parcel.Thickness.Value, 9);
    }

    [Fact]
    public void A_round_of_wanted_thickness_says_the_ball()
    {
        var spec = Stuffed(Radish) is var s ? s with { Balls = s.Balls with { By = BallBy.Thickness, Thickness = new(6) } } : s;
        var plan = Breads.Plan(spec);

        Assert.Equal(6, plan.Filling!.Parcel.Thickness.Value, 0.05);
        Assert.Equal(plan.Filling.Parcel.Thickness, plan.Roll.Thickness);
        // Switching between ball and round changes neither.
        Assert.Equal(6, plan.Dough.Start.Thickness.Value, 0.05);
    }

    [Fact]
    public void The_wall_of_a_laminated_disc_has_its_leaves_over_and_under()
    {
        var spec = Stuffed(Shaped(ParcelShape.Laminated)) with { Fold = new([Breads.MatRoll, Breads.Coil]) };
        var plan = Breads.Plan(spec);

        Assert.Equal(2 * plan.Fold.Nominal, plan.Section.Leaves.Count);
        Assert.Equal(plan.Fold.Nominal - 1, plan.Section.Filling!.At.Single());
        Assert.Contains(Stage.Fold, plan.Stages);
    }

    [Fact]
    public void Filling_rolled_into_a_coil_lies_between_all_leaves()
    {
        var plan = Breads.Plan(Stuffed(Shaped(ParcelShape.Coil)) with { Fold = new([Breads.MatRoll, Breads.Coil]) });

        Assert.Equal(plan.Fold.Nominal - 1, plan.Filling!.Parcel.Layers);
        Assert.Equal(plan.Section.Contacts.Count, plan.Section.Filling!.At.Count);
    }

    [Fact]
    public void What_lies_on_the_sheet_is_let_be_while_a_parcel_is_not_folded()
    {
        // A sheet far too thin with fat running off: nothing to a gathered round, everything to a leaved disc.
        var spec = Stuffed(Radish) is var s ? s with { Sheet = s.Sheet with { Diameter = new(700), FatMass = new(150), Rest = new(0) } } : s;
        var leaved = spec with { Filling = Shaped(ParcelShape.Laminated) };

        Assert.DoesNotContain(Breads.Plan(spec).Notes, n => n.Stage is Stage.Sheet or Stage.Fold);
        Assert.True(Breads.Plan(leaved).Has(NoteCode.SheetTooThin));
        Assert.Equal(0, Breads.Plan(spec).Pan.Fat.Inside.Value);
    }

    [Fact]
    public void A_batter_wraps_nothing()
    {
        var plan = Breads.Plan(Stuffed(Radish) is var s ? s with { Dough = DoughSpec.Of("flour-white", Feel.Batter, 180, "ghee", 2) } : s);

        Assert.Null(plan.Filling);
        Assert.Null(plan.Section.Filling);
        Assert.DoesNotContain(Stage.Filling, plan.Stages);
    }

    [Fact]
    public void A_dough_with_every_liquid_as_poured_takes_no_liquor()
    {
        var spec = Stuffed(Radish with { LiquorToDough = true }) is var s
            ? s with { Dough = s.Dough with { WaterBy = WaterBy.Liquids, Liquids = [new("water", Amount.OfFlour(60))] } } : s;
        var plan = Breads.Plan(spec);

        Assert.Equal(0, plan.Filling!.Liquor.Used.Value);
        Assert.DoesNotContain(plan.Dough.Portions, p => p.Id == Ingredient.Liquor);
        Assert.True(plan.Has(NoteCode.LiquorLeft));
    }

    [Fact]
    public void A_dough_whose_salt_is_weighed_takes_liquor_up_to_its_water()
    {
        var spec = Stuffed(Radish with { LiquorToDough = true }) is var s
            ? s with { Dough = s.Dough with { Salt = new("salt-fine", Amount.Weighed(20)) } } : s;

        Assert.Equal(20, Breads.Plan(spec).Dough.Portions.Single(p => p.Part == DoughPart.Salt).Mass.Value, 6);
    }

    [Theory]
    [InlineData(40, 60)]
    [InlineData(80, 70)]
    [InlineData(130, 90)]
    public void The_wall_round_the_ball_of_filling_is_the_difference_of_two_spheres(double share, double ball)
    {
        var filling = new Grams(ball * share / 100);
        var wall = Parcel.RoundTheBall(filling, new(1), new(ball), Round.DoughDensity).Value;
        var inner = Round.SphereOf(filling, new(1)).Value / 2;

        // Both volumes in millilitres.
        Assert.Equal(filling.Value + ball / 1.18, 4 / 3.0 * Math.PI * Math.Pow(inner + wall, 3) / 1000, 1e-6);
    }

    [Theory]
    [InlineData(ParcelShape.Gathered)]
    [InlineData(ParcelShape.Laminated)]
    public void At_the_most_a_ball_bears_the_pinched_wall_is_four_millimetres(ParcelShape shape)
    {
        var parcel = Plan(Shaped(shape)).Filling!.Parcel;
        var most = Plan(Shaped(shape, parcel.MostShare.Value)).Filling!.Parcel;

        Assert.Equal(4, most.Gathered!.Value.Value, 0.01);
        Assert.Equal(most.WallLeast.Value, Breads.Plan(Stuffed(Shaped(shape)) is var s ? s with { Roll = s.Roll with { Diameter = parcel.WidestRound } } : s).Filling!.Parcel.Wall.Value, 1e-6);
    }

    [Fact]
    public void A_risk_has_its_word_at_twenty_and_at_fifty()
    {
        var plans = Enumerable.Range(0, 30).Select(i => Breads.Plan(Stuffed(Radish) is var s ? s with { Roll = s.Roll with { Diameter = new(150 + 8 * i) } } : s)).ToList();

        Assert.All(plans, p => Assert.Equal(p.Filling!.Parcel.Tear.Points switch { < 20 => TearRisk.Low, < 50 => TearRisk.Some, _ => TearRisk.Likely }, p.Filling.Parcel.Tear.Risk));
        Assert.All(plans, p => Assert.Equal(p.Filling!.Parcel.Tear.Risk == TearRisk.Likely, p.Has(NoteCode.WallTears)));
        Assert.All(plans, p => Assert.Equal(p.Filling!.Parcel.Tear.Points, Math.Min(p.Filling.Parcel.Tear.Terms.Sum(t => t.Points), 100), 6));
        // From a small round to a wide one the same ball goes through all three.
        Assert.Equal(3, plans.Select(p => p.Filling!.Parcel.Tear.Risk).Distinct().Count());
    }

    [Fact]
    public void A_parcel_that_is_not_folded_has_neither_sheet_nor_fold() =>
        Assert.Equal([Stage.Dough, Stage.Rest, Stage.Balls, Stage.Filling, Stage.Roll, Stage.Pan], Plan(Radish).Stages);

    [Fact]
    public void A_filled_log_is_sliced_by_dough_and_filling_together()
    {
        var bare = Breads.Plan(Breads.White() with { Balls = Breads.White().Balls with { Into = DivideInto.Log } }).Balls.Cut!;
        var filled = Breads.Plan(Stuffed(Radish) is var s ? s with { Balls = s.Balls with { Into = DivideInto.Log } } : s).Balls.Cut!;

        Assert.Equal(bare.Piece.Value + 64 / End(Radish).Density.Value / (Math.PI / 4 * 55 * 55 / 1000), filled.Piece.Value, 1e-6);
        Assert.Equal(144, (filled.Millimetre * filled.Piece.Value).Value, 6);
    }

    [Fact]
    public void Lumps_a_thin_wall_and_warmth_raise_the_risk_of_tearing()
    {
        double Tear(FillingSpec filling, double across = 180) => Breads.Plan(Stuffed(filling) is var s ? s with { Roll = s.Roll with { Diameter = new(across) } } : s).Filling!.Parcel.Tear.Points;
        var coarse = Radish with { Parts = [Radish.Parts[0] with { Steps = [new ChopStep(ChopBy.Chop, new(6)), .. Radish.Parts[0].Steps.Skip(1)] }] };

        Assert.True(Tear(coarse) > Tear(Radish));
        Assert.True(Tear(Radish, 280) > Tear(Radish));
        Assert.True(Tear(Radish with { Together = [new BlanchStep(new(1)), .. Radish.Together] }) > Tear(Radish));
    }

    [Theory]
    [InlineData(ParcelShape.Laminated)]
    [InlineData(ParcelShape.Coil)]
    public void Programs_of_a_stuffed_bread_are_compared_and_found_like_any(ParcelShape shape)
    {
        var spec = Stuffed(Shaped(shape)) with { Fold = new([Breads.MatRoll, Breads.Coil]) };
        var compare = new Compare(Breads.Checked(spec));

        Assert.Equal(2, compare.OfSchools([.. FoldPrograms.Ids.Take(2)]).Count);
        Assert.NotEmpty(Reverse.Find(new(9, new(0.3), new(180)), compare));
    }

    [Fact]
    public void A_filling_costs_what_is_bought_for_it_and_liquor_costs_nothing()
    {
        var radish = Breads.Larder["radish"] with { Price = new(new(2), new(1000)) };
        var larder = new Larder([.. Breads.Larder.All.Where(i => i.Id != "radish"), radish]);
        var spec = Stuffed(Radish with { Parts = [Radish.Parts[0] with { Trim = new(25) }], LiquorToDough = true });
        var cost = Breads.Plan(spec, Breads.Kitchen with { Larder = larder }).Cost;

        // 3000 g peeled are 4000 g bought, at 2 a kilogram.
        Assert.Equal(8, cost.Parts.Single(p => p.Part == CostPart.Filling).Batch.Value, 9);
        Assert.DoesNotContain(Ingredient.Liquor, cost.Unpriced);
        Assert.Contains("gram-flour-roasted", cost.Unpriced);
    }

    [Fact]
    public void Spoons_stand_beside_what_is_seasoned_and_bound_with()
    {
        var plan = Plan(Of([Part("radish", 1000, Grate, Saute(5, 13.7))], Bind(27, "oats-rolled"), new SeasonStep("salt-fine", new(6.1))));

        Assert.Equal(["filling.parts[0].steps[1].fatMass", "filling.together[1].mass"], plan.Measures.Keys.Where(k => k.StartsWith("filling", StringComparison.Ordinal) && k != "filling.together[0].mass").Order());
    }

    [Fact]
    public void The_same_spec_plans_the_same_whatever_was_planned_before()
    {
        var spec = Stuffed(Radish with { LiquorToDough = true });
        var first = Breads.Plan(spec);
        Breads.Plan(Stuffed(Shaped(ParcelShape.HalfMoon)));
        var again = Breads.Plan(spec);

        Assert.Equal(first.Dough.Portions, again.Dough.Portions);
        Assert.Equal(first.Filling!.End, again.Filling!.End);
        Assert.False(Breads.Larder.TryGet(Ingredient.Liquor, out _));
    }

    [Fact]
    public void Cost_and_allergens_count_what_is_inside()
    {
        var plan = Plan(Of([Part("paneer", 800, Mash), Part("walnut", 100, Mash)]));

        Assert.Contains(Allergen.Milk, plan.Allergens);
        Assert.Contains(Allergen.Nuts, plan.Allergens);
        Assert.Contains("paneer", plan.Cost.Unpriced);
    }
}
