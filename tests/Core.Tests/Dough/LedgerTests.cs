using CsCheck;

namespace Ystrata.Core.Tests;

/// <summary>Moves in the ledger: the figure given is what was given, and what was not meant stays as it was.</summary>
public class LedgerTests
{
    private static readonly Kitchen Kitchen = Breads.Kitchen;

    private static readonly BatchSpec Two = Breads.White(d => d with
    {
        Flours = [new("flour-white", 60), new("flour-atta", 40)],
        Liquids = [new("puree-beet", Amount.OfFlour(12)), new("water", Amount.TheRest)],
        Additions = [new("seed-nigella", Amount.OfFlour(1))],
    });

    private static BatchSpec Moved(BatchSpec spec, LedgerMove move, BatchSpec? stands = null) =>
        Ledger.Move(move, spec, stands, Kitchen) is { Value: { } after } ? after : throw new InvalidOperationException("refused");

    private static Portion Line(BatchSpec spec, DoughPart part, int index = 0) => Breads.Plan(spec).Dough.Portions.Single(p => p.Part == part && p.Index == index);

    [Theory]
    [InlineData(Question.Pieces)]
    [InlineData(Question.Rounds)]
    [InlineData(Question.Flour)]
    [InlineData(Question.Liquid)]
    [InlineData(Question.People)]
    [InlineData(Question.Filling)]
    public void Another_question_changes_no_figure(Question question)
    {
        var (before, asked) = (Breads.Plan(Two), Moved(Two, new AskMove(question)));
        var after = Breads.Plan(asked);

        Assert.Equal(question, Ledger.QuestionOf(asked));
        Assert.Equal(before.Balls.Count, after.Balls.Count);
        Assert.All(before.Dough.Portions.Zip(after.Dough.Portions), p => Assert.Equal(p.First.Mass.Value, p.Second.Mass.Value, 6));
    }

    [Fact]
    public void A_flour_that_is_weighed_sets_the_size_and_keeps_its_share()
    {
        var after = Moved(Two, new WeighMove(DoughPart.Flour, 1, new(500)));

        Assert.Equal(500, Line(after, DoughPart.Flour, 1).Mass.Value, 6);
        Assert.Equal(750, Line(after, DoughPart.Flour).Mass.Value, 6);
        Assert.Equal(StartBy.Flour, after.Start.By);
    }

    [Fact]
    public void What_is_weighed_is_for_one_bowl()
    {
        var inBowls = Two with { Dough = Two.Dough with { Mix = Two.Dough.Mix with { Bowl = new(1000) } } };
        var lots = Breads.Plan(inBowls).Dough.Lots.Count;
        var after = Moved(inBowls, new WeighMove(DoughPart.Fat, 0, new(30)));

        Assert.True(lots > 1);
        Assert.Equal(30.0 * lots, after.Dough.Fat.Amount.Mass.Value, 9);
    }

    [Fact]
    public void Cups_nobody_knows_the_filling_of_are_remembered_until_it_is_weighed()
    {
        var cups = Moved(Two, new WeighMove(DoughPart.Flour, 0, new(500), Packing: 1.1));

        Assert.Equal(1.1, cups.Dough.Cups!.Packing);
        Assert.Null(Moved(cups, new WeighMove(DoughPart.Flour, 0, new(500))).Dough.Cups);
    }

    [Fact]
    public void Water_that_is_weighed_sets_the_size_where_nothing_else_does()
    {
        var after = Moved(Two, new WeighMove(DoughPart.Liquid, 1, new(640)));

        Assert.Equal(StartBy.Liquid, after.Start.By);
        Assert.Equal(640, Line(after, DoughPart.Liquid, 1).Mass.Value, 6);
        Assert.Equal(62, Breads.Plan(after).Dough.Water.Hydration.Value, 6);
    }

    [Fact]
    public void Water_that_is_weighed_into_weighed_flour_lets_the_hydration_go()
    {
        var after = Moved(Moved(Two, new AskMove(Question.Flour)), new WeighMove(DoughPart.Liquid, 1, new(640)));

        Assert.Equal(WaterBy.Liquids, after.Dough.WaterBy);
        Assert.Equal(640, Line(after, DoughPart.Liquid, 1).Mass.Value, 6);
    }

    [Fact]
    public void A_share_given_to_one_flour_leaves_the_others_their_proportion() =>
        Gen.Double[0.5, 99.5].Sample(share =>
        {
            var three = Two with { Dough = Two.Dough with { Flours = [new("flour-white", 50), new("flour-atta", 20), new("flour-bread", 30)] } };
            var after = Moved(three, new ShareMove(DoughPart.Flour, 0, new(share))).Dough.Flours;
            var all = after.Sum(f => f.Parts);

            Assert.Equal(share, 100 * after[0].Parts / all, 9);
            Assert.Equal(1.5, after[2].Parts / after[1].Parts, 9);
        });

    [Fact]
    public void A_share_of_the_liquid_that_was_the_rest_fixes_it()
    {
        var after = Moved(Two, new ShareMove(DoughPart.Liquid, 1, new(55)));

        Assert.Equal(WaterBy.Liquids, after.Dough.WaterBy);
        Assert.Equal(55, Line(after, DoughPart.Liquid, 1).Share.Value, 6);
    }

    [Theory]
    [InlineData(DoughPart.Fat, 0)]
    [InlineData(DoughPart.Salt, 0)]
    [InlineData(DoughPart.Addition, 0)]
    [InlineData(DoughPart.Liquid, 0)]
    [InlineData(DoughPart.Flour, 0)]
    public void A_pin_pressed_twice_is_as_it_was(DoughPart part, int index)
    {
        var before = Line(Two, part, index);
        var pinned = Moved(Two, new PinMove(part, index));
        Assert.True(Line(pinned, part, index).Pinned);
        Assert.Equal(before.Mass.Value, Line(pinned, part, index).Mass.Value, 6);

        var free = Moved(pinned, new PinMove(part, index));
        Assert.False(Line(free, part, index).Pinned);
        Assert.Equal(before.Mass.Value, Line(free, part, index).Mass.Value, 6);
    }

    [Fact]
    public void A_liquid_let_go_makes_up_the_rest_where_none_does()
    {
        var poured = Moved(Two, new WaterMove(WaterBy.Liquids));
        Assert.All(poured.Dough.Liquids, l => Assert.NotEqual(AmountBy.Rest, l.Amount.By));

        var free = Moved(poured, new PinMove(DoughPart.Liquid, 1));
        Assert.Equal((WaterBy.Hydration, AmountBy.Rest), (free.Dough.WaterBy, free.Dough.Liquids[1].Amount.By));
        Assert.Equal(62, free.Dough.Hydration.Value, 6);
    }

    [Fact]
    public void By_feel_again_water_makes_up_the_rest()
    {
        var feel = Moved(Moved(Two, new WaterMove(WaterBy.Liquids)), new WaterMove(WaterBy.Feel));

        Assert.Equal((WaterBy.Feel, AmountBy.Rest), (feel.Dough.WaterBy, feel.Dough.Liquids[1].Amount.By));
    }

    [Fact]
    public void Another_fat_is_taken_at_equal_fat_and_another_puree_is_the_larders()
    {
        var oil = Moved(Two, new SwapMove(DoughPart.Fat, 0, "oil-sunflower")).Dough.Fat;
        var (ghee, sunflower) = (Kitchen["ghee"].Fat.Value, Kitchen["oil-sunflower"].Fat.Value);
        Assert.Equal(("oil-sunflower", 3 * ghee / sunflower), (oil.Id, oil.Amount.Share.Value));

        var thick = Two with { Dough = Two.Dough.WithLiquids(new LiquidSpec("puree-beet", Amount.OfFlour(12), new(80)), new("water", Amount.TheRest)) };
        Assert.Null(Moved(thick, new SwapMove(DoughPart.Liquid, 0, "puree-carrot")).Dough.Liquids[0].Water);
    }

    [Fact]
    public void When_the_rest_is_left_out_another_liquid_makes_it_up()
    {
        var only = Assert.Single(Moved(Two, new DropMove(DoughPart.Liquid, 1)).Dough.Liquids);

        Assert.Equal(("puree-beet", AmountBy.Rest), (only.Id, only.Amount.By));
    }

    [Fact]
    public void A_dough_keeps_its_last_flour_its_fat_and_its_salt()
    {
        var one = Breads.White();

        Assert.All(new[] { DoughPart.Flour, DoughPart.Liquid, DoughPart.Fat, DoughPart.Salt }, part => Assert.Equal(one.Dough, Moved(one, new DropMove(part, 0)).Dough));
        Assert.All(Breads.Plan(one).Dough.Portions, p => Assert.False(p.MayGo));
        Assert.Empty(Moved(Two, new DropMove(DoughPart.Addition, 0)).Dough.Additions);
    }

    [Fact]
    public void A_new_line_can_be_worked()
    {
        var more = Moved(Moved(Moved(Breads.White(), new AddMove(DoughPart.Flour, "flour-atta")), new AddMove(DoughPart.Liquid, "milk")), new AddMove(DoughPart.Addition, "seed-nigella"));

        Assert.Equal([20, 10, 1], [Line(more, DoughPart.Flour, 1).Share.Value, Line(more, DoughPart.Liquid, 1).Share.Value, Line(more, DoughPart.Addition).Share.Value]);
    }

    [Fact]
    public void A_ball_that_is_given_frees_the_count_and_a_count_that_is_held_frees_the_ball()
    {
        var held = Moved(Moved(Two, new AskMove(Question.Flour)), new PiecesMove());
        Assert.True(Ledger.BallFollows(held));

        var free = Moved(held, new BallMove(Mass: new(40)));
        Assert.False(Ledger.BallFollows(free));
        var given = Breads.Plan(free);
        Assert.Equal(40, given.Balls.Mass.Value, 6);
        Assert.InRange(given.Balls.Count, 47, 48);
        Assert.Equal(Breads.Plan(Two).Balls.RoundThickness.Value, Breads.Plan(Moved(Two, new BallByMove(BallBy.Thickness))).Balls.RoundThickness.Value, 6);
    }

    [Fact]
    public void A_move_mends_what_cannot_be_worked_by_the_figures_that_last_could()
    {
        var stuck = Two with { Dough = Two.Dough.WithLiquids(new LiquidSpec("water", Amount.Weighed(600))) };
        Assert.NotEmpty(Breads.Refused(stuck));

        Assert.Empty(Breads.Refused(Moved(stuck, new WaterMove(WaterBy.Liquids), Two)));
        Assert.NotEmpty(Ledger.Move(new WaterMove(WaterBy.Liquids), stuck, null, Kitchen).Refusals);
    }

    [Theory]
    [InlineData(DoughPart.Flour, 7, 10, "move.index")]
    [InlineData(DoughPart.Fat, 1, 10, "move.index")]
    [InlineData(DoughPart.Flour, 0, 100, "dough.flours[0].parts")]
    [InlineData(DoughPart.Flour, 0, 0, "dough.flours[0].parts")]
    [InlineData(DoughPart.Liquid, -1, 10, "move.index")]
    [InlineData(DoughPart.Liquid, 0, 1e300, "dough.liquids[0].amount.share")]
    [InlineData(DoughPart.Salt, 0, -1e300, "dough.salt.amount.share")]
    public void What_no_line_can_be_is_refused_by_its_field(DoughPart part, int index, double share, string field) =>
        Assert.Equal(field, Assert.Single(Ledger.Move(new ShareMove(part, index, new(share)), Two, null, Kitchen).Refusals).Field);

    [Fact]
    public void A_mass_beyond_all_measure_is_refused_with_the_range_of_its_field()
    {
        var refusal = Assert.Single(Ledger.Move(new WeighMove(DoughPart.Fat, 0, new(1e300)), Two, null, Kitchen).Refusals);

        Assert.Equal(("dough.fat.amount.mass", 50_000), (refusal.Field, refusal.Most));
    }

    // Whatever is pressed in whatever order: each move leaves a batch that can be worked, or one whose refusal names a field.
    [Fact]
    public void Moves_in_any_order_leave_a_batch_that_can_be_worked()
    {
        var moves = Gen.OneOf<LedgerMove>(
            Gen.Enum<Question>().Select(q => (LedgerMove)new AskMove(q)),
            Gen.Enum<WaterBy>().Select(w => (LedgerMove)new WaterMove(w)),
            Gen.Select(Gen.Enum<DoughPart>(), Gen.Int[0, 1]).Select((part, i) => (LedgerMove)new PinMove(part, i)),
            Gen.Double[20, 120].Select(g => (LedgerMove)new BallMove(Mass: new(g))),
            Gen.Const((LedgerMove)new PiecesMove()),
            Gen.Const((LedgerMove)new BallByMove(BallBy.Thickness)));
        moves.Array[1, 12].Sample(all =>
        {
            var spec = Two;
            foreach (var move in all)
            {
                var answer = Ledger.Move(move, spec, null, Kitchen);
                Assert.All(answer.Refusals, r => Assert.NotEmpty(r.Field));
                spec = answer.Value is { } after && Breads.Refused(after).Count == 0 ? after : spec;
            }

            Assert.Empty(Breads.Refused(spec));
        }, iter: 300);
    }
}
