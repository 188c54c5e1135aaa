namespace Ystrata.Core.Tests.Clock;

/// <summary>A running service: what is pressed moves the plan, in whatever order it comes.</summary>
public class StoveTests
{
    private const double Table = 3 * 3600;

    private static RunningStove New(int pieces = 6, ClockSpec? clock = null, BatchSpec? spec = null, double table = Table) =>
        RunningStove.Of(new([new("Squares", (spec ?? ClockKitchens.Squares) with { Start = StartSpec.Of(pieces) })], clock ?? ClockSpec.Usual, new(table)), Breads.Kitchen, [])!;

    private static StoveEvent Event(double at, StoveAct act, int? pan = null, int? number = null, ClockWork? work = null, double? value = null, Guid? undoes = null) =>
        new(Guid.NewGuid(), new(at), act, pan, pan is null ? null : 0, number is null ? null : 0, number, work, value, undoes);

    private static StoveEvent Press(RunningStove stove, double at, StoveAct act, int? pan = null, int? number = null, ClockWork? work = null, double? value = null, Guid? undoes = null)
    {
        var e = Event(at, act, pan, number, work, value, undoes);
        Assert.Equal(new StoveAnswer(true), stove.Check(e));
        stove.Take(e);
        return e;
    }

    private static PieceAt At(RunningStove stove, double now, int number) => stove.Now(new(now)).Breads[0].Belt[number - 1].At;

    [Fact]
    public void Hands_begin_with_the_dough_and_not_before_they_must()
    {
        var sheet = New().Now(new(0));

        Assert.Equal(ClockWork.Mix, sheet.Tasks[0].Work);
        Assert.InRange(sheet.InHand.Value, -1, 60);
        Assert.True(sheet.Tasks[0].At.Value > 0);
    }

    [Fact]
    public void A_piece_goes_from_ball_to_table_press_by_press()
    {
        var stove = New();
        Press(stove, 400, StoveAct.Done, number: 1, work: ClockWork.Mix);
        Press(stove, 3000, StoveAct.Done, number: 1, work: ClockWork.Divide);
        Assert.Equal(PieceAt.Ball, At(stove, 3000, 1));
        Press(stove, 5000, StoveAct.Done, number: 1, work: ClockWork.Fold);
        Assert.Equal(PieceAt.Folded, At(stove, 5000, 1));
        Press(stove, 7000, StoveAct.Done, number: 1, work: ClockWork.Roll);
        Assert.Equal(PieceAt.Rolled, At(stove, 7000, 1));
        Press(stove, 7010, StoveAct.Laid, pan: 0, number: 1);
        Assert.Equal(PieceAt.OnPan, At(stove, 7010, 1));
        Press(stove, 7060, StoveAct.Turned, pan: 0, number: 1);
        Press(stove, 7100, StoveAct.Turned, pan: 0, number: 1);
        Press(stove, 7140, StoveAct.Lifted, pan: 0, number: 1);
        Assert.Equal(PieceAt.Hot, At(stove, 7140, 1));
        Press(stove, 7200, StoveAct.Served);
        Assert.Equal(PieceAt.Served, At(stove, 7200, 1));
    }

    [Fact]
    public void The_next_turn_is_due_when_its_stay_is_over_counted_from_the_press()
    {
        var stove = New();
        var stays = Breads.Plan(ClockKitchens.Squares).Pan.Program.Turns.Select(t => t.Time.Value).ToList();
        Press(stove, 100, StoveAct.Laid, pan: 0);
        Assert.Equal(100 + stays[0], stove.Now(new(100)).Pans[0].Places[0].Due!.Value.Value);

        // Turned nine seconds late: the next stay is as long as ever.
        Press(stove, 109 + stays[0], StoveAct.Turned, pan: 0);
        Assert.Equal(109 + stays[0] + stays[1], stove.Now(new(200)).Pans[0].Places[0].Due!.Value.Value);
    }

    [Fact]
    public void A_forgotten_press_is_made_up_for_by_the_next()
    {
        var stove = New();
        Press(stove, 5000, StoveAct.Laid, pan: 0, number: 2);

        Assert.Equal(PieceAt.OnPan, At(stove, 5000, 2));
        Assert.True(stove.Check(Event(5001, StoveAct.Done, number: 1, work: ClockWork.Mix)) is { Counted: false, Refusal: null });
    }

    [Fact]
    public void The_same_press_sent_twice_counts_once()
    {
        var stove = New();
        var e = Press(stove, 100, StoveAct.Laid, pan: 0, number: 1);

        Assert.Equal(new StoveAnswer(false), stove.Check(e));
    }

    [Fact]
    public void Two_screens_that_lift_the_same_piece_lift_it_once()
    {
        var stove = New();
        Press(stove, 100, StoveAct.Laid, pan: 0, number: 1);
        Press(stove, 200, StoveAct.Lifted, pan: 0, number: 1);
        Press(stove, 201, StoveAct.Laid, pan: 0, number: 2);

        // The second screen still meant the first piece.
        Assert.Equal(new StoveAnswer(false), stove.Check(Event(201.5, StoveAct.Lifted, pan: 0, number: 1)));
        Assert.Equal(PieceAt.OnPan, At(stove, 202, 2));
    }

    [Fact]
    public void Two_screens_that_turn_the_same_side_turn_it_once()
    {
        var stove = New();
        Press(stove, 100, StoveAct.Laid, pan: 0, number: 1);
        Press(stove, 150, StoveAct.Turned, pan: 0, number: 1, value: 0);

        Assert.Equal(new StoveAnswer(false), stove.Check(Event(151, StoveAct.Turned, pan: 0, number: 1, value: 0)));
        Assert.Equal(new StoveAnswer(true), stove.Check(Event(190, StoveAct.Turned, pan: 0, number: 1, value: 1)));
    }

    [Fact]
    public void Two_screens_that_end_the_same_part_of_a_program_end_it_once()
    {
        var rested = Breads.White(Breads.Letter, new RestStep(new(20)), Breads.Letter);
        var stove = New(spec: rested);
        Press(stove, 5000, StoveAct.Done, number: 1, work: ClockWork.Fold, value: 0);

        Assert.Equal(new StoveAnswer(false), stove.Check(Event(5001, StoveAct.Done, number: 1, work: ClockWork.Fold, value: 0)));
        Assert.Equal(PieceAt.Ball, At(stove, 5001, 1));
        Press(stove, 6500, StoveAct.Done, number: 1, work: ClockWork.Fold, value: 1);
        Assert.Equal(PieceAt.Folded, At(stove, 6500, 1));
    }

    [Fact]
    public void What_cannot_be_is_refused_with_its_reason()
    {
        var stove = New();
        Press(stove, 100, StoveAct.Laid, pan: 0, number: 1);
        var refused = new (StoveEvent Event, StoveRefusal Why)[]
        {
            (Event(101, StoveAct.Laid, pan: 0, number: 2), StoveRefusal.PlaceTaken),
            (Event(101, StoveAct.Laid, pan: 3, number: 2), StoveRefusal.NoSuchPan),
            (Event(101, StoveAct.Laid, pan: -1), StoveRefusal.NoSuchPan),
            (Event(101, StoveAct.Laid, number: 2), StoveRefusal.NotTold),
            (Event(101, StoveAct.Dropped), StoveRefusal.NotTold),
            (Event(101, StoveAct.Dropped, number: 99), StoveRefusal.NoSuchPiece),
            (Event(101, StoveAct.Dropped, number: 0), StoveRefusal.NoSuchPiece),
            (Event(101, StoveAct.Done, number: 99, work: ClockWork.Roll), StoveRefusal.NoSuchWork),
            (Event(101, StoveAct.Done, number: 1, work: ClockWork.Lay), StoveRefusal.NoSuchWork),
            (Event(101, StoveAct.Late), StoveRefusal.NotTold),
            (Event(101, StoveAct.Late, value: -5), StoveRefusal.OutOfRange),
            (Event(101, StoveAct.Late, value: 1e12), StoveRefusal.OutOfRange),
            (Event(101, StoveAct.Heat, pan: 0, value: 4000), StoveRefusal.OutOfRange),
            (Event(101, StoveAct.Hands, value: 40), StoveRefusal.OutOfRange),
            (Event(101, StoveAct.Table, value: double.NaN), StoveRefusal.OutOfRange),
            (Event(101, StoveAct.Undo, undoes: Guid.NewGuid()), StoveRefusal.NothingToUndo),
            (Event(101, StoveAct.Undo), StoveRefusal.NotTold),
        };

        Assert.All(refused, r => Assert.Equal(new StoveAnswer(false, r.Why), stove.Check(r.Event)));
        Press(stove, 102, StoveAct.Lifted, pan: 0);
        Assert.Equal(StoveRefusal.NothingThere, stove.Check(Event(103, StoveAct.Lifted, pan: 0)).Refusal);
        Press(stove, 104, StoveAct.Dropped, number: 3);
        Assert.Equal(StoveRefusal.PieceLost, stove.Check(Event(105, StoveAct.Laid, pan: 0, number: 3)).Refusal);
        Press(stove, 106, StoveAct.End);
        Assert.Equal(StoveRefusal.Ended, stove.Check(Event(107, StoveAct.Lifted, pan: 0)).Refusal);
    }

    [Fact]
    public void Every_press_can_be_taken_back()
    {
        var acts = new Func<RunningStove, StoveEvent>[]
        {
            s => Press(s, 300, StoveAct.Done, number: 3, work: ClockWork.Fold),
            s => Press(s, 300, StoveAct.Laid, pan: 1, number: 2),
            s => Press(s, 300, StoveAct.Turned, pan: 0, number: 1),
            s => Press(s, 300, StoveAct.Lifted, pan: 0, number: 1),
            s => Press(s, 300, StoveAct.Dropped, number: 4),
            s => Press(s, 300, StoveAct.Burst, number: 1),
            s => Press(s, 300, StoveAct.Late, value: 4000),
            s => Press(s, 300, StoveAct.PanGone, pan: 1),
            s => Press(s, 300, StoveAct.Hands, value: 2),
            s => Press(s, 300, StoveAct.Table, value: 9000),
        };
        foreach (var act in acts)
        {
            var stove = New(clock: new(Pans: 2), table: 0);
            Press(stove, 100, StoveAct.Laid, pan: 0, number: 1);
            var before = Told(stove);
            var e = act(stove);
            Assert.True(before != Told(stove), $"{e.Act} changed nothing");
            Press(stove, 301, StoveAct.Undo, undoes: e.Id);
            Assert.Equal(before, Told(stove));
            Assert.Equal(new StoveAnswer(false), stove.Check(Event(302, StoveAct.Undo, undoes: e.Id)));
        }

        static string Told(RunningStove stove)
        {
            var s = stove.Now(new(400));
            return System.Text.Json.JsonSerializer.Serialize(new { s.Pans, s.Breads, s.People, s.Table, s.Ends, s.Tasks });
        }
    }

    [Fact]
    public void A_lost_piece_is_not_waited_for()
    {
        var stove = New(pieces: 3);
        Press(stove, 100, StoveAct.Dropped, number: 2);
        var sheet = stove.Now(new(100));

        Assert.Equal(1, sheet.Breads[0].Lost);
        Assert.DoesNotContain(sheet.Tasks, t => t.Number == 2 && t.Work is ClockWork.Roll or ClockWork.Lay);
        Assert.False(sheet.Stuck);
    }

    [Fact]
    public void A_burst_piece_leaves_a_pan_to_wipe()
    {
        var stove = New();
        Press(stove, 100, StoveAct.Laid, pan: 0, number: 1);
        Press(stove, 130, StoveAct.Burst, pan: 0, number: 1);
        var pan = stove.Now(new(131)).Pans[0];

        Assert.True(pan.Wipe);
        Assert.Null(pan.Places[0].Bread);
        Press(stove, 140, StoveAct.Wiped, pan: 0);
        Assert.False(stove.Now(new(141)).Pans[0].Wipe);
    }

    [Fact]
    public void Hands_held_up_push_what_follows()
    {
        var stove = New(clock: new(By: ClockBy.Soonest), table: 0);
        var before = stove.Now(new(0)).Ends.Value;
        Press(stove, 0, StoveAct.Late, value: 600);

        Assert.InRange(stove.Now(new(0)).Ends.Value - before, 590, 610);
    }

    [Fact]
    public void One_pan_gone_is_planned_around_and_none_is_said()
    {
        var stove = New(pieces: 12, clock: new(Pans: 2));
        Press(stove, 10, StoveAct.PanGone, pan: 1);
        var one = stove.Now(new(10));
        Assert.False(one.Stuck);
        Assert.True(one.Pans[1].Gone && one.Pans[1].Places[0].Next is null);

        Press(stove, 20, StoveAct.PanGone, pan: 0);
        Assert.True(stove.Now(new(20)).Stuck);
        Press(stove, 30, StoveAct.PanBack, pan: 0);
        Assert.False(stove.Now(new(30)).Stuck);
    }

    [Fact]
    public void Every_place_of_a_plate_has_a_piece_of_its_own_to_come()
    {
        var stove = New(spec: ClockKitchens.Squares with { Pan = ClockKitchens.Squares.Pan with { On = Cookware.Of(PanKind.Plate), Together = 3 } });
        // In the order of their laying: the pieces themselves in order, none at two places.
        List<int> Next(double now) => [.. stove.Now(new(now)).Pans[0].Places.Select(p => p.Next).OfType<StoveNext>().OrderBy(n => n.At.Value).Select(n => n.Number)];
        Assert.Equal([1, 2], Next(0).Take(2));
        Assert.Equal(Next(0).Distinct().Order(), Next(0));

        Press(stove, 100, StoveAct.Laid, pan: 0, number: 1);
        Assert.Equal(2, Next(100)[0]);
        Assert.Equal(Next(100).Distinct().Order(), Next(100));
    }

    [Fact]
    public void Nobody_at_the_stove_is_said_too()
    {
        var stove = New();
        Press(stove, 5, StoveAct.Laid, pan: 0, number: 1);
        var due = stove.Now(new(5)).Pans[0].Places[0].Due;
        Press(stove, 10, StoveAct.Hands, value: 0);
        Assert.Equal(due, stove.Now(new(10)).Pans[0].Places[0].Due);
        Assert.True(stove.Now(new(10)).Stuck);
        Press(stove, 20, StoveAct.Hands, value: 2);
        Assert.Equal((false, 2), (stove.Now(new(20)).Stuck, stove.Now(new(20)).People));
    }

    [Theory]
    [InlineData(214, PanState.Right)]
    [InlineData(180, PanState.TooCool)]
    [InlineData(231, PanState.TooHot)]
    [InlineData(260, PanState.Smokes)]
    public void A_measured_pan_is_told_for_what_it_is(double heat, PanState state)
    {
        var stove = New();
        Assert.Equal(PanState.Unmeasured, stove.Now(new(0)).Pans[0].State);
        Press(stove, 10, StoveAct.Heat, pan: 0, value: heat);

        Assert.Equal(state, stove.Now(new(10)).Pans[0].State);
    }

    [Fact]
    public void A_pan_that_is_too_hot_has_its_stays_worked_out_anew()
    {
        double Due(double? heat)
        {
            var stove = New();
            if (heat is { } h)
            {
                Press(stove, 10, StoveAct.Heat, pan: 0, value: h);
            }

            Press(stove, 20, StoveAct.Laid, pan: 0);
            return stove.Now(new(20)).Pans[0].Places[0].Due!.Value.Value - 20;
        }

        var measured = ClockKitchens.Squares with { Start = StartSpec.Of(6), Pan = ClockKitchens.Squares.Pan with { Measured = new(245) } };
        Assert.True(Due(245) < Due(null));
        Assert.Equal(Breads.Plan(measured).Pan.Program.Turns[0].Time.Value, Due(245));
        Assert.Equal(Due(null), Due(216));
    }

    [Fact]
    public void A_clock_that_was_put_back_undoes_nothing()
    {
        var stove = New();
        Press(stove, 5000, StoveAct.Laid, pan: 0, number: 1);

        Assert.Equal(5000, stove.Now(new(200)).Now.Value);
        Assert.Equal(PieceAt.OnPan, At(stove, 200, 1));
    }

    [Fact]
    public void A_service_left_open_says_so()
    {
        var stove = New();
        Press(stove, 100, StoveAct.Laid, pan: 0, number: 1);

        Assert.False(stove.Now(new(3600)).Open);
        Assert.True(stove.Now(new(24 * 3600)).Open);
    }

    [Fact]
    public void A_night_in_the_fridge_is_no_service_left_open()
    {
        var stove = New(pieces: 2, clock: new(Ahead: Ahead.Fridge), table: 20 * 3600);
        Press(stove, 5000, StoveAct.Done, number: 1, work: ClockWork.Fold);
        Press(stove, 5100, StoveAct.Done, number: 2, work: ClockWork.Fold);

        Assert.False(stove.Now(new(5100 + 6 * 3600)).Open);
        Assert.True(stove.Now(new(40 * 3600)).Open);
    }

    [Fact]
    public void The_same_events_give_the_same_state_in_another_server()
    {
        var service = new Service([new("Squares", ClockKitchens.Squares)], new(Pans: 2), new(Table));
        var stove = RunningStove.Of(service, Breads.Kitchen, [])!;
        List<StoveEvent> pressed =
        [
            Press(stove, 100, StoveAct.Laid, pan: 0, number: 1),
            Press(stove, 150, StoveAct.Turned, pan: 0, number: 1),
            Press(stove, 160, StoveAct.Laid, pan: 1, number: 2),
        ];
        pressed.Add(Press(stove, 170, StoveAct.Undo, undoes: pressed[2].Id));
        pressed.Add(Press(stove, 180, StoveAct.Dropped, number: 5));
        var again = RunningStove.Of(service, Breads.Kitchen, pressed)!;

        string Told(RunningStove s) => System.Text.Json.JsonSerializer.Serialize(new { s.Now(new(200)).Pans, s.Now(new(200)).Breads });
        Assert.Equal(Told(stove), Told(again));
    }

    [Fact]
    public void What_is_under_way_is_not_begun_again_at_every_press()
    {
        var stove = New(clock: new(By: ClockBy.Soonest), table: 0);
        var mixed = stove.Now(new(0)).Tasks[0];
        Press(stove, 200, StoveAct.Table, value: 100);
        var still = stove.Now(new(200)).Tasks[0];

        Assert.Equal((ClockWork.Mix, mixed.Until.Value), (still.Work, still.Until.Value));
    }

    [Fact]
    public void The_order_of_hands_is_kept_when_something_is_late()
    {
        var stove = New(pieces: 8, clock: new(By: ClockBy.Soonest, Pans: 2), table: 0);
        Press(stove, 3000, StoveAct.Done, number: 1, work: ClockWork.Divide);
        List<(ClockWork, int)> Order(double now) => [.. stove.Now(new(now)).Tasks.Where(t => t.Work == ClockWork.Fold).Select(t => (t.Work, t.Number))];
        var before = Order(3000);
        Press(stove, 3010, StoveAct.Late, value: 90);

        Assert.Equal(before, Order(3011));
    }

    [Fact]
    public void Services_with_any_lateness_and_any_mishap_come_to_their_end()
    {
        for (var seed = 0; seed < 60; seed++)
        {
            var random = new Random(seed);
            var (pieces, pans) = (random.Next(1, 9), random.Next(1, 4));
            var roasting = random.Next(4) == 0 ? Roasting.DryThenFry : Roasting.FatEachSide;
            var spec = ClockKitchens.Squares with { Start = StartSpec.Of(pieces), Pan = ClockKitchens.Squares.Pan with { Roasting = roasting, Stack = 3 } };
            var stove = RunningStove.Of(new([new("Squares", spec)], new(random.Next(1, 3), pans), new(random.Next(0, 12_000))), Breads.Kitchen, [])!;
            var now = 0.0;
            for (var step = 0; ; step++)
            {
                Assert.True(step < 2000, $"service {seed} has no end");
                var sheet = stove.Now(new(now));
                if (sheet.Breads[0].Belt.All(p => p.At is PieceAt.Hot or PieceAt.Lost))
                {
                    Assert.Equal(pieces, sheet.Breads[0].Done + sheet.Breads[0].Lost);
                    break;
                }

                if (sheet.Stuck)
                {
                    Take(stove, now, Event(now, StoveAct.PanBack, pan: 0));
                    continue;
                }

                Mishap(stove, random, now, pieces, pans);
                var task = stove.Now(new(now)).Tasks is [var first, ..] ? first : null;
                if (task is null)
                {
                    continue;
                }

                // Pressed when it is done, sooner or later than planned.
                now = Math.Max(now, task.Until.Value + random.Next(-20, 60));
                Take(stove, now, task.Work switch
                {
                    ClockWork.Lay or ClockWork.Fry => Event(now, StoveAct.Laid, task.Pan, task.Number),
                    ClockWork.Turn => Event(now, StoveAct.Turned, task.Pan, task.Number),
                    ClockWork.Lift => Event(now, StoveAct.Lifted, task.Pan, task.Number),
                    _ => Event(now, StoveAct.Done, number: task.Number, work: task.Work),
                });
            }
        }

        static void Take(RunningStove stove, double now, StoveEvent e)
        {
            if (stove.Check(e).Counted)
            {
                stove.Take(e);
            }
        }

        static void Mishap(RunningStove stove, Random random, double now, int pieces, int pans)
        {
            var e = random.Next(40) switch
            {
                0 => Event(now, StoveAct.Dropped, number: random.Next(1, pieces + 1)),
                1 => Event(now, StoveAct.Burst, number: random.Next(1, pieces + 1)),
                2 => Event(now, StoveAct.Late, value: random.Next(1, 400)),
                3 => Event(now, StoveAct.PanGone, pan: random.Next(pans)),
                4 => Event(now, StoveAct.PanBack, pan: random.Next(pans)),
                5 => Event(now, StoveAct.Heat, pan: random.Next(pans), value: random.Next(150, 280)),
                6 => Event(now, StoveAct.Hands, value: random.Next(1, 4)),
                7 when stove.Now(new(now)).Past is { Count: > 0 } past => Event(now, StoveAct.Undo, undoes: past[random.Next(past.Count)].Event.Id),
                _ => null,
            };
            if (e is not null)
            {
                Take(stove, now, e);
            }
        }
    }
}
