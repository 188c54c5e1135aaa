namespace Ystrata.Core.Tests;

public class PanTests
{
    private static BatchSheet Pan(Func<PanSpec, PanSpec> change)
    {
        var white = Breads.White(Breads.Letter);
        return Breads.Plan(white with { Pan = change(white.Pan) });
    }

    [Fact]
    public void The_first_side_is_dry_to_the_blisters_and_the_others_carry_the_fat()
    {
        var pan = Pan(p => p).Pan;

        Assert.Equal([0, 2.5, 2.5], pan.Program.Turns.Select(t => t.Fat.Value));
        Assert.Equal([Face.First, Face.Second, Face.First], pan.Program.Turns.Select(t => t.Face));
        Assert.Equal(pan.Done.Blisters!.Value, pan.Program.Turns[0].Time);
        Assert.Equal(pan.Program.Total.Value, pan.Program.Turns.Sum(t => t.Time.Value), 9);
        Assert.False(pan.Program.Own);
        Assert.Equal(pan.Program.Turns.Select(t => t.Time), pan.Program.Advised.Select(t => t.Time));
    }

    [Theory]
    [InlineData(Roasting.FatEachSide, 2.5)]
    [InlineData(Roasting.DryThenFry, 2.5)]
    [InlineData(Roasting.DryOnly, 2.5)]
    [InlineData(Roasting.ManyTurns, 2.5)]
    [InlineData(Roasting.ShallowFry, 2.5)]
    [InlineData(Roasting.OneTurn, 2.5)]
    [InlineData(Roasting.OneTurn, 0)]
    // Without fat the stays are those of dry faces.
    [InlineData(Roasting.FatEachSide, 0)]
    [InlineData(Roasting.DryThenFry, 0)]
    [InlineData(Roasting.ManyTurns, 0)]
    public void Every_school_cooks_a_round_through_and_gives_both_faces_the_colour_wanted(Roasting school, double fat)
    {
        foreach (var (colour, dark) in new[] { (Colour.Pale, 0.3), (Colour.Gold, 1), (Colour.Brown, 1.8) })
        {
            var pan = Pan(p => p with { Roasting = school, Colour = colour, FatPerSide = new(fat) }).Pan;

            Assert.Null(pan.Program.Failure);
            Assert.InRange(pan.Done.CookedAt!.Value.Value, 1, pan.Program.Total.Value);
            Assert.InRange(pan.Done.First, dark - 0.2, 2.5);
            Assert.InRange(pan.Done.Second, dark - 0.2, 2.5);
        }
    }

    [Fact]
    public void No_advice_chars_a_face_on_any_bread_in_any_school_of_roasting()
    {
        var cooked = 0;
        foreach (var school in Schools.All)
        {
            foreach (var roasting in Enum.GetValues<Roasting>())
            {
                var pan = Breads.Plan(school.Spec with { Pan = school.Spec.Pan with { Roasting = roasting, Colour = Colour.Brown, Temperature = new(225) } }).Pan;
                cooked += pan.Program.Failure is null ? 1 : 0;
                Assert.True(Math.Max(pan.Done.First, pan.Done.Second) <= PanRun.DarkestFace, $"{school.Id}, {roasting}: {pan.Done.First} and {pan.Done.Second}");
                Assert.True(pan.Program.Failure is null == pan.Program.Turns.Count > 0);
            }
        }

        Assert.True(cooked > 60, $"only {cooked} could be cooked");
    }

    [Fact]
    public void Schools_differ_in_where_the_fat_goes_and_how_often_it_is_turned()
    {
        IReadOnlyList<Turn> Turns(Roasting school) => Pan(p => p with { Roasting = school }).Pan.Program.Turns;

        Assert.All(Turns(Roasting.DryOnly), t => Assert.Equal(0, t.Fat.Value));
        Assert.Equal([5, 0, 0], Turns(Roasting.ShallowFry).Select(t => t.Fat.Value));
        Assert.Equal([0, 0, 2.5, 2.5], Turns(Roasting.DryThenFry).Select(t => t.Fat.Value));
        Assert.Equal([2.5, 2.5], Turns(Roasting.OneTurn).Select(t => t.Fat.Value));
        Assert.True(Turns(Roasting.ManyTurns).Count > Turns(Roasting.FatEachSide).Count + 2);
    }

    [Fact]
    public void A_stack_is_fried_in_turn_and_takes_as_long_as_all_its_pieces()
    {
        var pan = Pan(p => p with { Roasting = Roasting.DryThenFry, Stack = 6 }).Pan;

        Assert.Equal(6, pan.Stack!.Height);
        Assert.Equal(pan.Program.Turns[2].Time.Value + pan.Program.Turns[3].Time.Value, pan.Stack.Each.Value);
        Assert.Equal(6 * pan.Stack.Each.Value, pan.Stack.Round.Value);
        Assert.Null(Pan(p => p).Pan.Stack);
    }

    [Fact]
    public void Darker_takes_longer_and_a_hotter_pan_less()
    {
        double Total(Func<PanSpec, PanSpec> change) => Pan(change).Pan.Program.Total.Value;

        Assert.True(Total(p => p with { Colour = Colour.Pale }) < Total(p => p));
        Assert.True(Total(p => p) < Total(p => p with { Colour = Colour.Brown }));
        Assert.True(Total(p => p with { Temperature = new(235) }) < Total(p => p));
        Assert.True(Total(p => p) < Total(p => p with { Frozen = true }));
    }

    [Fact]
    public void The_cooks_own_times_are_taken_as_they_are_and_what_becomes_of_the_bread_is_said()
    {
        Stay[] own = [new(new(20), new(0)), new(new(20), new(1)), new(new(20), new(1))];
        var plan = Pan(p => p with { Own = own });

        Assert.Equal([20, 20, 20], plan.Pan.Program.Turns.Select(t => t.Time.Value));
        Assert.True(plan.Pan.Program.Own);
        Assert.Equal(Pan(p => p).Pan.Program.Advised, plan.Pan.Program.Advised);
        Assert.Equal(Pan(p => p).Pan.Program.Turns.Count, plan.The(plan.Has(NoteCode.RawInside) ? NoteCode.RawInside : NoteCode.FacePale).Mends![0].Quantities[0].Value);
        Assert.Null(plan.The(plan.Has(NoteCode.RawInside) ? NoteCode.RawInside : NoteCode.FacePale).Mends![0].Pan!.Own);
        Assert.True(Pan(p => p with { Own = [new(new(4), new(0)), new(new(4), new(0))] }).Has(NoteCode.RawInside));
        Assert.True(Pan(p => p with { Own = [new(new(40), new(0)), new(new(400), new(2))] }).Has(NoteCode.FaceBurnt));
    }

    [Fact]
    public void What_is_measured_counts_instead_of_what_was_meant()
    {
        var measured = Pan(p => p with { Measured = new(180) }).Pan;

        Assert.Equal(180, measured.Program.Turns[0].Pan.Value);
        Assert.True(measured.Program.Total.Value > Pan(p => p).Pan.Program.Total.Value);
        Assert.True(Pan(p => p with { Measured = new(255) }).Has(NoteCode.PanSmokes));
    }

    [Fact]
    public void A_pan_that_does_not_recover_is_cooler_under_every_piece_until_it_settles()
    {
        var row = Pan(p => p with { On = Cookware.Of(PanKind.CastIron) with { Flame = Flame.Low } }).Pan.Row;

        Assert.Equal([1, 2, 5, 20], row.Pieces.Select(p => p.Number));
        Assert.True(row.Pieces[0].Pan.Value > row.Pieces[1].Pan.Value);
        Assert.True(row.Pieces[1].Pan.Value > row.Pieces[2].Pan.Value);
        Assert.True(row.Pieces[0].First > row.Pieces[3].First);
        Assert.Equal(1, row.UpAfter);
        Assert.Equal(Flame.High, row.Holds);
    }

    [Fact]
    public void The_flame_that_holds_the_pan_is_one_press()
    {
        var cold = Pan(p => p with { On = Cookware.Usual with { Flame = Flame.Low } });
        var hot = Pan(p => p with { Temperature = new(170), On = Cookware.Usual with { Flame = Flame.High } });

        Assert.Equal(Flame.High, cold.The(NoteCode.PanFalls).Mends![0].Pan!.On!.Flame);
        Assert.NotEqual(Flame.High, hot.The(NoteCode.PanClimbs).Mends![0].Pan!.On!.Flame);
        Assert.False(Pan(p => cold.The(NoteCode.PanFalls).Mends![0].Pan!).Has(NoteCode.PanFalls));
    }

    [Fact]
    public void A_round_that_cannot_cook_says_so_and_why_and_gives_no_times()
    {
        var white = Breads.White();
        BatchSheet Thick(double mm, double pan) => Breads.Plan(white with
        {
            Balls = new(BallBy.Thickness, new(80), new(mm)),
            Roll = white.Roll with { Diameter = new(120) },
            Sheet = white.Sheet with { Diameter = new(120) },
            Pan = white.Pan with { Temperature = new(pan) },
        });

        var block = Thick(25, 300);
        Assert.Equal(PanFailure.Chars, block.Pan.Program.Failure);
        Assert.Empty(block.Pan.Program.Turns);
        Assert.Equal(0, block.Pan.Program.Total.Value);
        Assert.True(block.Has(NoteCode.PanChars));
        Assert.Equal(PanFailure.NeverCooks, Pan(p => p with { On = Cookware.Usual with { Flame = Flame.Off }, Temperature = new(150) }).Pan.Program.Failure);
    }

    [Fact]
    public void A_pan_that_never_colours_is_mended_by_the_nearest_that_does()
    {
        var cold = Pan(p => p with { Temperature = new(120), On = Cookware.Usual with { Flame = Flame.Low } });
        var mend = cold.The(NoteCode.PanNeverColours).Mends![0];

        Assert.Equal(MendCode.PanTo, mend.Code);
        Assert.Null(Breads.Plan(Breads.White(Breads.Letter) with { Pan = mend.Pan! }).Pan.Program.Failure);
    }

    [Fact]
    public void Its_weight_off_the_pan_is_the_raw_piece_less_steam_and_with_its_fat()
    {
        var (pan, piece) = (Pan(p => p).Pan, Pan(p => p).Piece);

        Assert.Equal(piece.Raw.Mass.Value * (1 - pan.Done.Lost.Fraction) + pan.Fat.Pan.Value, piece.Out.Mass.Value, 9);
        Assert.InRange(pan.Done.Lost.Value, 8, 25);
        Assert.InRange(pan.Heat.Low.Value, 150, 215);
    }

    [Fact]
    public void The_run_is_drawn_from_the_first_second_to_the_last_in_no_more_than_121_steps()
    {
        var pan = Pan(p => p).Pan;
        var trace = pan.Trace;

        Assert.InRange(trace.Times.Count, 40, 121);
        Assert.Equal(pan.Program.Total, trace.Times[^1]);
        Assert.All(new[] { trace.Pan.Count, trace.Middle.Count, trace.First.Count, trace.Second.Count }, c => Assert.Equal(trace.Times.Count, c));
        Assert.Equal(pan.Done.First, trace.First[^1], 3);
        Assert.Equal(trace.First.Order(), trace.First);
    }

    [Fact]
    public void More_pieces_on_a_pan_share_its_ring_and_more_than_fit_are_said()
    {
        var white = Schools.All.Single(s => s.Id == "plain").Spec;
        var plate = Breads.Plan(white with { Pan = white.Pan with { On = Cookware.Of(PanKind.Plate), Together = 5 } });
        Assert.Equal(5, plate.Pan.Room);
        Assert.False(plate.Has(NoteCode.PanCrowded));
        Assert.True(Pan(p => p with { Together = 2 }).Has(NoteCode.PanCrowded));
        // With nothing of the pan left over round them they take all their heat from under themselves.
        var alone = Breads.Plan(white with { Pan = white.Pan with { On = Cookware.Of(PanKind.Plate) } }).Pan;
        Assert.True(plate.Pan.Heat.Low.Value < alone.Heat.Low.Value);
        Assert.True(plate.Pan.Program.Total.Value > alone.Program.Total.Value);
        // What has no room does not lie there: the plan goes by what has.
        var crowded = Pan(p => p with { Together = 12 }).Pan;
        Assert.Equal((1, 1), (crowded.Room, crowded.Together));
        Assert.Equal(Pan(p => p).Pan.Program.Turns, crowded.Program.Turns);
    }

    [Fact]
    public void Fat_of_a_piece_is_counted_where_it_is()
    {
        var fat = Pan(p => p).Pan.Fat;

        Assert.Equal((6, 5), (fat.Inside.Value, fat.Pan.Value));
        Assert.Equal(80 * 3 / (100 + 61.991 + 3 + 1.8), fat.Dough.Value, 6);
    }

    [Fact]
    public void Fat_that_a_face_cannot_hold_stays_in_the_pan_and_is_not_eaten()
    {
        var fat = Pan(p => p with { FatPerSide = new(20), Roasting = Roasting.ShallowFry }).Pan.Fat;

        Assert.Equal(40, (fat.Pan + fat.Left).Value, 9);
        Assert.InRange(fat.Pan.Value, 5, 9);
        var dry = Pan(p => p with { FatPerSide = new(0) }).Pan.Fat;
        Assert.True(dry.Energy.Value < fat.Energy.Value);
        Assert.Equal(dry.Energy.Value + fat.Pan.Value * 8.97, fat.Energy.Value, 6);
        Assert.True(dry.Share.Value < fat.Share.Value);
    }

    [Fact]
    public void A_mix_of_fats_smokes_where_the_first_of_them_does_and_butter_browns_before()
    {
        var mixed = Pan(p => p with { Second = new("butter", new(30)) });
        Assert.Equal("butter", mixed.The(NoteCode.PanSmokes).Item);
        Assert.Equal("butter", mixed.The(NoteCode.ButterBrowns).Item);
        Assert.Equal(150, mixed.Pan.Heat.SmokePoint!.Value.Value);
        // A trace of it is not noticed.
        Assert.Equal(250, Pan(p => p with { Second = new("butter", new(3)) }).Pan.Heat.SmokePoint!.Value.Value);
        Assert.False(Pan(p => p).Has(NoteCode.ButterBrowns));
        Assert.Equal(["ghee", "butter"], (Breads.White().Pan with { Second = new("butter", new(30)) }).Fats().Select(f => f.Id));
    }

    [Theory]
    [InlineData(235, false, false)]
    [InlineData(244, true, false)]
    [InlineData(250, false, true)]
    public void Ghee_smokes_at_250(double pan, bool near, bool smokes)
    {
        var plan = Pan(p => p with { Temperature = new(pan) });

        Assert.Equal((near, smokes), (plan.Has(NoteCode.PanNearSmoke), plan.Has(NoteCode.PanSmokes)));
    }

    [Fact]
    public void Butter_smokes_where_ghee_does_not() => Assert.Equal("butter", Pan(p => p with { Fat = "butter" }).The(NoteCode.PanSmokes).Item);

    [Fact]
    public void A_dry_pan_smokes_by_the_fat_that_the_bread_brings_along_and_needs_no_hot_fat_caution()
    {
        var plan = Pan(p => p with { Temperature = new(260), FatPerSide = new(0) });
        var white = Breads.White(Breads.Letter);
        var dry = white with { Dough = white.Dough.WithFat("ghee", 0), Sheet = white.Sheet with { FatMass = new(0) }, Pan = white.Pan with { Temperature = new(260), FatPerSide = new(0) } };

        Assert.Equal("ghee", plan.The(NoteCode.PanSmokes).Item);
        Assert.Equal("butter", Breads.Plan(dry with { Dough = white.Dough.WithFat("butter", 3) }).The(NoteCode.PanSmokes).Item);
        Assert.Equal("butter", Breads.Plan(dry with { Sheet = dry.Sheet with { Fat = "butter", FatMass = new(6) }, Pan = dry.Pan with { Roasting = Roasting.DryOnly, FatPerSide = new(3) } }).The(NoteCode.PanSmokes).Item);
        Assert.False(Breads.Plan(dry).Has(NoteCode.PanSmokes));
        Assert.False(plan.Has(NoteCode.HotFat));
        Assert.True(plan.Has(NoteCode.Steam));
    }

    [Fact]
    public void Fat_per_side_is_read_against_a_film_of_50_to_150_µm()
    {
        var pan = Pan(p => p).Pan;

        Assert.InRange(pan.Film.Thick.Value, 50, 150);
        Assert.True(Pan(p => p with { FatPerSide = pan.Film.Good.Most + new Grams(0.1) }).Has(NoteCode.PanFatPools));
        Assert.True(Pan(p => p with { FatPerSide = pan.Film.Good.Least - new Grams(0.1) }).Has(NoteCode.PanFatThin));
    }

    [Fact]
    public void The_cooks_own_pan_stretches_every_time()
    {
        var own = Breads.Plan(Breads.White(), Breads.Kitchen with { Learned = Learned.Nothing with { PanTime = 1.2 } });

        Assert.Equal(1.2, own.Pan.Program.Total.Value / Breads.Plan().Pan.Program.Total.Value, 0.03);
    }

    [Fact]
    public void A_cool_pan_and_a_thick_round_are_spoken_of()
    {
        Assert.True(Pan(p => p with { Temperature = new(150) }).Has(NoteCode.PanTooCool));
        var white = Breads.White();
        Assert.True(Breads.Plan(white with { Balls = white.Balls with { Mass = new(250) }, Sheet = white.Sheet with { Diameter = new(150) } }).Has(NoteCode.ThickRound));
    }

    [Fact]
    public void A_stuffed_piece_has_to_be_hot_through_and_hotter_where_it_holds_egg()
    {
        var stuffed = Breads.Kitchen;
        var school = Schools.All.Single(s => s.Id == "stuffed").Spec;
        var plain = Breads.Plan(school, stuffed).Pan;
        var egg = school with { Filling = school.Filling! with { Together = [.. school.Filling.Together, new SeasonStep("egg", new(20))] } };
        var short_ = egg with { Pan = egg.Pan with { Own = [new(new(30), new(0)), new(new(30), new(2))] } };

        Assert.True(plain.Done.CookedAt!.Value.Value > 90);
        Assert.True(Breads.Plan(egg, stuffed).Pan.Done.CookedAt!.Value.Value >= plain.Done.CookedAt.Value.Value);
        Assert.Contains(Breads.Plan(short_, stuffed).Notes, n => n.Code == NoteCode.CoreUnsafe && n.Severity == Severity.Wrong);
    }

    [Theory]
    [InlineData(HoldIn.Plate, 10, 20)]
    [InlineData(HoldIn.Cloth, 60, 120)]
    [InlineData(HoldIn.Pot, 240, 360)]
    public void A_moist_bread_stays_soft_as_long_as_cooks_say(HoldIn hold, double least, double most)
    {
        var moist = 0;
        foreach (var school in Schools.All)
        {
            var pan = Breads.Plan(school.Spec with { Pan = school.Spec.Pan with { Hold = hold, Colour = Colour.Pale } }).Pan;
            Assert.True(pan.Hold.Here.Soft.Value <= most, school.Id);
            Assert.True(pan.Done.Water.Value < 27 || pan.Hold.Here.Soft.Value >= least, school.Id);
            moist += pan.Done.Water.Value >= 27 ? 1 : 0;
        }

        Assert.True(moist > 3, $"only {moist} are moist");
    }

    [Theory]
    [InlineData(HoldIn.Plate, HoldIn.Cloth)]
    [InlineData(HoldIn.Cloth, HoldIn.Pot)]
    public void Wrapped_it_stays_soft_longer(HoldIn shorter, HoldIn longer) =>
        Assert.True(Pan(p => p with { Hold = shorter }).Pan.Hold.Here.Soft.Value < Pan(p => p with { Hold = longer }).Pan.Hold.Here.Soft.Value);

    [Fact]
    public void Held_too_long_it_stiffens_in_paper_it_sweats_and_the_pan_warms_it_again()
    {
        var late = Pan(p => p with { Hold = HoldIn.Plate, HoldFor = new(60) });
        Assert.True(late.Has(NoteCode.HoldStiff));
        Assert.InRange(late.Pan.Hold.Then.Value, 22, 30);
        Assert.InRange(late.Pan.Hold.Reheat!.Value.Value, 15, 120);
        Assert.True(Pan(p => p with { Hold = HoldIn.Paper, HoldFor = new(10) }).Has(NoteCode.PaperSweats));
        Assert.False(Pan(p => p).Has(NoteCode.PaperSweats));
        Assert.False(Pan(p => p).Has(NoteCode.HoldStiff));
    }

    [Fact]
    public void A_finish_opens_patchy_leaves_while_they_steam_and_asks_for_care()
    {
        var patchy = Breads.White([new LetterStep(), new BrushStep("ghee", new(0.6)), new LetterStep(), new BrushStep("ghee", new(0.3)), new LetterStep()]);
        PanSheet Of(Finish finish) => Breads.Plan(patchy with { Pan = patchy.Pan with { Finish = finish } }).Pan;

        Assert.Equal(9, Breads.Plan(patchy).Fold.Patchy);
        Assert.True(Of(Finish.Crush).Finish.Leaves > Of(Finish.Clap).Finish.Leaves);
        Assert.True(Of(Finish.Clap).Finish.Leaves > Of(Finish.None).Finish.Leaves);
        Assert.InRange(Of(Finish.Clap).Finish.Within.Value, 20, 300);
        Assert.Equal(Finish.Crush, Of(Finish.None).Finish.Usual);
        var plain = Breads.White([]);
        Assert.True(Breads.Plan(plain with { Pan = plain.Pan with { Finish = Finish.Clap } }).Has(NoteCode.Steam));
    }

    [Theory]
    [InlineData(40.0)]
    [InlineData(900.0)]
    [InlineData(double.NaN)]
    public void No_pan_is_that_hot_or_cold(double pan)
    {
        var white = Breads.White();
        Assert.Contains(Breads.Refused(white with { Pan = white.Pan with { Temperature = new(pan) } }, Breads.Kitchen), r => r.Field == "pan.temperature");
        Assert.Contains(Breads.Refused(white with { Pan = white.Pan with { Measured = new(pan) } }, Breads.Kitchen), r => r.Field == "pan.measured");
    }

    [Fact]
    public void What_no_pan_can_do_is_refused_by_its_field()
    {
        var white = Breads.White();
        string[] Refused(Func<PanSpec, PanSpec> change) => [.. Breads.Refused(white with { Pan = change(white.Pan) }, Breads.Kitchen).Select(r => r.Field)];

        Assert.Equal(["pan.own[1].time"], Refused(p => p with { Own = [new(new(30), new(0)), new(new(3600), new(0))] }));
        Assert.Equal(["pan.own[0].fat"], Refused(p => p with { Own = [new(new(30), new(-1))] }));
        Assert.Equal(["pan.own"], Refused(p => p with { Own = [] }));
        Assert.Equal(["pan.own"], Refused(p => p with { Own = [.. Enumerable.Repeat(new Stay(new(9), new(0)), 25)] }));
        Assert.Equal(["pan.own[0]"], Refused(p => p with { Own = [null!] }));
        Assert.Equal(["pan.on.thickness", "pan.on.across"], Refused(p => p with { On = new(PanKind.Steel, new(0), new(5000), Flame.Low) }));
        Assert.Equal(["pan.second.id"], Refused(p => p with { Second = new("ghee", new(20)) }));
        Assert.Equal(["pan.second.share", "pan.second.id"], Refused(p => p with { Second = new("flour-white", new(0)) }));
        Assert.Equal(["pan.together", "pan.stack", "pan.holdFor"], Refused(p => p with { Together = 0, Stack = 99, HoldFor = new(-5) }));
        Assert.Equal(["pan.frozen"], Breads.Refused(white with { Dough = white.Dough with { Feel = Feel.Batter }, Pan = white.Pan with { Frozen = true } }, Breads.Kitchen)
            .Where(r => r.Code == RefusalCode.FrozenBatter).Select(r => r.Field));
    }

    [Fact]
    public void A_bread_of_30_cm_never_cooks_and_is_said_at_once()
    {
        var white = Schools.All.Single(s => s.Id == "plain").Spec;
        var block = Breads.Plan(white with { Balls = white.Balls with { Mass = new(1000) }, Sheet = white.Sheet with { Diameter = new(60) }, Roll = white.Roll with { Diameter = new(60) } });

        Assert.InRange(block.Roll.Thickness.Value, 280, 340);
        Assert.Equal(PanFailure.NeverCooks, block.Pan.Program.Failure);
        Assert.Null(block.The(NoteCode.PanNeverCooks).Mends);
    }

    [Fact]
    public void Every_school_of_bread_can_be_cooked_on_its_own_pan() =>
        Assert.All(Schools.All, s => Assert.Null(Breads.Plan(s.Spec).Pan.Program.Failure));
}
