namespace Ystrata.Core.Tests.Clock;

/// <summary>The clock counts what spoils from when it is warm to the table, makes it late, and says where that is too long.</summary>
public class ClockWarmTests
{
    private static readonly BatchSpec School = Schools.All.Single(s => s.Id == "stuffed").Spec;

    // Minced meat, cooled on trays; the dough rests for hours.
    private static BatchSpec Mince(double rest, int pieces = 12) => School with
    {
        Start = StartSpec.Of(pieces),
        Rest = RestSpec.CoveredFor(rest),
        Filling = School.Filling! with { Parts = [new("lamb-mince-cooked", new(60 * pieces), default, [new ChopStep(ChopBy.Chop, new(2))])], Together = [new SeasonStep("spice-ground", new(5))] },
    };

    private static double Begins(ClockSheet clock, ClockWork work) => clock.Hands.Where(h => h.Work == work).Min(h => h.Parts[0].From.Value);

    private static Breach? Said(ClockSheet clock, ClockBreach code) => clock.Report.Breaches.SingleOrDefault(b => b.Code == code);

    [Fact]
    public void A_filling_that_spoils_is_begun_as_late_as_can_be_and_the_table_does_not_wait()
    {
        var clock = ClockKitchens.Plan(Mince(300));

        Assert.True(Begins(clock, ClockWork.Filling) > 280 * 60);
        Assert.Null(Said(clock, ClockBreach.FillingWarm));
        // One that keeps is made whenever hands are free.
        var keeps = School with { Start = StartSpec.Of(12), Rest = RestSpec.CoveredFor(300), Filling = School.Filling! with { Parts = [new("date-paste", new(700), default, [new ChopStep(ChopBy.Mash, new(1))])], Together = [] } };
        Assert.True(Begins(ClockKitchens.Plan(keeps), ClockWork.Filling) < 60 * 60);
        Assert.Equal(ClockStage.Best([ClockJobs.Of(ClockKitchens.Bread(Mince(300)), ClockSpec.Usual) with { Warm = null }], ClockSpec.Usual).Objectives.Ends, clock.Lead.Value);
    }

    [Theory]
    [InlineData(40)]
    [InlineData(60)]
    public void A_long_service_is_over_the_limit_and_cold_until_it_is_wrapped_and_hot_after_is_what_helps(int pieces)
    {
        var spec = Mince(30, pieces);
        var breach = Said(ClockKitchens.Plan(spec), ClockBreach.FillingWarm)!;
        Assert.True(breach.Is.Value > 2 * 3600);
        Assert.Equal(breach.Is.Value > 4 * 3600 ? Severity.Wrong : Severity.Caution, breach.Severity);

        var what = ClockStage.WhatIfs([Breads.Checked(spec)], ClockSpec.Usual).Single(w => w.What == WhatIf.ColdThenHot);
        Assert.True(what.Batch.Filling!.Together[^1] is CoolStep { Place: RestPlace.Fridge });
        Assert.Equal(HoldIn.Pot, what.Batch.Pan.Hold);
        Assert.True((Said(ClockKitchens.Plan(what.Batch, what.Batch.Clock), ClockBreach.FillingWarm)?.Is.Value ?? 0) < breach.Is.Value - 600);
        Assert.DoesNotContain(ClockStage.WhatIfs([Breads.Checked(Mince(30, 4))], ClockSpec.Usual), w => w.What == WhatIf.ColdThenHot);
    }

    [Fact]
    public void What_was_to_cool_in_the_room_cools_in_the_fridge_and_once()
    {
        var spec = Mince(30, 40) is var s ? s with { Filling = s.Filling! with { Together = [new SauteStep(new(5), new(300), "ghee", new(10)), new CoolStep(new(60), RestPlace.Room, 3)] } } : School;
        var chilled = FillingMends.Chilled(spec.Filling!, FillingStage.Make(spec.Filling!, Breads.Kitchen))!;

        Assert.True(chilled.Together is [SauteStep, CoolStep { Place: RestPlace.Fridge, Trays: >= 3 }]);
        Assert.InRange(FillingStage.Make(chilled, Breads.Kitchen).End.Temperature.Value, 4, 5);
        Assert.Null(FillingMends.Chilled(chilled, FillingStage.Make(chilled, Breads.Kitchen)));
    }

    [Fact]
    public void A_salted_filling_is_wrapped_before_it_weeps_or_that_is_said()
    {
        BatchSpec Cauliflower(int pieces) => School with
        {
            Start = StartSpec.Of(pieces),
            Rest = RestSpec.CoveredFor(240),
            Filling = School.Filling! with
            {
                Parts = [new("cauliflower", new(60 * pieces), default, [new ChopStep(ChopBy.Grate, new(3)), new SauteStep(new(5), new(260 * Math.Sqrt(pieces / 6.0)), "ghee", new(0))])],
                Together = [new SeasonStep("salt-fine", new(0.7 * pieces))],
            },
        };
        var few = Cauliflower(6);
        Assert.True(Breads.Plan(few).Filling!.HoldsFor is not null);

        // Begun late, though the dough rests for hours.
        var clock = ClockKitchens.Plan(few);
        Assert.True(Begins(clock, ClockWork.Filling) > 200 * 60);
        var many = Said(ClockKitchens.Plan(Cauliflower(60)), ClockBreach.FillingWeeps)!;
        Assert.Equal(Severity.Watch, many.Severity);
        Assert.True(many.Is.Value > many.Allowed.Value);
        Assert.True((Said(clock, ClockBreach.FillingWeeps)?.By.Value ?? 0) < many.By.Value);
        // Without salt it waits as long as it likes.
        Assert.Null(Said(ClockKitchens.Plan(Cauliflower(60) is var s ? s with { Filling = s.Filling! with { Together = [] } } : few), ClockBreach.FillingWeeps));
    }

    [Fact]
    public void A_dough_with_egg_counts_hands_and_waits_and_goes_to_the_fridge()
    {
        var eggy = Breads.White(d => d.WithLiquids(new("egg", Amount.OfFlour(10)), new("milk", Amount.TheRest)), Breads.Letter) with { Start = StartSpec.Of(40), Rest = RestSpec.CoveredFor(100) };
        var breach = Said(ClockKitchens.Plan(eggy), ClockBreach.DoughWarm)!;
        Assert.True(breach.Is.Value > Breads.Plan(eggy).Rest.Warm!.Value.Value * 60);

        var what = ClockStage.WhatIfs([Breads.Checked(eggy)], ClockSpec.Usual).Single(w => w.What == WhatIf.ColdThenHot);
        Assert.Equal(RestPlace.Fridge, what.Batch.Rest.Place);
        Assert.True((Said(ClockKitchens.Plan(what.Batch, what.Batch.Clock), ClockBreach.DoughWarm)?.Is.Value ?? 0) < breach.Is.Value);
        Assert.Null(Said(ClockKitchens.Plan(eggy with { Dough = Breads.White().Dough }), ClockBreach.DoughWarm));
    }

    [Fact]
    public void A_night_in_the_fridge_is_not_warm_and_the_hours_of_a_freezer_are_not()
    {
        var spec = Mince(10, 6);

        Assert.Null(Said(ClockKitchens.Plan(spec, ClockSpec.Usual with { Ahead = Ahead.Freezer }), ClockBreach.FillingWarm));
        Assert.True((Said(ClockKitchens.Plan(spec, ClockSpec.Usual with { Ahead = Ahead.Fridge }), ClockBreach.FillingWarm)?.Is.Value ?? 0) < 4 * 3600);
    }

    [Fact]
    public void More_pieces_and_fewer_hands_never_lessen_the_warm_time()
    {
        static double Is(int pieces, int hands)
        {
            var bread = ClockKitchens.Bread(Mince(30, pieces));
            var clock = ClockSpec.Usual with { People = hands, Pans = hands };
            var job = ClockJobs.Of(bread, clock);
            var best = ClockStage.Best([job], clock);
            return ClockWarm.Longest(job, best.Breads[0], best.Objectives.Ends).Filling!.Value;
        }

        var byPieces = new[] { 4, 12, 30, 60, 100 }.Select(n => Is(n, 1)).ToList();
        Assert.Equal(byPieces.Order(), byPieces);
        Assert.True(Is(60, 3) < Is(60, 1));
    }

    [Fact]
    public void The_stove_tells_what_is_running_out()
    {
        var stove = RunningStove.Of(new([new("Mince rounds", Mince(30, 6))], ClockSpec.Usual, new(3 * 3600)), Breads.Kitchen, [])!;
        void Press(double at, StoveAct act, int? number = null, ClockWork? work = null) => stove.Take(new(Guid.NewGuid(), new(at), act, null, null, 0, number, work));
        StoveWarm? At(double now) => stove.Now(new(now)).Breads[0].Warm.SingleOrDefault();

        Assert.Null(At(0));
        Press(600, StoveAct.Done, 1, ClockWork.Filling);
        Press(700, StoveAct.Done, 2, ClockWork.Filling);
        Assert.Equal((Stage.Filling, Severity.Right), (At(900)!.Part, At(900)!.Severity));
        Assert.Equal(Severity.Watch, At(700 + 5700)!.Severity);
        var over = At(700 + 7200)!;
        Assert.Equal(Severity.Caution, over.Severity);
        Assert.Equal(4 * 3600, (over.For + over.Left).Value);
        Assert.Equal(Severity.Wrong, At(700 + 14_400)!.Severity);
        Assert.True(At(700 + 14_400)!.Left.Value < 0);
    }
}
