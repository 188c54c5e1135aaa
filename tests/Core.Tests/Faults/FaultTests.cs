using Ystrata.Core.Tests.Clock;

namespace Ystrata.Core.Tests.Faults;

/// <summary>From what was found wrong to what this batch's own figures convict, and nothing else.</summary>
public class FaultTests
{
    private static readonly BatchSpec Healthy = Healthily(ClockKitchens.Squares);

    private static BatchSpec Healthily(BatchSpec spec) => spec with
    {
        Start = StartSpec.Of(8),
        Dough = spec.Dough with { Feel = Feel.Medium, WaterBy = WaterBy.Feel },
        Rest = RestSpec.CoveredFor(40),
        Sheet = spec.Sheet with { Rest = new(40), Diameter = new(280), FatMass = new(5) },
        Fold = new([new LetterStep(), new BrushStep("ghee", new(2)), new LetterStep()]),
        Roll = new(new(180), new(30)),
    };

    private static readonly BatchSpec Stuffed = BatchSpec.Plain with
    {
        Dough = BatchSpec.Plain.Dough with { WaterBy = WaterBy.Feel },
        Rest = RestSpec.CoveredFor(40),
        Roll = new(new(170), new(20)),
        Filling = FillingSpec.Usual,
    };

    private static Outcome Was(Func<Outcome, Outcome>? change = null) => (change ?? (o => o))(Outcome.Nothing);

    private static IReadOnlyList<Conviction> Explain(BatchSpec spec, Symptom symptom, Outcome? outcome = null) =>
        Assert.Single(FaultStage.Explain(spec, outcome ?? Was(), [symptom], Breads.Kitchen)).Causes;

    public static TheoryData<Symptom, NoteCode, Func<BatchSpec, BatchSpec>> Planted => new()
    {
        { Symptom.Stiff, NoteCode.DoughStiff, s => Water(s, 40) },
        { Symptom.Stiff, NoteCode.HoldStiff, s => s with { Pan = s.Pan with { Hold = HoldIn.Plate, HoldFor = new(60) } } },
        { Symptom.Stiff, NoteCode.DoughLean, s => s with { Dough = s.Dough with { Fat = s.Dough.Fat with { Amount = Amount.OfFlour(0) } } } },
        { Symptom.ShrankBack, NoteCode.SpringsBack, s => s with { Roll = s.Roll with { Rest = new(0) } } },
        { Symptom.ShrankBack, NoteCode.RestShort, s => s with { Rest = RestSpec.CoveredFor(2) } },
        { Symptom.Sticky, NoteCode.DoughSticky, s => Water(s, 78) },
        { Symptom.NoLayers, NoteCode.FusedContacts, s => s with { Fold = new([new LetterStep(), new LetterStep()]) } },
        { Symptom.NoLayers, NoteCode.LeafSmeared, s => s with { Fold = new([new LetterStep(), new RollStep(new(260)), new BrushStep("ghee", new(4)), new LetterStep(), new RollStep(new(260)), new BrushStep("ghee", new(4)), new LetterStep()]), Roll = s.Roll with { Diameter = new(330) } } },
        { Symptom.Greasy, NoteCode.TooMuchFat, s => s with { Sheet = s.Sheet with { Diameter = new(320), FatMass = new(18) }, Fold = new([new LetterStep(), new BrushStep("ghee", new(12)), new LetterStep()]) } },
        { Symptom.Greasy, NoteCode.PanFatPools, s => s with { Pan = s.Pan with { FatPerSide = new(14) } } },
        { Symptom.RawInside, NoteCode.RawInside, s => Stays(s, 8) },
        { Symptom.BurntFlour, NoteCode.FaceBurnt, s => Stays(s, 400) },
        { Symptom.BurntFlour, NoteCode.DustHeavy, s => s with { Sheet = s.Sheet with { DustMass = new(9) } } },
        { Symptom.TooSalty, NoteCode.SaltHigh, s => s with { Dough = s.Dough with { Salt = s.Dough.Salt with { Amount = Amount.OfFlour(3.5) } } } },
        { Symptom.Bland, NoteCode.SaltLow, s => s with { Dough = s.Dough with { Salt = s.Dough.Salt with { Amount = Amount.OfFlour(0.4) } } } },
        { Symptom.DriedOut, NoteCode.DriedOut, s => Stays(s, 300) },
        { Symptom.Tears, NoteCode.SheetTooThin, s => s with { Sheet = s.Sheet with { Diameter = new(560) } } },
        { Symptom.Uneven, NoteCode.FacesUneven, s => s with { Pan = s.Pan with { Own = [new(new(20), new(0)), new(new(180), new(2))] } } },
        { Symptom.Pale, NoteCode.FacePale, s => s with { Pan = s.Pan with { Temperature = new(170), Own = [new(new(60), new(0)), new(new(60), new(2)), new(new(60), new(2))] } } },
    };

    public static TheoryData<Symptom, NoteCode, Func<FillingSpec, FillingSpec>> PlantedInside => new()
    {
        { Symptom.Burst, NoteCode.FillingTight, f => f with { Wall = f.Wall with { Share = new(260) } } },
        { Symptom.Soggy, NoteCode.FillingWeeps, f => f with { Parts = [new("radish", new(500), new(0), [new ChopStep(ChopBy.Grate, new(2))])] } },
        { Symptom.TooSalty, NoteCode.FillingSalty, f => f with { Together = [.. f.Together, new SeasonStep("salt-fine", new(40))] } },
    };

    [Theory]
    [MemberData(nameof(Planted))]
    public void A_planted_cause_is_found_first(Symptom symptom, NoteCode cause, Func<BatchSpec, BatchSpec> plant)
    {
        var found = Explain(plant(Healthy), symptom);

        Assert.True(found.Count > 0 && found[0].Note.Code == cause, $"{symptom}: {string.Join(", ", found.Select(c => $"{c.Note.Code} {c.Score:0.00}"))}");
        Assert.False(found[0].ByHand);
    }

    [Theory]
    [MemberData(nameof(PlantedInside))]
    public void So_is_one_in_the_filling(Symptom symptom, NoteCode cause, Func<FillingSpec, FillingSpec> plant)
    {
        var found = Explain(Stuffed with { Filling = plant(Stuffed.Filling!) }, symptom);

        Assert.True(found.Count > 0 && found[0].Note.Code == cause, $"{symptom}: {string.Join(", ", found.Select(c => $"{c.Note.Code} {c.Score:0.00}"))}");
    }

    [Fact]
    public void It_is_drawn_bursting_where_it_is_likely_to()
    {
        var holds = Stuffed with { Filling = FillingSpec.Usual with { Parts = [new("carrot", new(400), new(0), [new ChopStep(ChopBy.Grate, new(1)), new SqueezeStep(SqueezeBy.Cloth)])], Together = [] } };

        Assert.DoesNotContain(Breads.Plan(holds).Risks, r => r.Symptom == Symptom.Burst);
        Assert.False(Breads.Plan(holds).Bursts);
        Assert.True(Breads.Plan(holds with { Filling = holds.Filling! with { Wall = holds.Filling.Wall with { Share = new(260) } } }).Bursts);
    }

    [Fact]
    public void A_healthy_batch_explains_nothing_and_threatens_nothing()
    {
        var all = Enum.GetValues<Symptom>();

        Assert.All(FaultStage.Explain(Healthy, Was(), all, Breads.Kitchen), c => Assert.True(c.Causes.Count == 0, $"{c.Symptom}: {string.Join(", ", c.Causes.Select(x => x.Note.Code))}"));
        Assert.Empty(Breads.Plan(Healthy).Risks);
    }

    [Fact]
    public void The_change_for_next_time_mends_what_it_names()
    {
        foreach (var planted in Planted)
        {
            var (symptom, code, plant) = ((Symptom)planted[0], (NoteCode)planted[1], (Func<BatchSpec, BatchSpec>)planted[2]);
            var found = Explain(plant(Healthy), symptom)[0];
            if (found.Change is not null)
            {
                Assert.False(Breads.Plan(found.Next).Has(code), $"{code}: {found.Change.Code}");
            }
        }
    }

    [Fact]
    public void What_was_made_otherwise_than_planned_is_the_hands_and_not_the_plan()
    {
        var liquid = Planned.Of(Healthy, Breads.Plan(Healthy)).Liquid;
        var found = Explain(Healthy, Symptom.Stiff, Was(o => o with { Used = o.Used with { Liquid = liquid * 0.75 } }))[0];

        Assert.Equal(NoteCode.DoughStiff, found.Note.Code);
        Assert.True(found.ByHand);
        Assert.Null(found.Change);
        Assert.Equal(Healthy, found.Next);
    }

    [Fact]
    public void What_bench_and_scale_were_told_is_the_hands_too_and_is_not_carried_on()
    {
        var uneven = Healthy with { Balls = Healthy.Balls with { Weighed = [new(60), new(95), new(80), new(70)] } };
        var dry = Healthy with { Dough = Healthy.Dough with { Mix = Healthy.Dough.Mix with { WentIn = new(150) } } };

        foreach (var (spec, symptom, cause) in new[] { (uneven, Symptom.Uneven, NoteCode.BallsUneven), (dry, Symptom.Stiff, NoteCode.DoughStiff) })
        {
            var found = Explain(spec, symptom)[0];
            Assert.Equal((cause, true), (found.Note.Code, found.ByHand));
            Assert.Equal(Healthy, found.Next);
        }
    }

    [Theory]
    [InlineData(Symptom.BurntFlour, NoteCode.FaceBurnt, 600)]
    [InlineData(Symptom.RawInside, NoteCode.RawInside, 5)]
    public void The_times_taken_convict_too(Symptom symptom, NoteCode cause, double side)
    {
        var found = Explain(Healthy, symptom, Was(o => o with { Timed = new(null, new(side), new(side), new(side)) }));

        Assert.Equal(cause, found[0].Note.Code);
        Assert.True(found[0].ByHand);
    }

    [Fact]
    public void What_cannot_be_worked_falls_back_to_the_plan()
    {
        var outcome = Was(o => o with { Used = o.Used with { Salt = new(5000), BallMass = new(2000), Flour = new(0) } });

        Assert.Empty(Explain(Healthy, Symptom.Stiff, outcome));
    }

    [Fact]
    public void There_are_sixteen_symptoms_and_more_than_forty_rules_each_told_once()
    {
        Assert.True(Enum.GetValues<Symptom>().Length >= 14);
        Assert.True(FaultRule.All.Count >= 40);
        Assert.Equal(FaultRule.All.Count, FaultRule.All.Select(r => (r.Symptom, r.Cause)).Distinct().Count());
        Assert.All(Enum.GetValues<Symptom>(), s => Assert.Contains(FaultRule.All, r => r.Symptom == s));
        Assert.All(FaultRule.All, r => Assert.InRange(r.Directness, 0.01, 1));
    }

    [Fact]
    public void Risks_come_in_the_same_words_before_it_is_cooked()
    {
        var dry = Breads.Plan(Water(Healthy, 40));

        Assert.Contains(dry.Risks, r => r is { Symptom: Symptom.Stiff, Cause: NoteCode.DoughStiff, Sure: Sureness.VeryLikely });
        Assert.All(dry.Risks, r => Assert.Contains(dry.Notes, n => n.Code == r.Cause));
        Assert.Equal(dry.Risks.Count, dry.Risks.Select(r => r.Symptom).Distinct().Count());
    }

    private static BatchSpec Water(BatchSpec spec, double hydration) => spec with { Dough = spec.Dough with { WaterBy = WaterBy.Hydration, Hydration = new(hydration) } };

    private static BatchSpec Stays(BatchSpec spec, double seconds) => spec with
    {
        Pan = spec.Pan with { Own = [new(new(seconds), new(0)), new(new(seconds), new(2)), new(new(seconds), new(2))] },
    };
}
