using CsCheck;
using Ystrata.Core.Tests.Clock;

namespace Ystrata.Core.Tests.Days;

/// <summary>The batches of one day laid together.</summary>
public class DayTests
{
    private const double Noon = 12 * 3600;

    private static readonly BatchSpec Squares = ClockKitchens.Squares;

    private static readonly BatchSpec Halves = Of("halves");

    private static BatchSpec Of(string school) => Schools.All.Single(s => s.Id == school).Spec;

    /// <summary>A batch whose last piece is ready at this second of the day.</summary>
    private static DayBatch At(double table, BatchSpec spec, string name = "bread", bool isFixed = false)
    {
        var (bread, clock) = (Breads.Checked(spec), spec.Clock ?? ClockSpec.Usual);
        var sheet = ClockStage.Work([bread], clock);
        return new([name], [bread], clock, sheet, new(table - sheet.Lead.Value), isFixed);
    }

    private static DaySheet Said(DaySpec spec, params DayBatch[] batches) => DayStage.Work(batches, spec, new(0));

    private static DaySheet Work(params DayBatch[] batches) => Said(DaySpec.Nothing, batches);

    private static DayGood The(DaySheet day, string id) => Assert.Single(day.Goods, g => g.Id == id);

    [Fact]
    public void What_the_day_takes_is_what_its_breads_take()
    {
        var specs = new[] { Squares, Halves, Of("stuffed"), Of("batter"), Of("puree") };

        var day = Work([.. specs.Select((s, i) => At(Noon + 3600 * i, s))]);

        foreach (var (spec, i) in specs.Select((s, i) => (s, i)))
        {
            var sheet = Planner.Plan(spec, Breads.Kitchen).Value!;
            var takes = sheet.Dough.Portions.Sum(p => p.Mass.Value) + sheet.Used.Sum(u => u.Mass.Value);
            Assert.Equal(takes, day.Goods.Sum(g => g.Each[i].Value), 0.001);
            Assert.Equal(sheet.Pieces(), day.Breads[i].Pieces);
        }

        Assert.All(day.Goods, g => Assert.Equal(g.Each.Sum(m => m.Value), g.Needed.Value, 0.001));
        Assert.Equal(day.Goods.Select(g => g.Id).Distinct(), day.Goods.Select(g => g.Id));
    }

    [Fact]
    public void What_is_at_hand_is_not_bought_and_water_never_is()
    {
        var all = Work(At(Noon, Squares), At(Noon + 7200, Halves));
        var (ghee, flour) = (The(all, "ghee").Needed.Value, The(all, "flour-white").Needed.Value);
        Assert.Equal((null, ghee), (The(all, "ghee").AtHand, The(all, "ghee").ToBuy.Value));

        var day = Said(new(AtHand: [new("ghee", new(ghee - 40)), new("flour-white", new(flour + 1000)), new("no-such-thing", new(5))]), At(Noon, Squares), At(Noon + 7200, Halves));

        Assert.Equal(40, The(day, "ghee").ToBuy.Value, 0.001);
        Assert.Equal((0, (int?)null), (The(day, "flour-white").ToBuy.Value, The(day, "flour-white").Packs));
        Assert.Equal(0, The(day, "water").ToBuy.Value);
        Assert.True(The(day, "water").Needed.Value > 100);
    }

    [Theory]
    [InlineData(1, 1)]
    [InlineData(250, 1)]
    [InlineData(251, 2)]
    [InlineData(501, 3)]
    public void Packs_are_bought_whole(double wanting, int packs)
    {
        var kitchen = Breads.Kitchen.With(Breads.Larder["ghee"] with { Price = new(new(3), new(250)) });
        var many = At(Noon, Squares) with { Breads = [Breads.Checked(Squares with { Start = Squares.Start with { Pieces = 80 } }, kitchen)] };
        var needs = The(Work(many), "ghee").Needed;

        var day = Said(new(AtHand: [new("ghee", new(needs.Value - wanting))]), many);

        Assert.Equal((packs, 3.0 * packs), (The(day, "ghee").Packs, The(day, "ghee").Cost!.Value.Value));
        Assert.Equal(3.0 * packs, day.Cost.Value);
        Assert.DoesNotContain("ghee", day.Unpriced);
        Assert.Contains("flour-white", day.Unpriced);
        Assert.DoesNotContain("water", day.Unpriced);
    }

    [Fact]
    public void Two_batches_for_one_table_clash_and_two_far_apart_do_not()
    {
        var clash = Work(At(Noon, Squares, "one"), At(Noon, Halves, "two"));
        Assert.Contains(clash.Clashes, c => c is { Of: DayNeed.Hands, There: 1, Wanted: > 1 } && c.Batches.SequenceEqual([0, 1]));
        Assert.Contains(clash.Clashes, c => c is { Of: DayNeed.Pans, There: 1, Wanted: 2 });

        Assert.Empty(Work(At(Noon, Squares), At(Noon + 8 * 3600, Halves)).Clashes);
        Assert.Empty(Work(At(Noon, Squares), At(Noon + 8 * 3600, Halves)).Moves);
        Assert.Empty(Said(new(People: 3, Pans: 2), At(Noon, Squares), At(Noon, Halves)).Clashes);
        // Hands that are enough leave the pans too few.
        Assert.All(Said(new(People: 3), At(Noon, Squares), At(Noon, Halves)).Clashes, c => Assert.Equal(DayNeed.Pans, c.Of));
    }

    [Fact]
    public void A_move_is_the_least_that_puts_a_batch_out_of_the_way()
    {
        const double step = 300;
        var (one, two) = (At(Noon, Squares), At(Noon + 1200, Halves));
        var day = Work(one, two);
        Assert.Equal([0, 1], day.Moves.Select(m => m.Batch));

        DaySheet Moved(double by) => Work(one, two with { Zero = new(two.Zero.Value + by) });
        var move = day.Moves[1];
        foreach (var (by, towards) in new[] { (-move.Earlier!.Value.Value, step), (move.Later!.Value.Value, -step) })
        {
            Assert.Empty(Moved(by).Clashes);
            Assert.NotEmpty(Moved(by + towards).Clashes);
            Assert.Equal(0, by % step);
        }
    }

    [Fact]
    public void Nothing_is_moved_before_now_nor_what_begins_now_anyway()
    {
        var (one, two) = (At(Noon, Squares), At(Noon, Halves));
        var sooner = Math.Min(one.Zero.Value, two.Zero.Value);

        var day = DayStage.Work([one, two], DaySpec.Nothing, new(sooner - 60));
        Assert.All(day.Moves, m => Assert.Null(m.Earlier));
        Assert.All(day.Moves, m => Assert.NotNull(m.Later));

        Assert.DoesNotContain(Work(one, two with { Fixed = true }).Moves, m => m.Batch == 1);
    }

    [Fact]
    public void A_batch_that_wants_more_than_there_is_by_itself_clashes_with_nobody_and_is_not_moved()
    {
        var day = Said(new(People: 1), At(Noon, Squares with { Clock = new(People: 3) }));

        Assert.Contains(day.Clashes, c => c.Of == DayNeed.Hands);
        Assert.All(day.Clashes, c => Assert.Equal([0], c.Batches));
        Assert.Empty(day.Moves);
    }

    [Fact]
    public void What_there_is_is_what_the_largest_batch_counts_on_where_nobody_says_otherwise()
    {
        var day = Work(At(Noon, Squares with { Clock = new(People: 2, Pans: 3) }), At(Noon + 9 * 3600, Halves));

        Assert.Equal((2, 3), (day.People, day.Pans));
        Assert.Equal((4, 1), (Said(new(People: 4, Pans: 1), At(Noon, Squares)).People, Said(new(People: 4, Pans: 1), At(Noon, Squares)).Pans));
    }

    [Fact]
    public void Doughs_stand_in_the_order_of_mixing_each_with_its_bowl()
    {
        var day = Work(At(Noon + 7200, Squares, "later"), At(Noon, Halves, "first"), At(Noon + 3600, Of("batter"), "poured"));

        Assert.Equal(day.Doughs.Select(d => d.At.Value).Order(), day.Doughs.Select(d => d.At.Value));
        Assert.All(day.Doughs, d => Assert.True(d.Divided.Value > d.At.Value));
        foreach (var dough in day.Doughs)
        {
            Assert.Equal(dough.Mass.Value, dough.Lines.Sum(l => l.Mass.Value), 0.5);
        }
    }

    [Fact]
    public void What_is_made_beside_a_batch_is_of_the_day_too()
    {
        var breads = new[] { Breads.Checked(Squares), Breads.Checked(Halves) };
        var sheet = ClockStage.Work(breads, ClockSpec.Usual);
        var day = Work(new DayBatch(["one", "beside it"], breads, ClockSpec.Usual, sheet, new(Noon - sheet.Lead.Value), Fixed: false));

        Assert.Equal([("one", 0), ("beside it", 0)], day.Breads.Select(b => (b.Name, b.Batch)));
        Assert.Equal(2, day.Doughs.Count);
        Assert.Empty(day.Clashes);
        Assert.All(day.Breads, b => Assert.InRange(b.Ready.Value, Noon - sheet.Lead.Value, Noon));
    }

    [Fact]
    public void Hands_and_pans_lie_within_their_batch_and_what_is_wanted_is_what_they_do()
    {
        var batch = At(Noon, Squares);
        var day = Work(batch);

        var bar = Assert.Single(day.Bars);
        Assert.Equal((batch.Zero.Value, Noon), (bar.From.Value, bar.To.Value));
        Assert.All(bar.Hands, h => Assert.True(h.From.Value >= bar.From.Value && h.To.Value <= bar.To.Value && h.To.Value > h.From.Value));
        Assert.Equal(bar.Hands.OrderBy(h => h.From.Value), bar.Hands);
        var worked = batch.Sheet.Hands.SelectMany(h => h.Parts).Sum(p => p.To.Value - p.From.Value);
        Assert.Equal(worked, day.Hands.Sum(l => l.Wanted.Fraction * (l.To.Value - l.From.Value)), 0.005 * 300 * day.Hands.Count);
    }

    [Fact]
    public void A_day_of_nothing_takes_nothing()
    {
        var day = Work();

        Assert.Equal((1, 1, 0.0), (day.People, day.Pans, day.Cost.Value));
        Assert.Empty(day.Goods.Select(_ => 0).Concat(day.Clashes.Select(_ => 0)).Concat(day.Hands.Select(_ => 0)));
    }

    [Fact]
    public void Random_days_add_up_and_every_move_does_what_it_says() => Gen.Select(
        Gen.Int[0, 5 * 60].Array[2, 4], Gen.Int[1, 2], Gen.Int[1, 2], Gen.Int[0, 3000]).Sample(
        (minutes, people, pans, ghee) =>
        {
            var specs = new[] { Squares, Halves, Of("coils"), Of("plain") };
            DayBatch[] batches = [.. minutes.Select((m, i) => At(Noon + 60 * m, specs[i]))];
            var day = Said(new(people, pans, [new("ghee", new(ghee))]), batches);
            Assert.All(day.Goods, g => Assert.True(g.ToBuy.Value >= 0 && (g.Id == "water" || g.ToBuy.Value + (g.AtHand?.Value ?? 0) >= g.Needed.Value - 0.001)));
            foreach (var move in day.Moves)
            {
                foreach (var by in new[] { -move.Earlier?.Value, move.Later?.Value }.OfType<double>())
                {
                    var moved = batches.ToArray();
                    moved[move.Batch] = moved[move.Batch] with { Zero = new(moved[move.Batch].Zero.Value + by) };
                    // In nobody's way: whoever clashes still does so with others, or by itself.
                    Assert.DoesNotContain(Said(new(people, pans), moved).Moves, m => m.Batch == move.Batch);
                }
            }
        },
        iter: 25);
}
