namespace Ystrata.Core.Tests.Clock;

/// <summary>The clock over whole breads, as the planner lays them out.</summary>
public class ClockTests
{
    private static readonly ClockSheet One = ClockKitchens.Plan(ClockKitchens.Squares);

    [Fact]
    public void Its_kinds_of_hand_work_are_those_of_its_program_and_no_others()
    {
        HandWork[] done = [HandWork.MixBowl, HandWork.Divide, HandWork.Sheet, HandWork.Fold, HandWork.LastRoll, HandWork.Lay, HandWork.Turn, HandWork.Lift];
        Assert.All(done, work => Assert.Contains(work, One.Works));
        Assert.All([HandWork.Coil, HandWork.Pleat, HandWork.Pour, HandWork.Squeeze], work => Assert.DoesNotContain(work, One.Works));
        Assert.Equal(One.Works.Distinct().Order(), One.Works);
    }

    [Fact]
    public void A_dough_is_mixed_before_it_rests_and_folded_before_it_is_roasted()
    {
        var order = One.Stages.OrderBy(s => s.At.Value).Select(s => s.Stage).Where(s => s != Stage.Sheet).ToList();

        Assert.Equal([Stage.Dough, Stage.Rest, Stage.Balls, Stage.Fold, Stage.Roll, Stage.Pan], order);
        Assert.Equal(0, One.Stages.Min(s => s.At.Value));
    }

    [Fact]
    public void A_second_pan_makes_the_oldest_piece_younger_where_the_pan_is_short()
    {
        var slow = ClockKitchens.Squares with { Pan = ClockKitchens.Squares.Pan with { Own = [new(new(90), new(0)), new(new(90), new(2))] } };

        Assert.Equal(Bottleneck.Pans, ClockKitchens.Plan(slow).Report.Bottleneck);
        Assert.True(ClockKitchens.Plan(slow, new(Pans: 2)).Report.Oldest.Value < ClockKitchens.Plan(slow).Report.Oldest.Value);
    }

    [Fact]
    public void Where_hands_are_short_another_pair_saves_more_than_another_pan()
    {
        var slowHands = Breads.Kitchen with { Hands = new(new Dictionary<HandWork, Seconds> { [HandWork.LastRoll] = new(150), [HandWork.Sheet] = new(150) }) };
        List<CheckedBatch> breads = [Breads.Checked(ClockKitchens.Squares, slowHands)];
        var whatIfs = ClockStage.WhatIfs(breads, ClockSpec.Usual);

        Assert.Equal(Bottleneck.Hands, ClockStage.Work(breads, ClockSpec.Usual).Report.Bottleneck);
        Assert.True(The(whatIfs, WhatIf.AnotherHand).Saves.Value > The(whatIfs, WhatIf.AnotherPan).Saves.Value + 60);
    }

    [Fact]
    public void What_another_pair_of_hands_buys_is_what_a_plan_with_it_gives()
    {
        var whatIf = The(ClockStage.WhatIfs([Breads.Checked(ClockKitchens.Squares)], ClockSpec.Usual), WhatIf.AnotherHand);
        var two = ClockKitchens.Plan(ClockKitchens.Squares, new(People: 2));

        Assert.Equal(ClockKitchens.Squares with { Clock = new(People: 2) }, whatIf.Batch);
        Assert.Equal(One.Lead.Value - two.Lead.Value, whatIf.Saves.Value);
        Assert.Equal(One.Report.Oldest.Value - two.Report.Oldest.Value, whatIf.Younger.Value);
        Assert.Equal(two.Report.PerHour, whatIf.PerHour);
    }

    [Fact]
    public void Shorter_rests_make_the_whole_shorter_by_the_rests_alone()
    {
        var whatIf = The(ClockStage.WhatIfs([Breads.Checked(ClockKitchens.Squares)], ClockSpec.Usual), WhatIf.ShorterRests);
        var could = One.Rests.Sum(r => (r.Bounds.Chosen.Value - r.Bounds.Least.Value) * 60);

        Assert.InRange(whatIf.Saves.Value, 60, could + 60);
        // Taken, it gives what was told, but for what a shorter rest changes of the roll.
        Assert.InRange(ClockKitchens.Plan(whatIf.Batch).Lead.Value, whatIf.Lead.Value - 120, whatIf.Lead.Value + 120);
        Assert.All(One.Rests, r => Assert.True(r.Bounds.Least.Value <= r.Bounds.Chosen.Value && r.Bounds.Chosen.Value <= r.Bounds.Longest.Value));
    }

    [Fact]
    public void Every_rest_is_at_least_what_the_cook_chose() =>
        Assert.All(One.Rests, r => Assert.True(r.Shortest.Value >= r.Bounds.Chosen.Value * 60 - 1, $"{r.Rest}: {r.Shortest.Value} s"));

    [Theory]
    [InlineData(600, 0)]
    [InlineData(0, 0)]
    [InlineData(-900, 900)]
    public void Too_late_for_the_table_is_said_by_how_much(double spare, double late)
    {
        var clock = ClockStage.Work([Breads.Checked(ClockKitchens.Squares)], ClockSpec.Usual, now: new(0), at: new(One.Lead.Value + spare));

        Assert.Equal(late, clock.Report.Breaches.Where(b => b.Code == ClockBreach.Late).Sum(b => b.By.Value));
    }

    [Fact]
    public void A_table_that_has_gone_by_is_said_to_have()
    {
        var at = ClockStage.Work([Breads.Checked(ClockKitchens.Squares)], ClockSpec.Usual, now: new(100), at: new(40));

        var breach = at.Report.Breaches.Single(b => b.Code is ClockBreach.TableGone or ClockBreach.Late);
        Assert.Equal((ClockBreach.TableGone, 60.0), (breach.Code, breach.By.Value));
    }

    [Fact]
    public void What_would_make_up_for_a_late_beginning_is_marked()
    {
        var now = 10 * 60.0; // ten minutes too late
        var whatIfs = ClockStage.WhatIfs([Breads.Checked(ClockKitchens.Squares)], ClockSpec.Usual, new(now), new(One.Lead.Value));

        Assert.All(whatIfs, w => Assert.Equal(w.Saves.Value >= now, w.Enough));
        Assert.Contains(whatIfs, w => w.Enough);
        Assert.Contains(whatIfs, w => !w.Enough);
    }

    [Fact]
    public void Coils_in_the_fridge_are_folded_the_evening_before_and_roasted_in_one_go()
    {
        var overnight = ClockKitchens.Plan(ClockKitchens.Squares, new(Ahead: Ahead.Fridge));
        var fridge = overnight.Rests.Single(r => r.Rest == ClockRest.Fridge);

        Assert.InRange(fridge.Shortest.Value, 8 * 3600, 24 * 3600);
        Assert.True(overnight.Lead.Value > One.Lead.Value + 8 * 3600);
        Assert.True(overnight.Report.Oldest.Value <= One.Report.Oldest.Value);
        Assert.DoesNotContain(overnight.Report.Breaches, b => b.Code == ClockBreach.FoldedWaits);
    }

    [Fact]
    public void Frozen_rounds_are_rolled_frozen_through_and_laid_as_they_are()
    {
        var frozen = ClockKitchens.Plan(ClockKitchens.Squares with { Pan = ClockKitchens.Squares.Pan with { Frozen = true } });
        var freezer = frozen.Rests.Single(r => r.Rest == ClockRest.Freezer);

        Assert.True(freezer.Shortest.Value >= 2 * 3600);
        // Told by the clock instead of the pan it is the same.
        Assert.Equal(frozen.Pans[0].Lifted, ClockKitchens.Plan(ClockKitchens.Squares, new(Ahead: Ahead.Freezer)).Pans[0].Lifted);
        Assert.Equal(12, frozen.Pieces.Count(p => p.Laid!.Value.Value - p.Rolled!.Value.Value >= 2 * 3600));
    }

    [Fact]
    public void Rounds_roasted_dry_are_fried_in_stacks_once_all_are_dry()
    {
        var dry = ClockKitchens.Plan(ClockKitchens.Squares with { Pan = ClockKitchens.Squares.Pan with { Roasting = Roasting.DryThenFry, Stack = 4 } });

        Assert.Equal([4, 4, 4], dry.Pans.Where(p => p.Fry).Select(p => p.Pieces.Count));
        Assert.True(dry.Pans.Where(p => !p.Fry).Max(p => p.Lifted.Value) <= dry.Pans.Where(p => p.Fry).Min(p => p.Laid.Value));
    }

    [Fact]
    public void A_batter_is_mixed_stands_and_is_poured()
    {
        var pours = Schools.All.Single(s => s.Spec.Dough.Feel == Feel.Batter).Spec;
        var clock = ClockKitchens.Plan(pours);

        Assert.DoesNotContain(clock.Hands, h => h.Work is ClockWork.Fold or ClockWork.Roll);
        Assert.Equal([Stage.Dough, Stage.Rest, Stage.Balls], clock.Stages.OrderBy(s => s.At.Value).Select(s => s.Stage).Distinct().Take(3));
    }

    [Fact]
    public void A_filling_is_ready_and_cool_before_the_first_piece_is_filled()
    {
        var stuffed = Schools.All.Single(s => s.Id == "stuffed").Spec;
        var clock = ClockKitchens.Plan(stuffed);
        var filled = clock.Hands.Where(h => h.Work == ClockWork.Filling).Max(h => h.Parts[^1].To.Value);

        Assert.True(clock.Hands.Where(h => h.Work == ClockWork.Fold).Min(h => h.Parts[0].From.Value) >= filled);
    }

    [Fact]
    public void Two_breads_share_hands_and_pans_one_after_the_other()
    {
        var rounds = Breads.White() with { Start = StartSpec.Of(6), Sheet = Breads.White().Sheet with { FatMass = new(0) } };
        var clock = ClockStage.Work([Breads.Checked(ClockKitchens.Squares), Breads.Checked(rounds)], new(People: 2));

        Assert.Equal(18, clock.Pieces.Count);
        Assert.True(clock.Pans.Where(p => p.Bread == 0).Max(p => p.Laid.Value) < clock.Pans.Where(p => p.Bread == 1).Min(p => p.Laid.Value));
        Assert.Equal([0, 1], clock.Stages.Select(s => s.Bread).Distinct().Order());
    }

    [Fact]
    public void Pieces_that_wait_uncovered_for_a_slow_pan_are_told_of()
    {
        var slow = ClockKitchens.Squares with { Pan = ClockKitchens.Squares.Pan with { Own = [new(new(600), new(0)), new(new(600), new(2))] } };

        var bare = ClockKitchens.Plan(slow, new(RollAhead: 1, Covered: false)).Report;
        Assert.Contains(bare.Breaches, b => b.Code == ClockBreach.RolledWaits && b.Allowed.Value == 600 && b.By.Value > 0);
        Assert.DoesNotContain(ClockKitchens.Plan(slow, new(RollAhead: 1, Covered: true)).Report.Breaches, b => b.Code == ClockBreach.RolledWaits && b.Allowed.Value == 600);
    }

    [Fact]
    public void Own_hand_times_are_what_the_clock_goes_by()
    {
        var quick = Breads.Kitchen with { Hands = new(new Dictionary<HandWork, Seconds> { [HandWork.LastRoll] = new(5) }) };
        var clock = ClockStage.Work([Breads.Checked(ClockKitchens.Squares, quick)], ClockSpec.Usual);

        Assert.All(clock.Hands.Where(h => h.Work == ClockWork.Roll), h => Assert.Equal(5, h.Parts.Sum(p => p.To.Value - p.From.Value)));
    }

    [Fact]
    public void Forwards_the_end_counts_and_backwards_the_age_of_the_oldest()
    {
        var many = ClockKitchens.Squares with { Start = StartSpec.Of(40) };
        var soonest = ClockKitchens.Plan(many, new(By: ClockBy.Soonest));
        var table = ClockKitchens.Plan(many, new(By: ClockBy.Table));

        Assert.True(soonest.Lead.Value <= table.Lead.Value);
        Assert.True(table.Report.Oldest.Value <= soonest.Report.Oldest.Value);
    }

    [Theory]
    [InlineData(0, 1, "clock.people")]
    [InlineData(1, 0, "clock.pans")]
    [InlineData(13, 1, "clock.people")]
    [InlineData(1, -4, "clock.pans")]
    public void Without_hands_or_pans_nothing_is_cooked(int people, int pans, string field)
    {
        var refusal = Assert.Single(Breads.Refused(ClockKitchens.Squares with { Clock = new(people, pans) }, Breads.Kitchen));

        Assert.Equal((field, RefusalCode.OutOfRange, 1.0, 12.0), (refusal.Field, refusal.Code, refusal.Least, refusal.Most));
    }

    [Fact]
    public void Too_many_breads_beside_and_none_of_one_are_refused()
    {
        var beside = new Beside(Guid.NewGuid(), 4);

        Assert.Equal(RefusalCode.TooMany, Assert.Single(Breads.Refused(ClockKitchens.Squares with { Clock = new(Beside: [.. Enumerable.Repeat(beside, 5)]) }, Breads.Kitchen)).Code);
        Assert.Equal("clock.beside[1].pieces", Assert.Single(Breads.Refused(ClockKitchens.Squares with { Clock = new(Beside: [beside, beside with { Pieces = 0 }]) }, Breads.Kitchen)).Field);
    }

    [Fact]
    public void Every_school_can_be_put_on_the_clock() =>
        Assert.All(Schools.All, school =>
        {
            var clock = ClockKitchens.Plan(school.Spec, new(People: 2, Pans: 2));
            Assert.True(clock.Lead.Value > 0, school.Id);
            Assert.All(clock.Pieces, p => Assert.NotNull(p.Lifted));
        });

    private static WhatIfSheet The(IReadOnlyList<WhatIfSheet> all, WhatIf what) => all.Single(w => w.What == what);

    [Fact]
    public void Only_what_cannot_be_or_spoils_is_red_and_a_crisp_bread_does_not_go_stiff()
    {
        var crisp = ClockKitchens.Squares with { Start = StartSpec.Of(40), Pan = ClockKitchens.Squares.Pan with { Own = [new(new(120), new(0)), new(new(200), new(2)), new(new(200), new(2))] } };

        Assert.Equal(0, Breads.Plan(crisp).Pan.Hold.Here.Soft.Value);
        Assert.DoesNotContain(ClockKitchens.Plan(crisp).Report.Breaches, b => b.Code == ClockBreach.GoesStiff);
        Assert.All(Enum.GetValues<ClockBreach>(), code => Assert.Equal(
            code is ClockBreach.Late or ClockBreach.TableGone or ClockBreach.DoughStands ? Severity.Wrong : code is ClockBreach.DoughWarm or ClockBreach.FillingWarm ? Severity.Caution : Severity.Watch,
            new Breach(code, 0, default, default, default).Severity));
        Assert.Equal(Severity.Wrong, new Breach(ClockBreach.FillingWarm, 0, new(4.1 * 3600), new(7200), default).Severity);
    }
}
