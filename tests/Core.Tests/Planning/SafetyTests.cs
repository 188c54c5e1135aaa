namespace Ystrata.Core.Tests;

/// <summary>What can hurt is caught wherever it is.</summary>
public class SafetyTests
{
    private static readonly BatchSpec White = Breads.White(Breads.Letter), Stuffed = Schools.All.Single(s => s.Id == "stuffed").Spec;

    private static BatchSpec WithTogether(params FillingStep[] steps) => Stuffed with { Filling = Stuffed.Filling! with { Together = steps } };

    public static TheoryData<Stage, BatchSpec> GarlicAt => new()
    {
        { Stage.Sheet, White with { Fold = new([new ScatterStep("garlic", new(3), new(1)), Breads.Letter]) } },
        { Stage.Filling, WithTogether(new SeasonStep("garlic", new(10))) },
        // Fried is what went in before; what comes after is raw.
        { Stage.Filling, WithTogether(new SauteStep(new(3), new(260), "ghee", new(10)), new SeasonStep("garlic", new(10))) },
        { Stage.Dough, Breads.White(d => d.WithAdditions(("garlic", 2))) },
        { Stage.Pan, White with { Pan = White.Pan with { Fat = "garlic-ghee" } } },
    };

    // A cook's own fat with garlic in it.
    private static readonly Kitchen Own = Breads.Kitchen.With(Breads.Larder["ghee"] with { Id = "garlic-ghee", Marks = [Trait.GarlicLike], Origin = Origin.Own });

    [Theory]
    [MemberData(nameof(GarlicAt))]
    public void Raw_garlic_beside_fat_is_a_caution_and_kept_overnight_another(Stage stage, BatchSpec spec)
    {
        Assert.Contains(Breads.Plan(spec, Own).Notes, n => n.Code == NoteCode.RawGarlic && n.Stage == stage && n.Severity == Severity.Caution);
        var kept = spec with { Clock = ClockSpec.Usual with { Ahead = Ahead.Fridge } };
        Assert.Contains(Breads.Plan(kept, Own).Notes, n => n.Code == NoteCode.RawGarlicKept && n.Stage == stage);
        Assert.False(Breads.Plan(kept, Own).Has(NoteCode.RawGarlic));
    }

    [Fact]
    public void Garlic_that_is_fried_in_the_filling_is_none()
    {
        var fried = WithTogether(new SeasonStep("garlic", new(10)), new SauteStep(new(3), new(260), "ghee", new(10)));

        Assert.False(Breads.Plan(fried).Has(NoteCode.RawGarlic));
        Assert.False(Breads.Plan(White).Has(NoteCode.RawGarlic));
        // In a dough without fat it lies beside none.
        Assert.False(Breads.Plan(Breads.White(d => d.WithFat("ghee", 0).WithAdditions(("garlic", 2)))).Has(NoteCode.RawGarlic));
    }

    private static BatchSpec Milky(double rest, double balls = 0, double folded = 20, double hold = 5) => Breads.White(d => d.WithLiquids(new("egg", Amount.OfFlour(10)), new("milk", Amount.TheRest)), Breads.Letter) is var s
        ? s with { Rest = RestSpec.CoveredFor(rest), Sheet = s.Sheet with { Rest = new(balls) }, Roll = s.Roll with { Rest = new(folded) }, Pan = s.Pan with { HoldFor = new(hold) } }
        : White;

    [Theory]
    [InlineData(60, 0, 20, 5, null)]
    [InlineData(60, 60, 20, 5, NoteCode.WarmLong)]
    [InlineData(30, 0, 95, 5, NoteCode.WarmLong)]
    [InlineData(30, 720, 20, 5, NoteCode.WarmTooLong)]
    [InlineData(60, 30, 20, 60, NoteCode.WarmLong)]
    [InlineData(30, 0, 20, 240, NoteCode.WarmTooLong)]
    public void Every_rest_and_wait_of_a_dough_with_egg_counts_to_the_table(double rest, double balls, double folded, double hold, NoteCode? said)
    {
        var warm = Breads.Plan(Milky(rest, balls, folded, hold)).Notes.SingleOrDefault(n => n.Code is NoteCode.WarmLong or NoteCode.WarmTooLong);

        Assert.Equal(said, warm?.Code);
        // Red is what is thrown away.
        Assert.True(warm is null || warm.Severity == (said == NoteCode.WarmTooLong ? Severity.Wrong : Severity.Caution));
    }

    [Fact]
    public void More_time_warm_never_lessens_a_caution()
    {
        static int Worst(BatchSheet sheet) => sheet.Notes.Select(n => n.Code == NoteCode.WarmTooLong ? 2 : n.Code == NoteCode.WarmLong ? 1 : 0).Max();
        foreach (var longer in new Func<double, BatchSpec>[] { m => Milky(m), m => Milky(30, m), m => Milky(30, 0, m), m => Milky(30, 0, 20, m / 2) })
        {
            var worst = Enumerable.Range(0, 12).Select(i => Worst(Breads.Plan(longer(i * 40)))).ToList();
            Assert.Equal(worst.Order(), worst);
        }
    }

    [Fact]
    public void A_rest_in_the_fridge_mends_it_and_a_dough_that_spoils_not_is_left_alone()
    {
        var spec = Milky(110);
        var note = Breads.Plan(spec).The(NoteCode.WarmLong);
        var mended = Breads.Plan(note.Mends!.Single(m => m.Code == MendCode.RestInFridge).On(spec));

        Assert.False(mended.Has(NoteCode.WarmLong));
        Assert.False(Breads.Plan(White with { Sheet = White.Sheet with { Rest = new(600) } }).Has(NoteCode.WarmTooLong));
    }

    [Fact]
    public void Meat_in_a_filling_has_its_budget_too()
    {
        BatchSpec Mince(double hold) => Stuffed with
        {
            Filling = Stuffed.Filling! with { Parts = [new("lamb-mince-cooked", new(800), default, [new CoolStep(new(60), RestPlace.Room)])], Together = [] },
            Pan = Stuffed.Pan with { HoldFor = new(hold) },
        };

        Assert.False(Breads.Plan(Mince(5)).Has(NoteCode.WarmLong));
        Assert.Equal("lamb-mince-cooked", Breads.Plan(Mince(90)).The(NoteCode.WarmLong).Item);
        Assert.True(Breads.Plan(Mince(240)).Has(NoteCode.WarmTooLong));
    }

    [Theory]
    [InlineData(40, 60, null)]
    [InlineData(60, 40, NoteCode.NoGlutenStep)]
    [InlineData(100, 0, NoteCode.NoGlutenStep)]
    public void A_dough_without_gluten_is_told_what_it_cannot_do(double rice, double wheat, NoteCode? said)
    {
        var coils = Breads.White(Breads.MatRoll, Breads.Coil);
        FlourShare[] flours = [new("flour-rice", rice), .. wheat > 0 ? [new FlourShare("flour-white", wheat)] : Array.Empty<FlourShare>()];
        var plan = Breads.Plan(coils with { Dough = coils.Dough with { Flours = flours } });

        Assert.Equal(said, plan.Notes.FirstOrDefault(n => n.Code is NoteCode.NoGlutenStep or NoteCode.NoGlutenFold)?.Code);
        Assert.True(said is null || plan.The(NoteCode.NoGlutenStep).Severity == Severity.Wrong);
    }

    [Fact]
    public void Rice_alone_has_no_flake_and_a_letter_of_it_only_cracks()
    {
        BatchSheet Rice(params FoldStep[] steps) => Breads.Plan(Breads.White(steps) is var s ? s with { Dough = s.Dough with { Flours = [new("flour-rice", 100)] } } : s);

        Assert.Equal(0, Rice(Breads.MatRoll, Breads.Coil).Fold.Flake.Points);
        Assert.True(Breads.Plan(Breads.White(Breads.MatRoll, Breads.Coil)).Fold.Flake.Points > 20);
        Assert.True(Rice(Breads.Letter).Has(NoteCode.NoGlutenFold));
        Assert.False(Rice().Has(NoteCode.NoGlutenFold));
    }

    [Fact]
    public void The_fourteen_of_the_european_list_and_the_nine_of_the_american_can_be_declared()
    {
        Allergen[] eu =
        [
            Allergen.Gluten, Allergen.Crustaceans, Allergen.Egg, Allergen.Fish, Allergen.Peanut, Allergen.Soya, Allergen.Milk, Allergen.Nuts, Allergen.Celery, Allergen.Mustard, Allergen.Sesame,
            Allergen.Sulphites, Allergen.Lupin, Allergen.Molluscs,
        ];
        Allergen[] us = [Allergen.Milk, Allergen.Egg, Allergen.Fish, Allergen.Crustaceans, Allergen.Nuts, Allergen.Peanut, Allergen.Wheat, Allergen.Soya, Allergen.Sesame];

        Assert.Equal(Enum.GetValues<Allergen>().Order(), eu.Union(us).Order());
        Assert.Contains(Allergen.Milk, Breads.Larder["margarine"].Allergens);
        Assert.All(Breads.Larder.All.Where(i => i.Allergens.Contains(Allergen.Wheat)), i => Assert.Contains(Allergen.Gluten, i.Allergens));
        Assert.DoesNotContain(Allergen.Wheat, Breads.Larder["flour-rye"].Allergens);
    }

    [Fact]
    public void An_own_line_of_which_nobody_has_said_anything_is_not_declared()
    {
        var own = Breads.Larder["seed-nigella"] with { Id = "our-seed", Name = "Our seed", Allergens = [], Origin = Origin.Own };
        BatchSheet With(Ingredient item) => Breads.Plan(Breads.White(d => d.WithAdditions(("our-seed", 1))), Breads.Kitchen.With(item));

        Assert.Equal(["our-seed"], With(own).Undeclared);
        Assert.Empty(With(own with { NoAllergens = true }).Undeclared);
        Assert.Empty(With(own with { Allergens = [Allergen.Celery] }).Undeclared);
        Assert.Contains(Allergen.Celery, With(own with { Allergens = [Allergen.Celery] }).Allergens);
        Assert.Equal(["our-seed"], PacketStage.Of(Breads.White(d => d.WithAdditions(("our-seed", 1))), new(PacketState.RawFrozen, 4, new(2026, 11, 28)), Breads.Kitchen.With(own)).Value!.Undeclared);
    }
}
